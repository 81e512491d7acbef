package app.velvetcrock.core.jot;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * A word of a line, where it stands.
 *
 * @param text in small letters; a sign that parts by itself
 */
record Word(String text, int from, int to) {

    private static final String PARTS = ",;:&+";

    /** Parts a line into words; a comma or point between figures stays in the number, a colon in the hour. */
    static List<Word> of(String line) {
        List<Word> words = new ArrayList<>();
        int at = 0;
        while (at < line.length()) {
            char sign = line.charAt(at);
            if (Character.isWhitespace(sign) || "#()".indexOf(sign) >= 0) {
                at++;
            } else if (PARTS.indexOf(sign) >= 0) {
                words.add(new Word(String.valueOf(sign), at, at + 1));
                at++;
            } else {
                int end = at + 1;
                while (end < line.length() && !ends(line, end)) {
                    end++;
                }
                int last = end;
                while (last > at + 1 && ".!?’'".indexOf(line.charAt(last - 1)) >= 0) {
                    last--;
                }
                words.add(new Word(line.substring(at, last).toLowerCase(Locale.ROOT), at, last));
                at = end;
            }
        }
        return words;
    }

    private static boolean ends(String line, int at) {
        char sign = line.charAt(at);
        boolean inNumber = Character.isDigit(line.charAt(at - 1))
                && at + 1 < line.length()
                && Character.isDigit(line.charAt(at + 1));
        return Character.isWhitespace(sign)
                || "()".indexOf(sign) >= 0
                || PARTS.indexOf(sign) >= 0 && !((sign == ',' || sign == ':') && inNumber);
    }

    boolean isSign() {
        return text.length() == 1 && PARTS.contains(text);
    }

    boolean isNumber() {
        return text.chars().allMatch(c -> Character.isDigit(c) || c == '.' || c == ',')
                && Character.isDigit(text.charAt(0));
    }

    boolean isWhole() {
        return text.chars().allMatch(Character::isDigit) && text.length() < 7;
    }

    /** Some words from one on, as they are looked up. */
    static String join(List<Word> words, int at, int count) {
        return words.subList(at, at + count).stream().map(Word::text).collect(Collectors.joining(" "));
    }

    /** How many words from one on are something, the most of them that are. */
    static int longest(int most, List<Word> words, int at, Predicate<String> is) {
        for (int count = Math.min(most, words.size() - at); count > 0; count--) {
            if (is.test(join(words, at, count))) {
                return count;
            }
        }
        return 0;
    }
}
