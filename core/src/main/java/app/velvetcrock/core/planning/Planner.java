package app.velvetcrock.core.planning;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.Remedies;
import app.velvetcrock.core.charge.Schools;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.keeping.Keeping;
import app.velvetcrock.core.keeping.Treatment;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Band;
import app.velvetcrock.core.method.Fitness;
import app.velvetcrock.core.method.Situation;
import app.velvetcrock.core.planning.PlanRequest.Circumstances;
import app.velvetcrock.core.strain.YieldForecast;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** Works a request out into a plan. */
public final class Planner {

    /** Version of the rules; raised whenever a formula or a constant changes. */
    public static final String RULES = "2026.1";

    private final Cautions cautions;
    private final Materia materia;

    public Planner(Cautions cautions, Materia materia) {
        this.cautions = cautions;
        this.materia = materia;
    }

    /** Works everything out; a charge that will not do is still a plan, with its refusals and remedies. */
    public BatchPlan plan(PlanRequest request) {
        Circumstances how = request.circumstances();
        Charge dry = new Charge(Herbs.of(request.herb().portion()), Volume.ZERO, request.vessel(), how.method().headspace());
        Charge charge = dry.withOil(request.oil().oilFor(dry));
        LocalDate strainOn = how.end();
        return new BatchPlan(
                RULES,
                request,
                charge,
                BatchPlan.Found.of(charge, Schools.of(charge, request.carrier().kind().density())),
                request.carrier().kind().density().massOf(charge.oil()),
                strainOn,
                YieldForecast.of(charge.herbs(), charge.oil(), how.pressing(), request.herb().ownRetentions()),
                keepUntil(request, Finish.asPlanned(request, strainOn)),
                Fitness.of(how.method(), situation(request)),
                cautions(request),
                Remedies.of(charge, request.oil(), request.jarsInStock(), finer(request.herb().texture())));
    }

    /** What the method is chosen for. */
    public static Situation situation(PlanRequest request) {
        Circumstances how = request.circumstances();
        return new Situation(request.herb().kind(), request.herb().moisture(), request.carrier().kind(), how.pantry(), how.use(), how.spirit());
    }

    /** Dates the oil anew from how it was really finished; the bottle that ends first decides. */
    public static KeepUntil keepUntil(PlanRequest request, Finish finish) {
        LocalDate poured = request.circumstances().start();
        if (isMoistFood(request)) {
            return Keeping.ofMoistFood(poured);
        }
        return Keeping.of(finish.shortestBottle(request), poured, finish.strained(), treatment(request, finish), finish.storage());
    }

    /** The day nothing lengthens an oil beyond. */
    public static LocalDate latest(PlanRequest request, Finish finish) {
        if (isMoistFood(request)) {
            return Keeping.ofMoistFood(request.circumstances().start()).date();
        }
        return Keeping.latest(finish.shortestBottle(request), request.circumstances().start(), finish.strained(), treatment(request, finish));
    }

    private static boolean isMoistFood(PlanRequest request) {
        return request.circumstances().use() == Use.FOOD && !request.herb().moisture().isDried();
    }

    private static Treatment treatment(PlanRequest request, Finish finish) {
        PlannedHerb herb = request.herb();
        Band hottest = request.circumstances().method().hottest();
        boolean light = request.circumstances().method().isInLight();
        boolean food = request.circumstances().use() == Use.FOOD;
        Temperature peak = finish.peak().filter(t -> t.compareTo(hottest.high()) > 0).orElse(hottest.high());
        return new Treatment(peak, light, herb.moisture(), herb.cut(), isResinousBud(herb.kind()), food, finish.after());
    }

    /** The finer cuts one can still take it to; a slurry is made with the oil and is no remedy. */
    private List<Texture> finer(Texture texture) {
        return Stream.of(Cut.GROUND, Cut.POWDER).filter(cut -> cut.compareTo(texture.cut()) > 0).map(cut -> materia.texture(texture.part(), cut)).toList();
    }

    private static boolean isResinousBud(HerbKind kind) {
        return kind.part() == Part.BUD && kind.traits().contains("resinous");
    }

    private List<Caution> cautions(PlanRequest request) {
        Set<String> traits = new TreeSet<>(request.herb().kind().traits());
        traits.addAll(request.carrier().kind().traits());
        return cautions.of(traits, request.circumstances().use());
    }
}
