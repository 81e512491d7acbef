package app.velvetcrock.shelf;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.draw.CrockDrawing;
import app.velvetcrock.draw.HeatPicture;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.learned.Reminders;
import app.velvetcrock.rounds.RoundsService;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Shelf: what stands here today, every batch as its own vessel to one scale, with Rounds beside it. */
@Controller
class ShelfController {

    private static final int FRONT_ROW = 8;

    /** How many stand side by side before the front row breaks into two. */
    private static final int ABREAST = 5;

    private static final double BOARD_WIDTH = 800;
    private static final double GAP = 30;
    private static final double WIDEST = 190;
    private static final double FRONT_HEIGHT = 300;
    private static final double TWO_ROWS_HEIGHT = 235;
    private static final double TRACE_WIDTH = 440;
    private static final double FRONT_MOST_PIXELS_PER_MILLIMETRE = 2.1;
    private static final double BACK_SHARE = 0.5;

    private final RoundsService rounds;
    private final Households households;
    private final FirstStep first;
    private final Clock clock;

    ShelfController(RoundsService rounds, Households households, FirstStep first, Clock clock) {
        this.first = first;
        this.rounds = rounds;
        this.households = households;
        this.clock = clock;
    }

    /** A batch and its picture: a jar, or a crock while it is a matter of heat. */
    record OnShelf(
            BatchSheet batch,
            String name,
            JarDrawing drawing,
            @Nullable CrockDrawing crock,
            @Nullable HeatPicture trace,
            String degrees,
            @Nullable String alarm) {

        /** What its tag says of water; empty where nothing. */
        public String water() {
            return batch.plan().mark().isPresent() ? "! water" : "";
        }

        /** How its tag stands out. */
        public String mark() {
            return batch.isPressing() ? "due" : "";
        }

        /** The vessel in words, for those who do not see it. */
        public String inWords() {
            return "%s, jar %d: %s%s"
                    .formatted(
                            batch.name(),
                            batch.number(),
                            batch.tagWord(),
                            batch.plan().mark().isPresent() ? ", made against the rule of water" : "");
        }
    }

    /**
     * What the rows of Rounds are tapped for: now, or a moment somebody catches up with.
     *
     * @param written the moment as a form says it; empty for now
     * @param words the same as it is read
     */
    record CatchUp(String typed, String written, String words, Fields fields) {

        static CatchUp of(@Nullable String when, House house, Instant now) {
            Fields fields = new Fields(house.reader());
            Optional<LocalDateTime> there = fields.moment("when", when, house.past(now))
                    .filter(at -> isPast(at.atZone(house.settings().zone()).toInstant(), now, fields));
            return new CatchUp(
                    when == null ? "" : when,
                    there.map(Wording::written).orElse(""),
                    there.map(at -> house.moment(
                                    at.atZone(house.settings().zone()).toInstant()))
                            .orElse(""),
                    fields);
        }

        private static boolean isPast(Instant at, Instant now, Fields fields) {
            if (May.isToCome(at, now)) {
                fields.trouble("when", "What was done lies before now.", "yesterday 19:30, or leave it empty for now");
            }
            return !May.isToCome(at, now);
        }

        public boolean isSet() {
            return !written.isEmpty();
        }
    }

    @GetMapping("/shelf")
    String shelf(@RequestParam(required = false) @Nullable String when, Model model) {
        RoundsService.Gathered gathered = rounds.gather();
        List<BatchSheet> standing = gathered.standing();
        House house = households.current();
        Instant now = clock.instant();
        List<BatchSheet> urgent = together(
                standing.stream().sorted(byUrgency(now)).toList(),
                gathered.book().pairs());
        List<BatchSheet> front = urgent.stream().limit(FRONT_ROW).toList();
        double scale = scale(front);
        Set<String> repeated = repeated(standing);
        List<OnShelf> drawn = front.stream()
                .map(sheet -> onShelf(sheet, repeated, scale, house))
                .toList();
        model.addAttribute("front", drawn);
        model.addAttribute("twins", twins(standing, gathered.book().pairs()));
        model.addAttribute(
                "jars", drawn.stream().filter(vessel -> vessel.crock() == null).toList());
        model.addAttribute(
                "crocks",
                drawn.stream().filter(vessel -> vessel.crock() != null).toList());
        model.addAttribute("heading", heading(standing));
        model.addAttribute("first", standing.isEmpty() ? first.next() : null);
        CatchUp catchUp = CatchUp.of(when, house, now);
        model.addAttribute("catchUp", catchUp);
        model.addAttribute("fields", catchUp.fields());
        model.addAttribute("now", now);
        model.addAttribute(
                "back",
                urgent.stream()
                        .skip(FRONT_ROW)
                        .map(sheet -> onShelf(sheet, repeated, scale * BACK_SHARE, house))
                        .toList());
        model.addAttribute("rounds", rounds.today(gathered));
        model.addAttribute("smells", Smell.values());
        return "shelf/shelf";
    }

