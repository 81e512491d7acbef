package app.velvetcrock.core.heat;

import app.velvetcrock.core.heat.CurveFit.Point;
import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Where an oil on the heat is going, by its readings since the heat was last touched.
 *
 * <p>Newton's law through at least three readings of at least 20 minutes, at most an hour of them; where that tells no more than a
 * straight line, or ends nowhere a source could bring it, the line, and that for 20 minutes only (craft: heat, forecast).
 */
public final class HeatForecast {

    private static final Duration WINDOW = Duration.ofMinutes(60);
    private static final Duration HALF_A_MINUTE = Duration.ofSeconds(30);

    /** [E] An hour of half minutes; more than that tells nothing more. */
    private static final int MOST_READINGS = 130;

    private static final int LEAST_READINGS = 3;
    private static final double LEAST_SPAN = 20;

    /** A line is trusted no further than this, minutes. */
    private static final double LINE_MINUTES = 20;

    private static final double BELOW_ROOM = 2;

    /** Nothing in a kitchen's pots is colder or hotter, °C; a line runs into these and no further. */
    private static final double COLDEST = 0;

    private static final double HOTTEST = 200;

    /** How far a reading may be off, °C: a kitchen thermometer by its half degree, a probe by its noise [E]. */
    private static final double NOISE = 0.3;

    /** Sum of squares, in noise's, that a curve may be worse than the best one and still be one of eight in ten (chi-square, 1). */
    private static final double EIGHT_IN_TEN = 1.642;

    /** A moment that may be twice as far as another is no moment to tell (craft: heat). */
    private static final double TOO_WIDE = 2;

    private final HeatReading newest;
    private final Instant origin;
    private final Optional<CurveFit> best;
    private final List<CurveFit> likely;
    private final double slope;

    private HeatForecast(
            HeatReading newest, Instant origin, Optional<CurveFit> best, List<CurveFit> likely, double slope) {
        this.newest = newest;
        this.origin = origin;
        this.best = best;
        this.likely = likely;
        this.slope = slope;
    }

    /**
     * What a curve may end at.
     *
     * @param room nothing cools below it
     * @param hottest what the source cannot pass: 130 °C, a water bath 100
     */
    public record Surroundings(Temperature room, Temperature hottest) {

        private static final double SOURCE_HOTTEST = 130;
        private static final double BATH_HOTTEST = 100;

        /** [E] A kitchen, until it is asked. */
        private static final double ROOM = 20;

        private boolean allows(CurveFit fit) {
            return fit.end() >= room.celsius() - BELOW_ROOM && fit.end() <= hottest.celsius();
        }

        public static Surroundings of(boolean bath) {
            return new Surroundings(
                    Temperature.ofCelsius(ROOM), Temperature.ofCelsius(bath ? BATH_HOTTEST : SOURCE_HOTTEST));
        }
    }

    /** A moment and the earliest and latest it may be, eight times in ten. */
    public record Passing(Duration in, Duration earliest, Duration latest) {

        /** Tells whether it is too wide to be said. */
        public boolean isTooEarlyToSay() {
            return latest.toSeconds() > TOO_WIDE * Math.max(1, earliest.toSeconds());
        }
    }

    /** The lowest and the highest it may be at a moment, eight times in ten. */
    public record Fan(Temperature low, Temperature middle, Temperature high) {}

    /**
     * Looks ahead.
     *
     * @param readings since the heat was last touched, in order; absent as long as there are not two of them at different moments
     */
    public static Optional<HeatForecast> of(List<HeatReading> readings, Surroundings around) {
        if (readings.size() < 2) {
            return Optional.empty();
        }
        HeatReading newest = readings.get(readings.size() - 1);
        List<HeatReading> late = readings.stream()
                .filter(reading -> !reading.at().isBefore(newest.at().minus(WINDOW)))
                .toList();
        List<HeatReading> few = thinned(late);
        return through(few.size() < 2 ? readings.subList(readings.size() - 2, readings.size()) : few, around);
    }

