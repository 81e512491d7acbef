package app.velvetcrock.core.wish;

import app.velvetcrock.core.bench.BenchTimes;
import app.velvetcrock.core.bench.Bottled;
import app.velvetcrock.core.bench.ChargePart;
import app.velvetcrock.core.bench.ChargePlanner;
import app.velvetcrock.core.bench.Charging;
import app.velvetcrock.core.bench.Notes;
import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.bench.Pour;
import app.velvetcrock.core.bench.SpiritChoice;
import app.velvetcrock.core.bench.TimeWish;
import app.velvetcrock.core.bench.WantedMaking;
import app.velvetcrock.core.bench.WantedOil;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.melt.MixPlanner;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Ingredient;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Situation;
import app.velvetcrock.core.method.Variants;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.Carriers;
import app.velvetcrock.core.planning.InTime;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.planning.Wanted;
import app.velvetcrock.core.spirit.Dosing;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.wish.WishAnswer.Against;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Answers a wish with one plan of the whole: charge, way, days and hours, making, filling. What is chosen before anybody chooses is what
 * suits: a way that is in time and never one that is refused, a vessel that holds it and fits the way.
 */
public final class WishPlanner {

    private static final String ANOTHER = "another herb or oil, or make it for somebody else";

    private final ChargePlanner charges;
    private final MixPlanner mixes = new MixPlanner();
    private final Materia materia;

    public WishPlanner(Planner planner, Materia materia) {
        this.charges = new ChargePlanner(planner);
        this.materia = materia;
    }

    public MixPlanner mixes() {
        return mixes;
    }

    /** What of a kitchen's containers something of a kind is filled into. */
    public static List<PanShelves.Tin> into(Kitchen kitchen, Kind kind) {
        return ToBeMade.into(kitchen.pan().containers(), kind);
    }

    /** The same of the usual sizes, where none is there: they would have to be bought. */
    public static List<PanShelves.Tin> intoUsual(Kind kind) {
        return ToBeMade.into(UsualKitchen.tins(), kind);
    }

    /** Works it out; absent with a trouble beside its field where nothing can be. */
    public Optional<WishAnswer> answer(Wish wish, Kitchen asked, Notes notes) {
        ToHand first = ToHand.of(wish, asked);
        return planned(first, notes).flatMap(once -> {
            ToHand hand = first.enoughFor(once);
            return hand.equals(first)
                    ? answer(hand, once, notes)
                    : planned(hand, notes).flatMap(plan -> answer(hand, plan, notes));
        });
    }

    private Optional<WishAnswer> answer(ToHand hand, Planned plan, Notes notes) {
        Wish wish = hand.wish();
        Optional<MixPlan> mix = wish.making().flatMap(kind -> ToBeMade.mix(mixes, hand, plan, notes));
        return notes.isClear()
                ? Optional.of(new WishAnswer(
                        wish,
                        plan,
                        mix,
                        late(plan),
                        against(hand, plan, mix),
                        toBuy(hand, plan, mix),
                        new Otherwise(this, materia).of(hand, plan)))
                : Optional.empty();
    }

    /** The charge by the way that suits best and is in time; where none is, by the one that is soonest. */
    Optional<Planned> planned(ToHand hand, Notes notes) {
        Situation situation = situation(hand);
        Method fittest = Variants.suiting(Choice.fittest(situation).method(), hand.isMoistFood());
        return planned(hand, fittest, notes).flatMap(first -> {
            if (hand.wish().by().isEmpty()
                    || !first.late().containsKey(fittest.key()) && first.plan().isAllowed()) {
                return Optional.of(first);
            }
            List<Method> able = first.ways().stream()
                    .filter(choice -> choice.fitness().isAllowed())
                    .map(Choice::method)
                    .toList();
            return able.stream()
                    .filter(way -> !first.late().containsKey(way.key()))
                    .findFirst()
                    .or(() -> soonest(hand, first, able))
                    .filter(way -> !way.key().equals(fittest.key()))
                    .flatMap(way -> planned(hand, way, notes))
                    .or(() -> Optional.of(first));
        });
    }

    private Optional<Method> soonest(ToHand hand, Planned plan, List<Method> able) {
        PlanRequest request = plan.plan().request();
        return able.stream()
                .filter(way -> end(hand, request.with(request.circumstances().by(way)), plan)
                        .isPresent())
                .min(Comparator.comparing(
                        way -> end(hand, request.with(request.circumstances().by(way)), plan)
                                .orElse(Instant.MAX)));
    }

