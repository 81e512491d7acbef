package app.velvetcrock.core.materia;

import app.velvetcrock.core.measure.Density;

/**
 * How one part at one cut lies in a jar and what it keeps of the oil.
 *
 * @param bulk loosely filled, dried, g/mL
 * @param freshBulk the same, fresh
 * @param packing how much denser it lies pushed down or weighted: 1 or 1.6
 * @param retention mL of oil kept per g of herb, cloth pressed by hand, dried
 * @param retentionSpread its standard deviation, batch scatter included
 */
public record Texture(
        Part part, Cut cut, Density bulk, Density freshBulk, double packing, double retention, double retentionSpread) {

    /** [E] Pulp of juicy plants, g/mL (craft: measures). */
    private static final Density PULP = Density.ofGramsPerMillilitre(0.95);

    /** The loose bulk density in a moisture state; wilted lies half-way between fresh and dried. */
    public Density bulkIn(Moisture moisture) {
        return switch (moisture) {
            case DRIED -> bulk;
            case WILTED -> Density.ofGramsPerMillilitre(
                    (bulk.gramsPerMillilitre() + freshBulk.gramsPerMillilitre()) / 2);
            case FRESH -> freshBulk;
            case JUICY -> PULP;
        };
    }

    public double packingIn(Moisture moisture) {
        return moisture == Moisture.JUICY ? 1 : packing;
    }
}
