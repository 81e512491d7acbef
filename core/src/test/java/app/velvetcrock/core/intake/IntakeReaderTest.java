package app.velvetcrock.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.recipe.Things;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IntakeReaderTest {

    private static final Materia MATERIA = Materia.shipped();
    private static final IntakeReader READER = new IntakeReader(
            new AmountReader(HouseholdUnits.METRIC),
            Things.of(MATERIA, MATERIA.herbs(), MATERIA.carriers()),
            MATERIA,
            MATERIA.carriers(),
            LocalDateTime.parse("2026-11-24T10:00"));

    private static String told(Arriving one) {
        if (one instanceof Arriving.Herb herb) {
            return "herb %s %s %s %s %s%s"
                    .formatted(
                            herb.kind().key(),
                            herb.moisture(),
                            herb.texture().part(),
                            herb.texture().cut(),
                            Decimals.upTo(herb.mass().grams(), 0),
                            besides(herb.besides()));
        } else if (one instanceof Arriving.Oil oil) {
            return "oil %s %s %s%s"
                    .formatted(
                            oil.kind().key(),
                            Decimals.upTo(oil.mass().grams(), 0),
                            oil.besides().opened().map(String::valueOf).orElse("sealed"),
                            besides(oil.besides()));
        } else if (one instanceof Arriving.Supply supply) {
            return "supply %s %s"
                    .formatted(supply.kind().key(), Decimals.upTo(supply.mass().grams(), 0));
        } else if (one instanceof Arriving.Containers containers) {
            return "%d of %s".formatted(containers.count(), containers.name());
        } else if (one instanceof Arriving.Jars jars) {
            return "%d jars %s".formatted(jars.count(), jars.vessel().name());
        }
        Arriving.Doubt doubt = (Arriving.Doubt) one;
        assertThat(doubt.wrong()).isNotBlank();
        return "doubt";
    }

    private static String besides(Arriving.Besides besides) {
        return besides.best().map(day -> " till " + day).orElse("")
                + (besides.from().isEmpty() ? "" : " from " + besides.from());
    }

    /** Nothing that is said of a thing is dropped in silence. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            textBlock =
                    """
            1 L olive oil best before May 2027                          | oil olive 913 sealed till 2027-05-31
            1 L olive oil, opened 3 Nov, best before 12 May 2027        | oil olive 913 2026-11-03 till 2027-05-12
            1 L olive oil (best before 05/27) opened in May             | oil olive 913 2026-05-01 till 2027-05-31
            1 L olive oil use by whenever                               | doubt
            45 g dried calendula heads from Ari                         | herb calendula DRIED FLOWER WHOLE 45 from Ari
            45 g nettle from the market, best before Aug 2027 | herb nettle DRIED LEAF CUT_AND_SIFTED 45 till 2027-08-31 from the market
            500 mL jojoba from the mill opened yesterday                | oil jojoba 433 2026-11-23 from the mill
            24 tins of 60 mL from Ari                                   | doubt
            24 tins of 60 mL for 4.50                                   | doubt
            """)
    void whatIsSaidBesides(String written, String expected) {
        List<Arriving> read = READER.read(written);
        assertThat(read.stream().map(IntakeReaderTest::told)).containsExactly(expected);
    }

    @Test
    void severalOnALineAreToldApart() {
        List<Arriving> read = READER.read(
                "45 g dried calendula heads, 1 L olive oil opened in May, 24 tins of 60 mL, and 100 g beeswax");
        assertThat(read.stream().map(IntakeReaderTest::told))
                .containsExactly(
                        "herb calendula DRIED FLOWER WHOLE 45",
                        "oil olive 913 2026-05-01",
                        "24 of Tin, 60 mL",
                        "supply beeswax 100");
        assertThat(read.get(1).written()).isEqualTo("1 L olive oil opened in May");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "- 200 g nettle leaf, cut and sifted | herb nettle DRIED LEAF CUT_AND_SIFTED 200",
                "fresh yarrow tops 300 g | herb yarrow FRESH TOPS CUT_AND_SIFTED 300",
                "½ L sunflower oil (unopened) | oil sunflower 460 sealed",
                "1 L olive oil opened 12 Oct | oil olive 913 2026-10-12",
                "500 g shea butter | oil shea 500 sealed",
                "12 jars of 500 mL | 12 jars Jar, 500 mL",
                "3 x 100 ml bottles | 3 of Bottle, 100 mL",
                "24 tins | doubt",
                "olive oil | doubt",
                "some calendula | doubt",
                "100 g sawdust | doubt",
                "50 g foxglove leaf | doubt",
                "1 L olive oil opened whenever | doubt",
                "1 L olive oil opened tomorrow | doubt",
                "40 g comfrey leaf gathered | doubt",
                "500 mL vodka | doubt",
                "17 people | doubt",
                "a handful of thyme | doubt",
                "9999 kg calendula | doubt"
            })
    void aThing(String written, String expected) {
        List<Arriving> read = READER.read(written.strip());
        assertThat(read).as(written).hasSize(1);
        assertThat(told(read.get(0))).isEqualTo(expected.strip());
    }

    @Test
    void nothingIsDroppedOfAListThatIsTooLong() {
        assertThat(READER.read("10 g nettle\n".repeat(70))).hasSize(70);
        assertThat(READER.read("10 g nettle\n".repeat(70)).get(69)).isInstanceOf(Arriving.Doubt.class);
        assertThat(READER.read("\n \n")).isEmpty();
    }
}
