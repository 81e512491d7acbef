package app.velvetcrock.core.course;

import app.velvetcrock.core.heat.HeatAlarm;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatEvent;
import app.velvetcrock.core.heat.HeatForecast;
import app.velvetcrock.core.heat.HeatForecast.Surroundings;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.heat.HeatTally;
import app.velvetcrock.core.heat.HeatTrace;
import app.velvetcrock.core.heat.Heated;
import app.velvetcrock.core.heat.NobodyLooked;
import app.velvetcrock.core.heat.SourceCurve;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Decimals;
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
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * How far a heated stage has come.
 *
 * @param readings in order; of a probe's those its picture goes through
 * @param on true while the heat is on
 * @param sessions how often it was put on
 * @param onSince when it was last put on
 * @param wanted heat-hours the plan asks for, in minutes
 * @param water the next look at the water; absent where the heat is off or there is none
 * @param forecast where it is going: by Newton's law on the heat, towards the room off it; absent while that cannot be told
 * @param alarm that it is too hot, or will be before the next look
 * @param touched when it was turned, lifted or topped up after the newest reading; what comes of it no reading tells yet
 * @param unseen that it is on and nobody read it for too long
 * @param wet whether its herb is, which must not stay lukewarm
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
        Optional<HeatAlarm> alarm,
        Probe probe,
        Optional<Water> water,
        Optional<NobodyLooked> unseen,
        boolean wet) {

    public HeatCourse {
        readings = List.copyOf(readings);
    }

    /** A warm oil that is capped sweats; five degrees above a room of 20 °C it no longer does [E]. */
    public static final Temperature FOR_THE_LID = Temperature.ofCelsius(25);

    private static final double MINUTES_PER_HOUR = 60;

    /** Where somebody stands beside it throughout, so far ahead a rise is looked out for [E]. */
    private static final Duration ATTENDED = Duration.ofMinutes(15);

    /** What of a probe: when it last spoke of the oil, since when that is doubted, or it is silent. */
    public record Probe(Optional<Instant> speaks, Optional<Instant> doubt, Optional<Instant> silent) {

        /** A probe that says nothing for so long warns like a ceiling (craft: heat). */
        private static final Duration SILENCE = Duration.ofMinutes(10);

        private static Probe of(HeatTally tally, Probed probed, boolean on, Instant now) {
            Optional<Instant> heard = probed.heardOf();
            boolean late = heard.filter(at -> at.plus(SILENCE).isBefore(now)).isPresent();
            Optional<Instant> doubt = tally.plunge().doubt().filter(at -> on && heard.isPresent());
            return new Probe(
                    late || doubt.isPresent() ? Optional.empty() : heard, doubt, on && late ? heard : Optional.empty());
        }

        /** The same in a word or two, for a tag. */
        public Optional<String> word() {
            return silent.isPresent()
                    ? Optional.of("probe silent")
                    : doubt.isPresent() ? Optional.of("probe out?") : Optional.empty();
        }

        /** What is to be seen to; absent while it speaks of the oil. */
        public Optional<String> words(Wording say) {
            return silent.map(at -> "The probe has said nothing since %s: look at the oil, then at the probe."
                            .formatted(say.time(at)))
                    .or(() -> doubt.map(at ->
                            "At %s it fell faster than oil can: is the probe in the oil? Nothing is counted until that is said."
                                    .formatted(say.time(at))));
        }
    }

    static HeatCourse of(HeatTold told, Probed probed, Instant now, Supplier<Optional<Duration>> bathLasted) {
        Heated heated = told.heated();
        Stage stage = heated.stage();
        HeatTally tally = told.record(probed.kept(), probed.lately()).tally();
        List<HeatReading> readings = inOrder(told.byHand(), probed.drawn());
        HeatTrace trace = probed.isNothing()
                ? HeatTrace.told(heated, told.start(), readings, told.events())
                : HeatTrace.outlined(heated, tally, readings);
        boolean isOn = told.on().size() > told.off().size();
        Optional<Instant> onSince = told.on().stream().max(Comparator.naturalOrder());
        Probe probe = Probe.of(tally, probed, isOn, now);
        List<HeatReading> newest = probed.isNothing() ? readings : inOrder(told.byHand(), probed.lately());
        Optional<HeatReading> latest = newest.isEmpty() ? Optional.empty() : Optional.of(newest.get(newest.size() - 1));
        List<HeatReading> since = newest.isEmpty() ? newest : sinceEvent(newest, told.events());
        List<HeatEvent> unread = told.events().stream()
                .filter(event -> latest.filter(reading -> reading.at().isBefore(event.at()))
                        .isPresent())
                .toList();
        Optional<Instant> touched = unread.stream()
                .filter(event -> event.change() != HeatChange.ON && event.change() != HeatChange.OFF)
                .map(HeatEvent::at)
                .max(Comparator.naturalOrder());
        Surroundings around = Surroundings.of(stage.isWaterBath());
        Optional<HeatForecast> forecast = !unread.isEmpty() || probe.doubt().isPresent()
                ? Optional.empty()
                : isOn ? HeatForecast.of(since, around) : HeatForecast.cooling(since, around.room());
        double rest = Math.max(0, told.wanted().minutes() - trace.credited().minutes());
        Optional<Instant> finish = isOn && probe.doubt().isEmpty()
                ? latest.flatMap(reading -> forecast.flatMap(curve -> curve.earns(heated, rest))
                        .map(in -> reading.at().plus(in))
                        .or(() -> finish(heated, rest, reading)))
                : Optional.empty();
        return new HeatCourse(
                trace,
                readings,
                isOn,
                told.on().size(),
                onSince,
                told.wanted(),
                latest,
                touched,
                finish,
                forecast,
                latest.flatMap(last -> HeatAlarm.of(
                        heated,
                        // What was warned of ends with a touch to the heat; what is too hot is so until it is read
                        // again.
                        unread.isEmpty() ? since : List.of(last),
                        some -> !unread.isEmpty() || some.size() == since.size()
                                ? forecast
                                : isOn ? HeatForecast.of(some, around) : HeatForecast.cooling(some, around.room()),
                        lookAfter(stage, onSince.orElse(told.since()), last.at()))),
                probe,
                isOn && stage.isWaterBath() ? onSince.map(at -> told.water(at, bathLasted)) : Optional.empty(),
                isOn && probe.speaks().isEmpty()
                        ? onSince.flatMap(at -> unseen(stage, at, latest, now))
                        : Optional.empty(),
                heated.wet());
    }

    /**
     * What of its heat does not wait, in words: that nobody looked stands first; absent while it is well.
     *
     * @param source what its source is known to do, where nothing else is wrong
     */
    public Optional<String> danger(Instant now, Wording say, Supplier<Optional<String>> source) {
        Optional<String> looked = unseen.map(one -> one.words(now, say));
        Optional<String> hot = alarm.map(one -> one.words(on, now, say))
                .or(() -> probe.words(say))
                .or(source);
        return looked.isPresent() && hot.isPresent()
                ? Optional.of(looked.get() + " " + hot.get())
                : looked.or(() -> hot);
    }

    /** The same in a word or two, for a tag. */
    public Optional<String> dangerWord() {
        return alarm.filter(HeatAlarm::isOver)
                .map(over -> "too hot")
                .or(() -> unseen.map(one -> "nobody looked"))
                .or(() -> alarm.map(coming -> "soon too hot"))
                .or(probe::word);
    }

    private static Optional<NobodyLooked> unseen(Stage stage, Instant on, Optional<HeatReading> latest, Instant now) {
        Optional<HeatReading> ofSession = latest.filter(reading -> !reading.at().isBefore(on));
        return NobodyLooked.of(
                on,
                ofSession,
                stage.ceiling(),
                lookAfter(stage, on, ofSession.map(HeatReading::at).orElse(on)),
                now);
    }

    /**
     * The next look at the water of a bath.
     *
     * @param topped when it was last topped up; absent for never since the heat was put on
     * @param lasted how long it lasted before that
     * @param ordinal which look it is
     */
    public record Water(Instant by, Optional<Instant> topped, Optional<Duration> lasted, int ordinal) {}

    private static List<HeatReading> inOrder(List<HeatReading> byHand, List<HeatReading> byProbe) {
        return byProbe.isEmpty()
                ? byHand
                : Stream.concat(byHand.stream(), byProbe.stream())
                        .sorted(Comparator.comparing(HeatReading::at))
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
    private static Duration lookAfter(Stage stage, Instant on, Instant last) {
        int unit = stage.pace().minutes();
        double offset = Duration.between(on, last).toMinutes() / (double) unit;
        return stage.tending(Tending.Kind.READ)
                .map(tending -> Duration.ofMinutes((long) tending.everyAt(offset) * unit))
                .orElse(ATTENDED);
    }

    /** The latest moment for the next look: one interval from the newest reading of this session, sooner where the course asks for it. */
    public Optional<Instant> nextLook(Stage stage) {
        Optional<Instant> byRhythm = latest.filter(last ->
                        onSince.filter(since -> !last.at().isBefore(since)).isPresent())
                .map(last -> last.at().plus(lookAfter(stage, onSince.orElseThrow(), last.at())));
        Optional<Instant> byCourse = alarm.map(HeatAlarm::lookAgain);
        Optional<Instant> byTouch = on ? touched.map(at -> at.plus(ATTENDED)) : Optional.empty();
        return Stream.of(byRhythm, byCourse, byTouch).flatMap(Optional::stream).min(Comparator.naturalOrder());
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

    /** When a lid may go on, as it cools: absent on the heat, and while its course cannot be told. */
    public Optional<Instant> lidFrom() {
        return on
                ? Optional.empty()
                : forecast.flatMap(curve -> curve.passes(FOR_THE_LID)
                        .map(passing -> curve.newest().at().plus(passing.in())));
    }

    /** How much of its heat it has had, and whether it is off it: "2.4 of 8 h, off". */
    public String hoursWord() {
        String hours = "%s of %s h"
                .formatted(
                        Decimals.upTo(trace.credited().minutes() / MINUTES_PER_HOUR, 1),
                        Decimals.upTo(wanted.minutes() / MINUTES_PER_HOUR, 0));
        return on ? hours : sessions == 0 ? "not on heat yet" : hours + ", off";
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
