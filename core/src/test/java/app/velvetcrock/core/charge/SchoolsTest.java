package app.velvetcrock.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** 60 g of cut leaf in 420 mL of rapeseed, half-litre jar 84 mm across: loose bulk 400 mL, floor 5541.8 mm². */
class SchoolsTest {

    private final Vessel jar = new Vessel("half litre", Volume.ofMillilitres(500), Length.ofMillimetres(84));
    private final Herbs herbs = Herbs.of(new HerbPortion(
            Mass.ofGrams(60),
            Materia.shipped().texture(Part.LEAF, Cut.CUT_AND_SIFTED),
            Moisture.DRIED,
            Optional.empty(),
            5));
    private final Charge charge = new Charge(herbs, Volume.ofMillilitres(420), jar, Charge.COLD_HEADSPACE);

    @Test
    void saysTheSameChargeInEverySchool() {
        Schools schools = Schools.of(charge, Density.ofGramsPerMillilitre(0.917));
        assertThat(schools.weightToVolume()).isCloseTo(7.0, within(1e-9));
        assertThat(schools.cupsToCups()).isCloseTo(1.05, within(1e-9));
        assertThat(schools.jarFill()).isCloseTo(0.80, within(1e-9));
        // 400,000 ÷ 5541.8 = 72.2 mm
        assertThat(schools.herbDepth().millimetres()).isCloseTo(72.2, within(0.05));
        assertThat(schools.oilWeight().grams()).isCloseTo(385.1, within(0.05));
    }

    @Test
    void aJarFillSetsTheHerbAndThenTheOil() {
        // two thirds of 500 mL at 0.15 g/mL = 50 g; 450 − 50/1.4 = 414.3 mL to the headspace
        Herbs filled = Schools.herbForFill(herbs, jar, 2 / 3.0);
        assertThat(filled.mass().grams()).isCloseTo(50, within(1e-9));
        assertThat(Schools.oilToFill(filled, jar, Charge.COLD_HEADSPACE).millilitres())
                .isCloseTo(414.3, within(0.05));
    }

    @Test
    void vesselsAndWishesOutOfRangeAreRefused() {
        assertThatThrownBy(() -> new Vessel("thimble", Volume.ofMillilitres(2), Length.ofMillimetres(84)))
                .hasMessageContaining("capacity is 2 mL");
        assertThatThrownBy(() -> new Vessel("tube", Volume.ofMillilitres(500), Length.ofMillimetres(5)))
                .hasMessageContaining("inner width is 5 mm");
        assertThatThrownBy(() -> new OilWish.ByRatio(0)).hasMessageContaining("ratio is 0");
        assertThatThrownBy(() -> new Charge(herbs, Volume.ZERO, jar, 0.9)).hasMessageContaining("headspace");
    }
}
