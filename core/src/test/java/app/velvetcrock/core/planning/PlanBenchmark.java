package app.velvetcrock.core.planning;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.HowMuch;
import app.velvetcrock.core.making.Melt;
import app.velvetcrock.core.making.MeltRequest;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * What a plan costs while a mark is dragged; run by {@code ./crock bench}, never by the tests. Read it as a ratio to the baseline
 * of the same run.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 10, time = 1)
@Measurement(iterations = 10, time = 1)
@Fork(1)
public class PlanBenchmark {

    private static final int BASELINE_STEPS = 10_000;

    private final Materia materia = Materia.shipped();
    private final Planner planner = new Planner(Cautions.shipped(), materia);
    private final PlanRequest request = request();

    /** A plain sum of ten thousand divisions, to compare with. */
    @Benchmark
    public double baseline() {
        double sum = 0;
        for (int i = 1; i <= BASELINE_STEPS; i++) {
            sum += 1.0 / i;
        }
        return sum;
    }

    /** Charge, cover, room, yield, keeping and cautions of one method. */
    @Benchmark
    public BatchPlan onePlan() {
        return planner.plan(request);
    }

    /** All ten methods with their reasons, ranked. */
    @Benchmark
    public List<Choice> tenRanked() {
        return Choice.ranked(Planner.situation(request));
    }

    private PlanRequest request() {
        var nettle = materia.herb("nettle").orElseThrow();
        var oil = materia.carrier("rapeseed").orElseThrow();
        Vessel jar = new Vessel("half litre", Volume.ofMillilitres(500), Length.ofMillimetres(84));
        return new PlanRequest(
                List.of(new PlannedHerb(
                        nettle,
                        materia.texture(nettle.part(), Cut.CUT_AND_SIFTED),
                        Moisture.DRIED,
                        Optional.empty(),
                        Mass.ofGrams(40),
                        List.of(1.1, 1.2))),
                new PlannedCarrier(
                        oil,
                        new Bottle(
                                "rapeseed",
                                oil.monthsOpened(),
                                Optional.of(LocalDate.of(2026, 9, 1)),
                                Optional.empty())),
                new OilWish.ToCover(),
                jar,
                List.of(jar, new Vessel("litre", Volume.ofMillilitres(1000), Length.ofMillimetres(100))),
                new PlanRequest.Circumstances(
                        Method.COLD_AND_DARK,
                        List.of(35),
                        LocalDate.of(2026, 10, 1),
                        Use.HANDS,
                        Pressing.HAND,
                        Storage.COOL_DARK,
                        Means.of(Temperature.ofCelsius(14), Optional.of(new Strength(90)))));
    }

    /** A pomade of five fats worked out to its firmness, for twelve tins. */
    @Benchmark
    public Melt melt() {
        return Melt.of(POMADE);
    }

    private static final MeltRequest POMADE = new MeltRequest(
            new HowMuch.Count(12, new Container("tin", Volume.ofMillilitres(60), false)),
            new Formula.Stuff("oil", "oil", Formula.Role.OIL, 0),
            Optional.of(new Formula.Stuff("beeswax", "beeswax", Formula.Role.WAX, 1)),
            Optional.empty(),
            List.of(wish("coconut", 0.08, 0.16), wish("cocoa-butter", 0.3, 0.11), wish("shea", 0.12, 0.10)),
            16.8,
            false);

    private static MeltRequest.Wish wish(String key, double equivalent, double share) {
        return new MeltRequest.Wish(
                new Formula.Stuff(key, key, Formula.Role.BUTTER, equivalent), new MeltRequest.Share.Of(share));
    }
}
