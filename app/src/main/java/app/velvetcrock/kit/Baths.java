package app.velvetcrock.kit;

import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.PerRequest;
import java.sql.Timestamp;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How long the water of the household's baths lasted, batch by batch. */
@Component
public class Baths {

    private final JdbcClient sql;

    Baths(JdbcClient sql) {
        this.sql = sql;
    }

    /** Keeps how long it last lasted under a batch; what an earlier stage showed stays while this one showed nothing. */
    public void keep(UUID batch, HeatCourse.Water water) {
        water.lasted()
                .filter(time -> !time.isZero())
                .ifPresentOrElse(time -> keep(batch, water, time), () -> forget(batch));
    }

    private void keep(UUID batch, HeatCourse.Water water, Duration lasted) {
        sql.sql(
                        """
                        insert into bath_lasted values (:stillroom, :batch, :lasted, :at)
                        on conflict (stillroom_id, batch_id)
                        do update set lasted_seconds = excluded.lasted_seconds, topped_at = excluded.topped_at""")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .param("lasted", lasted.toSeconds())
                .param("at", Timestamp.from(water.topped().orElseThrow()))
                .update();
    }

    private void forget(UUID batch) {
        sql.sql("delete from bath_lasted where stillroom_id = :stillroom and batch_id = :batch")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .update();
    }

    /** How long the newest lasted; absent while none was topped up yet. */
    public Optional<Duration> lasted() {
        return PerRequest.of("bath lasted", Current.person(), () -> sql.sql(
                        """
                                select lasted_seconds from bath_lasted where stillroom_id = :stillroom
                                order by topped_at desc limit 1""")
                .param("stillroom", Current.stillroom())
                .query(Integer.class)
                .optional()
                .map(Duration::ofSeconds));
    }
}
