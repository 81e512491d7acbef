package app.velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Method;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Properties of a course of heat that comes in piece by piece. */
class HeatRecordTest {

    private static final Instant START = Instant.parse("2026-11-24T08:00:00Z");
    private static final Heated WARM = new Heated(Method.SLOW_WARM.first(), false);
    private static final Heated WET = new Heated(Method.SLOW_WARM.first(), true);

    private final Random random = new Random(160);

    /** A day of a probe or of a person, with what was done in between; some of it at the same moment as a reading. */
    private List<Object> day() {
        List<Object> day = new ArrayList<>();
        double celsius = 20 + random.nextInt(20);
        boolean probe = random.nextBoolean();
        long second = 0;
        for (int i = 0; i < 20 + random.nextInt(200); i++) {
            second += probe ? 10 + random.nextInt(900) : 300 + random.nextInt(9_000);
            celsius = Math.max(5, Math.min(125, celsius + 12 * random.nextDouble() - 5.5));
            day.add(new HeatReading(
                    START.plusSeconds(second), Temperature.ofCelsius(celsius), probe == (random.nextInt(10) > 0)));
            if (random.nextInt(8) == 0) {
                HeatChange[] all = HeatChange.values();
                day.add(new HeatEvent(
                        START.plusSeconds(second + random.nextInt(200)), all[random.nextInt(all.length)]));
            }
        }
        return day;
    }

    private static HeatRecord of(Heated heated, List<Object> items) {
        HeatRecord record = new HeatRecord(heated, START);
        for (Object item : items) {
            if (item instanceof HeatReading reading) {
                record.add(reading);
            } else {
                record.add((HeatEvent) item);
            }
        }
        return record;
    }

    /** Any order of arrival, anything sent twice: the same course, to the last bit, and the same as all at once. */
    @Test
    void anyOrderOfArrivalGivesTheSameCourse() {
        for (int i = 0; i < 200; i++) {
            Heated heated = random.nextBoolean() ? WARM : WET;
            List<Object> day = day();
            HeatTally inOrder = of(heated, day).tally();
            List<Object> anyhow = new ArrayList<>(day);
            anyhow.addAll(day.subList(0, day.size() / 3));
            Collections.shuffle(anyhow, random);
            assertThat(of(heated, anyhow).tally()).isEqualTo(inOrder);
            HeatTrace atOnce = HeatTrace.told(
                    heated,
                    START,
                    day.stream()
                            .filter(HeatReading.class::isInstance)
                            .map(HeatReading.class::cast)
                            .toList(),
                    day.stream()
                            .filter(HeatEvent.class::isInstance)
                            .map(HeatEvent.class::cast)
                            .toList());
            assertThat(atOnce.credited().minutes()).isEqualTo(inOrder.credited());
            assertThat(atOnce.aboveCeiling().minutes()).isEqualTo(inOrder.above());
            assertThat(atOnce.unwatched().minutes()).isEqualTo(inOrder.unwatched());
        }
    }

    /** Gone on from any checkpoint, by whoever kept it: the same course, to the last bit. */
    @Test
    void goingOnFromACheckpointIsTheSame() {
        for (int i = 0; i < 60; i++) {
            Heated heated = random.nextBoolean() ? WARM : WET;
            List<Object> day = new ArrayList<>(day());
            for (int n = 0; n < 300; n++) {
                day.add(new HeatReading(
                        START.plusSeconds(400_000 + n * 10L), Temperature.ofCelsius(40 + random.nextInt(20)), true));
            }
            HeatRecord whole = of(heated, day);
            HeatRecord.Checkpoint kept =
                    whole.checkpoints().get(random.nextInt(whole.checkpoints().size()));
            HeatRecord resumed = new HeatRecord(heated, START, kept);
            day.stream().filter(item -> at(item).isAfter(kept.at())).forEach(item -> {
                if (item instanceof HeatReading reading) {
                    resumed.add(reading);
                } else {
                    resumed.add((HeatEvent) item);
                }
            });
            assertThat(resumed.tally()).isEqualTo(whole.tally());
        }
    }

