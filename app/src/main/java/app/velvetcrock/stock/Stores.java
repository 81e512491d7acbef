package app.velvetcrock.stock;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.catalogue.Columns;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the household has to work with. */
@Service
public class Stores implements Catalogue.Stored {

    /** How a lot of the stores begins. */
    private static final Set<Cause> OPENINGS = EnumSet.of(
            Cause.BOUGHT, Cause.GATHERED, Cause.DRIED, Cause.SPLIT, Cause.PROCESSED, Cause.MERGED, Cause.BLENDED);

    private final LotRepository lots;
    private final MovementRepository movements;
    private final LotEdges edges;
    private final Ledger ledger;
    private final Materia materia;
    private final Catalogue catalogue;
    private final Clock clock;

    Stores(
            LotRepository lots,
            MovementRepository movements,
            LotEdges edges,
            Ledger ledger,
            Materia materia,
            Catalogue catalogue,
            Clock clock) {
        this.lots = lots;
        this.movements = movements;
        this.edges = edges;
        this.ledger = ledger;
        this.materia = materia;
        this.catalogue = catalogue;
        this.clock = clock;
    }

    /** Tells whether more is in stock than one page reads. */
    @Transactional(readOnly = true)
    public boolean isMore() {
        return lots.inStock(EnumSet.allOf(LotKind.class)).size() == LotRepository.MOST;
    }

