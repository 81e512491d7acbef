package app.velvetcrock.core.book;

import java.util.List;

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
