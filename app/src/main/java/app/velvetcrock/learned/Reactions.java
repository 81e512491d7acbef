package app.velvetcrock.learned;

import app.velvetcrock.core.book.Suspects.Strength;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.RowMapperResultSetExtractor;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What somebody used, and how her skin took it. */
@Service
public class Reactions {

    private static final int MOST = 300;

    /** [E] The skin is looked at again so many days after, before "nothing" is believed. */
    private static final int AGAIN_DAYS = 3;

    private static final String COLUMNS =
            "select id, recipient_id, lot_id, name, strength, spreading, place, lasted, patch, used_on, look_again_on, looked_at, "
                    + "noted_at from reaction where stillroom_id = :stillroom and dropped_at is null ";

    private final JdbcClient sql;
    private final Trip trip;
    private final Clock clock;

    Reactions(JdbcClient sql, Trip trip, Clock clock) {
        this.sql = sql;
        this.trip = trip;
        this.clock = clock;
    }

    /**
     * What was used and came of it.
     *
     * @param lot absent for what is no lot here: something bought, the sun
     * @param spreading it spread, was in the face or took the breath
     * @param place where on the body
     * @param patch a small trial, not use
     */
    public record Used(
            UUID person,
            Optional<UUID> lot,
            String name,
            Strength strength,
            boolean spreading,
            String place,
            String lasted,
            boolean patch,
            LocalDate on) {}

    /**
     * The same as it is kept.
     *
     * @param again when the skin is to be looked at once more; absent where it was
     */
    public record Kept(UUID id, Used used, Optional<LocalDate> again, Instant noted) {

        /** "None" counts once the skin was looked at again: what contact does may come one to seven days later. */
        public boolean counts() {
            return used.strength() != Strength.NONE || again.isEmpty();
        }
    }

    /** When it is to be looked at once more: of what was used long enough ago there is nothing more to wait for. */
    public static Optional<LocalDate> again(Strength strength, LocalDate on, LocalDate today) {
        LocalDate again = on.plusDays(AGAIN_DAYS);
        return strength == Strength.NONE && !again.isAfter(today) ? Optional.empty() : Optional.of(again);
    }

    @Transactional(readOnly = true)
    public List<Kept> of(UUID person) {
        return trip.answer(question(person));
    }

    /** Asks for somebody's. */
    public Question<List<Kept>> question(UUID person) {
        return new Question<>(
                "reactions",
                List.of(Current.person(), person),
                COLUMNS + "and recipient_id = :person order by noted_at desc, id limit " + MOST,
                Map.of("stillroom", Current.stillroom(), "person", person),
                new RowMapperResultSetExtractor<>((row, at) -> kept(row)));
    }

    /** How anybody's skin took some lots. */
    @Transactional(readOnly = true)
    public List<Kept> ofLots(Collection<UUID> lots) {
        return lots.isEmpty()
                ? List.of()
                : sql.sql(COLUMNS + "and lot_id in (:lots) order by noted_at desc, id limit " + MOST)
                        .param("stillroom", Current.stillroom())
                        .param("lots", lots)
                        .query((row, at) -> kept(row))
                        .list();
    }

    @Transactional(readOnly = true)
    public Kept find(UUID id) {
        return sql.sql(COLUMNS + "and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .query((row, at) -> kept(row))
                .optional()
                .orElseThrow(() -> new NotHere("that reaction"));
    }

    private static Kept kept(ResultSet row) throws SQLException {
        boolean looked = row.getTimestamp("looked_at") != null;
        return new Kept(
                row.getObject("id", UUID.class),
                new Used(
                        row.getObject("recipient_id", UUID.class),
                        Optional.ofNullable(row.getObject("lot_id", UUID.class)),
                        row.getString("name"),
                        Strength.valueOf(row.getString("strength")),
                        row.getBoolean("spreading"),
                        row.getString("place"),
                        row.getString("lasted"),
                        row.getBoolean("patch"),
                        row.getObject("used_on", LocalDate.class)),
                looked ? Optional.empty() : Optional.ofNullable(row.getObject("look_again_on", LocalDate.class)),
                row.getTimestamp("noted_at").toInstant());
    }

    /** Writes it down. */
    @Transactional
    public UUID note(Used used, Optional<LocalDate> again) {
        UUID id = UUID.randomUUID();
        sql.sql("insert into reaction (stillroom_id, id, recipient_id, lot_id, name, strength, spreading, "
                        + "place, lasted, patch, used_on, look_again_on, noted_at, account_id) "
                        + "values (:stillroom, :id, :person, :lot, :name, :strength, :spreading, :place, "
                        + ":lasted, :patch, :on, :again, :at, :account)")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("person", used.person())
                .param("lot", used.lot().orElse(null))
                .param("name", used.name())
                .param("strength", used.strength().name())
                .param("spreading", used.spreading())
                .param("place", used.place())
                .param("lasted", used.lasted())
                .param("patch", used.patch())
                .param("on", used.on())
                .param("again", again.orElse(null))
                .param("at", Timestamp.from(clock.instant()))
                .param("account", Current.person().account())
                .update();
        return id;
    }

    /** The skin was looked at again: so it is now, the stronger of both. */
    @Transactional
    public void lookedAgain(UUID id, Strength strength) {
        Kept before = find(id);
        if (before.again().isEmpty()) {
            throw new Refused("That was looked at again already.");
        }
        Strength now = strength.compareTo(before.used().strength()) > 0
                ? strength
                : before.used().strength();
        sql.sql(
                        "update reaction set strength = :strength, looked_at = :at where stillroom_id = :stillroom and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("strength", now.name())
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }

    /** It was not so, or it was. */
    @Transactional
    public void drop(UUID id, boolean dropped) {
        int there = sql.sql("update reaction set dropped_at = :at where stillroom_id = :stillroom and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("at", dropped ? Timestamp.from(clock.instant()) : null)
                .update();
        if (there == 0) {
            throw new NotHere("that reaction");
        }
    }
}
