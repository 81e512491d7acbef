package app.velvetcrock.batch;

import app.velvetcrock.condition.StandingNames;
import app.velvetcrock.stillroom.Current;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Finds batches for reading, without their plans: those are kept once read, and weigh more than all the rest of a page.
 * Plain SQL, as {@link Entries} is.
 */
@Component
class BatchRows implements StandingNames {

    private static final String OVER = "f.state in ('STRAINED', 'DISCARDED') and f.kind = 'INFUSION'";

    private static final String STANDING = "f.state = 'STANDING' and f.kind = 'INFUSION'";

    private static final String ROWS =
            """
            select b.id, b.number, b.name, b.jar_id, b.kit_id from batch_facts f
            join batch b on b.stillroom_id = f.stillroom_id and b.id = f.batch_id where f.stillroom_id = :stillroom and\s""";

    private static final String ANY =
            "select b.id, b.number, b.name, b.jar_id, b.kit_id from batch b where b.stillroom_id = :stillroom "
                    + "and b.kind = 'INFUSION' and ";

    /** Of more than these nobody chooses, and nobody is taught. */
    private static final int LATEST = 1000;

    private final JdbcClient sql;

    BatchRows(JdbcClient sql) {
        this.sql = sql;
    }

    /** A batch without its plan. */
    record Row(UUID id, int number, String name, Stand stand) {}

    /** Batches neither strained nor thrown out, whose start holds; the core says of each what that comes to. */
    List<Row> unstrained() {
        return rows(sql.sql(ROWS + STANDING + " order by f.number"));
    }

    /** What stands or is in the pan. */
    List<UUID> unfinished() {
        return sql.sql("select batch_id from batch_facts where stillroom_id = :stillroom and state = 'STANDING'")
                .param("stillroom", Current.stillroom())
                .query(UUID.class)
                .list();
    }

    /** Batches that stand, and some others besides. */
    List<Row> unstrainedAnd(Collection<UUID> ids) {
        return ids.isEmpty()
                ? unstrained()
                : rows(sql.sql(ROWS + STANDING + " union " + ANY + "b.id in (:ids) order by 2")
                        .param("ids", ids));
    }

    /** Batches strained or thrown out, and that holds; the newest first. */
    List<Row> finished(Batches.Ended which, int most) {
        return rows(sql.sql(ROWS
                        + OVER
                        + """
                         and (cast(:herb as text) is null or :herb = any (f.herbs))
                        and (cast(:carrier as text) is null or :carrier = any (f.carriers))
                        and (cast(:year as int) is null or extract(year from f.ended_on) = :year)
                        and (%s)
                        and (cast(:before as int) is null or f.number < :before)
                        order by f.number desc limit :most"""
                                // By its name, so that the index of what was thrown out serves.
                                .formatted(
                                        "DISCARDED".equals(which.state())
                                                ? "f.state = 'DISCARDED'"
                                                : "cast(:state as text) is null or f.state = :state"))
                .param("herb", which.herb())
                .param("carrier", which.carrier())
                .param("year", which.year())
                .param("state", which.state())
                .param("before", which.before())
                .param("most", most));
    }

    /** Each distinct value is found by its own look into the index, however many batches have it. */
    private static String each(String column) {
        return """
                array(with recursive one as (
                    (select f.%1$s from batch_facts f where f.stillroom_id = :stillroom and %2$s order by f.%1$s limit 1)
                    union all
                    select (select f.%1$s from batch_facts f where f.stillroom_id = :stillroom and %2$s
                        and f.%1$s > one.%1$s order by f.%1$s limit 1) from one where one.%1$s is not null)
                select distinct unnest(%1$s) from one)"""
                .formatted(column, OVER);
    }

