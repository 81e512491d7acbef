package app.velvetcrock.core.bench;

import app.velvetcrock.core.charge.Bath;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.JarChoice;
import app.velvetcrock.core.charge.JarSplit;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Situation;
import app.velvetcrock.core.method.Variants;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.spirit.Moistening;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Plans a charge: in which vessels, how much oil where nobody says, by which ways and when. */
public final class ChargePlanner {

    /** [E] So much herb is begun with, where nobody says how much. */
    public static final Mass USUAL = Mass.ofGrams(40);

    /** More of one size than this are never needed for one charge. */
    private static final int MOST_OF_A_SIZE = 12;

    private final Planner planner;

    public ChargePlanner(Planner planner) {
        this.planner = planner;
    }

    /**
     * What it is planned among.
     *
     * @param times gives the plan its days; absent where only the charge is asked
     */
    public record Around(BenchShelves shelves, Notes notes, Wording say, Optional<BenchTimes> times) {}

    /** The vessel it goes into: one that is named, several, or else whatever suits. */
    public record Into(Optional<OfJar> named, boolean divided) {}

    /** The plan of every vessel: of one, or of each jar the charge is divided over. */
    public Optional<List<ChargePart>> parts(Charging asked, Into into, Around around) {
        Optional<OfJar> named = into.named();
        List<OfJar> suiting = around.shelves().suiting(asked.how().method());
        List<Vessel> jars = each(around.shelves().jars());
        List<Vessel> free = each(suiting);
        OfJar largest = suiting.isEmpty() ? around.shelves().pots().get(0) : suiting.get(suiting.size() - 1);
        Charge bare = new Charge(
                asked.charged(),
                Volume.ZERO,
                largest.vessel(),
                asked.how().method().headspace());
        if (into.divided()) {
            List<JarSplit.Share> shares = JarSplit.of(jars, bare, asked.oil());
            if (shares.isEmpty()) {
                around.notes()
                        .trouble(
                                "jar",
                                jars.isEmpty()
                                        ? "No jar is free, so nothing can be divided."
                                        : "Your %d free jars hold %s to the brim, air and herb to cover included; that is too little."
                                                .formatted(
                                                        jars.size(),
                                                        around.say()
                                                                .volume(jars.stream()
                                                                        .map(Vessel::capacity)
                                                                        .reduce(Volume.ZERO, Volume::plus))),
                                "less herb, or put more jars into the Stores");
                return Optional.empty();
            }
            return Optional.of(divided(shares, asked, free, around));
        }
        Optional<Vessel> smallest = JarChoice.smallest(free, bare, asked.oil());
        if (named.isEmpty() && asked.wanted().isPresent() && smallest.isEmpty()) {
            // What was worked back from a wish is to be one that can be started.
            List<JarSplit.Share> shares = JarSplit.of(jars, bare, asked.oil());
            if (!shares.isEmpty()) {
                around.notes().echo("jar", "no jar holds it all: divided over %d".formatted(shares.size()));
                return Optional.of(divided(shares, asked, free, around));
            }
        }
        OfJar jar = named.orElseGet(() -> {
            smallest.ifPresent(vessel -> around.notes().echo("jar", "the smallest of yours that holds it and covers"));
            return smallest.map(vessel -> jarOf(suiting, vessel)).orElse(largest);
        });
        if (asked.oil().isReduced(bare.in(jar.vessel()))) {
            around.notes()
                    .echo(
                            "oil",
                            "what covers it; %s room for the usual %s"
                                    .formatted(
                                            named.isPresent() ? "this has no" : "no free vessel has",
                                            ratio(bare.herbs().usualOil().millilitres()
                                                    / bare.herbs().mass().grams())));
        }
        return Optional.of(List.of(part(asked.request(jar, free), asked, jar, around)));
    }

    /** Every free one of some sizes, a size as often as there is one. */
    private static List<Vessel> each(List<OfJar> sizes) {
        return sizes.stream()
                .flatMap(jar -> Collections.nCopies(Math.min(MOST_OF_A_SIZE, jar.pieces()), jar.vessel()).stream())
                .toList();
    }

