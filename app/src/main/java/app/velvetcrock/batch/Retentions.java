package app.velvetcrock.batch;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the household's strained batches showed their herbs to keep; a batch taken back is forgotten. */
@Component
public class Retentions {

    /** Enough to be sure of: older ones add nothing the eye could see. */
    private static final int MOST = 50;

    private static final int FIGURES = 300;

    /** Nor is a batch taken back learned from, nor what it showed before it was decanted. */
    private static final String HOLDS =
            """
            not exists (select 1 from batch_entry t where t.stillroom_id = r.stillroom_id and t.corrects_id = r.id)
            and not exists (
                select 1 from retention l
                join batch_entry d on d.stillroom_id = l.stillroom_id and d.id = l.id
                where d.stillroom_id = e.stillroom_id and d.batch_id = e.batch_id
                and (d.kind = 'SETTLED', d.happened_at, d.recorded_at, d.id)
                    > (e.kind = 'SETTLED', e.happened_at, e.recorded_at, e.id) and not exists (
                    select 1 from batch_entry t where t.stillroom_id = l.stillroom_id and t.corrects_id = l.id))""";

    private final JdbcClient sql;
    private final Clock clock;

    Retentions(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** What one figure is of. */
    public record Of(String herb, Part part, Cut cut, Moisture moisture, Pressing pressing) {}

    /**
     * What was measured here, the newest first.
     *
     * @param isSetAside whether the shipped figure is gone by all the same
     */
    public record Own(Of of, List<Double> kept, boolean isSetAside) {}

    /** All that was measured here. */
    @Transactional(readOnly = true)
    public List<Own> all() {
        return sql.sql(
                        """
                        select r.herb, r.part, r.cut, r.moisture, r.pressing, r.set_aside_at is not null as aside,
                            (array_agg(r.kept order by r.id desc))[1\\:%d] as kept
                        from retention r join batch_entry e on e.stillroom_id = r.stillroom_id and e.id = r.id
                        where r.stillroom_id = :stillroom and %s group by 1, 2, 3, 4, 5, 6 order by 1, 2, 3, 4, 5, 6 limit :most"""
                                .formatted(MOST, HOLDS))
                .param("stillroom", Current.stillroom())
                .param("most", FIGURES)
                .query((row, at) -> new Own(
                        new Of(
                                row.getString("herb"),
                                Part.valueOf(row.getString("part")),
                                Cut.valueOf(row.getString("cut")),
                                Moisture.valueOf(row.getString("moisture")),
                                Pressing.valueOf(row.getString("pressing"))),
                        List.of((Double[]) row.getArray("kept").getArray()),
                        row.getBoolean("aside")))
                .list();
    }

    /** Goes by the shipped figure from now on, until something is measured anew; or by one's own again. */
    @Transactional
    public void setAside(Of of, boolean aside) {
        int there = sql.sql(
                        """
                        update retention set set_aside_at = :at where stillroom_id = :stillroom and herb = :herb and part = :part
                        and cut = :cut and moisture = :moisture and pressing = :pressing""")
                .param("at", aside ? Timestamp.from(clock.instant()) : null)
                .param("stillroom", Current.stillroom())
                .param("herb", of.herb())
                .param("part", of.part().name())
                .param("cut", of.cut().name())
                .param("moisture", of.moisture().name())
                .param("pressing", of.pressing().name())
                .update();
        if (there == 0) {
            throw new NotHere("that figure");
        }
    }

    /**
     * What a herb of this kind, part, cut and moisture kept at a pressing, mL per g, the newest first. The last a batch showed counts: of
     * one that was decanted, the clean oil's.
     */
    public List<Double> of(String herb, Texture texture, Moisture moisture, Pressing pressing) {
        return PerRequest.of(
                "kept of %s %s %s %s %s".formatted(herb, texture.part(), texture.cut(), moisture, pressing),
                Current.person(),
                () -> read(herb, texture, moisture, pressing));
    }

    private List<Double> read(String herb, Texture texture, Moisture moisture, Pressing pressing) {
        return sql.sql(
                        """
                        select r.kept from retention r
                        join batch_entry e on e.stillroom_id = r.stillroom_id and e.id = r.id
                        where r.stillroom_id = :stillroom and r.set_aside_at is null
                        and r.herb = :herb and r.part = :part and r.cut = :cut
                        and r.moisture = :moisture and r.pressing = :pressing and %s
                        order by r.id desc limit :most"""
                                .formatted(HOLDS))
                .param("stillroom", Current.stillroom())
                .param("herb", herb)
                .param("part", texture.part().name())
                .param("cut", texture.cut().name())
                .param("moisture", moisture.name())
                .param("pressing", pressing.name())
                .param("most", MOST)
                .query(Double.class)
                .list();
    }

    public void learn(UUID entry, PlannedHerb herb, Pressing pressing, double kept) {
        sql.sql(
                        """
                        insert into retention (stillroom_id, id, herb, part, cut, moisture, pressing, kept)
                        values (:stillroom, :id, :herb, :part, :cut, :moisture, :pressing, :kept)""")
                .param("stillroom", Current.stillroom())
                .param("id", entry)
                .param("herb", herb.kind().key())
                .param("part", herb.texture().part().name())
                .param("cut", herb.cut().name())
                .param("moisture", herb.moisture().name())
                .param("pressing", pressing.name())
                .param("kept", kept)
                .update();
    }
}