    private static Optional<Instant> end(ToHand hand, PlanRequest request, Planned plan) {
        return BenchTimes.placed(timed(hand, plan.parts().get(0)), request).map(placed -> placed.end());
    }

    /** The charge by one way. */
    Optional<Planned> planned(ToHand hand, Method way, Notes notes) {
        Wish wish = hand.wish();
        Kitchen kitchen = hand.kitchen();
        Optional<WantedOil> wanted = ToBeMade.oil(mixes, hand, notes)
                .flatMap(oil -> back(hand, oil, way, notes))
                .map(back -> new WantedOil(back, Optional.empty()));
        if (!notes.isClear()) {
            return Optional.empty();
        }
        Mass mass = wanted.map(back -> back.wanted().herb())
                .orElseGet(() -> wish.herb().mass().orElse(ChargePlanner.USUAL));
        OilWish oil = wanted.<OilWish>map(back -> new OilWish.Exactly(
                        Volume.ofMillilitres(Math.ceil(back.wanted().oil().millilitres()))))
                .orElseGet(OilWish.ToCover::new);
        SpiritChoice spirit = spirit(kitchen);
        PlanRequest.Circumstances how = new PlanRequest.Circumstances(
                way,
                way.usualLengths(),
                kitchen.place().today(),
                wish.use(),
                Pressing.HAND,
                Storage.COOL_DARK,
                means(kitchen));
        Charging charging = new Charging(
                List.of(hand.herb()),
                List.of(new PlannedHerb(
                        hand.herb().kind(),
                        hand.herb().texture(),
                        hand.herb().moisture(),
                        hand.herb().weighedBulk(),
                        Mass.ofGrams(Math.floor(mass.grams() * 10) / 10),
                        kitchen.learned()
                                .retentions(
                                        hand.herb().kind(),
                                        hand.herb().texture(),
                                        hand.herb().moisture(),
                                        Pressing.HAND))),
                new Pour(
                        List.of(hand.bottle()),
                        Carriers.of(hand.bottle().carrier()),
                        kitchen.place().today()),
                oil,
                how,
                spirit,
                kitchen.place().now(),
                wanted);
        ChargePlanner.Around around = new ChargePlanner.Around(
                kitchen.bench(),
                new Otherwise.Unheard(notes),
                kitchen.place().say(),
                Optional.of(new BenchTimes(kitchen.home(), kitchen.bench().kit())));
        return vessels(charging, around).map(parts -> charges.inTime(parts, way, timed(hand, parts.get(0)), around)
                .outOf(wanted));
    }

    /** In one vessel; where none holds it and covers, divided over the jars that are free. */
    private Optional<List<ChargePart>> vessels(Charging charging, ChargePlanner.Around around) {
        Optional<List<ChargePart>> one =
                charges.parts(charging, new ChargePlanner.Into(Optional.empty(), false), around);
        boolean holds = one.filter(parts -> parts.size() > 1
                        || parts.get(0).plan().found().fits()
                                && parts.get(0).plan().found().cover().isEnough())
                .isPresent();
        if (holds || one.isEmpty()) {
            return one;
        }
        ChargePlanner.Around unheard =
                new ChargePlanner.Around(around.shelves(), new Otherwise.Unheard(), around.say(), around.times());
        return charges.parts(charging, new ChargePlanner.Into(Optional.empty(), true), unheard)
                .filter(parts -> parts.stream().allMatch(part -> part.plan().canStart()))
                .or(() -> one);
    }

    private static TimeWish timed(ToHand hand, ChargePart part) {
        Kitchen kitchen = hand.kitchen();
        HomeHours home = kitchen.home()
                .warming()
                .of(
                        part.plan().request().circumstances().method(),
                        part.jar().id(),
                        part.plan().charge());
        return new TimeWish(
                home,
                way -> kitchen.home()
                        .warming()
                        .of(way, part.jar().id(), part.plan().charge()),
                kitchen.place().now(),
                hand.wish().by(),
                Map.of(),
                hand.wish().making().filter(WishPlanner::isMelted).isPresent() ? PlanSteps.making() : List.of());
    }

    /** A blend of oils is poured together cold; all else is melted, poured and sets. */
    private static boolean isMelted(Kind kind) {
        return kind.wax() || !kind.others().isEmpty();
    }

