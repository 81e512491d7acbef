package app.velvetcrock.wish;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.bench.ChargePart;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.core.wish.WishAnswer;
import app.velvetcrock.hours.Hours;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The household's wish: one sentence from what is there to what is wanted, and the two halves of its answer. */
@Controller
class WishController {

    static final String PLACE = "/wish";
    private static final String CHARGE = "/wish/charge";

    /** What is really weighed out may differ from the plan by no more than this. */
    private static final double MOST_OFF = 2;

    private static final int LESSONS = 3;

    private final WishWork works;
    private final Batches batches;
    private final Persons persons;
    private final WishBegin begins;
    private final Hours hours;
    private final Clock clock;

    WishController(WishWork works, Batches batches, Persons persons, WishBegin begins, Hours hours, Clock clock) {
        this.hours = hours;
        this.works = works;
        this.batches = batches;
        this.persons = persons;
        this.begins = begins;
        this.clock = clock;
    }

    @GetMapping(PLACE)
    String wish(WishForm typed, Model model) {
        WishWork.Worked worked = works.of(typed);
        WishModel.fill(model, worked.form(), worked.fields(), PLACE);
        show(model, worked);
        model.addAttribute("hours", hours.areSaid() ? null : worked.form().carried());
        model.addAttribute(
                "charge",
                worked.answer()
                        .filter(WishAnswer::canBegin)
                        .map(answer -> worked.form().address(CHARGE))
                        .orElse(null));
        return "wish/wish";
    }

    private void show(Model model, WishWork.Worked worked) {
        model.addAttribute(
                "reacts",
                worked.answer()
                        .map(one -> persons.whoReactsTo(Recipient.borne(
                                one.pan().stream()
                                        .flatMap(pan -> pan.kindKeys().stream())
                                        .toList(),
                                Recipient.borne(one.bench().plan().request()))))
                        .orElse(List.of()));
        model.addAttribute(
                "lessons",
                worked.answer()
                        .map(one -> batches.lessons(
                                Stream.concat(
                                                one.bench().plan().request().herbKeys().stream(),
                                                one
                                                        .pan()
                                                        .map(pan -> pan.read()
                                                                .kind()
                                                                .key())
                                                        .stream())
                                        .toList(),
                                LESSONS))
                        .orElse(List.of()));
        model.addAttribute(
                "answer",
                worked.answer()
                        .map(one -> WishPage.of(one, worked.form(), PLACE, worked.house()))
                        .orElse(null));
        model.addAttribute(
                "bench",
                worked.answer()
                        .flatMap(one -> WishHalves.bench(one, worked.form(), worked.house()))
                        .orElse(null));
        model.addAttribute(
                "bring",
                worked.answer()
                        .flatMap(one -> WishHalves.toBring(one, worked.house()))
                        .orElse(null));
        model.addAttribute(
                "pan",
                worked.answer()
                        .flatMap(one -> WishHalves.pan(one, worked.form(), worked.house()))
                        .orElse(null));
    }

    /** What the scale says is asked before anything is begun. */
    @GetMapping(CHARGE)
    String charge(WishForm typed, Model model) {
        WishWork.Worked worked = works.of(typed);
        return worked.answer().filter(WishAnswer::canBegin).isEmpty()
                ? "redirect:" + worked.form().address(PLACE)
                : charge(
                        model,
                        worked,
                        ChargeForm.EMPTY,
                        new Fields(worked.house().reader()));
    }

    private String charge(Model model, WishWork.Worked worked, ChargeForm typed, Fields fields) {
        WishAnswer answer = worked.answer().orElseThrow();
        show(model, worked);
        model.addAttribute("said", worked.form());
        model.addAttribute("form", typed);
        model.addAttribute("fields", fields);
        model.addAttribute("back", worked.form().address(PLACE));
        model.addAttribute("brought", String.join(", ", WishBegin.broughtIn(answer)));
        model.addAttribute("split", answer.bench().isSplit());
        model.addAttribute("herb", worked.house().mass(answer.bench().herbInAll()));
        model.addAttribute("oil", worked.house().volume(answer.bench().oilInAll()));
        model.addAttribute("origins", List.of(Origin.BOUGHT, Origin.GATHERED, Origin.GROWN));
        model.addAttribute(
                "alike",
                Cautions.shipped().lookAlikes(answer.wish().herb().kind().traits()));
        return "wish/charge";
    }

