package app.velvetcrock.ways;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A way of the household's own: a shipped one with numbers of its own, under a name. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class OwnWay {

    /** Made here and not by the database's driver, since it is part of the way's key. */
    @Id
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    String name;

    @Column(columnDefinition = "jsonb")
    @ColumnTransformer(write = "?::jsonb")
    String method;

    Instant createdAt;

    @Nullable
    Instant removedAt;

    protected OwnWay() {}

    OwnWay(UUID id, String name, String method, Instant createdAt) {
        this.id = id;
        this.name = name;
        this.method = method;
        this.createdAt = createdAt;
    }
}
