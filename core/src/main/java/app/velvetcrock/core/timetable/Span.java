package app.velvetcrock.core.timetable;

import java.time.Duration;
import java.time.Instant;

/** A stretch of time; its end is after its start. */
public record Span(Instant startInclusive, Instant endExclusive) {

    public Span {
        if (!endExclusive.isAfter(startInclusive)) {
            throw new IllegalArgumentException(
                    "span runs from %s to %s; its end comes after its start".formatted(startInclusive, endExclusive));
        }
    }

    /** From a moment on, for so long. */
    public static Span of(Instant start, Duration length) {
        return new Span(start, start.plus(length));
    }

    public Duration length() {
        return Duration.between(startInclusive, endExclusive);
    }

    public boolean overlaps(Span other) {
        return startInclusive.isBefore(other.endExclusive) && other.startInclusive.isBefore(endExclusive);
    }
}
