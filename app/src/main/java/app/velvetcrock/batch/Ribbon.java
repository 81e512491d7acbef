package app.velvetcrock.batch;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.method.Tending;
import app.velvetcrock.stillroom.House;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A batch over real time: the plan in one lane, what was done in the next, taken-back lines struck; heat as a trace above.
 *
 * @param planEndX where the planned stage ends
 * @param nowX now, while the batch stands
 */
public record Ribbon(
        double width,
        double planEndX,
        Optional<Double> nowX,
        List<Tick> axis,
        List<Mark> planned,
        List<Mark> done,
        Optional<HeatPicture> heat) {

    static final double WIDTH = 1180;
    private static final double LEFT = 74;
    private static final double RIGHT = 24;
    private static final int MOST_TICKS = 9;

    /** A line of the axis with its words. */
    public record Tick(double x, String words) {}

    /** Something planned or done; {@code kind} chooses its mark. */
    public record Mark(double x, String kind, String words, boolean takenBack) {}

    static Ribbon of(BatchSheet sheet, Instant now, House house) {
        Course course = sheet.course();
        ZoneId zone = house.settings().zone();
        Scale scale = scale(sheet, now, house, new Frame(LEFT, WIDTH - RIGHT));
        boolean standing = course.state() == Course.State.STANDING;
        List<Mark> done = sheet.lines().stream()
                .filter(line -> !line.kind().equals("TAKEN_BACK"))
                .map(line -> new Mark(
                        scale.x(line.happenedAt()),
                        mark(sheet, line),
                        house.moment(line.happenedAt()) + ": " + line.words(),
                        line.takenBack()))
                .toList();
        return new Ribbon(
                WIDTH,
                scale.x(planEnd(course, zone)),
                standing ? Optional.of(scale.x(now)) : Optional.empty(),
                axis(scale, course, house),
                planned(course, scale, zone),
                done,
                course.heat().map(heat -> HeatPicture.of(course.stage(), heat, scale, house)));
    }

    /** Pixels between which a time is drawn. */
    record Frame(double left, double right) {}

    /** From the charging to the planned end, or to now or the real end where that is later. */
    static Scale scale(BatchSheet sheet, Instant now, House house, Frame frame) {
        Course course = sheet.course();
        Instant planEnd = planEnd(course, house.settings().zone());
        Stream<Instant> reached = course.state() == Course.State.STANDING ? Stream.of(now) : lastDone(sheet, course);
        return new Scale(
                course.chargedAt(),
                Stream.concat(Stream.of(planEnd), reached)
                        .max(Comparator.naturalOrder())
                        .orElseThrow(),
                frame);
    }

    private static Instant planEnd(Course course, ZoneId zone) {
        return course.end(zone);
    }

    /** What happened in the vessel; what came after straining would only draw it out. */
    private static Stream<Instant> lastDone(BatchSheet sheet, Course course) {
        return course.heat().isPresent()
                ? sheet.log().entries().stream()
                        .filter(entry -> entry.what() instanceof Entry.Heat || entry.what() instanceof Entry.Tended)
                        .map(Entry::happenedAt)
                : sheet.log().entries().stream()
                        .filter(entry ->
                                entry.what() instanceof Entry.Strained || entry.what() instanceof Entry.Discarded)
                        .map(Entry::happenedAt);
    }

    private static String mark(BatchSheet sheet, BatchSheet.Line line) {
        return line.kind().equals("TENDED") && line.words().equals("Shaken") ? "SHAKE" : line.kind();
    }

    private static List<Mark> planned(Course course, Scale scale, ZoneId zone) {
        List<Mark> marks = new ArrayList<>();
        for (Tending tending : course.stage().tendings()) {
            for (int ordinal = 1; tending.at(ordinal) < course.length(); ordinal++) {
                Instant at = course.stage().pace().after(course.stageSince(), tending.at(ordinal), zone);
                marks.add(new Mark(scale.x(at), tending.kind().name(), "", false));
            }
        }
        return marks;
    }

    private static List<Tick> axis(Scale scale, Course course, House house) {
        boolean days = Duration.between(scale.start(), scale.end()).toDays() > 3;
        Duration unit = days ? Duration.ofDays(1) : Duration.ofHours(1);
        long units = Math.max(1, Duration.between(scale.start(), scale.end()).dividedBy(unit));
        long coarse = days ? 7 : 1;
        long step = (units / (MOST_TICKS * coarse) + 1) * coarse;
        List<Tick> ticks = new ArrayList<>();
        for (long at = 0; at <= units; at += step) {
            Instant moment = scale.start().plus(unit.multipliedBy(at));
            ticks.add(new Tick(scale.x(moment), days ? house.shortDay(house.dayOf(moment)) : house.time(moment)));
        }
        return ticks;
    }

    /** Time to pixels; what lies outside stands at the edge. */
    record Scale(Instant start, Instant end, Frame frame) {

        double x(Instant at) {
            double share = Duration.between(start, at).toMillis()
                    / (double) Math.max(1, Duration.between(start, end).toMillis());
            return frame.left() + (frame.right() - frame.left()) * Math.max(0, Math.min(1, share));
        }
    }
}
