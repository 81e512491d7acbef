package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.ProbeSpan;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatForecast;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.core.spirit.SpiritFire;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.draw.HeatPicture;
import app.velvetcrock.draw.TimeScale;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.live.Changes;
import app.velvetcrock.readings.DeviceKind;
import app.velvetcrock.readings.Devices;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Sent;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts the watch of a batch on heat together. */
@Component
class WatchPage {

    private static final double MINUTES = 60;
    private static final double ALL = 100;

    /** Within this in ten minutes it is steady, °C [E]. */
    private static final double STEADY = 0.7;

    private static final Duration SOON = Duration.ofMinutes(10);

    /** What is drawn before now and after it. */
    private static final Duration BEFORE = Duration.ofHours(6);

    private static final Duration AFTER = Duration.ofHours(2);

    private static final int PAD_BELOW = 6;
    private static final int PAD_KEYS = 20;
    private static final int PAD_AT_FIRST = 36;
    private static final int TICKS = 4;

    private final Devices devices;
    private final KitShelf kit;
    private final Changes changes;
    private final Households households;
    private final Clock clock;

    WatchPage(Devices devices, KitShelf kit, Changes changes, Households households, Clock clock) {
        this.devices = devices;
        this.kit = kit;
        this.changes = changes;
        this.households = households;
        this.clock = clock;
    }

    String show(Model model, BatchSheet sheet) {
        return show(model, sheet, Sent.nothing(new Fields(households.current().reader()), TendForm.empty()));
    }

    String show(Model model, BatchSheet sheet, Sent<TendForm> sent) {
        model.addAttribute("revision", changes.revision());
        model.addAttribute("batch", sheet);
        model.addAttribute("sent", sent);
        model.addAttribute("watch", watch(sheet, households.current()));
        return "tend/watch";
    }

    private Watch watch(BatchSheet sheet, House house) {
        Course course = sheet.course();
        HeatCourse heat = course.heat()
                .filter(one -> course.state() == Course.State.STANDING)
                .orElseThrow(() -> new NotHere("that batch on the heat"));
        Instant now = clock.instant();
        String degrees =
                heat.latest().map(last -> house.temperature(last.temperature())).orElse("—");
        Optional<String> alarm = sheet.heatAlarm(house);
        return new Watch(
                "%s · %s".formatted(degrees, sheet.name()),
                "%s, batch %d%s"
                        .formatted(
                                sheet.name(),
                                sheet.number(),
                                kit.sourceOf(course.method().sources(), sheet.heatedBy())
                                        .map(source -> " · " + source.kit().name())
                                        .orElse("")),
                voice(heat, house),
                heat.probe().speaks().isPresent(),
                reading(degrees),
                trend(heat),
                done(sheet, house, now),
                measure(heat),
                alarm.map(words -> WatchSaid.alarm(words, sheet, house))
                        .orElseGet(() -> WatchSaid.of(sheet, heat, house, now)),
                course.spirit() ? SpiritFire.WORDS : null,
                alarm.isPresent() || course.isDue(),
                alarm.map(words -> heat.alarm()
                                .map(over -> over.isOver() ? "over" : "rising")
                                .orElse("probe"))
                        .orElse(course.isDue() && heat.on() ? "done" : ""),
                WatchSaid.due(sheet, TaskKind.HEAT_OFF)
                        .map(task -> task.due().toEpochMilli())
                        .orElse(null),
                heat.readings().isEmpty() ? null : trace(sheet, heat, house, now),
                keys(sheet, heat),
                seldom(sheet),
                pad(heat, house),
                last(sheet, house));
    }

    /** The figure to a tenth, so that it does not jump about while a probe speaks. */
    private static Watch.Reading reading(String degrees) {
        String figure = Linear.every(degrees, "\\s.*", "");
        return new Watch.Reading(
                Linear.matches(figure, "-?\\d+") ? figure + ".0" : figure,
                degrees.substring(figure.length()).strip());
    }

