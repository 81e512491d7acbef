package app.velvetcrock.core.look;

import app.velvetcrock.core.measure.Worded;

/** What may not be done to something while a condition of it is open. */
public enum Held implements Worded {
    /** Going into a batch, or together with anything else. */
    USE("used"),
    /** Water would be shaken in, spores would be shaken through it. */
    SHAKE("shaken"),
    STRAIN("strained"),
    BOTTLE("bottled"),
    DRAW("drawn from"),
    GIVE("given away"),
    SELL("sold");

    private final String word;

    Held(String word) {
        this.word = word;
    }

    /** The word as it follows "is not": "strained". */
    @Override
    public String word() {
        return word;
    }
}
