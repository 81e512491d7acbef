package app.velvetcrock.arrivals;

import app.velvetcrock.core.intake.Arriving;
import app.velvetcrock.core.intake.IntakeReader;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriUtils;

/** Stores by one list: typed or pasted, read line by line, shown as it was understood, put away with one tap. */
@Controller
class ArrivalsController {

    private static final String HERE = "/stores/list";

    /** What is left of a list is carried along in an address, which takes no more. */
    private static final int LONGEST_REST = 1_200;

    private final PutAway putAway;
    private final Lists lists;
    private final Households households;

    ArrivalsController(PutAway putAway, Lists lists, Households households) {
        this.putAway = putAway;
        this.lists = lists;
        this.households = households;
    }

    /** The list as typed; {@code away} where it was looked at, and is to be put away. */
    record ListForm(@Nullable UUID key, @Nullable String text, @Nullable String away) {}

    /** What was left of a list stands there again, read. */
    @GetMapping(HERE)
    String list(@RequestParam(required = false) @Nullable String text, Model model) {
        String rest = text == null || text.length() > LONGEST_REST ? "" : text;
        return show(model, rest, lists.read(rest), fields());
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private String show(Model model, String text, List<Arriving> read, Fields fields) {
        House house = households.current();
        List<ListRow> rows = read.stream().map(one -> ListRow.of(one, house)).toList();
        model.addAttribute("text", text);
        model.addAttribute("rows", rows);
        model.addAttribute("fields", fields);
        model.addAttribute("most", IntakeReader.LONGEST);
        model.addAttribute(
                "away",
                offer(
                        rows.stream().filter(row -> !row.what().isEmpty()).count(),
                        rows.stream().filter(row -> row.what().isEmpty()).count()));
        return "arrivals/list";
    }

    /** What one tap puts away; empty where nothing of it is clear. */
    private static String offer(long clear, long doubted) {
        if (clear == 0) {
            return "";
        }
        String these = clear == 1 ? "Put it away" : "Put these %d away".formatted(clear);
        return doubted == 0 ? these : these + (doubted == 1 ? "; one stays here" : "; %d stay here".formatted(doubted));
    }

    @PostMapping(HERE)
    String read(ListForm form, Reply reply) {
        String text = form.text() == null ? "" : form.text().strip();
        Fields fields = fields();
        if (text.isEmpty()) {
            fields.trouble("text", "Nothing is written here yet.", "45 g dried calendula heads");
        }
        List<Arriving> all = fields.isTooLong("text", text, IntakeReader.LONGEST) ? List.of() : lists.read(text);
        List<Arriving> clear =
                all.stream().filter(one -> !(one instanceof Arriving.Doubt)).toList();
        if (fields.isClear() && (form.away() == null || clear.isEmpty())) {
            return show(reply.model(), text, all, fields);
        }
        String rest = all.stream()
                .filter(Arriving.Doubt.class::isInstance)
                .map(Arriving::written)
                .collect(Collectors.joining("\n"));
        if (rest.length() > LONGEST_REST) {
            fields.trouble("text", "Too much of it is not clear yet to be left for later.", "what is asked beside it");
        }
        return reply.answer(
                new FormSent("", form.key(), fields, "/stores"), () -> show(reply.model(), text, all, fields), () -> {
                    PutAway.Put put = putAway.all(clear);
                    return new Done(
                            rest.isEmpty()
                                    ? "/stores"
                                    : HERE + "?text=" + UriUtils.encode(rest, StandardCharsets.UTF_8),
                            "%d put away.%s"
                                    .formatted(clear.size(), rest.isEmpty() ? "" : " The rest stands here still."),
                            undo(put));
                });
    }

    private static String undo(PutAway.Put put) {
        return HERE + "/undo?"
                + Stream.concat(
                                put.lots().stream().map(id -> "lot=" + id),
                                put.jars().stream().map(id -> "jar=" + id))
                        .collect(Collectors.joining("&"));
    }

    @PostMapping(HERE + "/undo")
    String undo(
            @RequestParam(required = false) @Nullable List<UUID> lot,
            @RequestParam(required = false) @Nullable List<UUID> jar,
            Reply reply) {
        return reply.tap("/stores", () -> {
            putAway.takeBack(new PutAway.Put(
                    Objects.requireNonNullElse(lot, List.of()), Objects.requireNonNullElse(jar, List.of())));
            return new Done("/stores", "What the list brought in is taken out again.");
        });
    }
}
