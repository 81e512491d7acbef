package app.velvetcrock.draw;

import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Placed;
import app.velvetcrock.core.timetable.Span;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.core.timetable.Timetable;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A timetable over real days: the hours somebody is home as ground, every step as a bar on a lane of its own, the day it is
 * needed as a line.
 *
 * @param minutesPerPixel what a bar dragged by a pixel is moved by
 * @param warming the beginning of each session of heat, which earns nothing yet
 * @param needX where it is needed; null where no day is said
 */
public record TimeRibbon(
        double width,
        double height,
        double minutesPerPixel,
        List<Tick> days,
        List<Bar> home,
        List<Bar> bars,
        List<Bar> warming,
        @Nullable Double needX) {

    private static final double WIDTH = 1180;
    private static final double LEFT = 190;
    private static final double RIGHT = 20;
    private static final double TOP = 26;
    private static final double LANE = 26;
    private static final double THINNEST = 6;
    private static final int MOST_TICKS = 10;

    /** Home hours are drawn on so few days as they can be told apart. */
    private static final int MOST_DAYS_OF_HOURS = 21;

    /** The first moment of a day with its name. */
    public record Tick(double x, String words) {}

    /**
     * A stretch drawn.
     *
     * @param step which step it belongs to, from 0
     * @param words what it is and when, for those who read it
     * @param starts when it begins, as a field for date and time holds it
     */
    public record Bar(double x, double y, double width, String kind, int step, String words, String starts) {}

    /**
     * Draws a timetable.
     *
     * @param need when it is needed; absent where no day is said
     */
    public static TimeRibbon of(Timetable timetable, HomeHours atHome, Optional<Instant> need, Wording say) {
        Instant end = need.filter(at -> at.isAfter(timetable.end())).orElse(timetable.end());
        LocalDate first = say.dayOf(timetable.start());
        LocalDate last = say.dayOf(end).plusDays(1);
        Instant from = first.atStartOfDay(say.zone()).toInstant();
        Instant to = last.atStartOfDay(say.zone()).toInstant();
        double perMinute = (WIDTH - LEFT - RIGHT) / Duration.between(from, to).toMinutes();
        Scale scale = new Scale(from, perMinute, say);
        List<Bar> bars = new ArrayList<>();
        List<Bar> warming = new ArrayList<>();
        for (int i = 0; i < timetable.placed().size(); i++) {
            Placed placed = timetable.placed().get(i);
            for (Span span : placed.spans()) {
                bars.add(scale.bar(
                        span,
                        TOP + i * LANE,
                        kind(placed.step()),
                        i,
                        placed.step().name()));
                if (placed.step() instanceof Step.Heat) {
                    Span tepid = Span.of(span.startInclusive(), atHome.warmUp());
                    warming.add(scale.bar(tepid, TOP + i * LANE, "warming", i, "warming up"));
                }
            }
        }
        List<Bar> home = new ArrayList<>();
        long days = Duration.between(from, to).toDays();
        for (LocalDate day = first; days <= MOST_DAYS_OF_HOURS && day.isBefore(last); day = day.plusDays(1)) {
            atHome.on(day).forEach(span -> home.add(scale.bar(span, TOP, "home", 0, "home")));
        }
        return new TimeRibbon(
                WIDTH,
                TOP + timetable.placed().size() * LANE + 6,
                1 / perMinute,
                ticks(first, last, scale),
                home,
                bars,
                warming,
                need.filter(at -> !at.isAfter(to)).map(scale::x).orElse(null));
    }

    private static String kind(Step step) {
        return step instanceof Step.Hands ? "hands" : step instanceof Step.Heat ? "heat" : "rest";
    }

    private static List<Tick> ticks(LocalDate first, LocalDate last, Scale scale) {
        long days = java.time.temporal.ChronoUnit.DAYS.between(first, last);
        long step = Math.max(1, (long) Math.ceil(days / (double) MOST_TICKS));
        List<Tick> ticks = new ArrayList<>();
        for (LocalDate day = first; day.isBefore(last); day = day.plusDays(step)) {
            ticks.add(new Tick(
                    scale.x(day.atStartOfDay(scale.say().zone()).toInstant()),
                    scale.say().day(day)));
        }
        return ticks;
    }

    /** The baseline of a lane's name. */
    public double laneY(int step) {
        return TOP + step * LANE + 18;
    }

    /** Height of the lanes alone. */
    public double lanesHeight() {
        return height - TOP;
    }

    public double top() {
        return TOP;
    }

    /** Time to pixels. */
    private record Scale(Instant from, double perMinute, Wording say) {

        double x(Instant at) {
            return LEFT + Duration.between(from, at).toMinutes() * perMinute;
        }

        Bar bar(Span span, double y, String kind, int step, String name) {
            double width = Math.max(THINNEST, x(span.endExclusive()) - x(span.startInclusive()));
            String words = name + ": " + say.stretch(span.startInclusive(), span.endExclusive());
            String starts = say.asField(span.startInclusive());
            return new Bar(x(span.startInclusive()), y, width, kind, step, words, starts);
        }
    }
}
