package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatAlarm;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Tending;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.timetable.HomeHours;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Derives a batch's tasks. Of each kind at most one is open: doing it covers every earlier one of its kind that was missed,
 * so nothing is asked for twice. What falls due while nobody is home is asked when somebody is.
 */
public final class Rounds {

    private static final int ALPHABET = 26;

    /** What somebody who is home can always do between two other things. */
    static final Duration A_HAND = Duration.ofMinutes(5);

    private Rounds() {}

    /** The open tasks of a batch, at most one of a kind, however far ahead it falls due. */
    public static List<Task> open(Course course, Log log, HomeHours hours) {
        return open(course, log, hours, Map.of());
    }

    /**
     * The same with some of its steps held back.
     *
     * @param notBefore moments before which a step, by its key, is not to begin
     */
    public static List<Task> open(Course course, Log log, HomeHours hours, Map<String, Instant> notBefore) {
        return placed(course, log, hours.zone(), hours).stream()
                .map(task -> isBesideIt(task, course, hours)
                        ? task
                        : Task.open(
                                task.key(),
                                hours.hands(
                                        held(task, course, notBefore),
                                        task.key().kind() == TaskKind.STRAIN ? PlanSteps.STRAINING : A_HAND)))
                .toList();
    }

    /** Heat that is not left alone has somebody beside it for as long as it is on; heat that is left alone waits for them like all else. */
    private static boolean isBesideIt(Task task, Course course, HomeHours hours) {
        boolean onHeat = task.key().kind() == TaskKind.READ
                || task.key().kind() == TaskKind.WATER
                || task.key().kind() == TaskKind.HEAT_OFF
                // Whoever takes it off puts it cold then, and not when somebody is up again.
                || task.key().kind() == TaskKind.FRIDGE_IN;
        return onHeat && !HeatTasks.isAlone(course.stage(), hours);
    }

    /** When it falls due, or when the step it begins is no longer held back. */
    private static Instant held(Task task, Course course, Map<String, Instant> notBefore) {
        Optional<String> begins =
                switch (task.key().kind()) {
                    case STRAIN -> Optional.of(PlanSteps.STRAIN);
                    case HEAT_ON -> Optional.of(course.stage().key());
                    case NEXT -> course.next().map(Stage::key);
                    default -> Optional.empty();
                };
        return begins.map(notBefore::get)
                .filter(hold -> hold.isAfter(task.due()))
                .orElse(task.due());
    }

    private static List<Task> placed(Course course, Log log, ZoneId zone, HomeHours hours) {
        List<Task> tasks = new ArrayList<>();
        if (course.state() == Course.State.STANDING) {
            // Once it is time to strain, that is what is asked; shaking or another look would only put it off.
            List<Tending> tendings = course.isDue() && course.heat().isEmpty()
                    ? List.of()
                    : course.stage().tendings();
            tendings.forEach(tending -> tending(course, tending, log, zone).ifPresent(tasks::add));
            pushUnder(course, log).ifPresent(tasks::add);
            tasks.addAll(course.heat()
                    .map(heat -> HeatTasks.of(course, heat, log, hours))
                    .orElseGet(() -> List.of(end(course, course.stageEnd(zone)))));
            spiritGone(course, hours).ifPresent(tasks::add);
        } else if (course.state() == Course.State.STRAINED) {
            AfterStraining.decant(course, log).ifPresent(tasks::add);
        }
        return tasks;
    }

    /**
     * Every task of a batch from now to {@code until}, as it will be asked if each is done in its time: what is open, the later
     * ones of each kind in this stage, and what
     * ends it. Those of later stages follow when they begin.
     *
     * @param open its open tasks
     */
    public static List<Task> ahead(Course course, List<Task> open, HomeHours hours, Instant until) {
        List<Task> all = new ArrayList<>(open);
        for (Task task : open) {
            course.stage().tendings().stream()
                    .filter(tending ->
                            tending.kind().name().equals(task.key().kind().name())
                                    && course.heat().isEmpty())
                    .forEach(tending ->
                            all.addAll(later(course, tending, task.key().ordinal() + 1, hours)));
        }
        return all.stream()
                .filter(task -> !task.due().isAfter(until))
                .sorted(Comparator.comparing(Task::due))
                .toList();
    }

    /** What was still to come of a batch's stage when it ended, and will not be asked: its tendings and its end, without what was done. */
    public static List<Task> calledOff(Course course, Log log, HomeHours hours) {
        List<Task> tasks = new ArrayList<>();
        if (course.heat().isEmpty()) {
            for (Tending tending : course.stage().tendings()) {
                tasks.addAll(later(course, tending, 1, hours));
            }
        }
        tasks.add(end(course, course.stageEnd(hours.zone())));
        return tasks.stream().filter(task -> log.done(task.key()).isEmpty()).toList();
    }

    private static List<Task> later(Course course, Tending tending, int first, HomeHours hours) {
        List<Task> tasks = new ArrayList<>();
        for (int ordinal = first; tending.at(ordinal) < course.length(); ordinal++) {
            Instant due = course.stage().pace().after(course.stageSince(), tending.at(ordinal), hours.zone());
            tasks.add(Task.open(
                    new TaskKey(
                            course.stage().key(),
                            TaskKind.valueOf(tending.kind().name()),
                            ordinal),
                    hours.hands(due, A_HAND)));
        }
        return tasks;
    }

