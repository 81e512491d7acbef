package app.velvetcrock.bench;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.HeldBack;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Source;
import app.velvetcrock.core.planning.Carriers;
import app.velvetcrock.core.planning.FirstInfusion;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.spirit.Moistening;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.kit.OfJar;
import app.velvetcrock.rack.Rack;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.LotKind;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Stock;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.ways.OwnWays;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Reads what there is to plan with. */
@Component
public class BenchStock {

    static final String BEESWAX = "beeswax";

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

    /**
     * What there is to plan with.
     *
     * @param herbs those that lie on no rack
     * @param carriers what pours in this pantry first
     * @param oils finished oils, for infusing a second time
     * @param jars those with at least one free, in so many pieces as are free
     * @param pots pots and inserts a charge can lie in, free ones
     * @param pans every pot there is, for standing a jar in
     * @param spirits the strongest first
     * @param containers tins and bottles to fill
     * @param beeswax how much of it is in stock
     */
    public record Shelves(
            List<Stock.OfHerb> herbs,
            List<Stock.OfCarrier> carriers,
            List<Stock.OfOil> oils,
            List<OfJar> jars,
            List<OfJar> pots,
            List<OfJar> pans,
            List<Stock.OfSupply> spirits,
            Set<Source> kit,
            List<OwnWays.OfWay> own,
            List<Stock.OfSupply> containers,
            Mass beeswax) {

        /** Every vessel a way can stand in, the smallest first: open pots take heat only. */
        List<OfJar> suiting(Method way) {
            return Stream.concat(jars.stream(), way.takesOpenVessel() ? pots.stream() : Stream.<OfJar>empty())
                    .sorted(Comparator.comparing(jar -> jar.vessel().capacity()))
                    .toList();
        }

        public boolean areEnough() {
            return !herbs.isEmpty() && !carriers.isEmpty() && !(jars.isEmpty() && pots.isEmpty());
        }
    }

    /** Something to pour over a herb: a bottle, or an oil infused before. */
    record Bottled(UUID id, PlannedCarrier carrier, Mass left) {

        Density density() {
            return carrier.kind().density();
        }
    }

    /** What is poured: one oil, or a mix; each from its bottle. */
    record Pour(List<Bottled> bottles, Carriers carriers, LocalDate on) {

        Density density() {
            return carriers.together(on).kind().density();
        }

        List<UUID> lots() {
            return bottles.stream().map(Bottled::id).toList();
        }

        /** The most of it the bottles give, by the one that gives out first. */
        Volume most() {
            double most = Double.MAX_VALUE;
            for (int i = 0; i < bottles.size(); i++) {
                Bottled bottle = bottles.get(i);
                most = Math.min(
                        most,
                        bottle.density().volumeOf(bottle.left()).millilitres()
                                / carriers.parts().get(i).share());
            }
            return Volume.ofMillilitres(most);
        }
    }

    public Shelves read(House house, LocalDate today) {
        HeldBack held = HeldBack.from(Held.USE, conditions.open());
        Map<UUID, Long> taken = batches.inUse();
        Set<UUID> drying = rack.lots();
        List<OfJar> pans = kit.pots();
        List<Stock.OfSupply> spirits = stores.supplies(Set.of(LotKind.SPIRIT)).stream()
                .filter(lot -> lot.strength().isPresent() && held.isFree(null, lot.id()))
                .sorted(Comparator.comparing((Stock.OfSupply lot) ->
                        -lot.strength().map(Strength::percent).orElse(0.0)))
                .toList();
        return new Shelves(
                stores.herbs().stream()
                        .filter(lot -> held.isFree(null, lot.id()) && !drying.contains(lot.id()))
                        .sorted(Comparator.comparing(lot -> lot.isPast(today)))
                        .toList(),
                liquidFirst(
                        stores.carriers().stream()
                                .filter(lot -> held.isFree(null, lot.id()))
                                .toList(),
                        house,
                        today),
                oils.left().stream()
                        .filter(oil -> held.isFree(oil.batch(), oil.id()))
                        .toList(),
                free(jars.all(), taken),
                free(pans, taken),
                pans,
                spirits,
                kit.sources(),
                ways.all(),
                stores.supplies(Set.of(LotKind.CONTAINER)),
                stores.supplies(Set.of(LotKind.WAX)).stream()
                        .filter(wax -> wax.key().equals(BEESWAX))
                        .map(Stock.OfSupply::mass)
                        .reduce(Mass.ZERO, Mass::plus));
    }

    private static List<OfJar> free(List<OfJar> all, Map<UUID, Long> taken) {
        return all.stream()
                .map(jar -> jar.times((int) (jar.pieces() - taken.getOrDefault(jar.id(), 0L))))
                .filter(jar -> jar.pieces() > 0)
                .toList();
    }

