package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * How long a source takes to bring an oil into its band: 45 minutes at first, then what the household's own readings show (craft:
 * heat, hours at home).
 */
public final class WarmUp {

    /** [E] Until the household's readings tell. */
    public static final Duration AT_FIRST = Duration.ofMinutes(45);

    /** What is learned is said to five minutes, and no less. */
    private static final long STEP_MINUTES = 5;

    /** [E] A bath that takes longer than this never got there; nothing is learned from it. */
    private static final long MOST_MINUTES = 240;

    private WarmUp() {}

    /**
     * The warm-up that a reading ends: the first of its session at or above the band's lower end, straight between it and the one
     * before. Empty where there was no colder one
     * before it to tell, or an earlier one was warm already.
     *
     * @param on when the heat was put on
     * @param before readings since then, in order
     */
    public static Optional<Duration> endedBy(Instant on, List<HeatReading> before, HeatReading now, Temperature low) {
        boolean warmBefore =
                before.stream().anyMatch(reading -> reading.temperature().compareTo(low) >= 0);
        if (before.isEmpty() || warmBefore || now.temperature().compareTo(low) < 0) {
            return Optional.empty();
        }
        HeatReading last = before.get(before.size() - 1);
        double share = (low.celsius() - last.temperature().celsius())
                / (now.temperature().celsius() - last.temperature().celsius());
        Duration took = Duration.between(on, last.at())
                .plusSeconds(Math.round(Duration.between(last.at(), now.at()).toSeconds() * share));
        return took.isNegative() || took.toMinutes() > MOST_MINUTES ? Optional.empty() : Optional.of(took);
    }

    /** The mean of what was measured, to five minutes; 45 where nothing was. */
    public static Duration learned(List<Duration> measured) {
        if (measured.isEmpty()) {
            return AT_FIRST;
        }
        double mean = measured.stream().mapToLong(Duration::toMinutes).average().orElseThrow();
        return Duration.ofMinutes(Math.max(1, Math.round(mean / STEP_MINUTES)) * STEP_MINUTES);
    }
}
