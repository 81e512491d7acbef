package app.velvetcrock.demo;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.ProbeSpan;
import app.velvetcrock.readings.DeviceKind;
import app.velvetcrock.readings.Devices;
import java.time.Clock;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The simulated probe and scale that the launcher starts beside the demo: their tokens hold in the demo household alone. */
@Component
class DemoDevices {

    private static final String PROBE = "simulated probe";

    private final Devices devices;
    private final Batches batches;
    private final DemoHands hands;
    private final Clock clock;
    private final String probeToken;
    private final String scaleToken;

    DemoDevices(
            Devices devices,
            Batches batches,
            DemoHands hands,
            Clock clock,
            @Value("${crock.demo-probe:}") String probeToken,
            @Value("${crock.demo-scale:}") String scaleToken) {
        this.devices = devices;
        this.batches = batches;
        this.hands = hands;
        this.clock = clock;
        this.probeToken = probeToken;
        this.scaleToken = scaleToken;
    }

    /** Lets them speak; the probe is put into the crock that is on the heat, unless one is in it or was. */
    void plugIn() {
        if (!scaleToken.isBlank()) {
            devices.adopt(DeviceKind.SCALE, "simulated scale", scaleToken);
        }
        if (!probeToken.isBlank()) {
            UUID probe = devices.adopt(DeviceKind.PROBE, PROBE, probeToken);
            batches.standing().stream()
                    .filter(sheet ->
                            isOnHeat(sheet) && ProbeSpan.of(sheet.log()).isEmpty())
                    .filter(sheet -> sheet.log().all(Line.Probe.class).isEmpty())
                    .findFirst()
                    .ifPresent(sheet -> hands.probe(sheet.id(), probe, PROBE, clock.instant()));
        }
    }

    private static boolean isOnHeat(BatchSheet sheet) {
        return sheet.course().heat().filter(heat -> heat.on()).isPresent();
    }
}
