package app.velvetcrock.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** One line of the ledger; never changed. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
@Immutable
class Movement {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    UUID lotId;

    /** Signed, in the lot's unit. */
    long amount;

    @Enumerated(EnumType.STRING)
    Cause cause;

    @Nullable
    UUID batchId;
    /** The line of the batch's log that moved it. */
    @Nullable
    UUID entryId;
    /** What was done at the stores, when it moved several lots at once. */
    @Nullable
    UUID deed;
    /** The reason in words. */
    @Nullable
    String note;

    @Nullable
    UUID reverses;

    UUID accountId;
    Instant happenedAt;
    Instant recordedAt;

    protected Movement() {}

    Movement(UUID lotId, long amount, Cause cause, UUID accountId, Instant happenedAt, Instant recordedAt) {
        this.lotId = lotId;
        this.amount = amount;
        this.cause = cause;
        this.accountId = accountId;
        this.happenedAt = happenedAt;
        this.recordedAt = recordedAt;
    }
}
