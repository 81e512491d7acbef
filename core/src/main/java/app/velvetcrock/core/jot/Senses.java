package app.velvetcrock.core.jot;

import app.velvetcrock.core.jot.said.AtThePan;
import java.util.List;
import java.util.Set;

/** Reads what something smells of, and how it felt: said in the words behind. */
final class Senses {

    private static final int FELT_WORDS = 3;

    private final Names names;

    Senses(Names names) {
        this.names = names;
    }

    /** What it smells of: the next word that is no filler. */
    int smell(List<Word> words, int at, int count, Draft draft) {
        Word first = words.get(at);
        int next = at + count;
        while (next < words.size()
                && Set.of("of", "like", "a", "bit", "very", "old", "as", "it", "still")
                        .contains(words.get(next).text())) {
            next++;
        }
        // "smelled the yarrow, fine": how it was is said behind.
        if (next < words.size()
                && (words.get(next).text().equals("the")
                        || Word.longest(Names.LONGEST, words, next, text -> !names.named(text)
                                        .isEmpty())
                                > 0)) {
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

    /** How it felt: the next words that are no sign. */
    static int spoon(List<Word> words, int at, int count, Draft draft) {
        int next = at + count;
        while (next < words.size()
                && (words.get(next).isSign()
                        || Set.of("was", "is", "it", "still")
                                .contains(words.get(next).text()))) {
            next++;
        }
        int from = next;
        int said = Word.longest(
                FELT_WORDS, words, from, text -> StoreWords.felt(text).isPresent());
        Word first = words.get(at);
        if (said == 0) {
            draft.doubt(
                    first,
                    words.get(at + count - 1),
                    "how did it feel?",
                    List.of("spoon soft", "spoon right", "spoon hard"));
            return 0;
        }
        draft.says(
                new Lexicon.Says.Whole(new AtThePan.Tested(
                        StoreWords.felt(Word.join(words, from, said)).orElseThrow())),
                first,
                words.get(from + said - 1));
        return from + said - at - count;
    }
}
