package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.text.Linear;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads times of the day as people say them: "half past seven", "ten to eight", "7 pm", "in the evening". */
final class ClockReader {

    /** [E] What a part of the day means where no hour is said. */
    private static final Map<String, LocalTime> PARTS = Map.of(
            "morning", LocalTime.of(8, 0),
            "noon", LocalTime.NOON,
            "midday", LocalTime.NOON,
            "afternoon", LocalTime.of(15, 0),
            "evening", LocalTime.of(19, 0),
            "night", LocalTime.of(22, 0),
            "midnight", LocalTime.MIDNIGHT);

    private static final List<String> WORDS =
            List.of("one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");

    /** The numbers people say in words, as a pattern's alternatives. */
    static final String NUMBERS = String.join("|", WORDS);

    /** An hour by number or word, as a pattern. */
    static final String HOUR = "(\\d{1,2}|" + NUMBERS + ")";

    private static final Pattern CLOCK =
            Pattern.compile("(\\d{1,2})[:.h](\\d{2})(?::\\d{2}(?:\\.\\d{1,9})?)? ?([ap]m)?");

    /** "0805"; without the nought it might be a year. */
    private static final Pattern DIGITS = Pattern.compile("(0\\d)([0-5]\\d)(?: ?h(?:rs|ours)?)?");

    private static final Pattern BARE = Pattern.compile(HOUR + " ?([ap]m|o'clock)");
    private static final Pattern SPOKEN = Pattern.compile("(half(?: past)?|quarter past|quarter to) " + HOUR
            + "(?: (?:in the )?(morning|afternoon|evening)| ?([ap]m))?");
    private static final Pattern MINUTES =
            Pattern.compile("(five|ten|twenty|twenty[ -]five|5|10|20|25) (to|past) " + HOUR + "(?: ?([ap]m))?");
    private static final Pattern AT_HOUR = Pattern.compile("(?:at|around|about) " + HOUR);
    private static final Pattern PART_AT = Pattern.compile("(morning|afternoon|evening),?(?: at)? " + HOUR);
    private static final Pattern HOUR_AND_MINUTES =
            Pattern.compile("(" + NUMBERS + ") (fifteen|thirty|forty[ -]five)(?: ?([ap]m))?");

    private ClockReader() {}

    /** Reads a time; empty for anything else. */
    static Optional<LocalTime> time(String text) {
        Matcher atHour = AT_HOUR.matcher(text);
        if (atHour.matches()) {
            return count(atHour.group(1)).flatMap(hour -> of(hour, 0, null));
        }
        String bare = Linear.first(text, "^(?:at |in the |about |around )+", "");
        if (PARTS.containsKey(bare)) {
            return Optional.of(PARTS.get(bare));
        }
        Matcher clock = CLOCK.matcher(bare);
        if (clock.matches()) {
            return of(Integer.parseInt(clock.group(1)), Integer.parseInt(clock.group(2)), clock.group(3));
        }
        Matcher digits = DIGITS.matcher(bare);
        if (digits.matches()) {
            return of(Integer.parseInt(digits.group(1)), Integer.parseInt(digits.group(2)), null);
        }
        Matcher hour = BARE.matcher(bare);
        if (hour.matches()) {
            return count(hour.group(1)).flatMap(h -> of(h, 0, hour.group(2)));
        }
        Matcher part = PART_AT.matcher(bare);
        if (part.matches()) {
            return count(part.group(2)).flatMap(h -> of(h, 0, part.group(1).equals("morning") ? "am" : "pm"));
        }
        Matcher said = HOUR_AND_MINUTES.matcher(bare);
        if (said.matches()) {
            int minutes = said.group(2).equals("fifteen") ? 15 : said.group(2).equals("thirty") ? 30 : 45;
            return count(said.group(1)).flatMap(h -> of(h, minutes, said.group(3)));
        }
        Matcher near = MINUTES.matcher(bare);
        if (near.matches()) {
            int off = minutes(near.group(1)) * (near.group(2).equals("to") ? -1 : 1);
            return count(near.group(3)).flatMap(h -> of(h, 0, near.group(4))).map(at -> at.plusMinutes(off));
        }
        Matcher spoken = SPOKEN.matcher(bare);
        if (!spoken.matches()) {
            return Optional.empty();
        }
        String half =
                spoken.group(3) == null ? spoken.group(4) : spoken.group(3).equals("morning") ? "am" : "pm";
        int minutes = spoken.group(1).startsWith("half") ? 30 : spoken.group(1).endsWith("past") ? 15 : -15;
        return count(spoken.group(2)).flatMap(h -> of(h, 0, half)).map(at -> at.plusMinutes(minutes));
    }

    private static int minutes(String word) {
        return switch (word) {
            case "five", "5" -> 5;
            case "ten", "10" -> 10;
            case "twenty", "20" -> 20;
            default -> 25;
        };
    }

    /** An hour and minutes, of the day or of half of it; empty where there is none such. */
    static Optional<LocalTime> of(int hour, int minute, @Nullable String half) {
        if (half == null || half.equals("o'clock")) {
            return hour <= 23 && minute <= 59 ? Optional.of(LocalTime.of(hour, minute)) : Optional.empty();
        }
        return hour >= 1 && hour <= 12 && minute <= 59
                ? Optional.of(LocalTime.of(hour % 12 + (half.equals("pm") ? 12 : 0), minute))
                : Optional.empty();
    }

    /** A number by digits or word. */
    static Optional<Integer> count(String word) {
        if (word.equals("a") || word.equals("an")) {
            return Optional.of(1);
        }
        if (word.equals("a couple of")) {
            return Optional.of(2);
        }
        int at = WORDS.indexOf(word);
        return at >= 0 ? Optional.of(at + 1) : Optional.of(Integer.valueOf(word));
    }
}
