package app.velvetcrock.core.rounds;

import static org.assertj.core.api.Assertions.assertThat;

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
import app.velvetcrock.core.timetable.HoursReader;
import app.velvetcrock.core.timetable.Presence;
import app.velvetcrock.core.timetable.Timetable;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Tasks and what is left of a batch in the hours somebody is home: every day from 17 to 22. Charged on Thursday 1 October 2026 at
 * six in the evening.
 */
class HoursInRoundsTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private final List<Entry> log = new ArrayList<>(List.of(entry("2026-10-01T18:00", Lines.charged())));

    /**
     * A day's tasks wait for the evening; of days away, for the first evening back. The clock goes back on the 25th, and five
     * stays five.
     */
    @Test
    void nothingIsAskedWhileNobodyIsHome() {
        BatchPlan plan = plan(Method.COLD_AND_DARK);
        assertThat(due(plan, evenings(), TaskKind.SHAKE)).isEqualTo(at("2026-10-02T17:00"));
        assertThat(due(plan, away("2026-10-02", "2026-10-04"), TaskKind.SHAKE)).isEqualTo(at("2026-10-05T17:00"));
        assertThat(due(plan, evenings(), TaskKind.STRAIN))
                .isEqualTo(at("2026-11-05T17:00"))
                .isEqualTo(Instant.parse("2026-11-05T17:00:00Z"));
        assertThat(Foresight.of(
                                course(plan),
                                Log.of(log),
                                plan.request(),
                                evenings(),
                                Map.of("strain", at("2026-11-08T18:30")))
                        .open())
                .filteredOn(task -> task.key().kind() == TaskKind.STRAIN)
                .singleElement()
                .matches(task -> task.due().equals(at("2026-11-08T18:30")));
    }

    /** 8 h over evenings: the first session is this evening; put on hold till Saturday it is Saturday's. */
    @Test
    void heatIsAskedForAtItsNextSession() {
        BatchPlan plan = plan(Method.SLOW_WARM);
        assertThat(due(plan, evenings(), TaskKind.HEAT_ON)).isEqualTo(at("2026-10-01T18:00"));
        assertThat(Foresight.of(
                                course(plan),
                                Log.of(log),
                                plan.request(),
                                evenings(),
                                Map.of("warm", at("2026-10-03T12:00")))
                        .open())
                .filteredOn(task -> task.key().kind() == TaskKind.HEAT_ON)
                .singleElement()
                .matches(task -> task.due().equals(at("2026-10-03T17:00")));
    }

    /** On at six, 8 h would run to two at night; they go out at ten, so it comes off then. Heat left alone runs on. */
    @Test
    void heatComesOffBeforeTheyGo() {
        BatchPlan plan = plan(Method.SLOW_WARM);
        log.add(entry("2026-10-01T18:00", new Line.Tended(new TaskKey("warm", TaskKind.HEAT_ON, 1))));
        assertThat(due(plan, evenings(), TaskKind.HEAT_OFF)).isEqualTo(at("2026-10-01T22:00"));
        HomeHours alone =
                new HomeHours(evenings().people(), LONDON, true, evenings().warmUp());
        assertThat(due(plan, alone, TaskKind.HEAT_OFF)).isEqualTo(at("2026-10-02T17:00"));
    }

    /**
     * From 18:30 on Thursday: 3:30 earn 2:45, Friday's five hours would earn 4:15 and leave 1:00, a session of 1:45; so Friday
     * gives a quarter of an hour and Saturday has two, to
     * 19:00; cool by 21:00, strained by 21:45.
     */
    @Test
    void whatIsLeftIsPlacedFromNow() {
        Timetable left = Foresight.of(
                        Course.of(plan(Method.SLOW_WARM), log, at("2026-10-01T18:30"), LONDON),
                        Log.of(log),
                        plan(Method.SLOW_WARM).request(),
                        evenings(),
                        Map.of())
                .timetable()
                .orElseThrow();
        assertThat(left.sessions()).isEqualTo(3);
        assertThat(left.placed().get(0).end()).isEqualTo(at("2026-10-03T19:00"));
        assertThat(left.end()).isEqualTo(at("2026-10-03T21:45"));
        Timetable held = Foresight.of(
                        course(plan(Method.SLOW_WARM)),
                        Log.of(log),
                        plan(Method.SLOW_WARM).request(),
                        evenings(),
                        Map.of("warm", at("2026-10-05T17:00")))
                .timetable()
                .orElseThrow();
        assertThat(held.start()).isEqualTo(at("2026-10-05T17:00"));
        Timetable cold = Foresight.of(
                        course(plan(Method.COLD_AND_DARK)),
                        Log.of(log),
                        plan(Method.COLD_AND_DARK).request(),
                        evenings(),
                        Map.of())
                .timetable()
                .orElseThrow();
        assertThat(cold.start()).isEqualTo(at("2026-11-05T17:00"));
        log.add(entry("2026-10-02T18:00", Lines.strained(200, false)));
        assertThat(Foresight.of(
                                course(plan(Method.COLD_AND_DARK)),
                                Log.of(log),
                                plan(Method.COLD_AND_DARK).request(),
                                evenings(),
                                Map.of())
                        .timetable())
                .isEmpty();
    }

    /** What is foreseen for ninety days is just what Rounds asks day by day, each done in its time, across both clock changes. */
    @ParameterizedTest
    @CsvSource({"cold-dark, 2026-10-01", "sun-window, 2026-10-12", "cold-dark, 2027-03-10", "sun-window, 2027-03-20"})
    void whatIsForeseenIsWhatWillBeAsked(String method, LocalDate first) {
        BatchPlan plan = plan(Method.of(method).orElseThrow());
        log.set(0, entry(first + "T18:00", Lines.charged()));
        Course begun = Course.of(plan, log, at(first + "T18:30"), LONDON);
        List<Task> foreseen = Foresight.of(begun, Log.of(log), plan.request(), evenings(), Map.of())
                .until(at(first + "T18:30").plus(Duration.ofDays(90)));
        TreeSet<String> asked = new TreeSet<>();
        for (LocalDate day = first; day.isBefore(first.plusDays(90)); day = day.plusDays(1)) {
            Instant evening = day.atTime(21, 30).atZone(LONDON).toInstant();
            for (Task task : Foresight.of(
                            Course.of(plan, log, evening, LONDON), Log.of(log), plan.request(), evenings(), Map.of())
                    .open()) {
                if (!task.due().isAfter(evening)) {
                    asked.add(task.key() + " " + task.due());
                    if (task.key().kind() == TaskKind.LOOK) {
                        log.add(new Entry(
                                UUID.randomUUID(), evening, new Line.Looked(Optional.of(task.key()), Look.ALL_WELL)));
                    } else if (task.key().kind() != TaskKind.STRAIN) {
                        log.add(new Entry(UUID.randomUUID(), evening, new Line.Tended(task.key())));
                    }
                }
            }
        }
        assertThat(asked)
                .isEqualTo(foreseen.stream()
                        .map(task -> task.key() + " " + task.due())
                        .collect(Collectors.toCollection(TreeSet::new)));
        assertThat(foreseen)
                .allMatch(task ->
                        evenings().hands(task.due(), Duration.ofMinutes(5)).equals(task.due()));
    }

    /**
     * While the first stage warms, the calendar already has what begins the rest, its looks and the straining, each once, within
     * the hours somebody is home and in the order of the work.
     */
    @Test
    void laterStagesAreForeseenByTheKeysTheyWillBeAskedBy() {
        BatchPlan plan = plan(Method.HEAT_THEN_REST);
        Course begun = course(plan);
        List<Task> later = Foresight.of(begun, Log.of(log), plan.request(), evenings(), Map.of())
                .later();
        assertThat(later).extracting(Task::key).doesNotHaveDuplicates();
        Task next = only(later, TaskKind.NEXT);
        Task strain = only(later, TaskKind.STRAIN);
        assertThat(next.due()).isAfter(at("2026-10-01T18:30"));
        assertThat(strain.due()).isAfter(next.due());
        assertThat(later)
                .as("dried herb leaves no water to decant from")
                .noneMatch(task -> task.key().kind() == TaskKind.DECANT);
        assertThat(later)
                .filteredOn(task -> task.key().kind() == TaskKind.LOOK)
                .isNotEmpty()
                .allSatisfy(task -> assertThat(task.due()).isBetween(next.due(), strain.due()));
        assertThat(later)
                .allMatch(task ->
                        evenings().hands(task.due(), Duration.ofMinutes(5)).equals(task.due()));
        log.add(entry("2026-10-01T19:00", Lines.strained(200, false)));
        assertThat(Foresight.of(course(plan), Log.of(log), plan.request(), evenings(), Map.of())
                        .later())
                .isEmpty();
    }

    private static Task only(List<Task> tasks, TaskKind kind) {
        List<Task> found =
                tasks.stream().filter(task -> task.key().kind() == kind).toList();
        assertThat(found).as("%s in %s", kind, tasks).hasSize(1);
        return found.get(0);
    }

    private Instant due(BatchPlan plan, HomeHours hours, TaskKind kind) {
        return Foresight.of(course(plan), Log.of(log), plan.request(), hours, Map.of()).open().stream()
                .filter(task -> task.key().kind() == kind)
                .map(Task::due)
                .findFirst()
                .orElseThrow();
    }

    private Course course(BatchPlan plan) {
        return Course.of(plan, log, at("2026-10-01T18:30"), LONDON);
    }

    private static HomeHours evenings() {
        return new HomeHours(
                List.of(new Presence(
                        "A",
                        Arrays.stream(DayOfWeek.values())
                                .collect(Collectors.toMap(day -> day, day -> HoursReader.parse("17-22"))),
                        List.of())),
                LONDON);
    }

    private static HomeHours away(String first, String last) {
        Presence evenings = evenings().people().get(0);
        return new HomeHours(
                List.of(new Presence(
                        "A",
                        evenings.week(),
                        List.of(new Presence.Otherwise(
                                LocalDate.parse(first), LocalDate.parse(last), List.of(), "away")))),
                LONDON);
    }

    private static Entry entry(String local, Line what) {
        return new Entry(UUID.randomUUID(), at(local), what);
    }

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(LONDON).toInstant();
    }

    private static BatchPlan plan(Method method) {
        Materia materia = Materia.shipped();
        var nettle = materia.herb("nettle").orElseThrow();
        Vessel jar = new Vessel("half litre", Volume.ofMillilitres(500), Length.ofMillimetres(84));
        return new Planner(Cautions.shipped(), materia)
                .plan(new PlanRequest(
                        List.of(new PlannedHerb(
                                nettle,
                                materia.texture(nettle.part(), Cut.CUT_AND_SIFTED),
                                Moisture.DRIED,
                                Optional.empty(),
                                Mass.ofGrams(40),
                                List.of())),
                        new PlannedCarrier(
                                materia.carrier("rapeseed").orElseThrow(),
                                new Bottle("rapeseed", 10, Optional.empty(), Optional.empty())),
                        new OilWish.ToCover(),
                        jar,
                        List.of(jar),
                        new PlanRequest.Circumstances(
                                method,
                                method.usualLengths(),
                                LocalDate.of(2026, 10, 1),
                                Use.HANDS,
                                Pressing.HAND,
                                Storage.COOL_DARK,
                                Means.of(Temperature.ofCelsius(12), Optional.empty()))));
    }
}