    Batches.Ends ends() {
        String year =
                "(select extract(year from %s(f.ended_on)) from batch_facts f where f.stillroom_id = :stillroom and "
                        + OVER + ")";
        return sql.sql("select %s, %s, array(select generate_series(%s::int, %s::int, -1))"
                        .formatted(each("herbs"), each("carriers"), year.formatted("max"), year.formatted("min")))
                .param("stillroom", Current.stillroom())
                .query((row, at) -> new Batches.Ends(
                        List.of((String[]) row.getArray(1).getArray()),
                        List.of((String[]) row.getArray(2).getArray()),
                        List.of((Integer[]) row.getArray(3).getArray())))
                .single();
    }

    List<Row> among(Collection<UUID> ids) {
        return ids.isEmpty()
                ? List.of()
                : rows(sql.sql(ANY + "b.id in (:ids) order by b.number").param("ids", ids));
    }

    /** Of makings too. */
    Map<UUID, Integer> numbers(Collection<UUID> ids) {
        Map<UUID, Integer> numbers = new HashMap<>();
        if (!ids.isEmpty()) {
            sql.sql("select b.id, b.number from batch b where b.stillroom_id = :stillroom and b.id in (:ids)")
                    .param("stillroom", Current.stillroom())
                    .param("ids", ids)
                    .query(row -> {
                        numbers.put(row.getObject(1, UUID.class), row.getInt(2));
                    });
        }
        return numbers;
    }

    @Override
    public Map<UUID, String> called(Collection<UUID> ids) {
        Map<UUID, String> names = new HashMap<>();
        if (!ids.isEmpty()) {
            sql.sql(
                            """
                            select b.id, b.name || ', batch ' || b.number from batch_facts f
                            join batch b on b.stillroom_id = f.stillroom_id and b.id = f.batch_id
                            where f.stillroom_id = :stillroom and f.state = 'STANDING' and b.id in (:ids)""")
                    .param("stillroom", Current.stillroom())
                    .param("ids", ids)
                    .query(row -> {
                        names.put(row.getObject(1, UUID.class), row.getString(2));
                    });
        }
        return names;
    }

    /** Batches whose oil still wants to settle, and those that ended no earlier than a day. */
    List<UUID> settlingOrEnded(LocalDate from) {
        return sql.sql(
                        """
                        select batch_id from batch_facts where stillroom_id = :stillroom and settling
                        union select batch_id from batch_facts where stillroom_id = :stillroom and ended_on >= :from
                        and state in ('STRAINED', 'DISCARDED') and kind = 'INFUSION'""")
                .param("stillroom", Current.stillroom())
                .param("from", from)
                .query(UUID.class)
                .list();
    }

    /** The newest of all, makings too, those begun with one of these herbs or kinds before the others; however many there were. */
    List<Batches.Named> newest(Collection<String> like, int most) {
        return sql.sql(
                        """
                        select b.id, b.number, b.name, b.kind = 'MAKING', f.alike, f.began_on
                        from (select batch_id, number, began_on, herbs && cast(:like as text[]) as alike
                            from (select * from batch_facts where stillroom_id = :stillroom and state <> 'NEVER_STARTED'
                                order by number desc limit :latest) latest
                            order by alike desc, number desc limit :most) f
                        cross join lateral (select * from batch where stillroom_id = :stillroom and id = f.batch_id offset 0) b
                        order by f.alike desc, f.number desc""")
                .param("stillroom", Current.stillroom())
                .param("latest", LATEST)
                .param("like", like.toArray(String[]::new))
                .param("most", most)
                .query((row, at) -> new Batches.Named(
                        row.getObject(1, UUID.class),
                        row.getInt(2),
                        row.getString(3),
                        row.getBoolean(4),
                        row.getBoolean(5),
                        Optional.ofNullable(row.getObject(6, LocalDate.class))))
                .list();
    }

    /**
     * A batch or making that taught something.
     *
     * @param asked of how many others it was said whether they heeded it
     * @param here whether the one asked for did; null where nobody said
     */
    record Teacher(Row row, boolean making, int heeded, int asked, @Nullable Boolean here) {}

