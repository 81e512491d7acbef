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

    /** [E] How far floating herb is drawn above the oil, mm. */
    private static final double FLOATING = 6;

    /** [E] Even shaken down, a twentieth of a heap is gaps. */
    private static final double LEAST_GAPS = 0.05;

    /** Works the levels out for a straight cylinder (craft: ratios). */
    public static Levels of(Charge charge) {
        Vessel vessel = charge.vessel();
        Herbs herbs = charge.herbs();
        if (charge.cover().isEnough()) {
            Volume standing = charge.cover() == Cover.COVERS ? herbs.swollenLoose() : herbs.swollenPressed();
            return new Levels(
                    vessel.depthOf(standing), vessel.depthOf(charge.oil().plus(herbs.displacement())));
        }
        Volume loose = herbs.swollenLoose();
        double gaps = gaps(herbs);
        Length herb = vessel.depthOf(loose);
        Length oil = vessel.depthOf(charge.oil().times(1 / gaps));
        return new Levels(
                herb,
                oil.millimetres() <= herb.millimetres()
                        ? oil
                        : vessel.depthOf(charge.oil().plus(herbs.displacement())));
    }

    /**
     * The levels of herb that has risen above the oil, whatever the sum said: it stands loose, the oil between its pieces; herb
     * that has oil enough floats, drawn a little above it.
     */
    public static Levels standingOut(Charge charge) {
        Vessel vessel = charge.vessel();
        Herbs herbs = charge.herbs();
        double gaps = gaps(herbs);
        Length herb = vessel.depthOf(herbs.swollenLoose());
        Length between = vessel.depthOf(charge.oil().times(1 / gaps));
        if (between.millimetres() < herb.millimetres() - FLOATING) {
            return new Levels(herb, between);
        }
        Length oil = vessel.depthOf(charge.oil().plus(herbs.displacement()));
        return new Levels(Length.ofMillimetres(oil.millimetres() + FLOATING), oil);
    }

    /** Share of the standing herb that is not herb; a herb weighed heavier than its own matter lies as dense as anything can. */
    private static double gaps(Herbs herbs) {
        return Math.max(
                LEAST_GAPS,
                1 - herbs.displacement().millilitres() / herbs.swollenLoose().millilitres());
    }

    /** Oil above the herb; nothing when the herb stands out. */
    public Length coverDepth() {
        return Length.ofMillimetres(Math.max(0, oil.millimetres() - herb.millimetres()));
    }

    public boolean standsOut() {
        return herb.millimetres() > oil.millimetres();
    }
}
