package app.velvetcrock.core.heat;

import app.velvetcrock.core.heat.HeatForecast.Surroundings;
import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a source of heat did once: where it would have ended, and how fast (craft: devices).
 *
 * @param setting what it was turned to; absent where nobody said, or it has none
 * @param load what was in it
 * @param tau time constant, 1 s to 24 h
 * @param began the coldest reading it was seen from; absent where that was not kept
 */
public record SourceCurve(
        Optional<HeatSetting> setting, Volume load, Temperature end, Duration tau, Optional<Temperature> began) {

    private static final long LONGEST_SECONDS = 24L * 60 * 60;

    /** [E] An end that may lie farther apart than this, °C, was not watched long enough to learn from. */
    private static final double SURE = 8;

    public SourceCurve {
        Check.range("time constant", tau.toSeconds(), 1, LONGEST_SECONDS, "s");
    }

    /** What readings from one touch to the next show; absent where they do not show where it was going. */
    public static Optional<SourceCurve> shown(
            List<HeatReading> readings, Optional<HeatSetting> setting, Volume load, Surroundings around) {
        return readings.size() < 2
                ? Optional.empty()
                : HeatForecast.through(readings, around)
                        .filter(HeatForecast::rises)
                        .filter(curve -> curve.spreadOfEnd().orElse(Double.MAX_VALUE) <= SURE)
                        .map(curve -> new SourceCurve(
                                setting,
                                load,
                                curve.end().orElseThrow(),
                                curve.tau().orElseThrow(),
                                readings.stream().map(HeatReading::temperature).min(Comparator.naturalOrder())));
    }

    /** Tells whether its coming up to a temperature was seen, and not reckoned back from what was warm already. */
    boolean wasSeenBelow(Temperature low) {
        return began.filter(from -> from.compareTo(low) < 0).isPresent();
    }

    /** When it comes to a temperature from another; absent where it never does. */
    public Optional<Duration> warmUp(Temperature from, Temperature to) {
        double share = (end.celsius() - from.celsius()) / (end.celsius() - to.celsius());
        return to.compareTo(end) >= 0 || share <= 1
                ? Optional.empty()
                : Optional.of(Duration.ofSeconds(Math.round(tau.toSeconds() * Math.log(share))));
    }

    /** Where it is so long after it began at a temperature. */
    public Temperature after(Duration time, Temperature from) {
        double share = Math.exp(-time.toSeconds() / (double) tau.toSeconds());
        return Temperature.ofCelsius(end.celsius() + (from.celsius() - end.celsius()) * share);
    }
}
