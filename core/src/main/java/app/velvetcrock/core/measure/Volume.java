package app.velvetcrock.core.measure;

/** A volume in millilitres, 0 to 1,000,000 mL. */
public record Volume(double millilitres) implements Quantity, Comparable<Volume> {

    /**
     * Finite, and far above what a kitchen holds, so that sums over anything in a kitchen stay within it; what is typed is held to
     * less.
     */
    private static final double MOST = 1e12;

    public static final Volume ZERO = new Volume(0);
    private static final double MICROLITRES_PER_MILLILITRE = 1000;

    public Volume {
        Check.range("volume", millilitres, 0, MOST, "mL");
    }

    public static Volume ofMillilitres(double millilitres) {
        return new Volume(millilitres);
    }

    public static Volume ofMicrolitres(long microlitres) {
        return new Volume(microlitres / MICROLITRES_PER_MILLILITRE);
    }

    /** Rounds to whole microlitres, the ledger's unit. */
    public long toMicrolitres() {
        return Math.round(millilitres * MICROLITRES_PER_MILLILITRE);
    }

    public Volume plus(Volume other) {
        return new Volume(millilitres + other.millilitres);
    }

    /** Subtracts, stopping at nothing. */
    public Volume minusToZero(Volume other) {
        return new Volume(Math.max(0, millilitres - other.millilitres));
    }

    public Volume times(double factor) {
        return new Volume(millilitres * factor);
    }

    public Volume atLeast(Volume other) {
        return compareTo(other) >= 0 ? this : other;
    }

    @Override
    public int compareTo(Volume other) {
        return Double.compare(millilitres, other.millilitres);
    }
}
