package app.velvetcrock.draw;

import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatTrace;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Stage;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A temperature trace drawn from its readings: straight between them, as it is credited.
 *
 * @param left where the time begins, in pixels
 * @param bandTop upper end of the band
 * @param ceilingY the ceiling
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
        List<Dot> dots) {

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

    /** One reading. */
    public record Dot(double x, double y, String words) {}

    public static HeatPicture of(Stage stage, HeatCourse heat, TimeScale scale, Wording say) {
        Temperature ceiling = stage.ceiling().orElseThrow();
        double hottest = Math.max(
                        ceiling.celsius(),
                        heat.trace().peak().map(Temperature::celsius).orElse(0.0))
                + ABOVE_CEILING;
        List<Line> lines = heat.trace().runs().stream()
                .filter(run -> !run.split())
                .map(run -> line(run, scale, hottest))
                .toList();
        List<Dot> dots = heat.readings().stream()
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
                dots);
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
