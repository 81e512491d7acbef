package app.velvetcrock.bench;

import app.velvetcrock.batch.OwnRights;
import app.velvetcrock.batch.Retentions;
import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.bench.Pour;
import app.velvetcrock.core.bench.WantedMaking;
import app.velvetcrock.core.bench.WantedOil;
import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.Pieces;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Backwards;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.Melt;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.Wanted;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/** Reads what is wanted, oil or so many containers of a salve, and works back to herb and oil. */
final class WantSentence {

    private static final Pattern RATIO = Pattern.compile("1 ?: ?(\\d{1,3}(?:[.,]\\d{1,2})?)");

    /** What is made where nobody says otherwise. */
    static final String USUAL = "salve";

    private static final double NEARLY_ALL = 0.999;
    private static final List<Kind> KINDS = Kind.shipped().stream()
            .filter(kind -> kind.firmness() > 0
                    && kind.others().values().stream()
                                    .mapToDouble(share -> share)
                                    .sum()
                            < NEARLY_ALL)
            .toList();

    private final Fields fields;
    private final House house;
    private final BenchShelves shelves;
    private final Wanted.Room room;
    private final OwnRights rights;

    WantSentence(Fields fields, House house, BenchShelves shelves, Wanted.Room room, OwnRights rights) {
        this.fields = fields;
        this.house = house;
        this.shelves = shelves;
        this.room = room;
        this.rights = rights;
    }

    /** Herb and oil for what is wanted, at the ratio said or the first herb's usual one. */
    Optional<WantedOil> wanted(BenchForm form, List<BlendSentence.Row> rows, Pour pour, Retentions retentions) {
        Stock.OfHerb herb = rows.get(0).herb();
        Density density = pour.density();
        boolean ofOil = !isMade(form);
        Optional<WantedMaking> making = ofOil ? Optional.empty() : making(form, density);
        Optional<Volume> oil =
                ofOil ? oil(form, density) : making.map(made -> made.back().oil());
        Pressing pressing = List.of(Pressing.values()).stream()
                .filter(p -> p.name().equals(form.pressing()))
                .findFirst()
                .orElse(Pressing.HAND);
        HerbPortion gram = new HerbPortion(
                Mass.ofGrams(1),
                herb.texture(),
                herb.moisture(),
                herb.weighedBulk(),
                herb.kind().usualRatio(herb.texture().cut()));
        List<Double> measured = retentions.of(herb.kind().key(), herb.texture(), herb.moisture(), pressing);
        return oil.flatMap(volume -> back(volume, ratio(form), gram, new Known(pressing, measured)))
                .map(wanted -> new WantedOil(wanted, making));
    }

    /** Tells whether something is to be made of the oil. */
    static boolean isMade(BenchForm form) {
        return form.want() != null
                && !BenchForm.isBlank(form.want().amount())
                && (!BenchForm.isBlank(form.want().container()) || isCounted(form));
    }

    private static boolean isCounted(BenchForm form) {
        return Pieces.read(BenchForm.or(Objects.requireNonNull(form.want()).amount(), ""))
                .filter(pieces -> !pieces.of().isEmpty())
                .isPresent();
    }

    /** The container named; where none is but a number of them, those of that word, or else those there are most of. */
    private Optional<Stock.OfSupply> tin(SentencePart.Want want, Pieces pieces) {
        Optional<UUID> id = BenchForm.id(want.container());
        return pieces.meant(
                shelves.containers().stream()
                        .filter(lot -> lot.holds().isPresent())
                        .filter(lot ->
                                id.isEmpty() || id.filter(lot.id()::equals).isPresent()),
                Stock.OfSupply::name,
                lot -> lot.holds().orElseThrow(),
                Stock.OfSupply::left);
    }

    /** Kinds that are made of an oil and poured into something. */
    static List<Kind> kinds() {
        return KINDS;
    }

    private record Known(Pressing pressing, List<Double> measured) {}

