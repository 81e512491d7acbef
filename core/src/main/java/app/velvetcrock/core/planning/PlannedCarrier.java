package app.velvetcrock.core.planning;

import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.materia.CarrierKind;
import java.util.Optional;

/**
 * A carrier as a plan sees it: a bottle of plain oil, or an oil already infused once.
 *
 * @param bottle its dates; an infused oil's best before is its own use-by day
 * @param first what the oil carries from its first herb; absent for plain oil
 */
public record PlannedCarrier(CarrierKind kind, Bottle bottle, Optional<FirstInfusion> first) {

    /** Plain oil. */
    public PlannedCarrier(CarrierKind kind, Bottle bottle) {
        this(kind, bottle, Optional.empty());
    }
}