    /** The means of every half a minute where a probe says more than can be told apart; the newest stays as it is. */
    private static List<HeatReading> thinned(List<HeatReading> readings) {
        if (readings.size() <= MOST_READINGS) {
            return readings;
        }
        List<HeatReading> means = new ArrayList<>();
        for (int from = 0, to; from < readings.size() - 1; from = to) {
            Instant until = readings.get(from).at().plus(HALF_A_MINUTE);
            for (to = from + 1;
                    to < readings.size() - 1 && readings.get(to).at().isBefore(until);
                    to++) {}
            List<HeatReading> one = readings.subList(from, to);
            double celsius = one.stream()
                    .mapToDouble(reading -> reading.temperature().celsius())
                    .average()
                    .orElseThrow();
            means.add(new HeatReading(one.get(one.size() / 2).at(), Temperature.ofCelsius(celsius), true));
        }
        means.add(readings.get(readings.size() - 1));
        return means;
    }

    /** The law through all of them, however long ago; for what is learned, not for what is foreseen. */
    static Optional<HeatForecast> through(List<HeatReading> late, Surroundings around) {
        HeatReading newest = late.get(late.size() - 1);
        Instant origin = late.get(0).at();
        List<Point> points = points(late, origin);
        double span = points.get(points.size() - 1).minutes();
        if (span <= 0) {
            return Optional.empty();
        }
        Optional<CurveFit> best =
                points.size() < LEAST_READINGS || span < LEAST_SPAN ? Optional.empty() : best(points, around);
        return Optional.of(new HeatForecast(
                newest,
                origin,
                best,
                best.map(fit -> likely(fit, points, around)).orElse(List.of()),
                slope(points)));
    }

    /**
     * Looks ahead once the heat is off: towards the room, for which two readings suffice (craft: heat).
     */
    public static Optional<HeatForecast> cooling(List<HeatReading> readings, Temperature room) {
        if (readings.size() < 2) {
            return Optional.empty();
        }
        HeatReading newest = readings.get(readings.size() - 1);
        Instant origin = readings.get(0).at();
        List<Point> points = points(readings, origin);
        boolean cools = points.get(points.size() - 1).celsius() < points.get(0).celsius()
                && newest.temperature().compareTo(room) > 0;
        if (!cools) {
            return Optional.empty();
        }
        Optional<CurveFit> best = CurveFit.grid().stream()
                .map(tau -> CurveFit.towards(room.celsius(), tau, points))
                .min(Comparator.comparingDouble(CurveFit::squares));
        return Optional.of(new HeatForecast(newest, origin, best, List.of(best.orElseThrow()), slope(points)));
    }

    private static List<Point> points(List<HeatReading> readings, Instant origin) {
        return readings.stream()
                .map(reading -> new Point(
                        minutes(origin, reading.at()), reading.temperature().celsius()))
                .toList();
    }

    private static double minutes(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 60_000.0;
    }

    private static Optional<CurveFit> best(List<Point> points, Surroundings around) {
        return CurveFit.grid().stream()
                .map(tau -> CurveFit.at(tau, points))
                .min(Comparator.comparingDouble(CurveFit::squares))
                .filter(fit -> fit.squares() < CurveFit.squaresOfLine(points))
                .filter(around::allows);
    }

    /** The curves that are not much worse than the best, by as much as readings may be off. */
    private static List<CurveFit> likely(CurveFit best, List<Point> points, Surroundings around) {
        double noise = Math.max(NOISE * NOISE, best.squares() / Math.max(1, points.size() - 3));
        return CurveFit.grid().stream()
                .map(tau -> CurveFit.at(tau, points))
                .filter(fit -> fit.squares() <= best.squares() + EIGHT_IN_TEN * noise && around.allows(fit))
                .toList();
    }

    /** The straight line through the last twenty minutes, or the last two readings where these are all; °C a minute. */
    private static double slope(List<Point> points) {
        double end = points.get(points.size() - 1).minutes();
        List<Point> late =
                points.stream().filter(p -> p.minutes() >= end - LINE_MINUTES).toList();
        return CurveFit.slope(late.size() > 1 ? late : points.subList(points.size() - 2, points.size()));
    }

    /** The reading it goes on from. */
    public HeatReading newest() {
        return newest;
    }

    /** Where it ends if nothing is touched; absent for a straight line. */
    public Optional<Temperature> end() {
        return best.map(fit -> Temperature.ofCelsius(fit.end()));
    }

    /** How far apart the ends are that are likely, eight in ten; °C, absent for a straight line. */
    OptionalDouble spreadOfEnd() {
        return likely.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(likely.stream()
                                .mapToDouble(CurveFit::end)
                                .max()
                                .orElseThrow()
                        - likely.stream().mapToDouble(CurveFit::end).min().orElseThrow());
    }

