package app.velvetcrock.condition;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a condition is of: a batch, one lot of a batch's oil, or a lot of the stores.
 *
 * @param batch null for a lot of the stores
 * @param lot null for a batch and all that came of it
 * @param name as people call it: "Yarrow, jar 3"
 */
public record Subject(@Nullable UUID batch, @Nullable UUID lot, String name) {

    public Subject {
        if (batch == null && lot == null) {
            throw new IllegalArgumentException("a condition is of a batch or of a lot; this names neither");
        }
    }

    /** The page on which it is answered. */
    public String page() {
        return lot == null ? "/batch/" + batch : batch == null ? "/stores/lots/" + lot : "/cupboard/" + lot;
    }
}
