package app.velvetcrock.core.kitchen;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.List;

/** Ways of saying a thing that are said again in the one way the readers know. Nothing is dropped: a word that is not known stays. */
final class Respelling {

    /** What is written, and how it is written instead. */
    private record Rule(Pattern written, String instead) {

        static Rule of(String written, String instead) {
            return new Rule(Pattern.compile(written, Pattern.CASE_INSENSITIVE), instead);
        }

        String on(String text) {
            return written.matcher(text).replaceFirst(instead);
        }
    }

    private static final List<Rule> AMOUNTS = List.of(
            Rule.of("\\b(?:three|3)[- ]quarters\\b", "3/4"),
            Rule.of("\\b(?:two|2)[- ]thirds\\b", "2/3"),
            Rule.of("^(\\d+) ?-?ish ", "$1 "),
            Rule.of("^between (\\S+) and (\\d)", "$1-$2"),
            // 1-1/2 oz; a range from one to a half would run backwards
            Rule.of("^(\\d+)-([1-7])/([2348])( |[a-z])", "$1 $2/$3$4"),
            Rule.of("^(\\d{1,2}) ?h ?(\\d{1,2})(?: ?min)?$", "$1 h $2 min"),
            Rule.of("^(\\d{1,2}):(\\d{2}) ?h(?:ours?)?$", "$1 h $2 min"));

    private static final List<Rule> MOMENTS = List.of(
            Rule.of("^(\\d{4}-\\d{2}-\\d{2})t(\\d)", "$1 $2"),
            Rule.of("\\b(?:tonight)\\b", "today night"),
            Rule.of("\\blast night\\b", "yesterday night"),
            Rule.of("\\bthis (morning|afternoon|evening)\\b", "today $1"),
            Rule.of("^(.+) nights? ago$", "$1 days ago night"),
            Rule.of("^a quarter of an hour ago$", "15 min ago"),
            Rule.of("^three quarters of an hour ago$", "45 min ago"),
            Rule.of("^half an hour ago$", "30 min ago"),
            Rule.of(
                    "^(?:an|one|1) hour and a half ago$|^one and a half hours ago$|^1[.,]5 h(?:ours?)? ago$",
                    "90 min ago"),
            Rule.of("^(?:in )?a week (?:from )?today$|^today week$", "in a week"),
            Rule.of("^tomorrow week$", "in 8 days"),
            Rule.of("^a week on ([a-z]+)$", "$1 week"),
            Rule.of("^for ([a-z\\d])", "by $1"),
            Rule.of("^(\\d{1,2}/\\d{1,2})$", "$1/"),
            Rule.of("^(\\d{1,2}/\\d{1,2}/)(\\d{2})$", "$120$2"),
            Rule.of("^(\\d{1,2}\\.\\d{1,2}\\.)(\\d{2})$", "$120$2"));

    /** "8 fl oz to 10 fl oz": a range whose unit is said at both ends. */
    private static final Pattern UNIT_AT_BOTH = Pattern.compile(
            "^([\\d./ ]*\\d) ?([a-z][a-z. ]*?)(?: to | ?- ?)([\\d./ ]*\\d) ?([a-z][a-z. ]*)$",
            Pattern.CASE_INSENSITIVE);

    private Respelling() {}

    static String ofAmount(String plain) {
        String said = through(AMOUNTS, plain);
        Matcher range = UNIT_AT_BOTH.matcher(said);
        return range.matches() && range.group(2).equalsIgnoreCase(range.group(4))
                ? range.group(1) + "-" + range.group(3) + " " + range.group(2)
                : said;
    }

    static String ofMoment(String plain) {
        return through(MOMENTS, plain);
    }

    private static String through(List<Rule> rules, String text) {
        String said = text;
        for (Rule rule : rules) {
            said = rule.on(said);
        }
        return said;
    }
}