    private List<ChargePart> divided(List<JarSplit.Share> shares, Charging asked, List<Vessel> free, Around around) {
        List<OfJar> jars = around.shelves().jars();
        PlanRequest whole = asked.request(jars.get(jars.size() - 1), free);
        List<ChargePart> parts = shares.stream()
                .map(share -> part(whole.part(share), asked, jarOf(jars, share.vessel()), around))
                .toList();
        if (parts.stream().anyMatch(part -> asked.oil().isReduced(part.plan().charge()))) {
            around.notes().echo("oil", "what covers it; these jars have no room for the usual");
        }
        return parts;
    }

    private static OfJar jarOf(List<OfJar> jars, Vessel vessel) {
        return jars.stream()
                .filter(jar -> jar.vessel().equals(vessel))
                .findFirst()
                .orElseThrow();
    }

    private ChargePart part(PlanRequest request, Charging asked, OfJar jar, Around around) {
        BatchPlan plan = measured(planner.plan(request), around.say().units());
        FrozenPlan frozen = FrozenPlan.of(
                plan,
                new FrozenPlan.Lots(
                        asked.herbs().stream().map(Stock.OfHerb::id).toList(),
                        asked.pour().lots(),
                        asked.spirit().lot().map(Stock.OfSupply::id)));
        return new ChargePart(
                frozen,
                jar,
                new ChargePart.Weighed(
                        plan.charge().herbs().mass(), plan.charge().oil(), asked.chargedAt()));
    }

    /** Where nobody said how much oil, it comes to a mark of the household's measures, upward, so that what is poured by them covers. */
    private BatchPlan measured(BatchPlan plan, HouseholdUnits units) {
        Volume up = units.measuredUp(plan.charge().oil());
        boolean free = plan.request().oil() instanceof OilWish.ToCover
                && plan.found().fits()
                && plan.charge().withOil(up).fits();
        return free && up.compareTo(plan.charge().oil()) > 0
                ? planner.plan(plan.request().pouring(new OilWish.Exactly(up)))
                : plan;
    }

    /** Tells whether a way heats a jar in water. */
    private static boolean isInWater(BatchPlan plan) {
        return plan.request().circumstances().method().isInWater()
                && !plan.charge().vessel().open();
    }

    /** The pan a jar can stand in, of a way that heats it in water. */
    private static Optional<Bath> bath(BatchPlan plan, BenchShelves shelves) {
        return isInWater(plan)
                ? Bath.smallest(shelves.pans().stream().map(OfJar::vessel).toList(), plan.charge())
                : Optional.empty();
    }

    /** The plan with its ways, those last that cannot be made in time. */
    public Planned inTime(List<ChargePart> parts, Method way, TimeWish asked, Around around) {
        BatchPlan plan = parts.get(0).plan();
        List<Choice> ways = among(plan, way, around.shelves());
        Map<String, String> late = BenchTimes.late(
                asked,
                plan.request(),
                ways.stream()
                        .filter(choice -> choice.fitness().isAllowed())
                        .map(Choice::method)
                        .toList(),
                around.say());
        List<Choice> sorted = ways.stream()
                .sorted(Comparator.comparing(
                        choice -> late.containsKey(choice.method().base().key())
                                && late.containsKey(choice.method().key())))
                .toList();
        Optional<Bath> bath = bath(plan, around.shelves());
        boolean lacksBath =
                isInWater(plan) && bath.isEmpty() && !around.shelves().pans().isEmpty();
        Optional<Timing> timing = around.times().isPresent() && plan.isAllowed()
                ? around.times().map(times -> times.timing(asked, plan.request()))
                : Optional.empty();
        Map<String, Instant> holds = BenchTimes.frozen(asked, timing);
        Optional<LocalDate> finish = timing.map(Timing::timetable)
                .orElseGet(() -> BenchTimes.placed(asked, plan.request()))
                .flatMap(timetable -> timetable.of(PlanSteps.STRAIN))
                .map(strain -> around.say().dayOf(strain.start()));
        return new Planned(
                parts.stream()
                        .map(part -> part.holding(holds))
                        .map(part -> finish.map(part::strainedOn).orElse(part))
                        .toList(),
                sorted,
                bath,
                late,
                timing,
                Optional.empty(),
                lacksBath);
    }

