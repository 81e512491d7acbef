package app.velvetcrock.stock.flows;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.upkeep.Clears;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Adds up the rows that deeds left, so that a day of a thing is one row, and compares them with the ledger. */
@Component
public class Adding implements Clears {

    private final JdbcClient sql;

    Adding(JdbcClient sql) {
        this.sql = sql;
    }

    /** Of every household; what another node adds up at once is left to it. */
    @Override
    @Transactional
    public int clear(int most) {
        return sql.sql(
                        """
                        with several as (
                            select stillroom_id, kind, key, unit, part, cut, moisture, cause, day from flow
                            group by 1, 2, 3, 4, 5, 6, 7, 8, 9 having count(*) > 1 or sum(times) = 0 limit :most),
                        gone as (delete from flow f using several s where f.stillroom_id = s.stillroom_id and f.kind = s.kind
                            and f.key = s.key and f.unit = s.unit and f.part = s.part and f.cut = s.cut and f.moisture = s.moisture
                            and f.cause = s.cause and f.day = s.day returning f.*),
                        added as (insert into flow
                                (stillroom_id, kind, key, name, unit, part, cut, moisture, cause, day, amount, times, paid)
                            select stillroom_id, kind, key, max(name), unit, part, cut, moisture, cause, day,
                                sum(amount), sum(times), sum(paid)
                            from gone group by 1, 2, 3, 5, 6, 7, 8, 9, 10 having sum(times) <> 0)
                        select count(*) from gone""")
                .param("most", most)
                .query(Integer.class)
                .single();
    }

    /** What of the household's sums stands otherwise than its ledger says; made true where that is wanted. */
    @Transactional
    public List<String> compare(boolean mend) {
        List<String> otherwise = sql.sql(
                        """
                        select 'sum of ' || name || ' on ' || day from flow_missing(:stillroom)
                        union (select 'strained, batch ' || batch_id from (
                            (select * from brewed_source where stillroom_id = :stillroom except
                                select * from brewed where stillroom_id = :stillroom)
                            union all (select * from brewed where stillroom_id = :stillroom except
                                select * from brewed_source where stillroom_id = :stillroom)) other)
                        order by 1""")
                .param("stillroom", Current.stillroom())
                .query(String.class)
                .list();
        if (mend && !otherwise.isEmpty()) {
            sql.sql("insert into flow select * from flow_missing(:stillroom)")
                    .param("stillroom", Current.stillroom())
                    .update();
            sql.sql("select brew_anew(:stillroom, batch_id) from (select distinct batch_id from movement "
                            + "where stillroom_id = :stillroom and batch_id is not null) one")
                    .param("stillroom", Current.stillroom())
                    .query((row, at) -> true)
                    .list();
        }
        return otherwise;
    }
}
