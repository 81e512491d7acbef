package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;

/**
 * The density a thing is known to have, and how far a weight and a volume of it may imply another.
 *
 * @param density g/mL; of heaped things the loose bulk density
 * @param agrees share by which the implied density may differ and still agree
 * @param least below this one of the two is misread, g/mL
 * @param most above this one of the two is misread, g/mL
 */
public record KnownDensity(Density density, double agrees, double least, double most) {

    /** A liquid more than this off is worth a look (craft: measures, contradiction check). */
    private static final double LIQUID_AGREES = 0.03;

    /** [E] Heaped things differ this much from kitchen to kitchen (craft: measures). */
    private static final double HERB_AGREES = 0.4;

    /** Pellets weigh 0.45 to 0.65 g/mL (craft: measures, contradiction check), that is about 0.55 by so much. */
    private static final double PELLETS_AGREE = 0.15;

    /** [E] Liquids that are no oil: further off than this, one of the two is misread. */
    private static final double LIQUID_MOST_OFF = 0.15;

    /** No oil or melted fat is lighter than this, g/mL (craft: measures, contradiction check). */
    public static final double LIGHTEST_OIL = 0.84;

    /** No oil or melted fat is heavier than this, g/mL (craft: measures, contradiction check). */
    public static final double HEAVIEST_OIL = 0.97;

    /** [E] An oil or a melt of which no more is known, g/mL: between the lightest and the heaviest (craft: measures). */
    public static final KnownDensity SOME_OIL = ofOil(Density.ofGramsPerMillilitre(0.92));

    /** An oil or melted fat. */
    public static KnownDensity ofOil(Density density) {
        return new KnownDensity(density, LIQUID_AGREES, LIGHTEST_OIL, HEAVIEST_OIL);
    }

    /** Any other liquid: water, spirit, honey, glycerine. */
    public static KnownDensity ofLiquid(Density density) {
        double known = density.gramsPerMillilitre();
        return new KnownDensity(density, LIQUID_AGREES, known * (1 - LIQUID_MOST_OFF), known * (1 + LIQUID_MOST_OFF));
    }

    /** Wax pellets as they are scooped: 0.45 to 0.65 g/mL. */
    public static KnownDensity ofPellets(Density bulk) {
        return new KnownDensity(bulk, PELLETS_AGREE, 0.45, 0.65);
    }

    /** A herb heaped loosely: half to two and a half times its bulk density. */
    public static KnownDensity ofHerb(Density bulk) {
        double known = bulk.gramsPerMillilitre();
        return new KnownDensity(bulk, HERB_AGREES, known * 0.5, known * 2.5);
    }

    boolean isLiquid() {
        return agrees <= LIQUID_AGREES;
    }

    /** Tells whether two go together so well that a slip to one of them explains the other. */
    boolean fits(Mass mass, Volume volume) {
        return volume.millilitres() > 0 && Math.abs(offBy(mass, volume)) <= agrees;
    }

    double offBy(Mass mass, Volume volume) {
        return mass.grams() / volume.millilitres() / density.gramsPerMillilitre() - 1;
    }
}
