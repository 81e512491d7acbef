package app.velvetcrock.core.measure;

/**
 * A unit as typed: how many canonical units it is, and the words for one and for several.
 *
 * @param dimension what it measures
 * @param factor canonical units in one of it (g, mL, mm, min; for °F see {@link #canonical})
 * @param offset subtracted before the factor is applied: 32 for °F, else 0
 */
public record Unit(Dimension dimension, double factor, double offset, String one, String several) {

    public static final Unit GRAM = of(Dimension.MASS, 1, "g");
    public static final Unit KILOGRAM = of(Dimension.MASS, 1000, "kg");
    public static final Unit MILLIGRAM = of(Dimension.MASS, 0.001, "mg");
    /** [S] NIST SP 811. */
    public static final Unit OUNCE = of(Dimension.MASS, 28.3495, "oz");
    /** [S] NIST SP 811. */
    public static final Unit POUND = of(Dimension.MASS, 453.592, "lb");

    public static final Unit MILLILITRE = of(Dimension.VOLUME, 1, "mL");
    public static final Unit CENTILITRE = of(Dimension.VOLUME, 10, "cL");
    public static final Unit DECILITRE = of(Dimension.VOLUME, 100, "dL");
    public static final Unit LITRE = of(Dimension.VOLUME, 1000, "L");
    /** 20 to the mL by convention; real bottles give 10 to 50. */
    public static final Unit DROP = new Unit(Dimension.VOLUME, 0.05, 0, "drop", "drops");

    public static final Unit CELSIUS = of(Dimension.TEMPERATURE, 1, "°C");
    public static final Unit FAHRENHEIT = new Unit(Dimension.TEMPERATURE, 1 / 1.8, 32, "°F", "°F");
    public static final Unit MILLIMETRE = of(Dimension.LENGTH, 1, "mm");
    public static final Unit CENTIMETRE = of(Dimension.LENGTH, 10, "cm");
    /** [S] NIST SP 811. */
    public static final Unit INCH = new Unit(Dimension.LENGTH, 25.4, 0, "inch", "inches");

    public static final Unit MINUTE = of(Dimension.TIME, 1, "min");
    public static final Unit HOUR = of(Dimension.TIME, 60, "h");
    public static final Unit DAY = new Unit(Dimension.TIME, 1440, 0, "day", "days");
    public static final Unit FORTNIGHT = new Unit(Dimension.TIME, 20_160, 0, "fortnight", "fortnights");
    public static final Unit WEEK = new Unit(Dimension.TIME, 10_080, 0, "week", "weeks");
    /** A month of 30 days; only stretches of time are read this way, never use-by dates. */
    public static final Unit MONTH = new Unit(Dimension.TIME, 43_200, 0, "month", "months");

    public static Unit ofVolume(Volume size, String one, String several) {
        return new Unit(Dimension.VOLUME, size.millilitres(), 0, one, several);
    }

    private static Unit of(Dimension dimension, double factor, String symbol) {
        return new Unit(dimension, factor, 0, symbol, symbol);
    }

    public double canonical(double typed) {
        return (typed - offset) * factor;
    }

    public String word(double number) {
        return number > 1 ? several : one;
    }
}
