package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.method.Tending;
import app.velvetcrock.draw.HeatPicture;
import app.velvetcrock.draw.TimeScale;
import app.velvetcrock.stillroom.House;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A batch over real time: the plan in one lane, what was done in the next, taken-back lines struck; heat as a trace above.
 *
 * @param paper what it is drawn for; only on a desk's does a mark bear its words, which show under a pointer
 * @param planEndX where the planned stage ends
 * @param nowX now, while the batch stands; else null
 */
public record Ribbon(
        Paper paper,
        double planEndX,
        @Nullable Double nowX,
        List<Tick> axis,
        List<Mark> planned,
        List<Mark> done,
        @Nullable HeatPicture heat) {

    private static final RibbonMarks MARKS = new RibbonMarks();

    private static final double HEAT_GAP = 30;
    private static final double DEEDS_Y = 56;
    private static final double LOOKS_Y = 74;

    /** What a ribbon is drawn for: a desk's, beside the log, or a phone's of 390 px, whose letters are to stay as large as the page's. */
    public enum Paper {
        DESK(816, 66, 20, 7),
        PHONE(358, 64, 24, 3);

        private final double width;
        private final double left;
        private final double right;
        private final int mostTicks;

        Paper(double width, double left, double right, int mostTicks) {
            this.width = width;
            this.left = left;
            this.right = right;
            this.mostTicks = mostTicks;
        }

        private TimeScale.Frame frame() {
            return new TimeScale.Frame(left, width - right);
        }
    }

    public double width() {
        return paper.width;
    }

    /** Where the lanes begin, beside their names. */
    public double left() {
        return paper.left;
    }

    public double right() {
        return paper.width - paper.right;
    }

    /** The class of its style, which shows the one that suits the screen. */
    public String suits() {
        return paper == Paper.DESK ? "for-desk" : "for-phone";
    }

    /** A line of the axis with its words. */
    public record Tick(double x, String words) {}

    /** Something planned or done; {@code kind} chooses its mark. */
    public record Mark(double x, String kind, String words, boolean takenBack) {

        /** What was seen at a look stands under the other marks. */
        public double y() {
            return kind.equals("LOOKED") ? LOOKS_Y : DEEDS_Y;
        }

        public String marks() {
            return takenBack ? kind + " back" : kind;
        }
    }

    /** How far down the lanes stand: under the heat, where there is any. */
    public double lanesTop() {
        return heat == null ? 0 : heat.height() + HEAT_GAP;
    }

    /** What its marks mean. */
    public String legend() {
        return (heat == null
                        ? "Planned: | shake, • look. Done: zigzag shaken, ring looked, drop topped up,"
                        : "Planned: | reading. Done: dot read, diamond heat on or off,")
                + " paper noted, sieve strained, struck through taken back. The log says each in words.";
    }

    static Ribbon of(BatchSheet sheet, Instant now, House house, Paper paper) {
        Course course = sheet.course();
        ZoneId zone = house.settings().zone();
        TimeScale scale = sheet.scale(now, house, paper.frame());
        boolean standing = course.state() == Course.State.STANDING;
        List<Mark> done = sheet.lines().stream()
                .filter(line -> !line.isTakingBack())
                .map(line -> new Mark(
                        scale.x(line.happenedAt()),
                        line.entry().line().accept(MARKS),
                        paper == Paper.DESK ? house.moment(line.happenedAt()) + ": " + line.words() : "",
                        line.gone()))
                .toList();
        return new Ribbon(
                paper,
                scale.x(sheet.end(house)),
                standing ? scale.x(now) : null,
                axis(scale, house, paper.mostTicks),
                planned(course, scale, zone),
                done,
                course.heat()
                        .map(heat -> HeatPicture.of(course.stage(), heat, scale, house.wording()))
                        .orElse(null));
    }

    private static List<Mark> planned(Course course, TimeScale scale, ZoneId zone) {
        List<Mark> marks = new ArrayList<>();
        for (Tending tending : course.stage().tendings()) {
            for (int ordinal = 1; tending.at(ordinal) < course.length(); ordinal++) {
                Instant at = course.stage().pace().after(course.stageSince(), tending.at(ordinal), zone);
                marks.add(new Mark(scale.x(at), tending.kind().name(), "", false));
            }
        }
        return marks;
    }

    private static List<Tick> axis(TimeScale scale, House house, int most) {
        boolean days = Duration.between(scale.start(), scale.end()).toDays() > 3;
        Duration unit = days ? Duration.ofDays(1) : Duration.ofHours(1);
        long units = Math.max(1, Duration.between(scale.start(), scale.end()).dividedBy(unit));
        long coarse = days ? 7 : 1;
        long step = (units / (most * coarse) + 1) * coarse;
        List<Tick> ticks = new ArrayList<>();
        for (long at = 0; at <= units; at += step) {
            Instant moment = scale.start().plus(unit.multipliedBy(at));
            ticks.add(new Tick(scale.x(moment), days ? house.shortDay(house.dayOf(moment)) : house.time(moment)));
        }
        return ticks;
    }
}
