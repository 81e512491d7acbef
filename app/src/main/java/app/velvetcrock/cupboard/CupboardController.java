package app.velvetcrock.cupboard;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Told;
import app.velvetcrock.condition.WrongForm;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Oils.Taking;
import app.velvetcrock.stock.Stock;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Notice;
import app.velvetcrock.web.OneTime;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Cupboard: finished oils, the first to be used first; bottled, drawn from, smelled, thrown out. */
@Controller
class CupboardController {

    private final Stores stores;
    private final Oils oils;
    private final Batches batches;
    private final OilCare care;
    private final Deeds deeds;
    private final Conditions conditions;
    private final Households households;
    private final OneTime oneTime;
    private final Clock clock;

    CupboardController(
            Stores stores,
            Oils oils,
            Batches batches,
            OilCare care,
            Deeds deeds,
            Conditions conditions,
            Households households,
            OneTime oneTime,
            Clock clock) {
        this.stores = stores;
        this.oils = oils;
        this.batches = batches;
        this.care = care;
        this.deeds = deeds;
        this.conditions = conditions;
        this.households = households;
        this.oneTime = oneTime;
        this.clock = clock;
    }

    @GetMapping("/cupboard")
    String cupboard(Model model) {
        LocalDate today = households.current().dayOf(clock.instant());
        List<Stock.OfOil> stock = oils.inStock();
        Map<UUID, BatchSheet> byId = batches
                .among(stock.stream().map(Stock.OfOil::batch).distinct().toList())
                .stream()
                .collect(Collectors.toMap(BatchSheet::id, Function.identity()));
        model.addAttribute(
                "oils",
                OilOnShelf.grouped(stock.stream()
                        .map(oil -> OilOnShelf.of(oil, byId.get(oil.batch()), today))
                        .toList()));
        return "cupboard/cupboard";
    }

    @GetMapping("/cupboard/{lot}")
    String oil(@PathVariable UUID lot, Model model) {
        return page(model, lot, new Typed("", OilForm.empty(), fields()));
    }

    @GetMapping("/cupboard/{lot}/label")
    String label(@PathVariable UUID lot, Model model) {
        model.addAttribute("shown", shown(lot));
        return "cupboard/label";
    }

    @PostMapping("/cupboard/{lot}/bottle")
    String bottle(
            @PathVariable UUID lot, OilForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Fields fields = fields();
        Optional<Deed.Bottle> bottles = form.bottles(
                lot, fields, batches.sheet(oils.find(lot).batch()).plan().isMoistFood());
        if (bottles.isEmpty()) {
            return again(model, response, lot, new Typed("bottle", form, fields));
        }
        return once(form, "/cupboard", after, () -> {
            does(lot, bottles.get(), form.keyOrNew(), Objects.requireNonNullElse(form.size(), ""));
            return new Notice("Bottled. Label them now; the batch's log can take it back.", null);
        });
    }

    @PostMapping("/cupboard/{lot}/draw")
    String draw(
            @PathVariable UUID lot, OilForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Fields fields = fields();
        Optional<Mass> mass = form.drawn(fields, oils.find(lot), households.current());
        Optional<Held> cause = form.cause(fields);
        if (mass.isEmpty() || cause.isEmpty()) {
            return again(model, response, lot, new Typed("draw", form, fields));
        }
        return once(
                form,
                "/cupboard/" + lot,
                after,
                () -> new Notice(
                        "Drawn out.",
                        "/cupboard/%s/movements/%s/undo"
                                .formatted(
                                        lot,
                                        does(lot, new Deed.Draw(lot, mass.get(), cause.get()), form.keyOrNew(), ""))));
    }

    @PostMapping("/cupboard/{lot}/movements/{movement}/undo")
    String undoDrawing(@PathVariable UUID lot, @PathVariable UUID movement, RedirectAttributes after) {
        oils.takeBackDrawing(lot, movement);
        after.addFlashAttribute(Notice.NAME, new Notice("Taken back. The story keeps both lines.", null));
        return "redirect:/cupboard/" + lot;
    }