    /**
     * Puts what pours in this pantry first, and of one oil the bottle that lasts longest: what the sentence begins with. What is past its
     * date comes last, chosen by nobody but by hand.
     */
    private static List<Stock.OfCarrier> liquidFirst(List<Stock.OfCarrier> carriers, House house, LocalDate today) {
        return carriers.stream()
                .sorted(Comparator.comparing(
                                (Stock.OfCarrier c) -> end(c, today).isBefore(today))
                        .thenComparing((Stock.OfCarrier c) -> c.kind()
                                .melting()
                                .filter(m -> m.compareTo(house.settings().pantry()) > 0)
                                .isPresent())
                        .thenComparing(Stock.OfCarrier::name)
                        .thenComparing(c -> end(c, today), Comparator.reverseOrder()))
                .toList();
    }

    private static LocalDate end(Stock.OfCarrier bottle, LocalDate today) {
        return new Bottle(bottle.name(), bottle.kind().monthsOpened(), bottle.opened(), bottle.bestBefore()).end(today);
    }

    static Bottled pour(Stock.OfCarrier bottle) {
        return new Bottled(
                bottle.id(),
                new PlannedCarrier(
                        bottle.kind(),
                        new Bottle(bottle.name(), bottle.kind().monthsOpened(), bottle.opened(), bottle.bestBefore())),
                bottle.left());
    }

    /** A finished oil with what it carries of its first herb; its own date is the bottle's best before. */
    Bottled pour(Stock.OfOil oil) {
        BatchSheet sheet = batches.sheet(oil.batch());
        PlanRequest request = sheet.plan().request();
        FirstInfusion first = FirstInfusion.of(
                "%s, batch %d".formatted(oil.name(), sheet.number()),
                request,
                sheet.course().charge().herbs().mass(),
                sheet.strained().orElseThrow().out());
        Bottle bottle = new Bottle(
                oil.name(),
                request.carrier().kind().monthsOpened(),
                request.carrier()
                        .bottle()
                        .opened()
                        .or(() -> Optional.of(request.circumstances().start())),
                Optional.of(oil.useBy()));
        return new Bottled(
                oil.id(), new PlannedCarrier(request.carrier().kind(), bottle, Optional.of(first)), oil.left());
    }

    private static void enoughOil(Volume oil, Pour pour, BenchReading.Desk desk) {
        House house = desk.house();
        List<Mass> masses = pour.carriers().masses(pour.density().massOf(oil));
        for (int i = 0; i < masses.size(); i++) {
            Bottled bottle = pour.bottles().get(i);
            UUID id = bottle.id();
            // Of one bottle named twice, both shares count.
            double need = 0;
            for (int j = 0; j < masses.size(); j++) {
                need += pour.bottles().get(j).id().equals(id) ? masses.get(j).grams() : 0;
            }
            if (Mass.ofGrams(need).toMilligrams() > bottle.left().toMilligrams()) {
                desk.fields()
                        .trouble(
                                i == 0 ? "oil" : "mix.more[%d].share".formatted(i - 1),
                                "This takes %s%s; the bottle holds %s."
                                        .formatted(
                                                house.volume(bottle.density().volumeOf(Mass.ofGrams(need))),
                                                masses.size() == 1
                                                        ? ""
                                                        : " of "
                                                                + bottle.carrier()
                                                                        .kind()
                                                                        .common()
                                                                        .toLowerCase(Locale.ROOT),
                                                house.volume(bottle.density().volumeOf(bottle.left()))),
                                "less, or another bottle");
            }
        }
    }

    /** Notes beside the fields what of its herbs, oil or spirit is not there. */
    static void enough(List<BenchWork.Part> parts, BenchReading.Asked asked, BenchReading.Desk desk) {
        House house = desk.house();
        for (int i = 0; i < asked.herbs().size(); i++) {
            Stock.OfHerb herb = asked.herbs().get(i);
            double need = 0;
            for (int j = 0; j < asked.herbs().size(); j++) {
                need += asked.herbs().get(j).id().equals(herb.id())
                        ? asked.planned().get(j).mass().grams()
                        : 0;
            }
            if (need > herb.left().grams() + 1e-9) {
                desk.fields()
                        .trouble(
                                i == 0 ? "amount" : "more[%d].amount".formatted(i - 1),
                                "Understood %s; only %s of this is left."
                                        .formatted(house.mass(Mass.ofGrams(need)), house.mass(herb.left())),
                                "at most what is left");
            }
        }
        Volume oil = parts.stream().map(part -> part.plan().charge().oil()).reduce(Volume.ZERO, Volume::plus);
        enoughOil(oil, asked.pour(), desk);
        Mass spirit = parts.stream()
                .flatMap(part -> part.plan().moistening().stream())
                .map(Moistening::fromBottle)
                .reduce(Mass.ZERO, Mass::plus);
        asked.spirit().lot().filter(lot -> spirit.compareTo(lot.mass()) > 0).ifPresent(lot -> desk.fields()
                .trouble(
                        "spirit.perGram",
                        "This takes %s of spirit; the bottle holds %s."
                                .formatted(house.mass(spirit), house.mass(lot.mass())),
                        "less spirit, or less herb"));
    }
}
