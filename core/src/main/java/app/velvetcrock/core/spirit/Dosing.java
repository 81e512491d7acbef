package app.velvetcrock.core.spirit;

import app.velvetcrock.core.measure.Check;
import java.util.Optional;

/**
 * How much spirit goes on a herb, and whether it is thinned first.
 *
 * @param perGram grams of spirit to a gram of herb, 0.4 to 1.0 (craft: methods)
 * @param thinnedFrom the strength in the bottle; absent where it is taken as it is
 */
public record Dosing(double perGram, Optional<Strength> thinnedFrom) {

    public static final double LEAST = 0.4;
    public static final double USUAL = 0.5;
    public static final double MOST = 1.0;
    public static final Dosing AS_USUAL = new Dosing(USUAL, Optional.empty());

    public Dosing {
        Check.range("spirit", perGram, LEAST, MOST, "g to a gram of herb");
    }
}
