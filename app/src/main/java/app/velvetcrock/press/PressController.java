package app.velvetcrock.press;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.batch.Retentions;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.spirit.SpiritFire;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.errands.Awaited;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Press: strain and measure, and measure again when it has settled. */
@Controller
class PressController {

    /** Finished batches shown under those that still stand. */
    private static final int LATELY = 12;

    private static final int LESSONS = 3;

    private final Batches batches;
    private final Deeds deeds;
    private final Oils oils;
    private final Retentions retentions;
    private final Catalogue catalogue;
    private final Households households;
    private final Awaited awaited;
    private final Clock clock;

    PressController(
            Batches batches,
            Deeds deeds,
            Oils oils,
            Retentions retentions,
            Catalogue catalogue,
            Households households,
            Awaited awaited,
            Clock clock) {
        this.awaited = awaited;
        this.batches = batches;
        this.deeds = deeds;
        this.oils = oils;
        this.retentions = retentions;
        this.catalogue = catalogue;
        this.households = households;
        this.clock = clock;
    }

    /** Which of what is done is shown, as chosen. */
    record Chosen(
            @Nullable String herb,
            @Nullable String oil,
            @Nullable String year,
            @Nullable String became,
            @Nullable String before) {

        Batches.Ended ended() {
            return new Batches.Ended(
                    blank(herb),
                    blank(oil),
                    number(year),
                    "STRAINED".equals(became) || "DISCARDED".equals(became) ? became : null,
                    number(before));
        }

        private static @Nullable String blank(@Nullable String typed) {
            return typed == null || typed.isBlank() ? null : typed;
        }

        private static @Nullable Integer number(@Nullable String typed) {
            return typed != null && Linear.matches(typed, "\\d{1,9}") ? Integer.valueOf(typed) : null;
        }

        public boolean isAny() {
            return ended().equals(Batches.Ended.NEWEST);
        }
    }

    @GetMapping("/press")
    String press(Chosen chosen, Model model) {
        House house = households.current();
        model.addAttribute(
                "batches",
                batches.standing().stream()
                        .sorted(Comparator.comparing(
                                        (BatchSheet sheet) -> !sheet.course().isDue())
                                .thenComparing(sheet -> sheet.strainOn(house)))
                        .map(sheet -> PressPage.standing(sheet, house))
                        .toList());
        List<BatchSheet> finished = batches.finished(chosen.ended(), LATELY);
        model.addAttribute(
                "finished",
                finished.stream().map(sheet -> PressPage.finished(sheet, house)).toList());
        model.addAttribute("chosen", chosen);
        model.addAttribute(
                "older",
                finished.size() < LATELY ? null : finished.get(LATELY - 1).number());
        Batches.Ends ends = batches.ends();
        model.addAttribute(
                "herbs",
                catalogue.herbs().stream()
                        .filter(herb -> ends.herbs().contains(herb.key()))
                        .map(herb -> new Fields.Option(herb.key(), herb.common()))
                        .toList());
        model.addAttribute(
                "oils",
                catalogue.carriers().stream()
                        .filter(oil -> ends.carriers().contains(oil.key()))
                        .map(oil -> new Fields.Option(oil.key(), oil.common()))
                        .toList());
        model.addAttribute(
                "years",
                ends.years().stream()
                        .map(year -> new Fields.Option(year.toString(), year.toString()))
                        .toList());
        model.addAttribute(
                "became",
                List.of(new Fields.Option("STRAINED", "strained"), new Fields.Option("DISCARDED", "thrown out")));
        return "press/press";
    }

    @GetMapping("/press/{id}")
    String strain(@PathVariable UUID id, Model model) {
        BatchSheet sheet = batches.sheet(id);
        House house = households.current();
        if (sheet.strained().isPresent()) {
            return settlePage(model, sheet, SettleForm.empty(), new Fields(house.reader()));
        }
        String pressing = sheet.plan().request().circumstances().pressing().name();
        return page(model, sheet, PressForm.empty(pressing), new Fields(house.reader()));
    }

