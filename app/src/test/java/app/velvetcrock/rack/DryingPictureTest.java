package app.velvetcrock.rack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.drying.DryingCourse;
import app.velvetcrock.core.drying.DryingStart;
import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.drying.WeighIn;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.stillroom.House;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Geometry of the rack's curve: full weight stands at the top, nothing at the floor, time runs to the right. */
class DryingPictureTest {

    private static final Instant START = Instant.parse("2026-07-01T08:00:00Z");
    private static final double TOP = 10;

    @Test
    void aDotStandsWhereItsWeightAndTimeAre() {
        DryingPicture picture = picture(4, weighed(2, 150), weighed(4, 75));
        assertThat(picture.dots()).hasSize(3);
        assertThat(picture.dots().get(0).y()).isEqualTo(TOP);
        // half the weight stands half-way down, a quarter three quarters down
        double room = picture.height() - TOP;
        assertThat(picture.dots().get(1).y()).isCloseTo(TOP + room / 2, within(1e-9));
        assertThat(picture.dots().get(2).y()).isCloseTo(TOP + room * 0.75, within(1e-9));
        assertThat(picture.dots()).extracting(DryingPicture.Dot::x).isSorted();
        assertThat(picture.measured().split(" ")).hasSize(3);
    }

    @Test
    void readyLiesUnderNowOnlyWhenItIsStillToCome() {
        DryingPicture picture = picture(3, weighed(1, 201.4), weighed(2, 141.6), weighed(3, 105.4));
        assertThat(picture.readyX().orElseThrow()).isGreaterThan(picture.nowX());
        DryingPicture.Band range = Objects.requireNonNull(picture.range());
        assertThat(range.x()).isLessThan(picture.readyX().orElseThrow());
        assertThat(range.x() + range.width())
                .isGreaterThan(picture.readyX().orElseThrow())
                .isLessThanOrEqualTo(picture.width());
        // ready at 51.1 of 300 g
        assertThat(picture.readyY()).isCloseTo(TOP + (picture.height() - TOP) * (1 - 51.136 / 300), within(0.01));
        assertThat(picture.curve()).isNotEmpty();
    }

    @Test
    void withoutAForecastThereIsNoCurveAndNothingLeavesThePaper() {
        DryingPicture picture = picture(1);
        assertThat(picture.curve()).isEmpty();
        assertThat(picture.readyX()).isEmpty();
        assertThat(picture.nowX()).isBetween(0.0, picture.width());
        DryingPicture damp = picture(
                9,
                weighed(3, 120),
                weighed(6, 82.6),
                new WeighIn(START.plus(Duration.ofDays(8)), Mass.ofGrams(82), Snap.BENDS));
        assertThat(damp.curve()).isEmpty();
        assertThat(damp.dots().get(3).felt()).isTrue();
    }

    @Test
    void daysUnderTheLineAreNeverCrowded() {
        for (int days : IntStream.of(1, 5, 20, 90).toArray()) {
            assertThat(picture(days, weighed(days, 290)).ticks()).hasSizeLessThanOrEqualTo(8);
        }
    }

    private static DryingPicture picture(int nowDay, WeighIn... weighIns) {
        DryingStart start = new DryingStart(START, Mass.ofGrams(300), new WaterContent(0.85), Mass.ofGrams(1));
        return DryingPicture.of(
                DryingCourse.of(start, List.of(weighIns)), START.plus(Duration.ofDays(nowDay)), House.usual());
    }

    private static WeighIn weighed(int day, double grams) {
        return new WeighIn(START.plus(Duration.ofDays(day)), Mass.ofGrams(grams), Snap.NOT_TRIED);
    }
}
