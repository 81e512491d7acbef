package app.velvetcrock.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Levels;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Contradiction.Verdict;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.Reading;
import app.velvetcrock.core.kitchen.ShareReader;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Variants;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.recipe.RecipeReader;
import app.velvetcrock.core.recipe.Things;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.HoursReader;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every way into the core answers whatever its types allow: a plan with its refusals, a reading, or words for what is not understood. */
class TotalityTest {

    private static final LocalDate START = LocalDate.of(2026, 10, 1);
    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final Materia MATERIA = Materia.shipped();
    private final Planner planner = new Planner(Cautions.shipped(), MATERIA);

    /**
     * From a milligram to a tonne, in the smallest jar and the largest, by every wish, cups weighed from lightest to heaviest:
     * planned, drawn, ranked and timed.
     */
    @Test
    void everyChargeIsAPlan() {
        Random random = new Random(11);
        List<Method> ways = Method.shipped().stream()
                .flatMap(method -> Stream.concat(Stream.of(method), Variants.of(method).stream()))
                .toList();
        for (int i = 0; i < Cases.of(4000); i++) {
            PlanRequest request = request(random, ways);
            assertThatCode(() -> {
                        BatchPlan plan = planner.plan(request);
                        assertThat(plan.found().airShare()).isNotNaN();
                        assertThat(Levels.standingOut(plan.charge()).herb().millimetres())
                                .isNotNaN();
                        assertThat(plan.found().levels().oil().millimetres()).isNotNaN();
                        assertThat(plan.water()).isNotNull();
                        assertThat(Choice.ranked(Planner.situation(request)))
                                .hasSize(Method.shipped().size());
                        assertThat(PlanSteps.of(plan.request(), HomeHours.usual(ZONE)))
                                .isNotEmpty();
                    })
                    .as(request.toString())
                    .doesNotThrowAnyException();
        }
    }

    private PlanRequest request(Random random, List<Method> ways) {
        List<PlannedHerb> herbs =
                Stream.generate(() -> herb(random)).limit(1 + random.nextInt(3)).toList();
        var carrier = pick(random, List.copyOf(MATERIA.carriers()));
        Optional<LocalDate> opened =
                random.nextBoolean() ? Optional.empty() : Optional.of(START.minusDays(random.nextInt(2000)));
        Bottle bottle =
                new Bottle("b", carrier.monthsOpened(), opened, opened.map(day -> day.plusDays(random.nextInt(900))));
        Vessel vessel = new Vessel(
                "v",
                Volume.ofMillilitres(10 + random.nextDouble() * 49_990),
                Length.ofMillimetres(20 + random.nextDouble() * 780),
                random.nextBoolean());
        return new PlanRequest(
                herbs,
                new PlannedCarrier(carrier, bottle),
                wish(random),
                vessel,
                List.of(vessel),
                how(random, pick(random, ways)));
    }

    private static OilWish wish(Random random) {
        return switch (random.nextInt(6)) {
            case 0 -> new OilWish.ToCover();
            case 1 -> new OilWish.ByRatio(0.5 + random.nextDouble() * 99);
            case 2 -> new OilWish.ByCups(0.1 + random.nextDouble() * 49);
            case 3 -> new OilWish.ToFill();
            case 4 -> new OilWish.Above(Length.ofMillimetres(1 + random.nextInt(500)));
            default -> new OilWish.Exactly(Volume.ofMillilitres(Math.pow(10, random.nextDouble() * 7)));
        };
    }

    private static PlanRequest.Circumstances how(Random random, Method way) {
        Optional<Strength> spirit =
                random.nextBoolean() ? Optional.empty() : Optional.of(new Strength(random.nextInt(101)));
        return new PlanRequest.Circumstances(
                way,
                way.usualLengths(),
                START,
                pick(random, List.of(Use.values())),
                pick(random, List.of(Pressing.values())),
                pick(random, List.of(Storage.values())),
                Means.of(Temperature.ofCelsius(random.nextInt(40) - 5.0), spirit));
    }

