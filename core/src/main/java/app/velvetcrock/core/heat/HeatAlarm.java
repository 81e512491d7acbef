package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * Heat that is over its ceiling, or on its way there by the last two readings; it holds until a reading below.
 *
 * @param latest the reading that says so
 * @param reached how long after that reading the ceiling is passed on this course; absent where it is passed already
 */
public record HeatAlarm(HeatReading latest, Temperature ceiling, Optional<Duration> reached) {

    /** [E] How soon an oil that is too hot is read again, and the least time between two looks at one that is rising. */
    private static final Duration SOON = Duration.ofMinutes(5);

    private static final double SECONDS_PER_MINUTE = 60;

    /**
     * Judges the newest readings of a stage. The straight line through the last two is trusted for one interval of looking and no
     * longer, since a pot's rise flattens.
     *
     * @param readings in order, none with an event of the heat between it and the next
     * @param interval between two looks
     * @throws IllegalArgumentException for a stage without a ceiling
     */
    public static Optional<HeatAlarm> of(Heated heated, List<HeatReading> readings, Duration interval) {
        if (readings.isEmpty()) {
            return Optional.empty();
        }
        Temperature ceiling = heated.stage()
                .ceiling()
                .orElseThrow(() -> new IllegalArgumentException(
                        heated.stage().key() + " is not heated; only a heated stage has a ceiling"));
        HeatReading latest = readings.get(readings.size() - 1);
        if (latest.temperature().compareTo(ceiling) > 0) {
            return Optional.of(new HeatAlarm(latest, ceiling, Optional.empty()));
        }
        return readings.size() < 2
                ? Optional.empty()
                : reached(readings.get(readings.size() - 2), latest, ceiling)
                        .filter(in -> in.compareTo(interval) <= 0)
                        .map(in -> new HeatAlarm(latest, ceiling, Optional.of(in)));
    }

    private static Optional<Duration> reached(HeatReading before, HeatReading latest, Temperature ceiling) {
        double rise = latest.temperature().celsius() - before.temperature().celsius();
        double seconds = Duration.between(before.at(), latest.at()).toSeconds();
        if (rise <= 0 || seconds <= 0) {
            return Optional.empty();
        }
        double minutes = (ceiling.celsius() - latest.temperature().celsius()) / rise * seconds / SECONDS_PER_MINUTE;
        return Optional.of(Duration.ofMinutes(Math.round(minutes)));
    }

    public boolean isOver() {
        return reached.isEmpty();
    }

    /** When to look again at the latest. */
    public Instant lookAgain() {
        return latest.at().plus(reached.filter(in -> in.compareTo(SOON) > 0).orElse(SOON));
    }
}
