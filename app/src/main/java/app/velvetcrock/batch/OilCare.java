package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.batch.BatchLog.Draft;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.keeping.Aftermath;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.keeping.MoistFood;
import app.velvetcrock.core.keeping.SniffTest;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.Finish;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stores.Cause;
import app.velvetcrock.stores.Glass;
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

/** What is done to a finished oil and belongs in its batch's log: bottling, sniffing, throwing out. */
@Service
public class OilCare {

    private final BatchLog log;
    private final Oils oils;
    private final Ledger ledger;
    private final Conditions conditions;
    private final Lineage lineage;
    private final Households households;

    OilCare(BatchLog log, Oils oils, Ledger ledger, Conditions conditions, Lineage lineage, Households households) {
        this.log = log;
        this.oils = oils;
        this.ledger = ledger;
        this.conditions = conditions;
        this.lineage = lineage;
        this.households = households;
    }

    /** So many bottles of a size, each filled with so much; where they stand. */
    public record Bottles(int count, Volume size, Glass glass, Storage place) {}

    /** Fills bottles from an oil that stands as it was strained; each becomes a lot of its own with its own date. */
    @Transactional
    public void bottle(UUID lot, Bottles bottles, Instant at, String typed, UUID key) {
        Stock.OfOil oil = oils.find(lot);
        BatchSheet sheet = log.locked(oil.batch());
        Stock.OfOil now = oils.find(lot);
        House house = households.current();
        if (now.bottle().isPresent()) {
            throw new Refused("That oil stands in a bottle already.");
        }
        Mass each = now.density().massOf(bottles.size());
        if (each.grams() * bottles.count() > now.left().grams() + each.grams() * (1 - 1e-9)) {
            throw new Refused("%s fill %d × %s at most; that is less than %d bottles. Nothing was bottled."
                    .formatted(
                            house.volume(now.volumeLeft()),
                            (int) Math.ceil(now.left().grams() / each.grams()),
                            house.volume(bottles.size()),
                            bottles.count()));
        }
        LocalDate useBy = keepIn(sheet, bottles.place(), bottles.glass()).date();
        String words = "Bottled %d × %s, %s, %s; use by %s"
                .formatted(
                        bottles.count(),
                        house.volume(bottles.size()),
                        bottles.glass().word(),
                        bottles.place().word(),
                        house.date(useBy));
        UUID entry = log.write(
                oil.batch(),
                Draft.of(Kind.BOTTLED, at, words, new LogValue.Bottled(lot, bottles.count(), bottles.size(), words)),
                key);
        Ledger.Why why = new Ledger.Why(Cause.BOTTLED, oil.batch(), entry, at);
        long rest = now.left().toMilligrams();
        for (int i = 1; i <= bottles.count(); i++) {
            Mass filled = Mass.ofMilligrams(Math.min(rest, each.toMilligrams()));
            rest -= filled.toMilligrams();
            UUID bottle = oils.add(
                    new Oils.NewOil(
                            oil.batch(),
                            now.name(),
                            sheet.plan().request().carrier().kind().key(),
                            now.density(),
                            useBy,
                            bottles.place(),
                            typed),
                    Optional.of(new Stock.OfBottle(bottles.size(), bottles.glass())));
            ledger.take(lot, filled, why);
            ledger.put(bottle, filled, why);
            lineage.outOf(oil.batch(), bottle);
        }
    }

    /** How long this batch's oil keeps at a place in a glass, with its sum. */
    @Transactional(readOnly = true)
    public KeepUntil keepIn(UUID lot, Storage place, Glass glass) {
        return keepIn(log.sheet(oils.find(lot).batch()), place, glass);
    }

