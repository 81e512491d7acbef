package app.velvetcrock.bench;

import app.velvetcrock.core.bench.Pour;
import app.velvetcrock.core.bench.SpiritChoice;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Source;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Variants;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.spirit.Dosing;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Reads the blanks of the Bench's sentence, each with its trouble beside it. */
final class BenchSentence {

    private static final Pattern RATIO =
            Pattern.compile("1 ?: ?(\\d{1,3}(?:[.,]\\d{1,2})?)( ?(?:by volume|cups?|by cups))?");
    private static final Pattern FILL =
            Pattern.compile("(?:to )?fill(?: it| the jar)?(?: up)?|full|to the (?:top|headspace)");
    private static final Pattern ABOVE = Pattern.compile("(.+?) above(?: it| the herb)?");
    private static final double LEAST_RATIO = 0.5;
    private static final double MOST_RATIO = 100;
    private static final double MOST_CUPS = 50;
    private static final double DEEPEST = 500;
    private static final double LEAST_SPIRIT = 20;
    private static final int LONGEST_REASON = 300;
    private static final double MOST_MILLILITRES = 50_000;
    private static final int LONGEST_AGO_DAYS = 730;

    /** What is really weighed out may differ from the plan by no more than this; beyond it one of the two is a slip. */
    private static final double MOST_OFF = 2;

    private final Fields fields;
    private final House house;
    private final LocalDate today;
    private final Instant now;

    BenchSentence(Fields fields, House house, Instant now) {
        this.fields = fields;
        this.house = house;
        this.today = house.dayOf(now);
        this.now = now;
    }

    /** The herb as fine as it is to be taken; nothing makes it coarser than it is stored. A weighed cup of another cut does not hold. */
    Stock.OfHerb cut(Stock.OfHerb stored, @Nullable String typed, Materia materia) {
        if (typed == null
                || typed.isBlank()
                || typed.equals(stored.texture().cut().name())) {
            return stored;
        }
        Optional<Cut> cut = fields.oneOf("cut", Cut.class, typed);
        if (cut.filter(c -> c.compareTo(stored.texture().cut()) < 0).isPresent()) {
            fields.trouble(
                    "cut",
                    "This is stored %s; it cannot be made coarser."
                            .formatted(stored.texture().cut().word()),
                    "as it is, or finer");
            return stored;
        }
        return cut.map(c -> stored.at(materia.texture(stored.texture().part(), c)))
                .orElse(stored);
    }

    /** Another herb of a blend: at least as fine as the first is taken, never coarser than it is stored. */
    Stock.OfHerb atLeast(Stock.OfHerb stored, @Nullable String typed, Materia materia) {
        return Stream.of(Cut.values())
                .filter(cut -> cut.name().equals(typed)
                        && cut.compareTo(stored.texture().cut()) > 0)
                .findFirst()
                .map(cut -> stored.at(materia.texture(stored.texture().part(), cut)))
                .orElse(stored);
    }

