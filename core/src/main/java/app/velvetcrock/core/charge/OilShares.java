package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Volume;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * Works out how the oils of a mix share its volume, from what was said of each (craft: a blend of carriers by share, weight or volume).
 *
 * @param shares of the volume, in the order of the oils; they come to 1
 * @param all how much oil that is, where it was said
 */
public record OilShares(List<Double> shares, Optional<Volume> all) {

    public static final int MOST = 4;

    private static final double ROUNDING = 1e-6;
    private static final double NEAR = 0.01;

    public OilShares {
        shares = List.copyOf(shares);
    }

    /** What was said of one oil. */
    public sealed interface Said {

        /** Tells whether it is a share of the weight; else it is one of the volume. */
        default boolean byWeight() {
            return false;
        }

        /** Whatever the others leave; one part where they are said in parts. Only the first may be. */
        record Rest() implements Said {}

        /** So much of the whole, above 0 and below 1. */
        record Share(double fraction, boolean byWeight) implements Said {}

        record Parts(double parts, boolean byWeight) implements Said {}

        record Amount(Volume volume) implements Said {}
    }

    /** An oil and what was said of it. */
    public record Oil(Said said, Density density) {}

    /**
     * Works the shares out.
     *
     * @param oils one to {@link #MOST}
     * @param all how much oil in all, where that is said as an amount
     * @throws BlendAmounts.UnclearException where what was said does not go together; −1 means how much in all
     */
    public static OilShares of(List<Oil> oils, Optional<Volume> all) {
        if (oils.size() == 1) {
            return new OilShares(List.of(1.0), all);
        }
        List<Oil> said = oils.subList(oils.get(0).said() instanceof Said.Rest ? 1 : 0, oils.size());
        for (int i = 0; i < said.size(); i++) {
            boolean odd = said.get(i).said().getClass() != said.get(0).said().getClass()
                    || said.get(i).said().byWeight() != said.get(0).said().byWeight();
            if (odd) {
                throw unclear(
                        i + oils.size() - said.size(),
                        "the oils of one mix are all said as shares, or all in parts, or all as amounts");
            }
        }
        Said first = said.get(0).said();
        if (first instanceof Said.Rest) {
            throw unclear(0, "only the first oil may be the rest");
        }
        if (first instanceof Said.Amount) {
            return amounts(oils, all);
        }
        List<Double> proportions = first instanceof Said.Share ? fractions(oils) : parts(oils);
        return new OilShares(byVolume(proportions, oils, first.byWeight()), all);
    }

    private static OilShares amounts(List<Oil> oils, Optional<Volume> all) {
        double sum = oils.stream()
                .mapToDouble(oil -> oil.said() instanceof Said.Amount amount
                        ? amount.volume().millilitres()
                        : 0)
                .sum();
        boolean rest = oils.get(0).said() instanceof Said.Rest;
        if (rest && all.isEmpty()) {
            throw unclear(-1, "how much of all the oil that is cannot be told while the oil is not said as an amount");
        }
        double whole = all.map(Volume::millilitres).orElse(sum);
        if (rest && sum > whole - NEAR) {
            throw unclear(-1, "the other oils take all of it and leave none of the first");
        }
        if (!rest && Math.abs(sum - whole) > whole * NEAR) {
            throw unclear(-1, "the oils come to %.0f mL, and %.0f mL is said for all".formatted(sum, whole));
        }
        List<Double> shares = new ArrayList<>();
        for (Oil oil : oils) {
            double own =
                    oil.said() instanceof Said.Amount amount ? amount.volume().millilitres() : whole - sum;
            shares.add(own / (rest ? whole : sum));
        }
        return new OilShares(shares, Optional.of(Volume.ofMillilitres(rest ? whole : sum)));
    }

    private static List<Double> fractions(List<Oil> oils) {
        double said = oils.stream()
                .mapToDouble(oil -> oil.said() instanceof Said.Share share ? share.fraction() : 0)
                .sum();
        boolean rest = oils.get(0).said() instanceof Said.Rest;
        if (rest && said > 1 - NEAR) {
            throw unclear(1, "the other oils take all of it and leave none of the first");
        }
        if (!rest && Math.abs(said - 1) > NEAR) {
            throw unclear(0, "the shares come to %.0f %%, not to 100".formatted(100 * said));
        }
        return oils.stream()
                .map(oil -> oil.said() instanceof Said.Share share ? share.fraction() : 1 - said)
                .toList();
    }

    private static List<Double> parts(List<Oil> oils) {
        return oils.stream()
                .map(oil -> oil.said() instanceof Said.Parts parts ? parts.parts() : 1.0)
                .toList();
    }

    /** Makes them come to 1, parts by weight turned into volume first. */
    private static List<Double> byVolume(List<Double> proportions, List<Oil> oils, boolean byWeight) {
        List<Double> volumes = new ArrayList<>();
        for (int i = 0; i < oils.size(); i++) {
            volumes.add(proportions.get(i) / (byWeight ? oils.get(i).density().gramsPerMillilitre() : 1));
        }
        double all = volumes.stream().mapToDouble(v -> v).sum();
        if (Collections.min(volumes) < all * ROUNDING) {
            throw unclear(volumes.indexOf(Collections.min(volumes)), "that is none of it");
        }
        return volumes.stream().map(v -> v / all).toList();
    }

    private static BlendAmounts.UnclearException unclear(int row, String why) {
        return new BlendAmounts.UnclearException(row, why);
    }
}
