package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;

/**
 * The same charge in all schools of ratio at once.
 *
 * @param weightToVolume mL of oil to a gram of herb (1 : n)
 * @param cupsToCups parts of oil by volume to one part of loose herb
 * @param jarFill share of the jar the loose herb fills before the oil goes in
 * @param herbDepth depth of the loose herb
 * @param oilAbove depth of oil above it once it stands as found; nothing when it stands out
 * @param oilWeight the oil by weight
 */
public record Schools(
        double weightToVolume, double cupsToCups, double jarFill, Length herbDepth, Length oilAbove, Mass oilWeight) {

    public static Schools of(Charge charge, Density oilDensity) {
        Volume loose = charge.herbs().looseBulk();
        return new Schools(
                charge.ratio(),
                charge.oil().millilitres() / loose.millilitres(),
                loose.millilitres() / charge.vessel().capacity().millilitres(),
                charge.vessel().depthOf(loose),
                Levels.of(charge).coverDepth(),
                oilDensity.massOf(charge.oil()));
    }

    /** Oil for a weight-to-volume ratio: V = n·m. */
    public static Volume oilByWeight(Herbs herbs, double ratio) {
        return Volume.ofMillilitres(herbs.mass().grams() * ratio);
    }

    /** Oil for a ratio of kitchen volumes, herb loose. */
    public static Volume oilByCups(Herbs herbs, double parts) {
        return herbs.looseBulk().times(parts);
    }

    /** Herb that loosely fills a share of the jar, in the proportions given: m = fill × capacity × bulk density. */
    public static Herbs herbForFill(Herbs herbs, Vessel vessel, double fill) {
        return herbs.times(
                fill * vessel.capacity().millilitres() / herbs.looseBulk().millilitres());
    }

    /** Herb that lies loosely so deep in a vessel, in the proportions given: m = area × depth × bulk density. */
    public static Herbs herbForDepth(Herbs herbs, Vessel vessel, Length depth) {
        return herbs.times(
                vessel.volumeOf(depth).millilitres() / herbs.looseBulk().millilitres());
    }

    /** Oil that fills the jar to its headspace over the herb. */
    public static Volume oilToFill(Herbs herbs, Vessel vessel, double headspace) {
        return vessel.capacity().times(1 - headspace).minusToZero(herbs.displacement());
    }
}
