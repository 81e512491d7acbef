package app.velvetcrock.kit;

import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** A piece of kit the household owns. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class Kit {

    private static final double MICROMETRES_PER_MILLIMETRE = 1000;

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    @Enumerated(EnumType.STRING)
    KitKind kind;

    String name;

    @Column(name = "capacity_ul")
    @Nullable
    Long capacityMicrolitres;

    @Column(name = "inner_width_um")
    @Nullable
    Long innerWidthMicrometres;

    /** Its settings in words: "warm, low, high". */
    String settings;

    int pieces;
    Instant createdAt;

    @Nullable
    Instant removedAt;

    protected Kit() {}

    Kit(KitShelf.NewKit kit, Instant createdAt) {
        this.kind = kit.kind();
        this.name = kit.name();
        this.capacityMicrolitres = kit.capacity().map(Volume::toMicrolitres).orElse(null);
        this.innerWidthMicrometres = kit.width()
                .map(width -> Math.round(width.millimetres() * MICROMETRES_PER_MILLIMETRE))
                .orElse(null);
        this.settings = kit.settings();
        this.pieces = kit.pieces();
        this.createdAt = createdAt;
    }

    /** The open pot it is, where its size and width are known and a charge can lie in it. */
    Optional<Vessel> vessel() {
        boolean holds = kind == KitKind.POT || kind == KitKind.SLOW_COOKER;
        return holds && capacityMicrolitres != null && innerWidthMicrometres != null
                ? Optional.of(new Vessel(
                        name,
                        Volume.ofMicrolitres(capacityMicrolitres),
                        Length.ofMillimetres(innerWidthMicrometres / MICROMETRES_PER_MILLIMETRE),
                        true))
                : Optional.empty();
    }

    KitShelf.OfKit shown() {
        return new KitShelf.OfKit(
                id,
                new KitShelf.NewKit(
                        kind,
                        name,
                        Optional.ofNullable(capacityMicrolitres).map(Volume::ofMicrolitres),
                        Optional.ofNullable(innerWidthMicrometres)
                                .map(width -> Length.ofMillimetres(width / MICROMETRES_PER_MILLIMETRE)),
                        settings,
                        pieces));
    }
}
