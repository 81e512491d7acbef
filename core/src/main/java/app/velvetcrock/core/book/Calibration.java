package app.velvetcrock.core.book;

import java.util.List;
import java.util.Locale;

/**
 * How far forecasts held: the share inside their middle 80 %, and by how much they were off on average (craft: learning).
 *
 * @param inside of how many the yield lay inside its range, {@code of} how many
 * @param bias mean of measured less expected, mL; below nothing where less came back than was foretold
 */
public record Calibration(int inside, int of, double bias, Verdict verdict) {

    /** The share that should lie inside. */
    public static final double EIGHTY = 0.8;

    /** What that comes to. */
    public enum Verdict {
        TOO_FEW("too few to say"),
        TOO_NARROW("your ranges are too narrow"),
        TOO_WIDE("your ranges are too wide"),
        HOLDS("as it should be");

        private final String word;

        Verdict(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** One batch: what was measured beside what was foretold, mL. */
    public record Measured(double out, double expected, double low, double high) {

        public boolean isInside() {
            return out >= low && out <= high;
        }
    }

    public static Calibration of(List<Measured> all) {
        int n = all.size();
        int inside = (int) all.stream().filter(Measured::isInside).count();
        double bias = all.stream()
                .mapToDouble(one -> one.out() - one.expected())
                .average()
                .orElse(0);
        return new Calibration(inside, n, bias, verdict(inside, n));
    }

    static Verdict verdict(int inside, int of) {
        if (of < Tail.ENOUGH) {
            return Verdict.TOO_FEW;
        }
        if (Tail.atMost(inside, of, EIGHTY) < Tail.RARE) {
            return Verdict.TOO_NARROW;
        }
        return Tail.atLeast(inside, of, EIGHTY) < Tail.RARE ? Verdict.TOO_WIDE : Verdict.HOLDS;
    }

    /** As it is shown: "7 of 9 inside their range: as it should be". */
    public String words() {
        return String.format(Locale.ROOT, "%d of %d inside their range: %s", inside, of, verdict.word());
    }
}
