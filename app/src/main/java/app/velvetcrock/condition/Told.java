package app.velvetcrock.condition;

import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A condition as pages tell it.
 *
 * @param by who found it
 * @param answer how it was answered; absent while it is open
 */
public record Told(
        UUID id, Condition kind, Subject subject, Instant foundAt, String by, String words, Optional<Answered> answer) {

    /**
     * An answer in words, when and by whom.
     *
     * @param canTakeBack whether it was said by hand, and so can be taken back from here
     * @param line the line of a log that says it; absent where none does
     */
    public record Answered(String words, Instant at, String by, boolean canTakeBack, Optional<UUID> line) {}

    /** Its answer; null while it is open. */
    public @Nullable Answered answered() {
        return answer.orElse(null);
    }

    public boolean isOpen() {
        return answer.isEmpty();
    }

    public boolean holds(Held deed) {
        return isOpen() && kind.holds(deed);
    }

    /** Tells whether it is of this batch as a whole, and so of all that came of it. */
    public boolean isOfBatch(UUID batch) {
        return batch.equals(subject.batch()) && subject.lot() == null;
    }

    /** Tells whether it is of this lot: by itself, or as all of its batch. */
    public boolean isOfLot(UUID batch, UUID lot) {
        return lot.equals(subject.lot()) || isOfBatch(batch);
    }
}
