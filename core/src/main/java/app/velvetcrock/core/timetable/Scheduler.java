package app.velvetcrock.core.timetable;

import app.velvetcrock.core.method.Pace;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Places steps in the hours somebody is home (craft: timetables). */
public final class Scheduler {

    /** Starts are looked for on quarters of an hour. */
    private static final Duration GRID = Duration.ofMinutes(15);

    private static final Duration AN_HOUR = Duration.ofHours(1);
    private static final Duration LOOKED_AHEAD = Duration.ofDays(14);

    private Scheduler() {}

    /**
     * The earliest timetable that begins no earlier than {@code from}.
     *
     * @param notBefore moments before which a step, by its key, is not to begin
     * @return empty where nobody is ever home long enough
     */
    public static Optional<Timetable> forward(
            List<Step> steps, Instant from, HomeHours hours, Map<String, Instant> notBefore) {
        List<Placed> placed = new ArrayList<>();
        Instant at = from;
        for (Step step : steps) {
            Instant pinned = notBefore.getOrDefault(step.key(), at);
            Optional<List<Span>> spans = place(step, pinned.isAfter(at) ? pinned : at, hours);
            if (spans.isEmpty()) {
                return Optional.empty();
            }
            placed.add(new Placed(step, spans.get()));
            at = placed.get(placed.size() - 1).end();
        }
        return Optional.of(new Timetable(placed));
    }

    /** The same with nothing held back. */
    public static Optional<Timetable> forward(List<Step> steps, Instant from, HomeHours hours) {
        return forward(steps, from, hours, Map.of());
    }

    /**
     * The earliest timetable in which wet herb does not turn: where its heat would come in too many sessions, a later start at
     * which it does not; the plain earliest where there is
     * none within two weeks.
     */
    public static Optional<Timetable> sound(
            List<Step> steps, Instant from, HomeHours hours, Map<String, Instant> notBefore) {
        Optional<Timetable> earliest = forward(steps, from, hours, notBefore);
        if (WetHerb.alwaysTurns(steps, hours)) {
            return earliest;
        }
        Instant until = from.plus(LOOKED_AHEAD);
        for (Optional<Timetable> later = earliest;
                later.isPresent() && later.get().start().isBefore(until);
                later = forward(steps, later.get().start().plus(AN_HOUR), hours, notBefore)) {
            if (WetHerb.of(later.get(), hours.warmUp())
                    .filter(WetHerb::isTooLong)
                    .isEmpty()) {
                return later;
            }
        }
        return earliest;
    }

    /**
     * The latest timetable done by {@code need} in which wet herb does not turn; the plain latest where there is none within two
     * weeks before it.
     */
    public static Optional<Timetable> soundBackward(List<Step> steps, Instant earliest, Instant need, HomeHours hours) {
        Optional<Timetable> latest = backward(steps, earliest, need, hours);
        if (WetHerb.alwaysTurns(steps, hours)) {
            return latest;
        }
        Instant at = latest.map(Timetable::start).orElse(earliest);
        for (Instant start = at;
                latest.isPresent() && start.isAfter(at.minus(LOOKED_AHEAD)) && !start.isBefore(earliest);
                start = start.minus(AN_HOUR)) {
            Optional<Timetable> earlier = forward(steps, start, hours)
                    .filter(timetable -> !timetable.end().isAfter(need));
            if (earlier.filter(timetable -> WetHerb.of(timetable, hours.warmUp())
                            .filter(WetHerb::isTooLong)
                            .isEmpty())
                    .isPresent()) {
                return earlier;
            }
        }
        return latest;
    }

    /**
     * The timetable of the latest start that is done by {@code need}; its slack lies at its end. Since a later start never ends
     * earlier, the latest is found by
     * halving.
     *
     * @param earliest nothing begins before this
     * @return empty where even a start at {@code earliest} ends too late
     */
    public static Optional<Timetable> backward(List<Step> steps, Instant earliest, Instant need, HomeHours hours) {
        Optional<Timetable> first = forward(steps, earliest, hours)
                .filter(timetable -> !timetable.end().isAfter(need));
        if (first.isEmpty()) {
            return first;
        }
        // On the quarters of the wall's clock; the first of them may lie a little before the earliest, which then
        // holds.
        Instant grid =
                Instant.ofEpochSecond(Math.floorDiv(earliest.getEpochSecond(), GRID.toSeconds()) * GRID.toSeconds());
        long good = 0;
        long bad = Math.max(1, Duration.between(grid, need).dividedBy(GRID) + 1);
        while (bad - good > 1) {
            long middle = (good + bad) / 2;
            boolean inTime = forward(steps, at(grid, middle, earliest), hours)
                    .filter(timetable -> !timetable.end().isAfter(need))
                    .isPresent();
            if (inTime) {
                good = middle;
            } else {
                bad = middle;
            }
        }
        return forward(steps, at(grid, good, earliest), hours);
    }

    private static Instant at(Instant grid, long quarters, Instant earliest) {
        Instant at = grid.plus(GRID.multipliedBy(quarters));
        return at.isBefore(earliest) ? earliest : at;
    }

    /** The sessions of so much heat, from a moment on; empty where nobody is ever home so long. */
    public static List<Span> sessions(Step.Heat heat, Instant from, HomeHours hours) {
        return HeatSessions.place(heat, from, hours).orElse(List.of());
    }

    private static Optional<List<Span>> place(Step step, Instant from, HomeHours hours) {
        if (step instanceof Step.Hands hands) {
            return hours.next(from, hands.length())
                    .map(window -> List.of(Span.of(window.startInclusive(), hands.length())));
        } else if (step instanceof Step.Wait wait) {
            return Optional.of(List.of(Span.of(wait.byHand() ? hours.hands(from, Step.A_HAND) : from, wait.length())));
        } else if (step instanceof Step.Days days) {
            Instant begins = days.byHand() ? hours.hands(from, Step.A_HAND) : from;
            return Optional.of(List.of(new Span(begins, Pace.DAYS.after(begins, days.days(), hours.zone()))));
        }
        return HeatSessions.place((Step.Heat) step, from, hours);
    }
}
