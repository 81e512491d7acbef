package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Mass;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Works out how much of each herb of a blend goes in (craft: ratios, blend by parts, jar fill, layer depth). */
public final class BlendAmounts {

    private BlendAmounts() {}

    /** What was said of a blend does not go together; {@link #row} counts its herbs from 0, −1 means the whole. */
    public static final class UnclearException extends IllegalArgumentException {

        private static final long serialVersionUID = 1;
        private final int row;

        UnclearException(int row, String message) {
            super(message);
            this.row = row;
        }

        public int row() {
            return row;
        }
    }

    /**
     * Works the herbs out.
     *
     * @param gram one gram of each herb
     * @param said how much of each, in the same order
     * @param whole how much of all together; its herbs are then only proportions
     * @throws UnclearException where parts have nothing to be parts of, or a herb other than the first says how it lies in the jar
     */
    public static Herbs of(List<HerbPortion> gram, List<HerbWish> said, Optional<HerbWish> whole, Vessel vessel) {
        HerbWish first = said.get(0);
        boolean lies = first instanceof HerbWish.Fill || first instanceof HerbWish.Deep;
        if (whole.isEmpty() && first instanceof HerbWish.Parts) {
            throw new UnclearException(-1, "parts of what? Say how much herb in all");
        }
        List<HerbPortion> portions = new ArrayList<>();
        for (int i = 0; i < said.size(); i++) {
            portions.add(gram.get(i).times(grams(i, gram, said, whole.isPresent())));
        }
        Herbs herbs = new Herbs(portions);
        return whole.map(all -> scaled(herbs, all, vessel))
                .orElseGet(() -> lies ? scaled(herbs, first, vessel) : herbs);
    }

    /** Grams of one herb, or its proportion where the whole is said. */
    private static double grams(int row, List<HerbPortion> gram, List<HerbWish> said, boolean wholeSaid) {
        HerbWish wish = said.get(row);
        if (wish instanceof HerbWish.Weight weight) {
            boolean mixed = row > 0 && !(said.get(0) instanceof HerbWish.Weight);
            if (mixed) {
                throw new UnclearException(
                        row, "the first herb is not said by weight, so this is said in parts, such as 1 part");
            }
            return weight.mass().grams();
        }
        if (wish instanceof HerbWish.Parts parts) {
            return parts.parts() * onePart(row, parts.byVolume(), gram, said);
        }
        if (row > 0 || wholeSaid) {
            throw new UnclearException(
                    row,
                    row > 0
                            ? "only the first herb can say how it lies in the jar; say this in parts or by weight"
                            : "both this and the whole say how it lies in the jar; say one of them");
        }
        return 1;
    }

    /** Grams in one part of a row: the first herb is one part where it is not said in parts itself. */
    private static double onePart(int row, boolean byVolume, List<HerbPortion> gram, List<HerbWish> said) {
        double base =
                said.get(0) instanceof HerbWish.Weight weight ? weight.mass().grams() : 1;
        boolean proportions = said.get(0) instanceof HerbWish.Parts;
        double bulk = gram.get(row).bulk().gramsPerMillilitre();
        double first = proportions ? 1 : gram.get(0).bulk().gramsPerMillilitre();
        return byVolume ? base * bulk / first : base;
    }

    private static Herbs scaled(Herbs herbs, HerbWish to, Vessel vessel) {
        if (to instanceof HerbWish.Weight weight) {
            return herbs.times(weight.mass().grams() / herbs.mass().grams());
        } else if (to instanceof HerbWish.Fill fill) {
            return Schools.herbForFill(herbs, vessel, fill.share());
        } else if (to instanceof HerbWish.Deep deep) {
            return Schools.herbForDepth(herbs, vessel, deep.depth());
        }
        throw new UnclearException(
                -1, "parts of what? Say how much herb in all by weight, or by how it lies in the jar");
    }

    /** The masses of a blend's herbs in their order. */
    public static List<Mass> masses(Herbs herbs) {
        return herbs.portions().stream().map(HerbPortion::mass).toList();
    }
}