    /** What is wrong or due comes first, then what needs hands soonest. */
    private static Comparator<BatchSheet> byUrgency(Instant now) {
        return Comparator.comparing((BatchSheet sheet) -> !sheet.isPressing())
                .thenComparing(
                        sheet -> sheet.course().heat().filter(HeatCourse::on).isEmpty())
                .thenComparing(sheet -> sheet.open().stream()
                        .map(Task::due)
                        .min(Comparator.naturalOrder())
                        .orElse(now))
                .thenComparing(sheet -> sheet.course().strainOn())
                .thenComparing(BatchSheet::number);
    }

    /** Twins stand beside each other: where the first of them that wants hands stands. */
    private static List<BatchSheet> together(List<BatchSheet> urgent, List<Reminders.Pair> pairs) {
        List<BatchSheet> all = new ArrayList<>();
        for (BatchSheet sheet : urgent) {
            if (!all.contains(sheet)) {
                all.add(sheet);
                urgent.stream()
                        .filter(other -> isTwin(sheet, other, pairs) && !all.contains(other))
                        .forEach(all::add);
            }
        }
        return all;
    }

    private static boolean isTwin(BatchSheet sheet, BatchSheet other, List<Reminders.Pair> pairs) {
        return !sheet.id().equals(other.id())
                && pairs.stream().anyMatch(pair -> pair.other(sheet.id()).equals(other.id()));
    }

    /** What is written on the tags of twins. */
    private static Map<UUID, String> twins(List<BatchSheet> standing, List<Reminders.Pair> pairs) {
        Map<UUID, String> words = new HashMap<>();
        for (BatchSheet sheet : standing) {
            pairs.stream()
                    .filter(pair -> !pair.other(sheet.id()).equals(sheet.id()))
                    .findFirst()
                    .ifPresent(pair -> words.put(
                            sheet.id(),
                            "twin: "
                                    + (pair.first().equals(sheet.id())
                                            ? pair.question().first()
                                            : pair.question().second())));
        }
        return words;
    }

    private static double scale(List<BatchSheet> front) {
        double abreast = Math.max(1, Math.min(front.size(), ABREAST));
        double width = Math.min(WIDEST, BOARD_WIDTH / abreast - GAP);
        double height = front.size() > ABREAST ? TWO_ROWS_HEIGHT : FRONT_HEIGHT;
        double scale = front.stream()
                .mapToDouble(sheet -> JarDrawing.scaleToFit(vessel(sheet), width, height))
                .min()
                .orElse(1);
        return Math.min(scale, FRONT_MOST_PIXELS_PER_MILLIMETRE);
    }

    /** Counts jars and what is on the heat apart: "Five jars and one warm crock". */
    private static String heading(List<BatchSheet> standing) {
        long warm = standing.stream()
                .filter(sheet -> sheet.course().heat().isPresent())
                .count();
        long jars = standing.size() - warm;
        if (standing.isEmpty()) {
            return "An empty shelf";
        }
        String cold = jars == 1 ? "one jar" : count(jars) + " jars";
        String hot = warm == 1 ? "one warm crock" : count(warm) + " warm crocks";
        String words = warm == 0 ? cold + " standing" : jars == 0 ? hot : cold + " and " + hot;
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static String count(long number) {
        List<String> words = List.of(
                "no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven",
                "twelve");
        return number < words.size() ? words.get((int) number) : String.valueOf(number);
    }

    /** Names that more than one jar goes by: their tags say the number too. */
    private static Set<String> repeated(List<BatchSheet> standing) {
        return standing.stream()
                .collect(Collectors.groupingBy(BatchSheet::name, Collectors.counting()))
                .entrySet()
                .stream()
                .filter(named -> named.getValue() > 1)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    private OnShelf onShelf(BatchSheet sheet, Set<String> repeated, double scale, House house) {
        CrockDrawing crock = sheet.course()
                .heat()
                .map(heat ->
                        CrockDrawing.of(vessel(sheet), scale, sheet.course().progress()))
                .orElse(null);
        String name = repeated.contains(sheet.name()) ? sheet.name() + " " + sheet.number() : sheet.name();
        return new OnShelf(
                sheet,
                name,
                sheet.drawing(scale),
                crock,
                sheet.trace(clock.instant(), house, TRACE_WIDTH).orElse(null),
                sheet.degrees(house),
                sheet.heatAlarm(house)
                        .map(alarm -> "! %s: %s".formatted(sheet.called(), alarm))
                        .orElse(null));
    }

    private static Vessel vessel(BatchSheet sheet) {
        return sheet.course().charge().vessel();
    }
}
