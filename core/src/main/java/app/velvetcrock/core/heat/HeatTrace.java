package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Tending;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a stage's readings come to: hours in band, heat-hours, what was not watched and what was too hot.
 *
 * @param inBand time between the band's ends
 * @param credited heat-hours, in minutes
 * @param unwatched time in gaps too long to trust the line between two readings
 * @param peak hottest reading
 * @param aboveCeiling time above the ceiling
 * @param runs the straight runs between readings, in order; for drawing
 */
public record HeatTrace(
        TimeSpan inBand,
        TimeSpan credited,
        TimeSpan unwatched,
        Optional<Temperature> peak,
        TimeSpan aboveCeiling,
        boolean scorched,
        List<Run> runs) {

    /** A gap between hand readings is trusted up to this, or a quarter over the method's rhythm (craft: heat). */
    private static final double TRUSTED_MINUTES = 90;

    /** The same, of the rhythm (craft: heat). */
    private static final double TRUSTED_SHARE = 1.25;
    /** So long above the ceiling is overheated (craft: heat). */
    private static final double OVERHEATED_MINUTES = 10;
    /** So far over the ceiling for that long asks whether it scorched (craft: heat). */
    private static final double SCORCHING_OVER_CEILING = 10;
    /** It never scorches below this, °C (craft: heat). */
    private static final double SCORCHING_LEAST = 80;
    /** Reached but once, °C (craft: heat). */
    private static final double SCORCHED_AT_ONCE = 110;

    /** Oven and pan may reach 110 °C; above this they scorch. */
    private static final double SCORCHED_IN_PAN = 120;

    public HeatTrace {
        runs = List.copyOf(runs);
    }

    /**
     * Two readings next to each other, with what the time between them counts.
     *
     * @param split true where the heat was put on or off in between: such a run earns nothing and is not in the band, but what it
     * shows above the ceiling is not forgiven
     */
    public record Run(HeatReading from, HeatReading to, boolean unwatched, boolean split, double creditedMinutes) {

        double minutes() {
            return Duration.between(from.at(), to.at()).toMillis() / 60_000.0;
        }
    }

    /**
     * Adds a heated stage's readings up.
     *
     * @param events heat put on or off: a run across one earns nothing
     * @throws IllegalArgumentException for a stage without a ceiling
     */
    public static HeatTrace of(
            Heated heated, Instant start, Collection<HeatReading> readings, Collection<Instant> events) {
        Stage stage = heated.stage();
        Temperature ceiling = stage.ceiling()
                .orElseThrow(() ->
                        new IllegalArgumentException(stage.key() + " is not heated; only a heated stage has a trace"));
        HeatRate rate = new HeatRate(stage.band(), ceiling, heated.wet());
        List<Run> runs = runs(stage, start, readings, events, rate);
        double scorching = Math.max(ceiling.celsius() + SCORCHING_OVER_CEILING, SCORCHING_LEAST);
        Optional<Temperature> peak =
                readings.stream().map(HeatReading::temperature).max(Comparator.naturalOrder());
        boolean scorched = hotterThan(runs, scorching) >= OVERHEATED_MINUTES
                || peak.filter(t ->
                                stage.isOvenOrPan() ? t.celsius() > SCORCHED_IN_PAN : t.celsius() >= SCORCHED_AT_ONCE)
                        .isPresent();
        double band = runs.stream()
                .filter(run -> !run.unwatched() && !run.split())
                .mapToDouble(run -> within(
                        run, stage.band().low().celsius(), stage.band().high().celsius()))
                .sum();
        return new HeatTrace(
                TimeSpan.ofMinutes(band),
                TimeSpan.ofMinutes(
                        runs.stream().mapToDouble(Run::creditedMinutes).sum()),
                TimeSpan.ofMinutes(runs.stream()
                        .filter(Run::unwatched)
                        .mapToDouble(Run::minutes)
                        .sum()),
                peak,
                TimeSpan.ofMinutes(hotterThan(runs, ceiling.celsius())),
                scorched,
                runs);
    }

    /** What a minute at a temperature counts in a heated stage, 0 to 1. */
    public static double rateAt(Heated heated, Temperature temperature) {
        Stage stage = heated.stage();
        return stage.ceiling()
                .map(ceiling -> new HeatRate(stage.band(), ceiling, heated.wet()).at(temperature.celsius()))
                .orElse(0.0);
    }

    /** Ten minutes above the ceiling, or more. */
    public boolean isOverheated() {
        return aboveCeiling.minutes() >= OVERHEATED_MINUTES;
    }

    private static List<Run> runs(
            Stage stage, Instant start, Collection<HeatReading> readings, Collection<Instant> events, HeatRate rate) {
        List<HeatReading> inOrder =
                readings.stream().sorted(Comparator.comparing(HeatReading::at)).toList();
        List<Run> runs = new ArrayList<>();
        for (int i = 1; i < inOrder.size(); i++) {
            HeatReading from = inOrder.get(i - 1);
            HeatReading to = inOrder.get(i);
            double trusted = trusted(stage, start, from);
            runs.add(events.stream()
                    .filter(event -> event.isAfter(from.at()) && event.isBefore(to.at()))
                    .min(Comparator.naturalOrder())
                    .map(event -> across(event, from, to, trusted))
                    .orElseGet(() -> run(from, to, trusted, rate)));
        }
        return runs;
    }

    /**
     * Over a short break the line between the readings still tells how hot it was; over a long one only that it stayed as it was
     * until the event.
     */
    private static Run across(Instant event, HeatReading from, HeatReading to, double trusted) {
        Run whole = new Run(from, to, false, true, 0);
        return whole.minutes() <= trusted
                ? whole
                : new Run(from, new HeatReading(event, from.temperature()), false, true, 0);
    }

    private static Run run(HeatReading from, HeatReading to, double trusted, HeatRate rate) {
        double a = from.temperature().celsius();
        double b = to.temperature().celsius();
        double minutes = new Run(from, to, false, false, 0).minutes();
        boolean unwatched = minutes > trusted;
        double credit = unwatched ? minutes * Math.min(rate.at(a), rate.at(b)) : rate.credit(a, b, minutes);
        return new Run(from, to, unwatched, false, credit);
    }

    /** The longest gap after a reading over which the line to the next is trusted, minutes. */
    private static double trusted(Stage stage, Instant start, HeatReading from) {
        int unit = stage.pace().minutes();
        double offset = Duration.between(start, from.at()).toMinutes() / (double) unit;
        double rhythm = stage.tending(Tending.Kind.READ)
                .map(tending -> tending.everyAt(offset) * (double) unit)
                .orElse(0.0);
        return Math.max(TRUSTED_MINUTES, TRUSTED_SHARE * rhythm);
    }

    private static double hotterThan(List<Run> runs, double celsius) {
        return runs.stream()
                .mapToDouble(run -> HeatRate.above(
                        run.from().temperature().celsius(),
                        run.to().temperature().celsius(),
                        run.minutes(),
                        celsius))
                .sum();
    }

    private static double within(Run run, double low, double high) {
        return HeatRate.within(
                run.from().temperature().celsius(), run.to().temperature().celsius(), run.minutes(), low, high);
    }
}
