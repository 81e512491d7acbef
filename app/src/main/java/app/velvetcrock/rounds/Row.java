package app.velvetcrock.rounds;

import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.rounds.Coming;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One row of Rounds.
 *
 * @param timed whether {@code at} is a moment of its own, and not just now
 * @param when the words in its first column: a time, an age or a day
 * @param what what to do, in a word or two
 * @param why one short line more
 * @param leadsTo the page where it is done, when a tap is not enough; null where it is
 * @param entry what did it, so that it can be undone; null while it is open
 */
public record Row(
        UUID batch,
        TaskKey key,
        State state,
        Instant at,
        boolean timed,
        String when,
        String what,
        String name,
        String why,
        @Nullable String leadsTo,
        @Nullable UUID entry) {

    /** What tells machines which task it is. */
    public String task() {
        return timed ? Coming.named(batch, key) : "";
    }

    /** Where a row stands in time. */
    public enum State {
        LATE,
        DUE,
        DONE,
        LATER,
        COMING
    }

    public boolean isOpen() {
        return state != State.DONE;
    }

    /** Tells whether it is done by a tap alone. */
    public boolean isTap() {
        return leadsTo == null && key.kind() != TaskKind.READ && key.kind() != TaskKind.LOOK;
    }
}
