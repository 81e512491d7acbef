package app.velvetcrock.parting;

import app.velvetcrock.core.parting.Offer;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Days at a stall: what was brought at which price, the float, what was counted in the end. What left is in {@link Leavings}. */
@Service
public class StallDays {

    private final JdbcClient sql;
    private final Clock clock;

    StallDays(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** A day; {@code counted} what was in the box in the end, absent while it is open. */
    public record Day(UUID id, String name, LocalDate day, long begunWith, Optional<Long> counted, boolean closed) {}

    /** A thing brought. */
    public record Thing(UUID lot, int brought, Offer offer) {}

    /** The days, the newest first. */
    @Transactional(readOnly = true)
    public List<Day> all() {
        return days("order by day desc, added_at desc limit 100", Map.of());
    }

    @Transactional(readOnly = true)
    public Day find(UUID id) {
        return days("and id = :id", Map.of("id", id)).stream()
                .findFirst()
                .orElseThrow(() -> new NotHere("that day at the stall"));
    }

    private List<Day> days(String where, Map<String, ?> with) {
        return sql.sql("select id, name, day, begun_with, counted, closed_at is not null from stall_day "
                        + "where stillroom_id = :stillroom " + where)
                .param("stillroom", Current.stillroom())
                .params(with)
                .query((row, at) -> new Day(
                        row.getObject(1, UUID.class),
                        row.getString(2),
                        row.getObject(3, LocalDate.class),
                        row.getLong(4),
                        Optional.ofNullable((Long) row.getObject(5)),
                        row.getBoolean(6)))
                .list();
    }

    @Transactional
    public UUID open(String name, LocalDate day, long begunWith) {
        UUID id = UUID.randomUUID();
        sql.sql("insert into stall_day (stillroom_id, id, name, day, begun_with, added_at) "
                        + "values (:stillroom, :id, :name, :day, :begun, :at)")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("name", name)
                .param("day", day)
                .param("begun", begunWith)
                .param("at", Timestamp.from(clock.instant()))
                .update();
        return id;
    }

    @Transactional(readOnly = true)
    public List<Thing> things(UUID stall) {
        return sql.sql("select lot_id, brought, price, offer_count, offer_price from stall_thing "
                        + "where stillroom_id = :stillroom and stall_id = :stall order by lot_id")
                .param("stillroom", Current.stillroom())
                .param("stall", stall)
                .query((row, at) -> new Thing(
                        row.getObject(1, UUID.class),
                        row.getInt(2),
                        new Offer(row.getLong(3), row.getInt(4), row.getLong(5))))
                .list();
    }

    /** A thing of it, locked: two who sell the last at once sell it once. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Thing locked(UUID stall, UUID lot) {
        return sql.sql("select lot_id, brought, price, offer_count, offer_price from stall_thing "
                        + "where stillroom_id = :stillroom and stall_id = :stall and lot_id = :lot for update")
                .param("stillroom", Current.stillroom())
                .param("stall", stall)
                .param("lot", lot)
                .query((row, at) -> new Thing(
                        row.getObject(1, UUID.class),
                        row.getInt(2),
                        new Offer(row.getLong(3), row.getInt(4), row.getLong(5))))
                .optional()
                .orElseThrow(() -> new NotHere("that thing on the stall"));
    }

    /** Puts a thing on the stall, or says anew how many and at what price. */
    @Transactional
    public void bring(UUID stall, Thing thing) {
        if (find(stall).closed()) {
            throw new Refused("That day is closed: open it again first.");
        }
        sql.sql("insert into stall_thing (stillroom_id, stall_id, lot_id, brought, price, offer_count, offer_price) "
                        + "values (:stillroom, :stall, :lot, :brought, :price, :count, :together) "
                        + "on conflict (stillroom_id, stall_id, lot_id) do update set brought = :brought, price = :price, "
                        + "offer_count = :count, offer_price = :together")
                .param("stillroom", Current.stillroom())
                .param("stall", stall)
                .param("lot", thing.lot())
                .param("brought", thing.brought())
                .param("price", thing.offer().each())
                .param("count", thing.offer().forSome())
                .param("together", thing.offer().together())
                .update();
    }

    /** The day is over: what is in the box was counted. Or it goes on. */
    @Transactional
    public void close(UUID stall, Optional<Long> counted, boolean closed) {
        find(stall);
        sql.sql(
                        "update stall_day set counted = :counted, closed_at = :at where stillroom_id = :stillroom and id = :stall")
                .param("stillroom", Current.stillroom())
                .param("stall", stall)
                .param("counted", counted.orElse(null))
                .param("at", closed ? Timestamp.from(clock.instant()) : null)
                .update();
    }
}
