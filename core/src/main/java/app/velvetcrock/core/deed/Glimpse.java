package app.velvetcrock.core.deed;

import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Sign;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Worded;
import java.util.List;
import java.util.Optional;

/**
 * What is seen through the glass before a jar is touched, and what it then comes to (craft: look before you shake). With any of these it
 * is not shaken.
 */
public enum Glimpse implements Worded {
    STANDS_OUT("stands out of the oil", Sign.STANDS_OUT.advice()),
    FLUFF(
            "fluff, spots",
            "Leave it shut, and do not shake it. Fuzzy or coloured growth anywhere is mould: all of it goes, herb too. "
                    + "Wash your hands after."),
    WATER("water under it", Sign.WATER.advice()),
    BUBBLES(
            "bubbles, hiss",
            "Of the first day they are trapped air: stir them out. Later they are moisture or ferment: do not smell it close to; "
                    + "sour, it goes."),
    SMELL("smells sour, sharp", "Sour is fermenting, sharp and waxy is rancid: both go. Fried: keep it apart."),
    LID("drops in the lid", Sign.CONDENSATION.advice());

    private static final String UNSURE = "I am not sure: keep it back";

    private final String word;
    private final String advice;

    Glimpse(String word, String advice) {
        this.word = word;
        this.advice = advice;
    }

    @Override
    public String word() {
        return word;
    }

    /** What to do about it. */
    public String advice() {
        return advice;
    }

    /**
     * One thing it may come to.
     *
     * @param words as its button says it
     * @param isLook whether it answers a look that was asked for
     */
    public record Comes(String words, Deed deed, boolean isLook) {}

    /**
     * What it may come to, the likeliest first.
     *
     * @param task the look that was asked for; absent where none was
     * @param out whether the herb stood out before, of which a nose says nothing
     */
    public List<Comes> comes(Optional<TaskKey> task, boolean out) {
        return switch (this) {
            case STANDS_OUT -> List.of(look("The herb stands out", task, new Look(Smell.NOT_SMELLED, true, false)));
            case FLUFF -> List.of(found("It is mould", Condition.MOULD), unsure("spots, seen through the glass"));
            case WATER -> List.of(found("There is water under it", Condition.WATER));
            case BUBBLES -> List.of(
                    noted("Air of the first day, stirred out", "bubbles of the first day, stirred out"),
                    found("It smells sour: it ferments", Condition.FERMENT),
                    unsure("bubbles, or a hiss"));
            case SMELL -> List.of(
                    look("Sour or yeasty", task, new Look(Smell.SOUR, out, false)),
                    look("Sharp, waxy, crayons", task, new Look(Smell.RANCID, out, false)),
                    look("Fried", task, new Look(Smell.FRIED, out, false)),
                    look("Hardly smells", task, new Look(Smell.FAINT, out, false)));
            case LID -> List.of(noted("Wiped, under cloth till dry", "drops in the lid, wiped; under cloth till dry"));
        };
    }

    private static Comes look(String words, Optional<TaskKey> task, Look look) {
        return new Comes(words, new Deed.LookAt(task, look), true);
    }

    private static Comes found(String words, Condition what) {
        return new Comes(words, new Deed.Find(what, "seen on the round", Optional.empty()), false);
    }

    private static Comes unsure(String words) {
        return new Comes(UNSURE, new Deed.Find(Condition.ON_HOLD, words, Optional.empty()), false);
    }

    private static Comes noted(String words, String note) {
        return new Comes(words, new Deed.Note(note), false);
    }
}
