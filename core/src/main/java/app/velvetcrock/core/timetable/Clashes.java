package app.velvetcrock.core.timetable;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongPredicate;

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
            List<Booking> mine = Booking.of(timetable.get(), source, "");
            List<Clash> clashes = of(mine, among);
            Instant start = timetable.get().start();
            if (clashes.isEmpty()) {
                return Optional.of(start);
            }
            Booking clashing = clashes.get(0).mine();
            int held = mine.indexOf(clashing);
            Instant free = freeAgain(clashing, among);
            long likely = Duration.between(clashing.span().startInclusive(), free)
                    .minusNanos(1)
                    .dividedBy(GRID);
            LongPredicate isHeld = quarters -> Scheduler.forward(steps, start.plus(GRID.multipliedBy(quarters)), hours)
                    .map(later -> Booking.of(later, source, ""))
                    .filter(later -> isHeldStill(later, held, clashing, free))
                    .isPresent();
            at = start.plus(GRID.multipliedBy(1 + lastClashing(isHeld, likely)));
        }
        return Optional.empty();
    }

    /** When enough of those it clashes with are over. */
    private static Instant freeAgain(Booking mine, Among among) {
        List<Instant> ends = among.others().stream()
                .filter(other ->
                        other.resource().equals(mine.resource()) && other.span().overlaps(mine.span()))
                .map(other -> other.span().endExclusive())
                .sorted()
                .toList();
        return ends.get(ends.size() - among.pieces(mine.resource()));
    }

    /** Tells whether the same booking, as long as before, still begins before the others are over. */
    private static boolean isHeldStill(List<Booking> later, int held, Booking mine, Instant free) {
        return held < later.size()
                && later.get(held).resource().equals(mine.resource())
                && later.get(held).span().length().compareTo(mine.span().length()) >= 0
                && later.get(held).span().startInclusive().isBefore(free);
    }

    /**
     * The last of the next quarters of an hour that clash for certain: since a later start never places a step earlier, found by
     * doubling and halving, from where it would be if everything moved alike.
     */
    private static long lastClashing(LongPredicate clashes, long likely) {
        long good = likely > 0 && clashes.test(likely) ? likely : 0;
        long step = 1;
        while (step <= FURTHEST.dividedBy(GRID) && clashes.test(good + step)) {
            good += step;
            step *= 2;
        }
        for (; step >= 1; step /= 2) {
            if (clashes.test(good + step)) {
                good += step;
            }
        }
        return good;
    }
}
