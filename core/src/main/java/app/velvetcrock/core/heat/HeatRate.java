package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Band;

/**
 * How much a minute at a temperature counts: 1 from the band's low end to the ceiling, less below it, nothing above.
 *
 * <p>Wet herb earns nothing below 40 °C, where germs grow (craft: heat). [E] Q10 = 2: each 10 °C below the low end halves it,
 * down to 15 °C below; from there it counts nothing (craft: heat).
 */
record HeatRate(Band band, Temperature ceiling, boolean wet) {

    private static final double DEGREES_PER_HALVING = 10;
    private static final double LOWEST_BELOW = 15;
    private static final double LN2 = Math.log(2);
    private static final double WET_LEAST = 40;

    HeatRate(Band band, Temperature ceiling) {
        this(band, ceiling, false);
    }

    /** The temperature from which anything is earned at all. */
    private double least() {
        double dry = band.low().celsius() - LOWEST_BELOW;
        return wet ? Math.max(WET_LEAST, dry) : dry;
    }

    double at(double celsius) {
        double low = band.low().celsius();
        if (celsius > ceiling.celsius() || celsius < least()) {
            return 0;
        }
        return celsius >= low ? 1 : Math.pow(2, (celsius - low) / DEGREES_PER_HALVING);
    }

    /** The credit of a straight run between two temperatures, in minutes; the integral is exact. */
    double credit(double from, double to, double minutes) {
        double cold = Math.min(from, to);
        double hot = Math.max(from, to);
        if (hot == cold) {
            return minutes * at(cold);
        }
        double low = band.low().celsius();
        double perDegree = minutes / (hot - cold);
        double full = overlap(cold, hot, Math.max(low, least()), ceiling.celsius());
        double start = Math.max(cold, least());
        double end = Math.min(hot, low);
        double weak = end <= start
                ? 0
                : DEGREES_PER_HALVING
                        / LN2
                        * (Math.pow(2, (end - low) / DEGREES_PER_HALVING)
                                - Math.pow(2, (start - low) / DEGREES_PER_HALVING));
        return perDegree * (full + weak);
    }

    /** Minutes of a straight run that lie between two temperatures. */
    static double within(double from, double to, double minutes, double low, double high) {
        if (from == to) {
            return from >= low && from <= high ? minutes : 0;
        }
        return minutes / Math.abs(to - from) * overlap(Math.min(from, to), Math.max(from, to), low, high);
    }

    /** Minutes of a straight run that lie above a temperature; just at it is not above. */
    static double above(double from, double to, double minutes, double celsius) {
        return from == to ? (from > celsius ? minutes : 0) : within(from, to, minutes, celsius, Double.MAX_VALUE);
    }

    /** How far above a temperature a straight run lies, summed over its time; °C · min. */
    static double degreesAbove(double from, double to, double minutes, double celsius) {
        double hot = Math.max(from, to);
        double cold = Math.max(celsius, Math.min(from, to));
        return hot <= celsius ? 0 : above(from, to, minutes, celsius) * ((hot + cold) / 2 - celsius);
    }

    private static double overlap(double a, double b, double low, double high) {
        return Math.max(0, Math.min(b, high) - Math.max(a, low));
    }
}
