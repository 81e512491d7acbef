package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.pan.MakingCourse;
import java.time.Instant;
import java.util.Optional;

/** The steps of a making as tasks, each named by its place and never by a date. */
public final class AtThePan {

    private static final String STAGE = "pan";

    /** Names what waits for its oil. */
    public static final TaskKey WAITING = new TaskKey(STAGE, TaskKind.PAN, 1);

    private AtThePan() {}

    /** Names a step. */
    public static TaskKey key(MakingCourse course, MakingCourse.Step step) {
        return new TaskKey(STAGE, TaskKind.PAN, 1 + course.steps().indexOf(step));
    }

    /** The step as a task, where it is open and its moment is known. */
    public static Optional<Task> task(MakingCourse course, MakingCourse.Step step) {
        Optional<Instant> from = step.isOpen() ? step.from() : Optional.empty();
        return from.map(at -> Task.open(key(course, step), at));
    }
}
