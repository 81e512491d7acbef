package app.velvetcrock.core.spirit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.measure.Mass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StrengthTest {

    /**
     * 40 %: 0.40·0.78924/0.9481 = 0.333 ethanol, so 20 g bring 13.3 g; 95 %: 0.9240, 1.5 g; half-way 45 %: (0.9481 + 0.9301)/2 =
     * 0.9391.
     */
    @ParameterizedTest
    @CsvSource({"40, 0.9481, 13.3", "95, 0.8114, 1.5", "45, 0.9391, 12.4", "0, 0.9982, 20.0", "100, 0.78924, 0.0"})
    void bringsWaterByItsStrength(double percent, double density, double water) {
        Strength strength = new Strength(percent);
        assertThat(strength.density().gramsPerMillilitre()).isCloseTo(density, within(1e-9));
        assertThat(strength.waterIn(Mass.ofGrams(20)).grams()).isCloseTo(water, within(0.05));
    }

    @Test
    void proofIsTwiceThePercentage() {
        assertThat(Strength.ofUsProof(190)).isEqualTo(new Strength(95));
    }
}
