package app.velvetcrock.core.label;

import java.util.List;

/**
 * A label laid out by measure: what stands where, in mm from its upper left corner. Both drawings only draw it.
 *
 * @param size of its letters, mm to an em
 * @param boxes where a sign stands that the face lacks
 */
public record Laid(Paper.Size of, double size, List<Run> runs, List<Box> boxes) {

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

    /** What the face lacks, as an empty box. */
    public record Box(double x, double y, double width, double height) {}

    /** How high a small x of its letters is, mm. */
    public double xHeight() {
        return size * Face.X_HEIGHT;
    }
}
