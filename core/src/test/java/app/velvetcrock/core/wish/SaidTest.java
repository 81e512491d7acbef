package app.velvetcrock.core.wish;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SaidTest {

    /** In people's words: the kind it is, "oil" for the oil itself, "never" where none such is made, "?" where nobody knows. */
    @ParameterizedTest
    @CsvSource({
        "a salve for chapped hands,salve",
        "balm,salve",
        "a lip balm,lip-balm",
        "something for my lips,lip-balm",
        "24 firm tins,salve",
        "firm salve,firm-salve",
        "massage oil,massage-blend",
        "an infused oil,oil",
        "the oil itself,oil",
        "body butter,whipped-butter",
        "lotion bars,lotion-bar",
        "soft bar,soft-bar",
        "ointment,soft-ointment",
        "nipple balm,nursing-balm",
        "beard balm,pomade",
        "ear drops,never",
        "oil for earache,never",
        "an eye balm,never",
        "something for open wounds,never",
        "a salve for burns,never",
        "oil for the umbilical cord,never",
        "sunscreen,never",
        "a drawing salve,never",
        "something to swallow for a cough,never",
        "a wheelbarrow,?",
        "'',?"
    })
    void whatIsWanted(String said, String expected) {
        Asked asked = Asked.read(said, Kind.shipped());
        String read = asked.never().isPresent()
                ? "never"
                : asked.kind().map(Kind::key).orElse(asked.isKnown() ? "oil" : "?");
        assertThat(read).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "fresh nettle leaves chopped,FRESH,CUT_AND_SIFTED,LEAF",
        "dried calendula heads whole,DRIED,WHOLE,FLOWER",
        "powdered turmeric root,,POWDER,ROOT",
        "wilted St John's wort tops,WILTED,,TOPS",
        "calendula,,,"
    })
    void whatIsSaidAlongWithAName(String said, Moisture moisture, Cut cut, Part part) {
        assertThat(Said.moisture(said).orElse(null)).isEqualTo(moisture);
        assertThat(Said.cut(said).orElse(null)).isEqualTo(cut);
        assertThat(Said.part(said).orElse(null)).isEqualTo(part);
    }

    @ParameterizedTest
    @CsvSource({
        "a balm for my baby,BABY",
        "salve for the dog's paws,ANIMALS",
        "a salve for a pregnant friend,PREGNANCY",
        "lip balm,LIPS",
        "chapped hands,HANDS",
        "a salve,"
    })
    void forWhom(String said, Use use) {
        assertThat(Said.forWhom(said).orElse(null)).isEqualTo(use);
    }
}
