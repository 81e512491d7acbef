package app.velvetcrock.stillroom;

import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.UnitSystem;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.ZoneId;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.UuidGenerator;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A household with its settings. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class Stillroom {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;

    @Version
    private Integer version;

    private String name;

    @Enumerated(EnumType.STRING)
    private UnitSystem unitSystem;

    @Enumerated(EnumType.STRING)
    private CupSystem cups;

    @Enumerated(EnumType.STRING)
    private TemperatureScale temperatureScale;

    @JdbcTypeCode(SqlTypes.CHAR)
    @Column(length = 3)
    private String currency;

    private String zone;
    private BigDecimal pantryCelsius;
    private BigDecimal roomCelsius;
    private boolean demo;
    private boolean heatAlone;
    private Instant createdAt;

    protected Stillroom() {}

    Stillroom(HouseSettings settings, boolean demo, Instant createdAt) {
        this.demo = demo;
        this.createdAt = createdAt;
        set(settings);
    }

    final void set(HouseSettings settings) {
        name = settings.name();
        unitSystem = settings.units().system();
        cups = settings.units().cups();
        temperatureScale = settings.units().scale();
        currency = settings.currency();
        zone = settings.zone().getId();
        pantryCelsius = BigDecimal.valueOf(settings.pantry().celsius());
        roomCelsius = BigDecimal.valueOf(settings.room().celsius());
    }

    HouseSettings settings() {
        return new HouseSettings(
                name,
                new HouseholdUnits(unitSystem, cups, temperatureScale),
                currency,
                ZoneId.of(zone),
                Temperature.ofCelsius(pantryCelsius.doubleValue()),
                Temperature.ofCelsius(roomCelsius.doubleValue()));
    }

    boolean heatAlone() {
        return heatAlone;
    }

    void letHeatRunAlone(boolean may) {
        heatAlone = may;
    }

    UUID id() {
        return id;
    }

    int version() {
        return version;
    }

    /** When this demo household was loaded; null for a real one. */
    @Nullable
    Instant demoSince() {
        return demo ? createdAt : null;
    }
}
