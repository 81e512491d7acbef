package app.velvetcrock.core.heat;

import app.velvetcrock.core.heat.HeatTrace.Run;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Tending;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * What the time between two readings of a stage counts.
 *
 * @param start when the stage's heat was first put on, from which its rhythm of looking counts
 */
record HeatLaw(Heated heated, HeatRate rate, Temperature ceiling, Instant start) {

    /** A gap with a hand reading at an end is trusted up to this, or a quarter over the method's rhythm (craft: heat). */
    private static final double TRUSTED_MINUTES = 90;

    /** The same, of the rhythm (craft: heat). */
    private static final double TRUSTED_SHARE = 1.25;

    /** A probe that was silent for longer is not trusted (craft: heat). */
    private static final double TRUSTED_OF_PROBE = 10;

    /**
     * The law of a stage.
     *
     * @throws IllegalArgumentException for a stage without a ceiling
     */
    static HeatLaw of(Heated heated, Instant start) {
        Stage stage = heated.stage();
        Temperature ceiling = stage.ceiling()
                .orElseThrow(() ->
                        new IllegalArgumentException(stage.key() + " is not heated; only a heated stage has a trace"));
        return new HeatLaw(heated, new HeatRate(stage.band(), ceiling, heated.wet()), ceiling, start);
    }

    /** The run between two readings, across the first thing that was done in between, if anything was. */
    Run between(HeatReading from, Optional<HeatEvent> event, HeatReading to) {
        Run line = new Run(from, to, false, false, 0);
        double trusted = trusted(from, to);
        boolean unwatched = line.minutes() > trusted;
        if (event.filter(done -> done.change().isOfHeatItself()).isPresent()) {
            return across(event.get().at(), from, to, unwatched);
        }
        double lower = line.minutes()
                * Math.min(
                        rate.at(from.temperature().celsius()),
                        rate.at(to.temperature().celsius()));
        if (unwatched) {
            return new Run(from, to, true, false, lower);
        }
        return event.isPresent()
                ? new Run(from, to, false, true, lower)
                : new Run(
                        from,
                        to,
                        false,
                        false,
                        rate.credit(
                                from.temperature().celsius(), to.temperature().celsius(), line.minutes()));
    }

    /** A run of a probe that may not have been in the oil: it earns nothing until that is answered. */
    static Run doubted(HeatReading from, HeatReading to) {
        return new Run(from, to, false, true, 0);
    }

    /**
     * Over a short break the line between the readings still tells how hot it was; over a long one only that it stayed as it was
     * until the event.
     */
    private static Run across(Instant event, HeatReading from, HeatReading to, boolean unwatched) {
        HeatReading end = unwatched ? new HeatReading(event, from.temperature(), from.byProbe()) : to;
        return new Run(from, end, false, true, 0);
    }

    /** The longest gap over which the line to the next reading is trusted, minutes. */
    private double trusted(HeatReading from, HeatReading to) {
        if (from.byProbe() && to.byProbe()) {
            return TRUSTED_OF_PROBE;
        }
        int unit = heated.stage().pace().minutes();
        double offset = Duration.between(start, from.at()).toMinutes() / (double) unit;
        double rhythm = heated.stage()
                .tending(Tending.Kind.READ)
                .map(tending -> tending.everyAt(offset) * (double) unit)
                .orElse(0.0);
        return Math.max(TRUSTED_MINUTES, TRUSTED_SHARE * rhythm);
    }
}
