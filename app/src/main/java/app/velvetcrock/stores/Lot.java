package app.velvetcrock.stores;

import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** Something that has stock; its balance changes only through {@link Ledger}. */
@Entity
class Lot {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    UUID stillroomId;

    @Version
    Integer version;

    @Enumerated(EnumType.STRING)
    LotKind kind;

    String kindKey;
    String name;

    @Enumerated(EnumType.STRING)
    StockUnit unit = StockUnit.MILLIGRAM;

    long balance;

    @Enumerated(EnumType.STRING)
    @Nullable Part part;

    @Enumerated(EnumType.STRING)
    @Nullable Cut cut;

    @Enumerated(EnumType.STRING)
    @Nullable Moisture moisture;

    /** A cup the household weighed: g/mL. */
    @Nullable BigDecimal bulkDensity;

    /** Frozen when the lot was entered: g/mL at 20 °C. */
    @Nullable BigDecimal density;

    @Nullable LocalDate acquiredOn;
    @Nullable LocalDate openedOn;
    @Nullable LocalDate bestBefore;

    /** The batch an oil came from. */
    @Nullable UUID batchId;

    /** What a bottle holds when full; null for anything that is no bottle. */
    @Column(name = "bottle_ul")
    @Nullable Long bottleMicrolitres;

    @Enumerated(EnumType.STRING)
    @Nullable Glass glass;

    @Enumerated(EnumType.STRING)
    @Nullable Storage place;

    /** The amount as it was typed. */
    String typed;

    Instant createdAt;

    protected Lot() {}

    Lot(LotKind kind, String kindKey, String name, String typed, Instant createdAt) {
        this.kind = kind;
        this.kindKey = kindKey;
        this.name = name;
        this.typed = typed;
        this.createdAt = createdAt;
    }
}
