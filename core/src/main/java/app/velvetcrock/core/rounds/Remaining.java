package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Placed;
import app.velvetcrock.core.timetable.Scheduler;
import app.velvetcrock.core.timetable.Span;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.core.timetable.Timetable;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is left of a batch, placed in the hours somebody is home from now on. */
public final class Remaining {

    private Remaining() {}

    /**
     * Places the rest of a standing batch; empty for one that does not stand, and where nobody is ever home long enough.
     *
     * @param notBefore moments before which a step, by its key, is not to begin
     */
    public static Optional<Timetable> of(
            Course course, PlanRequest request, HomeHours hours, Map<String, Instant> notBefore) {
        if (course.state() != Course.State.STANDING) {
            return Optional.empty();
        }
        List<Step> steps = new ArrayList<>();
        Instant from = course.now();
        boolean reached = false;
        for (Step step : PlanSteps.of(request, hours)) {
            boolean current = step.key().equals(course.stage().key());
            reached |= current;
            if (current && course.heat().isPresent()) {
                left(step, course, hours).ifPresent(steps::add);
            } else if (current) {
                Instant end = course.stageEnd(hours.zone());
                from = end.isAfter(from) ? end : from;
            } else if (reached) {
                steps.add(step);
            }
        }
        return steps.isEmpty() ? Optional.empty() : Scheduler.forward(steps, from, hours, notBefore);
    }

    /** When it is to be strained: as its steps are placed; empty where none are, or it has had its time already. */
    public static Optional<Instant> straining(Optional<Timetable> remaining, Course course) {
        return course.isDue()
                ? Optional.empty()
                : remaining.flatMap(timetable -> timetable.of(PlanSteps.STRAIN)).map(Placed::start);
    }

    private static Optional<Step> left(Step step, Course course, HomeHours hours) {
        HeatCourse heat = course.heat().orElseThrow();
        Optional<Instant> runs = heat.runsUntil()
                .filter(end ->
                        end.isAfter(course.now()) && (hours.heatAlone() || hours.covers(new Span(course.now(), end))));
        if (runs.isPresent()) {
            return Optional.of(new Step.Wait(step.key(), step.name(), Duration.between(course.now(), runs.get())));
        }
        Duration left = heat.left();
        return left.isZero() || !(step instanceof Step.Heat whole)
                ? Optional.empty()
                : Optional.of(
                        new Step.Heat(whole.key(), whole.name(), left, whole.wet(), whole.alone(), whole.attended()));
    }
}
