package app.velvetcrock.hob;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.pan.PanStock;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What more may be melted in, and of which lot it is taken. */
@Component
class Correcting {

    private static final Formula.Stuff BEESWAX = new Formula.Stuff("beeswax", "Beeswax", Formula.Role.WAX, 1);

    private final PanStock stock;
    private final Households households;
    private final Clock clock;

    Correcting(PanStock stock, Households households, Clock clock) {
        this.stock = stock;
        this.households = households;
        this.clock = clock;
    }

    /** What is in it, and wax. */
    static Stream<Formula.Stuff> meltable(Formula formula) {
        return Stream.concat(formula.parts().stream().map(Formula.Part::stuff), Stream.of(BEESWAX));
    }

    static Optional<Formula.Stuff> stuff(Makings.Sheet sheet, @Nullable String key) {
        return meltable(sheet.course().formula())
                .filter(one -> one.key().equals(key))
                .findFirst();
    }

    KnownDensity known(Formula.Stuff stuff) {
        return shelves()
                .lots(Optional.empty(), stuff.key())
                .findFirst()
                .map(PanThing::known)
                .orElse(KnownDensity.SOME_OIL);
    }

    /** Of the lot it was weighed from, or another of its kind where that has not so much left. */
    Optional<UUID> lot(Makings.Sheet sheet, Formula.Stuff stuff, Mass much) {
        return shelves()
                .lots(sheet.plan().lotOf(stuff), stuff.key())
                .filter(here -> here.left().compareTo(much) >= 0)
                .findFirst()
                .flatMap(PanThing::lot);
    }

    private PanShelves shelves() {
        House house = households.current();
        return stock.shelves(house, house.dayOf(clock.instant()));
    }
}
