package app.velvetcrock.core.kitchen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.kitchen.Contradiction.Slip;
import app.velvetcrock.core.kitchen.Contradiction.Verdict;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.core.measure.Volume;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Checked sum 1 of the craft. */
class ContradictionCheckTest {

    private static final Density RAPESEED = Density.ofGramsPerMillilitre(0.917);
    private final AmountReader us =
            new AmountReader(new HouseholdUnits(UnitSystem.US, CupSystem.US, TemperatureScale.FAHRENHEIT));

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
        Contradiction found = ofOil("2½ cups, 20 ounces");
        assertThat(found.verdict()).isEqualTo(Verdict.WORTH_A_LOOK);
        // 20 × 28.3495 ÷ 591.47 = 0.9586; ÷ 0.917 = 1.0454
        assertThat(found.implied()).isCloseTo(0.959, within(0.0005));
        assertThat(found.offBy()).isCloseTo(0.045, within(0.0005));
        assertThat(found.slips()).extracting(Slip::words).containsExactly("20 fluid ounces is 2½ cups exactly");
        assertThat(found.slips().get(0).meant().middle())
                .isEqualTo(CupSystem.US.cup().times(2.5));
    }

    @Test
    void fourteenOuncesToThreeCupsIsMisreadByOneDigit() {
        Contradiction found = ofOil("three cups (fourteen ounces)");
        assertThat(found.verdict()).isEqualTo(Verdict.ONE_IS_MISREAD);
        // 14 × 28.3495 ÷ 709.764 = 0.5592
        assertThat(found.implied()).isCloseTo(0.559, within(0.0005));
        assertThat(found.slips()).extracting(Slip::words).containsExactly("one digit: 24 fluid ounces is 3 cups");
    }

    /** What each pair comes to, with the first slip that explains it. */
    @ParameterizedTest(name = "{1} of {0}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            oil     | 1 cup, 7.65 oz          | AGREE          | ''
            oil     | 500 mL (458 g)          | AGREE          | ''
            oil     | 1 cup, 15.3 oz          | ONE_IS_MISREAD | one cup off: 2 cups would agree
            oil     | 3 tbsp = 13.6 g         | ONE_IS_MISREAD | tablespoon and teaspoon changed places: 3 tsp would agree
            oil     | 9 fl oz, 255.15 g       | WORTH_A_LOOK   | 9 oz by weight is 255.15 g
            oil     | 400 mL, 267 g           | ONE_IS_MISREAD | one digit: 367 g would agree
            oil     | 1 cup, 117 g            | ONE_IS_MISREAD | one digit: 217 g would agree
            pellets | 1 cup, 4.6 oz           | AGREE          | ''
            pellets | 1 cup, 8 oz             | ONE_IS_MISREAD | 8 fluid ounces is 1 cup exactly
            herb    | 1 cup, 30 g             | AGREE          | ''
            herb    | 1 cup, 60 g             | AGREE          | ''
            herb    | 1 cup, 120 g            | ONE_IS_MISREAD | one digit: 3 cups would agree
            honey   | 1 tbsp, 21 g            | AGREE          | ''
            honey   | 1 tbsp, 7 g             | ONE_IS_MISREAD | tablespoon and teaspoon changed places
            """)
    void eachPairIsJudgedByWhatTheThingIs(String thing, String pair, Verdict verdict, String slip) {
        KnownDensity known =
                switch (thing) {
                    case "oil" -> KnownDensity.ofOil(RAPESEED);
                    case "pellets" -> KnownDensity.ofPellets(Density.ofGramsPerMillilitre(0.55));
                    case "herb" -> KnownDensity.ofHerb(Density.ofGramsPerMillilitre(0.15));
                    default -> KnownDensity.ofLiquid(Density.ofGramsPerMillilitre(1.42));
                };
        Contradiction found = us.check(us.readBoth(pair, Expect.LIQUID).orElseThrow(), known);
        assertThat(found.verdict()).isEqualTo(verdict);
        if (slip.isEmpty()) {
            assertThat(found.slips()).isEmpty();
        } else {
            assertThat(found.slips().get(0).words()).startsWith(slip);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "0,25 l",
                "1,500 g",
                "2½ cups",
                "2 cups, 3 cups",
                "20 g, 1 oz by weight",
                "cups, 20 oz",
                "9 oz, 8 oz"
            })
    void whatIsNotJustAWeightAndAVolumeIsNoPair(String text) {
        assertThat(us.readBoth(text, Expect.LIQUID)).isEmpty();
    }

    private Contradiction ofOil(String pair) {
        return us.check(us.readBoth(pair, Expect.LIQUID).orElseThrow(), KnownDensity.ofOil(RAPESEED));
    }
}
