package app.velvetcrock.core.label;

import java.util.BitSet;

/**
 * A square of dark and light modules that a telephone reads.
 *
 * @param modules how many there are along a side
 * @param dark which are, along the rows
 */
public record Code(int modules, BitSet dark) {

    /** Narrowest module that printers and telephones agree upon, mm; and how many stay white around it. */
    public static final double SMALLEST = 0.35;

    public static final int QUIET = 4;

    /** [E] Wider modules than these help nobody. */
    private static final double LARGEST = 0.5;

    /** [E] How much of a label's height it takes where there is room. */
    private static final double SHARE = 0.36;

    public boolean isDark(int column, int row) {
        return dark.get(row * modules + column);
    }

    /** How wide a module is on a label of a size, mm: never under the narrowest. */
    double module(Paper.Size size) {
        return Math.max(SMALLEST, Math.min(LARGEST, size.height() * SHARE / (modules + 2 * QUIET)));
    }
}
