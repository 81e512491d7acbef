package app.velvetcrock.press;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Expect;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Reading.Understood;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What came out, as typed. */
record PressForm(
        @Nullable UUID key, @Nullable String out, @Nullable String warm, @Nullable String pressing, @Nullable String on, @Nullable String note) {

    private static final int LONGEST_NOTE = 500;
    /** A little more than went in is a reading error of scale or jug; far more is a slip. */
    private static final double MOST_SHARE_OUT = 1.05;

    Optional<Batches.Strain> read(Fields fields, BatchSheet sheet, House house, Instant now) {
        Optional<Temperature> temperature = warm == null || warm.isBlank()
                ? Optional.of(Temperature.ofCelsius(20))
                : fields.amount("warm", warm, Expect.TEMPERATURE).map(read -> (Temperature) read.amount().middle());
        Optional<Mass> mass = temperature.flatMap(t -> mass(fields, sheet, t, house));
        Optional<Pressing> how = fields.oneOf("pressing", Pressing.class, pressing);
        Optional<LocalDate> day = day(fields, sheet, house, now);
        Optional<String> seen = fields.optionalWords("note", note, LONGEST_NOTE);
        return fields.isClear()
                ? Optional.of(new Batches.Strain(mass.orElseThrow(), how.orElseThrow(), day.orElseThrow(), out, seen.orElseThrow()))
                : Optional.empty();
    }

    /** By weight as it is; a volume by the oil's density at the temperature it was read at. */
    private Optional<Mass> mass(Fields fields, BatchSheet sheet, Temperature temperature, House house) {
        Density density = sheet.frozen().plan().request().carrier().kind().density();
        Optional<Understood> read = fields.amount("out", out, Expect.LIQUID);
        Optional<Mass> mass = read.map(r -> r.amount().middle() instanceof Volume v ? density.ofOilAt(temperature).massOf(v) : r.mass());
        return mass.filter(m -> {
            Volume at20 = density.volumeOf(m);
            Volume in = sheet.oilIn();
            boolean sensible = m.grams() > 0 && at20.millilitres() <= in.millilitres() * MOST_SHARE_OUT;
            if (!sensible) {
                fields.trouble("out", "Understood %s; more than nothing came out, and not more than the %s that went in."
                        .formatted(read.orElseThrow().echo(), house.volume(in)), "the oil alone, without its jar");
            }
            return sensible;
        });
    }

    private Optional<LocalDate> day(Fields fields, BatchSheet sheet, House house, Instant now) {
        LocalDate charged = sheet.frozen().plan().request().circumstances().start();
        Optional<LocalDate> day = fields.date("on", on);
        boolean sensible = day.filter(d -> !d.isAfter(house.dayOf(now)) && !d.isBefore(charged)).isPresent();
        if (!sensible && !fields.troubles().containsKey("on")) {
            fields.trouble("on", "It is strained between the day it was charged, %s, and today.".formatted(house.date(charged)), house.dayOf(now).toString());
        }
        return day.filter(d -> sensible);
    }
}
