package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Tending;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Placed;
import app.velvetcrock.core.timetable.Span;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.core.timetable.Timetable;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * The tasks of the stages a batch has not begun, as the rest of it is placed: what begins each, its shaking and looking, its heat
 * on and off, the straining and the decanting. They bear the same keys as when they are asked, so that a calendar moves them
 * rather than doubling them.
 */
public final class LaterStages {

    /** What somebody who is home can always do between two other things. */
    private static final Duration A_HAND = Duration.ofMinutes(5);

    /** More of one kind than this no stage asks for. */
    private static final int MOST = 400;

    private LaterStages() {}

    /**
     * Lists them; none for a batch that does not stand.
     *
     * @param remaining what is left of it, placed
     */
    public static List<Task> of(Course course, Timetable remaining, HomeHours hours) {
        if (course.state() != Course.State.STANDING) {
            return List.of();
        }
        List<Task> tasks = new ArrayList<>();
        List<Stage> stages = course.method().stages();
        int now = stages.indexOf(course.stage());
        for (int i = now + 1; i < stages.size(); i++) {
            Stage stage = stages.get(i);
            TaskKey begins = new TaskKey(stages.get(i - 1).key(), TaskKind.NEXT, 1);
            remaining.of(stage.key()).ifPresent(placed -> {
                tasks.add(Task.open(begins, hours.hands(placed.start(), A_HAND)));
                tasks.addAll(stage.isHeated() ? heat(stage, placed) : tended(stage, placed, hours));
            });
        }
        String last = stages.get(stages.size() - 1).key();
        remaining
                .of(PlanSteps.STRAIN)
                .map(placed -> Task.open(new TaskKey(last, TaskKind.STRAIN, 1), placed.start()))
                .ifPresent(tasks::add);
        remaining
                .of(PlanSteps.DECANT)
                .map(placed -> Task.open(new TaskKey(TaskKey.AFTER, TaskKind.DECANT, 1), placed.start()))
                .ifPresent(tasks::add);
        return tasks;
    }

    private static List<Task> heat(Stage stage, Placed placed) {
        List<Task> tasks = new ArrayList<>();
        int session = 1;
        boolean wet = placed.step() instanceof Step.Heat heat && heat.wet();
        for (Span span : placed.spans()) {
            if (wet && session > 1) {
                tasks.add(Task.open(new TaskKey(stage.key(), TaskKind.FRIDGE_OUT, session - 1), span.startInclusive()));
            }
            if (wet && session < placed.spans().size()) {
                tasks.add(Task.open(new TaskKey(stage.key(), TaskKind.FRIDGE_IN, session), span.endExclusive()));
            }
            tasks.add(Task.open(new TaskKey(stage.key(), TaskKind.HEAT_ON, session), span.startInclusive()));
            tasks.add(Task.open(new TaskKey(stage.key(), TaskKind.HEAT_OFF, session), span.endExclusive()));
            session++;
        }
        return tasks;
    }

    private static List<Task> tended(Stage stage, Placed placed, HomeHours hours) {
        List<Task> tasks = new ArrayList<>();
        for (Tending tending : stage.tendings()) {
            for (int ordinal = 1; ordinal <= MOST; ordinal++) {
                Instant due = stage.pace().after(placed.start(), tending.at(ordinal), hours.zone());
                if (!due.isBefore(placed.end())) {
                    break;
                }
                TaskKind kind = TaskKind.valueOf(tending.kind().name());
                tasks.add(Task.open(new TaskKey(stage.key(), kind, ordinal), hours.hands(due, A_HAND)));
            }
        }
        return tasks;
    }
}
