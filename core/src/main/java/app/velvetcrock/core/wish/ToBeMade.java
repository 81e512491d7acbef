package app.velvetcrock.core.wish;

import app.velvetcrock.core.bench.Notes;
import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.larder.Infused;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Formula.Role;
import app.velvetcrock.core.making.HowMuch;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.Melt;
import app.velvetcrock.core.making.MeltRequest;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.melt.Mix;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.melt.MixPlanner;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.Finish;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** The second half of a wish: what is made of an oil that is still to come. */
final class ToBeMade {

    /** [E] What is carried in a pocket holds no more, mL. */
    private static final double OF_A_POCKET = 20;

    private static final String LIP_BALM = "lip-balm";

    private ToBeMade() {}

    /** How much oil it takes; absent where that follows from the herb. */
    static Optional<Volume> oil(MixPlanner mixes, ToHand hand, Notes notes) {
        Wish wish = hand.wish();
        if (wish.much() instanceof Wish.Much.OfOil only) {
            return Optional.of(only.volume());
        }
        return wish.making().flatMap(kind -> howMuch(wish.much()).flatMap(much -> {
            PanThing oil =
                    thing(hand, Mass.ofGrams(1_000), hand.kitchen().place().today());
            return melt(mixes, hand, kind, oil, much, notes).map(melt -> oil.density()
                    .volumeOf(melt.formula().parts().stream()
                            .filter(part -> part.stuff().role() == Role.OIL
                                    && part.stuff().key().equals(oil.key()))
                            .map(Formula.Part::mass)
                            .reduce(Mass.ZERO, Mass::plus)));
        }));
    }

    private static Optional<HowMuch> howMuch(Wish.Much much) {
        if (much instanceof Wish.Much.Weight weight) {
            return Optional.of(new HowMuch.Weight(weight.mass()));
        }
        return much instanceof Wish.Much.Filled filled
                ? Optional.of(new HowMuch.Count(filled.count(), filled.container()))
                : Optional.empty();
    }

    /** What is made of it, once it is strained. */
    static Optional<MixPlan> mix(MixPlanner mixes, ToHand hand, Planned plan, Notes notes) {
        Kitchen kitchen = hand.kitchen();
        Wish wish = hand.wish();
        Kind kind = wish.making().orElseThrow();
        Volume back = plan.backInAll();
        PanThing oil = thing(
                hand,
                plan.plan().request().carrier().kind().density().massOf(back),
                plan.plan().keepUntil().date());
        PanShelves shelves = shelves(kitchen.pan(), oil, kind);
        HowMuch much = howMuch(wish.much()).orElseGet(() -> new HowMuch.AllTheOil(oil.left()));
        MixPlanner.Infusions infusions = batches -> List.of(infused(plan.plan()));
        return melt(mixes, hand, kind, oil, much, notes)
                .map(melt -> mixes.plan(
                        new Mix(
                                kind,
                                wish.use(),
                                kitchen.place().room(),
                                oil,
                                wax(shelves, kind),
                                others(shelves, kind),
                                melt,
                                melt.firmness().value(),
                                List.of(),
                                wish.much() instanceof Wish.Much.Filled filled
                                        ? Optional.of(tin(shelves, filled))
                                        : Optional.empty(),
                                wish.much() instanceof Wish.Much.Filled filled
                                        ? Optional.of(filled.count())
                                        : Optional.empty()),
                        new MixPlanner.Around(
                                shelves,
                                infusions,
                                kitchen.learned().cooling(),
                                kitchen.place().say())));
    }

    /** The batch its oil comes from, as it is planned. */
    static Infused infused(BatchPlan of) {
        return new Infused(
                PanThing.TO_COME,
                of.request(),
                false,
                Optional.of(Finish.asPlanned(of.request(), of.strainOn())),
                false,
                false);
    }

    private static PanShelves.Tin tin(PanShelves shelves, Wish.Much.Filled filled) {
        return shelves.containers().stream()
                .filter(one -> one.container().equals(filled.container()))
                .findFirst()
                .orElseGet(() -> new PanShelves.Tin(
                        PanThing.TO_COME.toString(), filled.container().name(), filled.container(), 0));
    }

    private static PanThing thing(ToHand hand, Mass left, LocalDate ends) {
        String name = "%s in %s"
                .formatted(
                        hand.herb().kind().common(), hand.wish().oil().common().toLowerCase(java.util.Locale.ROOT));
        return new PanThing(
                PanThing.TO_COME.toString(),
                name,
                "infused:" + PanThing.TO_COME,
                name,
                Optional.of(PanThing.TO_COME),
                hand.bottle().density(),
                Optional.empty(),
                left,
                Optional.of(ends),
                java.util.Set.of(),
                Optional.empty(),
                Optional.of(PanThing.TO_COME),
                PanThing.Own.NOTHING);
    }

    private static PanShelves shelves(PanShelves pan, PanThing oil, Kind kind) {
        PanShelves with = pan.and(oil);
        return new PanShelves(
                with.oils(),
                with.otherOils(),
                with.waxes(),
                with.butters(),
                with.additions(),
                into(with.containers(), kind),
                with.heldBack(),
                with.today());
    }

    /** What such a thing is filled into: a lip balm into what a pocket takes, where any such is there. */
    static List<PanShelves.Tin> into(List<PanShelves.Tin> all, Kind kind) {
        List<PanShelves.Tin> small = all.stream()
                .filter(one -> one.container().brim().millilitres() <= OF_A_POCKET
                        && !one.container().mould())
                .toList();
        return kind.key().equals(LIP_BALM) && !small.isEmpty() ? small : all;
    }

    private static Optional<PanThing> wax(PanShelves shelves, Kind kind) {
        return kind.wax() ? shelves.ofKey(Setting.BEESWAX) : Optional.empty();
    }

    private static List<PanThing> others(PanShelves shelves, Kind kind) {
        return kind.others().keySet().stream()
                .flatMap(key -> shelves.ofKey(key).stream())
                .toList();
    }

    /** Melted to the firmness that felt right here, or else to the kind's own. */
    private static Optional<Melt> melt(
            MixPlanner mixes, ToHand hand, Kind kind, PanThing oil, HowMuch much, Notes notes) {
        Temperature room = hand.kitchen().place().room();
        PanShelves shelves = hand.kitchen().pan();
        double firmness =
                hand.kitchen().learned().right(kind).map(OwnRight::target).orElse(kind.firmness());
        List<MeltRequest.Wish> others = kind.others().entrySet().stream()
                .flatMap(one -> shelves.ofKey(one.getKey()).stream()
                        .map(thing -> new MeltRequest.Wish(
                                thing.stuff(Role.BUTTER, mixes.setting().equivalent(thing.key(), room)),
                                new MeltRequest.Share.Of(one.getValue()))))
                .toList();
        try {
            return Optional.of(Melt.of(new MeltRequest(
                    much,
                    oil.stuff(Role.OIL, 0),
                    wax(shelves, kind)
                            .map(one -> one.stuff(Role.WAX, mixes.setting().equivalent(one.key(), room))),
                    Optional.empty(),
                    others,
                    firmness,
                    kind.whipped())));
        } catch (Melt.CannotBe cannot) {
            notes.trouble("much", cannot.getMessage() + ".", "fewer, or less");
            return Optional.empty();
        }
    }
}
