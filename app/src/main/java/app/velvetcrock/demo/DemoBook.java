package app.velvetcrock.demo;

import app.velvetcrock.core.book.Suspects.Strength;
import app.velvetcrock.core.book.Twins;
import app.velvetcrock.core.course.Seen;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.learned.Reactions;
import app.velvetcrock.learned.TwinPairs;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Stores;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Twins that wait to be judged; and what somebody of the demo household's friends reacted to: a yarrow oil, and not a nettle one, nor a
 * salve without either.
 */
@Component
class DemoBook {

    private static final int SHORTER = 28;
    private static final int LONGER = 42;
    private static final int TWINS_DAYS_AGO = 70;

    private final DemoHands hands;
    private final Stores stores;
    private final TwinPairs twinPairs;
    private final Persons persons;
    private final Reactions reactions;
    private final Oils oils;
    private final Goods goods;
    private final Households households;
    private final Clock clock;

    DemoBook(
            DemoHands hands,
            Stores stores,
            TwinPairs twinPairs,
            Persons persons,
            Reactions reactions,
            Oils oils,
            Goods goods,
            Households households,
            Clock clock) {
        this.hands = hands;
        this.stores = stores;
        this.twinPairs = twinPairs;
        this.persons = persons;
        this.reactions = reactions;
        this.oils = oils;
        this.goods = goods;
        this.households = households;
        this.clock = clock;
    }

    /** One charge of nettle in two jars, four weeks and six: strained long since, and nobody has smelled at the cups yet. */
    void twins() {
        UUID nettle = stores.herbs().stream()
                .filter(herb -> herb.kind().key().equals("nettle") && herb.moisture() == Moisture.DRIED)
                .max(Comparator.comparing(herb -> herb.left().grams()))
                .orElseThrow()
                .id();
        UUID rapeseed = stores.carriers().stream()
                .filter(oil -> oil.kind().key().equals("rapeseed"))
                .max(Comparator.comparing(oil -> oil.left().grams()))
                .orElseThrow()
                .id();
        DemoHands.Charge charge = new DemoHands.Charge(nettle, "20 g", rapeseed, "");
        twinPairs.keep(Twins.Question.TIME, twin(charge, LONGER, 1.15), twin(charge, SHORTER, 1.08));
    }

    private UUID twin(DemoHands.Charge charge, int days, double kept) {
        UUID batch = hands.cold(charge, days, TWINS_DAYS_AGO);
        hands.tend(batch, TWINS_DAYS_AGO, TWINS_DAYS_AGO - days + 1);
        hands.strain(
                batch,
                kept,
                TWINS_DAYS_AGO - days,
                new Seen(Clarity.CLEAR, Smell.RIGHT, Volume.ofMillilitres(0), "green"),
                "");
        return batch;
    }

    void reacted() {
        UUID inga = persons.add("Inga", new Recipient(Set.of(), Set.of()), "gardens without gloves");
        LocalDate today = households.current().dayOf(clock.instant());
        oil("Yarrow").ifPresent(lot -> note(inga, lot, Strength.CLEAR, today.minusDays(12), "forearm"));
        oil("Nettle").ifPresent(lot -> note(inga, lot, Strength.NONE, today.minusDays(9), "forearm"));
        goods.inStock().stream()
                .filter(Stock.OfGood::inPieces)
                .findFirst()
                .ifPresent(good ->
                        note(inga, new Thing(good.id(), good.name()), Strength.NONE, today.minusDays(8), "hands"));
    }

    private record Thing(UUID lot, String name) {}

    private Optional<Thing> oil(String herb) {
        return oils.left().stream()
                .filter(oil -> oil.name().startsWith(herb))
                .findFirst()
                .map(oil -> new Thing(oil.id(), oil.name()));
    }

    private void note(UUID person, Thing thing, Strength strength, LocalDate on, String place) {
        reactions.note(
                new Reactions.Used(
                        person,
                        Optional.of(thing.lot()),
                        thing.name(),
                        strength,
                        false,
                        place,
                        strength == Strength.NONE ? "" : "two days",
                        false,
                        on),
                Optional.empty());
    }
}
