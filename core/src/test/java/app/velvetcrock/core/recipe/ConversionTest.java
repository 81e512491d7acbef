package app.velvetcrock.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Mass;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConversionTest {

    private static final Materia MATERIA = Materia.shipped();

    /**
     * 542.4 g of rapeseed: ÷ 28.3495 = 19.1 oz; ÷ 453.592 = 1.2 lb; ÷ 0.917 = 591.5 mL = 20 fl oz = 2.5 cups = 40 tbsp = 120 tsp.
     * 28.35 g of pellets: 51.5 mL = 0.218 cups.
     * 35.5 g of cut nettle leaf: 236.7 mL, a cup.
     */
    @ParameterizedTest(name = "{1} g of {0}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            rapeseed | 542.4   | 542 g, 19.1 oz by weight, 1.2 lb, 591 mL, 20 fl oz, 2.5 cups, 40 tbsp, 120 tsp
            beeswax  | 28.3495 | 28.3 g, 1 oz by weight, 51.5 mL, 1.74 fl oz, 0.218 cups, 3.49 tbsp, 10.5 tsp
            nettle   | 35.5    | 35.5 g, 1.25 oz by weight, 237 mL, 8 fl oz, 1 cups, 16 tbsp, 48 tsp
            honey    | 21      | 21 g, 0.741 oz by weight, 14.8 mL, 0.5 fl oz, 0.063 cups, 1 tbsp, 3 tsp
            """)
    void saysEveryMeasureAtOnce(String key, double grams, String lines) {
        Thing thing = Things.of(MATERIA, MATERIA.herbs(), MATERIA.carriers())
                .byKey(key)
                .orElseThrow();
        List<Conversion.Line> found = Conversion.of(thing, Mass.ofGrams(grams)).lines(CupSystem.US);
        assertThat(String.join(
                        ", ",
                        found.stream()
                                .map(line -> line.value() + " " + line.measure().replace(", US", ""))
                                .toList()))
                .isEqualTo(lines);
    }

    @Test
    void theStateOfAHerbDecidesWhatACupOfItWeighs() {
        var nettle = MATERIA.herb("nettle").orElseThrow();
        Thing fresh = Thing.herb(nettle, nettle.part(), Cut.CUT_AND_SIFTED, Moisture.FRESH, MATERIA);
        Thing powder = Thing.herb(nettle, nettle.part(), Cut.POWDER, Moisture.DRIED, MATERIA);
        assertThat(fresh.density().gramsPerMillilitre()).isEqualTo(0.33);
        assertThat(powder.density().gramsPerMillilitre()).isEqualTo(0.45);
        assertThat(fresh.expect()).isEqualTo(app.velvetcrock.core.kitchen.Expect.SOLID);
    }

    @Test
    void cupsAreTheHouseholdsOwn() {
        Thing oil = Thing.of(MATERIA.carrier("olive").orElseThrow());
        assertThat(Conversion.of(oil, Mass.ofGrams(228.25)).lines(CupSystem.METRIC))
                .contains(new Conversion.Line("1", "cups, metric"));
        assertThat(Conversion.of(oil, Mass.ofGrams(228.25)).lines(CupSystem.IMPERIAL))
                .contains(new Conversion.Line("0.88", "cups, imperial"));
    }
}
