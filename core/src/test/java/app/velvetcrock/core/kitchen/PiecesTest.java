package app.velvetcrock.core.kitchen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PiecesTest {

    @ParameterizedTest
    @CsvSource({
        "12 tins, 12, tin",
        "12, 12, ''",
        "12 ×, 12, ''",
        "a dozen, 12, ''",
        "two dozen tins, 24, tin",
        "half a dozen, 6, ''",
        "A jar, 1, jar",
        "seventeen people, 17, people",
        "Enough for 17 people, 17, people",
        "'enough for 17 people, a 30 mL tin each', 17, people",
        "12 x round tins, 12, tin",
        "6 bar molds, 6, mould",
        "0, 0, ''"
    })
    void whatIsCounted(String typed, int count, String of) {
        assertThat(Pieces.read(typed)).contains(new Pieces(count, of));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "300 g",
                "a cup",
                "12 x 60 ml",
                "1½ tins",
                "tins",
                "-3",
                "",
                "12 oz of tin",
                "99999 tins",
                "about all"
            })
    void whatIsNot(String typed) {
        assertThat(Pieces.read(typed)).isEmpty();
    }

    @Test
    void theOneThatIsMeant() {
        record Tin(String name, long left) {}
        Tin tin = new Tin("Round tin, 60 mL", 3);
        Tin pot = new Tin("Lip pot", 28);
        assertThat(new Pieces(2, "tin").meant(Stream.of(pot, tin), Tin::name, Tin::left))
                .contains(tin);
        assertThat(new Pieces(2, "people").meant(Stream.of(pot, tin), Tin::name, Tin::left))
                .contains(pot);
        assertThat(new Pieces(2, "tin").meant(Stream.<Tin>of(), Tin::name, Tin::left))
                .isEmpty();
    }
}
