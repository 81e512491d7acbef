package app.velvetcrock.pictures;

import app.velvetcrock.pictures.Developing.Developed;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.upkeep.Clears;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures of a household. */
@Service
public class Pictures implements Clears {

    /** Of a household in all; those that were put away count until they are deleted. */
    static final long MOST_BYTES = 536_870_912L;

    /** So long what was put away, or whose reaction was taken back, can be had back; then it is deleted for good. */
    private static final Duration KEPT_AWAY = Duration.ofDays(30);

    /** A strip shows the newest. */
    private static final int SHOWN = 24;

    private static final String COLUMNS =
            "id, batch_id, lot_id, reaction_id, at_what, words, taken_at, width, height, dropped_at ";
    private static final String HERE = " where stillroom_id = :stillroom ";

    private final JdbcClient sql;
    private final Clock clock;

    Pictures(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** What a picture can be of. */
    enum Of {
        BATCH,
        LOT,
        REACTION;

        /** The column that names it. */
        private String column() {
            return name().toLowerCase(Locale.ROOT) + "_id";
        }
    }

    /** With which doing it was taken. */
    enum AtWhat {
        LOOK("with a look"),
        STRAINING("with the straining"),
        LABEL("with its label"),
        REACTION("of the skin");

        private final String words;

        AtWhat(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }

    /**
     * One as it is kept.
     *
     * @param words what is to be seen, in somebody's words; may be empty
     */
    record Kept(
            UUID id,
            Of of,
            UUID about,
            AtWhat what,
            String words,
            Instant taken,
            int width,
            int height,
            boolean dropped) {

        boolean isOfSkin() {
            return of == Of.REACTION;
        }

        /** What its last button does. */
        public String away() {
            return isOfSkin() ? "Delete it for good" : "Put it away";
        }
    }

    private static Kept kept(ResultSet row, int n) throws SQLException {
        Of of = row.getObject("batch_id") != null ? Of.BATCH : row.getObject("lot_id") != null ? Of.LOT : Of.REACTION;
        return new Kept(
                row.getObject("id", UUID.class),
                of,
                row.getObject(of.column(), UUID.class),
                AtWhat.valueOf(row.getString("at_what")),
                row.getString("words"),
                row.getTimestamp("taken_at").toInstant(),
                row.getInt("width"),
                row.getInt("height"),
                row.getTimestamp("dropped_at") != null);
    }

    /** Keeps one; what it is of is known to be this household's. */
    @Transactional
    UUID add(Of of, UUID about, AtWhat what, String words, Developed picture) {
        UUID stillroom = Current.stillroom();
        // One household's pictures are counted one after the other.
        sql.sql("select pg_advisory_xact_lock(hashtextextended('pictures' || :stillroom, 0))")
                .param("stillroom", stillroom.toString())
                .query((row, n) -> true)
                .list();
        if (bytes() + picture.whole().length + picture.small().length > MOST_BYTES) {
            throw new Refused("This household's pictures take up all the room there is for them, 512 MB. "
                    + "Delete some that nobody needs any more.");
        }
        UUID id = UUID.randomUUID();
        sql.sql("insert into picture (stillroom_id, id, " + of.column()
                        + ", at_what, words, taken_at, account_id, width, height, whole, small) values (:stillroom, :id, :about, "
                        + ":what, :words, :at, :account, :width, :height, :whole, :small)")
                .param("stillroom", stillroom)
                .param("id", id)
                .param("about", about)
                .param("what", what.name())
                .param("words", words)
                .param("at", Timestamp.from(clock.instant()))
                .param("account", Current.person().account())
                .param("width", picture.width())
                .param("height", picture.height())
                .param("whole", picture.whole())
                .param("small", picture.small())
                .update();
        return id;
    }

    private long bytes() {
        return sql.sql("select coalesce(sum(octet_length(whole) + octet_length(small)), 0) from picture" + HERE)
                .param("stillroom", Current.stillroom())
                .query(Long.class)
                .single();
    }

    @Transactional(readOnly = true)
    List<Kept> of(Of of, UUID about) {
        return sql.sql("select " + COLUMNS + "from picture" + HERE + "and " + of.column()
                        + " = :about and dropped_at is null order by taken_at desc, id limit :most")
                .param("stillroom", Current.stillroom())
                .param("about", about)
                .param("most", SHOWN)
                .query(Pictures::kept)
                .list();
    }

    @Transactional(readOnly = true)
    Kept find(UUID id) {
        return sql.sql("select " + COLUMNS + "from picture" + HERE + "and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .query(Pictures::kept)
                .optional()
                .orElseThrow(() -> new NotHere("that picture"));
    }

    /** The picture itself. */
    @Transactional(readOnly = true)
    byte[] bytes(UUID id, boolean small) {
        Optional<byte[]> bytes = sql.sql("select " + (small ? "small" : "whole") + " from picture" + HERE
                        + "and id = :id and dropped_at is null")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .query((row, n) -> row.getBytes(1))
                .optional();
        return bytes.orElseThrow(() -> new NotHere("that picture"));
    }

    @Transactional
    void say(UUID id, String words) {
        changed(sql.sql("update picture set words = :words" + HERE + "and id = :id and dropped_at is null")
                .param("words", words)
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .update());
    }

    /** Puts it away, or back; one of somebody's skin is not put away but deleted. */
    @Transactional
    void drop(UUID id, boolean dropped) {
        changed(sql.sql("update picture set dropped_at = :at" + HERE + "and id = :id and reaction_id is null")
                .param("at", dropped ? Timestamp.from(clock.instant()) : null)
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .update());
    }

    @Override
    @Transactional
    public int clear(int most) {
        return sql.sql(
                        "delete from picture where ctid in (select ctid from picture where dropped_at < :before limit :most)")
                .param("before", Timestamp.from(clock.instant().minus(KEPT_AWAY)))
                .param("most", most)
                .update();
    }

    /** For good: what backups still hold of it goes with them. */
    @Transactional
    void delete(UUID id) {
        changed(sql.sql("delete from picture" + HERE + "and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .update());
    }

    private static void changed(int rows) {
        if (rows == 0) {
            throw new NotHere("that picture");
        }
    }
}
