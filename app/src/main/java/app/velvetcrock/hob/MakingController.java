package app.velvetcrock.hob;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.Fault;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingStep;
import app.velvetcrock.core.pan.Touch;
import app.velvetcrock.melt.BroughtIn;
import app.velvetcrock.melt.PanDeeds;
import app.velvetcrock.melt.PanLimits;
import app.velvetcrock.pan.PanForm;
import app.velvetcrock.pan.PanStock;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A making, gone along step by step from the weighing in to the jars in the Cupboard. */
@Controller
class MakingController {

    private static final int LONGEST = 300;
    private static final int LESSONS = 3;
    private static final double MOST_GRAMS = 5_000;

    private final Makings makings;
    private final Batches batches;
    private final PanDeeds deeds;
    private final BroughtIn broughtIn;
    private final Correcting correcting;
    private final PanStock stock;
    private final PanLimits limits;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    MakingController(
            Makings makings,
            Batches batches,
            PanDeeds deeds,
            BroughtIn broughtIn,
            Correcting correcting,
            PanStock stock,
            PanLimits limits,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.limits = limits;
        this.makings = makings;
        this.batches = batches;
        this.deeds = deeds;
        this.broughtIn = broughtIn;
        this.correcting = correcting;
        this.stock = stock;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    @GetMapping("/pan/{id}")
    String making(@PathVariable UUID id, @RequestParam(required = false) @Nullable String firm, Model model) {
        return show(model, makings.sheet(id), firm, Sent.nothing(fields(), MakingForm.empty()));
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private String show(Model model, Makings.Sheet sheet, @Nullable String firm, Sent<MakingForm> sent) {
        House house = households.current();
        Instant now = clock.instant();
        Fields asked = fields();
        double target = firm == null || firm.isBlank()
                ? MakingPage.target(sheet.course(), sheet.plan().firmness())
                : asked.firmness(
                                "firm",
                                firm,
                                sheet.course().formula().firmness().value())
                        .orElse(sheet.plan().firmness());
        model.addAttribute("sheet", sheet);
        model.addAttribute(
                "lessons",
                batches.lessonsAt(sheet.id(), List.of(sheet.plan().made().kind()), now, LESSONS));
        model.addAttribute("conditions", conditions.ofBatch(sheet.id()));
        model.addAttribute("neverSold", conditions.neverSold(sheet.id(), null).orElse(null));
        MakingPage page = MakingPage.of(
                sheet,
                new MakingPage.Judged(
                        limits.over(sheet.course(), house.dayOf(now)),
                        limits.keeps(sheet.course(), sheet.begunOn(house, now))),
                target,
                now,
                house);
        model.addAttribute("page", page);
        model.addAttribute("firm", app.velvetcrock.core.measure.Decimals.upTo(target, 1));
        model.addAttribute("asked", asked);
        model.addAttribute("sent", sent);
        model.addAttribute("felts", Felt.values());
        model.addAttribute("wheres", MakingPage.wheres(house));
        model.addAttribute("touches", Touch.values());
        model.addAttribute("faults", Fault.values());
        model.addAttribute("hint", MakingPage.hint(sheet.course().pouring(), house));
        model.addAttribute("tins", stock.shelves(house, house.dayOf(now)).containers());
        model.addAttribute("pourBefore", MakingForm.pouring(sheet.plan().into()));
        model.addAttribute("fixBefore", MakingForm.adding(page.fix()));
        Optional<String> each = sheet.plan().into().map(into -> house.mass(MakingPage.each(into, sheet)));
        model.addAttribute("eachBefore", each.orElse(""));
        model.addAttribute("meltables", MakingForm.meltable(sheet.course().formula()));
        return "hob/making";
    }

    /** A form of a making's page, read beside the making it is about. */
    private record Asked(
            Makings.Sheet sheet, String which, String prefix, MakingForm form, House house, Fields fields, UUID key) {}

    private Asked asked(UUID id, String which, String prefix, MakingForm form) {
        return new Asked(makings.sheet(id), which, prefix, form, households.current(), fields(), form.keyOrNew());
    }

    private String does(Reply reply, Asked asked, String typed, Supplier<PanDeed> deed) {
        return answer(
                reply, asked, at -> deeds.done(asked.sheet().id(), Current.doing(deed.get(), asked.key(), at, typed)));
    }

    private String answer(Reply reply, Asked asked, Function<Instant, UUID> deed) {
        UUID id = asked.sheet().id();
        UUID key = asked.key();
        Instant at = asked.form().at(asked.fields(), asked.house(), clock.instant());
        return reply.answer(
                new FormSent(asked.prefix(), key, asked.fields(), "/pan/" + id),
                () -> show(
                        reply.model(),
                        asked.sheet(),
                        null,
                        new Sent<>(asked.which(), asked.fields(), asked.form(), MakingForm.empty())),
                () -> {
                    UUID entry = deed.apply(at);
                    String words = makings.sheet(id).lines().stream()
                            .filter(line -> line.id().equals(entry))
                            .map(Makings.Written::words)
                            .findFirst()
                            .orElse("Done");
                    return new Done("/pan/" + id, words + ".", "/pan/%s/lines/%s/undo".formatted(id, entry));
                });
    }

    @PostMapping("/pan/{id}/did/{step}")
    String did(@PathVariable UUID id, @PathVariable MakingStep step, MakingForm form, Reply reply) {
        return does(reply, asked(id, "did", "n-", form), "", () -> new PanDeed.Did(step));
    }

    @PostMapping("/pan/{id}/skip/{step}")
    String skip(@PathVariable UUID id, @PathVariable MakingStep step, MakingForm form, Reply reply) {
        Asked asked = asked(id, "skip", "k-", form);
        Optional<String> why = asked.fields().optionalWords("words", form.words(), LONGEST);
        return does(
                reply, asked, why.orElse(""), () -> new PanDeed.Skip(step, PanForm.text(form.of()), why.orElse("")));
    }

    @PostMapping("/pan/{id}/test")
    String test(@PathVariable UUID id, MakingForm form, Reply reply) {
        Asked asked = asked(id, "test", "t-", form);
        Optional<Felt> felt = asked.fields().oneOf("felt", Felt.class, form.felt());
        return does(reply, asked, "", () -> new PanDeed.Test(felt.orElseThrow()));
    }

    @PostMapping("/pan/{id}/correct")
    String correct(@PathVariable UUID id, MakingForm form, Reply reply) {
        Asked asked = asked(id, "correct", "c-", form);
        Optional<Formula.Stuff> stuff = Correcting.stuff(asked.sheet(), form.of());
        if (stuff.isEmpty()) {
            asked.fields().trouble("of", "It is not said what went in.", "one from the list");
        }
        KnownDensity known = stuff.map(correcting::known).orElse(KnownDensity.SOME_OIL);
        Optional<Mass> mass = asked.fields()
                .massOf("amount", form.amount(), Expect.SOLID, known)
                .map(Fields.Weighed::mass);
        if (mass.filter(much -> much.grams() <= 0 || much.grams() > MOST_GRAMS).isPresent()) {
            asked.fields().trouble("amount", "More than nothing, and at most 5 kg.", "14.8 g");
        }
        Optional<UUID> lot = stuff.flatMap(one -> mass.flatMap(much -> correcting.lot(asked.sheet(), one, much)));
        if (stuff.isPresent() && mass.isPresent() && lot.isEmpty() && !"yes".equals(form.bring())) {
            asked.fields()
                    .trouble(
                            "bring",
                            "So much of %s is not in the stores, and nothing is taken from nowhere."
                                    .formatted(stuff.get().name().toLowerCase(Locale.ROOT)),
                            "tick here, or the amount again");
        }
        String typed = PanForm.text(form.amount());
        return answer(
                reply,
                asked,
                at -> broughtIn.correct(
                        id,
                        Current.doing(
                                new PanDeed.Correct(stuff.orElseThrow().of(mass.orElseThrow()), lot),
                                asked.key(),
                                at,
                                typed)));
    }

    @PostMapping("/pan/{id}/off-heat")
    String offHeat(@PathVariable UUID id, MakingForm form, Reply reply) {
        Asked asked = asked(id, "off-heat", "o-", form);
        Temperature at = PanForm.text(form.temperature()).isEmpty()
                ? MakingCourse.CLEAR
                : temperature(asked).orElse(MakingCourse.CLEAR);
        Optional<Cooling.Where> where = asked.fields().oneOf("where", Cooling.Where.class, form.where());
        return does(reply, asked, PanForm.text(form.temperature()), () -> new PanDeed.OffHeat(at, where.orElseThrow()));
    }

    private static Optional<Temperature> temperature(Asked asked) {
        return asked.fields()
                .amount("temperature", asked.form().temperature(), Expect.TEMPERATURE)
                .map(read -> (Temperature) read.amount().middle())
                .filter(at -> {
                    boolean sensible = at.celsius() >= 0 && at.celsius() <= 140;
                    if (!sensible) {
                        asked.fields().trouble("temperature", "No melt is so hot or so cold.", "62");
                    }
                    return sensible;
                });
    }

    @PostMapping("/pan/{id}/read")
    String read(@PathVariable UUID id, MakingForm form, Reply reply) {
        Asked asked = asked(id, "read", "r-", form);
        Optional<Touch> touch = PanForm.text(form.touch()).isEmpty()
                ? Optional.empty()
                : asked.fields().oneOf("touch", Touch.class, form.touch());
        Optional<Temperature> at = touch.map(Touch::about);
        if (at.isEmpty()) {
            at = temperature(asked);
        }
        Optional<Temperature> read = at;
        return does(reply, asked, PanForm.text(form.temperature()), () -> new PanDeed.Read(read.orElseThrow(), touch));
    }

    @PostMapping("/pan/{id}/haze")
    String haze(@PathVariable UUID id, MakingForm form, Reply reply) {
        return does(reply, asked(id, "haze", "r-", form), "", PanDeed.Haze::new);
    }

    @PostMapping("/pan/{id}/add")
    String add(@PathVariable UUID id, MakingForm form, Reply reply) {
        Asked asked = asked(id, "add", "n-", form);
        return does(reply, asked, "", () -> new PanDeed.StirIn(PanForm.text(form.of()), "yes".equals(form.anyway())));
    }

    @PostMapping("/pan/{id}/pour")
    String pour(@PathVariable UUID id, MakingForm form, Reply reply) {
        Asked asked = asked(id, "pour", "p-", form);
        List<PanDeed.Fill> fills = new PourReading(
                        asked.sheet(),
                        stock.shelves(asked.house(), asked.house().dayOf(clock.instant()))
                                .containers(),
                        asked.fields())
                .read(form);
        return does(reply, asked, "", () -> new PanDeed.Pour(fills));
    }

    @PostMapping("/pan/{id}/turned-out")
    String turnedOut(@PathVariable UUID id, MakingForm form, Reply reply) {
        Asked asked = asked(id, "turned-out", "u-", form);
        Optional<Felt> felt = asked.fields().oneOf("felt", Felt.class, form.felt());
        List<Fault> faults = Stream.of(Fault.values())
                .filter(fault -> form.faults() != null && form.faults().contains(fault.name()))
                .toList();
        Optional<String> words = asked.fields().optionalWords("words", form.words(), LONGEST);
        return does(reply, asked, "", () -> new PanDeed.TurnOut(felt.orElseThrow(), faults, words.orElse("")));
    }

    @PostMapping("/pan/{id}/note")
    String note(@PathVariable UUID id, MakingForm form, Reply reply) {
        Asked asked = asked(id, "note", "m-", form);
        Optional<String> words = asked.fields().words("words", form.words(), LONGEST);
        return does(reply, asked, "", () -> new PanDeed.Note(words.orElseThrow()));
    }

    @PostMapping("/pan/{id}/lines/{entry}/undo")
    String undo(@PathVariable UUID id, @PathVariable UUID entry, Reply reply) {
        return reply.tap("/pan/" + id, () -> {
            takeBack(id, entry);
            return new Done("/pan/" + id, "Taken back: what it moved is where it was.");
        });
    }

    /** Takes back the weighing in, from the page it leads to. */
    @PostMapping("/pan/{id}/back")
    String back(@PathVariable UUID id, Reply reply) {
        Makings.Sheet sheet = makings.sheet(id);
        return reply.tap("/pan/" + id, () -> {
            sheet.beginning().ifPresent(entry -> takeBack(id, entry));
            return new Done(
                    "/pan",
                    "“%s” was not begun: all of it is back in the stores."
                            .formatted(sheet.name().toLowerCase(Locale.ROOT)));
        });
    }

    private void takeBack(UUID id, UUID entry) {
        deeds.done(id, Current.doing(new PanDeed.TakeBack(entry), UUID.randomUUID(), clock.instant(), ""));
    }
}
