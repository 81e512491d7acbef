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
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Placed;
import app.velvetcrock.core.timetable.Step;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The tendings of a batch's stages, what was done of them and what is called off. Of each kind at most one is open: doing it covers
 * every earlier one of its kind that was missed, so nothing is asked for twice.
 */
public final class Rounds {

    private static final int ALPHABET = 26;

    /** More of one kind than this no stage asks for. */
    private static final int MOST = 400;

    private Rounds() {}

    /** Tends a standing batch in the stage it is in: its looks and shakes, the next of each kind, and what a look found standing out. */
    static List<Task> tendings(Course course, Log log, ZoneId zone) {
        // Once it is time to strain, that is what is asked; shaking or another look would only put it off.
        List<Tending> asked = course.isDue() && course.heat().isEmpty()
                ? List.of()
                : course.stage().tendings();
        List<Task> tasks = new ArrayList<>();
        asked.forEach(tending -> tending(course, tending, log, zone).ifPresent(tasks::add));
        pushUnder(course, log).ifPresent(tasks::add);
        return tasks;
    }

    /** The later ones of each kind of tending that is asked for, till the stage ends; heat is read by its course. */
    static List<Task> laterTendings(Course course, List<Task> open, HomeHours hours) {
        List<Task> all = new ArrayList<>();
        if (course.heat().isEmpty()) {
            for (Task task : open) {
                course.stage().tendings().stream()
                        .filter(tending ->
                                tending.kind().name().equals(task.key().kind().name()))
                        .forEach(tending ->
                                all.addAll(later(course, tending, task.key().ordinal() + 1, hours)));
            }
        }
        return all;
    }

    /** The tendings of a stage that has not begun, as it is placed. */
    static List<Task> tendings(Stage stage, Placed placed, HomeHours hours) {
        List<Task> tasks = new ArrayList<>();
        for (Tending tending : stage.tendings()) {
            for (int ordinal = 1; ordinal <= MOST; ordinal++) {
                Instant due = stage.pace().after(placed.start(), tending.at(ordinal), hours.zone());
                if (!due.isBefore(placed.end())) {
                    break;
                }
                TaskKind kind = TaskKind.valueOf(tending.kind().name());
                tasks.add(Task.open(new TaskKey(stage.key(), kind, ordinal), hours.hands(due, Step.A_HAND)));
            }
        }
        return tasks;
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
                    hours.hands(due, Step.A_HAND)));
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

    /** What ends a stage: the next one, or the straining. */
    static Task end(Course course, Instant due) {
        return Task.open(
                new TaskKey(course.stage().key(), course.next().isPresent() ? TaskKind.NEXT : TaskKind.STRAIN, 1), due);
    }
}
