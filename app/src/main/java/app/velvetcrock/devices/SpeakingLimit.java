package app.velvetcrock.devices;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** How often a device may speak to this node, and how often anybody may guess a token. */
@Component
class SpeakingLimit {

    private static final int GUESSES_PER_MINUTE = 60;

    private static final int MOST_KNOWN = 10_000;

    private final Cache<String, Bucket> buckets = Caffeine.newBuilder()
            .maximumSize(MOST_KNOWN)
            .expireAfterAccess(Duration.ofMinutes(10))
            .build();

    /** [E] Unless set: a probe that speaks every second, and as much again to catch up. */
    private final int perMinute;

    SpeakingLimit(@Value("${crock.device-messages}") int perMinute) {
        this.perMinute = perMinute;
    }

    /** Seconds to wait before speaking again; 0 where it may speak now. */
    long waits(String device) {
        return waits("d " + device, perMinute);
    }

    /** The same for whoever comes with a token nobody has. */
    long waitsToGuess(String address) {
        return waits("a " + address, Math.min(GUESSES_PER_MINUTE, perMinute));
    }

    private long waits(String key, int most) {
        ConsumptionProbe probe = buckets.get(key, fresh -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(most).refillGreedy(most, Duration.ofMinutes(1)))
                        .build())
                .tryConsumeAndReturnRemaining(1);
        return probe.isConsumed()
                ? 0
                : Math.max(1, Duration.ofNanos(probe.getNanosToWaitForRefill()).toSeconds() + 1);
    }
}
