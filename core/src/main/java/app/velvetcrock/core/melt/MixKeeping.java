package app.velvetcrock.core.melt;

import app.velvetcrock.core.caution.Bearing;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.larder.Infused;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MadeKeeping;
import app.velvetcrock.core.planning.Planner;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What is planned at the pan, judged: how long it will keep, and what all that is in it bears. */
final class MixKeeping {

    private MixKeeping() {}

    /**
     * How long it keeps that is made today.
     *
     * @param from the batches its oils came from
     */
    static MadeKeeping keeping(Mix read, Mass whole, LocalDate today, List<Infused> from) {
        List<MadeKeeping.Ends> ends = new ArrayList<>();
        read.fats().forEach(one -> ends(one, Optional.empty(), from).ifPresent(ends::add));
        for (int i = 0; i < read.stirred().size(); i++) {
            ends(read.stirred().get(i).thing(), Optional.of(i), from).ifPresent(ends::add);
        }
        read.kind()
                .daysCold()
                .ifPresent(days -> ends.add(new MadeKeeping.Ends(
                        "%d days such pads keep in the refrigerator".formatted(days),
                        today.plusDays(days),
                        Optional.empty())));
        return MadeKeeping.of(
                today,
                ends,
                read.stirred().stream()
                        .map(one -> new MadeKeeping.Brings(
                                one.thing().supply().orElseThrow(),
                                one.addition().mass().grams() / whole.grams(),
                                one.thing().own().strength()))
                        .toList());
    }

    /** All that is in it bears of the table of who it is for: of the herbs in its oils too, by the batches these came from. */
    static Set<String> borne(Mix read, List<Infused> from) {
        Set<String> traits = new HashSet<>(Set.of(Bearing.ANY_FAT));
        read.fats().forEach(one -> traits.addAll(one.traits()));
        Stream.concat(read.wax().stream(), read.stirred().stream().map(Mix.Stirred::thing))
                .forEach(one -> traits.addAll(one.supply().map(Bearing::supply).orElse(one.traits())));
        for (Infused infused : from) {
            traits.addAll(Planner.borne(infused.request()));
            // Spirit that nobody has said to be gone is taken to be in the oil still.
            if (infused.bearsSpirit()) {
                traits.addAll(Bearing.spirit());
            }
        }
        // Edible is the whole only where all of it is.
        if (traits.contains(Bearing.NOT_EDIBLE)) {
            traits.remove(Cautions.EDIBLE);
        }
        return traits;
    }

    private static Optional<MadeKeeping.Ends> ends(PanThing thing, Optional<Integer> addition, List<Infused> from) {
        return thing.ends()
                .map(date -> new MadeKeeping.Ends(
                        thing.common().toLowerCase(Locale.ROOT),
                        date,
                        addition,
                        thing.own().oil().flatMap(oil -> guarded(oil, from))));
    }

    /** How long an infused oil would keep with an antioxidant in it, whose bonus makes up for what its herb and heat cost it. */
    private static Optional<LocalDate> guarded(Stock.OfOil oil, List<Infused> from) {
        return from.stream()
                .filter(infused -> infused.batch().equals(oil.batch()))
                .findFirst()
                .flatMap(infused -> infused.finish().map(finish -> Planner.keepUntil(
                                infused.request(),
                                finish.bottled(
                                        oil.place(),
                                        oil.bottle().map(Stock.OfBottle::glass).orElse(Glass.DARK),
                                        infused.hadWater(),
                                        Antioxidant.TOCOPHEROLS))
                        .date()));
    }
}
