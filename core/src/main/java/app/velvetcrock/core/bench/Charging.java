package app.velvetcrock.core.bench;

import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedHerb;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What is to be planned, read and clear, before a vessel is chosen. */
public record Charging(
        List<Stock.OfHerb> herbs,
        List<PlannedHerb> planned,
        Pour pour,
        OilWish oil,
        PlanRequest.Circumstances how,
        SpiritChoice spirit,
        Instant chargedAt,
        Optional<WantedOil> wanted) {

    /** What is asked for, in one vessel. */
    public PlanRequest request(OfJar jar, List<Vessel> free) {
        return new PlanRequest(planned, pour.carriers(), oil, jar.vessel(), free, how);
    }

    public Charging outOf(WantedOil want) {
        return new Charging(herbs, planned, pour, oil, how, spirit, chargedAt, Optional.of(want));
    }

    public Herbs charged() {
        return new Herbs(
                planned.stream().map(herb -> herb.portion(how.method())).toList());
    }
}
