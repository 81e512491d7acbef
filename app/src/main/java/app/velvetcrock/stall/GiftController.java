package app.velvetcrock.stall;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.parting.GiftsAsked;
import app.velvetcrock.cupboard.ForHer;
import app.velvetcrock.parting.GiftLists;
import app.velvetcrock.parting.Parting;
import app.velvetcrock.parting.Person;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.util.UriUtils;

/** Gifts as a list: asked for in a sentence, warned of person by person, ticked off as they are given. */
@Controller
class GiftController {

    private static final String PLACE = "/cupboard/gifts";
    private static final int LONGEST = 300;
    private static final int LONGEST_NAME = 60;

    private final GiftLists gifts;
    private final Leavable leavable;
    private final ForHer forHer;
    private final Stores stores;
    private final Households households;
    private final Clock clock;

    GiftController(
            GiftLists gifts, Leavable leavable, ForHer forHer, Stores stores, Households households, Clock clock) {
        this.gifts = gifts;
        this.leavable = leavable;
        this.forHer = forHer;
        this.stores = stores;
        this.households = households;
        this.clock = clock;
    }

    /** A list, as typed. */
    record GiftForm(@Nullable UUID key, @Nullable String said, @Nullable String lot, @Nullable String who) {}

    /**
     * A gift, worded.
     *
     * @param against what speaks against giving it to her; {@code refused} whether that forbids it
     */
    record Row(
            UUID id,
            String who,
            String minded,
            String pieces,
            List<Caution> against,
            boolean refused,
            boolean given,
            boolean named) {}