    /** The tasks that were done in a stretch of time, each once. */
    public static List<Task> doneBetween(Log log, Instant startInclusive, Instant endExclusive) {
        return log.entries().stream()
                .filter(entry -> !entry.happenedAt().isBefore(startInclusive)
                        && entry.happenedAt().isBefore(endExclusive))
                .filter(entry -> entry.line().task().isPresent())
                .map(entry -> new Task(
                        entry.line().task().orElseThrow(),
                        entry.happenedAt(),
                        Optional.of(entry.happenedAt()),
                        Optional.of(entry.id())))
                .toList();
    }

    /** The open task of a kind, which a shaking or a look without a task of its own does. */
    public static Optional<TaskKey> next(Course course, Log log, TaskKind kind, HomeHours hours) {
        return open(course, log, hours).stream()
                .map(Task::key)
                .filter(key -> key.kind() == kind)
                .findFirst();
    }

    private static Optional<Task> tending(Course course, Tending tending, Log log, ZoneId zone) {
        TaskKind kind = TaskKind.valueOf(tending.kind().name());
        boolean isRead = kind == TaskKind.READ
                && course.heat()
                        .filter(heat -> heat.alarm().isEmpty())
                        .flatMap(heat -> heat.probe().speaks())
                        .isPresent();
        if (isRead) {
            return Optional.empty();
        }
        Optional<Instant> start = kind == TaskKind.READ
                ? course.heat()
                        .filter(heat -> heat.on()
                                || heat.alarm().filter(HeatAlarm::isOver).isPresent())
                        .flatMap(HeatCourse::onSince)
                : Optional.of(course.stageSince());
        if (start.isEmpty()) {
            return Optional.empty();
        }
        String stage = kind == TaskKind.READ
                ? course.stage().key() + "-" + session(course)
                : course.stage().key();
        List<Entry> done = log.done(kind).stream()
                .filter(entry -> entry.line()
                        .task()
                        .filter(key -> key.stage().equals(stage))
                        .isPresent())
                .toList();
        for (int ordinal = 1; kind == TaskKind.READ || tending.at(ordinal) < course.length(); ordinal++) {
            Instant due = course.stage().pace().after(start.get(), tending.at(ordinal), zone);
            if (!isCovered(done, ordinal, due, course.stage().pace(), zone)) {
                return Optional.of(Task.open(
                        new TaskKey(stage, kind, ordinal), kind == TaskKind.READ ? noLater(due, course) : due));
            }
        }
        return Optional.empty();
    }

    /** A reading that came early never puts the next look off beyond its interval, nor beyond what the course allows. */
    private static Instant noLater(Instant due, Course course) {
        return course.heat()
                .flatMap(heat -> heat.nextLook(course.stage()))
                .filter(look -> look.isBefore(due))
                .orElse(due);
    }

    /** Names a heat session by its letters, so that a second evening's readings are tasks of their own. */
    static String session(Course course) {
        return letters(course.heat().map(HeatCourse::sessions).orElse(1));
    }

    /** The letters of the first, the second and so on: a to z, then aa, ab. */
    static String letters(int nth) {
        String letters = "";
        for (int left = Math.max(1, nth); left > 0; left = (left - 1) / ALPHABET) {
            letters = (char) ('a' + (left - 1) % ALPHABET) + letters;
        }
        return letters;
    }

    /** Covered by its own doing, by a later one's, or by any doing on its day or after it. */
    private static boolean isCovered(List<Entry> done, int ordinal, Instant due, Pace pace, ZoneId zone) {
        return done.stream()
                .anyMatch(entry -> entry.line().task().orElseThrow().ordinal() >= ordinal
                        || isReached(due, entry.happenedAt(), pace, zone));
    }

    private static boolean isReached(Instant due, Instant at, Pace pace, ZoneId zone) {
        return pace == Pace.DAYS
                ? !at.atZone(zone).toLocalDate().isBefore(due.atZone(zone).toLocalDate())
                : !at.isBefore(due);
    }

    /** Asked from the look that found herb above the oil until something is done about it. */
    private static Optional<Task> pushUnder(Course course, Log log) {
        if (!course.standsOut()) {
            return Optional.empty();
        }
        int done = log.done(TaskKind.PUSH_UNDER).stream()
                .mapToInt(entry -> entry.line().task().orElseThrow().ordinal())
                .max()
                .orElse(0);
        return log.entries().stream()
                .filter(entry -> entry.line() instanceof Line.Looked looked
                        && looked.look().standsOut())
                .reduce((first, last) -> last)
                .map(entry -> Task.open(
                        new TaskKey(course.stage().key(), TaskKind.PUSH_UNDER, done + 1), entry.happenedAt()));
    }

    /** Asked at the end of the last stage: the vapour burns until then. */
    private static Optional<Task> spiritGone(Course course, HomeHours hours) {
        return !course.spirit() || course.next().isPresent()
                ? Optional.empty()
                : Optional.of(Task.open(
                        TaskKey.spiritGone(),
                        course.heat()
                                .map(heat -> HeatTasks.over(course, heat, hours))
                                .orElseGet(() -> course.stageEnd(hours.zone()))));
    }

    /** What ends a stage: the next one, or the straining. */
    static Task end(Course course, Instant due) {
        return Task.open(
                new TaskKey(course.stage().key(), course.next().isPresent() ? TaskKind.NEXT : TaskKind.STRAIN, 1), due);
    }
}
