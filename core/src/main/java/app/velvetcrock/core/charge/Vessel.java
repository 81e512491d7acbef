package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;

/**
 * A straight cylinder that holds a charge.
 *
 * @param capacity to the brim, 10 to 50,000 mL
 * @param innerWidth inside, 20 to 800 mm
 * @param open true for a wide pot or insert that is stirred and watched, false for a jar with a lid
 */
public record Vessel(String name, Volume capacity, Length innerWidth, boolean open) {

    /** Depth of oil wanted above the herb in a jar, and in a pot that is stirred (craft: ratios). */
    private static final Length JAR_COVER = Length.ofMillimetres(20);

    private static final Length POT_COVER = Length.ofMillimetres(10);

    private static final double CUBIC_MILLIMETRES_PER_MILLILITRE = 1000;

    /** [E] How many times its width a usual jar is high. */
    private static final double USUAL_HEIGHT = 1.15;

    public Vessel {
        Check.range("capacity", capacity.millilitres(), 10, 50_000, "mL");
        Check.range("inner width", innerWidth.millimetres(), 20, 800, "mm");
    }

    /** A jar with a lid. */
    public Vessel(String name, Volume capacity, Length innerWidth) {
        this(name, capacity, innerWidth, false);
    }

    /** Depth of oil wanted above the herb: 20 mm, 10 in an open pot. */
    public Length coverDepth() {
        return open ? POT_COVER : JAR_COVER;
    }

    /**
     * The inner width of a usual preserving jar of a size, in whole mm: as high as 1.15 times its width [E]. 500 mL: 82 mm.
     *
     * @param capacity to the brim
     */
    public static Length usualWidth(Volume capacity) {
        double cube = 4 * capacity.millilitres() * CUBIC_MILLIMETRES_PER_MILLILITRE / (Math.PI * USUAL_HEIGHT);
        return Length.ofMillimetres(Math.rint(Math.cbrt(cube)));
    }

    /** The inner floor in mm²: π·width²/4. */
    public double areaSquareMillimetres() {
        return Math.PI * innerWidth.millimetres() * innerWidth.millimetres() / 4;
    }

    public Length height() {
        return depthOf(capacity);
    }

    public Length depthOf(Volume volume) {
        return Length.ofMillimetres(volume.millilitres() * CUBIC_MILLIMETRES_PER_MILLILITRE / areaSquareMillimetres());
    }

    public Volume volumeOf(Length depth) {
        return Volume.ofMillilitres(areaSquareMillimetres() * depth.millimetres() / CUBIC_MILLIMETRES_PER_MILLILITRE);
    }
}
