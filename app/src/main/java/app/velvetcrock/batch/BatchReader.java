package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.rounds.Rounds;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.stillroom.Hours;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.People;
import java.time.Clock;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.util.Lazy;
import org.springframework.stereotype.Component;

/** Reads batches with their logs, in a fixed number of queries however many there are, and lets the core say where each stands. */
@Component
class BatchReader {

    /** Lines that rest on the start, and lines that rest on the straining. */
    private static final Set<Kind> ON_CHARGE = EnumSet.of(Kind.TOPPED_UP, Kind.STRAINED, Kind.DISCARDED);

    private static final Set<Kind> ON_STRAINING = EnumSet.of(Kind.SETTLED, Kind.BOTTLED, Kind.SNIFFED, Kind.DISCARDED);

    private final EntryRepository entries;
    private final PlanRevisions revisions;
    private final Households households;
    private final Hours hours;
    private final People people;
    private final Conditions conditions;
    private final LogWords words;
    private final Plans plans;
    private final Json json;
    private final Clock clock;

    BatchReader(
            EntryRepository entries,
            PlanRevisions revisions,
            Households households,
            Hours hours,
            People people,
            Conditions conditions,
            LogWords words,
            Plans plans,
            Json json,
            Clock clock) {
        this.entries = entries;
        this.revisions = revisions;
        this.households = households;
        this.hours = hours;
        this.people = people;
        this.conditions = conditions;
        this.words = words;
        this.plans = plans;
        this.json = json;
        this.clock = clock;
    }

    List<BatchSheet> read(List<Batch> batches) {
        if (batches.isEmpty()) {
            return List.of();
        }
        Reading reading =
                new Reading(households.current(), Lazy.of(hours::home), Lazy.of(people::namesHere), conditions.open());
        Map<UUID, PlanRevisions.Revision> revised =
                revisions.latest(batches.stream().map(b -> b.id).toList());
        Map<UUID, List<BatchEntry>> logs = entries
                .ofBatches(batches.stream().map(b -> b.id).toList())
                .stream()
                .collect(Collectors.groupingBy(entry -> entry.batchId));
        return batches.stream()
                .map(batch -> sheet(
                        batch,
                        revised.getOrDefault(batch.id, new PlanRevisions.Revision(batch.id, batch.plan)),
                        logs.getOrDefault(batch.id, List.of()),
                        reading))
                .toList();
    }

    private record Reading(House house, Lazy<HomeHours> home, Lazy<Map<UUID, String>> names, List<Told> open) {}

    private BatchSheet sheet(Batch batch, PlanRevisions.Revision plan, List<BatchEntry> log, Reading reading) {
        FrozenPlan frozen = plans.read(plan.id(), plan.plan());
        var zone = reading.house().settings().zone();
        List<Entry> said = log.stream()
                .map(entry -> new Entry(entry.id, entry.happenedAt, words.what(entry)))
                .toList();
        Course course = Course.of(frozen.plan(), said, clock.instant(), zone);
        Log holding = Log.of(said);
        Set<UUID> takenBack = log.stream()
                .filter(e -> e.correctsId != null)
                .map(e -> e.correctsId)
                .collect(Collectors.toSet());
        Optional<StrainedValue> strained = log.stream()
                .filter(e -> e.kind == Kind.STRAINED && !takenBack.contains(e.id))
                .findFirst()
                .map(e -> json.read(e.value, StrainedValue.class));
        return new BatchSheet(
                batch.id,
                batch.number,
                batch.name,
                batch.stand(),
                frozen,
                course,
                holding,
                strained,
                Lazy.of(() -> Rounds.open(course, holding, reading.home().get(), frozen.holds())),
                Lazy.of(() -> lines(log, takenBack, reading)),
                reading.open().stream()
                        .filter(told -> batch.id.equals(told.subject().batch()))
                        .toList());
    }

    private List<BatchSheet.Line> lines(List<BatchEntry> log, Set<UUID> takenBack, Reading reading) {
        Set<Kind> held = log.stream()
                .filter(e -> !takenBack.contains(e.id))
                .map(e -> e.kind)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Kind.class)));
        return log.stream()
                .map(e -> line(e, takenBack.contains(e.id), held, reading))
                .toList();
    }

    private BatchSheet.Line line(BatchEntry entry, boolean takenBack, Set<Kind> held, Reading reading) {
        Set<Kind> resting =
                entry.kind == Kind.CHARGED ? ON_CHARGE : entry.kind == Kind.STRAINED ? ON_STRAINING : Set.of();
        boolean can =
                !takenBack && entry.kind != Kind.TAKEN_BACK && resting.stream().noneMatch(held::contains);
        Optional<StrainedValue> strained = entry.kind == Kind.STRAINED
                ? Optional.of(json.read(entry.value, StrainedValue.class))
                : Optional.empty();
        return new BatchSheet.Line(
                entry.id,
                entry.kind.name(),
                entry.happenedAt,
                entry.recordedAt,
                reading.names().get().getOrDefault(entry.accountId, "somebody"),
                words.of(entry, reading.house()),
                entry.typed,
                takenBack,
                can,
                strained);
    }
}
