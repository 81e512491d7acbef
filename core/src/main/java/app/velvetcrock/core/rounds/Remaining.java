package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Scheduler;
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
                left(step, course.heat().get()).ifPresent(steps::add);
            } else if (current) {
                Instant end = course.stageEnd(hours.zone());
                from = end.isAfter(from) ? end : from;
            } else if (reached) {
                steps.add(step);
            }
        }
        return steps.isEmpty() ? Optional.empty() : Scheduler.forward(steps, from, hours, notBefore);
    }

    private static Optional<Step> left(Step step, HeatCourse heat) {
        Duration left = heat.left();
        return left.isZero() || !(step instanceof Step.Heat whole)
                ? Optional.empty()
                : Optional.of(
                        new Step.Heat(whole.key(), whole.name(), left, whole.wet(), whole.alone(), whole.attended()));
    }
}
