package app.velvetcrock.core.label;

import java.util.List;

/**
 * A paper labels are printed on, by its millimetres: a sheet of them, or a roll, which is one below the other.
 *
 * @param key by which it is named in an address
 * @param sheet of the whole page
 * @param label of one of them
 * @param across how many stand beside each other, and {@code down} below
 * @param left from the page's edge to the first, and {@code top}
 * @param gapX between two of them
 */
public record Paper(
        String key, Size sheet, Size label, int across, int down, double left, double top, double gapX, double gapY) {

    /** Millimetres. */
    public record Size(double width, double height) {}

    private static final Size A4 = new Size(210, 297);
    private static final Size LETTER = new Size(215.9, 279.4);

    /** Common ones, by their millimetres. */
    public static final List<Paper> COMMON = List.of(
            new Paper("a4-3x8", A4, new Size(63.5, 33.9), 3, 8, 7.2, 12.9, 2.5, 0),
            new Paper("a4-3x7", A4, new Size(63.5, 38.1), 3, 7, 7.2, 15.1, 2.5, 0),
            new Paper("a4-2x7", A4, new Size(99.1, 38.1), 2, 7, 4.7, 15.1, 2.5, 0),
            new Paper("a4-5x13", A4, new Size(38.1, 21.2), 5, 13, 4.7, 10.7, 2.5, 0),
            new Paper("a4-2x4", A4, new Size(99.1, 67.7), 2, 4, 4.7, 13.1, 2.5, 0),
            new Paper("letter-3x10", LETTER, new Size(66.7, 25.4), 3, 10, 4.8, 12.7, 3.2, 0),
            new Paper("roll-62x29", new Size(62, 29), new Size(62, 29), 1, 1, 0, 0, 0, 0),
            new Paper("plain-2x5", A4, new Size(90, 50), 2, 5, 10, 14, 10, 4));

    /** The one of a key; the first of them where there is none such. */
    public static Paper of(String key) {
        return COMMON.stream().filter(one -> one.key().equals(key)).findFirst().orElse(COMMON.get(0));
    }

    /** How many there are on a sheet. */
    public int on() {
        return across * down;
    }

    /** Where the so-manieth of a sheet begins, from its left edge, mm; counted from nought, along the rows. */
    public double x(int at) {
        return left + at % across * (label.width() + gapX);
    }

    /** The same from its top edge. */
    public double y(int at) {
        return top + at / across * (label.height() + gapY);
    }
}
