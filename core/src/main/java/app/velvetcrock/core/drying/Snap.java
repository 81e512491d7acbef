package app.velvetcrock.core.drying;

import app.velvetcrock.core.measure.Worded;

/** What the hand says of a stem or petal; it outweighs the sum. */
public enum Snap implements Worded {
    NOT_TRIED("not tried"),
    BENDS("still bends"),
    SNAPS("snaps");

    private final String word;

    Snap(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