    @PostMapping("/cupboard/{lot}/sniff")
    String sniff(@PathVariable UUID lot, OilForm form, RedirectAttributes after) {
        House house = households.current();
        return once(form, "/cupboard/" + lot, after, () -> {
            does(lot, new Deed.Sniff(lot, "GOOD".equals(form.smell())), form.keyOrNew(), "");
            Line.Sniffed said = batches.sheet(oils.find(lot).batch())
                    .log()
                    .last(Line.Sniffed.class)
                    .orElseThrow();
            return new Notice(
                    said.useBy().isAfter(said.useByBefore())
                            ? "Smelled and good: use by %s now, %s.".formatted(house.date(said.useBy()), said.why())
                            : "Smelled. The date stays %s: %s.".formatted(house.date(said.useBy()), said.why()),
                    null);
        });
    }

    @PostMapping("/cupboard/{lot}/wrong")
    String wrong(
            @PathVariable UUID lot,
            WrongForm form,
            Model model,
            HttpServletResponse response,
            RedirectAttributes after) {
        Fields fields = fields();
        oils.find(lot);
        Optional<WrongForm.Wrong> wrong = form.read(fields);
        model.addAttribute("wrong", form);
        if (wrong.isEmpty()) {
            return again(model, response, lot, new Typed("wrong", OilForm.empty(), fields));
        }
        return once(form.keyOrNew(), "/cupboard/" + lot, after, () -> {
            Deed.Find find = new Deed.Find(wrong.get().what(), wrong.get().words(), Optional.of(lot));
            does(lot, find, form.keyOrNew(), wrong.get().words());
            return new Notice("Written down. It is held back until that is answered.", null);
        });
    }

    @PostMapping("/cupboard/{lot}/discard")
    String discard(
            @PathVariable UUID lot, OilForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Fields fields = fields();
        oils.find(lot);
        Optional<Ruin> ruin = form.ruined(fields);
        Optional<String> lesson = fields.words("lesson", form.lesson(), OilForm.LONGEST_LESSON);
        if (ruin.isEmpty() || lesson.isEmpty()) {
            return again(model, response, lot, new Typed("discard", form, fields));
        }
        return once(form, "/cupboard", after, () -> {
            does(lot, new Deed.ThrowOut(ruin.get(), lesson.get(), Optional.of(lot)), form.keyOrNew(), lesson.get());
            return new Notice("Thrown out. Its lesson is kept in the batch's log, which can take it back.", null);
        });
    }

    private UUID does(UUID lot, Deed deed, UUID key, String typed) {
        return deeds.done(oils.find(lot).batch(), Current.doing(deed, key, clock.instant(), typed));
    }

    /** The form that was sent, by name, with what was wrong in it. */
    private record Typed(String which, OilForm form, Fields fields) {}

    private String once(
            OilForm form, String leadsTo, RedirectAttributes after, java.util.function.Supplier<Notice> work) {
        return once(form.keyOrNew(), leadsTo, after, work);
    }

    /** Does it once for the form's key; a repeat is only led on. */
    private String once(UUID key, String leadsTo, RedirectAttributes after, java.util.function.Supplier<Notice> work) {
        String to = oneTime.once(Current.stillroom(), key, () -> {
            after.addFlashAttribute(Notice.NAME, work.get());
            return leadsTo;
        });
        return "redirect:" + to;
    }

    private String again(Model model, HttpServletResponse response, UUID lot, Typed typed) {
        response.setStatus(422);
        return page(model, lot, typed);
    }

    private String page(Model model, UUID lot, Typed typed) {
        OilOnShelf shown = shown(lot);
        model.addAttribute("shown", shown);
        model.addAttribute("keep", keep(shown));
        List<Told> conditions = this.conditions.ofBatch(shown.batch().id());
        model.addAttribute(
                "conditions",
                conditions.stream()
                        .filter(told -> told.isOfLot(shown.batch().id(), lot))
                        .toList());
        model.addAttribute(
                "siblings",
                conditions.stream()
                        .filter(told ->
                                told.isOpen() && !told.isOfLot(shown.batch().id(), lot))
                        .toList());
        model.addAttribute("story", stores.story(lot));
        model.addAttribute("which", typed.which());
        model.addAttribute("typed", typed.form());
        model.addAttribute("sent", typed.fields());
        model.addAttribute("none", fields());
        model.addAttribute("blank", OilForm.empty());
        boolean food = shown.batch().plan().isMoistFood();
        model.addAttribute("glasses", Glass.values());
        model.addAttribute("storages", food ? List.of(Storage.REFRIGERATOR) : List.of(Storage.values()));
        model.addAttribute("whys", food ? List.of(Taking.DRAWN) : List.of(Taking.values()));
        model.addAttribute("ruins", Ruin.values());
        return "cupboard/oil";
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
