package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Where nobody serves by a certificate of the household's own. */
@HttpTest
class TrustHttpTest {

    @LocalServerPort
    int port;

    @Test
    void overPlainHttpThePageSaysThatNothingIsKept() {
        Visitor anybody = new Visitor(port);
        assertThat(anybody.get("/trust").page().select("main").text())
                .contains("plain http, so none is kept on this device", "CROCK_TLS=self");
        assertThat(anybody.get("/trust/authority.crt").status()).isEqualTo(404);
        Visitor tove = Visitor.household(port, "Trust");
        assertThat(tove.get("/settings").page().select("a[href=/trust]")).hasSize(1);
    }

    private HttpResponse<String> raw(String path) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    /** The worker is led by what is served now: each asset of a page under the hash it has, and none that is not there. */
    @Test
    void theWorkerKnowsWhatIsServed() throws Exception {
        HttpResponse<String> worker = raw("/sw.js");
        assertThat(worker.headers().firstValue("Content-Type").orElse("")).startsWith("text/javascript");
        assertThat(worker.headers().firstValue("Cache-Control").orElse("")).contains("no-cache");
        Document page = Jsoup.parse(raw("/sign-in").body());
        assertThat(page.select("script[src], link[rel=stylesheet]").stream()
                        .map(one -> one.hasAttr("src") ? one.attr("src") : one.attr("href")))
                .isNotEmpty()
                .allSatisfy(asset -> assertThat(worker.body()).contains("\"url\":\"" + asset + "\""));
        Matcher each = Pattern.compile("\"url\":\"([^\"]+)\"").matcher(worker.body());
        int found = 0;
        while (each.find()) {
            assertThat(raw(each.group(1)).statusCode()).as(each.group(1)).isEqualTo(200);
            found++;
        }
        assertThat(found).isEqualTo(7);
        HttpResponse<String> manifest = raw("/manifest.json");
        assertThat(manifest.headers().firstValue("Content-Type").orElse("")).contains("application/json");
        for (String icon : List.of("/icon-192.png", "/icon-512.png")) {
            assertThat(manifest.body()).contains(icon);
            assertThat(raw(icon).statusCode()).isEqualTo(200);
        }
        assertThat(raw("/sign-in").headers().firstValue("Crock-Who")).contains("nobody");
    }
}
