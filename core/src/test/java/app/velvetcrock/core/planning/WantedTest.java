package app.velvetcrock.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.core.strain.YieldForecast;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Step;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Backwards from what is wanted; recipes scaled and compared; a plan's steps. */
class WantedTest {

    private static final Materia MATERIA = Materia.shipped();

    /**
     * Checked sum 11: 305/(1 − 1.813/6) = 437 mL, 72.8 g. At 1:5, 305/(1 − 1.813/5) = 478.5 over 95.7. Root keeps 0.6 ± 0.2, at
     * most 0.856: 105/(1 − 0.856/5) = 126.7 over 25.3.
     */
    @ParameterizedTest
    @CsvSource({"300, 6, 1.3, 0.4, 437.0, 72.8", "300, 5, 1.3, 0.4, 478.5, 95.7", "100, 5, 0.6, 0.2, 126.7, 25.3"})
    void chargeForAWantedAmount(double wanted, double ratio, double mean, double spread, double oil, double herb) {
        Wanted back = Wanted.of(Volume.ofMillilitres(wanted), ratio, new Retention(mean, spread, 0));
        assertThat(back.oil().millilitres()).isCloseTo(oil, within(0.1));
        assertThat(back.herb().grams()).isCloseTo(herb, within(0.05));
        assertThat(back.working().hasEstimate()).isTrue();
    }

    @Test
    void aRatioTheHerbDrinksUpIsRefused() {
        assertThatThrownBy(() -> Wanted.of(Volume.ofMillilitres(300), 1.5, new Retention(1.3, 0.4, 0)))
                .hasMessageContaining("more than the herb keeps");
    }

    /** The low end of an 80 % interval is reached nine times in ten: what is worked back gives just that. */
    @Test
    void nineTimesInTenItIsEnough() {
        PlannedHerb herb = herb("nettle", 95.7);
        Wanted back = Wanted.of(
                Volume.ofMillilitres(300),
                5,
                Wanted.retention(herb.portion(Method.COLD_AND_DARK), Pressing.HAND, List.of()));
        YieldForecast forecast = YieldForecast.of(
                app.velvetcrock.core.charge.Herbs.of(herb.portion(Method.COLD_AND_DARK)), back.oil(), Pressing.HAND);
        assertThat(forecast.low().millilitres()).isCloseTo(300, within(0.5));
    }

