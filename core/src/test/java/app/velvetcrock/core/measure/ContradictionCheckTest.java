package app.velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.measure.Contradiction.Verdict;
import org.junit.jupiter.api.Test;

/** Checked sum 1 of the craft. */
class ContradictionCheckTest {

    private static final Density RAPESEED = Density.ofGramsPerMillilitre(0.917);
    private final ContradictionCheck check = new ContradictionCheck(CupSystem.US);

    @Test
    void twoAndAHalfCupsOfRapeseed() {
        Volume oil = CupSystem.US.cup().times(2.5);
        // 2.5 × 236.588 = 591.47; × 0.917 = 542.38 g; ÷ 28.3495 = 19.13 oz
        assertThat(oil.millilitres()).isCloseTo(591.5, within(0.05));
        assertThat(RAPESEED.massOf(oil).grams()).isCloseTo(542.4, within(0.05));
        assertThat(RAPESEED.massOf(oil).grams() / 28.3495).isCloseTo(19.1, within(0.05));
    }

    @Test
    void twentyOuncesToTwoAndAHalfCupsIsWorthALook() {
        Contradiction found = check.ofOil(2.5, 20, RAPESEED);
        assertThat(found.verdict()).isEqualTo(Verdict.WORTH_A_LOOK);
        // 20 × 28.3495 ÷ 591.47 = 0.9586; ÷ 0.917 = 1.0454
        assertThat(found.implied().gramsPerMillilitre()).isCloseTo(0.959, within(0.0005));
        assertThat(found.offBy()).isCloseTo(0.045, within(0.0005));
        assertThat(found.slips()).contains("20 fluid ounces is 2½ cups exactly");
    }

    @Test
    void fourteenOuncesToThreeCupsIsMisreadByOneDigit() {
        Contradiction found = check.ofOil(3, 14, RAPESEED);
        assertThat(found.verdict()).isEqualTo(Verdict.ONE_IS_MISREAD);
        // 14 × 28.3495 ÷ 709.764 = 0.5592
        assertThat(found.implied().gramsPerMillilitre()).isCloseTo(0.559, within(0.0005));
        assertThat(found.slips()).containsExactly("one digit: 24 fluid ounces is 3 cups");
    }

    @Test
    void agreementNeedsNoSlip() {
        // one cup of rapeseed: 236.588 × 0.917 ÷ 28.3495 = 7.653 oz
        assertThat(check.ofOil(1, 7.65, RAPESEED)).matches(c -> c.verdict() == Verdict.AGREE && c.slips().isEmpty());
    }
}
