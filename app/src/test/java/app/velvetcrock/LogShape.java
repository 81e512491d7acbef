package app.velvetcrock;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** The published shape of a line of a log, asked whether a stored one is of it. */
public final class LogShape {

    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(text(), InputFormat.JSON);

    private LogShape() {}

    private static String text() {
        try {
            return Files.readString(Path.of("../docs/formats/log.schema.json"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static List<String> faults(String kind, String value) {
        return SCHEMA.validate("{\"kind\":\"%s\",\"value\":%s}".formatted(kind, value), InputFormat.JSON).stream()
                .map(Object::toString)
                .toList();
    }
}
