package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.batch.BatchEntry.Said;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stores.Cause;
import app.velvetcrock.stores.Ledger;
import app.velvetcrock.stores.Stock;
import app.velvetcrock.stores.Stores;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Starts batches, writes their logs and takes lines back. */
@Service
public class Batches {

    private final BatchRepository batches;
    private final EntryRepository entries;
    private final BatchReader reader;
    private final Lineage lineage;
    private final Stores stores;
    private final Ledger ledger;
    private final Households households;
    private final Json json;
    private final Clock clock;

    Batches(
            BatchRepository batches, EntryRepository entries, BatchReader reader, Lineage lineage,
            Stores stores, Ledger ledger, Households households, Json json, Clock clock) {
        this.batches = batches;
        this.entries = entries;
        this.reader = reader;
        this.lineage = lineage;
        this.stores = stores;
        this.ledger = ledger;
        this.households = households;
        this.json = json;
        this.clock = clock;
    }

    /** What came out at straining, and when. */
    public record Strain(Mass mass, Pressing pressing, LocalDate on, String typed, String note) {}

    @Transactional(readOnly = true)
    public BatchSheet sheet(UUID id) {
        return reader.read(List.of(batches.findHere(id).orElseThrow(() -> new NotHere("that batch")))).get(0);
    }

    /** Every batch that stands in a jar, by number. */
    @Transactional(readOnly = true)
    public List<BatchSheet> standing() {
        return reader.read(batches.unstrained()).stream().filter(sheet -> sheet.course().state() == Course.State.STANDING).toList();
    }

    /** Every batch whose oil was strained, by number. */
    @Transactional(readOnly = true)
    public List<BatchSheet> strained() {
        return reader.read(batches.strained());
    }

    /** Starts a batch: stock falls, the jar is taken, the plan is frozen; all of it or nothing. */
    @Transactional
    public UUID start(FrozenPlan frozen, UUID jar, UUID key) {
        BatchPlan plan = frozen.plan();
        if (!plan.canStart()) {
            throw new Refused("This plan cannot be started as it stands: see what it says on the Bench.");
        }
        households.oneAtATime();
        takeJar(jar);
        String name = plan.request().herb().kind().common();
        Batch batch = batches.saveAndFlush(new Batch(batches.nextNumber(), name, jar, json.write(frozen), clock.instant()));
        Instant at = house().instantOn(plan.request().circumstances().start(), clock.instant());
        ledger.use(frozen.herbLot(), plan.charge().herbs().mass(), batch.id, at);
        ledger.use(frozen.carrierLot(), plan.oilMass(), batch.id, at);
        lineage.into(batch.id, frozen.herbLot());
        lineage.into(batch.id, frozen.carrierLot());
        write(new BatchEntry(Kind.CHARGED, batch.id, at, new Said(key, "")), "{}");
        return batch.id;
    }

    /** Writes down what came out; refused when somebody has strained it already. */
    @Transactional
    public UUID strain(UUID id, Strain strain, UUID key) {
        batches.lock(id).orElseThrow(() -> new NotHere("that batch"));
        BatchSheet sheet = sheet(id);
        sheet.strained().ifPresent(done -> {
            throw new Refused("Batch %d was strained already: %s came out. Nothing was written twice."
                    .formatted(sheet.number(), house().volume(done.out())));
        });
        if (sheet.course().state() != Course.State.STANDING) {
            throw new Refused("Batch %d was taken back, so there is nothing to strain.".formatted(sheet.number()));
        }
        Instant at = house().instantOn(strain.on(), clock.instant());
        StrainedValue value = shelve(sheet, strain, at);
        lineage.outOf(id, value.lot());
        write(new BatchEntry(Kind.STRAINED, id, at, new Said(key, strain.typed())), json.write(value));
        if (!strain.note().isBlank()) {
            write(new BatchEntry(Kind.NOTED, id, at, new Said(UUID.randomUUID(), strain.note().strip())), "{}");
        }
        return value.lot();
    }

    /** Adds a note to the log. */
    @Transactional
    public void note(UUID id, String words, UUID key) {
        batches.findHere(id).orElseThrow(() -> new NotHere("that batch"));
        write(new BatchEntry(Kind.NOTED, id, clock.instant(), new Said(key, words)), "{}");
    }

    /** Takes a line back, once however often it is asked: what it moved is moved back, and the log says so. */
    @Transactional
    public void takeBack(UUID id, UUID entry) {
        batches.lock(id).orElseThrow(() -> new NotHere("that batch"));
        BatchEntry line = entries.findHere(id, entry).orElseThrow(() -> new NotHere("that line"));
        if (sheet(id).lines().stream().anyMatch(l -> l.id().equals(entry) && l.takenBack())) {
            return;
        }
        boolean can = sheet(id).lines().stream().anyMatch(l -> l.id().equals(entry) && l.canTakeBack());
        if (!can) {
            throw new Refused("That line cannot be taken back now. Something later rests on it.");
        }
        if (line.kind == Kind.CHARGED) {
            ledger.takeBack(id, Cause.USED);
        } else if (line.kind == Kind.STRAINED) {
            ledger.takeBack(id, Cause.STRAINED);
        }
        BatchEntry back = new BatchEntry(Kind.TAKEN_BACK, id, clock.instant(), new Said(UUID.randomUUID(), ""));
        back.correctsId = entry;
        write(back, "{}");
    }

    private StrainedValue shelve(BatchSheet sheet, Strain strain, Instant at) {
        BatchPlan plan = sheet.frozen().plan();
        KeepUntil keep = Planner.keepUntil(plan.request(), strain.on());
        Volume out = plan.request().carrier().kind().density().volumeOf(strain.mass());
        UUID lot = stores.strained(
                new Stores.StrainedOil(sheet.name() + " in " + plan.request().carrier().kind().common().toLowerCase(Locale.ROOT),
                        plan.request().carrier().kind().key(), plan.request().carrier().kind().density(), strain.mass(), keep.date(), strain.typed()),
                sheet.id(), at);
        return new StrainedValue(out, strain.mass(), strain.pressing(), keep, lot);
    }

    private void takeJar(UUID id) {
        Stock.OfJar jar = stores.lockJar(id);
        long taken = standing().stream().filter(sheet -> sheet.jar().equals(id)).count();
        if (taken >= jar.pieces()) {
            throw new Refused("Every “%s” is in use (%d of %d). Choose another jar, or strain one.".formatted(jar.vessel().name(), taken, jar.pieces()));
        }
    }

    private void write(BatchEntry entry, String value) {
        entry.value = value;
        entry.accountId = Current.person().account();
        entry.recordedAt = clock.instant();
        entries.saveAndFlush(entry);
    }

    private House house() {
        return households.current();
    }
}
