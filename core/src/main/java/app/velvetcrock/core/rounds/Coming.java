package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.function.Function;

/**
 * A moment still to come as a page words it, with what tells machines which task it is.
 *
 * @param words as it is said, in steps of five minutes
 * @param at the moment itself (ISO 8601, UTC)
 * @param task whose it is: the batch or making, and the task's key; empty where it is no task's
 */
public record Coming(String words, String at, String task) {

    /** Nobody plans by less (craft: one foresight). */
    private static final Duration STEP = Duration.ofMinutes(5);

    /** Words a task's moment. */
    public static Coming of(UUID of, Task task, Function<Instant, String> words) {
        return new Coming(words.apply(rounded(task)), task.due().toString(), named(of, task.key()));
    }

    /** The same at the pan, where a few minutes are all there is. */
    public static Coming toTheMinute(UUID of, Task task, Function<Instant, String> words) {
        return new Coming(words.apply(task.due()), task.due().toString(), named(of, task.key()));
    }

    /** Words a moment that no task has. */
    public static Coming of(Instant at, Function<Instant, String> words) {
        return new Coming(words.apply(rounded(at)), at.toString(), "");
    }

    /** Names a task among all: what it is of, its stage, its kind and its ordinal; never a date. */
    public static String named(UUID of, TaskKey key) {
        return of + "." + key;
    }

    /** The five minutes a task is said at: the nearest; what is to be looked at by then not later than that. */
    public static Instant rounded(Task task) {
        boolean by = task.key().kind() == TaskKind.READ || task.key().kind() == TaskKind.WATER;
        return by ? earlier(task.due()) : rounded(task.due());
    }

    private static Instant earlier(Instant at) {
        return Instant.ofEpochSecond(Math.floorDiv(at.getEpochSecond(), STEP.toSeconds()) * STEP.toSeconds());
    }

    /** The nearest five minutes. */
    public static Instant rounded(Instant at) {
        long step = STEP.toSeconds();
        return Instant.ofEpochSecond(Math.floorDiv(at.getEpochSecond() + step / 2, step) * step);
    }
}
