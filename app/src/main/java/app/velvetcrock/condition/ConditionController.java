package app.velvetcrock.condition;

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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Answers a condition by hand: dealt with, or it was not so. Throwing out is done where the thing is. */
@Controller
class ConditionController {

    private static final int LONGEST_WORDS = 300;

    private final Conditions conditions;
    private final Households households;
    private final OneTime oneTime;

    ConditionController(Conditions conditions, Households households, OneTime oneTime) {
        this.conditions = conditions;
        this.households = households;
        this.oneTime = oneTime;
    }

    /** The answer as typed: DEALT_WITH or NOT_SO, and how. */
    record AnswerForm(@Nullable UUID key, @Nullable String answer, @Nullable String words) {}

    @GetMapping("/conditions/{id}")
    String page(@PathVariable UUID id, Model model) {
        return show(model, conditions.find(id), new AnswerForm(UUID.randomUUID(), "", ""), fields());
    }

    @PostMapping("/conditions/{id}/answer")
    String answer(
            @PathVariable UUID id,
            AnswerForm form,
            Model model,
            HttpServletResponse response,
            RedirectAttributes after) {
        Told told = conditions.find(id);
        Fields fields = fields();
        Optional<String> words = fields.words("words", form.words(), LONGEST_WORDS);
        if (words.isEmpty()) {
            response.setStatus(422);
            return show(model, told, form, fields);
        }
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        oneTime.once(Current.stillroom(), key, () -> {
            conditions.answer(id, "DEALT_WITH".equals(form.answer()), words.get());
            return "answered";
        });
        after.addFlashAttribute(
                Notice.NAME,
                new Notice(
                        "%s: %s is answered."
                                .formatted(told.subject().name(), told.kind().word()),
                        "/conditions/%s/undo".formatted(id)));
        return "redirect:" + told.subject().page();
    }

    @PostMapping("/conditions/{id}/undo")
    String undo(@PathVariable UUID id, RedirectAttributes after) {
        Told told = conditions.reopen(id);
        after.addFlashAttribute(
                Notice.NAME,
                new Notice(
                        "%s: %s is open again."
                                .formatted(told.subject().name(), told.kind().word()),
                        null));
        return "redirect:" + told.subject().page();
    }

    private static String show(Model model, Told told, AnswerForm form, Fields fields) {
        model.addAttribute("told", told);
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        return "condition/answer";
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }
}
