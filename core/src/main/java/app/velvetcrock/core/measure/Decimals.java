package app.velvetcrock.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

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

    /**
     * Whole hundredths that add up to a hundred: each share rounded down, and what is over given to those that lost most by it, the
     * first among equals. Thirds are 34, 33 and 33.
     *
     * @param shares none below zero, of one whole; where they are all zero, so are the hundredths
     */
    public static List<Integer> hundredths(List<Double> shares) {
        double whole = shares.stream().mapToDouble(Double::doubleValue).sum();
        int[] hundredths = new int[shares.size()];
        if (whole > 0) {
            double[] lost = new double[hundredths.length];
            int left = 100;
            for (int i = 0; i < hundredths.length; i++) {
                double exact = 100 * shares.get(i) / whole;
                hundredths[i] = (int) Math.floor(exact + CLOSE);
                lost[i] = exact - hundredths[i];
                left -= hundredths[i];
            }
            IntStream.range(0, hundredths.length)
                    .boxed()
                    .sorted(Comparator.comparingDouble((Integer i) -> -Math.round(lost[i] / CLOSE)))
                    .limit(left)
                    .forEach(i -> hundredths[i]++);
        }
        return Arrays.stream(hundredths).boxed().toList();
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
