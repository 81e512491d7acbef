package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The form that changes a standing batch's plan, with its reason. */
@Controller
class PlanChangeController {

    private static final int LONGEST_REASON = 200;

    private final Batches batches;
    private final Deeds deeds;
    private final Clock clock;
    private final BatchPage page;
    private final Households households;

    PlanChangeController(Batches batches, Deeds deeds, BatchPage page, Households households, Clock clock) {
        this.batches = batches;
        this.deeds = deeds;
        this.clock = clock;
        this.page = page;
        this.households = households;
    }

    /** The change as typed. */
    record ChangeForm(
            @Nullable UUID key, @Nullable String length, @Nullable String strainFrom, @Nullable String reason) {}

    @PostMapping("/batch/{id}/plan")
    String change(@PathVariable UUID id, ChangeForm form, Reply reply) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        BatchSheet sheet = batches.sheet(id);
        Instant now = clock.instant();
        Optional<Deed.ChangePlan> change = read(form, sheet.course(), fields, house, now);
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        reply.model().addAttribute("change", form);
        return reply.answer(
                new FormSent("p-", key, fields, "/batch/" + id),
                () -> page.show(reply.model(), sheet, new Sent<>("plan", fields, TendForm.empty(), TendForm.empty())),
                () -> {
                    deeds.done(
                            id,
                            Current.doing(
                                    change.orElseThrow(),
                                    key,
                                    now,
                                    change.orElseThrow().reason()));
                    return new Done("/batch/" + id, "The plan is changed; the one before is kept with the reason.");
                });
    }

    private static Optional<Deed.ChangePlan> read(
            ChangeForm form, Course course, Fields fields, House house, Instant now) {
        Optional<Integer> length =
                length(form.length(), course.stage(), fields).filter(count -> count != course.length());
        Optional<Instant> from = fields.moment("strainFrom", form.strainFrom(), house.future(now))
                .map(at -> at.atZone(house.settings().zone()).toInstant());
        Optional<String> reason = fields.words("reason", form.reason(), LONGEST_REASON);
        if (fields.isClear() && length.isEmpty() && from.isEmpty()) {
            fields.trouble("length", "Nothing is changed here.", "another length, or a day for the straining");
        }
        return fields.isClear()
                ? Optional.of(new Deed.ChangePlan(length, from, reason.orElseThrow()))
                : Optional.empty();
    }

    private static Optional<Integer> length(@Nullable String typed, Stage stage, Fields fields) {
        String text = typed == null ? "" : typed.strip();
        if (text.isEmpty()) {
            return Optional.empty();
        }
        if (fields.isTooLong("length", typed, Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        return fields.amount(
                        "length",
                        Linear.matches(text, "\\d+") ? text + " " + stage.pace().many() : text,
                        Expect.TIME)
                .map(read -> (int) Math.round(((TimeSpan) read.amount().middle()).minutes()
                        / stage.pace().minutes()))
                .filter(count -> {
                    boolean sensible = count >= stage.least() && count <= stage.most();
                    if (!sensible) {
                        fields.trouble(
                                "length",
                                "Understood as %s; this stage takes between %d and %s."
                                        .formatted(
                                                stage.pace().words(count),
                                                stage.least(),
                                                stage.pace().words(stage.most())),
                                stage.pace().words(stage.usual()));
                    }
                    return sensible;
                });
    }
}
