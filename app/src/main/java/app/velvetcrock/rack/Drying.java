package app.velvetcrock.rack;

import app.velvetcrock.core.drying.DryingStart;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.water.WaterContent;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** A lot on the rack: what it weighed when it was laid out, and what it became. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class Drying {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    UUID lotId;
    Instant startedAt;

    @Column(name = "start_mg")
    long startMilligrams;

    /** Share of water it is thought to hold at first. */
    BigDecimal water;

    @Column(name = "scale_mg")
    long scaleMilligrams;

    /** The dried lot it became; null while it dries. */
    @Nullable
    UUID driedLot;

    /** The deed of its taking down, by which that can be taken back. */
    @Nullable
    UUID deed;

    @Nullable
    Instant endedAt;

    Instant createdAt;

    protected Drying() {}

    Drying(UUID lotId, DryingStart start, Instant createdAt) {
        this.lotId = lotId;
        this.startedAt = start.at();
        this.startMilligrams = start.mass().toMilligrams();
        this.water = BigDecimal.valueOf(start.water().fraction());
        this.scaleMilligrams = start.scaleStep().toMilligrams();
        this.createdAt = createdAt;
    }

    DryingStart start() {
        return new DryingStart(
                startedAt,
                Mass.ofMilligrams(startMilligrams),
                new WaterContent(water.doubleValue()),
                Mass.ofMilligrams(scaleMilligrams));
    }
}
