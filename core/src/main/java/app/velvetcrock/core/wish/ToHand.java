package app.velvetcrock.core.wish;

import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.bench.Bottled;
import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.wish.WishAnswer.Against;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * A wish with the lots it is planned from: those of the kitchen that are meant by it, or what is said to be there, and what would have
 * to be got.
 *
 * @param asked the kitchen as it is
 * @param kitchen the same with what would have to be got: nothing of it is left there
 */
record ToHand(Wish wish, Kitchen asked, Kitchen kitchen, Stock.OfHerb herb, Bottled bottle) {

    private static final UUID HERB = new UUID(0, 1);
    private static final UUID OIL = new UUID(0, 2);

    /**
     * What a lot must hold to be planned from: where none has enough, all of it is got as one lot.
     *
     * @param oil all that is poured
     */
    record Need(Mass herb, Mass oil) {}

    /** What is lacking by less is not lacking, g. */
    private static final double NEARLY = 0.05;

    static ToHand of(Wish wish, Kitchen asked) {
        return of(wish, asked, new Need(wish.herb().mass().orElse(Mass.ZERO), Mass.ZERO));
    }

    private static boolean holds(Mass left, Mass need) {
        return left.grams() + NEARLY >= need.grams();
    }

    /** The same with all of it to be got where the lots it is planned from turn out not to be enough; the same where they are. */
    ToHand enoughFor(Planned plan) {
        Mass poured = bottle.density().massOf(plan.oilInAll());
        Need need = new Need(plan.herbInAll(), poured);
        boolean herbShort = !UsualKitchen.isToCome(herb.id()) && !holds(herb.left(), need.herb());
        boolean oilShort = !UsualKitchen.isToCome(bottle.id()) && !holds(bottle.left(), poured);
        return herbShort || oilShort ? of(wish, asked, need) : this;
    }

    /** What of it is here, and not enough of it: that is told, since all of it comes in anew. */
    List<String> notEnough() {
        List<String> words = new ArrayList<>();
        if (UsualKitchen.isToCome(herb.id())) {
            asked.bench().herbs().stream()
                    .filter(lot -> isMeant(lot, wish.herb()))
                    .max(Comparator.comparing(Stock.OfHerb::left))
                    .ifPresent(lot -> words.add("%s of %s is here, not enough of it by itself"
                            .formatted(asked.place().say().mass(lot.left()), lot.name())));
        }
        if (UsualKitchen.isToCome(bottle.id())) {
            asked.bench().carriers().stream()
                    .filter(lot -> lot.kind().key().equals(wish.oil().key()))
                    .filter(lot -> !isPast(lot, asked))
                    .max(Comparator.comparing(Stock.OfCarrier::left))
                    .ifPresent(lot -> words.add("%s of %s is here, not enough of it by itself"
                            .formatted(asked.place().say().volume(lot.density().volumeOf(lot.left())), lot.name())));
        }
        return words;
    }

    private static ToHand of(Wish wish, Kitchen asked, Need need) {
        Stock.OfHerb herb = herb(wish, asked, need.herb());
        Stock.OfCarrier carrier = carrier(wish, asked, need.oil());
        BenchShelves shelves = asked.bench();
        List<OfJar> jars = shelves.jars().isEmpty() && shelves.pots().isEmpty() ? UsualKitchen.jars() : shelves.jars();
        BenchShelves with = new BenchShelves(
                and(shelves.herbs(), herb),
                and(shelves.carriers(), carrier),
                shelves.oils(),
                jars,
                shelves.pots(),
                shelves.pans(),
                shelves.spirits(),
                shelves.kit(),
                shelves.own(),
                shelves.containers(),
                shelves.beeswax(),
                shelves.withheld());
        return new ToHand(wish, asked, asked.with(with), herb, Bottled.of(carrier));
    }

    /** What is here and not to be used is never brought in once more as if it were good: that is told, with what to do. */
    List<Against> withheld() {
        Map<String, String> held = asked.bench().withheld();
        List<Against> against = new ArrayList<>();
        if (UsualKitchen.isToCome(herb.id()) && held.containsKey(herb.kind().key())) {
            against.add(new Against(
                    "%s is here, and not to be used: %s"
                            .formatted(herb.name(), held.get(herb.kind().key())),
                    "another herb, or answer that first; a new bag is brought in first"));
        }
        if (UsualKitchen.isToCome(bottle.id()) && held.containsKey(wish.oil().key())) {
            against.add(new Against(
                    "%s is here, and not to be used: %s"
                            .formatted(wish.oil().common(), held.get(wish.oil().key())),
                    "another oil; a new bottle is brought in first"));
        }
        return against;
    }

    ToHand with(Wish other) {
        return of(other, asked);
    }

    boolean isMoistFood() {
        return wish.use() == Use.FOOD && !herb.moisture().isDried();
    }

    private static <T> List<T> and(List<T> all, T one) {
        if (all.contains(one)) {
            return all;
        }
        List<T> more = new ArrayList<>(all);
        more.add(one);
        return more;
    }

    /** A lot of the kind, part and state, no finer than it is wanted: what is past its date last, then whatever there is most of. */
    private static Stock.OfHerb herb(Wish wish, Kitchen asked, Mass need) {
        Wish.Herb herb = wish.herb();
        return asked.bench().herbs().stream()
                .filter(lot -> isMeant(lot, herb) && holds(lot.left(), need))
                .min(Comparator.comparing(
                                (Stock.OfHerb lot) -> lot.isPast(asked.place().today()))
                        .thenComparing(lot -> -lot.left().grams()))
                .map(lot -> lot.texture().cut() == herb.texture().cut() ? lot : lot.at(herb.texture()))
                .orElseGet(() -> new Stock.OfHerb(
                        HERB,
                        herb.kind().common(),
                        herb.kind(),
                        herb.texture(),
                        herb.moisture(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        herb.mass().orElse(Mass.ZERO)));
    }

    private static boolean isMeant(Stock.OfHerb lot, Wish.Herb herb) {
        return lot.kind().key().equals(herb.kind().key())
                && lot.texture().part() == herb.texture().part()
                && lot.moisture() == herb.moisture()
                && lot.texture().cut().compareTo(herb.texture().cut()) <= 0;
    }

    private static boolean isPast(Stock.OfCarrier lot, Kitchen asked) {
        LocalDate today = asked.place().today();
        return new Bottle(lot.name(), lot.kind().monthsOpened(), lot.opened(), lot.bestBefore())
                .end(today)
                .isBefore(today);
    }

    private static Stock.OfCarrier carrier(Wish wish, Kitchen asked, Mass need) {
        LocalDate today = asked.place().today();
        return asked.bench().carriers().stream()
                .filter(lot -> lot.kind().key().equals(wish.oil().key()))
                .filter(lot -> !isPast(lot, asked) && holds(lot.left(), need))
                .max(Comparator.comparing(Stock.OfCarrier::left))
                .orElseGet(() -> new Stock.OfCarrier(
                        OIL,
                        wish.oil().common(),
                        wish.oil(),
                        wish.oil().density(),
                        Optional.of(today),
                        Optional.empty(),
                        Mass.ZERO));
    }
}
