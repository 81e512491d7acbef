package app.velvetcrock.demo;

import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.drying.DryingStart;
import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.drying.WeighIn;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.kit.KitKind;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.recipes.RecipeBox;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Provenance;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.stock.deeds.StoreDeeds;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.MonthDay;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What else stands about at Gannet Row: herb on the rack, wax, spirit, tins, pots, and a recipe from the quay. */
@Component
class DemoStores {

    private static final int TEAS = 6;
    private static final int TEA_GRAMS = 35;

    private final DemoHands hands;
    private final Stores stores;
    private final StoreDeeds deeds;
    private final KitShelf kit;
    private final RecipeBox recipes;
    private final Materia materia;

    DemoStores(DemoHands hands, Stores stores, StoreDeeds deeds, KitShelf kit, RecipeBox recipes, Materia materia) {
        this.hands = hands;
        this.stores = stores;
        this.deeds = deeds;
        this.kit = kit;
        this.recipes = recipes;
        this.materia = materia;
    }

    void fill() {
        drying();
        tea();
        supplies();
        recipes.keep(
                "Quay stall hand salve",
                """
                1½ cups rapeseed oil
                2 oz beeswax pellets
                30 g shea butter
                1 tsp vitamin E
                20 drops bog myrtle essential oil
                """);
        recipes.keep(
                "A neighbour's nettle oil",
                """
                2 cups rapeseed oil (26 oz)
                2 cups dried nettle leaf
                """);
    }

    /** Nettle that dries well, juniper in air too damp, and spruce tips laid out this morning. */
    private void drying() {
        UUID nettle = layOut("nettle", 420, 4);
        weigh(nettle, 3, 272, Snap.NOT_TRIED);
        weigh(nettle, 2, 188, Snap.NOT_TRIED);
        weigh(nettle, 1, 137, Snap.BENDS);
        UUID heather = layOut("heather", 260, 9);
        weigh(heather, 7, 120, Snap.NOT_TRIED);
        weigh(heather, 4, 84, Snap.BENDS);
        weigh(heather, 3, 82.6, Snap.BENDS);
        weigh(heather, 1, 82, Snap.BENDS);
        layOut("spruce-tip", 150, 1);
    }

    /** A bag of the spring before, drunk up over the year. */
    private void tea() {
        HerbKind nettle = materia.herb("nettle").orElseThrow();
        int daysAgo = hands.daysSince(MonthDay.of(5, 24), 400);
        UUID bag = stores.add(new Arrival.Herb(
                nettle,
                nettle.part(),
                Cut.CUT_AND_SIFTED,
                Moisture.DRIED,
                Mass.ofGrams(TEAS * TEA_GRAMS),
                hands.day(daysAgo),
                null,
                new Provenance(Origin.GATHERED, "behind the dyke", "tea shelf", null),
                TEAS * TEA_GRAMS + " g"));
        for (int i = 0; i < TEAS; i++) {
            Instant at = hands.at(340 - i * 55, 8, 10);
            deeds.done(Current.doing(
                    new StoreDeed.TakeOut(bag, Mass.ofGrams(TEA_GRAMS).toMilligrams(), Held.DRAW, "tea"),
                    UUID.randomUUID(),
                    at,
                    TEA_GRAMS + " g"));
        }
    }

    private UUID layOut(String key, double grams, int daysAgo) {
        HerbKind kind = materia.herb(key).orElseThrow();
        UUID lot = stores.add(new Arrival.Herb(
                kind,
                kind.part(),
                Cut.WHOLE,
                Moisture.FRESH,
                Mass.ofGrams(grams),
                hands.day(daysAgo),
                null,
                new Provenance(Origin.GATHERED, "behind the dyke", "attic rack", null),
                Math.round(grams) + " g"));
        Instant at = hands.at(daysAgo, 8, 30);
        deeds.done(Current.doing(
                new StoreDeed.LayOut(
                        lot,
                        new DryingStart(
                                at,
                                Mass.ofGrams(grams),
                                WaterContent.of(kind.part(), Cut.WHOLE, Moisture.FRESH),
                                Mass.ofGrams(1))),
                UUID.randomUUID(),
                at,
                ""));
        return lot;
    }

    private void weigh(UUID lot, int daysAgo, double grams, Snap snap) {
        Instant at = hands.at(daysAgo, 8, 45);
        deeds.done(Current.doing(
                new StoreDeed.Weigh(lot, new WeighIn(at, Mass.ofGrams(grams), snap)),
                UUID.randomUUID(),
                at,
                grams + " g"));
    }

    private void supplies() {
        supply("beeswax", 1600, 4100, null);
        supply("vitamin-e", 48, 650, null);
        supply("grain-spirit", 480, 1450, 96.0);
        supply("honey", 500, 700, null);
        supply("eo-bog-myrtle", 9, 900, null);
        supply("eo-juniper", 9, 720, null);
        containers("Round tin, 60 mL", 60, 80, 4400);
        containers("Bar mould, 40 mL", 40, 8, 640);
        containers("Lip pot, 15 mL", 15, 40, 1600);
        containers("Dark bottle, 100 mL", 100, 14, 1260);
        containers("Dark bottle, 50 mL", 50, 20, 1500);
    }

    private void supply(String key, double grams, long price, @Nullable Double abv) {
        SupplyKind kind = materia.supply(key).orElseThrow();
        Density density = Optional.ofNullable(abv)
                .map(percent -> new Strength(percent).density())
                .orElse(kind.density());
        stores.add(new Arrival.Supply(
                kind,
                Mass.ofGrams(grams),
                density,
                abv == null ? null : BigDecimal.valueOf(abv),
                hands.day(60),
                hands.day(-400),
                new Provenance(Origin.BOUGHT, "the ferry shop", "press, top", price),
                Math.round(grams) + " g"));
    }

    private void containers(String name, double holds, int pieces, long price) {
        stores.add(new Arrival.Container(
                name,
                Volume.ofMillilitres(holds),
                pieces,
                new Provenance(Origin.BOUGHT, "the ferry shop", "under the stairs", price)));
    }

    /** Before anything is warmed, so that what warms it is known. */
    void kit() {
        kit(KitKind.SLOW_COOKER, "The old slow cooker", 3500, 220, "warm, low, high");
        kit(KitKind.POT, "Wide enamel pan", 5000, 280, "");
        kit(KitKind.THERMOMETER, "Probe with a lead", 0, 0, "0 to 120 °C");
        kit(KitKind.SCALE, "Kitchen scale", 0, 0, "steps of 1 g, up to 5 kg");
        kit(KitKind.PRESS, "Fruit press", 1000, 110, "");
        kit(KitKind.CLOTH, "Linen straining cloths", 0, 0, "boil after use");
    }

    private void kit(KitKind kind, String name, double capacity, double width, String settings) {
        kit.add(new KitShelf.NewKit(
                kind,
                name,
                capacity == 0 ? Optional.empty() : Optional.of(Volume.ofMillilitres(capacity)),
                width == 0 ? Optional.empty() : Optional.of(Length.ofMillimetres(width)),
                settings,
                1));
    }
}
