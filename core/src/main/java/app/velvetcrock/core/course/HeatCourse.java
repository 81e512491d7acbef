package app.velvetcrock.core.course;

import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatTrace;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.method.Stage;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How far a heated stage has come.
 *
 * @param readings in order
 * @param on true while the heat is on
 * @param sessions how often it was put on
 * @param onSince when it was last put on
 * @param wanted heat-hours the plan asks for, in minutes
 * @param finish when the last reading's rate will have earned the rest; absent while nothing is earned
 */
public record HeatCourse(
        HeatTrace trace, List<HeatReading> readings, boolean on, int sessions, Optional<Instant> onSince, TimeSpan wanted, Optional<HeatReading> latest, Optional<Instant> finish) {

    public HeatCourse {
        readings = List.copyOf(readings);
    }

    private static final double MINUTES_PER_HOUR = 60;

    static HeatCourse of(Stage stage, int length, Instant start, Log log) {
        List<Entry> on = ofStage(log.done(TaskKind.HEAT_ON), stage);
        List<Entry> off = ofStage(log.done(TaskKind.HEAT_OFF), stage);
        List<HeatReading> readings = log.entries().stream()
                .filter(entry -> entry.what() instanceof Entry.Heat && !entry.happenedAt().isBefore(start))
                .map(entry -> new HeatReading(entry.happenedAt(), ((Entry.Heat) entry.what()).temperature()))
                .toList();
        Optional<Instant> onSince = on.stream().map(Entry::happenedAt).max(Comparator.naturalOrder());
        boolean isOn = on.size() > off.size();
        List<Instant> events = java.util.stream.Stream.concat(on.stream(), off.stream()).map(Entry::happenedAt).toList();
        HeatTrace trace = HeatTrace.of(stage, on.isEmpty() ? start : on.get(0).happenedAt(), readings, events);
        TimeSpan wanted = TimeSpan.ofMinutes(length * (double) stage.pace().minutes());
        Optional<HeatReading> latest = readings.isEmpty() ? Optional.empty() : Optional.of(readings.get(readings.size() - 1));
        Optional<Instant> finish = isOn ? latest.flatMap(reading -> finish(stage, trace, wanted, reading)) : Optional.empty();
        return new HeatCourse(trace, readings, isOn, on.size(), onSince, wanted, latest, finish);
    }

    private static List<Entry> ofStage(List<Entry> done, Stage stage) {
        return done.stream().filter(entry -> entry.what().task().filter(key -> key.stage().equals(stage.key())).isPresent()).toList();
    }

    private static Optional<Instant> finish(Stage stage, HeatTrace trace, TimeSpan wanted, HeatReading latest) {
        double rate = HeatTrace.rateAt(stage, latest.temperature());
        double rest = Math.max(0, wanted.minutes() - trace.credited().minutes());
        return rate <= 0 ? Optional.empty() : Optional.of(latest.at().plus(Duration.ofSeconds(Math.round(rest / rate * MINUTES_PER_HOUR))));
    }

    /** Heat-hours still to earn. */
    public Duration left() {
        return Duration.ofSeconds(Math.round(Math.max(0, wanted.minutes() - trace.credited().minutes()) * MINUTES_PER_HOUR));
    }

    public boolean isEnough() {
        return trace.credited().minutes() >= wanted.minutes() - 1e-9;
    }
}
