package app.velvetcrock.stores;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.WrongForm;
import app.velvetcrock.core.drying.DryingStart;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.rack.Rack;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.LotCare;
import app.velvetcrock.stock.Oils.Taking;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Notice;
import app.velvetcrock.web.OneTime;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One lot: its story, and what can be done to it. */
@Controller
class LotController {

    private final LotSheets sheets;
    private final LotCare care;
    private final Rack rack;
    private final Conditions conditions;
    private final Households households;
    private final OneTime oneTime;
    private final Clock clock;

    LotController(
            LotSheets sheets,
            LotCare care,
            Rack rack,
            Conditions conditions,
            Households households,
            OneTime oneTime,
            Clock clock) {
        this.sheets = sheets;
        this.care = care;
        this.rack = rack;
        this.conditions = conditions;
        this.households = households;
        this.oneTime = oneTime;
        this.clock = clock;
    }

    /** What a form is read with, and what its answer goes into. */
    private record Sent(
            UUID id,
            LotForm form,
            LotSheet sheet,
            House house,
            Fields fields,
            Model model,
            HttpServletResponse response,
            RedirectAttributes after) {}

    @GetMapping("/stores/lots/{id}")
    String lot(@PathVariable UUID id, Model model) {
        return page(
                model,
                sheets.of(id, today()),
                "",
                LotForm.empty(),
                new Fields(households.current().reader()));
    }

    @PostMapping("/stores/lots/{id}/split")
    String split(
            @PathVariable UUID id, LotForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<Long> part = form.some(sent.fields(), sent.sheet(), sent.house());
        Optional<String> place = form.place(sent.fields());
        return part.isEmpty() || place.isEmpty()
                ? again(sent, "split")
                : deed(sent, "split", deed -> care.split(id, Mass.ofMilligrams(part.get()), place.get(), deed));
    }

    @PostMapping("/stores/lots/{id}/process")
    String process(
            @PathVariable UUID id, LotForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<Mass> in = form.some(sent.fields(), sent.sheet(), sent.house()).map(Mass::ofMilligrams);
        Optional<Mass> out = in.flatMap(mass -> form.cameOut(sent.fields(), sent.sheet(), mass));
        Optional<Cut> cut = form.finer(sent.fields());
        return out.isEmpty() || cut.isEmpty()
                ? again(sent, "process")
                : deed(sent, cut.get().word(), deed -> care.process(id, cut.get(), in.get(), out.get(), deed));
    }

    @PostMapping("/stores/lots/{id}/merge")
    String merge(
            @PathVariable UUID id, LotForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        if (form.other() == null) {
            sent.fields().trouble("other", "Nothing is chosen here yet.", "one from the list");
            return again(sent, "merge");
        }
        return deed(sent, "put together", deed -> care.merge(id, form.other(), deed));
    }

    @PostMapping("/stores/lots/{id}/draw")
    String draw(
            @PathVariable UUID id, LotForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<Long> amount = form.some(sent.fields(), sent.sheet(), sent.house());
        Optional<Cause> cause = form.cause(sent.fields());
        Optional<String> note = form.optionalNote(sent.fields());
        return amount.isEmpty() || cause.isEmpty() || note.isEmpty()
                ? again(sent, "draw")
                : deed(sent, cause.get().word(), deed -> care.draw(id, amount.get(), cause.get(), note.get(), deed));
    }

    @PostMapping("/stores/lots/{id}/discard")
    String discard(
            @PathVariable UUID id, LotForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<String> reason = form.reason(sent.fields());
        return reason.isEmpty()
                ? again(sent, "discard")
                : deed(sent, "thrown out", deed -> care.discard(id, reason.get(), deed));
    }

    @PostMapping("/stores/lots/{id}/wrong")
    String wrong(
            @PathVariable UUID id,
            WrongForm wrong,
            Model model,
            HttpServletResponse response,
            RedirectAttributes after) {
        Sent sent = sent(id, LotForm.keyed(wrong.key()), model, response, after);
        Optional<WrongForm.Wrong> read = wrong.read(sent.fields());
        model.addAttribute("wrong", wrong);
        return read.isEmpty()
                ? again(sent, "wrong")
                : done(
                        sent,
                        read.get().what().word() + ". It is held back until that is answered.",
                        () -> care.wrong(id, read.get().what(), read.get().words(), clock.instant()));
    }

