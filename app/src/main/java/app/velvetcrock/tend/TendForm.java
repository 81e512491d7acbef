package app.velvetcrock.tend;

import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.heat.OtherScale;
import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.Reading;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What was typed on one of a batch's small forms; each uses a few of these.
 *
 * @param back where to go afterwards: "shelf" or "watch", else the batch
 * @param well "yes" where one tap said that all is well
 * @param when when it was done, as people say it; empty for now
 */
record TendForm(
        @Nullable UUID key,
        @Nullable String back,
        @Nullable String well,
        @Nullable String when,
        @Nullable String task,
        @Nullable String words,
        @Nullable String smell,
        @Nullable String cover,
        @Nullable String mould,
        @Nullable String temperature,
        @Nullable String amount,
        @Nullable UUID from,
        @Nullable String ruin,
        @Nullable String lesson) {

    static final int LONGEST_NOTE = 500;
    private static final double MOST_TOP_UP_MILLILITRES = 5000;
    private static final double LEAST_CELSIUS = 0;
    private static final double MOST_CELSIUS = 200;

    static TendForm empty() {
        return of(null, null);
    }

    static TendForm of(@Nullable UUID key, @Nullable String when) {
        return new TendForm(key, null, null, when, null, null, null, null, null, null, null, null, null, null);
    }

    TendForm reading(String read) {
        return new TendForm(key, back, well, when, task, words, smell, cover, mould, read, amount, from, ruin, lesson);
    }

    TendForm saying(String said) {
        return new TendForm(
                key, back, well, when, task, said, smell, cover, mould, temperature, amount, from, ruin, lesson);
    }

    TendForm looking(Look seen) {
        return new TendForm(
                key,
                back,
                null,
                when,
                task,
                words,
                seen.smell().name(),
                seen.standsOut() ? "OUT" : "UNDER",
                seen.mould() ? "YES" : "NO",
                temperature,
                amount,
                from,
                ruin,
                lesson);
    }

    UUID keyOrNew() {
        return key == null ? UUID.randomUUID() : key;
    }

    String leadsTo(UUID batch) {
        return "shelf".equals(back) ? shelf() : "/batch/" + batch + (isWatched() ? "/watch" : "");
    }

    /** Tells whether it was sent from the watch. */
    boolean isWatched() {
        return "watch".equals(back);
    }

    /** Rounds stays at the moment somebody catches up with. */
    private String shelf() {
        return when == null || when.isBlank()
                ? "/shelf"
                : UriComponentsBuilder.fromPath("/shelf")
                        .queryParam("when", "{when}")
                        .encode()
                        .buildAndExpand(when)
                        .toUriString();
    }

    /** When it was done; now where nothing is said, or nothing that can be read. */
    Instant when(Fields fields, House house, Instant now) {
        return fields.moment("when", when, house.past(now))
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .orElse(now);
    }

    /** A look: all well by the one tap that says so, else what was said of smell, cover and mould; a form that says nothing is asked. */
    Optional<Look> look(Fields fields) {
        if ("yes".equals(well)) {
            return Optional.of(Look.ALL_WELL);
        }
        Optional<Smell> smelled = fields.oneOf("smell", Smell.class, smell);
        Optional<Boolean> out = either(fields, "cover", cover, "OUT", "UNDER");
        Optional<Boolean> grows = either(fields, "mould", mould, "YES", "NO");
        return smelled.isPresent() && out.isPresent() && grows.isPresent()
                ? Optional.of(new Look(smelled.get(), out.get(), grows.get()))
                : Optional.empty();
    }

    /** What a line should have said: of the same kind, doing the same task; absent with a trouble where that is not clear. */
    Optional<Line> corrected(Line before, Fields fields, Stage stage, House house) {
        if (before instanceof Line.Corrected again) {
            return corrected(again.now(), fields, stage, house);
        }
        if (before instanceof Line.Heat read) {
            return heat(fields, stage, house).map(is -> new Line.Heat(read.task(), is));
        }
        if (before instanceof Line.Looked looked) {
            return look(fields).map(seen -> new Line.Looked(looked.task(), seen));
        }
        if (before instanceof Line.Noted) {
            return fields.words("words", words, LONGEST_NOTE).map(Line.Noted::new);
        }
        if (before instanceof Line.Lesson) {
            return fields.words("words", words, LONGEST_NOTE).map(Line.Lesson::new);
        }
        return Optional.of(before);
    }

    private static Optional<Boolean> either(
            Fields fields, String field, @Nullable String typed, String yes, String no) {
        if (yes.equals(typed) || no.equals(typed)) {
            return Optional.of(yes.equals(typed));
        }
        fields.trouble(field, "Nothing is chosen here yet.", "one from the list");
        return Optional.empty();
    }

    /** How warm the oil was; a bare number that fits no oil on this heat, but would in the other scale, is asked about. */
    Optional<Temperature> heat(Fields fields, Stage stage, House house) {
        return fields.amount("temperature", temperature, Expect.TEMPERATURE)
                .map(read -> (Temperature) read.amount().middle())
                .filter(read -> !isOfTheOtherScale(read, fields, stage, house))
                .filter(read -> {
                    boolean sensible = read.celsius() >= LEAST_CELSIUS && read.celsius() <= MOST_CELSIUS;
                    if (!sensible) {
                        fields.trouble(
                                "temperature",
                                "Understood %s; an oil on the heat is between %s and %s."
                                        .formatted(
                                                house.temperature(read),
                                                house.temperature(Temperature.ofCelsius(LEAST_CELSIUS)),
                                                house.temperature(Temperature.ofCelsius(MOST_CELSIUS))),
                                "46 °C or 115 °F");
                    }
                    return sensible;
                });
    }

    private boolean isOfTheOtherScale(Temperature read, Fields fields, Stage stage, House house) {
        String typed = temperature == null ? "" : temperature.strip();
        boolean bare = typed.chars().noneMatch(c -> Character.isLetter(c) || c == '°');
        boolean celsius = house.settings().units().scale() == TemperatureScale.CELSIUS;
        Optional<Temperature> other = bare ? OtherScale.meant(read, celsius, stage) : Optional.empty();
        other.ifPresent(meant -> fields.trouble(
                "temperature",
                new Fields.Trouble(
                        "Which is meant? %s fits no oil on this heat; the other scale would be %s."
                                .formatted(house.temperature(read), house.temperature(meant)),
                        "",
                        List.of(choice(typed, celsius ? " °F" : " °C"), choice(typed, celsius ? " °C" : " °F")),
                        List.of())));
        return other.isPresent();
    }

    private static Reading.Understood choice(String typed, String unit) {
        AmountReader reader = new AmountReader(HouseholdUnits.METRIC);
        return (Reading.Understood) reader.read(typed + unit, Expect.TEMPERATURE);
    }

    Optional<Stock.OfCarrier> bottle(Fields fields, List<Stock.OfCarrier> bottles) {
        Optional<Stock.OfCarrier> chosen =
                bottles.stream().filter(bottle -> bottle.id().equals(from)).findFirst();
        if (chosen.isEmpty()) {
            fields.trouble(
                    "from",
                    "No bottle of this oil is chosen.",
                    "one from the list, or bring one into the Stores first");
        }
        return chosen;
    }

    Optional<Volume> topUp(Fields fields, House house, Stock.OfCarrier bottle) {
        return fields.massOf("amount", amount, Expect.LIQUID, KnownDensity.ofOil(bottle.density()))
                .map(read -> bottle.density().volumeOf(read.mass()))
                .filter(volume -> {
                    double most = Math.min(
                            MOST_TOP_UP_MILLILITRES, bottle.volumeLeft().millilitres());
                    boolean sensible = volume.millilitres() > 0 && volume.millilitres() <= most;
                    if (!sensible) {
                        fields.trouble(
                                "amount",
                                "Understood %s; the bottle holds %s."
                                        .formatted(house.volume(volume), house.volume(bottle.volumeLeft())),
                                "what was poured in, such as 30 mL or 2 tbsp");
                    }
                    return sensible;
                });
    }

    Optional<Ruin> ruin(Fields fields) {
        return fields.oneOf("ruin", Ruin.class, ruin);
    }
}
