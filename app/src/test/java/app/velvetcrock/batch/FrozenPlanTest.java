package app.velvetcrock.batch;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
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
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A plan frozen today reads back the same: what a batch shows never depends on the rules of the day it is looked at. */
class FrozenPlanTest {

    private final Materia materia = Materia.shipped();
    private final Planner planner = new Planner(Cautions.shipped(), Materia.shipped());
    private final Json json = new Json();

    @Test
    void everyPlanReadsBackAsItWasWritten() {
        Random random = new Random(6);
        for (int i = 0; i < 300; i++) {
            FrozenPlan frozen = new FrozenPlan(planner.plan(request(random)), UUID.randomUUID(), UUID.randomUUID());
            assertThat(json.read(json.write(frozen), FrozenPlan.class)).isEqualTo(frozen);
        }
    }

    /** Plans from before spirit was asked about do not name it. */
    @Test
    void aPlanThatKnowsNothingOfSpiritIsStillRead() {
        Random random = new Random(8);
        for (int i = 0; i < 50; i++) {
            FrozenPlan frozen = new FrozenPlan(planner.plan(request(random)), UUID.randomUUID(), UUID.randomUUID());
            if (frozen.plan().request().circumstances().spirit().isEmpty()) {
                String older = json.write(frozen).replace(",\"spirit\":null", "");
                assertThat(older).doesNotContain("spirit\":");
                assertThat(json.read(older, FrozenPlan.class)).isEqualTo(frozen);
            }
        }
    }

    @Test
    void theJsonNamesItsUnits() {
        String written = json.write(new FrozenPlan(planner.plan(request(new Random(1))), UUID.randomUUID(), UUID.randomUUID()));
        assertThat(written).contains("\"grams\":", "\"millilitres\":", "\"millimetres\":", "\"celsius\":", "\"rules\":\"" + Planner.RULES + "\"");
    }

    private PlanRequest request(Random random) {
        HerbKind herb = pick(List.copyOf(materia.herbs()), random);
        CarrierKind carrier = pick(List.copyOf(materia.carriers()), random);
        LocalDate start = LocalDate.of(2026, 1, 1).plusDays(random.nextInt(300));
        List<Vessel> jars = List.of(jar(500, 84), jar(1000, 100), jar(3000, 140));
        OilWish oil = pick(List.of(new OilWish.ToCover(), new OilWish.ByRatio(3 + random.nextInt(9)), new OilWish.Exactly(Volume.ofMillilitres(100 + random.nextInt(900)))), random);
        Optional<Density> weighed = random.nextBoolean() ? Optional.empty() : Optional.of(Density.ofGramsPerMillilitre(0.2));
        Optional<LocalDate> opened = random.nextBoolean() ? Optional.empty() : Optional.of(start.minusDays(random.nextInt(200)));
        Method method = pick(Method.shipped(), random);
        Optional<Strength> spirit = random.nextBoolean() ? Optional.empty() : Optional.of(new Strength(96));
        return new PlanRequest(
                new PlannedHerb(herb, materia.texture(herb.part(), pick(List.of(Cut.values()), random)), pick(List.of(Moisture.values()), random), weighed,
                        Mass.ofGrams(5 + random.nextInt(120)), random.nextBoolean() ? List.of() : List.of(0.9, 1.1)),
                new PlannedCarrier(carrier, new Bottle(carrier.common(), carrier.monthsOpened(), opened, Optional.of(start.plusDays(200)))),
                oil, pick(jars, random), jars,
                new PlanRequest.Circumstances(method, method.usualLengths(), start, pick(List.of(Use.values()), random), pick(List.of(Pressing.values()), random),
                        pick(List.of(Storage.values()), random), Temperature.ofCelsius(14), spirit));
    }

    private static Vessel jar(double capacity, double width) {
        return new Vessel("jar", Volume.ofMillilitres(capacity), Length.ofMillimetres(width));
    }

    private static <T> T pick(List<T> from, Random random) {
        return from.get(random.nextInt(from.size()));
    }
}
