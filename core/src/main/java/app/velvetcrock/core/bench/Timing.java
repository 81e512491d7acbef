package app.velvetcrock.core.bench;

import app.velvetcrock.core.planning.InTime;
import app.velvetcrock.core.timetable.Clashes;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.core.timetable.Timetable;
import app.velvetcrock.core.timetable.WetHerb;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A plan in time.
 *
 * @param timetable with its steps held back as typed; empty where nobody is ever home long enough
 * @param inTime whether it can be made by the day it is needed; empty where none is said
 * @param wet how long wet herb would be tepid; empty where it is not cut into sessions
 * @param firstFree a start at which nothing clashes; empty where nothing clashes now, or none is found
 */
public record Timing(
        List<Step> steps,
        HomeHours home,
        Instant now,
        Optional<Timetable> timetable,
        Optional<Instant> need,
        Optional<InTime> inTime,
        Optional<WetHerb> wet,
        List<Clashes.Clash> clashes,
        Optional<Instant> firstFree) {

    /** Tells whether it could be made in time, and as its steps are held back is not. */
    public boolean isHeldTooLong() {
        return inTime.filter(InTime::isFeasible).isPresent()
                && need.flatMap(at -> timetable.filter(placed -> placed.end().isAfter(at)))
                        .isPresent();
    }

    /** The heat a session of wet herb should get on each of the few days it may take. */
    public long hoursEach() {
        return steps.stream()
                .filter(Step.Heat.class::isInstance)
                .map(step -> (long) Math.ceil(WetHerb.hoursEach(((Step.Heat) step).heat(), home.warmUp())
                                .toMinutes()
                        / 60.0))
                .findFirst()
                .orElse(0L);
    }
}
