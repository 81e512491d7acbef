package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;

/**
 * How high herb and oil stand in the vessel, from its inner floor; either may be above the brim of a jar too small.
 *
 * @param herb top of the herb
 * @param oil top of the oil
 */
public record Levels(Length herb, Length oil) {

    /** Works the levels out for a straight cylinder (craft: ratios). */
    public static Levels of(Charge charge) {
        Vessel vessel = charge.vessel();
        Herbs herbs = charge.herbs();
        if (charge.cover().isEnough()) {
            Volume standing = charge.cover() == Cover.COVERS ? herbs.swollenLoose() : herbs.swollenPressed();
            return new Levels(vessel.depthOf(standing), vessel.depthOf(charge.oil().plus(herbs.displacement())));
        }
        Volume loose = herbs.swollenLoose();
        double gaps = 1 - herbs.displacement().millilitres() / loose.millilitres();
        Length herb = vessel.depthOf(loose);
        Length oil = vessel.depthOf(charge.oil().times(1 / gaps));
        return new Levels(herb, oil.millimetres() <= herb.millimetres() ? oil : vessel.depthOf(charge.oil().plus(herbs.displacement())));
    }

    /** Oil above the herb; nothing when the herb stands out. */
    public Length coverDepth() {
        return Length.ofMillimetres(Math.max(0, oil.millimetres() - herb.millimetres()));
    }

    public boolean standsOut() {
        return herb.millimetres() > oil.millimetres();
    }
}
