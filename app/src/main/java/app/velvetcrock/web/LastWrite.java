package app.velvetcrock.web;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Says in the health page that nothing can be written, from a write that failed for want of room until one goes through. */
@Component
class LastWrite implements HealthIndicator {

    private final AtomicBoolean failed = new AtomicBoolean();
    private final JdbcClient sql;
    private final Clock clock;

    LastWrite(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    void failed() {
        failed.set(true);
    }

    @Override
    public Health health() {
        if (failed.get() && !goesThrough()) {
            return Health.down()
                    .withDetail("writing", "the database has no room left")
                    .build();
        }
        failed.set(false);
        return Health.up().build();
    }

    /** Tries to write, and takes it away again at once. */
    private boolean goesThrough() {
        try {
            sql.sql("insert into write_check (at) values (:now)")
                    .param("now", Timestamp.from(clock.instant()))
                    .update();
            sql.sql("delete from write_check").update();
            return true;
        } catch (DataAccessException noRoom) {
            return false;
        }
    }
}
