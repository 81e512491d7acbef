package app.velvetcrock.jot;

import app.velvetcrock.batch.Deeds;
import app.velvetcrock.core.jot.JotReader;
import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.core.jot.Thing;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Jot: one line of what was done. */
@Controller
class JotController {

    private static final String PLACE = "/jot";

    private final JotDesk desk;
    private final Deeds deeds;
    private final Households households;

    JotController(JotDesk desk, Deeds deeds, Households households) {
        this.desk = desk;
        this.deeds = deeds;
        this.households = households;
    }

    @GetMapping(PLACE)
    String jot(@RequestParam(required = false) @Nullable String line, Model model) {
        show(model, line, fields());
        return "jot/jot";
    }

    /** What was understood so far, while it is typed. */
    @GetMapping(PLACE + "/echo")
    String echo(@RequestParam(required = false) @Nullable String line, Model model) {
        show(model, line, fields());
        return "jot/jot :: echo";
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private void show(Model model, @Nullable String line, Fields fields) {
        String typed = line == null ? "" : line;
        model.addAttribute("line", typed);
        model.addAttribute("longest", JotReader.LONGEST);
        model.addAttribute("fields", fields);
        List<Thing> things = desk.things();
        model.addAttribute(
                "echo", typed.isBlank() ? null : JotPage.of(typed, desk.read(typed, things), households.current()));
        model.addAttribute("examples", JotPage.examples(things));
    }

    /** Writes all of a line, or nothing of it. */
    @PostMapping(PLACE)
    String write(@RequestParam(required = false) @Nullable String line, @Nullable UUID key, Reply reply) {
        Fields fields = fields();
        String typed = line == null ? "" : line;
        UUID once = key == null ? UUID.randomUUID() : key;
        Jotted read = desk.read(typed, desk.things());
        boolean elsewhere =
                read.said().stream().anyMatch(one -> JotDesk.elsewhere(one).isPresent());
        if (!read.isClear() || elsewhere) {
            fields.trouble(
                    "line",
                    typed.isBlank()
                            ? "Nothing is written here yet."
                            : elsewhere && read.isClear()
                                    ? "Part of this is done on a page of its own: it is linked below."
                                    : "Not all of it is understood: the words are marked below.",
                    "");
        }
        return reply.answer(
                new FormSent("", once, fields, PLACE),
                () -> {
                    show(reply.model(), typed, fields);
                    return "jot/jot";
                },
                () -> {
                    List<String> entries = new ArrayList<>();
                    for (Jotted.Said said : read.said()) {
                        for (Supplier<JotDesk.Of> next : desk.deeds(said)) {
                            JotDesk.Of one = next.get();
                            UUID own = UUID.nameUUIDFromBytes(
                                    (once + "/" + entries.size()).getBytes(StandardCharsets.UTF_8));
                            entries.add("entry=%s.%s".formatted(one.batch(), deed(one, own, typed)));
                        }
                    }
                    String words = JotPage.of(typed, read, households.current()).said().stream()
                            .map(one -> "%s: %s".formatted(one.thing(), one.facts()))
                            .collect(Collectors.joining("; "));
                    return new Done(PLACE, words + ".", "/round/undo?back=jot&" + String.join("&", entries));
                });
    }

    /** What hangs on a field of a form hangs on the line here. */
    private UUID deed(JotDesk.Of one, UUID key, String typed) {
        try {
            return deeds.done(one.batch(), Current.doing(one.deed(), key, one.at(), typed));
        } catch (Refused refused) {
            throw Optional.of(refused.field())
                    .filter(field -> !field.isEmpty())
                    .map(field -> new Refused("line", refused.reason(), refused.instead()))
                    .orElse(refused);
        }
    }
}
