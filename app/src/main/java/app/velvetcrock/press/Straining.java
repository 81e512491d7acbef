package app.velvetcrock.press;

import app.velvetcrock.batch.BatchLog;
import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.batch.Lineage;
import app.velvetcrock.batch.Retentions;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.keeping.Aftermath;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Sign;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.Finish;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Ledger;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.Refused;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Does the straining: writes down what came out of a batch, learns from it, and what was left when it had settled. */
@Component
class Straining implements Deeds.Hands {

    private final BatchLog log;
    private final Retentions retentions;
    private final Lineage lineage;
    private final Oils oils;
    private final Ledger ledger;
    private final Conditions conditions;
    private final Households households;
    private final Batches batches;

    Straining(
            BatchLog log,
            Retentions retentions,
            Lineage lineage,
            Oils oils,
            Ledger ledger,
            Conditions conditions,
            Households households,
            Batches batches) {
        this.log = log;
        this.retentions = retentions;
        this.lineage = lineage;
        this.oils = oils;
        this.ledger = ledger;
        this.conditions = conditions;
        this.households = households;
        this.batches = batches;
    }

    @Override
    public void takeUp(Deeds.Work work) {
        work.on(Deed.Strain.class, this::strain);
        work.on(Deed.Settle.class, this::settle);
    }

    private UUID strain(BatchSheet sheet, Doing<Deed.Strain> doing) {
        Deed.Strain deed = doing.deed();
        UUID id = sheet.id();
        House house = households.current();
        conditions.refuseHeld(id, Held.STRAIN, "on", doing.at());
        PlanRequest request = sheet.plan().request();
        Volume out = request.carrier().kind().density().volumeOf(deed.out());
        Finish finish = sheet.finish(house.dayOf(doing.at()));
        boolean water = deed.seen().water().millilitres() > 0;
        KeepUntil keep = Planner.keepUntil(
                request,
                finish.kept(
                        finish.storage(), new Aftermath(water, finish.after().scorched(), false, Antioxidant.NONE)));
        UUID lot = oils.add(
                new Oils.NewOil(
                        id,
                        sheet.name() + " in "
                                + request.carrier().kind().common().toLowerCase(Locale.ROOT),
                        request.carrier().kind().key(),
                        request.carrier().kind().density(),
                        keep.date(),
                        request.circumstances().storage(),
                        doing.typed()),
                Optional.empty());
        UUID entry = log.write(
                id, new Line.Strained(out, deed.out(), deed.pressing(), keep, lot, deed.learn(), deed.seen()), doing);
        ledger.put(lot, deed.out(), new Ledger.Why(Cause.STRAINED, id, entry, doing.at()));
        lineage.outOf(id, lot);
        conditions.found(deed.seen().conditions(), new Subject(id, lot, sheet.called()), Finding.by(entry, doing.at()));
        // What a blend keeps cannot be told apart by herb, and a handful is no weight: they teach nothing.
        if (deed.learn() && request.herbs().size() == 1 && !sheet.log().isByHand()) {
            retentions.learn(
                    entry,
                    request.herb(),
                    deed.pressing(),
                    sheet.kept(out.minusToZero(deed.seen().water())));
        }
        if (!deed.heat().isBlank()) {
            log.write(
                    id,
                    new Line.Noted(deed.heat()),
                    new Doing<>(UUID.randomUUID(), doing.at(), doing.by(), deed.heat(), deed));
        }
        if (!deed.lesson().isBlank()) {
            log.write(
                    id,
                    new Line.Lesson(deed.lesson().strip()),
                    new Doing<>(UUID.randomUUID(), doing.at(), doing.by(), "", deed));
        }
        return entry;
    }

    /** Water under it shortens its life. */
    private UUID settle(BatchSheet sheet, Doing<Deed.Settle> doing) {
        Deed.Settle deed = doing.deed();
        Line.Strained strained = sheet.strained().orElseThrow();
        Stock.OfOil oil = oils.find(strained.lot());
        if (deed.left().compareTo(oil.left()) > 0) {
            throw new Refused(
                    "left",
                    "Only %s of batch %d stands unbottled; no more than that can be left after settling."
                            .formatted(households.current().mass(oil.left()), sheet.number()),
                    "at most that");
        }
        LocalDate useBy = useByAfter(sheet, oil, deed.water());
        Volume left = oil.density().volumeOf(deed.left());
        UUID entry = log.write(
                sheet.id(), new Line.Settled(left, deed.left(), deed.water(), oil.id(), oil.useBy(), useBy), doing);
        ledger.take(
                oil.id(),
                Mass.ofMilligrams(oil.left().toMilligrams() - deed.left().toMilligrams()),
                new Ledger.Why(Cause.SETTLED, sheet.id(), entry, doing.at()));
        oils.setUseBy(oil.id(), useBy);
        learnAnew(sheet, strained, entry);
        conditions.dealtWith(Condition.WATER, oil.id(), "decanted off", entry);
        conditions.found(
                deed.smell().sign().flatMap(Sign::condition).stream().toList(),
                new Subject(sheet.id(), oil.id(), sheet.called()),
                Finding.by(entry, doing.at()));
        return entry;
    }

    /** What stayed behind was no oil: the clean oil teaches in the place of what was first measured. */
    private void learnAnew(BatchSheet before, Line.Strained strained, UUID entry) {
        PlanRequest request = before.plan().request();
        if (strained.learned() && request.herbs().size() == 1 && !before.log().isByHand()) {
            BatchSheet sheet = batches.sheet(before.id());
            sheet.log()
                    .oilOut()
                    .ifPresent(out -> retentions.learn(entry, request.herb(), strained.pressing(), sheet.kept(out)));
        }
    }

    private static LocalDate useByAfter(BatchSheet sheet, Stock.OfOil oil, Volume water) {
        if (water.millilitres() <= 0) {
            return oil.useBy();
        }
        Finish dry = sheet.finish(sheet.course().strainedOn().orElseThrow());
        LocalDate watery = Planner.keepUntil(
                        sheet.plan().request(),
                        dry.kept(oil.place(), new Aftermath(true, dry.after().scorched(), false, Antioxidant.NONE)))
                .date();
        return watery.isBefore(oil.useBy()) ? watery : oil.useBy();
    }
}
