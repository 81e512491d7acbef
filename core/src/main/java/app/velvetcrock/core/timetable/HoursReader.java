package app.velvetcrock.core.timetable;

import app.velvetcrock.core.text.Linear;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.time.DateTimeException;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Reads the hours of a day as people write them.
 *
 * <table><caption>Examples</caption>
 * <tr><td>7-8:30, 17-22</td><td>07:00 to 08:30 and 17:00 to 22:00</td></tr>
 * <tr><td>all day</td><td>07:00 to 22:00</td></tr>
 * <tr><td>nothing, none, away, –</td><td>no hours</td></tr>
 * </table>
 */
public final class HoursReader {

    private static final Pattern ONE =
            Pattern.compile("(\\d{1,2})(?:[:.](\\d{2}))? ?(?:-|–|to|till|until) ?(\\d{1,2})(?:[:.](\\d{2}))?");
    private static final LocalTime LAST = LocalTime.of(23, 59);
    private static final Window ALL_DAY = new Window(LocalTime.of(7, 0), LocalTime.of(22, 0));
    private static final int LONGEST = 80;

    private HoursReader() {}

    /** A text that is no list of hours; its message says what is wrong with it. */
    public static final class NoHoursException extends IllegalArgumentException {

        private static final long serialVersionUID = 1;

        NoHoursException(String message) {
            super(message);
        }
    }

    /**
     * Reads all of a text.
     *
     * @throws NoHoursException where it is not hours, runs backwards, or says the same hour twice
     */
    public static List<Window> parse(String typed) {
        if (typed.length() > 2 * LONGEST) {
            throw new NoHoursException("that is longer than a day's hours can be");
        }
        String text = typed.strip().toLowerCase(Locale.ROOT);
        if (text.isEmpty() || Linear.matches(text, "none|nobody|away|out|-|–")) {
            return List.of();
        } else if (text.equals("all day")) {
            return List.of(ALL_DAY);
        } else if (text.length() > LONGEST) {
            throw new NoHoursException("that is longer than a day's hours can be");
        }
        List<Window> windows = new ArrayList<>();
        for (String part : Linear.split(text, " ?(?:,|;| and ) ?")) {
            windows.add(window(part.strip()));
        }
        windows.sort(Comparator.comparing(Window::from));
        for (int i = 1; i < windows.size(); i++) {
            if (windows.get(i).from().isBefore(windows.get(i - 1).to())) {
                throw new NoHoursException(
                        "%s and %s overlap".formatted(words(windows.get(i - 1)), words(windows.get(i))));
            }
        }
        return windows;
    }

    private static Window window(String part) {
        Matcher matcher = ONE.matcher(part);
        if (!matcher.matches()) {
            throw new NoHoursException("“%s” is not from one hour to another".formatted(part));
        }
        LocalTime from = time(matcher.group(1), matcher.group(2));
        LocalTime to = time(matcher.group(3), matcher.group(4));
        if (!from.isBefore(to)) {
            throw new NoHoursException("“%s” runs backwards; a stretch ends before midnight".formatted(part));
        }
        return new Window(from, to);
    }

    private static LocalTime time(String hour, String minute) {
        int hours = Integer.parseInt(hour);
        int minutes = minute == null ? 0 : Integer.parseInt(minute);
        try {
            return hours == 24 && minutes == 0 ? LAST : LocalTime.of(hours, minutes);
        } catch (DateTimeException notATime) {
            throw new NoHoursException(
                    "“%s” is no time of the clock".formatted(minute == null ? hour : hour + ":" + minute));
        }
    }

    /** Writes hours so that {@link #parse} reads them again. */
    public static String words(List<Window> windows) {
        return windows.stream().map(HoursReader::words).collect(Collectors.joining(", "));
    }

    private static String words(Window window) {
        return words(window.from()) + "-" + words(window.to());
    }

    private static String words(LocalTime time) {
        return time.equals(LAST)
                ? "24"
                : time.getMinute() == 0
                        ? String.valueOf(time.getHour())
                        : "%d:%02d".formatted(time.getHour(), time.getMinute());
    }
}
