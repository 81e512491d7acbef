package app.velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.measure.Density;
import java.util.Currency;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FieldsTest {

    private final Fields fields = new Fields(new AmountReader(HouseholdUnits.METRIC));

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "none",
            textBlock =
                    """
            4.50      | EUR | 450   | none
            4,50 EUR  | EUR | 450   | none
            12        | EUR | 1200  | none
            €3        | EUR | 300   | none
            1200      | JPY | 1200  | none
            0         | GBP | 0     | none
            4.505     | EUR | none  | not a price in EUR
            1.5       | JPY | none  | no such small coin
            -3        | EUR | none  | not a price in EUR
            cheap     | EUR | none  | not a price in EUR
            99999999  | EUR | none  | not a price in EUR
            """)
    void readsMoneyInItsMinorUnits(String typed, String currency, Long minor, String wrong) {
        assertThat(fields.money("price", typed, Currency.getInstance(currency)).orElse(null))
                .isEqualTo(minor);
        if (wrong != null) {
            assertThat(fields.troubles().get("price").wrong()).contains(wrong);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "none",
            textBlock =
                    """
            40       | 40   | none
            40 %     | 40   | none
            37,5 %   | 37.5 | none
            96 % vol | 96   | none
            96 abv   | 96   | none
            120      | none | between 0 and 100
            strong   | none | not a number
            ''       | none | not a number
            """)
    void readsANumberWithinItsEnds(String typed, Double value, String wrong) {
        assertThat(fields.number("abv", typed, 0, 100, "% vol").orElse(null)).isEqualTo(value);
        if (wrong != null) {
            assertThat(fields.troubles().get("abv").wrong()).contains(wrong);
        }
    }

    @Test
    void aWeightAndAVolumeAreTakenWhenTheyAgreeAndAskedAboutWhenNot() {
        KnownDensity olive = KnownDensity.ofOil(Density.ofGramsPerMillilitre(0.913));
        assertThat(fields.massOf("oil", "1 L, 913 g", Expect.LIQUID, olive)
                        .orElseThrow()
                        .mass()
                        .grams())
                .isEqualTo(913);
        assertThat(fields.massOf("oil", "500 mL", Expect.LIQUID, olive).orElseThrow())
                .matches(read -> read.byVolume() && read.mass().grams() == 456.5);
        assertThat(fields.massOf("oil", "1 L, 600 g", Expect.LIQUID, olive)).isEmpty();
        Fields.Trouble trouble = fields.troubles().get("oil");
        assertThat(trouble.wrong())
                .contains("imply 0.6 g/mL; this is 0.913 g/mL, 34.3 % off: one of the two is misread");
        // each choice, typed instead, is clear
        assertThat(trouble.choices()).isNotEmpty().allSatisfy(choice -> {
            Fields again = new Fields(new AmountReader(HouseholdUnits.METRIC));
            assertThat(again.massOf("oil", choice.typed(), Expect.LIQUID, olive))
                    .isPresent();
        });
    }
}
