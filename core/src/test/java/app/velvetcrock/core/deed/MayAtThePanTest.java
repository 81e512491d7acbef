package app.velvetcrock.core.deed;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.pan.Addition;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingCourse.At;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.core.pan.MakingStep;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What may be done at the pan: 210 g weighed in at nine, off the heat at 9:20; it is ten o'clock. */
class MayAtThePanTest {

    private static final Instant NINE = Instant.parse("2026-11-24T09:00:00Z");
    private static final Instant NOW = NINE.plus(Duration.ofHours(1));
    private static final Wording SAY = new Wording(HouseholdUnits.METRIC, ZoneId.of("Europe/London"));
    private static final UUID BEGUN = new UUID(4, 6);
    private static final Formula.Stuff WAX = new Formula.Stuff("beeswax", "Beeswax", Formula.Role.WAX, 1);
    private static final Formula.Stuff OIL = new Formula.Stuff("rapeseed", "oil", Formula.Role.OIL, 0);
    private static final Addition DROPS =
            new Addition("eo-lavender", "Lavender", Mass.ofGrams(1), Optional.of(22.0), Addition.When.WITH_THE_DROPS);
    private static final MakingPlan PLAN = new MakingPlan(
            1,
            new MakingPlan.Made("salve", "salve", "salve", false, true),
            15,
            List.of(weighed(OIL, 178.5), weighed(WAX, 31.5)),
            List.of(new MakingPlan.Stirred(DROPS, Optional.empty())),
            Optional.empty(),
            Use.ADULT_SKIN,
            Temperature.ofCelsius(20),
            LocalDate.of(2027, 6, 1),
            "",
            Optional.empty(),
            List.of());

    private final List<At> lines = new ArrayList<>(List.of(new At(NINE, new MakingLine.Begun(PLAN.weighed()))));
    private double there = 210;

    private static MakingPlan.Weighed weighed(Formula.Stuff stuff, double grams) {
        return new MakingPlan.Weighed(stuff.of(Mass.ofGrams(grams)), Optional.empty());
    }

    private static PanDeed.Pour pour(int count, double grams) {
        Container tin = new Container("tin", Volume.ofMillilitres(60), false);
        return new PanDeed.Pour(
                List.of(new PanDeed.Fill(new MakingPlan.Into(tin, count, Optional.empty()), Mass.ofGrams(grams))));
    }

    private void told(int minute, MakingLine line) {
        lines.add(new At(NINE.plus(Duration.ofMinutes(minute)), line));
    }

    private void offHeat() {
        told(20, new MakingLine.OffHeat(Temperature.ofCelsius(75), Cooling.Where.IN_AIR, Optional.empty()));
    }

    private void poured(int minute, double left) {
        told(minute, new MakingLine.Poured(List.of(), Mass.ofGrams(left), Optional.empty()));
        there = left;
    }

    private Optional<Refusal> may(PanDeed deed, Instant at) {
        return MayAtThePan.be(
                deed,
                new MayAtThePan.Standing(
                        7,
                        MakingCourse.of(PLAN, lines),
                        lines,
                        lines.isEmpty() ? Optional.empty() : Optional.of(BEGUN),
                        Mass.ofGrams(there)),
                new May.Times(at, NOW, SAY));
    }

    private String wrong(PanDeed deed, int minute) {
        return may(deed, NINE.plus(Duration.ofMinutes(minute)))
                .map(Refusal::wrong)
                .orElse("");
    }

    @Test
    void nothingIsDoneBeforeItWasWeighedInNorLaterThanNow() {
        for (PanDeed deed : List.of(new PanDeed.Note("hay"), pour(2, 50), new PanDeed.Did(MakingStep.MELT))) {
            assertThat(wrong(deed, -1)).contains("nothing was in the pan yet: it was weighed in at 24 Nov 2026, 09:00");
            assertThat(wrong(deed, 0)).isEmpty();
            assertThat(may(deed, NOW.plusSeconds(300))).isEmpty();
            assertThat(may(deed, NOW.plusSeconds(301)).orElseThrow().field()).isEqualTo("when");
        }
        assertThat(MayAtThePan.begin(new May.Times(NOW.plusSeconds(301), NOW, SAY)))
                .isPresent();
        lines.clear();
        assertThat(wrong(new PanDeed.Note("hay"), 30)).contains("Batch 7 was never begun");
    }

    /** Of 210 g no more than 212.05 can be filled: half a hundredth and a gram is what a scale is off. */
    @Test
    void noMoreIsPouredThanThereIs() {
        assertThat(wrong(pour(4, 53.01), 30)).isEmpty();
        assertThat(wrong(pour(4, 53.02), 30)).isEqualTo("That would be 212 g, and only 210 g is in the pan.");
        assertThat(wrong(pour(0, 50), 30)).isEqualTo("Nothing was filled.");
        poured(30, 0.4);
        assertThat(wrong(pour(1, 50), 40)).isEqualTo("That would be 50 g, and nothing is left in the pan.");
    }

    @Test
    void whatIsPouredHeldAllThatWasPutIn() {
        told(35, new MakingLine.Corrected(WAX.of(Mass.ofGrams(5)), Optional.empty(), 17));
        assertThat(wrong(pour(2, 50), 34))
                .isEqualTo("Understood 24 Nov 2026, 09:34; after that, at 24 Nov 2026, 09:35: 5 g of Beeswax went in: "
                        + "firmness 17. What was poured held that already.");
        assertThat(wrong(pour(2, 50), 35)).isEmpty();
        poured(40, 100);
        assertThat(wrong(pour(1, 50), 39)).contains("Poured");
        assertThat(wrong(pour(1, 50), 41)).isEmpty();
    }

