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
    Kind kind;

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

    /** What a batch makes; all kinds share one series of numbers, one log, one ledger and one lineage. */
    enum Kind {
        /** Herb infused into oil. */
        INFUSION,
        /** Salve, balm or the like made of oil. */
        MAKING
    }

    protected Batch() {}

    Batch(int number, String name, Stand stand, String plan, Instant createdAt) {
        this.kind = Kind.INFUSION;
        this.number = number;
        this.name = name;
        this.jarId = stand.kit() ? null : stand.id();
        this.kitId = stand.kit() ? stand.id() : null;
        this.plan = plan;
        this.createdAt = createdAt;
    }

    /** A making, which stands in no vessel of the stores. */
    static Batch making(int number, String name, String plan, Instant createdAt) {
        Batch batch = new Batch();
        batch.kind = Kind.MAKING;
        batch.number = number;
        batch.name = name;
        batch.plan = plan;
        batch.createdAt = createdAt;
        return batch;
    }
}
