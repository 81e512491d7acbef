package app.velvetcrock.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.making.FirmnessBand;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.core.recipe.RecipeLine.Asked;
import app.velvetcrock.core.recipe.RecipeLine.Clear;
import app.velvetcrock.core.recipe.RecipeLine.Contradicting;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RecipeReaderTest {

    private static final Materia MATERIA = Materia.shipped();
    private final Things things = Things.of(MATERIA, MATERIA.herbs(), MATERIA.carriers());
    private final RecipeReader us = new RecipeReader(
            new AmountReader(new HouseholdUnits(UnitSystem.US, CupSystem.US, TemperatureScale.FAHRENHEIT)), things);

    /**
     * Volumes by density: 2½ cups 591.47·0.917 = 542.4; a cup of cut leaf 236.6·0.15 = 35.5; pellets 3 tbsp 44.36·0.55 = 24.4; 20
     * drops 1·0.90.
     */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            2½ cups cold-pressed rapeseed oil        | rapeseed       | 542.4
            1 oz beeswax                             | beeswax        | 28.3
            - 3 tbsp of beeswax pellets              | beeswax        | 24.4
            nettle leaf: 1 cup                       | nettle         | 35.5
            1 cup dried nettles                      | nettle         | 35.5
            1 cup fresh nettle leaves, chopped       | nettle         | 78.1
            half a cup of powdered ginger            | ginger         | 53.2
            40 g dried calendula flowers             | calendula      | 40
            250 mL extra virgin olive oil            | olive          | 228.3
            1 cup sweet almond oil (216 g)           | sweet-almond   | 216
            20 drops lavender essential oil          | eo-lavender    | 0.9
            ten drops of lavender                    | eo-lavender    | 0.45
            10 drops peppermint                      | eo-peppermint  | 0.45
            4 drops of lemon                         | eo-lemon       | 0.2
            20 drops of vitamin E                    | vitamin-e      | 0.95
            4 oz shea butter                         | shea           | 113.4
            ½ cup coconut oil                        | coconut        | 108.9
            1 tsp vitamin E                          | vitamin-e      | 4.7
            1 tbsp honey                             | honey          | 21
            2 tbsp achillea millefolium              | yarrow         | 3.8
            100 g ribwort                            | plantain       | 100
            12 × 0.8 g calendula heads               | calendula      | 9.6
            """)
    void understandsAmountAndThing(String line, String key, double grams) {
        Clear clear = (Clear) us.line(line);
        assertThat(clear.thing().key()).isEqualTo(key);
        assertThat(clear.mass().grams()).isCloseTo(grams, within(0.05));
        assertThat(clear.written()).isEqualTo(line);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            9 oz olive oil            | Which is meant               | 9 fl oz olive oil
            1,500 g olive oil         | thousands or a decimal       | 1½ g olive oil
            a handful of nettles      | “a handful” is a different   | ''
            2 cups unobtainium        | not what “unobtainium” is    | ''
            2 cups olvie oil          | not what                     | ''
            olive oil                 | no amount that can be read   | ''
            stir well                 | No amount and no ingredient  | ''
            12 calendula heads        | what one of them weighs      | ''
            2 cups, 3 cups olive oil  | Understood                   | ''
            """)
    void asksWhatIsNotClear(String line, String wrong, String instead) {
        Asked asked = (Asked) us.line(line);
        assertThat(asked.wrong()).contains(wrong);
        if (!instead.isEmpty()) {
            assertThat(asked.instead().get(0).line()).isEqualTo(instead);
            assertThat(us.line(instead)).isInstanceOf(Clear.class);
        }
    }

    /** The name first, two things on a line, and marks that are left out. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            St John’s wort 20 g                    | st-johns-wort 20
            St Johns wort 20 g                     | st-johns-wort 20
            20 g st johns wort                     | st-johns-wort 20
            ribwort 20 g                           | plantain 20
            beeswax pellets 2 oz weight            | beeswax 56.7
            2 cups olive oil and 1/4 cup beeswax   | olive 432.0 beeswax 32.5
            100 g olive oil, 20 g beeswax          | olive 100 beeswax 20
            1 tsp vit e                            | vitamin-e 4.7
            """)
    void howeverItIsPut(String written, String means) {
        assertThat(us.read(written).stream()
                        .map(RecipeLine.Clear.class::cast)
                        .map(line -> line.thing().key() + " "
                                + Math.round(line.mass().grams() * 10) / 10.0)
                        .collect(Collectors.joining(" "))
                        .replaceAll("\\.0\\b", ""))
                .isEqualTo(means.replaceAll("\\.0\\b", ""));
    }

    @Test
    void aContradictionIsExplainedAndEachAnswerIsClear() {
        Contradicting found = (Contradicting) us.line("2½ cups (20 oz) rapeseed oil");
        assertThat(found.instead())
                .extracting(RecipeLine.Instead::words)
                .containsExactly("20 fluid ounces is 2½ cups exactly", "the weight alone", "the volume alone");
        found.instead().forEach(instead -> assertThat(us.line(instead.line())).isInstanceOf(Clear.class));
        assertThat(us.line("2½ cups rapeseed oil, 20 oz")).isInstanceOf(Contradicting.class);
        // three cups of pellets: 709.8·0.55 = 390 g, not 8 oz
        assertThat(us.line("3 cups beeswax pellets (8 oz)")).isInstanceOf(Contradicting.class);
    }

    /** 1 cup of oil 236.6 mL·0.913 = 216 g; wax 28.35: F = 100·28.35/244.4 = 11.6; 30 g of herb: 236.6/30 = 7.9 mL to a gram. */
    @Test
    void theWholeHasSharesARatioAndAFirmness() {
        List<RecipeLine> lines = us.read(
                """
                1 cup olive oil

                30 g dried nettle
                1 oz beeswax
                something else
                """);
        Recipe recipe = Recipe.of(lines, Setting.shipped(), Temperature.ofCelsius(19));
        assertThat(recipe.open()).isEqualTo(1);
        assertThat(recipe.total().grams()).isCloseTo(216.0 + 30 + 28.35, within(0.1));
        assertThat(recipe.ratio().orElseThrow()).isCloseTo(7.89, within(0.01));
        assertThat(recipe.firmness().orElseThrow().value()).isCloseTo(11.6, within(0.05));
        assertThat(recipe.firmness().orElseThrow().band()).isEqualTo(FirmnessBand.SOFT_BALM);
        assertThat(recipe.shareOf((Clear) lines.get(1))).isCloseTo(30 / 274.35, within(0.001));
    }

    @Test
    void everyThingIsFoundByItsOwnName() {
        for (Thing thing : things.all()) {
            String asWritten = thing.role() == Thing.Role.ESSENTIAL_OIL
                    ? thing.name() + " essential oil"
                    : thing.role() == Thing.Role.OIL ? thing.name() + " oil" : thing.name();
            assertThat(things.find(asWritten)).as(asWritten).map(Thing::key).contains(thing.key());
        }
    }

    /** Thirds of 100 g in all; one part of wax to five of oil is a sixth of it: 16.7 g. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            a third each of beeswax, shea butter and olive oil   | beeswax 33.3, shea 33.3, olive 33.3
            a third each beeswax, shea butter, olive oil         | beeswax 33.3, shea 33.3, olive 33.3
            half each: coconut oil and olive oil                 | coconut 50.0, olive 50.0
            1 part beeswax to 5 parts olive oil                  | beeswax 16.7, olive 83.3
            1:5 beeswax to olive oil                             | beeswax 16.7, olive 83.3
            equal parts shea butter, beeswax and jojoba          | shea 33.3, beeswax 33.3, jojoba 33.3
            one part wax to five parts rapeseed oil              | beeswax 16.7, rapeseed 83.3
            2 parts shea butter; 1 part beeswax; 3 parts jojoba  | shea 33.3, beeswax 16.7, jojoba 50.0
            1 cup olive oil; 1 oz beeswax per cup of oil         | olive 216.0, beeswax 28.3
            2 cups olive oil; 1 oz beeswax to each cup of oil    | olive 432.0, beeswax 56.7
            """)
    void proportionsAreReadAsPeopleWriteThem(String lines, String weights) {
        assertThat(us.read(lines.replace("; ", "\n")))
                .as(lines)
                .allSatisfy(line -> assertThat(line).isInstanceOf(Clear.class))
                .extracting(line -> "%s %.1f"
                        .formatted(
                                ((Clear) line).thing().key(),
                                ((Clear) line).mass().grams()))
                .containsExactly(weights.split(", "));
    }

    /**
     * Four cups of olive oil are 864 g, eighteen ounces 510.3 g: one of the two is misread. One part of wax to five of it is 172.8 g or
     * 102.1 g; by the fluid ounce, 532 mL or 486 g, it would be 97.2.
     */
    @Test
    void whatHangsOnAnOilThatIsNotSettledIsToldForEachReading() {
        List<RecipeLine> lines = us.read("Four cups of olive oil, eighteen ounces, one part wax to five");
        assertThat(lines.get(0)).isInstanceOf(Contradicting.class);
        assertThat(((Asked) lines.get(1)).instead())
                .extracting(RecipeLine.Instead::line)
                .contains("172.8 g Beeswax", "102.1 g Beeswax");
        assertThat(us.read("Four cups of olive oil\none part wax to five").get(1))
                .isInstanceOfSatisfying(
                        Clear.class, wax -> assertThat(wax.mass().grams()).isCloseTo(172.8, within(0.05)));
    }

    @Test
    void halfAProportionIsAskedAbout() {
        Asked whole = (Asked) us.read("one part wax to five").get(0);
        assertThat(whole.wrong()).isEqualTo("five parts of what?");
        assertThat(us.read(whole.instead().get(0).line())).hasSize(2).allMatch(Clear.class::isInstance);
        assertThat(((Asked) us.read("1 oz beeswax per cup of oil").get(0)).wrong())
                .contains("No oil stands");
        assertThat(us.read("1 part beeswax\n200 g olive oil").get(0)).isInstanceOf(Asked.class);
    }

    @Test
    void wordsBesideAThingAreNamedWhereTheyAreNotUnderstood() {
        assertThat(((Clear) us.line("2 cups olive oil and salted crumbs")).echo())
                .endsWith("not read: “salted crumbs”");
        assertThat(((Clear) us.line("2 cups organic extra virgin olive oil")).echo())
                .doesNotContain("not read");
        Clear heads = (Clear) us.line("1 cup dried calendula heads");
        assertThat(heads.thing().key()).isEqualTo("calendula");
        assertThat(heads.echo()).doesNotContain("not read");
        assertThat(((Clear) us.line("1 cup ribwort leaf")).thing().key()).isEqualTo("plantain");
        assertThat(((Clear) us.line("1 cup elder flower heads")).thing().key()).isEqualTo("elderflower");
    }
}
