package app.velvetcrock;

import app.velvetcrock.stock.flows.Adding;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Grows a household to ten years of a market stall: 20,000 finished batches with 260,000 lines, 120,000 lots used up, 2,000 bags of herb
 * and 360,000 movements, each a likeness of a batch it finished itself. Bounded, and taken up where it was cut off. For measuring alone.
 */
final class TenYears {

    static final int BATCHES = 20_000;

    private static final List<String> TABLES = List.of("movement", "lot", "batch", "batch_entry", "label_printing");

    private static final int AT_ONCE = 1_000;
    private static final int LINES = 13;
    private static final int LOTS = 6;
    private static final int MOVEMENTS = 17;

    /** A bag of the herb lasts for so many. */
    private static final int BATCHES_OF_A_BAG = 10;

    private final JdbcClient sql;
    private final Adding adding;
    private final UUID stillroom;

    TenYears(JdbcClient sql, Adding adding, UUID stillroom) {
        this.sql = sql;
        this.adding = adding;
        this.stillroom = stillroom;
    }

    void grow() {
        UUID like = sql.sql(
                        """
                        select f.batch_id from batch_facts f where f.stillroom_id = :s and f.state = 'STRAINED'
                        and exists (select from lot l where l.stillroom_id = f.stillroom_id and l.batch_id = f.batch_id)
                        order by f.number limit 1""")
                .param("s", stillroom)
                .query(UUID.class)
                .single();
        int first = sql.sql("select max(number) from batch where stillroom_id = :s and name not like 'Year %'")
                .param("s", stillroom)
                .query(Integer.class)
                .single();
        int there = sql.sql("select count(*) from batch where stillroom_id = :s and name like 'Year %'")
                .param("s", stillroom)
                .query(Integer.class)
                .single();
        // What follows each deed by a trigger is written in one go, once all is there.
        TABLES.forEach(table ->
                sql.sql("alter table %s disable trigger user".formatted(table)).update());
        for (int from = there; from < BATCHES; from += AT_ONCE) {
            chunk(like, first + from);
        }
        TABLES.forEach(table ->
                sql.sql("alter table %s enable trigger user".formatted(table)).update());
        Stream.of(
                        "insert into written (stillroom_id, source, id, about, sort, head, words, happened_at) "
                                + "select * from written_source on conflict do nothing",
                        "insert into flow select f.* from stillroom s cross join lateral flow_missing(s.id) f",
                        "insert into brewed (stillroom_id, batch_id, oil, kind_key, part, cut, moisture, day, millilitres, batches, grams) "
                                + "select * from brewed_source on conflict do nothing")
                .forEach(fill -> sql.sql(fill).update());
        // As the hourly clearing does.
        while (adding.clear(AT_ONCE) > 0) {
            continue;
        }
        sql.sql("vacuum analyze").update();
    }