    private static PlannedHerb herb(Random random) {
        var kind = pick(random, List.copyOf(MATERIA.herbs()));
        Optional<Density> weighed = random.nextInt(3) > 0
                ? Optional.empty()
                : Optional.of(Density.ofGramsPerMillilitre(0.01 + random.nextDouble() * 3));
        return new PlannedHerb(
                kind,
                MATERIA.texture(kind.part(), pick(random, List.of(Cut.values()))),
                pick(random, List.of(Moisture.values())),
                weighed,
                Mass.ofGrams(Math.pow(10, -3 + random.nextDouble() * 9)),
                List.of());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2 g, 1 cup",
                "1 cup, 1 g",
                "0 cups, 20 g",
                "1 tsp, 1 kg",
                "0 g, 0 ml",
                "1 g (0 ml)",
                "1000 kg, 1 ml"
            })
    void aWeightAndAVolumeThatNothingWeighsAreMisread(String text) {
        AmountReader reader = reader(CupSystem.US);
        for (double density : new double[] {0.92, 0.05}) {
            KnownDensity known = density > 0.5
                    ? KnownDensity.ofOil(Density.ofGramsPerMillilitre(density))
                    : KnownDensity.ofHerb(Density.ofGramsPerMillilitre(density));
            assertThat(reader.readBoth(text, Expect.SOLID))
                    .hasValueSatisfying(both ->
                            assertThat(reader.check(both, known).verdict()).isEqualTo(Verdict.ONE_IS_MISREAD));
        }
    }

    @Test
    void anHalfIsAHalf() {
        assertThat(reader(CupSystem.METRIC).read("an half cup", Expect.LIQUID))
                .isInstanceOfSatisfying(
                        Reading.Understood.class,
                        half -> assertThat(half.volume().millilitres()).isEqualTo(125));
    }

    /** Text made of kitchen words in no order at all is understood, asked about or refused in words. */
    @ParameterizedTest
    @EnumSource(Expect.class)
    void everyTextIsAnswered(Expect expect) {
        List<String> bits = List.of(
                "an half",
                "half",
                "½",
                "1",
                "0",
                "1,500",
                "99999999999",
                "-",
                "cup",
                "oz",
                "g",
                "and",
                "a",
                "dozen",
                "hundred",
                "°",
                "F",
                "(",
                ")",
                "/",
                "%",
                ",",
                ".",
                " ",
                "\t",
                "1/0",
                "to",
                "part",
                "é",
                "\u0000",
                "kilo",
                "weeks",
                "Saturday",
                "12:70",
                "13/13",
                "about",
                "jar",
                ":",
                "=",
                "or");
        Random random = new Random(7);
        RecipeReader recipes =
                new RecipeReader(reader(CupSystem.METRIC), Things.of(MATERIA, MATERIA.herbs(), MATERIA.carriers()));
        KnownDensity oil = KnownDensity.ofOil(Density.ofGramsPerMillilitre(0.92));
        for (int i = 0; i < Cases.of(600); i++) {
            String text = Stream.generate(() -> pick(random, bits))
                    .limit(random.nextInt(9))
                    .reduce("", (a, b) -> random.nextBoolean() ? a + b : a + " " + b);
            AmountReader reader = reader(pick(random, List.of(CupSystem.values())));
            assertThatCode(() -> {
                        assertThat(reader.read(text, expect)).isNotNull();
                        reader.readBoth(text, expect).ifPresent(both -> assertThat(
                                        reader.check(both, oil).verdict())
                                .isNotNull());
                        ShareReader.read(text);
                        WhenReader.ofTheFuture(START.atTime(9, 0)).day(text);
                        WhenReader.ofThePast(START.atTime(9, 0)).moment(text);
                        WhenReader.ofTheFuture(START.atTime(9, 0)).moment(text);
                        recipes.read(text);
                    })
                    .as(text)
                    .doesNotThrowAnyException();
            assertThat(hours(text)).as(text).isTrue();
        }
    }

    private static boolean hours(String text) {
        try {
            return HoursReader.parse(text) != null;
        } catch (HoursReader.NoHoursException words) {
            return !words.getMessage().isBlank();
        }
    }

    private static AmountReader reader(CupSystem cups) {
        return new AmountReader(new HouseholdUnits(UnitSystem.US, cups, TemperatureScale.FAHRENHEIT));
    }

    private static <T> T pick(Random random, List<T> all) {
        return all.get(random.nextInt(all.size()));
    }
}
