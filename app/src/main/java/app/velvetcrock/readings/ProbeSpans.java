package app.velvetcrock.readings;

import app.velvetcrock.core.course.ProbeSpan;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.stillroom.Current;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Which probe was in which batch when, and so whose its readings are. */
@Component
public class ProbeSpans {

    private final JdbcClient sql;

    ProbeSpans(JdbcClient sql) {
        this.sql = sql;
    }

    /** Keeps a batch's spans in place of what they were. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void keep(UUID batch, List<ProbeSpan> spans) {
        sql.sql("delete from probe_span where stillroom_id = :stillroom and batch_id = :batch")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .update();
        for (int i = 0; i < spans.size(); i++) {
            sql.sql("insert into probe_span values (:stillroom, :batch, :ordinal, :probe, :from, :until)")
                    .param("stillroom", Current.stillroom())
                    .param("batch", batch)
                    .param("ordinal", i)
                    .param("probe", spans.get(i).probe())
                    .param("from", Readings.offset(spans.get(i).from()))
                    .param("until", spans.get(i).until().map(Readings::offset).orElse(null))
                    .update();
        }
    }

    /** Those of some batches, in order. */
    public Map<UUID, List<ProbeSpan>> of(Collection<UUID> batches) {
        Map<UUID, List<ProbeSpan>> spans = new HashMap<>();
        sql.sql(
                        """
                        select batch_id, probe_id, from_at, until_at from probe_span
                        where stillroom_id = :stillroom and batch_id in (:batches) order by batch_id, ordinal""")
                .param("stillroom", Current.stillroom())
                .param("batches", batches)
                .query((RowCallbackHandler)
                        row -> spans.computeIfAbsent(row.getObject(1, UUID.class), batch -> new ArrayList<>())
                                .add(new ProbeSpan(
                                        row.getObject(2, UUID.class),
                                        row.getObject(3, OffsetDateTime.class).toInstant(),
                                        instant(row.getObject(4, OffsetDateTime.class)))));
        return spans;
    }

    private static Optional<Instant> instant(@Nullable OffsetDateTime at) {
        return Optional.ofNullable(at).map(OffsetDateTime::toInstant);
    }

    /** The batches a probe was in at some time of a stretch, in the order they are locked in. */
    public List<UUID> batches(UUID probe, Instant from, Instant to) {
        return sql.sql(
                        """
                        select distinct batch_id from probe_span where stillroom_id = :stillroom and probe_id = :probe
                        and from_at <= :to and (until_at is null or until_at > :from) order by batch_id""")
                .param("stillroom", Current.stillroom())
                .param("probe", probe)
                .param("from", Readings.offset(from))
                .param("to", Readings.offset(to))
                .query(UUID.class)
                .list();
    }

    /**
     * Which of a batch's readings are asked for.
     *
     * @param from with this moment
     * @param until without this one; absent for all since
     */
    public record Stretch(UUID batch, Instant from, Optional<Instant> until) {}

    /** What was read in a batch, in order; at most so many. */
    public List<HeatReading> readings(Stretch of, int most) {
        return asked(
                        """
                        select r.at, r.millidegrees from probe_span s
                        cross join lateral (
                            select at, millidegrees from probe_reading
                            where stillroom_id = :stillroom and probe_id = s.probe_id
                            and at >= greatest(s.from_at, :from) and at < least(s.until_at, :until)
                            order by at limit :most) r
                        where s.stillroom_id = :stillroom and s.batch_id = :batch order by r.at limit :most""",
                        of)
                .param("most", most)
                .query((row, n) -> Readings.reading(row))
                .list();
    }

    /** When the newest was read in a batch. */
    public Optional<Instant> newest(Stretch of) {
        return asked(
                        """
                        select max(r.at) from probe_span s
                        cross join lateral (
                            select at from probe_reading where stillroom_id = :stillroom and probe_id = s.probe_id
                            and at >= greatest(s.from_at, :from) and at < least(s.until_at, :until)
                            order by at desc limit 1) r
                        where s.stillroom_id = :stillroom and s.batch_id = :batch""",
                        of)
                .query((row, n) -> instant(row.getObject(1, OffsetDateTime.class)))
                .single();
    }

    private JdbcClient.StatementSpec asked(String query, Stretch of) {
        return sql.sql(query)
                .param("stillroom", Current.stillroom())
                .param("batch", of.batch())
                .param("from", Readings.offset(of.from()))
                .param("until", Readings.offset(of.until().orElse(FAR)));
    }

    /** Later than anything is read, and a moment the database knows. */
    private static final Instant FAR = Instant.parse("9999-12-31T00:00:00Z");
}
