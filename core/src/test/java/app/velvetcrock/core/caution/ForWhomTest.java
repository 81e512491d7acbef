package app.velvetcrock.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.core.measure.Mass;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One judgement of who it is for, held to the handbook's table cell by cell. */
class ForWhomTest {

    private static final List<Use> COLUMNS = List.of(
            Use.ADULT_SKIN,
            Use.FACE,
            Use.LIPS,
            Use.CHILD_6_14,
            Use.CHILD_2_5,
            Use.BABY,
            Use.NEWBORN,
            Use.PREGNANCY,
            Use.NURSING,
            Use.NURSLING,
            Use.ELDERLY,
            Use.WITH_LATEX,
            Use.INTIMATE,
            Use.FOOD,
            Use.ANIMALS);

    private final ForWhom table = ForWhom.shipped();
    private final Materia materia = Materia.shipped();

    /** 64 rows by fifteen uses, each as the handbook has it; hands, hair and massage are grown-up skin. */
    @Test
    void everyCellIsTheHandbooks() throws IOException {
        Map<String, List<Cell>> expected = new LinkedHashMap<>();
        for (String line : Files.readAllLines(Path.of("src/test/resources/uses-cells.txt"))) {
            if (!line.startsWith("#")) {
                String[] cells = line.split("; ");
                expected.put(
                        cells[0] + "; " + cells[1],
                        List.of(cells[2].split(" ")).stream().map(Cell::parse).toList());
            }
        }
        assertThat(expected).hasSize(64);
        Map<String, List<Cell>> shipped = table.lines().stream()
                .collect(Collectors.toMap(
                        line -> line.kind() + "; " + line.what(),
                        line -> COLUMNS.stream().map(line::cell).toList(),
                        (a, b) -> a,
                        LinkedHashMap::new));
        assertThat(shipped).isEqualTo(expected);
        assertThat(table.lines()).allSatisfy(line -> {
            for (Use skin : List.of(Use.HANDS, Use.HAIR, Use.MASSAGE)) {
                assertThat(line.cell(skin)).isEqualTo(line.cell(Use.ADULT_SKIN));
            }
        });
    }

    /** Of what each row is borne by, said alone: refused, warned of on the label, noted, or nothing. */
    @Test
    void everyCellIsSaidAsItStands() {
        int said = 0;
        for (ForWhom.Line line : table.lines()) {
            for (String trait : line.traits()) {
                for (Use use : Use.values()) {
                    List<Caution> told = table.of(Set.of(trait), use);
                    assertThat(told.stream().map(Caution::level).toList())
                            .as(trait + " for " + use)
                            .isEqualTo(line.cell(use).level().stream().toList());
                    assertThat(told).allSatisfy(caution -> {
                        assertThat(caution.head())
                                .isNotBlank()
                                .doesNotContain("*")
                                .doesNotContain(":R");
                        assertThat(caution.text()).isEqualTo(line.words());
                        assertThat(caution.onLabel() || caution.level() == Level.NOTE)
                                .isTrue();
                    });
                    assertThat(table.isRefused(Set.of(trait), use))
                            .isEqualTo(line.cell(use).isRefused());
                    said += told.size();
                }
            }
        }
        assertThat(said).isGreaterThan(700);
    }

    /** What the handbook says of the catalogue: who bears what. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            edible      | self-heal marshmallow raspberry-leaf bramble-leaf cleavers lady-s-mantle mullein nettle elderflower
            not-edible  | borage wormwood tansy mugwort thuja rue pennyroyal wild-carrot yarrow heather bog-myrtle arnica comfrey
            thujone     | tansy wormwood mugwort thuja
            sage        | sage
            pulegone    | pennyroyal
            trace-pulegone | ground-ivy
            rue         | rue
            fig-leaf    | fig-leaf
            citrus-peel | citrus-peel
            elecampane  | elecampane
            thymol      | thyme wild-thyme oregano
            cineole     | bay cardamom bog-myrtle
            hot         | chilli mustard scurvygrass
            warm        | ginger black-pepper clove cinnamon
            propolis    | poplar-bud balsam-bud propolis
            garlic      | wild-garlic garlic
            medicines   | hawthorn st-johns-wort
            iodine      | bladderwrack
            poison-to-pets | hops coffee
            usnea       | usnea
            not-in-pregnancy | vervain myrrh motherwort
            ask-in-pregnancy | yarrow catnip lady-s-mantle fennel lemon-verbena
            daisy       | bay yarrow calendula chamomile arnica elecampane
            salicylate  | willow-bark meadowsweet birch-bud birch-leaf poplar-bud balsam-bud
            pyrrolizidine | comfrey coltsfoot borage alkanet gromwell butterbur lungwort vipers-bugloss hounds-tongue hemp-agrimony
            """)
    void theCatalogueBearsWhatTheHandbookSays(String trait, String herbs) {
        for (String herb : herbs.split(" ")) {
            assertThat(Bearing.herb(materia.herb(herb).orElseThrow())).as(herb).contains(trait);
        }
    }

    @Test
    void everyTraitOfTheTableIsBorneBySomething() {
        Set<String> borne = new TreeSet<>(Bearing.spirit());
        materia.herbs().forEach(herb -> borne.addAll(Bearing.herb(herb, Part.BARK, Moisture.FRESH)));
        materia.herbs().forEach(herb -> borne.addAll(Bearing.herb(herb)));
        materia.carriers().forEach(carrier -> borne.addAll(Bearing.carrier(carrier)));
        materia.supplies().forEach(supply -> borne.addAll(Bearing.supply(supply)));
        Set<String> nobody = new TreeSet<>(table.traits());
        nobody.removeAll(borne);
        assertThat(nobody)
                .as("those of a charge, of what a household named, or of what is ticked")
                .containsExactly(
                        "look-alike-not-ticked",
                        "not-understood",
                        "unknown-addition",
                        "unknown-carrier",
                        "unknown-herb");
    }

    /** An essential oil bears the sum of all; one without any figure that too, but not one of which only the sum applies. */
    @Test
    void dropsBearTheSumAndWhatHasNoFigureThatToo() {
        materia.supplies().stream()
                .filter(one -> one.type() == SupplyType.ESSENTIAL_OIL)
                .forEach(oil -> {
                    assertThat(Bearing.supply(oil)).contains("sum-of-all");
                    assertThat(Bearing.supply(oil).contains("no-figure"))
                            .as(oil.key())
                            .isEqualTo(
                                    oil.dermalMost().isEmpty() && !oil.traits().contains("sum-only"));
                });
        assertThat(materia.supplies().stream().filter(one -> Bearing.supply(one).contains("no-figure")))
                .isNotEmpty();
    }

