package app.velvetcrock.pan;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.catalogue.OwnCeilings;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.HeldBack;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.larder.Larder;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Stores;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Reads what the stores have for the pan, and what could be bought for it. */
@Component
public class PanStock {

    private static final Set<LotKind> SUPPLIES =
            EnumSet.complementOf(EnumSet.of(LotKind.HERB, LotKind.CARRIER, LotKind.INFUSED_OIL, LotKind.MADE));

    private final Stores stores;
    private final Oils oils;
    private final Catalogue catalogue;
    private final OwnCeilings ceilings;
    private final Materia materia;
    private final Conditions conditions;

    PanStock(
            Stores stores,
            Oils oils,
            Catalogue catalogue,
            OwnCeilings ceilings,
            Materia materia,
            Conditions conditions) {
        this.conditions = conditions;
        this.ceilings = ceilings;
        this.stores = stores;
        this.oils = oils;
        this.catalogue = catalogue;
        this.materia = materia;
    }

    public PanShelves shelves(House house, LocalDate today) {
        List<Told> open = conditions.open();
        return PanShelves.of(
                new Larder(
                        List.of(),
                        stores.carriers(),
                        oils.left(),
                        stores.supplies(SUPPLIES),
                        new Larder.Kinds(
                                catalogue.carriers(),
                                materia.supplies().stream()
                                        .map(ceilings::corrected)
                                        .toList()),
                        HeldBack.from(Held.USE, open).withheld(),
                        HeldBack.from(Held.GIVE, open).withheld()),
                house.wording(),
                today);
    }
}
