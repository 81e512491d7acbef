package app.velvetcrock.core.measure;

/** A length in millimetres, 0 to 10,000 mm. */
public record Length(double millimetres) implements Quantity {

    public Length {
        Check.range("length", millimetres, 0, 10_000, "mm");
    }

    public static Length ofMillimetres(double millimetres) {
        return new Length(millimetres);
    }
}