    @Test
    void aRecipeIsScaledAndComparedByProportion() {
        PlanRecipe cold = recipe("Cold", Method.COLD_AND_DARK, Pressing.HAND);
        PlanRecipe more = cold.times(1.7);
        assertThat(more.grams()).isCloseTo(51 + 34, within(1e-9));
        assertThat(more.ratio()).isCloseTo(cold.ratio(), within(1e-9));
        assertThat(cold.differences(more)).as("more of the same is the same").isEmpty();
        assertThat(cold.differences(recipe("Warm", Method.HEAT_THEN_REST, Pressing.DRIP)))
                .extracting(PlanRecipe.Difference::what)
                .containsExactly("way", "time", "heat", "pressed");
        assertThat(recipe("Warm", Method.HEAT_THEN_REST, Pressing.DRIP).time()).isEqualTo("60 minutes, then 14 days");
        // 400 mL and 50/1.4 = 35.7 in a litre with a tenth of air: 900/435.7 = 2.065
        assertThat(cold.fills(new Vessel("litre", Volume.ofMillilitres(1000), Length.ofMillimetres(100))))
                .isEqualTo(2.06);
        assertThatThrownBy(() -> cold.times(60)).hasMessageContaining("between 0.1 and 50");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            cold-dark    | DRIED  | prepare, stand, strain
            slow-warm    | DRIED  | prepare, warm, cool, strain
            heat-rest    | DRIED  | prepare, heat, rest, strain
            spirit-first | DRIED  | prepare, moist, open, cool, strain
            fresh-low    | FRESH  | prepare, wilt, low, cool, strain, settle, decant
            juicy-pan    | JUICY  | prepare, pan, stand, strain, settle, decant
            """)
    void stepsOfAPlan(String method, Moisture moisture, String keys) {
        PlanRequest request = request(Method.of(method).orElseThrow(), moisture, Pressing.HAND);
        assertThat(String.join(
                        ", ",
                        PlanSteps.of(request, HomeHours.usual(ZoneId.of("UTC"))).stream()
                                .map(Step::key)
                                .toList()))
                .isEqualTo(keys);
    }

    private static PlanRecipe recipe(String title, Method method, Pressing pressing) {
        return PlanRecipe.of(
                title,
                new Planner(Cautions.shipped(), MATERIA).plan(request(method, Moisture.DRIED, pressing)),
                List.of());
    }

    private static PlanRequest request(Method method, Moisture moisture, Pressing pressing) {
        Vessel jar = new Vessel("litre", Volume.ofMillilitres(1000), Length.ofMillimetres(100));
        PlannedHerb nettle = herb("nettle", 30);
        PlannedHerb wet =
                new PlannedHerb(nettle.kind(), nettle.texture(), moisture, Optional.empty(), nettle.mass(), List.of());
        return new PlanRequest(
                List.of(
                        wet,
                        new PlannedHerb(
                                herb("yarrow", 20).kind(),
                                herb("yarrow", 20).texture(),
                                moisture,
                                Optional.empty(),
                                Mass.ofGrams(20),
                                List.of())),
                new PlannedCarrier(
                        MATERIA.carrier("rapeseed").orElseThrow(),
                        new Bottle("rapeseed", 10, Optional.empty(), Optional.empty())),
                new OilWish.Exactly(Volume.ofMillilitres(400)),
                jar,
                List.of(jar),
                new PlanRequest.Circumstances(
                        method,
                        method.usualLengths(),
                        LocalDate.of(2026, 10, 1),
                        Use.HANDS,
                        pressing,
                        Storage.COOL_DARK,
                        Means.of(
                                Temperature.ofCelsius(14), Optional.of(new app.velvetcrock.core.spirit.Strength(96)))));
    }

    private static PlannedHerb herb(String key, double grams) {
        var kind = MATERIA.herb(key).orElseThrow();
        return new PlannedHerb(
                kind,
                MATERIA.texture(kind.part(), Cut.CUT_AND_SIFTED),
                Moisture.DRIED,
                Optional.empty(),
                Mass.ofGrams(grams),
                List.of());
    }

    /**
     * Whatever herb is asked about in whatever jars: what is worked back covers it pushed under, fits where any of the jars could
     * take it, and gives what is wanted nine times in ten, by a sum of its own.
     */
    @Test
    void whatIsWorkedBackCanBeStarted() {
        Random random = new Random(14);
        int covered = 0;
        for (int i = 0; i < Cases.of(400); i++) {
            Texture texture = MATERIA.texture(
                    Part.values()[random.nextInt(Part.values().length)],
                    Cut.values()[random.nextInt(Cut.values().length - 1)]);
            HerbPortion gram =
                    new HerbPortion(Mass.ofGrams(1), texture, Moisture.DRIED, Optional.empty(), 4 + random.nextInt(7));
            List<Vessel> jars = List.of(
                    new Vessel("small", Volume.ofMillilitres(250), Length.ofMillimetres(60)),
                    new Vessel("middle", Volume.ofMillilitres(750), Length.ofMillimetres(84)),
                    new Vessel("large", Volume.ofMillilitres(20_000), Length.ofMillimetres(240)));
            Retention retention = Wanted.retention(gram, Pressing.HAND, List.of());
            double wanted = 50 + random.nextInt(1500);
            Wanted back = Wanted.covering(Volume.ofMillilitres(wanted), gram, retention, new Wanted.Room(jars, 0.1));
            double kept = retention.mean() + 1.2816 * retention.spread();
            assertThat(back.oil().millilitres() - kept * back.herb().grams() - 5)
                    .as("%s of %s", wanted, texture)
                    .isGreaterThanOrEqualTo(wanted - 0.01);
            Charge charge = jars.stream()
                    .map(jar -> new Charge(Herbs.of(gram).times(back.herb().grams()), back.oil(), jar, 0.1))
                    .filter(Charge::fits)
                    .findFirst()
                    .orElseThrow();
            assertThat(charge.oil().millilitres())
                    .as("%s of %s", wanted, texture)
                    .isGreaterThanOrEqualTo(charge.pressedNeed().millilitres() - 0.01);
            covered += back.ratio() > gram.usualRatio() + 1e-6 ? 1 : 0;
        }
        assertThat(covered).as("cover decided now and then").isBetween(40, 399);
    }
}
