package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Unit;

/**
 * An amount as somebody wrote it: one number or a range, and its unit.
 *
 * @param low the number, or the lower end of a range, in {@code unit}
 * @param high the same number, or the upper end; never below {@code low}
 */
public record Amount(double low, double high, Unit unit) {

    public Amount {
        if (high < low) {
            throw new IllegalArgumentException(
                    "range runs from %s down to %s; the smaller end comes first".formatted(low, high));
        }
    }

    public boolean isRange() {
        return high > low;
    }

    /** The amount in its canonical unit; the middle of a range. */
    public Quantity middle() {
        return unit.dimension().of(unit.canonical((low + high) / 2));
    }

    public Quantity least() {
        return unit.dimension().of(unit.canonical(low));
    }

    public Quantity most() {
        return unit.dimension().of(unit.canonical(high));
    }
}
