package app.velvetcrock.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.JarChoice;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.making.Backwards;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Correction;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.Melt;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Variants;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.PlanRecipe;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Whole plans and whole makings of random kitchens, against the handbook in plain numbers: none throws, and whatever may be begun keeps
 * every rule. An ordinary run tries a hundredth of ten thousand of each.
 */
class TenThousandTest {

    private static final int MANY = Integer.getInteger("crock.plans", 100);
    private static final Materia MATERIA = Materia.shipped();
    private static final LocalDate START = LocalDate.of(2026, 11, 24);

    private final Planner planner = new Planner(Cautions.shipped(), MATERIA);

    @Test
    void plansKeepTheHandbook() {
        int begun = 0;
        int reduced = 0;
        for (int seed = 0; seed < MANY; seed++) {
            PlanRequest asked = request(new Random(seed));
            BatchPlan plan = planner.plan(asked);
            Charge charge = plan.charge();
            as(seed, () -> sums(plan));
            as(seed, () -> dates(plan));
            as(seed, () -> PlanRecipe.of("as it was", plan, List.of()).times(2));
            as(seed, () -> Choice.fittest(Planner.situation(plan.request())));
            reduced += asked.oil().isReduced(charge) ? 1 : 0;
            if (plan.canStart()) {
                begun++;
                as(seed, () -> mayBegin(plan));
            }
        }
        assertThat(begun).as("some of them can be begun").isGreaterThan(MANY / 20);
        assertThat(reduced).as("some get only what covers").isGreaterThanOrEqualTo(MANY / 1000);
    }

    private static void as(int seed, Runnable check) {
        try {
            check.run();
        } catch (RuntimeException | AssertionError e) {
            throw new AssertionError("random kitchen " + seed, e);
        }
    }

    /** Cover, default oil and yield as the handbook has them. */
    private static void sums(BatchPlan plan) {
        Charge charge = plan.charge();
        double bulk = 0;
        double pressed = 0;
        double displaced = 0;
        double usual = 0;
        double kept = 0;
        for (PlannedHerb herb : plan.request().herbs()) {
            double grams = herb.mass().grams();
            double density = herb.texture().bulkIn(herb.moisture()).gramsPerMillilitre();
            boolean dried = herb.moisture() == Moisture.DRIED;
            double swollen = grams / density * (dried ? 1.15 : 1);
            boolean packs = herb.moisture() != Moisture.JUICY && herb.texture().packing() > 1;
            bulk += swollen;
            pressed += swollen / (packs ? 1.6 : 1);
            displaced += grams / (dried ? 1.4 : 1);
            usual += grams * ratio(herb, plan.request().circumstances().method());
            kept += grams * HandbookTest.retention(herb.texture(), herb.moisture())[0];
        }
        Vessel vessel = charge.vessel();
        double width = vessel.innerWidth().millimetres();
        double cover = Math.PI * width * width / 4 * (vessel.open() ? 10 : 20) / 1000;
        double covers = Math.max(0, pressed - displaced + cover);
        assertThat(charge.pressedNeed().millilitres()).isCloseTo(covers, within(1e-6));
        if (plan.request().oil() instanceof OilWish.ToCover) {
            double room = vessel.capacity().millilitres() * (1 - charge.headspace());
            double full = up(Math.max(usual, covers));
            boolean holds = fits(full, bulk, pressed, displaced, cover) <= room + 1e-9;
            boolean holdsLess = fits(up(covers), bulk, pressed, displaced, cover) <= room + 1e-9;
            assertThat(charge.oil().millilitres()).isCloseTo(holds || !holdsLess ? full : up(covers), within(1e-6));
        }
        if (plan.request().circumstances().pressing() == Pressing.HAND) {
            assertThat(plan.yield().expected().millilitres())
                    .isCloseTo(Math.max(0, charge.oil().millilitres() - kept - 5), within(1e-6));
        }
    }

    private static double fits(double oil, double bulk, double pressed, double displaced, double cover) {
        boolean loose = oil >= bulk - displaced + cover - 1e-9;
        boolean pushed = !loose && oil >= pressed - displaced + cover - 1e-9;
        return Math.max(oil + displaced, (pushed ? pressed : bulk) + cover);
    }

    private static double ratio(PlannedHerb herb, Method way) {
        if (herb.moisture() != Moisture.DRIED) {
            return herb.moisture() == Moisture.JUICY ? 1 : 2.5;
        }
        if (way.is(Method.SPIRIT_FIRST) && herb.cut() == Cut.POWDER) {
            return 7.5;
        }
        double usual = herb.kind().usualRatio();
        return switch (herb.cut()) {
            case WHOLE, CRUMBLED -> usual;
            case CUT_AND_SIFTED -> Math.min(usual, 7);
            case GROUND, POWDER, SLURRY -> Math.min(usual, 5);
        };
    }

