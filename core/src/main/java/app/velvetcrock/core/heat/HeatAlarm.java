package app.velvetcrock.core.heat;

import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Heat that is over its ceiling, or on its way there as far as can be told. Once given it holds until two readings fall, the heat is
 * touched or the ceiling is passed; close under the ceiling and rising it is never weaker than now (craft: heat, forecast).
 *
 * @param latest the newest reading
 * @param reached how long after that reading the ceiling is passed on this course; absent where it is passed already, and where it
 *     is too early to say when
 * @param earliest how soon it may be passed, by eight courses in ten; absent where it is passed already
 * @param close whether it is close under the ceiling and rises
 */
public record HeatAlarm(
        HeatReading latest,
        Temperature ceiling,
        Optional<Duration> reached,
        Optional<Duration> earliest,
        boolean close) {

    /** [E] How soon an oil that is too hot is read again, and the least time between two looks at one that is rising. */
    private static final Duration SOON = Duration.ofMinutes(5);

    private static final long HALF_A_MINUTE = 30;

    private static final String BY_NOW = "by now";

    /** So far under its ceiling, °C, what rises is told of as now (craft: heat, forecast). */
    private static final double CLOSE = 3;

    /** [E] Less than this between two readings is the thermometer, °C. */
    private static final double RISE = 0.4;

    /** Tenths of a degree are not whole in binary. */
    private static final double SLACK = 1e-9;

    /** [E] A rise is looked for over this time; a probe says more than can be told apart. */
    private static final Duration APART = Duration.ofMinutes(4);

    /** [E] Of a probe's readings no more than these are judged anew: one every few minutes of its last hour. */
    private static final int MOST_JUDGED = 16;

    /**
     * Judges the readings of a stage, one after the other, so that what was warned of is not forgotten.
     *
     * @param readings in order, none with anything done to the heat between it and the next
     * @param ahead where some of them lead
     * @param interval between two looks; what is farther off than this the next look will tell
     * @throws IllegalArgumentException for a stage without a ceiling
     */
    public static Optional<HeatAlarm> of(
            Heated heated,
            List<HeatReading> readings,
            Function<List<HeatReading>, Optional<HeatForecast>> ahead,
            Duration interval) {
        Temperature ceiling = heated.stage()
                .ceiling()
                .orElseThrow(() -> new IllegalArgumentException(
                        heated.stage().key() + " is not heated; only a heated stage has a ceiling"));
        Optional<HeatAlarm> holds = Optional.empty();
        int step = Math.max(1, readings.size() / MOST_JUDGED);
        int first = readings.isEmpty() ? 0 : (readings.size() - 1) % step;
        for (int i = first; i < readings.size(); i += step) {
            List<HeatReading> so = readings.subList(0, i + 1);
            Optional<HeatAlarm> now = judged(so, ceiling, ahead.apply(so), interval);
            holds = now.map(alarm -> alarm.after(so)).map(later(holds)).or(still(holds, so));
        }
        return holds;
    }

    private static Optional<HeatAlarm> judged(
            List<HeatReading> readings, Temperature ceiling, Optional<HeatForecast> ahead, Duration interval) {
        HeatReading latest = readings.get(readings.size() - 1);
        if (latest.temperature().compareTo(ceiling) > 0) {
            return Optional.of(new HeatAlarm(latest, ceiling, Optional.empty(), Optional.empty(), false));
        }
        Optional<HeatAlarm> coming = ahead.flatMap(forecast -> forecast.passes(ceiling))
                .filter(passing -> passing.earliest().compareTo(interval) <= 0)
                .map(passing -> new HeatAlarm(
                        latest,
                        ceiling,
                        passing.isTooEarlyToSay() ? Optional.empty() : Optional.of(passing.in()),
                        Optional.of(passing.earliest()),
                        false));
        return coming.or(() -> isClose(readings, ceiling)
                ? Optional.of(new HeatAlarm(latest, ceiling, Optional.empty(), Optional.of(Duration.ZERO), true))
                : Optional.empty());
    }

    private HeatAlarm after(List<HeatReading> readings) {
        return isOver() ? this : new HeatAlarm(latest, ceiling, reached, earliest, isClose(readings, ceiling));
    }

    /** Minutes said once are not forgotten where it has become too early to say. */
    private static Function<HeatAlarm, HeatAlarm> later(Optional<HeatAlarm> before) {
        return now -> now.isOver() || now.reached().isPresent()
                ? now
                : before.flatMap(HeatAlarm::reachedAt)
                        .map(at -> new HeatAlarm(
                                now.latest(),
                                now.ceiling(),
                                Optional.of(until(at, now.latest())),
                                now.earliest(),
                                now.close()))
                        .orElse(now);
    }

    /** What was given holds on, until two readings fall; what was over is judged anew once it is below. */
    private static Supplier<Optional<HeatAlarm>> still(Optional<HeatAlarm> before, List<HeatReading> readings) {
        return () -> before.filter(alarm -> !alarm.isOver() && !fell(readings)).map(alarm -> {
            HeatReading latest = readings.get(readings.size() - 1);
            return new HeatAlarm(
                    latest,
                    alarm.ceiling(),
                    alarm.reachedAt().map(at -> until(at, latest)),
                    Optional.of(until(alarm.latest().at().plus(alarm.earliest().orElseThrow()), latest)),
                    isClose(readings, alarm.ceiling()));
        });
    }

    private Optional<Instant> reachedAt() {
        return reached.map(in -> latest.at().plus(in));
    }

    private static Duration until(Instant at, HeatReading from) {
        Duration left = Duration.between(from.at(), at);
        return left.isNegative() ? Duration.ZERO : left;
    }

    private static boolean fell(List<HeatReading> readings) {
        int last = readings.size() - 1;
        return last >= 2
                && isBelow(readings.get(last), readings.get(last - 1))
                && isBelow(readings.get(last - 1), readings.get(last - 2));
    }

    private static boolean isBelow(HeatReading one, HeatReading other) {
        return one.temperature().compareTo(other.temperature()) < 0;
    }

    /** Tells whether the newest lies close under the ceiling, and above the one some minutes before it. */
    private static boolean isClose(List<HeatReading> readings, Temperature ceiling) {
        HeatReading latest = readings.get(readings.size() - 1);
        return latest.temperature().celsius() >= ceiling.celsius() - CLOSE
                && readings.stream()
                        .filter(reading -> !reading.at().isAfter(latest.at().minus(APART)))
                        .reduce((one, nearer) -> nearer)
                        .filter(reading -> latest.temperature().celsius()
                                        - reading.temperature().celsius()
                                >= RISE - SLACK)
                        .isPresent();
    }

    /** What is wrong, and what to do about it. */
    public String words(boolean on, Instant now, Wording say) {
        String limit = say.temperature(ceiling);
        String again = (lookAgain().isBefore(now) ? "It was to be read again by %s." : "Read it again by %s.")
                .formatted(say.time(lookAgain()));
        if (isOver()) {
            return "%s is over its ceiling of %s: %s. %s"
                    .formatted(
                            say.temperature(latest.temperature()),
                            limit,
                            on ? "turn it to warm or off and lift the lid now" : "leave the lid off until it is below",
                            again);
        }
        if (close) {
            return "%s is close under its ceiling of %s and rising: turn it to warm or lift the lid now. %s"
                    .formatted(say.temperature(latest.temperature()), limit, again);
        }
        return reached.map(in -> "On this course it is past %s %s: turn it to warm or lift the lid. %s"
                        .formatted(limit, in(in, now), again))
                .orElseGet(() -> "It is rising and may pass %s, %s; it is too early to say when: "
                                .formatted(limit, earliest(now))
                        + "turn it to warm or lift the lid. " + again);
    }

    private String earliest(Instant now) {
        String in = in(earliest.orElseThrow(), now);
        return in.equals(BY_NOW) ? "at any moment" : "at the earliest " + in;
    }

    /** How far off from now something is that comes so long after the newest reading. */
    private String in(Duration in, Instant now) {
        long minutes = Duration.between(now, latest.at().plus(in))
                .plusSeconds(HALF_A_MINUTE)
                .toMinutes();
        return minutes <= 0 ? BY_NOW : "in about %d min".formatted(minutes);
    }

    public boolean isOver() {
        return earliest.isEmpty();
    }

    /** When to look again at the latest. */
    public Instant lookAgain() {
        return latest.at().plus(earliest.filter(in -> in.compareTo(SOON) > 0).orElse(SOON));
    }
}
