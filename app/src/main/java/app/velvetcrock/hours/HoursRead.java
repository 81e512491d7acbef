package app.velvetcrock.hours;

import app.velvetcrock.core.timetable.HoursReader;
import app.velvetcrock.core.timetable.Presence;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Reads in one statement what hours at home are worked out of: most pages want it. */
@Component
class HoursRead {

    /** Warm-ups enough to be sure of, few enough to follow a new cooker. */
    private static final int MOST_WARM_UPS = 10;

    private final Trip trip;

    HoursRead(Trip trip) {
        this.trip = trip;
    }

    All all() {
        return trip.answer(question());
    }

    /**
     * All of it.
     *
     * @param people each with the days that are otherwise, in the order they were written down
     * @param warmUps the latest ones measured, the newest first
     */
    record All(List<Presence> people, List<Duration> warmUps) {}

    Question<All> question() {
        return new Question<>(
                "hours read",
                Current.person(),
                """
                select w.minutes, r.id, r.name, r.week, a.first_day, a.last_day, a.hours, a.why
                from (select array(select minutes from warm_up where stillroom_id = :stillroom
                    order by id desc limit :most) as minutes) w
                left join resident r on r.stillroom_id = :stillroom and r.removed_at is null
                left join absence a on a.stillroom_id = :stillroom and a.resident_id = r.id and a.removed_at is null
                order by r.created_at, r.id, a.first_day, a.created_at""",
                Map.of("stillroom", Current.stillroom(), "most", MOST_WARM_UPS),
                HoursRead::all);
    }

    private static All all(ResultSet row) throws SQLException {
        Map<UUID, Resident> residents = new LinkedHashMap<>();
        Map<UUID, List<Presence.Otherwise>> otherwise = new LinkedHashMap<>();
        List<Duration> warmUps = new ArrayList<>();
        while (row.next()) {
            if (warmUps.isEmpty()) {
                warmUps.addAll(minutes(row.getArray("minutes")));
            }
            UUID id = row.getObject("id", UUID.class);
            if (id != null) {
                residents.putIfAbsent(id, resident(row));
                List<Presence.Otherwise> own = otherwise.computeIfAbsent(id, first -> new ArrayList<>());
                if (row.getString("hours") != null) {
                    own.add(otherwise(row));
                }
            }
        }
        return new All(
                residents.entrySet().stream()
                        .map(one -> one.getValue().presence(otherwise.getOrDefault(one.getKey(), List.of())))
                        .toList(),
                warmUps);
    }

    private static List<Duration> minutes(Array minutes) throws SQLException {
        List<Duration> all = new ArrayList<>();
        for (Object one : (Object[]) minutes.getArray()) {
            all.add(Duration.ofMinutes(((Number) one).longValue()));
        }
        return all;
    }

    private static Resident resident(ResultSet row) throws SQLException {
        Resident resident = new Resident();
        resident.name = row.getString("name");
        resident.week = row.getString("week");
        return resident;
    }

    private static Presence.Otherwise otherwise(ResultSet row) throws SQLException {
        return new Presence.Otherwise(
                row.getObject("first_day", LocalDate.class),
                row.getObject("last_day", LocalDate.class),
                HoursReader.parse(row.getString("hours")),
                row.getString("why"));
    }
}