    @Transactional(readOnly = true)
    public List<Stock.OfHerb> herbs() {
        Map<String, HerbKind> kinds = catalogue.herbs().stream().collect(Collectors.toMap(HerbKind::key, kind -> kind));
        return lots.inStock(LotKind.HERB).stream()
                .map(lot -> herb(lot, Objects.requireNonNull(kinds.get(lot.kindKey))))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<Stock.OfCarrier> carriers() {
        Map<String, CarrierKind> kinds =
                catalogue.carriers().stream().collect(Collectors.toMap(CarrierKind::key, kind -> kind));
        return lots.inStock(LotKind.CARRIER).stream()
                .map(lot -> carrier(lot, Objects.requireNonNull(kinds.get(lot.kindKey))))
                .toList();
    }

    /** The bottles in stock of one kind, which is known. */
    @Transactional(readOnly = true)
    public List<Stock.OfCarrier> carriers(CarrierKind kind) {
        return lots.inStock(LotKind.CARRIER).stream()
                .filter(lot -> lot.kindKey.equals(kind.key()))
                .map(lot -> carrier(lot, kind))
                .toList();
    }

    @Transactional
    public UUID add(Arrival.Herb herb) {
        HerbKind kind = herb.kind();
        Lot lot = new Lot(LotKind.HERB, kind.key(), kind.common(), herb.typed(), clock.instant());
        lot.words = Catalogue.words(kind.common(), kind.botanical(), kind.synonyms());
        lot.bestBefore = herb.bestBefore();
        lot.herbPart = new Lot.HerbPart(herb.part(), herb.cut(), herb.moisture());
        lot.acquiredOn = herb.acquired();
        return bringIn(lot, herb.mass().toMilligrams(), herb.provenance());
    }

    @Transactional
    public UUID add(Arrival.Carrier carrier) {
        Lot lot = new Lot(
                LotKind.CARRIER, carrier.kind().key(), carrier.kind().common(), carrier.typed(), clock.instant());
        lot.density = Columns.decimal(carrier.kind().density());
        lot.opened(carrier.opened());
        lot.bestBefore = carrier.bestBefore();
        return bringIn(lot, carrier.mass().toMilligrams(), carrier.provenance());
    }

    @Transactional
    public UUID add(Arrival.Supply supply) {
        SupplyKind kind = supply.kind();
        Lot lot = new Lot(LotKind.of(kind.type()), kind.key(), kind.common(), supply.typed(), clock.instant());
        lot.words = Catalogue.words(kind.common(), kind.botanical(), kind.synonyms());
        lot.density = Columns.decimal(supply.density());
        lot.opened(supply.opened());
        lot.bestBefore = supply.bestBefore();
        lot.abv = supply.abv();
        return bringIn(lot, supply.mass().toMilligrams(), supply.provenance());
    }

    /**
     * Brings in what was at hand all along and never written down: just so much of an oil, a butter, a wax or an addition.
     *
     * @param key in the catalogue
     * @param typed its amount in words
     */
    @Transactional
    public UUID bring(String key, Mass mass, String typed) {
        return catalogue
                .carrier(key)
                .map(kind -> add(new Arrival.Carrier(kind, mass, null, null, Provenance.UNSAID, typed)))
                .or(() -> materia.supply(key)
                        .map(kind -> add(new Arrival.Supply(
                                kind, mass, kind.density(), null, null, null, Provenance.UNSAID, typed))))
                .orElseThrow(() -> new Refused(
                        "amount",
                        "An oil of your own is put up and strained, not brought in.",
                        "at most what is left of it, or another"));
    }

    /** Tins, bottles and pots to fill: counted in pieces, with what one holds. */
    @Transactional
    public UUID add(Arrival.Container container) {
        Lot lot = new Lot(
                LotKind.CONTAINER,
                "container",
                container.name(),
                container.pieces() + " × " + container.name(),
                clock.instant());
        lot.unit = Stock.Unit.PIECE;
        lot.bottleMicrolitres = container.holds().toMicrolitres();
        return bringIn(lot, container.pieces(), container.provenance());
    }

    /** What share of what came in is left, of every herb and carrier in stock. */
    @Transactional(readOnly = true)
    public Map<UUID, Double> levels() {
        Set<LotKind> kinds = EnumSet.of(LotKind.HERB, LotKind.CARRIER);
        Map<UUID, Long> cameIn = movements.openings(kinds, OPENINGS).stream()
                .collect(Collectors.toMap(m -> m.lotId, m -> m.amount, Long::sum));
        return lots.inStock(kinds).stream()
                .collect(Collectors.toMap(
                        lot -> lot.id,
                        lot -> Math.min(1.0, lot.balance / (double) cameIn.getOrDefault(lot.id, lot.balance))));
    }

    /** What is in stock besides herbs, carriers and oils: of some kinds. */
    @Transactional(readOnly = true)
    public List<Stock.OfSupply> supplies(Set<LotKind> kinds) {
        return lots.inStock(kinds).stream().map(Stores::supply).toList();
    }

    /** Takes back the bringing in of a lot, once however often it is asked; refused when some of it was used since. */
    @Transactional
    public String takeBack(UUID id) {
        Lot lot = lots.lock(id).orElseThrow(() -> new NotHere("that stock"));
        List<Movement> story = movements.ofLot(id);
        Movement first = story.get(0);
        boolean broughtIn = first.cause == Cause.BOUGHT || first.cause == Cause.GATHERED;
        if (!broughtIn) {
            throw new Refused("“%s” came from a batch: take the straining back there.".formatted(lot.name));
        }
        if (story.stream().noneMatch(m -> first.id.equals(m.reverses))) {
            ledger.reverse(first);
        }
        return lot.name;
    }

    /** A lot with its running story. */
    @Transactional(readOnly = true)
    public LotStory story(UUID id) {
        Lot lot = lots.findHere(id).orElseThrow(() -> new NotHere("that stock"));
        return LotStory.of(lot, movements.ofLot(id));
    }

    @Override
    @Transactional(readOnly = true)
    public boolean isStored(String kindKey) {
        return lots.isStored(kindKey);
    }

    /** Any lot, with all that is written down of it. */
    @Transactional(readOnly = true)
    public Stock.OfLot lot(UUID id) {
        return of(lots.findHere(id).orElseThrow(() -> new NotHere("that stock")));
    }

    /** Some lots, the oldest first. */
    @Transactional(readOnly = true)
    public List<Stock.OfLot> among(Collection<UUID> ids) {
        return ids.isEmpty()
                ? List.of()
                : lots.among(ids).stream().map(Stores::of).toList();
    }

    /** Herbs that are not used up, as lots. */
    @Transactional(readOnly = true)
    public List<Stock.OfLot> herbLots() {
        return lots.inStock(LotKind.HERB).stream().map(Stores::of).toList();
    }

    /** What a lot was made from. */
    @Transactional(readOnly = true)
    public List<Stock.OfLot> madeFrom(UUID id) {
        return among(edges.into(id));
    }

    /** What was made from a lot. */
    @Transactional(readOnly = true)
    public List<Stock.OfLot> became(UUID id) {
        return among(edges.outOf(id));
    }

    /** What is in stock of the same thing in the same state, and could be put together with it. */
    @Transactional(readOnly = true)
    public List<Stock.OfLot> alike(UUID id) {
        Lot lot = lots.findHere(id).orElseThrow(() -> new NotHere("that stock"));
        return lots.inStock(lot.kind).stream()
                .filter(other -> !other.id.equals(id) && lot.isAlike(other))
                .map(Stores::of)
                .toList();
    }

    static Stock.OfLot of(Lot lot) {
        Lot.Whence whence = lot.whence();
        return new Stock.OfLot(
                lot.id,
                lot.kind,
                lot.kindKey,
                lot.name,
                lot.unit,
                lot.kind == LotKind.HERB ? Optional.of(lot.herb()) : Optional.empty(),
                Columns.density(lot.density),
                whence.origin == null ? Origin.BOUGHT : whence.origin,
                whence.cameFrom == null ? "" : whence.cameFrom,
                whence.keptAt == null ? "" : whence.keptAt,
                Optional.ofNullable(whence.priceMinor),
                whence.priceFor == null ? 1 : whence.priceFor,
                Optional.ofNullable(lot.acquiredOn),
                Optional.ofNullable(lot.openedOn),
                Optional.ofNullable(lot.bestBefore),
                lot.strength(),
                Optional.ofNullable(lot.dropsPerMillilitre).map(BigDecimal::doubleValue),
                lot.measurable(),
                lot.balance);
    }

    private UUID bringIn(Lot lot, long amount, Provenance provenance) {
        lot.set(provenance, amount);
        lots.saveAndFlush(lot);
        ledger.change(lot.id, amount, new Ledger.Why(Cause.bringing(provenance.origin()), null, null, clock.instant()));
        return lot.id;
    }

    private static Stock.OfSupply supply(Lot lot) {
        return new Stock.OfSupply(
                lot.id,
                lot.kind,
                lot.kindKey,
                lot.name,
                Columns.density(lot.density),
                Optional.ofNullable(lot.openedOn),
                Optional.ofNullable(lot.bestBefore),
                lot.strength(),
                Optional.ofNullable(lot.dropsPerMillilitre).map(BigDecimal::doubleValue),
                Optional.ofNullable(lot.bottleMicrolitres).map(Volume::ofMicrolitres),
                lot.balance);
    }

    private Stock.OfHerb herb(Lot lot, HerbKind kind) {
        return new Stock.OfHerb(
                lot.id,
                lot.name,
                kind,
                materia.texture(lot.herb().part(), lot.herb().cut()),
                lot.herb().moisture(),
                lot.herb().weighedBulk(),
                Optional.ofNullable(lot.acquiredOn),
                Optional.ofNullable(lot.bestBefore),
                Mass.ofMilligrams(lot.balance));
    }

    private static Stock.OfCarrier carrier(Lot lot, CarrierKind kind) {
        return new Stock.OfCarrier(
                lot.id,
                lot.name,
                kind,
                Columns.density(lot.density).orElseThrow(),
                Optional.ofNullable(lot.openedOn),
                Optional.ofNullable(lot.bestBefore),
                Mass.ofMilligrams(lot.balance));
    }
}
