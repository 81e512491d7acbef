package app.velvetcrock.core.spirit;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;

/**
 * The strength of a spirit in percent by volume at 20 °C, 0 to 100.
 *
 * <p>Densities of ethanol and water [S: OIML R 22], g/mL, straight between the points held (craft: spirit).
 */
public record Strength(double percent) {

    public static final double LEAST = 0;
    public static final double MOST = 100;

    /** Weaker than this it brings so much water that it must be let off (craft: spirit). */
    public static final double WATERY = 60;

    /** [S] Pure ethanol, g/mL. */
    private static final double ETHANOL = 0.78924;

    private static final double PROOF_PER_PERCENT = 2;
    private static final double[] PERCENT = {0, 20, 30, 37.5, 40, 50, 60, 70, 75, 80, 85, 90, 95, 96, 100};
    private static final double[] DENSITY = {
        0.9982, 0.9736, 0.9622, 0.9519, 0.9481, 0.9301, 0.9091, 0.8855, 0.8728, 0.8593, 0.8449, 0.8292, 0.8114, 0.8074,
        0.78924
    };

    public Strength {
        Check.range("strength", percent, LEAST, MOST, "% vol");
    }

    /** "39.6 %": to a tenth, so that what is refused for being under 40 does not read as 40. */
    public String words() {
        return Decimals.upTo(percent, 1) + " %";
    }

    /** US proof is twice the percentage. */
    public static Strength ofUsProof(double proof) {
        return new Strength(proof / PROOF_PER_PERCENT);
    }

    public Density density() {
        int upper = 1;
        while (PERCENT[upper] < percent) {
            upper++;
        }
        double share = (percent - PERCENT[upper - 1]) / (PERCENT[upper] - PERCENT[upper - 1]);
        return Density.ofGramsPerMillilitre(DENSITY[upper - 1] + share * (DENSITY[upper] - DENSITY[upper - 1]));
    }

    /** Share of ethanol by mass: percent by volume × 0.78924 ÷ density, at most 1. */
    public double ethanolByMass() {
        return Math.min(1, percent / 100 * ETHANOL / density().gramsPerMillilitre());
    }

    /** The water so much of it brings. */
    public Mass waterIn(Mass spirit) {
        return spirit.times(1 - ethanolByMass());
    }

    /** Tells whether its water must be let off before the oil. */
    public boolean isWatery() {
        return percent < WATERY;
    }
}
