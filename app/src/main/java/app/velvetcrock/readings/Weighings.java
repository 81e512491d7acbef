package app.velvetcrock.readings;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.upkeep.Clears;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What lies on the scales; of use for as long as it lies there, so it is not kept for long. */
@Component
public class Weighings implements Clears {

    /** What was said longer ago does not lie there any more. */
    private static final Duration FRESH = Duration.ofMinutes(1);

    private static final Duration KEPT = Duration.ofDays(2);

    private final JdbcClient sql;
    private final Clock clock;

    Weighings(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** One weighing; unsteady while something is still put on or taken off. */
    public record Weighing(Instant at, Mass mass, boolean steady) {}

    /** What lies on a scale now. */
    public record OnScale(String scale, Mass mass, boolean steady) {}

    @Transactional(propagation = Propagation.MANDATORY)
    public int keep(UUID scale, List<Weighing> weighings) {
        return sql.sql(
                        """
                        insert into weighing (stillroom_id, scale_id, at, milligrams, steady)
                        select :stillroom, :scale, timestamptz 'epoch' + one.micros * interval '1 microsecond', one.milligrams, one.steady
                        from unnest(:at::bigint[], :milligrams::bigint[], :steady::boolean[]) as one (micros, milligrams, steady)
                        on conflict do nothing""")
                .param("stillroom", Current.stillroom())
                .param("scale", scale)
                .param(
                        "at",
                        weighings.stream()
                                .mapToLong(w -> Readings.micros(w.at()))
                                .toArray())
                .param(
                        "milligrams",
                        weighings.stream()
                                .mapToLong(w -> w.mass().toMilligrams())
                                .toArray())
                .param("steady", weighings.stream().map(Weighing::steady).toArray(Boolean[]::new))
                .update();
    }

    /** What lies on the scale that spoke last, where it did so within the last minute. */
    @Transactional(readOnly = true)
    public Optional<OnScale> now() {
        return sql.sql(
                        """
                        select d.name, w.milligrams, w.steady from weighing w
                        join device d on d.stillroom_id = w.stillroom_id and d.id = w.scale_id
                        where w.stillroom_id = :stillroom and d.revoked_at is null and w.at >= :fresh
                        order by w.at desc limit 1""")
                .param("stillroom", Current.stillroom())
                .param("fresh", Readings.offset(clock.instant().minus(FRESH)))
                .query((row, n) -> new OnScale(row.getString(1), Mass.ofMilligrams(row.getLong(2)), row.getBoolean(3)))
                .optional();
    }

    @Override
    public int clear(int most) {
        return sql.sql("delete from weighing where ctid in (select ctid from weighing where at < :before limit :most)")
                .param("before", Readings.offset(clock.instant().minus(KEPT)))
                .param("most", most)
                .update();
    }
}
