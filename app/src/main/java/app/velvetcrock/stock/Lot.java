package app.velvetcrock.stock;

import app.velvetcrock.catalogue.Columns;
import app.velvetcrock.core.keeping.Glass;
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
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** Something that has stock; its balance changes only through {@link Ledger}. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
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
    @Nullable
    Part part;

    @Enumerated(EnumType.STRING)
    @Nullable
    Cut cut;

    @Enumerated(EnumType.STRING)
    @Nullable
    Moisture moisture;

    /** A cup the household weighed: g/mL. */
    @Nullable
    BigDecimal bulkDensity;

    /** Frozen when the lot was entered: g/mL at 20 °C. */
    @Nullable
    BigDecimal density;

    @Nullable
    LocalDate acquiredOn;

    @Nullable
    LocalDate openedOn;

    @Nullable
    LocalDate bestBefore;

    /** The batch an oil came from. */
    @Nullable
    UUID batchId;

    /** What a bottle holds when full; null for anything that is no bottle. */
    @Column(name = "bottle_ul")
    @Nullable
    Long bottleMicrolitres;

    @Enumerated(EnumType.STRING)
    @Nullable
    Glass glass;

    @Enumerated(EnumType.STRING)
    @Nullable
    Storage place;

    /** Every name it goes by, lower case, for search. */
    String words = "";

    @Enumerated(EnumType.STRING)
    @Nullable
    Origin origin;

    @Nullable
    String cameFrom;

    /** The shelf or box it is kept in, in words. */
    @Nullable
    String keptAt;

    /** What it cost, in minor units, for {@code priceFor} of it. */
    @Nullable
    Long priceMinor;

    @Nullable
    Long priceFor;

    /** Strength of a spirit, percent by volume. */
    @Nullable
    BigDecimal abv;

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
        this.words = name.toLowerCase(Locale.ROOT);
    }

    /** What goes on with a part of this, or with what it became: all but its stock. */
    Lot sibling(String asTyped, Instant at) {
        Lot lot = new Lot(kind, kindKey, name, asTyped, at);
        lot.unit = unit;
        lot.part = part;
        lot.cut = cut;
        lot.moisture = moisture;
        lot.bulkDensity = bulkDensity;
        lot.density = density;
        lot.acquiredOn = acquiredOn;
        lot.openedOn = openedOn;
        lot.bestBefore = bestBefore;
        lot.words = words;
        lot.origin = origin;
        lot.cameFrom = cameFrom;
        lot.keptAt = keptAt;
        lot.abv = abv;
        return lot;
    }

    /** What a herb is and how it is; of anything else there is no such thing. */
    Stock.HerbState herb() {
        return new Stock.HerbState(
                Objects.requireNonNull(part),
                Objects.requireNonNull(cut),
                Objects.requireNonNull(moisture),
                Columns.density(bulkDensity));
    }

    /** Tells whether another is the same thing in the same state, so that the two can be put together. */
    boolean isAlike(Lot other) {
        return kind != LotKind.CONTAINER
                && kind != LotKind.INFUSED_OIL
                && kind == other.kind
                && kindKey.equals(other.kindKey)
                && part == other.part
                && cut == other.cut
                && moisture == other.moisture
                && Objects.equals(abv, other.abv);
    }

    void set(Provenance provenance, long amount) {
        origin = provenance.origin();
        cameFrom = provenance.cameFrom();
        keptAt = provenance.keptAt();
        priceMinor = provenance.priceMinor();
        priceFor = priceMinor == null ? null : amount;
    }

    /** The cost of so much of it, in minor units; absent where none is known. */
    Optional<Double> costOf(long amount) {
        return priceMinor == null || priceFor == null
                ? Optional.empty()
                : Optional.of(priceMinor * (amount / (double) priceFor));
    }

    /** Bears the cost of what it was made from, however much was lost on the way. */
    void bear(Optional<Double> cost, long amount) {
        priceMinor = cost.map(Math::round).orElse(null);
        priceFor = priceMinor == null ? null : amount;
    }
}
