package app.velvetcrock.stores;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.rack.Rack;
import app.velvetcrock.stock.LotStory;
import app.velvetcrock.stock.Stores;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Puts a lot's page together. */
@Component
class LotSheets {

    private final Stores stores;
    private final Rack rack;
    private final Batches batches;
    private final Catalogue catalogue;
    private final Materia materia;
    private final Cautions cautions;

    LotSheets(Stores stores, Rack rack, Batches batches, Catalogue catalogue, Materia materia, Cautions cautions) {
        this.stores = stores;
        this.rack = rack;
        this.batches = batches;
        this.catalogue = catalogue;
        this.materia = materia;
        this.cautions = cautions;
    }

    @Transactional(readOnly = true)
    LotSheet of(UUID id, LocalDate today) {
        Stock.OfLot lot = stores.lot(id);
        LotStory story = stores.story(id);
        Set<UUID> found =
                story.lines().stream().flatMap(line -> line.batch().stream()).collect(Collectors.toSet());
        return new LotSheet(
                story,
                batches.numbers(found),
                facts(lot),
                herb(lot),
                known(lot),
                life(lot, today),
                others(stores.alike(id)),
                others(stores.madeFrom(id)),
                others(stores.became(id)),
                cautions(lot),
                rack.weight(id));
    }

    private static LotSheet.Facts facts(Stock.OfLot lot) {
        return new LotSheet.Facts(
                lot.origin(),
                lot.cameFrom(),
                lot.keptAt(),
                lot.costOf(lot.priceFor()).map(Math::round),
                lot.costOf(lot.left()).map(Math::round),
                lot.unit() == Stock.Unit.PIECE
                        ? Optional.empty()
                        : lot.costOf(Mass.ofGrams(1).toMilligrams()),
                lot.acquired(),
                lot.opened(),
                lot.bestBefore(),
                lot.strength(),
                lot.dropsPerMillilitre(),
                lot.measurable());
    }

    private Optional<LotSheet.HerbState> herb(Stock.OfLot lot) {
        return lot.herb()
                .map(state -> new LotSheet.HerbState(
                        state.part(),
                        state.cut(),
                        state.moisture(),
                        state.weighedBulk().orElseGet(() -> materia.texture(state.part(), state.cut())
                                .bulkIn(state.moisture())),
                        state.weighedBulk().isPresent(),
                        WaterContent.of(state.part(), state.cut(), state.moisture())));
    }

    private Optional<KnownDensity> known(Stock.OfLot lot) {
        return switch (lot.kind()) {
            case HERB -> herb(lot).map(state -> KnownDensity.ofHerb(state.bulk()));
            case CARRIER, INFUSED_OIL -> lot.density().map(KnownDensity::ofOil);
            case CONTAINER, MADE -> Optional.empty();
            default -> materia.supply(lot.kindKey())
                    .filter(kind -> kind.bulk().isPresent())
                    .map(kind -> kind.known())
                    .or(() -> lot.density().map(KnownDensity::ofLiquid));
        };
    }

    /** Once it is opened, an oil or addition lasts its class of months; else its best before counts. */
    private Optional<LotSheet.Life> life(Stock.OfLot lot, LocalDate today) {
        Optional<Integer> months =
                switch (lot.kind()) {
                    case CARRIER -> catalogue.carrier(lot.kindKey()).map(kind -> kind.monthsOpened());
                    case HERB, CONTAINER, INFUSED_OIL, MADE -> Optional.empty();
                    default -> materia.supply(lot.kindKey()).flatMap(kind -> kind.monthsOpened());
                };
        return months.map(
                many -> LotSheet.Life.of(new Bottle(lot.name(), many, lot.opened(), lot.bestBefore()), today));
    }

    /** What anybody who handles it should know; a use is chosen on the Bench. */
    private List<Caution> cautions(Stock.OfLot lot) {
        Set<String> traits =
                switch (lot.kind()) {
                    case HERB -> catalogue
                            .herb(lot.kindKey())
                            .map(HerbKind::traits)
                            .orElse(Set.of());
                    case CARRIER -> catalogue
                            .carrier(lot.kindKey())
                            .map(CarrierKind::traits)
                            .orElse(Set.of());
                    default -> materia.supply(lot.kindKey())
                            .map(SupplyKind::traits)
                            .orElse(Set.of());
                };
        return cautions.ofTraits(traits, Use.ADULT_SKIN);
    }

    private static List<LotSheet.Other> others(List<Stock.OfLot> lots) {
        return lots.stream().map(LotSheets::other).toList();
    }

    private static LotSheet.Other other(Stock.OfLot lot) {
        String state = lot.herb()
                .map(herb ->
                        "%s, %s".formatted(herb.moisture().word(), herb.cut().word()))
                .or(() -> lot.opened().map(on -> "opened " + on))
                .orElse(lot.kind().word());
        return new LotSheet.Other(
                lot.id(), lot.name(), "%s, %s left".formatted(state, lot.unit().words(lot.left())));
    }
}
