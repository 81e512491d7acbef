package app.velvetcrock.rounds;

import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.rounds.CalendarFile.Event;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * Tasks as a calendar has room for them: what is done with one hand on the jar in one moment is one event, and of days that went by the
 * newest stands for those before it.
 */
final class CalendarDays {

    private CalendarDays() {}

    /**
     * An event and what is in it.
     *
     * @param looked whether a look goes with it
     * @param missed how many days before it went by; none of them asks any more by itself
     * @param since the first of these
     */
    record Entry(Event event, boolean looked, int missed, LocalDate since) {

        private boolean is(TaskKind kind) {
            return event.task().key().kind() == kind && !event.cancelled();
        }

        private Moment moment() {
            return new Moment(event.sheet().id(), Coming.rounded(event.task()));
        }

        private Entry withLook() {
            return new Entry(event, true, missed, since);
        }

        String words() {
            String word = event.task().key().kind().word();
            return (looked ? word + " and look" : word) + (missed == 0 ? "" : ", %d days missed".formatted(missed));
        }
    }

    private record Moment(UUID batch, Instant at) {}

    private record Kept(UUID batch, TaskKind kind) {}

    static List<Entry> of(List<Event> events, ZoneId zone, LocalDate today) {
        return together(folded(events, zone, today));
    }

    private static List<Entry> folded(List<Event> events, ZoneId zone, LocalDate today) {
        List<Entry> entries = new ArrayList<>();
        Map<Kept, Integer> gone = new HashMap<>();
        for (Event event : events) {
            LocalDate day = event.task().due().atZone(zone).toLocalDate();
            Kept kept = new Kept(event.sheet().id(), event.task().key().kind());
            boolean wentBy = !event.cancelled() && day.isBefore(today);
            Integer earlier = wentBy ? gone.putIfAbsent(kept, entries.size()) : null;
            if (earlier == null) {
                entries.add(new Entry(event, false, 0, day));
            } else {
                Entry first = entries.get(earlier);
                entries.set(earlier, new Entry(event, false, first.missed() + 1, first.since()));
            }
        }
        return entries;
    }

    private static List<Entry> together(List<Entry> entries) {
        Map<Moment, Integer> shaken = new HashMap<>();
        List<Entry> all = new ArrayList<>();
        for (Entry entry : entries) {
            if (entry.is(TaskKind.SHAKE)) {
                shaken.put(entry.moment(), all.size());
            }
            all.add(entry);
        }
        for (Entry entry : entries) {
            Integer shake = entry.is(TaskKind.LOOK) ? shaken.get(entry.moment()) : null;
            if (shake != null) {
                all.set(shake, all.get(shake).withLook());
            }
        }
        all.removeIf(entry -> entry.is(TaskKind.LOOK) && shaken.containsKey(entry.moment()));
        return all;
    }
}
