package app.velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.heat.HeatForecast.Surroundings;
import app.velvetcrock.core.heat.SourceLearned.Suits;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SourceCurveTest {

    private static final Instant START = Instant.parse("2026-11-24T10:00:00Z");
    private static final Volume HALF_LITRE = Volume.ofMillilitres(500);

    /** The cooker of the handbook: warm ends at 48 °C, low at 66, τ 70 min; a probe's noise of 0.2 °C every two minutes for 3 hours. */
    @Test
    void aWatchedSessionShowsWhereItEnds() {
        SourceCurve low = session(66, 180, 2, new Random(7)).orElseThrow();
        assertThat(low.end().celsius()).isCloseTo(66, within(1.0));
        assertThat(low.tau().toMinutes()).isBetween(65L, 76L);
        assertThat(low.warmUp(Temperature.ofCelsius(20), Temperature.ofCelsius(40))
                        .orElseThrow()
                        .toMinutes())
                .as("70 · ln(46/26) = 39.9")
                .isBetween(37L, 43L);
        assertThat(session(48, 180, 2, new Random(8))
                        .orElseThrow()
                        .warmUp(Temperature.ofCelsius(20), Temperature.ofCelsius(52)))
                .as("48 never gets there")
                .isEmpty();
    }

    /** Twenty-five minutes say little of where it ends, and nothing is learned from them. */
    @Test
    void ashortSessionTeachesNothing() {
        assertThat(session(66, 25, 5, new Random(9))).isEmpty();
    }

    /** Three times low and once warm, of half a litre; a litre and a half is another matter. */
    @Test
    void eachSettingIsLearnedForItsLoad() {
        List<SourceCurve> curves = List.of(
                curve(HeatSetting.LOW, 500, 65, 60),
                curve(HeatSetting.LOW, 600, 66, 70),
                curve(HeatSetting.LOW, 400, 67, 80),
                curve(HeatSetting.LOW, 1500, 62, 140),
                curve(HeatSetting.WARM, 500, 48, 70));
        List<SourceLearned> learned = SourceLearned.of(curves, Optional.of(HALF_LITRE));
        assertThat(learned).extracting(SourceLearned::sessions).containsExactly(1, 3);
        SourceLearned low = learned.get(1);
        assertThat(low.curve().end().celsius()).isCloseTo(66, within(1e-9));
        assertThat(low.curve().tau()).isEqualTo(Duration.ofMinutes(70));
        assertThat(low.suits(Method.SLOW_WARM.first())).isEqualTo(Suits.TOO_HOT);
        assertThat(SourceLearned.best(learned, Method.SLOW_WARM.first())
                        .orElseThrow()
                        .curve()
                        .setting())
                .contains(HeatSetting.WARM);
        assertThat(SourceLearned.best(List.of(low), Method.SLOW_WARM.first())).isEmpty();
        assertThat(SourceLearned.of(curves, Optional.empty()))
                .extracting(SourceLearned::sessions)
                .containsExactly(1, 4);
    }

    /** With another load it is said with which. */
    @Test
    void whatIsKnownOfAnotherLoadIsSaidWithIt() {
        Wording say = new Wording(HouseholdUnits.METRIC, java.time.ZoneOffset.UTC);
        List<SourceCurve> curves = List.of(curve(HeatSetting.LOW, 500, 66, 70), curve(HeatSetting.WARM, 500, 48, 70));
        assertThat(SourceLearned.advice("The cooker", curves, HALF_LITRE, Method.SLOW_WARM.first(), say))
                .contains(
                        "The cooker, with about 500 mL in it: on warm it ends at about 48 °C (once): suits, 6.5 of 8 h in its band; "
                                + "on low it ends at about 66 °C (once): too hot for this way.");
        assertThat(SourceLearned.advice(
                        "The cooker", curves.subList(0, 1), Volume.ofMillilitres(1500), Method.SLOW_WARM.first(), say))
                .contains(
                        "The cooker, with 500 mL in it, unlike the 1.5 L here, whose warming up is taken as 45 min: on low it ends"
                                + " at about 66 °C (once): too hot for this way. Nothing it was turned to so far stays under the ceiling"
                                + " of this way.");
        assertThat(SourceLearned.advice("The cooker", List.of(), HALF_LITRE, Method.SLOW_WARM.first(), say))
                .isEmpty();
    }

    private static SourceCurve curve(HeatSetting setting, double load, double end, long tau) {
        return new SourceCurve(
                Optional.of(setting),
                Volume.ofMillilitres(load),
                Temperature.ofCelsius(end),
                Duration.ofMinutes(tau),
                Optional.of(Temperature.ofCelsius(20)));
    }

    /** Readings that begin in the band say nothing of how long it took to get there: 70 · ln(28/8) = 87.7 min is seen, to five 85. */
    @Test
    void aWarmUpIsLearnedOnlyFromWhatWasSeenToBeginBelowTheBand() {
        SourceCurve seen = curve(HeatSetting.WARM, 500, 48, 70);
        SourceCurve warm = new SourceCurve(
                Optional.of(HeatSetting.WARM),
                HALF_LITRE,
                Temperature.ofCelsius(50),
                Duration.ofMinutes(240),
                Optional.of(Temperature.ofCelsius(44)));
        assertThat(SourceLearned.warmUp(List.of(seen), HALF_LITRE, Method.SLOW_WARM.first()))
                .contains(Duration.ofMinutes(85));
        assertThat(SourceLearned.warmUp(List.of(warm), HALF_LITRE, Method.SLOW_WARM.first()))
                .isEmpty();
        assertThat(SourceLearned.warmUp(List.of(seen, warm), HALF_LITRE, Method.SLOW_WARM.first()))
                .as("what began in the band is not averaged in")
                .contains(Duration.ofMinutes(85));
    }

    /** Ends at 41 °C, but takes 240 · ln(21/1) = 731 min to come to 40: of eight hours none is in the band. */
    @Test
    void whatSuitsIsInItsBandForMostOfItsHours() {
        assertThat(SourceLearned.of(List.of(curve(HeatSetting.WARM, 500, 41, 240)), Optional.empty())
                        .get(0)
                        .suits(Method.SLOW_WARM.first()))
                .isEqualTo(Suits.TOO_COOL);
    }

    /** Known to end at 90: from 20 °C it is past 60 after 70 · ln(70/30) = 59 min, from 55 after 70 · ln(35/30) = 10. */
    @Test
    void whatASourceIsKnownToDoIsSaidTheMomentItIsTurned() {
        Wording say = new Wording(HouseholdUnits.METRIC, java.time.ZoneOffset.UTC);
        List<SourceCurve> curves = List.of(curve(HeatSetting.HIGH, 500, 90, 70), curve(HeatSetting.WARM, 500, 48, 70));
        assertThat(warning(curves, HeatSetting.HIGH, Optional.empty(), say))
                .contains("The cooker on high it ends at about 90 °C (once): past 60 °C in about 59 min."
                        + " Turn it lower, or stay beside it with the lid off.");
        assertThat(warning(curves, HeatSetting.HIGH, Optional.of(Temperature.ofCelsius(55)), say)
                        .orElseThrow())
                .contains("in about 10 min");
        assertThat(warning(curves, HeatSetting.WARM, Optional.empty(), say)).isEmpty();
        assertThat(warning(curves, HeatSetting.LOW, Optional.empty(), say))
                .as("never seen")
                .isEmpty();
    }

    private static Optional<String> warning(
            List<SourceCurve> curves, HeatSetting setting, Optional<Temperature> from, Wording say) {
        return SourceLearned.warning(
                "The cooker", curves, HALF_LITRE, Optional.of(setting), Method.SLOW_WARM.first(), from, say);
    }

    private static Optional<SourceCurve> session(double end, int minutes, int every, Random random) {
        List<HeatReading> readings = new ArrayList<>();
        for (int at = 0; at <= minutes; at += every) {
            readings.add(new HeatReading(
                    START.plusSeconds(at * 60L),
                    Temperature.ofCelsius(end + (20 - end) * Math.exp(-at / 70.0) + 0.2 * random.nextGaussian()),
                    true));
        }
        return SourceCurve.shown(readings, Optional.of(HeatSetting.LOW), HALF_LITRE, Surroundings.of(false));
    }
}
