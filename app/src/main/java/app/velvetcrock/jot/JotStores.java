package app.velvetcrock.jot;

import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.core.jot.said.AtTheCupboard;
import app.velvetcrock.core.jot.said.AtTheStores;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.parting.Parting;
import app.velvetcrock.rack.Rack;
import app.velvetcrock.rack.RackLine;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.stock.deeds.StoreDeeds;
import app.velvetcrock.web.Refused;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Does what a line says of the rack and of the stores. */
@Component
class JotStores {

    private final Rack rack;
    private final RackLine weighing;
    private final Stores stores;
    private final StoreDeeds deeds;
    private final Households households;

    JotStores(Rack rack, RackLine weighing, Stores stores, StoreDeeds deeds, Households households) {
        this.rack = rack;
        this.weighing = weighing;
        this.stores = stores;
        this.deeds = deeds;
        this.households = households;
    }

    /** Does one thing, and tells by what it is taken back. */
    String does(Jotted.Said said, Fact fact, Parting.Once once) {
        boolean keepsItsNote = fact instanceof AtTheCupboard.Took
                || fact instanceof Fact.ThrownOut
                || fact instanceof AtTheStores.Left;
        if (!said.note().isEmpty() && !keepsItsNote) {
            throw new Refused(
                    "Beside that no note is kept: “%s” would be lost. Nothing was written.".formatted(said.note()));
        }
        return said.thing().kind() == Thing.Kind.RACK ? rack(said, fact, once) : stored(said, fact, once);
    }

    private String rack(Jotted.Said said, Fact fact, Parting.Once once) {
        Rack.OnRack lot = rack.find(said.thing().id());
        if (fact instanceof AtTheStores.Weighed weighed) {
            UUID done = done(
                    new StoreDeed.Weigh(lot.lot(), weighing.read(lot, weighed.now(), weighed.snap(), once.at())), once);
            return JotBack.Kind.WEIGHED.of(lot.id(), done);
        } else if (fact instanceof AtTheStores.TakenDown down) {
            return JotBack.Kind.DOWN.of(lot.id(), done(new StoreDeed.TakeDown(lot.lot(), down.as()), once));
        }
        throw new Refused("That is not written from here. Nothing was written.");
    }

    private String stored(Jotted.Said said, Fact fact, Parting.Once once) {
        Stock.OfLot lot = stores.lot(said.thing().id());
        if (fact instanceof AtTheStores.Opened) {
            if (lot.opened().isPresent()) {
                throw new Refused("“%s” is open already. Nothing was written.".formatted(lot.name()));
            }
            return JotBack.Kind.OPENED.of(lot.id(), done(new StoreDeed.Open(lot.id(), true), once));
        } else if (fact instanceof AtTheStores.Left left) {
            String why = said.note().isEmpty() ? "counted" : said.note();
            StoreDeed.SetRight right =
                    new StoreDeed.SetRight(lot.id(), mass(left.there(), lot).toMilligrams(), why);
            return JotBack.Kind.DEED.of(lot.id(), done(right, once));
        } else if (fact instanceof AtTheCupboard.Took took) {
            StoreDeed.TakeOut out = new StoreDeed.TakeOut(
                    lot.id(), taken(mass(took.amount(), lot), lot).toMilligrams(), took.how(), said.note());
            return JotBack.Kind.DEED.of(lot.id(), done(out, once));
        } else if (fact instanceof Fact.ThrownOut out) {
            String why = said.note().isEmpty() ? out.why().word() : said.note();
            StoreDeed.ThrowOut thrown = new StoreDeed.ThrowOut(lot.id(), why, Optional.of(out.why()));
            return JotBack.Kind.DEED.of(lot.id(), done(thrown, once));
        }
        throw new Refused("That is not written from here. Nothing was written.");
    }

    private UUID done(StoreDeed deed, Parting.Once once) {
        return deeds.done(Current.doing(deed, once.key(), once.at(), once.typed()));
    }

    private static Mass mass(Quantity amount, Stock.OfLot lot) {
        return amount instanceof Mass mass
                ? mass
                : lot.density()
                        .orElseThrow(() -> new Refused(
                                "How heavy a millilitre of “%s” is nobody said: say it by weight. Nothing was written."
                                        .formatted(lot.name())))
                        .massOf((Volume) amount);
    }

    private Mass taken(Mass mass, Stock.OfLot lot) {
        House house = households.current();
        Mass left = Mass.ofMilligrams(lot.left());
        // What is left, typed back as it is shown, is all of it.
        if (house.mass(mass).equals(house.mass(left))) {
            return left;
        }
        if (mass.toMilligrams() <= 0 || mass.compareTo(left) > 0) {
            throw new Refused(
                    "Understood %s; %s is left. Nothing was written.".formatted(house.mass(mass), house.mass(left)));
        }
        return mass;
    }
}
