package app.velvetcrock.core.spirit;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;

/**
 * The spirit that moistens a ground herb before the oil: 0.5 g for each gram, 0.4 to 1.0 (craft: spirit).
 *
 * @param water what of it is water, and stays
 */
public record Moistening(Strength strength, Mass spirit, Volume volume, Mass water) {

    private static final double USUAL = 0.5;

    public static Moistening of(Mass herb, Strength strength) {
        Mass spirit = herb.times(USUAL);
        return new Moistening(strength, spirit, strength.density().volumeOf(spirit), strength.waterIn(spirit));
    }

    /** Water to add to so much of it to thin it, by mass, since volumes shrink: m·(w1/w2 − 1). */
    public static Mass waterToThin(Mass spirit, Strength from, Strength to) {
        if (to.percent() >= from.percent() || to.percent() == 0) {
            throw new IllegalArgumentException("thinned from %s to %s %%; it must become weaker and stay a spirit".formatted(from.percent(), to.percent()));
        }
        return spirit.times(from.ethanolByMass() / to.ethanolByMass() - 1);
    }
}
