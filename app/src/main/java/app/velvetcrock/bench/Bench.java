package app.velvetcrock.bench;

import app.velvetcrock.core.charge.Bath;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.JarChoice;
import app.velvetcrock.core.charge.JarSplit;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.kit.OfJar;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stock;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
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
        Method way = reading.way(typed, shelves, house, fields, today);
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
        List<Choice> ways = BenchWays.among(plan, way, desk.shelves());
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
        Optional<BenchTime.Timing> timing = desk.withTime() && plan.isAllowed()
                ? Optional.of(time.timing(asked, plan.request()))
                : Optional.empty();
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
        List<OfJar> suiting = desk.shelves().suiting(asked.how().method());
        List<Vessel> jars = each(desk.shelves().jars());
        List<Vessel> free = each(suiting);
        OfJar largest = suiting.isEmpty() ? desk.shelves().pots().get(0) : suiting.get(suiting.size() - 1);
        Charge bare = new Charge(
                asked.charged(),
                Volume.ZERO,
                largest.vessel(),
                asked.how().method().headspace());
        if (BenchForm.SPLIT.equals(form.jar())) {
            List<JarSplit.Share> shares = JarSplit.of(jars, bare, asked.oil());
            if (shares.isEmpty()) {
                desk.fields()
                        .trouble(
                                "jar",
                                jars.isEmpty()
                                        ? "No jar is free, so nothing can be divided."
                                        : "Your %d free jars hold %s to the brim, air and herb to cover included; that is too little."
                                                .formatted(
                                                        jars.size(),
                                                        desk.house()
                                                                .volume(jars.stream()
                                                                        .map(Vessel::capacity)
                                                                        .reduce(Volume.ZERO, Volume::plus))),
                                "less herb, or put more jars into the Stores");
                return Optional.empty();
            }
            return Optional.of(divided(shares, asked, free, desk));
        }
        Optional<Vessel> smallest = JarChoice.smallest(free, bare, asked.oil());
        if (named.isEmpty() && asked.wanted().isPresent() && smallest.isEmpty()) {
            // What was worked back from a wish is to be one that can be started.
            List<JarSplit.Share> shares = JarSplit.of(jars, bare, asked.oil());
            if (!shares.isEmpty()) {
                desk.fields().echo("jar", "no jar holds it all: divided over %d".formatted(shares.size()));
                return Optional.of(divided(shares, asked, free, desk));
            }
        }
        OfJar jar = named.orElseGet(() -> {
            smallest.ifPresent(vessel -> desk.fields().echo("jar", "the smallest of yours that holds it and covers"));
            return smallest.map(vessel -> jarOf(suiting, vessel)).orElse(largest);
        });
        if (asked.oil().isReduced(bare.in(jar.vessel()))) {
            desk.fields()
                    .echo(
                            "oil",
                            "what covers it; %s room for the usual %s"
                                    .formatted(
                                            named.isPresent() ? "this has no" : "no free vessel has",
                                            desk.house()
                                                    .ratio(bare.herbs()
                                                                    .usualOil()
                                                                    .millilitres()
                                                            / bare.herbs()
                                                                    .mass()
                                                                    .grams())));
        }
        return Optional.of(List.of(really(form, part(asked.request(jar, free), asked, jar, desk), asked, desk)));
    }

    /** Every free one of some sizes, a size as often as there is one. */
    private static List<Vessel> each(List<OfJar> sizes) {
        return sizes.stream()
                .flatMap(jar -> Collections.nCopies(Math.min(MOST_OF_A_SIZE, jar.pieces()), jar.vessel()).stream())
                .toList();
    }

    private List<BenchWork.Part> divided(
            List<JarSplit.Share> shares, BenchReading.Asked asked, List<Vessel> free, BenchReading.Desk desk) {
        List<OfJar> jars = desk.shelves().jars();
        PlanRequest whole = asked.request(jars.get(jars.size() - 1), free);
        List<BenchWork.Part> parts = shares.stream()
                .map(share -> part(whole.part(share), asked, jarOf(jars, share.vessel()), desk))
                .toList();
        if (parts.stream().anyMatch(part -> asked.oil().isReduced(part.plan().charge()))) {
            desk.fields().echo("oil", "what covers it; these jars have no room for the usual");
        }
        return parts;
    }

    private static OfJar jarOf(List<OfJar> jars, Vessel vessel) {
        return jars.stream()
                .filter(jar -> jar.vessel().equals(vessel))
                .findFirst()
                .orElseThrow();
    }

    private BenchWork.Part part(PlanRequest request, BenchReading.Asked asked, OfJar jar, BenchReading.Desk desk) {
        BatchPlan plan = measured(planner.plan(request), desk.house());
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

    /** Where nobody said how much oil, it comes to a mark of the household's measures, upward, so that what is poured by them covers. */
    private BatchPlan measured(BatchPlan plan, House house) {
        Volume up = house.settings().units().measuredUp(plan.charge().oil());
        boolean free = plan.request().oil() instanceof OilWish.ToCover
                && plan.found().fits()
                && plan.charge().withOil(up).fits();
        return free && up.compareTo(plan.charge().oil()) > 0
                ? planner.plan(plan.request().pouring(new OilWish.Exactly(up)))
                : plan;
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
