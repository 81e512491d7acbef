package app.velvetcrock.core.label;

import app.velvetcrock.core.measure.Worded;
import java.util.Optional;

/**
 * What of its own a household prints beside the words.
 *
 * @param mark of the small set
 * @param picture of its own picture how wide it is to its height; absent where it has none. It stands in the mark's place
 */
public record Decor(Frame frame, Optional<Mark> mark, Optional<Double> picture) {

    public static final Decor NONE = new Decor(Frame.NONE, Optional.empty(), Optional.empty());

    /** [E] How high a mark is of the label's height, and at most, mm. */
    private static final double SHARE = 0.24;

    private static final double MOST = 9;
    private static final double WIDEST = 2.2;

    /** A line around a label. */
    public enum Frame implements Worded {
        NONE("no line", 0),
        LINE("a line", 1),
        DOUBLE("a double line", 2);

        private final String word;
        private final int lines;

        Frame(String word, int lines) {
            this.word = word;
            this.lines = lines;
        }

        @Override
        public String word() {
            return word;
        }

        int lines() {
            return lines;
        }
    }

    boolean hasBadge() {
        return mark.isPresent() || picture.isPresent();
    }

    /** The same without its mark. */
    Decor bare() {
        return new Decor(frame, Optional.empty(), Optional.empty());
    }

    /** How high a mark is on a label of a size, mm. */
    static double badgeHeight(Paper.Size size) {
        return Math.min(MOST, size.height() * SHARE);
    }

    double badgeWidth(Paper.Size size) {
        return badgeHeight(size) * picture.map(wide -> Math.min(WIDEST, wide)).orElse(1.0);
    }
}
