package app.velvetcrock.jot;

import app.velvetcrock.arrivals.Lists;
import app.velvetcrock.core.jot.JotReader;
import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
    private final JotWork work;
    private final JotBack back;
    private final Lists lists;
    private final Households households;

    JotController(JotDesk desk, JotWork work, JotBack back, Lists lists, Households households) {
        this.desk = desk;
        this.work = work;
        this.back = back;
        this.lists = lists;
        this.households = households;
    }

    @GetMapping(PLACE)
    String jot(
            @RequestParam(required = false) @Nullable String line,
            @RequestParam(required = false) @Nullable String part,
            Model model) {
        show(model, line, fields(), "");
        return "inner".equals(part) ? "jot/jot :: inner" : "jot/jot";
    }

    /** What was understood so far, while it is typed. */
    @GetMapping(PLACE + "/echo")
    String echo(@RequestParam(required = false) @Nullable String line, Model model) {
        show(model, line, fields(), "");
        return "jot/jot :: echo";
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private void show(Model model, @Nullable String line, Fields fields, String back) {
        model.addAttribute("back", back);
        String typed = line == null ? "" : line;
        model.addAttribute("line", typed);
        model.addAttribute("longest", JotReader.LONGEST);
        model.addAttribute("fields", fields);
        List<Thing> things = desk.things();
        JotReader reader = desk.reader(things);
        model.addAttribute(
                "echo",
                typed.isBlank() ? null : JotPage.of(typed, reader.read(typed), households.current(), lists::words));
        model.addAttribute("ahead", reader.completions(typed));
        model.addAttribute("examples", JotPage.examples(things));
    }

    /** Writes all of a line, or nothing of it. */
    @PostMapping(PLACE)
    String write(
            @RequestParam(required = false) @Nullable String line,
            @RequestParam(required = false) @Nullable String back,
            @Nullable UUID key,
            Reply reply) {
        String leadsTo = Reply.inside(back, PLACE);
        Fields fields = fields();
        String typed = line == null ? "" : line;
        UUID once = key == null ? UUID.randomUUID() : key;
        Jotted read = desk.reader(desk.things()).read(typed);
        if (!read.isClear()) {
            fields.trouble(
                    "line",
                    typed.isBlank()
                            ? "Nothing is written here yet."
                            : "Not all of it is understood: the words are marked below.",
                    "");
        }
        return reply.answer(
                new FormSent("", once, fields, PLACE),
                () -> {
                    show(reply.model(), typed, fields, leadsTo);
                    return "jot/jot";
                },
                () -> {
                    List<String> done = new ArrayList<>(work.arrive(read.arrived()).stream()
                            .map(one -> "did=" + one)
                            .toList());
                    for (Jotted.Said said : read.said()) {
                        for (JotWork.Step step : work.steps(said)) {
                            UUID own =
                                    UUID.nameUUIDFromBytes((once + "/" + done.size()).getBytes(StandardCharsets.UTF_8));
                            done.add("did=" + does(step, own, typed));
                        }
                    }
                    String words = JotPage.of(typed, read, households.current(), lists::words).said().stream()
                            .map(one -> "%s: %s".formatted(one.thing(), one.facts()))
                            .collect(Collectors.joining("; "));
                    return new Done(
                            leadsTo,
                            words + ".",
                            PLACE + "/undo?back=" + URLEncoder.encode(leadsTo, StandardCharsets.UTF_8) + "&"
                                    + String.join("&", done));
                });
    }

    /** What one line did is taken back by one tap, all of it or nothing. */
    @PostMapping(PLACE + "/undo")
    String undo(
            @RequestParam(required = false) @Nullable List<String> did,
            @RequestParam(name = "back", required = false) @Nullable String to,
            Reply reply) {
        String leadsTo = Reply.inside(to, PLACE);
        return reply.tap(leadsTo, () -> {
            back.all(did == null ? List.of() : did);
            return new Done(leadsTo, "Taken back, all that the line did.");
        });
    }

    /** What hangs on a field of a form hangs on the line here. */
    private static String does(JotWork.Step step, UUID key, String typed) {
        try {
            return step.done(key, typed);
        } catch (Refused refused) {
            throw Optional.of(refused.field())
                    .filter(field -> !field.isEmpty())
                    .map(field -> new Refused("line", refused.reason(), refused.instead()))
                    .orElse(refused);
        }
    }
}