    @PostMapping(CHARGE)
    String begin(WishForm typed, ChargeForm form, Reply reply) {
        WishWork.Worked worked = works.of(typed);
        Fields fields = new Fields(worked.house().reader());
        Optional<WishAnswer> able = worked.answer().filter(WishAnswer::canBegin);
        if (able.isEmpty()) {
            return "redirect:" + worked.form().address(PLACE);
        }
        WishAnswer answer = able.get();
        List<ChargePart> parts = weighed(answer, form, fields, worked.house());
        Origin from = Origin.GATHERED.name().equals(form.from())
                ? Origin.GATHERED
                : Origin.GROWN.name().equals(form.from()) ? Origin.GROWN : Origin.BOUGHT;
        if (!form.isDry()) {
            fields.trouble("dry", "Water in the jar would spoil all of it.", "the tick, once the jar is dry");
        }
        if (form.isByHand() && !(WishForm.text(form.weighed()) + WishForm.text(form.poured())).isEmpty()) {
            fields.trouble(
                    "byHand",
                    "An amount is typed as well: was it weighed or not?",
                    "one of the two: no tick, or no amount");
        }
        if (form.isByHand() && answer.wish().use() == Use.FOOD) {
            fields.trouble(
                    "byHand",
                    "What is eaten is never charged by the handful.",
                    "what the scale says, without that tick");
        }
        boolean alike = !Cautions.shipped()
                .lookAlikes(answer.wish().herb().kind().traits())
                .isEmpty();
        if (from.isPicked() && alike && !form.isSure()) {
            fields.trouble("sure", "It is not said that this is no look-alike.", "the tick, once you are certain");
        }
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        return reply.answer(
                new FormSent("", key, fields, "/shelf"), () -> charge(reply.model(), worked, form, fields), () -> {
                    WishBegin.Begun begun = begins.begin(
                            answer,
                            parts,
                            new WishBegin.How(from, form.isByHand()),
                            Current.doing("charge", key, clock.instant(), WishForm.text(form.weighed())));
                    return new Done(
                            begun.batches().size() > 1
                                    ? "/shelf"
                                    : "/batch/" + begun.batches().get(0),
                            answer.pan()
                                    .map(mix ->
                                            "It stands on the Shelf, and what is missing for the %s is on the list to buy."
                                                    .formatted(mix.read().kind().name()))
                                    .orElse("It stands on the Shelf. Label the jar now."),
                            undo(begun));
                });
    }

    /** What was really weighed and poured, where one jar was charged; near to what was planned, or one of the two is a slip. */
    private List<ChargePart> weighed(WishAnswer answer, ChargeForm form, Fields fields, House house) {
        List<ChargePart> parts = answer.bench().parts();
        if (parts.size() > 1 || form.isByHand()) {
            return parts;
        }
        ChargePart part = parts.get(0);
        Mass planned = part.plan().charge().herbs().mass();
        Volume oil = part.plan().charge().oil();
        Optional<Mass> mass = WishForm.text(form.weighed()).isEmpty()
                ? Optional.of(planned)
                : fields.mass("weighed", form.weighed(), planned.grams() / MOST_OFF, planned.grams() * MOST_OFF);
        Optional<Volume> poured =
                WishForm.text(form.poured()).isEmpty() ? Optional.of(oil) : poured(form, answer, fields);
        return List.of(part.with(new ChargePart.Weighed(
                mass.orElse(planned), poured.orElse(oil), part.weighed().at())));
    }

    /** By the jug or by the scale, near to what was planned. */
    private static Optional<Volume> poured(ChargeForm form, WishAnswer answer, Fields fields) {
        Density density = answer.wish().oil().density();
        double planned = answer.bench().oilInAll().millilitres();
        return fields.massOf("poured", form.poured(), Expect.LIQUID, KnownDensity.ofOil(density))
                .map(read -> density.volumeOf(read.mass()))
                .filter(volume -> {
                    boolean near =
                            volume.millilitres() >= planned / MOST_OFF && volume.millilitres() <= planned * MOST_OFF;
                    if (!near) {
                        fields.trouble(
                                "poured",
                                "That is less than half, or more than twice, what was planned.",
                                "what was poured");
                    }
                    return near;
                });
    }

    private static String undo(WishBegin.Begun begun) {
        return CHARGE + "/undo?"
                + Stream.of(
                                named("batch", begun.batches()),
                                named("lot", begun.lots()),
                                named("errand", begun.errands()))
                        .filter(ids -> !ids.isEmpty())
                        .collect(Collectors.joining("&"));
    }

    private static String named(String name, List<UUID> ids) {
        return ids.stream().map(id -> name + "=" + id).collect(Collectors.joining("&"));
    }

    @PostMapping(CHARGE + "/undo")
    String undo(
            @RequestParam List<UUID> batch,
            @RequestParam(required = false) @Nullable List<UUID> lot,
            @RequestParam(required = false) @Nullable List<UUID> errand,
            Reply reply) {
        return reply.tap("/shelf", () -> {
            begins.takeBack(
                    new WishBegin.Begun(
                            batch,
                            Objects.requireNonNullElse(lot, List.of()),
                            Objects.requireNonNullElse(errand, List.of())),
                    clock.instant());
            return new Done("/shelf", "The charge is taken back, with what came in for it.");
        });
    }
}
