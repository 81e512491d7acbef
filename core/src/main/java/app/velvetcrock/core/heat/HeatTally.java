package app.velvetcrock.core.heat;

import app.velvetcrock.core.heat.HeatTrace.Run;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Band;
import java.util.Optional;

/**
 * What a course of heat has come to at one moment, and all that must be known to go on from there; all in minutes.
 *
 * @param inBand time between the band's ends
 * @param credited heat-hours
 * @param unwatched time in gaps too long to trust the line between two readings
 * @param above time above the ceiling
 * @param degreeMinutes how far above, summed over that time, °C · min
 * @param scorching time above what scorches
 * @param lukewarm time between 10 and 40 °C, where germs grow in wet herb
 * @param last the newest reading
 * @param touched the first thing done after it
 */
public record HeatTally(
        double inBand,
        double credited,
        double unwatched,
        double above,
        double degreeMinutes,
        double scorching,
        double lukewarm,
        Optional<Temperature> peak,
        Optional<HeatReading> last,
        Optional<HeatEvent> touched) {

    static final HeatTally NOTHING =
            new HeatTally(0, 0, 0, 0, 0, 0, 0, Optional.empty(), Optional.empty(), Optional.empty());

    /** So far over the ceiling for ten minutes asks whether it scorched, and never below 80 °C (craft: heat). */
    private static final double SCORCHING_OVER_CEILING = 10;

    private static final double SCORCHING_LEAST = 80;

    /** Goes on to the next reading; constant work, whatever came before. */
    HeatTally plus(HeatLaw law, HeatReading reading) {
        Temperature hottest =
                peak.filter(t -> t.compareTo(reading.temperature()) >= 0).orElse(reading.temperature());
        return last.map(from -> plus(law, law.between(from, touched, reading)))
                .orElse(this)
                .at(reading, hottest);
    }

    private HeatTally at(HeatReading reading, Temperature hottest) {
        return new HeatTally(
                inBand,
                credited,
                unwatched,
                above,
                degreeMinutes,
                scorching,
                lukewarm,
                Optional.of(hottest),
                Optional.of(reading),
                Optional.empty());
    }

    /** Goes on over something done; of several between two readings heat itself put on or off outweighs the rest. */
    HeatTally plus(HeatEvent event) {
        boolean between = last.filter(from -> event.at().isAfter(from.at())).isPresent();
        boolean outweighs = touched.isEmpty()
                || (event.change().isOfHeatItself() && !touched.get().change().isOfHeatItself());
        return between && outweighs
                ? new HeatTally(
                        inBand,
                        credited,
                        unwatched,
                        above,
                        degreeMinutes,
                        scorching,
                        lukewarm,
                        peak,
                        last,
                        Optional.of(event))
                : this;
    }

    private HeatTally plus(HeatLaw law, Run run) {
        double from = run.from().temperature().celsius();
        double to = run.to().temperature().celsius();
        double minutes = run.minutes();
        double ceiling = law.ceiling().celsius();
        Band band = law.heated().stage().band();
        boolean onLine = !run.unwatched() && !run.split();
        return new HeatTally(
                inBand
                        + (onLine
                                ? HeatRate.within(
                                        from,
                                        to,
                                        minutes,
                                        band.low().celsius(),
                                        band.high().celsius())
                                : 0),
                credited + run.creditedMinutes(),
                unwatched + (run.unwatched() ? minutes : 0),
                above + HeatRate.above(from, to, minutes, ceiling),
                degreeMinutes + HeatRate.degreesAbove(from, to, minutes, ceiling),
                scorching
                        + HeatRate.above(
                                from, to, minutes, Math.max(ceiling + SCORCHING_OVER_CEILING, SCORCHING_LEAST)),
                lukewarm
                        + HeatRate.within(
                                from, to, minutes, HeatTrace.LUKEWARM_LOW.celsius(), HeatTrace.LUKEWARM_HIGH.celsius()),
                peak,
                last,
                touched);
    }
}
