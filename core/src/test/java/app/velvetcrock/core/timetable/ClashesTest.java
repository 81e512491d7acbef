package app.velvetcrock.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.Cases;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** One crock and one pair of hands among several batches; somebody is home from 8 to 22. */
class ClashesTest {

    private static final HomeHours HOME = HomeHours.usual(ZoneId.of("UTC"));
    private static final Instant EIGHT = Instant.parse("2026-11-24T08:00:00Z");
    private static final List<Step> WARM = List.of(
            new Step.Hands("prepare", "chop", Duration.ofMinutes(20)),
            new Step.Heat("warm", "warm", Duration.ofHours(8), false, false, false));

    /** 8:00 to 8:20 hands, 8:20 to 17:05 the crock; another stands in it till 19:00. With two crocks nothing clashes. */
    @Test
    void oneCrockIsWantedByTwo() {
        List<Booking> mine = Booking.of(Scheduler.forward(WARM, EIGHT, HOME).orElseThrow(), "SLOW_COOKER", "mine");
        assertThat(mine)
                .containsExactly(
                        new Booking(Booking.HANDS, span("08:00", "08:20"), "mine"),
                        new Booking("SLOW_COOKER", span("08:20", "17:05"), "mine"));
        Booking other = new Booking("SLOW_COOKER", span("10:00", "19:00"), "heather");
        assertThat(Clashes.of(mine, new Clashes.Among(List.of(other), Map.of("SLOW_COOKER", 1))))
                .singleElement()
                .matches(clash -> clash.other().equals(other));
        assertThat(Clashes.of(mine, new Clashes.Among(List.of(other), Map.of("SLOW_COOKER", 2))))
                .isEmpty();
        assertThat(Clashes.of(
                        mine, new Clashes.Among(List.of(new Booking("OVEN", span("10:00", "19:00"), "x")), Map.of())))
                .isEmpty();
    }

    /**
     * Chopped at 12:45 the 8:45 still fit today, and clash; at 13:00 they end at 22:05, so they are tomorrow's, from eight, in one
     * session. The hands at 18:45 are not wanted then.
     */
    @Test
    void theFirstStartWithoutAClashIsFound() {
        Clashes.Among among = new Clashes.Among(
                List.of(
                        new Booking("SLOW_COOKER", span("10:00", "19:00"), "heather"),
                        new Booking(Booking.HANDS, span("18:45", "19:30"), "nettle")),
                Map.of());
        Instant free =
                Clashes.firstFree(WARM, EIGHT, HOME, "SLOW_COOKER", among).orElseThrow();
        assertThat(free).isEqualTo(Instant.parse("2026-11-24T13:00:00Z"));
        List<Booking> then = Booking.of(Scheduler.forward(WARM, free, HOME).orElseThrow(), "SLOW_COOKER", "mine");
        assertThat(Clashes.of(then, among)).isEmpty();
    }

    /** What is found clashes with nothing, and no start on the quarters before it is free either, whatever stands there already. */
    @Test
    void noEarlierQuarterIsFree() {
        Random random = new Random(20261125);
        int found = 0;
        for (int i = 0; i < Cases.of(300); i++) {
            List<Booking> others = new ArrayList<>();
            for (int n = random.nextInt(12); n > 0; n--) {
                Instant at = EIGHT.plus(Duration.ofMinutes(random.nextInt(3000)));
                others.add(new Booking(
                        random.nextBoolean() ? Booking.HANDS : "SLOW_COOKER",
                        new Span(at, at.plus(Duration.ofMinutes(10 + random.nextInt(400)))),
                        "other"));
            }
            Clashes.Among among = new Clashes.Among(others, Map.of("SLOW_COOKER", 1 + random.nextInt(2)));
            Optional<Instant> free = Clashes.firstFree(WARM, EIGHT, HOME, "SLOW_COOKER", among);
            for (Instant at = EIGHT; free.isPresent() && at.isBefore(free.get()); at = at.plusSeconds(900)) {
                Timetable tried = Scheduler.forward(WARM, at, HOME).orElseThrow();
                if (tried.start().isBefore(free.get())) {
                    assertThat(Clashes.of(Booking.of(tried, "SLOW_COOKER", "mine"), among))
                            .as("start at " + tried.start() + " before " + free)
                            .isNotEmpty();
                }
            }
            if (free.isPresent()) {
                Timetable there = Scheduler.forward(WARM, free.get(), HOME).orElseThrow();
                assertThat(Clashes.of(Booking.of(there, "SLOW_COOKER", "mine"), among))
                        .isEmpty();
                found++;
            }
        }
        assertThat(found).isGreaterThan(250);
    }

    @Test
    void heatOneStaysBesideWantsHands() {
        Step bath = new Step.Heat("bath", "bath", Duration.ofHours(1), false, false, true);
        assertThat(Booking.of(new Timetable(List.of(new Placed(bath, List.of(span("08:00", "09:45"))))), "", "mine"))
                .containsExactly(new Booking(Booking.HANDS, span("08:00", "09:45"), "mine"));
    }

    private static Span span(String from, String to) {
        return new Span(Instant.parse("2026-11-24T" + from + ":00Z"), Instant.parse("2026-11-24T" + to + ":00Z"));
    }
}
