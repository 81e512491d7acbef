package app.velvetcrock.core.caution;

import app.velvetcrock.core.measure.Worded;

/** What or whom an oil is for. */
public enum Use implements Worded {
    ADULT_SKIN("grown-up skin"),
    HANDS("hands"),
    FACE("face"),
    LIPS("lips"),
    HAIR("hair and scalp"),
    MASSAGE("massage"),
    CHILD_6_14("a child of 6 to 14"),
    CHILD_2_5("a child of 2 to 5"),
    BABY("a baby"),
    PREGNANCY("somebody pregnant"),
    NURSING("somebody nursing"),
    ELDERLY("somebody elderly"),
    WITH_LATEX("use with latex"),
    FOOD("food"),
    ANIMALS("animals");

    private final String word;

    Use(String word) {
        this.word = word;
    }

    /** The word as it follows "for": "hands". */
    @Override
    public String word() {
        return word;
    }
}
