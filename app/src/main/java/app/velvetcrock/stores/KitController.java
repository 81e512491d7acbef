package app.velvetcrock.stores;

import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.kit.KitKind;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
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

/** Kit: what heats, measures and presses; and the jars beside it. */
@Controller
class KitController {

    private static final int LONGEST_SETTINGS = 200;

    private final KitShelf kit;
    private final Jars jars;
    private final Households households;
    private final OneTime oneTime;

    KitController(KitShelf kit, Jars jars, Households households, OneTime oneTime) {
        this.kit = kit;
        this.jars = jars;
        this.households = households;
        this.oneTime = oneTime;
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
    String add(KitForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Fields fields = new Fields(households.current().reader());
        Optional<KitShelf.NewKit> piece = form.read(fields);
        if (piece.isEmpty()) {
            response.setStatus(422);
            return page(model, form, fields);
        }
        String id = oneTime.once(Current.stillroom(), form.key(), () -> String.valueOf(kit.add(piece.get())));
        after.addFlashAttribute(
                Notice.NAME,
                new Notice(piece.get().name() + " is in the stores.", "/stores/kit/%s/undo".formatted(id)));
        return "redirect:/stores/kit";
    }

    @PostMapping("/stores/kit/{id}/undo")
    String remove(@PathVariable UUID id, @Nullable String back, RedirectAttributes after) {
        boolean removed = back == null;
        kit.remove(id, removed);
        after.addFlashAttribute(
                Notice.NAME,
                new Notice(
                        removed ? "It was taken out of the kit." : "It is back.",
                        removed ? "/stores/kit/%s/undo?back=yes".formatted(id) : null));
        return "redirect:/stores/kit";
    }

    private String page(Model model, KitForm typed, Fields fields) {
        model.addAttribute("kit", kit.all());
        model.addAttribute("jars", jars.all());
        model.addAttribute("typed", typed);
        model.addAttribute("fields", fields);
        model.addAttribute("none", new Fields(House.usual().reader()));
        model.addAttribute("kinds", KitKind.values());
        return "stores/kit";
    }
}
