package app.velvetcrock.core.planning;

import app.velvetcrock.core.keeping.MoistFood;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.planning.PlanRequest.Circumstances;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Step;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/** The steps of a plan in their order, from the chopping to the last decanting (craft: timetables). */
public final class PlanSteps {

    /** Keys of what is not a stage. */
    public static final String PREPARE = "prepare";

    public static final String COOL = "cool";
    public static final String STRAIN = "strain";
    public static final String SETTLE = "settle";
    public static final String DECANT = "decant";
    public static final String MAKE = "make";
    public static final String SET = "set";

    private static final Duration CHOPPING = Duration.ofMinutes(20);
    private static final Duration COOLING = Duration.ofHours(2);
    public static final Duration STRAINING = Duration.ofMinutes(45);
    private static final Duration SETTLING = Duration.ofHours(24);

    /** [E] Pouring off what has settled. */
    private static final Duration DECANTING = Duration.ofMinutes(15);

    /** [E] Melting, testing and pouring what the oil is for; then it sets (craft: timetables). */
    private static final Duration POURING = Duration.ofMinutes(40);

    private static final Duration SETTING = Duration.ofHours(2);

    private PlanSteps() {}

    /** What comes after straining where the oil is wanted for something that is poured. */
    public static List<Step> making() {
        return List.of(
                new Step.Hands(MAKE, "melt and pour", POURING), new Step.Wait(SET, "setting before the lids", SETTING));
    }

    /** Lists the steps of a plan for a household; where it lets slow heat run alone, that is left alone. */
    public static List<Step> of(PlanRequest request, HomeHours hours) {
        Circumstances how = request.circumstances();
        List<Step> steps = new ArrayList<>();
        steps.add(new Step.Hands(PREPARE, "chop, weigh, charge", CHOPPING));
        List<Stage> stages = how.method().stages();
        for (int i = 0; i < stages.size(); i++) {
            Step step =
                    step(stages.get(i), how.lengths().get(i), !request.wettest().isDried(), hours.heatAlone());
            steps.add(i == 0 ? step : byHand(step));
        }
        if (stages.get(stages.size() - 1).isHeated()) {
            steps.add(
                    request.isMoistFood()
                            ? new Step.Wait(COOL, "cooling in cold water", MoistFood.COOLING)
                            : new Step.Wait(COOL, "cooling", COOLING));
        }
        steps.add(new Step.Hands(
                STRAIN,
                request.isMoistFood() ? "strain, measure, into the refrigerator" : "strain and measure",
                STRAINING));
        if (settles(request)) {
            steps.add(new Step.Wait(SETTLE, "settling", SETTLING));
            steps.add(new Step.Hands(DECANT, "decant", DECANTING));
        }
        return steps;
    }

    /** A later stage is begun by somebody; the first one by the charging. */
    private static Step byHand(Step step) {
        return step instanceof Step.Days days
                ? new Step.Days(days.key(), days.name(), days.days(), true)
                : step instanceof Step.Wait wait ? new Step.Wait(wait.key(), wait.name(), wait.length(), true) : step;
    }

    /** One stage as a step. */
    public static Step step(Stage stage, int length, boolean wet, boolean mayRunAlone) {
        Duration time = Duration.ofMinutes((long) length * stage.pace().minutes());
        if (stage.isHeated()) {
            return new Step.Heat(
                    stage.key(), stage.name(), time, wet, mayRunAlone && !stage.attended(), stage.attended());
        }
        return stage.pace() == Pace.DAYS
                ? new Step.Days(stage.key(), stage.name(), length)
                : new Step.Wait(stage.key(), stage.name(), time);
    }

    /** Moist herb, powder and watery spirit leave something that sinks. */
    private static boolean settles(PlanRequest request) {
        Circumstances how = request.circumstances();
        if (request.isMoistFood()) {
            return false;
        }
        boolean fine = request.herbs().stream().anyMatch(herb -> herb.cut() == Cut.POWDER || herb.cut() == Cut.SLURRY);
        boolean watery = how.method().is(Method.SPIRIT_FIRST)
                && how.means().spirit().filter(Strength::isWatery).isPresent();
        return !request.wettest().isDried() || fine || watery;
    }
}