    @PostMapping("/stores/lots/{id}/correct")
    String correct(
            @PathVariable UUID id, LotForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<Long> counted = form.counted(sent.fields(), sent.sheet());
        Optional<String> reason = form.reason(sent.fields());
        return counted.isEmpty() || reason.isEmpty()
                ? again(sent, "correct")
                : deed(sent, "set right", deed -> care.correct(id, counted.get(), reason.get(), deed));
    }

    @PostMapping("/stores/lots/{id}/cup")
    String cup(
            @PathVariable UUID id, LotForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<Density> bulk = form.bulk(sent.fields());
        return bulk.isEmpty()
                ? again(sent, "cup")
                : done(
                        sent,
                        "a measure of it is your own now, %s.".formatted(House.density(bulk.get())),
                        () -> care.weighCup(id, bulk.get()));
    }

    @PostMapping("/stores/lots/{id}/open")
    String open(
            @PathVariable UUID id, LotForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        boolean opened = sent.sheet().facts().opened().isPresent();
        return done(sent, opened ? "counts as sealed." : "opened today.", () -> care.open(id, opened ? null : today()));
    }

    @PostMapping("/stores/lots/{id}/dry")
    String dry(
            @PathVariable UUID id, LotForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<DryingStart> start =
                sent.sheet().herb().flatMap(herb -> form.start(sent.fields(), sent.sheet(), clock.instant()));
        if (start.isEmpty()) {
            return again(sent, "dry");
        }
        oneTime.once(Current.stillroom(), form.keyOrNew(), () -> String.valueOf(rack.layOut(id, start.get())));
        after.addFlashAttribute(
                Notice.NAME, new Notice(sent.sheet().story().name() + " lies on the rack. Weigh it each day.", null));
        return "redirect:/stores/drying";
    }

    @PostMapping("/stores/deeds/{deed}/undo")
    String undo(@PathVariable UUID deed, RedirectAttributes after) {
        care.takeBack(deed);
        after.addFlashAttribute(Notice.NAME, new Notice("Taken back. The story keeps both lines.", null));
        return "redirect:/stores";
    }

    private Sent sent(UUID id, LotForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        House house = households.current();
        return new Sent(id, form, sheets.of(id, today()), house, new Fields(house.reader()), model, response, after);
    }

    private String again(Sent sent, String which) {
        sent.response().setStatus(422);
        return page(sent.model(), sent.sheet(), which, sent.form(), sent.fields());
    }

    private String deed(Sent sent, String words, Consumer<UUID> work) {
        String deed = oneTime.once(Current.stillroom(), sent.form().keyOrNew(), () -> {
            UUID fresh = UUID.randomUUID();
            work.accept(fresh);
            return fresh.toString();
        });
        sent.after()
                .addFlashAttribute(
                        Notice.NAME,
                        new Notice(
                                "%s: %s.".formatted(sent.sheet().story().name(), words),
                                "/stores/deeds/%s/undo".formatted(deed)));
        return "redirect:/stores/lots/" + sent.id();
    }

    private String done(Sent sent, String words, Runnable work) {
        oneTime.once(Current.stillroom(), sent.form().keyOrNew(), () -> {
            work.run();
            return "done";
        });
        sent.after()
                .addFlashAttribute(
                        Notice.NAME,
                        new Notice("%s: %s".formatted(sent.sheet().story().name(), words), null));
        return "redirect:/stores/lots/" + sent.id();
    }

    private String page(Model model, LotSheet sheet, String which, LotForm typed, Fields sent) {
        model.addAttribute("conditions", conditions.ofLot(sheet.story().id()));
        model.addAttribute("sheet", sheet);
        model.addAttribute("lot", sheet.story());
        model.addAttribute("which", which);
        model.addAttribute("typed", typed);
        model.addAttribute("sent", sent);
        model.addAttribute("none", new Fields(House.usual().reader()));
        model.addAttribute("blank", LotForm.empty());
        model.addAttribute("takings", Taking.values());
        model.addAttribute(
                "cuts",
                sheet.herb()
                        .map(herb -> Arrays.stream(Cut.values())
                                .filter(cut -> cut.compareTo(herb.cut()) >= 0)
                                .toList())
                        .orElse(java.util.List.of()));
        return "stores/lot";
    }

    private LocalDate today() {
        return households.current().dayOf(clock.instant());
    }
}
