package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigInteger;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLSocket;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A phone comes to a machine it does not know, is handed the household's authority, and trusts it by name from then on. */
class TrustJourneyTest {

    @TempDir
    static Path house;

    private static Node node;
    private static int port;
    private static int plain;
    private static String said;

    /** The launcher alone, in a folder of its own: the household's authority is nobody's but that folder's. */
    @BeforeAll
    static void servedByItsOwnCertificate() throws Exception {
        Path here = Path.of("..").toRealPath();
        Files.copy(here.resolve("crock"), house.resolve("crock"));
        Files.createDirectories(house.resolve("ops"));
        try (Stream<Path> scripts = Files.list(here.resolve("ops"))) {
            for (Path script : scripts.toList()) {
                Files.copy(script, house.resolve("ops").resolve(script.getFileName()));
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

    @AfterAll
    static void stopped() {
        if (node != null) {
            node.kill();
        }
    }

    private static Path tls(String file) {
        return house.resolve(".crock/tls").resolve(file);
    }

    private static String launcher(String... words) throws IOException, InterruptedException {
        return run(Stream.concat(Stream.of("bash", "crock"), Stream.of(words)).toArray(String[]::new));
    }

    private static String run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .directory(house.toFile())
                .redirectErrorStream(true)
                .start();
        String all = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(all).isZero();
        return all;
    }

    private static HttpResponse<byte[]> inTheClear(String method, String path)
            throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + plain + path))
                                .method(method, HttpRequest.BodyPublishers.noBody())
                                .timeout(Duration.ofSeconds(20))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
    }

    /** In the clear the authority is handed over, and nothing else is served or taken. */
    @Test
    void inTheClearTheAuthorityIsHandedOverAndNothingElse() throws Exception {
        String fingerprint = said.substring(said.indexOf("(SHA-256): ") + 11)
                .lines()
                .findFirst()
                .orElseThrow();
        String page = new String(inTheClear("GET", "/trust").body(), StandardCharsets.UTF_8);
        for (String pair : fingerprint.split(":")) {
            assertThat(page).contains("<code>" + pair + "</code>");
        }
        try (InputStream handed = new ByteArrayInputStream(
                        inTheClear("GET", "/trust/authority.crt").body());
                InputStream made = Files.newInputStream(tls("authority.crt"))) {
            CertificateFactory read = CertificateFactory.getInstance("X.509");
            X509Certificate authority = (X509Certificate) read.generateCertificate(handed);
            assertThat(authority).isEqualTo(read.generateCertificate(made));
            assertThat(authority.getBasicConstraints())
                    .as("vouches for no other authority")
                    .isZero();
            assertThat(authority.getCriticalExtensionOIDs())
                    .as("for a house alone")
                    .contains("2.5.29.30");
        }
        for (String path : List.of("/shelf", "/sign-in", "/trust/../shelf", "/css/../shelf", "/api/readings")) {
            HttpResponse<byte[]> answer = inTheClear("GET", path);
            assertThat(answer.statusCode()).as(path).isIn(307, 400);
            assertThat(answer.headers().firstValue("Location").orElse("https://localhost:" + port + "/"))
                    .isEqualTo("https://localhost:" + port + "/");
        }
        for (String path : List.of("/sign-in", "/trust", "/api/readings", "/jot")) {
            assertThat(inTheClear("POST", path).statusCode()).as(path).isIn(403, 405);
        }
        assertThat(inTheClear("GET", "/trust").headers().firstValue("Strict-Transport-Security"))
                .isEmpty();
    }

    /** A browser that was told of the authority, by its name, comes in without a warning; another one does not come in. */
    @Test
    void whoWasHandedItComesInWithoutAWarning() throws Exception {
        String address = at("/sign-up");
        try (Playwright playwright = Playwright.create();
                Browser stranger = playwright.chromium().launch(browser(house.resolve("stranger")))) {
            assertThatThrownBy(() -> stranger.newPage().navigate(address))
                    .isInstanceOf(PlaywrightException.class)
                    .hasMessageContaining("ERR_CERT_AUTHORITY_INVALID");
        }
        Path home = house.resolve("phone");
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
        try (Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(browser(home))) {
            Page page = phone.newPage(new Browser.NewPageOptions().setViewportSize(390, 844));
            for (String name : List.of("localhost", "127.0.0.1")) {
                page.navigate("https://%s:%d/sign-up".formatted(name, port));
                assertThat(page.title()).contains("Velvet Crock");
                assertThat(page.evaluate("isSecureContext && 'serviceWorker' in navigator"))
                        .as("it keeps pages for such a machine")
                        .isEqualTo(true);
            }
            page.navigate("http://localhost:%d/trust".formatted(plain));
            assertThat(page.locator(".prints code").count()).isEqualTo(32);
            page.click("a.brand");
            page.waitForURL("https://localhost:%d/**".formatted(port));
        }
    }

    /** A home of its own for a browser, in which the authority is known by its name, and nothing else is. */
    private static Path trusting(String name) throws IOException, InterruptedException {
        Path home = house.resolve(name);
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

    private static void comeIn(Page page, String name) {
        page.navigate(at("/sign-up"));
        page.fill("#name", name);
        page.fill("#email", UUID.randomUUID() + "@example.org");
        page.fill("#password", "five jars of oil");
        page.fill("[id='house.household']", name + "'s house");
        page.click("text=Open the stillroom");
        page.waitForURL("**/shelf");
    }

    private static void awaitWorker(Page page) {
        page.evaluate("navigator.serviceWorker.ready.then(() => true)");
        page.waitForFunction("navigator.serviceWorker.controller !== null");
    }

    /** The server is away: what was seen is there and dated, what was not is said, and nobody else sees it. */
    @Test
    void whatWasSeenIsThereWithoutANetwork() throws Exception {
        try (Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(browser(trusting("cellar")))) {
            Page page = phone.newPage(new Browser.NewPageOptions()
                    .setViewportSize(390, 844)
                    .setHasTouch(true)
                    .setLocale("en-IE"));
            comeIn(page, "Tove");
            awaitWorker(page);
            page.navigate(at("/stores/convert"));
            page.navigate(at("/shelf"));
            page.navigate(at("/settings"));
            node.kill();
            page.navigate(at("/shelf"));
            assertThat(page.locator("#seen").innerText()).contains("The network is away. This is how it stood at");
            assertThat(page.locator("h1").innerText()).isEqualTo("An empty shelf");
            assertThat((String) page.evaluate("getComputedStyle(document.querySelector('header.top')).backgroundColor"))
                    .as("dressed")
                    .isNotEqualTo("rgba(0, 0, 0, 0)");
            page.navigate(at("/settings"));
            assertThat(page.locator("main").innerText())
                    .as("not kept on a device")
                    .contains("The network is away", "was not seen", "Shelf")
                    .doesNotContain("Tove");
            page.navigate(at("/stores/convert?amount=1+cup"));
            assertThat(page.locator("main").innerText())
                    .as("another sentence is another page")
                    .contains("was not seen");
            page.click("main a:has-text('Convert')");
            assertThat(page.locator("#seen").innerText()).contains("stood at");
            node.start();
            node.await();
            page.waitForSelector("#seen a");
            page.click("#seen a");
            page.waitForCondition(() -> page.locator("#seen").count() == 0);
            // Signed out: whoever takes the phone next sees nothing of it.
            page.navigate(at("/shelf"));
            page.evaluate("document.querySelector('form[action$=\"sign-out\"]').requestSubmit()");
            page.waitForURL("**/sign-in?out");
            node.kill();
            page.navigate(at("/shelf"));
            assertThat(page.locator("main").innerText())
                    .contains("was not seen on this device")
                    .doesNotContain("These were seen");
            node.start();
            node.await();
        }
    }

    /** Another person on the same phone: what the one before saw is gone with the first page that is another's. */
    @Test
    void anotherPersonSeesNothingOfTheOneBefore() throws Exception {
        try (Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(browser(trusting("shared")))) {
            Page page = phone.newPage();
            comeIn(page, "Tove");
            awaitWorker(page);
            page.navigate(at("/pan"));
            page.navigate(at("/shelf"));
            page.waitForSelector("#unsent", new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
            page.evaluate(
                    """
                    () => new Promise((done) => {
                      const opened = indexedDB.open('crock', 1);
                      opened.onsuccess = () => {
                        const store = opened.result.transaction('waiting', 'readwrite').objectStore('waiting');
                        const who = document.getElementById('unsent').dataset.who;
                        // Refused before: it waits for her alone, to be mended or dropped.
                        const at = new Date().toISOString();
                        store.add({ key: crypto.randomUUID(), line: 'tove alone', at, who, refused: 'so' });
                        store.transaction.oncomplete = () => done(true);
                      };
                    })""");
            page.reload();
            assertThat(page.locator("#unsent").innerText()).contains("1 not sent yet");
            // The session ends elsewhere, when nothing of the page is on its way any more, and somebody else comes in.
            page.waitForTimeout(1_500);
            page.navigate("about:blank");
            page.context().clearCookies();
            comeIn(page, "Runa");
            page.navigate(at("/shelf"));
            page.waitForTimeout(1_000);
            assertThat(page.locator("#unsent").isVisible())
                    .as("what waits of another's")
                    .isFalse();
            node.kill();
            page.navigate(at("/pan"));
            assertThat(page.locator("main").innerText()).contains("was not seen on this device", "Shelf");
            node.start();
            node.await();
        }
    }

    /**
     * A round in the cellar: what is tapped and written there waits, across a reload and with the house away, and is written once, in
     * order, when it is back.
     */
    @Test
    void whatIsTappedInTheCellarIsSentWhenTheHouseIsBack() throws Exception {
        try (Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(browser(trusting("round")))) {
            Page page = phone.newPage(new Browser.NewPageOptions()
                    .setViewportSize(390, 844)
                    .setHasTouch(true)
                    .setLocale("en-IE"));
            comeIn(page, "Tove");
            awaitWorker(page);
            line(page, "came in: 200 g dried nettle");
            line(page, "came in: 1 l rapeseed");
            line(page, "came in: 5 jars of 500 ml");
            page.navigate(at("/bench?amount=20+g&start=yesterday"));
            page.click("#start-batch");
            page.waitForURL("**/batch/**");
            String batch = page.url();
            page.navigate(at("/round"));
            page.waitForFunction("caches.keys().then(all => all.some(one => one.startsWith('seen-')))");
            page.waitForTimeout(1500);
            node.kill();
            page.click(".do.well");
            page.waitForSelector("#unsent summary");
            assertThat(page.locator("#not-sent").innerText()).contains("It waits on this device");
            page.navigate(at("/round"));
            assertThat(page.locator("#seen").innerText()).contains("wait here until it is back");
            assertThat(page.locator("#unsent").innerText()).contains("1 not sent yet");
            assertThat(page.locator(".do.well").isDisabled())
                    .as("done, as far as she is concerned")
                    .isTrue();
            page.click("#unsent summary");
            assertThat(page.locator("#unsent").innerText()).contains("nettle 1");
            for (String more : List.of("came in: 100 g beeswax", "beeswax used 30 g", "9 shaken")) {
                page.keyboard().press("/");
                page.waitForSelector("#jot-over[open] #line");
                page.fill("#line", more);
                page.keyboard().press("Enter");
                page.waitForSelector(
                        "#unsent li:has-text('" + more + "')",
                        new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
            }
            page.reload();
            assertThat(page.locator("#unsent summary").innerText()).isEqualTo("4 not sent yet");
            node.start();
            node.await();
            page.waitForSelector(".notice:has-text('Sent:')");
            assertThat(page.locator(".notice:has-text('Sent:')").innerText())
                    .containsSubsequence("shaken", "100 g of beeswax", "drew 30 g");
            assertThat(page.locator("#unsent").innerText()).contains("1 not sent yet, 1 of them refused", "9 shaken");
            page.navigate(at("/stores/supplies"));
            assertThat(page.locator("main").innerText()).contains("70 g");
            page.navigate(batch);
            assertThat(page.locator(".log li:has-text('Shake')").count())
                    .as("once")
                    .isEqualTo(1);
            // Dropped by a tap, it is gone for good.
            page.click("#unsent button:has-text('Drop it')");
            page.waitForSelector("#unsent button:has-text('Put it back')");
            page.reload();
            assertThat(page.locator("#unsent").isVisible()).isFalse();
        }
    }

    /** So many at once, and half of them by a second window of the same phone: each once, none lost, in the order they were tapped. */
    @Test
    void twoHundredGoInOrderAndOnce() throws Exception {
        try (Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(browser(trusting("many")))) {
            BrowserContext pocket = phone.newContext(new Browser.NewContextOptions().setLocale("en-IE"));
            Page page = pocket.newPage();
            comeIn(page, "Tove");
            awaitWorker(page);
            line(page, "came in: 1 kg beeswax");
            page.navigate(at("/shelf"));
            page.waitForSelector("#unsent", new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
            page.evaluate(
                    """
                    () => new Promise((done) => {
                      const opened = indexedDB.open('crock', 1);
                      opened.onsuccess = () => {
                        const store = opened.result.transaction('waiting', 'readwrite').objectStore('waiting');
                        const who = document.getElementById('unsent').dataset.who;
                        for (let n = 1; n <= 200; n++) {
                          const line = `beeswax ${1000 - n} g left - ${n}`;
                          store.add({ key: crypto.randomUUID(), line, at: new Date().toISOString(), who });
                        }
                        store.transaction.oncomplete = () => done(true);
                      };
                    })""");
            Page second = pocket.newPage();
            second.navigate(at("/shelf"));
            page.reload();
            page.waitForCondition(
                    () -> page.locator(".notice:has-text('Sent:')").count()
                                    + second.locator(".notice:has-text('Sent:')")
                                            .count()
                            > 0,
                    new Page.WaitForConditionOptions().setTimeout(90_000));
            page.waitForFunction(
                    """
                    () => new Promise((done) => {
                      const opened = indexedDB.open('crock', 1);
                      opened.onsuccess = () => {
                        const asked = opened.result.transaction('waiting').objectStore('waiting').count();
                        asked.onsuccess = () => done(asked.result === 0);
                      };
                    })""",
                    null,
                    new Page.WaitForFunctionOptions().setTimeout(90_000));
            page.navigate(at("/stores/supplies"));
            assertThat(page.locator("main").innerText())
                    .as("the last of them last")
                    .contains("800 g");
        }
    }

    private static String at(String path) {
        return "https://localhost:%d%s".formatted(port, path);
    }

    private static void line(Page page, String words) {
        page.navigate(at("/jot"));
        page.fill("#line", words);
        page.keyboard().press("Enter");
        page.waitForSelector(".notice");
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

    /** Renewed while it is served by: whoever comes next meets the new one, and the authority stays the same. */
    @Test
    void whatEndsIsMadeAnewAndServedWithoutANewStart() throws Exception {
        X509Certificate before = served();
        assertThat(before.getNotAfter().toInstant())
                .isBetween(
                        Instant.now().plus(Duration.ofDays(380)), Instant.now().plus(Duration.ofDays(398)));
        byte[] authority = Files.readAllBytes(tls("authority.crt"));
        assertThat(launcher("certificate")).as("not before its time").doesNotContain("A new certificate");
        assertThat(launcher("certificate", "cellar.local")).contains("A new certificate", "cellar.local");
        assertThat(Files.readAllBytes(tls("authority.crt"))).isEqualTo(authority);
        BigInteger now = before.getSerialNumber();
        for (int second = 0; second < 60 && now.equals(before.getSerialNumber()); second++) {
            Thread.sleep(1000);
            now = served().getSerialNumber();
        }
        assertThat(now).isNotEqualTo(before.getSerialNumber());
        assertThat(served().getSubjectAlternativeNames().toString()).contains("cellar.local");
    }

    /** The certificate this machine proves itself by, to somebody who trusts the authority alone. */
    private static X509Certificate served() throws Exception {
        KeyStore known = KeyStore.getInstance("PKCS12");
        try (InputStream in = Files.newInputStream(tls("trust.p12"))) {
            known.load(in, "no-secret".toCharArray());
        }
        TrustManagerFactory trusting = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trusting.init(known);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trusting.getTrustManagers(), null);
        try (SSLSocket socket = (SSLSocket) context.getSocketFactory().createSocket("127.0.0.1", port)) {
            socket.startHandshake();
            return (X509Certificate) socket.getSession().getPeerCertificates()[0];
        }
    }
}
