package app.velvetcrock.bench;

import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.Reading.Understood;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Band;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Tending;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads the numbers of a way that are to be others than it has: temperatures and how often it is tended. */
public final class NumbersSentence {

    private static final Pattern RHYTHM = Pattern.compile("(\\d{1,3})(?: for (\\d{1,3}))?(?:[, ]+then (\\d{1,3}))?");
    private static final String UNITS = "\\b(?:every|days?|d|hours?|hrs?|h|minutes?|mins?)\\b";

    private final Fields fields;
    private final House house;

    NumbersSentence(Fields fields, House house) {
        this.fields = fields;
        this.house = house;
    }

    /** The way with the numbers typed; the way itself where none is. */
    Method apply(Method way, SentencePart.Numbers typed) {
        if (!typed.isTyped()) {
            return way;
        }
        List<Stage> stages = new ArrayList<>(way.stages());
        stages.set(
                0,
                heat(
                        stages.get(0),
                        new Typed("numbers.band", typed.band()),
                        new Typed("numbers.ceiling", typed.ceiling())));
        if (stages.size() > 1) {
            stages.set(
                    1,
                    heat(
                            stages.get(1),
                            new Typed("numbers.thenBand", typed.thenBand()),
                            new Typed("numbers.thenCeiling", typed.thenCeiling())));
        }
        tend(stages, Tending.Kind.SHAKE, new Typed("numbers.shake", typed.shake()));
        tend(stages, Tending.Kind.LOOK, new Typed("numbers.look", typed.look()));
        tend(stages, Tending.Kind.READ, new Typed("numbers.read", typed.read()));
        return stages.equals(way.stages()) ? way : way.variant("own", way.base().name() + ", own numbers", stages);
    }

    private record Typed(String field, @Nullable String text) {

        boolean isBlank() {
            return BenchForm.isBlank(text);
        }
    }

    private Stage heat(Stage stage, Typed band, Typed ceiling) {
        if (band.isBlank() && ceiling.isBlank()) {
            return stage;
        }
        Optional<Band> wanted = band.isBlank() ? Optional.of(stage.band()) : band(band, stage);
        Optional<Temperature> limit = ceiling.isBlank() || !stage.isHeated() ? stage.ceiling() : temperature(ceiling);
        if (wanted.isEmpty() || stage.isHeated() && limit.isEmpty()) {
            return stage;
        }
        try {
            return stage.at(wanted.get(), limit);
        } catch (IllegalArgumentException outside) {
            String field =
                    band.isBlank() || limit.filter(stage::allowsCeiling).isEmpty() ? ceiling.field() : band.field();
            fields.trouble(
                    field,
                    "This stage is kept between %s and %s, its band under its ceiling."
                            .formatted(house.temperature(stage.leastBand()), house.temperature(stage.mostHeat())),
                    field.equals(band.field())
                            ? words(stage.band())
                            : stage.ceiling().map(house::temperature).orElse(""));
            return stage;
        }
    }

    /** A band as somebody would type it: "40 to 52 °C". */
    private String words(Band band) {
        return house.temperatures(band.low(), band.high());
    }

    private Optional<Band> band(Typed typed, Stage stage) {
        return fields.amount(typed.field(), typed.text(), Expect.TEMPERATURE)
                .map(Understood::amount)
                .flatMap(amount -> {
                    if (!amount.isRange()) {
                        fields.trouble(
                                typed.field(), "One temperature alone is no band to keep it in.", words(stage.band()));
                        return Optional.empty();
                    }
                    return Optional.of(new Band((Temperature) amount.least(), (Temperature) amount.most()));
                });
    }

    private Optional<Temperature> temperature(Typed typed) {
        return fields.amount(typed.field(), typed.text(), Expect.TEMPERATURE)
                .map(read -> (Temperature) read.amount().middle());
    }

    private void tend(List<Stage> stages, Tending.Kind kind, Typed typed) {
        if (typed.isBlank()) {
            return;
        }
        for (int i = 0; i < stages.size(); i++) {
            Stage stage = stages.get(i);
            if (stage.tending(kind).isPresent()) {
                int at = i;
                rhythm(kind, typed, stage).ifPresent(tending -> stages.set(at, stage.tended(tending)));
            }
        }
    }

