package app.velvetcrock.bench;

import app.velvetcrock.batch.Starting;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Remedy;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.method.Disagreement;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Tending;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Costs;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Bench: plan a batch and start it. */
@Controller
class BenchController {

    private static final int LONGEST_NAME = 60;

    /** What stands on the Bench before anything is said. */
    static final double USUAL_GRAMS = 40;

    private final List<Disagreement> schools = Disagreement.shipped();
    private final Bench bench;
    private final OwnWays ways;
    private final Starting starting;
    private final Costs costs;
    private final Households households;
    private final Clock clock;

    BenchController(Bench bench, OwnWays ways, Starting starting, Costs costs, Households households, Clock clock) {
        this.bench = bench;
        this.ways = ways;
        this.starting = starting;
        this.costs = costs;
        this.households = households;
        this.clock = clock;
    }

    @GetMapping("/bench")
    String bench(BenchForm form, Model model) {
        return page(model, bench.work(form));
    }

    /** The same, worked out again while the sentence is being changed: only the part that changed. */
    @HxRequest
    @GetMapping("/bench/plan")
    String plan(BenchForm form, Model model, HttpServletResponse response) {
        BenchWork work = bench.charge(form);
        keepAddress(work, response);
        page(model, work);
        return "bench/bench :: worked";
    }

    /** The days alone, worked out again while the sentence is being changed. */
    @HxRequest
    @GetMapping("/bench/time")
    String time(BenchForm form, Model model) {
        page(model, bench.work(form));
        return "bench/time :: time";
    }

    @GetMapping("/bench/time")
    String timeWithoutScript(BenchForm form, Model model) {
        return bench(form, model);
    }

    @GetMapping("/bench/plan")
    String planWithoutScript(BenchForm form, Model model) {
        return bench(form, model);
    }

    @PostMapping("/bench/start")
    String start(BenchForm form, Reply reply) {
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        BenchWork work = bench.work(form);
        if (work.fields().isClear() && !work.canStart()) {
            work.fields()
                    .trouble("", "This plan cannot be started as it stands; what stands against it is said below.", "");
        }
        return reply.answer(new FormSent("", key, work.fields(), "/shelf"), () -> page(reply.model(), work), () -> {
            BenchWork.Planned planned = work.planned().orElseThrow();
            List<Doing<Deed.Start>> parts = planned.parts().stream()
                    .map(part -> Current.doing(part.start(), key, part.weighed().at(), ""))
                    .toList();
            UUID first = starting.startAll(parts).get(0);
            return planned.isSplit()
                    ? new Done("/shelf", "All of them stand on the Shelf. Label each jar now.")
                    : new Done("/batch/" + first, "It stands on the Shelf. Label the jar now.");
        });
    }

    /** Keeps the way as it is planned under a name, and plans on with it. */
    @PostMapping("/bench/ways")
    String keep(BenchForm form, Reply reply) {
        BenchWork work = bench.work(form);
        Fields fields = new Fields(households.current().reader());
        Optional<String> name = fields.words("called", form.called(), LONGEST_NAME);
        if (work.planned().isEmpty()) {
            fields.trouble("", "The plan is not clear yet; nothing was kept.", "");
        }
        fields.troubles().forEach((field, trouble) -> work.fields().trouble(field, trouble.wrong(), trouble.instead()));
        UUID once = form.key() == null
                ? UUID.randomUUID()
                : UUID.nameUUIDFromBytes((form.key() + String.valueOf(form.called())).getBytes(StandardCharsets.UTF_8));
        return reply.answer(new FormSent("", once, fields, "/bench"), () -> page(reply.model(), work), () -> {
            PlanRequest.Circumstances how =
                    work.planned().orElseThrow().plan().request().circumstances();
            OwnWays.OfWay way = ways.keep(name.orElseThrow(), how.method(), how.lengths());
            return new Done(kept(work, way), "“%s” is one of your ways now.".formatted(name.orElseThrow()));
        });
    }

    @PostMapping("/bench/ways/{id}/undo")
    String remove(@PathVariable UUID id, @Nullable String back, Reply reply) {
        boolean removed = back == null;
        return reply.tap("/bench", () -> {
            ways.remove(id, removed);
            return removed
                    ? new Done(
                            "/bench",
                            "That way is put away; batches made by it keep it.",
                            "/bench/ways/%s/undo?back=yes".formatted(id))
                    : new Done("/bench", "It is one of your ways again.");
        });
    }

    /** The sentence as it stands, by the way just kept; its numbers and times are the way's own now. */
    private String kept(BenchWork work, OwnWays.OfWay way) {
        return address(work.form().by(way.method().key()).asItsWay(), way.method());
    }

    private String address(BenchForm form, Method way) {
        House house = households.current();
        Instant now = clock.instant();
        String today = Wording.written(house.dayOf(now));
        String amount = house.mass(Mass.ofGrams(USUAL_GRAMS));
        return BenchAddress.of(
                form.withDefaults(way, amount, today).dated(house.past(now), house.future(now)),
                BenchAddress.usual(way, amount, today));
    }

