package app.velvetcrock.core.strain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class YieldForecastTest {

    /** Checked sum 3: 350 − 1.3·50 − 5 = 280; sd √((50·0.4)² + 3²) = 20.2; ± 1.2816·20.2 gives 254.1-305.9. */
    @Test
    void fiftyGramsOfCutLeafInThreeHundredAndFifty() {
        YieldForecast forecast = forecast(Cut.CUT_AND_SIFTED, Moisture.DRIED, 50, 350, Pressing.HAND);
        assertThat(forecast.expected().millilitres()).isCloseTo(280, within(1e-9));
        assertThat(forecast.spread()).isCloseTo(20.2, within(0.05));
        assertThat(forecast.low().millilitres()).isCloseTo(254.1, within(0.05));
        assertThat(forecast.high().millilitres()).isCloseTo(305.9, within(0.05));
        assertThat(forecast.working().hasEstimate()).isTrue();
    }

    /**
     * 50 g in 350 mL: drip keeps 1.3 + 0.9 = 2.2 → 235; screw 1.3·0.6 = 0.78 → 306; ground 1.0 → 295; powder 1.2 → 285;
     * wilted 0.5 → 320; fresh 0.15 → 337.5; fresh drip 0.45 → 322.5.
     */
    @ParameterizedTest
    @CsvSource({
        "CUT_AND_SIFTED,DRIED,DRIP,235",
        "CUT_AND_SIFTED,DRIED,SCREW,306",
        "GROUND,DRIED,HAND,295",
        "POWDER,DRIED,HAND,285",
        "CUT_AND_SIFTED,WILTED,HAND,320",
        "CUT_AND_SIFTED,FRESH,HAND,337.5",
        "CUT_AND_SIFTED,FRESH,DRIP,322.5"
    })
    void keepsByCutMoistureAndPressing(Cut cut, Moisture moisture, Pressing pressing, double expected) {
        assertThat(forecast(cut, moisture, 50, 350, pressing).expected().millilitres())
                .isCloseTo(expected, within(1e-9));
    }

    @Test
    void neverBelowNothing() {
        YieldForecast forecast = forecast(Cut.CUT_AND_SIFTED, Moisture.DRIED, 100, 50, Pressing.HAND);
        assertThat(forecast.expected()).isEqualTo(Volume.ZERO);
        assertThat(forecast.low()).isEqualTo(Volume.ZERO);
    }

    private static YieldForecast forecast(Cut cut, Moisture moisture, double grams, double oil, Pressing pressing) {
        HerbPortion herb = new HerbPortion(
                Mass.ofGrams(grams), Materia.shipped().texture(Part.LEAF, cut), moisture, Optional.empty(), 5);
        return YieldForecast.of(Herbs.of(herb), Volume.ofMillilitres(oil), pressing);
    }
}
