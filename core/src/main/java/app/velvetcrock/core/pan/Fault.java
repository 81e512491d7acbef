package app.velvetcrock.core.pan;

import app.velvetcrock.core.measure.Worded;
import java.util.List;

/** What is seen of a made thing afterwards, and what to do (craft: what you see). */
public enum Fault implements Worded {
    GRAINY(
            "grainy",
            "fats set slowly: remelt it clear at 65-75 °C for 15 minutes, cool it fast",
            List.of(
                    "melt it again, all the way clear",
                    "keep it at 65 to 75 °C for 15 minutes",
                    "pour it, and cool it fast")),
    SWEATING(
            "sweating",
            "too warm, or little wax: more wax, or a cooler place",
            List.of(
                    "stand it cooler, and see in a day",
                    "else melt it again",
                    "add wax for “a little firmer”, test it on a cold spoon",
                    "pour it anew")),
    HOLLOW("hollow or cracked on top", "it cooled fast: harmless, top it up warm", List.of()),
    NO_SCENT("no scent left", "the drops went in too hot: wait for their window next time", List.of());

    /** The way back from what came out too soft. */
    static final List<String> TOO_SOFT = List.of(
            "melt it again",
            "add wax for the firmness that is wanted, test it on a cold spoon",
            "pour it anew; what was stirred in has had the heat twice");

    private final String word;
    private final String advice;
    private final List<String> steps;

    Fault(String word, String advice, List<String> steps) {
        this.word = word;
        this.advice = advice;
        this.steps = steps;
    }

    /** What to do, one after the other; empty where nothing is to be done now. */
    public List<String> steps() {
        return steps;
    }

    @Override
    public String word() {
        return word;
    }

    public String advice() {
        return advice;
    }
}
