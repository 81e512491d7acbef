package app.velvetcrock.hours;

import app.velvetcrock.core.text.Linear;
import app.velvetcrock.core.timetable.HoursReader;
import app.velvetcrock.core.timetable.Presence;
import app.velvetcrock.core.timetable.Window;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.DayOfWeek;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** Somebody of the household, with the hours of a usual week. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class Resident {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    String name;

    /** A line for each weekday, from Monday on. */
    String week;

    Instant createdAt;

    @Nullable
    Instant removedAt;

    protected Resident() {}

    Resident(String name, List<List<Window>> days, Instant createdAt) {
        this.createdAt = createdAt;
        set(name, days);
    }

    final void set(String called, List<List<Window>> days) {
        name = called;
        week = String.join("\n", days.stream().map(HoursReader::words).toList());
    }

    /** The hours of each day as they are typed, Monday first. */
    List<String> typed() {
        List<String> lines = new ArrayList<>(List.of(Linear.split(week, "\n", -1)));
        while (lines.size() < DayOfWeek.values().length) {
            lines.add("");
        }
        return lines;
    }

    Presence presence(List<Presence.Otherwise> exceptions) {
        Map<DayOfWeek, List<Window>> days = new EnumMap<>(DayOfWeek.class);
        List<String> lines = typed();
        for (DayOfWeek day : DayOfWeek.values()) {
            days.put(day, HoursReader.parse(lines.get(day.ordinal())));
        }
        return new Presence(name, days, exceptions);
    }
}