    private static double up(double millilitres) {
        return Math.ceil(millilitres / 5 - 1e-9) * 5;
    }

    /** No oil keeps longer than its bottle, nor than two years; food of anything moist four days from when herb met oil. */
    private static void dates(BatchPlan plan) {
        LocalDate till = plan.keepUntil().date();
        if (plan.isMoistFood()) {
            assertThat(till).isEqualTo(START.plusDays(4));
            return;
        }
        assertThat(till).isBeforeOrEqualTo(plan.strainOn().plusMonths(24));
        LocalDate end = plan.request().carrier().bottle().end(START);
        if (!end.isBefore(plan.strainOn())) {
            assertThat(till).isBeforeOrEqualTo(end);
        }
    }

    /** What may be begun covers, fits, is not refused, is not in an open pot for days, and is no moist food but from the hot pan. */
    private static void mayBegin(BatchPlan plan) {
        Charge charge = plan.charge();
        PlanRequest.Circumstances how = plan.request().circumstances();
        assertThat(charge.oil()).isGreaterThanOrEqualTo(charge.pressedNeed());
        assertThat(charge.room().millilitres())
                .isLessThanOrEqualTo(charge.vessel().capacity().millilitres() * (1 - charge.headspace()) + 1e-9);
        assertThat(plan.cautions()).noneMatch(caution -> caution.level() == Level.REFUSE);
        assertThat(charge.vessel().open()
                        && how.method().stages().stream()
                                .anyMatch(stage -> !stage.isHeated() && stage.pace() == Pace.DAYS))
                .isFalse();
        if (plan.isMoistFood()) {
            assertThat(how.method().is(Method.JUICY_PAN)).isTrue();
            assertThat(how.storage()).isEqualTo(Storage.REFRIGERATOR);
        }
        boolean wet = plan.request().herbs().stream().anyMatch(herb -> herb.moisture() == Moisture.FRESH);
        if (wet && plan.mark().isEmpty()) {
            assertThat(how.method().is(Method.COLD_AND_DARK)).isFalse();
        }
    }

