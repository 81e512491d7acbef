package app.velvetcrock.kit;

import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;

/** A size of jar and how many of it the household has. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class Jar {

    private static final double MICROMETRES_PER_MILLIMETRE = 1000;

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    UUID stillroomId;

    @Version
    Integer version;

    String name;

    @Column(name = "capacity_ul")
    long capacityMicrolitres;

    @Column(name = "inner_width_um")
    long innerWidthMicrometres;

    int pieces;
    Instant createdAt;

    protected Jar() {}

    Jar(Vessel vessel, int pieces, Instant createdAt) {
        this.name = vessel.name();
        this.capacityMicrolitres = vessel.capacity().toMicrolitres();
        this.innerWidthMicrometres = Math.round(vessel.innerWidth().millimetres() * MICROMETRES_PER_MILLIMETRE);
        this.pieces = pieces;
        this.createdAt = createdAt;
    }

    Vessel vessel() {
        return new Vessel(
                name,
                Volume.ofMicrolitres(capacityMicrolitres),
                Length.ofMillimetres(innerWidthMicrometres / MICROMETRES_PER_MILLIMETRE));
    }
}
