package app.velvetcrock.core.measure;

import java.util.List;

/**
 * What a weight and a volume given for the same thing say about each other.
 *
 * @param implied the density the two imply
 * @param offBy how far that lies from the known density, as a signed fraction of it
 * @param slips likely misreadings under which the two agree; empty when none fits
 */
public record Contradiction(Verdict verdict, Density implied, double offBy, List<Slip> slips) {

    public Contradiction {
        slips = List.copyOf(slips);
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
