package app.velvetcrock.bench;

import app.velvetcrock.batch.Retentions;
import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.making.Firmness;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.Wanted;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Stock;
import app.velvetcrock.web.Fields;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads what is wanted, oil or so many containers of a salve, and works back to herb and oil. */
final class WantSentence {

    private static final Pattern COUNT =
            Pattern.compile("(\\d{1,4}) ?(?:×|x|tins?|jars?|pots?|bottles?|sticks?|pieces?)?");
    private static final Pattern RATIO = Pattern.compile("1 ?: ?(\\d{1,3}(?:[.,]\\d{1,2})?)");

    private final Fields fields;
    private final House house;
    private final List<Stock.OfSupply> containers;
    private final Mass beeswax;
    private final Wanted.Room room;

    WantSentence(Fields fields, House house, BenchStock.Shelves shelves, Wanted.Room room) {
        this.fields = fields;
        this.house = house;
        this.containers = shelves.containers();
        this.beeswax = shelves.beeswax();
        this.room = room;
    }

    /** Herb and oil for what is wanted, at the ratio said or the first herb's usual one. */
    Optional<Wanted> wanted(BenchForm form, List<BlendSentence.Row> rows, BenchStock.Pour pour, Retentions retentions) {
        Stock.OfHerb herb = rows.get(0).herb();
        Density density = pour.density();
        Optional<Volume> oil =
                BenchForm.isBlank(Objects.requireNonNull(form.want()).container())
                        ? oil(form, density)
                        : salve(form, density);
        Pressing pressing = List.of(Pressing.values()).stream()
                .filter(p -> p.name().equals(form.pressing()))
                .findFirst()
                .orElse(Pressing.HAND);
        HerbPortion gram = new HerbPortion(
                Mass.ofGrams(1),
                herb.texture(),
                herb.moisture(),
                herb.weighedBulk(),
                herb.kind().usualRatio());
        List<Double> measured = retentions.of(herb.kind().key(), herb.texture(), herb.moisture(), pressing);
        return oil.flatMap(volume -> back(volume, ratio(form), gram, new Known(pressing, measured)));
    }

    private record Known(Pressing pressing, List<Double> measured) {}

    private Optional<Wanted> back(Volume oil, Optional<Double> said, HerbPortion gram, Known known) {
        Retention retention = Wanted.retention(gram, known.pressing(), known.measured());
        try {
            Wanted wanted = said.map(ratio -> Wanted.of(oil, ratio, retention))
                    .orElseGet(() -> Wanted.covering(oil, gram, retention, room));
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

    private Optional<Volume> salve(BenchForm form, Density density) {
        if (fields.isTooLong("want.amount", Objects.requireNonNull(form.want()).amount(), Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        Matcher count =
                COUNT.matcher(String.valueOf(Objects.requireNonNull(form.want()).amount())
                        .strip()
                        .toLowerCase(Locale.ROOT));
        Optional<UUID> id = BenchForm.id(Objects.requireNonNull(form.want()).container());
        Optional<Volume> holds = containers.stream()
                .filter(lot -> id.filter(lot.id()::equals).isPresent())
                .findFirst()
                .flatMap(Stock.OfSupply::holds);
        Optional<Double> firmness =
                BenchForm.isBlank(Objects.requireNonNull(form.want()).firmness())
                        ? Optional.of(Firmness.SALVE)
                        : fields.number(
                                "want.firmness",
                                Objects.requireNonNull(form.want()).firmness(),
                                0,
                                Firmness.HARDEST,
                                "on the scale");
        if (!count.matches() || count.group(1).equals("0")) {
            fields.trouble(
                    "want.amount",
                    "“%s” is no number of containers."
                            .formatted(Objects.requireNonNull(form.want()).amount()),
                    "18 tins");
        }
        if (holds.isEmpty()) {
            fields.trouble("want.container", "That container is not here any more.", "another from the list");
        }
        if (!fields.isClear()) {
            return Optional.empty();
        }
        Wanted.Salve salve =
                Wanted.Salve.of(Integer.parseInt(count.group(1)), holds.orElseThrow(), firmness.orElseThrow(), density);
        Mass lacks = Mass.ofGrams(Math.max(0, salve.wax().grams() - beeswax.grams()));
        fields.echo(
                "want.firmness",
                "%s in all, %s of it beeswax%s"
                        .formatted(
                                house.about(salve.all()),
                                house.about(salve.wax()),
                                lacks.grams() == 0
                                        ? ""
                                        : "; %s of that is not in the Stores".formatted(house.about(lacks))));
        long here = containers.stream()
                .filter(lot -> id.filter(lot.id()::equals).isPresent())
                .mapToLong(Stock.OfSupply::left)
                .sum();
        if (Long.parseLong(count.group(1)) > here) {
            fields.echo(
                    "want.container",
                    "%d of these are here; %d more are wanted by the day it is poured"
                            .formatted(here, Long.parseLong(count.group(1)) - here));
        }
        return Optional.of(salve.oil());
    }
}
