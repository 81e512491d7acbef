package app.velvetcrock.readings;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.HeatTold;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.ProbeSpan;
import app.velvetcrock.core.course.Probed;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatRecord.Checkpoint;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.readings.ProbeSpans.Stretch;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What probes read of batches: the course as far as it was added up, and the rest. Whatever is written of the heat, by hand or
 * by a probe, forgets what was added up from that moment on; the batch is locked then, so that nobody adds up half of it.
 */
@Component
public class ProbedHeat {

    /** What a forecast looks back on. */
    private static final Duration LATELY = Duration.ofHours(1);

    /** From so many readings on a course is added up and kept. */
    private static final int WORTH_KEEPING = 60;

    private static final int AT_ONCE = 20_000;

    private static final Set<TaskKind> OF_HEAT = Set.of(TaskKind.HEAT_ON, TaskKind.HEAT_OFF, TaskKind.NEXT);

    private final HeatKept kept;
    private final ProbeSpans spans;

    ProbedHeat(HeatKept kept, ProbeSpans spans) {
        this.kept = kept;
        this.spans = spans;
    }

    /** A batch as it stands. */
    public record Of(UUID batch, BatchPlan plan, Log log) {}

    /** Which probes were in some batches. */
    public Map<UUID, List<ProbeSpan>> spans(Collection<UUID> batches) {
        return batches.isEmpty() ? Map.of() : spans.of(batches);
    }

    /** What they read, by the stage. */
    public Map<String, Probed> read(Of of, List<ProbeSpan> in) {
        Map<String, Probed> probed = new HashMap<>();
        Optional<Instant> inSince = in.stream()
                .filter(span -> span.until().isEmpty())
                .map(ProbeSpan::from)
                .findFirst();
        for (HeatTold told : in.isEmpty() ? List.<HeatTold>of() : Course.heats(of.plan(), of.log())) {
            String stage = told.heated().stage().key();
            HeatKept.Kept so = kept.of(new HeatKept.Of(of.batch(), stage));
            Stretch whole = new Stretch(of.batch(), told.since(), told.until());
            Instant hour = spans.newest(whole).orElse(told.since()).minus(LATELY);
            Instant from = so.checkpoint()
                    .map(Checkpoint::at)
                    .filter(at -> at.isBefore(hour))
                    .orElse(so.checkpoint().isPresent() ? hour : told.since());
            List<HeatReading> lately = spans.readings(
                    new Stretch(of.batch(), from.isBefore(told.since()) ? told.since() : from, told.until()),
                    Integer.MAX_VALUE);
            probed.put(
                    stage,
                    new Probed(
                            so.checkpoint(),
                            so.outline(),
                            lately,
                            told.until().isEmpty() ? inSince : Optional.empty()));
        }
        return probed;
    }

    /** Forgets what a line that is written makes wrong of what was added up. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void forget(UUID batch, Line line, Instant at) {
        boolean ofHeat = line instanceof Line.Heat
                || line instanceof Line.Turned
                || line instanceof Line.ToppedUp
                || line.task().filter(task -> OF_HEAT.contains(task.kind())).isPresent();
        boolean ofTheWhole = line instanceof Line.Probe
                || line instanceof Line.TakenBack
                || line instanceof Line.Corrected
                || line instanceof Line.Strained
                || line instanceof Line.Discarded;
        if (ofTheWhole) {
            kept.forget(batch);
        } else if (ofHeat) {
            kept.forget(batch, at);
        }
    }

    /** Lets its probes be in it as its log says now; tells whether that is otherwise than before. */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean settle(Of of) {
        List<ProbeSpan> now = ProbeSpan.of(of.log());
        boolean otherwise = !now.equals(spans.of(List.of(of.batch())).getOrDefault(of.batch(), List.of()));
        if (otherwise) {
            spans.keep(of.batch(), now);
        }
        return otherwise;
    }

    /** Readings of a moment and later came; its batch is locked. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void cameIn(Of of, Instant from) {
        kept.forget(of.batch(), from);
        advance(of);
    }

    /** Adds up what came since, and keeps how far that is; nothing where there is little of it. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void advance(Of of) {
        if (of.log().all(Line.Probe.class).isEmpty()) {
            return;
        }
        for (HeatTold told : Course.heats(of.plan(), of.log())) {
            while (goesOn(of.batch(), told)) {}
        }
    }

    /** One step of at most so many readings; tells whether there may be more. */
    private boolean goesOn(UUID batch, HeatTold told) {
        HeatKept.Of of = new HeatKept.Of(batch, told.heated().stage().key());
        HeatKept.Kept so = kept.of(of);
        Instant since = so.checkpoint().map(Checkpoint::at).orElse(told.since());
        List<HeatReading> next = spans.readings(new Stretch(batch, since, told.until()), AT_ONCE);
        if (next.size() <= WORTH_KEEPING) {
            return false;
        }
        Instant last = next.get(next.size() - 1).at();
        List<Checkpoint> fresh = told.record(so.checkpoint(), next).checkpoints().stream()
                .filter(point -> (so.checkpoint().isEmpty() || point.at().isAfter(since))
                        && !point.at().isAfter(last))
                .toList();
        if (fresh.isEmpty()) {
            return false;
        }
        kept.keep(of, fresh, so.outline().plus(next));
        return next.size() == AT_ONCE;
    }
}
