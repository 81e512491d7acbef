package app.velvetcrock.core.book;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * How fast something goes, by what was taken of it (craft: next year).
 *
 * @param perDay what is taken on a day on average, in the thing's own unit; 0 or more
 * @param takings how many times some was taken
 * @param days within so many days, 1 or more
 */
public record Pace(double perDay, int takings, int days) {

    /** Fewer takings tell nothing (craft: "too few to say"). */
    public static final int FEWEST = Tail.ENOUGH;

    /** [E] Nor do takings of less than two months, which may be one busy week's. */
    public static final int SHORTEST_DAYS = 60;

    /** No further back than a year, so that every season counts once. */
    public static final int YEAR = 365;

    /**
     * What was taken since a thing first came in, and no longer ago than a year.
     *
     * @param taken all of it within that time, in the thing's own unit
     * @param since when it first came in
     */
    public static Pace of(double taken, int takings, LocalDate since, LocalDate today) {
        long days = Math.max(1, Math.min(YEAR, ChronoUnit.DAYS.between(since, today)));
        return new Pace(taken / days, takings, (int) days);
    }

    /** Tells whether it says anything. */
    public boolean isKnown() {
        return takings >= FEWEST && days >= SHORTEST_DAYS && perDay > 0;
    }
}
