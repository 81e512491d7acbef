package app.velvetcrock.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Writes plain numbers without needless zeros; rounding happens here, at display, and nowhere else. */
public final class Decimals {

    private static final String[] EIGHTHS = {"", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"};
    private static final double CLOSE = 1e-6;

    private Decimals() {}

    /** Rounds half up to at most {@code places} decimals: 7.0 → "7", 6.96 with one → "7", 6.94 → "6.9". */
    public static String upTo(double value, int places) {
        BigDecimal rounded =
                BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP).stripTrailingZeros();
        return (rounded.signum() == 0 ? BigDecimal.ZERO : rounded).toPlainString();
    }

    /** Writes a number as cooks do, in quarters, eighths and thirds where it is one: 1.5 → "1½". */
    public static String kitchen(double value) {
        double whole = Math.floor(value + CLOSE);
        double rest = value - whole;
        String fraction = fraction(rest);
        if (fraction.isEmpty() && rest > CLOSE) {
            return upTo(value, 3);
        }
        return whole == 0 && !fraction.isEmpty() ? fraction : upTo(whole, 0) + fraction;
    }

    private static String fraction(double rest) {
        if (Math.abs(rest - 1 / 3.0) < CLOSE) {
            return "⅓";
        }
        if (Math.abs(rest - 2 / 3.0) < CLOSE) {
            return "⅔";
        }
        double eighths = rest * 8;
        return Math.abs(eighths - Math.round(eighths)) < CLOSE * 8 ? EIGHTHS[(int) Math.round(eighths) % 8] : "";
    }
}
