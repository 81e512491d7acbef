package app.velvetcrock.learned;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.NotHere;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is to be gathered, and when; each herb once a year. */
@Service
public class Gatherings {

    private static final int MOST = 200;

    private final JdbcClient sql;
    private final Households households;
    private final Clock clock;

    Gatherings(JdbcClient sql, Households households, Clock clock) {
        this.sql = sql;
        this.households = households;
        this.clock = clock;
    }

    /** A herb that is to be gathered: {@code words} say how much. */
    public record Ahead(UUID id, String kindKey, String name, LocalDate day, String words) {

        /** As Rounds and the calendar call it. */
        public String summary() {
            return "Gather %s: %s".formatted(name, words);
        }
    }

    /** What is planned, and of a year that is over nothing. */
    @Transactional(readOnly = true)
    public List<Ahead> open(LocalDate today) {
        return sql.sql("select id, kind_key, name, day, words from gathering_ahead where stillroom_id = :stillroom "
                        + "and dropped_at is null and year >= :year order by day, name limit :most")
                .param("stillroom", Current.stillroom())
                .param("year", today.getYear())
                .param("most", MOST)
                .query((row, at) -> ahead(row))
                .list();
    }

    static Ahead ahead(ResultSet row) throws SQLException {
        return new Ahead(
                row.getObject("id", UUID.class),
                row.getString("kind_key"),
                row.getString("name"),
                row.getObject("day", LocalDate.class),
                row.getString("words"));
    }

    /** Plans one; planned twice for the same year it has the newer day and amount, and is the same in every calendar. */
    @Transactional
    public UUID plan(String kindKey, String name, LocalDate day, String words) {
        households.oneAtATime();
        Optional<UUID> there = sql.sql("update gathering_ahead set day = :day, words = :words, name = :name "
                        + "where stillroom_id = :stillroom and kind_key = :kind and year = :year "
                        + "and dropped_at is null returning id")
                .param("stillroom", Current.stillroom())
                .param("kind", kindKey)
                .param("year", day.getYear())
                .param("name", name)
                .param("day", day)
                .param("words", words)
                .query(UUID.class)
                .optional();
        return there.orElseGet(() -> {
            UUID id = UUID.randomUUID();
            sql.sql("insert into gathering_ahead (stillroom_id, id, kind_key, name, year, day, words, planned_at) "
                            + "values (:stillroom, :id, :kind, :name, :year, :day, :words, :at)")
                    .param("stillroom", Current.stillroom())
                    .param("id", id)
                    .param("kind", kindKey)
                    .param("name", name)
                    .param("year", day.getYear())
                    .param("day", day)
                    .param("words", words)
                    .param("at", Timestamp.from(clock.instant()))
                    .update();
            return id;
        });
    }

    /** Takes one out of the calendar again; once, however often it is asked. */
    @Transactional
    public void drop(UUID id) {
        int there = sql.sql("update gathering_ahead set dropped_at = coalesce(dropped_at, :at) "
                        + "where stillroom_id = :stillroom and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("at", Timestamp.from(clock.instant()))
                .update();
        if (there == 0) {
            throw new NotHere("that gathering");
        }
    }
}
