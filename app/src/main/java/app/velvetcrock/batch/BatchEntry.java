package app.velvetcrock.batch;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** One line of a batch's log; never changed, only taken back by a later one. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
@Immutable
class BatchEntry {

    /** What a line says. */
    enum Kind {
        CHARGED,
        TOPPED_UP,
        TENDED,
        LOOKED,
        HEAT,
        TURNED,
        PROBE,
        STRAINED,
        SETTLED,
        BOTTLED,
        SNIFFED,
        DISCARDED,
        CONDITION,
        ANSWERED,
        PLAN_CHANGED,
        PAN,
        NOTED,
        LESSON,
        CORRECTED,
        TAKEN_BACK
    }

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    UUID batchId;

    /** One of {@link Kind}, unless a newer release wrote it. */
    String kind;

    Instant happenedAt;
    Instant recordedAt;
    UUID accountId;

    /** The one-time key of the form it came from. */
    UUID clientKey;

    @Nullable
    UUID correctsId;

    /** The task it did, as its key is written. */
    @Nullable
    String task;

    /** As it was typed. */
    String typed;

    @Column(name = "value", columnDefinition = "jsonb")
    @ColumnTransformer(write = "?::jsonb")
    String value;

    protected BatchEntry() {}

    BatchEntry(UUID batchId, Instant happenedAt, LineCodec.Stored line, Said said) {
        this.kind = line.kind().name();
        this.batchId = batchId;
        this.happenedAt = happenedAt;
        this.task = line.task();
        this.correctsId = line.corrects();
        this.value = line.value();
        this.clientKey = said.key();
        this.typed = line.words() == null ? said.typed() : line.words();
    }

    /** A line as it stands in its row. */
    static BatchEntry of(ResultSet row) throws SQLException {
        BatchEntry entry = new BatchEntry();
        entry.id = row.getObject("id", UUID.class);
        entry.stillroomId = row.getObject("stillroom_id", UUID.class);
        entry.batchId = row.getObject("batch_id", UUID.class);
        entry.kind = row.getString("kind");
        entry.happenedAt = row.getTimestamp("happened_at").toInstant();
        entry.recordedAt = row.getTimestamp("recorded_at").toInstant();
        entry.accountId = row.getObject("account_id", UUID.class);
        entry.clientKey = row.getObject("client_key", UUID.class);
        entry.correctsId = row.getObject("corrects_id", UUID.class);
        entry.task = row.getString("task");
        entry.typed = row.getString("typed");
        entry.value = row.getString("value");
        return entry;
    }

    /** What came with the form: its key and the words as typed. */
    record Said(UUID key, String typed) {}
}
