package app.velvetcrock.stores;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.KnownDensity;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.web.NotHere;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Puts a lot's page together. */
@Component
class LotSheets {

    private static final double MILLIGRAMS_PER_GRAM = 1000;

    private final LotRepository lots;
    private final MovementRepository movements;
    private final DryingRepository dryings;
    private final LotEdges edges;
    private final BatchNumbers numbers;
    private final Catalogue catalogue;
    private final Materia materia;
    private final Cautions cautions;

    LotSheets(
            LotRepository lots,
            MovementRepository movements,
            DryingRepository dryings,
            LotEdges edges,
            BatchNumbers numbers,
            Catalogue catalogue,
            Materia materia,
            Cautions cautions) {
        this.lots = lots;
        this.movements = movements;
        this.dryings = dryings;
        this.edges = edges;
        this.numbers = numbers;
        this.catalogue = catalogue;
        this.materia = materia;
        this.cautions = cautions;
    }

    @Transactional(readOnly = true)
    LotSheet of(UUID id, LocalDate today) {
        Lot lot = lots.findHere(id).orElseThrow(() -> new NotHere("that stock"));
        LotStory story = LotStory.of(lot, movements.ofLot(id));
        Set<UUID> batches =
                story.lines().stream().flatMap(line -> line.batch().stream()).collect(Collectors.toSet());
        return new LotSheet(
                story,
                numbers.of(batches),
                facts(lot),
                herb(lot),
                known(lot),
                life(lot, today),
                alike(lot),
                others(edges.into(id)),
                others(edges.outOf(id)),
                cautions(lot),
                dryings.isDrying(id));
    }

    private static LotSheet.Facts facts(Lot lot) {
        Optional<Double> each = lot.unit == StockUnit.PIECE || lot.priceMinor == null
                ? Optional.empty()
                : lot.costOf((long) MILLIGRAMS_PER_GRAM);
        return new LotSheet.Facts(
                lot.origin == null ? Origin.BOUGHT : lot.origin,
                text(lot.cameFrom),
                text(lot.keptAt),
                lot.priceMinor == null
                        ? Optional.empty()
                        : lot.costOf(lot.priceFor).map(Math::round),
                each,
                Optional.ofNullable(lot.acquiredOn),
                Optional.ofNullable(lot.openedOn),
                Optional.ofNullable(lot.bestBefore),
                Optional.ofNullable(lot.abv).map(BigDecimal::doubleValue));
    }

    private Optional<LotSheet.HerbState> herb(Lot lot) {
        if (lot.kind != LotKind.HERB) {
            return Optional.empty();
        }
        Density bulk = Stores.density(lot.bulkDensity)
                .orElseGet(() -> materia.texture(lot.part, lot.cut).bulkIn(lot.moisture));
        return Optional.of(new LotSheet.HerbState(
                lot.part,
                lot.cut,
                lot.moisture,
                bulk,
                lot.bulkDensity != null,
                WaterContent.of(lot.part, lot.cut, lot.moisture)));
    }

    private Optional<KnownDensity> known(Lot lot) {
        return switch (lot.kind) {
            case HERB -> herb(lot).map(state -> KnownDensity.ofHerb(state.bulk()));
            case CARRIER, INFUSED_OIL -> Stores.density(lot.density).map(KnownDensity::ofOil);
            case CONTAINER, MADE -> Optional.empty();
            default -> materia.supply(lot.kindKey)
                    .filter(kind -> kind.bulk().isPresent())
                    .map(kind -> kind.known())
                    .or(() -> Stores.density(lot.density).map(KnownDensity::ofLiquid));
        };
    }

    /** Once it is opened, an oil or addition lasts its class of months; else its best before counts. */
    private Optional<LotSheet.Life> life(Lot lot, LocalDate today) {
        Optional<Integer> months =
                switch (lot.kind) {
                    case CARRIER -> catalogue.carrier(lot.kindKey).map(kind -> kind.monthsOpened());
                    case HERB, CONTAINER, INFUSED_OIL, MADE -> Optional.empty();
                    default -> materia.supply(lot.kindKey).flatMap(kind -> kind.monthsOpened());
                };
        return months.map(many -> LotSheet.Life.of(
                new Bottle(lot.name, many, Optional.ofNullable(lot.openedOn), Optional.ofNullable(lot.bestBefore)),
                today));
    }

    /** What anybody who handles it should know; a use is chosen on the Bench. */
    private List<Caution> cautions(Lot lot) {
        Set<String> traits =
                switch (lot.kind) {
                    case HERB -> catalogue
                            .herb(lot.kindKey)
                            .map(HerbKind::traits)
                            .orElse(Set.of());
                    case CARRIER -> catalogue
                            .carrier(lot.kindKey)
                            .map(CarrierKind::traits)
                            .orElse(Set.of());
                    default -> materia.supply(lot.kindKey)
                            .map(SupplyKind::traits)
                            .orElse(Set.of());
                };
        return cautions.ofTraits(traits, Use.ADULT_SKIN);
    }

    private List<LotSheet.Other> alike(Lot lot) {
        return lots.inStock(lot.kind).stream()
                .filter(other -> !other.id.equals(lot.id)
                        && other.kindKey.equals(lot.kindKey)
                        && other.part == lot.part
                        && other.cut == lot.cut
                        && other.moisture == lot.moisture
                        && java.util.Objects.equals(other.abv, lot.abv)
                        && lot.kind != LotKind.CONTAINER
                        && lot.kind != LotKind.INFUSED_OIL)
                .map(LotSheets::other)
                .toList();
    }

    private List<LotSheet.Other> others(List<UUID> ids) {
        return ids.isEmpty()
                ? List.of()
                : lots.among(ids).stream().map(LotSheets::other).toList();
    }

    private static LotSheet.Other other(Lot lot) {
        String state = lot.kind == LotKind.HERB
                ? "%s, %s".formatted(lot.moisture.word(), lot.cut.word())
                : lot.openedOn != null ? "opened " + lot.openedOn : lot.kind.word();
        return new LotSheet.Other(lot.id, lot.name, "%s, %s left".formatted(state, lot.unit.words(lot.balance)));
    }

    private static String text(@Nullable String words) {
        return words == null ? "" : words;
    }
}
