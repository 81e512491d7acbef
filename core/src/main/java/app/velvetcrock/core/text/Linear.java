package app.velvetcrock.core.text;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * Patterns on what people and devices send, in time that grows with its length and no faster.
 *
 * <p>The engine never goes back over what it has read, so no text, however odd, keeps it busy. It knows no looking ahead or
 * behind and no repeating of an earlier group; where a rule needs one, the class says so with a group more. The methods mean
 * what those of {@link String} mean. A pattern is compiled once: they are written in the code, so there are as many as lines
 * that name them.
 */
public final class Linear {

    private static final Map<String, Pattern> COMPILED = new ConcurrentHashMap<>();

    private Linear() {}

    /** Whether the whole text is what the pattern says. */
    public static boolean matches(String text, String pattern) {
        return of(pattern).matches(text);
    }

    /** The text with the first place the pattern finds written as {@code instead}; {@code $1} is the first group. */
    public static String first(String text, String pattern, String instead) {
        return of(pattern).matcher(text).replaceFirst(instead);
    }

    /** The text with every place the pattern finds written as {@code instead}. */
    public static String every(String text, String pattern, String instead) {
        return of(pattern).matcher(text).replaceAll(instead);
    }

    /** The text with every place the pattern finds written anew from what its groups found there; null of one that found nothing. */
    public static String each(String text, String pattern, Function<List<String>, String> instead) {
        Matcher found = of(pattern).matcher(text);
        StringBuilder written = new StringBuilder();
        int from = 0;
        while (found.find()) {
            List<String> groups = new ArrayList<>();
            for (int i = 1; i <= found.groupCount(); i++) {
                groups.add(found.group(i));
            }
            written.append(text, from, found.start()).append(instead.apply(groups));
            from = found.end();
        }
        return written.append(text, from, text.length()).toString();
    }

    /** What stands between the places the pattern finds, without the empty ones at the end. */
    public static String[] split(String text, String pattern) {
        return of(pattern).split(text);
    }

    /** In at most {@code parts} parts; a number below zero: in as many as there are, the empty ones at the end too. */
    public static String[] split(String text, String pattern, int parts) {
        return of(pattern).split(text, parts);
    }

    private static Pattern of(String pattern) {
        return COMPILED.computeIfAbsent(pattern, Pattern::compile);
    }
}