    private static Optional<Wanted> back(ToHand hand, Volume oil, Method way, Notes notes) {
        Stock.OfHerb herb = hand.herb();
        if (oil.millilitres() > Wanted.MOST_MILLILITRES) {
            notes.trouble("much", "That takes more than 20 litres of oil.", "fewer, or less");
            return Optional.empty();
        }
        HerbPortion gram = new HerbPortion(
                Mass.ofGrams(1),
                herb.texture(),
                herb.moisture(),
                herb.weighedBulk(),
                herb.kind().usualRatio(herb.texture().cut()));
        List<Vessel> vessels =
                hand.kitchen().bench().suiting(way).stream().map(OfJar::vessel).toList();
        return Optional.of(Wanted.dividing(
                oil,
                gram,
                Wanted.retention(
                        gram,
                        Pressing.HAND,
                        hand.kitchen()
                                .learned()
                                .retentions(herb.kind(), herb.texture(), herb.moisture(), Pressing.HAND)),
                new Wanted.Room(vessels, way.headspace())));
    }

    private static SpiritChoice spirit(Kitchen kitchen) {
        Optional<Stock.OfSupply> lot = kitchen.bench().spirits().stream().findFirst();
        return new SpiritChoice(lot, lot.flatMap(Stock.OfSupply::strength), Dosing.AS_USUAL);
    }

    private static Means means(Kitchen kitchen) {
        return new Means(
                kitchen.place().pantry(),
                spirit(kitchen).strength(),
                kitchen.bench().kit());
    }

    private static Situation situation(ToHand hand) {
        Stock.OfHerb herb = hand.herb();
        Bottled bottle = hand.bottle();
        return new Situation(
                List.of(new Ingredient(herb.kind(), herb.texture().part(), herb.moisture())),
                Carriers.of(bottle.carrier()).asFound(hand.kitchen().place().today()),
                hand.wish().use(),
                means(hand.kitchen()));
    }

    private static Optional<String> late(Planned plan) {
        return plan.timing()
                .flatMap(timing -> timing.inTime())
                .filter(inTime -> !inTime.isFeasible())
                .map(inTime -> inTime.soonest().isEmpty() ? "nobody is at home long enough for it" : late(inTime));
    }

    private static String late(InTime inTime) {
        return inTime.spoils() && inTime.late().isEmpty()
                ? "its heat would come in too many sessions"
                : BenchTimes.words(inTime) + " late";
    }

    /** Whatever stands against it: the way, the room in its vessel, who it is for. */
    private static List<Against> against(ToHand hand, Planned plan, Optional<MixPlan> mix) {
        List<Against> against = new ArrayList<>(hand.withheld());
        plan.plan().fitness().refusals().forEach(reason -> against.add(new Against(reason.fact(), reason.change())));
        BatchPlan.Found found = plan.plan().found();
        if (!found.fits()) {
            against.add(new Against("no vessel here holds it", "less of it, the herb cut finer, or a larger jar"));
        } else if (!found.cover().isEnough()) {
            against.add(new Against("the oil would not cover the herb", "less herb, or a wider jar"));
        }
        plan.plan().cautions().stream()
                .filter(caution -> caution.level() == Level.REFUSE)
                .map(caution -> "%s: %s".formatted(caution.head(), caution.text()))
                .forEach(why -> against.add(new Against(why, ANOTHER)));
        mix.ifPresent(made -> made.refused().forEach(why -> against.add(new Against(why, ANOTHER))));
        return against.stream().distinct().toList();
    }

    private static List<String> toBuy(ToHand hand, Planned plan, Optional<MixPlan> mix) {
        List<String> lines = new ArrayList<>(WantedMaking.toBuy(
                plan, hand.kitchen().bench(), hand.kitchen().place().say()));
        lines.addAll(hand.notEnough());
        plan.parts().stream()
                .map(ChargePart::jar)
                .filter(jar -> UsualKitchen.isToCome(jar.id()))
                .filter(jar -> !hand.asked().bench().jars().contains(jar))
                .forEach(jar -> lines.add("a jar that holds "
                        + hand.kitchen().place().say().volume(jar.vessel().capacity())));
        mix.ifPresent(made -> made.missing().forEach(one -> lines.add(one.buy())));
        return lines;
    }

    /** The same herb cut and sifted, where it is coarser. */
    Optional<Wish> finer(Wish wish) {
        Cut cut = wish.herb().texture().cut();
        return cut.compareTo(Cut.CUT_AND_SIFTED) < 0 && wish.herb().moisture().isDried()
                ? Optional.of(wish.with(
                        wish.herb().at(materia.texture(wish.herb().texture().part(), Cut.CUT_AND_SIFTED))))
                : Optional.empty();
    }
}
