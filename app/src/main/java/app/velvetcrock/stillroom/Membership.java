package app.velvetcrock.stillroom;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** That somebody belongs to a stillroom, till they leave; read with every request, written by {@link People}. */
@Entity
@Immutable
@IdClass(Membership.Key.class)
@SuppressWarnings("NullAway.Init") // the persistence fills it
class Membership {

    @Id
    private UUID stillroomId;

    @Id
    private UUID accountId;

    @Nullable
    private Instant leftAt;

    protected Membership() {}

    /** Of whom, and where. */
    record Key(UUID stillroomId, UUID accountId) implements Serializable {}
}
