package app.velvetcrock.book;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.book.Twins;
import app.velvetcrock.core.book.Twins.Cup;
import app.velvetcrock.core.book.Twins.Question;
import app.velvetcrock.core.book.Twins.Sense;
import app.velvetcrock.learned.TwinPairs;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Twins: two jars of one charge that differ in one thing, judged blind, then opened. */
@Controller
class TwinController {

    static final String PLACE = "/book/twins";
    private static final String TOLD = "These two are no twins: ";

    private final TwinPairs twins;
    private final Batches batches;
    private final TwinPages pages;
    private final Households households;

    TwinController(TwinPairs twins, Batches batches, TwinPages pages, Households households) {
        this.twins = twins;
        this.batches = batches;
        this.pages = pages;
        this.households = households;
    }

    /** What was said of the cups, as sent. */
    record CupsForm(@Nullable UUID key, @Nullable String smell, @Nullable String colour, @Nullable String feel) {

        private Map<Sense, Cup> read(Fields fields) {
            Map<Sense, Cup> cups = new EnumMap<>(Sense.class);
            fields.oneOf("smell", Cup.class, smell).ifPresent(cup -> cups.put(Sense.SMELL, cup));
            fields.oneOf("colour", Cup.class, colour).ifPresent(cup -> cups.put(Sense.COLOUR, cup));
            fields.oneOf("feel", Cup.class, feel).ifPresent(cup -> cups.put(Sense.FEEL, cup));
            return cups;
        }
    }

    @GetMapping(PLACE)
    String list(Model model) {
        return list(model, fields());
    }

    private String list(Model model, Fields fields) {
        List<TwinPairs.Pair> all = twins.all();
        model.addAttribute("fields", fields);
        model.addAttribute("pairs", pages.rows(all));
        model.addAttribute("together", pages.together(all));
        model.addAttribute("offers", pages.offers(all));
        return "book/twins";
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    /** Keeps two as twins, by what they differ in. */
    @PostMapping(PLACE)
    String keep(@Nullable UUID key, @Nullable UUID one, @Nullable UUID other, Reply reply) {
        Fields fields = fields();
        return reply.answer(
                new FormSent("t-", key == null ? UUID.randomUUID() : key, fields, PLACE),
                () -> list(reply.model(), fields),
                () -> {
                    BatchSheet first = batches.sheet(required(one));
                    BatchSheet second = batches.sheet(required(other));
                    Twins.Pair pair = pages.asked(first, second);
                    Question question = pair.question().orElseThrow(() -> new Refused(TOLD + pair.why() + "."));
                    UUID id = pair.firstIsOne()
                            ? twins.keep(question, first.id(), second.id())
                            : twins.keep(question, second.id(), first.id());
                    return new Done(
                            PLACE + "/" + id,
                            "Batches %d and %d are twins. %s"
                                    .formatted(first.number(), second.number(), question.asked()),
                            PLACE + "/" + id + "/drop");
                });
    }

    private static UUID required(@Nullable UUID batch) {
        return Optional.ofNullable(batch).orElseThrow(() -> new NotHere("that batch"));
    }

    @GetMapping(PLACE + "/{twin}")
    String pair(@PathVariable UUID twin, Model model) {
        return show(model, twin, fields(), new CupsForm(null, "", "", ""));
    }

    private String show(Model model, UUID id, Fields fields, CupsForm form) {
        model.addAttribute("fields", fields);
        model.addAttribute("form", form);
        model.addAttribute("senses", List.of(Sense.values()));
        model.addAttribute("cups", List.of(Cup.values()));
        model.addAttribute("page", pages.page(twins.find(id)));
        return "book/twin";
    }

    /** What is said of the cups, before anybody turns them over. */
    @PostMapping(PLACE + "/{twin}/judge")
    String judge(@PathVariable UUID twin, CupsForm form, Reply reply) {
        TwinPairs.Pair pair = twins.find(twin);
        Fields fields = fields();
        Map<Sense, Cup> cups = form.read(fields);
        String page = PLACE + "/" + twin;
        return reply.answer(
                new FormSent("j-", form.key() == null ? UUID.randomUUID() : form.key(), fields, page),
                () -> show(reply.model(), twin, fields, form),
                () -> {
                    pages.hindrance(pair).ifPresent(why -> {
                        throw new Refused(why);
                    });
                    twins.judge(twin, cups);
                    return new Done(page, "Written down. Now turn the cups over.", page + "/forget");
                });
    }

    /** Which cup was whose. */
    @PostMapping(PLACE + "/{twin}/open")
    String open(@PathVariable UUID twin, @Nullable UUID left, Reply reply) {
        TwinPairs.Pair pair = twins.find(twin);
        String page = PLACE + "/" + twin;
        return reply.tap(page, () -> {
            if (left == null || !pair.isOf(left)) {
                throw new Refused("Say which of the two stood on the left.");
            }
            twins.open(twin, left.equals(pair.first()));
            return new Done(page, "Opened.", page + "/forget");
        });
    }

    @PostMapping(PLACE + "/{twin}/forget")
    String forget(@PathVariable UUID twin, Reply reply) {
        twins.find(twin);
        String page = PLACE + "/" + twin;
        return reply.tap(page, () -> {
            twins.forget(twin);
            return new Done(page, "What was said of the cups is taken back.");
        });
    }

    @PostMapping(PLACE + "/{twin}/drop")
    String drop(@PathVariable UUID twin, @Nullable String back, Reply reply) {
        return reply.tap(PLACE, () -> {
            twins.drop(twin, back == null);
            return back == null
                    ? new Done(PLACE, "They are twins no more.", PLACE + "/" + twin + "/drop?back=yes")
                    : new Done(PLACE + "/" + twin, "They are twins again.");
        });
    }
}
