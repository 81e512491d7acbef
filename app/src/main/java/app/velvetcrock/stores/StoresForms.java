package app.velvetcrock.stores;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Provenance;
import app.velvetcrock.web.Fields;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;

/** Reads the three short forms of the stores. */
@Component
class StoresForms {

    private static final double LEAST_GRAMS = 0.1;

    private final Materia materia;
    private final Catalogue catalogue;
    private final Cautions cautions;

    StoresForms(Materia materia, Catalogue catalogue, Cautions cautions) {
        this.materia = materia;
        this.catalogue = catalogue;
        this.cautions = cautions;
    }

    record HerbForm(
            @Nullable UUID key,
            @Nullable String herb,
            @Nullable String amount,
            @Nullable String part,
            @Nullable String cut,
            @Nullable String moisture,
            @Nullable String acquired,
            @Nullable String sure,
            @Nullable String bestBefore,
            @Nullable String origin,
            @Nullable String cameFrom,
            @Nullable String keptAt,
            @Nullable String price) {

        static HerbForm empty() {
            return new HerbForm(
                    null,
                    "",
                    "",
                    "",
                    Cut.CUT_AND_SIFTED.name(),
                    Moisture.DRIED.name(),
                    "",
                    "",
                    "",
                    Origin.BOUGHT.name(),
                    "",
                    "",
                    "");
        }

        ProvenanceForm provenance() {
            return new ProvenanceForm(origin, cameFrom, keptAt, price);
        }
    }

    record CarrierForm(
            @Nullable UUID key,
            @Nullable String carrier,
            @Nullable String amount,
            @Nullable String opened,
            @Nullable String bestBefore,
            @Nullable String cameFrom,
            @Nullable String keptAt,
            @Nullable String price) {

        static CarrierForm empty() {
            return new CarrierForm(null, "", "", "", "", "", "", "");
        }

        ProvenanceForm provenance() {
            return new ProvenanceForm(Origin.BOUGHT.name(), cameFrom, keptAt, price);
        }
    }

    Optional<Arrival.Herb> read(HerbForm form, Fields fields, LocalDate today, Currency money) {
        Optional<HerbKind> kind = herb(fields, form.herb());
        Optional<Cut> cut = fields.oneOf("cut", Cut.class, form.cut());
        Optional<Moisture> moisture = fields.oneOf("moisture", Moisture.class, form.moisture());
        Optional<Part> part = form.part() == null || form.part().isBlank()
                ? kind.map(HerbKind::part)
                : fields.oneOf("part", Part.class, form.part());
        Optional<KnownDensity> bulk = part.flatMap(p -> cut.flatMap(
                c -> moisture.map(m -> KnownDensity.ofHerb(materia.texture(p, c).bulkIn(m)))));
        Optional<Mass> mass = mass(
                fields, form.amount(), Expect.SOLID, bulk, "at %s, loosely filled: an estimate, weigh it if you can");
        Optional<LocalDate> acquired = past(fields, "acquired", form.acquired(), today);
        Optional<LocalDate> bestBefore =
                fields.date("bestBefore", form.bestBefore(), WhenReader.ofTheFuture(today.atTime(12, 0)));
        Optional<Provenance> provenance = form.provenance().read(fields, money);
        kind.ifPresent(herb -> provenance.ifPresent(from -> lookAlike(fields, herb, from, form.sure())));
        return fields.isClear()
                ? Optional.of(new Arrival.Herb(
                        kind.orElseThrow(),
                        part.orElseThrow(),
                        cut.orElseThrow(),
                        moisture.orElseThrow(),
                        mass.orElseThrow(),
                        acquired.orElse(null),
                        bestBefore.orElse(null),
                        provenance.orElseThrow(),
                        Objects.requireNonNullElse(form.amount(), "")))
                : Optional.empty();
    }

    Optional<Arrival.Carrier> read(CarrierForm form, Fields fields, LocalDate today, Currency money) {
        Optional<CarrierKind> kind = catalogue.carrier(form.carrier() == null ? "" : form.carrier());
        if (kind.isEmpty()) {
            fields.trouble("carrier", "Nothing is chosen here yet.", "one from the list");
        }
        Optional<Mass> mass =
                mass(fields, form.amount(), Expect.LIQUID, kind.map(k -> KnownDensity.ofOil(k.density())), "at %s");
        Optional<LocalDate> opened = past(fields, "opened", form.opened(), today);
        Optional<LocalDate> bestBefore =
                fields.date("bestBefore", form.bestBefore(), WhenReader.ofTheFuture(today.atTime(12, 0)));
        Optional<Provenance> provenance = form.provenance().read(fields, money);
        return fields.isClear()
                ? Optional.of(new Arrival.Carrier(
                        kind.orElseThrow(),
                        mass.orElseThrow(),
                        opened.orElse(null),
                        bestBefore.orElse(null),
                        provenance.orElseThrow(),
                        Objects.requireNonNullElse(form.amount(), "")))
                : Optional.empty();
    }

