package app.velvetcrock.stock;

import app.velvetcrock.stillroom.Current;
import java.time.Month;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When this household gathered what it picked itself: its own seasons. */
@Service
public class Gathered {

    private final JdbcClient sql;

    Gathered(JdbcClient sql) {
        this.sql = sql;
    }

    /** In which months each herb was gathered or cut here in any year; a herb that was only bought is not in it. */
    @Transactional(readOnly = true)
    public Map<String, Set<Month>> months() {
        Map<String, Set<Month>> months = new HashMap<>();
        sql.sql(
                        "select distinct kind_key, extract(month from acquired_on)::int from lot where stillroom_id = :stillroom "
                                + "and kind = 'HERB' and origin in ('GATHERED', 'GROWN') and acquired_on is not null "
                                // What was brought in by mistake and taken back was never gathered.
                                + "and not exists (select 1 from movement m join movement back on back.stillroom_id = m.stillroom_id "
                                + "and back.reverses = m.id where m.stillroom_id = lot.stillroom_id and m.lot_id = lot.id "
                                + "and m.cause in ('BOUGHT', 'GATHERED'))")
                .param("stillroom", Current.stillroom())
                .query((row, at) -> months.computeIfAbsent(row.getString(1), key -> EnumSet.noneOf(Month.class))
                        .add(Month.of(row.getInt(2))))
                .list();
        return months;
    }
}
