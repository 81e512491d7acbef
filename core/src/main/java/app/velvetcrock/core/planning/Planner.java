package app.velvetcrock.core.planning;

import app.velvetcrock.core.caution.Bearing;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.Remedies;
import app.velvetcrock.core.charge.Schools;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.keeping.Keeping;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.keeping.Treatment;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Band;
import app.velvetcrock.core.method.Fitness;
import app.velvetcrock.core.method.Ingredient;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Situation;
import app.velvetcrock.core.planning.PlanRequest.Circumstances;
import app.velvetcrock.core.strain.YieldForecast;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/** Works a request out into a plan. */
public final class Planner {

    /** Version of the rules; raised whenever a formula or a constant changes. */
    public static final String RULES = "2026.3";

    private final Cautions cautions;
    private final Materia materia;

    public Planner(Cautions cautions, Materia materia) {
        this.cautions = cautions;
        this.materia = materia;
    }

    /** Works everything out; a charge that will not do is still a plan, with its refusals and remedies. */
    public BatchPlan plan(PlanRequest asked) {
        PlanRequest request = asked.underTheRuleOfFood();
        Circumstances how = request.circumstances();
        Charge dry = new Charge(
                request.charged(), Volume.ZERO, request.vessel(), how.method().headspace());
        Charge charge = dry.withOil(request.oil().oilFor(dry));
        LocalDate strainOn = how.end();
        return new BatchPlan(
                RULES,
                request,
                charge,
                BatchPlan.Found.of(
                        charge, Schools.of(charge, request.carrier().kind().density())),
                request.carrier().kind().density().massOf(charge.oil()),
                strainOn,
                YieldForecast.of(charge.herbs(), charge.oil(), how.pressing(), request.ownRetentions()),
                keepUntil(request, Finish.asPlanned(request, strainOn)),
                Fitness.of(how.method(), situation(request)),
                cautions(request),
                Remedies.of(charge, request.oil(), request.jarsInStock(), finer(request)));
    }

    /** What the method is chosen for. */
    public static Situation situation(PlanRequest request) {
        Circumstances how = request.circumstances();
        return new Situation(
                request.herbs().stream()
                        .map(herb -> new Ingredient(herb.kind(), herb.texture().part(), herb.moisture()))
                        .toList(),
                request.carriers().asFound(how.start()),
                how.use(),
                how.means());
    }

    /**
     * What the date of an oil follows from, where it is no food of anything moist.
     *
     * @param bottle the one that ends first
     */
    public record Terms(Bottle bottle, LocalDate poured, LocalDate strained, Treatment treatment, Storage storage) {

        KeepUntil keep() {
            return Keeping.of(bottle, poured, strained, treatment, storage);
        }

        /** The same from another bottle. */
        public Terms of(Bottle other) {
            return new Terms(other, poured, strained, treatment, storage);
        }

        /** The same strained on another day. */
        public Terms strained(LocalDate day) {
            return new Terms(bottle, poured, day, treatment, storage);
        }

        /** The same treated otherwise. */
        public Terms treated(Treatment other) {
            return new Terms(bottle, poured, strained, other, storage);
        }

        /** The same kept elsewhere. */
        public Terms kept(Storage elsewhere) {
            return new Terms(bottle, poured, strained, treatment, elsewhere);
        }
    }

    /** What the date of an oil follows from. */
    public static Terms terms(PlanRequest request, Finish finish) {
        return new Terms(
                finish.shortestBottle(request),
                request.circumstances().start(),
                finish.strained(),
                treatment(request, finish),
                finish.storage());
    }

    /** Dates the oil anew from how it was really finished; the bottle that ends first decides. */
    public static KeepUntil keepUntil(PlanRequest request, Finish finish) {
        LocalDate poured = request.circumstances().start();
        if (request.isMoistFood()) {
            return Keeping.ofMoistFood(poured);
        }
        KeepUntil keep = terms(request, finish).keep();
        boolean byFirst =
                request.carriers().endsByInfused(poured) && keep.limitedBy() == KeepUntil.LimitedBy.BOTTLE_BEST_BEFORE;
        return byFirst ? new KeepUntil(keep.date(), KeepUntil.LimitedBy.FIRST_OIL, keep.working()) : keep;
    }

    /** The day nothing lengthens an oil beyond. */
    public static LocalDate latest(PlanRequest request, Finish finish) {
        if (request.isMoistFood()) {
            return Keeping.ofMoistFood(request.circumstances().start()).date();
        }
        return Keeping.latest(
                finish.shortestBottle(request),
                request.circumstances().start(),
                finish.strained(),
                treatment(request, finish));
    }