    private static Instant at(Object item) {
        return item instanceof HeatReading reading ? reading.at() : ((HeatEvent) item).at();
    }

    /**
     * 46 °C, then 24 °C half a minute later: more than 8 °C in a minute asks whether the probe is in the oil, and nothing counts
     * until that is answered. 46 to 39 °C does not ask; nor does a fall of 9 °C in two minutes, nor one cold oil explains.
     */
    @Test
    void aFallTooSteepForOilAsks() {
        HeatTally out = of(WARM, List.of(probed(0, 46), probed(30, 24), probed(330, 46), probed(630, 46)))
                .tally();
        assertThat(out.plunge().doubt()).contains(START.plusSeconds(30));
        assertThat(out.credited()).isZero();
        HeatTally answered = of(
                        WARM,
                        List.of(
                                probed(0, 46),
                                probed(30, 24),
                                probed(330, 46),
                                new HeatEvent(START.plusSeconds(340), HeatChange.PROBE_IN_OIL),
                                probed(630, 46),
                                probed(930, 46)))
                .tally();
        assertThat(answered.plunge().doubt()).isEmpty();
        // across the answer by the lower of two rates of 1, then along the line: 300 + 300 s
        assertThat(answered.credited()).isCloseTo(10, within(1e-9));
        for (List<Object> fine : List.<List<Object>>of(
                List.of(probed(0, 46), probed(60, 39)),
                List.of(probed(0, 46), probed(60, 41), probed(120, 37)),
                List.of(probed(0, 46), new HeatEvent(START.plusSeconds(10), HeatChange.OIL_TOPPED_UP), probed(30, 30)),
                List.of(reading(0, 46), reading(1, 20)))) {
            assertThat(of(WARM, fine).tally().plunge().doubt()).as("%s", fine).isEmpty();
        }
        // in small steps it is a fall all the same: 3 °C every 15 s are 12 in a minute
        assertThat(of(WARM, List.of(probed(0, 46), probed(15, 43), probed(30, 40), probed(45, 37)))
                        .tally()
                        .plunge()
                        .doubt())
                .contains(START.plusSeconds(45));
    }

    private static HeatReading probed(int second, double celsius) {
        return new HeatReading(START.plusSeconds(second), Temperature.ofCelsius(celsius), true);
    }

    /** Against a sum of slices of a tenth of a second, along the lines between readings: a thousandth at most. */
    @Test
    void agreesWithAFineSumOfSlices() {
        for (int i = 0; i < 60; i++) {
            Heated heated = i % 2 == 0 ? WARM : WET;
            List<Object> readings = new ArrayList<>();
            double celsius = 30;
            for (int n = 0; n < 40; n++) {
                celsius = Math.max(12, Math.min(95, celsius + 14 * random.nextDouble() - 6));
                readings.add(new HeatReading(START.plusSeconds(n * 60L), Temperature.ofCelsius(celsius), true));
            }
            HeatTally tally = of(heated, readings).tally();
            double credited = 0;
            double degrees = 0;
            double lukewarm = 0;
            double slice = 0.1 / 60;
            for (int n = 1; n < readings.size(); n++) {
                double a = ((HeatReading) readings.get(n - 1)).temperature().celsius();
                double b = ((HeatReading) readings.get(n)).temperature().celsius();
                for (int part = 0; part < 600; part++) {
                    double t = a + (b - a) * (part + 0.5) / 600;
                    credited += slice * HeatTrace.rateAt(heated, Temperature.ofCelsius(t));
                    degrees += slice * Math.max(0, t - 60);
                    lukewarm += t >= 10 && t <= 40 ? slice : 0;
                }
            }
            assertThat(tally.credited()).isCloseTo(credited, within(0.001 * credited + 0.01));
            assertThat(tally.degreeMinutes()).isCloseTo(degrees, within(0.001 * degrees + 0.01));
            assertThat(tally.lukewarm()).isCloseTo(lukewarm, within(0.001 * lukewarm + 0.01));
        }
    }

