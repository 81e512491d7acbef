package app.velvetcrock.batch;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.LineWords;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.ProbeSpan;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.rounds.Foresight;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.hours.Hours;
import app.velvetcrock.kit.Baths;
import app.velvetcrock.kit.Warming;
import app.velvetcrock.plans.Plans;
import app.velvetcrock.readings.ProbedHeat;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.web.PerRequest;
import app.velvetcrock.web.trip.Trip;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.data.util.Lazy;
import org.springframework.stereotype.Component;

/** Reads batches with their logs, in a fixed number of queries however many there are, and lets the core say where each stands. */
@Component
class BatchReader {

    private static final String KEPT = "batch";

    private final Entries entries;
    private final BatchRows rows;
    private final Households households;
    private final Hours hours;
    private final People people;
    private final Conditions conditions;
    private final LineCodec codec;
    private final Plans plans;
    private final ProbedHeat probed;
    private final Warming warming;
    private final Baths baths;
    private final Trip trip;
    private final Clock clock;

    BatchReader(
            Entries entries,
            BatchRows rows,
            Households households,
            Hours hours,
            People people,
            Conditions conditions,
            LineCodec codec,
            Plans plans,
            ProbedHeat probed,
            Warming warming,
            Baths baths,
            Trip trip,
            Clock clock) {
        this.entries = entries;
        this.rows = rows;
        this.households = households;
        this.hours = hours;
        this.people = people;
        this.conditions = conditions;
        this.codec = codec;
        this.plans = plans;
        this.probed = probed;
        this.warming = warming;
        this.baths = baths;
        this.trip = trip;
        this.clock = clock;
    }

    List<BatchSheet> among(Collection<UUID> ids) {
        return read(rows.among(ids));
    }

    /** In the order of the rows; what this page has read before is not read again. */
    List<BatchSheet> read(List<BatchRows.Row> batches) {
        Map<UUID, BatchSheet> sheets = new HashMap<>();
        batches.forEach(row -> kept(row.id()).ifPresent(sheet -> sheets.put(row.id(), sheet)));
        unread(batches.stream().filter(row -> !sheets.containsKey(row.id())).toList())
                .forEach(sheet -> {
                    PerRequest.keep(KEPT, List.of(Current.person(), sheet.id()), sheet);
                    sheets.put(sheet.id(), sheet);
                });
        return batches.stream()
                .map(row -> Objects.requireNonNull(sheets.get(row.id())))
                .toList();
    }

    /** A batch this page has read before. */
    Optional<BatchSheet> kept(UUID id) {
        return PerRequest.kept(KEPT, List.of(Current.person(), id));
    }

    /** What went into some and came out of them, without all that was seen and done in between: enough for sums over many. */
    List<BatchSheet> measured(List<BatchRows.Row> batches) {
        return batches.isEmpty() ? List.of() : sheets(batches, entries::measures, Map.of());
    }

    private List<BatchSheet> unread(List<BatchRows.Row> batches) {
        if (batches.isEmpty()) {
            return List.of();
        }
        List<UUID> ids = ids(batches);
        trip.ahead(List.of(entries.question(ids), plans.question(ids)));
        Map<UUID, FrozenPlan> holding = plans.holding(ids, rows::plans);
        return sheets(
                batches,
                entries::ofBatches,
                probed.spans(ids.stream().filter(id -> isHeated(holding, id)).toList()));
    }

    private static List<UUID> ids(List<BatchRows.Row> batches) {
        return batches.stream().map(BatchRows.Row::id).toList();
    }

    private List<BatchSheet> sheets(
            List<BatchRows.Row> batches,
            Function<List<UUID>, List<BatchEntry>> lines,
            Map<UUID, List<ProbeSpan>> spans) {
        Reading reading = new Reading(
                households.current(), Lazy.of(hours::home), Lazy.of(people::namesHere), conditions.open(), List.of());
        Map<UUID, FrozenPlan> holding = plans.holding(ids(batches), rows::plans);
        Map<UUID, List<BatchEntry>> logs =
                lines.apply(ids(batches)).stream().collect(Collectors.groupingBy(entry -> entry.batchId));
        return batches.stream()
                .map(batch -> sheet(
                        batch,
                        Objects.requireNonNull(holding.get(batch.id())),
                        logs.getOrDefault(batch.id(), List.of()),
                        reading.with(spans.getOrDefault(batch.id(), List.of()))))
                .toList();
    }

