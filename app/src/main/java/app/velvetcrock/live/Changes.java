package app.velvetcrock.live;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Leaving;
import app.velvetcrock.stillroom.SignedIn;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.session.events.SessionDestroyedEvent;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Counts what changes in a stillroom, and lets every node know once it is written. */
@Component
public class Changes implements Leaving {

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

    @Override
    public Optional<String> left(UUID account) {
        return Optional.empty();
    }

    /** Whoever listens as somebody whose sign-in does not hold hears no more, on any node. */
    @Override
    @Transactional(propagation = Propagation.MANDATORY)
    public void ended(UUID account) {
        note(Streams.ENDED + account);
    }

    /** A session ended: streams that were opened in it end, on any node. */
    @EventListener
    void sessionOver(SessionDestroyedEvent over) {
        try {
            notify("%s 0 %s%s"
                    .formatted(SignedIn.NOWHERE, Streams.SESSION_OVER, Streams.Who.session(over.getSessionId())));
        } catch (DataAccessException away) {
            // Whoever it was can ask for nothing any more; the stream ends by itself within half an hour.
        }
    }

    private void notify(String said) {
        sql.sql("select count(pg_notify(:channel, :said))")
                .param("channel", CHANNEL)
                .param("said", said)
                .query(Long.class)
                .single();
    }

    private void note(String what) {
        long next = sql.sql(
                        """
                        insert into revision (stillroom_id, revision) values (:stillroom, 1)
                        on conflict (stillroom_id) do update set revision = revision.revision + 1 returning revision""")
                .param("stillroom", Current.stillroom())
                .query(Long.class)
                .single();
        notify("%s %d %s".formatted(Current.stillroom(), next, what));
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
