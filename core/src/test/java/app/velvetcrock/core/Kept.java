package app.velvetcrock.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Sums kept as they were read and found right: "== the rule", then a line for each case of it. What is worked out now is written
 * beside the compiled tests under the same name, to be read before it is kept.
 */
public final class Kept {

    private final List<String> now = new ArrayList<>();

    public void rule(String rule) {
        now.add("== " + rule);
    }

    /** A case and what comes of it; the same two in another locale. */
    public void add(String words, Object... values) {
        now.add(words.formatted(values).strip());
    }

    public static String number(double value) {
        return String.format(Locale.ROOT, "%.4f", value);
    }

    /** Compares all with what is kept. */
    public void isAsKept(String file) {
        try {
            Path written = Path.of("target", file);
            Files.createDirectories(written.getParent());
            Files.write(written, now);
            assertThat(now).containsExactlyElementsOf(Files.readAllLines(Path.of("src/test/resources", file)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
