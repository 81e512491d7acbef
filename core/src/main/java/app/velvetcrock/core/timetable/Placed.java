package app.velvetcrock.core.timetable;

import java.time.Instant;
import java.util.List;

/** A step with its place in time: one span, or one for each session of heat. */
public record Placed(Step step, List<Span> spans) {

    public Placed {
        spans = List.copyOf(spans);
    }

    public Instant start() {
        return spans.get(0).startInclusive();
    }

    public Instant end() {
        return spans.get(spans.size() - 1).endExclusive();
    }

    /** Tells whether hands are there throughout: hands themselves, and heat that is not left alone. */
    public boolean isTended() {
        return step instanceof Step.Hands || step instanceof Step.Heat heat && !heat.alone();
    }
}
