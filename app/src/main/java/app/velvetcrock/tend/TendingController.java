package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.condition.WrongForm;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.readings.DeviceKind;
import app.velvetcrock.readings.Devices;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The small forms by which a standing charge is tended; Rounds and the batch's own page send the same ones. */
@Controller
class TendingController {

    /** What bends the curve and is done by hand, in the order it is offered. */
    static final List<HeatChange> BY_HAND = List.of(
            HeatChange.LID_OFF,
            HeatChange.LID_ON,
            HeatChange.BATH_TOPPED_UP,
            HeatChange.MOVED,
            HeatChange.PROBE_IN_OIL);

    private static final int LONGEST_LESSON = 300;

    private final Batches batches;
    private final Deeds deeds;
    private final BatchPage page;
    private final WatchPage watch;
    private final KitShelf kit;
    private final Devices devices;
    private final Households households;
    private final Clock clock;

    TendingController(
            Batches batches,
            Deeds deeds,
            BatchPage page,
            WatchPage watch,
            KitShelf kit,
            Devices devices,
            Households households,
            Clock clock) {
        this.batches = batches;
        this.deeds = deeds;
        this.page = page;
        this.watch = watch;
        this.kit = kit;
        this.devices = devices;
        this.households = households;
        this.clock = clock;
    }

    /** A form of this page, read beside the batch it is about; {@code which} names it where it is shown again. */
    private record Asked(
            UUID id, String which, String prefix, TendForm form, BatchSheet sheet, House house, Fields fields) {}

    @PostMapping("/batch/{id}/note")
    String note(@PathVariable UUID id, TendForm form, Reply reply) {
        Asked asked = asked(id, "note", "n-", form);
        Optional<String> note = asked.fields().words("words", form.words(), TendForm.LONGEST_NOTE);
        return write(reply, asked, "Written down.", form.words(), () -> new Deed.Note(note.orElseThrow()));
    }

    @PostMapping("/batch/{id}/tasks/{task}")
    String done(@PathVariable UUID id, @PathVariable("task") String written, TendForm form, Reply reply) {
        TaskKey task = task(written);
        return write(reply, asked(id, "task", "", form), task.kind().word() + ": done.", "", () -> new Deed.Tend(task));
    }

    @PostMapping("/batch/{id}/look")
    String look(@PathVariable UUID id, TendForm form, Reply reply) {
        Asked asked = asked(id, "look", "l-", form);
        Optional<Look> look = form.look(asked.fields());
        return write(
                reply,
                asked,
                look.map(TendingController::words).orElse(""),
                "",
                () -> new Deed.LookAt(optionalTask(form), look.orElseThrow()));
    }

    @PostMapping("/batch/{id}/heat")
    String heat(@PathVariable UUID id, TendForm form, Reply reply) {
        Asked asked = asked(id, "heat", "t-", form);
        Optional<Temperature> temperature =
                form.heat(asked.fields(), asked.sheet().course().stage(), asked.house());
        return write(
                reply,
                asked,
                "Read %s.".formatted(temperature.map(asked.house()::temperature).orElse("")),
                form.temperature(),
                () -> new Deed.Read(optionalTask(form), temperature.orElseThrow()));
    }

    /** Something was done to the heat: a setting it was turned to, or what else bends its curve. */
    @PostMapping("/batch/{id}/turn/{what}")
    String turn(@PathVariable UUID id, @PathVariable String what, TendForm form, Reply reply) {
        Deed.Turn deed = turned(what);
        String words = deed.setting()
                .map(to -> "turned to " + to.word())
                .orElse(deed.change().word());
        return write(reply, asked(id, "turn", "a-", form), words + ".", "", () -> deed);
    }

    /** Which of the household's several sources it is on. */
    @PostMapping("/batch/{id}/source/{piece}")
    String source(@PathVariable UUID id, @PathVariable UUID piece, TendForm form, Reply reply) {
        Asked asked = asked(id, "turn", "a-", form);
        String name = kit.able(asked.sheet().course().method().sources()).stream()
                .filter(one -> one.id().equals(piece))
                .findFirst()
                .orElseThrow(() -> new NotHere("that source of heat"))
                .kit()
                .name();
        return write(
                reply,
                asked,
                "on %s.".formatted(name),
                "",
                () -> new Deed.Turn(
                        HeatChange.MOVED, Optional.empty(), Optional.of(new Line.Turned.OnSource(piece, name))));
    }

    /** A probe of the household is put into the oil, or taken out. */
    @PostMapping("/batch/{id}/probe/{device}/{where}")
    String probe(
            @PathVariable UUID id, @PathVariable UUID device, @PathVariable String where, TendForm form, Reply reply) {
        String name = devices.all().stream()
                .filter(one -> one.kind() == DeviceKind.PROBE && one.id().equals(device))
                .findFirst()
                .orElseThrow(() -> new NotHere("that probe"))
                .name();
        boolean in = "in".equals(where);
        return write(
                reply,
                asked(id, "turn", "a-", form),
                "%s is %s.".formatted(name, in ? "in it" : "out of it"),
                "",
                () -> new Deed.Probe(device, name, in));
    }

    /** What is turned by hand; heat itself is put on and off as a task. */
    private static Deed.Turn turned(String what) {
        return Stream.of(HeatSetting.values())
                .filter(setting -> setting.name().equals(what))
                .map(setting -> new Deed.Turn(HeatChange.SETTING, Optional.of(setting)))
                .findFirst()
                .or(() -> BY_HAND.stream()
                        .filter(change -> change.name().equals(what))
                        .map(change -> new Deed.Turn(change, Optional.empty()))
                        .findFirst())
                .orElseThrow(() -> new NotHere("that"));
    }

