package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigInteger;
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
import java.util.List;
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
    static Path folder;

    private static TrustedHouse house;

    @BeforeAll
    static void servedByItsOwnCertificate() throws Exception {
        house = new TrustedHouse(folder);
    }

    @AfterAll
    static void stopped() {
        house.close();
    }

    private static Path tls(String file) {
        return house.tls(file);
    }

    private static HttpResponse<byte[]> inTheClear(String method, String path)
            throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + house.plain() + path))
                                .method(method, HttpRequest.BodyPublishers.noBody())
                                .timeout(Duration.ofSeconds(20))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
    }

    /** In the clear the authority is handed over, and nothing else is served or taken. */
    @Test
    void inTheClearTheAuthorityIsHandedOverAndNothingElse() throws Exception {
        String fingerprint = house.said()
                .substring(house.said().indexOf("(SHA-256): ") + 11)
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
            assertThat(answer.headers().firstValue("Location").orElse("https://localhost:" + house.port() + "/"))
                    .isEqualTo("https://localhost:" + house.port() + "/");
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
        String address = house.at("/sign-up");
        try (Playwright playwright = Playwright.create();
                Browser stranger = playwright.chromium().launch(house.stranger())) {
            assertThatThrownBy(() -> stranger.newPage().navigate(address))
                    .isInstanceOf(PlaywrightException.class)
                    .hasMessageContaining("ERR_CERT_AUTHORITY_INVALID");
        }
        try (Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(house.phone("phone"))) {
            Page page = phone.newPage(new Browser.NewPageOptions().setViewportSize(390, 844));
            for (String name : List.of("localhost", "127.0.0.1")) {
                page.navigate("https://%s:%d/sign-up".formatted(name, house.port()));
                assertThat(page.title()).contains("Velvet Crock");
                assertThat(page.evaluate("isSecureContext && 'serviceWorker' in navigator"))
                        .as("it keeps pages for such a machine")
                        .isEqualTo(true);
            }
            page.navigate("http://localhost:%d/trust".formatted(house.plain()));
            assertThat(page.locator(".prints code").count()).isEqualTo(32);
            page.click("a.brand");
            page.waitForURL("https://localhost:%d/**".formatted(house.port()));
        }
    }

    /** Renewed while it is served by: whoever comes next meets the new one, and the authority stays the same. */
    @Test
    void whatEndsIsMadeAnewAndServedWithoutANewStart() throws Exception {
        X509Certificate before = served();
        assertThat(before.getNotAfter().toInstant())
                .isBetween(
                        Instant.now().plus(Duration.ofDays(380)), Instant.now().plus(Duration.ofDays(398)));
        byte[] authority = Files.readAllBytes(tls("authority.crt"));
        assertThat(house.launcher("certificate")).as("not before its time").doesNotContain("A new certificate");
        assertThat(house.launcher("certificate", "cellar.local")).contains("A new certificate", "cellar.local");
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
        try (SSLSocket socket = (SSLSocket) context.getSocketFactory().createSocket("127.0.0.1", house.port())) {
            socket.startHandshake();
            return (X509Certificate) socket.getSession().getPeerCertificates()[0];
        }
    }
}
