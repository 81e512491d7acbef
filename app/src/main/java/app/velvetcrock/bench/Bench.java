package app.velvetcrock.bench;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.JarChoice;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Expect;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.FrozenPlan;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stores.Stock;
import app.velvetcrock.stores.Stores;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads the Bench's sentence and has the core work it out. */
@Service
public class Bench {

    private static final Method METHOD = Method.COLD_AND_DARK;
    private static final double MOST_GRAMS = 20_000;
    private static final double MOST_MILLILITRES = 50_000;
    private static final int LONGEST_AGO_DAYS = 730;

    private final Stores stores;
    private final Batches batches;
    private final Households households;
    private final Planner planner;
    private final Clock clock;

    Bench(Stores stores, Batches batches, Households households, Planner planner, Clock clock) {
        this.stores = stores;
        this.batches = batches;
        this.households = households;
        this.planner = planner;
        this.clock = clock;
    }

    /** Reads everything the Bench can be asked with, once. */
    @Transactional(readOnly = true)
    public BenchWork work(BenchForm typed) {
        House house = households.current();
        LocalDate today = house.dayOf(clock.instant());
        Shelves shelves = new Shelves(stores.herbs(), stores.carriers(), freeJars());
        BenchForm form = typed.withDefaults(house.mass(Mass.ofGrams(40)), METHOD.first().usualDays(), today.toString());
        Fields fields = new Fields(house.reader());
        if (!shelves.areEnough()) {
            return new BenchWork(form, fields, shelves, Optional.empty());
        }
        return new BenchWork(form, fields, shelves, plan(form, fields, shelves, house, today));
    }

    /** What there is to plan with; jars are those with at least one free. */
    public record Shelves(List<Stock.OfHerb> herbs, List<Stock.OfCarrier> carriers, List<Stock.OfJar> jars) {

        public boolean areEnough() {
            return !herbs.isEmpty() && !carriers.isEmpty() && !jars.isEmpty();
        }
    }

    private Optional<BenchWork.Planned> plan(BenchForm form, Fields fields, Shelves shelves, House house, LocalDate today) {
        Stock.OfHerb herb = pick(fields, "herb", shelves.herbs(), Stock.OfHerb::id, form.herb());
        Stock.OfCarrier carrier = pick(fields, "carrier", liquidFirst(shelves.carriers(), house), Stock.OfCarrier::id, form.carrier());
        Optional<Mass> mass = herbMass(fields, herb, form.amount());
        Optional<OilWish> oil = oil(fields, carrier, form.oil());
        Optional<PlanRequest.Circumstances> how = circumstances(form, fields, house, today);
        if (!fields.isClear()) {
            return Optional.empty();
        }
        PlannedHerb planned = new PlannedHerb(herb.kind(), herb.texture(), herb.moisture(), herb.weighedBulk(), mass.orElseThrow());
        Stock.OfJar jar = jar(fields, form.jar(), planned, oil.orElseThrow(), shelves.jars());
        PlannedCarrier poured = new PlannedCarrier(carrier.kind(),
                new Bottle(carrier.name(), carrier.kind().monthsOpened(), carrier.opened(), carrier.bestBefore()));
        List<Vessel> stock = shelves.jars().stream().map(Stock.OfJar::vessel).toList();
        var plan = planner.plan(new PlanRequest(planned, poured, oil.get(), jar.vessel(), stock, how.orElseThrow()));
        stockNotes(fields, herb, carrier, plan.charge().herbs().mass(), plan.oilMass(), house);
        return Optional.of(new BenchWork.Planned(new FrozenPlan(plan, herb.id(), carrier.id()), jar, herb, carrier));
    }

    /** Puts what pours in this pantry first, so that it is what the sentence begins with. */
    private static List<Stock.OfCarrier> liquidFirst(List<Stock.OfCarrier> carriers, House house) {
        return carriers.stream()
                .sorted(Comparator.comparing(c -> c.kind().melting().filter(m -> m.compareTo(house.settings().pantry()) > 0).isPresent()))
                .toList();
    }

    /** A herb by weight; by volume it is weighed by its loose bulk density, and says so. */
    private static Optional<Mass> herbMass(Fields fields, Stock.OfHerb herb, @Nullable String typed) {
        return fields.amount("amount", typed, Expect.SOLID)
                .map(read -> {
                    if (!(read.amount().middle() instanceof Volume loose)) {
                        return read.mass();
                    }
                    Mass mass = herb.weighedBulk().orElseGet(() -> herb.texture().bulkIn(herb.moisture())).massOf(loose);
                    fields.echo("amount", read.echo() + ", about " + Math.round(mass.grams()) + " g loosely filled");
                    return mass;
                })
                .filter(mass -> within(fields, "amount", mass.grams(), MOST_GRAMS, "g"));
    }

