package app.velvetcrock.core.measure;

/** A length in millimetres, 0 to 10,000 mm. */
public record Length(double millimetres) implements Quantity {

    /**
     * Finite, and far above what a kitchen holds, so that sums over anything in a kitchen stay within it; what is typed is held to
     * less.
     */
    private static final double MOST = 1e12;

    public Length {
        Check.range("length", millimetres, 0, MOST, "mm");
    }

    public static Length ofMillimetres(double millimetres) {
        return new Length(millimetres);
    }
}
