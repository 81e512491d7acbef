package app.velvetcrock.core.label;

import java.util.List;
import java.util.Optional;

/**
 * A label laid out by measure: what stands where, in mm from its upper left corner. Both drawings only draw it.
 *
 * @param size of its letters, mm to an em
 * @param boxes where a sign stands that the face lacks, and the lines around it
 * @param badge where the household's mark stands
 * @param code where the code stands
 */
public record Laid(
        Paper.Size of, double size, List<Run> runs, List<Box> boxes, Optional<Badge> badge, Optional<Square> code) {

    public Laid {
        runs = List.copyOf(runs);
        boxes = List.copyOf(boxes);
    }

    /**
     * Signs of one face on one line.
     *
     * @param y of the baseline
     * @param xs where each of them begins
     */
    public record Run(Face face, double size, double y, List<Double> xs, String text) {
        public Run {
            xs = List.copyOf(xs);
        }
    }

    /** What the face lacks, as an empty box; or a line around it all. */
    public record Box(double x, double y, double width, double height) {}

    /** The household's mark, one of those drawn for this, or its own picture where there is none. */
    public record Badge(Box at, Optional<Mark> mark) {}

    /**
     * A code with its modules.
     *
     * @param at without its quiet zone
     * @param module how wide one of them is
     */
    public record Square(Box at, double module, Code code) {}

    /** How high a small x of its letters is, mm. */
    public double xHeight() {
        return size * Face.X_HEIGHT;
    }
}
