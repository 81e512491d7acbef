package app.velvetcrock.core.heat;

import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * That the heat is on and nobody read it for too long: a danger of its own (craft: heat, unwatched).
 *
 * @param since the last reading; where there was none, when the heat was put on
 * @param wasRead whether anything was read since the heat was put on
 */
public record NobodyLooked(Instant since, boolean wasRead) {

    /** Twice the method's interval is too long (craft: heat, unwatched). */
    private static final int INTERVALS = 2;

    /** This close to its ceiling, °C, half an hour is too long (craft: heat, unwatched). */
    private static final double NEAR = 5;

    private static final Duration NEAR_ITS_CEILING = Duration.ofMinutes(30);

    private static final long MINUTES_AN_HOUR = 60;

    /**
     * Judges heat that is on and that no probe reads.
     *
     * @param latest the newest reading of this session; absent for none
     * @param interval how long after it the next one is due
     */
    public static Optional<NobodyLooked> of(
            Instant on, Optional<HeatReading> latest, Optional<Temperature> ceiling, Duration interval, Instant now) {
        boolean near = latest.flatMap(reading -> ceiling.filter(
                        limit -> limit.celsius() - reading.temperature().celsius() <= NEAR))
                .isPresent();
        Duration most = interval.multipliedBy(INTERVALS);
        Duration limit = near && NEAR_ITS_CEILING.compareTo(most) < 0 ? NEAR_ITS_CEILING : most;
        Instant since = latest.map(HeatReading::at).orElse(on);
        return now.isAfter(since.plus(limit))
                ? Optional.of(new NobodyLooked(since, latest.isPresent()))
                : Optional.empty();
    }

    /** What is wrong and what to do: "Nobody has looked at it for 11 h, since 29 Nov 2026, 18:00: look at the pot now and read it." */
    public String words(Instant now, Wording say) {
        Duration gone = Duration.between(since, now);
        String how = gone.toMinutes() < MINUTES_AN_HOUR
                ? gone.toMinutes() + " min"
                : Math.round(gone.toMinutes() / (double) MINUTES_AN_HOUR) + " h";
        return "Nobody has looked at it for %s, since %s%s: look at the pot now, and read it."
                .formatted(how, say.moment(since), wasRead ? "" : ", when the heat was put on");
    }
}
