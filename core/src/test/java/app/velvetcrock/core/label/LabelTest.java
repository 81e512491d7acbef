package app.velvetcrock.core.label;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Mass;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class LabelTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            Healing salve                  | Healing
            It heals, and is healed by     | heals healed
            The cure-all                   | cure-all
            Treats dry hands; a treat      | Treats
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

    /** Never answerable: to heal, cure, treat, prevent, an illness by name, germs, the sun (craft: wording). */
    @Test
    void whatAHouseholdsRulesAllowIsNoClaimButSomeNeverAre() {
        Claims claims = Claims.shipped();
        assertThat(claims.in("pain and healing and eczema", Set.of("pain", "heal", "eczema")))
                .extracting(Claims.Claim::word)
                .containsExactly("healing", "eczema");
        for (String never : List.of(
                "heals",
                "cures",
                "treats",
                "prevents",
                "psoriasis",
                "arthritis",
                "infection",
                "antifungal",
                "SPF 30",
                "sunscreen")) {
            assertThat(claims.in(never, Set.of()))
                    .as(never)
                    .hasSize(1)
                    .allMatch(Claims.Claim::never)
                    .noneMatch(claim -> claims.isAnswerable(claim.stem()));
        }
        for (String asked : List.of("inflammation", "pain", "wound", "burn", "detox", "chapped", "itch", "cellulite")) {
            assertThat(claims.in(asked, Set.of()))
                    .as(asked)
                    .hasSize(1)
                    .noneMatch(Claims.Claim::never)
                    .allMatch(claim -> claims.isAnswerable(claim.stem()));
        }
    }

    private static Stream<String> lines(String file) throws IOException {
        try (InputStream in = Objects.requireNonNull(LabelTest.class.getResourceAsStream(file))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList().stream();
        }
    }

    static Stream<String> marked() throws IOException {
        return lines("claims-marked.txt");
    }

    static Stream<String> harmless() throws IOException {
        return lines("claims-harmless.txt");
    }

    @ParameterizedTest
    @MethodSource("marked")
    void whatIsMarked(String line) {
        String text = line.substring(0, line.indexOf('|'));
        List<Claims.Claim> found = Claims.shipped().in(text, Set.of());
        assertThat(String.join(" ", found.stream().map(Claims.Claim::word).toList()))
                .isEqualTo(line.substring(line.indexOf('|') + 1));
        for (Claims.Claim claim : found) {
            assertThat(text.substring(claim.start(), claim.end())).isEqualTo(claim.word());
            assertThat(claim.why()).isNotBlank();
            for (String other : claim.instead()) {
                assertThat(Claims.shipped().in(other, Set.of()))
                        .as("what is offered claims nothing")
                        .isEmpty();
                assertThat(claim.with(text, other)).contains(other).doesNotEndWith(claim.word() + other);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("harmless")
    void whatClaimsNothing(String text) {
        assertThat(Claims.shipped().in(text, Set.of())).isEmpty();
    }

    @Test
    void theTablesAreLongEnough() throws IOException {
        assertThat(marked()).hasSizeGreaterThanOrEqualTo(150).doesNotHaveDuplicates();
        assertThat(harmless()).hasSizeGreaterThanOrEqualTo(80).doesNotHaveDuplicates();
    }

    /** In a product's name a plant that sounds like a claim is asked about, its botanical name offered; elsewhere it is none. */
    @Test
    void aPlantsNameIsAskedAboutInAName() {
        Claims claims = Claims.shipped();
        assertThat(claims.in("Self-heal salve", Set.of())).isEmpty();
        assertThat(claims.inName("Self-heal salve", Set.of())).singleElement().satisfies(claim -> {
            assertThat(claim.instead()).containsExactly("Prunella vulgaris");
            assertThat(claim.never()).isFalse();
            assertThat(claim.with("Self-heal salve", "Prunella vulgaris")).isEqualTo("Prunella vulgaris salve");
        });
        assertThat(claims.inName("Self-heal salve", Set.of("self-heal"))).isEmpty();
        assertThat(claims.isAnswerable("self-heal")).isTrue();
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
