package app.velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BackwardsTest {

    private static final Density OIL = Density.ofGramsPerMillilitre(0.917);
    private static final Temperature ROOM = Temperature.ofCelsius(20);

    private static Kind kind(String key) {
        return Kind.shipped().stream()
                .filter(one -> one.key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    private static Backwards of(String kind, int count, double firmness) {
        Container tin = new Container("tin", Volume.ofMillilitres(60), false);
        return Backwards.of(new Backwards.Wish(kind(kind), count, tin, firmness), OIL, ROOM);
    }

    private static double grams(Backwards back, String key) {
        return back.melt().formula().parts().stream()
                .filter(part -> part.stuff().key().equals(key))
                .mapToDouble(part -> part.mass().grams())
                .sum();
    }

    /** 18·60·0.92·0.89·(1 + 0.02 + 0.12·0.15) = 917.9 g; at 15 that is 137.7 g of wax and 780.2 g of oil, 850.8 mL at 0.917. */
    @Test
    void tinsOfASalve() {
        Backwards salve = of("salve", 18, 15);
        assertThat(salve.melt().formula().total().grams()).isCloseTo(917.9, within(0.1));
        assertThat(grams(salve, "beeswax")).isCloseTo(137.7, within(0.1));
        assertThat(salve.oil().millilitres()).isCloseTo(850.8, within(0.1));
    }

    /** 24·60·0.92·0.89·(1 + 0.02 + 0.12·0.19) = 1229.5 g, of it 233.6 g wax, 995.9 g oil: 1086.1 mL. */
    @Test
    void twentyFourFirmTins() {
        Backwards firm = of("firm-salve", 24, 19);
        assertThat(firm.melt().formula().total().grams()).isCloseTo(1229.5, within(0.1));
        assertThat(grams(firm, "beeswax")).isCloseTo(233.6, within(0.1));
        assertThat(firm.oil().millilitres()).isCloseTo(1086.1, within(0.2));
    }

    /** What is worked back fills exactly what was wanted, and its firmness is the one wanted. */
    @ParameterizedTest
    @CsvSource({"soft-ointment,8", "salve,15", "firm-salve,19", "lip-balm,27", "pomade,16.8", "nursing-balm,15.5"})
    void fillsWhatIsWanted(String key, double firmness) {
        Backwards back = of(key, 7, firmness);
        assertThat(back.melt().firmness().value()).isCloseTo(firmness, within(0.05));
        Filling filling = Filling.into(
                back.melt().formula().total(),
                new Filling.Stock(new Container("tin", Volume.ofMillilitres(60), false), 100),
                back.melt().shrinkage(),
                false);
        assertThat(filling.count()).isEqualTo(7);
        assertThat(filling.left().grams()).isCloseTo(0, within(0.01));
    }

    @Test
    void whatNoKitchenMeltsIsRefused() {
        assertThatThrownBy(() -> of("salve", 2000, 15))
                .isInstanceOf(Melt.CannotBe.class)
                .hasMessageContaining("20 kg");
    }
}