    /** All shipped ways and the household's own, and under the one chosen the other forms it comes in. */
    private static List<Choice> among(BatchPlan plan, Method chosen, BenchShelves shelves) {
        Situation situation = Planner.situation(plan.request());
        List<Method> methods = new ArrayList<>(Method.shipped().stream()
                .map(method -> Variants.suiting(method, plan.isMoistFood()))
                .toList());
        shelves.own().forEach(own -> methods.add(own.method()));
        List<Choice> ways = new ArrayList<>();
        for (Choice choice : Choice.ranked(situation, methods)) {
            ways.add(choice);
            if (choice.method().equals(chosen.base())) {
                ways.addAll(Choice.ranked(situation, Variants.of(chosen.base())));
            }
        }
        return ways;
    }

    /** Notes beside the fields what of its herbs, oil or spirit is not there. */
    public static void enough(List<ChargePart> parts, Charging asked, Around around) {
        Wording say = around.say();
        for (int i = 0; i < asked.herbs().size(); i++) {
            Stock.OfHerb herb = asked.herbs().get(i);
            double need = 0;
            for (int j = 0; j < asked.herbs().size(); j++) {
                need += asked.herbs().get(j).id().equals(herb.id())
                        ? asked.planned().get(j).mass().grams()
                        : 0;
            }
            if (need > herb.left().grams() + 1e-9) {
                around.notes()
                        .trouble(
                                i == 0 ? "amount" : "more[%d].amount".formatted(i - 1),
                                "Understood %s; only %s of this is left."
                                        .formatted(say.mass(Mass.ofGrams(need)), say.mass(herb.left())),
                                "at most what is left");
            }
        }
        Volume oil = parts.stream().map(part -> part.plan().charge().oil()).reduce(Volume.ZERO, Volume::plus);
        enoughOil(oil, asked.pour(), around);
        Mass spirit = parts.stream()
                .flatMap(part -> part.plan().moistening().stream())
                .map(Moistening::fromBottle)
                .reduce(Mass.ZERO, Mass::plus);
        asked.spirit().lot().filter(lot -> spirit.compareTo(lot.mass()) > 0).ifPresent(lot -> around.notes()
                .trouble(
                        "spirit.perGram",
                        "This takes %s of spirit; the bottle holds %s."
                                .formatted(say.mass(spirit), say.mass(lot.mass())),
                        "less spirit, or less herb"));
    }

    private static void enoughOil(Volume oil, Pour pour, Around around) {
        Wording say = around.say();
        List<Mass> masses = pour.carriers().masses(pour.density().massOf(oil));
        for (int i = 0; i < masses.size(); i++) {
            Bottled bottle = pour.bottles().get(i);
            UUID id = bottle.id();
            // Of one bottle named twice, both shares count.
            double need = 0;
            for (int j = 0; j < masses.size(); j++) {
                need += pour.bottles().get(j).id().equals(id) ? masses.get(j).grams() : 0;
            }
            if (Mass.ofGrams(need).toMilligrams() > bottle.left().toMilligrams()) {
                around.notes()
                        .trouble(
                                i == 0 ? "oil" : "mix.more[%d].share".formatted(i - 1),
                                "This takes %s%s; the bottle holds %s."
                                        .formatted(
                                                say.volume(bottle.density().volumeOf(Mass.ofGrams(need))),
                                                masses.size() == 1
                                                        ? ""
                                                        : " of "
                                                                + bottle.carrier()
                                                                        .kind()
                                                                        .common()
                                                                        .toLowerCase(Locale.ROOT),
                                                say.volume(bottle.density().volumeOf(bottle.left()))),
                                "less, or another bottle");
            }
        }
    }

    private static String ratio(double ratio) {
        return "1 : " + Decimals.upTo(ratio, 1);
    }
}
