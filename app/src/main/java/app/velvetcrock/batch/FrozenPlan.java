package app.velvetcrock.batch;

import app.velvetcrock.core.planning.BatchPlan;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A plan as it is kept with a batch, with the lots it was made from.
 *
 * @param herbLots one for each of the plan's herbs, in their order
 * @param carrierLot the bottle, or the finished oil that is infused again
 * @param spiritLot the spirit, where the way takes one
 */
public record FrozenPlan(BatchPlan plan, List<UUID> herbLots, UUID carrierLot, Optional<UUID> spiritLot) {

    public FrozenPlan {
        herbLots = List.copyOf(herbLots);
        if (herbLots.size() != plan.request().herbs().size()) {
            throw new IllegalArgumentException("%d lots for %d herbs".formatted(herbLots.size(), plan.request().herbs().size()));
        }
    }
}
