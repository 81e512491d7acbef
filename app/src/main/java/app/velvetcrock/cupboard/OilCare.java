package app.velvetcrock.cupboard;

import app.velvetcrock.batch.BatchLog;
import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.batch.Lineage;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.keeping.SniffTest;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.planning.Finish;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Ledger;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.Refused;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done to a finished oil and belongs in its batch's log: bottling, sniffing, throwing out. */
@Service
class OilCare implements Deeds.Hands {

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

    @Override
    public void takeUp(Deeds.Work work) {
        work.on(Deed.Bottle.class, this::bottle);
        work.on(Deed.Sniff.class, this::sniff);
        work.on(Deed.Draw.class, this::draw);
    }

    /** Each bottle becomes a lot of its own with its own date. */
    private UUID bottle(BatchSheet sheet, Doing<Deed.Bottle> doing) {
        Deed.Bottle deed = doing.deed();
        Stock.OfOil oil = oils.find(deed.lot());
        House house = households.current();
        if (oil.bottle().isPresent()) {
            throw new Refused("That oil stands in a bottle already.");
        }
        Mass each = oil.density().massOf(deed.size());
        if (each.grams() * deed.count() > oil.left().grams() + each.grams() * (1 - 1e-9)) {
            throw new Refused(
                    "count",
                    "%s fill %d × %s at most; that is less than %d bottles. Nothing was bottled."
                            .formatted(
                                    house.volume(oil.volumeLeft()),
                                    (int) Math.ceil(oil.left().grams() / each.grams()),
                                    house.volume(deed.size()),
                                    deed.count()),
                    "fewer, or smaller ones");
        }
        LocalDate useBy = Planner.keepUntil(
                        sheet.plan().request(), finish(sheet, deed.place(), deed.glass(), deed.with()))
                .date();
        List<UUID> filled = new ArrayList<>();
        for (int i = 1; i <= deed.count(); i++) {
            filled.add(oils.add(
                    new Oils.NewOil(
                            sheet.id(),
                            oil.name(),
                            sheet.plan().request().carrier().kind().key(),
                            oil.density(),
                            useBy,
                            deed.place(),
                            doing.typed()),
                    Optional.of(new Stock.OfBottle(deed.size(), deed.glass()))));
        }
        Line line = new Line.Bottled(
                deed.lot(),
                deed.count(),
                deed.size(),
                Optional.of(new Line.Bottled.Into(deed.glass(), deed.place(), useBy, filled, Optional.of(deed.with()))),
                Optional.empty());
        UUID entry = log.write(sheet.id(), line, doing);
        fill(
                deed.lot(),
                filled,
                new Fill(oil.left(), each),
                new Ledger.Why(Cause.BOTTLED, sheet.id(), entry, doing.at()));
        deed.empties()
                .ifPresent(empties -> ledger.takePieces(
                        empties, deed.count(), new Ledger.Why(Cause.BOTTLED, sheet.id(), entry, doing.at())));
        return entry;
    }

    /** What there is to fill, and how much a bottle takes. */
    private record Fill(Mass left, Mass each) {}

    private void fill(UUID from, List<UUID> bottles, Fill fill, Ledger.Why why) {
        long rest = fill.left().toMilligrams();
        for (UUID bottle : bottles) {
            Mass share = Mass.ofMilligrams(Math.min(rest, fill.each().toMilligrams()));
            rest -= share.toMilligrams();
            ledger.take(from, share, why);
            ledger.put(bottle, share, why);
            lineage.outOf(Objects.requireNonNull(why.batch()), bottle);
        }
    }

    /** How long this batch's oil keeps at a place in a glass, with its sum. */
    @Transactional(readOnly = true)
    public KeepUntil keepIn(UUID lot, Storage place, Glass glass) {
        BatchSheet sheet = log.sheet(oils.find(lot).batch());
        return Planner.keepUntil(sheet.plan().request(), finish(sheet, place, glass, with(sheet, lot)));
    }

    /** A pass may lengthen the date; what it came to stands in the line. */
    private UUID sniff(BatchSheet sheet, Doing<Deed.Sniff> doing) {
        Stock.OfOil oil = oils.find(doing.deed().lot());
        SniffTest test = doing.deed().passed()
                ? passed(sheet, oil, doing.at())
                : new SniffTest(oil.useBy(), false, "throw it out if it smells off");
        UUID entry = log.write(
                sheet.id(),
                new Line.Sniffed(oil.id(), doing.deed().passed(), oil.useBy(), test.useBy(), test.why()),
                doing);
        if (!doing.deed().passed()) {
            conditions.found(
                    List.of(Condition.OFF),
                    new Subject(sheet.id(), oil.id(), "%s, batch %d".formatted(oil.name(), sheet.number())),
                    Finding.by(entry, doing.at()));
        }
        oils.setUseBy(oil.id(), test.useBy());
        return entry;
    }

    private UUID draw(BatchSheet sheet, Doing<Deed.Draw> doing) {
        Cause cause =
                switch (doing.deed().what()) {
                    case GIVE -> Cause.GIVEN;
                    case SELL -> Cause.SOLD;
                    case USE, SHAKE, STRAIN, BOTTLE, DRAW -> Cause.DRAWN;
                };
        return oils.draw(
                doing.deed().lot(),
                doing.deed().amount(),
                cause,
                doing.at(),
                doing.deed().to());
    }

    /** What was stirred into a bottle when it was filled. */
    private static Antioxidant with(BatchSheet sheet, UUID lot) {
        return sheet.log().all(Line.Bottled.class).stream()
                .flatMap(line -> line.into().stream())
                .filter(into -> into.lots().contains(lot))
                .findFirst()
                .map(Line.Bottled.Into::antioxidant)
                .orElse(Antioxidant.NONE);
    }

    private SniffTest passed(BatchSheet sheet, Stock.OfOil oil, Instant at) {
        House house = households.current();
        PlanRequest request = sheet.plan().request();
        Finish finish = finish(
                sheet, oil.place(), oil.bottle().map(Stock.OfBottle::glass).orElse(Glass.DARK), with(sheet, oil.id()));
        Optional<LocalDate> last = sheet.log().entries().stream()
                .filter(entry -> entry.line() instanceof Line.Sniffed sniffed && sniffed.passed())
                .map(entry -> house.dayOf(entry.happenedAt()))
                .reduce((a, b) -> b);
        boolean never = !sheet.plan().smellMayLengthen(finish.after());
        return SniffTest.passed(oil.useBy(), house.dayOf(at), Planner.latest(request, finish), last, never);
    }

    private static Finish finish(BatchSheet sheet, Storage place, Glass glass, Antioxidant with) {
        return sheet.finish(sheet.course().strainedOn().orElseThrow()).bottled(place, glass, sheet.hadWater(), with);
    }
}