    /** In how much time the way to its end shrinks to a 2.718th; absent for a straight line. */
    public Optional<Duration> tau() {
        return best.map(fit -> Duration.ofSeconds(Math.round(fit.tau() * 60)));
    }

    /** Tells whether it warms. */
    public boolean rises() {
        return best.map(fit -> fit.gap() < 0).orElse(slope > 0);
    }

    /** How far ahead it can be told: a line for 20 minutes, a curve for as long as it is not touched. */
    public Optional<Duration> trusted() {
        return best.isPresent() ? Optional.empty() : Optional.of(Duration.ofMinutes((long) LINE_MINUTES));
    }

    /** When it comes to a temperature it has not reached, from the newest reading on; absent where it does not, or cannot be told. */
    public Optional<Passing> passes(Temperature mark) {
        double now = minutes(origin, newest.at());
        double there = mark.celsius() - newest.temperature().celsius();
        if (there == 0 || there > 0 != rises()) {
            return Optional.empty();
        }
        if (best.isEmpty()) {
            double in = there / slope;
            return slope != 0 && in <= LINE_MINUTES
                    ? Optional.of(new Passing(ofMinutes(in), ofMinutes(in), ofMinutes(in)))
                    : Optional.empty();
        }
        double in = best.get().minutesTo(mark.celsius()) - now;
        if (!Double.isFinite(in)) {
            return Optional.empty();
        }
        OptionalDouble earliest = likely.stream()
                .mapToDouble(fit -> fit.minutesTo(mark.celsius()) - now)
                .min();
        double latest = likely.stream()
                .mapToDouble(fit -> fit.minutesTo(mark.celsius()) - now)
                .max()
                .orElse(in);
        return Optional.of(new Passing(ofMinutes(in), ofMinutes(earliest.orElse(in)), ofMinutes(latest)));
    }

    /** Where it is at a moment from the newest reading on; absent beyond what can be told. */
    public Optional<Fan> at(Instant moment) {
        double ahead = minutes(newest.at(), moment);
        if (ahead < 0 || (best.isEmpty() && ahead > LINE_MINUTES)) {
            return Optional.empty();
        }
        if (best.isEmpty()) {
            Temperature there = Temperature.ofCelsius(
                    Math.max(COLDEST, Math.min(HOTTEST, newest.temperature().celsius() + slope * ahead)));
            return Optional.of(new Fan(there, there, there));
        }
        double at = minutes(origin, moment);
        double middle = best.get().celsiusAt(at);
        return Optional.of(new Fan(
                Temperature.ofCelsius(likely.stream()
                        .mapToDouble(fit -> fit.celsiusAt(at))
                        .min()
                        .orElse(middle)),
                Temperature.ofCelsius(middle),
                Temperature.ofCelsius(likely.stream()
                        .mapToDouble(fit -> fit.celsiusAt(at))
                        .max()
                        .orElse(middle))));
    }

    /**
     * How long from the newest reading on it takes to earn so many heat-hours, if nothing is touched; absent for a line, and where
     * it does not within a week.
     */
    public Optional<Duration> earns(Heated heated, double minutes) {
        if (best.isEmpty()) {
            return Optional.empty();
        }
        HeatRate rate = HeatLaw.of(heated, origin).rate();
        double now = minutes(origin, newest.at());
        double earned = 0;
        for (double ahead = 0; ahead < FARTHEST_MINUTES; ahead += SLICE_MINUTES) {
            double slice = rate.credit(
                    best.get().celsiusAt(now + ahead),
                    best.get().celsiusAt(now + ahead + SLICE_MINUTES),
                    SLICE_MINUTES);
            if (earned + slice >= minutes && slice > 0) {
                return Optional.of(ofMinutes(ahead + (minutes - earned) / slice * SLICE_MINUTES));
            }
            earned += slice;
        }
        return Optional.empty();
    }

    /** Straight pieces of this length stand for the curve; over 5 minutes it bends by less than a tenth of a degree. */
    private static final double SLICE_MINUTES = 5;

    private static final double FARTHEST_MINUTES = 7 * 24 * 60;

    private static Duration ofMinutes(double minutes) {
        return Duration.ofSeconds(Math.round(Math.max(0, Math.min(FARTHEST_MINUTES, minutes)) * 60));
    }
}
