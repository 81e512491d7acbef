package app.velvetcrock.recipes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** A recipe the household keeps, in its open form. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class KeptPlan {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    String title;

    @Column(columnDefinition = "jsonb")
    @ColumnTransformer(write = "?::jsonb")
    String recipe;

    /** The batch it was kept from; none for one planned or brought in. */
    @Nullable
    UUID batchId;

    Instant createdAt;

    @Nullable
    Instant removedAt;

    protected KeptPlan() {}

    KeptPlan(String title, String recipe, @Nullable UUID batchId, Instant createdAt) {
        this.title = title;
        this.recipe = recipe;
        this.batchId = batchId;
        this.createdAt = createdAt;
    }
}
