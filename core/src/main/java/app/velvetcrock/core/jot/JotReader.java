package app.velvetcrock.core.jot;

import app.velvetcrock.core.intake.Arriving;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Reads a line of shorthand: what it is about, what was done to it, when. What is not understood is marked, never guessed. Never throws,
 * whatever is typed.
 */
public final class JotReader {

    /** Longer than anybody scribbles at one go. */
    public static final int LONGEST = 500;

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
            "into",
            "away",
            "because",
            "went",
            "gone",
            "out");

    private final Names names;
    private final Amounts amounts;
    private final Moments moments;
    private final Senses senses;
    private final CameIn cameIn;

    /**
     * @param things what stands in the household, and {@code now} in its zone
     * @param intake reads what came in, as the list of the stores does
     */
    public JotReader(
            List<Thing> things, HouseholdUnits units, LocalDateTime now, Function<String, List<Arriving>> intake) {
        this.names = new Names(things);
        this.amounts = new Amounts(new AmountReader(units), names);
        this.moments = new Moments(now);
        this.senses = new Senses(names);
        this.cameIn = new CameIn(intake);
    }

    public Jotted read(String line) {
        if (line.length() > LONGEST) {
            return new Jotted(
                    List.of(),
                    List.of(),
                    List.of(new Jotted.Doubt(
                            LONGEST, line.length(), "this is longer than one line can be", List.of())));
        }
        List<Jotted.Said> said = new ArrayList<>();
        List<Arriving> arrived = new ArrayList<>();
        List<Jotted.Doubt> doubts = new ArrayList<>();
        int from = 0;
        Optional<Thing> before = Optional.empty();
        for (int to : ends(line)) {
            Optional<Clause> came = cameIn.read(line.substring(from, to), from);
            Clause clause = came.isPresent() ? came.get() : clause(line, from, to, before);
            arrived.addAll(clause.arrived());
            said.addAll(clause.said());
            doubts.addAll(clause.doubts());
            before = clause.said().stream()
                    .map(Jotted.Said::thing)
                    .reduce((one, other) -> other)
                    .or(() -> before(said));
            from = to + 1;
        }
        return new Jotted(said, arrived, doubts);
    }

    /** How a line may go on, whole: by the names of what is here, and by what fits what is named. */
    public List<Jotted.Ahead> completions(String line) {
        List<Integer> ends = ends(line);
        return line.length() > LONGEST
                ? List.of()
                : new Completion(names).of(line, ends.size() > 1 ? ends.get(ends.size() - 2) + 1 : 0);
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

    /** What a part of a line comes to. */
    record Clause(List<Jotted.Said> said, List<Arriving> arrived, List<Jotted.Doubt> doubts) {
        Clause(List<Jotted.Said> said, List<Jotted.Doubt> doubts) {
            this(said, List.of(), doubts);
        }
    }

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
        if (IntStream.range(0, words.size()).anyMatch(at -> reacts(words, at))) {
            draft.reaction();
        }
        int at = 0;
        while (at < words.size()) {
            at += step(words, at, draft);
        }
        return new Clause(draft.finish(note), draft.doubts());
    }

    private static boolean reacts(List<Word> words, int at) {
        return Word.longest(
                        Lexicon.LONGEST,
                        words,
                        at,
                        text -> Lexicon.says(text).orElse(null) instanceof Lexicon.Says.Reacts)
                > 0;
    }

    /** Reads what stands at a word, and tells how many words that took. */
    private int step(List<Word> words, int at, Draft draft) {
        boolean skin = draft.skin().isPresent()
                && !reacts(words, at)
                && named(words, at) == 0
                && draft.reaction().takes(words.get(at).text());
        int took = skin ? 1 : moments.read(words, at, draft);
        took = took > 0 ? took : amounts.stirredIn(words, at, draft);
        took = took > 0 || named(words, at) <= said(words, at) ? took : thing(words, at, draft);
        took = took > 0 ? took : phrase(words, at, draft);
        took = took > 0 ? took : amounts.read(words, at, draft);
        took = took > 0 ? took : thing(words, at, draft);
        if (took > 0) {
            return took;
        }
        Word word = words.get(at);
        if (draft.skin().filter(of -> of.takesWho(draft.typed(word))).isPresent()) {
            return 1;
        }
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
        return Word.longest(Names.LONGEST, words, at, text -> !names.named(text).isEmpty());
    }

    private static int said(List<Word> words, int at) {
        return Word.longest(
                Lexicon.LONGEST, words, at, text -> Lexicon.says(text).isPresent());
    }

    private int phrase(List<Word> words, int at, Draft draft) {
        for (int count = Math.min(Lexicon.LONGEST, words.size() - at); count > 0; count--) {
            Optional<Lexicon.Says> says = Lexicon.says(Word.join(words, at, count));
            if (says.isPresent()) {
                Word first = words.get(at);
                Word last = words.get(at + count - 1);
                if (says.get() instanceof Lexicon.Says.Smells) {
                    return count + senses.smell(words, at, count, draft);
                }
                if (says.get() instanceof Lexicon.Says.Spoon) {
                    return count + Senses.spoon(words, at, count, draft);
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
