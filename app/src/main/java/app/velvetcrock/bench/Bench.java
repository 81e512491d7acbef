package app.velvetcrock.bench;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.FrozenPlan;
import app.velvetcrock.batch.Retentions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.JarChoice;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Situation;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stores.LotKind;
import app.velvetcrock.stores.Stock;
import app.velvetcrock.stores.Stores;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Has the core work out what the Bench's sentence asks. */
@Service
public class Bench {

    private final Stores stores;
    private final Batches batches;
    private final Retentions retentions;
    private final Households households;
    private final Planner planner;
    private final Materia materia;
    private final Clock clock;

    Bench(Stores stores, Batches batches, Retentions retentions, Households households, Planner planner, Materia materia, Clock clock) {
        this.stores = stores;
        this.batches = batches;
        this.retentions = retentions;
        this.households = households;
        this.planner = planner;
        this.materia = materia;
        this.clock = clock;
    }

    /** Reads everything the Bench can be asked with, once. */
    @Transactional(readOnly = true)
    public BenchWork work(BenchForm typed) {
        House house = households.current();
        LocalDate today = house.dayOf(clock.instant());
        Shelves shelves = new Shelves(stores.herbs(), stores.carriers(), freeJars());
        BenchForm form = withBestWay(typed, shelves, house).withDefaults(house.mass(Mass.ofGrams(40)), today.toString());
        Fields fields = new Fields(house.reader());
        if (!shelves.areEnough()) {
            return new BenchWork(form, fields, shelves, Optional.empty());
        }
        return new BenchWork(form, fields, shelves, plan(form, new Desk(fields, shelves, house, new BenchSentence(fields, house, today))));
    }

    /** Until a way is chosen, the fittest one stands there. */
    private BenchForm withBestWay(BenchForm typed, Shelves shelves, House house) {
        if (!shelves.areEnough() || typed.method() != null && !typed.method().isBlank()) {
            return typed;
        }
        Stock.OfHerb herb = named(shelves.herbs(), Stock.OfHerb::id, typed.herb()).orElse(shelves.herbs().get(0));
        List<Stock.OfCarrier> carriers = liquidFirst(shelves.carriers(), house, house.dayOf(clock.instant()));
        Stock.OfCarrier carrier = named(carriers, Stock.OfCarrier::id, typed.carrier()).orElse(carriers.get(0));
        Use use = Stream.of(Use.values()).filter(value -> value.name().equals(typed.use())).findFirst().orElse(Use.ADULT_SKIN);
        Situation situation = new Situation(herb.kind(), herb.moisture(), carrier.kind(), house.settings().pantry(), use, spirit());
        return typed.by(Choice.ranked(situation).get(0).method());
    }

    private static <T> Optional<T> named(List<T> from, Function<T, UUID> id, @Nullable String typed) {
        return BenchForm.id(typed).flatMap(wanted -> from.stream().filter(value -> id.apply(value).equals(wanted)).findFirst());
    }

    /** What there is to plan with; jars are those with at least one free. */
    public record Shelves(List<Stock.OfHerb> herbs, List<Stock.OfCarrier> carriers, List<Stock.OfJar> jars) {

        public boolean areEnough() {
            return !herbs.isEmpty() && !carriers.isEmpty() && !jars.isEmpty();
        }
    }

    /** What one working-out has before it. */
    private record Desk(Fields fields, Shelves shelves, House house, BenchSentence sentence) {}

