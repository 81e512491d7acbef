package app.velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.kitchen.Amount;
import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Reading;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class QuantityTest {

    @Test
    void aValueOutOfRangeNamesFieldValueRangeAndUnit() {
        assertThatThrownBy(() -> Mass.ofGrams(-1)).hasMessage("mass is -1 g; it must be between 0 and 1000000000000 g");
        assertThatThrownBy(() -> Volume.ofMillilitres(Double.NaN)).hasMessageContaining("volume is NaN mL");
        assertThatThrownBy(() -> Temperature.ofCelsius(900)).hasMessageContaining("between -30 and 250 °C");
        assertThatThrownBy(() -> Density.ofGramsPerMillilitre(0)).hasMessageContaining("density is 0 g/mL");
        assertThatThrownBy(() -> new Amount(6, 4, Unit.WEEK)).hasMessageContaining("the smaller end comes first");
    }

    @Test
    void temperaturesDifferButDoNotAdd() {
        Temperature warm = Temperature.ofFahrenheit(110);
        // (110 − 32) ÷ 1.8 = 43.33
        assertThat(warm.celsius()).isCloseTo(43.33, within(0.01));
        assertThat(warm.minus(Temperature.ofCelsius(20)).celsiusDegrees()).isCloseTo(23.33, within(0.01));
        assertThat(Temperature.ofCelsius(20).plus(new TemperatureDifference(10)))
                .isEqualTo(Temperature.ofCelsius(30));
        assertThat(Temperature.ofCelsius(46).toFahrenheit()).isCloseTo(114.8, within(1e-9));
    }

    @Test
    void warmOilIsLighter() {
        Density rapeseed = Density.ofGramsPerMillilitre(0.917);
        // 0.917 − 0.00067·25 = 0.90025
        assertThat(rapeseed.ofOilAt(Temperature.ofCelsius(45)).gramsPerMillilitre())
                .isCloseTo(0.90025, within(1e-9));
        assertThat(rapeseed.ofOilAt(Temperature.ofCelsius(5))).isEqualTo(rapeseed);
    }

    @Test
    void theLedgersUnitsHoldWhatIsTyped() {
        Random random = new Random(11);
        for (int i = 0; i < Cases.of(1000); i++) {
            long milligrams = random.nextInt(900_000_000);
            assertThat(Mass.ofMilligrams(milligrams).toMilligrams()).isEqualTo(milligrams);
            assertThat(Volume.ofMicrolitres(milligrams).toMicrolitres()).isEqualTo(milligrams);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "1.5,1½",
        "0.5,½",
        "3,3",
        "0.3333333333,⅓",
        "2.6666666666,2⅔",
        "0.875,⅞",
        "1.1,1.1",
        "0,0",
        "2.9999999999,3"
    })
    void numbersAsCooksWriteThem(double value, String written) {
        assertThat(Decimals.kitchen(value)).isEqualTo(written);
    }

    @ParameterizedTest
    @CsvSource({"7,1,7", "6.96,1,7", "6.94,1,6.9", "-0.01,1,0", "1234.5,0,1235", "0.05,1,0.1"})
    void roundsOnlyAtDisplay(double value, int places, String written) {
        assertThat(Decimals.upTo(value, places)).isEqualTo(written);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            METRIC | 99.96  | 100 mL  | 100 g
            METRIC | 5.25   | 5.3 mL  | 5.3 g
            METRIC | 1250   | 1.25 L  | 1.25 kg
            US     | 20     | 0.68 fl oz | 0.71 oz
            US     | 236.6  | 1 cup   | 8.35 oz
            US     | 1000   | 4¼ cups | 2.2 lb
            """)
    void writesInEitherSystem(UnitSystem system, double amount, String volume, String mass) {
        HouseholdUnits units = new HouseholdUnits(system, CupSystem.US, TemperatureScale.CELSIUS);
        assertThat(units.volume(Volume.ofMillilitres(amount))).isEqualTo(volume);
        assertThat(units.mass(Mass.ofGrams(amount))).isEqualTo(mass);
    }

    /** Whatever the household writes for a weight it can read back, to what the writing keeps of it. */
    @Test
    void whatIsWrittenCanBeRead() {
        Random random = new Random(12);
        for (UnitSystem system : UnitSystem.values()) {
            HouseholdUnits units = new HouseholdUnits(system, CupSystem.US, TemperatureScale.CELSIUS);
            AmountReader reader = new AmountReader(units);
            for (int i = 0; i < Cases.of(500); i++) {
                Mass mass = Mass.ofGrams(1 + random.nextInt(1999));
                Reading read = reader.read(units.mass(mass), Expect.SOLID);
                assertThat(read).as(units.mass(mass)).isInstanceOf(Reading.Understood.class);
                assertThat(((Reading.Understood) read).mass().grams())
                        .isCloseTo(mass.grams(), within(0.005 * mass.grams() + 0.2));
            }
        }
    }

    /** However a whole is shared, its hundredths are a hundred, and none is a whole one off. */
    @Test
    void hundredthsAddUp() {
        assertThat(Decimals.hundredths(List.of(1.0, 1.0, 1.0))).containsExactly(34, 33, 33);
        assertThat(Decimals.hundredths(List.of(2.0, 1.0, 1.0, 1.0, 1.0, 1.0))).containsExactly(29, 15, 14, 14, 14, 14);
        assertThat(Decimals.hundredths(List.of(0.5, 0.25, 0.25))).containsExactly(50, 25, 25);
        assertThat(Decimals.hundredths(List.of(0.0, 0.0))).containsExactly(0, 0);
        Random random = new Random(30);
        for (int i = 0; i < Cases.of(500); i++) {
            List<Double> shares =
                    random.doubles(1 + random.nextInt(9), 0.001, 5).boxed().toList();
            double whole = shares.stream().mapToDouble(Double::doubleValue).sum();
            List<Integer> hundredths = Decimals.hundredths(shares);
            assertThat(hundredths.stream().mapToInt(Integer::intValue).sum()).isEqualTo(100);
            for (int j = 0; j < shares.size(); j++) {
                assertThat((double) hundredths.get(j)).isCloseTo(100 * shares.get(j) / whole, within(1.0));
            }
        }
    }
}
