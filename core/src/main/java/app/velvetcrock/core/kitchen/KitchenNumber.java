package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.text.Linear;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A number as written in a kitchen: {@code 1 1/2}, {@code 1½}, {@code half a}, {@code 0,25}, {@code 1.5}.
 *
 * @param values one value, or two when a comma or point before exactly three digits may be either sign
 * @param length how many characters of the text it took
 */
public record KitchenNumber(List<Double> values, int length) {

    private static final Map<Character, String> VULGAR = Map.ofEntries(
            Map.entry('½', "1/2"),
            Map.entry('⅓', "1/3"),
            Map.entry('⅔', "2/3"),
            Map.entry('¼', "1/4"),
            Map.entry('¾', "3/4"),
            Map.entry('⅕', "1/5"),
            Map.entry('⅖', "2/5"),
            Map.entry('⅗', "3/5"),
            Map.entry('⅘', "4/5"),
            Map.entry('⅙', "1/6"),
            Map.entry('⅚', "5/6"),
            Map.entry('⅛', "1/8"),
            Map.entry('⅜', "3/8"),
            Map.entry('⅝', "5/8"),
            Map.entry('⅞', "7/8"));

    private static final Map<String, Double> WORDS = Map.ofEntries(
            Map.entry("a", 1d),
            Map.entry("an", 1d),
            Map.entry("one", 1d),
            Map.entry("two", 2d),
            Map.entry("three", 3d),
            Map.entry("four", 4d),
            Map.entry("five", 5d),
            Map.entry("six", 6d),
            Map.entry("seven", 7d),
            Map.entry("eight", 8d),
            Map.entry("nine", 9d),
            Map.entry("ten", 10d),
            Map.entry("eleven", 11d),
            Map.entry("twelve", 12d),
            Map.entry("a dozen", 12d),
            Map.entry("half a dozen", 6d),
            Map.entry("a couple of", 2d),
            Map.entry("thirteen", 13d),
            Map.entry("fourteen", 14d),
            Map.entry("fifteen", 15d),
            Map.entry("sixteen", 16d),
            Map.entry("seventeen", 17d),
            Map.entry("eighteen", 18d),
            Map.entry("nineteen", 19d),
            Map.entry("twenty", 20d),
            Map.entry("thirty", 30d),
            Map.entry("forty", 40d),
            Map.entry("fifty", 50d),
            Map.entry("sixty", 60d),
            Map.entry("seventy", 70d),
            Map.entry("eighty", 80d),
            Map.entry("ninety", 90d));

    private static final Map<String, Double> FRACTION_WORDS = Map.ofEntries(
            Map.entry("half", 0.5),
            Map.entry("a half", 0.5),
            Map.entry("an half", 0.5),
            Map.entry("one half", 0.5),
            Map.entry("quarter", 0.25),
            Map.entry("a quarter", 0.25),
            Map.entry("one quarter", 0.25),
            Map.entry("three quarters", 0.75),
            Map.entry("a third", 1 / 3d),
            Map.entry("one third", 1 / 3d),
            Map.entry("two thirds", 2 / 3d));

    private static final String FRACTION_WORD =
            "three quarters|two thirds|(?:an? |one )?half|(?:a |one )?quarter|(?:a |one )third";
    private static final String DIGITS =
            "\\.\\d+|\\d{1,3}(?:[,.]\\d{3}){2,}|\\d{1,3}(?:,\\d{3})+\\.\\d+|\\d+(?:[.,]\\d+)?";
    private static final Pattern FRACTION_WORDED = Pattern.compile("(" + FRACTION_WORD + ")\\b(?: of)?(?: an?\\b)?");
    private static final Pattern WORD = Pattern.compile(
            "(half a dozen|a dozen|a couple of|one|two|three|four(?:teen)?|five|six(?:teen)?|seven(?:teen)?|"
                    + "eight(?:een)?|nine(?:teen)?|ten|eleven|twelve|thirteen|fifteen|twenty|an|a)\\b"
                    + "(?: and (" + FRACTION_WORD + ")\\b)?");
    private static final Pattern TENS = Pattern.compile("(twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)"
            + "(?:[ -](one|two|three|four|five|six|seven|eight|nine))?\\b");
    private static final Pattern HUNDREDS =
            Pattern.compile("(a|one|two|three|four|five|six|seven|eight|nine) hundred\\b(?: and (\\w+)\\b)?");
    private static final Pattern AND_A_FRACTION = Pattern.compile("(.+?) and (" + FRACTION_WORD + ")");
    private static final Pattern MIXED = Pattern.compile("(\\d+)(?: +| and )(\\d+) ?/ ?(\\d+)");
    private static final Pattern ARTICLE = Pattern.compile("(?: of)? an?\\b");
    private static final Pattern FRACTION = Pattern.compile("(\\d+) ?/ ?(\\d+)");
    private static final Pattern DECIMAL = Pattern.compile("(" + DIGITS + ")(?: and (" + FRACTION_WORD + ")\\b)?");

    /** Thousands written apart, and what follows them: another digit or a stroke means they are something else. */
    private static final Pattern APART = Pattern.compile("(\\d{1,3}(?: \\d{3})+)(?: and (" + FRACTION_WORD + ")\\b)?");

    private static final Pattern EITHER_SIGN = Pattern.compile("[1-9]\\d{0,2}[.,]\\d{3}");

    public KitchenNumber {
        values = List.copyOf(values);
    }

