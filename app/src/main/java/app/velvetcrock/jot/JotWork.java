package app.velvetcrock.jot;

import app.velvetcrock.arrivals.PutAway;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.intake.Arriving;
import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.core.jot.said.AtTheCupboard;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.cupboard.BottleLine;
import app.velvetcrock.cupboard.Drawable;
import app.velvetcrock.cupboard.ToWhom;
import app.velvetcrock.melt.PanDeeds;
import app.velvetcrock.parting.Leaving;
import app.velvetcrock.parting.Parting;
import app.velvetcrock.press.SettleLine;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Does what a line says, step by step, and tells of each how it is taken back. */
@Component
class JotWork {

    private final JotDesk desk;
    private final JotStores stores;
    private final JotMelt melt;
    private final JotSkin skin;
    private final SettleLine settling;
    private final BottleLine bottling;
    private final PutAway putAway;
    private final Batches batches;
    private final Deeds deeds;
    private final Oils oils;
    private final Goods goods;
    private final PanDeeds pan;
    private final Parting parting;
    private final ToWhom toWhom;
    private final Households households;
    private final Clock clock;

    JotWork(
            JotDesk desk,
            JotStores stores,
            JotMelt melt,
            JotSkin skin,
            SettleLine settling,
            BottleLine bottling,
            PutAway putAway,
            Batches batches,
            Deeds deeds,
            Oils oils,
            Goods goods,
            PanDeeds pan,
            Parting parting,
            ToWhom toWhom,
            Households households,
            Clock clock) {
        this.desk = desk;
        this.stores = stores;
        this.melt = melt;
        this.skin = skin;
        this.settling = settling;
        this.bottling = bottling;
        this.putAway = putAway;
        this.batches = batches;
        this.deeds = deeds;
        this.oils = oils;
        this.goods = goods;
        this.pan = pan;
        this.parting = parting;
        this.toWhom = toWhom;
        this.households = households;
        this.clock = clock;
    }

    /** One deed of a line; done, it tells by what it is taken back. */
    interface Step {
        String done(UUID key, String typed);
    }

    /** Puts away what came in, and tells of each thing how it is taken back. */
    List<String> arrive(List<Arriving> arrived) {
        PutAway.Put put = arrived.isEmpty() ? new PutAway.Put(List.of(), List.of()) : putAway.all(arrived);
        return Stream.concat(
                        put.lots().stream().map(lot -> JotBack.Kind.LOT.of(lot, lot)),
                        put.jars().stream().map(jar -> JotBack.Kind.JAR.of(jar, jar)))
                .toList();
    }

    /** What is said of one thing, in order. */
    List<Step> steps(Jotted.Said said, Instant written) {
        List<Step> steps = new ArrayList<>();
        Instant at = desk.at(said, written);
        switch (said.thing().kind()) {
            case JAR, HEATED -> desk.deeds(said, written)
                    .forEach(next -> steps.add((key, typed) -> batch(next, key, typed)));
            case OIL -> said.facts()
                    .forEach(fact -> steps.add((key, typed) -> oil(said, fact, new Parting.Once(key, at, typed))));
            case GOOD -> said.facts()
                    .forEach(fact -> steps.add((key, typed) -> good(said, fact, new Parting.Once(key, at, typed))));
            case RACK, HERB, STORE -> said.facts()
                    .forEach(fact ->
                            steps.add((key, typed) -> stores.does(said, fact, new Parting.Once(key, at, typed))));
            case MELT -> said.facts().stream()
                    .filter(fact -> JotMelt.isDeed(said, fact))
                    .forEach(
                            fact -> steps.add((key, typed) -> melt.does(said, fact, new Parting.Once(key, at, typed))));
        }
        boolean noted = said.note().isEmpty()
                || said.facts().stream()
                        .anyMatch(fact -> fact instanceof Fact.ThrownOut
                                || fact instanceof Fact.Found
                                || fact instanceof AtTheCupboard.Reacted);
        if ((said.thing().kind().isFinished() || said.thing().kind() == Thing.Kind.MELT) && !noted) {
            steps.add((key, typed) -> note(said, new Parting.Once(key, at, typed)));
        }
        return steps;
    }

    private String batch(Supplier<JotDesk.Of> next, UUID key, String typed) {
        JotDesk.Of one = next.get();
        return JotBack.Kind.ENTRY.of(
                one.batch(), deeds.done(one.batch(), Current.doing(one.deed(), key, one.at(), typed)));
    }

    private String note(Jotted.Said said, Parting.Once once) {
        UUID lot = said.thing().id();
        if (said.thing().kind() == Thing.Kind.OIL) {
            return entry(oils.find(lot), new Deed.Note(said.note()), once);
        }
        UUID making =
                said.thing().kind() == Thing.Kind.MELT ? lot : goods.find(lot).batch();
        return JotBack.Kind.PAN.of(
                making, pan.done(making, Current.doing(new PanDeed.Note(said.note()), once.key(), once.at(), "")));
    }

    private String entry(Stock.OfOil oil, Deed deed, Parting.Once once) {
        return JotBack.Kind.ENTRY.of(
                oil.batch(), deeds.done(oil.batch(), Current.doing(deed, once.key(), once.at(), once.typed())));
    }

