package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.batch.BatchLog.Draft;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stores.Cause;
import app.velvetcrock.stores.Ledger;
import app.velvetcrock.stores.Oils;
import app.velvetcrock.stores.Stock;
import app.velvetcrock.stores.Stores;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds batches, starts them, notes what was seen and takes lines back. */
@Service
public class Batches {

    private final BatchRepository batches;
    private final EntryRepository entries;
    private final BatchReader reader;
    private final BatchLog log;
    private final Lineage lineage;
    private final Stores stores;
    private final Oils oils;
    private final Ledger ledger;
    private final Households households;
    private final Json json;
    private final Clock clock;

    Batches(
            BatchRepository batches, EntryRepository entries, BatchReader reader, BatchLog log, Lineage lineage,
            Stores stores, Oils oils, Ledger ledger, Households households, Json json, Clock clock) {
        this.batches = batches;
        this.entries = entries;
        this.reader = reader;
        this.log = log;
        this.lineage = lineage;
        this.stores = stores;
        this.oils = oils;
        this.ledger = ledger;
        this.households = households;
        this.json = json;
        this.clock = clock;
    }

    /** What was really weighed and poured, and when. */
    public record Weighed(Mass herb, Volume oil, Instant at) {}

    @Transactional(readOnly = true)
    public BatchSheet sheet(UUID id) {
        return log.sheet(id);
    }

    /** Every batch that stands in a vessel, by number. */
    @Transactional(readOnly = true)
    public List<BatchSheet> standing() {
        return reader.read(batches.unstrained()).stream().filter(sheet -> sheet.course().state() == Course.State.STANDING).toList();
    }

    /** How many of each size of jar are in use. */
    @Transactional(readOnly = true)
    public Map<UUID, Long> jarsInUse() {
        return batches.unstrained().stream().collect(Collectors.groupingBy(batch -> batch.jarId, Collectors.counting()));
    }

    /** The latest batches that were strained or thrown out, the newest first. */
    @Transactional(readOnly = true)
    public List<BatchSheet> finished(int most) {
        return reader.read(batches.finished(Limit.of(most)));
    }

    @Transactional(readOnly = true)
    public List<BatchSheet> among(Collection<UUID> ids) {
        return reader.read(batches.among(ids));
    }

    /** Starts a batch: stock falls by what was weighed, the jar is taken, the plan is frozen; all of it or nothing. */
    @Transactional
    public UUID start(FrozenPlan frozen, UUID jar, Weighed weighed, UUID key) {
        BatchPlan plan = frozen.plan();
        if (!plan.canStart()) {
            throw new Refused("This plan cannot be started as it stands: see what it says on the Bench.");
        }
        households.oneAtATime();
        takeJar(jar);
        String name = plan.request().herb().kind().common();
        Batch batch = batches.saveAndFlush(new Batch(batches.nextNumber(), name, jar, json.write(frozen), clock.instant()));
        UUID entry = log.write(batch.id, Draft.of(Kind.CHARGED, weighed.at(), "", new Entry.Charged(weighed.herb(), weighed.oil())), key);
        Ledger.Why why = new Ledger.Why(Cause.USED, batch.id, entry, weighed.at());
        ledger.take(frozen.herbLot(), weighed.herb(), why);
        ledger.take(frozen.carrierLot(), plan.request().carrier().kind().density().massOf(weighed.oil()), why);
        lineage.into(batch.id, frozen.herbLot());
        lineage.into(batch.id, frozen.carrierLot());
        return batch.id;
    }

    /** Adds a note to the log. */
    @Transactional
    public void note(UUID id, String words, Instant at, UUID key) {
        batches.findHere(id).orElseThrow(() -> new NotHere("that batch"));
        log.write(id, Draft.of(Kind.NOTED, at, words, List.of()), key);
    }

    /** Takes a line back, once however often it is asked: what it moved is moved back, and the log says so. */
    @Transactional
    public void takeBack(UUID id, UUID entry) {
        BatchSheet sheet = log.locked(id);
        BatchEntry line = entries.findHere(id, entry).orElseThrow(() -> new NotHere("that line"));
        BatchSheet.Line shown = sheet.lines().stream().filter(l -> l.id().equals(entry)).findFirst().orElseThrow();
        if (shown.takenBack()) {
            return;
        }
        if (!shown.canTakeBack()) {
            throw new Refused("That line cannot be taken back now. Something later rests on it: take that back first.");
        }
        if (line.kind == Kind.DISCARDED && sheet.course().state() == Course.State.DISCARDED) {
            takeJar(sheet.jar());
        }
        ledger.takeBack(entry);
        restoreDate(line);
        log.takeBack(id, entry);
    }

    private void restoreDate(BatchEntry line) {
        if (line.kind == Kind.SNIFFED) {
            LogValue.Sniffed value = json.read(line.value, LogValue.Sniffed.class);
            oils.setUseBy(value.lot(), value.useByBefore());
        } else if (line.kind == Kind.SETTLED) {
            LogValue.Settled value = json.read(line.value, LogValue.Settled.class);
            oils.setUseBy(value.lot(), value.useByBefore());
        }
    }

    private void takeJar(UUID id) {
        Stock.OfJar jar = stores.lockJar(id);
        long taken = jarsInUse().getOrDefault(id, 0L);
        if (taken >= jar.pieces()) {
            throw new Refused("Every “%s” is in use (%d of %d). Choose another jar, or strain one.".formatted(jar.vessel().name(), taken, jar.pieces()));
        }
    }
}