    @GetMapping(PLACE)
    String lists(Model model) {
        return list(model, new GiftForm(null, "", "", ""), fields());
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private String list(Model model, GiftForm form, Fields fields) {
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        model.addAttribute("lists", gifts.all());
        return "stall/gifts";
    }

    @PostMapping(PLACE)
    String add(GiftForm form, Reply reply) {
        Fields fields = fields();
        Optional<String> said = fields.words("said", form.said(), LONGEST);
        GiftsAsked.Read read = said.map(GiftsAsked::read).orElse(new GiftsAsked.Read(Optional.empty(), ""));
        if (said.isPresent() && read.asked().isEmpty()) {
            fields.trouble("said", read.wrong(), "such as “seventeen people, a tin each; three without nuts”");
        }
        return reply.answer(
                new FormSent("g-", key(form), fields, PLACE), () -> list(reply.model(), form, fields), () -> {
                    UUID list = gifts.add(said.orElseThrow(), read.asked().orElseThrow());
                    return new Done(
                            PLACE + "/" + list,
                            "A list of %d.".formatted(read.asked().orElseThrow().people()),
                            "%s/%s/drop".formatted(PLACE, list));
                });
    }

    private static UUID key(GiftForm form) {
        return form.key() == null ? UUID.randomUUID() : form.key();
    }

    @GetMapping(PLACE + "/{list}")
    String one(@PathVariable UUID list, Model model) {
        return show(model, list, fields());
    }

    private String show(Model model, UUID id, Fields fields) {
        GiftLists.GiftList list = gifts.find(id);
        List<GiftLists.Gift> all = gifts.gifts(id);
        List<List<Caution>> against = list.lot()
                .map(lot -> forHer.against(all.stream().map(GiftLists.Gift::who).toList(), lot))
                .orElse(Collections.nCopies(all.size(), List.of()));
        List<Row> rows = IntStream.range(0, all.size())
                .mapToObj(at -> row(all.get(at), against.get(at)))
                .toList();
        int wanted = all.stream()
                .filter(gift -> !gift.isGiven())
                .mapToInt(GiftLists.Gift::pieces)
                .sum();
        List<Leavable.One> there = leavable.all();
        long left = list.lot()
                .flatMap(lot ->
                        there.stream().filter(one -> one.lot().equals(lot)).findFirst())
                .map(Leavable.One::left)
                .orElse(0L);
        model.addAttribute("fields", fields);
        model.addAttribute("list", list);
        model.addAttribute("rows", rows);
        model.addAttribute("things", there.stream().map(Leavable.One::option).toList());
        model.addAttribute("chosen", list.lot().map(UUID::toString).orElse(""));
        model.addAttribute("what", list.lot().map(lot -> stores.lot(lot).name()).orElse(""));
        model.addAttribute(
                "count",
                "%d of %d given%s"
                        .formatted(
                                rows.stream().filter(Row::given).count(),
                                rows.size(),
                                wanted == 0
                                        ? ""
                                        : list.lot().isEmpty()
                                                ? "; %d still to be found".formatted(wanted)
                                                : left >= wanted
                                                        ? "; %d more to give, %d there".formatted(wanted, left)
                                                        : "; %d more to give, %d there: %d are missing"
                                                                .formatted(wanted, left, wanted - left)));
        long missing = wanted - left;
        model.addAttribute("wish", missing > 0 ? wish(missing) : "");
        return "stall/gift-list";
    }

    /** The sentence that makes what is missing. */
    private static String wish(long missing) {
        return "/wish?what=a+salve&much=" + UriUtils.encode("%d tins".formatted(missing), StandardCharsets.UTF_8);
    }

    private static Row row(GiftLists.Gift gift, List<Caution> against) {
        return new Row(
                gift.id(),
                gift.person().map(Person::nickname).orElse("not named yet"),
                Person.minded(gift.who()),
                gift.pieces() == 1 ? "" : gift.pieces() + " ×",
                against,
                against.stream().anyMatch(caution -> caution.level() == Level.REFUSE),
                gift.isGiven(),
                gift.person().isPresent());
    }

    @PostMapping(PLACE + "/{list}/of")
    String of(@PathVariable UUID list, GiftForm form, Reply reply) {
        gifts.find(list);
        Fields fields = fields();
        Optional<UUID> lot = leavable.all().stream()
                .filter(one -> one.lot().toString().equals(form.lot()))
                .map(Leavable.One::lot)
                .findFirst();
        if (lot.isEmpty()) {
            fields.trouble("lot", "It is not said of what.", "one of what there is");
        }
        return reply.answer(
                new FormSent("o-", key(form), fields, PLACE + "/" + list),
                () -> show(reply.model(), list, fields),
                () -> {
                    gifts.of(list, lot.orElseThrow());
                    return new Done(
                            PLACE + "/" + list,
                            "Counted from %s."
                                    .formatted(stores.lot(lot.orElseThrow()).name()));
                });
    }

    @PostMapping(PLACE + "/{list}/{gift}/name")
    String name(@PathVariable UUID list, @PathVariable UUID gift, GiftForm form, Reply reply) {
        gifts.find(list);
        Fields fields = fields();
        Optional<String> who = fields.words("who", form.who(), LONGEST_NAME);
        return reply.answer(
                new FormSent("w-", key(form), fields, PLACE + "/" + list),
                () -> show(reply.model(), list, fields),
                () -> {
                    gifts.name(list, gift, who.orElseThrow());
                    return new Done(PLACE + "/" + list, "It is for %s.".formatted(who.orElseThrow()));
                });
    }

    @PostMapping(PLACE + "/{list}/{gift}/give")
    String give(@PathVariable UUID list, @PathVariable UUID gift, @Nullable UUID key, Reply reply) {
        GiftLists.GiftList of = gifts.find(list);
        String page = PLACE + "/" + list;
        return reply.answer(
                new FormSent("t-", key == null ? UUID.randomUUID() : key, fields(), page),
                () -> show(reply.model(), list, fields()),
                () -> {
                    UUID lot = of.lot().orElseThrow(() -> new Refused("It is not said yet of what: choose it above."));
                    GiftLists.Gift one = gift(list, gift);
                    forHer.refuse(one.who(), one.person().map(Person::nickname).orElse("this one"), lot, false);
                    gifts.give(
                            list,
                            gift,
                            lot,
                            new Parting.Once(key == null ? UUID.randomUUID() : key, clock.instant(), ""));
                    return new Done(page, "Given.", "%s/%s/undo".formatted(page, gift));
                });
    }

    private GiftLists.Gift gift(UUID list, UUID gift) {
        return gifts.gifts(list).stream()
                .filter(one -> one.id().equals(gift))
                .findFirst()
                .orElseThrow(() -> new NotHere("that gift"));
    }

    @PostMapping(PLACE + "/{list}/{gift}/undo")
    String undo(@PathVariable UUID list, @PathVariable UUID gift, Reply reply) {
        GiftLists.GiftList of = gifts.find(list);
        gift(list, gift);
        String page = PLACE + "/" + list;
        return reply.tap(page, () -> {
            gifts.takeBack(list, gift);
            return new Done(
                    page, "Taken back: it is there again%s.".formatted(of.lot().isPresent() ? "" : " to be given"));
        });
    }

    @PostMapping(PLACE + "/{list}/{gift}/drop")
    String drop(@PathVariable UUID list, @PathVariable UUID gift, @Nullable String back, Reply reply) {
        String page = PLACE + "/" + list;
        gifts.find(list);
        return reply.tap(page, () -> {
            gifts.drop(list, gift, back == null);
            return back == null
                    ? new Done(page, "One less.", "%s/%s/drop?back=yes".formatted(page, gift))
                    : new Done(page, "It is there again.");
        });
    }

    @PostMapping(PLACE + "/{list}/drop")
    String dropList(@PathVariable UUID list, @Nullable String back, Reply reply) {
        return reply.tap(PLACE, () -> {
            gifts.dropList(list, back == null);
            return back == null
                    ? new Done(
                            PLACE,
                            "The list is put away; what was given stays given.",
                            "%s/%s/drop?back=yes".formatted(PLACE, list))
                    : new Done(PLACE, "The list is there again.");
        });
    }
}
