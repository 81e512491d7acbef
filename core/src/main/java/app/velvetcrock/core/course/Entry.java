package app.velvetcrock.core.course;

import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * One line of a batch's log.
 *
 * @param happenedAt when it was done, which may be earlier than when it was written down
 */
public record Entry(UUID id, Instant happenedAt, What what) {

    /** What an entry says. */
    public sealed interface What {

        /** The task this does, if it does one. */
        default Optional<TaskKey> task() {
            return Optional.empty();
        }
    }

    /** So much herb and oil really went in. */
    public record Charged(Mass herb, Volume oil) implements What {}

    /** More of the oil went in, from a bottle. */
    public record ToppedUp(Volume oil, Bottle bottle) implements What {}

    /** A task with nothing to tell was done: shaken, pushed under, heat put on or off. */
    public record Tended(TaskKey key) implements What {
        @Override
        public Optional<TaskKey> task() {
            return Optional.of(key);
        }
    }

    /** The jar was opened, smelled and looked at. */
    public record Looked(Optional<TaskKey> task, Look look) implements What {}

    /** The temperature of the oil was read. */
    public record Heat(Optional<TaskKey> task, Temperature temperature) implements What {}

    /** The oil was strained off: so much came out, at 20 °C; {@code settles} when water, powder or cloud is in it. */
    public record Strained(Volume out, Pressing pressing, boolean settles) implements What {}

    /** The oil stood and was decanted off what had settled: so much is left, and so much water lay under it. */
    public record Settled(Volume left, Volume water) implements What {}

    /** Something was thrown out, with its lesson; the whole charge when it still stood. */
    public record Discarded(Ruin ruin, String lesson) implements What {}

    /** An oil was smelled near its date. */
    public record Sniffed(boolean passed) implements What {}

    /** Something seen or done, in words. */
    public record Noted(String words) implements What {}

    /** An earlier entry does not hold. */
    public record TakenBack(UUID entry) implements What {}
}
