package app.velvetcrock.draw;

import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.heat.HeatForecast;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatTrace;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Stage;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A temperature trace drawn from its readings: straight between them, as it is credited.
 *
 * @param left where the time begins, in pixels
 * @param bandTop upper end of the band
 * @param ceilingY the ceiling
 * @param lines between two readings where a person read one of them, or nobody watched
 * @param probed corners of what a probe read in one go, each
 * @param ahead where it is going; null while that cannot be told
 */
public record HeatPicture(
        double left,
        double right,
        double height,
        double bandTop,
        double bandBottom,
        double ceilingY,
        String bandWords,
        String ceilingWords,
        List<Line> lines,
        List<String> probed,
        List<Dot> dots,
        @Nullable Ahead ahead) {

    /** So far ahead it is drawn, in steps a curve looks smooth in; what is farther off nobody decides by [E]. */
    private static final Duration FAR = Duration.ofHours(2);

    private static final Duration STEP = Duration.ofMinutes(5);

    private static final double HEIGHT = 150;
    private static final double COLDEST = 10;
    private static final double ABOVE_CEILING = 10;

    /** One straight run; {@code unwatched} is hatched over its whole width. */
    public record Line(double x1, double y1, double x2, double y2, boolean unwatched) {

        /** Dashes where nobody watched; null for a line without. */
        public @Nullable String dashes() {
            return unwatched ? "2 6" : null;
        }
    }

    /**
     * What is foreseen.
     *
     * @param fan corners of the area it lies in eight times in ten
     * @param middle corners of the course that is likeliest
     */
    public record Ahead(String fan, String middle) {}

    /** One reading. */
    public record Dot(double x, double y, String words) {}

    public static HeatPicture of(Stage stage, HeatCourse heat, TimeScale scale, Wording say) {
        Temperature ceiling = stage.ceiling().orElseThrow();
        double hottest = Math.max(
                        ceiling.celsius(),
                        heat.trace().peak().map(Temperature::celsius).orElse(0.0))
                + ABOVE_CEILING;
        // What lies before the picture would stand at its edge in a heap.
        List<HeatTrace.Run> runs = heat.trace().runs().stream()
                .filter(run -> run.to().at().isAfter(scale.start()))
                .toList();
        List<Line> lines = runs.stream()
                .filter(run -> !run.split() && !isProbed(run))
                .map(run -> line(run, scale, hottest))
                .toList();
        List<Dot> dots = heat.readings().stream()
                .filter(reading -> !reading.byProbe() && !reading.at().isBefore(scale.start()))
                .map(reading -> new Dot(
                        scale.x(reading.at()),
                        y(reading, hottest),
                        say.time(reading.at()) + " " + say.temperature(reading.temperature())))
                .toList();
        return new HeatPicture(
                scale.frame().left(),
                scale.frame().right(),
                HEIGHT,
                y(stage.band().high().celsius(), hottest),
                y(stage.band().low().celsius(), hottest),
                y(ceiling.celsius(), hottest),
                "%s to %s"
                        .formatted(
                                say.temperature(stage.band().low()),
                                say.temperature(stage.band().high())),
                "ceiling " + say.temperature(ceiling),
                lines,
                probed(runs, scale, hottest),
                dots,
                heat.forecast().map(forecast -> ahead(forecast, scale, hottest)).orElse(null));
    }

    private static boolean isProbed(HeatTrace.Run run) {
        return run.from().byProbe() && run.to().byProbe() && !run.unwatched();
    }

    /** One path for each stretch a probe watched; thousands of lines would be no picture but a load. */
    private static List<String> probed(List<HeatTrace.Run> runs, TimeScale scale, double hottest) {
        List<String> paths = new ArrayList<>();
        StringBuilder path = new StringBuilder();
        for (HeatTrace.Run run : runs) {
            if (!isProbed(run)) {
                close(path, paths);
            } else if (path.isEmpty()) {
                path.append(corner(run.from(), scale, hottest)).append(' ').append(corner(run.to(), scale, hottest));
            } else {
                path.append(' ').append(corner(run.to(), scale, hottest));
            }
        }
        close(path, paths);
        return paths;
    }

    private static void close(StringBuilder path, List<String> paths) {
        if (!path.isEmpty()) {
            paths.add(path.toString());
            path.setLength(0);
        }
    }

    private static String corner(HeatReading reading, TimeScale scale, double hottest) {
        return corner(scale.x(reading.at()), reading.temperature(), hottest);
    }

    private static Ahead ahead(HeatForecast forecast, TimeScale scale, double hottest) {
        List<String> high = new ArrayList<>();
        List<String> low = new ArrayList<>();
        List<String> middle = new ArrayList<>();
        Instant begin = forecast.newest().at();
        for (Instant at = begin; !at.isAfter(begin.plus(FAR)) && !at.isAfter(scale.end()); at = at.plus(STEP)) {
            HeatForecast.Fan fan = forecast.at(at).orElse(null);
            if (fan == null) {
                break;
            }
            high.add(corner(scale.x(at), fan.high(), hottest));
            low.add(0, corner(scale.x(at), fan.low(), hottest));
            middle.add(corner(scale.x(at), fan.middle(), hottest));
        }
        high.addAll(low);
        return new Ahead(String.join(" ", high), String.join(" ", middle));
    }

    private static String corner(double x, Temperature temperature, double hottest) {
        return Math.round(x * 10) / 10.0 + "," + Math.round(Math.max(0, y(temperature.celsius(), hottest)) * 10) / 10.0;
    }

    private static Line line(HeatTrace.Run run, TimeScale scale, double hottest) {
        return new Line(
                scale.x(run.from().at()),
                y(run.from(), hottest),
                scale.x(run.to().at()),
                y(run.to(), hottest),
                run.unwatched());
    }

    private static double y(HeatReading reading, double hottest) {
        return y(reading.temperature().celsius(), hottest);
    }

    private static double y(double celsius, double hottest) {
        return HEIGHT * (1 - (Math.max(COLDEST, celsius) - COLDEST) / (hottest - COLDEST));
    }
}