    private static String voice(HeatCourse heat, House house) {
        return heat.probe().speaks().isPresent()
                ? "probe"
                : heat.latest()
                        .map(last -> (last.byProbe() ? "probe, " : "read ") + house.time(last.at()))
                        .orElse("not read yet");
    }

    private static String trend(HeatCourse heat) {
        return heat.unseen().isPresent()
                ? "not looked at"
                : heat.forecast()
                        .flatMap(curve ->
                                curve.at(curve.newest().at().plus(SOON)).map(then -> word(curve, then)))
                        .orElse("");
    }

    private static String word(HeatForecast curve, HeatForecast.Fan then) {
        double change = then.middle().celsius() - curve.newest().temperature().celsius();
        return Math.abs(change) < STEADY ? "steady" : change > 0 ? "rising" : "falling";
    }

    private static Watch.Done done(BatchSheet sheet, House house, Instant now) {
        return sheet.foresight()
                .heatDone()
                .map(task -> new Watch.Done(
                        sheet.coming(task, house::time),
                        day(house.dayOf(Coming.rounded(task.due())), house.dayOf(now), house)))
                .orElse(new Watch.Done(null, ""));
    }

    private static String day(LocalDate day, LocalDate today, House house) {
        return day.equals(today) ? "today" : day.equals(today.plusDays(1)) ? "tomorrow" : house.day(day);
    }

    private static Watch.Measure measure(HeatCourse heat) {
        double had = heat.trace().credited().minutes();
        return new Watch.Measure(
                "%.1f h".formatted(had / MINUTES),
                "of %s heat-hours".formatted(Decimals.upTo(heat.wanted().minutes() / MINUTES, 1)),
                Math.min(ALL, ALL * had / heat.wanted().minutes()));
    }

    private static Watch.Trace trace(BatchSheet sheet, HeatCourse heat, House house, Instant now) {
        Instant first = Stream.concat(heat.readings().stream().map(HeatReading::at), heat.onSince().stream())
                .min(Comparator.naturalOrder())
                .orElse(now);
        Instant from = first.isBefore(now.minus(BEFORE)) ? now.minus(BEFORE) : first;
        TimeScale scale = new TimeScale(from, now.plus(AFTER), new TimeScale.Frame(0, Watch.WIDTH));
        List<Watch.Mark> marks = sheet.log().entries().stream()
                .filter(entry -> entry.line() instanceof Line.Turned
                        && entry.happenedAt().isAfter(from))
                .map(entry -> new Watch.Mark(scale.x(entry.happenedAt()), turned((Line.Turned) entry.line())))
                .toList();
        List<Watch.Mark> axis = new ArrayList<>();
        for (int i = 0; i < TICKS; i++) {
            Instant at = from.plus(
                    Duration.between(from, scale.end()).multipliedBy(i).dividedBy(TICKS - 1));
            axis.add(new Watch.Mark(scale.x(at), house.time(at)));
        }
        HeatPicture picture = HeatPicture.of(sheet.course().stage(), heat, scale, house.wording());
        return new Watch.Trace(picture, scale.x(now), marks, axis);
    }

    private static String turned(Line.Turned line) {
        return line.setting()
                .map(to -> "to " + to.word())
                .orElse(
                        line.change() == HeatChange.BATH_TOPPED_UP
                                ? "water"
                                : line.change().word());
    }

