package app.velvetcrock.plans;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Plans that took the first one's place while a batch stood, each with its reason; none is ever changed. */
@Component
public class PlanRevisions {

    private final JdbcClient sql;
    private final Trip trip;
    private final Clock clock;

    PlanRevisions(JdbcClient sql, Trip trip, Clock clock) {
        this.sql = sql;
        this.trip = trip;
        this.clock = clock;
    }

    /** Which revision holds of each batch that was revised. */
    Map<UUID, UUID> latest(Collection<UUID> batches) {
        return trip.answer(question(List.copyOf(batches)));
    }

    /** Asks for the latest revision of each of some batches. */
    public Question<Map<UUID, UUID>> question(List<UUID> batches) {
        return new Question<>(
                "revisions",
                List.of(Current.person(), batches),
                "select distinct on (batch_id) batch_id, id from plan_revision where stillroom_id = :stillroom "
                        + "and batch_id in (:batches) order by batch_id, number desc",
                Map.of("stillroom", Current.stillroom(), "batches", batches),
                row -> {
                    Map<UUID, UUID> latest = new HashMap<>();
                    while (row.next()) {
                        latest.put(row.getObject(1, UUID.class), row.getObject(2, UUID.class));
                    }
                    return latest;
                });
    }

    /** Revisions as they are written. */
    Map<UUID, String> written(Collection<UUID> ids) {
        Map<UUID, String> written = new HashMap<>();
        sql.sql("select id, plan from plan_revision where stillroom_id = :stillroom and id in (:ids)")
                .param("stillroom", Current.stillroom())
                .param("ids", ids)
                .query(row -> {
                    written.put(row.getObject(1, UUID.class), row.getString(2));
                });
        return written;
    }

    /** Puts a plan in the place of the one before; the caller has locked the batch. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void add(UUID batch, String plan, String reason) {
        sql.sql(
                        """
                        insert into plan_revision (stillroom_id, id, batch_id, number, plan, reason, account_id, recorded_at)
                        select :stillroom, :id, :batch, coalesce(max(number), 1) + 1, :plan::jsonb, :reason, :account, :now
                        from plan_revision
                        where stillroom_id = :stillroom and batch_id = :batch""")
                .param("stillroom", Current.stillroom())
                .param("id", UUID.randomUUID())
                .param("batch", batch)
                .param("plan", plan)
                .param("reason", reason)
                .param("account", Current.person().account())
                .param("now", Timestamp.from(clock.instant()))
                .update();
    }
}
