package app.velvetcrock.core.bench;

import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.larder.Larder;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.OfWay;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.larder.Vessels;
import app.velvetcrock.core.larder.Withheld;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Source;
import app.velvetcrock.core.spirit.Strength;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;

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
 * @param withheld kinds of herb and oil of which something is here that is not to be used, by their key, and why
 */
public record BenchShelves(
        List<Stock.OfHerb> herbs,
        List<Stock.OfCarrier> carriers,
        List<Stock.OfOil> oils,
        List<OfJar> jars,
        List<OfJar> pots,
        List<OfJar> pans,
        List<Stock.OfSupply> spirits,
        Set<Source> kit,
        List<OfWay> own,
        List<Stock.OfSupply> containers,
        Mass beeswax,
        Map<String, String> withheld) {

    /** Every vessel a way can stand in, the smallest first: open pots take heat only. */
    public List<OfJar> suiting(Method way) {
        return Stream.concat(jars.stream(), way.takesOpenVessel() ? pots.stream() : Stream.<OfJar>empty())
                .sorted(Comparator.comparing(jar -> jar.vessel().capacity()))
                .toList();
    }

    public boolean areEnough() {
        return !herbs.isEmpty() && !carriers.isEmpty() && !(jars.isEmpty() && pots.isEmpty());
    }

    /** What of a larder is planned with; what is held back, or lies on the rack, is not. */
    public static BenchShelves of(Larder larder, Vessels vessels, Set<Source> kit, List<OfWay> own, Looking looking) {
        Withheld held = larder.fromUse();
        return new BenchShelves(
                larder.herbs().stream()
                        .filter(lot -> held.isFree(Optional.empty(), lot.id())
                                && !looking.drying().contains(lot.id()))
                        .sorted(Comparator.comparing(lot -> lot.isPast(looking.today())))
                        .toList(),
                liquidFirst(
                        larder.carriers().stream()
                                .filter(lot -> held.isFree(Optional.empty(), lot.id()))
                                .toList(),
                        looking),
                larder.oils().stream()
                        .filter(oil -> held.isFree(Optional.of(oil.batch()), oil.id()))
                        .toList(),
                vessels.jars(),
                vessels.pots(),
                vessels.pans(),
                larder.supplies(Set.of(LotKind.SPIRIT))
                        .filter(lot -> lot.strength().isPresent() && held.isFree(Optional.empty(), lot.id()))
                        .sorted(Comparator.comparing((Stock.OfSupply lot) ->
                                -lot.strength().map(Strength::percent).orElse(0.0)))
                        .toList(),
                kit,
                own,
                larder.supplies(Set.of(LotKind.CONTAINER)).toList(),
                larder.supplies(Set.of(LotKind.WAX))
                        .filter(wax -> wax.key().equals(Setting.BEESWAX))
                        .map(Stock.OfSupply::mass)
                        .reduce(Mass.ZERO, Mass::plus),
                withheld(larder, looking));
    }

    private static Map<String, String> withheld(Larder larder, Looking looking) {
        Map<String, String> why = new HashMap<>();
        larder.herbs().forEach(lot -> larder.fromUse()
                .why(Optional.empty(), lot.id())
                .or(() -> looking.drying().contains(lot.id())
                        ? Optional.of("it lies on the drying rack")
                        : Optional.empty())
                .ifPresent(found -> why.put(lot.kind().key(), found)));
        larder.carriers().forEach(lot -> larder.fromUse()
                .why(Optional.empty(), lot.id())
                .or(() -> end(lot, looking.today()).isBefore(looking.today())
                        ? Optional.of("it is past its date")
                        : Optional.empty())
                .ifPresent(found -> why.put(lot.kind().key(), found)));
        return Map.copyOf(why);
    }

    /**
     * The day it is looked at, in a pantry so warm.
     *
     * @param drying lots that lie on the rack
     */
    public record Looking(LocalDate today, Temperature pantry, Set<UUID> drying) {}

    /**
     * Puts what pours in this pantry first, and of one oil the bottle that lasts longest: what the sentence begins with. What is past its
     * date comes last, chosen by nobody but by hand.
     */
    private static List<Stock.OfCarrier> liquidFirst(List<Stock.OfCarrier> carriers, Looking looking) {
        return carriers.stream()
                .sorted(Comparator.comparing(
                                (Stock.OfCarrier c) -> end(c, looking.today()).isBefore(looking.today()))
                        .thenComparing((Stock.OfCarrier c) -> c.kind()
                                .melting()
                                .filter(m -> m.compareTo(looking.pantry()) > 0)
                                .isPresent())
                        .thenComparing(Stock.OfCarrier::name)
                        .thenComparing(c -> end(c, looking.today()), Comparator.reverseOrder()))
                .toList();
    }

    private static LocalDate end(Stock.OfCarrier bottle, LocalDate today) {
        return new Bottle(bottle.name(), bottle.kind().monthsOpened(), bottle.opened(), bottle.bestBefore()).end(today);
    }
}
