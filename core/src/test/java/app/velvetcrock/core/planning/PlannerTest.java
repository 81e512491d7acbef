package app.velvetcrock.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Cover;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Lines;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.strain.Pressing;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class PlannerTest {

    private static final LocalDate START = LocalDate.of(2026, 10, 1);
    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private final Materia materia = Materia.shipped();
    private final Planner planner = new Planner(Cautions.shipped(), Materia.shipped());

    /** Nettle leaf 40 g, 84 mm jar: oil to cover 275 mL; back 275 − 52 − 5 = 218; opened 1 Sep + 10 months = 1 Jul 2027. */
    @Test
    void plansAColdJarWhole() {
        BatchPlan plan = planner.plan(request("nettle", Moisture.DRIED, "rapeseed", Use.HANDS, 12));
        assertThat(plan.charge().oil().millilitres()).isEqualTo(275);
        assertThat(plan.found().cover()).isEqualTo(Cover.COVERS_PUSHED_UNDER);
        assertThat(plan.strainOn()).isEqualTo(LocalDate.of(2026, 11, 5));
        assertThat(plan.yield().expected().millilitres()).isCloseTo(218, within(1e-9));
        assertThat(plan.keepUntil().date()).isEqualTo(LocalDate.of(2027, 7, 1));
        assertThat(plan.oilMass().grams()).isCloseTo(252.175, within(1e-9));
        assertThat(plan.canStart()).isTrue();
    }

    @Test
    void refusesFreshHerbAndSolidFatWithTheChangeThatWouldAllowIt() {
        BatchPlan fresh = planner.plan(request("nettle", Moisture.FRESH, "rapeseed", Use.HANDS, 12));
        assertThat(fresh.canStart()).isFalse();
        assertThat(fresh.fitness().refusals()).singleElement().matches(reason -> reason.change()
                .startsWith("dry it first"));
        BatchPlan solid = planner.plan(request("nettle", Moisture.DRIED, "babassu", Use.HANDS, 12));
        assertThat(solid.fitness().refusals()).singleElement().matches(reason -> reason.fact()
                .equals("Babassu is solid below 26 °C and the pantry is 12 °C"));
        assertThat(planner.plan(request("nettle", Moisture.DRIED, "babassu", Use.HANDS, 27))
                        .canStart())
                .isTrue();
    }

    @Test
    void cautionsFollowHerbCarrierAndUse() {
        assertThat(planner.plan(request("yarrow", Moisture.DRIED, "sesame", Use.HANDS, 12))
                        .cautions())
                .extracting(Caution::head)
                .contains("Daisy family", "Contains sesame", "Oily cloths can catch fire");
        BatchPlan forBaby = planner.plan(request("comfrey", Moisture.DRIED, "rapeseed", Use.BABY, 12));
        assertThat(forBaby.cautions().get(0).level()).isEqualTo(Level.REFUSE);
        assertThat(forBaby.canStart()).isFalse();
        Cautions cautions = Cautions.shipped();
        assertThat(cautions.refusal(" Digitalis purpurea ")).contains("foxglove");
        assertThat(materia.herbs()).extracting(HerbKind::common).noneMatch(name -> cautions.refusal(name)
                .isPresent());
    }

    @Test
    void theCourseFollowsTheLog() {
        BatchPlan plan = planner.plan(request("nettle", Moisture.DRIED, "rapeseed", Use.HANDS, 12));
        Entry charged = entry("2026-10-01T18:00", Lines.charged());
        Entry strained = entry("2026-11-07T00:30", Lines.strained(210, false));
        Course overdue = Course.of(plan, List.of(charged), noon("2026-11-08"), ZONE);
        assertThat(overdue.day()).isEqualTo(38);
        assertThat(overdue.overdueDays()).isEqualTo(3);
        Course done = Course.of(plan, List.of(strained, charged), noon("2026-12-01"), ZONE);
        assertThat(done.state()).isEqualTo(Course.State.STRAINED);
        assertThat(done.strainedOn()).contains(LocalDate.of(2026, 11, 7));
        assertThat(done.overdueDays()).isZero();
        Entry back = entry("2026-11-07T09:00", new Line.TakenBack(strained.id()));
        assertThat(Course.of(plan, List.of(charged, strained, back), noon("2026-11-08"), ZONE))
                .isEqualTo(overdue);
        Entry never = entry("2026-10-01T18:05", new Line.TakenBack(charged.id()));
        assertThat(Course.of(plan, List.of(charged, never), noon("2026-10-01"), ZONE)
                        .state())
                .isEqualTo(Course.State.NEVER_STARTED);
    }

    private static Instant noon(String day) {
        return LocalDate.parse(day).atTime(12, 0).atZone(ZONE).toInstant();
    }

    private static Entry entry(String local, Line what) {
        return new Entry(
                UUID.randomUUID(),
                java.time.LocalDateTime.parse(local).atZone(ZONE).toInstant(),
                what);
    }

    private PlanRequest request(String herb, Moisture moisture, String carrier, Use use, double pantry) {
        HerbKind kind = materia.herb(herb).orElseThrow();
        Vessel jar = new Vessel("half litre", Volume.ofMillilitres(500), Length.ofMillimetres(84));
        Bottle bottle = new Bottle(
                carrier,
                materia.carrier(carrier).orElseThrow().monthsOpened(),
                Optional.of(LocalDate.of(2026, 9, 1)),
                Optional.empty());
        return new PlanRequest(
                List.of(new PlannedHerb(
                        kind,
                        materia.texture(kind.part(), Cut.CUT_AND_SIFTED),
                        moisture,
                        Optional.empty(),
                        Mass.ofGrams(40),
                        List.of())),
                new PlannedCarrier(materia.carrier(carrier).orElseThrow(), bottle),
                new OilWish.ToCover(),
                jar,
                List.of(jar),
                new PlanRequest.Circumstances(
                        Method.COLD_AND_DARK,
                        List.of(35),
                        START,
                        use,
                        Pressing.HAND,
                        Storage.COOL_DARK,
                        Means.of(Temperature.ofCelsius(pantry), Optional.empty())));
    }
}
