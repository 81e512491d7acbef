package app.velvetcrock.core.heat;

import app.velvetcrock.core.heat.HeatTrace.Run;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Band;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a course of heat has come to at one moment, and all that must be known to go on from there.
 *
 * @param last the newest reading
 * @param touched the first thing done after it
 * @param gaps where nobody watched, in order
 */
public record HeatTally(
        Sums sums,
        Optional<Temperature> peak,
        Optional<HeatReading> last,
        Optional<HeatEvent> touched,
        Plunge plunge,
        List<Gap> gaps) {

    public static final HeatTally NOTHING =
            new HeatTally(Sums.NOTHING, Optional.empty(), Optional.empty(), Optional.empty(), Plunge.NONE, List.of());

    public HeatTally {
        gaps = List.copyOf(gaps);
    }

    /**
     * What is added up, all in minutes.
     *
     * @param inBand time between the band's ends
     * @param credited heat-hours
     * @param unwatched time in gaps too long to trust the line between two readings
     * @param above time above the ceiling
     * @param degreeMinutes how far above, summed over that time, °C · min
     * @param scorching time above what scorches
     * @param lukewarm time between 10 and 40 °C, where germs grow in wet herb
     */
    public record Sums(
            double inBand,
            double credited,
            double unwatched,
            double above,
            double degreeMinutes,
            double scorching,
            double lukewarm) {

        static final Sums NOTHING = new Sums(0, 0, 0, 0, 0, 0, 0);

        /** So far over the ceiling for ten minutes asks whether it scorched, and never below 80 °C (craft: heat). */
        private static final double SCORCHING_OVER_CEILING = 10;

        private static final double SCORCHING_LEAST = 80;

        private Sums plus(HeatLaw law, Run run) {
            double from = run.from().temperature().celsius();
            double to = run.to().temperature().celsius();
            double minutes = run.minutes();
            double ceiling = law.ceiling().celsius();
            double scorches = Math.max(ceiling + SCORCHING_OVER_CEILING, SCORCHING_LEAST);
            Band band = law.heated().stage().band();
            boolean onLine = !run.unwatched() && !run.split();
            double held = onLine
                    ? HeatRate.within(
                            from, to, minutes, band.low().celsius(), band.high().celsius())
                    : 0;
            return new Sums(
                    inBand + held,
                    credited + run.creditedMinutes(),
                    unwatched + (run.unwatched() ? minutes : 0),
                    above + HeatRate.above(from, to, minutes, ceiling),
                    degreeMinutes + HeatRate.degreesAbove(from, to, minutes, ceiling),
                    scorching + HeatRate.above(from, to, minutes, scorches),
                    lukewarm
                            + HeatRate.within(
                                    from,
                                    to,
                                    minutes,
                                    HeatTrace.LUKEWARM_LOW.celsius(),
                                    HeatTrace.LUKEWARM_HIGH.celsius()));
        }
    }

    /** A stretch of time nobody watched. */
    public record Gap(Instant from, Instant to) {

        boolean overlaps(Instant a, Instant b) {
            return from.isBefore(b) && a.isBefore(to);
        }
    }

    /**
     * Whether a probe still reads the oil: a fall too steep for oil asks that (craft: devices).
     *
     * @param lastMinute of a probe's readings of the last minute those that no later one was hotter than
     * @param doubt when it fell so; absent while nothing is doubted, or that was answered
     */
    public record Plunge(List<HeatReading> lastMinute, Optional<Instant> doubt) {

        static final Plunge NONE = new Plunge(List.of(), Optional.empty());

        /** Oil does not cool by more than this in a minute, °C (craft: devices). */
        private static final double FALL = 8;

        private static final Duration WITHIN = Duration.ofMinutes(1);

        public Plunge {
            lastMinute = List.copyOf(lastMinute);
        }

        private Plunge plus(HeatReading reading) {
            if (!reading.byProbe()) {
                return this;
            }
            Instant since = reading.at().minus(WITHIN);
            Stream<HeatReading> hotter =
                    lastMinute.stream().filter(one -> !one.at().isBefore(since));
            if (doubt.isEmpty() && lastMinute.stream().anyMatch(one -> fell(one, reading))) {
                return new Plunge(List.of(reading), Optional.of(reading.at()));
            }
            return new Plunge(
                    Stream.concat(
                                    hotter.filter(one -> one.temperature().compareTo(reading.temperature()) > 0),
                                    Stream.of(reading))
                            .toList(),
                    doubt);
        }

        private static boolean fell(HeatReading from, HeatReading to) {
            return !from.at().isBefore(to.at().minus(WITHIN))
                    && from.temperature().celsius() - to.temperature().celsius() > FALL;
        }
    }

    /** Goes on to the next reading; constant work, whatever came before. */
    HeatTally plus(HeatLaw law, HeatReading reading) {
        Temperature hottest =
                peak.filter(t -> t.compareTo(reading.temperature()) >= 0).orElse(reading.temperature());
        Plunge next = plunge.plus(reading);
        Optional<Run> run = last.map(from ->
                next.doubt().isPresent() ? HeatLaw.doubted(from, reading) : law.between(from, touched, reading));
        return new HeatTally(
                run.map(one -> sums.plus(law, one)).orElse(sums),
                Optional.of(hottest),
                Optional.of(reading),
                Optional.empty(),
                next,
                run.filter(Run::unwatched)
                        .map(one -> Stream.concat(
                                        gaps.stream(),
                                        Stream.of(new Gap(
                                                one.from().at(), one.to().at())))
                                .toList())
                        .orElse(gaps));
    }

    /** Goes on over something done; of several between two readings heat itself put on or off outweighs the rest. */
    HeatTally plus(HeatEvent event) {
        boolean between = last.filter(from -> event.at().isAfter(from.at())).isPresent();
        boolean outweighs = touched.isEmpty()
                || (event.change().isOfHeatItself() && !touched.get().change().isOfHeatItself());
        Optional<Instant> doubt = event.change() == HeatChange.PROBE_IN_OIL ? Optional.empty() : plunge.doubt();
        return new HeatTally(
                sums,
                peak,
                last,
                between && outweighs ? Optional.of(event) : touched,
                new Plunge(List.of(), doubt),
                gaps);
    }

    public double inBand() {
        return sums.inBand();
    }

    public double credited() {
        return sums.credited();
    }

    public double unwatched() {
        return sums.unwatched();
    }

    public double above() {
        return sums.above();
    }

    public double degreeMinutes() {
        return sums.degreeMinutes();
    }

    public double scorching() {
        return sums.scorching();
    }

    public double lukewarm() {
        return sums.lukewarm();
    }
}
