package app.velvetcrock.core.keeping;

import app.velvetcrock.core.measure.Worded;

/** Where the finished oil stands, with its factor on the keeping time [E] (craft: keeping). */
public enum Storage implements Worded {
    COOL_DARK("cool and dark", 1.0),
    ROOM("at room temperature", 0.85),
    WARM("warm or sunny", 0.5),
    REFRIGERATOR("in the refrigerator", 1.5);

    private final String word;
    private final double factor;

    Storage(String word, double factor) {
        this.word = word;
        this.factor = factor;
    }

    @Override
    public String word() {
        return word;
    }

    public double factor() {
        return factor;
    }
}