    /** The newest that taught something, begun with one of these herbs or of one of these kinds, or any where none is named. */
    List<Teacher> withLessons(Collection<String> like, @Nullable UUID at, int most) {
        return sql.sql(
                        """
                        select b.id, b.number, b.name, b.jar_id, b.kit_id, b.kind = 'MAKING' as making, a.heeded, a.asked, a.here from (
                            select distinct e.batch_id from (
                                (select batch_id, happened_at from batch_entry
                                where stillroom_id = :stillroom and kind in ('LESSON', 'DISCARDED')
                                order by happened_at desc limit :latest)
                                union all
                                (select batch_id, happened_at from batch_entry
                                where stillroom_id = :stillroom and kind = 'PAN' and value #>> '{step,what}' = 'turned-out'
                                order by happened_at desc limit :latest)) e
                            join batch_facts f on f.stillroom_id = :stillroom and f.batch_id = e.batch_id
                                and (:any or f.herbs && cast(:like as text[]))) t
                        join batch b on b.stillroom_id = :stillroom and b.id = t.batch_id
                        cross join lateral (select count(*) filter (where heeded) as heeded, count(*) as asked,
                            bool_or(heeded) filter (where batch_id = cast(:at as uuid)) as here from lesson_answer
                            where stillroom_id = :stillroom and taught_by = b.id) a
                        where b.id is distinct from cast(:at as uuid)
                        order by b.number desc limit :most""")
                .param("stillroom", Current.stillroom())
                .param("latest", LATEST)
                .param("any", like.isEmpty())
                .param("like", like.toArray(String[]::new))
                .param("at", at)
                .param("most", most)
                .query((row, index) -> new Teacher(
                        row(row), row.getBoolean("making"), row.getInt("heeded"), row.getInt("asked"), (Boolean)
                                row.getObject("here")))
                .list();
    }

    /** Keeps whether what one taught was heeded at another; said again, what is said now holds. */
    void heed(UUID taughtBy, UUID batch, boolean heeded, Instant at) {
        sql.sql(
                        """
                        insert into lesson_answer (stillroom_id, taught_by, batch_id, heeded, said_by, said_at)
                        values (:stillroom, :taught, :batch, :heeded, :by, :at)
                        on conflict (stillroom_id, taught_by, batch_id) do update set heeded = :heeded, said_by = :by, said_at = :at""")
                .param("stillroom", Current.stillroom())
                .param("taught", taughtBy)
                .param("batch", batch)
                .param("heeded", heeded)
                .param("by", Current.person().account())
                .param("at", Timestamp.from(at))
                .update();
    }

    /** The next batches of whatever state by their number. */
    List<Row> after(int number, int most) {
        return rows(sql.sql(ANY + "b.number > :number order by b.number limit :most")
                .param("number", number)
                .param("most", most));
    }

    /** The first plans of some batches, as they are written. */
    Map<UUID, String> plans(Collection<UUID> ids) {
        Map<UUID, String> plans = new HashMap<>();
        if (!ids.isEmpty()) {
            sql.sql("select id, plan from batch where stillroom_id = :stillroom and id in (:ids)")
                    .param("stillroom", Current.stillroom())
                    .param("ids", ids)
                    .query(row -> {
                        plans.put(row.getObject(1, UUID.class), row.getString(2));
                    });
        }
        return plans;
    }

    private static List<Row> rows(JdbcClient.StatementSpec asked) {
        return asked.param("stillroom", Current.stillroom())
                .query((row, at) -> row(row))
                .list();
    }

    private static Row row(ResultSet row) throws SQLException {
        UUID jar = row.getObject(4, UUID.class);
        UUID kit = row.getObject(5, UUID.class);
        return new Row(
                row.getObject(1, UUID.class),
                row.getInt(2),
                row.getString(3),
                Stand.in(row.getObject(1, UUID.class), jar, kit));
    }
}
