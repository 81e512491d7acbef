package app.velvetcrock.hours;

import app.velvetcrock.stillroom.Current;
import java.time.Duration;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How long heat took to come up, session by session; one whose reading was taken back is forgotten. */
@Component
public class WarmUps {

    private final JdbcClient sql;

    WarmUps(JdbcClient sql) {
        this.sql = sql;
    }

    /** Keeps what a reading showed. */
    public void learn(UUID entry, Duration took) {
        sql.sql(
                        "insert into warm_up (stillroom_id, id, minutes) values (:stillroom, :id, :minutes) on conflict do nothing")
                .param("stillroom", Current.stillroom())
                .param("id", entry)
                .param("minutes", took.toMinutes())
                .update();
    }

    /** Forgets what a reading showed that does not hold any more. */
    public void forget(UUID entry) {
        sql.sql("delete from warm_up where stillroom_id = :stillroom and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", entry)
                .update();
    }
}
