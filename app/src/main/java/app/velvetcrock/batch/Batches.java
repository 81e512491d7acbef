package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.batch.BatchLog.Draft;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stores.Cause;
import app.velvetcrock.stores.KitShelf;
import app.velvetcrock.stores.Ledger;
import app.velvetcrock.stores.Oils;
import app.velvetcrock.stores.Stock;
import app.velvetcrock.stores.Stores;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import app.velvetcrock.web.Refused;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
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

    /** The longest name a batch bears, before which part of a divided charge it is. */
    private static final int LONGEST_NAME = 100;

    private final BatchRepository batches;
    private final EntryRepository entries;
    private final BatchReader reader;
    private final BatchLog log;
    private final Conditions conditions;
    private final HeatWatch wrong;
    private final Lineage lineage;
    private final Stores stores;
    private final KitShelf kit;
    private final Oils oils;
    private final Ledger ledger;
    private final Households households;
    private final Json json;
    private final Clock clock;

    Batches(
            BatchRepository batches,
            EntryRepository entries,
            BatchReader reader,
            BatchLog log,
            Conditions conditions,
            HeatWatch wrong,
            Lineage lineage,
            Stores stores,
            KitShelf kit,
            Oils oils,
            Ledger ledger,
            Households households,
            Json json,
            Clock clock) {
        this.batches = batches;
        this.entries = entries;
        this.reader = reader;
        this.log = log;
        this.conditions = conditions;
        this.wrong = wrong;
        this.lineage = lineage;
        this.stores = stores;
        this.kit = kit;
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
        return reader.read(unstrained()).stream()
                .filter(sheet -> sheet.course().state() == Course.State.STANDING)
                .toList();
    }

    /** What stands and some others besides, by number, read together. */
    @Transactional(readOnly = true)
    public List<BatchSheet> standingAnd(Collection<UUID> others) {
        return reader.read(batches.unstrainedAnd(others));
    }

    private List<Batch> unstrained() {
        return PerRequest.of("unstrained " + Current.person(), batches::unstrained);
    }

    /** How many of each size of jar, and of each pot, are in use. */
    @Transactional(readOnly = true)
    public Map<UUID, Long> inUse() {
        return unstrained().stream()
                .collect(Collectors.groupingBy(batch -> batch.stand().id(), Collectors.counting()));
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

    /** A batch to be started: its plan, what it is to stand in, what was really weighed. */
    public record Beginning(FrozenPlan frozen, Stand stand, Weighed weighed) {}

    /** Starts a batch: stock falls by what was weighed, the vessel is taken, the plan is frozen; all of it or nothing. */
    @Transactional
    public UUID start(Beginning beginning, UUID key) {
        return startAll(List.of(beginning), key).get(0);
    }

    /** Starts one charge divided over several vessels, each as a batch of its own; all of them or none. */
    @Transactional
    public List<UUID> startAll(List<Beginning> parts, UUID key) {
        households.oneAtATime();
        List<UUID> started = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            String which = parts.size() == 1 ? "" : " (%d of %d)".formatted(i + 1, parts.size());
            started.add(start(
                    parts.get(i),
                    which,
                    i == 0 ? key : UUID.nameUUIDFromBytes((key + which).getBytes(StandardCharsets.UTF_8))));
        }
        return started;
    }

    private UUID start(Beginning beginning, String which, UUID key) {
        FrozenPlan frozen = beginning.frozen();
        Weighed weighed = beginning.weighed();
        BatchPlan plan = frozen.plan();
        if (!plan.canStart()) {
            throw new Refused("This plan cannot be started as it stands: see what it says on the Bench.");
        }
        take(beginning.stand());
        String names = plan.request().herbNames();
        String name = (names.length() > LONGEST_NAME ? names.substring(0, LONGEST_NAME) + "…" : names) + which;
        Batch batch = batches.saveAndFlush(
                new Batch(batches.nextNumber(), name, beginning.stand(), json.write(frozen), clock.instant()));
        UUID entry = log.write(
                batch.id,
                Draft.of(Kind.CHARGED, weighed.at(), "", new Entry.Charged(weighed.herb(), weighed.oil())),
                key);
        use(batch.id, frozen, weighed, new Ledger.Why(Cause.USED, batch.id, entry, weighed.at()));
        return batch.id;
    }

    /** Takes what went in from its lots; of a blend each herb its part of what was weighed. */
    private void use(UUID batch, FrozenPlan frozen, Weighed weighed, Ledger.Why why) {
        BatchPlan plan = frozen.plan();
        double really = weighed.herb().grams() / plan.charge().herbs().mass().grams();
        for (int i = 0; i < frozen.herbLots().size(); i++) {
            use(
                    batch,
                    frozen.herbLots().get(i),
                    plan.request().herbs().get(i).mass().times(really),
                    why);
        }
        use(
                batch,
                frozen.carrierLot(),
                plan.request().carrier().kind().density().massOf(weighed.oil()),
                why);
        plan.moistening().ifPresent(moist -> frozen.spiritLot()
                .ifPresent(lot -> use(batch, lot, moist.fromBottle().times(really), why)));
    }

    private void use(UUID batch, UUID lot, Mass mass, Ledger.Why why) {
        ledger.take(lot, mass, why);
        lineage.into(batch, lot);
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
        BatchSheet.Line shown = sheet.lines().stream()
                .filter(l -> l.id().equals(entry))
                .findFirst()
                .orElseThrow();
        if (shown.takenBack()) {
            return;
        }
        if (!shown.canTakeBack()) {
            throw new Refused("That line cannot be taken back now. Something later rests on it: take that back first.");
        }
        if (line.kind == Kind.DISCARDED && sheet.course().state() == Course.State.DISCARDED) {
            take(sheet.stand());
        }
        ledger.takeBack(entry);
        restoreDate(line);
        log.takeBack(id, entry);
        if (line.kind == Kind.CHARGED) {
            conditions.neverWas(id, entry);
        } else {
            wrong.keepHeat(id, entry);
        }
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

    private void take(Stand stand) {
        Stock.OfJar vessel = stand.kit() ? kit.lockPot(stand.id()) : stores.lockJar(stand.id());
        long taken = inUse().getOrDefault(stand.id(), 0L);
        if (taken >= vessel.pieces()) {
            throw new Refused("Every “%s” is in use (%d of %d). Choose another, or strain one."
                    .formatted(vessel.vessel().name(), taken, vessel.pieces()));
        }
    }
}
