package app.velvetcrock.bench;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Expect;
import app.velvetcrock.core.measure.KnownDensity;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stores.Stock;
import app.velvetcrock.web.Fields;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads the blanks of the Bench's sentence, each with its trouble beside it. */
final class BenchSentence {

    private static final double MOST_GRAMS = 20_000;
    private static final double MOST_MILLILITRES = 50_000;
    private static final int LONGEST_AGO_DAYS = 730;

    /** What is really weighed out may differ from the plan by no more than this; beyond it one of the two is a slip. */
    private static final double MOST_OFF = 2;

    private final Fields fields;
    private final House house;
    private final LocalDate today;

    BenchSentence(Fields fields, House house, LocalDate today) {
        this.fields = fields;
        this.house = house;
        this.today = today;
    }

    /** A herb by weight; by volume it is weighed by its loose bulk density, and says so. */
    Optional<Mass> herbMass(Stock.OfHerb herb, @Nullable String typed) {
        Density bulk = herb.weighedBulk().orElseGet(() -> herb.texture().bulkIn(herb.moisture()));
        return fields.massOf("amount", typed, Expect.SOLID, KnownDensity.ofHerb(bulk))
                .map(read -> {
                    if (read.byVolume()) {
                        fields.echo("amount", read.echo() + ", about " + Math.round(read.mass().grams()) + " g loosely filled");
                    }
                    return read.mass();
                })
                .filter(mass -> within("amount", mass.grams(), MOST_GRAMS, "g"));
    }

    /** The herb as fine as it is to be taken; nothing makes it coarser than it is stored. A weighed cup of another cut does not hold. */
    Stock.OfHerb cut(Stock.OfHerb stored, @Nullable String typed, Materia materia) {
        if (typed == null || typed.isBlank() || typed.equals(stored.texture().cut().name())) {
            return stored;
        }
        Optional<Cut> cut = fields.oneOf("cut", Cut.class, typed);
        if (cut.filter(c -> c.compareTo(stored.texture().cut()) < 0).isPresent()) {
            fields.trouble("cut", "This is stored %s; it cannot be made coarser.".formatted(stored.texture().cut().word()), "as it is, or finer");
            return stored;
        }
        return cut.map(c -> stored.at(materia.texture(stored.texture().part(), c))).orElse(stored);
    }

    /** Nothing typed covers the herb; "1:7" is a ratio; else an amount. */
    Optional<OilWish> oil(Stock.OfCarrier carrier, @Nullable String typed) {
        String text = typed == null ? "" : typed.strip();
        if (text.isEmpty()) {
            return Optional.of(new OilWish.ToCover());
        }
        if (text.matches("1 ?: ?\\d{1,3}([.,]\\d{1,2})?")) {
            double ratio = Double.parseDouble(text.replaceFirst("1 ?: ?", "").replace(',', '.'));
            if (ratio < 0.5 || ratio > 100) {
                fields.trouble("oil", "Understood 1 g of herb to %s mL of oil; it must be between 0.5 and 100.".formatted(ratio), "1:5 or 1:8");
                return Optional.empty();
            }
            return Optional.of(new OilWish.ByRatio(ratio));
        }
        return volume("oil", carrier, text).map(OilWish.Exactly::new);
    }

    Optional<PlanRequest.Circumstances> circumstances(BenchForm form, Optional<Strength> spirit) {
        Method method = form.way();
        List<Integer> lengths = new ArrayList<>();
        length("length", form.length(), method.first()).ifPresent(lengths::add);
        if (method.stages().size() > 1) {
            String then = form.then() == null || form.then().isBlank() ? method.stages().get(1).pace().words(method.stages().get(1).usual()) : form.then();
            length("then", then, method.stages().get(1)).ifPresent(lengths::add);
        }
        Optional<LocalDate> start = start(form.start());
        Optional<Use> use = fields.oneOf("use", Use.class, form.use());
        Optional<Pressing> pressing = fields.oneOf("pressing", Pressing.class, form.pressing());
        Optional<Storage> storage = fields.oneOf("storage", Storage.class, form.storage());
        return fields.isClear()
                ? Optional.of(new PlanRequest.Circumstances(
                        method, lengths, start.orElseThrow(), use.orElseThrow(), pressing.orElseThrow(), storage.orElseThrow(), house.settings().pantry(), spirit))
                : Optional.empty();
    }

