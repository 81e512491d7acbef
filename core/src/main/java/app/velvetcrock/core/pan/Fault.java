package app.velvetcrock.core.pan;

import app.velvetcrock.core.measure.Worded;

/** What is seen of a made thing afterwards, and what to do (craft: what you see). */
public enum Fault implements Worded {
    GRAINY("grainy", "fats set slowly: remelt it clear at 65-75 °C for 15 minutes, cool it fast"),
    SWEATING("sweating", "too warm, or little wax: more wax, or a cooler place"),
    HOLLOW("hollow or cracked on top", "it cooled fast: harmless, top it up warm"),
    NO_SCENT("no scent left", "the drops went in too hot: wait for their window next time");

    private final String word;
    private final String advice;

    Fault(String word, String advice) {
        this.word = word;
        this.advice = advice;
    }

    @Override
    public String word() {
        return word;
    }

    public String advice() {
        return advice;
    }
}
