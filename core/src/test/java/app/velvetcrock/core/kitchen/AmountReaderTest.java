package app.velvetcrock.core.kitchen;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.kitchen.Reading.NotUnderstood;
import app.velvetcrock.core.kitchen.Reading.Understood;
import app.velvetcrock.core.kitchen.Reading.Unsure;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.core.measure.Volume;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class AmountReaderTest {

    private static final HouseholdUnits US =
            new HouseholdUnits(UnitSystem.US, CupSystem.US, TemperatureScale.FAHRENHEIT);
    private final AmountReader us = new AmountReader(US);

    /** A line of the table: a text in a household's field, and what becomes of it. */
    record Line(String household, String text, Expect expect, String value, String echo) {}

    static Stream<Line> table() throws IOException {
        try (CSVParser parser = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(';')
                .setCommentMarker('#')
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new InputStreamReader(
                        AmountReaderTest.class.getResourceAsStream("readings.csv"), StandardCharsets.UTF_8))) {
            return parser.getRecords().stream()
                    .map(r -> new Line(r.get(0), r.get(1), Expect.valueOf(r.get(2)), r.get(3), r.get(4)))
                    .toList()
                    .stream();
        }
    }

    @ParameterizedTest
    @MethodSource("table")
    void readsKitchenLanguageAsksOrRefuses(Line line) {
        AmountReader reader = new AmountReader(household(line.household()));
        Reading reading = reader.read(line.text(), line.expect());
        assertThat(reading.typed()).isEqualTo(line.text());
        switch (line.value()) {
            case "REFUSED" -> {
                NotUnderstood refused = (NotUnderstood) reading;
                assertThat(refused.wrong()).isEqualTo(line.echo());
                assertThat(refused.instead()).isEqualTo(line.expect().examples());
            }
            case "ASKED" -> asked(reader, (Unsure) reading, line);
            default -> {
                Understood understood = (Understood) reading;
                double value = Double.parseDouble(line.value());
                assertThat(canonical(understood)).isCloseTo(value, org.assertj.core.data.Offset.offset(0.0006));
                assertThat(understood.echo()).isEqualTo(line.echo());
            }
        }
    }

    /** Each reading offered can be typed instead and is then clear. */
    private static void asked(AmountReader reader, Unsure unsure, Line line) {
        assertThat(unsure.readings().stream().map(Understood::echo).collect(Collectors.joining(" / ")))
                .isEqualTo(line.echo());
        for (Understood reading : unsure.readings()) {
            Reading again = reader.read(reading.typed(), line.expect());
            assertThat(again).isInstanceOf(Understood.class);
            assertThat(canonical((Understood) again)).isEqualTo(canonical(reading));
        }
    }

    @Test
    void theTableIsLargeAndAQuarterOfItIsNotSimplyRead() throws IOException {
        List<Line> lines = table().toList();
        assertThat(lines).hasSizeGreaterThanOrEqualTo(150);
        assertThat(lines.stream()
                        .filter(line -> line.value().matches("ASKED|REFUSED"))
                        .count())
                .isGreaterThanOrEqualTo(lines.size() / 4);
    }

    private static HouseholdUnits household(String name) {
        return switch (name) {
            case "us" -> US;
            case "australian" -> new HouseholdUnits(UnitSystem.METRIC, CupSystem.AUSTRALIAN, TemperatureScale.CELSIUS);
            case "imperial" -> new HouseholdUnits(UnitSystem.METRIC, CupSystem.IMPERIAL, TemperatureScale.CELSIUS);
            default -> HouseholdUnits.METRIC;
        };
    }

    @Test
    void neverThrowsForAnythingTyped() {
        Random random = new Random(20261124);
        String alphabet = "0123456789 .,/-½⅔abcgCFToz°\"mlpints";
        for (int i = 0; i < Cases.of(20_000); i++) {
            StringBuilder text = new StringBuilder();
            for (int n = random.nextInt(12); n >= 0; n--) {
                text.append(alphabet.charAt(random.nextInt(alphabet.length())));
            }
            Expect expect = Expect.values()[random.nextInt(Expect.values().length)];
            assertThat(us.read(text.toString(), expect).typed()).isEqualTo(text.toString());
        }
    }

    @Test
    void writesInTheHouseholdsUnits() {
        assertThat(US.volume(Volume.ofMillilitres(355))).isEqualTo("1½ cups");
        assertThat(US.mass(Mass.ofGrams(60))).isEqualTo("2.12 oz");
        assertThat(US.temperature(Temperature.ofCelsius(46))).isEqualTo("114.8 °F");
        // 1386 down to 1380, 1614 up to 1620; 254 mL are 1.07 US cups, 306 are 1.29: outward to eighths 1 and 1 3/8
        assertThat(HouseholdUnits.METRIC.outward(Volume.ofMillilitres(1386), Volume.ofMillilitres(1614)))
                .isEqualTo("1.38 L to 1.62 L");
        assertThat(US.outward(Volume.ofMillilitres(254), Volume.ofMillilitres(306)))
                .isEqualTo("1 cup to 1⅜ cups");
        // 254.1-305.9 outward to 5 mL (checked sum 3)
        assertThat(HouseholdUnits.METRIC.outward(Volume.ofMillilitres(254.1), Volume.ofMillilitres(305.9)))
                .isEqualTo("250 mL to 310 mL");
    }

    private static double canonical(Understood reading) {
        Quantity quantity = reading.amount().middle();
        if (quantity instanceof Mass mass) {
            return mass.grams();
        } else if (quantity instanceof Volume volume) {
            return volume.millilitres();
        } else if (quantity instanceof Temperature temperature) {
            return temperature.celsius();
        } else if (quantity instanceof Length length) {
            return length.millimetres();
        }
        return ((TimeSpan) quantity).minutes();
    }
}
