package app.velvetcrock.core.bench;

import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Step;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * The day something is needed, and when its making can begin.
 *
 * @param home the hours at home, heat warming up as what heats the chosen way does
 * @param byWay the same of any other way
 * @param then what comes after straining
 */
public record TimeWish(
        HomeHours home,
        Function<Method, HomeHours> byWay,
        Instant from,
        Optional<Instant> need,
        Map<String, Instant> holds,
        List<Step> then) {

    /** The steps of a plan, and of what is made of its oil. */
    public List<Step> steps(PlanRequest request, HomeHours at) {
        return Stream.concat(PlanSteps.of(request, at).stream(), then.stream()).toList();
    }
}
