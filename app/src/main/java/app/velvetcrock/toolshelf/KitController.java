package app.velvetcrock.toolshelf;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.heat.SourceCurve;
import app.velvetcrock.core.heat.SourceLearned;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.kit.KitKind;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.kit.SourceCurves;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
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

/** Kit: what heats, measures and presses; and the jars beside it. */
@Controller
class KitController {

    private static final int LONGEST_SETTINGS = 200;

    private final KitShelf kit;
    private final SourceCurves curves;
    private final Jars jars;
    private final Batches batches;
    private final Households households;

    KitController(KitShelf kit, SourceCurves curves, Jars jars, Batches batches, Households households) {
        this.batches = batches;
        this.kit = kit;
        this.curves = curves;
        this.jars = jars;
        this.households = households;
    }

    /** A piece of kit as typed. */
    record KitForm(
            @Nullable UUID key,
            @Nullable String kind,
            @Nullable String name,
            @Nullable String capacity,
            @Nullable String width,
            @Nullable String settings,
            @Nullable String pieces) {

        static KitForm empty() {
            return new KitForm(null, "POT", "", "", "", "", "1");
        }

        Optional<KitShelf.NewKit> read(Fields fields) {
            Optional<KitKind> what = fields.oneOf("kind", KitKind.class, kind);
            Optional<String> called = fields.words("name", name, 80);
            Optional<Volume> holds = capacity == null || capacity.isBlank()
                    ? Optional.empty()
                    : fields.capacity("capacity", capacity, 10, 50_000);
            Optional<Length> across =
                    width == null || width.isBlank() ? Optional.empty() : fields.length("width", width, 20, 800);
            Optional<String> words = fields.optionalWords("settings", settings, LONGEST_SETTINGS);
            Optional<Integer> many = fields.whole("pieces", pieces, 1, 1000, "pieces");
            return fields.isClear()
                    ? Optional.of(new KitShelf.NewKit(
                            what.orElseThrow(),
                            called.orElseThrow(),
                            holds,
                            across,
                            words.orElseThrow(),
                            many.orElseThrow()))
                    : Optional.empty();
        }
    }

    @GetMapping("/stores/kit")
    String kit(Model model) {
        return page(model, KitForm.empty(), new Fields(households.current().reader()));
    }

    @PostMapping("/stores/kit")
    String add(KitForm form, Reply reply) {
        Fields fields = new Fields(households.current().reader());
        Optional<KitShelf.NewKit> piece = form.read(fields);
        return reply.answer(
                new FormSent("i-", form.key(), fields, "/stores/kit"),
                () -> page(reply.model(), form, fields),
                () -> new Done(
                        "/stores/kit",
                        piece.orElseThrow().name() + " is in the stores.",
                        "/stores/kit/%s/undo".formatted(kit.add(piece.get()))));
    }

    @PostMapping("/stores/kit/{id}/undo")
    String remove(@PathVariable UUID id, @Nullable String back, Reply reply) {
        boolean removed = back == null;
        return reply.tap("/stores/kit", () -> {
            kit.remove(id, removed);
            return removed
                    ? new Done(
                            "/stores/kit", "It was taken out of the kit.", "/stores/kit/%s/undo?back=yes".formatted(id))
                    : new Done("/stores/kit", "It is back.");
        });
    }

    private String page(Model model, KitForm typed, Fields fields) {
        House house = households.current();
        Map<UUID, List<SourceCurve>> shown = curves.all();
        model.addAttribute(
                "kit",
                kit.all().stream()
                        .map(piece -> KitBoard.piece(
                                piece,
                                SourceLearned.of(shown.getOrDefault(piece.id(), List.of()), Optional.empty()),
                                house))
                        .toList());
        model.addAttribute("board", KitBoard.of(jars.all(), kit.pots(), batches.standing(), house));
        model.addAttribute("typed", typed);
        model.addAttribute("fields", fields);
        model.addAttribute("kinds", KitKind.values());
        return "stores/kit";
    }
}
