package app.velvetcrock.rack;

import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.drying.WeighIn;
import app.velvetcrock.core.measure.Mass;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** One weighing of a drying lot. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
@Table(name = "weigh_in")
class RackWeighing {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    UUID dryingId;
    Instant happenedAt;
    Instant recordedAt;
    UUID accountId;

    @Column(name = "mass_mg")
    long massMilligrams;

    @Enumerated(EnumType.STRING)
    Snap snap;

    String typed;

    @Nullable
    Instant takenBackAt;

    protected RackWeighing() {}

    RackWeighing(UUID dryingId, WeighIn weighIn, String typed) {
        this.dryingId = dryingId;
        this.happenedAt = weighIn.at();
        this.massMilligrams = weighIn.mass().toMilligrams();
        this.snap = weighIn.snap();
        this.typed = typed;
    }

    WeighIn weighIn() {
        return new WeighIn(happenedAt, Mass.ofMilligrams(massMilligrams), snap);
    }
}
