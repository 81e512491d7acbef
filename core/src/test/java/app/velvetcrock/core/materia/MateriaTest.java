package app.velvetcrock.core.materia;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.core.caution.Cautions;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class MateriaTest {

    /** Traits that steer method or drawing and need no caution of their own. */
    private static final Set<String> NO_CAUTION =
            Set.of("aromatic", "resinous", "poor-in-oil", "fragile", "solid", "edible", "sum-only");

    private final Materia materia = Materia.shipped();

    @Test
    void shipsEnoughAndEveryTraitIsSpokenOf() {
        assertThat(materia.herbs()).hasSizeGreaterThanOrEqualTo(90);
        assertThat(materia.carriers()).hasSizeGreaterThanOrEqualTo(28);
        Set<String> traits = new TreeSet<>();
        materia.herbs().forEach(herb -> traits.addAll(herb.traits()));
        materia.carriers().forEach(carrier -> traits.addAll(carrier.traits()));
        materia.supplies().forEach(supply -> traits.addAll(supply.traits()));
        traits.removeAll(NO_CAUTION);
        assertThat(Cautions.shipped().traits()).containsAll(traits);
    }

    /** Airy flowers take 1:10 whole or crumbled, 1:7 cut and sifted, 1:5 ground or powdered; leaf 1:5 always (craft: ratios). */
    @Test
    void aFinerCutTakesLessOil() {
        HerbKind flower = materia.herb("calendula").orElseThrow();
        assertThat(Stream.of(Cut.values()).map(flower::usualRatio)).containsExactly(10.0, 10.0, 7.0, 5.0, 5.0, 5.0);
        HerbKind leaf = materia.herb("nettle").orElseThrow();
        assertThat(Stream.of(Cut.values()).map(leaf::usualRatio)).containsOnly(5.0);
    }

    /** Wet herb ground or powdered lies as a paste, whatever the part: 0.80; wilted half-way to the 0.30 of it dried. */
    @Test
    void wetHerbGroundLiesClose() {
        for (Part part : Part.values()) {
            assertThat(materia.texture(part, Cut.GROUND).bulkIn(Moisture.FRESH).gramsPerMillilitre())
                    .isEqualTo(0.80);
            assertThat(materia.texture(part, Cut.GROUND).bulkIn(Moisture.WILTED).gramsPerMillilitre())
                    .isEqualTo(0.55);
        }
        assertThat(Stream.of(Cut.WHOLE, Cut.CRUMBLED, Cut.CUT_AND_SIFTED)
                        .map(cut -> materia.texture(Part.FLOWER, cut).bulk().gramsPerMillilitre()))
                .containsExactly(0.08, 0.10, 0.13);
    }

    @Test
    void holdsTheCraftsFigures() {
        assertThat(materia.carrier("rapeseed").orElseThrow().density().gramsPerMillilitre())
                .isEqualTo(0.917);
        assertThat(materia.carrier("rapeseed").orElseThrow().monthsOpened()).isEqualTo(10);
        Texture leaf = materia.texture(Part.LEAF, Cut.CUT_AND_SIFTED);
        assertThat(leaf.bulk().gramsPerMillilitre()).isEqualTo(0.15);
        assertThat(leaf.packing()).isEqualTo(1.6);
        assertThat(materia.texture(Part.ROOT, Cut.GROUND).bulk().gramsPerMillilitre())
                .isEqualTo(0.30);
        // wilted is half-way: (0.15 + 0.33) ÷ 2
        assertThat(leaf.bulkIn(Moisture.WILTED).gramsPerMillilitre()).isEqualTo(0.24);
    }

    /** Only densities of the craft's standard list may go without the mark of an estimate. */
    @Test
    void aDensityWithoutASourceIsMarkedAnEstimate() {
        Set<String> standard = Set.of(
                "olive",
                "sunflower",
                "sunflower-high-oleic",
                "rapeseed",
                "grapeseed",
                "sweet-almond",
                "hazelnut",
                "avocado",
                "sesame",
                "rice-bran",
                "walnut",
                "linseed",
                "castor",
                "jojoba",
                "mct",
                "coconut",
                "shea",
                "mango-butter",
                "cocoa-butter");
        assertThat(materia.carriers()).allSatisfy(carrier -> assertThat(carrier.densityIsEstimate())
                .as(carrier.key())
                .isEqualTo(!standard.contains(carrier.key())));
    }

    /** Only the craft's figures are held; every other essential oil says that none is. */
    @Test
    void dermalFiguresAreTheCraftsAlone() {
        List<SupplyKind> oils = materia.supplies().stream()
                .filter(supply -> supply.type() == SupplyType.ESSENTIAL_OIL)
                .toList();
        assertThat(oils).hasSizeGreaterThanOrEqualTo(40);
        assertThat(oils.stream()
                        .filter(oil -> oil.dermalMost().isPresent())
                        .collect(Collectors.toMap(
                                SupplyKind::key, oil -> oil.dermalMost().orElseThrow())))
                .containsExactlyInAnyOrderEntriesOf(Map.ofEntries(
                        Map.entry("eo-cinnamon-bark", 0.07),
                        Map.entry("eo-bergamot", 0.4),
                        Map.entry("eo-clove-bud", 0.5),
                        Map.entry("eo-cinnamon-leaf", 0.6),
                        Map.entry("eo-lemongrass", 0.7),
                        Map.entry("eo-lime", 0.7),
                        Map.entry("eo-oregano", 1.1),
                        Map.entry("eo-thyme", 1.3),
                        Map.entry("eo-lemon", 2.0),
                        Map.entry("eo-peppermint", 5.4),
                        Map.entry("eo-tea-tree", 15.0),
                        Map.entry("eo-cassia", 0.05),
                        Map.entry("eo-bay-laurel", 0.5),
                        Map.entry("eo-rose", 0.6),
                        Map.entry("eo-ylang-ylang", 0.8),
                        Map.entry("eo-nutmeg", 0.8),
                        Map.entry("eo-angelica-root", 0.8),
                        Map.entry("eo-melissa", 0.9),
                        Map.entry("eo-bitter-orange", 1.25),
                        Map.entry("eo-spearmint", 1.7),
                        Map.entry("eo-sandalwood", 2.0),
                        Map.entry("eo-wintergreen", 2.4),
                        Map.entry("eo-grapefruit", 4.0),
                        Map.entry("eo-vetiver", 15.0),
                        Map.entry("eo-geranium", 17.5),
                        Map.entry("eo-citronella", 18.0)));
    }

    @Test
    void aBadLineNamesFileLineAndText() {
        String file = "# a comment\nkey;months\nrapeseed;10\nolive;many\n";
        assertThatThrownBy(() -> DataFile.read("carriers.csv", stream(file), row -> row.whole("months")))
                .isInstanceOf(BadDataException.class)
                .hasMessageContaining("carriers.csv, line 4")
                .hasMessageContaining("olive;many")
                .hasMessageContaining("not a number");
        assertThatThrownBy(() -> DataFile.read("carriers.csv", stream("key;months\nolive\n"), row -> row.text("key")))
                .hasMessageContaining("1 fields, the head has 2");
    }

    private static ByteArrayInputStream stream(String text) {
        return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
    }
}
