package app.velvetcrock.stall;

import app.velvetcrock.core.parting.Offer;
import app.velvetcrock.core.parting.StallTally;
import app.velvetcrock.parting.Leaving;
import app.velvetcrock.parting.Leavings;
import app.velvetcrock.parting.Parting;
import app.velvetcrock.parting.StallDays;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** A day at the stall: what was brought, sold by one tap a piece, given, opened, broken; the till, and what goes home. */
@Controller
class StallController {

    private static final String PLACE = "/cupboard/stall";
    private static final int MOST = 10_000;
    private static final int LONGEST = 80;

    private final StallDays days;
    private final StallBoards boards;
    private final Leavings leavings;
    private final Parting parting;
    private final Leavable leavable;
    private final Households households;
    private final Clock clock;

    StallController(
            StallDays days,
            StallBoards boards,
            Leavings leavings,
            Parting parting,
            Leavable leavable,
            Households households,
            Clock clock) {
        this.days = days;
        this.boards = boards;
        this.leavings = leavings;
        this.parting = parting;
        this.leavable = leavable;
        this.households = households;
        this.clock = clock;
    }

    /** All that is typed at a stall, whichever of its forms it is of. */
    record StallForm(
            @Nullable UUID key,
            @Nullable String name,
            @Nullable String day,
            @Nullable String begun,
            @Nullable String lot,
            @Nullable String brought,
            @Nullable String price,
            @Nullable String some,
            @Nullable String together,
            @Nullable String pieces,
            @Nullable String what,
            @Nullable String paid,
            @Nullable String card,
            @Nullable String when,
            @Nullable String counted,
            @Nullable String back) {

        static final StallForm EMPTY =
                new StallForm(null, "", "", "", "", "", "", "", "", "1", "", "", null, "", "", "");
    }

