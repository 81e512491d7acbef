package app.velvetcrock.hob;

import app.velvetcrock.batch.Lineage;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.melt.PanDeeds;
import app.velvetcrock.melt.PanLimits;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Ledger;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts made things back into the pan: what was soft, grainy or hard is melted again as a making of its own. */
@Service
public class Remelting {

    private static final int LONGEST_NAME = 90;
    private static final double MILLIGRAMS = 1000;

    private final PanDeeds deeds;
    private final Makings makings;
    private final Goods goods;
    private final Ledger ledger;
    private final Lineage lineage;
    private final PanLimits limits;
    private final Households households;

    Remelting(
            PanDeeds deeds,
            Makings makings,
            Goods goods,
            Ledger ledger,
            Lineage lineage,
            PanLimits limits,
            Households households) {
        this.limits = limits;
        this.households = households;
        this.deeds = deeds;
        this.makings = makings;
        this.goods = goods;
        this.ledger = ledger;
        this.lineage = lineage;
    }

    /**
     * Melts so many pieces again, or so many milligrams of what stayed in a pan; what was stirred in is in it still.
     *
     * @return the new making, which keeps no longer than what it is made of
     */
    @Transactional
    public UUID remelt(UUID lot, long amount, Doing<?> doing) {
        Stock.OfGood good = goods.find(lot);
        Makings.Sheet from = makings.sheet(good.batch());
        double grams = good.inPieces() ? amount * good.each().grams() : amount / MILLIGRAMS;
        MakingCourse course = from.course();
        double share = grams / course.toPour(from.holding()).grams();
        Formula again = course.formula().times(share);
        MakingPlan before = from.plan();
        String name = before.made().name() + ", remelted";
        MakingPlan plan = new MakingPlan(
                        MakingPlan.RULES,
                        new MakingPlan.Made(
                                before.made().kind(),
                                before.made().word(),
                                name.length() > LONGEST_NAME ? before.made().name() : name,
                                before.made().whipped(),
                                before.made().wax()),
                        before.firmness(),
                        again.parts().stream()
                                .map(part -> new MakingPlan.Weighed(part, java.util.Optional.empty()))
                                .toList(),
                        List.of(),
                        before.into(),
                        before.use(),
                        before.room(),
                        good.useBy(),
                        course.keeps().why(),
                        limits.over(course, households.current().dayOf(doing.at())),
                        before.cautions())
                .with(
                        List.of(),
                        course.stirred().stream()
                                .map(one -> one.addition().times(share))
                                .toList());
        return deeds.begin(plan, plan.weighed(), doing, (id, why) -> {
            if (good.inPieces()) {
                ledger.takePieces(lot, (int) amount, why);
            } else {
                ledger.take(lot, Mass.ofMilligrams(amount), why);
            }
            lineage.into(id, lot);
        });
    }
}
