package app.velvetcrock.condition;

import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Answers a condition by hand: dealt with, or it was not so. Throwing out is done where the thing is. */
@Controller
class ConditionController {

    private static final int LONGEST_WORDS = 300;

    private final Conditions conditions;
    private final Households households;

    ConditionController(Conditions conditions, Households households) {
        this.conditions = conditions;
        this.households = households;
    }

    /** The answer as typed: DEALT_WITH or NOT_SO, and how. */
    record AnswerForm(@Nullable UUID key, @Nullable String answer, @Nullable String words) {}

    @GetMapping("/conditions/{id}")
    String page(@PathVariable UUID id, Model model) {
        return show(model, conditions.find(id), new AnswerForm(UUID.randomUUID(), "", ""), fields());
    }

    @PostMapping("/conditions/{id}/answer")
    String answer(@PathVariable UUID id, AnswerForm form, Reply reply) {
        Told told = conditions.find(id);
        Fields fields = fields();
        Optional<String> words = fields.words("words", form.words(), LONGEST_WORDS);
        String leadsTo = told.subject().page();
        return reply.answer(
                new FormSent("a-", form.key(), fields, leadsTo), () -> show(reply.model(), told, form, fields), () -> {
                    conditions.answer(id, "DEALT_WITH".equals(form.answer()), words.orElseThrow());
                    return new Done(leadsTo, what(told) + " is answered.", "/conditions/%s/undo".formatted(id));
                });
    }

    @PostMapping("/conditions/{id}/undo")
    String undo(@PathVariable UUID id, Reply reply) {
        String leadsTo = conditions.find(id).subject().page();
        return reply.tap(leadsTo, () -> new Done(leadsTo, what(conditions.reopen(id)) + " is open again."));
    }

    private static String what(Told told) {
        return "%s: %s".formatted(told.subject().name(), told.kind().word());
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
