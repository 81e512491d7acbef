package app.velvetcrock.core.timetable;

import java.util.ArrayList;
import java.util.List;

/**
 * Something that is wanted for a time: hands, or the one crock there is.
 *
 * @param what it is for, in words
 */
public record Booking(String resource, Span span, String what) {

    /** Hands are one thing among others. */
    public static final String HANDS = "hands";

    /** What a timetable wants: hands where they stay, and its source of heat while it is on; no source where none is known. */
    public static List<Booking> of(Timetable timetable, String source, String what) {
        List<Booking> bookings = new ArrayList<>();
        for (Placed placed : timetable.placed()) {
            boolean heat = placed.step() instanceof Step.Heat;
            boolean hands =
                    placed.step() instanceof Step.Hands || placed.step() instanceof Step.Heat warm && warm.attended();
            for (Span span : placed.spans()) {
                if (hands) {
                    bookings.add(new Booking(HANDS, span, what));
                }
                if (heat && !source.isEmpty()) {
                    bookings.add(new Booking(source, span, what));
                }
            }
        }
        return bookings;
    }
}
