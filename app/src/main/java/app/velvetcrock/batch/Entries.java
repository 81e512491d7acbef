package app.velvetcrock.batch;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.RowMapperResultSetExtractor;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Reads the lines of many logs at once. Plain SQL: a query through the persistence is translated anew each time while it is kept
 * to a household, and this is the one most pages wait for.
 */
@Component
class Entries {

    private final JdbcClient sql;
    private final Trip trip;

    Entries(JdbcClient sql, Trip trip) {
        this.sql = sql;
        this.trip = trip;
    }

    List<BatchEntry> ofBatches(Collection<UUID> batches) {
        return batches.isEmpty() ? List.of() : trip.answer(question(List.copyOf(batches)));
    }

    Question<List<BatchEntry>> question(List<UUID> batches) {
        return new Question<>(
                "entries",
                List.of(Current.person(), batches),
                "select * from batch_entry where stillroom_id = :stillroom and batch_id in (:batches) order by "
                        + "happened_at, recorded_at, id",
                Map.of("stillroom", Current.stillroom(), "batches", batches),
                new RowMapperResultSetExtractor<>((row, at) -> BatchEntry.of(row)));
    }

    /** Of those lines only what tells what went in and came out, and what of them was taken back or corrected. */
    List<BatchEntry> measures(List<UUID> batches) {
        return sql.sql(
                        "select * from batch_entry where stillroom_id = :stillroom and batch_id in (:batches) and (corrects_id is not null "
                                + "or kind in ('CHARGED', 'TOPPED_UP', 'STRAINED', 'BOTTLED', 'SETTLED', 'DISCARDED')) "
                                + "order by happened_at, recorded_at, id")
                .param("stillroom", Current.stillroom())
                .param("batches", batches)
                .query((row, at) -> BatchEntry.of(row))
                .list();
    }

    /** The line that a deed with this one-time key left; absent where it is still to be done. */
    Optional<BatchEntry> by(UUID key) {
        return sql.sql("select * from batch_entry where stillroom_id = :stillroom and client_key = :key")
                .param("stillroom", Current.stillroom())
                .param("key", key)
                .query((row, at) -> BatchEntry.of(row))
                .optional();
    }
}
