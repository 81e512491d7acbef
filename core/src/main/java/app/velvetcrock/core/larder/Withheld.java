package app.velvetcrock.core.larder;

import java.util.Optional;
import java.util.UUID;

/** What is found wrong and not answered yet holds some lots back from one thing that is done with them. */
@FunctionalInterface
public interface Withheld {

    /** Nothing is held back. */
    Withheld NOTHING = (batch, lot) -> Optional.empty();

    /** By what a lot is held back, by itself or as all of its batch; absent where it is free. */
    Optional<String> why(Optional<UUID> batch, UUID lot);

    default boolean isFree(Optional<UUID> batch, UUID lot) {
        return why(batch, lot).isEmpty();
    }
}
