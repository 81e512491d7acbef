package app.velvetcrock.arrivals;

import app.velvetcrock.core.intake.Arriving;
import app.velvetcrock.core.larder.JarGlass;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Provenance;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Refused;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts away what a list was understood as, all of it or nothing, and takes it back as one. */
@Service
public class PutAway {

    private final Stores stores;
    private final Jars jars;
    private final Households households;
    private final Clock clock;

    PutAway(Stores stores, Jars jars, Households households, Clock clock) {
        this.stores = stores;
        this.jars = jars;
        this.households = households;
        this.clock = clock;
    }

    /** What was put away, by what takes it back. */
    public record Put(List<UUID> lots, List<UUID> jars) {}

    @Transactional
    public Put all(List<Arriving> list) {
        households.oneAtATime();
        LocalDate today = households.current().dayOf(clock.instant());
        List<UUID> lots = new ArrayList<>();
        List<UUID> glasses = new ArrayList<>();
        for (Arriving one : list) {
            if (one instanceof Arriving.Herb herb) {
                lots.add(stores.add(new Arrival.Herb(
                        herb.kind(),
                        herb.texture().part(),
                        herb.texture().cut(),
                        herb.moisture(),
                        herb.mass(),
                        herb.moisture().isDried() ? null : today,
                        herb.besides().best().orElse(null),
                        new Provenance(herb.origin(), herb.besides().from(), "", price(herb.besides())),
                        herb.written())));
            } else if (one instanceof Arriving.Oil oil) {
                lots.add(stores.add(new Arrival.Carrier(
                        oil.kind(),
                        oil.mass(),
                        oil.besides().opened().orElse(null),
                        oil.besides().best().orElse(null),
                        from(oil.besides()),
                        oil.written())));
            } else if (one instanceof Arriving.Supply supply) {
                lots.add(stores.add(new Arrival.Supply(
                        supply.kind(),
                        supply.mass(),
                        supply.kind().density(),
                        null,
                        supply.besides().opened().orElse(null),
                        supply.besides().best().orElse(null),
                        from(supply.besides()),
                        supply.written())));
            } else if (one instanceof Arriving.Containers containers) {
                lots.add(stores.add(new Arrival.Container(
                        containers.name(), containers.holds(), containers.count(), Provenance.UNSAID)));
            } else if (one instanceof Arriving.Jars some) {
                glasses.add(jars.add(some.vessel(), new JarGlass(true, List.of()), some.count()));
            }
        }
        return new Put(lots, glasses);
    }

    private Provenance from(Arriving.Besides besides) {
        return new Provenance(Provenance.UNSAID.origin(), besides.from(), "", price(besides));
    }

    private @Nullable Long price(Arriving.Besides besides) {
        House house = households.current();
        return besides.price()
                .map(price -> minor(price, house)
                        .orElseThrow(() -> new Refused("%s has no coin so small as in %s. Nothing was put away."
                                .formatted(house.money().getCurrencyCode(), price.toPlainString()))))
                .orElse(null);
    }

    /** In minor units; absent where the currency has no such coin. */
    static Optional<Long> minor(BigDecimal price, House house) {
        int places = Math.max(0, house.money().getDefaultFractionDigits());
        BigDecimal plain = price.stripTrailingZeros();
        return plain.scale() > places
                ? Optional.empty()
                : Optional.of(plain.movePointRight(places).longValueExact());
    }

    /** Takes all of it back, or nothing: what was used since is named. */
    @Transactional
    public void takeBack(Put put) {
        put.lots().forEach(stores::takeBack);
        put.jars().forEach(jars::takeBack);
    }
}
