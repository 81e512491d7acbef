package app.velvetcrock.stock;

import app.velvetcrock.catalogue.Columns;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.measure.Worded;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finished oils as stock: as they were strained, and in their bottles. */
@Service
public class Oils {

    private static final Set<Cause> OPENINGS = Set.of(Cause.STRAINED, Cause.BOTTLED);
    static final Set<Cause> DRAWINGS = Set.of(Cause.DRAWN, Cause.GIVEN, Cause.SOLD);

    private final LotRepository lots;
    private final MovementRepository movements;
    private final Ledger ledger;
    private final Clock clock;

    Oils(LotRepository lots, MovementRepository movements, Ledger ledger, Clock clock) {
        this.lots = lots;
        this.movements = movements;
        this.ledger = ledger;
        this.clock = clock;
    }

    /** An oil to come into stock, still without any. */
    public record NewOil(
            UUID batch,
            String name,
            String carrierKey,
            Density density,
            LocalDate useBy,
            Storage place,
            String typed) {}

    /** Oils that are not used up, the first to be used first. */
    @Transactional(readOnly = true)
    public List<Stock.OfOil> inStock() {
        Map<UUID, Mass> atFirst = movements.openings(List.of(LotKind.INFUSED_OIL), OPENINGS).stream()
                .collect(Collectors.toMap(m -> m.lotId, m -> Mass.ofMilligrams(m.amount), Mass::plus));
        return lots.inStock(LotKind.INFUSED_OIL).stream()
                .map(lot -> oil(lot, atFirst.getOrDefault(lot.id, Mass.ofMilligrams(lot.balance))))
                .sorted(Comparator.comparing(Stock.OfOil::useBy).thenComparing(Stock.OfOil::id))
                .toList();
    }

    /** The same without what there was at first: where only what is left, its date and its place matter. */
    @Transactional(readOnly = true)
    public List<Stock.OfOil> left() {
        return lots.inStock(LotKind.INFUSED_OIL).stream()
                .map(lot -> oil(lot, Mass.ofMilligrams(lot.balance)))
                .sorted(Comparator.comparing(Stock.OfOil::useBy).thenComparing(Stock.OfOil::id))
                .toList();
    }

    @Transactional(readOnly = true)
    public Stock.OfOil find(UUID id) {
        Lot lot = infused(lots.findHere(id));
        Mass atFirst = movements.ofLot(id).stream()
                .filter(m -> OPENINGS.contains(m.cause) && m.amount > 0 && !movements.isReversed(m.id))
                .map(m -> Mass.ofMilligrams(m.amount))
                .reduce(Mass.ZERO, Mass::plus);
        return oil(lot, atFirst);
    }

    /** One without what there was at first. */
    @Transactional(readOnly = true)
    public Stock.OfOil leftOf(UUID id) {
        Lot lot = infused(lots.findHere(id));
        return oil(lot, Mass.ofMilligrams(lot.balance));
    }

    /** Makes an empty lot for an oil; the ledger then fills it. */
    @Transactional
    public UUID add(NewOil oil, Optional<Stock.OfBottle> bottle) {
        Lot lot = new Lot(LotKind.INFUSED_OIL, oil.carrierKey(), oil.name(), oil.typed(), clock.instant());
        lot.density = Columns.decimal(oil.density());
        lot.bestBefore = oil.useBy();
        lot.bottleMicrolitres = bottle.map(b -> b.size().toMicrolitres()).orElse(null);
        lot.oilPart =
                new Lot.OilPart(oil.batch(), bottle.map(Stock.OfBottle::glass).orElse(null), oil.place());
        return lots.saveAndFlush(lot).id;
    }

    /** Draws some out, to whom in words, and tells by which movement, so that it can be taken back. */
    @Transactional
    public UUID draw(UUID id, Mass amount, Cause cause, Instant at, String to) {
        Lot lot = infused(lots.lock(id));
        if (!DRAWINGS.contains(cause)) {
            throw new IllegalArgumentException("drawn for " + cause + "; it is one of " + DRAWINGS);
        }
        ledger.take(lot.id, amount, new Ledger.Why(cause, lot.batchId(), null, at, null, to));
        List<Movement> story = movements.ofLot(id);
        return story.get(story.size() - 1).id;
    }

    /** Takes a drawing back, once however often it is asked. */
    @Transactional
    public void takeBackDrawing(UUID id, UUID movement) {
        infused(lots.lock(id));
        Movement drawn = movements.findHere(id, movement).orElseThrow(() -> new NotHere("that drawing"));
        if (!DRAWINGS.contains(drawn.cause)) {
            throw new Refused("That was not drawn out by hand: take it back in the batch's log.");
        }
        if (!movements.isReversed(movement)) {
            ledger.reverse(drawn);
        }
    }

    /** Sets the day an oil is to be used by; the caller has its reason on record. */
    @Transactional
    public void setUseBy(UUID id, LocalDate date) {
        infused(lots.lock(id)).bestBefore = date;
    }

    private static Lot infused(Optional<Lot> lot) {
        return lot.filter(l -> l.kind == LotKind.INFUSED_OIL).orElseThrow(() -> new NotHere("that oil"));
    }

    private static Stock.OfOil oil(Lot lot, Mass atFirst) {
        Lot.OilPart part = Objects.requireNonNull(lot.oilPart);
        Optional<Stock.OfBottle> bottle = Optional.ofNullable(lot.bottleMicrolitres)
                .map(size -> new Stock.OfBottle(Volume.ofMicrolitres(size), Objects.requireNonNull(part.glass)));
        return new Stock.OfOil(
                lot.id,
                lot.name,
                part.batchId,
                Columns.density(lot.density).orElseThrow(),
                Objects.requireNonNull(lot.bestBefore),
                atFirst,
                Mass.ofMilligrams(lot.balance),
                Optional.ofNullable(part.place).orElse(Storage.COOL_DARK),
                bottle);
    }

    /** Why somebody takes some out. */
    public enum Taking implements Worded {
        DRAWN("to use", Cause.DRAWN),
        GIVEN("given away", Cause.GIVEN),
        SOLD("sold", Cause.SOLD);

        private final String word;
        private final Cause cause;

        Taking(String word, Cause cause) {
            this.word = word;
            this.cause = cause;
        }

        @Override
        public String word() {
            return word;
        }

        public Cause cause() {
            return cause;
        }

        /** What was done, as it is said afterwards: "given away". */
        public String done() {
            return cause.word();
        }

        /** What an open condition may hold back of it. */
        public Held held() {
            return cause.held().orElseThrow();
        }
    }
}