    /** What is read inside a gap nobody watched, at a rate between those of its ends, never takes credit away. */
    @Test
    void aReadingInsideAGapNeverLowersTheCredit() {
        for (int i = 0; i < 2_000; i++) {
            double a = 20 + 45 * random.nextDouble();
            double b = 20 + 45 * random.nextDouble();
            int gap = 95 + random.nextInt(600);
            double inside = Math.min(a, b) + Math.abs(b - a) * random.nextDouble();
            HeatReading first = reading(0, a);
            HeatReading last = reading(gap, b);
            HeatReading between = reading(1 + random.nextInt(gap - 1), inside);
            double low = Math.min(rate(a), rate(b));
            if (rate(inside) < low || rate(inside) > Math.max(rate(a), rate(b))) {
                continue;
            }
            double before = of(WARM, List.of(first, last)).tally().credited();
            assertThat(of(WARM, List.of(first, last, between)).tally().credited())
                    .as("%s, %s, %s", first, between, last)
                    .isGreaterThanOrEqualTo(before - 1e-9);
        }
    }

    /** Splitting a run at a point on its line changes nothing. */
    @Test
    void aPointOnTheLineChangesNothing() {
        for (int i = 0; i < 500; i++) {
            HeatReading a = reading(0, 10 + 80 * random.nextDouble());
            HeatReading b = reading(60, 10 + 80 * random.nextDouble());
            int at = 1 + random.nextInt(59);
            double there = a.temperature().celsius()
                    + (b.temperature().celsius() - a.temperature().celsius()) * at / 60.0;
            HeatTally whole = of(WARM, List.of(a, b)).tally();
            HeatTally split = of(WARM, List.of(a, reading(at, there), b)).tally();
            assertThat(split.credited()).isCloseTo(whole.credited(), within(1e-6));
            assertThat(split.inBand()).isCloseTo(whole.inBand(), within(1e-6));
            assertThat(split.above()).isCloseTo(whole.above(), within(1e-6));
            assertThat(split.degreeMinutes()).isCloseTo(whole.degreeMinutes(), within(1e-6));
        }
    }

    /** A probe that is silent for more than ten minutes is not trusted; a person is, for an hour and a half. */
    @Test
    void aSilentProbeIsNotTrusted() {
        HeatReading warm = new HeatReading(START, Temperature.ofCelsius(45), true);
        HeatReading later = new HeatReading(START.plusSeconds(11 * 60), Temperature.ofCelsius(45), true);
        assertThat(of(WARM, List.of(warm, later)).tally().unwatched()).isCloseTo(11, within(1e-9));
        assertThat(of(WARM, List.of(warm, new HeatReading(later.at(), later.temperature())))
                        .tally()
                        .unwatched())
                .isZero();
    }

    /** 45 °C at both ends of half an hour: with the lid lifted in between it still counts, with the heat put off it does not. */
    @Test
    void whatWasDoneInBetweenSplitsTheLine() {
        HeatReading a = reading(0, 35);
        HeatReading b = reading(30, 45);
        Instant middle = START.plus(Duration.ofMinutes(15));
        double lower = 30 * Math.pow(2, -0.5);
        assertThat(of(WARM, List.of(a, new HeatEvent(middle, HeatChange.LID_OFF), b))
                        .tally()
                        .credited())
                .isCloseTo(lower, within(1e-9));
        assertThat(of(WARM, List.of(a, new HeatEvent(middle, HeatChange.OFF), b))
                        .tally()
                        .credited())
                .isZero();
    }

    private static double rate(double celsius) {
        return HeatTrace.rateAt(WARM, Temperature.ofCelsius(celsius));
    }

    private static HeatReading reading(int minutes, double celsius) {
        return new HeatReading(START.plusSeconds(minutes * 60L), Temperature.ofCelsius(celsius));
    }
}
