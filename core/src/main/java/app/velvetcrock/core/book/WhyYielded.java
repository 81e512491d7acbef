package app.velvetcrock.core.book;

import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.strain.YieldForecast;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Why more oil came back of one batch than of another: by the sum of the yield, and what that sum does not know. */
public final class WhyYielded {

    private static final double A_DROP = 0.05;

    private WhyYielded() {}

    /**
     * What went in, how it was strained, and what came back.
     *
     * @param retentions what the household measured of each of its herbs, at that pressing
     */
    public record Strained(Herbs herbs, Volume oil, Pressing pressing, List<List<Double>> retentions, Volume out) {

        /** The same without what was measured, which holds for one pressing alone. */
        private Strained asShipped() {
            return new Strained(
                    herbs,
                    oil,
                    pressing,
                    herbs.portions().stream().map(portion -> List.<Double>of()).toList(),
                    out);
        }
    }

    /** In mL; absent where as much came back. */
    public static Optional<WhyKept.Difference> of(Strained first, Strained second) {
        double whole = second.out().millilitres() - first.out().millilitres();
        if (Math.abs(whole) < A_DROP) {
            return Optional.empty();
        }
        List<String> factors = List.of("how much herb", "what such herb keeps", "how much oil", "how it was pressed");
        boolean alike = first.pressing() == second.pressing();
        Strained one = alike ? first : first.asShipped();
        Strained other = alike ? second : second.asShipped();
        List<Shares.Share> shares = new ArrayList<>(Shares.of(factors, mixture -> mixed(one, other, mixture)));
        double known = shares.stream().mapToDouble(Shares.Share::amount).sum();
        shares.add(new Shares.Share("what the sum does not know", whole - known));
        shares.removeIf(share -> Math.abs(share.amount()) < A_DROP);
        shares.sort((a, b) -> Double.compare(Math.abs(b.amount()), Math.abs(a.amount())));
        return Optional.of(new WhyKept.Difference(
                "mL", first.out().millilitres(), second.out().millilitres(), shares));
    }

    private static double mixed(Strained first, Strained second, int mixture) {
        Strained herb = (mixture & 2) != 0 ? second : first;
        double grams = ((mixture & 1) != 0 ? second : first).herbs().mass().grams();
        List<HerbPortion> portions =
                herb.herbs().times(grams / herb.herbs().mass().grams()).portions();
        return YieldForecast.of(
                        new Herbs(portions),
                        ((mixture & 4) != 0 ? second : first).oil(),
                        ((mixture & 8) != 0 ? second : first).pressing(),
                        herb.retentions())
                .expected()
                .millilitres();
    }
}
