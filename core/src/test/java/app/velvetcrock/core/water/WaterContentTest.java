package app.velvetcrock.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Mass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WaterContentTest {

    /** m·(1 − w)/(1 − w′): 60·0.15/0.90 = 10; 100·0.28/0.90 = 31.1; 50·0.55/0.90 = 30.6; 80·0.4/0.90 = 35.6; 90·0.10/0.90 = 10. */
    @ParameterizedTest
    @CsvSource({
        "LEAF, FRESH, 60, 10.0",
        "ROOT, FRESH, 100, 31.1",
        "BUD, FRESH, 50, 30.6",
        "LEAF, WILTED, 80, 35.6",
        "BERRY, JUICY, 90, 10.0"
    })
    void freshAndDriedAreEquivalentBothWays(Part part, Moisture moisture, double grams, double dried) {
        WaterContent wet = WaterContent.of(part, Cut.WHOLE, moisture);
        Mass equal = wet.equivalent(Mass.ofGrams(grams), WaterContent.DRIED);
        assertThat(equal.grams()).isCloseTo(dried, within(0.05));
        assertThat(WaterContent.DRIED.equivalent(equal, wet).grams()).isCloseTo(grams, within(1e-9));
    }

    @Test
    void noHerbIsAllWater() {
        assertThatThrownBy(() -> new WaterContent(1))
                .hasMessageContaining("water is 1 of the weight; it must be between 0.01 and 0.97");
    }

    /** The lesser of 0.60 and 0.8 of the fresh: leaf 0.85 → 0.60, root 0.72 → 0.576, bud 0.45 → 0.36. */
    @Test
    void wiltingLeavesTheLesserOfSixTenthsAndFourFifths() {
        assertThat(WaterContent.of(Part.LEAF, Cut.WHOLE, Moisture.WILTED).fraction())
                .isCloseTo(0.60, within(1e-9));
        assertThat(WaterContent.of(Part.ROOT, Cut.WHOLE, Moisture.WILTED).fraction())
                .isCloseTo(0.576, within(1e-9));
        assertThat(WaterContent.of(Part.BUD, Cut.WHOLE, Moisture.WILTED).fraction())
                .isCloseTo(0.36, within(1e-9));
    }
}