    private static List<Watch.Key> keys(BatchSheet sheet, HeatCourse heat) {
        String turn = "/batch/" + sheet.id() + "/turn/";
        List<Line.Turned> turned = sheet.log().all(Line.Turned.class);
        Optional<HeatSetting> setting =
                turned.stream().flatMap(line -> line.setting().stream()).reduce((earlier, later) -> later);
        boolean lidIsOff = turned.stream()
                .map(Line.Turned::change)
                .filter(change -> change == HeatChange.LID_OFF || change == HeatChange.LID_ON)
                .reduce((earlier, later) -> later)
                .filter(change -> change == HeatChange.LID_OFF)
                .isPresent();
        HeatChange lid = lidIsOff ? HeatChange.LID_ON : HeatChange.LID_OFF;
        Stream<Watch.Key> settings = Stream.of(HeatSetting.LOW, HeatSetting.WARM, HeatSetting.HIGH)
                .map(to -> new Watch.Key(
                        turn + to.name(), to.word(), setting.filter(to::equals).isPresent()));
        Stream<Watch.Key> others = Stream.of(HeatChange.PROBE_IN_OIL, lid, HeatChange.BATH_TOPPED_UP)
                .filter(change -> change != HeatChange.PROBE_IN_OIL
                        || heat.probe().doubt().isPresent())
                .filter(change -> change != HeatChange.BATH_TOPPED_UP
                        || sheet.course().stage().isWaterBath()
                        || !sheet.course().stage().isOvenOrPan())
                .map(change -> new Watch.Key(turn + change.name(), change.word(), false));
        Stream<Watch.Key> onOff = sheet.open().stream()
                .map(Task::key)
                .filter(key -> key.kind() == TaskKind.HEAT_ON || key.kind() == TaskKind.HEAT_OFF)
                .map(key -> new Watch.Key(
                        "/batch/%s/tasks/%s".formatted(sheet.id(), key),
                        key.kind() == TaskKind.HEAT_ON ? "heat on" : "heat off",
                        false));
        return Stream.of(settings, others, onOff).flatMap(one -> one).toList();
    }

    /** What happens seldom: it is moved to another place, or said which source it is on; a probe is put in or taken out. */
    private List<Watch.Key> seldom(BatchSheet sheet) {
        Optional<UUID> in = ProbeSpan.of(sheet.log()).stream()
                .filter(span -> span.until().isEmpty())
                .map(ProbeSpan::probe)
                .findFirst();
        Stream<Watch.Key> probes = devices.all().stream()
                .filter(device -> device.kind() == DeviceKind.PROBE)
                .map(device -> BatchPage.probe(
                        sheet, device, in.filter(device.id()::equals).isPresent()))
                .map(tap -> new Watch.Key(tap.address(), tap.words(), false));
        Watch.Key moved =
                new Watch.Key("/batch/" + sheet.id() + "/turn/" + HeatChange.MOVED, HeatChange.MOVED.word(), false);
        Stream<Watch.Key> sources =
                BatchPage.sources(sheet, kit).stream().map(tap -> new Watch.Key(tap.address(), tap.words(), false));
        return Stream.of(Stream.of(moved), sources, probes).flatMap(one -> one).toList();
    }

    /** Around what it will be by now; the second tap writes it. */
    private static List<Watch.Pad> pad(HeatCourse heat, House house) {
        long middle = heat.latest()
                .map(last -> Math.round(last.temperature().celsius()))
                .orElse((long) PAD_AT_FIRST);
        return IntStream.range(0, PAD_KEYS)
                .mapToObj(i -> middle - PAD_BELOW + i)
                .map(celsius -> new Watch.Pad(celsius + " °C", house.temperature(Temperature.ofCelsius(celsius))))
                .toList();
    }

    private static Watch.@Nullable Last last(BatchSheet sheet, House house) {
        Optional<Entry> newest = sheet.log().entries().stream()
                .filter(entry -> entry.line() instanceof Line.Heat
                        || entry.line() instanceof Line.Turned
                        || entry.line() instanceof Line.Probe
                        || entry.line() instanceof Line.Tended)
                .reduce((earlier, later) -> later);
        return newest.flatMap(entry -> sheet.lines().stream()
                        .filter(line -> line.id().equals(entry.id()) && line.canTakeBack())
                        .findFirst())
                .map(line -> new Watch.Last(
                        "%s %s".formatted(house.time(line.happenedAt()), line.words()),
                        "/batch/%s/entries/%s/undo".formatted(sheet.id(), line.id())))
                .orElse(null);
    }
}
