package app.velvetcrock.core.method;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The shipped templates against the craft's table of methods. */
class MethodTest {

    @ParameterizedTest(name = "{0}, {1}")
    @CsvSource(
            delimiter = '|',
            nullValues = "none",
            textBlock =
                    """
            cold-dark    | stand | DAYS    | 21  | 35  | 56  | 15 | 22  | none | none
            sun-window   | sun   | DAYS    | 7   | 21  | 28  | 15 | 29  | none | light
            water-bath   | bath  | MINUTES | 240 | 360 | 480 | 43 | 50  | 60   | attended
            quick-bath   | quick | MINUTES | 30  | 60  | 120 | 50 | 60  | 65   | attended
            slow-warm    | warm  | HOURS   | 8   | 8   | 72  | 40 | 52  | 60   | none
            oven         | oven  | MINUTES | 60  | 120 | 180 | 90 | 110 | 110  | attended
            heat-rest    | heat  | MINUTES | 30  | 60  | 120 | 43 | 60  | 65   | attended
            heat-rest    | rest  | DAYS    | 7   | 14  | 21  | 15 | 22  | none | none
            spirit-first | moist | HOURS   | 12  | 24  | 24  | 15 | 22  | none | none
            spirit-first | open  | MINUTES | 120 | 180 | 240 | 43 | 50  | 60   | attended
            fresh-low    | wilt  | HOURS   | 12  | 24  | 24  | 15 | 25  | none | none
            fresh-low    | low   | HOURS   | 24  | 24  | 48  | 43 | 50  | 60   | none
            juicy-pan    | pan   | MINUTES | 7   | 10  | 20  | 80 | 110 | 110  | attended
            juicy-pan    | stand | HOURS   | 12  | 12  | 24  | 2  | 8   | none | none
            """)
    void stagesAreAsTheCraftHasThem(
            String method,
            String key,
            Pace pace,
            int least,
            int usual,
            int most,
            double low,
            double high,
            Double ceiling,
            String mark) {
        Stage stage = Method.of(method).orElseThrow().stages().stream()
                .filter(s -> s.key().equals(key))
                .findFirst()
                .orElseThrow();
        assertThat(stage.pace()).isEqualTo(pace);
        assertThat(List.of(stage.least(), stage.usual(), stage.most())).containsExactly(least, usual, most);
        assertThat(stage.band()).isEqualTo(Band.ofCelsius(low, high));
        assertThat(stage.ceiling().map(t -> t.celsius()).orElse(null)).isEqualTo(ceiling);
        assertThat(stage.attended()).isEqualTo("attended".equals(mark));
        assertThat(stage.inLight()).isEqualTo("light".equals(mark));
    }

    @Test
    void thereAreTenAndEachIsNamedOnce() {
        Set<String> keys = new HashSet<>();
        Method.shipped().forEach(method -> assertThat(keys.add(method.key()) && keys.add(method.name()))
                .as(method.key())
                .isTrue());
        assertThat(Method.shipped()).hasSize(10);
        assertThat(Method.of("boiling")).isEmpty();
    }

    /** Seven things the schools never agreed on; each has both sides and ours. */
    @Test
    void disagreementsAreKeptAsChoices() {
        assertThat(Disagreement.shipped())
                .hasSize(7)
                .extracting(Disagreement::topic)
                .containsExactly(
                        "Dark or sun",
                        "Ceiling of 43 or of 60",
                        "Strain warm or cold",
                        "Press or drip",
                        "Powder or coarse",
                        "Dried only or fresh",
                        "Vitamin E or not");
    }

    @Test
    void stageKeysOfAMethodDiffer() {
        // a task is known by its stage's key; two alike would do each other's tasks
        assertThat(Method.shipped())
                .allSatisfy(method ->
                        assertThat(method.stages()).extracting(Stage::key).doesNotHaveDuplicates());
    }

    /** Attended heat is read every 15 minutes; slow heat each hour for four hours, then each four. */
    @Test
    void heatIsReadInItsRhythm() {
        Tending bath = Method.WATER_BATH.first().tending(Tending.Kind.READ).orElseThrow();
        assertThat(List.of(bath.at(1), bath.at(2), bath.at(24))).containsExactly(15, 30, 360);
        Tending slow = Method.SLOW_WARM.first().tending(Tending.Kind.READ).orElseThrow();
        assertThat(List.of(slow.at(1), slow.at(4), slow.at(5), slow.at(6))).containsExactly(1, 4, 8, 12);
        assertThat(slow.everyAt(3)).isEqualTo(1);
        assertThat(slow.everyAt(4)).isEqualTo(4);
    }

    @ParameterizedTest
    @CsvSource({
        "DAYS, 1, 1 day, 1 d",
        "DAYS, 35, 35 days, 35 d",
        "HOURS, 8, 8 hours, 8 h",
        "MINUTES, 60, 60 minutes, 60 min",
        "MINUTES, 360, 6 hours, 6 h",
        "MINUTES, 90, 90 minutes, 90 min"
    })
    void lengthsAreSaidAsPeopleSayThem(Pace pace, int count, String words, String brief) {
        assertThat(pace.words(count)).isEqualTo(words);
        assertThat(pace.brief(count)).isEqualTo(brief);
    }

    @Test
    void headspaceAndHeatFollowTheStages() {
        assertThat(Method.COLD_AND_DARK.headspace()).isEqualTo(0.10);
        assertThat(Method.HEAT_THEN_REST.headspace()).isEqualTo(0.15);
        assertThat(Method.HEAT_THEN_REST.hottest()).isEqualTo(Band.ofCelsius(43, 60));
        assertThat(Method.SUN_WINDOW.isInLight()).isTrue();
        assertThat(Method.SPIRIT_FIRST.usualLengths()).containsExactly(24, 180);
    }
}
