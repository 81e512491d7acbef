package app.velvetcrock.core.measure;

/** A mass in grams, 0 to 1,000,000 g. */
public record Mass(double grams) implements Quantity, Comparable<Mass> {

    /**
     * Finite, and far above what a kitchen holds, so that sums over anything in a kitchen stay within it; what is typed is held to
     * less.
     */
    private static final double MOST = 1e12;

    public static final Mass ZERO = new Mass(0);
    private static final double MILLIGRAMS_PER_GRAM = 1000;

    public Mass {
        Check.range("mass", grams, 0, MOST, "g");
    }

    public static Mass ofGrams(double grams) {
        return new Mass(grams);
    }

    public static Mass ofMilligrams(long milligrams) {
        return new Mass(milligrams / MILLIGRAMS_PER_GRAM);
    }

    /** Rounds to whole milligrams, the ledger's unit. */
    public long toMilligrams() {
        return Math.round(grams * MILLIGRAMS_PER_GRAM);
    }

    public Mass plus(Mass other) {
        return new Mass(grams + other.grams);
    }

    public Mass times(double factor) {
        return new Mass(grams * factor);
    }

    @Override
    public int compareTo(Mass other) {
        return Double.compare(grams, other.grams);
    }
}
