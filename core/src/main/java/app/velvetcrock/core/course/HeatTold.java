package app.velvetcrock.core.course;

import app.velvetcrock.core.heat.BathWater;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatEvent;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatRecord;
import app.velvetcrock.core.heat.Heated;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.method.Stage;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * What the log tells of one heated stage: what was read by hand and what was done.
 *
 * @param since when the stage began
 * @param until when it was ended; absent for the one it is in
 * @param wanted heat-hours the plan asks for, in minutes
 * @param on when its heat was put on, in order
 * @param byHand in order
 */
public record HeatTold(
        Heated heated,
        TimeSpan wanted,
        Instant since,
        Optional<Instant> until,
        List<Instant> on,
        List<Instant> off,
        List<HeatReading> byHand,
        List<HeatEvent> events,
        List<Instant> waterSeen) {

    static HeatTold of(Heated heated, int length, Span span, Log log) {
        Stage stage = heated.stage();
        List<Entry> within = log.entries().stream()
                .filter(entry -> span.until()
                        .filter(until -> entry.happenedAt().isAfter(until))
                        .isEmpty())
                .toList();
        List<Instant> on = moments(new Log(within).done(TaskKind.HEAT_ON), stage);
        List<Instant> off = moments(new Log(within).done(TaskKind.HEAT_OFF), stage);
        List<Entry> since = within.stream()
                .filter(entry -> !entry.happenedAt().isBefore(span.since()))
                .toList();
        Stream<HeatEvent> turned = since.stream()
                .flatMap(entry -> change(entry.line()).stream().map(what -> new HeatEvent(entry.happenedAt(), what)));
        return new HeatTold(
                heated,
                TimeSpan.ofMinutes(length * (double) stage.pace().minutes()),
                span.since(),
                span.until(),
                on,
                off,
                since.stream()
                        .filter(entry -> entry.line() instanceof Line.Heat)
                        .map(entry -> new HeatReading(entry.happenedAt(), ((Line.Heat) entry.line()).temperature()))
                        .toList(),
                Stream.of(
                                on.stream().map(at -> new HeatEvent(at, HeatChange.ON)),
                                off.stream().map(at -> new HeatEvent(at, HeatChange.OFF)),
                                turned)
                        .flatMap(one -> one)
                        .toList(),
                new Log(since)
                        .done(TaskKind.WATER).stream().map(Entry::happenedAt).toList());
    }

    /** The next look at the water of a bath that is on the heat. */
    HeatCourse.Water water(Instant onSince, Supplier<Optional<Duration>> before) {
        List<Instant> topped = events.stream()
                .filter(event -> event.change() == HeatChange.BATH_TOPPED_UP
                        && event.at().isAfter(onSince))
                .map(HeatEvent::at)
                .sorted()
                .toList();
        List<Instant> seen =
                waterSeen.stream().filter(at -> at.isAfter(onSince)).sorted().toList();
        return new HeatCourse.Water(
                BathWater.nextLook(onSince, topped, last(seen), topped.isEmpty() ? before.get() : Optional.empty()),
                last(topped),
                BathWater.lasted(onSince, topped),
                topped.size() + seen.size() + 1);
    }

    private static Optional<Instant> last(List<Instant> moments) {
        return moments.isEmpty() ? Optional.empty() : Optional.of(moments.get(moments.size() - 1));
    }

    /** When a stage was. */
    record Span(Instant since, Optional<Instant> until) {}

    private static List<Instant> moments(List<Entry> done, Stage stage) {
        return done.stream()
                .filter(entry -> entry.line()
                        .task()
                        .filter(key -> key.stage().equals(stage.key()))
                        .isPresent())
                .map(Entry::happenedAt)
                .toList();
    }

    /** What a line other than heat put on or off did to the curve; nothing for most. */
    private static Optional<HeatChange> change(Line line) {
        if (line instanceof Line.Turned turned) {
            return Optional.of(turned.change());
        }
        return line instanceof Line.ToppedUp ? Optional.of(HeatChange.OIL_TOPPED_UP) : Optional.empty();
    }

    /** From when its rhythm of looking counts. */
    Instant start() {
        return on.isEmpty() ? since : on.get(0);
    }

    /** Its course as far as it is kept, with all that came after: what the log tells, and these readings. */
    public HeatRecord record(Optional<HeatRecord.Checkpoint> kept, List<HeatReading> byProbe) {
        HeatRecord record = kept.map(from -> new HeatRecord(heated, start(), from))
                .orElseGet(() -> new HeatRecord(heated, start()));
        Instant after = kept.map(HeatRecord.Checkpoint::at).orElse(Instant.MIN);
        byHand.stream().filter(reading -> reading.at().isAfter(after)).forEach(record::add);
        events.stream().filter(event -> event.at().isAfter(after)).forEach(record::add);
        byProbe.stream().filter(reading -> reading.at().isAfter(after)).forEach(record::add);
        return record;
    }
}
