package app.velvetcrock.core.rounds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Lines;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.timetable.HomeHours;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A cold jar of 40 g nettle in 275 mL charged on 1 October at 18:00 for 35 days, and a slow-warm crock for 8 hours. */
class RoundsTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private final List<Entry> log = new ArrayList<>();
    private BatchPlan plan;

    @BeforeEach
    void charge() {
        plan = plan(Method.COLD_AND_DARK, 35);
        at("2026-10-01T18:00", Lines.charged());
    }

    @Test
    void sessionsHaveLettersWithoutEnd() {
        assertThat(Rounds.letters(1)).isEqualTo("a");
        assertThat(Rounds.letters(26)).isEqualTo("z");
        assertThat(Rounds.letters(27)).isEqualTo("aa");
        assertThat(Rounds.letters(53)).isEqualTo("ba");
        assertThat(Rounds.letters(703)).isEqualTo("aaa");
    }

    @Test
    void shakesFallDueDailyForAWeekThenEveryThird() {
        assertThat(dueDay(TaskKind.SHAKE)).isEqualTo("2026-10-02");
        for (String day : List.of(
                "2026-10-02", "2026-10-03", "2026-10-04", "2026-10-05", "2026-10-06", "2026-10-07", "2026-10-08")) {
            assertThat(dueDay(TaskKind.SHAKE)).isEqualTo(day);
            doNext(day + "T08:10", TaskKind.SHAKE);
        }
        // day 7 was 8 October; then day 10, 13
        assertThat(dueDay(TaskKind.SHAKE)).isEqualTo("2026-10-11");
        doNext("2026-10-11T21:00", TaskKind.SHAKE);
        assertThat(dueDay(TaskKind.SHAKE)).isEqualTo("2026-10-14");
    }

    @Test
    void aShakeMissedForDaysIsAskedOnceAndOneShakeCoversThem() {
        assertThat(ordinals("2026-10-06T12:00", TaskKind.SHAKE)).containsExactly(1);
        doNext("2026-10-06T12:00", TaskKind.SHAKE);
        assertThat(dueDay(TaskKind.SHAKE)).isEqualTo("2026-10-07");
    }

    @Test
    void doneEarlyCountsForTheOneItWasDoneFor() {
        log.add(entry("2026-10-08T08:00", new Line.Tended(new TaskKey("stand", TaskKind.SHAKE, 7))));
        log.add(entry("2026-10-10T23:00", new Line.Tended(new TaskKey("stand", TaskKind.SHAKE, 8))));
        // the eighth was due on day 10, 11 October, and was done the evening before
        assertThat(dueDay(TaskKind.SHAKE)).isEqualTo("2026-10-14");
    }

    @Test
    void takingBackOpensItAgain() {
        Entry shaken = entry("2026-10-02T09:00", new Line.Tended(new TaskKey("stand", TaskKind.SHAKE, 1)));
        log.add(shaken);
        assertThat(dueDay(TaskKind.SHAKE)).isEqualTo("2026-10-03");
        at("2026-10-02T09:01", new Line.TakenBack(shaken.id()));
        assertThat(dueDay(TaskKind.SHAKE)).isEqualTo("2026-10-02");
    }

    @Test
    void noShakeIsAskedOnTheDayOfStrainingOrAfter() {
        doNext("2026-11-04T08:00", TaskKind.SHAKE);
        doNext("2026-11-04T08:00", TaskKind.LOOK);
        assertThat(open("2026-11-20T08:00"))
                .extracting(task -> task.key().kind())
                .containsExactly(TaskKind.STRAIN);
        assertThat(course("2026-11-20T08:00").overdueDays()).isEqualTo(15);
    }

    /** Herb above the oil asks for hands until it is pushed under or topped up; the top-up counts in the charge: 275 + 40. */
    @Test
    void herbStandingOutIsAskedAboutUntilSomethingIsDone() {
        at(
                "2026-10-03T08:00",
                new Line.Looked(
                        Optional.of(new TaskKey("stand", TaskKind.LOOK, 2)), new Look(Smell.RIGHT, true, false)));
        assertThat(course("2026-10-04T09:00").standsOut()).isTrue();
        assertThat(ordinals("2026-10-04T09:00", TaskKind.PUSH_UNDER)).containsExactly(1);
        at("2026-10-04T09:05", new Line.ToppedUp(Volume.ofMillilitres(40), bottle(), Optional.empty()));
        assertThat(ordinals("2026-10-04T09:06", TaskKind.PUSH_UNDER)).isEmpty();
        assertThat(course("2026-10-04T09:06").charge().oil().millilitres()).isCloseTo(315, within(1e-9));
        at(
                "2026-10-05T08:00",
                new Line.Looked(
                        Optional.of(new TaskKey("stand", TaskKind.LOOK, 4)), new Look(Smell.RIGHT, true, false)));
        doNext("2026-10-05T08:30", TaskKind.PUSH_UNDER);
        assertThat(ordinals("2026-10-05T09:00", TaskKind.PUSH_UNDER)).isEmpty();
    }

    @Test
    void aDiscardedJarAsksForNothing() {
        at("2026-10-09T08:00", Lines.discarded(Ruin.MOULD, "the lid was wet"));
        assertThat(course("2026-10-20T08:00").state()).isEqualTo(Course.State.DISCARDED);
        assertThat(open("2026-10-20T08:00")).isEmpty();
    }

    @Test
    void whatSettlesIsDecantedADayLater() {
        at("2026-11-05T10:00", Lines.strained(200, true));
        assertThat(open("2026-11-05T11:00")).singleElement().satisfies(task -> {
            assertThat(task.key().kind()).isEqualTo(TaskKind.DECANT);
            assertThat(task.due()).isEqualTo(instant("2026-11-06T10:00"));
        });
        at("2026-11-06T12:00", Lines.settled(190, 6));
        assertThat(open("2026-11-06T13:00")).isEmpty();
    }

    @Test
    void anOilNearItsDateIsAskedForAndASniffOpensTheNext() {
        LocalDate useBy = LocalDate.of(2027, 7, 1);
        Task first = AfterStraining.useFirst(plan, Log.of(log), useBy, ZONE).orElseThrow();
        assertThat(first.due()).isEqualTo(instant("2027-06-17T08:00"));
        at("2027-06-20T08:00", Lines.passed());
        assertThat(AfterStraining.useFirst(plan, Log.of(log), LocalDate.of(2027, 7, 20), ZONE)
                        .orElseThrow()
                        .key()
                        .ordinal())
                .isEqualTo(2);
    }

    /**
     * Heat on at 18:00, read 45 °C at 19:00 and 20:00: an hour earned, seven to go at full rate: enough at 03:00, and off at ten,
     * when all go to bed.
     */
    @Test
    void aWarmEveningAsksForReadingsAndMovesItsEnd() {
        plan = plan(Method.SLOW_WARM, 8);
        log.clear();
        at("2026-11-24T17:50", Lines.charged());
        assertThat(open("2026-11-24T17:55"))
                .extracting(task -> task.key().kind())
                .containsExactly(TaskKind.HEAT_ON);
        doNext("2026-11-24T18:00", TaskKind.HEAT_ON);
        assertThat(due("2026-11-24T18:01", TaskKind.READ)).isEqualTo(instant("2026-11-24T19:00"));
        read("2026-11-24T19:00", 1, 45);
        read("2026-11-24T20:00", 2, 45);
        assertThat(enough("2026-11-24T20:01")).isEqualTo(instant("2026-11-25T03:00"));
        assertThat(due("2026-11-24T20:01", TaskKind.HEAT_OFF)).isEqualTo(instant("2026-11-24T22:00"));
        assertThat(due("2026-11-24T20:01", TaskKind.READ)).isEqualTo(instant("2026-11-24T21:00"));
        // a sag to 30 °C at 21:00 earns 2^-1 … ; from then on half an hour an hour: the end moves by more than an hour
        read("2026-11-24T21:00", 3, 30);
        assertThat(enough("2026-11-24T21:01")).isAfter(instant("2026-11-25T09:00"));
        doNext("2026-11-24T22:00", TaskKind.HEAT_OFF);
        assertThat(open("2026-11-24T22:01"))
                .extracting(Task::key)
                .containsExactly(new TaskKey("warm", TaskKind.HEAT_ON, 2));
        doNext("2026-11-25T18:00", TaskKind.HEAT_ON);
        assertThat(due("2026-11-25T18:01", TaskKind.READ)).isEqualTo(instant("2026-11-25T19:00"));
        assertThat(ordinals("2026-11-25T18:01", TaskKind.READ))
                .as("a second evening counts from one")
                .containsExactly(1);
    }

    /**
     * Straining takes an hour of hands, shaking a hand for a moment: due at half past nine in the evening, with bed at ten, the one is
     * asked for then and the other in the morning. What is held back is asked when it is held back to no longer, and never sooner.
     */
    @Test
    void whatTakesLongerIsAskedWhereThereIsRoomForIt() {
        begin(Method.SPIRIT_FIRST, 24);
        HomeHours usual = HomeHours.usual(ZONE);
        Instant due = due("2026-10-01T19:00", TaskKind.NEXT);
        for (int hours : new int[] {-5, 0, 3}) {
            Instant hold = due.plus(Duration.ofHours(hours));
            Instant asked = Foresight.of(
                            course("2026-10-01T19:00"),
                            Log.of(log),
                            plan.request(),
                            usual,
                            java.util.Map.of("open", hold))
                    .open()
                    .stream()
                    .filter(task -> task.key().kind() == TaskKind.NEXT)
                    .map(Task::due)
                    .findFirst()
                    .orElseThrow();
            assertThat(asked).isEqualTo(hours > 0 ? hold : due);
        }
        plan = plan(Method.SLOW_WARM, 8);
        log.clear();
        at("2026-11-24T11:00", Lines.charged());
        at("2026-11-24T13:30", new Line.Tended(new TaskKey("warm", TaskKind.HEAT_ON, 1)));
        for (int hour = 13; hour <= 21; hour++) {
            at("2026-11-24T%d:30".formatted(hour), new Line.Heat(Optional.empty(), Temperature.ofCelsius(46)));
        }
        at("2026-11-24T21:40", new Line.Tended(new TaskKey("warm", TaskKind.HEAT_OFF, 1)));
        assertThat(due("2026-11-24T21:41", TaskKind.STRAIN)).isEqualTo(instant("2026-11-25T08:00"));
        assertThat(open("2026-11-24T21:41")).allMatch(Task::isOpen);
    }

    private Instant enough(String now) {
        return course(now).heat().orElseThrow().runsUntil().orElseThrow();
    }

    /**
     * Slow warm is read each hour. Readings at 18:10 and 18:20 do not put the next look off to 21:00: it comes an hour after the
     * last. Too hot, it comes after five minutes.
     */
    @Test
    void aReadingMoreNeverPutsTheNextLookOff() {
        begin(Method.SLOW_WARM, 8);
        doNext("2026-10-01T18:00", TaskKind.HEAT_ON);
        read("2026-10-01T18:10", 1, 44);
        read("2026-10-01T18:20", 2, 45);
        assertThat(due("2026-10-01T18:21", TaskKind.READ)).isEqualTo(instant("2026-10-01T19:20"));
        read("2026-10-01T18:50", 3, 63);
        assertThat(due("2026-10-01T18:51", TaskKind.READ)).isEqualTo(instant("2026-10-01T18:55"));
        assertThat(course("2026-10-01T18:51")
                        .heat()
                        .orElseThrow()
                        .alarm()
                        .orElseThrow()
                        .isOver())
                .isTrue();
        doNext("2026-10-01T18:52", TaskKind.HEAT_OFF);
        assertThat(kinds("2026-10-01T18:53")).as("asked for until it is below").contains(TaskKind.READ);
        read("2026-10-01T18:58", 4, 57);
        assertThat(course("2026-10-01T18:59").heat().orElseThrow().alarm()).isEmpty();
        assertThat(kinds("2026-10-01T18:59")).doesNotContain(TaskKind.READ);
    }

    /** Too hot in the first stage is not forgotten in the second: 20 minutes at 82 °C, then 14 days of rest. */
    @Test
    void aRestDoesNotForgetTheHeatBeforeIt() {
        begin(Method.HEAT_THEN_REST, 60);
        doNext("2026-10-01T19:00", TaskKind.HEAT_ON);
        at("2026-10-01T19:00", new Line.Heat(Optional.empty(), Temperature.ofCelsius(82)));
        at("2026-10-01T19:20", new Line.Heat(Optional.empty(), Temperature.ofCelsius(82)));
        at("2026-10-01T20:30", new Line.Tended(new TaskKey("heat", TaskKind.NEXT, 1)));
        Course resting = course("2026-10-09T12:00");
        assertThat(resting.heat()).isEmpty();
        assertThat(resting.isScorched()).isTrue();
        assertThat(resting.peak()).contains(Temperature.ofCelsius(82));
    }

    /** Heat, then rest: an hour's heat from 19:00, ended by hand at 20:30; then 14 days in the dark, shaken daily, strained on the 15th. */
    @Test
    void aStageEndsByHandAndTheNextHasItsOwnTasks() {
        begin(Method.HEAT_THEN_REST, 60);
        doNext("2026-10-01T19:00", TaskKind.HEAT_ON);
        read("2026-10-01T19:00", 1, 45);
        assertThat(kinds("2026-10-01T19:10")).doesNotContain(TaskKind.NEXT, TaskKind.STRAIN);
        read("2026-10-01T20:00", 2, 45);
        doNext("2026-10-01T20:15", TaskKind.HEAT_OFF);
        assertThat(kinds("2026-10-01T20:20")).contains(TaskKind.NEXT).doesNotContain(TaskKind.STRAIN);
        doNext("2026-10-01T20:30", TaskKind.NEXT);
        assertThat(kinds("2026-10-01T20:31"))
                .contains(TaskKind.SHAKE, TaskKind.LOOK, TaskKind.STRAIN)
                .doesNotContain(TaskKind.NEXT);
        assertThat(due("2026-10-02T09:00", TaskKind.STRAIN).atZone(ZONE).toLocalDate())
                .isEqualTo(LocalDate.of(2026, 10, 15));
        assertThat(due("2026-10-02T09:00", TaskKind.SHAKE).atZone(ZONE).toLocalDate())
                .isEqualTo(LocalDate.of(2026, 10, 2));
    }

    /** An unheated rest of 24 hours counts by the clock. */
    @Test
    void aRestWithTheSpiritIsOverAfterItsHours() {
        begin(Method.SPIRIT_FIRST, 24);
        assertThat(due("2026-10-01T19:00", TaskKind.NEXT)).isEqualTo(instant("2026-10-02T18:00"));
    }

    @Test
    void keysAreReadBackAsWritten() {
        TaskKey key = new TaskKey("warm-a", TaskKind.HEAT_OFF, 12);
        assertThat(key).hasToString("warm-a.heat-off.12");
        assertThat(TaskKey.parse(key.toString())).isEqualTo(key);
        for (String bad : List.of(
                "",
                "stand.shake",
                "stand.shake.0",
                "stand.shake.1.",
                "stand.dance.1",
                "stand.shake.1x",
                "Stand.shake.1")) {
            assertThatThrownBy(() -> TaskKey.parse(bad)).as(bad).isInstanceOf(IllegalArgumentException.class);
        }
    }

    /** Whatever is done, when and in what order: one open task of a kind, and never one already done. */
    @Test
    void nothingIsAskedForTwice() {
        for (int seed = 0; seed < 150; seed++) {
            log.subList(1, log.size()).clear();
            Random random = new Random(seed);
            Instant now = instant("2026-10-01T18:00");
            for (int step = 0; step < 40; step++) {
                now = now.plus(Duration.ofMinutes(random.nextInt(3000)));
                List<Task> open = Foresight.of(
                                Course.of(plan, log, now, ZONE),
                                Log.of(log),
                                plan.request(),
                                HomeHours.usual(ZONE),
                                java.util.Map.of())
                        .open();
                assertThat(open).extracting(task -> task.key().kind()).doesNotHaveDuplicates();
                assertThat(open).allSatisfy(task -> assertThat(Log.of(log).done(task.key()))
                        .isEmpty());
                if (!open.isEmpty() && random.nextInt(3) > 0) {
                    TaskKey key = open.get(random.nextInt(open.size())).key();
                    log.add(new Entry(
                            UUID.randomUUID(),
                            now,
                            switch (key.kind()) {
                                case LOOK -> new Line.Looked(
                                        Optional.of(key), new Look(Smell.RIGHT, random.nextInt(4) == 0, false));
                                case STRAIN -> new Line.Noted("not yet");
                                default -> new Line.Tended(key);
                            }));
                } else if (random.nextInt(4) == 0 && log.size() > 1) {
                    log.add(new Entry(
                            UUID.randomUUID(),
                            now,
                            new Line.TakenBack(
                                    log.get(1 + random.nextInt(log.size() - 1)).id())));
                }
            }
        }
    }

    private void begin(Method method, int first) {
        plan = plan(method, first);
        log.clear();
        at("2026-10-01T18:00", Lines.charged());
    }

    private List<TaskKind> kinds(String local) {
        return open(local).stream().map(task -> task.key().kind()).toList();
    }

    private void read(String local, int ordinal, double celsius) {
        at(
                local,
                new Line.Heat(
                        Optional.of(new TaskKey("warm-a", TaskKind.READ, ordinal)), Temperature.ofCelsius(celsius)));
    }

    private void doNext(String local, TaskKind kind) {
        TaskKey key = open(local).stream()
                .map(Task::key)
                .filter(one -> one.kind() == kind)
                .findFirst()
                .orElseThrow();
        at(local, kind == TaskKind.LOOK ? new Line.Looked(Optional.of(key), Look.ALL_WELL) : new Line.Tended(key));
    }

    private void at(String local, Line what) {
        log.add(entry(local, what));
    }

    private List<Task> open(String local) {
        return Foresight.of(course(local), Log.of(log), plan.request(), HomeHours.usual(ZONE), java.util.Map.of())
                .open();
    }

    private Course course(String local) {
        return Course.of(plan, log, instant(local), ZONE);
    }

    private List<Integer> ordinals(String local, TaskKind kind) {
        return open(local).stream()
                .map(Task::key)
                .filter(one -> one.kind() == kind)
                .map(TaskKey::ordinal)
                .toList();
    }

    private Instant due(String local, TaskKind kind) {
        return open(local).stream()
                .filter(task -> task.key().kind() == kind)
                .map(Task::due)
                .findFirst()
                .orElseThrow();
    }

    private String dueDay(TaskKind kind) {
        return due("2026-10-01T19:00", kind).atZone(ZONE).toLocalDate().toString();
    }

    private static Entry entry(String local, Line what) {
        return new Entry(UUID.randomUUID(), instant(local), what);
    }

    private static Instant instant(String local) {
        return LocalDateTime.parse(local).atZone(ZONE).toInstant();
    }

    private static Bottle bottle() {
        return new Bottle("rapeseed", 10, Optional.of(LocalDate.of(2026, 9, 1)), Optional.empty());
    }

    /** The first stage as long as asked, the others as usual. */
    private static List<Integer> lengths(Method method, int first) {
        List<Integer> lengths = new ArrayList<>(method.usualLengths());
        lengths.set(0, first);
        return lengths;
    }

    private static BatchPlan plan(Method method, int length) {
        Materia materia = Materia.shipped();
        var nettle = materia.herb("nettle").orElseThrow();
        Vessel jar = new Vessel("half litre", Volume.ofMillilitres(500), Length.ofMillimetres(84));
        return new Planner(Cautions.shipped(), Materia.shipped())
                .plan(new PlanRequest(
                        List.of(new PlannedHerb(
                                nettle,
                                materia.texture(nettle.part(), Cut.CUT_AND_SIFTED),
                                Moisture.DRIED,
                                Optional.empty(),
                                Mass.ofGrams(40),
                                List.of())),
                        new PlannedCarrier(materia.carrier("rapeseed").orElseThrow(), bottle()),
                        new OilWish.ToCover(),
                        jar,
                        List.of(jar),
                        new PlanRequest.Circumstances(
                                method,
                                lengths(method, length),
                                LocalDate.of(2026, 10, 1),
                                Use.HANDS,
                                Pressing.HAND,
                                Storage.COOL_DARK,
                                Means.of(Temperature.ofCelsius(12), Optional.empty()))));
    }
}
