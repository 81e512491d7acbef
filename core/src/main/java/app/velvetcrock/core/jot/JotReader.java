package app.velvetcrock.core.jot;

import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Reading;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Reads a line of shorthand: what it is about, what was done to it, when. What is not understood is marked, never guessed. Never throws,
 * whatever is typed.
 */
public final class JotReader {

    /** Longer than anybody scribbles at one go. */
    public static final int LONGEST = 500;

    private static final int AMOUNT_WORDS = 3;

    /** Words that say nothing by themselves. */
    private static final Set<String> FILLERS = Set.of(
            ",",
            "&",
            "+",
            ":",
            "-",
            "–",
            "and",
            "the",
            "a",
            "it",
            "was",
            "is",
            "has",
            "been",
            "jar",
            "batch",
            "no",
            "nr",
            "of",
            "at",
            "in",
            "its",
            "now",
            "just",
            "then",
            "reads",
            "read",
            "with",
            "from",
            "again",
            "herb",
            "oil",
            "also",
            "to",
            "degrees",
            "degree",
            "deg",
            "jars",
            "batches",
            "up",
            "temp",
            "temperature",
            "put",
            "switched",
            "bath",
            "opened",
            "away",
            "because",
            "went",
            "gone",
            "out");

    /** By which an amount begins that is said without figures: "half a cup". */
    private static final Set<String> AMOUNTS_IN_WORDS = Set.of("half", "quarter", "a", "one", "two", "three");

    private final Names names;
    private final AmountReader amounts;
    private final Moments moments;

    /** @param things what stands in the household, and {@code now} in its zone */
    public JotReader(List<Thing> things, HouseholdUnits units, LocalDateTime now) {
        this.names = new Names(things);
        this.amounts = new AmountReader(units);
        this.moments = new Moments(now);
    }

    public Jotted read(String line) {
        if (line.length() > LONGEST) {
            return new Jotted(
                    List.of(),
                    List.of(new Jotted.Doubt(
                            LONGEST, line.length(), "this is longer than one line can be", List.of())));
        }
        List<Jotted.Said> said = new ArrayList<>();
        List<Jotted.Doubt> doubts = new ArrayList<>();
        int from = 0;
        Optional<Thing> before = Optional.empty();
        for (int to : ends(line)) {
            Clause clause = clause(line, from, to, before);
            said.addAll(clause.said());
            doubts.addAll(clause.doubts());
            before = clause.said().stream()
                    .map(Jotted.Said::thing)
                    .reduce((one, other) -> other)
                    .or(() -> before(said));
            from = to + 1;
        }
        return new Jotted(said, doubts);
    }

    private static Optional<Thing> before(List<Jotted.Said> said) {
        return said.isEmpty()
                ? Optional.empty()
                : Optional.of(said.get(said.size() - 1).thing());
    }

    /** Where its parts end: at a semicolon that stands in no note. */
    private static List<Integer> ends(String line) {
        List<Integer> ends = new ArrayList<>();
        boolean quoted = false;
        for (int at = 0; at < line.length(); at++) {
            char sign = line.charAt(at);
            if (sign == '"' || sign == '“' || sign == '”') {
                quoted = sign == '"' ? !quoted : sign == '“';
            } else if (sign == ';' && !quoted) {
                ends.add(at);
            }
        }
        ends.add(line.length());
        return ends;
    }

    private record Clause(List<Jotted.Said> said, List<Jotted.Doubt> doubts) {}

    /** A part with its note; what stands behind a dash is read as done where it can be, and nothing else was said. */
    private Clause clause(String line, int from, int to, Optional<Thing> before) {
        String text = line.substring(from, to);
        if (text.isBlank()) {
            return new Clause(List.of(), List.of());
        }
        Note quoted = Note.quoted(text);
        if (quoted.isThere()) {
            return said(quoted.without(text), from, before, quoted.words());
        }
        Note dashed = Note.dashed(text);
        if (dashed.isThere()) {
            Clause plain = said(dashed.without(text), from, before, dashed.words());
            Clause all = said(dashed.spaced(text), from, before, "");
            // "- 20 ml" is no note: something was done with so much of it.
            if (plain.said().stream().allMatch(one -> one.facts().isEmpty())
                    && Character.isDigit((dashed.words() + " ").charAt(0))) {
                return all;
            }
            boolean nothing = plain.said().stream().allMatch(one -> one.facts().isEmpty());
            return all.doubts().isEmpty() && (nothing || !plain.doubts().isEmpty()) ? all : plain;
        }
        return said(text, from, before, "");
    }

    private Clause said(String text, int from, Optional<Thing> before, String note) {
        Draft draft = new Draft(names, text, from, before);
        List<Word> words = Word.of(text);
        int at = 0;
        while (at < words.size()) {
            at += step(words, at, draft);
        }
        return new Clause(draft.finish(note), draft.doubts());
    }

    /** Reads what stands at a word, and tells how many words that took. */
    private int step(List<Word> words, int at, Draft draft) {
        int took = moments.read(words, at, draft);
        took = took > 0 || named(words, at) <= said(words, at) ? took : thing(words, at, draft);
        took = took > 0 ? took : phrase(words, at, draft);
        took = took > 0 ? took : amount(words, at, draft);
        took = took > 0 ? took : thing(words, at, draft);
        if (took > 0) {
            return took;
        }
        Word word = words.get(at);
        if (Lexicon.count(word.text())
                .filter(count -> draft.takesCount(count, word))
                .isPresent()) {
            return 1;
        }
        if (draft.takesName(word, at > 0 ? words.get(at - 1).text() : "")) {
            return 1;
        }
        // "gave Inga 50 ml": a name nobody here has, right behind the verb.
        if (at > 0
                && names.like(word.text()).isEmpty()
                && Lexicon.like(word.text()).isEmpty()
                && draft.takesWhom(word, words.get(at - 1))) {
            return 1;
        }
        if (!FILLERS.contains(word.text())) {
            draft.doubt(
                    word,
                    word,
                    "this is not understood",
                    Stream.concat(names.like(word.text()).stream(), Lexicon.like(word.text()).stream())
                            .toList());
        }
        return 1;
    }

