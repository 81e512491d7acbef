package app.velvetcrock.core.book;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What next year needs of one thing: at the pace it goes, from the day there is new of it, for a year (craft: next year). Every figure is
 * in the thing's own unit and opens to its sum.
 *
 * @param from the day there is new of it
 * @param takes what a year from then takes
 * @param there what of that year is served by what is there now; nothing that ends before it is used is in it
 * @param more what is wanted besides; 0 where that is all of it
 */
public record NextYear(LocalDate from, double takes, double there, double more) {

    /** A part of what a herb's pace is made of: for whom, so much a day, and by how many takings that is known. */
    public record Part(String what, double perDay, int takings) {}

    /** Of a thing with a known pace, which lasts so long. */
    public static NextYear of(Pace pace, Lasting lasting, LocalDate today, LocalDate from) {
        double takes = pace.perDay() * Pace.YEAR;
        double there = pace.perDay() * lasting.daysOfTheYearFrom(from, today);
        return new NextYear(from, takes, there, takes - there);
    }

    /**
     * How fast a herb goes where it goes by what is made of it: what its oils take, and what was taken of it besides. Known where each
     * part is; absent where there is none.
     */
    public static Optional<Pace> together(List<Part> parts, int days) {
        return parts.isEmpty()
                ? Optional.empty()
                : Optional.of(new Pace(
                        parts.stream().mapToDouble(Part::perDay).sum(),
                        parts.stream().mapToInt(Part::takings).sum(),
                        days));
    }
}
