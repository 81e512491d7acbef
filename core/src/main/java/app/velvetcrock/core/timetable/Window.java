package app.velvetcrock.core.timetable;

import java.time.LocalTime;

/** Hours of one day in which somebody is home and awake; they end before midnight. */
public record Window(LocalTime from, LocalTime to) {

    public Window {
        if (!from.isBefore(to)) {
            throw new IllegalArgumentException(
                    "hours run from %s to %s; they begin before they end, on one day".formatted(from, to));
        }
    }
}
