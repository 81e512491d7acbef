package app.velvetcrock.cupboard;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Told;
import app.velvetcrock.condition.WrongForm;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.parting.Leaving;
import app.velvetcrock.parting.Parting;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Oils.Taking;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Cupboard: finished oils, the first to be used first; bottled, drawn from, smelled, thrown out. */
@Controller
class CupboardController {

    private final Stores stores;
    private final Parting parting;
    private final ToWhom toWhom;
    private final Oils oils;
    private final Goods goods;
    private final Batches batches;
    private final OilCare care;
    private final Deeds deeds;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    CupboardController(
            Stores stores,
            Oils oils,
            Goods goods,
            Batches batches,
            OilCare care,
            Deeds deeds,
            Conditions conditions,
            Households households,
            Clock clock,
            Parting parting,
            ToWhom toWhom) {
        this.parting = parting;
        this.toWhom = toWhom;
        this.stores = stores;
        this.oils = oils;
        this.goods = goods;
        this.batches = batches;
        this.care = care;
        this.deeds = deeds;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    @GetMapping("/cupboard/{lot}")
    String oil(@PathVariable UUID lot, Model model) {
        if (goods.isGood(lot)) {
            return "redirect:/cupboard/goods/" + lot;
        }
        return page(model, lot, Sent.nothing(fields(), OilForm.empty()));
    }

    @GetMapping("/cupboard/{lot}/label")
    String label(@PathVariable UUID lot, Model model) {
        OilOnShelf shown = shown(lot);
        model.addAttribute("shown", shown);
        model.addAttribute("label", OilPage.label(shown, households.current()));
        return "cupboard/label";
    }

    @PostMapping("/cupboard/{lot}/bottle")
    String bottle(@PathVariable UUID lot, OilForm form, Reply reply) {
        Asked asked = asked(lot, "bottle", "b-", form);
        Optional<Deed.Bottle> bottles = form.bottles(
                lot,
                asked.fields(),
                batches.sheet(oils.find(lot).batch()).plan().isMoistFood(),
                empties());
        return does(
                reply,
                asked,
                form.size(),
                bottles::orElseThrow,
                id -> new Done("/cupboard", "Bottled. Label them now; the batch's log can take it back."));
    }

    @PostMapping("/cupboard/{lot}/draw")
    String draw(@PathVariable UUID lot, OilForm form, Reply reply) {
        Asked asked = asked(lot, "draw", "d-", form);
        Optional<Mass> mass = form.drawn(asked.fields(), oils.find(lot), asked.house());
        Optional<Taking> why = form.taking(asked.fields());
        ToWhom.Said said = toWhom.read(
                asked.fields(),
                asked.house(),
                form.who(),
                form.price(),
                form.when(asked.fields(), asked.house(), clock.instant()));
        return does(
                reply,
                asked,
                once -> {
                    Optional<Leaving.Kind> left = why.flatMap(ToWhom::kind);
                    UUID movement = left.isPresent()
                            ? parting.oil(lot, mass.orElseThrow(), left.orElseThrow(), toWhom.terms(said, lot), once)
                            : deeds.done(
                                    oils.find(lot).batch(),
                                    Current.doing(
                                            new Deed.Draw(
                                                    lot,
                                                    mass.orElseThrow(),
                                                    why.orElseThrow().held()),
                                            once.key(),
                                            once.at(),
                                            once.typed()));
                    return new Done(
                            "/cupboard/" + lot,
                            "Drawn out.",
                            "/cupboard/%s/movements/%s/undo".formatted(lot, movement));
                },
                form.amount());
    }

    @PostMapping("/cupboard/{lot}/movements/{movement}/undo")
    String undoDrawing(@PathVariable UUID lot, @PathVariable UUID movement, Reply reply) {
        return reply.tap("/cupboard/" + lot, () -> {
            oils.find(lot);
            parting.takeBack(lot, movement);
            return new Done("/cupboard/" + lot, "Taken back. The story keeps both lines.");
        });
    }

    @PostMapping("/cupboard/{lot}/sniff")
    String sniff(@PathVariable UUID lot, OilForm form, Reply reply) {
        Asked asked = asked(lot, "sniff", "s-", form);
        if (!"GOOD".equals(form.smell()) && !"OFF".equals(form.smell())) {
            asked.fields().trouble("when", "It is not said how it smells: good or off.", "one of the two buttons");
        }
        return does(reply, asked, "", () -> new Deed.Sniff(lot, "GOOD".equals(form.smell())), entry -> {
            House house = asked.house();
            Line.Sniffed said = batches.sheet(oils.find(lot).batch())
                    .log()
                    .last(Line.Sniffed.class)
                    .orElseThrow();
            String date = house.date(said.useBy());
            return new Done(
                    "/cupboard/" + lot,
                    said.useBy().isAfter(said.useByBefore())
                            ? "Smelled and good: use by %s now, %s.".formatted(date, said.why())
                            : "Smelled. The date stays %s: %s.".formatted(date, said.why()));
        });
    }

    @PostMapping("/cupboard/{lot}/wrong")
    String wrong(@PathVariable UUID lot, WrongForm form, Reply reply) {
        Asked asked = asked(lot, "wrong", "w-", OilForm.of(form.key(), form.when()));
        Optional<WrongForm.Wrong> wrong = form.read(asked.fields());
        reply.model().addAttribute("wrong", form);
        return does(
                reply,
                asked,
                form.words(),
                () -> new Deed.Find(
                        wrong.orElseThrow().what(), wrong.orElseThrow().words(), Optional.of(lot)),
                entry -> new Done("/cupboard/" + lot, "Written down. It is held back until that is answered."));
    }

    @PostMapping("/cupboard/{lot}/discard")
    String discard(@PathVariable UUID lot, OilForm form, Reply reply) {
        Asked asked = asked(lot, "discard", "x-", form);
        Optional<Ruin> ruin = form.ruined(asked.fields());
        Optional<String> lesson = asked.fields().words("lesson", form.lesson(), OilForm.LONGEST_LESSON);
        return does(
                reply,
                asked,
                form.lesson(),
                () -> new Deed.ThrowOut(ruin.orElseThrow(), lesson.orElseThrow(), Optional.of(lot)),
                entry -> new Done(
                        "/cupboard", "Thrown out. Its lesson is kept in the batch's log, which can take it back."));
    }

    /** A form of an oil's page, read beside the oil it is about. */
    private record Asked(UUID lot, String which, String prefix, OilForm form, House house, Fields fields) {}

    private Asked asked(UUID lot, String which, String prefix, OilForm form) {
        oils.find(lot);
        return new Asked(lot, which, prefix, form, households.current(), fields());
    }

    private String does(
            Reply reply, Asked asked, @Nullable String typed, Supplier<Deed> deed, Function<UUID, Done> done) {
        return does(
                reply,
                asked,
                once -> done.apply(deeds.done(
                        oils.find(asked.lot()).batch(),
                        Current.doing(deed.get(), once.key(), once.at(), once.typed()))),
                typed);
    }

    private String does(Reply reply, Asked asked, Function<Parting.Once, Done> work, @Nullable String typed) {
        OilForm form = asked.form();
        UUID key = form.keyOrNew();
        Instant at = form.when(asked.fields(), asked.house(), clock.instant());
        return reply.answer(
                new FormSent(asked.prefix(), key, asked.fields(), "/cupboard/" + asked.lot()),
                () -> page(
                        reply.model(), asked.lot(), new Sent<>(asked.which(), asked.fields(), form, OilForm.empty())),
                () -> work.apply(new Parting.Once(key, at, Objects.requireNonNullElse(typed, ""))));
    }

    private String page(Model model, UUID lot, Sent<OilForm> sent) {
        OilOnShelf shown = shown(lot);
        model.addAttribute("shown", shown);
        model.addAttribute("page", OilPage.of(shown, keep(shown), stores.story(lot), households.current()));
        model.addAttribute("sent", sent);
        List<Told> conditions = this.conditions.ofBatch(shown.batch().id());
        model.addAttribute(
                "conditions",
                conditions.stream()
                        .filter(told -> told.isOfLot(shown.batch().id(), lot))
                        .map(told -> told.at(shown.batch().id(), lot))
                        .toList());
        model.addAttribute(
                "siblings",
                conditions.stream()
                        .filter(told ->
                                told.isOpen() && !told.isOfLot(shown.batch().id(), lot))
                        .toList());
        boolean food = shown.batch().plan().isMoistFood();
        model.addAttribute(
                "neverSold", this.conditions.neverSold(shown.batch().id(), lot).orElse(null));
        model.addAttribute(
                "empties",
                empties().stream()
                        .map(empty -> new Fields.Option(
                                empty.id().toString(), "%s (%d in the stores)".formatted(empty.name(), empty.left())))
                        .toList());
        model.addAttribute("glasses", Glass.values());
        model.addAttribute("antioxidants", Antioxidant.values());
        model.addAttribute("storages", food ? List.of(Storage.REFRIGERATOR) : List.of(Storage.values()));
        model.addAttribute("whys", food ? List.of(Taking.DRAWN) : List.of(Taking.values()));
        model.addAttribute("ruins", Ruin.values());
        return "cupboard/oil";
    }

    /** What the stores have to fill. */
    private List<Stock.OfSupply> empties() {
        return stores.supplies(Set.of(LotKind.CONTAINER));
    }

    /** The sum of its date as it was shelved or bottled; a sniff test since then stands in the log. */
    private @Nullable KeepUntil keep(OilOnShelf shown) {
        return shown.oil()
                .bottle()
                .map(bottle -> care.keepIn(shown.oil().id(), shown.oil().place(), bottle.glass()))
                .orElseGet(() -> shown.batch()
                        .strained()
                        .map(strained -> strained.keepUntil())
                        .orElse(null));
    }

    private OilOnShelf shown(UUID lot) {
        Stock.OfOil oil = oils.find(lot);
        return OilOnShelf.of(
                oil, batches.sheet(oil.batch()), households.current().dayOf(clock.instant()));
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }
}
