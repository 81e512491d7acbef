package app.velvetcrock.bench;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Bath;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.JarChoice;
import app.velvetcrock.core.charge.JarSplit;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Fitness;
import app.velvetcrock.core.method.Ingredient;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Situation;
import app.velvetcrock.core.method.Variants;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.kit.OfJar;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stock;
import app.velvetcrock.ways.OwnWays;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Has the core work out what the Bench's sentence asks. */
@Service
public class Bench {

    /** More of one size than this are never needed for one charge. */
    private static final int MOST_OF_A_SIZE = 12;

    private final BenchStock stock;
    private final BenchReading reading;
    private final BenchTime time;
    private final Households households;
    private final Planner planner;
    private final Clock clock;

    Bench(BenchStock stock, BenchReading reading, BenchTime time, Households households, Planner planner, Clock clock) {
        this.stock = stock;
        this.reading = reading;
        this.time = time;
        this.households = households;
        this.planner = planner;
        this.clock = clock;
    }

    /** Reads everything the Bench can be asked with, once; with its days and hours. */
    @Transactional(readOnly = true)
    public BenchWork work(BenchForm typed) {
        return work(typed, true);
    }

    /** The same without days and hours, for a mark that is being dragged. */
    @Transactional(readOnly = true)
    public BenchWork charge(BenchForm typed) {
        return work(typed, false);
    }

    private BenchWork work(BenchForm typed, boolean withTime) {
        House house = households.current();
        LocalDate today = house.dayOf(clock.instant());
        BenchStock.Shelves shelves = stock.read(house, today);
        Fields fields = new Fields(house.reader());
        Method way = way(typed, shelves, house, fields);
        BenchForm form =
                typed.withDefaults(way, house.mass(Mass.ofGrams(BenchController.USUAL_GRAMS)), Wording.written(today));
        if (!shelves.areEnough()) {
            return new BenchWork(form, fields, shelves, way, Optional.empty());
        }
        return new BenchWork(
                form,
                fields,
                shelves,
                way,
                plan(
                        form,
                        way,
                        new BenchReading.Desk(
                                fields,
                                shelves,
                                house,
                                new BenchSentence(fields, house, clock.instant()),
                                withTime,
                                today)));
    }

    /** The way named, shipped or the household's own; until one is chosen the fittest stands there. */
    private Method way(BenchForm typed, BenchStock.Shelves shelves, House house, Fields fields) {
        String key = typed.method() == null ? "" : typed.method();
        Optional<Method> named = shelves.own().stream()
                .map(OwnWays.OfWay::method)
                .filter(method -> method.key().equals(key))
                .findFirst()
                .or(() -> Method.of(key));
        if (!shelves.areEnough()) {
            return named.orElse(Method.COLD_AND_DARK);
        }
        List<Ingredient> herbs = Stream.concat(
                        Stream.of(BenchReading.named(shelves.herbs(), Stock.OfHerb::id, typed.herb())
                                .orElse(shelves.herbs().get(0))),
                        Stream.ofNullable(typed.more())
                                .flatMap(List::stream)
                                .filter(Objects::nonNull)
                                .flatMap(row ->
                                        BenchReading.named(shelves.herbs(), Stock.OfHerb::id, row.herb()).stream()))
                .map(herb -> new Ingredient(herb.kind(), herb.texture().part(), herb.moisture()))
                .toList();
        CarrierKind carrier =
                reading.together(typed, shelves, new Fields(house.reader()), house.dayOf(clock.instant()));
        Use use = Stream.of(Use.values())
                .filter(value -> value.name().equals(typed.use()))
                .findFirst()
                .orElse(Use.ADULT_SKIN);
        boolean moistFood = use == Use.FOOD
                && herbs.stream().anyMatch(herb -> !herb.moisture().isDried());
        Situation situation = new Situation(
                herbs,
                carrier,
                use,
                new Means(
                        house.settings().pantry(),
                        shelves.spirits().stream().findFirst().flatMap(Stock.OfSupply::strength),
                        shelves.kit()));
        Choice fittest = Choice.ranked(situation).get(0);
        Optional<Fitness> fitness = named.map(way -> Fitness.of(Variants.suiting(way, moistFood), situation));
        boolean stays = fitness.filter(fit -> fit.isAllowed()
                        || fit.isOverridable(use)
                        || !fittest.fitness().isAllowed())
                .isPresent();
        if (named.isPresent() && stays) {
            return Variants.suiting(named.get(), moistFood);
        }
        fitness.ifPresent(fit -> fields.echo(
                "method",
                "%s cannot make this: %s. %s stands here instead"
                        .formatted(
                                named.get().name(),
                                fit.refusals().get(0).fact(),
                                fittest.method().name())));
        return Variants.suiting(fittest.method(), moistFood);
    }

