package app.velvetcrock.core.label;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

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

    /** Dark modules beside each other in a row. */
    public record Run(int row, int column, int length) {}

    /** All of them, row by row: both drawings draw these. */
    public List<Run> runs() {
        List<Run> runs = new ArrayList<>();
        for (int row = 0; row < modules; row++) {
            int end = (row + 1) * modules;
            int at = dark.nextSetBit(row * modules);
            while (at >= 0 && at < end) {
                int after = Math.min(end, dark.nextClearBit(at));
                runs.add(new Run(row, at - row * modules, after - at));
                at = dark.nextSetBit(after);
            }
        }
        return runs;
    }

    /** How wide a module is on a label of a size, mm: never under the narrowest. */
    double module(Paper.Size size) {
        return Math.max(SMALLEST, Math.min(LARGEST, size.height() * SHARE / (modules + 2 * QUIET)));
    }
}
