package app.velvetcrock.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.core.kitchen.WhenReader;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Hours of a day and days to come, as people write them. */
class ReadersTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            7-8:30, 17-22     | 7-8:30, 17-22
            17:00 to 22.30    | 17-22:30
            17-22 and 7-8     | 7-8, 17-22
            all day           | 7-22
            17-24             | 17-24
            none              | ''
            away              | ''
            ''                | ''
            """)
    void hoursAreReadAndWrittenBack(String typed, String written) {
        assertThat(HoursReader.words(HoursReader.parse(typed))).isEqualTo(written);
        assertThat(HoursReader.parse(written)).isEqualTo(HoursReader.parse(typed));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            22-7         | runs backwards
            7-8, 7:30-9  | overlap
            25-26        | no time of the clock
            7-8:75       | no time of the clock
            evenings     | not from one hour to another
            7-           | not from one hour to another
            7-8 and      | not from one hour to another
            """)
    void whatIsNoHoursIsSaid(String typed, String wrong) {
        assertThatThrownBy(() -> HoursReader.parse(typed))
                .isInstanceOf(HoursReader.NoHoursException.class)
                .hasMessageContaining(wrong);
    }

    /** Tuesday 24 November 2026. */
    @ParameterizedTest
    @CsvSource({
        "Saturday,2026-11-28",
        "by Saturday week,2026-12-05",
        "sat,2026-11-28",
        "Tuesday,2026-12-01",
        "thursday,2026-11-26",
        "Wed,2026-11-25",
        "tomorrow,2026-11-25",
        "in 3 weeks,2026-12-15",
        "two months,2027-01-24",
        "a week,2026-12-01",
        "12 Dec,2026-12-12",
        "12th of December 2026,2026-12-12",
        "1 march,2027-03-01",
        "2026-12-12,2026-12-12",
        "someday,",
        "31 feb,",
        "'',",
        "2026-13-01,",
        "12,"
    })
    void daysAreReadAsPeopleSayThem(String typed, LocalDate day) {
        assertThat(WhenReader.ofTheFuture(LocalDate.of(2026, 11, 24).atTime(9, 0))
                        .day(typed))
                .isEqualTo(Optional.ofNullable(day));
    }
}