    /** What the herb really weighed: as planned when nothing is typed. */
    Optional<Mass> weighed(@Nullable String typed, Mass planned, Mass left) {
        if (typed == null || typed.isBlank()) {
            return Optional.of(planned);
        }
        return fields.mass("weighed", typed, planned.grams() / MOST_OFF, Math.min(planned.grams() * MOST_OFF, left.grams()));
    }

    /** What oil was really poured: as planned when nothing is typed. */
    Optional<Volume> poured(@Nullable String typed, Stock.OfCarrier carrier, Volume planned) {
        if (typed == null || typed.isBlank()) {
            return Optional.of(planned);
        }
        double most = Math.min(planned.millilitres() * MOST_OFF, carrier.volumeLeft().millilitres());
        return volume("poured", carrier, typed).filter(volume -> {
            boolean near = volume.millilitres() >= planned.millilitres() / MOST_OFF && volume.millilitres() <= most;
            if (!near) {
                fields.trouble("poured", "Understood %s; the plan says %s and the bottle holds %s.".formatted(
                        house.volume(volume), house.volume(planned), house.volume(carrier.volumeLeft())), "what was poured, or change the plan");
            }
            return near;
        });
    }

    private Optional<Volume> volume(String field, Stock.OfCarrier carrier, String typed) {
        return fields.massOf(field, typed, Expect.LIQUID, KnownDensity.ofOil(carrier.density()))
                .map(read -> carrier.density().volumeOf(read.mass()))
                .filter(volume -> within(field, volume.millilitres(), MOST_MILLILITRES, "mL"));
    }

    private boolean within(String field, double value, double most, String unit) {
        if (value > 0 && value <= most) {
            return true;
        }
        String number = Decimals.upTo(value, 1);
        fields.trouble(field, "Understood as %s %s; a jar takes more than nothing and at most %.0f %s.".formatted(number, unit, most, unit), "40 g or 350 mL");
        return false;
    }

    /** A length in the stage's pace. One typed for another way, as days for hours of heat, gives way to the usual and says so. */
    private Optional<Integer> length(String field, @Nullable String typed, Stage stage) {
        String text = typed == null ? "" : typed.strip();
        boolean bare = text.matches("\\d+");
        return fields.amount(field, bare ? text + " " + stage.pace().many() : text, Expect.TIME)
                .map(read -> ((TimeSpan) read.amount().middle()).minutes())
                .flatMap(minutes -> {
                    double exact = minutes / stage.pace().minutes();
                    int count = (int) Math.round(exact);
                    if (count >= stage.least() && count <= stage.most()) {
                        if (text.equals(stage.pace().words(count))) {
                            fields.quiet(field);
                        }
                        return Optional.of(count);
                    }
                    boolean otherPace = isUsualOfAnother(text, stage);
                    if (otherPace) {
                        fields.echo(field, "%s is for another way; %s is usual for this one".formatted(text, stage.pace().words(stage.usual())));
                        return Optional.of(stage.usual());
                    }
                    fields.trouble(field, "Understood as %s %s; this way takes between %d and %s.".formatted(
                            Decimals.upTo(exact, 1), stage.pace().many(), stage.least(), stage.most() + " " + stage.pace().many()),
                            stage.pace().words(stage.usual()));
                    return Optional.empty();
                });
    }

    /** A length that stood there for another way when this one was chosen. */
    private static boolean isUsualOfAnother(String text, Stage stage) {
        boolean days = text.matches(".*\\b(d|days?|w|weeks?)$");
        boolean clock = text.matches(".*\\b(h|hours?|hrs?|min|minutes?)$");
        return (stage.pace() == Pace.DAYS ? clock : days) || Method.shipped().stream().flatMap(method -> method.stages().stream())
                .anyMatch(other -> other.pace().words(other.usual()).equals(text) && !other.equals(stage));
    }

    private Optional<LocalDate> start(@Nullable String typed) {
        Optional<LocalDate> start = fields.date("start", typed).filter(date -> {
            boolean sensible = !date.isAfter(today) && !date.isBefore(today.minusDays(LONGEST_AGO_DAYS));
            if (!sensible) {
                fields.trouble("start", "Understood %s; a jar is charged today or was charged earlier.".formatted(house.date(date)), "today, or a day already past");
            }
            return sensible;
        });
        if (start.isEmpty() && !fields.troubles().containsKey("start")) {
            fields.trouble("start", "No day is written here.", today + " for today");
        }
        return start;
    }
}
