package app.velvetcrock.bench;

import app.velvetcrock.core.bench.BenchTimes;
import app.velvetcrock.core.bench.Timing;
import app.velvetcrock.core.planning.InTime;
import app.velvetcrock.core.timetable.Clashes;
import app.velvetcrock.core.timetable.Placed;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.core.timetable.Timetable;
import app.velvetcrock.core.timetable.WetHerb;
import app.velvetcrock.draw.TimeRibbon;
import app.velvetcrock.stillroom.House;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * The days of a plan, worded before they are drawn.
 *
 * @param mark how the verdict is shown: good, bad, or nothing where no day is said
 * @param latest the latest start, as a field holds it; empty where there is none
 * @param wet what sessions of wet herb ask for; null where it is not cut into sessions
 * @param waiting what it costs that fresh herb waits for hands; empty where it does not
 * @param clashes what wants the same hands or pot at once
 * @param free a start at which nothing clashes; null where nothing does, or none is found
 * @param ribbon the steps drawn; null where nobody is home long enough
 */
public record WhenPage(
        String mark,
        String verdict,
        String latest,
        @Nullable Wet wet,
        String waiting,
        List<String> clashes,
        @Nullable Start free,
        @Nullable TimeRibbon ribbon,
        List<Row> steps) {

    private static final int LONGEST_LANE = 26;
    private static final int FRESH_HOURS = 6;

    public record Wet(String head, String words) {}

    /** A start: as a field holds it, and in words. */
    public record Start(String typed, String words) {}

    /** A step: its name, in full and on its lane, when it is, what is to be known of that, and the field that holds it back. */
    public record Row(String name, String lane, List<String> spans, String note, String field, String held) {}

    static WhenPage of(Timing timing, SentencePart.Time typed, boolean fresh, House house) {
        List<String> clashes =
                timing.clashes().stream().map(clash -> words(clash, house)).toList();
        Start free = timing.firstFree()
                .map(at -> new Start(
                        house.wording().asField(at), "begin %s, when nothing clashes".formatted(house.dayAndTime(at))))
                .orElse(null);
        Wet wet = timing.wet().map(herb -> wet(herb, timing.hoursEach(), house)).orElse(null);
        String latest = timing.inTime()
                .filter(InTime::isFeasible)
                .flatMap(InTime::latest)
                .map(timetable -> house.wording().asField(timetable.start()))
                .orElse("");
        return timing.timetable()
                .map(timetable -> new WhenPage(
                        timing.inTime().isEmpty() ? "" : isGood(timing) ? "verdict good" : "verdict bad",
                        verdict(timing, timetable, house),
                        latest,
                        wet,
                        fresh ? waiting(timing, timetable, house) : "",
                        clashes,
                        free,
                        TimeRibbon.of(timetable, timing.home(), timing.need(), house.wording()),
                        rows(timing, timetable, typed, house)))
                .orElseGet(() -> new WhenPage("verdict bad", "", latest, wet, "", clashes, free, null, List.of()));
    }

    private static boolean isGood(Timing timing) {
        return timing.inTime().filter(InTime::isFeasible).isPresent() && !timing.isHeldTooLong();
    }

    private static String verdict(Timing timing, Timetable placed, House house) {
        if (timing.inTime().isEmpty()) {
            return "Begun %s it is done %s%s."
                    .formatted(
                            house.dayAndTime(placed.start()),
                            house.dayAndTime(placed.end()),
                            placed.sessions() > 1 ? ", its heat in %d sessions".formatted(placed.sessions()) : "");
        }
        InTime inTime = timing.inTime().get();
        if (inTime.latest().isPresent() && timing.isHeldTooLong()) {
            return "Held back like this it is done %s, after it is needed. Begun by %s it makes it."
                    .formatted(
                            house.dayAndTime(placed.end()),
                            house.dayAndTime(inTime.latest().get().start()));
        } else if (inTime.latest().isPresent() && inTime.slack().isPresent()) {
            long hours = inTime.slack().get().toHours();
            return "In time. Begin by %s at the latest; that leaves %s to spare."
                    .formatted(
                            house.dayAndTime(inTime.latest().get().start()),
                            hours < 48 ? hours + " hours" : hours / 24 + " days");
        }
        return inTime.soonest()
                .map(soonest -> "Too late for that: begun now it is done %s, %s late. The ways above say which can be."
                        .formatted(house.dayAndTime(soonest.end()), BenchTimes.words(inTime)))
                .orElse("");
    }

    /** [E] Herb that lies in a heap for longer wilts and begins to heat. */
    private static String waiting(Timing timing, Timetable timetable, House house) {
        long hours = Duration.between(timing.now(), timetable.start()).toHours();
        return hours < FRESH_HOURS
                ? ""
                : ("The fresh herb waits %d hours for hands, until %s: it wilts meanwhile, and in a heap it heats and browns. "
                                + "Spread it thin, cool and dark, or gather it that day.")
                        .formatted(hours, house.dayAndTime(timetable.start()));
    }

    private static Wet wet(WetHerb herb, long hoursEach, House house) {
        String words = herb.isTooLong()
                ? "That is %.1f hours between 10 and 40 °C even with the refrigerator between them, and four are the most. "
                                .formatted(herb.tepid().toMinutes() / 60.0)
                        + "Take days at home: two of %d hours.".formatted(hoursEach)
                : "Into the refrigerator at once between them: it may be tepid four hours in all.";
        return new Wet("%d sessions for wet herb".formatted(herb.sessions()), house.degrees(words));
    }

    private static String words(Clashes.Clash clash, House house) {
        String resource = clash.mine().resource();
        return "Two at once want %s: this and %s, %s."
                .formatted(
                        resource.equals("hands")
                                ? "a pair of hands"
                                : "the " + resource.toLowerCase(Locale.ROOT).replace('_', ' '),
                        clash.other().what(),
                        house.dayAndTime(clash.mine().span().startInclusive()));
    }

    /** Heat is counted from when the oil is warm; what goes before it is said, so that its hours do not look wrong. */
    private static String warmUp(Placed placed, Timing timing) {
        return "%d min of %s to warm up"
                .formatted(timing.home().warmUp().toMinutes(), placed.spans().size() > 1 ? "each session" : "it");
    }

    private static List<Row> rows(Timing timing, Timetable timetable, SentencePart.Time typed, House house) {
        List<Row> rows = new ArrayList<>();
        for (Placed placed : timetable.placed()) {
            String name = placed.step().name();
            rows.add(new Row(
                    name,
                    name.length() > LONGEST_LANE ? name.substring(0, LONGEST_LANE - 1) + "…" : name,
                    placed.spans().stream().map(house::stretch).toList(),
                    placed.step() instanceof Step.Heat ? warmUp(placed, timing) : "",
                    "time.hold[%d]".formatted(rows.size()),
                    typed.held(rows.size())));
        }
        return rows;
    }
}
