package app.velvetcrock.core.drying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.drying.DryingCourse.State;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.water.WaterContent;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DryingCourseTest {

    private static final Instant LAID_OUT = Instant.parse("2026-07-01T08:00:00Z");

    /** Checked sum 9: 300 g, water 0.85: dry matter 45.0 g, settles at 49.5, ready at 51.1; k 0.5 a day: ready after 10.0 days. */
    @Test
    void threeHundredGramsAtHalfADayAreReadyOnTheTenthDay() {
        List<WeighIn> exact = new ArrayList<>();
        for (int day = 1; day <= 5; day++) {
            exact.add(weighed(day, 49.4505 + (300 - 49.4505) * Math.exp(-0.5 * day)));
        }
        DryingCourse course = DryingCourse.of(start(300, 0.85), exact);
        assertThat(course.state()).isEqualTo(State.DRYING);
        assertThat(course.rate().orElseThrow()).isCloseTo(0.5, within(0.0001));
        assertThat(course.readyMass().grams()).isCloseTo(51.1, within(0.05));
        assertThat(days(course.ready().orElseThrow())).isCloseTo(10.0, within(0.05));
        // 1 − 45 ÷ (49.45 + 250.55·e^−2.5) = 1 − 45 ÷ 70.02 = 0.357
        assertThat(course.waterNow()).isCloseTo(0.357, within(0.001));
    }

    /** A weighing a minute after another, or after laying out, is the same one: no pace of thousands a day, no range of two. */
    @Test
    void weighingsNearToEachOtherCountAsOne() {
        DryingStart start = start(300, 0.85);
        WeighIn atOnce = new WeighIn(LAID_OUT.plusSeconds(60), Mass.ofGrams(120), Snap.NOT_TRIED);
        DryingCourse minute = DryingCourse.of(start, List.of(atOnce));
        assertThat(minute.rate()).isEmpty();
        assertThat(minute.ready()).isEmpty();
        assertThat(minute.losesTooLittle()).isTrue();
        WeighIn again = new WeighIn(weighed(2, 142).at().plus(Duration.ofHours(1)), Mass.ofGrams(141), Snap.NOT_TRIED);
        assertThat(DryingCourse.of(start, List.of(weighed(1, 201), weighed(2, 142), again))
                        .range())
                .isEmpty();
        // 0.5 g of 300 in two days: k = -ln(250.05/250.55)/2 = 0.001 a day
        DryingCourse slow = DryingCourse.of(start, List.of(weighed(2, 299.5)));
        assertThat(slow.ready()).isEmpty();
        assertThat(slow.losesTooLittle()).isTrue();
    }

    @Test
    void theRangeHoldsTheMiddleAndNeedsThreeWeighings() {
        DryingStart start = start(300, 0.85);
        List<WeighIn> two = List.of(weighed(1, 201), weighed(2, 142));
        assertThat(DryingCourse.of(start, two).range()).isEmpty();
        DryingCourse three = DryingCourse.of(start, List.of(weighed(1, 201), weighed(2, 142), weighed(3, 105)));
        assertThat(three.range().orElseThrow().earliest())
                .isBefore(three.ready().orElseThrow());
        assertThat(three.range().orElseThrow().latest()).isAfter(three.ready().orElseThrow());
    }

    /** Five daily weighings on a scale that is off by a gram (one standard deviation): k within 15 %, ready day within 1, in 95 of 100. */
    @Test
    void aNoisyScaleIsForgiven() {
        int good = 0;
        for (int seed = 0; seed < 500; seed++) {
            Random random = new Random(seed);
            double fresh = 200 + random.nextInt(300);
            double k = 0.35 + random.nextDouble() * 0.3;
            DryingLaw truth = DryingLaw.of(start(fresh, 0.85));
            List<WeighIn> noisy = new ArrayList<>();
            for (int day = 1; day <= 5; day++) {
                noisy.add(weighed(
                        day,
                        truth.massAt(LAID_OUT.plus(Duration.ofDays(day)), k).grams() + random.nextGaussian()));
            }
            DryingCourse course = DryingCourse.of(start(fresh, 0.85), noisy);
            boolean near = course.rate()
                            .filter(found -> Math.abs(found / k - 1) <= 0.15)
                            .isPresent()
                    && course.ready()
                            .filter(at -> Math.abs(days(at) - days(truth.readyAt(k))) <= 1)
                            .isPresent();
            good += near ? 1 : 0;
        }
        assertThat(good).isGreaterThanOrEqualTo(475);
    }

    /** It stays at 80 g a day and bends: the air is too damp, whatever the sum says. */
    @Test
    void stalledAirIsRecognised() {
        List<WeighIn> stalled = List.of(
                weighed(1, 160), weighed(2, 100), weighed(3, 80.6), new WeighIn(day(4), Mass.ofGrams(80), Snap.BENDS));
        assertThat(DryingCourse.of(start(300, 0.85), stalled).state()).isEqualTo(State.AIR_TOO_DAMP);
        assertThat(DryingCourse.of(start(300, 0.85), stalled).ready()).isEmpty();
    }

    /** It stays at 60 g and snaps: dry, so it began with 1 − 60·0.91/300 = 0.818 of water, not 0.85. */
    @Test
    void steadyAndSnappingIsDryAndTellsWhatItHeldAtFirst() {
        List<WeighIn> steady =
                List.of(weighed(2, 100), weighed(5, 60.3), new WeighIn(day(6), Mass.ofGrams(60), Snap.SNAPS));
        DryingCourse course = DryingCourse.of(start(300, 0.85), steady);
        assertThat(course.state()).isEqualTo(State.DRY);
        assertThat(course.water().fraction()).isCloseTo(0.818, within(0.0005));
        assertThat(course.waterNow()).isCloseTo(0.09, within(0.0005));
    }

    @Test
    void theHandOutweighsTheSum() {
        DryingStart start = start(300, 0.85);
        // by weight 49 g would be dry: below 49.45
        assertThat(DryingCourse.of(start, List.of(weighed(9, 49))).state()).isEqualTo(State.DRY);
        assertThat(DryingCourse.of(start, List.of(new WeighIn(day(9), Mass.ofGrams(49), Snap.BENDS)))
                        .state())
                .isEqualTo(State.DRYING);
        // 45 g of dry matter: 56.2 g are 19.9 % water, 56.4 g 20.2 %, where hand and weight contradict each other
        assertThat(DryingCourse.of(start, List.of(new WeighIn(day(4), Mass.ofGrams(56.2), Snap.SNAPS)))
                        .state())
                .isEqualTo(State.DRY);
        assertThat(DryingCourse.of(start, List.of(new WeighIn(day(4), Mass.ofGrams(56.4), Snap.SNAPS)))
                        .state())
                .isEqualTo(State.CONTRADICTS);
        // between settled and ready the sum alone asks for the hand
        assertThat(DryingCourse.of(start, List.of(weighed(9, 50.5))).state()).isEqualTo(State.TRY_IT);
    }

    @Test
    void nothingIsForecastFromNothing() {
        assertThat(DryingCourse.of(start(300, 0.85), List.of()).state()).isEqualTo(State.WEIGH_AGAIN);
        DryingCourse heavier = DryingCourse.of(start(300, 0.85), List.of(weighed(1, 305)));
        assertThat(heavier.rate()).isEmpty();
        assertThat(heavier.ready()).isEmpty();
        assertThat(heavier.curve()).isEmpty();
    }

    /** On a scale of one gram, 6 g of herb that weigh 5 g a day later may have lost nothing; what weighs 4 g has lost something. */
    @Test
    void aRoundingIsNoPace() {
        DryingCourse rounding = DryingCourse.of(start(6, 0.85), List.of(weighed(1, 5)));
        assertThat(rounding.rate()).isEmpty();
        assertThat(rounding.ready()).isEmpty();
        assertThat(rounding.losesTooLittle()).isTrue();
        assertThat(DryingCourse.of(start(6, 0.85), List.of(weighed(1, 4))).ready())
                .isPresent();
    }

    private static DryingStart start(double grams, double water) {
        return new DryingStart(LAID_OUT, Mass.ofGrams(grams), new WaterContent(water), Mass.ofGrams(1));
    }

    private static WeighIn weighed(double day, double grams) {
        return new WeighIn(day(day), Mass.ofGrams(grams), Snap.NOT_TRIED);
    }

    private static Instant day(double day) {
        return LAID_OUT.plusSeconds(Math.round(day * 86_400));
    }

    private static double days(Instant at) {
        return Duration.between(LAID_OUT, at).toSeconds() / 86_400.0;
    }
}
