package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.text.Linear;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.Month;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Reads days and moments as people say them, of what was done or of what is to come: "yesterday evening", "half past seven",
 * "2 days ago", "Saturday week", "12 Dec". All of the text is read or none of it.
 */
public final class WhenReader {

    /** Longer than anything that names a day. */
    public static final int LONGEST = 120;

    /** [E] Years a stillroom may speak of, in words. */
    public static final String YEARS = "a year from 1900 to 2200";

    private static final int FIRST_YEAR = 1900;
    private static final int LAST_YEAR = 2200;

    private static final String COUNT = "(\\d{1,3}|an?|a couple of|" + ClockReader.NUMBERS + ")";
    private static final Pattern IN_PART = Pattern.compile("(?:at )?" + ClockReader.HOUR
            + "(?: o'clock)? (?:in the|this|(yesterday|tomorrow)(?: in the)?) (morning|afternoon|evening)");
    private static final Pattern OF_THE_MONTH = Pattern.compile("(?:on )?the (\\d{1,2})(?:st|nd|rd|th)");
    private static final Pattern SINCE =
            Pattern.compile(COUNT + " (min(?:ute)?s?|h|hours?|days?|weeks?|months?|fortnights?) ago");
    private static final Pattern WEEKDAY = Pattern.compile(
            "(?:by |on |next |last |this )?(mon|tues?|wednes|thurs?|fri|satur|sun|wed|thu|sat)(?:day)?( "
                    + "week| in a week)?,?(?: (\\d{1,2}.*))?");
    private static final Pattern OF_LAST_WEEK =
            Pattern.compile("(?:on )?(?:(mon|tues|wednes|thurs|fri|satur|sun)day (?:of )?last week|last week (?:on )?"
                    + "(mon|tues|wednes|thurs|fri|satur|sun)day)");
    private static final Pattern AHEAD =
            Pattern.compile("(?:in )?" + COUNT + " (days?|weeks?|months?|fortnights?)(?: from now| from today)?");
    private static final Pattern DATE = Pattern.compile(
            "(?:by |on )?(?:the )?(\\d{1,2})(?:st|nd|rd|th)?\\.? ?(?:of )?([a-z]{3,9})\\.?,?(?: ?(\\d{4}))?");
    private static final Pattern MONTH_FIRST =
            Pattern.compile("(?:by |on )?([a-z]{3,9})\\.? (\\d{1,2})(?:st|nd|rd|th)?,?(?: (\\d{4}))?");
    private static final Pattern NUMBERS_ONLY = Pattern.compile("(\\d{1,2})[./](\\d{1,2})[./](\\d{4})?");
    private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{2})-(\\d{2})");

    private final LocalDateTime now;
    private final boolean past;

    private WhenReader(LocalDateTime now, boolean past) {
        this.now = now;
        this.past = past;
    }

    /** Of what was done: a weekday is the last one, a date without its year the last such. */
    public static WhenReader ofThePast(LocalDateTime now) {
        return new WhenReader(now, true);
    }

    /** Of what is to come: a weekday is the next one, a date without its year the next such. */
    public static WhenReader ofTheFuture(LocalDateTime now) {
        return new WhenReader(now, false);
    }

    /** Tells whether a day is one that anybody in a stillroom would mean. */
    public static boolean isInLivingMemory(LocalDate date) {
        return date.getYear() >= FIRST_YEAR && date.getYear() <= LAST_YEAR;
    }

    /** Reads a day; empty for anything else. */
    public Optional<LocalDate> day(String typed) {
        return typed.length() > LONGEST
                ? Optional.empty()
                : plainDay(plain(typed)).or(() -> dayOfAMoment(typed));
    }

    /** "An hour ago", "last night": a moment that cannot be taken for another day. */
    private Optional<LocalDate> dayOfAMoment(String typed) {
        String text = plain(typed);
        boolean isClear = past
                && (SINCE.matcher(text).matches()
                        || Linear.matches(text, "(just )?now|(today|yesterday) (morning|afternoon|evening|night)"));
        return isClear ? moment(typed).map(LocalDateTime::toLocalDate) : Optional.empty();
    }

    /**
     * Reads a moment. A day alone is noon of it, today alone is now; an hour alone is today's.
     *
     * @return empty for anything that is neither
     */
    public Optional<LocalDateTime> moment(String typed) {
        if (typed.length() > LONGEST) {
            return Optional.empty();
        }
        String text = plain(typed);
        if (text.equals("now") || text.equals("just now")) {
            return Optional.of(now);
        }
        Matcher since = SINCE.matcher(text);
        if (since.matches() && !Linear.matches(since.group(2), "(day|week|month|fortnight)s?")) {
            ChronoUnit unit = since.group(2).startsWith("h") ? ChronoUnit.HOURS : ChronoUnit.MINUTES;
            return ClockReader.count(since.group(1)).map(count -> now.minus(count, unit));
        }
        Matcher part = IN_PART.matcher(Linear.every(typed.strip().toLowerCase(Locale.ROOT), "\\s+", " "));
        if (part.matches()) {
            LocalDate day =
                    plainDay(part.group(2) == null ? "today" : part.group(2)).orElseThrow();
            return ClockReader.count(part.group(1))
                    .flatMap(hour -> ClockReader.of(hour, 0, part.group(3).equals("morning") ? "am" : "pm"))
                    .map(day::atTime);
        }
        Optional<LocalTime> alone = ClockReader.time(text);
        if (alone.isPresent()) {
            return alone.map(now.toLocalDate()::atTime);
        }
        Optional<LocalDate> day = plainDay(text);
        if (day.isPresent()) {
            return day.map(date -> date.equals(now.toLocalDate()) ? now : date.atTime(12, 0));
        }
        return dayAndTime(text);
    }

    /** A day and a time, in either order, with nothing left over. */
    private Optional<LocalDateTime> dayAndTime(String text) {
        for (int space = text.indexOf(' '); space > 0; space = text.indexOf(' ', space + 1)) {
            String first = Linear.first(text.substring(0, space), ",$", "");
            String rest = text.substring(space + 1);
            Optional<LocalDateTime> read = plainDay(first)
                    .flatMap(day -> ClockReader.time(rest).map(day::atTime))
                    .or(() -> ClockReader.time(first)
                            .flatMap(time -> plainDay(rest).map(day -> day.atTime(time))));
            if (read.isPresent()) {
                return read;
            }
        }
        return Optional.empty();
    }

    private static String plain(String typed) {
        return Respelling.ofMoment(Linear.every(typed.strip().toLowerCase(Locale.ROOT), "\\s+", " "));
    }

    private Optional<LocalDate> plainDay(String text) {
        LocalDate today = now.toLocalDate();
        switch (text) {
            case "today":
                return Optional.of(today);
            case "yesterday":
                return Optional.of(today.minusDays(1));
            case "the day before yesterday", "day before yesterday":
                return Optional.of(today.minusDays(2));
            case "tomorrow":
                return Optional.of(today.plusDays(1));
            case "the day after tomorrow", "day after tomorrow":
                return Optional.of(today.plusDays(2));
            default:
                return weekday(text)
                        .or(() -> ofLastWeek(text))
                        .or(() -> endOfTheMonth(text))
                        .or(() -> counted(text))
                        .or(() -> named(text))
                        .or(() -> ofTheMonth(text))
                        .or(() -> numbered(text));
        }
    }

    /** "Monday last week": of the week before this one, which begins on a Monday. */
    private Optional<LocalDate> ofLastWeek(String text) {
        Matcher said = OF_LAST_WEEK.matcher(text);
        if (!past || !said.matches()) {
            return Optional.empty();
        }
        String word = said.group(1) == null ? said.group(2) : said.group(1);
        return Stream.of(DayOfWeek.values())
                .filter(one -> one.name().toLowerCase(Locale.ROOT).startsWith(word))
                .findFirst()
                .map(day -> now.toLocalDate().minusWeeks(1).with(day));
    }

    /** "The end of the month": of this one, where it is still to come. */
    private Optional<LocalDate> endOfTheMonth(String text) {
        return !past && Linear.matches(text, "(by |at )?(the )?end of (the|this) month")
                ? Optional.of(now.toLocalDate().with(TemporalAdjusters.lastDayOfMonth()))
                : Optional.empty();
    }

    private Optional<LocalDate> weekday(String text) {
        Matcher weekday = WEEKDAY.matcher(text);
        if (!weekday.matches()) {
            return Optional.empty();
        }
        LocalDate today = now.toLocalDate();
        Optional<DayOfWeek> day = Stream.of(DayOfWeek.values())
                .filter(one -> one.name().toLowerCase(Locale.ROOT).startsWith(weekday.group(1)))
                .findFirst();
        if (weekday.group(3) != null) {
            // A weekday before a date must be that date's.
            return named(weekday.group(3))
                    .filter(date -> day.filter(date.getDayOfWeek()::equals).isPresent());
        }
        return past
                ? weekday.group(2) != null
                        ? Optional.empty()
                        : day.map(one -> today.with(TemporalAdjusters.previous(one)))
                : day.map(one -> today.with(TemporalAdjusters.next(one)).plusWeeks(weekday.group(2) == null ? 0 : 1));
    }

    private Optional<LocalDate> counted(String text) {
        LocalDate today = now.toLocalDate();
        Matcher since = SINCE.matcher(text);
        if (since.matches() && Linear.matches(since.group(2), "(day|week|month|fortnight)s?")) {
            int weeks = since.group(2).startsWith("fortnight") ? 2 : 1;
            return ClockReader.count(since.group(1))
                    .map(count -> today.minus((long) count * weeks, unit(since.group(2))));
        }
        Matcher ahead = AHEAD.matcher(text);
        if (past || !ahead.matches()) {
            return Optional.empty();
        }
        int times = ahead.group(2).startsWith("fortnight") ? 2 : 1;
        return ClockReader.count(ahead.group(1)).map(count -> today.plus((long) count * times, unit(ahead.group(2))));
    }

    private static ChronoUnit unit(String word) {
        return word.startsWith("day")
                ? ChronoUnit.DAYS
                : word.startsWith("month") ? ChronoUnit.MONTHS : ChronoUnit.WEEKS;
    }

    /** "The 3rd": of this month, or of the one before or after. */
    private Optional<LocalDate> ofTheMonth(String text) {
        Matcher day = OF_THE_MONTH.matcher(text);
        if (!day.matches()) {
            return Optional.empty();
        }
        LocalDate today = now.toLocalDate();
        return Stream.of(0, 1, 2)
                .map(off -> today.withDayOfMonth(1).plusMonths(past ? -off : off))
                .flatMap(month -> of(month.getYear(), month.getMonthValue(), Integer.parseInt(day.group(1))).stream())
                .filter(date -> past ? !date.isAfter(today) : !date.isBefore(today))
                .findFirst();
    }

    private Optional<LocalDate> named(String text) {
        Matcher date = DATE.matcher(text);
        if (date.matches()) {
            return month(date.group(2)).flatMap(month -> date(date.group(1), month, date.group(3)));
        }
        Matcher other = MONTH_FIRST.matcher(text);
        return other.matches()
                ? month(other.group(1)).flatMap(month -> date(other.group(2), month, other.group(3)))
                : Optional.empty();
    }

    /** Day before month, as it is written where days are written in numbers with points; 3/4 alone could be either and is not read. */
    private Optional<LocalDate> numbered(String text) {
        Matcher iso = ISO.matcher(text);
        if (iso.matches()) {
            return of(Integer.parseInt(iso.group(1)), Integer.parseInt(iso.group(2)), Integer.parseInt(iso.group(3)));
        }
        Matcher numbers = NUMBERS_ONLY.matcher(text);
        if (!numbers.matches()) {
            return Optional.empty();
        }
        int day = Integer.parseInt(numbers.group(1));
        int month = Integer.parseInt(numbers.group(2));
        boolean either = text.contains("/") && day <= 12 && month <= 12 && day != month;
        return either || month < 1 || month > 12
                ? Optional.empty()
                : date(numbers.group(1), Month.of(month), numbers.group(3));
    }

    private Optional<LocalDate> date(String day, Month month, @Nullable String year) {
        LocalDate today = now.toLocalDate();
        int number = Integer.parseInt(day);
        if (year != null) {
            return of(Integer.parseInt(year), month.getValue(), number);
        }
        return of(today.getYear(), month.getValue(), number)
                .map(date -> past && date.isAfter(today)
                        ? date.minusYears(1)
                        : !past && date.isBefore(today) ? date.plusYears(1) : date);
    }

    private static Optional<LocalDate> of(int year, int month, int day) {
        try {
            return Optional.of(LocalDate.of(year, month, day));
        } catch (DateTimeException notADay) {
            return Optional.empty();
        }
    }

    private static Optional<Month> month(String word) {
        return Stream.of(Month.values())
                .filter(month -> {
                    String name =
                            month.getDisplayName(TextStyle.FULL, Locale.ENGLISH).toLowerCase(Locale.ROOT);
                    return name.equals(word)
                            || name.substring(0, 3).equals(word)
                            || word.equals("sept") && month == Month.SEPTEMBER;
                })
                .findFirst();
    }
}
