package app.velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Put on at nine; the band begins at 40 °C. */
class WarmUpTest {

    private static final Instant ON = Instant.parse("2026-11-24T09:00:00Z");
    private static final Temperature LOW = Temperature.ofCelsius(40);

    /** 20 °C at nine, 35 at half past, 45 at ten: 40 is half-way between, 45 minutes. From 38 at 9:50 to 42 at 10:10 it is an hour. */
    @Test
    void theFirstWarmReadingTellsWhenTheBandWasReached() {
        assertThat(WarmUp.endedBy(ON, List.of(at(0, 20), at(30, 35)), at(60, 45), LOW))
                .contains(Duration.ofMinutes(45));
        assertThat(WarmUp.endedBy(ON, List.of(at(50, 38)), at(70, 42), LOW)).contains(Duration.ofMinutes(60));
    }

    @Test
    void whatCannotTellTeachesNothing() {
        assertThat(WarmUp.endedBy(ON, List.of(), at(60, 45), LOW))
                .as("nobody looked before")
                .isEmpty();
        assertThat(WarmUp.endedBy(ON, List.of(at(30, 41)), at(60, 45), LOW))
                .as("it was warm already")
                .isEmpty();
        assertThat(WarmUp.endedBy(ON, List.of(at(30, 30)), at(60, 39), LOW))
                .as("not warm yet")
                .isEmpty();
        assertThat(WarmUp.endedBy(ON, List.of(at(0, 20)), at(600, 45), LOW))
                .as("longer than any warm-up")
                .isEmpty();
    }

    /** 38 and 60 minutes are 49 in the mean: 50. */
    @Test
    void theMeanIsSaidToFiveMinutes() {
        assertThat(WarmUp.learned(List.of())).isEqualTo(Duration.ofMinutes(45));
        assertThat(WarmUp.learned(List.of(Duration.ofMinutes(38), Duration.ofMinutes(60))))
                .isEqualTo(Duration.ofMinutes(50));
        assertThat(WarmUp.learned(List.of(Duration.ZERO))).isEqualTo(Duration.ofMinutes(5));
    }

    private static HeatReading at(int minutes, double celsius) {
        return new HeatReading(ON.plus(Duration.ofMinutes(minutes)), Temperature.ofCelsius(celsius));
    }
}
