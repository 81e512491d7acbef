package app.velvetcrock.pan;

import app.velvetcrock.stillroom.Current;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a bought one of a kind costs, as the household said last. */
@Service
public class BoughtPrices {

    private final JdbcClient sql;
    private final Clock clock;

    BoughtPrices(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** In minor units; absent while nobody said it. */
    @Transactional(readOnly = true)
    public Optional<Long> of(String kind) {
        return sql.sql("select minor from bought_price where stillroom_id = :stillroom and kind = :kind")
                .param("stillroom", Current.stillroom())
                .param("kind", kind)
                .query(Long.class)
                .optional();
    }

    /** By kind, in minor units. */
    @Transactional(readOnly = true)
    public Map<String, Long> all() {
        Map<String, Long> all = new HashMap<>();
        sql.sql("select kind, minor from bought_price where stillroom_id = :stillroom")
                .param("stillroom", Current.stillroom())
                .query(row -> {
                    all.put(row.getString(1), row.getLong(2));
                });
        return all;
    }

    /** Remembers it for the next making of the kind. */
    @Transactional
    public void keep(String kind, long minor) {
        sql.sql(
                        "insert into bought_price (stillroom_id, kind, minor, said_at) values (:stillroom, :kind, :minor, :at) "
                                + "on conflict (stillroom_id, kind) do update set minor = excluded.minor, said_at = excluded.said_at")
                .param("stillroom", Current.stillroom())
                .param("kind", kind)
                .param("minor", minor)
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }
}
