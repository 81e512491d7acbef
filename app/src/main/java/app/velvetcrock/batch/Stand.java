package app.velvetcrock.batch;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What a batch stands in: a jar, or a pot of the kit. */
public record Stand(UUID id, boolean kit) {

    /** Where a batch stands; one written down before vessels were stands by itself. */
    static Stand in(UUID batch, @Nullable UUID jar, @Nullable UUID kit) {
        if (kit != null) {
            return new Stand(kit, true);
        }
        return new Stand(jar == null ? batch : jar, false);
    }
}
