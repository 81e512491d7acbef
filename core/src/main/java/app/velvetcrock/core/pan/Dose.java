package app.velvetcrock.core.pan;

import app.velvetcrock.core.measure.Mass;
import java.util.Map;
import java.util.Optional;

/**
 * How much of an antioxidant is right (craft: keeping): mixed tocopherols 0.1 to 0.5 %, rosemary extract 0.02 to 0.1 %. It keeps fats from
 * going rancid; it is no preservative against germs.
 *
 * @param percent of the whole there is
 */
public record Dose(String name, double percent, double least, double most) {

    private static final double PERCENT = 100;

    /** [E] Mica, root and seed powders, percent (craft: making). */
    private static final double[] COLOUR = {0.1, 1};

    private static final Map<String, double[]> RIGHT = Map.of(
            "vitamin-e", new double[] {0.1, 0.5},
            "rosemary-extract", new double[] {0.02, 0.1},
            "mica", COLOUR,
            "alkanet", COLOUR,
            "annatto", COLOUR,
            "clay", COLOUR);

    /** What share of the whole an addition is, against what is right; absent of what has no dose. */
    public static Optional<Dose> of(Addition addition, Mass whole) {
        return Optional.ofNullable(RIGHT.get(addition.key()))
                .map(ends ->
                        new Dose(addition.name(), PERCENT * addition.mass().grams() / whole.grams(), ends[0], ends[1]));
    }

    public boolean isRight() {
        return percent >= least - 1e-9 && percent <= most + 1e-9;
    }
}
