package app.velvetcrock.core.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.book.Lasting.Left;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What next year needs, by the pace of this one. */
class NextYearTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);

    private static Left left(double amount, String usable) {
        return new Left(amount, usable.equals("-") ? Optional.empty() : Optional.of(LocalDate.parse(usable)));
    }

    private static List<LocalDate> days(String all) {
        return Stream.of(all.split(" ")).map(LocalDate::parse).toList();
    }

    /** 300 g in 300 days are 1 g a day; of what came in two years ago only the last year counts. */
    @Test
    void thePaceIsWhatWasTakenSinceItFirstCameInAndWithinAYear() {
        assertThat(Pace.of(300, 6, TODAY.minusDays(300), TODAY)).isEqualTo(new Pace(1, 6, 300));
        assertThat(Pace.of(730, 6, TODAY.minusYears(2), TODAY)).isEqualTo(new Pace(2, 6, 365));
        assertThat(Pace.of(10, 6, TODAY, TODAY).days())
                .as("no sum divides by nothing")
                .isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"5, 60, true", "4, 60, false", "5, 59, false", "400, 59, false"})
    void fewTakingsOrAShortTimeTellNothing(int takings, int days, boolean known) {
        assertThat(new Pace(1, takings, days).isKnown()).isEqualTo(known);
    }

    @Test
    void whatIsNotTakenHasNoPace() {
        assertThat(new Pace(0, 9, 365).isKnown()).isFalse();
    }

    /** 30 g at 1 g a day are gone in 30 days; of 100 g that end in 9 days ten are used and 90 are lost, then come the others. */
    @Test
    void whatEndsFirstIsUsedFirstAndWhatIsLeftAtItsDateIsLost() {
        Pace pace = new Pace(1, 9, 365);
        assertThat(Lasting.of(List.of(left(30, "-")), pace, TODAY))
                .isEqualTo(new Lasting(30, Optional.of(TODAY.plusDays(30)), 0));
        assertThat(Lasting.of(List.of(left(30, "-"), left(100, "2026-12-03")), pace, TODAY))
                .isEqualTo(new Lasting(40, Optional.of(TODAY.plusDays(40)), 90));
        assertThat(Lasting.of(List.of(), pace, TODAY)).isEqualTo(new Lasting(0, Optional.of(TODAY), 0));
        assertThat(Lasting.of(List.of(left(1e6, "-")), pace, TODAY).until())
                .as("beyond five years nothing is said")
                .isEmpty();
        assertThat(Lasting.of(List.of(left(100, "2026-11-01")), pace, TODAY))
                .as("past its date nothing of it is used")
                .isEqualTo(new Lasting(0, Optional.of(TODAY), 100));
    }

    static Stream<Long> seeds() {
        return IntStream.range(0, Cases.of(40)).mapToObj(Long::valueOf);
    }

    /** Against going through it day by day, a whole unit each, by hand. */
    @ParameterizedTest
    @MethodSource("seeds")
    void theSumIsWhatADayByDayCountSays(long seed) {
        Random random = new Random(seed);
        List<Left> all = new ArrayList<>();
        for (int i = random.nextInt(5); i >= 0; i--) {
            all.add(new Left(
                    random.nextInt(60),
                    random.nextInt(4) == 0 ? Optional.empty() : Optional.of(TODAY.plusDays(random.nextInt(90) - 10L))));
        }
        Pace pace = new Pace(1, 9, 365);
        LocalDate day = TODAY.plusDays(random.nextInt(120));
        double served = 0;
        double[] amounts = new double[all.size()];
        List<Left> sorted = all.stream()
                .sorted(Comparator.comparing((Left one) -> one.usable().orElse(LocalDate.MAX)))
                .toList();
        for (int i = 0; i < amounts.length; i++) {
            amounts[i] = sorted.get(i).amount();
        }
        LocalDate at = TODAY;
        Optional<LocalDate> dry = Optional.empty();
        for (; at.isBefore(TODAY.plusDays(Lasting.FAR + 1L)); at = at.plusDays(1)) {
            int next = 0;
            while (next < amounts.length && (amounts[next] == 0 || !isUsable(sorted.get(next), at))) {
                next++;
            }
            if (next == amounts.length) {
                LocalDate empty = at;
                dry = dry.or(() -> Optional.of(empty));
            } else {
                amounts[next]--;
                served += at.isBefore(day) || !at.isBefore(day.plusDays(Pace.YEAR)) ? 0 : 1;
            }
        }
        Lasting lasting = Lasting.of(all, pace, TODAY);
        assertThat(lasting.until()).isEqualTo(dry);
        assertThat(NextYear.of(pace, lasting, TODAY, day).there()).isEqualTo(served, within(1e-9));
    }

    private static boolean isUsable(Left one, LocalDate at) {
        return one.usable().map(day -> !day.isBefore(at)).orElse(true);
    }

    @ParameterizedTest
    @CsvSource({
        // The median of three; of two the earlier.
        "2024-06-10 2024-07-01 2025-06-02 2026-06-20, 2026-11-24, 2027-06-10",
        "2025-06-02 2026-06-20, 2026-11-24, 2027-06-02",
        // Not gathered this year, and not long past: still this year; long past, or gathered: the next.
        "2024-06-10 2025-06-10, 2026-05-01, 2026-06-10",
        "2024-06-10 2025-06-10, 2026-07-10, 2026-06-10",
        "2024-06-10 2025-06-10, 2026-07-11, 2027-06-10",
        "2024-06-10 2026-06-10, 2026-06-12, 2027-06-10",
        // The odd day of a leap year.
        "2024-02-29, 2026-11-24, 2027-02-28",
    })
    void aHerbIsNextGatheredOnItsUsualFirstDayHere(String gathered, LocalDate today, LocalDate next) {
        assertThat(FirstDays.of(days(gathered)).next(today)).contains(next);
    }

    @Test
    void whatWasNeverGatheredHasNoDay() {
        assertThat(FirstDays.of(List.of()).next(TODAY)).isEmpty();
        assertThat(FirstDays.of(days("2026-07-01 2026-06-01 2025-06-09")).days())
                .containsExactly(LocalDate.of(2025, 6, 9), LocalDate.of(2026, 6, 1));
    }

    /** By hand: 2 a day, 500 there; 250 days to the gathering leave none; in 100 days 300 are left of what a year of 730 takes. */
    @Test
    void whatIsWantedIsAYearsLessWhatIsLeftThen() {
        Pace pace = new Pace(2, 9, 365);
        Lasting lasting = Lasting.of(List.of(left(500, "-")), pace, TODAY);
        assertThat(NextYear.of(pace, lasting, TODAY, TODAY.plusDays(250)))
                .isEqualTo(new NextYear(TODAY.plusDays(250), 730, 0, 730));
        assertThat(NextYear.of(pace, lasting, TODAY, TODAY.plusDays(100)))
                .isEqualTo(new NextYear(TODAY.plusDays(100), 730, 300, 430));
        assertThat(NextYear.of(pace, Lasting.of(List.of(left(5000, "-")), pace, TODAY), TODAY, TODAY)
                        .more())
                .as("enough is enough")
                .isZero();
        // Plenty that ends in a hundred days, today with them, serves a hundred and one.
        Lasting ends = Lasting.of(List.of(left(5000, TODAY.plusDays(100).toString())), pace, TODAY);
        assertThat(NextYear.of(pace, ends, TODAY, TODAY).more()).isEqualTo(730 - 202);
    }

    @Test
    void aHerbGoesByItsOilsAndByWhatIsTakenOfItBesides() {
        assertThat(NextYear.together(List.of(new NextYear.Part("oil", 0.5, 7), new NextYear.Part("tea", 0.25, 5)), 300))
                .contains(new Pace(0.75, 12, 300));
        assertThat(NextYear.together(List.of(), 300)).isEmpty();
    }
}