    /** The worst of its herbs decides: the wettest, the finest cut, a resinous bud among them; and the heat of a first infusion. */
    private static Treatment treatment(PlanRequest request, Finish finish) {
        Method method = request.circumstances().method();
        Band hottest = method.hottest();
        boolean food = request.circumstances().use() == Use.FOOD;
        boolean hotBefore = request.carrier().first().filter(FirstInfusion::hot).isPresent()
                && Treatment.HOT.compareTo(hottest.high()) > 0;
        Temperature most = hotBefore ? Treatment.HOT : hottest.high();
        Temperature peak = finish.peak().filter(t -> t.compareTo(most) > 0).orElse(most);
        Cut finest = request.herbs().stream()
                .map(PlannedHerb::cut)
                .max(Cut::compareTo)
                .orElseThrow();
        boolean bud = ingredients(request).anyMatch(Ingredient::isResinousBud);
        return new Treatment(peak, method.isInLight(), request.wettest(), finest, bud, food, finish.after());
    }

    /** Its herbs at each finer cut they can still be taken to; a slurry is made with the oil and is no remedy. */
    private SortedMap<Cut, Herbs> finer(PlanRequest request) {
        SortedMap<Cut, Herbs> finer = new TreeMap<>();
        for (Cut cut : List.of(Cut.CUT_AND_SIFTED, Cut.GROUND, Cut.POWDER)) {
            if (request.herbs().stream().anyMatch(herb -> cut.compareTo(herb.cut()) > 0)) {
                finer.put(cut, finer(request, cut));
            }
        }
        return finer;
    }

    private Herbs finer(PlanRequest request, Cut cut) {
        return new Herbs(request.herbs().stream()
                .map(herb -> cut.compareTo(herb.cut()) > 0
                        ? herb.at(materia.texture(herb.texture().part(), cut))
                        : herb)
                .map(herb -> herb.portion(request.circumstances().method()))
                .toList());
    }

    private static Stream<Ingredient> ingredients(PlanRequest request) {
        return request.herbs().stream()
                .map(herb -> new Ingredient(herb.kind(), herb.texture().part(), herb.moisture()));
    }

    private List<Caution> cautions(PlanRequest request) {
        Set<String> traits = borne(request);
        if (request.isMoistFood()) {
            traits.add(Cautions.MOIST_FOOD);
        }
        if (request.circumstances().method().is(Method.SPIRIT_FIRST)) {
            traits.addAll(Bearing.spirit());
        }
        return Stream.of(
                        pastTheirDate(request),
                        inTheOpen(request),
                        cautions.of(traits, request.circumstances().use()))
                .flatMap(List::stream)
                .toList();
    }

    /** What an oil made of it bears of the table of who it is for: of its oils and all herbs it has had, edible only where all are. */
    public static Set<String> borne(PlanRequest request) {
        Set<String> traits = new TreeSet<>();
        request.carriers()
                .parts()
                .forEach(part -> traits.addAll(Bearing.carrier(part.carrier().kind())));
        traits.addAll(Bearing.carrier(request.carrier().kind()));
        boolean edible = true;
        for (PlannedHerb herb : request.herbs()) {
            Set<String> borne = Bearing.herb(herb.kind(), herb.texture().part(), herb.moisture());
            edible &= borne.contains(Cautions.EDIBLE);
            traits.addAll(borne);
        }
        Optional<FirstInfusion> first = request.carrier().first();
        if (first.isPresent()) {
            Set<String> borne = Bearing.herbs(first.get().traits());
            edible &= borne.contains(Cautions.EDIBLE);
            traits.addAll(borne);
        }
        if (!edible) {
            traits.remove(Cautions.EDIBLE);
        }
        return traits;
    }

    /** What is past its date on the day it would be poured is not for skin, nor for anything else (craft: what is wrong travels). */
    private static List<Caution> pastTheirDate(PlanRequest request) {
        LocalDate poured = request.circumstances().start();
        return request.carriers().parts().stream()
                .map(part -> part.carrier().bottle())
                .filter(bottle -> bottle.end(poured).isBefore(poured))
                .map(bottle -> new Caution(
                        Level.REFUSE,
                        bottle.name() + " is past its date",
                        ("It ended %s before it would be poured: what is made of it is past its date from its first day, "
                                        + "and not for skin. Take another bottle.")
                                .formatted(days(ChronoUnit.DAYS.between(bottle.end(poured), poured))),
                        true))
                .distinct()
                .toList();
    }

    /** Open pots and pans take heat only, cold ways want glass with a lid (craft: ratios, does it fit). */
    private static List<Caution> inTheOpen(PlanRequest request) {
        return !request.vessel().open() || request.circumstances().method().takesOpenVessel()
                ? List.of()
                : List.of(new Caution(
                        Level.REFUSE,
                        request.vessel().name() + " is open",
                        "This way stands for days without heat, and wants glass with a lid: take a jar, or a way that is warm throughout.",
                        false));
    }

    private static String days(long days) {
        return days == 1 ? "a day" : days + " days";
    }
}
