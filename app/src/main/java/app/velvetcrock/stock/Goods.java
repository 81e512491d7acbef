package app.velvetcrock.stock;

import app.velvetcrock.catalogue.Columns;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Made things as stock: tins, jars and bars by the piece, what stayed in a pan by weight. */
@Service
public class Goods {

    /** The kind key of what stayed in a pan. */
    public static final String LEFT = "left-in-the-pan";

    /** The kind key of what is in a pan: a lot that what is weighed in goes into, and what is poured comes out of. */
    static final String MELT = "melt";

    private final LotRepository lots;
    private final MovementRepository movements;
    private final Ledger ledger;
    private final Costs costs;
    private final Clock clock;

    Goods(LotRepository lots, MovementRepository movements, Ledger ledger, Costs costs, Clock clock) {
        this.lots = lots;
        this.movements = movements;
        this.ledger = ledger;
        this.costs = costs;
        this.clock = clock;
    }

    /**
     * A made thing to come into stock.
     *
     * @param holds what one holds to the brim; absent for what stayed in the pan
     * @param amount pieces, or milligrams
     * @param each what is in one; of what stayed, all of it
     * @param share of the batch's cost it bears, 0 to 1
     */
    public record NewGood(
            UUID batch,
            String name,
            String kind,
            Optional<Volume> holds,
            int amount,
            Mass each,
            double share,
            LocalDate useBy,
            Storage place,
            Optional<String> keptBack) {}

    /** Makes an empty lot for it; the line that pours it then fills it. */
    @Transactional
    public UUID add(NewGood good) {
        Lot lot = new Lot(LotKind.MADE, good.kind(), good.name(), "", clock.instant());
        lot.bestBefore = good.useBy();
        lot.oilPart = new Lot.OilPart(good.batch(), null, good.place());
        lot.keptBack = good.keptBack().orElse(null);
        good.holds().ifPresent(size -> {
            lot.unit = Stock.Unit.PIECE;
            lot.bottleMicrolitres = size.toMicrolitres();
            lot.density = Columns.decimal(Density.between(good.each(), size));
        });
        return lots.saveAndFlush(lot).id;
    }

    /** What is in a pan. */
    public record Melt(UUID lot, Mass left) {}

    /** Makes an empty lot for what goes into a pan. */
    @Transactional(propagation = Propagation.MANDATORY)
    public UUID addMelt(UUID batch, String name, LocalDate useBy) {
        Lot lot = new Lot(LotKind.MADE, MELT, name + ", in the pan", "", clock.instant());
        lot.bestBefore = useBy;
        lot.oilPart = new Lot.OilPart(batch, null, Storage.COOL_DARK);
        return lots.saveAndFlush(lot).id;
    }

    /** What is in the pan of a making, locked; absent for one begun before melts were kept as stock. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<Melt> meltOf(UUID batch) {
        return lots.meltOf(batch).map(lot -> new Melt(lot.id, Mass.ofMilligrams(lot.balance)));
    }

    /** Fills it, and lets it bear its share of what the batch cost so far; taking back the line takes it out again. */
    @Transactional
    public void fill(UUID id, NewGood good, Ledger.Why why) {
        long amount = good.holds().isPresent() ? good.amount() : good.each().toMilligrams();
        ledger.change(id, amount, why);
        made(lots.lock(id))
                .bear(costs.ofBatch(good.batch()).map(cost -> cost.minor() * good.share()), Math.max(1, amount));
    }

    /** Lets all that was poured of a making bear why it is kept back, or that it is not. */
    @Transactional
    public void judged(UUID batch, Optional<String> keptBack) {
        lots.madeOf(batch).forEach(lot -> lot.keptBack = keptBack.orElse(null));
    }

    /** What is not used up, the first to be used first. */
    @Transactional(readOnly = true)
    public List<Stock.OfGood> inStock() {
        return lots.inStock(LotKind.MADE).stream()
                .map(Goods::good)
                .sorted(Comparator.comparing(Stock.OfGood::useBy).thenComparing(Stock.OfGood::id))
                .toList();
    }

    /** Which oils and made things were written down since then and are not used up. */
    @Transactional(readOnly = true)
    public Set<UUID> madeSince(Instant since) {
        return lots.inStock(List.of(LotKind.MADE, LotKind.INFUSED_OIL)).stream()
                .filter(lot -> !lot.createdAt.isBefore(since))
                .map(lot -> lot.id)
                .collect(Collectors.toSet());
    }

    @Transactional(readOnly = true)
    public Stock.OfGood find(UUID id) {
        return good(made(lots.findHere(id)));
    }

    /** Tells whether a lot is a made thing. */
    @Transactional(readOnly = true)
    public boolean isGood(UUID id) {
        return lots.findHere(id)
                .filter(lot -> lot.kind == LotKind.MADE && !lot.isMelt())
                .isPresent();
    }

    /** Draws some pieces out, or so many milligrams of what is weighed, and tells by which movement. */
    @Transactional
    public UUID draw(UUID id, long amount, Cause cause, Instant at) {
        return draw(id, amount, cause, at, "");
    }

    /** The same with to whom, or why, in words. */
    @Transactional
    public UUID draw(UUID id, long amount, Cause cause, Instant at, String words) {
        Lot lot = made(lots.lock(id));
        ledger.change(lot.id, -amount, new Ledger.Why(cause, lot.batchId(), null, at, null, words));
        List<Movement> story = movements.ofLot(id);
        return story.get(story.size() - 1).id;
    }

    /** Takes a drawing, or a throwing out, back, once however often it is asked. */
    @Transactional
    public void takeBackDrawing(UUID id, UUID movement) {
        made(lots.lock(id));
        Movement drawn = movements.findHere(id, movement).orElseThrow(() -> new NotHere("that drawing"));
        if (!Oils.DRAWINGS.contains(drawn.cause) && drawn.cause != Cause.DISCARDED) {
            throw new Refused("That was not drawn out by hand: take it back at the pan.");
        }
        if (!movements.isReversed(movement)) {
            ledger.reverse(drawn);
        }
    }

    private static Lot made(Optional<Lot> lot) {
        return lot.filter(one -> one.kind == LotKind.MADE && !one.isMelt())
                .orElseThrow(() -> new NotHere("that made thing"));
    }

    private static Stock.OfGood good(Lot lot) {
        Lot.OilPart part = Objects.requireNonNull(lot.oilPart);
        Optional<Volume> holds = Optional.ofNullable(lot.bottleMicrolitres).map(Volume::ofMicrolitres);
        return new Stock.OfGood(
                lot.id,
                lot.name,
                lot.kindKey,
                part.batchId,
                holds,
                holds.flatMap(size -> Columns.density(lot.density).map(density -> density.massOf(size)))
                        .orElse(Mass.ZERO),
                Objects.requireNonNull(lot.bestBefore),
                Optional.ofNullable(part.place).orElse(Storage.COOL_DARK),
                lot.balance,
                Optional.ofNullable(lot.keptBack));
    }
}
