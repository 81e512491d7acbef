package app.velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class HeatTraceTest {

    private static final Instant START = Instant.parse("2026-11-24T18:00:00Z");

    /** Slow warm: 40 to 52 °C, ceiling 60, read each hour for 4 hours, then each 4. */
    private static final Stage WARM = Method.SLOW_WARM.first();

    /**
     * Checked sum 7, whose band begins at 43: from 40 to 43 takes 15 of the first 30 min and earns
     * 15·(1 − 2^−0.3)/(0.3·ln 2) = 13.54; the other 45 min count whole: 58.5.
     */
    @Test
    void aSagBelowTheBandEarnsLess() {
        HeatRate rate = new HeatRate(
                new app.velvetcrock.core.method.Band(Temperature.ofCelsius(43), Temperature.ofCelsius(50)),
                Temperature.ofCelsius(60));
        assertThat(rate.credit(40, 46, 30) + rate.credit(46, 50, 30)).isCloseTo(58.54, within(0.01));
        assertThat(HeatRate.within(40, 46, 30, 43, 50) + HeatRate.within(46, 50, 30, 43, 50))
                .isCloseTo(45, within(1e-9));
        assertThat(rate.at(33)).isCloseTo(0.5, within(1e-12));
        assertThat(rate.at(27.9)).isZero();
        assertThat(rate.at(60.1)).isZero();
    }

    /** 20 → 50 in an hour earns nothing to 25, 10/ln2·(1 − 2^−1.5) = 9.33 °C worth to 40, all of 10 °C to 50: 19.33/30 of 60 min. */
    @Test
    void warmingUpEarnsByReadings() {
        HeatTrace trace = trace(0, 20, 60, 50);
        assertThat(trace.credited().minutes()).isCloseTo(38.65, within(0.01));
        assertThat(trace.inBand().minutes()).isCloseTo(20, within(1e-9));
        assertThat(trace.unwatched().minutes()).isZero();
    }

    /** In the first hours the rhythm is an hour: 91 min is too long, 90 is not. Unwatched counts the lower end: 2^−0.5 of 91. */
    @Test
    void aLongGapCountsByItsLowerEnd() {
        assertThat(trace(0, 45, 90, 45).credited().minutes()).isCloseTo(90, within(1e-9));
        HeatTrace gap = trace(0, 35, 91, 45);
        assertThat(gap.credited().minutes()).isCloseTo(64.35, within(0.01));
        assertThat(gap.unwatched().minutes()).isCloseTo(91, within(1e-9));
        assertThat(gap.inBand().minutes()).isZero();
        // 1.25 × 4 h after the first four hours
        assertThat(trace(240, 45, 540, 45).unwatched().minutes()).isZero();
        assertThat(trace(240, 45, 541, 45).unwatched().minutes()).isCloseTo(301, within(1e-9));
        assertThat(trace(0, 45, 91, 61).credited().minutes())
                .as("one end above the ceiling")
                .isZero();
    }

    /** 50 → 70 in 60 min passes 60 halfway: 30 min above, credited only below. Above max(60 + 10, 80) nothing yet. */
    @Test
    void heatAboveTheCeilingIsSaidAndNotCredited() {
        HeatTrace hot = trace(0, 50, 60, 70);
        assertThat(hot.aboveCeiling().minutes()).isCloseTo(30, within(1e-9));
        assertThat(hot.credited().minutes()).isCloseTo(30, within(1e-9));
        assertThat(hot.isOverheated()).isTrue();
        assertThat(hot.scorched()).isFalse();
        // 70 → 100 in 30 min: 20 min above 80
        assertThat(trace(0, 70, 30, 100).scorched()).isTrue();
        assertThat(trace(0, 50, 1, 111).scorched()).as("110 °C at once").isTrue();
    }

    /**
     * 38 °C is 2 under the low end: dry herb earns 2^−0.2 = 0.871 of an hour, 52.2 min; wet herb nothing below 40. From 38 to 42
     * in an hour only the upper half counts: 30 min.
     */
    @Test
    void wetHerbEarnsNothingBelowForty() {
        assertThat(trace(0, 38, 60, 38).credited().minutes()).isCloseTo(52.2, within(0.1));
        assertThat(wet(0, 38, 60, 38).credited().minutes()).isZero();
        assertThat(wet(0, 38, 60, 42).credited().minutes()).isCloseTo(30, within(1e-9));
        assertThat(HeatTrace.rateAt(new Heated(WARM, true), Temperature.ofCelsius(39.9)))
                .isZero();
        assertThat(HeatTrace.rateAt(new Heated(WARM, true), Temperature.ofCelsius(40)))
                .isEqualTo(1);
    }

    /**
     * 70 °C, heat off after ten minutes, 66 °C after thirty: that was half an hour above 60, though it earns nothing. Over a night
     * only the time up to the event is known.
     */
    @Test
    void heatPutOffBetweenTwoHotReadingsHidesNothing() {
        List<HeatReading> hot = List.of(reading(0, 70), reading(30, 66));
        HeatTrace trace = HeatTrace.of(new Heated(WARM, false), START, hot, List.of(START.plusSeconds(600)));
        assertThat(trace.aboveCeiling().minutes()).isCloseTo(30, within(1e-9));
        assertThat(trace.isOverheated()).isTrue();
        assertThat(trace.credited().minutes()).isZero();
        assertThat(trace.inBand().minutes()).isZero();
        HeatTrace overnight = HeatTrace.of(
                new Heated(WARM, false),
                START,
                List.of(reading(0, 62), reading(900, 62)),
                List.of(START.plusSeconds(300), START.plusSeconds(50_000)));
        assertThat(overnight.aboveCeiling().minutes()).isCloseTo(5, within(1e-9));
    }

    @Test
    void justAtTheCeilingIsNotAboveIt() {
        assertThat(trace(0, 60, 60, 60).aboveCeiling().minutes()).isZero();
        assertThat(trace(0, 60, 60, 60).credited().minutes()).isCloseTo(60, within(1e-9));
        assertThat(trace(0, 60.1, 60, 60.1).aboveCeiling().minutes()).isCloseTo(60, within(1e-9));
    }

    /** An oven or a pan scorches from 120 °C, wherever its ceiling was put; every other way at 110. */
    @Test
    void anOvenSetLowerScorchesWhereAnyOvenDoes() {
        for (Stage stage : List.of(Method.OVEN.first(), Method.JUICY_PAN.first())) {
            Stage lower = stage.at(
                    new app.velvetcrock.core.method.Band(Temperature.ofCelsius(85), Temperature.ofCelsius(95)),
                    java.util.Optional.of(Temperature.ofCelsius(100)));
            assertThat(HeatTrace.of(new Heated(lower, false), START, List.of(reading(0, 115)), List.of())
                            .scorched())
                    .as(stage.key())
                    .isFalse();
            assertThat(HeatTrace.of(new Heated(lower, false), START, List.of(reading(0, 120.5)), List.of())
                            .scorched())
                    .as(stage.key())
                    .isTrue();
        }
        assertThat(HeatTrace.of(new Heated(WARM, false), START, List.of(reading(0, 110)), List.of())
                        .scorched())
                .isTrue();
    }

    /**
     * Two readings are a line, trusted for twenty minutes: 46 to 54 °C in half an hour reaches 60 after 22, so nothing is said; 46
     * to 55 after 16.7.
     */
    @Test
    void anAlarmSpeaksOverTheCeilingAndBeforeItIsReached() {
        assertThat(alarm(reading(0, 46), reading(30, 54))).isEmpty();
        HeatAlarm rising = alarm(reading(0, 46), reading(30, 55)).orElseThrow();
        assertThat(rising.reached().orElseThrow()).isEqualTo(Duration.ofSeconds(1000));
        assertThat(rising.lookAgain())
                .isEqualTo(rising.latest().at().plus(rising.reached().get()));
        HeatAlarm over = alarm(reading(0, 50), reading(30, 63)).orElseThrow();
        assertThat(over.isOver()).isTrue();
        assertThat(over.lookAgain()).isEqualTo(over.latest().at().plusSeconds(300));
        assertThat(alarm(reading(0, 63), reading(10, 60)))
                .as("a reading below ends it")
                .isEmpty();
        assertThat(alarm(reading(0, 50), reading(0, 55)))
                .as("two at one moment tell no course")
                .isEmpty();
        HeatAlarm early =
                alarm(reading(0, 41), reading(15, 47), reading(30, 52)).orElseThrow();
        assertThat(early.reached()).as("too early to say when").isEmpty();
        assertThat(early.isOver()).isFalse();
        assertThat(early.lookAgain()).isBefore(early.latest().at().plus(Duration.ofMinutes(30)));
    }

    private static Optional<HeatAlarm> alarm(HeatReading... readings) {
        List<HeatReading> since = List.of(readings);
        return HeatAlarm.of(
                new Heated(WARM, false),
                since,
                some -> HeatForecast.of(some, HeatForecast.Surroundings.of(false)),
                Duration.ofHours(1));
    }

    @Test
    void heatPutOffSplitsTheCurve() {
        List<HeatReading> readings = List.of(reading(0, 45), reading(30, 45), reading(60, 45));
        assertThat(HeatTrace.of(new Heated(WARM, false), START, readings, List.of())
                        .credited()
                        .minutes())
                .isCloseTo(60, within(1e-9));
        assertThat(HeatTrace.of(new Heated(WARM, false), START, readings, List.of(START.plusSeconds(45 * 60)))
                        .credited()
                        .minutes())
                .isCloseTo(30, within(1e-9));
    }

    /**
     * Credit never exceeds the clock, does not hang on the order readings were written in, and a reading between two on the line
     * changes nothing.
     */
    @Test
    void creditIsNeverMoreThanTime() {
        Random random = new Random(3);
        for (int i = 0; i < Cases.of(500); i++) {
            List<HeatReading> readings = new ArrayList<>();
            int at = 0;
            for (int n = 0; n < 6; n++) {
                readings.add(reading(at, 20 + random.nextInt(50)));
                at += 2 * (5 + random.nextInt(40));
            }
            HeatTrace trace = HeatTrace.of(new Heated(WARM, false), START, readings, List.of());
            double minutes =
                    trace.runs().stream().mapToDouble(HeatTrace.Run::minutes).sum();
            assertThat(trace.credited().minutes()).isBetween(0.0, minutes + 1e-9);
            HeatReading a = readings.get(2);
            HeatReading b = readings.get(3);
            readings.add(
                    0,
                    new HeatReading(
                            Instant.ofEpochMilli((a.at().toEpochMilli() + b.at().toEpochMilli()) / 2),
                            Temperature.ofCelsius(
                                    (a.temperature().celsius() + b.temperature().celsius()) / 2)));
            assertThat(HeatTrace.of(new Heated(WARM, false), START, readings, List.of())
                            .credited()
                            .minutes())
                    .isCloseTo(trace.credited().minutes(), within(1e-6));
        }
    }

    private static HeatTrace trace(int from, double first, int to, double last) {
        return HeatTrace.of(
                new Heated(WARM, false), START, List.of(reading(from, first), reading(to, last)), List.of());
    }

    private static HeatTrace wet(int from, double first, int to, double last) {
        return HeatTrace.of(new Heated(WARM, true), START, List.of(reading(from, first), reading(to, last)), List.of());
    }

    private static HeatReading reading(int minutes, double celsius) {
        return new HeatReading(START.plusSeconds(minutes * 60L), Temperature.ofCelsius(celsius));
    }
}
