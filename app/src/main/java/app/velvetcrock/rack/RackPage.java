package app.velvetcrock.rack;

import app.velvetcrock.core.drying.DryingCourse;
import app.velvetcrock.core.working.Working;
import app.velvetcrock.stillroom.House;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A lot on the rack, worded before it is drawn.
 *
 * @param word what to do or to expect, and {@code wordMark} how it stands out
 * @param range between which days it will be dry; empty before that can be said
 * @param takeDown the words of taking it down; null until it is dry
 * @param takeDownWilted the same of herb that has wilted by its weight
 */
record RackPage(
        UUID id,
        UUID lot,
        String name,
        String lead,
        String word,
        String wordMark,
        String range,
        String now,
        String label,
        String dryAt,
        DryingPicture picture,
        @Nullable String takeDown,
        @Nullable String takeDownWilted,
        List<Weighing> weighings,
        Working working) {

    /** A weighing of it. */
    public record Weighing(UUID id, String when, String mass, String snap, String takeBack) {}

    static RackPage of(Rack.OnRack rack, Instant now, House house) {
        DryingCourse course = rack.course();
        String start = house.mass(course.start().mass());
        String weighs = house.mass(rack.now());
        return new RackPage(
                rack.id(),
                rack.lot(),
                rack.name(),
                "%s, laid out %s, %s"
                        .formatted(rack.state(), house.moment(course.start().at()), start),
                word(course, house),
                mark(course.state()),
                course.range()
                        .map(range -> "between %s and %s"
                                .formatted(
                                        house.shortDay(house.dayOf(range.earliest())),
                                        house.shortDay(house.dayOf(range.latest()))))
                        .orElse(""),
                "%s water now, weighs %s".formatted(house.percent(course.waterNow()), weighs),
                "Weight of %s over time: %s when laid out, %s now, ready at %s"
                        .formatted(rack.name(), start, weighs, house.mass(course.readyMass())),
                "dry at " + house.mass(course.readyMass()),
                DryingPicture.of(course, now, house),
                course.state() == DryingCourse.State.DRY ? "Take it down: %s dried".formatted(weighs) : null,
                course.isWilted() ? "Take it down wilted: %s".formatted(weighs) : null,
                weighings(rack, house),
                course.working());
    }

    private static String word(DryingCourse course, House house) {
        return switch (course.state()) {
            case WEIGH_AGAIN -> "Weigh it tomorrow: one weight says nothing yet.";
            case DRYING -> course.ready()
                    .map(at -> "dry about " + house.day(house.dayOf(at)))
                    .orElse(
                            course.losesTooLittle()
                                    ? "It loses too little, or was weighed too lately, to say when."
                                    : "It has lost no weight yet.");
            case TRY_IT -> "By its weight it may be dry: does a stem snap?";
            case DRY -> "Dry. Take it down.";
            case CONTRADICTS -> ("It snaps, and by its weighings it is %d %% water: the two contradict each other. Were stems weighed in, "
                            + "was it another bundle, is the scale right? It is not taken down as dried until one of them is settled.")
                    .formatted(Math.round(course.waterNow() * 100));
            case AIR_TOO_DAMP -> "The air is too damp: it loses no more and still bends. Warmer, drier, more air.";
        };
    }

    private static String mark(DryingCourse.State state) {
        return state == DryingCourse.State.DRY
                ? "good-word"
                : state == DryingCourse.State.AIR_TOO_DAMP || state == DryingCourse.State.CONTRADICTS ? "bad-word" : "";
    }

    private static List<Weighing> weighings(Rack.OnRack rack, House house) {
        List<Weighing> rows = new ArrayList<>();
        rack.course()
                .weighIns()
                .forEach(weighed -> rows.add(new Weighing(
                        rack.weighed().get(rows.size()),
                        house.moment(weighed.at()),
                        house.mass(weighed.mass()),
                        weighed.snap().word(),
                        "Take back " + house.mass(weighed.mass()))));
        return rows;
    }
}