    /** Writes ½ as 1/2 with a space before it, and all dashes and spaces plainly. */
    public static String plain(String text) {
        StringBuilder plain = new StringBuilder();
        for (char c : text.strip().toCharArray()) {
            String fraction = VULGAR.get(c);
            plain.append(
                    fraction != null
                            ? " " + fraction
                            : switch (c) {
                                case '–', '—', '−' -> "-";
                                case '\u00a0', '\u202f', '\t' -> " ";
                                case '⁄' -> "/";
                                default -> String.valueOf(c);
                            });
        }
        return Linear.every(plain.toString().strip(), " +", " ");
    }

    /** Reads a number at the start of {@link #plain} text; absent when there is none. */
    public static Optional<KitchenNumber> startOf(String text) {
        String lower = text.toLowerCase(java.util.Locale.ROOT);
        Matcher matcher = MIXED.matcher(lower);
        if (matcher.lookingAt()) {
            return fraction(number(matcher.group(1)), matcher.group(2), matcher.group(3), matcher.end());
        }
        matcher = FRACTION.matcher(lower);
        if (matcher.lookingAt()) {
            Matcher article = ARTICLE.matcher(lower.substring(matcher.end()));
            int length = matcher.end() + (article.lookingAt() ? article.end() : 0);
            return fraction(0, matcher.group(1), matcher.group(2), length);
        }
        matcher = APART.matcher(lower);
        if (matcher.lookingAt() && isEnd(lower, matcher.end(1))) {
            double number = number(matcher.group(1).replace(" ", ""));
            return Optional.of(new KitchenNumber(List.of(number + halfWord(matcher.group(2))), matcher.end()));
        }
        matcher = DECIMAL.matcher(lower);
        if (matcher.lookingAt()) {
            return Optional.of(decimal(matcher));
        }
        return worded(lower);
    }

    private static boolean isEnd(String text, int at) {
        return at == text.length() || text.charAt(at) != '/' && !Character.isDigit(text.charAt(at));
    }

    /** The unit's word and the fraction more in "cup and a half"; absent where there is none. */
    static Optional<Map.Entry<String, Double>> fractionAfter(String word) {
        Matcher matcher = AND_A_FRACTION.matcher(word);
        return matcher.matches()
                ? Optional.of(Map.entry(matcher.group(1), FRACTION_WORDS.get(matcher.group(2))))
                : Optional.empty();
    }

    KitchenNumber plus(double more) {
        return new KitchenNumber(values.stream().map(value -> value + more).toList(), length);
    }

    private static Optional<KitchenNumber> hundreds(String lower) {
        Matcher matcher = HUNDREDS.matcher(lower);
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        double hundreds = named(WORDS, matcher.group(1)) * 100;
        String rest = matcher.group(2);
        if (rest == null) {
            return Optional.of(new KitchenNumber(List.of(hundreds), matcher.end()));
        }
        return Linear.matches(rest, "\\d{1,2}") || WORDS.containsKey(rest) && rest.length() > 2
                ? Optional.of(new KitchenNumber(
                        List.of(hundreds + Optional.ofNullable(WORDS.get(rest)).orElseGet(() -> number(rest))),
                        matcher.end()))
                : Optional.empty();
    }

    /** The number of a word that a pattern made of these very words has found. */
    private static double named(Map<String, Double> words, String word) {
        return Objects.requireNonNull(words.get(word), word);
    }

    private static Optional<KitchenNumber> worded(String lower) {
        Optional<KitchenNumber> hundreds = hundreds(lower);
        if (hundreds.isPresent()) {
            return hundreds;
        }
        Matcher tens = TENS.matcher(lower);
        if (tens.lookingAt()) {
            double ones = tens.group(2) == null ? 0 : named(WORDS, tens.group(2));
            return Optional.of(new KitchenNumber(List.of(named(WORDS, tens.group(1)) + ones), tens.end()));
        }
        Matcher matcher = FRACTION_WORDED.matcher(lower);
        if (matcher.lookingAt() && !lower.startsWith("half a dozen")) {
            return Optional.of(new KitchenNumber(List.of(named(FRACTION_WORDS, matcher.group(1))), matcher.end()));
        }
        matcher = WORD.matcher(lower);
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        return Optional.of(
                new KitchenNumber(List.of(named(WORDS, matcher.group(1)) + halfWord(matcher.group(2))), matcher.end()));
    }

    private static KitchenNumber decimal(Matcher matcher) {
        String digits = matcher.group(1);
        double extra = halfWord(matcher.group(2));
        if (EITHER_SIGN.matcher(digits).matches()) {
            return new KitchenNumber(
                    List.of(number(digits.replace(',', '.')) + extra, number(Linear.every(digits, "[.,]", "")) + extra),
                    matcher.end());
        }
        boolean grouped = Linear.matches(digits, "\\d{1,3}([,.]\\d{3}){2,}")
                || digits.indexOf(',') >= 0 && digits.indexOf('.') > digits.indexOf(',');
        String plain = grouped ? ungroup(digits) : digits.replace(',', '.');
        return new KitchenNumber(List.of(number(plain) + extra), matcher.end());
    }

    private static String ungroup(String digits) {
        return digits.indexOf(',') >= 0 && digits.indexOf('.') >= 0
                ? digits.replace(",", "")
                : Linear.every(digits, "[.,]", "");
    }

    private static Optional<KitchenNumber> fraction(double whole, String over, String under, int length) {
        double divisor = number(under);
        return divisor == 0
                ? Optional.empty()
                : Optional.of(new KitchenNumber(List.of(whole + number(over) / divisor), length));
    }

    private static double halfWord(String word) {
        return word == null ? 0 : FRACTION_WORDS.get(word);
    }

    private static double number(String digits) {
        return Double.parseDouble(digits);
    }
}
