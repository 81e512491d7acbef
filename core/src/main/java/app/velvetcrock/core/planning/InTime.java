package app.velvetcrock.core.planning;

import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Scheduler;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.core.timetable.Timetable;
import app.velvetcrock.core.timetable.WetHerb;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Whether a plan can be made by the moment it is needed, in the hours somebody is home.
 *
 * @param need the moment it is needed
 * @param soonest its timetable when it is begun now; empty where nobody is ever home long enough
 * @param spoils true where its heat would come in so many sessions that wet herb turns
 * @param latest its timetable begun as late as still makes it; empty where it cannot be made
 */
public record InTime(
        Instant now, Instant need, Optional<Timetable> soonest, Optional<Timetable> latest, boolean spoils) {

    /** Works both out. */
    public static InTime of(List<Step> steps, Instant now, Instant need, HomeHours hours) {
        Optional<Timetable> soonest = Scheduler.sound(steps, now, hours, Map.of());
        Optional<Timetable> latest = Scheduler.soundBackward(steps, now, need, hours);
        boolean spoils = latest.or(() -> soonest)
                .flatMap(timetable -> WetHerb.of(timetable, hours.warmUp()))
                .filter(WetHerb::isTooLong)
                .isPresent();
        return new InTime(now, need, soonest, latest, spoils);
    }

    /** Tells whether it can be made; wet herb that would be tepid too long cannot. */
    public boolean isFeasible() {
        return latest.isPresent() && !spoils;
    }

    /** How long one may still put off beginning; empty where it cannot be made. */
    public Optional<Duration> slack() {
        return latest.map(
                timetable -> Duration.between(soonest.orElse(timetable).start(), timetable.start()));
    }

    /** By how much it would be late when begun now; empty where it is not. */
    public Optional<Duration> late() {
        return soonest.map(timetable -> Duration.between(need, timetable.end()))
                .filter(late -> !late.isNegative() && !late.isZero());
    }
}
