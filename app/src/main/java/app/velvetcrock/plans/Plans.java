package app.velvetcrock.plans;

import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.web.trip.Question;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Frozen plans, read once for each: neither the first plan of a batch nor a revision of it ever changes. */
@Component
public class Plans {

    /** A plan is about ten kilobytes as it is written, and a few times that as it is read. */
    private static final int MOST = 2000;

    private final PlanShape shape;
    private final PlanRevisions revisions;
    private final Cache<UUID, FrozenPlan> read =
            Caffeine.newBuilder().maximumSize(MOST).build();

    Plans(PlanShape shape, PlanRevisions revisions) {
        this.shape = shape;
        this.revisions = revisions;
    }

    /**
     * The plan that holds of each of some batches: the last that took another's place, else the first.
     *
     * @param first reads the first plans of some batches as they are written; asked for those not read before
     */
    public Map<UUID, FrozenPlan> holding(Collection<UUID> batches, Function<Set<UUID>, Map<UUID, String>> first) {
        Map<UUID, UUID> latest = revisions.latest(batches);
        Map<UUID, FrozenPlan> plans = new HashMap<>(read(Set.copyOf(latest.values()), revisions::written));
        Set<UUID> unrevised = new HashSet<>(batches);
        unrevised.removeAll(latest.keySet());
        plans.putAll(read(unrevised, first));
        Map<UUID, FrozenPlan> holding = new HashMap<>();
        batches.forEach(batch -> holding.put(batch, plans.get(latest.getOrDefault(batch, batch))));
        return holding;
    }

    /** Asks which revision holds of each of some batches. */
    public Question<?> question(List<UUID> batches) {
        return revisions.question(batches);
    }

    private Map<UUID, FrozenPlan> read(Set<UUID> ids, Function<Set<UUID>, Map<UUID, String>> written) {
        return read.getAll(ids, unread -> {
            Map<UUID, FrozenPlan> plans = new HashMap<>();
            written.apply(Set.copyOf(unread)).forEach((id, text) -> plans.put(id, shape.read(text)));
            return plans;
        });
    }
}
