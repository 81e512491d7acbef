package app.velvetcrock.core.planning;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.ChargeWorking;
import app.velvetcrock.core.charge.Cover;
import app.velvetcrock.core.charge.Levels;
import app.velvetcrock.core.charge.Remedy;
import app.velvetcrock.core.charge.Schools;
import app.velvetcrock.core.keeping.Aftermath;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.method.Fitness;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.planning.PlanRequest.Circumstances;
import app.velvetcrock.core.spirit.Moistening;
import app.velvetcrock.core.strain.YieldForecast;
import app.velvetcrock.core.water.WaterBudget;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.core.working.Working;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A whole plan: what was asked, and everything worked out from it. Frozen with a batch when it starts.
 *
 * @param rules version of the rules it was worked out by; a later version never alters it
 * @param oilMass the oil by weight at 20 °C
 * @param strainOn the day the stand is over
 */
public record BatchPlan(
        String rules,
        PlanRequest request,
        Charge charge,
        Found found,
        Mass oilMass,
        LocalDate strainOn,
        YieldForecast yield,
        KeepUntil keepUntil,
        Fitness fitness,
        List<Caution> cautions,
        List<Remedy> remedies) {

    public BatchPlan {
        cautions = List.copyOf(cautions);
        remedies = List.copyOf(remedies);
    }

    /** What the charge was found to be, kept so that a later release does not redraw an old jar. */
    public record Found(
            Cover cover,
            boolean fits,
            double airShare,
            Levels levels,
            Schools schools,
            Working coverWorking,
            Working roomWorking) {

        static Found of(Charge charge, Schools schools) {
            return new Found(
                    charge.cover(),
                    charge.fits(),
                    charge.airShare(),
                    Levels.of(charge),
                    schools,
                    ChargeWorking.ofCover(charge),
                    ChargeWorking.ofRoom(charge));
        }
    }

    /** The same strained on another day, as the steps are placed, and dated from it. */
    public BatchPlan strainedOn(LocalDate day) {
        return new BatchPlan(
                rules,
                request,
                charge,
                found,
                oilMass,
                day,
                yield,
                Planner.keepUntil(request, Finish.asPlanned(request, day)),
                fitness,
                cautions,
                remedies);
    }

    /** The water it brings as its herb is now, before any heating: no wilting counts until it is weighed (craft: water budget). */
    public WaterBudget water() {
        return water(false);
    }

    /** What it would bring once its fresh herb has wilted, of a way that begins so; absent of others. */
    public Optional<WaterBudget> waterIfWilted() {
        return wiltsFirst() ? Optional.of(water(true)) : Optional.empty();
    }

    private WaterBudget water(boolean wilted) {
        List<WaterBudget.Wet> wet =
                request.herbs().stream().map(herb -> wet(herb, wilted)).toList();
        return WaterBudget.of(wet, moistening().map(Moistening::water).orElse(Mass.ZERO), oilMass);
    }

    private static WaterBudget.Wet wet(PlannedHerb herb, boolean wilted) {
        WaterContent water = WaterContent.of(herb.texture().part(), herb.cut(), herb.moisture());
        return wilted && herb.moisture() == Moisture.FRESH
                ? new WaterBudget.Wet(water.equivalent(herb.mass(), water.wilted()), water.wilted())
                : new WaterBudget.Wet(herb.mass(), water);
    }

    /** Tells whether fresh herb lies and wilts before the oil goes in. */
    public boolean wiltsFirst() {
        return request.circumstances().method().is(Method.FRESH_LOW_HEAT)
                && request.herbs().stream().anyMatch(herb -> herb.moisture() == Moisture.FRESH);
    }

    /** The spirit it is moistened with first; absent for every other method. */
    public Optional<Moistening> moistening() {
        Circumstances how = request.circumstances();
        return how.method().is(Method.SPIRIT_FIRST)
                ? how.means()
                        .spirit()
                        .map(strength -> Moistening.of(charge.herbs().mass(), strength, how.dosing()))
                : Optional.empty();
    }

    /** The ratio of an oil infused twice: mL of oil to a gram of all its herb, the first and this; absent for plain oil. */
    public Optional<Double> doubleRatio() {
        return request.carrier()
                .first()
                .map(first -> charge.oil().millilitres()
                        / (charge.herbs().mass().grams()
                                + first.gramsPerMillilitre() * charge.oil().millilitres()));
    }

    /** Tells whether it is food of anything moist: cold within two hours, used within four days, never passed on. */
    public boolean isMoistFood() {
        return request.isMoistFood();
    }

    /**
     * Tells whether a good smell may lengthen its oil's date: never food, nor what was juicy, watery or made against the rules
     * (craft: keeping).
     */
    public boolean smellMayLengthen(Aftermath after) {
        return request.circumstances().use() != Use.FOOD
                && !after.waterDecanted()
                && request.wettest() != Moisture.JUICY
                && mark().isEmpty();
    }

    /** Why it is made against the rules of water, where it is: a mark the batch and its oil carry from then on. */
    public Optional<String> mark() {
        Circumstances how = request.circumstances();
        return fitness.isOverridable(how.use()) ? how.knowingly() : Optional.empty();
    }

    /** Tells whether its way can make it, or somebody goes on against the rules of water with a reason. */
    public boolean isAllowed() {
        return fitness.isAllowed() || mark().isPresent();
    }

    /** Tells whether nothing stands against starting it, or only what somebody has overridden in writing. */
    public boolean canStart() {
        return found.cover().isEnough()
                && found.fits()
                && isAllowed()
                && cautions.stream().noneMatch(caution -> caution.level() == Level.REFUSE);
    }
}
