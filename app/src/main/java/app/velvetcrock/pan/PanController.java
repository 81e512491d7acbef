package app.velvetcrock.pan;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.errands.Awaited;
import app.velvetcrock.errands.Errands;
import app.velvetcrock.melt.BroughtIn;
import app.velvetcrock.melt.PanDeeds;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;

/** The Pan's sentence: what is to be made, worked out as it is typed, and begun. */
@Controller
class PanController {

    private final PanDesk desks;
    private final PanPlanner planner;
    private final PanDeeds deeds;
    private final BroughtIn broughtIn;
    private final Makings makings;
    private final PanWaiting waiting;
    private final Awaited awaited;
    private final Errands errands;
    private final BoughtPrices prices;
    private final Households households;
    private final Clock clock;

    PanController(
            PanDesk desks,
            PanPlanner planner,
            PanDeeds deeds,
            BroughtIn broughtIn,
            Makings makings,
            PanWaiting waiting,
            Awaited awaited,
            Errands errands,
            BoughtPrices prices,
            Households households,
            Clock clock) {
        this.waiting = waiting;
        this.awaited = awaited;
        this.errands = errands;
        this.prices = prices;
        this.desks = desks;
        this.planner = planner;
        this.deeds = deeds;
        this.broughtIn = broughtIn;
        this.makings = makings;
        this.households = households;
        this.clock = clock;
    }

    @GetMapping("/pan")
    String pan(
            PanForm form,
            Really really,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String asked,
            HttpServletResponse response,
            Model model) {
        PanDesk.Desk desk = desks.desk(form, today());
        if (asked != null) {
            response.setHeader("HX-Replace-Url", desk.form().address());
        }
        return show(model, desk, really);
    }

    private LocalDate today() {
        return households.current().dayOf(clock.instant());
    }

    private String show(Model model, PanDesk.Desk desk, Really really) {
        PanForm form = desk.form();
        model.addAttribute("form", form);
        model.addAttribute("fields", desk.fields());
        model.addAttribute("withs", PanForm.shown(form.with()));
        model.addAttribute("adds", PanForm.shown(form.add()));
        model.addAttribute(
                "kinds",
                planner.kinds().stream()
                        .map(kind -> new Fields.Option(kind.key(), kind.name()))
                        .toList());
        model.addAttribute("shelves", desk.shelves());
        model.addAttribute(
                "meltables",
                Stream.of(
                                desk.shelves().butters(),
                                desk.shelves().oils(),
                                desk.shelves().waxes())
                        .flatMap(List::stream)
                        .toList());
        model.addAttribute(
                "uses",
                Stream.of(Use.values())
                        .filter(use -> use != Use.FOOD && use != Use.ANIMALS)
                        .toList());
        model.addAttribute("lastPrice", desk.bought().map(desk.house()::money).orElse("price"));
        model.addAttribute("infuse", desk.planned().map(PanInfusing::bench).orElse(""));
        model.addAttribute("toWeigh", toWeigh(desk, really));
        model.addAttribute("hasWax", desk.kind().wax());
        model.addAttribute("swaps", Linear.first(form.address(), "^/pan", "/pan/swaps"));
        model.addAttribute("note", desk.kind().note());
        model.addAttribute("use", PanReading.use(form).name());
        model.addAttribute("usual", PanDesk.usualName(desk));
        model.addAttribute(
                "page",
                desk.planned()
                        .map(planned -> PanPage.of(
                                planned,
                                desk.learned(),
                                form,
                                new PanPage.At(
                                        desk.bought(),
                                        desks.cost(planned),
                                        desk.house(),
                                        desk.shelves().containers())))
                        .orElse(null));
        model.addAttribute("reacts", desk.planned().map(planner::whoReacts).orElse(List.of()));
        model.addAttribute(
                "neverSold", desk.planned().flatMap(planner::neverSold).orElse(null));
        model.addAttribute("lessons", desk.planned().map(planner::lessons).orElse(List.of()));
        model.addAttribute("whole", PanWhole.of(desk));
        model.addAttribute(
                "wishSaid", form.wished().map(WishForm::named).orElse(Map.of()).entrySet());
        model.addAttribute("waits", waiting.all());
        model.addAttribute(
                "now",
                makings.inThePan().stream()
                        .map(sheet -> new Standing(
                                "/pan/" + sheet.id(),
                                "%s, batch %d".formatted(sheet.name(), sheet.number()),
                                next(sheet)))
                        .toList());
        model.addAttribute(
                "made",
                makings.latest().stream()
                        .map(sheet -> new Standing(
                                "/pan/" + sheet.id(),
                                "%s, batch %d".formatted(sheet.name(), sheet.number()),
                                sheet.last()
                                        .map(line -> desk.house().moment(line.at()))
                                        .orElse("")))
                        .toList());
        return "pan/pan";
    }