    @PostMapping("/press/{id}")
    String strained(@PathVariable UUID id, PressForm form, Reply reply) {
        House house = households.current();
        BatchSheet sheet = batches.sheet(id);
        Fields fields = new Fields(house.reader());
        Optional<Doing<Deed.Strain>> strain = form.read(fields, sheet, house, clock.instant());
        return reply.answer(
                new FormSent("", form.key(), fields, "/press/" + id),
                () -> page(reply.model(), sheet, form, fields),
                () -> {
                    deeds.done(id, strain.orElseThrow());
                    return new Done(
                            "/press/" + id, sheet.name() + " is in the Cupboard. Its log can take the straining back.");
                });
    }

    @PostMapping("/press/{id}/settle")
    String settled(@PathVariable UUID id, SettleForm form, Reply reply) {
        House house = households.current();
        BatchSheet sheet = batches.sheet(id);
        Fields fields = new Fields(house.reader());
        Optional<Line.Strained> gave = sheet.strained();
        if (gave.isEmpty()) {
            fields.trouble("", "It is not strained any more, so nothing has settled.", "");
        }
        Optional<Doing<Deed.Settle>> settle =
                gave.flatMap(strained -> form.read(fields, sheet, oils.find(strained.lot()), house, clock.instant()));
        return reply.answer(
                new FormSent("", form.key(), fields, "/press/" + id),
                () -> gave.isPresent()
                        ? settlePage(reply.model(), sheet, form, fields)
                        : page(reply.model(), sheet, PressForm.empty("HAND"), fields),
                () -> {
                    deeds.done(id, settle.orElseThrow());
                    return new Done("/press/" + id, "Measured again. The batch's log can take it back.");
                });
    }

    private String settlePage(Model model, BatchSheet sheet, SettleForm form, Fields fields) {
        Line.Strained gave = sheet.strained().orElseThrow();
        Stock.OfOil oil = oils.find(gave.lot());
        model.addAttribute("gave", gave);
        model.addAttribute("taught", PressPage.taught(sheet, gave));
        model.addAttribute("learned", PressPage.learned(sheet, gave, retentions));
        model.addAttribute("strainingLine", PressPage.line(sheet, gave));
        glass(model, sheet);
        model.addAttribute("oil", oil);
        model.addAttribute("awaited", awaited.isOpen(sheet.id()));
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        model.addAttribute("smells", Smell.values());
        return "press/measured";
    }

    /** What was known by the time it was strained: what was learned since could not be heeded. */
    private List<Batches.Taught> lessons(BatchSheet sheet) {
        Instant until = sheet.log().entries().stream()
                .filter(entry -> entry.line() instanceof Line.Strained)
                .map(entry -> entry.happenedAt())
                .findFirst()
                .orElse(clock.instant());
        return batches.lessonsAt(sheet.id(), sheet.plan().request().herbKeys(), until, LESSONS);
    }

    /** What both pages draw: the glass, and whether the batch had its time. */
    private void glass(Model model, BatchSheet sheet) {
        model.addAttribute("batch", sheet);
        model.addAttribute("lessons", lessons(sheet));
        model.addAttribute("glass", PressPage.glass(sheet, households.current()));
        model.addAttribute("picture", LevelPicture.of(sheet));
        model.addAttribute(
                "cutShort", new HeatHad(sheet.course()).cutShort(sheet.log()).orElse(null));
        model.addAttribute(
                "heatSeen", new HeatHad(sheet.course()).overOrUnseen().orElse(null));
    }

    private String page(Model model, BatchSheet sheet, PressForm form, Fields fields) {
        glass(model, sheet);
        model.addAttribute("wentIn", PressPage.wentIn(sheet, households.current()));
        model.addAttribute("rests", PressPage.rests(sheet.forecast()));
        model.addAttribute("mark", sheet.plan().mark().orElse(null));
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        model.addAttribute("isHeld", sheet.holding(Held.STRAIN).isPresent());
        model.addAttribute("spirit", sheet.course().spirit() ? SpiritFire.WORDS : null);
        model.addAttribute("pressings", Pressing.values());
        model.addAttribute("clarities", Clarity.values());
        model.addAttribute("smells", Smell.values());
        return "press/strain";
    }
}
