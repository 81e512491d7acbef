package app.velvetcrock.core.measure;

/**
 * A unit as typed: how many canonical units it is, and the words for one and for several.
 *
 * @param dimension what it measures
 * @param factor canonical units in one of it (g, mL, mm, min; for °F see {@link #canonical})
 * @param offset subtracted before the factor is applied: 32 for °F, else 0
 */
public record Unit(Dimension dimension, double factor, double offset, String one, String several) {

    static final Unit GRAM = of(Dimension.MASS, 1, "g");
    static final Unit KILOGRAM = of(Dimension.MASS, 1000, "kg");
    static final Unit MILLIGRAM = of(Dimension.MASS, 0.001, "mg");
    /** [S] NIST SP 811. */
    static final Unit OUNCE = of(Dimension.MASS, 28.3495, "oz");
    /** [S] NIST SP 811. */
    static final Unit POUND = of(Dimension.MASS, 453.592, "lb");

    static final Unit MILLILITRE = of(Dimension.VOLUME, 1, "mL");
    static final Unit CENTILITRE = of(Dimension.VOLUME, 10, "cL");
    static final Unit DECILITRE = of(Dimension.VOLUME, 100, "dL");
    static final Unit LITRE = of(Dimension.VOLUME, 1000, "L");
    /** 20 to the mL by convention; real bottles give 10 to 50. */
    static final Unit DROP = new Unit(Dimension.VOLUME, 0.05, 0, "drop", "drops");

    static final Unit CELSIUS = of(Dimension.TEMPERATURE, 1, "°C");
    static final Unit FAHRENHEIT = new Unit(Dimension.TEMPERATURE, 1 / 1.8, 32, "°F", "°F");
    static final Unit MILLIMETRE = of(Dimension.LENGTH, 1, "mm");
    static final Unit CENTIMETRE = of(Dimension.LENGTH, 10, "cm");
    /** [S] NIST SP 811. */
    static final Unit INCH = new Unit(Dimension.LENGTH, 25.4, 0, "inch", "inches");

    static final Unit MINUTE = of(Dimension.TIME, 1, "min");
    static final Unit HOUR = of(Dimension.TIME, 60, "h");
    static final Unit DAY = new Unit(Dimension.TIME, 1440, 0, "day", "days");
    static final Unit WEEK = new Unit(Dimension.TIME, 10_080, 0, "week", "weeks");
    /** A month of 30 days; only stretches of time are read this way, never use-by dates. */
    static final Unit MONTH = new Unit(Dimension.TIME, 43_200, 0, "month", "months");

    static Unit ofVolume(Volume size, String one, String several) {
        return new Unit(Dimension.VOLUME, size.millilitres(), 0, one, several);
    }

    private static Unit of(Dimension dimension, double factor, String symbol) {
        return new Unit(dimension, factor, 0, symbol, symbol);
    }

    double canonical(double typed) {
        return (typed - offset) * factor;
    }

    String word(double number) {
        return number > 1 ? several : one;
    }
}
