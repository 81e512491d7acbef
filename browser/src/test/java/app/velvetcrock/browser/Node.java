package app.velvetcrock.browser;

import java.io.File;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** One application, killed without a word. */
final class Node {

    private static final int LAST_LINES = 60;

    private final Path home;
    private final int port;
    private final Map<String, String> database;
    private File said;
    private Process process;

    Node(Path home, int port, Map<String, String> database) {
        this.home = home;
        this.port = port;
        this.database = database;
    }

    void start() throws IOException {
        List<String> command =
                new ArrayList<>(List.of("java", "-XX:TieredStopAtLevel=1", "-Xshare:auto", "-XX:+UseSerialGC"));
        if (Files.exists(home.resolve("app.jsa"))) {
            command.add("-XX:SharedArchiveFile=app.jsa");
            command.add("-Dspring.aot.enabled=true");
        }
        command.addAll(List.of("-jar", "velvet-crock.jar"));
        ProcessBuilder builder = new ProcessBuilder(command)
                .directory(home.toFile())
                .redirectErrorStream(true)
                .redirectOutput(said());
        builder.environment()
                .putAll(Map.of(
                        "CROCK_PORT", String.valueOf(port), "CROCK_DEMO", "false", "CROCK_PASSWORD_ROUNDS", "4"));
        builder.environment().putAll(RunningApp.MANY_SIGN_UPS);
        builder.environment().putAll(database);
        process = builder.start();
    }

    void kill() {
        if (process != null) {
            process.destroyForcibly();
        }
    }

    void await() throws InterruptedException {
        HttpClient client = HttpClient.newHttpClient();
        for (int i = 0; i < 900; i++) {
            try {
                HttpRequest health = HttpRequest.newBuilder(URI.create(base() + "/actuator/health"))
                        .timeout(Duration.ofSeconds(2))
                        .build();
                if (client.send(health, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) {
                    return;
                }
            } catch (IOException notYet) {
                // It starts, or the database does.
            }
            Thread.sleep(100);
        }
        throw new IllegalStateException("node on port " + port + " does not come up; it said " + lastSaid());
    }

    private File said() throws IOException {
        if (said == null) {
            said = File.createTempFile("crock-node-" + port + "-", ".log");
            said.deleteOnExit();
        }
        return said;
    }

    /** The end of what it said: without it nobody knows why a node somewhere else did not come up. */
    private String lastSaid() {
        try {
            List<String> lines = Files.readAllLines(said.toPath(), StandardCharsets.ISO_8859_1);
            return String.join("\n", lines.subList(Math.max(0, lines.size() - LAST_LINES), lines.size()));
        } catch (IOException unread) {
            return "nothing that could be read: " + unread;
        }
    }

    String base() {
        return "http://127.0.0.1:" + port;
    }
}
