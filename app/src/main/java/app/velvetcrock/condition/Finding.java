package app.velvetcrock.condition;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * When something was found, by which line of a log, and what was said to it.
 *
 * @param source null where it was said of a lot of the stores, which has no log
 */
public record Finding(Instant at, @Nullable UUID source, String words) {

    public static Finding by(UUID line, Instant at) {
        return new Finding(at, line, "");
    }
}