    private Optional<Tending> rhythm(Tending.Kind kind, Typed typed, Stage stage) {
        if (fields.isTooLong(typed.field(), typed.text(), Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        String plain = Linear.every(
                        Linear.every(
                                Linear.every(
                                        String.valueOf(typed.text())
                                                .toLowerCase(Locale.ROOT)
                                                .replace("daily", "1"),
                                        UNITS,
                                        " "),
                                "\\s+,",
                                ","),
                        "\\s+",
                        " ")
                .strip();
        Matcher matcher = RHYTHM.matcher(plain);
        int every = matcher.matches() ? Integer.parseInt(matcher.group(1)) : 0;
        if (every < 1) {
            fields.trouble(
                    typed.field(),
                    "“%s” is no rhythm known here."
                            .formatted(String.valueOf(typed.text()).strip()),
                    "1 for 7, then 3");
            return Optional.empty();
        }
        int after = matcher.group(3) == null ? every : Math.max(1, Integer.parseInt(matcher.group(3)));
        int upTo =
                matcher.group(2) == null ? every : Math.max(every, Integer.parseInt(matcher.group(2)) / every * every);
        String unit = stage.pace().many();
        fields.echo(
                typed.field(),
                every == after
                        ? "every %d %s".formatted(every, unit)
                        : "every %d up to %d %s, then every %d".formatted(every, upTo, unit, after));
        return Optional.of(new Tending(kind, every, upTo, after));
    }

    /** A number of a way that can be another: its field, what is typed there, and what the way has. */
    public record Blank(String label, String field, String typed, String hint) {}

    /** The numbers of one stage, and between which lengths it lies. */
    public record StageRow(List<Blank> blanks, String between) {}

    /** Every number of a way with what is typed for it. */
    static List<StageRow> rows(Method way, SentencePart.Numbers typed, House house) {
        List<StageRow> rows = new ArrayList<>();
        for (Stage stage : way.stages()) {
            boolean first = rows.isEmpty();
            List<Blank> blanks = new ArrayList<>();
            blanks.add(new Blank(
                    stage.name() + ", kept between",
                    first ? "numbers.band" : "numbers.thenBand",
                    or(first ? typed.band() : typed.thenBand()),
                    house.temperatures(stage.band().low(), stage.band().high())));
            stage.ceiling()
                    .ifPresent(ceiling -> blanks.add(new Blank(
                            "never above (at most %s)".formatted(house.temperature(stage.mostHeat())),
                            first ? "numbers.ceiling" : "numbers.thenCeiling",
                            or(first ? typed.ceiling() : typed.thenCeiling()),
                            house.temperature(ceiling))));
            stage.tendings()
                    .forEach(tending -> blanks.add(new Blank(
                            "%s every … %s"
                                    .formatted(
                                            done(tending.kind()), stage.pace().many()),
                            "numbers." + tending.kind().name().toLowerCase(Locale.ROOT),
                            or(
                                    switch (tending.kind()) {
                                        case SHAKE -> typed.shake();
                                        case LOOK -> typed.look();
                                        case READ -> typed.read();
                                    }),
                            words(tending))));
            String most = stage.pace().words(stage.most());
            rows.add(new StageRow(
                    blanks,
                    (stage.least() == stage.most() ? most : stage.least() + " to " + most)
                            + (stage.vented() ? ", under cloth or a loose lid" : "")));
        }
        return rows;
    }

    private static String done(Tending.Kind kind) {
        return switch (kind) {
            case SHAKE -> "shaken";
            case LOOK -> "looked at";
            case READ -> "read";
        };
    }

    private static String or(@Nullable String typed) {
        return typed == null ? "" : typed;
    }

    /** A rhythm as somebody would type it: "1 for 7, then 3". */
    public static String words(Tending tending) {
        return tending.everyAtFirst() == tending.everyAfter()
                ? String.valueOf(tending.everyAfter())
                : "%d for %d, then %d".formatted(tending.everyAtFirst(), tending.first(), tending.everyAfter());
    }
}
