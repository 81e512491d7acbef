package app.velvetcrock.stores;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.WrongForm;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.drying.DryingStart;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.LotCare;
import app.velvetcrock.stock.Oils.Taking;
import app.velvetcrock.stock.deeds.StoreDeeds;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One lot: its story, and what can be done to it. */
@Controller
class LotController {

    private final LotSheets sheets;
    private final LotCare care;
    private final StoreDeeds deeds;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    LotController(
            LotSheets sheets,
            LotCare care,
            StoreDeeds deeds,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.sheets = sheets;
        this.care = care;
        this.deeds = deeds;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    @GetMapping("/stores/lots/{id}")
    String lot(@PathVariable UUID id, @RequestParam(required = false) @Nullable String before, Model model) {
        LotSheet sheet = sheets.of(id, today());
        model.addAttribute("before", before);
        return page(model, sheet, Sent.nothing(new Fields(households.current().reader()), LotForm.before(sheet)));
    }

    /** A form of a lot's page, read beside the lot it is about. */
    private record Asked(
            UUID id, String which, String prefix, LotForm form, LotSheet sheet, House house, Fields fields) {}

    private Asked asked(UUID id, String which, String prefix, LotForm form) {
        House house = households.current();
        return new Asked(id, which, prefix, form, sheets.of(id, today()), house, new Fields(house.reader()));
    }

    @PostMapping("/stores/lots/{id}/split")
    String split(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "split", "s-", form);
        Optional<Long> part = form.some(asked.fields(), asked.sheet(), asked.house());
        Optional<String> place = form.place(asked.fields());
        return deed(
                reply,
                asked,
                () -> "split",
                () -> new StoreDeed.Split(id, Mass.ofMilligrams(part.orElseThrow()), place.orElseThrow()));
    }

