package app.velvetcrock.batch;

import app.velvetcrock.stillroom.Current;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Finds batches for reading, without their plans: those are kept once read, and weigh more than all the rest of a page.
 * Plain SQL, as {@link Entries} is.
 */
@Component
class BatchRows {

    /** What ended a batch and was not taken back. */
    private static final String OVER =
            """
            exists (select 1 from batch_entry e where e.stillroom_id = b.stillroom_id and e.batch_id = b.id
                and e.kind in ('STRAINED', 'DISCARDED') and not exists (
                    select 1 from batch_entry t where t.stillroom_id = e.stillroom_id and t.corrects_id = e.id))""";

    /** Its start holds, and nothing ended it. */
    private static final String STANDING = "not " + OVER + " and "
            + """
            exists (select 1 from batch_entry e where e.stillroom_id = b.stillroom_id and e.batch_id = b.id
                and e.kind = 'CHARGED' and not exists (
                    select 1 from batch_entry t where t.stillroom_id = e.stillroom_id and t.corrects_id = e.id))""";

    private static final String ROWS =
            "select b.id, b.number, b.name, b.jar_id, b.kit_id from batch b where b.stillroom_id = :stillroom and ";

    private final JdbcClient sql;

    BatchRows(JdbcClient sql) {
        this.sql = sql;
    }

    /** A batch without its plan. */
    record Row(UUID id, int number, String name, Stand stand) {}

    /** Batches neither strained nor thrown out, whose start holds; the core says of each what that comes to. */
    List<Row> unstrained() {
        return rows(sql.sql(ROWS + STANDING + " order by b.number"));
    }

    /** Batches that stand, and some others besides. */
    List<Row> unstrainedAnd(Collection<UUID> ids) {
        return ids.isEmpty()
                ? unstrained()
                : rows(sql.sql(ROWS + "(b.id in (:ids) or (" + STANDING + ")) order by b.number")
                        .param("ids", ids));
    }

    /** Batches strained or thrown out, and that holds; the newest first. */
    List<Row> finished(int most) {
        return rows(sql.sql(ROWS + OVER + " order by b.number desc limit :most").param("most", most));
    }

    List<Row> among(Collection<UUID> ids) {
        return ids.isEmpty()
                ? List.of()
                : rows(sql.sql(ROWS + "b.id in (:ids) order by b.number").param("ids", ids));
    }

    /** The first plans of some batches, as they are written. */
    Map<UUID, String> plans(Collection<UUID> ids) {
        Map<UUID, String> plans = new HashMap<>();
        if (!ids.isEmpty()) {
            sql.sql("select id, plan from batch where stillroom_id = :stillroom and id in (:ids)")
                    .param("stillroom", Current.stillroom())
                    .param("ids", ids)
                    .query(row -> {
                        plans.put(row.getObject(1, UUID.class), row.getString(2));
                    });
        }
        return plans;
    }

    private static List<Row> rows(JdbcClient.StatementSpec asked) {
        return asked.param("stillroom", Current.stillroom())
                .query((row, at) -> row(row))
                .list();
    }

    private static Row row(ResultSet row) throws SQLException {
        UUID jar = row.getObject(4, UUID.class);
        UUID kit = row.getObject(5, UUID.class);
        return new Row(
                row.getObject(1, UUID.class),
                row.getInt(2),
                row.getString(3),
                Stand.in(row.getObject(1, UUID.class), jar, kit));
    }
}
