package app.velvetcrock.demo;

import app.velvetcrock.core.book.Suspects.Strength;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.learned.Reactions;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What somebody of the demo household's friends reacted to: a yarrow oil, and not a nettle one, nor a salve without either. */
@Component
class DemoBook {

    private final Persons persons;
    private final Reactions reactions;
    private final Oils oils;
    private final Goods goods;
    private final Households households;
    private final Clock clock;

    DemoBook(Persons persons, Reactions reactions, Oils oils, Goods goods, Households households, Clock clock) {
        this.persons = persons;
        this.reactions = reactions;
        this.oils = oils;
        this.goods = goods;
        this.households = households;
        this.clock = clock;
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
