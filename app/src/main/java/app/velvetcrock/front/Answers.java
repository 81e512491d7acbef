package app.velvetcrock.front;

import app.velvetcrock.front.DoorController.Answered;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Answers at the door, worked out one at a time on a node, so that whoever is signed in does not wait for strangers; ten wait, the rest
 * are asked to come again. The same sentence is worked out once in a while.
 */
@Component
class Answers {

    private static final int WAITING = 10;
    private static final Duration PATIENCE = Duration.ofSeconds(4);
    private static final Duration HOLDS = Duration.ofMinutes(5);
    private static final int MOST_KEPT = 500;

    private final Semaphore one = new Semaphore(1, true);
    private final Semaphore places = new Semaphore(WAITING + 1);
    private final Cache<String, Answered> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(HOLDS).build();

    /** An answer; null where too many ask at once. */
    record Said(@Nullable Answered answered) {}

    Said of(String sentence, Supplier<Answered> work) {
        Answered before = kept.getIfPresent(sentence);
        if (before != null) {
            return new Said(before);
        }
        if (!places.tryAcquire()) {
            return new Said(null);
        }
        try {
            return new Said(inTurn(sentence, work));
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return new Said(null);
        } finally {
            places.release();
        }
    }

    private @Nullable Answered inTurn(String sentence, Supplier<Answered> work) throws InterruptedException {
        if (!one.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS)) {
            return null;
        }
        try {
            Answered answered = kept.getIfPresent(sentence);
            if (answered == null) {
                answered = work.get();
                kept.put(sentence, answered);
            }
            return answered;
        } finally {
            one.release();
        }
    }
}
