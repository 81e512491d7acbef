package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Worded;

/** How a test on a cold spoon, or the finished thing, felt; and by how much more or less F it would have been right [E] (craft: making). */
public enum Felt implements Worded {
    RUNNY("runny", 5),
    SOFT("soft", 2),
    RIGHT("right", 0),
    FIRM("firm", -2),
    HARD("hard", -5);

    private final String word;
    private final double offset;

    Felt(String word, double offset) {
        this.word = word;
        this.offset = offset;
    }

    @Override
    public String word() {
        return word;
    }

    /** The F that would have felt right, where this one felt so. */
    public double rightAt(double firmness) {
        return Math.max(0, firmness + offset);
    }
}
