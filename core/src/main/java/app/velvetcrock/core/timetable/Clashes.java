package app.velvetcrock.core.timetable;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finds where two batches want the same thing at once, and a start at which they do not. */
public final class Clashes {

    private static final Duration GRID = Duration.ofMinutes(15);
    private static final Duration FURTHEST = Duration.ofDays(21);

    private Clashes() {}

    /** Two that want the same at the same time. */
    public record Clash(Booking mine, Booking other) {}

    /** What a plan is made with among other batches. */
    public record Among(List<Booking> others, Map<String, Integer> pieces) {

        public Among {
            others = List.copyOf(others);
            pieces = Map.copyOf(pieces);
        }

        private int pieces(String resource) {
            return pieces.getOrDefault(resource, 1);
        }
    }

    /** The clashes of some bookings with those of others; where there are several of a thing, only when all are taken. */
    public static List<Clash> of(List<Booking> mine, Among among) {
        List<Clash> clashes = new ArrayList<>();
        for (Booking booking : mine) {
            List<Booking> overlapping = among.others().stream()
                    .filter(other -> other.resource().equals(booking.resource())
                            && other.span().overlaps(booking.span()))
                    .toList();
            if (overlapping.size() >= among.pieces(booking.resource())) {
                clashes.add(new Clash(booking, overlapping.get(0)));
            }
        }
        return clashes;
    }

    /** The first start from {@code from} on at which a plan clashes with nothing; empty within three weeks for none. */
    public static Optional<Instant> firstFree(
            List<Step> steps, Instant from, HomeHours hours, String source, Among among) {
        Instant until = from.plus(FURTHEST);
        Instant at = from;
        while (at.isBefore(until)) {
            Optional<Timetable> timetable = Scheduler.forward(steps, at, hours);
            if (timetable.isEmpty()) {
                return Optional.empty();
            }
            if (of(Booking.of(timetable.get(), source, ""), among).isEmpty()) {
                return Optional.of(timetable.get().start());
            }
            at = timetable.get().start().plus(GRID);
        }
        return Optional.empty();
    }
}
