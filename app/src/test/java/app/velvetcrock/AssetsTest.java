package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The committed styles and scripts are those that their inputs give; the same hash as in frontend/build.mjs. */
class AssetsTest {

    private static final Path ROOT = Path.of("").toAbsolutePath().getParent();
    private static final Path RESOURCES = ROOT.resolve("app/src/main/resources");

    @Test
    void assetsMatchTheirInputs() throws IOException, NoSuchAlgorithmException {
        List<Path> inputs = new ArrayList<>(
                List.of(ROOT.resolve("frontend/package-lock.json"), ROOT.resolve("frontend/build.mjs")));
        inputs.addAll(filesUnder(ROOT.resolve("frontend/src")));
        inputs.addAll(filesUnder(RESOURCES.resolve("templates")));
        MessageDigest hash = MessageDigest.getInstance("SHA-256");
        for (Path input : inputs) {
            hash.update(Files.readAllBytes(input));
        }
        assertThat(Files.readString(RESOURCES.resolve("static/css/inputs.sha256"))
                        .strip())
                .as("run the build with Node 20 and commit static/")
                .isEqualTo(HexFormat.of().formatHex(hash.digest()));
    }

    @Test
    void theLockNamesNoHost() throws IOException {
        assertThat(Files.readString(ROOT.resolve("frontend/package-lock.json"))).doesNotContain("\"resolved\"");
    }

    private static List<Path> filesUnder(Path dir) throws IOException {
        List<Path> files = new ArrayList<>();
        try (Stream<Path> entries = Files.list(dir)) {
            for (Path entry : entries.sorted(
                            Comparator.comparing(path -> path.getFileName().toString()))
                    .toList()) {
                if (Files.isDirectory(entry)) {
                    files.addAll(filesUnder(entry));
                } else {
                    files.add(entry);
                }
            }
        }
        return files;
    }
}
