package app.velvetcrock.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

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
}
