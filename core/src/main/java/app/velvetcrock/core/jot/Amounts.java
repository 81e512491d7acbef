package app.velvetcrock.core.jot;

import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.Reading;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Reads amounts, temperatures and bare numbers among the words of a line, with what they are of where that stands behind. */
final class Amounts {

    private static final int AMOUNT_WORDS = 3;
    private static final int MOST_BOTTLES = 4;
    private static final int BOTTLE_WORDS = 5;

    /** By which an amount begins that is said without figures: "half a cup". */
    private static final Set<String> AMOUNTS_IN_WORDS = Set.of("half", "quarter", "a", "one", "two", "three");

    private static final List<List<String>> UNDER =
            List.of(List.of("under", "it"), List.of("at", "the", "bottom"), List.of("below"), List.of("under"));

    private final AmountReader amounts;
    private final Names names;

    Amounts(AmountReader amounts, Names names) {
        this.amounts = amounts;
        this.names = names;
    }

    int read(List<Word> words, int at, Draft draft) {
        Word first = words.get(at);
        boolean figure = Character.isDigit(first.text().charAt(0))
                || "½¼¾".indexOf(first.text().charAt(0)) >= 0;
        if (!figure && !(draft.waits() && AMOUNTS_IN_WORDS.contains(first.text()))) {
            return 0;
        }
        if (first.isWhole() && draft.takesOneOf(Integer.parseInt(first.text()), first)) {
            return 1;
        }
        int bottles = bottles(words, at, draft);
        if (bottles > 0) {
            return bottles;
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
            if (amounts.read(text, draft.isSolid() ? Expect.SOLID : Expect.LIQUID)
                    instanceof Reading.Understood poured) {
                return count + of(poured.amount().middle(), words, at, count, draft);
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

    /** What an amount is of, where the words behind it say so; tells how many of them that took. */
    private int of(Quantity amount, List<Word> words, int at, int count, Draft draft) {
        Word first = words.get(at);
        int next = at + count;
        next = next < words.size() && words.get(next).text().equals("of") ? next + 1 : next;
        if (next < words.size()
                && words.get(next).text().equals("water")
                && draft.takesWater(amount, words.get(next))) {
            return next + 1 + under(words, next + 1) - at - count;
        }
        for (int more = Math.min(Names.LONGEST, words.size() - next); more > 0; more--) {
            Word last = words.get(next + more - 1);
            Optional<Thing.Part> part = names.part(Word.join(words, next, more));
            if (part.isPresent() && draft.takesPart(amount, part.get(), first, last)) {
                return next + more - at - count;
            }
        }
        draft.amount(amount, first, words.get(at + count - 1));
        return 0;
    }

    private static int under(List<Word> words, int at) {
        return UNDER.stream()
                .filter(said -> words.size() >= at + said.size()
                        && words.subList(at, at + said.size()).stream()
                                .map(Word::text)
                                .toList()
                                .equals(said))
                .findFirst()
                .map(List::size)
                .orElse(0);
    }

    /** Something of a melt that was stirred in: "stirred in vitamin e", "vitamin e in". */
    int stirredIn(List<Word> words, int at, Draft draft) {
        for (int count = Math.min(Names.LONGEST, words.size() - at); count > 0; count--) {
            Optional<Thing.Part> part = names.part(Word.join(words, at, count));
            int end = at + count;
            boolean in = end < words.size() && words.get(end).text().equals("in");
            if (part.isPresent()
                    && draft.takesStirredIn(part.get(), in, words.get(at), words.get(in ? end : end - 1))) {
                return in ? count + 1 : count;
            }
        }
        return 0;
    }

    /** So many bottles of one size: "3x50", "3 × 50 ml", "3 of 50 ml"; without a unit a bottle's size is in millilitres. */
    private int bottles(List<Word> words, int at, Draft draft) {
        for (int count = Math.min(BOTTLE_WORDS, words.size() - at); count > 0; count--) {
            Word last = words.get(at + count - 1);
            String text = Word.join(words, at, count)
                    .replace("×", "x")
                    .replace(" of ", " x ")
                    .replace("*", "x");
            int sign = text.indexOf('x');
            String many = sign < 0 ? "" : text.substring(0, sign).strip();
            String size = sign < 0 ? "" : text.substring(sign + 1).strip();
            boolean read = !many.isEmpty()
                    && many.length() < MOST_BOTTLES
                    && many.chars().allMatch(c -> c >= '0' && c <= '9')
                    && Integer.parseInt(many) > 0
                    && !size.isEmpty()
                    && !last.isSign();
            boolean bare = size.chars().allMatch(c -> c >= '0' && c <= '9' || c == '.' || c == ',');
            if (read
                    && amounts.read(bare ? size + " ml" : size, Expect.CAPACITY) instanceof Reading.Understood each
                    && each.amount().middle() instanceof Volume holds
                    && holds.millilitres() > 0
                    && draft.takesBottles(Integer.parseInt(many), holds, last)) {
                return count;
            }
        }
        return 0;
    }
}