    private Optional<BenchWork.Planned> plan(BenchForm form, Desk desk) {
        Fields fields = desk.fields();
        Shelves shelves = desk.shelves();
        Stock.OfHerb stored = pick(fields, "herb", shelves.herbs(), Stock.OfHerb::id, form.herb());
        Stock.OfHerb herb = desk.sentence().cut(stored, form.cut(), materia);
        Stock.OfCarrier carrier = pick(fields, "carrier", liquidFirst(shelves.carriers(), desk.house(), desk.house().dayOf(clock.instant())), Stock.OfCarrier::id, form.carrier());
        Optional<Mass> mass = desk.sentence().herbMass(herb, form.amount());
        Optional<OilWish> oil = desk.sentence().oil(carrier, form.oil());
        Optional<PlanRequest.Circumstances> how = desk.sentence().circumstances(form, spirit());
        if (!fields.isClear()) {
            return Optional.empty();
        }
        PlannedHerb planned = new PlannedHerb(herb.kind(), herb.texture(), herb.moisture(), herb.weighedBulk(), mass.orElseThrow(),
                retentions.of(herb.kind().key(), herb.texture(), herb.moisture(), how.orElseThrow().pressing()));
        Stock.OfJar jar = jar(fields, form, planned, oil.orElseThrow(), shelves.jars());
        PlannedCarrier poured = new PlannedCarrier(carrier.kind(),
                new Bottle(carrier.name(), carrier.kind().monthsOpened(), carrier.opened(), carrier.bestBefore()));
        List<Vessel> stock = shelves.jars().stream().map(Stock.OfJar::vessel).toList();
        BatchPlan plan = planner.plan(new PlanRequest(planned, poured, oil.get(), jar.vessel(), stock, how.get()));
        stockNotes(fields, herb, carrier, plan, desk.house());
        Optional<Mass> weighed = desk.sentence().weighed(form.weighed(), plan.charge().herbs().mass(), herb.left());
        Optional<Volume> really = desk.sentence().poured(form.poured(), carrier, plan.charge().oil());
        Instant at = desk.house().instantOn(how.get().start(), clock.instant());
        return Optional.of(new BenchWork.Planned(new FrozenPlan(plan, herb.id(), carrier.id()), jar, herb, carrier,
                new Batches.Weighed(weighed.orElse(plan.charge().herbs().mass()), really.orElse(plan.charge().oil()), at), Choice.ranked(Planner.situation(plan.request()))));
    }

    /** Puts what pours in this pantry first, and of one oil the bottle that lasts longest: what the sentence begins with. */
    private static List<Stock.OfCarrier> liquidFirst(List<Stock.OfCarrier> carriers, House house, LocalDate today) {
        return carriers.stream()
                .sorted(Comparator.comparing((Stock.OfCarrier c) -> c.kind().melting().filter(m -> m.compareTo(house.settings().pantry()) > 0).isPresent())
                        .thenComparing(Stock.OfCarrier::name)
                        .thenComparing(c -> new Bottle(c.name(), c.kind().monthsOpened(), c.opened(), c.bestBefore()).end(today), Comparator.reverseOrder()))
                .toList();
    }

    /** The jar named, else the smallest that holds and covers, else the largest there is. */
    private static Stock.OfJar jar(Fields fields, BenchForm form, PlannedHerb herb, OilWish oil, List<Stock.OfJar> jars) {
        Optional<Stock.OfJar> named = BenchForm.id(form.jar()).flatMap(id -> jars.stream().filter(jar -> jar.id().equals(id)).findFirst());
        if (named.isPresent()) {
            return named.get();
        }
        Stock.OfJar largest = jars.get(jars.size() - 1);
        Charge charge = new Charge(Herbs.of(herb.portion()), Volume.ZERO, largest.vessel(), form.way().headspace());
        Optional<Stock.OfJar> chosen = JarChoice.smallest(jars.stream().map(Stock.OfJar::vessel).toList(), charge, oil)
                .flatMap(vessel -> jars.stream().filter(jar -> jar.vessel().equals(vessel)).findFirst());
        chosen.ifPresent(jar -> fields.echo("jar", "the smallest of yours that holds it and covers"));
        return chosen.orElse(largest);
    }

    private static void stockNotes(Fields fields, Stock.OfHerb herb, Stock.OfCarrier carrier, BatchPlan plan, House house) {
        Mass herbNeed = plan.charge().herbs().mass();
        if (herbNeed.compareTo(herb.left()) > 0) {
            fields.trouble("amount", "Understood %s; only %s of this is left.".formatted(house.mass(herbNeed), house.mass(herb.left())), "at most what is left");
        }
        if (plan.oilMass().toMilligrams() > carrier.left().toMilligrams()) {
            fields.trouble("oil", "This takes %s; the bottle holds %s.".formatted(
                    house.volume(plan.charge().oil()), house.volume(carrier.volumeLeft())), "less, or another bottle");
        }
    }

    /** The strongest spirit in the Stores. */
    private Optional<Strength> spirit() {
        return stores.supplies(Set.of(LotKind.SPIRIT)).stream().flatMap(lot -> lot.abv().stream()).max(Comparator.naturalOrder()).map(Strength::new);
    }

    private List<Stock.OfJar> freeJars() {
        Map<UUID, Long> taken = batches.jarsInUse();
        return stores.jars().stream().filter(jar -> taken.getOrDefault(jar.id(), 0L) < jar.pieces()).toList();
    }

    private static <T> T pick(Fields fields, String field, List<T> from, Function<T, UUID> id, @Nullable String typed) {
        if (typed == null || typed.isBlank()) {
            return from.get(0);
        }
        return named(from, id, typed).orElseGet(() -> {
            fields.trouble(field, "That is used up or not here any more.", "another from the list");
            return from.get(0);
        });
    }
}
