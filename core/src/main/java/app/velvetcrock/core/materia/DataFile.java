package app.velvetcrock.core.materia;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A commented resource file of reference data, read whole; a bad line stops with file, line and text. */
public final class DataFile {

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setCommentMarker('#')
            .setDelimiter(';')
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreSurroundingSpaces(true)
            .get();

    private DataFile() {}

    /**
     * Reads every record of a resource that stands beside {@code owner}.
     *
     * @throws BadDataException when a line cannot be read, naming file, line and text
     */
    public static <T> List<T> read(Class<?> owner, String name, Function<Row, T> reader) {
        try (InputStream in = owner.getResourceAsStream(name)) {
            if (in == null) {
                throw new BadDataException(name, 0, "", "the file is not there", null);
            }
            return read(name, in, reader);
        } catch (IOException e) {
            throw new UncheckedIOException(name, e);
        }
    }

    static <T> List<T> read(String name, InputStream in, Function<Row, T> reader) throws IOException {
        List<T> values = new ArrayList<>();
        try (CSVParser parser = FORMAT.parse(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            for (CSVRecord record : parser) {
                long line = parser.getCurrentLineNumber();
                try {
                    if (!record.isConsistent()) {
                        throw new IllegalArgumentException("it has %d fields, the head has %d"
                                .formatted(
                                        record.size(), parser.getHeaderNames().size()));
                    }
                    values.add(reader.apply(new Row(record)));
                } catch (RuntimeException bad) {
                    throw new BadDataException(name, line, String.join(";", record.values()), bad.getMessage(), bad);
                }
            }
        }
        return List.copyOf(values);
    }
}
