package app.velvetcrock.batch;

import app.velvetcrock.stillroom.Current;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Writes the edges lot → batch → lot. An undone batch keeps its edges; the movements say that it was undone. */
@Component
public class Lineage {

    private final JdbcClient sql;

    Lineage(JdbcClient sql) {
        this.sql = sql;
    }

    public void into(UUID batch, UUID lot) {
        edge(batch, lot, "INTO");
    }

    public void outOf(UUID batch, UUID lot) {
        edge(batch, lot, "OUT_OF");
    }

    private void edge(UUID batch, UUID lot, String direction) {
        sql.sql("insert into lineage (stillroom_id, batch_id, lot_id, direction) values (:stillroom, :batch, "
                        + ":lot, :direction) on conflict do nothing")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .param("lot", lot)
                .param("direction", direction)
                .update();
    }
}
