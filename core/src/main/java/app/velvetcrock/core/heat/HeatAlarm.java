package app.velvetcrock.core.heat;

import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * Heat that is over its ceiling, or on its way there as far as can be told; it holds until a reading below.
 *
 * @param latest the reading that says so
 * @param reached how long after that reading the ceiling is passed on this course; absent where it is passed already, and where it
 *     is too early to say when
 * @param earliest how soon it may be passed, by eight courses in ten; absent where it is passed already
 */
public record HeatAlarm(
        HeatReading latest, Temperature ceiling, Optional<Duration> reached, Optional<Duration> earliest) {

    /** [E] How soon an oil that is too hot is read again, and the least time between two looks at one that is rising. */
    private static final Duration SOON = Duration.ofMinutes(5);

    private static final long HALF_A_MINUTE = 30;

    /**
     * Judges the newest readings of a stage.
     *
     * @param readings in order, none with anything done to the heat between it and the next
     * @param interval between two looks; what is farther off than this the next look will tell
     * @throws IllegalArgumentException for a stage without a ceiling
     */
    public static Optional<HeatAlarm> of(
            Heated heated, List<HeatReading> readings, Optional<HeatForecast> ahead, Duration interval) {
        if (readings.isEmpty()) {
            return Optional.empty();
        }
        Temperature ceiling = heated.stage()
                .ceiling()
                .orElseThrow(() -> new IllegalArgumentException(
                        heated.stage().key() + " is not heated; only a heated stage has a ceiling"));
        HeatReading latest = readings.get(readings.size() - 1);
        if (latest.temperature().compareTo(ceiling) > 0) {
            return Optional.of(new HeatAlarm(latest, ceiling, Optional.empty(), Optional.empty()));
        }
        return ahead.flatMap(forecast -> forecast.passes(ceiling))
                .filter(passing -> passing.earliest().compareTo(interval) <= 0)
                .map(passing -> new HeatAlarm(
                        latest,
                        ceiling,
                        passing.isTooEarlyToSay() ? Optional.empty() : Optional.of(passing.in()),
                        Optional.of(passing.earliest())));
    }

    /** What is wrong, and what to do about it. */
    public String words(boolean on, Wording say) {
        String limit = say.temperature(ceiling);
        String again = say.time(lookAgain());
        if (isOver()) {
            return "%s is over its ceiling of %s: %s. Read it again by %s."
                    .formatted(
                            say.temperature(latest.temperature()),
                            limit,
                            on ? "turn it to warm or off and lift the lid now" : "leave the lid off until it is below",
                            again);
        }
        return reached.map(in ->
                        "On this course it is past %s in about %d min: turn it to warm or lift the lid. Read it again by %s."
                                .formatted(limit, in.plusSeconds(HALF_A_MINUTE).toMinutes(), again))
                .orElseGet(() -> "It is rising and may pass %s; it is too early to say when. Read it again by %s."
                        .formatted(limit, again));
    }

    public boolean isOver() {
        return earliest.isEmpty();
    }

    /** When to look again at the latest. */
    public Instant lookAgain() {
        return latest.at().plus(earliest.filter(in -> in.compareTo(SOON) > 0).orElse(SOON));
    }
}
