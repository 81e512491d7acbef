package app.velvetcrock.core.planning;

import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.materia.CarrierKind;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * A carrier as a plan sees it: a bottle of plain oil, or an oil already infused once.
 *
 * @param bottle its dates; an infused oil's best before is its own use-by day
 * @param first what the oil carries from its first herb; absent for plain oil
 */
public record PlannedCarrier(CarrierKind kind, Bottle bottle, Optional<FirstInfusion> first) {

    /** The kind with what it has been through: an oil that had moist herb in it is no plain one to the rules of food. */
    CarrierKind asFound() {
        if (first.filter(infusion -> !infusion.moisture().isDried()).isEmpty()) {
            return kind;
        }
        Set<String> traits = new TreeSet<>(kind.traits());
        traits.add(CarrierKind.MOIST_BEFORE);
        return kind.withTraits(traits);
    }

    /** Plain oil. */
    public PlannedCarrier(CarrierKind kind, Bottle bottle) {
        this(kind, bottle, Optional.empty());
    }
}
