package app.velvetcrock.batch;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Frozen plans, read once for each: neither the first plan of a batch nor a revision of it ever changes. */
@Component
class Plans {

    /** A plan is about ten kilobytes as it is written, and a few times that as it is read. */
    private static final int MOST = 2000;

    private final Json json;
    private final Cache<UUID, FrozenPlan> read =
            Caffeine.newBuilder().maximumSize(MOST).build();

    Plans(Json json) {
        this.json = json;
    }

    /**
     * Reads a plan.
     *
     * @param id of the batch for its first plan, of the revision for a later one
     */
    FrozenPlan read(UUID id, String written) {
        return read.get(id, unread -> json.read(written, FrozenPlan.class));
    }
}
