package app.velvetcrock.pan;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;

/** The Pan's sentence: what is to be made, worked out as it is typed, and begun. */
@Controller
class PanController {

    private static final double WORTH_MELTING = 80;

    private final PanStock stock;
    private final PanPlanner planner;
    private final PanWork work;
    private final Makings makings;
    private final Households households;
    private final Clock clock;

    PanController(
            PanStock stock, PanPlanner planner, PanWork work, Makings makings, Households households, Clock clock) {
        this.stock = stock;
        this.planner = planner;
        this.work = work;
        this.makings = makings;
        this.households = households;
        this.clock = clock;
    }

    /** What the page shows of a sentence. */
    private record Desk(
            House house,
            Fields fields,
            PanStock.Shelves shelves,
            Kind kind,
            PanForm form,
            PanPlanner.Learned learned,
            Optional<PanPlanner.Planned> planned) {}

    @GetMapping("/pan")
    String pan(
            PanForm form,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String asked,
            HttpServletResponse response,
            Model model) {
        Desk desk = desk(form);
        if (asked != null) {
            response.setHeader("HX-Replace-Url", desk.form().address());
        }
        return show(model, desk);
    }

    private Desk desk(PanForm form) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        var today = house.dayOf(clock.instant());
        PanStock.Shelves shelves = stock.shelves(house, today);
        Kind kind = planner.kind(form.kind());
        PanForm filled = filled(form, kind, shelves);
        PanPlanner.Learned learned = planner.learned(kind, house);
        return new Desk(
                house,
                fields,
                shelves,
                kind,
                filled,
                learned,
                planner.plan(filled, kind, shelves, learned, new PanPlanner.At(house, today, fields)));
    }

    /** Of another kind than before its own butters stand in the rows; of no kind yet, a few tins of a salve. */
    private static PanForm filled(PanForm form, Kind kind, PanStock.Shelves shelves) {
        if (kind.key().equals(form.was())) {
            return form;
        }
        List<PanForm.Row> rows = kind.others().entrySet().stream()
                .flatMap(one -> shelves
                        .ofKey(one.getKey())
                        .map(thing -> new PanForm.Row(thing.name(), Math.round(one.getValue() * 100) + " %"))
                        .stream())
                .toList();
        boolean fresh = form.was() == null;
        PanForm other = fresh ? begun(form, shelves) : form.withoutFirmness();
        return other.filled(kind.key(), fresh && form.with() != null ? PanForm.said(form.with()) : rows);
    }

    /** Before anything is said: all of the oil that should be used first and is enough for a tin or two, in what is no bottle. */
    private static PanForm begun(PanForm form, PanStock.Shelves shelves) {
        String oil = form.oil() != null
                ? form.oil()
                : shelves.oils().stream()
                        .filter(one -> one.left().grams() >= WORTH_MELTING)
                        .findFirst()
                        .map(PanThing::name)
                        .orElse("");
        String into = form.into() != null
                ? form.into()
                : shelves.containers().stream()
                        .filter(one ->
                                !one.container().name().toLowerCase(Locale.ROOT).contains("bottle"))
                        .findFirst()
                        .map(PanStock.Tin::name)
                        .orElse("");
        return form.from(oil, into);
    }

    private String show(Model model, Desk desk) {
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
        model.addAttribute("hasWax", desk.kind().wax());
        model.addAttribute("note", desk.kind().note());
        model.addAttribute("use", PanReading.use(form).name());
        model.addAttribute("usual", usualName(desk));
        model.addAttribute(
                "page",
                desk.planned()
                        .map(planned -> PanPage.of(
                                planned,
                                desk.learned(),
                                form,
                                new PanPage.At(desk.house(), desk.shelves().containers())))
                        .orElse(null));
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
                makings.made(null, 12).stream()
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

    /** What it is called where nobody says otherwise. */
    private static String usualName(Desk desk) {
        String kind = desk.kind().name();
        return desk.planned()
                .map(planned -> "%s%s of %s"
                        .formatted(
                                kind.substring(0, 1).toUpperCase(Locale.ROOT),
                                kind.substring(1),
                                planned.read().oil().common()))
                .map(name -> name.length() > 90 ? name.substring(0, 90) : name)
                .orElse(kind);
    }

    @PostMapping("/pan/begin")
    String begin(PanForm form, @Nullable String when, Reply reply) {
        Desk desk = desk(form);
        String name = PanForm.text(form.name()).isEmpty()
                ? usualName(desk)
                : desk.fields().optionalWords("name", form.name(), 90).orElse("");
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        var at = desk.fields()
                .moment("when", when, desk.house().past(clock.instant()))
                .map(there -> there.atZone(desk.house().settings().zone()).toInstant())
                .orElse(clock.instant());
        if (desk.planned().isPresent() && !desk.planned().get().canStart()) {
            desk.fields()
                    .trouble(
                            "much",
                            "Not all of it is here: "
                                    + String.join(
                                            "; ",
                                            desk.planned().get().missing().stream()
                                                    .map(PanPlanner.Missing::words)
                                                    .toList())
                                    + ".",
                            "less, or another lot");
        }
        reply.model().addAttribute("when", when);
        return reply.answer(new FormSent("", key, desk.fields(), "/pan"), () -> show(reply.model(), desk), () -> {
            UUID id = work.begin(
                    planner.frozen(desk.planned().orElseThrow(), name),
                    Current.doing("begin", key, at, PanForm.text(form.much())));
            return new Done(
                    "/pan/" + id,
                    "Weighed in: batch %d.".formatted(makings.sheet(id).number()),
                    "/pan/%s/back".formatted(id));
        });
    }
}
