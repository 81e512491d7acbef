package app.velvetcrock.tend;

import app.velvetcrock.batch.Deeds;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.melt.PanDeeds;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.deeds.StoreDeeds;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.time.Clock;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/**
 * Answers a condition by hand: dealt with, or it was not so. Of a batch or an oil that is a line of the log. Throwing out is done
 * where the thing is.
 */
@Controller
class ConditionController {

    private static final int LONGEST_WORDS = 300;

    private final Conditions conditions;
    private final Deeds deeds;
    private final Makings makings;
    private final PanDeeds pan;
    private final StoreDeeds stores;
    private final Households households;
    private final Clock clock;

    ConditionController(
            Conditions conditions,
            Deeds deeds,
            Makings makings,
            PanDeeds pan,
            StoreDeeds stores,
            Households households,
            Clock clock) {
        this.conditions = conditions;
        this.deeds = deeds;
        this.makings = makings;
        this.pan = pan;
        this.stores = stores;
        this.households = households;
        this.clock = clock;
    }

    /** The answer as typed: DEALT_WITH or NOT_SO, how it is known, and when. */
    record AnswerForm(@Nullable UUID key, @Nullable String answer, @Nullable String words, @Nullable String when) {}

    @GetMapping("/conditions/{id}")
    String page(@PathVariable UUID id, Model model) {
        return show(model, conditions.find(id), new AnswerForm(UUID.randomUUID(), "", "", ""), fields());
    }

    @PostMapping("/conditions/{id}/answer")
    String answer(@PathVariable UUID id, AnswerForm form, Reply reply) {
        Told told = conditions.find(id);
        Fields fields = fields();
        Optional<String> words = fields.words("words", form.words(), LONGEST_WORDS);
        Instant at = when(form, told, fields);
        boolean dealtWith = "DEALT_WITH".equals(form.answer());
        String leadsTo = told.subject().page();
        return reply.answer(
                new FormSent("a-", form.key(), fields, leadsTo), () -> show(reply.model(), told, form, fields), () -> {
                    write(told, dealtWith, new Finding(at, null, words.orElseThrow()), form.key());
                    return new Done(leadsTo, what(told) + " is answered.", "/conditions/%s/undo".formatted(id));
                });
    }

    private void write(Told told, boolean dealtWith, Finding said, @Nullable UUID key) {
        UUID batch = told.subject().batch();
        if (batch == null) {
            stores.done(Current.doing(
                    new StoreDeed.Answer(
                            Objects.requireNonNull(told.subject().lot()),
                            told.id(),
                            told.kind(),
                            dealtWith,
                            said.words()),
                    Objects.requireNonNullElseGet(key, UUID::randomUUID),
                    said.at(),
                    said.words()));
            return;
        }
        Deed.Answer answer = new Deed.Answer(
                told.id(),
                told.kind(),
                dealtWith,
                said.words(),
                Optional.ofNullable(told.subject().lot()));
        UUID once = Objects.requireNonNullElseGet(key, UUID::randomUUID);
        if (makings.isMaking(batch)) {
            pan.done(batch, Current.doing(new PanDeed.Answer(answer), once, said.at(), said.words()));
        } else {
            deeds.done(batch, Current.doing(answer, once, said.at(), said.words()));
        }
    }

    /** Nothing is answered before it was found, nor later than now. */
    private Instant when(AnswerForm form, Told told, Fields fields) {
        House house = households.current();
        Instant now = clock.instant();
        return fields.moment("when", form.when(), house.past(now))
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .filter(at -> {
                    boolean between = !May.isToCome(at, now) && !at.isBefore(told.foundAt());
                    if (!between) {
                        fields.trouble(
                                "when",
                                "Understood %s; it lies between the finding, %s, and now."
                                        .formatted(house.moment(at), house.moment(told.foundAt())),
                                "a time in between, or leave it empty for now");
                    }
                    return between;
                })
                .orElse(now);
    }

    @PostMapping("/conditions/{id}/undo")
    String undo(@PathVariable UUID id, Reply reply) {
        Told told = conditions.find(id);
        String leadsTo = told.subject().page();
        return reply.tap(leadsTo, () -> {
            Told.Answered answered = told.answered();
            UUID batch = told.subject().batch();
            if (answered != null && answered.line().isPresent() && batch != null && makings.isMaking(batch)) {
                pan.done(
                        batch,
                        Current.doing(
                                new PanDeed.TakeBack(answered.line().get()), UUID.randomUUID(), clock.instant(), ""));
            } else if (answered != null
                    && answered.canTakeBack()
                    && answered.line().isPresent()) {
                deeds.done(
                        Objects.requireNonNull(told.subject().batch()),
                        Current.doing(
                                new Deed.TakeBack(answered.line().get()), UUID.randomUUID(), clock.instant(), ""));
            } else {
                conditions.reopen(id);
            }
            return new Done(leadsTo, what(told) + " is open again.");
        });
    }

    /** Ticks what a finding asked: somebody was told, a bottle was smelled. */
    @PostMapping("/conditions/asked/{id}")
    String asked(@PathVariable UUID id, Reply reply) {
        return reply.tap("/shelf", () -> {
            conditions.tick(id, true);
            return new Done("/shelf", "Ticked.", "/conditions/asked/%s/undo".formatted(id));
        });
    }

    @PostMapping("/conditions/asked/{id}/undo")
    String askedAgain(@PathVariable UUID id, Reply reply) {
        return reply.tap("/shelf", () -> {
            conditions.tick(id, false);
            return new Done("/shelf", "It is asked again.");
        });
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
