package app.velvetcrock.core.book;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** The day a herb was first gathered here, year by year: what its next gathering goes by (craft: next year). */
public final class FirstDays {

    /** [E] So many days after its usual first day a herb not yet gathered is still to be had. */
    public static final int STILL = 30;

    private final Map<Integer, LocalDate> byYear;

    private FirstDays(Map<Integer, LocalDate> byYear) {
        this.byYear = byYear;
    }

    /** Of all days on which it was gathered. */
    public static FirstDays of(Collection<LocalDate> gathered) {
        Map<Integer, LocalDate> first = new TreeMap<>();
        gathered.forEach(day -> first.merge(day.getYear(), day, (one, other) -> one.isBefore(other) ? one : other));
        return new FirstDays(first);
    }

    public List<LocalDate> days() {
        return List.copyOf(byYear.values());
    }

    /**
     * The day it is next to be gathered: its usual first day, this year where that is to come or not long past and nothing was gathered
     * yet; else next year, for what is missed is missed. Absent where it was never gathered.
     */
    public Optional<LocalDate> next(LocalDate today) {
        if (byYear.isEmpty()) {
            return Optional.empty();
        }
        int year = today.getYear();
        LocalDate usual = usual(year);
        boolean still = !byYear.containsKey(year) && !today.isAfter(usual.plusDays(STILL));
        return Optional.of(still ? usual : usual(year + 1));
    }

    /** The median of its first days, put into a year; of an even number the earlier of the middle two, so that none is missed. */
    private LocalDate usual(int year) {
        List<MonthDay> days =
                byYear.values().stream().map(MonthDay::from).sorted().toList();
        return days.get((days.size() - 1) / 2).atYear(year);
    }
}
