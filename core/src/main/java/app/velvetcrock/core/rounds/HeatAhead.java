package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Placed;
import app.velvetcrock.core.timetable.Scheduler;
import app.velvetcrock.core.timetable.Span;
import app.velvetcrock.core.timetable.Step;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The heat a stage is still to have: the session that runs and those after it, as they fit the hours somebody is home.
 *
 * @param asked when it is to be taken off, or put on again; what was to be done before now keeps its moment
 * @param spans the sessions from now on, the running one since it was put on; none when it has had its heat, or nobody is home so long
 * @param first which session of the batch the first of them is
 * @param off when it was taken off last, where it is off
 */
record HeatAhead(Step.Heat step, boolean on, Instant asked, List<Span> spans, int first, Optional<Instant> off) {

    static HeatAhead of(Course course, HeatCourse heat, Log log, HomeHours hours, Optional<Instant> hold) {
        return heat.on() ? running(course, heat, log, hours) : resting(course, heat, log, hours, hold);
    }

    private static HeatAhead running(Course course, HeatCourse heat, Log log, HomeHours hours) {
        Instant enough = heat.runsUntil().orElseThrow();
        Instant end = isAlone(course.stage(), hours)
                ? hours.hands(enough, Step.A_HAND)
                : hours.whileHome(lastThere(log), enough);
        List<Span> spans = new ArrayList<>();
        Instant since = heat.onSince().filter(end::isAfter).orElse(end.minus(Step.A_HAND));
        spans.add(new Span(since, end));
        Duration rest = Duration.between(end, enough);
        if (rest.compareTo(Step.A_HAND) > 0) {
            spans.addAll(Scheduler.sessions(left(course.stage(), heat, rest, hours), later(end, course.now()), hours));
        }
        return new HeatAhead(
                left(course.stage(), heat, heat.left(), hours), true, end, spans, heat.sessions(), Optional.empty());
    }

    private static HeatAhead resting(Course course, HeatCourse heat, Log log, HomeHours hours, Optional<Instant> hold) {
        Instant last = heat.latest().map(reading -> reading.at()).orElse(course.stageSince());
        Instant off = log.done(TaskKind.HEAT_OFF).stream()
                .map(Entry::happenedAt)
                .max(Comparator.naturalOrder())
                .filter(last::isBefore)
                .orElse(last);
        Step.Heat left = left(course.stage(), heat, heat.left(), hours);
        if (heat.isEnough()) {
            return new HeatAhead(left, false, off, List.of(), heat.sessions() + 1, Optional.of(off));
        }
        Instant from = hold.map(held -> later(held, off)).orElse(off);
        List<Span> spans = Scheduler.sessions(left, from, hours);
        Instant asked = spans.isEmpty() ? from : spans.get(0).startInclusive();
        return new HeatAhead(
                left,
                false,
                asked,
                asked.isBefore(course.now()) ? Scheduler.sessions(left, course.now(), hours) : spans,
                heat.sessions() + 1,
                Optional.of(off));
    }

    /** When all of it will have been given; where it is over already, when it was taken off; not before now where it is still on. */
    Instant ready(Instant now) {
        if (spans.isEmpty()) {
            return step.heat().isZero() ? off.orElse(asked) : later(asked, now).plus(step.heat());
        }
        Instant end = spans.get(spans.size() - 1).endExclusive();
        return on ? later(end, now) : end;
    }

    /** When the last session ends, as it is asked for; absent where none is to come. */
    Optional<Instant> done() {
        return spans.isEmpty()
                ? Optional.empty()
                : Optional.of(spans.get(spans.size() - 1).endExclusive());
    }

    Optional<Placed> placed() {
        return spans.isEmpty() ? Optional.empty() : Optional.of(new Placed(step, spans));
    }

    /** What is asked of it now: its water and its end, or its next beginning; cold in between for wet herb. */
    List<Task> open(Course course, HeatCourse heat, Log log) {
        List<Task> tasks = new ArrayList<>();
        heat.water()
                .map(water -> Task.open(
                        new TaskKey(
                                course.stage().key() + "-" + Rounds.session(course), TaskKind.WATER, water.ordinal()),
                        water.by()))
                .ifPresent(tasks::add);
        if (on) {
            tasks.add(task(TaskKind.HEAT_OFF, first, asked));
            if (spans.size() > 1) {
                cold(tasks, first, asked, spans.get(1).startInclusive());
            }
        } else {
            if (first > 1 && asked.isAfter(off.orElseThrow())) {
                cold(tasks, first - 1, off.get(), asked);
            }
            tasks.add(task(TaskKind.HEAT_ON, first, asked));
        }
        return tasks.stream().filter(task -> log.done(task.key()).isEmpty()).toList();
    }

    /** What will be asked of it after that, session by session. */
    List<Task> later() {
        List<Task> tasks = new ArrayList<>();
        for (int i = 0; i < spans.size(); i++) {
            if (i > 0) {
                tasks.add(task(TaskKind.HEAT_ON, first + i, spans.get(i).startInclusive()));
            }
            if (i > 0 || !on) {
                tasks.add(task(TaskKind.HEAT_OFF, first + i, spans.get(i).endExclusive()));
            }
            if (i > 1 || i == 1 && !on) {
                cold(
                        tasks,
                        first + i - 1,
                        spans.get(i - 1).endExclusive(),
                        spans.get(i).startInclusive());
            }
        }
        return tasks;
    }

    /** The sessions of a stage that has not begun, as they are placed. */
    static HeatAhead of(Placed placed) {
        return new HeatAhead(
                (Step.Heat) placed.step(), false, placed.start(), placed.spans(), 1, Optional.of(placed.start()));
    }

    /** All that will be asked of a stage that has not begun. */
    List<Task> all() {
        List<Task> tasks = new ArrayList<>();
        tasks.add(task(TaskKind.HEAT_ON, first, asked));
        tasks.addAll(later());
        return tasks;
    }

    /**
     * Wet herb stands cold between two sessions that do not follow at once, since what is tepid for long breeds germs (craft: heat, hours
     * at home).
     */
    private void cold(List<Task> tasks, int session, Instant from, Instant until) {
        if (step.wet() && until.isAfter(from)) {
            tasks.add(task(TaskKind.FRIDGE_IN, session, from));
            tasks.add(task(TaskKind.FRIDGE_OUT, session, until));
        }
    }

    private Task task(TaskKind kind, int ordinal, Instant at) {
        return Task.open(new TaskKey(step.key(), kind, ordinal), at);
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

    private static Step.Heat left(Stage stage, HeatCourse heat, Duration left, HomeHours hours) {
        return new Step.Heat(stage.key(), stage.name(), left, heat.wet(), isAlone(stage, hours), stage.attended());
    }

    private static Instant later(Instant one, Instant other) {
        return one.isAfter(other) ? one : other;
    }
}
