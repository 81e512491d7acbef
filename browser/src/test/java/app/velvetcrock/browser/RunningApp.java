package app.velvetcrock.browser;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.HttpURLConnection;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * The packaged application as a process of its own, on a database the launcher started; it can be killed and started again.
 * There is one for all journeys, each with a household of its own, and the demo household beside them.
 */
final class RunningApp {

    private static RunningApp shared;

    /** The demo household's dates are relative to this. */
    static final Instant DEMO_LOADED = Instant.parse("2026-11-24T09:00:00Z");

    private static final Duration PATIENCE = Duration.ofSeconds(120);

    private final Path home = Path.of(required("CROCK_TEST_APP"));
    private final Path clock;
    private final Path log;
    private final int port;
    private Process process;

    private RunningApp() throws IOException {
        this.clock = Files.createTempFile("crock-clock", ".txt");
        this.log = Path.of("target", "application.log").toAbsolutePath();
        Files.createDirectories(log.getParent());
        clock(DEMO_LOADED);
        try (ServerSocket free = new ServerSocket(0)) {
            this.port = free.getLocalPort();
        }
        startProcess();
    }

    /** The application, with its clock put to a moment; started by whoever asks first. */
    static synchronized RunningApp at(Instant now) {
        try {
            if (shared == null) {
                shared = new RunningApp();
                Runtime.getRuntime().addShutdownHook(new Thread(shared::kill));
            }
            shared.clock(now);
            return shared;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    String url(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    /** A second node on the same database and clock; started by whoever asks, and killed by them. */
    Node second() {
        try (ServerSocket free = new ServerSocket(0)) {
            return new Node(
                    home,
                    free.getLocalPort(),
                    Map.of(
                            "CROCK_CLOCK",
                            clock.toString(),
                            "CROCK_DB_URL",
                            "jdbc:postgresql://127.0.0.1:" + required("CROCK_TEST_DB_PORT") + "/crock_browser"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The file its clock reads. */
    Path clockFile() {
        return clock;
    }

    /** Every test makes households of its own, all from one address. */
    static final Map<String, String> MANY_SIGN_UPS =
            Map.of("CROCK_SIGN_UPS_OF_ONE", "1000000", "CROCK_SIGN_UPS_OF_ALL", "1000000");

    /** Starts a program of the application's in a process of its own, told by its environment. */
    Process beside(String type, String argument, Map<String, String> environment) {
        ProcessBuilder builder = new ProcessBuilder(
                        "java", "-XX:TieredStopAtLevel=1", "-cp", "velvet-crock.jar", type, argument)
                .directory(home.toFile())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()));
        builder.environment().putAll(environment);
        try {
            return builder.start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Moves the application's clock. */
    void clock(Instant now) {
        try {
            // Whoever reads it meanwhile sees one moment or the other, never half of one.
            Path next = Files.writeString(clock.resolveSibling(clock.getFileName() + ".next"), now.toString());
            Files.move(next, clock, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Kills it as a power cut would. */
    void kill() {
        process.destroyForcibly();
        await(() -> !process.isAlive());
    }

    void startProcess() throws IOException {
        List<String> command = new java.util.ArrayList<>(
                List.of("java", "-XX:TieredStopAtLevel=1", "-XX:ReservedCodeCacheSize=240m", "-Xshare:auto"));
        if (Files.exists(home.resolve("app.jsa"))) {
            command.add("-XX:SharedArchiveFile=app.jsa");
            command.add("-Dspring.aot.enabled=true");
        }
        command.addAll(List.of("-jar", "velvet-crock.jar"));
        ProcessBuilder builder = new ProcessBuilder(command)
                .directory(home.toFile())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()));
        builder.environment().putAll(MANY_SIGN_UPS);
        builder.environment()
                .putAll(Map.of(
                        "CROCK_PORT",
                        String.valueOf(port),
                        "CROCK_DEMO",
                        "true",
                        "CROCK_DEVICE_MESSAGES",
                        "100000",
                        "CROCK_CLOCK",
                        clock.toString(),
                        "CROCK_DB_URL",
                        "jdbc:postgresql://127.0.0.1:" + required("CROCK_TEST_DB_PORT") + "/crock_browser"));
        process = builder.start();
        await(this::isUp);
    }

    boolean isUp() {
        try {
            HttpURLConnection connection = (HttpURLConnection)
                    URI.create(url("/actuator/health")).toURL().openConnection();
            connection.setConnectTimeout(1000);
            connection.setReadTimeout(5000);
            return connection.getResponseCode() == 200;
        } catch (IOException notYet) {
            return false;
        }
    }

    interface Condition {
        boolean holds();
    }

    static void await(Condition condition) {
        Instant until = Instant.now().plus(PATIENCE);
        while (!condition.holds()) {
            if (Instant.now().isAfter(until)) {
                throw new AssertionError("did not come about within " + PATIENCE);
            }
            try {
                Thread.sleep(100);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new AssertionError(e);
            }
        }
    }

    static String required(String name) {
        String value = System.getenv(name);
        if (value == null) {
            throw new IllegalStateException(name + " is not set: run these tests by ./crock test");
        }
        return value;
    }
}
