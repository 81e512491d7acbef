package app.velvetcrock.web.body;

import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/** How many bodies are under way, by the address they come from. */
final class Unfinished {

    private static final Duration A_MOMENT = Duration.ofMillis(500);

    private final int ofOne;
    private final int ofAll;
    private final Duration inAll;

    private final Map<String, Integer> byAddress = new ConcurrentHashMap<>();
    private final AtomicInteger all = new AtomicInteger();

    /**
     * Of nobody yet.
     *
     * @param ofOne so many of one address may take their time
     * @param ofAll so many of all addresses together
     * @param inAll how long that is; the container looks once a second whose time is over
     */
    Unfinished(int ofOne, int ofAll, Duration inAll) {
        this.ofOne = ofOne;
        this.ofAll = ofAll;
        this.inAll = inAll;
    }

    /**
     * One body's place among them.
     *
     * @param patience how long it may take in all
     */
    record Place(Duration patience, Runnable leave) {}

    /** Takes a place; it is to be left once the body is whole or given up. */
    Place of(String address) {
        boolean many = byAddress.merge(address, 1, Integer::sum) > ofOne;
        boolean full = all.incrementAndGet() > ofAll;
        AtomicBoolean left = new AtomicBoolean();
        return new Place(many || full ? A_MOMENT : inAll, () -> {
            if (!left.getAndSet(true)) {
                all.decrementAndGet();
                byAddress.computeIfPresent(address, (same, count) -> count == 1 ? null : count - 1);
            }
        });
    }
}
