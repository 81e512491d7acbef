package app.velvetcrock.recipes;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** An ingredient list as it was written; it is read anew at every look. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class RecipeCard {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    String title;
    String body;
    Instant createdAt;

    @Nullable
    Instant removedAt;

    protected RecipeCard() {}

    RecipeCard(String title, String body, Instant createdAt) {
        this.title = title;
        this.body = body;
        this.createdAt = createdAt;
    }
}
