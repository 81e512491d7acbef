package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Mass;
import java.util.List;
import java.util.Optional;

/**
 * What is to be melted: some of it said, the rest to be worked out.
 *
 * @param oil what fills up
 * @param wax what sets it; absent where none goes in
 * @param waxSaid how much of it, where that is said; else as much as the firmness wanted takes
 * @param others all else, each with how much
 * @param firmness wanted, F
 */
public record MeltRequest(
        HowMuch howMuch,
        Formula.Stuff oil,
        Optional<Formula.Stuff> wax,
        Optional<Share> waxSaid,
        List<Wish> others,
        double firmness,
        boolean whipped) {

    public MeltRequest {
        others = List.copyOf(others);
        Check.range("firmness", firmness, 0, Firmness.HARDEST, "on the scale");
    }

    /** How much of one thing. */
    public sealed interface Share {

        /** A share of the whole, 0 to 1. */
        record Of(double share) implements Share {
            public Of {
                Check.range("share", share, 0, 1, "of the whole");
            }
        }

        /** A weight. */
        record Weighed(Mass mass) implements Share {}

        /** Grams to a gram of the oil: "3 oz per cup of oil". */
        record PerOil(double gramsPerGram) implements Share {}
    }

    /** A thing besides oil and wax, and how much of it. */
    public record Wish(Formula.Stuff stuff, Share share) {}
}
