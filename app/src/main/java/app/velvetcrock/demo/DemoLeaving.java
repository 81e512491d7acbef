package app.velvetcrock.demo;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.parting.GiftsAsked;
import app.velvetcrock.core.parting.Offer;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.parting.GiftLists;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.parting.StallDays;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** To whom the demo household gives, what it has promised for midwinter, and the stall it packs for. */
@Component
class DemoLeaving {

    private static final String GIFTS = "seven people, a tin each; one without bee products, one pregnant";
    private static final int MOST_BROUGHT = 12;

    private final Persons persons;
    private final GiftLists gifts;
    private final StallDays stalls;
    private final Goods goods;
    private final Households households;
    private final Clock clock;

    DemoLeaving(Persons persons, GiftLists gifts, StallDays stalls, Goods goods, Households households, Clock clock) {
        this.persons = persons;
        this.gifts = gifts;
        this.stalls = stalls;
        this.goods = goods;
        this.households = households;
        this.clock = clock;
    }

    void promise() {
        persons.add("Ari", new Recipient(Set.of(), Set.of("nuts")), "hands crack in the frost");
        persons.add("Fenna", new Recipient(Set.of(Use.PREGNANCY), Set.of()), "");
        persons.add("Old Bram", new Recipient(Set.of(Use.ELDERLY), Set.of("medicines")), "");
        persons.add("Mirre", new Recipient(Set.of(Use.BABY), Set.of("bees")), "for the little one");
        Optional<Stock.OfGood> most = goods.inStock().stream()
                .filter(good -> good.inPieces() && good.keptBack().isEmpty())
                .max(Comparator.comparing(Stock.OfGood::left));
        UUID list = gifts.add(GIFTS, GiftsAsked.read(GIFTS).asked().orElseThrow());
        LocalDate saturday = households.current().dayOf(clock.instant()).plusDays(4);
        UUID stall = stalls.open("Midwinter market", saturday, 4_000);
        most.ifPresent(good -> {
            gifts.of(list, good.id());
            stalls.bring(
                    stall,
                    new StallDays.Thing(
                            good.id(), (int) Math.min(MOST_BROUGHT, good.left()), new Offer(650, 3, 1_800)));
        });
        gifts.gifts(list).stream().findFirst().ifPresent(gift -> gifts.name(list, gift.id(), "Ari"));
    }
}
