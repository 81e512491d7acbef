package app.velvetcrock.readings;

import app.velvetcrock.core.heat.HeatOutline;
import app.velvetcrock.core.heat.HeatRecord.Checkpoint;
import app.velvetcrock.stillroom.Current;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** How far courses of heat were added up; whoever writes has locked the batch. */
@Component
public class HeatKept {

    private final JdbcClient sql;

    HeatKept(JdbcClient sql) {
        this.sql = sql;
    }

    /** A heated stage of a batch. */
    public record Of(UUID batch, String stage) {}

    /** The newest checkpoint and the outline of all up to there. */
    public record Kept(Optional<Checkpoint> checkpoint, HeatOutline outline) {}

    public Kept of(Of of) {
        return asked(
                        """
                        select c.at, c.tally, o.outline from heat_outline o join heat_checkpoint c
                        on c.stillroom_id = o.stillroom_id and c.batch_id = o.batch_id and c.stage = o.stage
                        where o.stillroom_id = :stillroom and o.batch_id = :batch and o.stage = :stage
                        order by c.at desc limit 1""",
                        of)
                .query((row, n) -> {
                    Instant at = row.getObject(1, OffsetDateTime.class).toInstant();
                    Optional<HeatOutline> outline = HeatBytes.outline(row.getBytes(3));
                    return new Kept(
                            HeatBytes.tally(row.getBytes(2))
                                    .filter(tally -> outline.isPresent())
                                    .map(tally -> new Checkpoint(at, tally)),
                            outline.orElse(HeatOutline.EMPTY));
                })
                .optional()
                .orElse(new Kept(Optional.empty(), HeatOutline.EMPTY));
    }

    /** Goes on: these checkpoints are new, and the outline reaches up to the last of them. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void keep(Of of, List<Checkpoint> checkpoints, HeatOutline outline) {
        asked(
                        """
                        insert into heat_checkpoint (stillroom_id, batch_id, stage, at, tally)
                        select :stillroom, :batch, :stage, timestamptz 'epoch' + one.micros * interval '1 microsecond',
                        decode(one.tally, 'hex')
                        from unnest(:at::bigint[], :tally::text[]) as one (micros, tally)
                        on conflict (stillroom_id, batch_id, stage, at) do update set tally = excluded.tally""",
                        of)
                .param(
                        "at",
                        checkpoints.stream()
                                .mapToLong(c -> Readings.micros(c.at()))
                                .toArray())
                .param(
                        "tally",
                        checkpoints.stream()
                                .map(c -> HexFormat.of().formatHex(HeatBytes.of(c.tally())))
                                .toArray(String[]::new))
                .update();
        outline(of, outline);
    }

    /** Keeps an outline alone: of readings that came late. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void outline(Of of, HeatOutline outline) {
        asked(
                        """
                        insert into heat_outline (stillroom_id, batch_id, stage, outline)
                        values (:stillroom, :batch, :stage, :outline)
                        on conflict (stillroom_id, batch_id, stage) do update set outline = excluded.outline""",
                        of)
                .param("outline", HeatBytes.of(outline))
                .update();
    }

    /** Forgets how far a batch was added up from a moment on, with that moment. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void forget(UUID batch, Instant from) {
        sql.sql("delete from heat_checkpoint where stillroom_id = :stillroom and batch_id = :batch and at >= :from")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .param("from", Readings.offset(from))
                .update();
    }

    /** Forgets all that was added up of a batch. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void forget(UUID batch) {
        for (String table : List.of("heat_checkpoint", "heat_outline")) {
            sql.sql("delete from " + table + " where stillroom_id = :stillroom and batch_id = :batch")
                    .param("stillroom", Current.stillroom())
                    .param("batch", batch)
                    .update();
        }
    }

    private JdbcClient.StatementSpec asked(String query, Of of) {
        return sql.sql(query)
                .param("stillroom", Current.stillroom())
                .param("batch", of.batch())
                .param("stage", of.stage());
    }
}
