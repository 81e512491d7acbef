package app.velvetcrock.core.course;

import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import java.time.Instant;
import java.util.UUID;

/**
 * One line of a batch's log.
 *
 * @param happenedAt when it was done, which may be earlier than when it was written down
 */
public record Entry(UUID id, Instant happenedAt, What what) {

    /** What an entry says. */
    public sealed interface What {}

    /** Herb and oil went into the jar as planned. */
    public record Charged() implements What {}

    /** The oil was strained off: so much came out, at 20 °C. */
    public record Strained(Volume out, Pressing pressing) implements What {}

    /** Something seen or done, in words. */
    public record Noted(String words) implements What {}

    /** An earlier entry does not hold. */
    public record TakenBack(UUID entry) implements What {}
}
