package app.velvetcrock.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.spirit.Dosing;
import app.velvetcrock.core.spirit.Moistening;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.water.WaterBudget.Wet;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class WaterBudgetTest {

    /** Checked sum 6: W 4 + 13.3; bound 0.12·36/0.88 = 4.9; dissolved 0.3; free 12.2 g, 4.4 % of 275.1 g. */
    @Test
    void driedHerbWithWeakSpiritBringsFreeWater() {
        Mass spirit = new Strength(40).waterIn(Mass.ofGrams(20));
        WaterBudget budget =
                WaterBudget.of(List.of(new Wet(Mass.ofGrams(40), WaterContent.DRIED)), spirit, Mass.ofGrams(275.1));
        assertThat(budget.brought().grams()).isCloseTo(17.3, within(0.05));
        assertThat(budget.bound().grams()).isCloseTo(4.9, within(0.05));
        assertThat(budget.free().grams()).isCloseTo(12.2, within(0.05));
        assertThat(budget.shareOfOil()).isCloseTo(0.044, within(0.0005));
    }

    @Test
    void driedHerbAloneHasNone() {
        assertThat(WaterBudget.of(
                                List.of(new Wet(Mass.ofGrams(60), WaterContent.DRIED)), Mass.ZERO, Mass.ofGrams(275.1))
                        .isFree())
                .isFalse();
    }

    /** 100 g fresh in 250 mL olive (228.25 g): 85 − 0.12·15/0.88 − 0.2 = 82.7 g. */
    @Test
    void freshHerbBringsNearlyAllOfItsWater() {
        WaterBudget budget = WaterBudget.of(
                List.of(new Wet(Mass.ofGrams(100), new WaterContent(0.85))), Mass.ZERO, Mass.ofGrams(228.25));
        assertThat(budget.free().grams()).isCloseTo(82.7, within(0.05));
    }

    @Test
    void neverFallsWhenTheHerbIsWetter() {
        Random random = new Random(5);
        for (int i = 0; i < Cases.of(2000); i++) {
            double grams = 1 + random.nextInt(500);
            double oil = 10 + random.nextInt(3000);
            double dry = 0.02 + random.nextDouble() * 0.9;
            double wetter = Math.min(0.97, dry + random.nextDouble() * 0.05);
            double less = WaterBudget.of(
                            List.of(new Wet(Mass.ofGrams(grams), new WaterContent(dry))), Mass.ZERO, Mass.ofGrams(oil))
                    .free()
                    .grams();
            double more = WaterBudget.of(
                            List.of(new Wet(Mass.ofGrams(grams), new WaterContent(wetter))),
                            Mass.ZERO,
                            Mass.ofGrams(oil))
                    .free()
                    .grams();
            assertThat(more).isGreaterThanOrEqualTo(less - 1e-9);
        }
    }

    /**
     * 40 g take 20 g of 95 %: 20/0.8114 = 24.6 mL, with 1.5 g of water. 100 g of 95 % (0.924) thinned to 75 % (0.6782):
     * 100·(0.924/0.6782 − 1) = 36.2 g.
     */
    @Test
    void spiritMoistensAndIsThinnedByMass() {
        Moistening moist = Moistening.of(Mass.ofGrams(40), new Strength(95), Dosing.AS_USUAL);
        assertThat(moist.spirit().grams()).isCloseTo(20, within(1e-9));
        assertThat(moist.volume().millilitres()).isCloseTo(24.6, within(0.05));
        assertThat(moist.water().grams()).isCloseTo(1.5, within(0.05));
        assertThat(Moistening.waterToThin(Mass.ofGrams(100), new Strength(95), new Strength(75))
                        .grams())
                .isCloseTo(36.2, within(0.1));
    }
}
