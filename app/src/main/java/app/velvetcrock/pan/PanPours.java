package app.velvetcrock.pan;

import app.velvetcrock.batch.Lineage;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Ledger;
import app.velvetcrock.web.Refused;
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

    private final PanWork work;
    private final Makings makings;
    private final Ledger ledger;
    private final Lineage lineage;
    private final Goods goods;
    private final PanLimits limits;
    private final Households households;

    PanPours(
            PanWork work,
            Makings makings,
            Ledger ledger,
            Lineage lineage,
            Goods goods,
            PanLimits limits,
            Households households) {
        this.work = work;
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

    /** So many containers of one kind to fill, each with so much. */
    public record Fill(MakingPlan.Into into, Mass each) {}

    /** Pours what was made, or what stayed in the pan: containers are taken, what they become comes into stock. */
    @Transactional
    public UUID poured(UUID id, List<Fill> fills, Doing<?> doing) {
        Makings.Sheet sheet = work.begun(id, doing);
        MakingCourse course = sheet.course();
        Optional<MakingLine.Poured> before = course.poured();
        Mass there = before.map(MakingLine.Poured::left).orElseGet(() -> course.toPour(sheet.holding()));
        double filled = fills.stream()
                .mapToDouble(fill -> fill.into().count() * fill.each().grams())
                .sum();
        if (filled > there.grams() * 1.005 + NOTHING) {
            throw new Refused(
                    "count",
                    "That would be %d g, and only %d g is in the pan."
                            .formatted(Math.round(filled), Math.round(there.grams())),
                    "fewer, or less in each");
        }
        Mass left = Mass.ofGrams(Math.max(0, there.grams() - filled));
        double whole = Math.max(NOTHING, course.toPour(sheet.holding()).grams());
        List<Goods.NewGood> made = new ArrayList<>();
        List<UUID> lots = new ArrayList<>();
        List<MakingLine.Poured.Filled> lines = new ArrayList<>();
        for (Fill fill : fills) {
            Goods.NewGood good = good(sheet, fill, whole, doing.at());
            made.add(good);
            lots.add(goods.add(good));
            lines.add(new MakingLine.Poured.Filled(
                    fill.into().container(), fill.into().count(), fill.each(), lots.get(lots.size() - 1)));
        }
        Optional<UUID> again = before.flatMap(MakingLine.Poured::leftLot);
        Optional<Goods.NewGood> rest = left.grams() < NOTHING || again.isPresent()
                ? Optional.empty()
                : Optional.of(rest(sheet, left, left.grams() / whole, doing.at()));
        Optional<UUID> restLot = rest.map(goods::add);
        UUID entry = makings.write(
                id,
                new Line.Panned(new MakingLine.Poured(
                        lines, left, left.grams() < NOTHING ? Optional.empty() : restLot.or(() -> again))),
                doing);
        Ledger.Why used = new Ledger.Why(Cause.USED, id, entry, doing.at());
        Ledger.Why poured = new Ledger.Why(Cause.POURED, id, entry, doing.at());
        again.ifPresent(lot -> ledger.take(
                lot,
                Mass.ofMilligrams(goods.find(lot).left() - (left.grams() < NOTHING ? 0 : left.toMilligrams())),
                used));
        fills.stream().filter(fill -> !fill.into().container().mould()).forEach(fill -> fill.into()
                .lot()
                .ifPresent(from -> ledger.takePieces(from, fill.into().count(), used)));
        for (int i = 0; i < made.size(); i++) {
            goods.fill(lots.get(i), made.get(i), poured);
            lineage.outOf(id, lots.get(i));
        }
        rest.ifPresent(good -> {
            goods.fill(restLot.orElseThrow(), good, poured);
            lineage.outOf(id, restLot.orElseThrow());
        });
        return entry;
    }

    private Goods.NewGood good(Makings.Sheet sheet, Fill fill, double whole, Instant at) {
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
