package app.velvetcrock.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.Cases;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class HomeHoursTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final LocalDate FIRST = LocalDate.of(2026, 10, 1);

    /** Giving up early finds just what going through every day of the horizon finds, over both changes of the clock. */
    @Test
    void whatNoDayHoldsIsNotLookedForLongerAndNothingIsMissed() {
        Random random = new Random(5);
        int found = 0;
        for (int i = 0; i < Cases.of(200); i++) {
            HomeHours hours = new HomeHours(
                    IntStream.rangeClosed(1, 1 + random.nextInt(3))
                            .mapToObj(n -> person(random))
                            .toList(),
                    ZONE);
            Duration least = Duration.ofMinutes(15L * (1 + random.nextInt(60)));
            Instant from = FIRST.atTime(random.nextInt(24), 0).atZone(ZONE).toInstant();
            Optional<Span> next = hours.next(from, least);
            assertThat(next).isEqualTo(byEveryDay(hours, from, least));
            found += next.isPresent() ? 1 : 0;
        }
        assertThat(found).as("some are found and some are not").isBetween(40, 195);
    }

    private static Optional<Span> byEveryDay(HomeHours hours, Instant from, Duration least) {
        LocalDate first = from.atZone(ZONE).toLocalDate();
        return IntStream.rangeClosed(0, HomeHours.HORIZON_DAYS)
                .boxed()
                .flatMap(ahead -> hours.on(first.plusDays(ahead)).stream())
                .map(span -> span.startInclusive().isBefore(from)
                                && span.endExclusive().isAfter(from)
                        ? new Span(from, span.endExclusive())
                        : span)
                .filter(span ->
                        !span.startInclusive().isBefore(from) && span.length().compareTo(least) >= 0)
                .findFirst();
    }

    private static Presence person(Random random) {
        Map<DayOfWeek, List<Window>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            week.put(day, windows(random));
        }
        List<Presence.Otherwise> exceptions = new ArrayList<>();
        for (int n = random.nextInt(3); n > 0; n--) {
            LocalDate day = FIRST.plusDays(random.nextInt(300));
            exceptions.add(new Presence.Otherwise(day, day.plusDays(random.nextInt(20)), windows(random), ""));
        }
        return new Presence("", week, exceptions);
    }

    private static List<Window> windows(Random random) {
        int from = random.nextInt(20);
        return random.nextInt(3) == 0
                ? List.of()
                : List.of(new Window(
                        LocalTime.of(from, 0), LocalTime.of(Math.min(23, from + 1 + random.nextInt(5)), 30)));
    }
}
