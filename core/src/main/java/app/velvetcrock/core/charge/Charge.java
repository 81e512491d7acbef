package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Volume;

/**
 * Herb and oil in a vessel.
 *
 * @param headspace share of the capacity to be left empty: 0.10 cold and shaken, 0.15 heated
 */
public record Charge(Herbs herbs, Volume oil, Vessel vessel, double headspace) {

    /** Air left in a jar that stands and is shaken, as a share of it (craft: does it fit). */
    public static final double COLD_HEADSPACE = 0.10;
    /** Air left in one that is heated (craft: does it fit). */
    public static final double HEATED_HEADSPACE = 0.15;

    public Charge {
        Check.range("headspace", headspace, 0, 0.5, "of the jar");
    }

    /** Oil needed for loose herb: swollen bulk − displacement + the cover over the whole width. */
    public Volume looseNeed() {
        return need(herbs.swollenLoose());
    }

    /** Oil needed once the herb is pushed under, weighted or shaken down. */
    public Volume pressedNeed() {
        return need(herbs.swollenPressed());
    }

    public Cover cover() {
        if (oil.compareTo(looseNeed()) >= 0) {
            return Cover.COVERS;
        }
        return oil.compareTo(pressedNeed()) >= 0 ? Cover.COVERS_PUSHED_UNDER : Cover.WILL_NOT_COVER;
    }

    /** Room the charge takes: the larger of oil with herb in it, and swollen herb with its cover. */
    public Volume room() {
        Volume standing = cover() == Cover.COVERS_PUSHED_UNDER ? herbs.swollenPressed() : herbs.swollenLoose();
        return oil.plus(herbs.displacement()).atLeast(standing.plus(coverVolume()));
    }

    public Volume roomAllowed() {
        return vessel.capacity().times(1 - headspace);
    }

    public boolean fits() {
        return room().compareTo(roomAllowed()) <= 0;
    }

    /** What does not fit under the headspace; nothing where all does. */
    public Volume tooMuch() {
        return room().minusToZero(roomAllowed());
    }

    /** Share of the vessel left empty; below zero when the charge would run over. */
    public double airShare() {
        return 1 - room().millilitres() / vessel.capacity().millilitres();
    }

    /** Millilitres of oil to a gram of herb. */
    public double ratio() {
        return oil.millilitres() / herbs.mass().grams();
    }

    public Charge withOil(Volume other) {
        return new Charge(herbs, other, vessel, headspace);
    }

    public Charge in(Vessel other) {
        return new Charge(herbs, oil, other, headspace);
    }

    Volume coverVolume() {
        return vessel.volumeOf(vessel.coverDepth());
    }

    private Volume need(Volume swollen) {
        return swollen.plus(coverVolume()).minusToZero(herbs.displacement());
    }
}
