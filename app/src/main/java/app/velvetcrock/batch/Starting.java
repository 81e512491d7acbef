package app.velvetcrock.batch;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.Take;
import app.velvetcrock.hours.WarmUps;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.plans.PlanShape;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Ledger;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Charges vessels, and takes lines of a log back, the charging too: vessel and stock are where they were. */
@Service
public class Starting implements Deeds.Hands {

    /** The longest name a batch bears, before which part of a divided charge it is. */
    private static final int LONGEST_NAME = 100;

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchLog log;
    private final BatchFacts facts;
    private final Conditions conditions;
    private final HeatWatch heat;
    private final Lineage lineage;
    private final Jars jars;
    private final KitShelf kit;
    private final Oils oils;
    private final Ledger ledger;
    private final Households households;
    private final WarmUps warmUps;
    private final PlanShape shape;
    private final Clock clock;

    Starting(
            BatchRepository repository,
            Batches batches,
            BatchLog log,
            BatchFacts facts,
            Conditions conditions,
            HeatWatch heat,
            Lineage lineage,
            Jars jars,
            KitShelf kit,
            Oils oils,
            Ledger ledger,
            Households households,
            WarmUps warmUps,
            PlanShape shape,
            Clock clock) {
        this.repository = repository;
        this.batches = batches;
        this.log = log;
        this.facts = facts;
        this.conditions = conditions;
        this.heat = heat;
        this.lineage = lineage;
        this.jars = jars;
        this.kit = kit;
        this.oils = oils;
        this.ledger = ledger;
        this.households = households;
        this.warmUps = warmUps;
        this.shape = shape;
        this.clock = clock;
    }

    @Override
    public void takeUp(Deeds.Work work) {
        work.on(Deed.Start.class, (sheet, doing) -> {
            throw new IllegalStateException("batch %d was charged already".formatted(sheet.number()));
        });
        work.on(Deed.TakeBack.class, this::takeBack);
    }

    /** Starts a batch: stock falls by what was weighed, the vessel is taken, the plan is frozen; all of it or nothing. */
    @Transactional
    public UUID start(Doing<Deed.Start> doing) {
        return startAll(List.of(doing)).get(0);
    }

    /** Starts one charge divided over several vessels, each as a batch of its own; all of them or none. */
    @Transactional
    public List<UUID> startAll(List<Doing<Deed.Start>> parts) {
        households.oneAtATime();
        List<UUID> started = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            Doing<Deed.Start> part = parts.get(i);
            String which = parts.size() == 1 ? "" : " (%d of %d)".formatted(i + 1, parts.size());
            UUID key =
                    i == 0 ? part.key() : UUID.nameUUIDFromBytes((part.key() + which).getBytes(StandardCharsets.UTF_8));
            started.add(start(new Doing<>(key, part.at(), part.by(), part.typed(), part.deed()), which));
        }
        return started;
    }

    private UUID start(Doing<Deed.Start> doing, String which) {
        Optional<UUID> before = log.begunBy(doing.key());
        if (before.isPresent()) {
            return before.get();
        }
        Deed.Start deed = asItsOil(doing.deed());
        BatchPlan plan = deed.plan().plan();
        May.start(
                        deed,
                        new May.Times(
                                doing.at(),
                                clock.instant(),
                                households.current().wording()))
                .ifPresent(refusal -> {
                    throw new Refused(refusal);
                });
        Stand stand = new Stand(deed.vessel(), deed.ofKit());
        occupy(stand);
        String names = plan.request().herbNames();
        String name = (names.length() > LONGEST_NAME ? names.substring(0, LONGEST_NAME) + "…" : names) + which;
        Batch batch = repository.saveAndFlush(
                new Batch(repository.nextNumber(), name, stand, shape.write(deed.plan()), clock.instant()));
        List<Take> takes = deed.plan()
                .taking(deed.herb(), plan.request().carrier().kind().density().massOf(deed.oil()));
        UUID entry = log.write(batch.id, new Line.Charged(deed.herb(), deed.oil(), takes, deed.byHand()), doing);
        Ledger.Why why = new Ledger.Why(Cause.USED, batch.id, entry, doing.at());
        for (Take take : takes) {
            ledger.take(take.lot(), take.mass(), why);
            lineage.into(batch.id, take.lot());
        }
        facts.write(batch.id);
        return batch.id;
    }

    /** What is infused in an oil that was charged by the handful is by the handful too. */
    private Deed.Start asItsOil(Deed.Start deed) {
        Set<UUID> lots = deed.plan().takes().stream().map(Take::lot).collect(Collectors.toSet());
        List<UUID> from = oils.left().stream()
                .filter(oil -> lots.contains(oil.id()))
                .map(Stock.OfOil::batch)
                .toList();
        boolean byHand = !from.isEmpty()
                && batches.among(from).stream().anyMatch(sheet -> sheet.log().isByHand());
        return byHand ? new Deed.Start(deed.plan(), deed.vessel(), deed.ofKit(), deed.herb(), deed.oil(), true) : deed;
    }

    /** Moves back what a line moved, once however often it is asked; the log keeps both lines. */
    private UUID takeBack(BatchSheet sheet, Doing<Deed.TakeBack> doing) {
        UUID entry = doing.deed().entry();
        BatchSheet.Written shown = sheet.lines().stream()
                .filter(written -> written.id().equals(entry))
                .findFirst()
                .orElseThrow(() -> new NotHere("that line"));
        if (shown.gone()) {
            return entry;
        }
        Line line = shown.entry().line();
        if (line instanceof Line.Discarded && sheet.course().state() == Course.State.DISCARDED) {
            occupy(sheet.stand());
        }
        ledger.takeBack(entry);
        restoreDate(line);
        warmUps.forget(entry);
        UUID back = log.write(sheet.id(), new Line.TakenBack(entry), doing);
        if (line instanceof Line.Charged) {
            conditions.neverWas(sheet.id(), entry);
        } else {
            heat.keepHeat(sheet.id(), entry);
        }
        return back;
    }

    private void restoreDate(Line line) {
        if (line instanceof Line.Sniffed sniffed) {
            oils.setUseBy(sniffed.lot(), sniffed.useByBefore());
        } else if (line instanceof Line.Settled settled) {
            oils.setUseBy(settled.lot(), settled.useByBefore());
        }
    }

    private void occupy(Stand stand) {
        OfJar vessel = stand.kit() ? kit.lockPot(stand.id()) : jars.lock(stand.id());
        long taken = batches.inUse().getOrDefault(stand.id(), 0L);
        if (taken >= vessel.pieces()) {
            throw new Refused("Every “%s” is in use (%d of %d). Choose another, or strain one."
                    .formatted(vessel.vessel().name(), taken, vessel.pieces()));
        }
    }
}
