package app.velvetcrock.core.book;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How long what is there lasts at a pace: what ends first is used first, and what is left of it at its date is lost.
 *
 * @param days from today until it runs out, 0 or more
 * @param until the day it runs out; absent where it lasts beyond {@link #FAR} days
 * @param lost what ends before it is used, in the thing's own unit
 */
public record Lasting(double days, Optional<LocalDate> until, double lost) {

    /** So far is looked ahead. */
    public static final int FAR = 5 * Pace.YEAR;

    /** Some of a thing; {@code usable} is the last day it may be used, absent where nothing ends it. */
    public record Left(double amount, Optional<LocalDate> usable) {}

    /** When it runs out at a pace, which is above nothing. */
    public static Lasting of(List<Left> all, Pace pace, LocalDate today) {
        double at = 0;
        double lost = 0;
        for (Left one : sorted(all)) {
            double used = Math.min(one.amount(), pace.perDay() * Math.max(0, end(one, today) - at));
            lost += one.amount() - used;
            at += used / pace.perDay();
        }
        return new Lasting(at, at > FAR ? Optional.empty() : Optional.of(today.plusDays((long) at)), lost);
    }

    /** Days from today to the last on which it may be used, that day with it. */
    private static double end(Left one, LocalDate today) {
        return one.usable()
                .map(day -> (double) ChronoUnit.DAYS.between(today, day) + 1)
                .orElse(Double.POSITIVE_INFINITY);
    }

    private static List<Left> sorted(List<Left> all) {
        return all.stream()
                .sorted(Comparator.comparing((Left one) -> one.usable().orElse(LocalDate.MAX)))
                .toList();
    }

    /** For how many days of the year that begins on a day what is there serves, 0 to {@link Pace#YEAR}. */
    public double daysOfTheYearFrom(LocalDate from, LocalDate today) {
        double begins = Math.max(0, ChronoUnit.DAYS.between(today, from));
        return Math.max(0, Math.min(Pace.YEAR, days - begins));
    }
}
