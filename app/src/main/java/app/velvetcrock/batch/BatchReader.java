package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads batches with their logs, in two queries however many there are, and lets the core say where each stands. */
@Component
class BatchReader {

    private final EntryRepository entries;
    private final Households households;
    private final Json json;
    private final Clock clock;

    BatchReader(EntryRepository entries, Households households, Json json, Clock clock) {
        this.entries = entries;
        this.households = households;
        this.json = json;
        this.clock = clock;
    }

    List<BatchSheet> read(List<Batch> batches) {
        House house = households.current();
        Map<UUID, List<BatchEntry>> logs = batches.isEmpty() ? Map.of() : entries.ofBatches(batches.stream().map(b -> b.id).toList())
                .stream().collect(Collectors.groupingBy(entry -> entry.batchId));
        return batches.stream().map(batch -> sheet(batch, logs.getOrDefault(batch.id, List.of()), house)).toList();
    }

    private BatchSheet sheet(Batch batch, List<BatchEntry> log, House house) {
        FrozenPlan frozen = json.read(batch.plan, FrozenPlan.class);
        List<Entry> said = log.stream().map(this::entry).toList();
        Course course = Course.of(frozen.plan(), said, house.dayOf(clock.instant()), house.settings().zone());
        Set<UUID> takenBack = log.stream().filter(e -> e.correctsId != null).map(e -> e.correctsId).collect(Collectors.toSet());
        boolean strained = course.state() == Course.State.STRAINED;
        List<BatchSheet.Line> lines = log.stream().map(e -> line(e, frozen, takenBack.contains(e.id), strained, house)).toList();
        return new BatchSheet(batch.id, batch.number, batch.name, batch.jarId, frozen, course, lines);
    }

    private Entry entry(BatchEntry entry) {
        Entry.What what = switch (entry.kind) {
            case CHARGED -> new Entry.Charged();
            case STRAINED -> strained(entry).map(s -> (Entry.What) new Entry.Strained(s.out(), s.pressing())).orElseThrow();
            case NOTED -> new Entry.Noted(entry.typed);
            case TAKEN_BACK -> new Entry.TakenBack(entry.correctsId);
        };
        return new Entry(entry.id, entry.happenedAt, what);
    }

    private BatchSheet.Line line(BatchEntry entry, FrozenPlan frozen, boolean takenBack, boolean batchIsStrained, House house) {
        boolean holds = !takenBack && entry.kind != Kind.TAKEN_BACK;
        boolean can = holds && !(entry.kind == Kind.CHARGED && batchIsStrained);
        return new BatchSheet.Line(
                entry.id, entry.happenedAt, entry.recordedAt, words(entry, frozen, house), entry.typed, takenBack, can, strained(entry));
    }

    private String words(BatchEntry entry, FrozenPlan frozen, House house) {
        return switch (entry.kind) {
            case CHARGED -> "Charged: %s of herb, %s of oil".formatted(
                    house.mass(frozen.plan().charge().herbs().mass()), house.volume(frozen.plan().charge().oil()));
            case STRAINED -> strained(entry).map(s -> "Strained, %s: %s came out".formatted(s.pressing().word(), house.volume(s.out()))).orElseThrow();
            case NOTED -> entry.typed;
            case TAKEN_BACK -> "Took a line back";
        };
    }

    private Optional<StrainedValue> strained(BatchEntry entry) {
        return entry.kind == Kind.STRAINED ? Optional.of(json.read(entry.value, StrainedValue.class)) : Optional.empty();
    }
}
