package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Mass;
import java.util.List;

/**
 * How firm a mixture of oils, butters and waxes sets: F = 100·Σ(eq·mass)/total, eq as beeswax [E] (craft: making).
 *
 * @param value 0 for oil alone to 230 for pure carnauba
 * @param waxShare p = wax/(wax + oils + butters), 0 to 1
 */
public record Firmness(double value, double waxShare, FirmnessBand band) {

    /** [E] The middle of a salve on the scale (craft: firmness). */
    public static final double SALVE = 15;

    /** Where the scale ends: harder than this nothing is made (craft: firmness). */
    public static final double HARDEST = 50;

    private static final double PERCENT = 100;
    private static final double TENTHS = 10;

    /**
     * One ingredient of the melt.
     *
     * @param equivalent what a gram of it sets like, in grams of beeswax
     */
    public record Ingredient(Mass mass, double equivalent, boolean wax) {}

    /** Works it out; nothing at all is thick oil. */
    public static Firmness of(List<Ingredient> melt) {
        double total = melt.stream().mapToDouble(part -> part.mass().grams()).sum();
        double set = melt.stream()
                .mapToDouble(part -> part.mass().grams() * part.equivalent())
                .sum();
        double wax = melt.stream()
                .filter(Ingredient::wax)
                .mapToDouble(part -> part.mass().grams())
                .sum();
        double value = total == 0 ? 0 : PERCENT * set / total;
        // By the figure as it is shown, to a tenth: what reads as 17 is not called softer than 17.
        FirmnessBand band = FirmnessBand.of(Math.round(value * TENTHS) / TENTHS);
        return new Firmness(value, total == 0 ? 0 : wax / total, band);
    }
}