    /** Says of a line what it should have said, and when; the line as it was stays, struck through. */
    @PostMapping("/batch/{id}/entries/{entry}/correct")
    String correct(@PathVariable UUID id, @PathVariable UUID entry, TendForm form, Reply reply) {
        Asked asked = asked(id, "correct-" + entry, "c-" + entry + "-", form);
        Line before = asked.sheet().lines().stream()
                .filter(line -> line.id().equals(entry))
                .findFirst()
                .orElseThrow(() -> new NotHere("that line"))
                .entry()
                .line();
        Optional<Line> now =
                form.corrected(before, asked.fields(), asked.sheet().course().stage(), asked.house());
        return write(reply, asked, "corrected.", form.words(), () -> new Deed.Correct(entry, now.orElseThrow()));
    }

    @PostMapping("/batch/{id}/top-up")
    String topUp(@PathVariable UUID id, TendForm form, Reply reply) {
        Asked asked = asked(id, "top-up", "u-", form);
        Optional<Stock.OfCarrier> bottle = form.bottle(asked.fields(), page.sameOil(asked.sheet()));
        Optional<Volume> oil = bottle.flatMap(b -> form.topUp(asked.fields(), asked.house(), b));
        return write(
                reply,
                asked,
                "Topped up with %s.".formatted(oil.map(asked.house()::volume).orElse("")),
                form.amount(),
                () -> new Deed.TopUp(bottle.orElseThrow().id(), oil.orElseThrow()));
    }

    @PostMapping("/batch/{id}/wrong")
    String wrong(@PathVariable UUID id, WrongForm wrong, Reply reply) {
        Asked asked = asked(id, "wrong", "w-", TendForm.of(wrong.key(), wrong.when()));
        Optional<WrongForm.Wrong> read = wrong.read(asked.fields());
        reply.model().addAttribute("wrong", wrong);
        return write(
                reply,
                asked,
                read.map(found -> found.what().word()).orElse("") + ". It is held back until that is answered.",
                wrong.words(),
                () -> new Deed.Find(
                        read.orElseThrow().what(), read.orElseThrow().words(), Optional.empty()));
    }

    @PostMapping("/batch/{id}/discard")
    String discard(@PathVariable UUID id, TendForm form, Reply reply) {
        Asked asked = asked(id, "discard", "x-", form);
        Optional<Ruin> ruin = form.ruin(asked.fields());
        Optional<String> lesson = asked.fields().words("lesson", form.lesson(), LONGEST_LESSON);
        return write(
                reply,
                asked,
                "Thrown out. The lesson is kept, and the jar is free.%s"
                        .formatted(page.whatItCost(asked.sheet(), asked.house())),
                form.lesson(),
                () -> new Deed.ThrowOut(ruin.orElseThrow(), lesson.orElseThrow(), Optional.empty()));
    }

    private Asked asked(UUID id, String which, String prefix, TendForm form) {
        House house = households.current();
        return new Asked(id, which, prefix, form, batches.sheet(id), house, new Fields(house.reader()));
    }

    /** Does the deed of a form; when it was done is read here, since every form of this page may say it. */
    private String write(Reply reply, Asked asked, String words, @Nullable String typed, Supplier<Deed> deed) {
        TendForm form = asked.form();
        UUID key = form.keyOrNew();
        Instant now = clock.instant();
        Instant at = form.when(asked.fields(), asked.house(), now);
        May.when(asked.sheet().course(), new May.Times(at, now, asked.house().wording()))
                .ifPresent(refusal -> asked.fields().trouble(refusal.field(), refusal.wrong(), refusal.instead()));
        return reply.answer(
                new FormSent(asked.prefix(), key, asked.fields(), form.leadsTo(asked.id())),
                () -> {
                    Sent<TendForm> sent = new Sent<>(asked.which(), asked.fields(), form, TendForm.empty());
                    BatchSheet sheet = batches.sheet(asked.id());
                    return form.isWatched()
                            ? watch.show(reply.model(), sheet, sent)
                            : page.show(reply.model(), sheet, sent);
                },
                () -> {
                    UUID entry = deeds.done(
                            asked.id(), Current.doing(deed.get(), key, at, Objects.requireNonNullElse(typed, "")));
                    return new Done(
                            form.leadsTo(asked.id()),
                            "%s, jar %d: %s"
                                    .formatted(
                                            asked.sheet().name(), asked.sheet().number(), words),
                            "/batch/%s/entries/%s/undo?back=%s"
                                    .formatted(
                                            asked.id(),
                                            entry,
                                            form.isWatched() || "shelf".equals(form.back()) ? form.back() : "batch"));
                });
    }

    private static String words(Look look) {
        return look.signs().isEmpty()
                ? "looked, all well."
                : look.signs().stream()
                        .map(sign -> sign.word() + ". " + sign.advice())
                        .reduce((a, b) -> a + " " + b)
                        .orElseThrow();
    }

    private static Optional<TaskKey> optionalTask(TendForm form) {
        return form.task() == null || form.task().isBlank() ? Optional.empty() : Optional.of(task(form.task()));
    }

    private static TaskKey task(String written) {
        try {
            return TaskKey.parse(written);
        } catch (IllegalArgumentException unknown) {
            throw new NotHere("that task");
        }
    }
}
