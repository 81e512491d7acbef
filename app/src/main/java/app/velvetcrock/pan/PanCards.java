package app.velvetcrock.pan;

import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Formula.Role;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.melt.Mix;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.pan.PanPage.Card;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** The figures beside the Pan's picture, each with what it rests on. */
final class PanCards {

    private PanCards() {}

    /** The wax, the day it keeps until, the cost. */
    static List<Card> of(MixPlan planned, PanPage.At at) {
        House house = at.house();
        List<Card> cards = new ArrayList<>();
        Mix read = planned.read();
        Formula formula = read.melt().formula();
        read.wax().ifPresent(wax -> {
            Mass mass = formula.parts().stream()
                    .filter(part -> part.stuff().role() == Role.WAX
                            && part.stuff().key().equals(wax.key()))
                    .map(Formula.Part::mass)
                    .findFirst()
                    .orElse(Mass.ZERO);
            String spoons = wax.bulk()
                    .map(bulk -> "; about %s of pellets".formatted(house.volume(bulk.volumeOf(mass))))
                    .orElse("");
            cards.add(new Card(
                    "wax-figure",
                    "%s %s".formatted(house.mass(mass), wax.common().toLowerCase(Locale.ROOT)),
                    (wax.isHere() ? "of %s in store".formatted(house.mass(wax.left())) : "none in store") + spoons,
                    read.melt().working(),
                    "how is this worked out?"));
        });
        cards.add(new Card(
                "keeps",
                "till " + house.date(planned.keeping().date()),
                (planned.isPast() ? "! past its date: " : "")
                        + planned.keeping().limitedBy(),
                planned.keeping().working(),
                "the whole sum"));
        at.cost().ifPresent(cost -> {
            int count = planned.filling().map(Filling::count).orElse(0);
            long hundred = Math.round(cost.minor() * 100 / planned.whole().grams());
            cards.add(new Card(
                    "cost",
                    count > 0
                            ? "%s each".formatted(house.money(Math.round(cost.minor() / (double) count)))
                            : house.money(cost.minor()),
                    "%s for 100 g%s%s"
                            .formatted(
                                    house.money(hundred),
                                    at.bought()
                                            .map(price -> bought(price, count, cost.minor(), house))
                                            .orElse(""),
                                    cost.unpriced().isEmpty()
                                            ? ""
                                            : "; without " + String.join(", ", cost.unpriced())
                                                    + ", whose price is not known"),
                    null,
                    ""));
        });
        return cards;
    }

    /** What as many bought ones would cost, beside. */
    private static String bought(long price, int count, long minor, House house) {
        return count > 0
                ? "; a bought one is %s: %s instead of %s for the %d"
                        .formatted(house.money(price), house.money(price * count), house.money(minor), count)
                : "; a bought one is %s".formatted(house.money(price));
    }
}
