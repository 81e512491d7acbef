package app.velvetcrock.core.charge;

import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.Optional;

/**
 * Some of one herb as it goes into a vessel.
 *
 * @param weighedBulk loose bulk density the household weighed itself; replaces the estimate
 * @param usualRatio millilitres of oil usual for one gram of it
 */
public record HerbPortion(
        Mass mass, Texture texture, Moisture moisture, Optional<Density> weighedBulk, double usualRatio) {

    /** [E] g/mL of the plant matter itself (craft: measures). */
    private static final Density DRY_PARTICLE = Density.ofGramsPerMillilitre(1.40);

    private static final Density WET_PARTICLE = Density.ofGramsPerMillilitre(1.00);
    /** [E] Dried herb swells in oil by 15 %, wet herb not at all (craft: ratios). */
    private static final double DRY_SWELLING = 1.15;

    private static final double LEAST_GRAMS = Double.MIN_NORMAL;
    private static final double MOST_GRAMS = 1_000_000;
    /** Wilted or fresh herb is usually charged 1:2 to 1:3; the middle (craft: ratios). */
    private static final double WET_USUAL_RATIO = 2.5;

    /** Juicy pulp goes into the pan with as much oil (craft: methods). */
    private static final double PULP_USUAL_RATIO = 1;

    public HerbPortion {
        Check.range("herb", mass.grams(), LEAST_GRAMS, MOST_GRAMS, "g");
        Check.range("usual ratio", usualRatio, 0.5, 100, "mL to a gram");
    }

    public Density bulk() {
        return weighedBulk.orElseGet(() -> texture.bulkIn(moisture));
    }

    /** Room the plant matter itself takes in the oil. */
    public Volume displacement() {
        return displacement(mass, moisture);
    }

    /** Room so much plant matter itself takes in the oil, whatever its cut. */
    public static Volume displacement(Mass mass, Moisture moisture) {
        return (moisture.isDried() ? DRY_PARTICLE : WET_PARTICLE).volumeOf(mass);
    }

    /** Loose bulk as filled, before swelling. */
    public Volume looseBulk() {
        return bulk().volumeOf(mass);
    }

    public Volume swollenLoose() {
        return looseBulk().times(swelling());
    }

    public Volume swollenPressed() {
        return swollenLoose().times(1 / texture.packingIn(moisture));
    }

    public Volume usualOil() {
        double ratio =
                moisture.isDried() ? usualRatio : moisture == Moisture.JUICY ? PULP_USUAL_RATIO : WET_USUAL_RATIO;
        return Volume.ofMillilitres(mass.grams() * ratio);
    }

    public HerbPortion times(double factor) {
        return new HerbPortion(mass.times(factor), texture, moisture, weighedBulk, usualRatio);
    }

    private double swelling() {
        return moisture.isDried() ? DRY_SWELLING : 1;
    }
}
