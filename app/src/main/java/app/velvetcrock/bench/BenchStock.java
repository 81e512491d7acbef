package app.velvetcrock.bench;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.HeldBack;
import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.bench.Bottled;
import app.velvetcrock.core.larder.Larder;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.larder.Vessels;
import app.velvetcrock.core.larder.Withheld;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.planning.FirstInfusion;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.rack.Rack;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.ways.OwnWays;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Reads what there is to plan with. */
@Component
public class BenchStock {

    private static final Set<LotKind> SUPPLIES = Set.of(LotKind.SPIRIT, LotKind.CONTAINER, LotKind.WAX);

    private final Stores stores;
    private final Jars jars;
    private final KitShelf kit;
    private final Oils oils;
    private final Batches batches;
    private final OwnWays ways;
    private final Conditions conditions;
    private final Rack rack;

    BenchStock(
            Stores stores,
            Jars jars,
            KitShelf kit,
            Oils oils,
            Batches batches,
            OwnWays ways,
            Conditions conditions,
            Rack rack) {
        this.stores = stores;
        this.jars = jars;
        this.kit = kit;
        this.oils = oils;
        this.batches = batches;
        this.ways = ways;
        this.conditions = conditions;
        this.rack = rack;
    }

    public BenchShelves read(House house, LocalDate today) {
        Withheld held = HeldBack.from(Held.USE, conditions.open()).withheld();
        return BenchShelves.of(
                new Larder(
                        stores.herbs(),
                        stores.carriers(),
                        oils.left(),
                        stores.supplies(SUPPLIES),
                        new Larder.Kinds(List.of(), List.of()),
                        held,
                        Withheld.NOTHING),
                vessels(),
                kit.sources(),
                ways.all(),
                new BenchShelves.Looking(today, house.settings().pantry(), rack.lots()));
    }

    private Vessels vessels() {
        Map<UUID, Long> taken = batches.inUse();
        List<OfJar> pans = kit.pots();
        return new Vessels(free(jars.all(), taken), free(pans, taken), pans);
    }

    private static List<OfJar> free(List<OfJar> all, Map<UUID, Long> taken) {
        return all.stream()
                .map(jar -> jar.times((int) (jar.pieces() - taken.getOrDefault(jar.id(), 0L))))
                .filter(jar -> jar.pieces() > 0)
                .toList();
    }

    /** A finished oil with what it carries of its first herb. */
    Bottled pour(Stock.OfOil oil) {
        BatchSheet sheet = batches.sheet(oil.batch());
        PlanRequest request = sheet.plan().request();
        return Bottled.of(
                oil,
                request,
                FirstInfusion.of(
                        "%s, batch %d".formatted(oil.name(), sheet.number()),
                        request,
                        sheet.course().charge().herbs().mass(),
                        sheet.strained().orElseThrow().out()));
    }
}
