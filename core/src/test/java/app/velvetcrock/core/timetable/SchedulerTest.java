package app.velvetcrock.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.heat.WarmUp;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Timetables worked by hand. Weekdays somebody is home from 17 to 22, at weekends from 8 to 22; 24 November 2026 is a Tuesday. */
class SchedulerTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final Step CHOP = new Step.Hands("prepare", "chop", Duration.ofMinutes(20));
    private static final Step COOL = new Step.Wait("cool", "cool", Duration.ofHours(2));
    private static final Step STRAIN = new Step.Hands("strain", "strain", Duration.ofMinutes(45));
    private static final Step SETTLE = new Step.Wait("settle", "settle", Duration.ofHours(24));
    private static final Step DECANT = new Step.Hands("decant", "decant", Duration.ofMinutes(15));
    private static final HomeHours EVENINGS = hours("17-22", "8-22");

    /**
     * Each from Tuesday 24 November, noon.
     * Cold 35 d: 17:00-17:20, 24 Nov + 35 = 29 Dec 08:00, a Tuesday: strained 17:00-17:45.
     * Slow warm 8 h: after 17:20 this evening 4:40 earn 3:55; 4:05 and 45 min of warm-up on Wednesday from 17:00: 21:50; cool
     * 23:50; strained Thursday 17:00.
     * 60 min: 1:45 from 17:20 to 19:05; cool 21:05; strained till 21:50.
     * 6 h at once do not fit an evening of five: 4:40 earn 3:55, then 2:05 + 0:45 on Wednesday to 19:50; cool 21:50: no 45 min
     * before ten, so Thursday.
     * 10 min in the pan: 55 min from 17:20 to 18:15; 12 h; strained Wednesday 17:00; settles to Thursday 17:45; decanted till 18:00.
     * 24 h of wilting, then 2 h: till Wednesday 17:20, 2:45 more to 20:05; cool 22:05; strained Thursday.
     * 14 h over evenings: 3:55, then 4:15 on Wednesday, Thursday 4:15, and 1:35 left: Friday 17:00-19:20. One alone, 14:45, fits no day.
     */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            days 35             | strain               | 2026-11-24T17:00 | 2026-12-29T17:45 | 0
            heat 480            | cool, strain         | 2026-11-24T17:00 | 2026-11-26T17:45 | 2
            heat 60             | cool, strain         | 2026-11-24T17:00 | 2026-11-24T21:50 | 1
            heat 360            | cool, strain         | 2026-11-24T17:00 | 2026-11-26T17:45 | 2
            heat 10, wait 720   | strain, settle, decant | 2026-11-24T17:00 | 2026-11-26T18:00 | 1
            wait 1440, heat 120 | cool, strain         | 2026-11-24T17:00 | 2026-11-26T17:45 | 1
            heat 840            |                      | 2026-11-24T17:00 | 2026-11-27T19:20 | 4
            heat 60, days 14    | strain               | 2026-11-24T17:00 | 2026-12-08T17:45 | 1
            """)
    void forward(String stages, String after, LocalDateTime start, LocalDateTime end, int sessions) {
        Timetable timetable = Scheduler.forward(steps(stages, after), at("2026-11-24T12:00"), EVENINGS)
                .orElseThrow();
        assertThat(timetable.start()).isEqualTo(start.atZone(LONDON).toInstant());
        assertThat(timetable.end()).isEqualTo(end.atZone(LONDON).toInstant());
        assertThat(timetable.sessions()).isEqualTo(sessions);
    }

    /**
     * However short the evenings: no session is shorter than two hours, or than the heat asked for, also where a short last piece is
     * shared among the others; together they earn what was asked, and no more than one session over.
     */
    @ParameterizedTest
    @CsvSource({"2:05", "2:10", "2:20", "2:30", "2:45", "3:10", "5:00"})
    void noSessionIsTooShort(String evening) {
        Duration window = Duration.ofMinutes(
                60L * Integer.parseInt(evening.split(":")[0]) + Integer.parseInt(evening.split(":")[1]));
        LocalTime end = LocalTime.of(17, 0).plus(window);
        HomeHours hours = hours("17-" + end, "17-" + end);
        for (int minutes = 30; minutes <= 900; minutes += 7) {
            Duration heat = Duration.ofMinutes(minutes);
            Step.Heat step = new Step.Heat("h", "heat", heat, false, false, false);
            List<Span> sessions =
                    HeatSessions.place(step, at("2026-11-24T12:00"), hours).orElseThrow();
            Duration least = heat.compareTo(Duration.ofHours(2)) < 0 ? heat : Duration.ofHours(2);
            Duration earned = Duration.ZERO;
            for (Span session : sessions) {
                assertThat(session.length()).as(evening + ", " + minutes).isGreaterThanOrEqualTo(least);
                earned = earned.plus(session.length()).minus(hours.warmUp());
            }
            assertThat(earned).as(evening + ", " + minutes).isBetween(heat, heat.plus(Duration.ofHours(2)));
        }
    }

    /**
     * 8 h for Saturday 5 December, 08:00: it is strained on Friday by 22:00, so off the heat by 19:15, with 1:30 earned; Thursday
     * earns 4:15; Wednesday must earn 2:15, in 3:00,
     * so it is chopped by 18:40, on quarters 18:30. A quarter later it is strained on Saturday at 08:00, too late.
     */
    @Test
    void backwardIsTheLatestThatMakesIt() {
        List<Step> steps = steps("heat 480", "cool, strain");
        Timetable latest = Scheduler.backward(steps, at("2026-11-24T12:00"), at("2026-12-05T08:00"), EVENINGS)
                .orElseThrow();
        assertThat(latest.start()).isEqualTo(at("2026-12-02T18:30"));
        assertThat(latest.end()).isEqualTo(at("2026-12-04T21:50"));
        assertThat(Scheduler.forward(steps, at("2026-12-02T18:45"), EVENINGS)
                        .orElseThrow()
                        .end())
                .isEqualTo(at("2026-12-05T08:45"));
        assertThat(Scheduler.backward(steps, at("2026-12-03T12:00"), at("2026-12-05T08:00"), EVENINGS))
                .isEmpty();
    }

    /** 4:30 of heat: five hours earn 4:15; the quarter left would stand an hour, so the evening before gives an hour and two are had. */
    @Test
    void aShortLastPieceIsShared() {
        Placed heat = Scheduler.forward(steps("heat 270", "").subList(1, 2), at("2026-11-24T12:00"), EVENINGS)
                .orElseThrow()
                .placed()
                .get(0);
        assertThat(heat.spans())
                .containsExactly(
                        new Span(at("2026-11-24T17:00"), at("2026-11-24T21:00")),
                        new Span(at("2026-11-25T17:00"), at("2026-11-25T19:00")));
    }

    /** One session alone when it is done on the same day as two would be: Saturday from 8:20, 6 h and 45 min to 15:05. */
    @Test
    void oneSessionIsBetterThanTwoOnTheSameDay() {
        HomeHours split = hours("17-22", "8-10:30, 12-22");
        Placed heat = Scheduler.forward(steps("heat 360", ""), at("2026-11-28T07:00"), split)
                .orElseThrow()
                .of("s0")
                .orElseThrow();
        assertThat(heat.spans()).containsExactly(new Span(at("2026-11-28T12:00"), at("2026-11-28T18:45")));
    }

    /** Left alone it runs through the night, and comes off when somebody is home: 17:20 + 8:45 is 02:05; Wednesday 17:00. */
    @Test
    void heatThatMayRunAloneComesOffWhenSomebodyIsThere() {
        List<Step> steps =
                List.of(CHOP, new Step.Heat("warm", "warm", Duration.ofHours(8), false, true, false), COOL, STRAIN);
        Timetable timetable =
                Scheduler.forward(steps, at("2026-11-24T12:00"), EVENINGS).orElseThrow();
        assertThat(timetable.of("warm").orElseThrow().spans())
                .containsExactly(new Span(at("2026-11-24T17:20"), at("2026-11-25T17:00")));
        assertThat(timetable.end()).isEqualTo(at("2026-11-25T19:45"));
    }

    /**
     * Away on Wednesday and Thursday, the second evening is Friday's. With guests on Wednesday, at home all day, one session of
     * 8:45 does it from 07:00, better than two.
     */
    @Test
    void exceptionsMoveWhatFollows() {
        List<Step> steps = steps("heat 480", "");
        assertThat(Scheduler.forward(steps, at("2026-11-24T12:00"), except("2026-11-25", "2026-11-26", ""))
                        .orElseThrow()
                        .end())
                .isEqualTo(at("2026-11-27T21:50"));
        assertThat(Scheduler.forward(steps, at("2026-11-24T12:00"), except("2026-11-25", "2026-11-25", "7-22"))
                        .orElseThrow()
                        .end())
                .isEqualTo(at("2026-11-25T15:45"));
    }

    /** One is home mornings, another evenings: together 7 to 12 and 11 to 22 are 7 to 22. */
    @Test
    void oneAtHomeIsEnough() {
        HomeHours two = new HomeHours(
                List.of(presence("A", "7-12", "7-12", List.of()), presence("B", "11-22", "11-22", List.of())), LONDON);
        assertThat(two.on(LocalDate.of(2026, 11, 24)))
                .containsExactly(new Span(at("2026-11-24T07:00"), at("2026-11-24T22:00")));
        assertThat(Scheduler.forward(steps("heat 480", ""), at("2026-11-24T06:00"), two)
                        .orElseThrow()
                        .end())
                .isEqualTo(at("2026-11-24T16:05"));
    }

    @Test
    void nobodyEverHomeLongEnoughIsNoTimetable() {
        assertThat(Scheduler.forward(steps("days 3", "strain"), at("2026-11-24T12:00"), hours("", "")))
                .isEmpty();
        assertThat(Scheduler.forward(steps("days 3", "strain"), at("2026-11-24T12:00"), hours("17-17:30", "")))
                .isEmpty();
        assertThatThrownBy(() -> new Window(LocalTime.of(22, 0), LocalTime.of(7, 0)))
                .hasMessageContaining("begin before they end");
    }

    /**
     * The clock goes back on 25 October 2026 and forward on 28 March 2027. Days are the wall's: 20 October + 7 is the 27th, 08:00
     * GMT. 24 hours are elapsed: from 17:20 BST on the 24th to
     * 16:20 GMT; hands at 17:00. In spring from 17:20 GMT to 18:20 BST.
     */
    @Test
    void bothClockChanges() {
        HomeHours evenings = hours("17-22", "17-22");
        Timetable days = Scheduler.forward(steps("days 7", "strain"), at("2026-10-20T12:00"), evenings)
                .orElseThrow();
        assertThat(days.of("s0").orElseThrow().end())
                .isEqualTo(at("2026-10-27T08:00"))
                .isEqualTo(Instant.parse("2026-10-27T08:00:00Z"));
        Timetable autumn = Scheduler.forward(steps("wait 1440", "strain"), at("2026-10-24T12:00"), evenings)
                .orElseThrow();
        assertThat(autumn.of("s0").orElseThrow().end()).isEqualTo(Instant.parse("2026-10-25T16:20:00Z"));
        assertThat(autumn.of("strain").orElseThrow().start()).isEqualTo(at("2026-10-25T17:00"));
        Timetable spring = Scheduler.forward(steps("wait 1440", "strain"), at("2027-03-27T12:00"), evenings)
                .orElseThrow();
        assertThat(spring.of("strain").orElseThrow().start())
                .isEqualTo(at("2027-03-28T18:20"))
                .isEqualTo(Instant.parse("2027-03-28T17:20:00Z"));
        assertThat(hours("1-2", "1-2").on(LocalDate.of(2027, 3, 28)))
                .singleElement()
                .matches(span -> span.length().equals(Duration.ofMinutes(1)));
    }

    /**
     * 24 h of heat: at home all day two sessions, 2·45 + 60 = 2:30 tepid; with evenings six, 6·45 + 5·60 = 9:30, and two of 12:45
     * are offered.
     */
    @Test
    void wetHerbIsNotLeftTepidOverManyEvenings() {
        Step wet = new Step.Heat("low", "low heat", Duration.ofHours(24), true, false, false);
        WetHerb home = WetHerb.of(
                        Scheduler.forward(List.of(CHOP, wet), at("2026-11-24T06:00"), hours("7-22", "7-22"))
                                .orElseThrow(),
                        WarmUp.AT_FIRST)
                .orElseThrow();
        assertThat(home).isEqualTo(new WetHerb(2, Duration.ofMinutes(150)));
        assertThat(home.isTooLong()).isFalse();
        WetHerb evenings = WetHerb.of(
                        Scheduler.forward(List.of(CHOP, wet), at("2026-11-24T06:00"), hours("17-22", "17-22"))
                                .orElseThrow(),
                        WarmUp.AT_FIRST)
                .orElseThrow();
        assertThat(evenings).isEqualTo(new WetHerb(6, Duration.ofMinutes(570)));
        assertThat(evenings.isTooLong()).isTrue();
        assertThat(WetHerb.mostSessions(WarmUp.AT_FIRST)).isEqualTo(2);
        assertThat(WetHerb.hoursEach(Duration.ofHours(24), WarmUp.AT_FIRST)).isEqualTo(Duration.ofMinutes(765));
        assertThat(WetHerb.of(
                        Scheduler.forward(steps("heat 60", ""), at("2026-11-24T06:00"), EVENINGS)
                                .orElseThrow(),
                        WarmUp.AT_FIRST))
                .isEmpty();
    }

    /**
     * Chopped at six in the evening it would be warmed this evening and on two days: three sessions. Begun next morning it is two,
     * since the days are long enough.
     */
    @Test
    void wetHerbIsBegunWhenItsHeatComesInFewSessions() {
        List<Step> steps = List.of(CHOP, new Step.Heat("low", "low heat", Duration.ofHours(24), true, false, false));
        HomeHours home = hours("7-22", "7-22");
        assertThat(Scheduler.forward(steps, at("2026-11-24T17:00"), home)
                        .orElseThrow()
                        .sessions())
                .isEqualTo(3);
        Timetable sound =
                Scheduler.sound(steps, at("2026-11-24T17:00"), home, Map.of()).orElseThrow();
        assertThat(sound.sessions()).isEqualTo(2);
        assertThat(sound.start()).isEqualTo(at("2026-11-24T20:00"));
        Timetable latest = Scheduler.soundBackward(steps, at("2026-11-24T17:00"), at("2026-12-05T08:00"), home)
                .orElseThrow();
        assertThat(latest.sessions()).isEqualTo(2);
        assertThat(latest.end()).isBeforeOrEqualTo(at("2026-12-05T08:00"));
        HomeHours evenings = hours("17-22", "17-22");
        assertThat(Scheduler.sound(steps, at("2026-11-24T17:00"), evenings, Map.of()))
                .isEqualTo(Scheduler.forward(steps, at("2026-11-24T17:00"), evenings));
    }

    /** A cooker that takes 20 minutes: this evening 4:40 earn 4:20, 3:40 are left, and Wednesday's session ends at 21:00. */
    @Test
    void theLearnedWarmUpIsWhatASessionPays() {
        HomeHours quick = new HomeHours(EVENINGS.people(), LONDON, false, Duration.ofMinutes(20));
        assertThat(Scheduler.forward(steps("heat 480", ""), at("2026-11-24T12:00"), quick)
                        .orElseThrow()
                        .end())
                .isEqualTo(at("2026-11-25T21:00"));
    }

    @Test
    void aStepHeldBackTakesTheRestWithIt() {
        List<Step> steps = steps("heat 60, days 14", "strain");
        Timetable held = Scheduler.forward(
                        steps, at("2026-11-24T12:00"), EVENINGS, Map.of("s0", at("2026-11-26T18:00")))
                .orElseThrow();
        assertThat(held.of("prepare").orElseThrow().start()).isEqualTo(at("2026-11-24T17:00"));
        assertThat(held.of("s0").orElseThrow().start()).isEqualTo(at("2026-11-26T18:00"));
        assertThat(held.end()).isEqualTo(at("2026-12-10T17:45"));
        assertThat(Scheduler.forward(steps, at("2026-11-24T12:00"), EVENINGS, Map.of("s0", at("2026-11-20T18:00")))
                        .orElseThrow()
                        .end())
                .as("nothing begins before what it rests on")
                .isEqualTo(at("2026-12-08T17:45"));
    }

    /**
     * Over random plans, hours and needs: hands only in the hours given; the latest start makes it and the next window does not;
     * an earlier need is never a later start.
     */
    @Test
    void whatHoldsForEveryTimetable() {
        Random random = new Random(21);
        int made = 0;
        for (int i = 0; i < Cases.of(400); i++) {
            HomeHours hours = random(random);
            List<Step> steps = randomSteps(random);
            Instant now = at("2026-10-%02dT09:00".formatted(1 + random.nextInt(28)));
            Instant need = now.plus(Duration.ofHours(24 + random.nextInt(24 * 60)));
            Optional<Timetable> latest = Scheduler.backward(steps, now, need, hours);
            if (latest.isEmpty()) {
                continue;
            }
            made++;
            Timetable timetable = latest.get();
            assertThat(timetable.end()).isBeforeOrEqualTo(need);
            assertThat(timetable.placed().stream().filter(Placed::isTended).flatMap(placed -> placed.spans().stream()))
                    .allMatch(span -> isHomeThroughout(hours, span));
            for (int j = 1; j < timetable.placed().size(); j++) {
                assertThat(timetable.placed().get(j).start())
                        .isAfterOrEqualTo(timetable.placed().get(j - 1).end());
            }
            Instant window = hours.next(timetable.start(), Duration.ofMinutes(1))
                    .orElseThrow()
                    .endExclusive();
            assertThat(Scheduler.forward(
                                    steps,
                                    hours.next(window, Duration.ofMinutes(20))
                                            .orElseThrow()
                                            .startInclusive(),
                                    hours)
                            .filter(later -> !later.end().isAfter(need)))
                    .as("one window later")
                    .isEmpty();
            assertThat(Scheduler.forward(steps, timetable.start().plus(Duration.ofMinutes(16)), hours)
                            .filter(later -> !later.end().isAfter(need)))
                    .as("a quarter later")
                    .isEmpty();
            Scheduler.backward(steps, now, need.minus(Duration.ofHours(1 + random.nextInt(40))), hours)
                    .ifPresent(earlier -> assertThat(earlier.start()).isBeforeOrEqualTo(timetable.start()));
        }
        assertThat(made).isGreaterThan(150);
    }

    private static HomeHours random(Random random) {
        String weekday = "%d-%d".formatted(6 + random.nextInt(12), 20 + random.nextInt(4));
        String weekend = random.nextInt(5) == 0 ? "" : random.nextBoolean() ? "8-22" : "7-11, 15-22";
        List<Presence.Otherwise> exceptions = random.nextInt(3) > 0
                ? List.of()
                : List.of(new Presence.Otherwise(
                        LocalDate.of(2026, 10, 10),
                        LocalDate.of(2026, 10, 10).plusDays(random.nextInt(20)),
                        HoursReader.parse(random.nextBoolean() ? "" : "9-12:30"),
                        "away"));
        return new HomeHours(List.of(presence("A", weekday, weekend, exceptions)), LONDON);
    }

    private static List<Step> randomSteps(Random random) {
        int heat = List.of(60, 120, 360, 480, 900).get(random.nextInt(5));
        return switch (random.nextInt(5)) {
            case 0 -> steps("days " + (7 + random.nextInt(40)), "strain");
            case 1 -> steps("heat " + heat, "cool, strain");
            case 2 -> steps("heat 60, days " + (7 + random.nextInt(14)), "strain");
            case 3 -> steps("wait 1440, heat " + heat, "cool, strain, settle, decant");
            default -> List.of(
                    CHOP, new Step.Heat("s0", "warm", Duration.ofMinutes(heat), false, true, false), COOL, STRAIN);
        };
    }

    /** Chopping, then stages such as "wait 1440, heat 60", then what is named after. */
    private static List<Step> steps(String stages, String after) {
        List<Step> steps = new ArrayList<>(List.of(CHOP));
        for (String stage : stages.split(", ")) {
            int count = Integer.parseInt(stage.split(" ")[1]);
            String key = "s" + (steps.size() - 1);
            steps.add(
                    stage.startsWith("days")
                            ? new Step.Days(key, "days", count)
                            : stage.startsWith("heat")
                                    ? new Step.Heat(key, "heat", Duration.ofMinutes(count), false, false, false)
                                    : new Step.Wait(key, "wait", Duration.ofMinutes(count)));
        }
        Map<String, Step> ends = Map.of("cool", COOL, "strain", STRAIN, "settle", SETTLE, "decant", DECANT);
        for (String end : after == null || after.isEmpty() ? new String[0] : after.split(", ")) {
            steps.add(ends.get(end));
        }
        return steps;
    }

    private static HomeHours hours(String weekdays, String weekends) {
        return new HomeHours(List.of(presence("A", weekdays, weekends, List.of())), LONDON);
    }

    private static HomeHours except(String first, String last, String hours) {
        return new HomeHours(
                List.of(presence(
                        "A",
                        "17-22",
                        "8-22",
                        List.of(new Presence.Otherwise(
                                LocalDate.parse(first), LocalDate.parse(last), HoursReader.parse(hours), "")))),
                LONDON);
    }

    private static Presence presence(
            String name, String weekdays, String weekends, List<Presence.Otherwise> exceptions) {
        Map<DayOfWeek, List<Window>> week = java.util.Arrays.stream(DayOfWeek.values())
                .collect(Collectors.toMap(
                        day -> day,
                        day -> HoursReader.parse(day.getValue() > 5 ? weekends : weekdays),
                        (a, b) -> a,
                        () -> new EnumMap<>(DayOfWeek.class)));
        return new Presence(name, week, exceptions);
    }

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(LONDON).toInstant();
    }

    private static boolean isHomeThroughout(HomeHours hours, Span span) {
        return hours.on(span.startInclusive().atZone(hours.zone()).toLocalDate()).stream()
                .anyMatch(window -> !span.startInclusive().isBefore(window.startInclusive())
                        && !span.endExclusive().isAfter(window.endExclusive()));
    }
}
