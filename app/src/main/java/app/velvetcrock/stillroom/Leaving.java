package app.velvetcrock.stillroom;

import java.util.Optional;
import java.util.UUID;

/** Something somebody made or holds that ends with their membership, in the same transaction. */
public interface Leaving {

    /**
     * Withdraws what somebody who leaves has made in the current stillroom.
     *
     * @return what that was, as a sentence; absent where there was nothing
     */
    Optional<String> left(UUID account);

    /** Ends what is open of somebody whose sign-ins do not hold any more. */
    default void ended(UUID account) {}
}
