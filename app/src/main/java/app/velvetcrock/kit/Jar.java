package app.velvetcrock.kit;

import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.larder.JarGlass;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
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
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    String name;

    @Column(name = "capacity_ul")
    long capacityMicrolitres;

    @Column(name = "inner_width_um")
    long innerWidthMicrometres;

    boolean widthIsUsual;
    String marks;
    int pieces;
    Instant createdAt;

    protected Jar() {}

    Jar(Vessel vessel, JarGlass glass, int pieces, Instant createdAt) {
        this.name = vessel.name();
        this.capacityMicrolitres = vessel.capacity().toMicrolitres();
        measure(vessel.innerWidth());
        this.widthIsUsual = glass.usualWidth();
        this.marks = glass.written();
        this.pieces = pieces;
        this.createdAt = createdAt;
    }

    void measure(Length width) {
        innerWidthMicrometres = Math.round(width.millimetres() * MICROMETRES_PER_MILLIMETRE);
        widthIsUsual = false;
    }

    OfJar shown() {
        return new OfJar(id, vessel(), pieces, false, JarGlass.read(widthIsUsual, marks));
    }

    Vessel vessel() {
        return new Vessel(
                name,
                Volume.ofMicrolitres(capacityMicrolitres),
                Length.ofMillimetres(innerWidthMicrometres / MICROMETRES_PER_MILLIMETRE));
    }
}
