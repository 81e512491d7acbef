package app.velvetcrock.core.pan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Formula.Role;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class FormulaRecipeTest {

    private static FormulaRecipe recipe(double oil, double wax, double drops) {
        Formula formula = new Formula(List.of(
                new Formula.Stuff("olive", "Olive", Role.OIL, 0).of(Mass.ofGrams(oil)),
                new Formula.Stuff("beeswax", "Beeswax", Role.WAX, 1).of(Mass.ofGrams(wax))));
        return FormulaRecipe.of(
                "Salve",
                "salve",
                formula,
                List.of(new Addition(
                        "eo-lavender",
                        "Lavender",
                        Mass.ofGrams(drops * 0.045),
                        Optional.of(drops),
                        Addition.When.WITH_THE_DROPS)),
                Use.HANDS);
    }

    /** 170 g of oil and 30 of wax with 20 drops are, for 500 g, 425 and 75 with 50; for 255 g of oil a melt of 300. */
    @Test
    void isWeighedOutForAnyAmount() {
        FormulaRecipe salve = recipe(170, 30, 20);
        List<FormulaRecipe.Line> lines = salve.weigh(Mass.ofGrams(500));
        assertThat(lines).extracting(line -> line.mass().grams()).containsExactly(425.0, 75.0, 2.25);
        assertThat(lines.get(2).drops()).contains(50.0);
        assertThat(salve.meltFor(Mass.ofGrams(255)).orElseThrow().grams()).isCloseTo(300, within(1e-6));
        assertThat(salve.firmness(Setting.shipped(), Temperature.ofCelsius(20)).value())
                .isCloseTo(15, within(1e-9));
    }

    @Test
    void differsByShareNeverByAmount() {
        assertThat(recipe(170, 30, 20).differences(recipe(340, 60, 40))).isEmpty();
        assertThat(recipe(170, 30, 20).differences(recipe(160, 40, 20)))
                .containsExactly(
                        new FormulaRecipe.Difference("Olive", "85 %", "80 %"),
                        new FormulaRecipe.Difference("Beeswax", "15 %", "20 %"));
    }

    @Test
    void sharesThatAreNoWholeAreRefused() {
        assertThatThrownBy(() -> new FormulaRecipe(
                        "Half",
                        "salve",
                        List.of(new FormulaRecipe.Part("olive", "Olive", Role.OIL, 0.5)),
                        List.of(),
                        Use.HANDS,
                        List.of()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("together");
    }
}
