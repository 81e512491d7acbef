package app.velvetcrock.core.course;

import app.velvetcrock.core.heat.HeatOutline;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatRecord;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What probes read of one heated stage: the course as far as it is kept, and the readings it goes on with.
 *
 * @param kept its newest checkpoint
 * @param outline the readings up to there as they are drawn
 * @param lately the readings since, in order, and those of the last hour at the least
 * @param inSince when the probe was put in that is in it now; absent for none
 */
public record Probed(
        Optional<HeatRecord.Checkpoint> kept,
        HeatOutline outline,
        List<HeatReading> lately,
        Optional<Instant> inSince) {

    public static final Probed NOTHING = new Probed(Optional.empty(), HeatOutline.EMPTY, List.of(), Optional.empty());

    public Probed {
        lately = List.copyOf(lately);
    }

    /** Tells whether no probe ever was in it, so that the log tells all. */
    boolean isNothing() {
        return kept.isEmpty() && lately.isEmpty() && inSince.isEmpty();
    }

    /** The readings a picture goes through, in order: the last hour's as finely as it is short, the rest as it was outlined. */
    List<HeatReading> drawn() {
        if (lately.isEmpty()) {
            return outline.points();
        }
        Instant fine = lately.get(0).at();
        return Stream.concat(
                        outline.points().stream().filter(reading -> reading.at().isBefore(fine)),
                        HeatOutline.EMPTY.plus(lately).points().stream())
                .toList();
    }

    /** When a probe last spoke, or was put in and has not yet; absent where none is in it. */
    Optional<Instant> heardOf() {
        return inSince.map(
                put -> lately.isEmpty() || lately.get(lately.size() - 1).at().isBefore(put)
                        ? put
                        : lately.get(lately.size() - 1).at());
    }
}
