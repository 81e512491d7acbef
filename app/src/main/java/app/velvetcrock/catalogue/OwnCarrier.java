package app.velvetcrock.catalogue;

import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Temperature;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** A carrier as this household knows it: its own, or its correction of a shipped one. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class OwnCarrier {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    String key;
    String common;

    /** g/mL at 20 °C. */
    BigDecimal density;

    int monthsOpened;

    @Nullable
    BigDecimal meltingCelsius;

    /** Parted by commas. */
    String traits;

    Instant createdAt;

    protected OwnCarrier() {}

    OwnCarrier(String key, Instant createdAt) {
        this.key = key;
        this.createdAt = createdAt;
    }

    void set(CarrierKind kind) {
        common = kind.common();
        density = Columns.decimal(kind.density());
        monthsOpened = kind.monthsOpened();
        meltingCelsius =
                kind.melting().map(t -> BigDecimal.valueOf(t.celsius())).orElse(null);
        traits = Catalogue.join(kind.traits());
    }

    CarrierKind kind(String tint) {
        return new CarrierKind(
                key,
                common,
                Density.ofGramsPerMillilitre(density.doubleValue()),
                false,
                monthsOpened,
                Optional.ofNullable(meltingCelsius).map(t -> Temperature.ofCelsius(t.doubleValue())),
                tint,
                Catalogue.split(traits));
    }
}