    /** Nothing typed covers the herb; "1:7" is a ratio; else an amount. */
    private static Optional<OilWish> oil(Fields fields, Stock.OfCarrier carrier, @Nullable String typed) {
        String text = typed == null ? "" : typed.strip();
        if (text.isEmpty()) {
            return Optional.of(new OilWish.ToCover());
        }
        if (text.matches("1 ?: ?\\d{1,3}([.,]\\d{1,2})?")) {
            double ratio = Double.parseDouble(text.replaceFirst("1 ?: ?", "").replace(',', '.'));
            if (ratio < 0.5 || ratio > 100) {
                fields.trouble("oil", "Understood 1 g of herb to %s mL of oil; it must be between 0.5 and 100.".formatted(ratio), "1:5 or 1:8");
                return Optional.empty();
            }
            return Optional.of(new OilWish.ByRatio(ratio));
        }
        return fields.amount("oil", text, Expect.LIQUID)
                .map(read -> read.amount().middle() instanceof Mass mass ? carrier.density().volumeOf(mass) : read.volume())
                .filter(volume -> within(fields, "oil", volume.millilitres(), MOST_MILLILITRES, "mL"))
                .map(OilWish.Exactly::new);
    }

    private static boolean within(Fields fields, String field, double value, double most, String unit) {
        if (value > 0 && value <= most) {
            return true;
        }
        String number = Decimals.upTo(value, 1);
        fields.trouble(field, "Understood as %s %s; a jar takes more than nothing and at most %.0f %s.".formatted(number, unit, most, unit), "40 g or 350 mL");
        return false;
    }

    private static Optional<PlanRequest.Circumstances> circumstances(BenchForm form, Fields fields, House house, LocalDate today) {
        Stage stage = METHOD.first();
        Optional<Integer> days = fields.whole("days", form.days(), stage.leastDays(), stage.mostDays(), "days");
        Optional<LocalDate> start = fields.date("start", form.start()).filter(date -> {
            boolean sensible = !date.isAfter(today) && !date.isBefore(today.minusDays(LONGEST_AGO_DAYS));
            if (!sensible) {
                fields.trouble("start", "Understood %s; a jar is charged today or was charged earlier.".formatted(house.date(date)), "today, or a day already past");
            }
            return sensible;
        });
        if (start.isEmpty() && !fields.troubles().containsKey("start")) {
            fields.trouble("start", "No day is written here.", today + " for today");
        }
        Optional<Use> use = fields.oneOf("use", Use.class, form.use());
        Optional<Pressing> pressing = fields.oneOf("pressing", Pressing.class, form.pressing());
        Optional<Storage> storage = fields.oneOf("storage", Storage.class, form.storage());
        return fields.isClear()
                ? Optional.of(new PlanRequest.Circumstances(
                        METHOD, days.orElseThrow(), start.orElseThrow(), use.orElseThrow(), pressing.orElseThrow(), storage.orElseThrow(), house.settings().pantry()))
                : Optional.empty();
    }

    /** The jar named, else the smallest that holds and covers, else the largest there is. */
    private static Stock.OfJar jar(Fields fields, @Nullable String typed, PlannedHerb herb, OilWish oil, List<Stock.OfJar> jars) {
        Optional<Stock.OfJar> named = BenchForm.id(typed).flatMap(id -> jars.stream().filter(jar -> jar.id().equals(id)).findFirst());
        if (named.isPresent()) {
            return named.get();
        }
        Stock.OfJar largest = jars.get(jars.size() - 1);
        Charge charge = new Charge(Herbs.of(herb.portion()), Volume.ZERO, largest.vessel(), Charge.COLD_HEADSPACE);
        Optional<Stock.OfJar> chosen = JarChoice.smallest(jars.stream().map(Stock.OfJar::vessel).toList(), charge, oil)
                .flatMap(vessel -> jars.stream().filter(jar -> jar.vessel().equals(vessel)).findFirst());
        chosen.ifPresent(jar -> fields.echo("jar", "the smallest of yours that holds it and covers"));
        return chosen.orElse(largest);
    }

    private static void stockNotes(Fields fields, Stock.OfHerb herb, Stock.OfCarrier carrier, Mass herbNeed, Mass oilNeed, House house) {
        if (herbNeed.compareTo(herb.left()) > 0) {
            fields.trouble("amount", "Understood %s; only %s of this is left.".formatted(house.mass(herbNeed), house.mass(herb.left())), "at most what is left");
        }
        if (oilNeed.toMilligrams() > carrier.left().toMilligrams()) {
            fields.trouble("oil", "This takes %s; the bottle holds %s.".formatted(
                    house.volume(carrier.density().volumeOf(oilNeed)), house.volume(carrier.volumeLeft())), "less, or another bottle");
        }
    }

    private List<Stock.OfJar> freeJars() {
        Map<UUID, Long> taken = batches.standing().stream().collect(Collectors.groupingBy(sheet -> sheet.jar(), Collectors.counting()));
        return stores.jars().stream().filter(jar -> taken.getOrDefault(jar.id(), 0L) < jar.pieces()).toList();
    }

    private static <T> T pick(Fields fields, String field, List<T> from, Function<T, UUID> id, @Nullable String typed) {
        if (typed == null || typed.isBlank()) {
            return from.get(0);
        }
        return BenchForm.id(typed).flatMap(wanted -> from.stream().filter(value -> id.apply(value).equals(wanted)).findFirst()).orElseGet(() -> {
            fields.trouble(field, "That is used up or not here any more.", "another from the list");
            return from.get(0);
        });
    }
}
