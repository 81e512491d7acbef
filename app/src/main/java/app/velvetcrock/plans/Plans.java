package app.velvetcrock.plans;

import app.velvetcrock.core.planning.FrozenPlan;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Frozen plans, read once for each: neither the first plan of a batch nor a revision of it ever changes. */
@Component
public class Plans {

    /** A plan is about ten kilobytes as it is written, and a few times that as it is read. */
    private static final int MOST = 2000;

    private final PlanShape shape;
    private final Cache<UUID, FrozenPlan> read =
            Caffeine.newBuilder().maximumSize(MOST).build();

    Plans(PlanShape shape) {
        this.shape = shape;
    }

    /**
     * Reads a plan.
     *
     * @param id of the batch for its first plan, of the revision for a later one
     */
    public FrozenPlan read(UUID id, String written) {
        return read.get(id, unread -> shape.read(written));
    }
}
