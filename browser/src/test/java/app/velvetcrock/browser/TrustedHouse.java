package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;

/** A house served by its own certificate, and phones that were told of its authority by name. */
final class TrustedHouse implements AutoCloseable {

    private final Path folder;
    private final Node node;
    private final int port;
    private final int plain;
    private final String said;

    /** The launcher alone, in a folder of its own: the household's authority is nobody's but that folder's. */
    TrustedHouse(Path folder) throws Exception {
        this.folder = folder;
        Path here = Path.of("..").toRealPath();
        Files.copy(here.resolve("crock"), folder.resolve("crock"));
        Files.createDirectories(folder.resolve("ops"));
        try (Stream<Path> scripts = Files.list(here.resolve("ops"))) {
            for (Path script : scripts.toList()) {
                Files.copy(script, folder.resolve("ops").resolve(script.getFileName()));
            }
        }
        said = launcher("certificate");
        RunningApp.at(RunningApp.DEMO_LOADED);
        try (ServerSocket one = new ServerSocket(0);
                ServerSocket other = new ServerSocket(0)) {
            port = one.getLocalPort();
            plain = other.getLocalPort();
        }
        Map<String, String> told = new HashMap<>();
        told.put(
                "CROCK_DB_URL",
                "jdbc:postgresql://127.0.0.1:" + System.getenv("CROCK_TEST_DB_PORT") + "/crock_browser");
        told.put("CROCK_PORT", String.valueOf(port));
        told.put("CROCK_PLAIN_PORT", String.valueOf(plain));
        told.put("CROCK_SECURE", "true");
        told.put("CROCK_AUTHORITY", tls("authority.crt").toString());
        String bundle = "SPRING_SSL_BUNDLE_JKS_HOUSE_";
        told.put("SERVER_SSL_BUNDLE", "house");
        told.put(bundle + "KEYSTORE_LOCATION", "file:" + tls("server.p12"));
        told.put(bundle + "KEYSTORE_TYPE", "PKCS12");
        told.put(bundle + "KEYSTORE_PASSWORD", Files.readString(tls("password")));
        told.put(bundle + "KEY_ALIAS", "server");
        told.put(bundle + "RELOADONUPDATE", "true");
        node = new Node(Path.of(System.getenv("CROCK_TEST_APP")), plain, told);
        node.start();
        node.await();
    }

    @Override
    public void close() {
        node.kill();
    }

    Node node() {
        return node;
    }

    int port() {
        return port;
    }

    /** Where it hands its authority over in the clear. */
    int plain() {
        return plain;
    }

    /** What the launcher said when it made the certificate. */
    String said() {
        return said;
    }

    Path tls(String file) {
        return folder.resolve(".crock/tls").resolve(file);
    }

    String launcher(String... words) throws IOException, InterruptedException {
        return run(Stream.concat(Stream.of("bash", "crock"), Stream.of(words)).toArray(String[]::new));
    }

    private String run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .start();
        String all = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(all).isZero();
        return all;
    }

    /** A home of its own for a browser, in which the authority is known by its name, and nothing else is. */
    private Path trusting(String name) throws IOException, InterruptedException {
        Path home = folder.resolve(name);
        Path known = home.resolve(".pki/nssdb");
        Files.createDirectories(known);
        run("certutil", "-d", "sql:" + known, "-N", "--empty-password");
        run(
                "certutil",
                "-d",
                "sql:" + known,
                "-A",
                "-t",
                "C,,",
                "-n",
                "Velvet Crock at home",
                "-i",
                tls("authority.crt").toString());
        return home;
    }

    /** A browser in a home of its own that trusts the authority; nothing is ignored. */
    BrowserType.LaunchOptions phone(String name) throws IOException, InterruptedException {
        return browser(trusting(name));
    }

    /** A browser in a home of its own that was told of nothing. */
    BrowserType.LaunchOptions stranger() throws IOException {
        return browser(folder.resolve("stranger"));
    }

    private static BrowserType.LaunchOptions browser(Path home) throws IOException {
        Files.createDirectories(home);
        Map<String, String> told = new HashMap<>(System.getenv());
        told.put("HOME", home.toString());
        return new BrowserType.LaunchOptions()
                .setExecutablePath(Path.of("/usr/bin/chromium"))
                .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-dev-shm-usage"))
                .setEnv(told);
    }

    String at(String path) {
        return "https://localhost:%d%s".formatted(port, path);
    }

    static void signUp(Page page, String name) {
        page.fill("#name", name);
        page.fill("#email", UUID.randomUUID() + "@example.org");
        page.fill("#password", "five jars of oil");
        page.fill("[id='house.household']", name + "'s house");
        page.click("text=Open the stillroom");
        page.waitForURL("**/shelf");
    }

    static void awaitWorker(Page page) {
        page.evaluate("navigator.serviceWorker.ready.then(() => true)");
        // A page that came while the worker took over is its from the next look on.
        if (!Boolean.TRUE.equals(page.evaluate("navigator.serviceWorker.controller !== null"))) {
            page.reload();
        }
        page.waitForCondition(() -> Boolean.TRUE.equals(page.evaluate("navigator.serviceWorker.controller !== null")));
    }
}
