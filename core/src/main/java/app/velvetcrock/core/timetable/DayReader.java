package app.velvetcrock.core.timetable;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Reads the day something is needed, as people say it.
 *
 * <table><caption>Examples on Tuesday 24 November 2026</caption>
 * <tr><td>Saturday</td><td>28 November</td></tr>
 * <tr><td>Saturday week</td><td>5 December</td></tr>
 * <tr><td>in 3 weeks</td><td>15 December</td></tr>
 * <tr><td>12 Dec, 12 December 2026, 2026-12-12</td><td>12 December</td></tr>
 * </table>
 */
public final class DayReader {

    private static final Pattern WEEKDAY = Pattern.compile(
            "(?:by |on |next )?(mon|tues?|wednes|thurs?|fri|satur|sun|wed|thu|sat)(?:day)?( week| in a week)?");
    private static final Pattern AHEAD = Pattern.compile(
            "(?:in )?(\\d{1,3}|an?|one|two|three|four) (days?|weeks?|months?)(?: from now| from today)?");
    private static final Pattern DATE =
            Pattern.compile("(?:by |on )?(\\d{1,2})(?:st|nd|rd|th)?\\.? (?:of )?([a-z]{3,9})\\.?,?(?: (\\d{4}))?");
    private static final Pattern ISO = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");

    private static final int LONGEST = 120;

    private DayReader() {}

    /** Reads all of a text; a weekday is the next one to come, a date without its year the next such. Empty for anything else. */
    public static Optional<LocalDate> read(String typed, LocalDate today) {
        if (typed.length() > LONGEST) {
            return Optional.empty();
        }
        String text = typed.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        Matcher weekday = WEEKDAY.matcher(text);
        Matcher ahead = AHEAD.matcher(text);
        Matcher date = DATE.matcher(text);
        if (text.equals("today") || text.equals("tomorrow")) {
            return Optional.of(today.plusDays(text.equals("today") ? 0 : 1));
        } else if (weekday.matches()) {
            return day(weekday.group(1))
                    .map(day -> today.with(TemporalAdjusters.next(day)).plusWeeks(weekday.group(2) == null ? 0 : 1));
        } else if (ahead.matches()) {
            return Optional.of(plus(today, count(ahead.group(1)), ahead.group(2)));
        } else if (date.matches()) {
            return month(date.group(2)).flatMap(month -> date(date, month, today));
        }
        return ISO.matcher(text).matches() ? iso(text) : Optional.empty();
    }

    private static Optional<DayOfWeek> day(String word) {
        return Stream.of(DayOfWeek.values())
                .filter(day -> day.name().toLowerCase(Locale.ROOT).startsWith(word))
                .findFirst();
    }

    private static int count(String word) {
        return switch (word) {
            case "a", "an", "one" -> 1;
            case "two" -> 2;
            case "three" -> 3;
            case "four" -> 4;
            default -> Integer.parseInt(word);
        };
    }

    private static LocalDate plus(LocalDate today, int count, String unit) {
        return unit.startsWith("day")
                ? today.plusDays(count)
                : unit.startsWith("week") ? today.plusWeeks(count) : today.plusMonths(count);
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

    private static Optional<LocalDate> date(Matcher date, Month month, LocalDate today) {
        try {
            int day = Integer.parseInt(date.group(1));
            if (date.group(3) != null) {
                return Optional.of(LocalDate.of(Integer.parseInt(date.group(3)), month, day));
            }
            LocalDate thisYear = LocalDate.of(today.getYear(), month, day);
            return Optional.of(thisYear.isBefore(today) ? thisYear.plusYears(1) : thisYear);
        } catch (DateTimeException notADay) {
            return Optional.empty();
        }
    }

    private static Optional<LocalDate> iso(String text) {
        try {
            return Optional.of(LocalDate.parse(text));
        } catch (DateTimeException notADay) {
            return Optional.empty();
        }
    }
}
