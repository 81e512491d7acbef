package app.velvetcrock.core.pan;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.spirit.Strength;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MadeKeepingTest {

    private static final LocalDate MADE = LocalDate.of(2026, 11, 24);
    private static final MadeKeeping.Ends OIL =
            new MadeKeeping.Ends("nettle", LocalDate.of(2027, 11, 24), Optional.empty());

    private static MadeKeeping.Brings brings(String key, double share, Double strength) {
        SupplyKind kind = Materia.shipped().supply(key).orElseThrow();
        return new MadeKeeping.Brings(kind, share, Optional.ofNullable(strength).map(Strength::new));
    }

    private static MadeKeeping keeps(MadeKeeping.Brings... brought) {
        return MadeKeeping.of(MADE, List.of(OIL), Stream.of(brought).toList());
    }

    /** Three months are the 24th of February, seven days the first of December; a year is what the oil itself has. */
    @ParameterizedTest
    @CsvSource({
        "honey, 0.05, , 2027-02-24, limited by the honey: three months",
        "honey, 0.051, , 2026-12-01, limited by the honey; which brings water",
        "tincture, 0.05, 40, 2027-02-24, limited by the tincture: three months",
        "tincture, 0.05, 39.9, 2026-12-01, limited by the tincture of 39.9 %; which brings water",
        "tincture, 0.01, , 2026-12-01, limited by the tincture (strength not told); which brings water",
        "tincture, 0.06, 70, 2026-12-01, limited by the tincture; which brings water",
        "grain-spirit, 0.03, 96, 2027-02-24, limited by the grain spirit: three months",
        "aloe, 0.01, , 2026-12-01, limited by the aloe gel; which brings water",
        "vitamin-e, 0.005, , 2027-11-24, limited by the nettle"
    })
    void whatIsStirredInShortensIt(String key, double share, Double strength, LocalDate till, String why) {
        MadeKeeping keeps = keeps(brings(key, share, strength));
        assertThat(keeps.date()).isEqualTo(till);
        assertThat(keeps.limitedBy()).startsWith(why.replace(';', ','));
        assertThat(keeps.notForSale()).isEqualTo(till.isEqual(LocalDate.of(2026, 12, 1)));
    }

    /**
     * With vitamin E at 0.1 to 0.5 %, or rosemary extract at 0.02 to 0.1 %, an infused oil has the antioxidant's bonus; with less, with
     * more, or with both it has none, and a plain oil's own end stays what it is.
     */
    @ParameterizedTest
    @CsvSource({
        "vitamin-e 0.001, 2028-01-10",
        "vitamin-e 0.005, 2028-01-10",
        "vitamin-e 0.0009, 2027-11-24",
        "vitamin-e 0.0052, 2027-11-24",
        "rosemary-extract 0.0002, 2028-01-10",
        "rosemary-extract 0.0012, 2027-11-24",
        "vitamin-e 0.003 rosemary-extract 0.0005, 2027-11-24"
    })
    void whatGuardsAnOilLengthensIt(String stirred, LocalDate till) {
        List<MadeKeeping.Brings> brought = new ArrayList<>();
        String[] words = stirred.split(" ");
        for (int i = 0; i < words.length; i += 2) {
            brought.add(brings(words[i], Double.parseDouble(words[i + 1]), null));
        }
        MadeKeeping.Ends infused =
                new MadeKeeping.Ends("nettle", OIL.date(), Optional.empty(), Optional.of(LocalDate.of(2028, 1, 10)));
        MadeKeeping keeps = MadeKeeping.of(MADE, List.of(infused), brought);
        assertThat(keeps.date()).isEqualTo(till);
        boolean longer = till.isAfter(OIL.date());
        assertThat(keeps.limitedBy().contains(" with ")).isEqualTo(longer);
        // Should it be left out after all, the oil's own day holds.
        assertThat(keeps.limits().stream().anyMatch(limit -> limit.unless().isPresent()))
                .isEqualTo(longer);
        assertThat(MadeKeeping.of(MADE, List.of(OIL), brought).date()).isEqualTo(OIL.date());
    }

    @Test
    void littleAndLittleIsMuch() {
        assertThat(keeps(brings("honey", 0.03, null), brings("tincture", 0.02, 60.0))
                        .notForSale())
                .isFalse();
        assertThat(keeps(brings("honey", 0.03, null), brings("tincture", 0.03, 60.0))
                        .notForSale())
                .as("each under five percent, six together")
                .isTrue();
        assertThat(keeps(brings("honey", 0.04, null), brings("honey", 0.04, null))
                        .date())
                .as("honey from two jars")
                .isEqualTo(MADE.plusDays(7));
    }
}
