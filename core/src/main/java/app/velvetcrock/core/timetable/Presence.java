package app.velvetcrock.core.timetable;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * When one person of the household is home and awake.
 *
 * @param week hours of each weekday; a day not named has none
 * @param exceptions days that are otherwise; of two for one day the later in the list holds
 */
public record Presence(String name, Map<DayOfWeek, List<Window>> week, List<Otherwise> exceptions) {

    public Presence {
        Map<DayOfWeek, List<Window>> sorted = new EnumMap<>(DayOfWeek.class);
        week.forEach((day, windows) -> sorted.put(
                day, windows.stream().sorted(Comparator.comparing(Window::from)).toList()));
        week = sorted;
        exceptions = List.copyOf(exceptions);
    }

    /**
     * Days on which the week does not hold: away, ill, or at home because of guests.
     *
     * @param last included
     * @param hours hours of each of these days instead; none for away or ill
     */
    public record Otherwise(LocalDate first, LocalDate last, List<Window> hours, String why) {

        public Otherwise {
            hours = List.copyOf(hours);
            if (last.isBefore(first)) {
                throw new IllegalArgumentException(
                        "exception runs from %s to %s; it ends no earlier than it begins".formatted(first, last));
            }
        }

        boolean covers(LocalDate day) {
            return !day.isBefore(first) && !day.isAfter(last);
        }
    }

    /** Every window of the week and of the days that are otherwise, in no order. */
    Stream<Window> windows() {
        return Stream.concat(week.values().stream(), exceptions.stream().map(Otherwise::hours))
                .flatMap(List::stream);
    }

    /** The hours of a day. */
    public List<Window> on(LocalDate day) {
        return exceptions.stream()
                .filter(exception -> exception.covers(day))
                .reduce((earlier, later) -> later)
                .map(Otherwise::hours)
                .orElseGet(() -> week.getOrDefault(day.getDayOfWeek(), List.of()));
    }
}
