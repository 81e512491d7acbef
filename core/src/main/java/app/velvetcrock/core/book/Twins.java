package app.velvetcrock.core.book;

import app.velvetcrock.core.measure.Worded;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanRequest.Circumstances;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** One charge in two jars that differ in one thing, judged without knowing which is which (craft: learning, twins). */
public final class Twins {

    private Twins() {}

    /** The one thing. */
    public enum Question {
        TIME("the longer", "the shorter", "Does standing longer do more?", "stands longer"),
        LIGHT(
                "the one in the window",
                "the one in the dark",
                "Does the window do more than the dark?",
                "stands in the window"),
        PRESSING(
                "the pressed",
                "the one from the cloth",
                "Does the press give a better oil than the cloth?",
                "is pressed"),
        WARMTH("the warm", "the gentle", "Does warmth do more than gentle standing?", "is kept warm");

        private final String first;
        private final String second;
        private final String asked;
        private final String told;

        Question(String first, String second, String asked, String told) {
            this.first = first;
            this.second = second;
            this.asked = asked;
            this.told = told;
        }

        /** The twin with more of it. */
        public String first() {
            return first;
        }

        public String second() {
            return second;
        }

        public String asked() {
            return asked;
        }

        /** What the first does otherwise, after its name: "stands longer". */
        public String told() {
            return told;
        }
    }

    /** What is asked of the cups, without tasting: "Which smells more of the flower?" */
    public enum Sense {
        SMELL("Which smells more of the plant?"),
        COLOUR("Which has the deeper colour?"),
        FEEL("Which feels better on the skin?");

        private final String asked;

        Sense(String asked) {
            this.asked = asked;
        }

        public String asked() {
            return asked;
        }
    }

    /** What was said of a pair: the first of its question, the other, or no difference. */
    public enum Verdict {
        FIRST,
        SECOND,
        NEITHER
    }

    /**
     * Whether two plans make twins, and by which one thing they differ.
     *
     * @param question absent where they make none; {@code why} then says why not
     * @param firstIsOne whether the one asked about first is the first of its question
     */
    public record Pair(Optional<Question> question, boolean firstIsOne, String why) {

        private static Pair none(String why) {
            return new Pair(Optional.empty(), true, why);
        }
    }

    /** Asks two plans. One charge: the same herb and oil on one day; then just one thing may differ. */
    public static Pair pair(PlanRequest one, PlanRequest other, Planned days) {
        if (!herbs(one).equals(herbs(other)) || !oils(one).equals(oils(other))) {
            return Pair.none("they are not of the same herb in the same oil");
        }
        if (!one.circumstances().start().equals(other.circumstances().start())) {
            return Pair.none("they were not charged on one day");
        }
        Circumstances first = one.circumstances();
        Circumstances second = other.circumstances();
        List<Pair> differ = new ArrayList<>();
        if (days.one() != days.other()) {
            differ.add(new Pair(Optional.of(Question.TIME), days.one() > days.other(), "how long they stand"));
        }
        if (first.method().isInLight() != second.method().isInLight()) {
            differ.add(new Pair(Optional.of(Question.LIGHT), first.method().isInLight(), "light"));
        }
        if (first.pressing() != second.pressing()) {
            differ.add(new Pair(
                    Optional.of(Question.PRESSING), first.pressing().compareTo(second.pressing()) > 0, "pressing"));
        }
        int warmer = first.method()
                .hottest()
                .high()
                .compareTo(second.method().hottest().high());
        if (warmer != 0 && first.method().isInLight() == second.method().isInLight()) {
            differ.add(new Pair(Optional.of(Question.WARMTH), warmer > 0, "warmth"));
        }
        if (differ.size() == 1) {
            return differ.get(0);
        }
        return Pair.none(
                differ.isEmpty()
                        ? "they do not differ yet: let one stand longer, in the window, warmer, or be pressed"
                        : "they differ in more than one thing: "
                                + differ.stream().map(Pair::why).collect(Collectors.joining(", ")));
    }

    /** For how many days each is to stand. */
    public record Planned(long one, long other) {}

    private static Object herbs(PlanRequest request) {
        return request.herbs().stream()
                .map(herb -> List.of(herb.kind().key(), herb.texture(), herb.moisture()))
                .toList();
    }

    private static Object oils(PlanRequest request) {
        return request.carriers().parts().stream()
                .map(part -> part.carrier().kind().key())
                .toList();
    }

    /**
     * What was said of the first of a pair, once it is known which cup was whose.
     *
     * @param said which cup, by those words: LEFT, RIGHT or NEITHER
     */
    public static Verdict verdict(Cup said, boolean firstStoodLeft) {
        return said == Cup.NEITHER
                ? Verdict.NEITHER
                : (said == Cup.LEFT) == firstStoodLeft ? Verdict.FIRST : Verdict.SECOND;
    }

    /** What somebody says who does not know which is which. */
    public enum Cup implements Worded {
        LEFT("left"),
        RIGHT("right"),
        NEITHER("no difference");

        private final String word;

        Cup(String word) {
            this.word = word;
        }

        @Override
        public String word() {
            return word;
        }
    }

    /**
     * What pairs of one question come to over the years, by a sign test: pairs without a difference say nothing.
     *
     * @param verdicts of each pair that was opened
     */
    public static String together(Question question, List<Verdict> verdicts) {
        int first = (int) verdicts.stream().filter(Verdict.FIRST::equals).count();
        int second = (int) verdicts.stream().filter(Verdict.SECOND::equals).count();
        int decided = first + second;
        String count = "%s so far, %d for %s, %d for %s"
                .formatted(
                        verdicts.size() == 1 ? "1 pair" : verdicts.size() + " pairs",
                        first,
                        question.first(),
                        second,
                        question.second());
        if (decided < Tail.ENOUGH) {
            return count + ": too few to say";
        }
        int most = Math.max(first, second);
        double chance = Math.min(1, 2 * Tail.atLeast(most, decided, 0.5));
        String favoured = first > second ? question.first() : question.second();
        return chance < Tail.RARE
                ? "%s: hardly by chance, %s has it".formatted(count, favoured)
                : count + ": that may well be chance";
    }
}