    @PostMapping("/stores/lots/{id}/process")
    String process(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "process", "p-", form);
        Optional<Mass> in =
                form.some(asked.fields(), asked.sheet(), asked.house()).map(Mass::ofMilligrams);
        Optional<Mass> out = in.flatMap(mass -> form.cameOut(asked.fields(), asked.sheet(), mass));
        Optional<Cut> cut = form.finer(asked.fields());
        return deed(
                reply,
                asked,
                () -> cut.orElseThrow().word(),
                () -> new StoreDeed.Process(id, cut.orElseThrow(), in.orElseThrow(), out.orElseThrow()));
    }

    @PostMapping("/stores/lots/{id}/merge")
    String merge(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "merge", "m-", form);
        if (form.other() == null) {
            asked.fields().trouble("other", "Nothing is chosen here yet.", "one from the list");
        }
        return deed(
                reply,
                asked,
                () -> "put together",
                () -> new StoreDeed.Merge(id, Objects.requireNonNull(form.other())));
    }

    @PostMapping("/stores/lots/{id}/draw")
    String draw(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "draw", "d-", form);
        Optional<Long> amount = form.some(asked.fields(), asked.sheet(), asked.house());
        Optional<Taking> taking = form.taking(asked.fields());
        Optional<String> note = form.optionalNote(asked.fields());
        return deed(
                reply,
                asked,
                () -> taking.orElseThrow().done(),
                () -> new StoreDeed.TakeOut(
                        id, amount.orElseThrow(), taking.orElseThrow().held(), note.orElseThrow()));
    }

    @PostMapping("/stores/lots/{id}/discard")
    String discard(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "discard", "x-", form);
        Optional<String> reason = form.reason(asked.fields());
        Optional<Ruin> ruin = form.ruined(asked.fields());
        String cost = asked.sheet()
                .facts()
                .costLeft()
                .map(minor ->
                        "; what was left had cost %s".formatted(asked.house().money(minor)))
                .orElse("");
        return deed(
                reply, asked, () -> "thrown out" + cost, () -> new StoreDeed.ThrowOut(id, reason.orElseThrow(), ruin));
    }

    @PostMapping("/stores/lots/{id}/wrong")
    String wrong(@PathVariable UUID id, WrongForm wrong, Reply reply) {
        Asked asked = asked(id, "wrong", "w-", LotForm.of(wrong.key(), wrong.when()));
        Optional<WrongForm.Wrong> read = wrong.read(asked.fields());
        reply.model().addAttribute("wrong", wrong);
        return done(
                reply,
                asked,
                () -> read.orElseThrow().what().word() + ". It is held back until that is answered.",
                () -> new StoreDeed.Find(
                        id, read.orElseThrow().what(), read.orElseThrow().words()));
    }

    @PostMapping("/stores/lots/{id}/correct")
    String correct(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "correct", "r-", form);
        Optional<Long> counted = form.counted(asked.fields(), asked.sheet());
        Optional<String> reason = form.reason(asked.fields());
        return deed(
                reply,
                asked,
                () -> "set right",
                () -> new StoreDeed.SetRight(id, counted.orElseThrow(), reason.orElseThrow()));
    }

    @PostMapping("/stores/lots/{id}/cup")
    String cup(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "cup", "c-", form);
        Optional<Density> bulk = form.bulk(asked.fields());
        return done(
                reply,
                asked,
                () -> "a measure of it is your own now, %s.".formatted(House.density(bulk.orElseThrow())),
                () -> new StoreDeed.WeighCup(id, bulk.orElseThrow()));
    }

    @PostMapping("/stores/lots/{id}/drops")
    String drops(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "drops", "k-", form);
        Optional<Double> per = form.perMillilitre(asked.fields());
        return done(
                reply,
                asked,
                () -> "%s of its drops fill a millilitre.".formatted(Decimals.upTo(per.orElseThrow(), 1)),
                () -> new StoreDeed.CountDrops(id, per.orElseThrow()));
    }

    @PostMapping("/stores/lots/{id}/strength")
    String strength(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "strength", "v-", form);
        Optional<Strength> strength = form.strength(asked.fields());
        return done(
                reply,
                asked,
                () -> "%s vol.".formatted(strength.orElseThrow().words()),
                () -> new StoreDeed.Prove(id, strength.orElseThrow()));
    }

    @PostMapping("/stores/lots/{id}/open")
    String open(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "open", "o-", form);
        boolean opened = asked.sheet().facts().opened().isPresent();
        return done(
                reply, asked, () -> opened ? "counts as sealed." : "opened.", () -> new StoreDeed.Open(id, !opened));
    }

    @PostMapping("/stores/lots/{id}/dry")
    String dry(@PathVariable UUID id, LotForm form, Reply reply) {
        Asked asked = asked(id, "dry", "y-", form);
        Instant at = form.when(asked.fields(), asked.house(), clock.instant());
        Optional<DryingStart> start =
                asked.sheet().herb().flatMap(herb -> form.start(asked.fields(), asked.sheet(), at));
        return answer(reply, asked, () -> {
            write(
                    asked,
                    new StoreDeed.LayOut(id, start.orElseThrow(() -> new Refused("Only a herb is laid out to dry."))),
                    at);
            return new Done("/stores/drying", asked.sheet().story().name() + " lies on the rack. Weigh it each day.");
        });
    }

    @PostMapping("/stores/deeds/{deed}/undo")
    String undo(@PathVariable UUID deed, Reply reply) {
        return reply.tap("/stores", () -> {
            care.takeBack(deed);
            return new Done("/stores", "Taken back. The story keeps both lines.");
        });
    }

    /** A deed that moves stock, and can be taken back as one. */
    private String deed(Reply reply, Asked asked, Supplier<String> words, Supplier<StoreDeed> deed) {
        Instant at = asked.form().when(asked.fields(), asked.house(), clock.instant());
        return answer(reply, asked, () -> {
            UUID moved = write(asked, deed.get(), at);
            return new Done(
                    "/stores/lots/" + asked.id(),
                    "%s: %s.".formatted(asked.sheet().story().name(), words.get()),
                    "/stores/deeds/%s/undo".formatted(moved));
        });
    }

    /** A deed that moves nothing. */
    private String done(Reply reply, Asked asked, Supplier<String> words, Supplier<StoreDeed> deed) {
        Instant at = asked.form().when(asked.fields(), asked.house(), clock.instant());
        return answer(reply, asked, () -> {
            write(asked, deed.get(), at);
            return new Done(
                    "/stores/lots/" + asked.id(),
                    "%s: %s".formatted(asked.sheet().story().name(), words.get()));
        });
    }

    private UUID write(Asked asked, StoreDeed deed, Instant at) {
        return deeds.done(Current.doing(deed, asked.form().keyOrNew(), at, ""));
    }

    private String answer(Reply reply, Asked asked, Supplier<Done> work) {
        return reply.answer(
                new FormSent(asked.prefix(), asked.form().keyOrNew(), asked.fields(), "/stores/lots/" + asked.id()),
                () -> {
                    LotSheet now = sheets.of(asked.id(), today());
                    return page(
                            reply.model(),
                            now,
                            new Sent<>(asked.which(), asked.fields(), asked.form(), LotForm.before(now)));
                },
                work);
    }

    private String page(Model model, LotSheet sheet, Sent<LotForm> sent) {
        model.addAttribute("conditions", conditions.ofLot(sheet.story().id()));
        model.addAttribute("sheet", sheet);
        model.addAttribute("lot", sheet.story());
        String before = (String) model.asMap().get("before");
        model.addAttribute("page", LotPage.of(sheet, before, households.current()));
        model.addAttribute("earlier", sheet.story().earlier(before));
        model.addAttribute("sent", sent);
        model.addAttribute("takings", Taking.values());
        model.addAttribute("ruins", Ruin.values());
        return "stores/lot";
    }

    private LocalDate today() {
        return households.current().dayOf(clock.instant());
    }
}