    private static PlanRequest request(Random random) {
        List<PlannedHerb> herbs = new ArrayList<>();
        int count = 1 + random.nextInt(3);
        boolean dry = random.nextInt(3) > 0;
        for (int i = 0; i < count; i++) {
            HerbKind kind = pick(List.copyOf(MATERIA.herbs()), random);
            Cut cut = pick(List.of(Cut.values()), random);
            herbs.add(new PlannedHerb(
                    kind,
                    MATERIA.texture(kind.part(), cut),
                    dry ? Moisture.DRIED : pick(List.of(Moisture.values()), random),
                    Optional.empty(),
                    Mass.ofGrams(2 + random.nextInt(150)),
                    List.of()));
        }
        CarrierKind carrier = pick(List.copyOf(MATERIA.carriers()), random);
        Bottle bottle = new Bottle(
                carrier.common(),
                carrier.monthsOpened(),
                random.nextBoolean() ? Optional.of(START.minusDays(random.nextInt(300))) : Optional.empty(),
                random.nextBoolean() ? Optional.of(START.plusDays(random.nextInt(700))) : Optional.empty());
        List<Method> ways = Method.shipped().stream()
                .flatMap(way -> Stream.concat(Stream.of(way), Variants.of(way).stream()))
                .toList();
        Method way = pick(ways, random);
        List<Integer> lengths = new ArrayList<>();
        for (Stage stage : way.stages()) {
            lengths.add(stage.least() + random.nextInt(stage.most() - stage.least() + 1));
        }
        List<Vessel> stock = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(5); i++) {
            double capacity = 200 + random.nextInt(3000);
            double width =
                    Vessel.usualWidth(Volume.ofMillilitres(capacity)).millimetres() * (0.8 + random.nextDouble() * 0.5);
            stock.add(new Vessel(
                    "vessel " + i,
                    Volume.ofMillilitres(capacity),
                    Length.ofMillimetres(width),
                    random.nextInt(4) == 0));
        }
        OilWish oil = random.nextInt(3) > 0
                ? new OilWish.ToCover()
                : random.nextBoolean()
                        ? new OilWish.ByRatio(2 + random.nextInt(10))
                        : new OilWish.Exactly(Volume.ofMillilitres(30 + random.nextInt(1500)));
        PlanRequest request = new PlanRequest(
                herbs,
                new PlannedCarrier(carrier, bottle),
                oil,
                stock.get(0),
                stock,
                new PlanRequest.Circumstances(
                        way,
                        lengths,
                        START,
                        pick(List.of(Use.values()), random),
                        pick(List.of(Pressing.values()), random),
                        pick(List.of(Storage.values()), random),
                        Means.of(
                                Temperature.ofCelsius(5 + random.nextInt(25)),
                                random.nextBoolean()
                                        ? Optional.of(new Strength(35 + random.nextInt(60)))
                                        : Optional.empty())));
        Charge bare = new Charge(request.charged(), Volume.ZERO, stock.get(0), way.headspace());
        Optional<Vessel> chosen = JarChoice.smallest(stock, bare, oil);
        chosen.ifPresent(vessel -> assertSmallest(vessel, stock, bare, oil));
        return chosen.map(vessel -> new PlanRequest(
                        request.herbs(), request.carriers(), oil, vessel, stock, request.circumstances()))
                .orElse(request);
    }

    /** What was chosen holds and covers; nothing smaller does with the usual oil, nor anything at all where only what covers fits. */
    private static void assertSmallest(Vessel chosen, List<Vessel> stock, Charge bare, OilWish oil) {
        assertThat(isGood(bare.in(chosen), oil)).isTrue();
        boolean less = oil.isReduced(bare.in(chosen));
        List<Vessel> better = stock.stream()
                .filter(other -> isGood(bare.in(other), oil) && !oil.isReduced(bare.in(other)))
                .sorted(Comparator.comparing(Vessel::capacity))
                .toList();
        if (less) {
            assertThat(better).isEmpty();
        } else {
            assertThat(better.get(0).capacity()).isEqualTo(chosen.capacity());
        }
    }

    private static boolean isGood(Charge bare, OilWish oil) {
        Charge poured = bare.withOil(oil.oilFor(bare));
        return poured.fits() && poured.cover().isEnough();
    }

    /** Everything weighed is in it, its firmness is what was asked, corrections come to it, and what is poured and left is all of it. */
    @Test
    void makingsKeepTheHandbook() {
        List<Kind> kinds = Kind.shipped().stream()
                .filter(kind -> kind.firmness() > 0 && kind.wax())
                .toList();
        int made = 0;
        for (int seed = 0; seed < MANY; seed++) {
            Random random = new Random(seed);
            Kind kind = pick(kinds, random);
            double wanted = 6 + random.nextInt(40);
            Temperature room = Temperature.ofCelsius(8 + random.nextInt(21));
            Container container = new Container("tin", Volume.ofMillilitres(5 + random.nextInt(200)), kind.isMoulded());
            int count = 1 + random.nextInt(30);
            try {
                Backwards back = Backwards.of(
                        new Backwards.Wish(kind, count, container, wanted),
                        Density.ofGramsPerMillilitre(0.86 + random.nextDouble() * 0.1),
                        room);
                as(seed, () -> made(back.melt(), container, count, wanted, kind, room));
                made++;
            } catch (Melt.CannotBe cannot) {
                assertThat(cannot.getMessage()).isNotBlank();
            }
        }
        assertThat(made).isGreaterThan(MANY / 4);
    }

    private static void made(Melt melt, Container container, int count, double wanted, Kind kind, Temperature room) {
        Formula formula = melt.formula();
        double sum = 0;
        double setting = 0;
        for (Formula.Part part : formula.parts()) {
            assertThat(part.mass().grams()).isGreaterThanOrEqualTo(0);
            sum += part.mass().grams();
            setting += part.mass().grams() * part.stuff().equivalent();
        }
        assertThat(formula.total().grams()).isCloseTo(sum, within(1e-6));
        assertThat(melt.firmness().value()).isCloseTo(100 * setting / sum, within(1e-6));
        if (!melt.tooHard()) {
            assertThat(melt.firmness().value()).isCloseTo(wanted, within(0.01));
        }
        Filling filling =
                Filling.into(formula.total(), new Filling.Stock(container, count), melt.shrinkage(), kind.whipped());
        double poured = filling.pours().stream()
                .mapToDouble(pour -> pour.count() * pour.each().grams())
                .sum();
        assertThat(poured + filling.left().grams()).isCloseTo(sum, within(0.01));
        assertThat(filling.count()).isLessThanOrEqualTo(count);
        Correction.of(formula, wanted + 3)
                .ifPresent(more -> assertThat(more.then().value()).isCloseTo(wanted + 3, within(0.01)));
        assertThat(Setting.shipped().equivalent(Setting.BEESWAX, room)).isEqualTo(1);
        Formula twice = formula.times(2);
        for (Formula.Part part : twice.parts()) {
            Formula.Part once = formula.parts().get(twice.parts().indexOf(part));
            assertThat(twice.shareOf(part))
                    .as("doubling keeps every share")
                    .isCloseTo(formula.shareOf(once), within(1e-9));
        }
    }

    private static <T> T pick(List<T> from, Random random) {
        return from.get(random.nextInt(from.size()));
    }
}
