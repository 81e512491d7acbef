package app.velvetcrock.stock;

import app.velvetcrock.catalogue.Columns;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.MayAtStores;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.deeds.StandingLots;
import app.velvetcrock.stock.deeds.StoreDeeds;
import app.velvetcrock.stock.deeds.StoreHands;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What is done to a lot at the stores; each deed moves what it moves together and can be taken back together. */
@Service
public class LotCare implements StoreHands, StandingLots {

    private final LotRepository lots;
    private final Ledger ledger;
    private final LotEdges edges;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    LotCare(
            LotRepository lots,
            Ledger ledger,
            LotEdges edges,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.lots = lots;
        this.ledger = ledger;
        this.edges = edges;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    @Override
    public void takeUp(StoreDeeds.Work work) {
        work.on(StoreDeed.Split.class, this::split);
        work.on(StoreDeed.Process.class, this::process);
        work.on(StoreDeed.Merge.class, this::merge);
        work.on(StoreDeed.TakeOut.class, this::takeOut);
        work.on(StoreDeed.ThrowOut.class, this::throwOut);
        work.on(StoreDeed.Find.class, this::find);
        work.on(StoreDeed.Answer.class, this::answer);
        work.on(StoreDeed.SetRight.class, this::setRight);
        work.on(StoreDeed.WeighCup.class, this::weighCup);
        work.on(StoreDeed.CountDrops.class, this::countDrops);
        work.on(StoreDeed.Prove.class, this::prove);
        work.on(StoreDeed.Open.class, this::open);
    }

    @Override
    @Transactional(propagation = Propagation.MANDATORY)
    public List<MayAtStores.Standing> locked(List<UUID> ids) {
        Map<UUID, MayAtStores.Standing> standing = new HashMap<>();
        ids.stream().distinct().sorted().forEach(id -> standing.put(id, standing(locked(id))));
        return ids.stream().map(id -> Objects.requireNonNull(standing.get(id))).toList();
    }

    private static MayAtStores.Standing standing(Lot lot) {
        return new MayAtStores.Standing(
                lot.name,
                lot.kind == LotKind.HERB
                        ? Optional.of(new MayAtStores.Herb(
                                lot.herb().part(), lot.herb().cut(), lot.herb().moisture()))
                        : Optional.empty(),
                lot.kind == LotKind.INFUSED_OIL,
                lot.balance,
                lot.alikeAs(),
                lot.measurable());
    }

    /** A deed by which all it moves is moved back together, and when it was done. */
    private record Made(UUID deed, Instant at) {

        static Made by(Doing<?> doing) {
            return new Made(UUID.randomUUID(), doing.at());
        }
    }

    private UUID split(Doing<StoreDeed.Split> doing) {
        StoreDeed.Split deed = doing.deed();
        Lot from = locked(deed.lot());
        Lot to = from.sibling(from.typed, clock.instant());
        if (!deed.keptAt().isEmpty()) {
            to.saying().keptAt = deed.keptAt();
        }
        Made made = Made.by(doing);
        long part = deed.part().toMilligrams();
        becomes(from, part, to, part, new Change(Cause.SPLIT, made, ""));
        return made.deed();
    }

    /** A weighed cup of the old cut no longer holds. */
    private UUID process(Doing<StoreDeed.Process> doing) {
        StoreDeed.Process deed = doing.deed();
        Lot from = locked(deed.lot());
        Lot to = from.sibling(from.typed, clock.instant());
        if (deed.cut() != from.herbPart().cut) {
            to.herbPart().cut = deed.cut();
            to.herbPart().bulkDensity = null;
        }
        Made made = Made.by(doing);
        becomes(
                from,
                deed.in().toMilligrams(),
                to,
                deed.out().toMilligrams(),
                new Change(Cause.PROCESSED, made, deed.cut().word()));
        return made.deed();
    }

    /** The older date holds for both. */
    private UUID merge(Doing<StoreDeed.Merge> doing) {
        Lot first = locked(doing.deed().lot());
        Lot second = locked(doing.deed().other());
        Lot both = first.sibling(first.typed + " and " + second.typed, clock.instant());
        if (both.herbPart != null) {
            both.herbPart.bulkDensity = null;
        }
        both.acquiredOn = earlier(first.acquiredOn, second.acquiredOn);
        both.openedOn = earlier(first.openedOn, second.openedOn);
        both.openedSaid = first.openedSaid || second.openedSaid;
        both.bestBefore = earlier(first.bestBefore, second.bestBefore);
        long sum = first.balance + second.balance;
        boolean priced = first.isPriced() && second.isPriced();
        both.bear(
                priced
                        ? Optional.of(first.costOf(first.balance).orElseThrow()
                                + second.costOf(second.balance).orElseThrow())
                        : Optional.empty(),
                sum);
        lots.saveAndFlush(both);
        Made made = Made.by(doing);
        Ledger.Why why = Ledger.Why.ofDeed(Cause.MERGED, made.deed(), made.at(), "");
        ledger.change(first.id, -first.balance, why);
        ledger.change(second.id, -second.balance, why);
        ledger.change(both.id, sum, why);
        edges.add(first.id, both.id, made.deed());
        edges.add(second.id, both.id, made.deed());
        return made.deed();
    }

    private UUID takeOut(Doing<StoreDeed.TakeOut> doing) {
        StoreDeed.TakeOut deed = doing.deed();
        return moved(deed.lot(), -deed.amount(), Cause.of(deed.what()), deed.note(), doing);
    }

    private UUID throwOut(Doing<StoreDeed.ThrowOut> doing) {
        StoreDeed.ThrowOut deed = doing.deed();
        Lot lot = locked(deed.lot());
        UUID made = moved(lot.id, -lot.balance, Cause.DISCARDED, deed.reason(), doing);
        deed.ruin()
                .ifPresent(ruin -> conditions.thrownOutFor(
                        ruin, new Subject(null, lot.id, lot.name), false, Finding.by(made, doing.at())));
        return made;
    }

    /** The only way stock may change without being moved. */
    private UUID setRight(Doing<StoreDeed.SetRight> doing) {
        StoreDeed.SetRight deed = doing.deed();
        return moved(deed.lot(), deed.counted() - locked(deed.lot()).balance, Cause.CORRECTED, deed.reason(), doing);
    }

    private UUID moved(UUID lot, long amount, Cause cause, String note, Doing<?> doing) {
        Made made = Made.by(doing);
        ledger.change(lot, amount, Ledger.Why.ofDeed(cause, made.deed(), made.at(), note));
        return made.deed();
    }

    /** What is wrong holds it back until that is answered. */
    private UUID find(Doing<StoreDeed.Find> doing) {
        StoreDeed.Find deed = doing.deed();
        Lot lot = locked(deed.lot());
        conditions.found(
                List.of(deed.what()), new Subject(null, lot.id, lot.name), new Finding(doing.at(), null, deed.words()));
        return lot.id;
    }

    private UUID answer(Doing<StoreDeed.Answer> doing) {
        StoreDeed.Answer deed = doing.deed();
        conditions.answer(deed.condition(), deed.dealtWith(), new Finding(doing.at(), null, deed.words()));
        return deed.lot();
    }

    private UUID weighCup(Doing<StoreDeed.WeighCup> doing) {
        locked(doing.deed().lot()).herbPart().bulkDensity =
                Columns.decimal(doing.deed().bulk());
        return doing.deed().lot();
    }

    private UUID countDrops(Doing<StoreDeed.CountDrops> doing) {
        locked(doing.deed().lot()).dropsPerMillilitre =
                Columns.tenths(doing.deed().perMillilitre());
        return doing.deed().lot();
    }

    /** What it weighs follows from how strong it is. */
    private UUID prove(Doing<StoreDeed.Prove> doing) {
        Lot lot = locked(doing.deed().lot());
        lot.abv = Columns.tenths(doing.deed().strength().percent());
        lot.density = Columns.decimal(doing.deed().strength().density());
        return lot.id;
    }

    private UUID open(Doing<StoreDeed.Open> doing) {
        Lot lot = locked(doing.deed().lot());
        lot.openedOn = doing.deed().opened() ? households.current().dayOf(doing.at()) : null;
        lot.openedSaid = doing.deed().opened();
        return lot.id;
    }

    /** Takes a deed back, once however often it is asked. */
    @Transactional
    public void takeBack(UUID deed) {
        ledger.takeBackDeed(deed);
    }

    /**
     * Makes all of a wet lot into a dried or wilted one that weighs so much; a weighed cup of it no longer holds.
     *
     * @return that lot
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public UUID dry(UUID id, Moisture as, Mass weighs, UUID deed, Instant at) {
        Lot wet = locked(id);
        Lot dried = wet.sibling(wet.typed, clock.instant());
        dried.herbPart().moisture = as;
        dried.herbPart().bulkDensity = null;
        dried.acquiredOn = wet.acquiredOn == null ? households.current().dayOf(at) : wet.acquiredOn;
        return becomes(
                wet,
                wet.balance,
                dried,
                weighs.toMilligrams(),
                new Change(Cause.DRIED, new Made(deed, at), as == Moisture.DRIED ? "" : as.word()));
    }

    /** Why something becomes something else. */
    private record Change(Cause cause, Made made, String note) {}

    /** Makes a new lot from some of another; its cost goes with it, however much was lost on the way. */
    private UUID becomes(Lot from, long taken, Lot to, long put, Change change) {
        to.bear(from.costOf(taken), Math.max(1, put));
        lots.saveAndFlush(to);
        Ledger.Why why = Ledger.Why.ofDeed(
                change.cause(), change.made().deed(), change.made().at(), change.note());
        ledger.change(from.id, -taken, why);
        ledger.change(to.id, put, why);
        edges.add(from.id, to.id, change.made().deed());
        return to.id;
    }

    private Lot locked(UUID id) {
        return lots.lock(id).orElseThrow(() -> new NotHere("that stock"));
    }

    private static @Nullable LocalDate earlier(@Nullable LocalDate one, @Nullable LocalDate other) {
        return one == null ? other : other == null || one.isBefore(other) ? one : other;
    }
}
