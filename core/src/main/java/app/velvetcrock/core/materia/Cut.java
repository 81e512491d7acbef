package app.velvetcrock.core.materia;

import app.velvetcrock.core.measure.Worded;

/** How finely a herb is cut, from whole to powder; slurry is blended with its oil. */
public enum Cut implements Worded {
    WHOLE("whole"),
    CRUMBLED("crumbled"),
    CUT_AND_SIFTED("cut and sifted"),
    GROUND("ground"),
    POWDER("powdered"),
    SLURRY("blended to a slurry");

    private final String word;

    Cut(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }

    /** Tells whether the pieces are so fine that no form of the plant is left to see. */
    public boolean isFine() {
        return this == GROUND || this == POWDER || this == SLURRY;
    }
}
