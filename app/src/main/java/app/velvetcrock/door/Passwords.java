package app.velvetcrock.door;

import app.velvetcrock.web.Fields;
import com.google.re2j.Pattern;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** What a password must be like. */
@Component
final class Passwords {

    private static final int LEAST = 10;
    /** BCrypt reads no more bytes than this; a longer one would be cut silently. */
    private static final int MOST_BYTES = 72;

    /** Of somebody's own names, pieces at least this long are known to everybody who knows them. */
    private static final int SHORTEST_NAME = 4;

    /** What is left of a password beside a common word or a name must be at least this long to count. */
    private static final int LEAST_OF_ITS_OWN = 6;

    private static final Pattern NO_LETTERS = Pattern.compile("[^\\p{L}\\p{N}]");
    private static final Pattern PARTS = Pattern.compile("[^\\p{L}\\p{N}]+");

    private final Set<String> common;

    Passwords() {
        try {
            String list = new ClassPathResource("passwords/common.txt").getContentAsString(StandardCharsets.UTF_8);
            this.common = list.lines()
                    .filter(line -> !line.startsWith("#") && !line.isBlank())
                    .map(Passwords::plain)
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException missing) {
            throw new UncheckedIOException("the list of common passwords is not there", missing);
        }
    }

    /**
     * Notes what is wrong with a password.
     *
     * @param names of its owner: name, email, household; a password made of them is no secret
     */
    void check(Fields fields, String field, @Nullable String password, List<String> names) {
        String typed = password == null ? "" : password;
        if (typed.length() < LEAST) {
            fields.trouble(
                    field,
                    "This has %d signs; a password needs at least %d.".formatted(typed.length(), LEAST),
                    "three or four words");
        } else if (typed.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            fields.trouble(field, "This is too long to be kept safely.", "at most %d letters".formatted(MOST_BYTES));
        } else if (isCommon(plain(typed))) {
            fields.trouble(
                    field,
                    "This is one of the first passwords anybody would try.",
                    "three or four words that do not belong together");
        } else if (pieces(names).anyMatch(piece -> restOf(plain(typed), piece) < LEAST_OF_ITS_OWN)) {
            fields.trouble(
                    field,
                    "This is little more than a name of yours, which others know.",
                    "three or four words that do not belong together");
        }
    }

    private boolean isCommon(String plain) {
        return common.contains(plain)
                || plain.chars().distinct().count() <= 2
                || isRun(plain)
                || common.stream()
                        .anyMatch(word ->
                                word.length() >= LEAST_OF_ITS_OWN && restOf(plain, word) < LEAST_OF_ITS_OWN - 1);
    }

    /** Each sign the one after the last: 1234567890, abcdefghij. */
    private static boolean isRun(String plain) {
        for (int i = 1; i < plain.length(); i++) {
            int step = plain.charAt(i) - plain.charAt(i - 1);
            if (step != 1 && !(plain.charAt(i) == '0' && plain.charAt(i - 1) == '9')) {
                return false;
            }
        }
        return true;
    }

    private static Stream<String> pieces(List<String> names) {
        return names.stream()
                .flatMap(name -> Stream.concat(Stream.of(name), Stream.of(PARTS.split(name))))
                .map(Passwords::plain)
                .filter(piece -> piece.length() >= SHORTEST_NAME);
    }

    /** How many letters are left beside a word; all of them where it is not in there. */
    private static int restOf(String plain, String word) {
        return plain.contains(word) ? plain.length() - word.length() : Integer.MAX_VALUE;
    }

    private static String plain(String password) {
        return NO_LETTERS.matcher(password.toLowerCase(Locale.ROOT)).replaceAll("");
    }
}
