package app.velvetcrock.batch;

import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.Current;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the household's strained batches showed their herbs to keep; a batch taken back is forgotten. */
@Component
public class Retentions {

    /** Enough to be sure of: older ones add nothing the eye could see. */
    private static final int MOST = 50;

    private final JdbcClient sql;

    Retentions(JdbcClient sql) {
        this.sql = sql;
    }

    /**
     * What a herb of this kind, part, cut and moisture kept at a pressing, mL per g, the newest first. The last a batch showed counts: of
     * one that was decanted, the clean oil's.
     */
    public List<Double> of(String herb, Texture texture, Moisture moisture, Pressing pressing) {
        return sql.sql(
                        """
                        select r.kept from retention r
                        join batch_entry e on e.stillroom_id = r.stillroom_id and e.id = r.id
                        where r.stillroom_id = :stillroom
                        and r.herb = :herb and r.part = :part and r.cut = :cut
                        and r.moisture = :moisture and r.pressing = :pressing and not exists (
                            select 1 from batch_entry t where t.stillroom_id = r.stillroom_id and t.corrects_id = r.id)
                        and not exists (
                            select 1 from retention l
                            join batch_entry d on d.stillroom_id = l.stillroom_id and d.id = l.id
                            where d.stillroom_id = e.stillroom_id and d.batch_id = e.batch_id
                            and (d.kind = 'SETTLED', d.happened_at, d.recorded_at, d.id)
                                > (e.kind = 'SETTLED', e.happened_at, e.recorded_at, e.id) and not exists (
                                select 1 from batch_entry t where t.stillroom_id = l.stillroom_id and t.corrects_id = l.id))
                        order by r.id desc limit :most""")
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
