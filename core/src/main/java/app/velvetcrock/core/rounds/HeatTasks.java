package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Scheduler;
import app.velvetcrock.core.timetable.Step;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** The tasks of heat: on, off, its water, and cold in between for wet herb. */
final class HeatTasks {

    private HeatTasks() {}

    static List<Task> of(Course course, HeatCourse heat, Log log, HomeHours hours) {
        Stage stage = course.stage();
        Instant last = heat.latest().map(reading -> reading.at()).orElse(course.stageSince());
        if (heat.on()) {
            Instant enough = heat.runsUntil().orElseThrow();
            Instant end = isAlone(stage, hours) ? enough : hours.whileHome(lastThere(log), enough);
            List<Task> tasks = new ArrayList<>();
            heat.water()
                    .map(water -> Task.open(
                            new TaskKey(stage.key() + "-" + Rounds.session(course), TaskKind.WATER, water.ordinal()),
                            water.by()))
                    .ifPresent(tasks::add);
            tasks.add(Task.open(new TaskKey(stage.key(), TaskKind.HEAT_OFF, heat.sessions()), end));
            if (end.isBefore(enough.minus(Rounds.A_HAND))) {
                Step.Heat rest = left(stage, Duration.between(end, enough), hours);
                tasks.addAll(cold(course, heat, end, Scheduler.nextSession(rest, end, hours), log));
            }
            return tasks;
        }
        if (heat.isEnough()) {
            return List.of(Rounds.end(course, last));
        }
        Instant off = log.done(TaskKind.HEAT_OFF).stream()
                .map(Entry::happenedAt)
                .max(Comparator.naturalOrder())
                .filter(last::isBefore)
                .orElse(last);
        Instant on = Scheduler.nextSession(left(stage, heat.left(), hours), off, hours);
        return Stream.concat(
                        cold(course, heat, off, on, log).stream(),
                        Stream.of(Task.open(new TaskKey(stage.key(), TaskKind.HEAT_ON, heat.sessions() + 1), on)))
                .toList();
    }

    /** When its heat will have been given: while it is on and after it as reckoned, before it as if it were begun when it is asked for. */
    static Instant over(Course course, HeatCourse heat, HomeHours hours) {
        Instant last = heat.latest().map(reading -> reading.at()).orElse(course.stageSince());
        return heat.runsUntil()
                .orElseGet(() -> heat.isEnough()
                        ? last
                        : Scheduler.nextSession(left(course.stage(), heat.left(), hours), last, hours)
                                .plus(heat.left()));
    }

    /**
     * Wet herb stands cold between two sessions that do not follow at once, since what is tepid for long breeds germs (craft: heat, hours
     * at home).
     */
    private static List<Task> cold(Course course, HeatCourse heat, Instant off, Instant on, Log log) {
        if (!heat.wet() || heat.sessions() == 0 || !on.isAfter(off)) {
            return List.of();
        }
        return Stream.of(
                        Task.open(new TaskKey(course.stage().key(), TaskKind.FRIDGE_IN, heat.sessions()), off),
                        Task.open(new TaskKey(course.stage().key(), TaskKind.FRIDGE_OUT, heat.sessions()), on))
                .filter(task -> log.done(task.key()).isEmpty())
                .toList();
    }

    /** Tells whether it may be on with nobody beside it. */
    static boolean isAlone(Stage stage, HomeHours hours) {
        return hours.heatAlone() && !stage.attended();
    }

    /**
     * When somebody was last there who wrote something down. Whoever was there within the hours at home goes when these end, and so
     * must the heat; whoever was there out of hours is believed.
     */
    private static Instant lastThere(Log log) {
        return log.entries().get(log.entries().size() - 1).happenedAt();
    }

    private static Step.Heat left(Stage stage, Duration left, HomeHours hours) {
        return new Step.Heat(stage.key(), stage.name(), left, false, isAlone(stage, hours), stage.attended());
    }
}
