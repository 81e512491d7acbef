package app.velvetcrock;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.DynamicTest;

/**
 * Situations of danger and what each page, label, row, feed and gate says of them, as a table: situation | page | what it says, each
 * after a ";" | what it never says. A situation comes about once; all that is wrong with it is told together.
 */
public final class DangerTable {

    private final Map<String, List<Row>> situations = new LinkedHashMap<>();

    private record Row(String page, List<String> says, List<String> never) {}

    private DangerTable() {}

    public static DangerTable read(String file) throws IOException {
        DangerTable table = new DangerTable();
        for (String line : Files.readAllLines(Path.of("src/test/resources", file))) {
            if (!line.startsWith("#") && !line.isBlank()) {
                String[] cells = line.split("\\|", -1);
                table.situations
                        .computeIfAbsent(cells[0].strip(), key -> new ArrayList<>())
                        .add(new Row(cells[1].strip(), words(cells[2]), words(cells[3])));
            }
        }
        return table;
    }

    private static List<String> words(String cell) {
        return Arrays.stream(cell.split(";"))
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .toList();
    }

    /** A test for each situation: {@code comes} brings it about, {@code page} tells what a page says then. */
    public Stream<DynamicTest> tests(Consumer<String> comes, Function<String, String> page) {
        return situations.entrySet().stream()
                .map(one -> DynamicTest.dynamicTest(one.getKey(), () -> {
                    comes.accept(one.getKey());
                    SoftAssertions all = new SoftAssertions();
                    one.getValue().forEach(row -> look(row, page.apply(row.page()), all));
                    all.assertAll();
                }));
    }

    private static void look(Row row, String text, SoftAssertions all) {
        row.says().forEach(word -> all.assertThat(text).as(row.page()).contains(word));
        row.never().forEach(word -> all.assertThat(text).as(row.page()).doesNotContain(word));
    }
}