    private Optional<BenchWork.Planned> plan(BenchForm form, Method way, BenchReading.Desk desk) {
        Optional<OfJar> vessel = BenchReading.named(
                Stream.concat(desk.shelves().jars().stream(), desk.shelves().pots().stream())
                        .toList(),
                OfJar::id,
                form.jar());
        Optional<BenchReading.Asked> read = reading.read(form, way, vessel, desk);
        return read.flatMap(asked -> parts(form, asked, vessel, desk)).map(parts -> {
            BenchStock.enough(parts, read.get(), desk);
            return inTime(form, way, parts, desk).outOf(read.get().wanted());
        });
    }

    /** The plan with its ways, those last that cannot be made in time. */
    private BenchWork.Planned inTime(BenchForm form, Method way, List<BenchWork.Part> parts, BenchReading.Desk desk) {
        BatchPlan plan = parts.get(0).plan();
        if (plan.isMoistFood() && !Storage.REFRIGERATOR.name().equals(form.storage())) {
            desk.fields().echo("storage", "food of moist herb stands in the refrigerator, whatever is chosen here");
        }
        List<Choice> ways = ways(plan, way, desk.shelves());
        BenchTime.Asked asked = time.read(form, parts.get(0), desk.fields(), desk.house());
        Map<String, String> late = time.late(
                asked,
                plan.request(),
                ways.stream()
                        .filter(choice -> choice.fitness().isAllowed())
                        .map(Choice::method)
                        .toList(),
                desk.house());
        List<Choice> sorted = ways.stream()
                .sorted(Comparator.comparing(
                        choice -> late.containsKey(choice.method().base().key())
                                && late.containsKey(choice.method().key())))
                .toList();
        Optional<Bath> bath = bath(plan, desk.shelves());
        boolean lacksBath =
                isInWater(plan) && bath.isEmpty() && !desk.shelves().pans().isEmpty();
        Optional<BenchTime.Timing> timing =
                desk.withTime() ? Optional.of(time.timing(asked, plan.request())) : Optional.empty();
        Map<String, Instant> holds = BenchTime.frozen(asked, timing);
        Optional<LocalDate> finish = timing.map(BenchTime.Timing::timetable)
                .orElseGet(() -> time.placed(asked, plan.request()))
                .flatMap(timetable -> timetable.of(PlanSteps.STRAIN))
                .map(strain -> desk.house().dayOf(strain.start()));
        return new BenchWork.Planned(
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

    /** The plan of every vessel: of one, or of each jar the charge is divided over. */
    private Optional<List<BenchWork.Part>> parts(
            BenchForm form, BenchReading.Asked asked, Optional<OfJar> named, BenchReading.Desk desk) {
        List<OfJar> jars = desk.shelves().jars();
        List<Vessel> free = jars.stream()
                .flatMap(jar -> Collections.nCopies(Math.min(MOST_OF_A_SIZE, jar.pieces()), jar.vessel()).stream())
                .toList();
        OfJar largest = jars.isEmpty() ? desk.shelves().pots().get(0) : jars.get(jars.size() - 1);
        Charge bare = new Charge(
                asked.charged(),
                Volume.ZERO,
                largest.vessel(),
                asked.how().method().headspace());
        if (BenchForm.SPLIT.equals(form.jar())) {
            List<JarSplit.Share> shares = JarSplit.of(free, bare, asked.oil());
            if (shares.isEmpty()) {
                desk.fields()
                        .trouble(
                                "jar",
                                free.isEmpty()
                                        ? "No jar is free, so nothing can be divided."
                                        : "Your %d free jars hold %s to the brim, air and herb to cover included; that is too little."
                                                .formatted(
                                                        free.size(),
                                                        desk.house()
                                                                .volume(free.stream()
                                                                        .map(Vessel::capacity)
                                                                        .reduce(Volume.ZERO, Volume::plus))),
                                "less herb, or put more jars into the Stores");
                return Optional.empty();
            }
            return Optional.of(divided(shares, asked, free, desk));
        }
        if (named.isEmpty()
                && asked.wanted().isPresent()
                && JarChoice.smallest(free, bare, asked.oil()).isEmpty()) {
            // What was worked back from a wish is to be one that can be started.
            List<JarSplit.Share> shares = JarSplit.of(free, bare, asked.oil());
            if (!shares.isEmpty()) {
                desk.fields().echo("jar", "no jar holds it all: divided over %d".formatted(shares.size()));
                return Optional.of(divided(shares, asked, free, desk));
            }
        }
        OfJar jar = named.orElseGet(() -> {
            Optional<Vessel> chosen = JarChoice.smallest(free, bare, asked.oil());
            chosen.ifPresent(vessel -> desk.fields().echo("jar", "the smallest of yours that holds it and covers"));
            return chosen.map(vessel -> jarOf(jars, vessel)).orElse(largest);
        });
        return Optional.of(List.of(really(form, part(asked.request(jar, free), asked, jar, desk), asked, desk)));
    }

    private List<BenchWork.Part> divided(
            List<JarSplit.Share> shares, BenchReading.Asked asked, List<Vessel> free, BenchReading.Desk desk) {
        List<OfJar> jars = desk.shelves().jars();
        PlanRequest whole = asked.request(jars.get(jars.size() - 1), free);
        return shares.stream()
                .map(share -> part(whole.part(share), asked, jarOf(jars, share.vessel()), desk))
                .toList();
    }

    private static OfJar jarOf(List<OfJar> jars, Vessel vessel) {
        return jars.stream()
                .filter(jar -> jar.vessel().equals(vessel))
                .findFirst()
                .orElseThrow();
    }

    private BenchWork.Part part(PlanRequest request, BenchReading.Asked asked, OfJar jar, BenchReading.Desk desk) {
        BatchPlan plan = planner.plan(request);
        FrozenPlan frozen = FrozenPlan.of(
                plan,
                new FrozenPlan.Lots(
                        asked.herbs().stream().map(Stock.OfHerb::id).toList(),
                        asked.pour().lots(),
                        asked.spirit().lot().map(Stock.OfSupply::id)));
        return new BenchWork.Part(
                frozen,
                jar,
                new BenchWork.Weighed(
                        plan.charge().herbs().mass(), plan.charge().oil(), asked.chargedAt()));
    }

    /** The same with what was really weighed and poured, where that is typed. */
    private BenchWork.Part really(
            BenchForm form, BenchWork.Part part, BenchReading.Asked asked, BenchReading.Desk desk) {
        Charge charge = part.plan().charge();
        double left = asked.herbs().size() == 1 ? asked.herbs().get(0).left().grams() : Double.MAX_VALUE;
        Optional<Mass> weighed =
                desk.sentence().weighed(form.weighed(), charge.herbs().mass(), left);
        Optional<Volume> poured = desk.sentence().poured(form.poured(), asked.pour(), charge.oil());
        return new BenchWork.Part(
                part.frozen(),
                part.jar(),
                new BenchWork.Weighed(
                        weighed.orElse(charge.herbs().mass()),
                        poured.orElse(charge.oil()),
                        part.weighed().at()));
    }

    /** All shipped ways and the household's own, and under the one chosen the other forms it comes in. */
    private static List<Choice> ways(BatchPlan plan, Method chosen, BenchStock.Shelves shelves) {
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

    /** Tells whether a way heats a jar in water. */
    private static boolean isInWater(BatchPlan plan) {
        return plan.request().circumstances().method().isInWater()
                && !plan.charge().vessel().open();
    }

    /** The pan a jar can stand in, of a way that heats it in water. */
    private static Optional<Bath> bath(BatchPlan plan, BenchStock.Shelves shelves) {
        return isInWater(plan)
                ? Bath.smallest(shelves.pans().stream().map(OfJar::vessel).toList(), plan.charge())
                : Optional.empty();
    }
}
