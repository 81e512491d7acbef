package app.velvetcrock.parting;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * What left the house at once.
 *
 * @param movement of the ledger, by which it is taken back
 * @param pieces how many; absent for what is measured
 * @param price of all of it, in the smallest coin; absent where none was said
 * @param refunded of it, given back
 */
public record Leaving(
        UUID movement,
        UUID lot,
        Kind kind,
        Optional<Integer> pieces,
        Optional<UUID> person,
        Optional<Long> price,
        boolean card,
        Optional<UUID> stall,
        long refunded,
        Instant at) {

    /** How it left. */
    public enum Kind {
        GIVEN("given away"),
        SOLD("sold"),
        /** A tester: it never goes back to stock. */
        OPENED("opened to try"),
        BROKEN("broken");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** What was taken for it, less what was given back. */
    public long taken() {
        return price.orElse(0L) - refunded;
    }
}
