package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/**
 * A jar standing in a pan of water: the water stands to the oil's level, and the pan must hold it (craft: ratios).
 *
 * @param pan what it stands in
 * @param depth the water's, up to the oil
 * @param water how much that is, the jar standing in it
 */
public record Bath(Vessel pan, Length depth, Volume water) {

    /** [E] Glass and a finger's room round the jar, mm across. */
    private static final double ROOM_ROUND = 20;

    /** [E] Rim left above the water so that it does not slop over, mm. */
    private static final double RIM = 10;

    /** Finds the smallest pan that takes the jar with its water; empty where none is wide and deep enough. */
    public static Optional<Bath> smallest(Collection<Vessel> pans, Charge charge) {
        return pans.stream()
                .filter(pan -> holds(pan, charge))
                .min(Comparator.comparing(Vessel::capacity))
                .map(pan -> in(pan, charge));
    }

    private static boolean holds(Vessel pan, Charge charge) {
        boolean wide =
                pan.innerWidth().millimetres() >= charge.vessel().innerWidth().millimetres() + ROOM_ROUND;
        return wide && pan.height().millimetres() >= Levels.of(charge).oil().millimetres() + RIM;
    }

    private static Bath in(Vessel pan, Charge charge) {
        Length depth = Levels.of(charge).oil();
        return new Bath(
                pan, depth, pan.volumeOf(depth).minusToZero(charge.vessel().volumeOf(depth)));
    }
}