    private String oil(Jotted.Said said, Fact fact, Parting.Once once) {
        Stock.OfOil oil = oils.find(said.thing().id());
        if (fact instanceof AtTheCupboard.Took took) {
            Mass mass = drawn(took.amount(), oil);
            Optional<Leaving.Kind> left = kind(took.how());
            UUID movement = left.isPresent()
                    ? parting.oil(oil.id(), mass, left.get(), terms(took.to(), oil.id(), once), once)
                    : deeds.done(
                            oil.batch(),
                            Current.doing(
                                    new Deed.Draw(oil.id(), mass, took.how()), once.key(), once.at(), once.typed()));
            return JotBack.Kind.MOVED.of(oil.id(), movement);
        }
        if (fact instanceof AtTheCupboard.Reacted reacted) {
            return skin.keeps(said, reacted, once);
        } else if (fact instanceof AtTheCupboard.Settled settled) {
            return entry(
                    oil, settling.read(batches.sheet(oil.batch()), settled.clear(), settled.water(), once.at()), once);
        }
        refuseIfSeveral(
                oils.left().stream()
                        .filter(one -> one.batch().equals(oil.batch()))
                        .count(),
                oil.name());
        if (fact instanceof AtTheCupboard.Bottled bottled) {
            return entry(
                    oil,
                    bottling.read(
                            batches.sheet(oil.batch()), oil.id(), bottled.bottles(), bottled.size(), bottled.glass()),
                    once);
        } else if (fact instanceof Fact.Looked looked) {
            return entry(oil, new Deed.Sniff(oil.id(), smellsWell(looked)), once);
        } else if (fact instanceof Fact.Found found) {
            return entry(oil, new Deed.Find(found.what(), said.note(), Optional.of(oil.id())), once);
        } else if (fact instanceof Fact.ThrownOut out) {
            return entry(oil, new Deed.ThrowOut(out.why(), said.note(), Optional.of(oil.id())), once);
        }
        throw notHere();
    }

    private String good(Jotted.Said said, Fact fact, Parting.Once once) {
        Stock.OfGood good = goods.find(said.thing().id());
        if (fact instanceof AtTheCupboard.TookPieces took) {
            if (took.pieces() > good.left()) {
                throw new Refused("Understood %d; of “%s” there are %d. Nothing was written."
                        .formatted(took.pieces(), good.name(), good.left()));
            }
            Optional<Leaving.Kind> left = kind(took.how());
            return JotBack.Kind.MOVED.of(
                    good.id(),
                    left.isPresent()
                            ? parting.good(
                                    good.id(), took.pieces(), left.get(), terms(took.to(), good.id(), once), once)
                            : goods.draw(good.id(), took.pieces(), Cause.DRAWN, once.at()));
        }
        if (fact instanceof AtTheCupboard.Reacted reacted) {
            return skin.keeps(said, reacted, once);
        }
        refuseIfSeveral(
                goods.inStock().stream()
                        .filter(one -> one.batch().equals(good.batch()))
                        .count(),
                good.name());
        if (fact instanceof Fact.Looked looked) {
            PanDeed smell = new PanDeed.Smell(good.id(), smellsWell(looked));
            return JotBack.Kind.PAN.of(
                    good.batch(), pan.done(good.batch(), Current.doing(smell, once.key(), once.at(), "")));
        } else if (fact instanceof Fact.ThrownOut out) {
            String why = said.note().isEmpty()
                    ? out.why().word()
                    : "%s: %s".formatted(out.why().word(), said.note());
            return JotBack.Kind.MOVED.of(
                    good.id(), goods.draw(good.id(), good.left(), Cause.DISCARDED, once.at(), why));
        }
        throw notHere();
    }

    /** Drawn from is the one that was begun; but which of several smells, is found wrong or goes out, a line does not say. */
    private static void refuseIfSeveral(long there, String name) {
        if (there > 1) {
            throw new Refused("There are %d of “%s”: say it on the page of the one that is meant. Nothing was written."
                    .formatted(there, name));
        }
    }

    private static Refused notHere() {
        return new Refused("That is not written from here. Nothing was written.");
    }

    private Mass drawn(Quantity amount, Stock.OfOil oil) {
        House house = households.current();
        Mass mass = amount instanceof Mass weighed ? weighed : oil.density().massOf((Volume) amount);
        return Drawable.of(mass, oil, house)
                .orElseThrow(() -> new Refused(Drawable.refusal(mass, oil, house) + " Nothing was written."));
    }

    private static Optional<Leaving.Kind> kind(Held how) {
        return switch (how) {
            case GIVE -> Optional.of(Leaving.Kind.GIVEN);
            case SELL -> Optional.of(Leaving.Kind.SOLD);
            default -> Optional.empty();
        };
    }

    private Parting.Terms terms(String to, UUID lot, Parting.Once once) {
        return toWhom.terms(ToWhom.said(to, once.at(), clock.instant()), lot);
    }

    /** Of what is finished only good and off are told apart. */
    private static boolean smellsWell(Fact.Looked looked) {
        Smell smell = looked.smell();
        if (smell == Smell.NOT_SMELLED || smell == Smell.FAINT) {
            throw new Refused(
                    "Say how it smells, good or off: “%s” says neither. Nothing was written.".formatted(looked.said()));
        }
        return smell == Smell.RIGHT;
    }
}
