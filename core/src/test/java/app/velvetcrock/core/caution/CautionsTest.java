package app.velvetcrock.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.Kept;
import app.velvetcrock.core.materia.Materia;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CautionsTest {

    private final Cautions cautions = Cautions.shipped();
    private final Materia materia = Materia.shipped();

    /** What the craft forbids outright for a use, thing by thing. */
    @ParameterizedTest
    @CsvSource({
        "comfrey,FOOD",
        "comfrey,LIPS",
        "comfrey,PREGNANCY",
        "comfrey,NURSING",
        "comfrey,BABY",
        "comfrey,CHILD_2_5",
        "bog-myrtle,PREGNANCY",
        "juniper,PREGNANCY",
        "rosemary,BABY",
        "chilli,CHILD_6_14",
        "ginger,BABY",
        "ginger,CHILD_2_5",
        "nettle,WITH_LATEX",
        "nettle,NEWBORN",
        "tansy,FOOD",
        "wormwood,BABY",
        "yarrow,FOOD",
        "tansy,NURSLING",
        "borage,FOOD",
        "mugwort,CHILD_2_5",
        "pennyroyal,ANIMALS"
    })
    void refuses(String herb, Use use) {
        assertThat(of(herb, use)).extracting(Caution::level).contains(Level.REFUSE);
    }

    @ParameterizedTest
    @CsvSource({
        "comfrey,HANDS,Unbroken skin only", "yarrow,FACE,Daisy family", "chamomile,HANDS,Daisy family",
                "st-johns-wort,FACE,Keep out of the sun",
        "meadowsweet,HANDS,Contains salicylates", "birch-bud,HANDS,Contains salicylates",
                "spruce-tip,HANDS,Conifer resin", "nettle,NURSLING,Patch test first",
        "nettle,ANIMALS,Animals lick it off", "ginger,LIPS,Warm on skin", "chilli,MASSAGE,Hot on skin"
    })
    void warnsAndSaysSoOnTheLabel(String herb, Use use, String head) {
        assertThat(of(herb, use))
                .filteredOn(c -> c.head().equals(head))
                .singleElement()
                .matches(c -> c.level() == Level.WARN && c.onLabel());
    }

    @Test
    void theGravestStandsFirstAndFireIsNeverLeftOut() {
        for (var herb : materia.herbs()) {
            for (Use use : Use.values()) {
                List<Caution> found = cautions.of(herb.traits(), use);
                assertThat(found).isSortedAccordingTo(Comparator.comparing(Caution::level));
                assertThat(found).extracting(Caution::head).contains("Oily cloths can catch fire");
            }
        }
    }

    @Test
    void oliveIsNotForNewbornSkin() {
        Set<String> olive = Bearing.carrier(materia.carrier("olive").orElseThrow());
        assertThat(cautions.of(olive, Use.NEWBORN))
                .anyMatch(one -> one.head().equals("Not under three months") && one.level() == Level.REFUSE);
        assertThat(cautions.of(olive, Use.BABY)).extracting(Caution::head).contains("Not on newborn or eczema skin");
        assertThat(cautions.of(olive, Use.HANDS))
                .extracting(Caution::head)
                .doesNotContain("Not on newborn or eczema skin");
    }

    /** Food of anything moist has a rule of its own, said once; where it does not hold the table's row stands. */
    @Test
    void moistFoodHasOneRule() {
        List<String> ruled = heads(Set.of(Bearing.MOIST, Cautions.MOIST_FOOD), Use.FOOD);
        assertThat(heads(Set.of(Bearing.MOIST), Use.FOOD)).contains("Moist herb: for skin alone");
        assertThat(ruled)
                .isNotEmpty()
                .doesNotContain("Moist herb: for skin alone")
                .doesNotHaveDuplicates();
    }

    /** What hangs on a thing alone: its own rows for this use, not what holds for everything. */
    @Test
    void aThingAloneIsNotToldWhatHoldsForEverything() {
        List<Caution> alone = cautions.ofTraits(Set.of("daisy", "hot"), Use.CHILD_6_14);
        assertThat(alone).extracting(Caution::head).containsExactlyInAnyOrder("Daisy family", "Too hot for children");
        assertThat(cautions.ofTraits(Set.of(), Use.CHILD_6_14)).isEmpty();
        assertThat(heads(Set.of("daisy"), Use.CHILD_6_14)).contains("Daisy family", "Oily cloths can catch fire");
    }

    /** One row, and the words of the cell before the words of its level before its own. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            any-herb      | ADULT_SKIN | Patch test first
            any-herb      | ANIMALS    | Animals lick it off
            any-herb      | WITH_LATEX | Weakens latex
            any-herb      | NEWBORN    | Not under three months
            pyrrolizidine | ADULT_SKIN | Unbroken skin only
            pyrrolizidine | FOOD       | Pyrrolizidine alkaloids
            gluten        | FOOD       | Contains wheat germ
            gluten-oat    | FOOD       | Contains oat
            sesame        | FACE       | Contains sesame
            soy           | FACE       | Contains soy
            lanolin       | FACE       | Contains lanolin
            """)
    void theHeadIsThatOfTheCell(String trait, Use use, String head) {
        assertThat(ForWhom.shipped().of(Set.of(trait), use))
                .extracting(Caution::head)
                .containsExactly(head);
    }

    /** Only what is gathered and mistaken for a poison has such a row, and only its own. */
    @Test
    void lookAlikesAreOfThePlantThatIsMistaken() {
        Set<String> traits = materia.herbs().stream()
                .flatMap(herb -> herb.traits().stream())
                .filter(trait -> trait.startsWith("lookalike"))
                .collect(java.util.stream.Collectors.toSet());
        assertThat(traits).hasSizeGreaterThan(1);
        for (String trait : traits) {
            assertThat(cautions.lookAlikes(Set.of(trait, "daisy"))).as(trait).hasSize(1);
        }
        assertThat(cautions.lookAlikes(traits)).hasSize(traits.size());
        assertThat(cautions.lookAlikes(Set.of("daisy"))).isEmpty();
    }

    /** What can be ticked of a herb or oil of one's own: what it bears, and nothing that is the charge's or everything's. */
    @Test
    void whatCanBeTickedIsWhatAThingBears() {
        assertThat(cautions.heads())
                .containsEntry("edible", "Eaten in the kitchen too")
                .containsEntry("daisy", "Daisy family")
                .containsEntry("tree-nut", "Contains tree nut")
                .containsEntry("gluten-oat", "Contains oat")
                .doesNotContainKeys("any", "any-herb", "moist", "honey", "sum-of-all", "unknown-herb");
        assertThat(cautions.heads().values())
                .allSatisfy(head -> assertThat(head).isNotBlank().doesNotContain("*"));
    }

    @Test
    void whatIsRefusedIsNamed() {
        assertThat(cautions.refused()).hasSizeGreaterThan(20).allSatisfy(name -> assertThat(cautions.refusal(name))
                .isPresent());
        assertThat(cautions.forWhom().lines()).hasSize(64);
        assertThat(cautions.traits()).contains("daisy", Cautions.MOIST_FOOD);
    }

    /** What is stirred in bears what it is: watery, but honey and glycerine which have rows of their own; spirit, vitamin E. */
    @ParameterizedTest
    @CsvSource({
        "aloe, watery, spirit",
        "honey, honey, watery",
        "glycerine, glycerine, watery",
        "tincture, spirit, watery",
        "vitamin-e, antioxidant, watery",
        "beeswax, any-fat, watery"
    })
    void aSupplyBearsWhatItIs(String key, String bears, String not) {
        assertThat(Bearing.supply(materia.supply(key).orElseThrow()))
                .contains(bears)
                .doesNotContain(not);
        assertThat(Bearing.spirit()).containsExactly("spirit");
    }

    @ParameterizedTest
    @CsvSource({
        "BABY, true",
        "NEWBORN, true",
        "CHILD_2_5, true",
        "CHILD_6_14, true",
        "PREGNANCY, true",
        "NURSING, true",
        "NURSLING, true",
        "ADULT_SKIN, false",
        "FACE, false",
        "MASSAGE, false",
        "FOOD, false"
    })
    void whoCannotAnswerForItThemselves(Use use, boolean tender) {
        assertThat(use.isTender()).isEqualTo(tender);
    }

    private List<String> heads(Set<String> traits, Use use) {
        return cautions.of(traits, use).stream().map(Caution::head).toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "aconite",
                "Atropa belladonna",
                "henbane",
                "Datura",
                "mandrake",
                "Foxglove leaf",
                "lily of the valley",
                "water hemlock",
                "yew",
                "oleander",
                "autumn crocus",
                "hellebore",
                "bloodroot",
                "poke root",
                "giant hogweed",
                "poison ivy",
                "ragwort",
                "greater celandine",
                "white bryony",
                "lords-and-ladies",
                "Daphne mezereum",
                "laburnum",
                "hemlock water dropwort",
                "CONIUM maculatum"
            })
    void poisonousPlantsAreRefusedByAnyOfTheirNames(String name) {
        assertThat(cautions.refusal(name)).isPresent();
    }

    private List<Caution> of(String herb, Use use) {
        return cautions.of(Bearing.herb(materia.herb(herb).orElseThrow()), use);
    }

    /** What each trait is called where somebody ticks it; nobody ticks what follows from the charge. */
    @Test
    void traitsHaveTheirNames() {
        Kept kept = new Kept();
        cautions.heads().forEach((trait, head) -> kept.add("%s: %s", trait, head));
        kept.rule("of additions");
        cautions.forWhom().heads("addition").forEach((trait, head) -> kept.add("%s: %s", trait, head));
        kept.rule("mistaken for");
        materia.herbs().forEach(herb -> cautions.lookAlikes(herb.traits())
                .forEach(one -> kept.add("%s: %s", herb.key(), one.head())));
        kept.isAsKept("caution-heads.txt");
    }
}