    @Test
    void whatIsPouredIsNeitherMadeFirmerNorStirred() {
        PanDeed.Correct more = new PanDeed.Correct(WAX.of(Mass.ofGrams(5)), Optional.empty());
        PanDeed.StirIn drops = new PanDeed.StirIn("eo-lavender", true);
        assertThat(wrong(more, 30)).isEmpty();
        assertThat(wrong(drops, 30)).isEmpty();
        assertThat(wrong(new PanDeed.TurnOut(Felt.SOFT, List.of(), ""), 30)).contains("Nothing of it is poured yet");
        poured(31, 60);
        assertThat(wrong(more, 32)).contains("It is poured already");
        assertThat(wrong(drops, 31)).contains("It was poured at 24 Nov 2026, 09:31");
        assertThat(may(drops, NOW).orElseThrow().field()).isEqualTo("when");
        assertThat(wrong(drops, 30)).as("said late, done in time").isEmpty();
        assertThat(wrong(new PanDeed.Test(Felt.SOFT), 32))
                .as("some stayed in the pan")
                .isEmpty();
        assertThat(wrong(new PanDeed.TurnOut(Felt.SOFT, List.of(), ""), 30)).contains("it was poured at");
        assertThat(wrong(new PanDeed.TurnOut(Felt.SOFT, List.of(), ""), 31)).isEmpty();
        there = 0.5;
        assertThat(wrong(new PanDeed.Test(Felt.SOFT), 32)).contains("nothing is left in the pan");
        assertThat(wrong(new PanDeed.Test(Felt.SOFT), 30)).isEmpty();
        assertThat(wrong(new PanDeed.OffHeat(Temperature.ofCelsius(70), Cooling.Where.IN_AIR), 32))
                .contains("nothing is left in the pan");
    }

    @Test
    void whatIsOnTheHeatIsNotReadAsItCools() {
        PanDeed.Read read = new PanDeed.Read(Temperature.ofCelsius(60), Optional.empty());
        assertThat(may(read, NINE.plusSeconds(600)).orElseThrow().field()).isEqualTo("temperature");
        assertThat(wrong(new PanDeed.Haze(), 10)).contains("It is on the heat still");
        offHeat();
        assertThat(wrong(read, 19)).contains("it was taken off the heat at 24 Nov 2026, 09:20");
        assertThat(wrong(read, 20)).isEmpty();
    }

    /** 75 °C at 9:20 is too hot for lavender, and it has cooled to its window by 9:45; somebody may have put it in all the same. */
    @Test
    void whatTheHeatSpoilsIsAskedAbout() {
        offHeat();
        assertThat(may(new PanDeed.StirIn("eo-lavender", false), NINE.plusSeconds(1260))
                        .orElseThrow()
                        .field())
                .isEqualTo("anyway");
        assertThat(wrong(new PanDeed.StirIn("eo-lavender", true), 21)).isEmpty();
        assertThat(wrong(new PanDeed.StirIn("eo-lavender", false), 45)).isEmpty();
        assertThat(wrong(new PanDeed.StirIn("eo-clove", false), 45)).contains("Nothing like that was planned");
    }

    @Test
    void twiceIsOnce() {
        PanDeed.Did melted = new PanDeed.Did(MakingStep.MELT);
        PanDeed.StirIn drops = new PanDeed.StirIn("eo-lavender", true);
        told(10, new MakingLine.Did(MakingStep.MELT));
        told(25, new MakingLine.Added(DROPS, Optional.empty()));
        for (PanDeed deed : List.of(
                melted,
                drops,
                new PanDeed.Skip(MakingStep.MELT, "", ""),
                new PanDeed.Skip(MakingStep.STIR_IN, "eo-lavender", ""))) {
            assertThat(may(deed, NOW).orElseThrow().already())
                    .as(deed.toString())
                    .isTrue();
        }
    }

    @Test
    void theWeighingInIsTakenBackWhenNothingCameAfterIt() {
        assertThat(wrong(new PanDeed.TakeBack(BEGUN), 30)).isEmpty();
        told(10, new MakingLine.Did(MakingStep.MELT));
        assertThat(wrong(new PanDeed.TakeBack(BEGUN), 30)).contains("Take back what was done since first");
        assertThat(wrong(new PanDeed.TakeBack(new UUID(1, 1)), 30)).isEmpty();
    }

    @Test
    void whatIsSmelledWasPoured() {
        PanDeed smell = new PanDeed.Smell(new UUID(3, 3), true);
        assertThat(wrong(smell, 31)).contains("Nothing of it is poured");
        poured(31, 60);
        assertThat(wrong(smell, 30)).contains("it was poured at");
        assertThat(wrong(smell, 66)).isNotEmpty();
        assertThat(wrong(smell, 31)).isEmpty();
    }

    @Test
    void whatEndsItIsAnsweredByThrowingItOutOrWasNeverSo() {
        for (Condition what : Condition.values()) {
            for (boolean dealtWith : new boolean[] {true, false}) {
                assertThat(wrong(
                                        new PanDeed.Answer(new Deed.Answer(
                                                new UUID(4, 4), what, dealtWith, "I looked", Optional.empty())),
                                        20)
                                .isEmpty())
                        .as("%s, %s", what, dealtWith)
                        .isEqualTo(!dealtWith || !what.isEnd());
            }
        }
    }
}
