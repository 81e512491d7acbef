package app.velvetcrock.core.kitchen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.kitchen.Reading.NotUnderstood;
import app.velvetcrock.core.kitchen.Reading.Understood;
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
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What people write in a kitchen, three hundred times; and a hundred things that mean nothing there. */
class WrittenTest {

    private static final LocalDateTime NOW = LocalDateTime.parse("2026-11-24T18:20");

    private final AmountReader amounts =
            new AmountReader(new HouseholdUnits(UnitSystem.US, CupSystem.US, TemperatureScale.CELSIUS));

    /** A line of a table. */
    record Written(String field, String text, String means) {}

    static Stream<Written> written() throws IOException {
        return table("written.csv");
    }

    static Stream<Written> senseless() throws IOException {
        return table("senseless.csv");
    }

    private static Stream<Written> table(String name) throws IOException {
        try (CSVParser parser = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(';')
                .setCommentMarker('#')
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new InputStreamReader(WrittenTest.class.getResourceAsStream(name), StandardCharsets.UTF_8))) {
            return parser.getRecords().stream()
                    .map(line -> new Written(line.get(0), line.get(1), line.size() > 2 ? line.get(2) : "REFUSED"))
                    .toList()
                    .stream();
        }
    }

    @ParameterizedTest
    @MethodSource("written")
    void isReadAsItIsMeant(Written line) {
        Optional<String> read = read(line);
        if (line.means().matches("-?[0-9.]+")) {
            double means = Double.parseDouble(line.means());
            assertThat(read).as("%s", said(line)).isPresent();
            assertThat(Double.parseDouble(read.get())).as(line.text()).isCloseTo(means, within(0.001));
        } else {
            assertThat(read.orElse("REFUSED")).as(line.text()).isEqualTo(line.means());
        }
    }

    @ParameterizedTest
    @MethodSource("senseless")
    void isRefusedWithWhatWasNotUnderstood(Written line) {
        assertThat(read(line)).as(line.text()).isEmpty();
        if (said(line) instanceof NotUnderstood not) {
            assertThat(not.typed()).isEqualTo(line.text());
            assertThat(not.wrong()).isNotBlank();
            assertThat(not.instead()).isEqualTo(Expect.valueOf(line.field()).examples());
        }
    }

    /** What happened at a moment happened on its day; an hour alone names no day. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            an hour ago       | 2026-11-24
            20 hours ago      | 2026-11-23
            just now          | 2026-11-24
            this morning      | 2026-11-24
            last night        | 2026-11-23
            yesterday evening | 2026-11-23
            7pm               | none
            8.05              | none
            """)
    void aMomentHasItsDay(String said, String day) {
        assertThat(WhenReader.ofThePast(NOW).day(said).map(LocalDate::toString).orElse("none"))
                .isEqualTo(day);
        assertThat(WhenReader.ofTheFuture(NOW).day("an hour ago")).isEmpty();
    }

    @Test
    void theTablesAreLarge() throws IOException {
        assertThat(written()).hasSizeGreaterThanOrEqualTo(300);
        assertThat(senseless()).hasSizeGreaterThanOrEqualTo(100);
    }

    private Object said(Written line) {
        return isMoment(line) ? line.text() : amounts.read(line.text(), Expect.valueOf(line.field()));
    }

    private Optional<String> read(Written line) {
        return switch (line.field()) {
            case "PAST" -> WhenReader.ofThePast(NOW).moment(line.text()).map(LocalDateTime::toString);
            case "FUTURE" -> WhenReader.ofTheFuture(NOW).day(line.text()).map(LocalDate::toString);
            default -> Optional.of(amounts.read(line.text(), Expect.valueOf(line.field())))
                    .filter(Understood.class::isInstance)
                    .map(reading -> Double.toString(canonical((Understood) reading)));
        };
    }

    private static boolean isMoment(Written line) {
        return line.field().equals("PAST") || line.field().equals("FUTURE");
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
