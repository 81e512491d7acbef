package app.velvetcrock.stock;

import app.velvetcrock.stillroom.Current;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Writes and follows the edges lot → lot. A deed taken back keeps its edges; the movements say that it was. */
@Component
class LotEdges {

    private final JdbcClient sql;

    LotEdges(JdbcClient sql) {
        this.sql = sql;
    }

    void add(UUID from, UUID to, UUID deed) {
        sql.sql("insert into lot_edge (stillroom_id, from_lot, to_lot, deed) values (:stillroom, :from, :to, "
                        + ":deed) on conflict do nothing")
                .param("stillroom", Current.stillroom())
                .param("from", from)
                .param("to", to)
                .param("deed", deed)
                .update();
    }

    /** What a lot was made from. */
    List<UUID> into(UUID lot) {
        return sql.sql("select from_lot from lot_edge where stillroom_id = :stillroom and to_lot = :lot")
                .param("stillroom", Current.stillroom())
                .param("lot", lot)
                .query(UUID.class)
                .list();
    }

    /** What was made from a lot. */
    List<UUID> outOf(UUID lot) {
        return sql.sql("select to_lot from lot_edge where stillroom_id = :stillroom and from_lot = :lot")
                .param("stillroom", Current.stillroom())
                .param("lot", lot)
                .query(UUID.class)
                .list();
    }
}
