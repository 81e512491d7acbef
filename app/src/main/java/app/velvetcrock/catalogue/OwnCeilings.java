package app.velvetcrock.catalogue;

import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.PerRequest;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the household itself holds to be the most of an essential oil on skin, in place of the shipped figure. */
@Service
public class OwnCeilings {

    private final JdbcClient sql;
    private final Clock clock;

    OwnCeilings(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** A figure of the household's own, percent, and where it has that from. */
    public record Own(String key, double percent, String source) {}

    /** By the keys of the oils. */
    @Transactional(readOnly = true)
    public Map<String, Own> all() {
        return PerRequest.of("own ceilings", Current.person(), () -> sql
                .sql("select supply_key, percent, source from own_ceiling where stillroom_id = :stillroom")
                .param("stillroom", Current.stillroom())
                .query((row, at) -> new Own(row.getString(1), row.getDouble(2), row.getString(3)))
                .list()
                .stream()
                .collect(Collectors.toMap(Own::key, Function.identity())));
    }

    /** A kind as the household holds it. */
    public SupplyKind corrected(SupplyKind kind) {
        return Optional.ofNullable(all().get(kind.key()))
                .map(own -> kind.withDermalMost(own.percent()))
                .orElse(kind);
    }

    /** Keeps a figure in place of the one before. */
    @Transactional
    public void keep(Own own) {
        sql.sql(
                        "insert into own_ceiling (stillroom_id, supply_key, percent, source, said_at) "
                                + "values (:stillroom, :key, :percent, :source, :at) on conflict (stillroom_id, supply_key) "
                                + "do update set percent = excluded.percent, source = excluded.source, said_at = excluded.said_at")
                .param("stillroom", Current.stillroom())
                .param("key", own.key())
                .param("percent", own.percent())
                .param("source", own.source())
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }

    /** Goes back to the shipped figure. */
    @Transactional
    public void forget(String key) {
        sql.sql("delete from own_ceiling where stillroom_id = :stillroom and supply_key = :key")
                .param("stillroom", Current.stillroom())
                .param("key", key)
                .update();
    }
}
