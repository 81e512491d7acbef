package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.look.Held;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * Something hands are needed for.
 *
 * @param due when it falls due
 * @param done when it was done; absent while it is open
 * @param entry the entry of the log that did it
 */
public record Task(TaskKey key, Instant due, Optional<Instant> done, Optional<UUID> entry) {

    public static Task open(TaskKey key, Instant due) {
        return new Task(key, due, Optional.empty(), Optional.empty());
    }

    /**
     * What holds it back while something wrong is open: what is mouldy is nothing any more; what has water under it is neither shaken nor
     * opened, and its finding asks for the look.
     */
    public Held held() {
        return switch (key.kind()) {
            case SHAKE, LOOK, PUSH_UNDER -> Held.SHAKE;
            default -> Held.STRAIN;
        };
    }

    public boolean isOpen() {
        return done.isEmpty();
    }
}