    /** A part the catalogue does not know is no food, and edible with what is not is not. */
    @Test
    void edibleIsTheKnownPartAlone() {
        var elder = materia.herb("elderflower").orElseThrow();
        assertThat(Bearing.herb(elder, Part.FLOWER, Moisture.DRIED))
                .contains("edible")
                .doesNotContain("not-edible");
        assertThat(Bearing.herb(elder, Part.BARK, Moisture.DRIED))
                .contains("other-part")
                .doesNotContain("edible");
        assertThat(table.isRefused(Bearing.herb(elder, Part.BARK, Moisture.DRIED), Use.FOOD))
                .isTrue();
        assertThat(table.isRefused(Bearing.herb(elder, Part.FLOWER, Moisture.DRIED), Use.FOOD))
                .isFalse();
    }

    /** The most of one oil in 100 g, percent, worked from the table: its own maximum, half of it, the sum, none. */
    @ParameterizedTest
    @CsvSource({
        "eo-oregano, BABY, 0", "eo-oregano, CHILD_2_5, 0", "eo-oregano, CHILD_6_14, 0.55",
                "eo-oregano, ADULT_SKIN, 1.1",
        "eo-oregano, FACE, 0", "eo-oregano, PREGNANCY, 0", "eo-clove-bud, CHILD_2_5, 0",
                "eo-clove-bud, CHILD_6_14, 0.25",
        "eo-clove-bud, ELDERLY, 0.5", "eo-wintergreen, PREGNANCY, 0", "eo-wintergreen, NURSING, 0",
                "eo-wintergreen, ADULT_SKIN, 2",
        "eo-wintergreen, CHILD_6_14, 0", "eo-lemon, CHILD_6_14, 1", "eo-lemon, ADULT_SKIN, 2", "eo-lemon, BABY, 0",
        "eo-peppermint, CHILD_2_5, 0", "eo-peppermint, CHILD_6_14, 1", "eo-lavender, CHILD_2_5, 0.5",
                "eo-lavender, NURSLING, 0",
        "eo-lavender, WITH_LATEX, 0", "eo-lavender, INTIMATE, 0", "eo-lavender, NEWBORN, 0",
                "eo-juniper, ADULT_SKIN, 0.5",
        "eo-juniper, FACE, 0", "eo-tansy, ADULT_SKIN, 0", "eo-birch-tar, MASSAGE, 0", "eo-myrrh, PREGNANCY, 0",
        "eo-clary-sage, PREGNANCY, 0", "eo-clary-sage, ADULT_SKIN, 2", "eo-camphor, LIPS, 0",
                "eo-bay-laurel, CHILD_6_14, 0.25",
        "eo-rosemary, FACE, 1", "eo-rosemary, CHILD_2_5, 0"
    })
    void theMostOfAnOilIsTheTablesAndItsOwn(String key, Use use, double most) {
        SupplyKind oil = materia.supply(key).orElseThrow();
        Ceilings.Line line = Ceilings.of(List.of(Drops.of(oil, 1)), Mass.ofGrams(100), use, false)
                .lines()
                .get(0);
        assertThat(line.most()).as(line.why()).isEqualTo(most);
    }

    /** Every oil that is never made here has none for anybody, and no oil has more than the sum allows. */
    @Test
    void noOilHasMoreThanTheSumForAnyUse() {
        materia.supplies().stream()
                .filter(one -> one.type() == SupplyType.ESSENTIAL_OIL)
                .forEach(oil -> {
                    for (Use use : Use.values()) {
                        double most = Ceilings.of(List.of(Drops.of(oil, 1)), Mass.ofGrams(100), use, false)
                                .lines()
                                .get(0)
                                .most();
                        assertThat(most).as(oil.key() + " " + use).isLessThanOrEqualTo(Ceilings.ceiling(use));
                        if (oil.traits().contains("never")) {
                            assertThat(most).isZero();
                        }
                    }
                });
    }

    @ParameterizedTest
    @CsvSource({"X, no cell", "W-, no cell", "'', no cell"})
    void aCellThatIsNoneStopsTheStart(String text, String why) {
        org.assertj.core.api.Assertions.assertThatIllegalArgumentException()
                .isThrownBy(() -> Cell.parse(text))
                .withMessageContaining(why);
    }
}
