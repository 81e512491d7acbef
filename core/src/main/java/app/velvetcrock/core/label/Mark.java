package app.velvetcrock.core.label;

import app.velvetcrock.core.measure.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.StringTokenizer;

/** A small mark a household may print on its labels, drawn for this; its path lies in a square of one hundred, y going down. */
public enum Mark implements Worded {
    LEAF("leaf", "M 12 90 C 8 40 38 10 92 8 C 92 60 66 92 24 80 L 60 44 L 56 40 L 18 76 Z"),
    DROP("drop", "M 50 6 C 62 30 82 46 82 66 C 82 84 68 94 50 94 C 32 94 18 84 18 66 C 18 46 38 30 50 6 Z"),
    SPRIG(
            "sprig",
            "M 47 96 L 47 60 C 30 62 16 54 12 38 C 30 36 44 44 47 58 L 47 34 C 34 30 32 16 50 4 C 68 16 66 30 53 34 L 53 58"
                    + " C 56 44 70 36 88 38 C 84 54 70 62 53 60 L 53 96 Z"),
    JAR(
            "jar",
            "M 28 6 L 72 6 L 72 20 L 66 20 L 66 26 C 80 30 84 38 84 48 L 84 84 C 84 92 80 94 74 94 L 26 94 C 20 94 16 92 16 84"
                    + " L 16 48 C 16 38 20 30 34 26 L 34 20 L 28 20 Z"),
    MOON(
            "moon",
            "M 66 6 C 34 10 16 30 16 52 C 16 76 36 94 60 94 C 72 94 82 90 90 82 C 60 84 42 66 42 44 C 42 28 50 14 66 6 Z"),
    FLOWER(
            "flower",
            "M 50 40 C 38 26 38 10 50 4 C 62 10 62 26 50 40 C 60 26 76 22 86 32 C 86 46 72 54 55 48 C 72 54 80 68 72 82"
                    + " C 58 84 48 72 50 55 C 52 72 42 84 28 82 C 20 68 28 54 45 48 C 28 54 14 46 14 32 C 24 22 40 26 50 40 Z");

    private final String word;
    private final String path;

    Mark(String word, String path) {
        this.word = word;
        this.path = path;
    }

    @Override
    public String word() {
        return word;
    }

    /** As SVG says it. */
    public String path() {
        return path;
    }

    /** One stroke of its outline: to a point, straight or by a curve's two handles; all in hundredths of its side. */
    public record Stroke(char kind, List<Double> points) {}

    /** The same stroke by stroke. */
    public List<Stroke> strokes() {
        List<Stroke> strokes = new ArrayList<>();
        List<Double> points = new ArrayList<>();
        char kind = 'M';
        StringTokenizer words = new StringTokenizer(path);
        while (words.hasMoreTokens()) {
            String word = words.nextToken();
            if (Character.isLetter(word.charAt(0))) {
                if (!points.isEmpty()) {
                    strokes.add(new Stroke(kind, List.copyOf(points)));
                    points.clear();
                }
                kind = word.charAt(0);
            } else {
                points.add(Double.parseDouble(word));
            }
        }
        strokes.add(new Stroke('Z', List.of()));
        return strokes;
    }
}
