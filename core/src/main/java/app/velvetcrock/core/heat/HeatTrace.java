package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.method.Stage;
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
 * @param lukewarm time of wet herb between 10 and 40 °C, where germs grow; absent for dried herb
 * @param runs the straight runs between readings, in order; for drawing
 */
public record HeatTrace(
        TimeSpan inBand,
        TimeSpan credited,
        TimeSpan unwatched,
        Optional<Temperature> peak,
        TimeSpan aboveCeiling,
        Optional<TimeSpan> lukewarm,
        boolean scorched,
        List<Run> runs) {

    /** Wet herb goes off after so long between 10 and 40 °C (craft: heat). */
    public static final double LUKEWARM_MINUTES = 240;

    /** Where germs grow in it (craft: heat). */
    public static final Temperature LUKEWARM_LOW = Temperature.ofCelsius(10);

    public static final Temperature LUKEWARM_HIGH = Temperature.ofCelsius(40);

    /** So long above the ceiling is overheated (craft: heat). */
    private static final double OVERHEATED_MINUTES = 10;

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

    /** Adds a heated stage's readings up, of whose events only heat put on or off is told. */
    public static HeatTrace of(
            Heated heated, Instant start, Collection<HeatReading> readings, Collection<Instant> onOrOff) {
        return told(
                heated,
                start,
                readings,
                onOrOff.stream().map(at -> new HeatEvent(at, HeatChange.ON)).toList());
    }

    /**
     * Adds a heated stage's readings up.
     *
     * @throws IllegalArgumentException for a stage without a ceiling
     */
    public static HeatTrace told(
            Heated heated, Instant start, Collection<HeatReading> readings, List<HeatEvent> events) {
        HeatLaw law = HeatLaw.of(heated, start);
        HeatTally tally = HeatTally.NOTHING;
        List<Run> runs = new ArrayList<>();
        List<HeatEvent> left = events.stream()
                .sorted(Comparator.comparing(HeatEvent::at).thenComparing(HeatEvent::change))
                .toList();
        int next = 0;
        for (HeatReading reading :
                readings.stream().sorted(Comparator.comparing(HeatReading::at)).toList()) {
            for (; next < left.size() && left.get(next).at().isBefore(reading.at()); next++) {
                tally = tally.plus(left.get(next));
            }
            HeatTally before = tally;
            before.last().ifPresent(from -> runs.add(law.between(from, before.touched(), reading)));
            tally = tally.plus(law, reading);
        }
        return of(heated, tally, runs);
    }

    /**
     * What a course comes to that was added up reading by reading.
     *
     * @param drawn readings its picture goes through, in order: not all of them, but every peak
     */
    public static HeatTrace outlined(Heated heated, HeatTally tally, List<HeatReading> drawn) {
        List<Run> runs = new ArrayList<>();
        for (int i = 1; i < drawn.size(); i++) {
            HeatReading from = drawn.get(i - 1);
            HeatReading to = drawn.get(i);
            boolean unwatched = tally.gaps().stream().anyMatch(gap -> gap.overlaps(from.at(), to.at()));
            runs.add(new Run(from, to, unwatched, false, 0));
        }
        return of(heated, tally, runs);
    }

    private static HeatTrace of(Heated heated, HeatTally tally, List<Run> runs) {
        Stage stage = heated.stage();
        boolean atOnce = tally.peak()
                .filter(t -> stage.isOvenOrPan() ? t.celsius() > SCORCHED_IN_PAN : t.celsius() >= SCORCHED_AT_ONCE)
                .isPresent();
        return new HeatTrace(
                TimeSpan.ofMinutes(tally.inBand()),
                TimeSpan.ofMinutes(tally.credited()),
                TimeSpan.ofMinutes(tally.unwatched()),
                tally.peak(),
                TimeSpan.ofMinutes(tally.above()),
                heated.wet() ? Optional.of(TimeSpan.ofMinutes(tally.lukewarm())) : Optional.empty(),
                atOnce || tally.scorching() >= OVERHEATED_MINUTES,
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
}
