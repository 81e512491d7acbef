package app.velvetcrock.press;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Seen;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What came out, as typed.
 *
 * @param heat what of a batch that shows no heat: WARMED or COLD; empty until it is asked
 * @param learn what to do with a figure nobody would believe: LEARN or LEAVE; empty until it is asked
 */
record PressForm(
        @Nullable UUID key,
        @Nullable String out,
        @Nullable String warm,
        @Nullable String pressing,
        @Nullable String on,
        @Nullable String clarity,
        @Nullable String smell,
        @Nullable String water,
        @Nullable String colour,
        @Nullable String note,
        @Nullable String heat,
        @Nullable String learn) {

    private static final int LONGEST_NOTE = 500;
    private static final int LONGEST_COLOUR = 60;

    /** A little more than went in is a reading error of scale or jug; far more is a slip. */
    private static final double MOST_SHARE_OUT = 1.05;

    static PressForm empty(String pressing) {
        return new PressForm(UUID.randomUUID(), "", "", pressing, "", "NOT_SEEN", "NOT_SMELLED", "", "", "", "", "");
    }

    Optional<Doing<Deed.Strain>> read(Fields fields, BatchSheet sheet, House house, Instant now) {
        Optional<Temperature> temperature = warm == null || warm.isBlank()
                ? Optional.of(Temperature.ofCelsius(20))
                : fields.amount("warm", warm, Expect.TEMPERATURE)
                        .map(read -> (Temperature) read.amount().middle());
        Optional<Mass> mass = temperature.flatMap(t -> mass(fields, sheet, t, house));
        Optional<Pressing> how = fields.oneOf("pressing", Pressing.class, pressing);
        Instant at = at(fields, sheet, house, now);
        Optional<Seen> seen = seen(fields, sheet);
        Optional<String> next = fields.optionalWords("note", note, LONGEST_NOTE);
        Optional<String> heated = heated(fields, sheet);
        boolean learns = mass.map(m -> learns(fields, sheet, m)).orElse(false);
        return fields.isClear()
                ? Optional.of(Current.doing(
                        new Deed.Strain(
                                mass.orElseThrow(),
                                how.orElseThrow(),
                                learns,
                                seen.orElseThrow(),
                                next.orElseThrow(),
                                heated.orElseThrow()),
                        key == null ? UUID.randomUUID() : key,
                        at,
                        Objects.requireNonNullElse(out, "")))
                : Optional.empty();
    }

    /** By weight as it is; a volume by the oil's density at the temperature it was read at. */
    private Optional<Mass> mass(Fields fields, BatchSheet sheet, Temperature temperature, House house) {
        Density density = sheet.plan().request().carrier().kind().density();
        return fields.massOf("out", out, Expect.LIQUID, KnownDensity.ofOil(density.ofOilAt(temperature)))
                .filter(read -> {
                    Mass m = read.mass();
                    Volume in = sheet.oilIn();
                    boolean sensible =
                            m.grams() > 0 && density.volumeOf(m).millilitres() <= in.millilitres() * MOST_SHARE_OUT;
                    if (!sensible) {
                        fields.trouble(
                                "out",
                                "Understood %s; more than nothing came out, and not more than the %s that went in."
                                        .formatted(read.echo(), house.volume(in)),
                                "the oil alone, without its jar");
                    }
                    return sensible;
                })
                .map(Fields.Weighed::mass);
    }

    /** Heat that nobody saw is asked about before the oil is taken for what was planned; the answer stands in the log. */
    private Optional<String> heated(Fields fields, BatchSheet sheet) {
        if (!new HeatHad(sheet.course()).isNone() || "WARMED".equals(heat)) {
            return Optional.of(new HeatHad(sheet.course()).isNone() ? Line.WARMED_UNSEEN : "");
        }
        if (!"COLD".equals(heat)) {
            fields.trouble(
                    "heat",
                    "It shows none of its heat-hours, so what came out is not yet what was planned.",
                    "the readings on its page, or choose below what is so");
        }
        return Optional.of("It was strained without its heat.");
    }

    /** A figure outside what herbs keep is asked about before it is learned (craft: strain). */
    private boolean learns(Fields fields, BatchSheet sheet, Mass mass) {
        double kept =
                sheet.kept(sheet.plan().request().carrier().kind().density().volumeOf(mass));
        if (Retention.isBelievable(kept) || "LEARN".equals(learn)) {
            return true;
        }
        if (!"LEAVE".equals(learn)) {
            fields.trouble(
                    "learn",
                    "By this a gram of herb kept %s mL of oil; between 0 and 4 is usual."
                            .formatted(Decimals.upTo(kept, 2)),
                    "the amount again, or choose below if it is right");
        }
        return false;
    }

    private Optional<Seen> seen(Fields fields, BatchSheet sheet) {
        Optional<Clarity> clear = fields.oneOf("clarity", Clarity.class, clarity);
        Optional<Smell> smelled = fields.oneOf("smell", Smell.class, smell);
        Optional<Volume> layer = water(fields, water, sheet.oilIn());
        Optional<String> colours = fields.optionalWords("colour", colour, LONGEST_COLOUR);
        return clear.isPresent() && smelled.isPresent() && layer.isPresent() && colours.isPresent()
                ? Optional.of(new Seen(clear.get(), smelled.get(), layer.get(), colours.get()))
                : Optional.empty();
    }

    /** A layer of water; blank is none. */
    static Optional<Volume> water(Fields fields, @Nullable String typed, Volume most) {
        return typed == null || typed.isBlank()
                ? Optional.of(Volume.ZERO)
                : fields.capacity("water", typed, 0, most.millilitres());
    }

    /** When it was strained: between its charging and now; now where nothing is said. */
    private Instant at(Fields fields, BatchSheet sheet, House house, Instant now) {
        Instant charged = sheet.course().chargedAt();
        Optional<Instant> at = fields.moment("on", on, house.past(now))
                .map(there -> there.atZone(house.settings().zone()).toInstant());
        if (at.filter(when -> when.isBefore(charged) || May.isToCome(when, now)).isPresent()) {
            fields.trouble(
                    "on",
                    "Understood %s; it is strained between its charging, %s, and now."
                            .formatted(house.moment(at.get()), house.moment(charged)),
                    "a time in between, or leave it empty for now");
        }
        return at.orElse(now);
    }
}
