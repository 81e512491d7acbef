package app.velvetcrock.core.course;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * When a probe was in a batch; in one batch there is but one at a time.
 *
 * @param until when it was taken out, another put in, or the charge strained or thrown out; absent while it is in
 */
public record ProbeSpan(UUID probe, Instant from, Optional<Instant> until) {

    /** All of a batch, in order. */
    public static List<ProbeSpan> of(Log log) {
        List<ProbeSpan> spans = new ArrayList<>();
        Optional<ProbeSpan> open = Optional.empty();
        for (Entry entry : log.entries()) {
            boolean isProbe = entry.line() instanceof Line.Probe;
            boolean ends = isProbe || entry.line() instanceof Line.Strained || entry.line() instanceof Line.Discarded;
            if (ends && open.isPresent()) {
                spans.add(new ProbeSpan(open.get().probe(), open.get().from(), Optional.of(entry.happenedAt())));
                open = Optional.empty();
            }
            if (entry.line() instanceof Line.Probe put && put.in()) {
                open = Optional.of(new ProbeSpan(put.probe(), entry.happenedAt(), Optional.empty()));
            }
        }
        open.ifPresent(spans::add);
        return spans;
    }
}
