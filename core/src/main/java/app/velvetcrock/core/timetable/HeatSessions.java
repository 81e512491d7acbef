package app.velvetcrock.core.timetable;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Cuts heat into sessions within the hours somebody is home (craft: heat, hours at home). */
final class HeatSessions {

    /** A session is no shorter than this, or than the whole heat where that is less. */
    private static final Duration LEAST = Duration.ofHours(2);

    private static final int MOST_SESSIONS = 60;

    private HeatSessions() {}

    /** The sessions from a moment on; one alone where that is done on the same day as several would be. Empty where no hours will do. */
    static Optional<List<Span>> place(Step.Heat heat, Instant from, HomeHours hours) {
        if (heat.alone()) {
            return alone(heat, from, hours);
        }
        Optional<List<Span>> one = hours.next(from, heat.heat().plus(hours.warmUp()))
                .map(window ->
                        List.of(Span.of(window.startInclusive(), heat.heat().plus(hours.warmUp()))));
        Optional<List<Span>> several = several(heat, from, hours);
        if (one.isEmpty() || several.isEmpty()) {
            return one.or(() -> several);
        }
        return lastDay(one.get(), hours).isAfter(lastDay(several.get(), hours)) ? several : one;
    }

    /** Runs on by itself; it is taken off when somebody is there to do it. */
    private static Optional<List<Span>> alone(Step.Heat heat, Instant from, HomeHours hours) {
        return hours.next(from, Step.A_HAND)
                .flatMap(on -> hours.next(on.startInclusive().plus(heat.heat()).plus(hours.warmUp()), Step.A_HAND)
                        .map(off -> List.of(new Span(on.startInclusive(), off.startInclusive()))));
    }

    private static Optional<List<Span>> several(Step.Heat heat, Instant from, HomeHours hours) {
        Duration least = heat.heat().compareTo(LEAST) < 0 ? heat.heat() : LEAST;
        Duration warmUp = hours.warmUp();
        Duration shortest = least.compareTo(warmUp) > 0 ? least : warmUp.plusMinutes(1);
        List<Span> sessions = new ArrayList<>();
        Duration left = heat.heat();
        Instant at = from;
        while (sessions.size() < MOST_SESSIONS) {
            Optional<Span> window = hours.next(at, shortest);
            if (window.isEmpty()) {
                return Optional.empty();
            }
            Duration earns = window.get().length().minus(warmUp);
            if (earns.compareTo(left) >= 0) {
                sessions.add(Span.of(window.get().startInclusive(), left.plus(warmUp)));
                return Optional.of(shared(sessions, shortest));
            }
            sessions.add(window.get());
            left = left.minus(earns);
            at = window.get().endExclusive();
        }
        return Optional.empty();
    }

    /** A last piece too short is lengthened by what those before it give, the nearest first; none of them becomes too short for that. */
    private static List<Span> shared(List<Span> sessions, Duration shortest) {
        int last = sessions.size() - 1;
        Duration lacks = shortest.minus(sessions.get(last).length());
        if (last == 0 || lacks.isNegative() || lacks.isZero()) {
            return sessions;
        }
        sessions.set(last, Span.of(sessions.get(last).startInclusive(), shortest));
        for (int i = last - 1; i >= 0 && lacks.compareTo(Duration.ZERO) > 0; i--) {
            Span before = sessions.get(i);
            Duration spare = before.length().minus(shortest);
            Duration given = spare.compareTo(lacks) < 0 ? spare : lacks;
            sessions.set(
                    i, new Span(before.startInclusive(), before.endExclusive().minus(given)));
            lacks = lacks.minus(given);
        }
        return sessions;
    }

    private static LocalDate lastDay(List<Span> sessions, HomeHours hours) {
        return sessions.get(sessions.size() - 1)
                .endExclusive()
                .atZone(hours.zone())
                .toLocalDate();
    }
}
