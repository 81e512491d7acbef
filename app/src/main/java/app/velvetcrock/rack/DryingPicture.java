package app.velvetcrock.rack;

import app.velvetcrock.core.drying.DryingCourse;
import app.velvetcrock.core.drying.WeighIn;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.House;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A drying lot's weights over time.
 *
 * @param readyY where it counts as dry
 * @param measured the weights as measured, as points of a line
 * @param curve the fitted weights, as points of a line; empty without a fit
 * @param nowX where now is
 * @param range from the earliest ready moment to the latest; null before the third weighing
 */
public record DryingPicture(
        double width,
        double height,
        double readyY,
        String measured,
        String curve,
        List<Dot> dots,
        double nowX,
        Optional<Double> readyX,
        @Nullable Band range,
        List<Tick> ticks) {

    private static final double WIDTH = 560;
    private static final double HEIGHT = 265;
    private static final double LEFT = 8;
    private static final double TOP = 10;

    /** A stretch of time, drawn over the whole height. */
    public record Band(double x, double width) {}

    /** One weighing; the first is the laying out. */
    public record Dot(double x, double y, String words, boolean felt) {

        public String mark() {
            return felt ? "weighed felt" : "weighed";
        }
    }

    /** A day under the line. */
    public record Tick(double x, String words) {}

    static DryingPicture of(DryingCourse course, Instant now, House house) {
        Instant start = course.start().at();
        Instant last = course.weighIns().isEmpty()
                ? start
                : course.weighIns().get(course.weighIns().size() - 1).at();
        Instant end = Stream.of(
                        Stream.of(now, last, start.plus(Duration.ofDays(2))),
                        course.ready().stream(),
                        course.range().map(DryingCourse.Range::latest).stream())
                .flatMap(s -> s)
                .max(Instant::compareTo)
                .orElseThrow();
        Scale scale = new Scale(start, end, course.start().mass());
        List<Dot> dots = Stream.concat(
                        Stream.of(new Dot(
                                scale.x(start),
                                scale.y(course.start().mass()),
                                "laid out, " + house.mass(course.start().mass()),
                                false)),
                        course.weighIns().stream().map(weighIn -> dot(weighIn, scale, house)))
                .toList();
        String measured = dots.stream().map(dot -> point(dot.x(), dot.y())).collect(Collectors.joining(" "));
        String curve = course.curve().stream()
                .map(point -> point(scale.x(point.at()), scale.y(point.mass())))
                .collect(Collectors.joining(" "));
        return new DryingPicture(
                WIDTH,
                HEIGHT,
                scale.y(course.readyMass()),
                measured,
                curve,
                dots,
                scale.x(now),
                course.ready().map(scale::x),
                course.range()
                        .map(range -> new Band(
                                scale.x(range.earliest()), scale.x(range.latest()) - scale.x(range.earliest())))
                        .orElse(null),
                ticks(scale, house));
    }

    private static String point(double x, double y) {
        return String.format(Locale.ROOT, "%.1f,%.1f", x, y);
    }

    private static Dot dot(WeighIn weighIn, Scale scale, House house) {
        boolean felt = weighIn.snap() != app.velvetcrock.core.drying.Snap.NOT_TRIED;
        return new Dot(
                scale.x(weighIn.at()),
                scale.y(weighIn.mass()),
                house.moment(weighIn.at()) + ", " + house.mass(weighIn.mass())
                        + (felt ? ", " + weighIn.snap().word() : ""),
                felt);
    }

    /** At most six days, evenly spaced. */
    private static List<Tick> ticks(Scale scale, House house) {
        long days = Math.max(1, Duration.between(scale.start(), scale.end()).toDays());
        long step = Math.max(1, (days + 5) / 6);
        return Stream.iterate(0L, day -> day <= days, day -> day + step)
                .map(day -> scale.start().plus(Duration.ofDays(day)))
                .map(at -> new Tick(scale.x(at), house.shortDay(house.dayOf(at))))
                .toList();
    }

    private record Scale(Instant start, Instant end, Mass most) {

        double x(Instant at) {
            double share = Duration.between(start, at).toSeconds()
                    / (double) Math.max(1, Duration.between(start, end).toSeconds());
            return LEFT + (WIDTH - 2 * LEFT) * Math.max(0, Math.min(1, share));
        }

        double y(Mass mass) {
            return TOP + (HEIGHT - TOP) * (1 - Math.min(1, mass.grams() / Math.max(0.001, most.grams())));
        }
    }
}
