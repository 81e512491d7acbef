package app.velvetcrock.core.label;

import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.text.Linear;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A paper labels are printed on, by its millimetres: a sheet of them, or a roll, which is one below the other.
 *
 * @param key by which it is named in an address
 * @param sheet of the whole page
 * @param label of one of them
 * @param across how many stand beside each other, and {@code down} below
 * @param left from the page's edge to the first, and {@code top}
 * @param gapX between two of them
 * @param round whether they are round: words then stand in the largest upright box within
 */
public record Paper(
        String key,
        Size sheet,
        Size label,
        int across,
        int down,
        double left,
        double top,
        double gapX,
        double gapY,
        boolean round) {

    /** Millimetres. */
    public record Size(double width, double height) {}

    private static final Size A4 = new Size(210, 297);
    private static final Size A5 = new Size(148, 210);
    private static final Size LETTER = new Size(215.9, 279.4);

    /** For the lids, and for the sheet that goes along with a batch. */
    public static final Paper DOTS = new Paper("a4-dots", A4, new Size(20, 20), 8, 12, 11, 6.5, 4, 4, true);

    public static final Paper WHOLE = new Paper("a5", A5, new Size(128, 190), 1, 1, 10, 10, 0, 0, false);

    /** Common ones, by their millimetres. */
    public static final List<Paper> COMMON = List.of(
            square("a4-3x8", A4, new Size(63.5, 33.9), 3, 8, 7.2, 12.9, 2.5, 0),
            square("a4-3x7", A4, new Size(63.5, 38.1), 3, 7, 7.2, 15.1, 2.5, 0),
            square("a4-2x7", A4, new Size(99.1, 38.1), 2, 7, 4.7, 15.1, 2.5, 0),
            square("a4-5x13", A4, new Size(38.1, 21.2), 5, 13, 4.7, 10.7, 2.5, 0),
            square("a4-2x4", A4, new Size(99.1, 67.7), 2, 4, 4.7, 13.1, 2.5, 0),
            square("letter-3x10", LETTER, new Size(66.7, 25.4), 3, 10, 4.8, 12.7, 3.2, 0),
            square("roll-62x29", new Size(62, 29), new Size(62, 29), 1, 1, 0, 0, 0, 0),
            square("plain-2x5", A4, new Size(90, 50), 2, 5, 10, 14, 10, 4),
            DOTS,
            WHOLE);

    /** [E] What feeds through a printer at home, mm, and the least that is a label. */
    public static final double WIDEST = 330;

    public static final double LONGEST = 500;
    public static final double LEAST = 8;
    private static final int MOST = 400;

    /** A share of a round one's width, and of its height, in which words stand: 0.82² + 0.57² is just under one. */
    private static final double ROUND_WIDTH = 0.82;

    private static final double ROUND_HEIGHT = 0.57;

    private static final double SLACK = 0.05;

    private static Paper square(
            String key,
            Size sheet,
            Size label,
            int across,
            int down,
            double left,
            double top,
            double gapX,
            double gapY) {
        return new Paper(key, sheet, label, across, down, left, top, gapX, gapY, false);
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

    /** Where words may stand on one of them. */
    public Size inner() {
        return round ? new Size(label.width() * ROUND_WIDTH, label.height() * ROUND_HEIGHT) : label;
    }

    public double innerX() {
        return (label.width() - inner().width()) / 2;
    }

    public double innerY() {
        return (label.height() - inner().height()) / 2;
    }

    /** What cannot be of it, by the field it hangs on. */
    public Optional<Fault> fault() {
        if (!within(sheet.width(), 2 * LEAST, WIDEST) || !within(sheet.height(), LEAST, LONGEST)) {
            return Optional.of(Fault.SHEET);
        }
        if (label.width() < LEAST || label.height() < LEAST) {
            return Optional.of(Fault.LABEL);
        }
        if (across < 1 || down < 1 || on() > MOST || on() < 1) {
            return Optional.of(Fault.COUNT);
        }
        if (left < 0 || top < 0 || gapX < 0 || gapY < 0) {
            return Optional.of(Fault.EDGE);
        }
        return x(across - 1) + label.width() > sheet.width() + SLACK
                        || y(on() - 1) + label.height() > sheet.height() + SLACK
                ? Optional.of(Fault.OVER)
                : Optional.empty();
    }

    /** Why a paper cannot be. */
    public enum Fault {
        SHEET,
        LABEL,
        COUNT,
        EDGE,
        /** They hang over the sheet's edge. */
        OVER
    }

    private static boolean within(double value, double least, double most) {
        return value >= least && value <= most;
    }

    /** Its millimetres in one line, under which a printing keeps them. */
    public String said() {
        return String.format(
                Locale.ROOT,
                "%s;%s;%s;%s;%s;%d;%d;%s;%s;%s;%s;%s",
                key,
                sheet.width(),
                sheet.height(),
                label.width(),
                label.height(),
                across,
                down,
                left,
                top,
                gapX,
                gapY,
                round ? "round" : "square");
    }

    /**
     * The paper of such a line.
     *
     * @throws IllegalArgumentException where it is none
     */
    public static Paper read(String said) {
        String[] part = Linear.split(said, ";");
        if (part.length != 12) {
            throw new IllegalArgumentException("No paper: " + said);
        }
        return new Paper(
                part[0],
                new Size(number(part[1]), number(part[2])),
                new Size(number(part[3]), number(part[4])),
                Integer.parseInt(part[5]),
                Integer.parseInt(part[6]),
                number(part[7]),
                number(part[8]),
                number(part[9]),
                number(part[10]),
                part[11].equals("round"));
    }

    private static double number(String said) {
        return Double.parseDouble(said);
    }

    /** In words: "sheet of 3 × 8, 63.5 × 33.9 mm". */
    public String words() {
        String size = "%s × %s mm".formatted(Decimals.upTo(label.width(), 1), Decimals.upTo(label.height(), 1));
        return on() == 1
                ? "%s, %s".formatted(sheet.equals(label) ? "roll" : "one on a sheet", size)
                : "sheet of %d × %d, %s%s".formatted(across, down, size, round ? ", round" : "");
    }
}
