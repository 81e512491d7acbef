package app.velvetcrock.batch;

import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Notice;
import app.velvetcrock.web.OneTime;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Batch: one batch from start to end, and its charge label. */
@Controller
class BatchController {

    private static final int LONGEST_NOTE = 500;
    private static final double PICTURE_WIDTH = 150;
    private static final double PICTURE_HEIGHT = 190;

    private final Batches batches;
    private final Households households;
    private final OneTime oneTime;

    BatchController(Batches batches, Households households, OneTime oneTime) {
        this.batches = batches;
        this.households = households;
        this.oneTime = oneTime;
    }

    @GetMapping("/batch/{id}")
    String sheet(@PathVariable UUID id, Model model) {
        return page(model, id, new Fields(households.current().reader()), "");
    }

    @GetMapping("/batch/{id}/label")
    String label(@PathVariable UUID id, Model model) {
        model.addAttribute("batch", batches.sheet(id));
        return "batch/label";
    }

    @PostMapping("/batch/{id}/note")
    String note(@PathVariable UUID id, @RequestParam UUID key, @Nullable String words, Model model, HttpServletResponse response) {
        Fields fields = new Fields(households.current().reader());
        Optional<String> note = fields.words("words", words, LONGEST_NOTE);
        if (note.isEmpty()) {
            response.setStatus(422);
            return page(model, id, fields, words == null ? "" : words);
        }
        return "redirect:" + oneTime.once(Current.stillroom(), key, () -> {
            batches.note(id, note.get(), key);
            return "/batch/" + id;
        });
    }

    @PostMapping("/batch/{id}/entries/{entry}/undo")
    String takeBack(@PathVariable UUID id, @PathVariable UUID entry, RedirectAttributes after) {
        batches.takeBack(id, entry);
        after.addFlashAttribute(Notice.NAME, new Notice("Taken back. The log keeps both lines.", null));
        return "redirect:/batch/" + id;
    }

    private String page(Model model, UUID id, Fields fields, String words) {
        BatchSheet sheet = batches.sheet(id);
        model.addAttribute("batch", sheet);
        model.addAttribute("drawing", drawing(sheet));
        model.addAttribute("fields", fields);
        model.addAttribute("words", words);
        return "batch/batch";
    }

    private static JarDrawing drawing(BatchSheet sheet) {
        BatchPlan plan = sheet.frozen().plan();
        double progress = Math.min(1, sheet.course().day() / (double) sheet.course().ofDays());
        double scale = JarDrawing.scaleToFit(plan.charge().vessel(), PICTURE_WIDTH, PICTURE_HEIGHT);
        return JarDrawing.of(plan.charge().vessel(), plan.found().levels(), JarDrawing.Look.of(plan, progress), scale);
    }
}