    /** Writes down a sniff test. A pass may lengthen the date; what it came to is said. */
    @Transactional
    public SniffTest sniff(UUID lot, boolean passed, Instant at, UUID key) {
        UUID batch = oils.find(lot).batch();
        BatchSheet sheet = log.locked(batch);
        Stock.OfOil oil = oils.find(lot);
        SniffTest test =
                passed ? passed(sheet, oil, at) : new SniffTest(oil.useBy(), false, "throw it out if it smells off");
        LogValue.Sniffed value = new LogValue.Sniffed(lot, passed, oil.useBy(), test.useBy(), test.why());
        UUID entry = log.write(batch, Draft.of(Kind.SNIFFED, at, "", value), key);
        if (!passed) {
            conditions.found(List.of(Condition.OFF), subject(sheet, oil), Finding.by(entry, at));
        }
        oils.setUseBy(lot, test.useBy());
        return test;
    }

    /** Throws an oil out; its cause and lesson stay in its batch's log. */
    @Transactional
    public void discard(UUID lot, Ruin ruin, String lesson, Instant at, UUID key) {
        UUID batch = oils.find(lot).batch();
        log.locked(batch);
        Stock.OfOil oil = oils.find(lot);
        if (oil.left().toMilligrams() == 0) {
            throw new Refused("Nothing of that oil is left, so there is nothing to throw out.");
        }
        UUID entry =
                log.write(batch, Draft.of(Kind.DISCARDED, at, lesson, new LogValue.Discarded(ruin, lesson, lot)), key);
        ledger.take(lot, oil.left(), new Ledger.Why(Cause.DISCARDED, batch, entry, at));
    }

    /** Draws some out, and tells by which movement, so that it can be taken back; food that keeps for days only is not passed on. */
    @Transactional
    public UUID draw(UUID lot, Mass amount, Cause cause) {
        BatchSheet sheet = log.sheet(oils.find(lot).batch());
        if (cause != Cause.DRAWN && sheet.plan().isMoistFood()) {
            throw new Refused("Food oil of moist herb is never given away or sold: %s.".formatted(MoistFood.RULE));
        }
        return oils.draw(lot, amount, cause);
    }

    /** Writes down that something is wrong with an oil, which holds it back until that is answered. */
    @Transactional
    public void wrong(UUID lot, Condition what, String words, Instant at) {
        Stock.OfOil oil = oils.find(lot);
        conditions.found(List.of(what), subject(log.locked(oil.batch()), oil), new Finding(at, null, words));
    }

    private static Subject subject(BatchSheet sheet, Stock.OfOil oil) {
        return new Subject(sheet.id(), oil.id(), "%s, batch %d".formatted(oil.name(), sheet.number()));
    }

    private KeepUntil keepIn(BatchSheet sheet, Storage place, Glass glass) {
        return Planner.keepUntil(sheet.plan().request(), finish(sheet, place, glass));
    }

    private SniffTest passed(BatchSheet sheet, Stock.OfOil oil, Instant at) {
        House house = households.current();
        PlanRequest request = sheet.plan().request();
        Finish finish = finish(
                sheet, oil.place(), oil.bottle().map(Stock.OfBottle::glass).orElse(Glass.DARK));
        Optional<LocalDate> last = sheet.log().entries().stream()
                .filter(entry -> entry.what() instanceof Entry.Sniffed sniffed && sniffed.passed())
                .map(entry -> house.dayOf(entry.happenedAt()))
                .reduce((a, b) -> b);
        boolean never = request.circumstances().use() == Use.FOOD
                || finish.after().waterDecanted()
                || request.wettest() == Moisture.JUICY
                || sheet.plan().mark().isPresent();
        return SniffTest.passed(oil.useBy(), house.dayOf(at), Planner.latest(request, finish), last, never);
    }

    private static Finish finish(BatchSheet sheet, Storage place, Glass glass) {
        Finish strained = Straining.finish(sheet, sheet.course().strainedOn().orElseThrow());
        boolean light = glass == Glass.CLEAR && (place == Storage.ROOM || place == Storage.WARM);
        boolean water = Straining.hadWater(sheet);
        return strained.kept(place, new Aftermath(water, strained.after().scorched(), light, false));
    }
}
