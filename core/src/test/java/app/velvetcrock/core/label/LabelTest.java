package app.velvetcrock.core.label;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Mass;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LabelTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            Healing salve                  | Healing
            It heals, and is healed by     | heals healed
            The cure-all                   | cure-all
            Treats dry hands; a treat      | Treats treat
            A retreat in the hills         | ''
            For painters, healthy, scarlet | ''
            The painful wound              | painful wound
            Anti-inflammatory, SPF30       | Anti-inflammatory SPF
            Comforts and softens dry hands | ''
            Wholesome heath and heather    | ''
            ECZEMA                         | ECZEMA
            """)
    void wordsInAnyForm(String text, String words) {
        assertThat(String.join(
                        " ",
                        Claims.shipped().in(text, Set.of()).stream()
                                .map(Claims.Claim::word)
                                .toList()))
                .isEqualTo(words);
    }

    @Test
    void whatAHouseholdsRulesAllowIsNoClaimButNeverHealing() {
        assertThat(Claims.shipped().in("eczema and healing", Set.of("eczema", "heal")))
                .extracting(Claims.Claim::word)
                .containsExactly("healing");
    }

    private static Ingredients.One one(String inci, String common, double grams, List<String> herbs, String... traits) {
        return new Ingredients.One(inci, common, Mass.ofGrams(grams), herbs, Set.of(traits));
    }

    /** 40 + 30 g of one oil are more than 60 of another; the herb stands after its carrier; bee products are named once. */
    @Test
    void fallingByMassWithTheHerbAfterItsCarrier() {
        List<Ingredients.One> all = List.of(
                one("Brassica campestris seed oil", "rapeseed", 40, List.of("Achillea millefolium extract")),
                one("Cera alba", "beeswax", 20, List.of(), "beeswax"),
                one("Olea europaea fruit oil", "olive", 60, List.of()),
                one("Brassica campestris seed oil", "rapeseed", 30, List.of()),
                one("Mel", "honey", 3, List.of(), "honey"),
                one("Prunus amygdalus dulcis oil", "sweet almond", 2, List.of(), "tree-nut"));
        assertThat(Ingredients.line(all))
                .isEqualTo(
                        "Brassica campestris seed oil (rapeseed), Achillea millefolium extract, Olea europaea fruit oil "
                                + "(olive), Cera alba (beeswax), Mel (honey), Prunus amygdalus dulcis oil (sweet almond)");
        assertThat(Ingredients.allergens(all)).containsExactly("bee products", "nut");
    }

    /** Every shipped oil, wax and essential oil has its name, but for those no label ever bears. */
    @Test
    void everythingShippedHasAName() {
        Inci inci = Inci.shipped();
        Materia materia = Materia.shipped();
        assertThat(Stream.concat(
                                materia.carriers().stream().map(one -> one.key()),
                                materia.supplies().stream()
                                        .filter(one -> !one.traits().contains("never"))
                                        .map(one -> one.key()))
                        .filter(key -> inci.of(key).isEmpty()))
                .containsExactly("hydrosol", "tincture");
    }

    /** 51.9 g are 51, and 1.8307 oz are 1.83; of little a place more is said: 4.69 g 4.6, 0.165 oz 0.16. Never more than there is. */
    @ParameterizedTest
    @CsvSource({
        "51.9, 51 g (1.83 oz)",
        "51, 51 g (1.79 oz)",
        "4.69, 4.6 g (0.16 oz)",
        "9.99, 9.9 g (0.35 oz)",
        "283.495, 283 g (10 oz)"
    })
    void netWeightIsRoundedDown(double grams, String said) {
        assertThat(NetWeight.of(Mass.ofGrams(grams))).isEqualTo(said);
    }
}
