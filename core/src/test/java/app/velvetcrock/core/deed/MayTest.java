package app.velvetcrock.core.deed;

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
import app.velvetcrock.core.course.Seen;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
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
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.strain.Pressing;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class MayTest {

    private static final LocalDate START = LocalDate.of(2026, 10, 1);
    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final Instant CHARGED = Instant.parse("2026-10-01T17:00:00Z");
    private static final Instant NOW = Instant.parse("2026-10-20T08:00:00Z");
    private static final Wording SAY = new Wording(HouseholdUnits.METRIC, ZONE);

    private final Materia materia = Materia.shipped();
    private final Planner planner = new Planner(Cautions.shipped(), Materia.shipped());
    private final BatchPlan plan = planner.plan(request("nettle", Moisture.DRIED, "rapeseed", Use.HANDS, 12));
    private final List<Entry> said = new ArrayList<>(List.of(entry(CHARGED, Lines.charged())));

    private static final Deed LOOK = new Deed.LookAt(Optional.empty(), Look.ALL_WELL);
    private static final Deed STRAIN = new Deed.Strain(
            Mass.ofGrams(200), Pressing.HAND, true, new Seen(Clarity.CLEAR, Smell.RIGHT, Volume.ZERO, ""), "");
    private static final Deed SETTLE = new Deed.Settle(Mass.ofGrams(100), Volume.ZERO, Smell.RIGHT);

    @Test
    void whatIsTendedStandsAndWhatSettlesIsStrained() {
        assertThat(refusal(LOOK, NOW)).isEmpty();
        assertThat(refusal(STRAIN, NOW)).isEmpty();
        assertThat(refusal(SETTLE, NOW)).contains("Batch 3 is not strained, so nothing has settled.");
        said.add(entry(NOW, Lines.strained(200, false)));
        assertThat(refusal(LOOK, NOW))
                .contains("Batch 3 does not stand any more: it was strained. Nothing was written.");
        assertThat(refusal(STRAIN, NOW))
                .contains("Batch 3 was strained already: 200 mL came out. Nothing was written twice.");
        assertThat(refusal(SETTLE, NOW)).isEmpty();
        assertThat(refusal(new Deed.ChangePlan(Optional.of(20), Optional.empty(), "away"), NOW))
                .contains("Batch 3 does not stand any more, so its plan stays as it was.");
    }

    @Test
    void nothingHappensBeforeHerbMetOilNorLaterThanNow() {
        Deed note = new Deed.Note("it smells of hay");
        assertThat(refusal(note, CHARGED)).isEmpty();
        assertThat(refusal(note, NOW)).isEmpty();
        assertThat(refusal(note, CHARGED.minusSeconds(1)).orElseThrow())
                .contains("it lies between the charging, 1 Oct 2026, 18:00, and now");
        assertThat(refusal(note, NOW.plusSeconds(300)))
                .as("two clocks differ by a few minutes")
                .isEmpty();
        assertThat(refusal(note, NOW.plusSeconds(301))).isPresent();
    }

    /** What came back held all that went in, and herb and oil had met. */
    @Test
    void nothingIsStrainedBeforeItWasChargedOrToppedUpNorTomorrow() {
        assertThat(refusal(STRAIN, CHARGED)).isEmpty();
        assertThat(refusal(STRAIN, CHARGED.minusSeconds(1)).orElseThrow()).contains("the charging");
        assertThat(refusal(STRAIN, NOW.plusSeconds(301))).isPresent();
        Instant topped = CHARGED.plusSeconds(7200);
        said.add(entry(
                topped,
                new Line.ToppedUp(
                        Volume.ofMillilitres(20),
                        new app.velvetcrock.core.keeping.Bottle("oil", 12, Optional.empty(), Optional.empty()),
                        Optional.empty())));
        assertThat(refusal(STRAIN, topped.minusSeconds(1)).orElseThrow()).contains("the last topping up");
        assertThat(refusal(STRAIN, topped)).isEmpty();
    }

    @Test
    void onlyLinesThatMovedNothingAreCorrectedAndOnlyToTheirOwnKind() {
        Entry read = entry(NOW, new Line.Heat(Optional.empty(), Temperature.ofCelsius(63)));
        said.add(read);
        assertThat(refusal(
                        new Deed.Correct(read.id(), new Line.Heat(Optional.empty(), Temperature.ofCelsius(36))), NOW))
                .isEmpty();
        assertThat(refusal(new Deed.Correct(read.id(), new Line.Noted("36")), NOW))
                .contains("That line moved stock or dates: take it back and write it anew.");
        assertThat(refusal(new Deed.Correct(said.get(0).id(), Lines.charged()), NOW))
                .isPresent();
        said.add(entry(NOW, new Line.TakenBack(read.id())));
        assertThat(refusal(
                        new Deed.Correct(read.id(), new Line.Heat(Optional.empty(), Temperature.ofCelsius(36))), NOW))
                .contains("That line does not hold any more, so there is nothing to correct.");
    }

    @Test
    void whatSomethingRestsOnIsTakenBackLast() {
        UUID charged = said.get(0).id();
        assertThat(refusal(new Deed.TakeBack(charged), NOW)).isEmpty();
        said.add(entry(NOW, Lines.strained(200, false)));
        assertThat(refusal(new Deed.TakeBack(charged), NOW).orElseThrow()).contains("Something later rests on it");
        assertThat(refusal(new Deed.TakeBack(said.get(1).id()), NOW)).isEmpty();
    }

    @Test
    void oilThatIsNoFoodMayBePassedOn() {
        assertThat(refusal(new Deed.Draw(UUID.randomUUID(), Mass.ofGrams(5), Held.SELL), NOW))
                .isEmpty();
        assertThat(refusal(new Deed.ThrowOut(Ruin.MOULD, "", Optional.empty()), NOW))
                .isEmpty();
    }

    /** Made against the rule of water it is never sold; it may be given, and used (craft: labels). */
    @Test
    void whatWasOverriddenIsNeverSold() {
        said.add(entry(NOW, Lines.strained(200, false)));
        Course course = Course.of(plan, said, NOW, ZONE);
        for (Held what : List.of(Held.SELL, Held.GIVE, Held.DRAW)) {
            Optional<Refusal> refusal = May.be(
                    new Deed.Draw(UUID.randomUUID(), Mass.ofGrams(5), what),
                    new May.Standing(3, course, Log.of(said), true),
                    new May.Times(NOW, NOW, SAY));
            assertThat(refusal.isPresent()).as(what.word()).isEqualTo(what == Held.SELL);
        }
    }

    /** What was read hot enough to scorch is never sold either, whatever was said to it since; given it may be. */
    @Test
    void whatWasScorchedIsNeverSold() {
        PlanRequest cold = request("nettle", Moisture.DRIED, "rapeseed", Use.HANDS, 12);
        BatchPlan warm = planner.plan(cold.with(cold.circumstances().by(Method.SLOW_WARM)));
        for (int minutes = 60; minutes > 0; minutes -= 10) {
            said.add(entry(
                    NOW.minusSeconds(minutes * 60L), new Line.Heat(Optional.empty(), Temperature.ofCelsius(150))));
        }
        said.add(entry(NOW, Lines.strained(200, false)));
        Course course = Course.of(warm, said, NOW, ZONE);
        assertThat(course.isScorched()).isTrue();
        for (Held what : List.of(Held.SELL, Held.GIVE)) {
            assertThat(May.be(
                                    new Deed.Draw(UUID.randomUUID(), Mass.ofGrams(5), what),
                                    new May.Standing(3, course, Log.of(said)),
                                    new May.Times(NOW, NOW, SAY))
                            .isPresent())
                    .as(what.word())
                    .isEqualTo(what == Held.SELL);
        }
    }

    /** What is said of the last five minutes is still being done and is held back; what lies before them has happened. */
    @Test
    void whatHappenedIsWrittenDownAndWhatIsBeingDoneIsHeldBack() {
        assertThat(May.hasHappened(NOW, NOW)).isFalse();
        assertThat(May.hasHappened(NOW.minusSeconds(300), NOW)).isFalse();
        assertThat(May.hasHappened(NOW.minusSeconds(301), NOW)).isTrue();
    }

    /** Nothing happens to an oil before there is one, and a corrected line is corrected as what it says now. */
    @Test
    void anOilIsSeenToAfterItsStraining() {
        said.add(entry(NOW.minusSeconds(3600), Lines.strained(200, false)));
        for (Deed deed : List.of(
                SETTLE,
                new Deed.Sniff(UUID.randomUUID(), true),
                new Deed.Draw(UUID.randomUUID(), Mass.ofGrams(5), Held.SELL),
                new Deed.Draw(UUID.randomUUID(), Mass.ofGrams(5), Held.DRAW))) {
            assertThat(refusal(deed, NOW)).as(deed.toString()).isEmpty();
            assertThat(refusal(deed, NOW.minusSeconds(3600)))
                    .as(deed.toString())
                    .isEmpty();
            assertThat(refusal(deed, NOW.minusSeconds(3601)).orElseThrow())
                    .as(deed.toString())
                    .contains("it lies between the straining, 20 Oct 2026, 08:00, and now");
        }
    }

    @Test
    void aCorrectionIsCorrectedByWhatItSays() {
        Line.Heat read = new Line.Heat(Optional.empty(), Temperature.ofCelsius(63));
        assertThat(May.canCorrect(new Line.Corrected(UUID.randomUUID(), read))).isTrue();
        assertThat(May.canCorrect(new Line.Corrected(UUID.randomUUID(), Lines.strained(200, false))))
                .isFalse();
        assertThat(May.canCorrect(new Line.Lesson("finer"))).isTrue();
        assertThat(May.canCorrect(Lines.charged())).isFalse();
        Entry first = entry(NOW, new Line.Noted("sixty"));
        Entry second = entry(NOW, new Line.Noted("of it"));
        said.addAll(List.of(first, second));
        assertThat(refusal(new Deed.Correct(second.id(), new Line.Noted("of that")), NOW))
                .isEmpty();
        assertThat(refusal(new Deed.Correct(second.id(), read), NOW)).isPresent();
        UUID gone = UUID.randomUUID();
        assertThat(refusal(new Deed.TakeBack(gone), NOW))
                .as("what is not there is taken back already")
                .isEmpty();
    }

    /** A plan with nothing to start it cannot be started. */
    @Test
    void onlyAPlanThatStandsIsStarted() {
        BatchPlan refused = planner.plan(request("tansy", Moisture.DRIED, "rapeseed", Use.FOOD, 12));
        assertThat(start(plan, NOW)).isEmpty();
        assertThat(start(refused, NOW))
                .contains("This plan cannot be started as it stands: see what it says on the Bench.");
        assertThat(start(plan, NOW.plusSeconds(301)).orElseThrow()).contains("what was done lies before now");
    }

    private static Optional<String> start(BatchPlan plan, Instant at) {
        return May.start(
                        new Deed.Start(
                                frozen(plan), UUID.randomUUID(), false, Mass.ofGrams(40), Volume.ofMillilitres(200)),
                        new May.Times(at, NOW, SAY))
                .map(Refusal::wrong);
    }

    private static FrozenPlan frozen(BatchPlan plan) {
        return FrozenPlan.of(
                plan, new FrozenPlan.Lots(List.of(UUID.randomUUID()), List.of(UUID.randomUUID()), Optional.empty()));
    }

    private Optional<String> refusal(Deed deed, Instant at) {
        Course course = Course.of(plan, said, NOW, ZONE);
        return May.be(deed, new May.Standing(3, course, Log.of(said)), new May.Times(at, NOW, SAY))
                .map(Refusal::wrong);
    }

    private static Entry entry(Instant at, Line line) {
        return new Entry(UUID.randomUUID(), at, line);
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
