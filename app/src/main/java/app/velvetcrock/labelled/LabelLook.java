package app.velvetcrock.labelled;

import app.velvetcrock.core.label.Decor;
import app.velvetcrock.core.label.LabelLayout;
import app.velvetcrock.core.label.Mark;
import app.velvetcrock.core.label.NetWeight;
import java.util.Optional;
import java.util.StringJoiner;

/**
 * How a household's labels look, and where its printer puts them.
 *
 * @param picture whether it has one of its own, and how wide that is to its height
 * @param line of its own, below its name
 * @param where who made it and where, for what is sold
 * @param region whose rule says how high a net weight's figures are
 * @param smallestForSale smallest x-height for sale, mm, where the household knows its own
 * @param right by how much the printer sits too far left, mm; {@code down} too high
 * @param paper which was printed on last, by its key
 */
public record LabelLook(
        Decor.Frame frame,
        Optional<Mark> mark,
        Optional<Double> picture,
        String line,
        String where,
        NetWeight.Region region,
        Optional<Double> smallestForSale,
        double right,
        double down,
        Optional<String> paper) {

    /** The most a printer is made up for, mm. */
    public static final double FURTHEST = 15;

    public static final LabelLook USUAL = new LabelLook(
            Decor.Frame.NONE,
            Optional.empty(),
            Optional.empty(),
            "",
            "",
            NetWeight.Region.EU_UK,
            Optional.empty(),
            0,
            0,
            Optional.empty());

    public Decor decor() {
        return new Decor(frame, mark, picture);
    }

    /** The smallest letters' x-height, mm. */
    public double smallest(boolean sale) {
        return sale ? smallestForSale.orElse(LabelLayout.SMALLEST_FOR_SALE) : LabelLayout.SMALLEST;
    }

    /** The household's line where it has one, and for sale who made it and where. */
    public String more(boolean sale) {
        StringJoiner more = new StringJoiner(". ");
        if (!line.isEmpty()) {
            more.add(line);
        }
        if (sale && !where.isEmpty()) {
            more.add("Made by " + where);
        }
        return more.toString();
    }

    /** The same with its printer made up for otherwise, and another paper. */
    public LabelLook printedOn(double further, double lower, Optional<String> on) {
        return new LabelLook(frame, mark, picture, line, where, region, smallestForSale, further, lower, on);
    }
}