    /** A herb picked by oneself that a poisonous one is mistaken for is asked about until somebody says that he is certain. */
    private void lookAlike(Fields fields, HerbKind herb, Provenance from, @Nullable String sure) {
        if (!from.origin().isPicked() || "yes".equals(sure)) {
            return;
        }
        cautions.lookAlikes(herb.traits()).stream()
                .findFirst()
                .ifPresent(caution -> fields.trouble("sure", caution.text(), ""));
    }

    private Optional<HerbKind> herb(Fields fields, @Nullable String typed) {
        Optional<String> name = fields.words("herb", typed, 80);
        if (name.isEmpty()) {
            return Optional.empty();
        }
        Optional<String> refusal = cautions.refusal(name.get());
        if (refusal.isPresent()) {
            fields.trouble(
                    "herb",
                    "%s is poisonous, also through the skin. It is not stored or used here."
                            .formatted(capital(refusal.get())),
                    "another herb");
            return Optional.empty();
        }
        Optional<HerbKind> known = catalogue.herbs().stream()
                .filter(kind -> isNamed(kind, name.get()))
                .min(Comparator.comparing(kind -> !Catalogue.isOwn(kind.key())));
        if (known.isEmpty()) {
            String add = UriComponentsBuilder.fromPath("/stores/catalogue")
                    .queryParam("add", "{name}")
                    .build(name.get())
                    .toString();
            fields.trouble(
                    "herb",
                    new Fields.Trouble(
                            "“%s” is not in the catalogue.".formatted(name.get()),
                            "one from the list, such as %s".formatted(nearest(name.get())),
                            List.of(),
                            List.of(new Fields.Elsewhere(add, "Or add it to the catalogue"))));
        }
        return known;
    }

    private static boolean isNamed(HerbKind kind, String name) {
        return Stream.concat(Stream.of(kind.common(), kind.botanical()), kind.synonyms().stream())
                .anyMatch(name::equalsIgnoreCase);
    }

    private String nearest(String name) {
        String start = name.substring(0, 1).toLowerCase(Locale.ROOT);
        List<String> names = catalogue.herbs().stream().map(HerbKind::common).toList();
        return names.stream()
                .filter(n -> n.toLowerCase(Locale.ROOT).startsWith(start))
                .findFirst()
                .orElse(names.get(0));
    }

    /** Reads a weight, or a volume turned into one by a density, and says by which. */
    private static Optional<Mass> mass(
            Fields fields, @Nullable String typed, Expect expect, Optional<KnownDensity> known, String how) {
        if (known.isEmpty()) {
            fields.amount("amount", typed, expect);
            return Optional.empty();
        }
        return fields.massOf("amount", typed, expect, known.get())
                .filter(read -> {
                    boolean sensible =
                            read.mass().grams() >= LEAST_GRAMS && read.mass().grams() <= Arrival.MOST_GRAMS;
                    if (!sensible) {
                        fields.trouble(
                                "amount",
                                "Understood %s; a lot is between 0.1 g and 100 kg.".formatted(read.echo()),
                                expect.examples());
                    } else if (read.byVolume()) {
                        fields.echo(
                                "amount",
                                "%s, %d g %s"
                                        .formatted(
                                                read.echo(),
                                                Math.round(read.mass().grams()),
                                                how.formatted(House.density(
                                                        known.get().density()))));
                    }
                    return sensible;
                })
                .map(Fields.Weighed::mass);
    }

    private static Optional<LocalDate> past(Fields fields, String field, @Nullable String typed, LocalDate today) {
        return fields.date(field, typed, WhenReader.ofThePast(today.atTime(12, 0)))
                .filter(date -> {
                    if (date.isAfter(today)) {
                        fields.trouble(field, "That day is still to come.", "today or earlier, or leave it empty");
                    }
                    return !date.isAfter(today);
                });
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