    /** A page that is recomputed in parts keeps its address, so that reload, back and a bookmark find the sentence as it stands. */
    private void keepAddress(BenchWork work, HttpServletResponse response) {
        response.setHeader("HX-Replace-Url", address(work.form(), work.way()));
    }

    private String page(Model model, BenchWork work) {
        model.addAttribute("work", work);
        model.addAttribute("choices", BenchChoices.of(work.shelves(), households.current()));
        model.addAttribute("cost", work.planned().flatMap(this::cost).orElse(null));
        model.addAttribute("fields", work.fields());
        model.addAttribute("schools", schools);
        Optional<BenchTime.Timing> timing = work.planned().flatMap(BenchWork.Planned::timing);
        model.addAttribute(
                "ribbon",
                timing.flatMap(t -> t.timetable().map(timetable -> TimeRibbon.of(t, timetable, households.current())))
                        .orElse(null));
        model.addAttribute(
                "lateWords",
                timing.flatMap(BenchTime.Timing::inTime).map(BenchTime::words).orElse(""));
        model.addAttribute("holdAt", new HoldAt());
        model.addAttribute("rhythms", new Rhythms());
        model.addAttribute("cuts", Cut.values());
        model.addAttribute("uses", Use.values());
        model.addAttribute("pressings", Pressing.values());
        model.addAttribute("storages", Storage.values());
        model.addAttribute("remedies", remedies(work));
        model.addAttribute("marks", Marks.of(households.current()));
        return "bench/bench";
    }

    /** What the planned herb, oil and spirit cost, where their lots have a price. */
    private Optional<Costs.Cost> cost(BenchWork.Planned planned) {
        List<Costs.Taken> taken = planned.parts().stream()
                .flatMap(part -> part
                        .frozen()
                        .taking(
                                part.weighed().herb(),
                                part.plan()
                                        .request()
                                        .carrier()
                                        .kind()
                                        .density()
                                        .massOf(part.weighed().oil()))
                        .stream())
                .map(take -> new Costs.Taken(take.lot(), take.mass().toMilligrams()))
                .toList();
        return costs.of(taken);
    }

    /** Lets a template write a rhythm as it is typed. */
    static final class Rhythms {

        public String words(Tending tending) {
            return NumbersSentence.words(tending);
        }
    }

    /** Lets a template write a moment as a field for date and time holds it. */
    static final class HoldAt {

        public String of(Instant moment, House house) {
            return moment.atZone(house.settings().zone())
                    .toLocalDateTime()
                    .withSecond(0)
                    .withNano(0)
                    .toString();
        }
    }

    /** A remedy in words, with the field it changes and what is to stand there. */
    record RemedyChip(String words, String field, String value) {}

    private List<RemedyChip> remedies(BenchWork work) {
        House house = households.current();
        return work.planned().stream()
                .flatMap(p -> p.plan().remedies().stream())
                .map(remedy -> chip(remedy, work, house))
                .toList();
    }

    private static RemedyChip chip(Remedy remedy, BenchWork work, House house) {
        if (remedy instanceof Remedy.MoreOil more) {
            return new RemedyChip(
                    "pour %s, which makes it %s".formatted(house.volume(more.oil()), house.ratio(more.ratio())),
                    "oil",
                    Math.round(more.oil().millilitres()) + " mL");
        } else if (remedy instanceof Remedy.FinerCut finer) {
            return new RemedyChip(
                    "take it %s".formatted(finer.cut().word()),
                    "cut",
                    finer.cut().name());
        } else if (remedy instanceof Remedy.LessHerb less) {
            return new RemedyChip(
                    "take only %s of herb".formatted(house.mass(less.herb())),
                    work.planned().orElseThrow().plan().request().herbs().size() > 1 ? "total" : "amount",
                    less.herb().grams() + " g");
        }
        if (remedy instanceof Remedy.SplitOver split) {
            return new RemedyChip("divide it over %s".formatted(jars(split)), "jar", BenchForm.SPLIT);
        }
        Remedy.OtherJar other = (Remedy.OtherJar) remedy;
        String jar = work.shelves().jars().stream()
                .filter(j -> j.vessel().equals(other.vessel()))
                .findFirst()
                .orElseThrow()
                .id()
                .toString();
        return new RemedyChip("use the %s".formatted(other.vessel().name()), "jar", jar);
    }

    /** The jars of a division: "3 × Litre jar", "2 × Half litre jar and Litre jar". */
    private static String jars(Remedy.SplitOver split) {
        Map<String, Long> counts = split.shares().stream()
                .collect(Collectors.groupingBy(
                        share -> share.vessel().name(), LinkedHashMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .map(jar -> jar.getValue() == 1 ? jar.getKey() : jar.getValue() + " × " + jar.getKey())
                .collect(Collectors.joining(" and "));
    }
}
