package app.velvetcrock.stores;

import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Provenance;
import app.velvetcrock.web.Fields;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A supply, or containers, as typed. */
record SupplyForm(
        @Nullable UUID key,
        @Nullable String kind,
        @Nullable String amount,
        @Nullable String abv,
        @Nullable String opened,
        @Nullable String bestBefore,
        @Nullable String cameFrom,
        @Nullable String keptAt,
        @Nullable String price,
        @Nullable String name,
        @Nullable String holds,
        @Nullable String pieces) {

    static final int LONGEST_NAME = 80;
    private static final int MOST_PIECES = 100_000;

    static SupplyForm empty() {
        return new SupplyForm(null, "", "", "", "", "", "", "", "", "", "", "");
    }

    Optional<Arrival.Supply> supply(Fields fields, Materia materia, Currency money, LocalDate today) {
        Optional<SupplyKind> what = materia.supply(kind == null ? "" : kind);
        if (what.isEmpty()) {
            fields.trouble("kind", "Nothing is chosen here yet.", "one from the list");
        }
        Optional<Strength> strength = strength(fields, what);
        Density density = strength.map(Strength::density)
                .orElseGet(() -> what.map(SupplyKind::density).orElse(Density.ofGramsPerMillilitre(1)));
        KnownDensity known = what.filter(k -> k.bulk().isPresent())
                .map(SupplyKind::known)
                .orElseGet(() -> KnownDensity.ofLiquid(density));
        Expect expect = what.filter(k -> k.type() == SupplyType.WAX).isPresent() ? Expect.SOLID : Expect.LIQUID;
        Optional<Mass> mass = fields.massOf("amount", amount, expect, known)
                .filter(read -> {
                    boolean sensible =
                            read.mass().grams() >= 0.01 && read.mass().grams() <= Arrival.MOST_GRAMS;
                    if (!sensible) {
                        fields.trouble(
                                "amount",
                                "Understood %s; a lot is between 0.01 g and 100 kg.".formatted(read.echo()),
                                expect.examples());
                    }
                    return sensible;
                })
                .map(Fields.Weighed::mass);
        Optional<LocalDate> open = fields.date("opened", opened, WhenReader.ofThePast(today.atTime(12, 0)));
        if (open.filter(day -> day.isAfter(today)).isPresent()) {
            fields.trouble("opened", "That day is still to come.", "today or earlier, or leave it empty");
        }
        Optional<LocalDate> best = fields.date("bestBefore", bestBefore, WhenReader.ofTheFuture(today.atTime(12, 0)));
        Optional<Provenance> from = provenance(fields, money);
        return fields.isClear()
                ? Optional.of(new Arrival.Supply(
                        what.orElseThrow(),
                        mass.orElseThrow(),
                        density,
                        strength.map(s -> BigDecimal.valueOf(s.percent())).orElse(null),
                        open.orElse(null),
                        best.orElse(null),
                        from.orElseThrow(),
                        Objects.requireNonNullElse(amount, "")))
                : Optional.empty();
    }

    /** Of a spirit it must be told; of a tincture it may be, and of all else there is none: what is typed there is not dropped. */
    private Optional<Strength> strength(Fields fields, Optional<SupplyKind> what) {
        boolean told = abv != null && !abv.isBlank();
        if (told && what.filter(kind -> !kind.hasStrength()).isPresent()) {
            fields.trouble(
                    "abv",
                    "%s has no strength.".formatted(what.orElseThrow().common()),
                    "leave it empty, or choose a spirit or a tincture");
            return Optional.empty();
        }
        boolean must = what.filter(kind -> kind.type() == SupplyType.SPIRIT).isPresent();
        return must || told
                ? fields.number("abv", abv, Strength.LEAST, Strength.MOST, "% vol")
                        .map(Strength::new)
                : Optional.empty();
    }

    Optional<Arrival.Container> container(Fields fields, Currency money) {
        Optional<String> called = fields.words("name", name, LONGEST_NAME);
        Optional<Volume> size = fields.capacity("holds", holds, 1, 20_000);
        Optional<Integer> many = fields.whole("pieces", pieces, 1, MOST_PIECES, "pieces");
        Optional<Provenance> from = provenance(fields, money);
        return fields.isClear()
                ? Optional.of(new Arrival.Container(
                        called.orElseThrow(), size.orElseThrow(), many.orElseThrow(), from.orElseThrow()))
                : Optional.empty();
    }

    private Optional<Provenance> provenance(Fields fields, Currency money) {
        return new ProvenanceForm(Origin.BOUGHT.name(), cameFrom, keptAt, price).read(fields, money);
    }
}
