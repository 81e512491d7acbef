package app.velvetcrock.core.larder;

import app.velvetcrock.core.measure.Volume;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What a household knows of a jar besides its size.
 *
 * @param usualWidth true while its width is the usual one of its size and nobody has measured it
 * @param marks lines of its own on the glass, from the floor up
 */
public record JarGlass(boolean usualWidth, List<Mark> marks) {

    /** A jar that was measured and bears no marks. */
    public static final JarGlass PLAIN = new JarGlass(false, List.of());

    /** More lines than these are on no jar. */
    public static final int MOST_MARKS = 8;

    private static final String BETWEEN = "\n";
    private static final String IS = "=";

    public JarGlass {
        marks = List.copyOf(marks);
    }

    /**
     * A line on the glass.
     *
     * @param words what it is called: "two cups"
     * @param holds how much water stands at it
     */
    public record Mark(String words, Volume holds) {}

    /** As it is stored. */
    public String written() {
        return marks.stream()
                .map(mark -> mark.words() + IS + mark.holds().toMicrolitres())
                .collect(Collectors.joining(BETWEEN));
    }

    /** Reads what was stored. */
    public static JarGlass read(boolean usualWidth, String written) {
        return new JarGlass(
                usualWidth,
                written.lines()
                        .map(line -> new Mark(
                                line.substring(0, line.lastIndexOf(IS)),
                                Volume.ofMicrolitres(Long.parseLong(line.substring(line.lastIndexOf(IS) + 1)))))
                        .toList());
    }
}