    /** How many words from here are a name; and how many say something: "water mint" is a name, though water says something. */
    private int named(List<Word> words, int at) {
        return longest(Names.LONGEST, words, at, text -> !names.named(text).isEmpty());
    }

    private static int said(List<Word> words, int at) {
        return longest(Lexicon.LONGEST, words, at, text -> Lexicon.says(text).isPresent());
    }

    private static int longest(int most, List<Word> words, int at, Predicate<String> is) {
        for (int count = Math.min(most, words.size() - at); count > 0; count--) {
            if (is.test(Word.join(words, at, count))) {
                return count;
            }
        }
        return 0;
    }

    private int phrase(List<Word> words, int at, Draft draft) {
        for (int count = Math.min(Lexicon.LONGEST, words.size() - at); count > 0; count--) {
            Optional<Lexicon.Says> says = Lexicon.says(Word.join(words, at, count));
            if (says.isPresent()) {
                Word first = words.get(at);
                Word last = words.get(at + count - 1);
                if (says.get() instanceof Lexicon.Says.Smells) {
                    return count + smell(words, at, count, draft);
                }
                if (says.get() instanceof Lexicon.Says.Note) {
                    draft.note(words.subList(at + count, words.size()));
                    return words.size() - at;
                }
                draft.says(says.get(), first, last);
                return count;
            }
        }
        return 0;
    }

    /** What it smells of: the next word that is no filler. */
    private int smell(List<Word> words, int at, int count, Draft draft) {
        Word first = words.get(at);
        int next = at + count;
        while (next < words.size()
                && Set.of("of", "like", "a", "bit", "very", "old", "as", "it", "still")
                        .contains(words.get(next).text())) {
            next++;
        }
        // "smelled the yarrow, fine": how it was is said behind.
        if (next < words.size() && (words.get(next).text().equals("the") || named(words, next) > 0)) {
            return 0;
        }
        if (next >= words.size() || words.get(next).isSign()) {
            draft.doubt(
                    first,
                    words.get(at + count - 1),
                    "what does it smell of?",
                    List.of("smells right", "smells sour", "smells rancid"));
            return 0;
        }
        Word of = words.get(next);
        Lexicon.smell(of.text())
                .ifPresentOrElse(
                        smell -> draft.smelled(smell, Word.join(words, at, words.indexOf(of) - at + 1), first, of),
                        () -> draft.doubt(
                                of,
                                of,
                                "is that as it should smell?",
                                List.of("right - smells " + of.text(), "sour", "rancid")));
        return next - at - count + 1;
    }

    private int amount(List<Word> words, int at, Draft draft) {
        Word first = words.get(at);
        boolean figure = Character.isDigit(first.text().charAt(0))
                || "½¼¾".indexOf(first.text().charAt(0)) >= 0;
        if (!figure && !(draft.waits() && AMOUNTS_IN_WORDS.contains(first.text()))) {
            return 0;
        }
        if (first.isWhole() && draft.takesOneOf(Integer.parseInt(first.text()), first)) {
            return 1;
        }
        for (int count = Math.min(AMOUNT_WORDS, words.size() - at); count > 0; count--) {
            String text = Word.join(words, at, count);
            boolean unit = (figure || count > 1) && text.chars().anyMatch(c -> Character.isLetter(c) || c == '°');
            Word last = words.get(at + count - 1);
            if (!unit || last.isSign()) {
                continue;
            }
            if (amounts.read(text, Expect.TEMPERATURE) instanceof Reading.Understood warm) {
                draft.warm((Temperature) warm.amount().middle(), first, last);
                return count;
            }
            if (amounts.read(text, Expect.LIQUID) instanceof Reading.Understood poured) {
                draft.amount(poured.amount().middle(), first, last);
                return count;
            }
        }
        return figure && first.isNumber() ? bare(first, draft) : 0;
    }

    /** A bare number: a jar's while nothing else is named, what came out in grams, or how warm it is. */
    private int bare(Word word, Draft draft) {
        if (word.isWhole() && draft.takesCount(Integer.parseInt(word.text()), word)) {
            return 1;
        }
        if (word.isWhole() && draft.takesNumber(Integer.parseInt(word.text()), word)) {
            return 1;
        }
        String text = word.text();
        Optional<Quantity> grams = amounts.read(text + " g", Expect.LIQUID) instanceof Reading.Understood weight
                ? Optional.of(weight.amount().middle())
                : Optional.empty();
        Optional<Temperature> degrees = amounts.read(text, Expect.TEMPERATURE) instanceof Reading.Understood warm
                ? Optional.of((Temperature) warm.amount().middle())
                : Optional.empty();
        draft.number(word, grams, degrees);
        return 1;
    }

    private int thing(List<Word> words, int at, Draft draft) {
        for (int count = Math.min(Names.LONGEST, words.size() - at); count > 0; count--) {
            List<Thing> named = names.named(Word.join(words, at, count));
            if (!named.isEmpty()) {
                draft.thing(named, words.get(at), words.get(at + count - 1));
                return count;
            }
        }
        return 0;
    }
}