    /** A thousand batches; every id is worked out of the batch's number, so that the parts find each other. */
    private void chunk(UUID like, int from) {
        String id = "md5(:s::text || ':%s:' || %s)::uuid";
        String batch = id.formatted("batch", "n");
        String[] steps = {
            """
            insert into batch (stillroom_id, id, version, number, name, jar_id, kit_id, plan, created_at, kind)
            select b.stillroom_id, %s, 0, n, 'Year ' || n, b.jar_id, b.kit_id, b.plan, %s, b.kind
            from batch b, generate_series(:from + 1, :from + :count) n where b.stillroom_id = :s and b.id = :like"""
                    .formatted(batch, ago()),
            """
            insert into batch_facts select f.stillroom_id, %s, n, f.kind, f.state, f.herbs, f.carriers,
            (%s)::date, (%s)::date + 35, (%s)::date + 400, false
            from batch_facts f, generate_series(:from + 1, :from + :count) n where f.stillroom_id = :s and f.batch_id = :like"""
                    .formatted(batch, ago(), ago(), ago()),
            """
            insert into batch_entry (stillroom_id, id, batch_id, kind, happened_at, recorded_at, account_id, client_key, typed, value, task)
            select e.stillroom_id, %s, %s, e.kind, %s + (e.k || ' days')::interval, %s, e.account_id, %s, e.typed, e.value, e.task
            from generate_series(:from + 1, :from + :count) n cross join (
                select e.*, row_number() over (order by happened_at) as k from batch_entry e
                where e.stillroom_id = :s and e.batch_id = :like and corrects_id is null and kind not in ('TAKEN_BACK')
                order by kind = 'STRAINED' desc, happened_at limit %d) e"""
                    .formatted(
                            id.formatted("line", "n || '-' || e.k"),
                            batch,
                            ago(),
                            ago(),
                            id.formatted("key", "n || '-' || e.k"),
                            LINES),
            """
            insert into lot select l.stillroom_id, %s, 0, l.kind, l.kind_key, l.name, l.unit, 0, l.part, l.cut, l.moisture,
            l.bulk_density, l.density, l.acquired_on, l.opened_on, l.best_before, l.typed, %s,
            case when l.batch_id is null then null else %s end, l.bottle_ul, l.glass, l.place, l.words, l.origin, l.came_from,
            l.kept_at, l.price_minor, l.price_for, l.abv
            from generate_series(:from + 1, :from + :count) n cross join generate_series(1, %d) k
            cross join (select * from lot where stillroom_id = :s and batch_id = :like order by id limit 1) l"""
                    .formatted(id.formatted("lot", "n || '-' || k"), ago(), batch, LOTS),
            """
            insert into movement (stillroom_id, id, lot_id, amount, cause, batch_id, account_id, happened_at, recorded_at)
            select :s, %s, %s, case when k %% 2 = 1 then 1000 else -1000 end, case when k %% 2 = 1 then 'STRAINED' else 'DRAWN' end,
            %s, a.account_id, %s, %s from generate_series(:from + 1, :from + :count) n cross join generate_series(1, %d) k
            cross join (select account_id from batch_entry where stillroom_id = :s and batch_id = :like limit 1) a"""
                    .formatted(
                            id.formatted("move", "n || '-' || k"),
                            id.formatted("lot", "n || '-' || (1 + k % " + LOTS + ")"),
                            batch,
                            ago(),
                            ago(),
                            MOVEMENTS),
            """
            insert into lot select l.stillroom_id, %s, 0, l.kind, l.kind_key, l.name, l.unit, 0, l.part, l.cut, l.moisture,
            l.bulk_density, l.density, (%s)::date, l.opened_on, l.best_before, l.typed, %s, null, l.bottle_ul, l.glass, l.place, l.words,
            case when n %% 3 = 0 then 'BOUGHT' else 'GATHERED' end, l.came_from, l.kept_at, case when n %% 3 = 0 then 900 end,
            case when n %% 3 = 0 then 1000000 end, l.abv
            from generate_series(:from + 1, :from + :count) n cross join (select l.* from lot l join movement m
                on m.stillroom_id = l.stillroom_id and m.lot_id = l.id and m.batch_id = :like and m.cause = 'USED'
                where l.stillroom_id = :s and l.kind = 'HERB' limit 1) l where n %% %d = 0"""
                    .formatted(id.formatted("bag", "n"), ago(), ago(), BATCHES_OF_A_BAG),
            """
            insert into movement (stillroom_id, id, lot_id, amount, cause, batch_id, account_id, happened_at, recorded_at)
            select :s, %s, l.id, 1000000, case when n %% 3 = 0 then 'BOUGHT' else 'GATHERED' end, null, a.account_id, %s, %s
            from generate_series(:from + 1, :from + :count) n join lot l on l.stillroom_id = :s and l.id = %s
            cross join (select account_id from batch_entry where stillroom_id = :s and batch_id = :like limit 1) a"""
                    .formatted(id.formatted("bagged", "n"), ago(), ago(), id.formatted("bag", "n")),
            """
            insert into movement (stillroom_id, id, lot_id, amount, cause, batch_id, account_id, happened_at, recorded_at)
            select :s, %s, l.id, -40000, 'USED', %s, a.account_id, %s, %s
            from generate_series(:from + 1, :from + :count) n join lot l on l.stillroom_id = :s
                and l.id = md5(:s::text || ':bag:' || (n - n %% %d))::uuid
            cross join (select account_id from batch_entry where stillroom_id = :s and batch_id = :like limit 1) a"""
                    .formatted(id.formatted("used", "n"), batch, ago(), ago(), BATCHES_OF_A_BAG),
            """
            insert into leaving (stillroom_id, movement_id, lot_id, kind, pieces, price, card, happened_at)
            select :s, %s, %s, 'SOLD', 1, 650, false, %s from generate_series(:from + 1, :from + :count) n"""
                    .formatted(
                            id.formatted("move", "n || '-2'"),
                            id.formatted("lot", "n || '-' || (1 + 2 % " + LOTS + ")"),
                            ago()),
            """
            insert into label_printing (stillroom_id, id, job, place, code, kind, about, copies, paper, first_at, offset_right,
            offset_down, for_sale, by_hand, name, day, wrong, said, printed_at, account_id)
            select :s, %s, %s, 0, translate(upper(substr(md5(:s::text || n), 1, 8)), '01', 'XY'), 'LOT', %s, 1, 'a4', 0, 0, 0, false,
            false, 'Year', current_date, '', '[]', %s, a.account_id from generate_series(:from + 1, :from + :count) n
            cross join (select account_id from batch_entry where stillroom_id = :s and batch_id = :like limit 1) a
            on conflict do nothing"""
                    .formatted(
                            id.formatted("label", "n"),
                            id.formatted("job", "n"),
                            id.formatted("lot", "n || '-1'"),
                            ago()),
            """
            insert into retention select r.stillroom_id, %s, r.herb, r.part, r.cut, r.moisture, r.pressing, r.kept
            from retention r, generate_series(:from + 1, :from + :count) n
            where r.stillroom_id = :s and r.id in (select id from batch_entry where stillroom_id = :s and batch_id = :like)"""
                    .formatted(id.formatted("line", "n || '-1'"))
        };
        for (String step : steps) {
            sql.sql(step)
                    .param("s", stillroom)
                    .param("like", like)
                    .param("from", from)
                    .param("count", AT_ONCE)
                    .update();
        }
    }

    /** Batch n was begun so long ago: spread over ten years. */
    private static String ago() {
        return "now() - interval '3650 days' + (n * interval '4 hours')";
    }
}
