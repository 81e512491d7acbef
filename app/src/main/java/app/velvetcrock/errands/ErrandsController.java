package app.velvetcrock.errands;

import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The list to buy by, in the Stores. */
@Controller
class ErrandsController {

    private static final String HERE = "/stores/to-buy";
    private static final int LONGEST = 120;

    /** So many lines an address carries. */
    private static final int ONE_LIST = 20;

    private final Errands errands;
    private final Households households;

    ErrandsController(Errands errands, Households households) {
        this.errands = errands;
        this.households = households;
    }

    /** A thing as it stands on the list. */
    record Row(UUID id, String words, String because, String small, boolean got) {}

    /** What is to be bought for one reason. */
    record Slip(String head, List<Row> rows) {}

    /** What is put on by hand. */
    record Typed(@Nullable UUID key, @Nullable String words) {}

    @GetMapping("/stores/to-buy")
    String list(Model model) {
        return page(model, Sent.nothing(fields(), new Typed(null, "")));
    }

    private String page(Model model, Sent<Typed> sent) {
        House house = households.current();
        List<Row> rows = errands.list().stream()
                .map(one -> new Row(
                        one.id(),
                        one.words(),
                        one.because(),
                        one.got() == null
                                ? "since " + house.shortDay(house.dayOf(one.added()))
                                : "got " + house.shortDay(house.dayOf(one.got())),
                        one.got() != null))
                .toList();
        Map<String, List<Row>> byReason = rows.stream()
                .filter(row -> !row.got())
                .collect(Collectors.groupingBy(Row::because, LinkedHashMap::new, Collectors.toList()));
        model.addAttribute(
                "open",
                byReason.entrySet().stream()
                        .map(one ->
                                new Slip(one.getKey().isEmpty() ? "Besides" : "For " + one.getKey(), one.getValue()))
                        .toList());
        List<Row> got = rows.stream().filter(Row::got).toList();
        model.addAttribute("got", got);
        model.addAttribute(
                "gotText", got.stream().limit(ONE_LIST).map(Row::words).collect(Collectors.joining("\n")));
        model.addAttribute("sent", sent);
        return "stores/to-buy";
    }

    @PostMapping("/stores/to-buy")
    String add(Typed form, Reply reply) {
        Fields fields = fields();
        Optional<String> words = fields.words("words", form.words(), LONGEST);
        return reply.answer(
                new FormSent("e-", form.key(), fields, HERE),
                () -> page(reply.model(), new Sent<>("errand", fields, form, new Typed(null, ""))),
                () -> new Done(
                        HERE,
                        "%s is on the list.".formatted(words.orElseThrow()),
                        Errands.takenBack(errands.add(List.of(words.get()), ""))));
    }

    @PostMapping("/stores/to-buy/{id}/got")
    String got(@PathVariable UUID id, Reply reply) {
        return reply.tap(HERE, () -> {
            errands.got(id, true);
            return new Done(HERE, "Got: put it into the Stores too.", HERE + "/%s/not-got".formatted(id));
        });
    }

    @PostMapping("/stores/to-buy/{id}/not-got")
    String notGot(@PathVariable UUID id, Reply reply) {
        return reply.tap(HERE, () -> {
            errands.got(id, false);
            return new Done(HERE, "It is on the list again.");
        });
    }

    @PostMapping("/stores/to-buy/undo")
    String undo(@RequestParam(required = false) @Nullable List<UUID> id, Reply reply) {
        return reply.tap(HERE, () -> {
            errands.takeBack(id == null ? List.of() : id);
            return new Done(HERE, "Off the list again.");
        });
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }
}
