package app.velvetcrock.catalogue;

import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Part;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;

/** A herb as this household knows it: its own, or its correction of a shipped one. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class OwnHerb {

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
    String botanical;

    @Enumerated(EnumType.STRING)
    Part part;

    /** Millilitres of oil usual for a gram of it dried. */
    BigDecimal usualRatio;

    /** Parted by commas. */
    String traits;

    Instant createdAt;

    protected OwnHerb() {}

    OwnHerb(String key, Instant createdAt) {
        this.key = key;
        this.createdAt = createdAt;
    }

    void set(HerbKind kind) {
        common = kind.common();
        botanical = kind.botanical();
        part = kind.part();
        usualRatio = BigDecimal.valueOf(kind.usualRatio());
        traits = Catalogue.join(kind.traits());
    }

    /** @param tint as the shipped one gives an oil, or the middle of what leaves give */
    HerbKind kind(String tint, List<String> synonyms) {
        return new HerbKind(
                key, common, botanical, synonyms, part, usualRatio.doubleValue(), tint, Catalogue.split(traits));
    }
}