    @GetMapping(PLACE)
    String all(@Nullable String year, Model model) {
        return list(model, year(year), Sent.nothing(fields(), StallForm.EMPTY));
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    /** A year that is asked for, of those there can be. */
    private Optional<Integer> year(@Nullable String said) {
        return boards.years().stream()
                .filter(one -> String.valueOf(one).equals(said))
                .findFirst();
    }

    private String list(Model model, Optional<Integer> year, Sent<StallForm> sent) {
        model.addAttribute("sent", sent);
        model.addAttribute("days", days.all());
        model.addAttribute("years", boards.years());
        model.addAttribute("year", year.orElse(boards.years().get(0)));
        model.addAttribute("months", boards.months(year));
        return "stall/stalls";
    }

    @PostMapping(PLACE)
    String open(StallForm form, Reply reply) {
        House house = households.current();
        Fields fields = fields();
        Optional<String> name = fields.words("name", form.name(), LONGEST);
        Optional<LocalDate> day = blank(form.day())
                ? Optional.of(house.dayOf(clock.instant()))
                : fields.date("day", form.day(), house.future(clock.instant()));
        Optional<Long> begun =
                blank(form.begun()) ? Optional.of(0L) : fields.money("begun", form.begun(), house.money());
        return reply.answer(
                new FormSent("n-", key(form), fields, PLACE),
                () -> list(reply.model(), Optional.empty(), new Sent<>("open", fields, form, StallForm.EMPTY)),
                () -> {
                    UUID id = days.open(name.orElseThrow(), day.orElseThrow(), begun.orElse(0L));
                    return new Done(PLACE + "/" + id, "Now say what is brought.");
                });
    }

    private static boolean blank(@Nullable String typed) {
        return typed == null || typed.isBlank();
    }

    private static UUID key(StallForm form) {
        return form.key() == null ? UUID.randomUUID() : form.key();
    }

    @GetMapping(PLACE + "/{stall}")
    String one(@PathVariable UUID stall, Model model) {
        return show(model, stall, Sent.nothing(fields(), StallForm.EMPTY));
    }

    private String show(Model model, UUID stall, Sent<StallForm> sent) {
        model.addAttribute("sent", sent);
        model.addAttribute("board", boards.of(days.find(stall)));
        model.addAttribute(
                "things", leavable.all().stream().map(Leavable.One::option).toList());
        return "stall/stall";
    }

    /** Puts a thing on the stall. */
    @PostMapping(PLACE + "/{stall}/bring")
    String bring(@PathVariable UUID stall, StallForm form, Reply reply) {
        days.find(stall);
        House house = households.current();
        Fields fields = fields();
        Optional<Leavable.One> thing = leavable.all().stream()
                .filter(one -> one.lot().toString().equals(form.lot()))
                .findFirst();
        if (thing.isEmpty()) {
            fields.trouble("lot", "It is not said what is brought.", "one of what there is");
        }
        int out = thing.map(one -> outAlready(stall, one.lot())).orElse(0);
        Optional<Integer> brought = fields.whole(
                "brought",
                form.brought(),
                Math.max(1, out),
                thing.map(one -> (int) Math.min(MOST, one.left() + out)).orElse(MOST),
                "pieces");
        Optional<Long> price = fields.money("price", form.price(), house.money());
        Optional<Integer> some =
                blank(form.some()) ? Optional.of(0) : fields.whole("some", form.some(), 2, 100, "pieces");
        Optional<Long> together = some.filter(count -> count > 0).isEmpty()
                ? Optional.of(0L)
                : fields.money("together", form.together(), house.money());
        return reply.answer(
                new FormSent("b-", key(form), fields, PLACE + "/" + stall),
                () -> show(reply.model(), stall, new Sent<>("bring", fields, form, StallForm.EMPTY)),
                () -> {
                    days.bring(
                            stall,
                            new StallDays.Thing(
                                    thing.orElseThrow().lot(),
                                    brought.orElseThrow(),
                                    new Offer(price.orElseThrow(), some.orElse(0), together.orElse(0L))));
                    return new Done(
                            PLACE + "/" + stall,
                            "%s is on the stall.".formatted(thing.orElseThrow().name()));
                });
    }

    /** How many of it left the stall already: no fewer were brought, and they are not in stock any more. */
    private int outAlready(UUID stall, UUID lot) {
        StallTally tally = StallBoards.tally(new StallDays.Thing(lot, 0, Offer.of(0)), leavings.ofStall(stall));
        return -tally.home();
    }

    /** One tap: so many left, sold unless it is said otherwise. */
    @PostMapping(PLACE + "/{stall}/{lot}/out")
    String out(@PathVariable UUID stall, @PathVariable UUID lot, StallForm form, Reply reply) {
        StallDays.Day day = days.find(stall);
        StallDays.Thing thing = days.things(stall).stream()
                .filter(one -> one.lot().equals(lot))
                .findFirst()
                .orElseThrow(() -> new NotHere("that thing on the stall"));
        House house = households.current();
        Fields fields = fields();
        Optional<Integer> pieces = blank(form.pieces())
                ? Optional.of(1)
                : fields.whole("pieces", form.pieces(), 1, thing.brought(), "pieces");
        Leaving.Kind kind = kind(form.what());
        Optional<Long> price = kind != Leaving.Kind.SOLD
                ? Optional.empty()
                : blank(form.paid())
                        ? pieces.map(thing.offer()::price)
                        : fields.money("paid", form.paid(), house.money());
        Instant at = fields.moment("when", form.when(), house.past(clock.instant()))
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .orElse(clock.instant());
        String page = PLACE + "/" + stall;
        return reply.answer(
                new FormSent("s-", key(form), fields, page),
                () -> show(reply.model(), stall, new Sent<>(lot.toString(), fields, form, StallForm.EMPTY)),
                () -> {
                    if (day.closed()) {
                        throw new Refused("That day is closed: open it again first.");
                    }
                    refuseMore(stall, days.locked(stall, lot), pieces.orElseThrow());
                    UUID movement = parting.pieces(
                            lot,
                            pieces.orElseThrow(),
                            kind,
                            new Parting.Terms(Optional.empty(), price, form.card() != null, Optional.of(stall)),
                            new Parting.Once(key(form), at, ""));
                    return new Done(
                            page,
                            "%d %s%s."
                                    .formatted(
                                            pieces.orElseThrow(),
                                            kind.word(),
                                            price.map(paid -> ", " + house.money(paid))
                                                    .orElse("")),
                            "%s/%s/out/%s/undo".formatted(page, lot, movement));
                });
    }

    /** More than was brought does not leave the stall. */
    private void refuseMore(UUID stall, StallDays.Thing thing, int pieces) {
        int left = StallBoards.tally(thing, leavings.ofStall(stall)).home();
        if (pieces > left) {
            throw new Refused(
                    "pieces",
                    "There %s %d of it left on the stall.".formatted(left == 1 ? "is" : "are", Math.max(0, left)),
                    "at most that, or say that more was brought");
        }
    }

    private static Leaving.Kind kind(@Nullable String said) {
        try {
            return Leaving.Kind.valueOf(
                    blank(said) ? "SOLD" : String.valueOf(said).toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException other) {
            throw new NotHere("that way of leaving");
        }
    }

    @PostMapping(PLACE + "/{stall}/{lot}/out/{movement}/undo")
    String undo(@PathVariable UUID stall, @PathVariable UUID lot, @PathVariable UUID movement, Reply reply) {
        days.find(stall);
        String page = PLACE + "/" + stall;
        return reply.tap(page, () -> {
            parting.takeBack(lot, movement);
            return new Done(page, "Taken back.");
        });
    }

    /** Money back; the thing stays where it is. */
    @PostMapping(PLACE + "/{stall}/refund/{movement}")
    String refund(@PathVariable UUID stall, @PathVariable UUID movement, StallForm form, Reply reply) {
        days.find(stall);
        House house = households.current();
        Fields fields = fields();
        Leaving sold = leavings.find(movement);
        Optional<Long> back = blank(form.back()) ? sold.price() : fields.money("back", form.back(), house.money());
        String page = PLACE + "/" + stall;
        return reply.answer(
                new FormSent("r-", key(form), fields, page),
                () -> show(reply.model(), stall, new Sent<>("refund", fields, form, StallForm.EMPTY)),
                () -> {
                    leavings.refund(movement, back.orElse(0L));
                    return new Done(
                            page,
                            "%s given back. What was opened does not go back to stock."
                                    .formatted(house.money(back.orElse(0L))),
                            "%s/refund/%s?back=0".formatted(page, movement));
                });
    }

    /** Counted in the evening. */
    @PostMapping(PLACE + "/{stall}/close")
    String close(@PathVariable UUID stall, StallForm form, Reply reply) {
        days.find(stall);
        House house = households.current();
        Fields fields = fields();
        Optional<Long> counted =
                blank(form.counted()) ? Optional.empty() : fields.money("counted", form.counted(), house.money());
        String page = PLACE + "/" + stall;
        return reply.answer(
                new FormSent("c-", key(form), fields, page),
                () -> show(reply.model(), stall, new Sent<>("close", fields, form, StallForm.EMPTY)),
                () -> {
                    days.close(stall, counted, true);
                    return new Done(page, "The day is closed.", page + "/reopen");
                });
    }

    @PostMapping(PLACE + "/{stall}/reopen")
    String reopen(@PathVariable UUID stall, Reply reply) {
        String page = PLACE + "/" + stall;
        Optional<Long> counted = days.find(stall).counted();
        return reply.tap(page, () -> {
            days.close(stall, counted, false);
            return new Done(page, "The day goes on.");
        });
    }

    /** A sheet to tally on by hand, entered afterwards. */
    @GetMapping(PLACE + "/{stall}/sheet")
    String sheet(@PathVariable UUID stall, Model model) {
        model.addAttribute("board", boards.of(days.find(stall)));
        return "stall/sheet";
    }

    /** Every sale as a line; no cell begins a formula. */
    @GetMapping(PLACE + "/sales.csv")
    void sales(@Nullable String year, HttpServletResponse response) throws IOException {
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"sales.csv\"");
        response.getWriter().write(boards.csv(year(year).orElse(boards.years().get(0))));
    }
}
