package app.velvetcrock.label;

import app.velvetcrock.catalogue.AllowedWords;
import app.velvetcrock.labelled.LotWords;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import com.google.re2j.Pattern;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Words of the household's own on a label, changed beside it; and which of the marked ones its rules allow. */
@Controller
class WordsController {

    /** The queue one came from, and nothing that leads anywhere else. */
    private static final Pattern QUEUE = Pattern.compile("/labels(?:\\?[A-Za-z0-9%=&+._~-]*)?");

    private static final int LONGEST = 9_000;
    private static final int LONGEST_STEM = 40;

    private final LotWords words;
    private final AllowedWords allowed;
    private final Stores stores;
    private final Households households;

    WordsController(LotWords words, AllowedWords allowed, Stores stores, Households households) {
        this.words = words;
        this.allowed = allowed;
        this.stores = stores;
        this.households = households;
    }

    /** Words as typed; {@code back} the queue they are changed in. */
    record WordsForm(@Nullable UUID key, @Nullable String title, @Nullable String words, @Nullable String back) {

        String queue() {
            return back != null && back.length() <= LONGEST && QUEUE.matches(back) ? back : LabelController.PLACE;
        }
    }

    @PostMapping("/labels/words/{lot}")
    String words(@PathVariable UUID lot, WordsForm form, Reply reply) {
        String name = stores.lot(lot).name();
        LotWords.Own before = words.of(lot);
        Fields fields = new Fields(households.current().reader());
        Optional<String> title = fields.optionalWords("title", form.title(), LotWords.LONGEST_TITLE);
        Optional<String> own = fields.optionalWords("words", form.words(), LotWords.LONGEST);
        if (!fields.isClear()) {
            return reply.tap(form.queue(), () -> {
                throw new Refused("At most %d signs go into the name, and %d into the line."
                        .formatted(LotWords.LONGEST_TITLE, LotWords.LONGEST));
            });
        }
        return reply.answer(
                new FormSent("w-", form.key() == null ? UUID.randomUUID() : form.key(), fields, form.queue()),
                () -> "redirect:" + form.queue(),
                () -> {
                    String called = title.filter(said -> !said.equals(name)).orElse("");
                    words.put(lot, new LotWords.Own(called, own.orElse("")));
                    return new Done(
                            form.queue(),
                            before.equals(new LotWords.Own(called, own.orElse("")))
                                    ? "It says so already."
                                    : "The label says it so.");
                });
    }

    /** "The rules where I live allow it", or not after all. */
    @PostMapping("/labels/words/{lot}/allow")
    String allow(@PathVariable UUID lot, @Nullable String stem, WordsForm form, Reply reply) {
        stores.lot(lot);
        return reply.tap(form.queue(), () -> {
            String word = stem == null ? "" : stem.strip();
            if (word.isEmpty() || word.length() > LONGEST_STEM) {
                throw new Refused("It is not said which word.");
            }
            allowed.allow(word, true);
            return new Done(
                    form.queue(),
                    "Your rules allow “%s”: it is no longer marked.".formatted(word),
                    "/cupboard/goods/%s/words?back=yes&stem=%s".formatted(lot, word));
        });
    }
}
