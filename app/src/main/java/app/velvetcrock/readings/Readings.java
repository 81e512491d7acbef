package app.velvetcrock.readings;

import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.stillroom.Current;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What probes read. */
@Component
public class Readings {

    private static final double MILLI = 1000;

    /** So far apart, microseconds, the same value is the same reading. */
    private static final long AGAIN_MICROS = 2_000_000;

    private final JdbcClient sql;

    Readings(JdbcClient sql) {
        this.sql = sql;
    }

    /**
     * Keeps what a probe read; what it said before of the same moment stays. One without a clock that sends again says a moment a little
     * off: the same value within two seconds of one that is kept is that one. How many were new.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public int keep(UUID probe, List<HeatReading> readings) {
        return sql.sql(
                        """
                        insert into probe_reading (stillroom_id, probe_id, at, millidegrees)
                        select :stillroom, :probe, timestamptz 'epoch' + one.micros * interval '1 microsecond', one.millidegrees
                        from unnest(:at::bigint[], :millidegrees::int[]) as one (micros, millidegrees)
                        where not exists (select 1 from probe_reading kept
                            where kept.stillroom_id = :stillroom and kept.probe_id = :probe and kept.millidegrees = one.millidegrees
                            and kept.at between timestamptz 'epoch' + (one.micros - :again) * interval '1 microsecond'
                                and timestamptz 'epoch' + (one.micros + :again) * interval '1 microsecond')
                        on conflict do nothing""")
                .param("again", AGAIN_MICROS)
                .param("stillroom", Current.stillroom())
                .param("probe", probe)
                .param("at", readings.stream().mapToLong(r -> micros(r.at())).toArray())
                .param(
                        "millidegrees",
                        readings.stream()
                                .mapToInt(r -> (int) Math.round(r.temperature().celsius() * MILLI))
                                .toArray())
                .update();
    }

    static HeatReading reading(ResultSet row) throws SQLException {
        return new HeatReading(
                row.getObject("at", OffsetDateTime.class).toInstant(),
                Temperature.ofCelsius(row.getInt("millidegrees") / MILLI),
                true);
    }

    /** Microseconds since 1970, in which the database counts; moments go there by the thousand as numbers. */
    static long micros(Instant at) {
        return ChronoUnit.MICROS.between(Instant.EPOCH, at);
    }

    static OffsetDateTime offset(Instant at) {
        return at.atOffset(ZoneOffset.UTC);
    }
}
