package app.velvetcrock.batch;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** A batch's frozen beginning; everything after it is in the log. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class Batch {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    @Enumerated(EnumType.STRING)
    BatchKind kind;

    /** Counts from 1 in each household; what people write on a jar. */
    int number;

    String name;

    @Nullable
    UUID jarId;

    @Nullable
    UUID kitId;

    @Column(columnDefinition = "jsonb")
    @ColumnTransformer(write = "?::jsonb")
    String plan;

    Instant createdAt;

    protected Batch() {}

    Batch(BatchKind kind, int number, String name, Stand stand, String plan, Instant createdAt) {
        this.kind = kind;
        this.number = number;
        this.name = name;
        this.jarId = stand.kit() ? null : stand.id();
        this.kitId = stand.kit() ? stand.id() : null;
        this.plan = plan;
        this.createdAt = createdAt;
    }
}
