package app.velvetcrock.rounds;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Glimpse;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.rounds.Round;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The round at one go: a jar at a time, looked at through the glass first. */
@Controller
class RoundController {

    /** Through the glass nobody smells. */
    private static final Look LOOKS_WELL = new Look(Smell.NOT_SMELLED, false, false);

    private static final int MOST_AT_ONCE = 200;

    private final RoundWay ways;
    private final Deeds deeds;
    private final TakingBack takingBack;
    private final Households households;
    private final Clock clock;

    RoundController(RoundWay ways, Deeds deeds, TakingBack takingBack, Households households, Clock clock) {
        this.takingBack = takingBack;
        this.ways = ways;
        this.deeds = deeds;
        this.households = households;
        this.clock = clock;
    }

    /**
     * What a tap brings along.
     *
     * @param all whether every jar is gone round to
     * @param when when it was done; empty for now
     */
    record Tap(@Nullable UUID key, @Nullable Boolean all, @Nullable String when) {

        UUID keyOrNew() {
            return key == null ? UUID.randomUUID() : key;
        }

        boolean isAll() {
            return Boolean.TRUE.equals(all);
        }
    }

    @GetMapping(RoundPage.PLACE)
    String round(
            @RequestParam(required = false) @Nullable UUID at,
            @RequestParam(required = false) @Nullable Boolean all,
            Model model) {
        return show(model, ways.way(Boolean.TRUE.equals(all)), at, Boolean.TRUE.equals(all), fields(), "");
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private String show(
            Model model, RoundWay.Way way, @Nullable UUID at, boolean all, Fields fields, @Nullable String when) {
        Optional<Round.Stop> here = Optional.ofNullable(at)
                .flatMap(way.round()::at)
                .or(() -> at == null ? way.round().after(Optional.empty()) : Optional.empty());
        House house = households.current();
        model.addAttribute(
                "jar",
                here.map(stop -> RoundPage.of(
                                way,
                                Objects.requireNonNull(way.sheets().get(stop.batch())),
                                all,
                                house,
                                clock.instant()))
                        .orElse(null));
        model.addAttribute(
                "stops", RoundPage.stops(way, here.map(Round.Stop::batch).orElse(null), all));
        int jars = way.round().stops().size();
        model.addAttribute("done", "%d of %d done".formatted(way.round().done(), jars));
        model.addAttribute("over", jars == 0 ? "No jar wants you today" : "The round is done");
        model.addAttribute("all", all);
        model.addAttribute("fields", fields);
        model.addAttribute("when", when == null ? "" : when);
        return "rounds/round";
    }

    /** Looked at, and where that was asked shaken. */
    @PostMapping("/round/{batch}/well")
    String well(@PathVariable UUID batch, Tap tap, Reply reply) {
        return does(batch, tap, reply, (way, sheet) -> {
            sheet.holding(Held.SHAKE).ifPresent(told -> {
                throw new Refused(told.refusal(Held.SHAKE));
            });
            List<Deed> all = new ArrayList<>();
            Optional<Task> look = way.task(batch, TaskKind.LOOK);
            all.add(new Deed.LookAt(look.map(Task::key), look.isPresent() ? Look.ALL_WELL : LOOKS_WELL));
            way.task(batch, TaskKind.SHAKE).ifPresent(task -> all.add(new Deed.Tend(task.key())));
            return new Said(all, all.size() == 1 ? "all well" : "well, and shaken", true);
        });
    }

    @PostMapping("/round/{batch}/shaken")
    String shaken(@PathVariable UUID batch, Tap tap, Reply reply) {
        return does(batch, tap, reply, (way, sheet) -> new Said(List.of(shake(way, sheet)), "shaken", true));
    }

    private static Deed shake(RoundWay.Way way, BatchSheet sheet) {
        return new Deed.Tend(way.task(sheet.id(), TaskKind.SHAKE)
                .orElseThrow(() -> new Refused(
                        "%s, jar %d, is not to be shaken now, or was already.".formatted(sheet.name(), sheet.number())))
                .key());
    }

    /** Something was seen; it is written down as what it comes to, and the jar is not shaken. */
    @PostMapping("/round/{batch}/seen/{glimpse}/{which}")
    String seen(
            @PathVariable UUID batch, @PathVariable String glimpse, @PathVariable String which, Tap tap, Reply reply) {
        Glimpse seen = Stream.of(Glimpse.values())
                .filter(one -> one.name().equals(glimpse))
                .findFirst()
                .orElseThrow(() -> new NotHere("that finding"));
        return does(batch, tap, reply, (way, sheet) -> {
            List<Glimpse.Comes> comes = seen.comes(
                    way.task(batch, TaskKind.LOOK).map(Task::key),
                    sheet.course().standsOut());
            int one = Linear.matches(which, "\\d{1,2}") ? Integer.parseInt(which) : comes.size();
            if (one >= comes.size()) {
                throw new NotHere("that finding");
            }
            return new Said(
                    List.of(comes.get(one).deed()),
                    "%s. %s".formatted(comes.get(one).words(), seen.advice()),
                    false);
        });
    }

    /** Several at once, of shaking alone: nobody has looked at them all in one moment. */
    @PostMapping("/round/shaken")
    String allShaken(@RequestParam(required = false) @Nullable List<UUID> jars, Tap tap, Reply reply) {
        List<UUID> these = jars == null
                ? List.of()
                : jars.stream().distinct().limit(MOST_AT_ONCE).toList();
        Fields fields = fields();
        Instant at = at(tap, fields);
        RoundWay.Way way = ways.way(tap.isAll());
        if (these.isEmpty()) {
            fields.trouble("", "No jar is ticked, so nothing was written.", "");
        }
        return reply.answer(
                new FormSent("", tap.keyOrNew(), fields, RoundPage.PLACE),
                () -> show(reply.model(), ways.way(tap.isAll()), null, tap.isAll(), fields, tap.when()),
                () -> {
                    List<String> names = new ArrayList<>();
                    List<String> entries = new ArrayList<>();
                    for (UUID jar : these) {
                        BatchSheet sheet = sheet(way, jar);
                        UUID key = derived(tap.keyOrNew(), jar.toString());
                        entries.add(jar + "." + deeds.done(jar, Current.doing(shake(way, sheet), key, at, "")));
                        names.add(way.called(sheet));
                    }
                    return new Done(
                            RoundPage.PLACE + (tap.isAll() ? "?all=true" : ""),
                            "Shaken: %s.".formatted(String.join(", ", names)),
                            undo(entries, null));
                });
    }

    /** What one tap comes to: its deeds, in words, and whether the next jar follows. */
    private record Said(List<Deed> deeds, String words, boolean goesOn) {}

    private interface Meant {
        Said of(RoundWay.Way way, BatchSheet sheet);
    }

    private String does(UUID batch, Tap tap, Reply reply, Meant meant) {
        Fields fields = fields();
        Instant at = at(tap, fields);
        RoundWay.Way way = ways.way(tap.isAll());
        BatchSheet sheet = sheet(way, batch);
        UUID key = tap.keyOrNew();
        return reply.answer(
                new FormSent("", key, fields, RoundPage.href(batch, tap.isAll())),
                () -> show(reply.model(), ways.way(tap.isAll()), batch, tap.isAll(), fields, tap.when()),
                () -> {
                    Said said = meant.of(way, sheet);
                    List<String> entries = new ArrayList<>();
                    for (int one = 0; one < said.deeds().size(); one++) {
                        UUID own = one == 0 ? key : derived(key, String.valueOf(one));
                        entries.add(batch + "."
                                + deeds.done(batch, Current.doing(said.deeds().get(one), own, at, "")));
                    }
                    String next = (said.goesOn()
                                    ? way.round().after(Optional.of(batch))
                                    : way.round().at(batch))
                            .map(stop -> RoundPage.href(stop.batch(), tap.isAll()))
                            .orElse(RoundPage.PLACE + (tap.isAll() ? "?all=true" : ""));
                    return new Done(
                            next,
                            "%s, jar %d: %s".formatted(sheet.name(), sheet.number(), said.words()),
                            undo(entries, batch));
                });
    }

    /** What one tap or one line did is taken back by one tap, all of it or nothing. */
    @PostMapping("/round/undo")
    String undo(
            @RequestParam(required = false) @Nullable List<String> entry,
            @RequestParam(required = false) @Nullable List<String> did,
            @RequestParam(required = false) @Nullable UUID at,
            @RequestParam(required = false) @Nullable String back,
            Reply reply) {
        String leadsTo = Reply.inside(back, RoundPage.PLACE + (at == null ? "" : "?at=" + at));
        return reply.tap(leadsTo, () -> {
            takingBack.all(Stream.of(entry, did)
                    .flatMap(Stream::ofNullable)
                    .flatMap(List::stream)
                    .toList());
            return new Done(leadsTo, "Taken back. The log keeps both lines.");
        });
    }

    private static String undo(List<String> entries, @Nullable UUID at) {
        return "/round/undo?"
                + entries.stream().map(one -> "entry=" + one).collect(Collectors.joining("&"))
                + (at == null ? "" : "&at=" + at);
    }

    /** A deed beside the first has a key that follows from the tap's own, so that a second tap does neither twice. */
    private static UUID derived(UUID key, String which) {
        return UUID.nameUUIDFromBytes((key + which).getBytes(StandardCharsets.UTF_8));
    }

    private static BatchSheet sheet(RoundWay.Way way, UUID batch) {
        return Optional.ofNullable(way.sheets().get(batch)).orElseThrow(() -> new NotHere("that jar"));
    }

    private Instant at(Tap tap, Fields fields) {
        House house = households.current();
        Instant now = clock.instant();
        return fields.moment("when", tap.when(), house.past(now))
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .orElse(now);
    }
}
