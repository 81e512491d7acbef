package app.velvetcrock.jot;

import app.velvetcrock.arrivals.Lists;
import app.velvetcrock.core.jot.JotReader;
import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
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
    private final JotWriting writing;
    private final JotBack back;
    private final Lists lists;
    private final Households households;
    private final Clock clock;

    JotController(JotDesk desk, JotWriting writing, JotBack back, Lists lists, Households households, Clock clock) {
        this.desk = desk;
        this.writing = writing;
        this.back = back;
        this.lists = lists;
        this.households = households;
        this.clock = clock;
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
                () -> writing.write(new JotWriting.Sent(typed, once, clock.instant(), leadsTo), read));
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
}
