package app.velvetcrock.devices;

import app.velvetcrock.batch.BatchLog;
import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.HeatWatch;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.live.Changes;
import app.velvetcrock.readings.Devices;
import app.velvetcrock.readings.ProbeSpans;
import app.velvetcrock.readings.ProbedHeat;
import app.velvetcrock.readings.Readings;
import app.velvetcrock.readings.Weighings;
import app.velvetcrock.readings.Weighings.Weighing;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes in what devices say, all of a message or nothing; what was said before changes nothing. */
@Service
public class Intake {

    private final Devices devices;
    private final Readings readings;
    private final Weighings weighings;
    private final ProbeSpans spans;
    private final ProbedHeat probed;
    private final BatchLog log;
    private final HeatWatch heat;
    private final Changes changes;

    Intake(
            Devices devices,
            Readings readings,
            Weighings weighings,
            ProbeSpans spans,
            ProbedHeat probed,
            BatchLog log,
            HeatWatch heat,
            Changes changes) {
        this.devices = devices;
        this.readings = readings;
        this.weighings = weighings;
        this.spans = spans;
        this.probed = probed;
        this.log = log;
        this.heat = heat;
        this.changes = changes;
    }

    /** Keeps what a probe read, and goes on with the courses it belongs to; how many were new. */
    @Transactional
    public int readings(UUID probe, List<HeatReading> said) {
        if (said.isEmpty()) {
            return 0;
        }
        // In one order, so that two messages at once wait for each other and do not lock each other out.
        List<HeatReading> inOrder =
                said.stream().sorted(Comparator.comparing(HeatReading::at)).toList();
        Instant first = inOrder.get(0).at();
        Instant last = inOrder.get(inOrder.size() - 1).at();
        List<BatchSheet> batches =
                spans.batches(probe, first, last).stream().map(log::locked).toList();
        int fresh = readings.keep(probe, inOrder);
        if (fresh > 0) {
            for (BatchSheet sheet : batches) {
                probed.cameIn(sheet.probed(), first);
                heat.keepHeat(sheet);
                changes.batch(sheet.id());
            }
        }
        devices.seen(probe);
        return fresh;
    }

    /** Keeps what lay on a scale; how many were new. */
    @Transactional
    public int weighings(UUID scale, List<Weighing> said) {
        int fresh = weighings.keep(
                scale, said.stream().sorted(Comparator.comparing(Weighing::at)).toList());
        devices.seen(scale);
        return fresh;
    }
}
