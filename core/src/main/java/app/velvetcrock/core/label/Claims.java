package app.velvetcrock.core.label;

import app.velvetcrock.core.materia.DataFile;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.StringTokenizer;
import java.util.stream.Stream;

/**
 * Finds words on a label or in a name that claim what in many places only a medicine may (craft: making, wording). A plant's name is no
 * claim among ingredients; in a product's name it is asked about. Where something is not to be used is no claim either.
 */
public final class Claims {

    private static final Pattern WORD = Pattern.compile("[\\p{L}][\\p{L}'’-]*");
    private static final String ANY = "*";
    private static final String ANY_WORD = "…";
    private static final String LEAD = "next";
    private static final String NO_PLANT = "-";

    /** What ends a clause: a warning reaches no further. */
    private static final String ENDS = ".,;:!?";

    private final List<Stem> stems;
    private final List<Harmless> harmless;

    private Claims(List<Stem> stems, List<Harmless> harmless) {
        this.stems = stems;
        this.harmless = harmless;
    }

    /** Words as they stand beside each other; the last may have any ending. */
    private record Phrase(List<String> words) {

        static Phrase of(String said) {
            List<String> words = new ArrayList<>();
            StringTokenizer each = new StringTokenizer(said);
            while (each.hasMoreTokens()) {
                words.add(each.nextToken());
            }
            return new Phrase(words);
        }

        int length() {
            return words.size();
        }

        boolean isAt(List<Word> text, int at) {
            if (at + words.size() > text.size()) {
                return false;
            }
            for (int i = 0; i < words.size(); i++) {
                if (!is(words.get(i), text.get(at + i).plain())) {
                    return false;
                }
            }
            return true;
        }

        private static boolean is(String form, String word) {
            return form.equals(ANY_WORD)
                    || (form.endsWith(ANY) ? word.startsWith(form.substring(0, form.length() - 1)) : word.equals(form));
        }
    }

    private record Stem(String key, List<Phrase> forms, boolean never, String why, List<String> instead) {}

    private record Harmless(Phrase phrase, String plant) {}

    private record Word(int start, int end, String plain) {}

    /**
     * A word that claims too much, where it stands in the text.
     *
     * @param stem by which a household may say that its own rules allow it
     * @param never true where no household's rules do
     * @param why what kind of claim it is
     * @param instead plain words, the first the nearest
     */
    public record Claim(int start, int end, String word, String stem, boolean never, String why, List<String> instead) {

        public Claim {
            instead = List.copyOf(instead);
        }

        /** Plain words, in words. */
        public String better() {
            return String.join(", ", instead);
        }

        /** The text with other words in its place. */
        public String with(String text, String other) {
            return text.substring(0, start) + other + text.substring(end);
        }
    }

    /** Reads the shipped words; a bad line stops with file, line and text. */
    public static Claims shipped() {
        return new Claims(
                DataFile.read(Claims.class, "wording.csv", row -> {
                    List<String> forms = row.list("stem");
                    return new Stem(
                            forms.get(0).replace(ANY, ""),
                            forms.stream().map(Phrase::of).toList(),
                            row.text("never").equals("yes"),
                            row.text("why"),
                            row.list("instead"));
                }),
                DataFile.read(
                        Claims.class,
                        "harmless.csv",
                        row -> new Harmless(Phrase.of(row.text("words")), row.text("plant"))));
    }

    /** The words of a text that claim too much, in their order, without those the household's own rules allow. */
    public List<Claim> in(String text, Set<String> allowed) {
        return read(text, allowed, false);
    }

    /** The same of a product's name, where a plant's name that sounds like a claim is asked about. */
    public List<Claim> inName(String name, Set<String> allowed) {
        return read(name, allowed, true);
    }

    private List<Claim> read(String text, Set<String> allowed, boolean name) {
        List<Word> words = words(text);
        List<Claim> claims = new ArrayList<>();
        int at = 0;
        while (at < words.size()) {
            int here = at;
            Optional<Harmless> no = harmless.stream()
                    .filter(one -> one.phrase().isAt(words, here))
                    .max(Comparator.comparingInt(one -> one.phrase().length()));
            if (no.isPresent()) {
                Harmless one = no.get();
                int next = at + one.phrase().length();
                if (one.plant().equals(LEAD)) {
                    next = endOfClause(text, words, next);
                } else if (name && !one.plant().equals(NO_PLANT)) {
                    plant(text, words.get(at), one, allowed).ifPresent(claims::add);
                }
                at = next;
                continue;
            }
            Optional<Hit> hit = stems.stream()
                    .flatMap(stem -> stem.forms().stream()
                            .filter(form -> form.isAt(words, here))
                            .map(form -> new Hit(stem, form)))
                    .max(Comparator.comparingInt(one -> one.form().length()));
            if (hit.isEmpty()) {
                at++;
                continue;
            }
            Stem stem = hit.get().stem();
            Word first = words.get(at);
            Word last = words.get(at + hit.get().form().length() - 1);
            if (stem.never() || !allowed.contains(stem.key())) {
                claims.add(new Claim(
                        first.start(),
                        last.end(),
                        text.substring(first.start(), last.end()),
                        stem.key(),
                        stem.never(),
                        stem.why(),
                        stem.instead()));
            }
            at += hit.get().form().length();
        }
        return claims;
    }

    private record Hit(Stem stem, Phrase form) {}

    private static Optional<Claim> plant(String text, Word word, Harmless plant, Set<String> allowed) {
        return allowed.contains(word.plain())
                ? Optional.empty()
                : Optional.of(new Claim(
                        word.start(),
                        word.end(),
                        text.substring(word.start(), word.end()),
                        word.plain(),
                        false,
                        "a plant whose name sounds like a claim",
                        List.of(plant.plant())));
    }

    private static int endOfClause(String text, List<Word> words, int from) {
        int at = from;
        while (at < words.size()
                && !hasEnd(text, words.get(at - 1).end(), words.get(at).start())) {
            at++;
        }
        return at;
    }

    private static boolean hasEnd(String text, int from, int to) {
        return text.substring(from, to).chars().anyMatch(sign -> ENDS.indexOf(sign) >= 0);
    }

    private static List<Word> words(String text) {
        List<Word> words = new ArrayList<>();
        Matcher each = WORD.matcher(text);
        while (each.find()) {
            words.add(new Word(
                    each.start(),
                    each.end(),
                    text.substring(each.start(), each.end())
                            .toLowerCase(Locale.ROOT)
                            .replace('’', '\'')));
        }
        return words;
    }

    /** Whether a word is one of those by which a household's rules may allow something. */
    public boolean isAnswerable(String stem) {
        return Stream.concat(
                        stems.stream().filter(one -> !one.never()).map(Stem::key),
                        harmless.stream()
                                .filter(one -> !one.plant().equals(LEAD)
                                        && !one.plant().equals(NO_PLANT))
                                .map(one -> String.join(" ", one.phrase().words())))
                .anyMatch(stem::equals);
    }
}
