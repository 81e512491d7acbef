package app.velvetcrock.devices;

import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.devices.Line.Impossible;
import java.io.IOException;
import java.io.StringReader;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * A logger's file, as loggers write them: a moment and a temperature in each line, between commas, semicolons or tabs, with points
 * or commas for decimals.
 *
 * @param readings what was understood
 * @param left lines in which it found no moment or no temperature, as they stand
 * @param fahrenheit whether it took them for °F, by its head
 */
record LoggerFile(List<HeatReading> readings, List<String> left, boolean fahrenheit) {

    private static final int MOST_LINES = 50_000;

    /** A wider row is no logger's: reading each cell of it as a moment would take long. */
    private static final int MOST_CELLS = 40;

    private static final List<DateTimeFormatter> LOCAL = Stream.of(
                    "yyyy-MM-dd'T'HH:mm[:ss[.SSS]]",
                    "yyyy-MM-dd HH:mm[:ss[.SSS]]",
                    "yyyy/MM/dd HH:mm[:ss]",
                    "d.M.yyyy HH:mm[:ss]",
                    "d/M/yyyy HH:mm[:ss]",
                    "d MMM yyyy HH:mm[:ss]")
            .map(pattern -> DateTimeFormatter.ofPattern(pattern, Locale.ENGLISH))
            .toList();

    LoggerFile {
        readings = List.copyOf(readings);
        left = List.copyOf(left);
    }

    /**
     * Reads a file; moments without a zone are the household's.
     *
     * @throws IOException where it is no table at all
     */
    static LoggerFile read(String text, ZoneId zone, Instant now) throws IOException {
        char between = Stream.of('\t', ';', ',')
                .filter(sign -> text.lines().limit(20).anyMatch(line -> line.indexOf(sign) >= 0))
                .findFirst()
                .orElse(',');
        List<HeatReading> readings = new ArrayList<>();
        List<String> left = new ArrayList<>();
        boolean fahrenheit = text.lines()
                .limit(20)
                .map(line -> line.toLowerCase(Locale.ROOT))
                .anyMatch(
                        line -> line.contains("fahrenheit") || Linear.matches(line, ".*(°f|\\(f\\)|deg ?f|temp_f).*"));
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(between)
                .setIgnoreSurroundingSpaces(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (Stream<CSVRecord> rows = format.parse(new StringReader(text)).stream()) {
            rows.limit(MOST_LINES).forEach(row -> {
                List<String> cells = row.stream().toList();
                try {
                    reading(cells, zone, now, fahrenheit)
                            .ifPresentOrElse(readings::add, () -> left.add(String.join(" ", cells)));
                } catch (Impossible impossible) {
                    left.add(String.join(" ", cells) + ": " + impossible.why());
                }
            });
        } catch (IllegalArgumentException | java.io.UncheckedIOException | IllegalStateException broken) {
            throw new IOException(broken);
        }
        return new LoggerFile(readings, left, fahrenheit);
    }

    private static Optional<HeatReading> reading(List<String> cells, ZoneId zone, Instant now, boolean fahrenheit)
            throws Impossible {
        if (cells.size() > MOST_CELLS) {
            return Optional.empty();
        }
        for (int i = 0; i < cells.size(); i++) {
            Optional<Instant> one = moment(cells.get(i), zone);
            boolean inTwo = one.isEmpty() && i + 1 < cells.size();
            Optional<Instant> at = inTwo ? moment(cells.get(i) + " " + cells.get(i + 1), zone) : one;
            if (at.isPresent()) {
                for (String cell : cells.subList(i + (inTwo ? 2 : 1), cells.size())) {
                    Optional<Double> read = number(cell);
                    if (read.isPresent()) {
                        double celsius = fahrenheit ? (read.get() - 32) / 1.8 : read.get();
                        return Optional.of(Line.of(at.get(), celsius, true, now).reading());
                    }
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<Instant> moment(String cell, ZoneId zone) {
        try {
            return Optional.of(OffsetDateTime.parse(cell.strip()).toInstant());
        } catch (DateTimeException local) {
            return LOCAL.stream()
                    .flatMap(format -> local(cell, format).stream())
                    .findFirst()
                    .map(there -> there.atZone(zone).toInstant());
        }
    }

    private static Optional<LocalDateTime> local(String cell, DateTimeFormatter format) {
        try {
            return Optional.of(LocalDateTime.parse(cell.strip(), format));
        } catch (DateTimeException otherwise) {
            return Optional.empty();
        }
    }

    private static Optional<Double> number(String cell) {
        String plain = Linear.first(cell.strip(), "\\s*(°\\s*)?[CFcf]?$", "").replace(',', '.');
        return Linear.matches(plain, "-?\\d{1,4}(\\.\\d{1,9})?")
                ? Optional.of(Double.parseDouble(plain))
                : Optional.empty();
    }
}
