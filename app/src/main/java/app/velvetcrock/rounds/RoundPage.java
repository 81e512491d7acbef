package app.velvetcrock.rounds;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.charge.Cover;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.deed.Glimpse;
import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.rounds.Round;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.stillroom.House;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A jar on the round, worded.
 *
 * @param place "2 of 5"
 * @param lead its number, and its day
 * @param last how it looked the last time
 * @param asks what is to be done to it today
 * @param well the button that says all is well; empty where it is not to be touched
 * @param shaken the one that says no more than that it was shaken; empty where that is not asked, or not to be done
 * @param wellLine the same in one line, by which a tap waits on a device for the network
 * @param shakenLine the same of the other button
 * @param wrong what is wrong with it; null where nothing is
 * @param next where a swipe or an arrow leads; null at the end
 */
record RoundPage(
        UUID batch,
        String place,
        String name,
        String lead,
        String last,
        String asks,
        String well,
        String shaken,
        String wellLine,
        String shakenLine,
        @Nullable Told wrong,
        JarDrawing drawing,
        List<Finding> findings,
        @Nullable String before,
        @Nullable String next) {

    static final String PLACE = "/round";

    private static final double WIDE = 110;
    private static final double HIGH = 150;

    /** Something seen, and what it may come to, each a button with an address of its own. */
    record Finding(int at, Glimpse seen, List<Answer> answers) {}

    record Answer(String words, String to) {}

    /** A jar of the way, to be tapped. */
    record Stop(UUID batch, String href, String name, String state, @Nullable String current, boolean canShake) {}

    static RoundPage of(RoundWay.Way way, BatchSheet sheet, boolean all, House house, Instant now) {
        Round round = way.round();
        UUID id = sheet.id();
        boolean shut = sheet.holding(Held.SHAKE).isPresent();
        Optional<Task> shake = way.task(id, TaskKind.SHAKE);
        boolean turn = sheet.plan().found().cover() == Cover.COVERS_PUSHED_UNDER;
        return new RoundPage(
                id,
                "%d of %d".formatted(round.place(id) + 1, round.stops().size()),
                way.called(sheet),
                lead(sheet),
                last(sheet, house, now),
                asks(way, sheet, turn),
                shut ? "" : shake.isPresent() ? turn ? "Well, shaken and turned" : "Well, and shaken" : "All well",
                shut || shake.isEmpty() ? "" : turn ? "Only shaken, turned" : "Only shaken",
                line(sheet, well(way, id)),
                line(sheet, List.of(SHAKEN)),
                sheet.condition().orElse(null),
                sheet.drawing(JarDrawing.scaleToFit(sheet.course().charge().vessel(), WIDE, HIGH)),
                findings(way, sheet),
                round.beside(id, -1).map(stop -> href(stop.batch(), all)).orElse(null),
                round.beside(id, 1).map(stop -> href(stop.batch(), all)).orElse(null));
    }

    private static final Fact SHAKEN = new Fact.Did(TaskKind.SHAKE);

    /** What "well" says of a jar today: smelled where that was asked, shaken where that was. */
    private static List<Fact> well(RoundWay.Way way, UUID batch) {
        List<Fact> all = new ArrayList<>();
        all.add(
                way.task(batch, TaskKind.LOOK).isPresent()
                        ? new Fact.Looked(Smell.RIGHT, Optional.of(false), "all well")
                        : Fact.LOOKS_WELL);
        way.task(batch, TaskKind.SHAKE).ifPresent(task -> all.add(SHAKEN));
        return all;
    }

    private static String line(BatchSheet sheet, List<Fact> facts) {
        Thing jar = new Thing(sheet.id(), Thing.Kind.JAR, sheet.number(), sheet.name(), List.of());
        return new Jotted.Said(jar, facts, Optional.empty(), "").scribbled();
    }

    static String href(UUID batch, boolean all) {
        return PLACE + "?at=" + batch + (all ? "&all=true" : "");
    }

    private static String lead(BatchSheet sheet) {
        int length = sheet.course().length();
        Pace pace = sheet.course().stage().pace();
        return "jar %d, %s%s"
                .formatted(
                        sheet.number(),
                        pace == Pace.DAYS
                                ? "day %d of %d".formatted(sheet.course().day(), length)
                                : "in its " + pace.words(length),
                        sheet.isPressing() ? ", " + sheet.tagWord() : "");
    }

    private static String last(BatchSheet sheet, House house, Instant now) {
        return sheet.log().entries().stream()
                .filter(entry -> entry.line() instanceof Line.Looked)
                .reduce((one, other) -> other)
                .map(entry -> {
                    long days = ChronoUnit.DAYS.between(house.dayOf(entry.happenedAt()), house.dayOf(now));
                    String when = days == 0 ? "today" : days == 1 ? "yesterday" : days + " days ago";
                    Line.Looked looked = (Line.Looked) entry.line();
                    return "Last look %s: %s."
                            .formatted(
                                    when,
                                    looked.look().signs().isEmpty()
                                            ? "all well"
                                            : looked.look().words());
                })
                .orElse("Nobody has looked at it yet.");
    }

    private static String asks(RoundWay.Way way, BatchSheet sheet, boolean turn) {
        List<String> asks = new ArrayList<>();
        way.task(sheet.id(), TaskKind.LOOK).ifPresent(task -> asks.add("open it and smell"));
        way.task(sheet.id(), TaskKind.PUSH_UNDER).ifPresent(task -> asks.add("push the herb under and top up"));
        way.task(sheet.id(), TaskKind.SHAKE)
                .ifPresent(task -> asks.add(turn ? "shake it and turn it under" : "shake it"));
        return asks.isEmpty() ? "" : "Then %s.".formatted(String.join(", ", asks));
    }

    private static List<Finding> findings(RoundWay.Way way, BatchSheet sheet) {
        UUID batch = sheet.id();
        return List.of(Glimpse.values()).stream()
                .map(seen -> {
                    List<Glimpse.Comes> comes = seen.comes(
                            way.task(batch, TaskKind.LOOK).map(Task::key),
                            sheet.course().standsOut());
                    return new Finding(
                            seen.ordinal() + 1,
                            seen,
                            IntStream.range(0, comes.size())
                                    .mapToObj(at -> new Answer(
                                            comes.get(at).words(),
                                            "%s/%s/seen/%s/%d".formatted(PLACE, batch, seen.name(), at)))
                                    .toList());
                })
                .toList();
    }

    static List<Stop> stops(RoundWay.Way way, @Nullable UUID here, boolean all) {
        return way.round().stops().stream()
                .map(stop -> {
                    BatchSheet sheet = Objects.requireNonNull(way.sheets().get(stop.batch()));
                    return new Stop(
                            stop.batch(),
                            href(stop.batch(), all),
                            way.called(sheet),
                            stop.isSuspect()
                                    ? "! " + sheet.condition().map(Told::tag).orElse("")
                                    : stop.isDone() ? "done" : "",
                            stop.batch().equals(here) ? "step" : null,
                            way.task(stop.batch(), TaskKind.SHAKE).isPresent());
                })
                .toList();
    }
}
