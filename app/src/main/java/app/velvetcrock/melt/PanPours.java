package app.velvetcrock.melt;

import app.velvetcrock.batch.Lineage;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Ledger;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pours what was made: containers are taken, what they become comes into stock. */
@Service
public class PanPours {

    /** [E] Less than this, in grams, sticks to the pan. */
    private static final double NOTHING = 1;

    private final Makings makings;
    private final Ledger ledger;
    private final Lineage lineage;
    private final Goods goods;
    private final PanLimits limits;
    private final Households households;

    PanPours(Makings makings, Ledger ledger, Lineage lineage, Goods goods, PanLimits limits, Households households) {
        this.makings = makings;
        this.ledger = ledger;
        this.lineage = lineage;
        this.goods = goods;
        this.limits = limits;
        this.households = households;
    }

    /** What such a container takes of a making, its hollow topped. */
    @Transactional(readOnly = true)
    public Mass fills(UUID id, Container container) {
        Makings.Sheet sheet = makings.sheet(id);
        return Filling.wanted(
                1,
                container,
                Filling.shrinkage(sheet.course().formula()),
                sheet.plan().made().whipped());
    }

    /** What can be poured: the melt, or what stayed of it, by the ledger; of a making begun before melts were stock, by its log. */
    Mass there(Makings.Sheet sheet) {
        Optional<MakingLine.Poured> before = sheet.course().poured();
        return before.isPresent()
                ? before.flatMap(MakingLine.Poured::leftLot)
                        .map(lot -> Mass.ofMilligrams(goods.find(lot).left()))
                        .orElse(Mass.ZERO)
                : goods.meltOf(sheet.id()).map(Goods.Melt::left).orElseGet(() -> sheet.course()
                        .toPour(sheet.holding()));
    }

    /** Pours what is in the pan, or what stayed in it: containers are taken, what they become comes into stock. */
    UUID pour(Makings.Sheet sheet, PanDeed.Pour deed, Doing<?> doing) {
        Optional<MakingLine.Poured> before = sheet.course().poured();
        Mass there = there(sheet);
        Mass left =
                Mass.ofMilligrams(Math.max(0, there.toMilligrams() - deed.all().toMilligrams()));
        boolean stays = left.grams() >= NOTHING;
        double whole = Math.max(NOTHING, sheet.course().toPour(sheet.holding()).grams());
        List<Goods.NewGood> made = new ArrayList<>();
        List<UUID> lots = new ArrayList<>();
        List<MakingLine.Poured.Filled> lines = new ArrayList<>();
        for (PanDeed.Fill fill : deed.fills()) {
            Goods.NewGood good = good(sheet, fill, whole, doing.at());
            made.add(good);
            lots.add(goods.add(good));
            lines.add(new MakingLine.Poured.Filled(
                    fill.into().container(), fill.into().count(), fill.each(), lots.get(lots.size() - 1)));
        }
        Optional<UUID> again = before.flatMap(MakingLine.Poured::leftLot);
        Optional<Goods.NewGood> rest = stays && again.isEmpty()
                ? Optional.of(rest(sheet, left, left.grams() / whole, doing.at()))
                : Optional.empty();
        Optional<UUID> restLot = rest.map(goods::add);
        UUID entry = makings.write(
                sheet.id(),
                new Line.Panned(new MakingLine.Poured(lines, left, stays ? restLot.or(() -> again) : Optional.empty())),
                doing);
        Ledger.Why used = new Ledger.Why(Cause.USED, sheet.id(), entry, doing.at());
        Ledger.Why poured = new Ledger.Why(Cause.POURED, sheet.id(), entry, doing.at());
        deed.fills().stream().filter(fill -> !fill.into().container().mould()).forEach(fill -> fill.into()
                .lot()
                .ifPresent(from -> ledger.takePieces(from, fill.into().count(), used)));
        for (int i = 0; i < made.size(); i++) {
            goods.fill(lots.get(i), made.get(i), poured);
            lineage.outOf(sheet.id(), lots.get(i));
        }
        rest.ifPresent(good -> {
            goods.fill(restLot.orElseThrow(), good, poured);
            lineage.outOf(sheet.id(), restLot.orElseThrow());
        });
        again.or(() -> goods.meltOf(sheet.id()).map(Goods.Melt::lot))
                .ifPresent(pan ->
                        comesOut(pan, there, deed.all(), rest.isPresent() || !stays ? Mass.ZERO : left, left, poured));
        return entry;
    }

    /**
     * Takes out of the pan what was filled, and what stays of it as stock; the last gram, which sticks to it, is thrown away, and what the
     * scale found more than was weighed in is put right before.
     */
    private void comesOut(UUID pan, Mass there, Mass filled, Mass stays, Mass left, Ledger.Why poured) {
        long more = filled.toMilligrams() - there.toMilligrams();
        if (more > 0) {
            ledger.put(pan, Mass.ofMilligrams(more), because(poured, Cause.CORRECTED, "weighed more than went in"));
        }
        boolean sticks = stays.equals(Mass.ZERO) && left.grams() < NOTHING;
        long out = Math.max(there.toMilligrams(), filled.toMilligrams())
                - stays.toMilligrams()
                - (sticks ? left.toMilligrams() : 0);
        ledger.take(pan, Mass.ofMilligrams(out), poured);
        if (sticks && left.toMilligrams() > 0) {
            ledger.take(pan, left, because(poured, Cause.DISCARDED, "it stuck to the pan"));
        }
    }

    /** What is said of the pan after it was poured was in what was poured: it goes into the melt and out of it at once. */
    void wasInIt(Makings.Sheet sheet, UUID entry, Mass mass, Doing<?> doing) {
        goods.meltOf(sheet.id())
                .ifPresent(melt -> ledger.take(
                        melt.lot(),
                        mass,
                        new Ledger.Why(
                                Cause.CORRECTED, sheet.id(), entry, doing.at(), null, "it was in what was poured")));
    }

    private static Ledger.Why because(Ledger.Why why, Cause cause, String note) {
        return new Ledger.Why(cause, why.batch(), why.entry(), why.at(), null, note);
    }

    private Goods.NewGood good(Makings.Sheet sheet, PanDeed.Fill fill, double whole, Instant at) {
        return new Goods.NewGood(
                sheet.id(),
                sheet.name(),
                sheet.plan().made().kind(),
                Optional.of(fill.into().container().brim()),
                fill.into().count(),
                fill.each(),
                fill.into().count() * fill.each().grams() / whole,
                limits.keeps(sheet.course(), households.current().dayOf(at)).date(),
                Storage.COOL_DARK,
                limits.over(sheet.course(), households.current().dayOf(at)));
    }

    /** What stays in the pan is a lot too; poured from again, it falls by what was filled. */
    private Goods.NewGood rest(Makings.Sheet sheet, Mass left, double share, Instant at) {
        return new Goods.NewGood(
                sheet.id(),
                sheet.name() + ", left in the pan",
                Goods.LEFT,
                Optional.empty(),
                1,
                left,
                share,
                limits.keeps(sheet.course(), households.current().dayOf(at)).date(),
                Storage.COOL_DARK,
                limits.over(sheet.course(), households.current().dayOf(at)));
    }
}
