package app.velvetcrock.core.measure;

import java.math.BigDecimal;

/** Makes the one kind of message for a value out of range: field, value, allowed range, unit. */
public final class Check {

    private Check() {}

    /**
     * Returns {@code value} when it lies between the two ends, both included.
     *
     * @throws IllegalArgumentException naming the field, the value and the range with its unit
     */
    public static double range(String field, double value, double least, double most, String unit) {
        if (!(value >= least && value <= most)) {
            throw new IllegalArgumentException("%s is %s %s; it must be between %s and %s %s"
                    .formatted(field, plain(value), unit, plain(least), plain(most), unit));
        }
        return value;
    }

    private static String plain(double value) {
        return Double.isFinite(value)
                ? BigDecimal.valueOf(value).stripTrailingZeros().toPlainString()
                : String.valueOf(value);
    }
}
