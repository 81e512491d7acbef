package app.velvetcrock.stock;

import app.velvetcrock.catalogue.Columns;
import app.velvetcrock.core.deed.MayAtStores;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.spirit.Strength;
import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
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
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    @Enumerated(EnumType.STRING)
    LotKind kind;

    String kindKey;
    String name;

    @Enumerated(EnumType.STRING)
    Stock.Unit unit = Stock.Unit.MILLIGRAM;

    long balance;

    /** What a herb is and how it is; null of what is no herb. */
    @Embedded
    @Nullable
    HerbPart herbPart;

    /** What an oil is that came of a batch; null of what did not. */
    @Embedded
    @Nullable
    OilPart oilPart;

    /** Whence it came, where it is kept, what it cost; null where nothing of it is said. */
    @Embedded
    @Nullable
    Whence whence;

    /** Frozen when the lot was entered: g/mL at 20 °C. */
    @Nullable
    BigDecimal density;

    @Nullable
    LocalDate acquiredOn;

    @Nullable
    LocalDate openedOn;

    /** True where somebody said that day; else it follows from what was poured first. */
    boolean openedSaid;

    @Nullable
    LocalDate bestBefore;

    /** What a bottle holds when full; a container what it could hold; null for anything else. */
    @Column(name = "bottle_ul")
    @Nullable
    Long bottleMicrolitres;

    /** Why a made thing may be neither given away nor sold; null where it may. */
    @Nullable
    String keptBack;

    /** Every name it goes by, lower case, for search. */
    String words = "";

    /** Strength of a spirit or tincture, percent by volume. */
    @Nullable
    BigDecimal abv;

    /** How many drops of this bottle fill a millilitre, counted; null where they were not. Another bottle has another dropper. */
    @Column(name = "drops_per_ml")
    @Nullable
    BigDecimal dropsPerMillilitre;

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

    /** Tells whether it is what is in a pan, which no choice of stock offers. */
    boolean isMelt() {
        return kind == LotKind.MADE && kindKey.equals(Goods.MELT);
    }

    /** What goes on with a part of this, or with what it became: all but its stock. */
    Lot sibling(String asTyped, Instant at) {
        Lot lot = new Lot(kind, kindKey, name, asTyped, at);
        lot.unit = unit;
        lot.herbPart = herbPart == null ? null : herbPart.copy();
        lot.density = density;
        lot.acquiredOn = acquiredOn;
        lot.openedOn = openedOn;
        lot.openedSaid = openedSaid;
        lot.bestBefore = bestBefore;
        lot.words = words;
        lot.whence = whence == null ? null : whence.unpriced();
        lot.abv = abv;
        return lot;
    }

    /** What a herb is and how it is; of anything else there is no such thing. */
    Stock.HerbState herb() {
        HerbPart state = herbPart();
        return new Stock.HerbState(state.part, state.cut, state.moisture, Columns.density(state.bulkDensity));
    }

    /**
     * The herb's own part of it.
     *
     * @throws NullPointerException for what is no herb
     */
    HerbPart herbPart() {
        return Objects.requireNonNull(herbPart);
    }

    /** The batch an oil came from; null for what came of none. */
    @Nullable
    UUID batchId() {
        return oilPart == null ? null : oilPart.batchId;
    }

    /** Whence it came, to be read; what is not said of it is empty. */
    Whence whence() {
        return whence == null ? new Whence() : whence;
    }

    /** Whence it came, to be written. */
    Whence saying() {
        if (whence == null) {
            whence = new Whence();
        }
        return whence;
    }

    /** Tells whether another is the same thing in the same state, so that the two can be put together. */
    boolean isAlike(Lot other) {
        return alikeAs().equals(other.alikeAs());
    }

    /** What two lots that can be put together have in common; containers and oils of batches have it with none but themselves. */
    Object alikeAs() {
        return kind == LotKind.CONTAINER || kind == LotKind.INFUSED_OIL || kind == LotKind.MADE
                ? id
                : Arrays.asList(kind, kindKey, herbPart == null ? null : herbPart.state(), abv);
    }

    /** How strong a spirit or tincture is; absent where it is not told. */
    Optional<Strength> strength() {
        return Optional.ofNullable(abv).map(percent -> new Strength(percent.doubleValue()));
    }

    /** What of it the household can measure by itself. */
    Set<MayAtStores.Own> measurable() {
        return switch (kind) {
            case ESSENTIAL_OIL, ANTIOXIDANT -> Set.of(MayAtStores.Own.DROPS);
            case SPIRIT -> Set.of(MayAtStores.Own.STRENGTH);
            case ADDITION -> kindKey.equals(SupplyKind.TINCTURE)
                    ? Set.of(MayAtStores.Own.DROPS, MayAtStores.Own.STRENGTH)
                    : Set.of();
            default -> Set.of();
        };
    }

    void set(Provenance provenance, long amount) {
        Whence from = saying();
        from.origin = provenance.origin();
        from.cameFrom = provenance.cameFrom();
        from.keptAt = provenance.keptAt();
        from.priceMinor = provenance.priceMinor();
        from.priceFor = from.priceMinor == null ? null : amount;
    }

    boolean isPriced() {
        return whence != null && whence.priceMinor != null;
    }

    /** The day somebody said it was opened; nothing said of a sealed one. */
    void opened(@Nullable LocalDate said) {
        openedOn = said;
        openedSaid = said != null;
    }

    /** The cost of so much of it, in minor units; absent where none is known. */
    Optional<Double> costOf(long amount) {
        return whence == null || whence.priceMinor == null || whence.priceFor == null
                ? Optional.empty()
                : Optional.of(whence.priceMinor * (amount / (double) whence.priceFor));
    }

    /** Bears the cost of what it was made from, however much was lost on the way. */
    void bear(Optional<Double> cost, long amount) {
        Whence from = saying();
        from.priceMinor = cost.map(Math::round).orElse(null);
        from.priceFor = from.priceMinor == null ? null : amount;
    }

    /** What a herb is and how it is. */
    @Embeddable
    @SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
    static class HerbPart {

        @Enumerated(EnumType.STRING)
        Part part;

        @Enumerated(EnumType.STRING)
        Cut cut;

        @Enumerated(EnumType.STRING)
        Moisture moisture;

        /** A cup the household weighed: g/mL. */
        @Nullable
        BigDecimal bulkDensity;

        protected HerbPart() {}

        HerbPart(Part part, Cut cut, Moisture moisture) {
            this.part = part;
            this.cut = cut;
            this.moisture = moisture;
        }

        HerbPart copy() {
            HerbPart copy = new HerbPart(part, cut, moisture);
            copy.bulkDensity = bulkDensity;
            return copy;
        }

        Object state() {
            return List.of(part, cut, moisture);
        }
    }

    /** What an oil is that came of a batch. */
    @Embeddable
    @SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
    static class OilPart {

        UUID batchId;

        /** Of a bottle; null while it stands as it was strained. */
        @Enumerated(EnumType.STRING)
        @Nullable
        Glass glass;

        @Enumerated(EnumType.STRING)
        @Nullable
        Storage place;

        protected OilPart() {}

        OilPart(UUID batchId, @Nullable Glass glass, Storage place) {
            this.batchId = batchId;
            this.glass = glass;
            this.place = place;
        }
    }

    /** Whence something came, where it is kept, what it cost. */
    @Embeddable
    static class Whence {

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

        /** The same of what is made of it, whose cost is reckoned anew. */
        Whence unpriced() {
            Whence copy = new Whence();
            copy.origin = origin;
            copy.cameFrom = cameFrom;
            copy.keptAt = keptAt;
            return copy;
        }
    }
}