    private Optional<Wanted> back(Volume oil, Optional<Double> said, HerbPortion gram, Known known) {
        Retention retention = Wanted.retention(gram, known.pressing(), known.measured());
        try {
            Wanted wanted = said.map(ratio -> Wanted.of(oil, ratio, retention))
                    .orElseGet(() -> Wanted.dividing(oil, gram, retention, room));
            fields.echo(
                    "want.amount",
                    "%s of oil: pour %s over %s, at %s; enough nine times in ten"
                            .formatted(
                                    house.about(oil),
                                    house.about(wanted.oil()),
                                    house.about(wanted.herb()),
                                    house.ratio(wanted.ratio())));
            return Optional.of(wanted);
        } catch (IllegalArgumentException keepsAll) {
            fields.trouble(
                    "oil",
                    "At %s the herb may keep nearly all of it."
                            .formatted(said.map(house::ratio).orElse("its usual ratio")),
                    "a ratio such as 1:6");
            return Optional.empty();
        }
    }

    /** The ratio said; where none is, what is usual and covers decides. */
    private static Optional<Double> ratio(BenchForm form) {
        Matcher typed = RATIO.matcher(form.oil() == null ? "" : form.oil().strip());
        return typed.matches() ? Optional.of(Double.parseDouble(typed.group(1).replace(',', '.'))) : Optional.empty();
    }

    private Optional<Volume> oil(BenchForm form, Density density) {
        return fields.massOf(
                        "want.amount",
                        Objects.requireNonNull(form.want()).amount(),
                        Expect.LIQUID,
                        KnownDensity.ofOil(density))
                .map(read -> density.volumeOf(read.mass()))
                .filter(volume -> {
                    boolean sensible = volume.millilitres() > 0 && volume.millilitres() <= Wanted.MOST_MILLILITRES;
                    if (!sensible) {
                        fields.trouble(
                                "want.amount",
                                "Understood %s; more than nothing and at most 20 litres."
                                        .formatted(house.volume(volume)),
                                "300 mL");
                    }
                    return sensible;
                });
    }

    private Optional<WantedMaking> making(BenchForm form, Density density) {
        SentencePart.Want want = Objects.requireNonNull(form.want());
        if (fields.isTooLong("want.amount", want.amount(), Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        Kind kind = KINDS.stream()
                .filter(one -> one.key().equals(want.kind()))
                .findFirst()
                .orElseGet(() -> KINDS.stream()
                        .filter(one -> one.key().equals(USUAL))
                        .findFirst()
                        .orElseThrow());
        Optional<Pieces> pieces = Pieces.read(BenchForm.or(want.amount(), "")).filter(read -> read.count() > 0);
        Optional<Stock.OfSupply> tin = tin(want, pieces.orElse(new Pieces(0, "", Optional.empty())));
        Optional<Double> firmness = BenchForm.isBlank(want.firmness())
                ? Optional.of(rights.of(kind.key(), house)
                        .right()
                        .map(OwnRight::target)
                        .orElse(kind.firmness()))
                : fields.firmness("want.firmness", want.firmness(), kind.firmness());
        if (pieces.isEmpty()) {
            fields.trouble(
                    "want.amount",
                    "“%s” is no number of containers.".formatted(want.amount()),
                    "18 tins, or 17 people");
        }
        if (tin.isEmpty()) {
            fields.trouble(
                    "want.container",
                    "No such container is here.",
                    "another from the list; put yours into the Stores first, also where none is left");
        } else if (BenchForm.isBlank(want.container())) {
            fields.echo("want.container", "in: " + tin.get().name());
        }
        return fields.isClear()
                ? made(kind, pieces.orElseThrow().count(), tin.orElseThrow(), firmness.orElseThrow(), density)
                : Optional.empty();
    }

    private Optional<WantedMaking> made(Kind kind, int count, Stock.OfSupply tin, double firmness, Density density) {
        Container container = new Container(tin.name(), tin.holds().orElseThrow(), false);
        try {
            Backwards back = Backwards.of(
                    new Backwards.Wish(kind, count, container, firmness),
                    density,
                    house.settings().room());
            String besides = WantedMaking.besidesOil(back).stream()
                    .map(part -> "%s of it %s".formatted(house.about(part.mass()), WantedMaking.name(part, shelves)))
                    .collect(Collectors.joining(", "));
            fields.echo(
                    "want.firmness",
                    "%s in all, firmness %s%s"
                            .formatted(
                                    house.about(back.melt().formula().total()),
                                    Decimals.upTo(back.melt().firmness().value(), 1),
                                    besides.isEmpty() ? "" : ", " + besides));
            return Optional.of(new WantedMaking(kind, count, tin, firmness, back));
        } catch (Melt.CannotBe cannot) {
            fields.trouble("want.amount", cannot.getMessage() + ".", "fewer");
            return Optional.empty();
        }
    }
}