    /** A making in a list. */
    record Standing(String href, String name, String word) {}

    private static String next(Makings.Sheet sheet) {
        return sheet.course().next().map(step -> "next: " + step.step().word()).orElse("done");
    }

    /** What the scale said, part by part in the order of the melt; empty where it was as planned. */
    record Really(@Nullable List<String> really) {

        String of(int at) {
            return really == null || at >= really.size() ? "" : PanForm.text(really.get(at));
        }
    }

    /** A part to weigh: what is planned of it, and what was typed. */
    record ToWeigh(String field, String label, String typed) {}

    private static List<Optional<Mass>> really(Really really, PanDesk.Desk desk) {
        List<Optional<Mass>> weighed = new ArrayList<>();
        int parts = desk.planned()
                .map(planned -> planned.read().melt().formula().parts().size())
                .orElse(0);
        for (int i = 0; i < parts; i++) {
            weighed.add(
                    really.of(i).isEmpty()
                            ? Optional.empty()
                            : desk.fields().mass("really[%d]".formatted(i), really.of(i), 0.1, 20_000));
        }
        return weighed;
    }

    private static List<ToWeigh> toWeigh(PanDesk.Desk desk, Really really) {
        List<Formula.Part> parts = desk.planned()
                .map(planned -> planned.read().melt().formula().parts())
                .orElse(List.of());
        List<ToWeigh> rows = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            rows.add(new ToWeigh(
                    "really[%d]".formatted(i),
                    "%s, planned %s"
                            .formatted(
                                    parts.get(i).stuff().name(),
                                    desk.house().mass(parts.get(i).mass())),
                    really.of(i)));
        }
        return rows;
    }

    /** Puts what is planned and not here on the list to buy by. */
    @PostMapping("/pan/to-buy")
    String toBuy(PanForm form, Reply reply) {
        PanDesk.Desk desk = desks.desk(form, today());
        List<String> lines = desk.planned().stream()
                .flatMap(planned -> planned.missing().stream())
                .map(MixPlan.Missing::buy)
                .toList();
        return reply.tap("/pan", () -> {
            if (lines.isEmpty()) {
                throw new Refused("All of it is in the Stores; nothing is to be bought.");
            }
            List<UUID> on = errands.add(lines, PanDesk.usualName(desk));
            return new Done(
                    desk.form().address(),
                    "On the list to buy: %s.".formatted(String.join("; ", lines)),
                    Errands.takenBack(on));
        });
    }

    /** Goes on with what waited for the oil of a batch. */
    @GetMapping("/pan/waiting/{batch}")
    String waiting(@PathVariable UUID batch) {
        if (!awaited.everDid(batch)) {
            throw new NotHere("what waits for that oil");
        }
        return "redirect:" + waiting.of(batch).map(PanWaiting.Waits::href).orElse("/pan");
    }

    /** Lets what waits for the oil of a batch wait no more, or again. */
    @PostMapping("/pan/waiting/{batch}/drop")
    String drop(@PathVariable UUID batch, @Nullable String back, Reply reply) {
        return reply.tap("/pan", () -> {
            awaited.drop(batch, back == null);
            return back == null
                    ? new Done(
                            "/pan",
                            "It waits no more; the oil is as it was.",
                            "/pan/waiting/%s/drop?back=yes".formatted(batch))
                    : new Done("/pan", "It waits again.");
        });
    }

    /** What is only done when it was asked about: bringing in what is not here, a second of what is in the pan. */
    record Sure(@Nullable String bring, @Nullable String second) {}

    @PostMapping("/pan/begin")
    String begin(PanForm form, Really really, @Nullable String when, Sure sure, Reply reply) {
        PanDesk.Desk desk = desks.desk(form, today());
        String name = PanForm.text(form.name()).isEmpty()
                ? PanDesk.usualName(desk)
                : desk.fields().optionalWords("name", form.name(), 90).orElse("");
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        var at = desk.fields()
                .moment("when", when, desk.house().past(clock.instant()))
                .map(there -> there.atZone(desk.house().settings().zone()).toInstant())
                .orElse(clock.instant());
        List<String> refused = desk.planned().map(MixPlan::refused).orElse(List.of());
        if (!refused.isEmpty()) {
            desk.fields()
                    .trouble(
                            "use",
                            "Not weighed in for %s: %s"
                                    .formatted(
                                            desk.planned()
                                                    .orElseThrow()
                                                    .read()
                                                    .use()
                                                    .word(),
                                            String.join(" ", refused)),
                            "something else, or for somebody else");
        } else if (desk.planned().isPresent() && !desk.planned().get().canStart()) {
            desk.fields()
                    .trouble(
                            "much",
                            "Not all of it is here: "
                                    + String.join(
                                            "; ",
                                            desk.planned().get().missing().stream()
                                                    .map(MixPlan.Missing::words)
                                                    .toList())
                                    + ".",
                            "less, or another lot");
        }
        desk.planned().filter(MixPlan::isToCome).ifPresent(planned -> desk.fields()
                .trouble(
                        "oil",
                        "%s is still to come: its jar is not charged yet."
                                .formatted(planned.read().oil().common()),
                        "an oil that is here, or charge the jar first"));
        boolean brings = "yes".equals(sure.bring());
        if (!brings && desk.planned().filter(MixPlan::isFromNowhere).isPresent()) {
            desk.fields()
                    .trouble(
                            "much",
                            "Not all of it is in the stores, and nothing is taken from nowhere.",
                            "bring it in below, with one tap, or put it on the list to buy");
        }
        List<Optional<Mass>> weighed = really(really, desk);
        desk.planned()
                .filter(planned -> !"yes".equals(sure.second()))
                .flatMap(planned -> deeds.alike(planned.frozen(name), key))
                .ifPresent(there -> desk.fields()
                        .trouble(
                                "second",
                                "Just this was weighed in already: %s, batch %d, is in the pan."
                                        .formatted(there.name(), there.number()),
                                "tick here for a second one, or go on with that"));
        reply.model().addAttribute("when", when);
        return reply.answer(
                new FormSent("", key, desk.fields(), "/pan"), () -> show(reply.model(), desk, really), () -> {
                    if (!PanForm.text(form.bought()).isEmpty()) {
                        desk.bought().ifPresent(price -> prices.keep(desk.kind().key(), price));
                    }
                    MixPlan planned = desk.planned().orElseThrow();
                    MakingPlan plan = planned.frozen(name);
                    List<MakingPlan.Weighed> taken = planned.really(weighed, desk.shelves());
                    Doing<String> doing = Current.doing("begin", key, at, PanForm.text(form.much()));
                    UUID id = brings ? broughtIn.begin(plan, taken, doing) : deeds.begin(plan, taken, doing);
                    return new Done(
                            "/pan/" + id,
                            "Weighed in: batch %d.".formatted(makings.sheet(id).number()),
                            "/pan/%s/back".formatted(id));
                });
    }
}
