package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.batch.BatchLog.Draft;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.keeping.Aftermath;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Sign;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.Finish;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stores.Cause;
import app.velvetcrock.stores.Ledger;
import app.velvetcrock.stores.Oils;
import app.velvetcrock.stores.Stock;
import app.velvetcrock.web.Refused;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes down what came out of a batch, learns from it, and what was left when it had settled. */
@Service
public class Straining {

    private final BatchLog log;
    private final Retentions retentions;
    private final Lineage lineage;
    private final Oils oils;
    private final Ledger ledger;
    private final Conditions conditions;
    private final Households households;

    Straining(
            BatchLog log,
            Retentions retentions,
            Lineage lineage,
            Oils oils,
            Ledger ledger,
            Conditions conditions,
            Households households) {
        this.log = log;
        this.retentions = retentions;
        this.lineage = lineage;
        this.oils = oils;
        this.ledger = ledger;
        this.conditions = conditions;
        this.households = households;
    }

    /** What came out and what it was like. */
    public record Strain(
            Mass mass,
            Pressing pressing,
            Instant at,
            boolean learn,
            StrainedValue.Seen seen,
            String typed,
            String note) {}

    /** What was left when it had settled, and the water that lay under it. */
    public record Settle(Mass mass, Volume water, Smell smell, Instant at, String typed) {}

    /** Writes down what came out; refused when somebody has strained it already. */
    @Transactional
    public UUID strain(UUID id, Strain strain, UUID key) {
        BatchSheet sheet = log.locked(id);
        House house = households.current();
        sheet.strained().ifPresent(done -> {
            throw new Refused("Batch %d was strained already: %s came out. Nothing was written twice."
                    .formatted(sheet.number(), house.volume(done.out())));
        });
        if (sheet.course().state() != Course.State.STANDING) {
            throw new Refused(
                    "Batch %d does not stand any more, so there is nothing to strain.".formatted(sheet.number()));
        }
        conditions.refuseHeld(id, null, Held.STRAIN);
        PlanRequest request = sheet.plan().request();
        Volume out = request.carrier().kind().density().volumeOf(strain.mass());
        Finish finish = finish(sheet, house.dayOf(strain.at()));
        boolean water = strain.seen().water().millilitres() > 0;
        KeepUntil keep = Planner.keepUntil(
                request,
                finish.kept(
                        finish.storage(), new Aftermath(water, finish.after().scorched(), false, false)));
        UUID lot = oils.add(
                new Oils.NewOil(
                        id,
                        sheet.name() + " in "
                                + request.carrier().kind().common().toLowerCase(java.util.Locale.ROOT),
                        request.carrier().kind().key(),
                        request.carrier().kind().density(),
                        keep.date(),
                        request.circumstances().storage(),
                        strain.typed()),
                Optional.empty());
        StrainedValue value =
                new StrainedValue(out, strain.mass(), strain.pressing(), keep, lot, strain.learn(), strain.seen());
        UUID entry = log.write(id, Draft.of(Kind.STRAINED, strain.at(), strain.typed(), value), key);
        ledger.put(lot, strain.mass(), new Ledger.Why(Cause.STRAINED, id, entry, strain.at()));
        lineage.outOf(id, lot);
        conditions.found(
                StrainedValue.conditions(strain.seen()),
                new Subject(id, lot, sheet.called()),
                Finding.by(entry, strain.at()));
        // What a blend keeps cannot be told apart by herb, so it teaches nothing.
        if (strain.learn() && request.herbs().size() == 1) {
            retentions.learn(entry, request.herb(), strain.pressing(), kept(sheet, out));
        }
        if (!strain.note().isBlank()) {
            log.write(
                    id,
                    Draft.of(
                            Kind.NOTED,
                            strain.at(),
                            "Next time: " + strain.note().strip(),
                            List.of()),
                    UUID.randomUUID());
        }
        return lot;
    }

    /** What this straining shows the herb to keep, mL per g. */
    public static double kept(BatchSheet sheet, Volume out) {
        return Retention.measured(
                sheet.oilIn(), out, sheet.course().charge().herbs().mass());
    }

    /** Writes down what was left after settling; water under it shortens its life. */
    @Transactional
    public void settle(UUID id, Settle settle, UUID key) {
        BatchSheet sheet = log.locked(id);
        StrainedValue strained = sheet.strained()
                .orElseThrow(() ->
                        new Refused("Batch %d is not strained, so nothing has settled.".formatted(sheet.number())));
        Stock.OfOil oil = oils.find(strained.lot());
        if (settle.mass().compareTo(oil.left()) > 0) {
            throw new Refused("Only %s of batch %d stands unbottled; no more than that can be left after settling."
                    .formatted(households.current().mass(oil.left()), sheet.number()));
        }
        LocalDate useBy = useByAfter(sheet, strained, oil, settle.water());
        Volume left = oil.density().volumeOf(settle.mass());
        UUID entry = log.write(
                id,
                Draft.of(
                        Kind.SETTLED,
                        settle.at(),
                        settle.typed(),
                        new LogValue.Settled(left, settle.mass(), settle.water(), oil.id(), oil.useBy(), useBy)),
                key);
        ledger.take(
                oil.id(),
                Mass.ofMilligrams(oil.left().toMilligrams() - settle.mass().toMilligrams()),
                new Ledger.Why(Cause.SETTLED, id, entry, settle.at()));
        oils.setUseBy(oil.id(), useBy);
        conditions.dealtWith(Condition.WATER, oil.id(), "decanted off", entry);
        conditions.found(
                settle.smell().sign().flatMap(Sign::condition).stream().toList(),
                new Subject(id, oil.id(), sheet.called()),
                Finding.by(entry, settle.at()));
    }

    private LocalDate useByAfter(BatchSheet sheet, StrainedValue strained, Stock.OfOil oil, Volume water) {
        if (water.millilitres() <= 0) {
            return oil.useBy();
        }
        Finish dry = finish(sheet, sheet.course().strainedOn().orElseThrow());
        LocalDate watery = Planner.keepUntil(
                        sheet.plan().request(),
                        dry.kept(oil.place(), new Aftermath(true, dry.after().scorched(), false, false)))
                .date();
        return watery.isBefore(oil.useBy()) ? watery : oil.useBy();
    }

    /** Tells whether water lay under the oil, at straining or after settling. */
    static boolean hadWater(BatchSheet sheet) {
        boolean atStraining = sheet.strained()
                .filter(strained -> strained.seen().water().millilitres() > 0)
                .isPresent();
        return atStraining
                || sheet.log().all(Entry.Settled.class).stream()
                        .anyMatch(settled -> settled.water().millilitres() > 0);
    }

    /** How a batch really came to its end: what it was topped up from, how hot it got. */
    static Finish finish(BatchSheet sheet, LocalDate strainedOn) {
        return new Finish(
                strainedOn,
                sheet.plan().request().circumstances().storage(),
                new Aftermath(false, sheet.course().isScorched(), false, false),
                sheet.course().peak(),
                sheet.log().all(Entry.ToppedUp.class).stream()
                        .map(Entry.ToppedUp::bottle)
                        .toList());
    }
}
