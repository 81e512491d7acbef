package app.velvetcrock.live;

import app.velvetcrock.stillroom.Current;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Counts what changes in a stillroom, and lets every node know once it is written. */
@Component
public class Changes {

    static final String CHANNEL = "crock_changes";

    private final JdbcClient sql;

    Changes(JdbcClient sql) {
        this.sql = sql;
    }

    /** Notes that a batch changed; heard when the transaction is committed, and never where it is not. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void batch(UUID batch) {
        note("batch:" + batch);
    }

    private void note(String what) {
        long next = sql.sql(
                        """
                        insert into revision (stillroom_id, revision) values (:stillroom, 1)
                        on conflict (stillroom_id) do update set revision = revision.revision + 1 returning revision""")
                .param("stillroom", Current.stillroom())
                .query(Long.class)
                .single();
        sql.sql("select count(pg_notify(:channel, :said))")
                .param("channel", CHANNEL)
                .param("said", "%s %d %s".formatted(Current.stillroom(), next, what))
                .query(Long.class)
                .single();
    }

    /** How often anything changed so far. */
    @Transactional(readOnly = true)
    public long revision() {
        return sql.sql("select revision from revision where stillroom_id = :stillroom")
                .param("stillroom", Current.stillroom())
                .query(Long.class)
                .optional()
                .orElse(0L);
    }
}
