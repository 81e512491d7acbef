package app.velvetcrock.errands;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.NotHere;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The list to buy by. */
@Service
public class Errands {

    private static final int LONGEST = 160;
    private static final int MOST = 200;

    private final JdbcClient sql;
    private final Households households;
    private final Clock clock;

    Errands(JdbcClient sql, Households households, Clock clock) {
        this.households = households;
        this.sql = sql;
        this.clock = clock;
    }

    /** Something to buy; {@code because} names what it is for. */
    public record Errand(UUID id, String words, String because, Instant added, @Nullable Instant got) {}

    /** Puts things on the list; what stands there already for the same reason stands there once. Tells those that are new on it. */
    @Transactional
    public List<UUID> add(List<String> things, String because) {
        // Two who put the same on it at once put it there once.
        households.oneAtATime();
        return things.stream()
                .flatMap(words -> add(cut(words), cut(because)).stream())
                .toList();
    }

    /**
     * Puts one thing on the list, with how much; asked again, what is on it for the same reason and not got yet says the newer amount.
     *
     * @param words begin with what it is called and a colon
     */
    @Transactional
    public List<UUID> addAnew(String called, String words, String because) {
        households.oneAtATime();
        int there = sql.sql("update to_buy set words = :words where stillroom_id = :stillroom and got_at is null "
                        + "and because = :because and starts_with(lower(words), lower(:called))")
                .param("stillroom", Current.stillroom())
                .param("words", cut(words))
                .param("because", cut(because))
                .param("called", called + ":")
                .update();
        return there > 0 ? List.of() : add(List.of(words), because);
    }

    private Optional<UUID> add(String words, String because) {
        List<UUID> there = sql.sql("select id from to_buy where stillroom_id = :stillroom and got_at is null "
                        + "and lower(words) = lower(:words) and because = :because")
                .param("stillroom", Current.stillroom())
                .param("words", words)
                .param("because", because)
                .query(UUID.class)
                .list();
        if (!there.isEmpty()) {
            return Optional.empty();
        }
        UUID id = UUID.randomUUID();
        sql.sql("insert into to_buy (stillroom_id, id, words, because, added_at) "
                        + "values (:stillroom, :id, :words, :because, :at)")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("words", words)
                .param("because", because)
                .param("at", Timestamp.from(clock.instant()))
                .update();
        return Optional.of(id);
    }

    private static String cut(String words) {
        return words.length() > LONGEST ? words.substring(0, LONGEST - 1) + "…" : words;
    }

    /** What is still to be bought, and what was got within the last fortnight, the newest last. */
    @Transactional(readOnly = true)
    public List<Errand> list() {
        return sql.sql("select id, words, because, added_at, got_at from to_buy where stillroom_id = :stillroom "
                        + "and (got_at is null or got_at > :since) order by added_at, words limit :most")
                .param("stillroom", Current.stillroom())
                .param("since", Timestamp.from(clock.instant().minus(Duration.ofDays(14))))
                .param("most", MOST)
                .query((row, at) -> new Errand(
                        row.getObject(1, UUID.class),
                        row.getString(2),
                        row.getString(3),
                        row.getTimestamp(4).toInstant(),
                        row.getTimestamp(5) == null ? null : row.getTimestamp(5).toInstant()))
                .list();
    }

    /** Where things put on the list are taken off it again; nowhere, where all of them stood on it before. */
    public static @Nullable String takenBack(List<UUID> ids) {
        return ids.isEmpty()
                ? null
                : "/stores/to-buy/undo?" + ids.stream().map(id -> "id=" + id).collect(Collectors.joining("&"));
    }

    /** Takes things off the list that were put on it by mistake. */
    @Transactional
    public void takeBack(List<UUID> ids) {
        if (!ids.isEmpty()) {
            sql.sql("delete from to_buy where stillroom_id = :stillroom and id in (:ids)")
                    .param("stillroom", Current.stillroom())
                    .param("ids", ids)
                    .update();
        }
    }

    /** Strikes a thing from the list, or puts it back on it. */
    @Transactional
    public void got(UUID id, boolean got) {
        int there = sql.sql("update to_buy set got_at = :at where stillroom_id = :stillroom and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("at", got ? Timestamp.from(clock.instant()) : null)
                .update();
        if (there == 0) {
            throw new NotHere("that errand");
        }
    }
}
