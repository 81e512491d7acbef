package app.velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.heat.HeatForecast.Surroundings;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Method;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A warning of the heat never grows weaker while the danger grows, and heat nobody looks at is a danger of its own. */
class HeatAlarmTest {

    private static final Instant START = Instant.parse("2026-11-24T10:00:00Z");
    private static final Heated WARM = new Heated(Method.SLOW_WARM.first(), false);
    private static final Wording SAY = new Wording(HouseholdUnits.METRIC, ZoneOffset.UTC);

    /** Readings "minutes:°C" and the words of what is said at the last of them; a ceiling of 60 °C. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            textBlock =
                    """
            0:41 15:47 30:52          | may pass 60 °C, at the earliest in about 24 min; it is too early to say when: turn it
            0:44 20:50 40:56          | On this course it is past 60 °C in about 13 min: turn it to warm or lift the lid
            0:44 20:50 40:56 50:59    | 59 °C is close under its ceiling of 60 °C and rising: turn it to warm or lift the lid now
            0:57 10:58                | 58 °C is close under its ceiling of 60 °C and rising: turn it to warm or lift the lid now
            0:58 10:58 20:58          | -
            0:59 10:58 20:57.5        | -
            0:50 20:55                | On this course it is past 60 °C in about 20 min
            0:50 30:63                | 63 °C is over its ceiling of 60 °C: turn it to warm or off and lift the lid now
            0:63 10:60                | -
            0:44 20:50 40:56 45:55.5  | it is past 60 °C
            0:44 20:50 40:56 45:55 50:54 | -
            """)
    void whatIsSaidAtTheLastReading(String read, String words) {
        Optional<HeatAlarm> alarm = alarm(readings(read));
        if (words == null) {
            assertThat(alarm).isEmpty();
        } else {
            assertThat(alarm.orElseThrow().words(true, alarm.get().latest().at(), SAY))
                    .contains(words);
        }
    }

    private static List<HeatReading> readings(String read) {
        List<HeatReading> readings = new ArrayList<>();
        for (String one : read.split(" ")) {
            String[] cells = one.split(":");
            readings.add(new HeatReading(
                    START.plusSeconds(Long.parseLong(cells[0]) * 60),
                    Temperature.ofCelsius(Double.parseDouble(cells[1]))));
        }
        return readings;
    }

    private static Optional<HeatAlarm> alarm(List<HeatReading> readings) {
        return HeatAlarm.of(WARM, readings, some -> HeatForecast.of(some, Surroundings.of(false)), Duration.ofHours(1));
    }

    /** Of 300 random courses that rise past the ceiling, once a warning stands it stands at every reading until it is passed. */
    @Test
    void aWarningGivenHoldsUntilTheCeilingIsPassed() {
        Random random = new Random(11);
        int warned = 0;
        for (int n = 0; n < Cases.of(300); n++) {
            double end = 62 + 40 * random.nextDouble();
            double tau = 20 + 120 * random.nextDouble();
            List<HeatReading> readings = new ArrayList<>();
            boolean stands = false;
            double celsius = 0;
            for (int at = 0; celsius < 60; at += 5 + random.nextInt(20)) {
                celsius = end + (20 - end) * Math.exp(-at / tau);
                readings.add(new HeatReading(START.plusSeconds(at * 60L), Temperature.ofCelsius(celsius)));
                Optional<HeatAlarm> now = alarm(readings);
                assertThat(now.isPresent() || !stands)
                        .as(end + " " + tau + " " + celsius)
                        .isTrue();
                stands |= now.isPresent();
                if (now.isPresent()) {
                    warned++;
                    assertThat(now.get()
                                    .words(
                                            true,
                                            readings.get(readings.size() - 1).at(),
                                            SAY))
                            .as("it says what to do")
                            .contains("lift the lid");
                }
            }
        }
        assertThat(warned).isGreaterThan(600);
    }

    /** Minutes are counted from now, not from the reading that told them. */
    @Test
    void minutesGrowFewerWhileNobodyReads() {
        HeatAlarm alarm = alarm(readings("0:40 20:50")).orElseThrow();
        Instant read = alarm.latest().at();
        assertThat(alarm.words(true, read, SAY)).contains("past 60 °C in about 20 min");
        assertThat(alarm.words(true, read.plusSeconds(10 * 60), SAY)).contains("past 60 °C in about 10 min");
        assertThat(alarm.words(true, read.plusSeconds(40 * 60), SAY))
                .contains("past 60 °C by now")
                .contains("It was to be read again by 10:40");
    }

    /** Slow warm is looked at every hour: after two nobody looked; within 5 °C of its ceiling after half an hour. */
    @ParameterizedTest
    @CsvSource({"46, 119, false", "46, 121, true", "54, 119, false", "56, 31, true", "56, 29, false", "40, 660, true"})
    void heatNobodyReadsIsADangerOfItsOwn(double celsius, int minutes, boolean unseen) {
        Optional<NobodyLooked> found = NobodyLooked.of(
                START.minusSeconds(600),
                Optional.of(new HeatReading(START, Temperature.ofCelsius(celsius))),
                WARM.stage().ceiling(),
                Duration.ofHours(1),
                START.plusSeconds(minutes * 60L));
        assertThat(found.isPresent()).isEqualTo(unseen);
    }

    @Test
    void itSaysSinceWhenNobodyLooked() {
        Instant later = START.plus(Duration.ofHours(11));
        assertThat(NobodyLooked.of(START, Optional.empty(), WARM.stage().ceiling(), Duration.ofHours(1), later)
                        .orElseThrow()
                        .words(later, SAY))
                .isEqualTo(
                        "Nobody has looked at it for 11 h, since 24 Nov 2026, 10:00, when the heat was put on: look at the pot"
                                + " now, and read it.");
    }

    /** A bare number as the household's scale has it, and what it is in the other where only that fits: slow warm, 40-52, ceiling 60. */
    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {
                "115, true, 46.1",
                "46, true, -",
                "95, true, -",
                "101, true, 38.3",
                "200, true, -",
                "8, true, -",
                "105, true, 40.6",
                "7.8, false, 46",
                "46.1, false, -",
                "15, false, -",
                "-5, false, -"
            })
    void aNumberOfTheOtherScaleIsAskedAbout(double read, boolean celsius, Double meant) {
        Optional<Temperature> other = OtherScale.meant(Temperature.ofCelsius(read), celsius, WARM.stage());
        assertThat(other.map(one -> Math.round(one.celsius() * 10) / 10.0)).isEqualTo(Optional.ofNullable(meant));
    }

    /** In a water bath nothing is hotter than boiling water: 101 is not of Celsius. */
    @Test
    void aBathIsNeverHotterThanItsWater() {
        assertThat(OtherScale.meant(Temperature.ofCelsius(101), true, Method.WATER_BATH.first()))
                .isPresent();
    }
}
