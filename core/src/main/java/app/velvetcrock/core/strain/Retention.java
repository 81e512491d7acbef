package app.velvetcrock.core.strain;

import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Texture;

/**
 * What the marc keeps: mL of oil per g of herb as weighed.
 *
 * @param mean expected, 0 to 4
 * @param spread standard deviation, batch scatter included
 */
public record Retention(double mean, double spread) {

    /** [E] Oil left in a herb that only dripped, beyond what pressing leaves (craft: strain). */
    private static final double DRIP_DRY = 0.9;
    private static final double DRIP_WET = 0.3;
    /** [E] A screw press leaves six tenths. */
    private static final double SCREW = 0.6;

    /** The shipped estimate for a herb that nobody has measured yet. */
    public static Retention shipped(Texture texture, Moisture moisture, Pressing pressing) {
        Retention byHand = switch (moisture) {
            case DRIED -> new Retention(texture.retention(), texture.retentionSpread());
            case WILTED -> new Retention(0.5, 0.2);
            case FRESH -> new Retention(0.15, 0.08);
            case JUICY -> new Retention(0.25, 0.10);
        };
        return switch (pressing) {
            case HAND -> byHand;
            case DRIP -> new Retention(byHand.mean + (moisture.isDried() ? DRIP_DRY : DRIP_WET), byHand.spread);
            case SCREW -> new Retention(byHand.mean * SCREW, byHand.spread * SCREW);
        };
    }
}
