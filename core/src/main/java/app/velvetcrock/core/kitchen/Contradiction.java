package app.velvetcrock.core.kitchen;

import java.util.List;

/**
 * What a weight and a volume given for the same thing say about each other.
 *
 * @param implied the density the two imply, g/mL; infinite where there is a weight and no volume
 * @param offBy how far that lies from the known density, as a signed fraction of it
 * @param slips likely misreadings under which the two agree; empty when none fits
 */
public record Contradiction(Verdict verdict, double implied, double offBy, List<Slip> slips) {

    private static final double LIGHTEST = 0.01;
    private static final double HEAVIEST = 25;

    public Contradiction {
        slips = List.copyOf(slips);
    }

    /** Tells whether anything has such a density, so that it is worth saying. */
    public boolean isPossible() {
        return implied >= LIGHTEST && implied <= HEAVIEST;
    }

    /** How badly a weight and a volume disagree. */
    public enum Verdict {
        AGREE,
        WORTH_A_LOOK,
        ONE_IS_MISREAD
    }

    /** A likely misreading in words, and the amount that was then meant. */
    public record Slip(String words, Amount meant) {}
}
