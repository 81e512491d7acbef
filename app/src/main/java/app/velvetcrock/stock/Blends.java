package app.velvetcrock.stock;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.catalogue.Columns;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.planning.Carriers;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.deeds.StoreDeeds;
import app.velvetcrock.stock.deeds.StoreHands;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Blends of carriers: density by volume, the shortest life, the cautions of all. */
@Service
public class Blends implements StoreHands {

    private final Stores stores;
    private final LotRepository lots;
    private final Catalogue catalogue;
    private final Ledger ledger;
    private final LotEdges edges;
    private final Households households;
    private final Clock clock;

    Blends(
            Stores stores,
            LotRepository lots,
            Catalogue catalogue,
            Ledger ledger,
            LotEdges edges,
            Households households,
            Clock clock) {
        this.stores = stores;
        this.lots = lots;
        this.catalogue = catalogue;
        this.ledger = ledger;
        this.edges = edges;
        this.households = households;
        this.clock = clock;
    }

    /** So much of a bottle. */
    public record Part(Stock.OfCarrier carrier, Mass mass) {}

    /** What a blend would be. */
    static CarrierKind kind(String name, List<Part> parts) {
        double millilitres = parts.stream().mapToDouble(Blends::millilitres).sum();
        CarrierKind mixed = Carriers.mixed(
                "",
                name,
                parts.stream()
                        .map(part -> new Carriers.Mixed(
                                part.carrier().kind(), part.carrier().density(), millilitres(part) / millilitres))
                        .toList());
        Set<String> traits = new TreeSet<>(mixed.traits());
        traits.add(CarrierKind.BLEND);
        return mixed.withTraits(traits);
    }

    private static double millilitres(Part part) {
        return part.carrier().density().volumeOf(part.mass()).millilitres();
    }

    @Override
    public void takeUp(StoreDeeds.Work work) {
        work.on(StoreDeed.Blend.class, this::blend);
    }

    /** The new lot ends with its shortest part and bears what they cost. */
    private UUID blend(Doing<StoreDeed.Blend> doing) {
        LocalDate day = households.current().dayOf(doing.at());
        List<Part> parts = doing.deed().parts().stream()
                .map(take -> new Part(bottle(take.lot()).orElseThrow(() -> new NotHere("that bottle")), take.mass()))
                .toList();
        CarrierKind kind = kind(doing.deed().name(), parts);
        long sum = parts.stream().mapToLong(part -> part.mass().toMilligrams()).sum();
        Lot lot = new Lot(
                LotKind.CARRIER, catalogue.keep(kind), doing.deed().name(), parts.size() + " oils", clock.instant());
        lot.density = Columns.decimal(kind.density());
        lot.openedOn = day;
        lot.saying().origin = Origin.MADE;
        lot.bestBefore = parts.stream()
                .map(part -> bottle(part.carrier()).end(day))
                .min(Comparator.naturalOrder())
                .orElseThrow();
        lot.bear(cost(parts), sum);
        lots.saveAndFlush(lot);
        UUID deed = UUID.randomUUID();
        Ledger.Why why = Ledger.Why.ofDeed(Cause.BLENDED, deed, doing.at(), "");
        parts.forEach(part -> {
            ledger.take(part.carrier().id(), part.mass(), why);
            edges.add(part.carrier().id(), lot.id, deed);
        });
        ledger.change(lot.id, sum, why);
        return deed;
    }

    /** What the parts cost together; absent where one has no price. */
    private Optional<Double> cost(List<Part> parts) {
        double sum = 0;
        for (Part part : parts) {
            Optional<Double> one = lots.findHere(part.carrier().id())
                    .flatMap(lot -> lot.costOf(part.mass().toMilligrams()));
            if (one.isEmpty()) {
                return Optional.empty();
            }
            sum += one.get();
        }
        return Optional.of(sum);
    }

    @Transactional(readOnly = true)
    public Optional<Stock.OfCarrier> bottle(UUID id) {
        return stores.carriers().stream()
                .filter(carrier -> carrier.id().equals(id))
                .findFirst();
    }

    private static Bottle bottle(Stock.OfCarrier carrier) {
        return new Bottle(carrier.name(), carrier.kind().monthsOpened(), carrier.opened(), carrier.bestBefore());
    }
}