    private static boolean isHeated(Map<UUID, FrozenPlan> holding, UUID id) {
        return Objects.requireNonNull(holding.get(id))
                .plan()
                .request()
                .circumstances()
                .method()
                .isHeated();
    }

    private record Reading(
            House house, Lazy<HomeHours> home, Lazy<Map<UUID, String>> names, List<Told> open, List<ProbeSpan> probes) {

        Reading with(List<ProbeSpan> in) {
            return new Reading(house, home, names, open, in);
        }
    }

    private BatchSheet sheet(BatchRows.Row batch, FrozenPlan frozen, List<BatchEntry> log, Reading reading) {
        var zone = reading.house().settings().zone();
        List<Entry> said = log.stream()
                .map(entry -> new Entry(entry.id, entry.happenedAt, codec.read(entry)))
                .toList();
        Log holding = Log.of(said);
        Course course = Course.of(
                new Course.Known(
                        frozen.plan(),
                        said,
                        probed.read(new ProbedHeat.Of(batch.id(), frozen.plan(), holding), reading.probes()),
                        baths::lasted),
                clock.instant(),
                zone);
        Lazy<HomeHours> home = Lazy.of(() -> warming.of(
                reading.home().get(),
                course.method(),
                holding.source().orElse(batch.stand().id()),
                course.charge()));
        return new BatchSheet(
                batch.id(),
                batch.number(),
                batch.name(),
                batch.stand(),
                frozen,
                course,
                holding,
                holding.last(Line.Strained.class),
                Lazy.of(() -> Foresight.of(course, holding, frozen.plan().request(), home.get(), frozen.holds())),
                Lazy.of(() -> written(log, said, holding, reading)),
                Lazy.of(() -> course.heat()
                        .filter(heat -> heat.on() && heat.alarm().isEmpty())
                        .flatMap(heat -> warming.warning(
                                new Warming.Turned(
                                        course.method(),
                                        course.stage(),
                                        holding.source().orElse(batch.stand().id()),
                                        course.charge(),
                                        setting(holding),
                                        heat.latest()
                                                .filter(last -> heat.onSince()
                                                        .filter(on -> !last.at().isBefore(on))
                                                        .isPresent())
                                                .map(last -> last.temperature())),
                                reading.house().wording()))),
                reading.open().stream().filter(told -> told.touches(batch.id())).toList());
    }

    /** What its source was last turned to. */
    private static Optional<HeatSetting> setting(Log log) {
        return log.entries().stream()
                .filter(entry -> entry.line() instanceof Line.Turned turned
                        && turned.setting().isPresent())
                .max(Comparator.comparing(Entry::happenedAt))
                .flatMap(entry -> ((Line.Turned) entry.line()).setting());
    }

    /** The lines as they are shown, each beside what is stored of it. */
    private static List<BatchSheet.Written> written(
            List<BatchEntry> log, List<Entry> said, Log holding, Reading reading) {
        LineWords words = new LineWords(reading.house().wording());
        Set<UUID> gone = Log.gone(said);
        Set<UUID> corrected = said.stream()
                .filter(entry -> !gone.contains(entry.id()) || entry.line() instanceof Line.Corrected)
                .flatMap(entry -> entry.line() instanceof Line.Corrected by ? Stream.of(by.entry()) : Stream.empty())
                .collect(Collectors.toSet());
        List<BatchSheet.Written> written = new ArrayList<>();
        for (int i = 0; i < log.size(); i++) {
            BatchEntry stored = log.get(i);
            Entry entry = said.get(i);
            written.add(new BatchSheet.Written(
                    entry,
                    stored.recordedAt,
                    reading.names().get().getOrDefault(stored.accountId, "somebody"),
                    entry.line().accept(words),
                    stored.typed,
                    !gone.contains(entry.id()) ? "" : corrected.contains(entry.id()) ? "corrected" : "taken back",
                    holding.canTakeBack(entry.id())));
        }
        return written;
    }
}
