package app.velvetcrock.core.label;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;

/**
 * A face labels are printed in: how far each glyph advances, by the one committed table both drawings place them by. No kerning, no
 * ligatures. Figures are shares of an em, measured from the shipped faces.
 */
public enum Face {
    REGULAR,
    BOLD;

    /** Height of a small x, of an em. */
    public static final double X_HEIGHT = 0.496;

    /** Height of a figure, of an em. */
    public static final double FIGURE_HEIGHT = 0.668;

    /** From the baseline to the top of what is highest, and to the bottom of what is lowest, of an em. */
    public static final double ASCENT = 0.79;

    public static final double DESCENT = 0.21;

    /** How wide what the face lacks is drawn: an empty box. */
    static final double BOX = 0.62;

    private static final double THOUSAND = 1000;
    private static final Map<Integer, double[]> ADVANCES = read();

    /** Tells whether it can be written in it; what cannot is drawn as an empty box, and said before printing. */
    public static boolean has(int codePoint) {
        return ADVANCES.containsKey(codePoint);
    }

    /** How far a sign advances, of an em. */
    public double advance(int codePoint) {
        double[] both = ADVANCES.get(codePoint);
        return both == null ? BOX : both[ordinal()];
    }

    /** How wide a text is at a size, both in mm. */
    public double width(String text, double size) {
        return size * text.codePoints().mapToDouble(this::advance).sum();
    }

    /** Its file, under which both drawings find it: "regular". */
    public String file() {
        return name().toLowerCase(Locale.ROOT);
    }

    private static Map<Integer, double[]> read() {
        Map<Integer, double[]> advances = new HashMap<>();
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(Face.class.getResourceAsStream("advances.csv")), StandardCharsets.UTF_8))) {
            lines.lines()
                    .filter(line -> !line.startsWith("#") && !line.startsWith("code"))
                    .forEach(line -> {
                        int first = line.indexOf(';');
                        int second = line.indexOf(';', first + 1);
                        advances.put(Integer.parseInt(line.substring(0, first), 16), new double[] {
                            Integer.parseInt(line.substring(first + 1, second)) / THOUSAND,
                            Integer.parseInt(line.substring(second + 1)) / THOUSAND
                        });
                    });
        } catch (IOException cannot) {
            throw new UncheckedIOException(cannot);
        }
        return advances;
    }
}
