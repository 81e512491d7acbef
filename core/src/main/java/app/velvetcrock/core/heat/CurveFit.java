package app.velvetcrock.core.heat;

import java.util.List;

/**
 * Newton's law laid through readings: T(t) = end + gap · e^(−t/τ), t in minutes from the first of them.
 *
 * <p>τ is tried on a grid from 5 to 240 minutes; for each the end and the gap follow by least squares (craft: heat, forecast).
 *
 * @param end temperature it ends at, °C
 * @param gap how far below that it began, °C; negative while it warms
 * @param tau minutes in which the gap shrinks to a 2.718th
 * @param squares sum of the squares of what it misses, °C²
 */
record CurveFit(double end, double gap, double tau, double squares) {

    static final double LEAST_TAU = 5;
    static final double MOST_TAU = 240;

    /** So much from one τ to the next; 2 % of a τ is less than any reading tells. */
    private static final double STEP = 1.02;

    /** A reading as two numbers. */
    record Point(double minutes, double celsius) {}

    /** The best fit for one τ: both the end and the gap are free. */
    static CurveFit at(double tau, List<Point> points) {
        double n = points.size();
        double sx = 0;
        double sy = 0;
        double sxx = 0;
        double sxy = 0;
        for (Point point : points) {
            double x = Math.exp(-point.minutes() / tau);
            sx += x;
            sy += point.celsius();
            sxx += x * x;
            sxy += x * point.celsius();
        }
        double gap = (n * sxy - sx * sy) / (n * sxx - sx * sx);
        double end = (sy - gap * sx) / n;
        return of(end, gap, tau, points);
    }

    /** The fit for one τ to an end that is known. */
    static CurveFit towards(double end, double tau, List<Point> points) {
        double sxx = 0;
        double sxy = 0;
        for (Point point : points) {
            double x = Math.exp(-point.minutes() / tau);
            sxx += x * x;
            sxy += x * (point.celsius() - end);
        }
        return of(end, sxy / sxx, tau, points);
    }

    private static CurveFit of(double end, double gap, double tau, List<Point> points) {
        double squares = points.stream()
                .mapToDouble(p -> p.celsius() - end - gap * Math.exp(-p.minutes() / tau))
                .map(miss -> miss * miss)
                .sum();
        return new CurveFit(end, gap, tau, squares);
    }

    /** Every τ of the grid. */
    static List<Double> grid() {
        return java.util.stream.DoubleStream.iterate(LEAST_TAU, tau -> tau <= MOST_TAU, tau -> tau * STEP)
                .boxed()
                .toList();
    }

    /** The steepness of the best straight line, °C a minute; 0 where all are of one moment. */
    static double slope(List<Point> points) {
        double mx = points.stream().mapToDouble(Point::minutes).average().orElseThrow();
        double my = points.stream().mapToDouble(Point::celsius).average().orElseThrow();
        double sxx = 0;
        double sxy = 0;
        for (Point point : points) {
            sxx += (point.minutes() - mx) * (point.minutes() - mx);
            sxy += (point.minutes() - mx) * (point.celsius() - my);
        }
        return sxx == 0 ? 0 : sxy / sxx;
    }

    /** What the best straight line misses, °C². */
    static double squaresOfLine(List<Point> points) {
        double mx = points.stream().mapToDouble(Point::minutes).average().orElseThrow();
        double my = points.stream().mapToDouble(Point::celsius).average().orElseThrow();
        double slope = slope(points);
        return points.stream()
                .mapToDouble(p -> p.celsius() - my - slope * (p.minutes() - mx))
                .map(miss -> miss * miss)
                .sum();
    }

    double celsiusAt(double minutes) {
        return end + gap * Math.exp(-minutes / tau);
    }

    /** Minutes from the first reading to a temperature; infinite where it never comes to it. */
    double minutesTo(double celsius) {
        double share = (celsius - end) / gap;
        return share <= 0 || !Double.isFinite(share) ? Double.POSITIVE_INFINITY : -tau * Math.log(share);
    }
}
