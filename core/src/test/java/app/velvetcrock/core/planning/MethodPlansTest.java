package app.velvetcrock.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Lines;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.keeping.MoistFood;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Step;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Whole plans by every method: when they are strained, how long they keep, what water they bring; and their course over two stages. */
class MethodPlansTest {

    private static final LocalDate START = LocalDate.of(2026, 10, 1);
    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private final Materia materia = Materia.shipped();
    private final Planner planner = new Planner(Cautions.shipped(), materia);

    /**
     * The bottle, opened 1 September, ends on 1 July 2027. Cold, strained 5 Nov: 238 days · 1.0. Sun, 22 Oct: 252 · 0.8 = 201.6.
     * Warm, 1 Oct at 20:00: 273 · 0.9 = 245.7.
     * Oven, 1 Oct: 273 · 0.75 = 204.75. Heat and rest, 15 Oct: 259 · 0.9 = 233.1. Spirit, 2 Oct: 272 · 0.9 = 244.8. Fresh, 3 Oct:
     * 271 · 0.9 · 0.5 = 121.95.
     * Pan of fresh, 2 Oct: 272 · 0.75 · 0.5 = 102.
     */
    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "cold-dark, DRIED, 2026-11-05, 2027-07-01", "sun-window, DRIED, 2026-10-22, 2027-05-11",
                "water-bath, DRIED, 2026-10-01, 2027-06-03",
        "quick-bath, DRIED, 2026-10-01, 2027-06-03", "slow-warm, DRIED, 2026-10-01, 2027-06-03",
                "oven, DRIED, 2026-10-01, 2027-04-23",
        "heat-rest, DRIED, 2026-10-15, 2027-06-05", "spirit-first, DRIED, 2026-10-02, 2027-06-03",
                "fresh-low, FRESH, 2026-10-03, 2027-02-01",
        "juicy-pan, FRESH, 2026-10-02, 2027-01-12"
    })
    void isStrainedAndKeptByItsStages(String method, Moisture moisture, LocalDate strained, LocalDate useBy) {
        BatchPlan plan = planner.plan(request(method, moisture, Use.HANDS, Optional.of(new Strength(96))));
        assertThat(plan.strainOn()).isEqualTo(strained);
        assertThat(plan.keepUntil().date()).isEqualTo(useBy);
        assertThat(plan.canStart()).isTrue();
    }

    @Test
    void foodOfFreshHerbKeepsFourDaysFromTheMomentItMeetsOilWhateverIsDone() {
        BatchPlan pan = planner.plan(request("juicy-pan", Moisture.FRESH, Use.FOOD, Optional.empty()));
        assertThat(pan.canStart()).isTrue();
        assertThat(pan.keepUntil().date()).isEqualTo(LocalDate.of(2026, 10, 5));
        assertThat(pan.keepUntil().limitedBy()).isEqualTo(KeepUntil.LimitedBy.MOIST_FOOD);
        Finish later = Finish.asPlanned(pan.request(), LocalDate.of(2026, 10, 4))
                .kept(Storage.REFRIGERATOR, app.velvetcrock.core.keeping.Aftermath.NONE);
        assertThat(Planner.keepUntil(pan.request(), later).date()).isEqualTo(LocalDate.of(2026, 10, 5));
        assertThat(Planner.latest(pan.request(), later)).isEqualTo(LocalDate.of(2026, 10, 5));
        for (Method method : Method.shipped()) {
            boolean startable = planner.plan(
                            request(method.key(), Moisture.FRESH, Use.FOOD, Optional.of(new Strength(96))))
                    .canStart();
            assertThat(startable).as(method.key()).isEqualTo(method.equals(Method.JUICY_PAN));
        }
    }

    /**
     * Straight from the pan into the refrigerator: no standing, no settling, cold well within two hours, and the rule stands first
     * among the cautions.
     */
    @ParameterizedTest
    @EnumSource(value = Moisture.class, names = "DRIED", mode = EnumSource.Mode.EXCLUDE)
    void foodOfMoistHerbIsColdWithinTwoHoursAndStandsNowhereElse(Moisture moisture) {
        BatchPlan plan = planner.plan(request("juicy-pan", moisture, Use.FOOD, Optional.empty()));
        assertThat(plan.isMoistFood()).isTrue();
        assertThat(plan.request().circumstances().storage()).isEqualTo(Storage.REFRIGERATOR);
        assertThat(plan.request().circumstances().method().stages())
                .extracting(Stage::key)
                .containsExactly("pan");
        assertThat(plan.keepUntil().date()).isEqualTo(START.plusDays(4));
        assertThat(plan.keepUntil().limitedBy().words())
                .contains("4 °C")
                .contains("within 2 hours")
                .contains("within 4 days");
        assertThat(plan.cautions().stream()
                        .filter(caution -> caution.level() == Level.WARN)
                        .findFirst())
                .hasValueSatisfying(first -> {
                    assertThat(first.head()).contains("within 2 hours").contains("within 4 days");
                    assertThat(first.onLabel()).isTrue();
                });
        List<Step> steps = PlanSteps.of(plan.request(), HomeHours.usual(ZONE));
        assertThat(steps).extracting(Step::key).containsExactly("prepare", "pan", "cool", "strain");
        assertThat(((Step.Wait) steps.get(2)).length().plus(((Step.Hands) steps.get(3)).length()))
                .as("from the pan to the refrigerator")
                .isLessThanOrEqualTo(MoistFood.COLD_WITHIN);
    }

    @Test
    void thePanKeepsItsStandingForSkinAndDriedFoodHasNoSuchRule() {
        BatchPlan skin = planner.plan(request("juicy-pan~food", Moisture.FRESH, Use.HANDS, Optional.empty()));
        assertThat(skin.request().circumstances().method()).isEqualTo(Method.JUICY_PAN);
        assertThat(planner.plan(request("cold-dark", Moisture.DRIED, Use.FOOD, Optional.empty()))
                        .isMoistFood())
                .isFalse();
    }

    /** Fresh nettle on skin might be taken for food; dried it is no danger. */
    @Test
    void moistHerbOnSkinIsSaidNotToBeForTheKitchen() {
        assertThat(planner.plan(request("fresh-low", Moisture.FRESH, Use.HANDS, Optional.empty()))
                        .cautions())
                .anySatisfy(caution ->
                        assertThat(caution).matches(c -> c.head().equals("Moist herb: for skin alone") && c.onLabel()));
        assertThat(planner.plan(request("cold-dark", Moisture.DRIED, Use.HANDS, Optional.empty()))
                        .cautions())
                .noneMatch(caution -> caution.head().equals("Moist herb: for skin alone"));
    }

    /** 40 g take 20 g of 40 % with 13.3 g of water; with the herb's 4 g and what 36 g bind, 4.9 g, and the oil's 0.25 g: 12.2 g free. */
    @Test
    void spiritBringsItsWaterIntoThePlan() {
        BatchPlan plan =
                planner.plan(request("spirit-first", Moisture.DRIED, Use.HANDS, Optional.of(new Strength(40))));
        assertThat(plan.moistening().orElseThrow().spirit().grams()).isCloseTo(20, within(1e-9));
        assertThat(plan.water().free().grams()).isCloseTo(12.2, within(0.1));
        assertThat(planner.plan(request("cold-dark", Moisture.DRIED, Use.HANDS, Optional.of(new Strength(40))))
                        .moistening())
                .isEmpty();
    }

    @Test
    void aPlanNeedsALengthForEveryStage() {
        assertThatThrownBy(() -> new PlanRequest.Circumstances(
                        Method.HEAT_THEN_REST,
                        List.of(60),
                        START,
                        Use.HANDS,
                        Pressing.HAND,
                        Storage.COOL_DARK,
                        Means.of(Temperature.ofCelsius(14), Optional.empty())))
                .hasMessageContaining("1 lengths for 2 stages of heat-rest");
    }

    @Test
    void theCourseGoesFromStageToStageByHandAndBackByTakingBack() {
        BatchPlan plan = planner.plan(request("fresh-low", Moisture.FRESH, Use.HANDS, Optional.empty()));
        List<Entry> log = new ArrayList<>(
                List.of(entry("2026-10-01T18:00", Lines.charged(plan.charge().oil()))));
        Course wilting = Course.of(plan, log, at("2026-10-02T06:00"), ZONE);
        assertThat(wilting.stage().key()).isEqualTo("wilt");
        assertThat(wilting.progress()).isCloseTo(0.5, within(1e-9));
        assertThat(wilting.isDue()).isFalse();
        assertThat(wilting.next().orElseThrow().key()).isEqualTo("low");
        // 24 hours of wilting, then 24 of heat
        assertThat(wilting.end(ZONE)).isEqualTo(at("2026-10-03T18:00"));
        assertThat(Course.of(plan, log, at("2026-10-02T18:00"), ZONE).isDue()).isTrue();
        Entry next = entry("2026-10-02T20:00", new Line.Tended(new TaskKey("wilt", TaskKind.NEXT, 1)));
        log.add(next);
        Course warming = Course.of(plan, log, at("2026-10-02T20:30"), ZONE);
        assertThat(warming.stage().key()).isEqualTo("low");
        assertThat(warming.stageSince()).isEqualTo(at("2026-10-02T20:00"));
        assertThat(warming.heat()).isPresent();
        assertThat(warming.next()).isEmpty();
        assertThat(warming.end(ZONE)).isEqualTo(at("2026-10-03T20:00"));
        log.add(entry("2026-10-02T21:00", new Line.TakenBack(next.id())));
        assertThat(Course.of(plan, log, at("2026-10-02T21:00"), ZONE).stage().key())
                .isEqualTo("wilt");
    }

    /** Readings from before a stage belong to the stage before. */
    @Test
    void heatOfAnEarlierStageIsNotCountedTwice() {
        BatchPlan plan = planner.plan(request("heat-rest", Moisture.DRIED, Use.HANDS, Optional.empty()));
        List<Entry> log = List.of(
                entry("2026-10-01T18:00", Lines.charged(plan.charge().oil())),
                entry("2026-10-01T18:00", new Line.Tended(new TaskKey("heat", TaskKind.HEAT_ON, 1))),
                entry("2026-10-01T18:00", new Line.Heat(Optional.empty(), Temperature.ofCelsius(50))),
                entry("2026-10-01T19:00", new Line.Heat(Optional.empty(), Temperature.ofCelsius(50))),
                entry("2026-10-01T19:05", new Line.Tended(new TaskKey("heat", TaskKind.HEAT_OFF, 1))));
        assertThat(Course.of(plan, log, at("2026-10-01T19:10"), ZONE).isDue()).isTrue();
        List<Entry> rested = new ArrayList<>(log);
        rested.add(entry("2026-10-01T19:30", new Line.Tended(new TaskKey("heat", TaskKind.NEXT, 1))));
        Course rest = Course.of(plan, rested, at("2026-10-05T12:00"), ZONE);
        assertThat(rest.heat()).isEmpty();
        assertThat(rest.day()).isEqualTo(4);
        assertThat(rest.length()).isEqualTo(14);
    }

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(ZONE).toInstant();
    }

    private static Entry entry(String local, Line what) {
        return new Entry(UUID.randomUUID(), at(local), what);
    }

    private PlanRequest request(String method, Moisture moisture, Use use, Optional<Strength> spirit) {
        var kind = materia.herb("nettle").orElseThrow();
        var carrier = materia.carrier("rapeseed").orElseThrow();
        Vessel jar = new Vessel("half litre", Volume.ofMillilitres(500), Length.ofMillimetres(84));
        Method way = Method.of(method).orElseThrow();
        return new PlanRequest(
                List.of(new PlannedHerb(
                        kind,
                        materia.texture(kind.part(), Cut.CUT_AND_SIFTED),
                        moisture,
                        Optional.empty(),
                        Mass.ofGrams(40),
                        List.of())),
                new PlannedCarrier(
                        carrier,
                        new Bottle(
                                "rapeseed",
                                carrier.monthsOpened(),
                                Optional.of(LocalDate.of(2026, 9, 1)),
                                Optional.empty())),
                new OilWish.ToCover(),
                jar,
                List.of(jar),
                new PlanRequest.Circumstances(
                        way,
                        way.usualLengths(),
                        START,
                        use,
                        Pressing.HAND,
                        Storage.COOL_DARK,
                        Means.of(Temperature.ofCelsius(14), spirit)));
    }
}
