package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;

/**
 * Writes amounts, days and moments as a household says them: in its units and its zone.
 *
 * @param today what days are told from, those of another year with it; absent where that is not known
 */
public record Wording(HouseholdUnits units, ZoneId zone, Optional<LocalDate> today) {

    /** [E] A day so far off is read as one of this year, unless its own stands with it. */
    private static final long FAR_DAYS = 300;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter WEEKDAY = DateTimeFormatter.ofPattern("EEE", Locale.ENGLISH);
    private static final DateTimeFormatter SHORT_DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter LONG_DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

    /** From no day in particular. */
    public Wording(HouseholdUnits units, ZoneId zone) {
        this(units, zone, Optional.empty());
    }

    /** The household's day an instant lies on. */
    public LocalDate dayOf(Instant instant) {
        return instant.atZone(zone).toLocalDate();
    }

    public String mass(Mass mass) {
        return units.mass(mass);
    }

    public String volume(Volume volume) {
        return units.volume(volume);
    }

    public String temperature(Temperature temperature) {
        return units.temperature(temperature);
    }

    /** A day with its weekday: "Tue 24 Nov". */
    public String day(LocalDate date) {
        return DAY.format(date) + year(date);
    }

    /** The year of a day that is so far off that its month alone would be taken for another year's. */
    private String year(LocalDate date) {
        return today.filter(now -> Math.abs(ChronoUnit.DAYS.between(now, date)) > FAR_DAYS)
                .map(now -> " " + date.getYear())
                .orElse("");
    }

    /** A day by its weekday: "Thu". */
    public String weekday(LocalDate date) {
        return WEEKDAY.format(date);
    }

    /** A day without its weekday: "24 Nov". */
    public String shortDay(LocalDate date) {
        return SHORT_DAY.format(date) + year(date);
    }

    /** A day in full, without its year: "Tuesday 24 November". */
    public String longDay(LocalDate date) {
        return LONG_DAY.format(date) + year(date);
    }

    /** A day with its year: "24 Nov 2026". */
    public String date(LocalDate date) {
        return written(date);
    }

    /** A day as it is written, the same in every household. */
    public static String written(LocalDate date) {
        return DATE.format(date);
    }

    /** A moment there, as it is written. */
    public static String written(LocalDateTime there) {
        return DATE.format(there) + ", " + TIME.format(there);
    }

    /** The time of day there: "08:30". */
    public String time(Instant instant) {
        return TIME.format(instant.atZone(zone));
    }

    /** A day with its weekday, and the time: "Tue 24 Nov 08:30". */
    public String dayAndTime(Instant instant) {
        return day(dayOf(instant)) + " " + time(instant);
    }

    /** A moment there as it is typed into a field for one: "2026-11-24T08:30". */
    public String asField(Instant instant) {
        return LocalDateTime.ofInstant(instant, zone)
                .truncatedTo(ChronoUnit.MINUTES)
                .toString();
    }

    /** A stretch of time: "Tue 24 Nov 08:30 – 10:00", with the day of its end where that is another. */
    public String stretch(Instant from, Instant to) {
        return dayAndTime(from) + " – " + (dayOf(from).equals(dayOf(to)) ? time(to) : dayAndTime(to));
    }

    /** A day with its year, and the time: "24 Nov 2026, 08:30". */
    public String moment(Instant instant) {
        return written(LocalDateTime.ofInstant(instant, zone));
    }
}
