package app.velvetcrock.core.kitchen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WhenReaderTest {

    /** A Tuesday. */
    private static final LocalDateTime NOW = LocalDateTime.parse("2026-11-24T18:20");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "now | 2026-11-24T18:20",
                "just now | 2026-11-24T18:20",
                "today | 2026-11-24T18:20",
                "yesterday | 2026-11-23T12:00",
                "Yesterday evening | 2026-11-23T19:00",
                "yesterday at half past seven | 2026-11-23T07:30",
                "yesterday half past seven in the evening | 2026-11-23T19:30",
                "last night | 2026-11-23T22:00",
                "this morning | 2026-11-24T08:00",
                "this evening | 2026-11-24T19:00",
                "8:05 | 2026-11-24T08:05",
                "08.05 | 2026-11-24T08:05",
                "8h05 | 2026-11-24T08:05",
                "7 pm | 2026-11-24T19:00",
                "7pm | 2026-11-24T19:00",
                "seven o'clock | 2026-11-24T07:00",
                "at 7 | 2026-11-24T07:00",
                "noon | 2026-11-24T12:00",
                "half three | 2026-11-24T03:30",
                "half past three pm | 2026-11-24T15:30",
                "quarter to eight | 2026-11-24T07:45",
                "quarter past eight | 2026-11-24T08:15",
                "12 am | 2026-11-24T00:00",
                "12:30 pm | 2026-11-24T12:30",
                "ten to eight | 2026-11-24T07:50",
                "5 past 7 | 2026-11-24T07:05",
                "twenty past three pm | 2026-11-24T15:20",
                "seven this morning | 2026-11-24T07:00",
                "at 7 in the evening | 2026-11-24T19:00",
                "seven yesterday evening | 2026-11-23T19:00",
                "the 3rd | 2026-11-03T12:00",
                "the 31st | 2026-10-31T12:00",
                "a fortnight ago | 2026-11-10T12:00",
                "a quarter of an hour ago | 2026-11-24T18:05",
                "an hour ago | 2026-11-24T17:20",
                "20 min ago | 2026-11-24T18:00",
                "half an hour ago | 2026-11-24T17:50",
                "2 hours ago | 2026-11-24T16:20",
                "two days ago | 2026-11-22T12:00",
                "a week ago | 2026-11-17T12:00",
                "3 days ago 9:15 | 2026-11-21T09:15",
                "the day before yesterday | 2026-11-22T12:00",
                "Monday | 2026-11-23T12:00",
                "Tuesday | 2026-11-17T12:00",
                "last Friday evening | 2026-11-20T19:00",
                "Sat 10:00 | 2026-11-21T10:00",
                "10:00 on Saturday | 2026-11-21T10:00",
                "8:30 yesterday | 2026-11-23T08:30",
                "20 November | 2026-11-20T12:00",
                "20 Nov 2026, 08:30 | 2026-11-20T08:30",
                "Nov 20 at 8:30 | 2026-11-20T08:30",
                "Friday 20 November | 2026-11-20T12:00",
                "3 Dec | 2025-12-03T12:00",
                "20.11.2026 | 2026-11-20T12:00",
                "20/11/2026 7:00 | 2026-11-20T07:00",
                "20.11. | 2026-11-20T12:00",
                "2026-11-20 | 2026-11-20T12:00",
                "2026-11-20T08:30 | 2026-11-20T08:30",
                "2026-11-20 08:30:15 | 2026-11-20T08:30",
                "1st of October | 2026-10-01T12:00",
                "midnight | 2026-11-24T00:00"
            })
    void readsWhatWasDone(String typed, LocalDateTime at) {
        assertThat(WhenReader.ofThePast(NOW).moment(typed)).contains(at);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "today | 2026-11-24",
                "tomorrow | 2026-11-25",
                "the day after tomorrow | 2026-11-26",
                "Saturday | 2026-11-28",
                "Saturday week | 2026-12-05",
                "Saturday 12 December | 2026-12-12",
                "in a fortnight | 2026-12-08",
                "a fortnight | 2026-12-08",
                "two weeks | 2026-12-08",
                "in 5 weeks | 2026-12-29",
                "in ten days | 2026-12-04",
                "12 Dec | 2026-12-12",
                "December 12 | 2026-12-12",
                "3 Mar | 2027-03-03",
                "by 3 March 2027 | 2027-03-03",
                "2027-03-03 | 2027-03-03"
            })
    void readsWhatIsToCome(String typed, LocalDate day) {
        assertThat(WhenReader.ofTheFuture(NOW).day(typed)).contains(day);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "soon",
                "8",
                "25:00",
                "8:75",
                "13 pm",
                "30 February",
                "Friday 21 November",
                "3/4",
                "3/4/2026",
                "yesterday or so",
                "yesterday 8:30 sharp",
                "half",
                "ago",
                "next",
                "-3 days ago",
                "2026-13-01",
                "2026-02-30T08:30",
                "quarter",
                "at",
                "99 o'clock",
                "Blursday",
                "12 Foo"
            })
    void doesNotGuess(String typed) {
        assertThat(WhenReader.ofThePast(NOW).moment(typed)).isEmpty();
        assertThat(WhenReader.ofTheFuture(NOW).day(typed)).isEmpty();
    }
}
