package app.velvetcrock.core.strain;

import app.velvetcrock.core.measure.Worded;

/** How the marc is pressed; each way keeps and learns apart. */
public enum Pressing implements Worded {
    DRIP("left to drip"),
    HAND("pressed by hand in cloth"),
    SCREW("in a screw press or ricer");

    private final String word;

    Pressing(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
