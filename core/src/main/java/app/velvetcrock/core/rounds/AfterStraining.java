package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Facts;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.keeping.SniffTest;
import app.velvetcrock.core.planning.BatchPlan;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;

/** What a strained oil still asks for: to be decanted when something settles in it, and to be used before its date. */
public final class AfterStraining {

    /** Oil with water or powder in it stands this long before it is decanted (craft: what you see). */
    private static final Duration SETTLING = Duration.ofHours(24);

    private AfterStraining() {}

    static Optional<Task> decant(Course course, Log log) {
        if (!Facts.isSettling(course, log)) {
            return Optional.empty();
        }
        return log.firstAt(Line.Strained.class)
                .map(at -> Task.open(new TaskKey(TaskKey.AFTER, TaskKind.DECANT, 1), at.plus(SETTLING)));
    }

    /**
     * Asks for an oil near its date to be used or smelled. Each sniff test passed opens the next, by its ordinal.
     *
     * @param plan food of anything moist is asked for by its last day, all else from a fortnight before
     * @param useBy of the oil that ends first and is not used up
     */
    public static Optional<Task> useFirst(BatchPlan plan, Log log, LocalDate useBy, ZoneId zone) {
        int ahead = plan.isMoistFood() ? 0 : SniffTest.LAST_DAYS;
        long passed = log.all(Line.Sniffed.class).stream()
                .filter(Line.Sniffed::passed)
                .count();
        TaskKey key = new TaskKey(TaskKey.AFTER, TaskKind.USE_FIRST, (int) passed + 1);
        Instant due = app.velvetcrock.core.method.Pace.DAYS.after(
                useBy.minusDays(ahead).atTime(12, 0).atZone(zone).toInstant(), 0, zone);
        return log.done(key).isPresent() ? Optional.empty() : Optional.of(Task.open(key, due));
    }
}
