package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.Visitor.Answer;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a page is drawn and moved by is named by a hash of all that is in it. */
@HttpTest
class AssetsHttpTest {

    @LocalServerPort
    int port;

    @Test
    void whatCarriesItsHashIsKeptForGoodAndNeverMixed() {
        Visitor visitor = new Visitor(port);
        List<String> named = visitor.get("/sign-in").page().select("link[rel=stylesheet], script[src]").stream()
                .map(asset -> asset.hasAttr("src") ? asset.attr("src") : asset.attr("href"))
                .toList();
        assertThat(named).hasSize(2).allMatch(path -> path.matches(".*-[0-9a-f]{32}\\.(js|css)"));
        for (String path : named) {
            Answer asset = visitor.get(path);
            assertThat(asset.status()).as(path).isEqualTo(200);
            assertThat(asset.raw().headers().firstValue("Cache-Control"))
                    .as(path)
                    .hasValueSatisfying(kept -> assertThat(kept).contains("immutable", "max-age=31536000"));
            String another = path.replaceAll("-[0-9a-f]{32}", "-" + "0".repeat(32));
            assertThat(visitor.get(another).status()).as("of another release").isEqualTo(404);
        }
        String app = named.stream()
                .filter(path -> path.contains("/app-") && path.endsWith("js"))
                .findFirst()
                .orElseThrow();
        assertThat(visitor.get(app).raw().body()).doesNotContainPattern("\\bimport\\s*[\"'{*]");
    }
}
