package app.velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.making.Firmness.Ingredient;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FirmnessTest {

    private final Setting setting = Setting.shipped();

    /**
     * Checked sum 12: 30 beeswax, 20 cocoa butter, 150 oil: (30 + 20·0.30)/200 = 18.0. Thirds: (1 + 0.30)/3 = 43.3, with shea (1
     * + 0.12)/3 = 37.3. One wax to
     * eight oil 11.1, to three 25. 28 in 230: 12.2. Candelilla 10 in 100: 19. Carnauba 10 in 100: 23. Soy 20 in 100: 11.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            beeswax 30, cocoa-butter 20, olive 150    | 18.0 | FIRM_SALVE
            beeswax 10, cocoa-butter 10, olive 10     | 43.3 | HARD_BAR
            beeswax 10, shea 10, olive 10             | 37.3 | HARD_BAR
            beeswax 10, olive 80                      | 11.1 | SOFT_BALM
            beeswax 10, olive 30                      | 25.0 | STICK
            beeswax 28, olive 202                     | 12.2 | SOFT_BALM
            candelilla 10, olive 90                   | 19.0 | FIRM_SALVE
            carnauba 10, olive 90                     | 23.0 | STICK
            soy-wax 20, olive 80                      | 11.0 | SOFT_BALM
            olive 100                                 | 0.0  | THICK_OIL
            beeswax 6, olive 94                       | 6.0  | SOFT_OINTMENT
            """)
    void placesAMeltOnTheScale(String melt, double firmness, FirmnessBand band) {
        Firmness found = of(melt, 20);
        assertThat(found.value()).isCloseTo(firmness, within(0.05));
        assertThat(found.band()).isEqualTo(band);
    }

    @Test
    void buttersDoNotSetInAHotRoomAndCoconutNotAbove24() {
        // 20·0.30/100 = 6; in 30 °C nothing. 50·0.08/100 = 4 below 24 °C
        assertThat(of("cocoa-butter 20, olive 80", 29).value()).isCloseTo(6, within(1e-9));
        assertThat(of("cocoa-butter 20, olive 80", 30).value()).isZero();
        assertThat(of("coconut 50, olive 50", 23).value()).isCloseTo(4, within(1e-9));
        assertThat(of("coconut 50, olive 50", 24).value()).isZero();
    }

    @Test
    void theWaxShareCountsWaxAlone() {
        assertThat(of("beeswax 30, cocoa-butter 20, olive 150", 20).waxShare()).isCloseTo(0.15, within(1e-9));
    }

    private Firmness of(String melt, double room) {
        return Firmness.of(Arrays.stream(melt.split(", "))
                .map(part -> {
                    String[] words = part.split(" ");
                    return new Ingredient(
                            Mass.ofGrams(Double.parseDouble(words[1])),
                            setting.equivalent(words[0], Temperature.ofCelsius(room)),
                            words[0].matches("beeswax|candelilla|carnauba|soy-wax"));
                })
                .toList());
    }
}
