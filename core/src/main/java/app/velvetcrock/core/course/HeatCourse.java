package app.velvetcrock.core.course;

import app.velvetcrock.core.heat.HeatAlarm;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatEvent;
import app.velvetcrock.core.heat.HeatForecast;
import app.velvetcrock.core.heat.HeatForecast.Surroundings;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.heat.HeatTrace;
import app.velvetcrock.core.heat.Heated;
import app.velvetcrock.core.heat.SourceCurve;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Tending;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How far a heated stage has come.
 *
 * @param readings in order
 * @param on true while the heat is on
 * @param sessions how often it was put on
 * @param onSince when it was last put on
 * @param wanted heat-hours the plan asks for, in minutes
 * @param forecast where it is going: by Newton's law on the heat, towards the room off it; absent while that cannot be told
 * @param alarm that it is too hot, or will be before the next look
 * @param touched when it was turned, lifted or topped up after the newest reading; what comes of it no reading tells yet
 * @param finish when the course foreseen, or else the last reading's rate, will have earned the rest; absent while nothing is earned
 */
public record HeatCourse(
        HeatTrace trace,
        List<HeatReading> readings,
        boolean on,
        int sessions,
        Optional<Instant> onSince,
        TimeSpan wanted,
        Optional<HeatReading> latest,
        Optional<Instant> touched,
        Optional<Instant> finish,
        Optional<HeatForecast> forecast,
        Optional<HeatAlarm> alarm) {

    public HeatCourse {
        readings = List.copyOf(readings);
    }

    /** A warm oil that is capped sweats; five degrees above a room of 20 °C it no longer does [E]. */
    public static final Temperature FOR_THE_LID = Temperature.ofCelsius(25);

    private static final double MINUTES_PER_HOUR = 60;

    /** Where somebody stands beside it throughout, so far ahead a rise is looked out for [E]. */
    private static final Duration ATTENDED = Duration.ofMinutes(15);

    static HeatCourse of(Heated heated, int length, Instant start, Log log) {
        Stage stage = heated.stage();
        List<Entry> on = ofStage(log.done(TaskKind.HEAT_ON), stage);
        List<Entry> off = ofStage(log.done(TaskKind.HEAT_OFF), stage);
        List<HeatReading> readings = log.entries().stream()
                .filter(entry ->
                        entry.line() instanceof Line.Heat && !entry.happenedAt().isBefore(start))
                .map(entry -> new HeatReading(entry.happenedAt(), ((Line.Heat) entry.line()).temperature()))
                .toList();
        Optional<Instant> onSince = on.stream().map(Entry::happenedAt).max(Comparator.naturalOrder());
        boolean isOn = on.size() > off.size();
        List<HeatEvent> events = events(on, off, start, log);
        HeatTrace trace =
                HeatTrace.told(heated, on.isEmpty() ? start : on.get(0).happenedAt(), readings, events);
        TimeSpan wanted = TimeSpan.ofMinutes(length * (double) stage.pace().minutes());
        Optional<HeatReading> latest =
                readings.isEmpty() ? Optional.empty() : Optional.of(readings.get(readings.size() - 1));
        List<HeatReading> since = readings.isEmpty() ? readings : sinceEvent(readings, events);
        List<HeatEvent> unread = events.stream()
                .filter(event -> latest.filter(reading -> reading.at().isBefore(event.at()))
                        .isPresent())
                .toList();
        Optional<Instant> touched = unread.stream()
                .filter(event -> event.change() != HeatChange.ON && event.change() != HeatChange.OFF)
                .map(HeatEvent::at)
                .max(Comparator.naturalOrder());
        Surroundings around = Surroundings.of(stage.isWaterBath());
        Optional<HeatForecast> forecast = !unread.isEmpty()
                ? Optional.empty()
                : isOn ? HeatForecast.of(since, around) : HeatForecast.cooling(since, around.room());
        double rest = Math.max(0, wanted.minutes() - trace.credited().minutes());
        Optional<Instant> finish = isOn
                ? latest.flatMap(reading -> forecast.flatMap(curve -> curve.earns(heated, rest))
                        .map(in -> reading.at().plus(in))
                        .or(() -> finish(heated, rest, reading)))
                : Optional.empty();
        return new HeatCourse(
                trace,
                readings,
                isOn,
                on.size(),
                onSince,
                wanted,
                latest,
                touched,
                finish,
                forecast,
                latest.flatMap(
                        last -> HeatAlarm.of(heated, since, forecast, lookAfter(stage, onSince.orElse(start), last))));
    }

    private static List<HeatEvent> events(List<Entry> on, List<Entry> off, Instant start, Log log) {
        Stream<HeatEvent> turned = log.entries().stream()
                .filter(entry -> !entry.happenedAt().isBefore(start))
                .flatMap(entry -> change(entry.line()).stream().map(what -> new HeatEvent(entry.happenedAt(), what)));
        return Stream.of(
                        on.stream().map(entry -> new HeatEvent(entry.happenedAt(), HeatChange.ON)),
                        off.stream().map(entry -> new HeatEvent(entry.happenedAt(), HeatChange.OFF)),
                        turned)
                .flatMap(one -> one)
                .toList();
    }

    /**
     * What its source of heat did, from one touch to the next, while it was on.
     *
     * @param load what was in it
     */
    List<SourceCurve> shown(Log log, Stage stage, Volume load) {
        List<Entry> touches = log.entries().stream()
                .filter(entry -> entry.line() instanceof Line.Turned
                        || entry.line() instanceof Line.ToppedUp
                        || isOnOrOff(entry.line()))
                .sorted(Comparator.comparing(Entry::happenedAt))
                .toList();
        List<SourceCurve> curves = new ArrayList<>();
        Optional<HeatSetting> setting = Optional.empty();
        boolean heats = false;
        for (int i = 0; i < touches.size(); i++) {
            Line line = touches.get(i).line();
            if (line instanceof Line.Turned turned && turned.setting().isPresent()) {
                setting = turned.setting();
            }
            heats = isOnOrOff(line) ? line.task().orElseThrow().kind() == TaskKind.HEAT_ON : heats;
            Instant from = touches.get(i).happenedAt();
            Instant until = i + 1 < touches.size() ? touches.get(i + 1).happenedAt() : Instant.MAX;
            if (heats) {
                SourceCurve.shown(
                                readings.stream()
                                        .filter(reading -> !reading.at().isBefore(from)
                                                && reading.at().isBefore(until))
                                        .toList(),
                                setting,
                                load,
                                Surroundings.of(stage.isWaterBath()))
                        .ifPresent(curves::add);
            }
        }
        return curves;
    }

    private static boolean isOnOrOff(Line line) {
        return line.task()
                .filter(key -> key.kind() == TaskKind.HEAT_ON || key.kind() == TaskKind.HEAT_OFF)
                .isPresent();
    }

    /** What a line other than heat put on or off did to the curve; nothing for most. */
    private static Optional<HeatChange> change(Line line) {
        if (line instanceof Line.Turned turned) {
            return Optional.of(turned.change());
        }
        return line instanceof Line.ToppedUp ? Optional.of(HeatChange.OIL_TOPPED_UP) : Optional.empty();
    }

    /** The readings since the heat was last touched; the newest alone where that came after it. */
    private static List<HeatReading> sinceEvent(List<HeatReading> readings, List<HeatEvent> events) {
        Instant newest = readings.get(readings.size() - 1).at();
        Optional<Instant> event = events.stream()
                .map(HeatEvent::at)
                .filter(at -> !at.isAfter(newest))
                .max(Comparator.naturalOrder());
        return event.map(at -> readings.stream()
                        .filter(reading -> !reading.at().isBefore(at))
                        .toList())
                .orElse(readings);
    }

    /** How long after a reading the next one is due by the method. */
    private static Duration lookAfter(Stage stage, Instant on, HeatReading last) {
        int unit = stage.pace().minutes();
        double offset = Duration.between(on, last.at()).toMinutes() / (double) unit;
        return stage.tending(Tending.Kind.READ)
                .map(tending -> Duration.ofMinutes((long) tending.everyAt(offset) * unit))
                .orElse(ATTENDED);
    }

    /** The latest moment for the next look: one interval from the newest reading of this session, sooner where the course asks for it. */
    public Optional<Instant> nextLook(Stage stage) {
        Optional<Instant> byRhythm = latest.filter(last ->
                        onSince.filter(since -> !last.at().isBefore(since)).isPresent())
                .map(last -> last.at().plus(lookAfter(stage, onSince.orElseThrow(), last)));
        Optional<Instant> byCourse = alarm.map(HeatAlarm::lookAgain);
        Optional<Instant> byTouch = on ? touched.map(at -> at.plus(ATTENDED)) : Optional.empty();
        return Stream.of(byRhythm, byCourse, byTouch).flatMap(Optional::stream).min(Comparator.naturalOrder());
    }

    private static List<Entry> ofStage(List<Entry> done, Stage stage) {
        return done.stream()
                .filter(entry -> entry.line()
                        .task()
                        .filter(key -> key.stage().equals(stage.key()))
                        .isPresent())
                .toList();
    }

    private static Optional<Instant> finish(Heated heated, double rest, HeatReading latest) {
        double rate = HeatTrace.rateAt(heated, latest.temperature());
        return rate <= 0
                ? Optional.empty()
                : Optional.of(latest.at().plus(Duration.ofSeconds(Math.round(rest / rate * MINUTES_PER_HOUR))));
    }

    /** When heat that is on now will have earned the rest: by the last reading's rate, else as if it earned in full from the start. */
    public Optional<Instant> runsUntil() {
        return on ? finish.or(() -> onSince.map(since -> since.plus(left()))) : Optional.empty();
    }

    /** Heat-hours still to earn. */
    public Duration left() {
        return Duration.ofSeconds(
                Math.round(Math.max(0, wanted.minutes() - trace.credited().minutes()) * MINUTES_PER_HOUR));
    }

    public boolean isEnough() {
        return trace.credited().minutes() >= wanted.minutes() - 1e-9;
    }
}
