package app.velvetcrock.batch;

import app.velvetcrock.core.planning.BatchPlan;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * A plan as it is kept with a batch, with the lots it was made from.
 *
 * @param herbLots one for each of the plan's herbs, in their order
 * @param carrierLot the bottle, or the finished oil that is infused again
 * @param spiritLot the spirit, where the way takes one
 * @param holds moments before which a step, by its key, is not to begin
 */
public record FrozenPlan(
        BatchPlan plan, List<UUID> herbLots, UUID carrierLot, Optional<UUID> spiritLot, Map<String, Instant> holds) {

    public FrozenPlan {
        herbLots = List.copyOf(herbLots);
        holds = Map.copyOf(holds);
        if (herbLots.size() != plan.request().herbs().size()) {
            throw new IllegalArgumentException("%d lots for %d herbs"
                    .formatted(herbLots.size(), plan.request().herbs().size()));
        }
    }
}
