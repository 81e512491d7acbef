package app.velvetcrock.core.kitchen;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.measure.Volume;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PiecesTest {

    @ParameterizedTest
    @CsvSource({
        "12 tins, 12, tin,",
        "12, 12, '',",
        "12 ×, 12, '',",
        "a dozen, 12, '',",
        "two dozen tins, 24, tin,",
        "half a dozen, 6, '',",
        "A jar, 1, jar,",
        "seventeen people, 17, people,",
        "Enough for 17 people, 17, people,",
        "'enough for 17 people, a 30 mL tin each', 17, people, 30",
        "12 x round tins, 12, tin,",
        "12 x 60 mL tins, 12, tin, 60",
        "12 tins of 60 ml, 12, tin, 60",
        "18 tins of salve, 18, tin,",
        "6 bar molds, 6, mould,",
        "0, 0, '',"
    })
    void whatIsCounted(String typed, int count, String of, Integer millilitres) {
        assertThat(Pieces.read(typed)).contains(new Pieces(count, of, Optional.ofNullable(millilitres)));
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
        record Tin(String name, int holds, long left) {}
        Tin tin = new Tin("Round tin, 60 mL", 62, 3);
        Tin pot = new Tin("Lip pot", 15, 28);
        Tin small = new Tin("Little tin", 30, 2);
        Function<Pieces, Optional<Tin>> of = pieces -> pieces.meant(
                Stream.of(pot, tin, small), Tin::name, one -> Volume.ofMillilitres(one.holds()), Tin::left);
        assertThat(of.apply(new Pieces(2, "tin", Optional.empty()))).contains(tin);
        assertThat(of.apply(new Pieces(2, "people", Optional.empty()))).contains(pot);
        assertThat(of.apply(new Pieces(17, "people", Optional.of(30)))).contains(small);
        assertThat(of.apply(new Pieces(2, "jar", Optional.of(60)))).contains(tin);
        assertThat(of.apply(new Pieces(2, "tin", Optional.of(500))))
                .as("none so large")
                .contains(tin);
    }
}
