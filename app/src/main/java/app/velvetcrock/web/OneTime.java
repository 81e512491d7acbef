package app.velvetcrock.web;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Does the work of a form once for its key, however often and however close together it is sent.
 *
 * <p>The key's row is written in the work's own transaction: a second sending waits for the first and then gets its result;
 * when the first fails nothing stays and the second does the work.
 */
@Component
public class OneTime {

    private final JdbcClient sql;
    private final Clock clock;

    OneTime(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** Returns where the form leads: from the work, or from the first time it was done. A form without a key is always new. */
    @Transactional(propagation = Propagation.REQUIRED)
    public String once(UUID stillroom, @Nullable UUID formKey, Supplier<String> work) {
        UUID key = formKey == null ? UUID.randomUUID() : formKey;
        int fresh = sql.sql("""
                        insert into form_key (stillroom_id, key, leads_to, sent_at) values (:stillroom, :key, '', :at)
                        on conflict do nothing""")
                .param("stillroom", stillroom).param("key", key).param("at", Timestamp.from(clock.instant()))
                .update();
        if (fresh == 0) {
            return sql.sql("select leads_to from form_key where stillroom_id = :stillroom and key = :key")
                    .param("stillroom", stillroom).param("key", key).query(String.class).single();
        }
        String leadsTo = work.get();
        sql.sql("update form_key set leads_to = :to where stillroom_id = :stillroom and key = :key")
                .param("to", leadsTo).param("stillroom", stillroom).param("key", key).update();
        return leadsTo;
    }

    /** Tells whether a form of this key was done before, so that a repeat is answered even if it would now be refused. */
    @Transactional(readOnly = true)
    public boolean wasDone(UUID stillroom, UUID key) {
        return sql.sql("select count(*) from form_key where stillroom_id = :stillroom and key = :key")
                .param("stillroom", stillroom).param("key", key).query(Integer.class).single() > 0;
    }
}
