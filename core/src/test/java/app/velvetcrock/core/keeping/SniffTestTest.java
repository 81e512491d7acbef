package app.velvetcrock.core.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.Cases;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SniffTestTest {

    private static final LocalDate DATE = LocalDate.of(2026, 6, 20);

    /** Use by 20 June. A pass gives a month from the test, cut at the oil's own end; too early, too late and too soon give nothing. */
    @ParameterizedTest
    @CsvSource({
        // today, oil's end, last pass, never → date
        "2026-06-10, 2027-01-01, , false, 2026-07-10",
        "2026-06-20, 2027-01-01, , false, 2026-07-20",
        "2026-06-06, 2027-01-01, , false, 2026-07-06",
        "2026-06-05, 2027-01-01, , false, 2026-06-20",
        "2026-06-21, 2027-01-01, , false, 2026-06-20",
        "2026-06-10, 2026-07-01, , false, 2026-07-01",
        "2026-06-10, 2026-06-20, , false, 2026-06-20",
        "2026-06-10, 2027-01-01, 2026-05-11, false, 2026-06-20",
        "2026-06-10, 2027-01-01, 2026-05-10, false, 2026-07-10",
        "2026-06-10, 2027-01-01, , true, 2026-06-20"
    })
    void aPassGivesAMonth(LocalDate today, LocalDate end, LocalDate lastPass, boolean never, LocalDate expected) {
        SniffTest test = SniffTest.passed(DATE, today, end, Optional.ofNullable(lastPass), never);
        assertThat(test.useBy()).isEqualTo(expected);
        assertThat(test.lengthened()).isEqualTo(!expected.equals(DATE));
        assertThat(test.why()).isNotBlank();
    }

    @Test
    void neverShortensAndNeverPassesTheEnd() {
        Random random = new Random(9);
        for (int i = 0; i < Cases.of(3000); i++) {
            LocalDate end = DATE.plusDays(random.nextInt(60));
            SniffTest test = SniffTest.passed(
                    DATE, DATE.plusDays(random.nextInt(40) - 30), end, Optional.empty(), random.nextInt(5) == 0);
            assertThat(test.useBy()).isBetween(DATE, end);
        }
    }
}
