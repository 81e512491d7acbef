package app.velvetcrock.rounds;

import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.rounds.CalendarFile.Event;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
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

        String words() {
            String word = event.task().key().kind().word();
            return (looked ? word + " and look" : word) + (missed == 0 ? "" : ", %d days missed".formatted(missed));
        }
    }

    private record Moment(UUID batch, Instant at) {}

    private record Kept(UUID batch, TaskKind kind) {}

    static List<Entry> of(List<Event> events, ZoneId zone, LocalDate today) {
        List<Entry> entries = new ArrayList<>();
        Map<Moment, Integer> shaken = new LinkedHashMap<>();
        Map<Kept, Integer> before = new LinkedHashMap<>();
        for (Event event : events) {
            Task task = event.task();
            LocalDate day = task.due().atZone(zone).toLocalDate();
            Kept kept = new Kept(event.sheet().id(), task.key().kind());
            Integer earlier = before.get(kept);
            if (!event.cancelled() && day.isBefore(today) && earlier != null) {
                Entry first = entries.get(earlier);
                entries.set(earlier, new Entry(event, false, first.missed() + 1, first.since()));
            } else {
                if (!event.cancelled() && day.isBefore(today)) {
                    before.put(kept, entries.size());
                }
                entries.add(new Entry(event, false, 0, day));
            }
        }
        for (int at = 0; at < entries.size(); at++) {
            Event event = entries.get(at).event();
            if (event.task().key().kind() == TaskKind.SHAKE && !event.cancelled()) {
                shaken.put(new Moment(event.sheet().id(), Coming.rounded(event.task())), at);
            }
        }
        List<Entry> all = new ArrayList<>(entries);
        for (Entry entry : entries) {
            Event event = entry.event();
            Integer shake = event.task().key().kind() != TaskKind.LOOK || event.cancelled()
                    ? null
                    : shaken.get(new Moment(event.sheet().id(), Coming.rounded(event.task())));
            if (shake != null) {
                Entry with = all.get(all.indexOf(entries.get(shake)));
                all.set(all.indexOf(with), new Entry(with.event(), true, with.missed(), with.since()));
                entries.set(shake, new Entry(with.event(), true, with.missed(), with.since()));
                all.remove(entry);
            }
        }
        return all;
    }
}
