package app.velvetcrock.core.situations;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/**
 * What core says of a batch in situations of a stillroom's day, told line by line in {@code situations.txt}: "== rule", then what
 * happened, then "? moment" and below it all that is said then and was not said so before. What is said now is written to
 * {@code target/situations.txt}, to be read before it is kept.
 */
class SituationsTest {

    private static final Path TOLD = Path.of("src/test/resources/situations.txt");

    private static final List<String> NOW = new ArrayList<>();

    @AfterAll
    static void keepWhatIsSaidNow() throws IOException {
        Files.writeString(Path.of("target/situations.txt"), String.join("\n\n", NOW) + "\n");
    }

    @TestFactory
    Stream<DynamicTest> eachSituationIsSaidAsItIs() throws IOException {
        List<List<String>> blocks = new ArrayList<>();
        for (String line : Files.readAllLines(TOLD)) {
            if (line.startsWith("== ")) {
                blocks.add(new ArrayList<>());
            }
            if (!line.startsWith("#") && !line.isBlank()) {
                blocks.get(blocks.size() - 1).add(line);
            }
        }
        return blocks.stream().map(block -> DynamicTest.dynamicTest(block.get(0).substring(3), () -> look(block)));
    }

    private static void look(List<String> block) {
        Standing standing = new Standing();
        List<String> said = new ArrayList<>();
        Map<String, String> before = Map.of();
        for (String line : block) {
            if (line.startsWith("? ")) {
                said.add(line);
                Instant now = Standing.moment(line.substring(2));
                Map<String, String> seen = Seen.of(standing, now);
                said.addAll(changed(before, seen));
                before = seen;
            } else if (!line.startsWith("  ")) {
                said.add(line);
                if (!line.startsWith("==")) {
                    standing.tell(line);
                }
            }
        }
        NOW.add(String.join("\n", said));
        assertThat(said).containsExactlyElementsOf(block);
    }

    /** Only what is said otherwise than at the moment before. */
    private static List<String> changed(Map<String, String> before, Map<String, String> seen) {
        Stream<String> said =
                seen.keySet().stream().filter(what -> !seen.get(what).equals(before.get(what)));
        Stream<String> gone = before.keySet().stream().filter(what -> !seen.containsKey(what));
        return Stream.concat(
                        said.map(what -> "  " + what + ": " + seen.get(what)),
                        gone.map(what -> "  " + what + ": no more"))
                .toList();
    }
}