    /** Nothing typed covers the herb; "1:7" is a ratio, by weight or by volume; "fill" and "2 cm above" go by the jar; else an amount. */
    Optional<OilWish> oil(Density density, @Nullable String typed) {
        if (fields.isTooLong("oil", typed, Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        String text = typed == null ? "" : typed.strip().toLowerCase(Locale.ROOT);
        Matcher ratio = RATIO.matcher(text);
        Matcher above = ABOVE.matcher(text);
        if (text.isEmpty()) {
            return Optional.of(new OilWish.ToCover());
        } else if (ratio.matches()) {
            return ratio(Double.parseDouble(ratio.group(1).replace(',', '.')), ratio.group(2) != null);
        } else if (FILL.matcher(text).matches()) {
            fields.echo("oil", "as much as fills it, with air left under the lid");
            return Optional.of(new OilWish.ToFill());
        } else if (above.matches()) {
            return fields.length("oil", above.group(1), 1, DEEPEST).map(OilWish.Above::new);
        }
        return volume("oil", density, text).map(OilWish.Exactly::new);
    }

    private Optional<OilWish> ratio(double ratio, boolean byVolume) {
        if (ratio < LEAST_RATIO || ratio > (byVolume ? MOST_CUPS : MOST_RATIO)) {
            fields.trouble(
                    "oil",
                    "Understood one of herb to %s of oil; it must be between %s and %.0f."
                            .formatted(Decimals.upTo(ratio, 2), LEAST_RATIO, byVolume ? MOST_CUPS : MOST_RATIO),
                    byVolume ? "1:2 by volume" : "1:5 or 1:8");
            return Optional.empty();
        }
        if (byVolume) {
            fields.echo("oil", "cups to cups, the herb loose");
        }
        return Optional.of(byVolume ? new OilWish.ByCups(ratio) : new OilWish.ByRatio(ratio));
    }

    /** The spirit named, else the strongest; only a way that takes one reads the rest of the form. */
    SpiritChoice spirit(SentencePart.SpiritForm form, List<Stock.OfSupply> spirits, boolean asked) {
        Optional<Stock.OfSupply> lot = BenchForm.id(form.lot())
                .flatMap(id -> spirits.stream().filter(s -> s.id().equals(id)).findFirst())
                .or(() -> spirits.stream().findFirst());
        Optional<Strength> bottle = lot.flatMap(Stock.OfSupply::strength);
        if (!asked || lot.isEmpty()) {
            return new SpiritChoice(lot, bottle, Dosing.AS_USUAL);
        }
        Optional<Double> perGram = BenchForm.isBlank(form.perGram())
                ? Optional.of(Dosing.USUAL)
                : fields.number("spirit.perGram", form.perGram(), Dosing.LEAST, Dosing.MOST, "g to a gram of herb");
        if (BenchForm.isBlank(form.thin())) {
            return new SpiritChoice(lot, bottle, new Dosing(perGram.orElse(Dosing.USUAL), Optional.empty()));
        }
        double most = bottle.orElseThrow().percent() - 1;
        Optional<Double> thin = fields.number("spirit.thin", form.thin(), Math.min(LEAST_SPIRIT, most), most, "%");
        return new SpiritChoice(
                lot,
                thin.map(Strength::new).or(() -> bottle),
                new Dosing(perGram.orElse(Dosing.USUAL), thin.isPresent() ? bottle : Optional.empty()));
    }

    /** How, when and for whom. */
    Optional<PlanRequest.Circumstances> circumstances(
            BenchForm form, Method method, SpiritChoice spirit, Set<Source> kit) {
        List<Integer> lengths = new ArrayList<>();
        length("length", form.length(), method.first()).ifPresent(lengths::add);
        if (method.stages().size() > 1) {
            String then = BenchForm.isBlank(form.then())
                    ? method.stages().get(1).pace().words(method.stages().get(1).usual())
                    : form.then();
            length("then", then, method.stages().get(1)).ifPresent(lengths::add);
        }
        Optional<LocalDate> start = start(form.start());
        Optional<Use> use = fields.oneOf("use", Use.class, form.use());
        Optional<Pressing> pressing = fields.oneOf("pressing", Pressing.class, form.pressing());
        Optional<Storage> storage = fields.oneOf("storage", Storage.class, form.storage());
        Optional<String> knowingly = fields.optionalWords("knowingly", form.knowingly(), LONGEST_REASON)
                .filter(words -> !words.isEmpty());
        return fields.isClear()
                ? Optional.of(new PlanRequest.Circumstances(
                        method,
                        lengths,
                        start.orElseThrow(),
                        use.orElseThrow(),
                        pressing.orElseThrow(),
                        storage.orElseThrow(),
                        new Means(house.settings().pantry(), spirit.strength(), kit),
                        spirit.dosing(),
                        knowingly))
                : Optional.empty();
    }

    /** What the herb really weighed: as planned when nothing is typed. */
    Optional<Mass> weighed(@Nullable String typed, Mass planned, double leftGrams) {
        if (typed == null || typed.isBlank()) {
            return Optional.of(planned);
        }
        return fields.mass(
                "weighed", typed, planned.grams() / MOST_OFF, Math.min(planned.grams() * MOST_OFF, leftGrams));
    }

    /** What oil was really poured: as planned when nothing is typed. */
    Optional<Volume> poured(@Nullable String typed, Pour from, Volume planned) {
        if (typed == null || typed.isBlank()) {
            return Optional.of(planned);
        }
        Density density = from.density();
        Volume left = from.most();
        double most = Math.min(planned.millilitres() * MOST_OFF, left.millilitres());
        return volume("poured", density, typed).filter(volume -> {
            boolean near = volume.millilitres() >= planned.millilitres() / MOST_OFF && volume.millilitres() <= most;
            if (!near) {
                fields.trouble(
                        "poured",
                        "Understood %s; the plan says %s and the bottle holds %s."
                                .formatted(house.volume(volume), house.volume(planned), house.volume(left)),
                        "what was poured, or change the plan");
            }
            return near;
        });
    }

    private Optional<Volume> volume(String field, Density density, String typed) {
        return fields.massOf(field, typed, Expect.LIQUID, KnownDensity.ofOil(density))
                .map(read -> density.volumeOf(read.mass()))
                .filter(volume -> within(field, volume.millilitres(), MOST_MILLILITRES, "mL"));
    }

    private boolean within(String field, double value, double most, String unit) {
        if (value > 0 && value <= most) {
            return true;
        }
        String number = Decimals.upTo(value, 1);
        fields.trouble(
                field,
                "Understood as %s %s; a jar takes more than nothing and at most %.0f %s."
                        .formatted(number, unit, most, unit),
                "40 g or 350 mL");
        return false;
    }

    /** A length in the stage's pace. One typed for another way, as days for hours of heat, gives way to the usual and says so. */
    private Optional<Integer> length(String field, @Nullable String typed, Stage stage) {
        if (fields.isTooLong(field, typed, Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        String text = typed == null ? "" : typed.strip();
        boolean bare = Linear.matches(text, "\\d+");
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
                        fields.echo(
                                field,
                                "%s is for another way; %s is usual for this one"
                                        .formatted(text, stage.pace().words(stage.usual())));
                        return Optional.of(stage.usual());
                    }
                    fields.trouble(
                            field,
                            "Understood as %s %s; this way takes between %d and %s."
                                    .formatted(
                                            Decimals.upTo(exact, 1),
                                            stage.pace().many(),
                                            stage.least(),
                                            stage.most() + " " + stage.pace().many()),
                            stage.pace().words(stage.usual()));
                    return Optional.empty();
                });
    }

    /** The usual length of another way, which stood there when this one was chosen. */
    private static boolean isUsualOfAnother(String text, Stage stage) {
        return Method.shipped().stream()
                .flatMap(method -> Stream.concat(Stream.of(method), Variants.of(method).stream()))
                .flatMap(method -> method.stages().stream())
                .anyMatch(other -> other.pace().words(other.usual()).equals(text) && !other.equals(stage));
    }

    private Optional<LocalDate> start(@Nullable String typed) {
        WhenReader past = house.past(now);
        boolean hasHour =
                typed != null && past.day(typed).isEmpty() && past.moment(typed).isPresent();
        Optional<LocalDate> start = (hasHour
                        ? fields.moment("start", typed, past).filter(this::isNotToCome)
                        : fields.date("start", typed, past).map(day -> day.atTime(12, 0)))
                .map(LocalDateTime::toLocalDate)
                .filter(date -> {
                    boolean sensible = !date.isAfter(today) && !date.isBefore(today.minusDays(LONGEST_AGO_DAYS));
                    if (!sensible) {
                        fields.trouble(
                                "start",
                                "Understood %s; a jar is charged today or was charged earlier."
                                        .formatted(house.date(date)),
                                "today, or a day already past");
                    }
                    return sensible;
                });
        if (start.isEmpty() && !fields.troubles().containsKey("start")) {
            fields.trouble("start", "No day is written here.", today + " for today");
        }
        return start;
    }

    private boolean isNotToCome(LocalDateTime there) {
        boolean past = !May.isToCome(there.atZone(house.settings().zone()).toInstant(), now);
        if (!past) {
            fields.trouble(
                    "start",
                    "Understood %s, which is still to come; a jar is charged now or was charged earlier."
                            .formatted(Wording.written(there)),
                    "today, or yesterday 18:30");
        }
        return past;
    }

    /** When it was charged: at the hour that was said ("2 hours ago"); of a day alone now where that is today, else noon. */
    Instant charged(@Nullable String typed, LocalDate day) {
        return Optional.ofNullable(typed)
                .flatMap(house.past(now)::moment)
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .map(at -> May.atLatest(at, now))
                .orElseGet(() -> house.instantOn(day, now));
    }
}
