package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.Set;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a cold device fetches before the first page stands there with its letters: at most 110 kB in six requests. */
@HttpTest
class FirstViewHttpTest {

    private static final int MOST_BYTES = 110_000;
    private static final int MOST_REQUESTS = 6;
    private static final Pattern LATIN = Pattern.compile("/fonts/[a-z-]+-latin\\.woff2");

    @LocalServerPort
    int port;

    private final HttpClient client = HttpClient.newHttpClient();

    private HttpResponse<byte[]> get(String path) throws Exception {
        HttpResponse<byte[]> answer = client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                        .header("Accept-Encoding", "gzip, br")
                        .build(),
                BodyHandlers.ofByteArray());
        assertThat(answer.statusCode()).as(path).isEqualTo(200);
        return answer;
    }

    @Test
    void theFirstViewIsSmall() throws Exception {
        Document page = new Visitor(port).get("/sign-in").page();
        Set<String> all = new LinkedHashSet<>();
        all.add("/sign-in");
        page.select("link[rel=stylesheet], link[rel=icon]").forEach(link -> all.add(link.attr("href")));
        page.select("script[src]").forEach(script -> all.add(script.attr("src")));
        Matcher font = LATIN.matcher(Files.readString(Path.of("src/main/resources/static/css/app.css")));
        while (font.find()) {
            all.add(font.group());
        }
        assertThat(all)
                .hasSizeLessThanOrEqualTo(MOST_REQUESTS)
                .filteredOn(path -> path.contains("latin"))
                .hasSize(2);
        int bytes = 0;
        for (String path : all) {
            HttpResponse<byte[]> answer = get(path);
            bytes += answer.body().length;
            if (path.endsWith(".css") || path.endsWith(".js")) {
                assertThat(answer.headers().firstValue("Content-Encoding"))
                        .as(path)
                        .contains("br");
                assertThat(answer.headers().firstValue("Cache-Control").orElse(""))
                        .contains("immutable");
            }
        }
        assertThat(bytes).isLessThanOrEqualTo(MOST_BYTES);
    }
}
