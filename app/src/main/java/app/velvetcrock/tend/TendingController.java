package app.velvetcrock.tend;

import app.velvetcrock.batch.AlreadyDone;
import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.condition.WrongForm;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stock;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Notice;
import app.velvetcrock.web.OneTime;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The small forms by which a standing charge is tended; Rounds and the batch's own page send the same ones. */
@Controller
class TendingController {

    private static final int LONGEST_LESSON = 300;

    private final Batches batches;
    private final Deeds deeds;
    private final BatchPage page;
    private final Households households;
    private final OneTime oneTime;
    private final Clock clock;

    TendingController(
            Batches batches, Deeds deeds, BatchPage page, Households households, OneTime oneTime, Clock clock) {
        this.batches = batches;
        this.deeds = deeds;
        this.page = page;
        this.households = households;
        this.oneTime = oneTime;
        this.clock = clock;
    }

    /** What a form is read with, and what its answer goes into. */
    private record Sent(
            UUID id,
            TendForm form,
            BatchSheet sheet,
            House house,
            Fields fields,
            Model model,
            HttpServletResponse response,
            RedirectAttributes after) {}

    @PostMapping("/batch/{id}/note")
    String note(
            @PathVariable UUID id, TendForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<String> note = sent.fields().words("words", form.words(), TendForm.LONGEST_NOTE);
        Optional<Instant> at = at(sent);
        return note.isEmpty() || at.isEmpty()
                ? again(sent, "note")
                : write(sent, "Written down.", new Deed.Note(note.get()), at.get(), note.get());
    }

    @PostMapping("/batch/{id}/tasks/{task}")
    String done(
            @PathVariable UUID id,
            @PathVariable("task") String written,
            TendForm form,
            Model model,
            HttpServletResponse response,
            RedirectAttributes after) {
        TaskKey task = task(written);
        Sent sent = sent(id, form, model, response, after);
        Optional<Instant> at = at(sent);
        return at.isEmpty()
                ? again(sent, "task")
                : write(sent, task.kind().word() + ": done.", new Deed.Tend(task), at.get(), "");
    }

    @PostMapping("/batch/{id}/look")
    String look(
            @PathVariable UUID id, TendForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<Look> look = form.look(sent.fields());
        Optional<Instant> at = at(sent);
        return look.isEmpty() || at.isEmpty()
                ? again(sent, "look")
                : write(sent, words(look.get()), new Deed.LookAt(optionalTask(form), look.get()), at.get(), "");
    }

    @PostMapping("/batch/{id}/heat")
    String heat(
            @PathVariable UUID id, TendForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<Temperature> temperature = form.heat(sent.fields(), sent.house());
        Optional<Instant> at = at(sent);
        return temperature.isEmpty() || at.isEmpty()
                ? again(sent, "heat")
                : write(
                        sent,
                        "Read %s.".formatted(sent.house().temperature(temperature.get())),
                        new Deed.Read(optionalTask(form), temperature.get()),
                        at.get(),
                        form.temperature());
    }

    @PostMapping("/batch/{id}/top-up")
    String topUp(
            @PathVariable UUID id, TendForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<Stock.OfCarrier> bottle = form.bottle(sent.fields(), page.sameOil(sent.sheet()));
        Optional<Volume> oil = bottle.flatMap(b -> form.topUp(sent.fields(), sent.house(), b));
        Optional<Instant> at = at(sent);
        return oil.isEmpty() || at.isEmpty()
                ? again(sent, "top-up")
                : write(
                        sent,
                        "Topped up with %s.".formatted(sent.house().volume(oil.get())),
                        new Deed.TopUp(bottle.get().id(), oil.get()),
                        at.get(),
                        form.amount());
    }

    @PostMapping("/batch/{id}/wrong")
    String wrong(
            @PathVariable UUID id,
            WrongForm wrong,
            Model model,
            HttpServletResponse response,
            RedirectAttributes after) {
        Sent sent = sent(id, TendForm.keyed(wrong.key()), model, response, after);
        Optional<WrongForm.Wrong> read = wrong.read(sent.fields());
        model.addAttribute("wrong", wrong);
        return read.isEmpty()
                ? again(sent, "wrong")
                : write(
                        sent,
                        read.get().what().word() + ". It is held back until that is answered.",
                        new Deed.Find(read.get().what(), read.get().words(), Optional.empty()),
                        clock.instant(),
                        read.get().words());
    }

    @PostMapping("/batch/{id}/discard")
    String discard(
            @PathVariable UUID id, TendForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Sent sent = sent(id, form, model, response, after);
        Optional<Ruin> ruin = form.ruin(sent.fields());
        Optional<String> lesson = sent.fields().words("lesson", form.lesson(), LONGEST_LESSON);
        return ruin.isEmpty() || lesson.isEmpty()
                ? again(sent, "discard")
                : write(
                        sent,
                        "Thrown out. The lesson is kept, and the jar is free.%s"
                                .formatted(page.whatItCost(sent.sheet(), sent.house())),
                        new Deed.ThrowOut(ruin.get(), lesson.get(), Optional.empty()),
                        clock.instant(),
                        lesson.get());
    }

    private Sent sent(UUID id, TendForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        House house = households.current();
        return new Sent(id, form, batches.sheet(id), house, new Fields(house.reader()), model, response, after);
    }

    private Optional<Instant> at(Sent sent) {
        return sent.form().when(sent.fields(), sent.sheet(), sent.house(), clock.instant());
    }

    private String again(Sent sent, String which) {
        sent.response().setStatus(422);
        return page.show(sent.model(), sent.sheet(), new BatchPage.Typed(which, sent.form(), sent.fields()));
    }

    /** Writes once for the form's key; what somebody else did already is said where the work is done, and is no error. */
    private String write(Sent sent, String words, Deed deed, Instant at, String typed) {
        String leadsTo = sent.form().leadsTo(sent.id());
        UUID key = sent.form().keyOrNew();
        try {
            String entry = oneTime.once(
                    Current.stillroom(), key, () -> deeds.done(sent.id(), Current.doing(deed, key, at, typed))
                            .toString());
            String undo = "/batch/%s/entries/%s/undo?back=%s"
                    .formatted(sent.id(), entry, "shelf".equals(sent.form().back()) ? "shelf" : "batch");
            sent.after()
                    .addFlashAttribute(
                            Notice.NAME,
                            new Notice(
                                    "%s, jar %d: %s"
                                            .formatted(
                                                    sent.sheet().name(),
                                                    sent.sheet().number(),
                                                    words),
                                    undo));
        } catch (AlreadyDone done) {
            sent.after().addFlashAttribute(Notice.NAME, new Notice(done.getMessage(), null));
        }
        return "redirect:" + leadsTo;
    }

    private static String words(Look look) {
        return look.signs().isEmpty()
                ? "looked, all well."
                : look.signs().stream()
                        .map(sign -> sign.word() + ". " + sign.advice())
                        .reduce((a, b) -> a + " " + b)
                        .orElseThrow();
    }

    private static Optional<TaskKey> optionalTask(TendForm form) {
        return form.task() == null || form.task().isBlank() ? Optional.empty() : Optional.of(task(form.task()));
    }

    private static TaskKey task(String written) {
        try {
            return TaskKey.parse(written);
        } catch (IllegalArgumentException unknown) {
            throw new NotHere("that task");
        }
    }
}
