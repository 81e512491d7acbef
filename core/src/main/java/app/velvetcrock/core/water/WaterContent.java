package app.velvetcrock.core.water;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Mass;

/**
 * The share of water in a herb, wet basis [E] (craft: water).
 *
 * @param fraction of its mass, 0.01 to 0.97
 */
public record WaterContent(double fraction) {

    /** Least share of water a herb can hold, and {@link #WETTEST} the most, so that a sum never divides by nothing. */
    public static final double DRIEST = 0.01;

    public static final double WETTEST = 0.97;

    public static final WaterContent DRIED = new WaterContent(0.10);
    private static final WaterContent POWDER = new WaterContent(0.08);
    private static final double WILTED_MOST = 0.60;
    private static final double WILTED_SHARE = 0.8;
    private static final WaterContent FRESH = new WaterContent(0.85);
    private static final WaterContent FRESH_BUD = new WaterContent(0.45);
    private static final WaterContent FRESH_ROOT = new WaterContent(0.72);
    private static final WaterContent PULP = new WaterContent(0.90);

    /** Resin holds hardly any water, fresh or not. */
    private static final WaterContent RESIN = new WaterContent(0.05);

    public WaterContent {
        Check.range("water", fraction, DRIEST, WETTEST, "of the weight");
    }

    /** The estimate for a part in a state; woody parts count as root, since no figure of their own is held. */
    public static WaterContent of(Part part, Cut cut, Moisture moisture) {
        if (part == Part.RESIN) {
            return RESIN;
        }
        return switch (moisture) {
            case DRIED -> cut == Cut.POWDER ? POWDER : DRIED;
            case WILTED -> of(part, cut, Moisture.FRESH).wilted();
            case JUICY -> PULP;
            case FRESH -> switch (part) {
                case PETALS, FLOWER, TOPS, LEAF, BERRY -> FRESH;
                case BUD -> FRESH_BUD;
                default -> FRESH_ROOT;
            };
        };
    }

    /** The same after it has wilted: the lesser of 0.60 and 0.8 of what it held (craft: water). */
    public WaterContent wilted() {
        return new WaterContent(Math.max(DRIEST, Math.min(WILTED_MOST, WILTED_SHARE * fraction)));
    }

    /** What of a weight is not water. */
    public Mass dryMatter(Mass mass) {
        return mass.times(1 - fraction);
    }

    /** The weight of the same dry matter at another share of water: m·(1 − w)/(1 − w′). */
    public Mass equivalent(Mass mass, WaterContent other) {
        return mass.times(gramIn(other));
    }

    /** What a gram weighs with the same dry matter at another share of water: (1 − w)/(1 − w′). */
    public double gramIn(WaterContent other) {
        return (1 - fraction) / (1 - other.fraction);
    }
}
