package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.Visitor.Filled;
import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Every form with each of its fields left out, sent twice, and with a field of another form: answered in words, never by a broken page.
 * In an ordinary run each field in one of the three ways; in all of them where every case is tried.
 */
@HttpTest
class FormsHttpTest {

    private static final boolean EVERY_WAY = Integer.getInteger("crock.cases", 1) > 1;

    @LocalServerPort
    int port;

    private Visitor tove;
    private final List<String> pages = new ArrayList<>(List.of(
            "/stores",
            "/stores/supplies",
            "/stores/kit",
            "/stores/catalogue",
            "/stores/to-buy",
            "/bench?amount=40+g",
            "/bench/recipes",
            "/settings",
            "/settings/hours",
            "/settings/people",
            "/settings/calendar",
            "/settings/probes",
            "/shelf"));

    private enum Way {
        MISSING,
        TWICE,
        FOREIGN
    }

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Forms");
    }

    private void everything() {
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "500 mL", "width", "84 mm", "pieces", "3"));
        String strained = tove.post(Visitor.form(tove.get("/bench?amount=20+g").page(), "#bench", Map.of()))
                .path();
        tove.submit(strained.replace("batch", "press"), "form[action*=press]", Map.of("out", "100 g"));
        String batch = tove.post(Visitor.form(tove.get("/bench?amount=40+g").page(), "#bench", Map.of()))
                .path();
        String other = tove.post(Visitor.form(
                        tove.get("/bench?amount=30+g&method=slow-warm").page(), "#bench", Map.of()))
                .path();
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "eo-lavender", "amount", "10 mL"));
        tove.submit("/stores/supplies", "#add-container", Map.of("name", "Tin", "holds", "60 mL", "pieces", "24"));
        String making = tove.post(Visitor.form(
                        tove.get("/pan?kind=salve&was=salve&much=100+g").page(), "#pan", Map.of()))
                .path();
        assertThat(making).startsWith("/pan/0");
        pages.addAll(List.of(
                batch,
                other,
                other + "/watch",
                batch.replace("batch", "press"),
                tove.get("/cupboard").page().select("main .bottle").attr("href"),
                tove.get("/stores").page().select("tr:contains(Nettle) a").attr("href"),
                tove.get("/stores/supplies")
                        .page()
                        .select("tr:contains(Lavender) a")
                        .attr("href"),
                "/pan?kind=salve&was=salve&much=100+g",
                making));
    }

    @Test
    void everyFieldLeftOutTwiceOrForeignIsAnswered() {
        everything();
        List<String> broken = new ArrayList<>();
        int tried = 0;
        for (String page : pages) {
            Document document = tove.get(page).page();
            for (Element form : document.select("main form[method=post]")) {
                if (form.attr("action").matches(".*(undo|remove|sign-out|/out|drop)$")) {
                    continue;
                }
                Map<String, String> whole = fields(form);
                for (String field : whole.keySet()) {
                    for (Way way : ways(tried)) {
                        Answer answer = sent(form.attr("action"), whole, field, way);
                        tried++;
                        if (answer.status() >= 500) {
                            broken.add("%s on %s: %s %s is %d"
                                    .formatted(form.attr("action"), page, field, way, answer.status()));
                        }
                    }
                }
            }
        }
        assertThat(tried).isGreaterThan(200);
        assertThat(broken).isEmpty();
    }

    private static List<Way> ways(int tried) {
        return EVERY_WAY ? List.of(Way.values()) : List.of(Way.values()[tried % Way.values().length]);
    }

    private static Map<String, String> fields(Element form) {
        Map<String, String> fields = new LinkedHashMap<>();
        form.select("input[name], select[name], textarea[name]").forEach(field -> {
            Element chosen = field.tagName().equals("select")
                    ? field.select("option[selected]").isEmpty()
                            ? field.selectFirst("option")
                            : field.selectFirst("option[selected]")
                    : field;
            fields.put(field.attr("name"), chosen == null ? "" : chosen.attr("value"));
        });
        return fields;
    }

    private Answer sent(String action, Map<String, String> whole, String field, Way way) {
        Map<String, String> fields = new HashMap<>(whole);
        fields.replaceAll(
                (name, value) -> name.equals("key") ? UUID.randomUUID().toString() : value);
        return switch (way) {
            case MISSING -> {
                fields.remove(field);
                yield tove.post(new Filled(action, fields));
            }
            case TWICE -> tove.post(new Filled(action, fields), "&%s=%s".formatted(Visitor.encode(field), "1"));
            case FOREIGN -> tove.post(
                    new Filled(action, fields), "&%s.more=1&more.amount=1&really.x=2".formatted(Visitor.encode(field)));
        };
    }

    /** A sentence's rows without their place, a form that says it is of several parts and is not, a body that breaks off. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "/bench?more.amount=1",
                "/bench?others.carrier=1",
                "/pan?add.of=1",
                "/pan?with.share=1",
                "/pan?add[0]=1",
                "/pan?really=1",
                "/bench?then.x=1"
            })
    void rowsWithoutTheirPlaceAreNoMistakeOfOurs(String address) {
        assertThat(tove.get(address.replace("[", "%5B").replace("]", "%5D")).status())
                .isLessThan(500);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "multipart/form-data",
                "multipart/form-data; boundary=",
                "multipart/form-data; boundary=x",
                "multipart/mixed; boundary=y",
                "application/json",
                "text/plain; charset=no-such-charset",
                "x"
            })
    void aFormOfAnotherKindIsRefused(String type) throws Exception {
        for (String action :
                List.of("/bench", "/stores/herbs", "/sign-in", "/bench/recipes/import", "/settings/probes/file")) {
            for (String body : List.of("", "--x\r\nContent-Disposition: form-data; name=", "herb=Nettle")) {
                assertThat(tove.postAs(action, type, body))
                        .as(action + " " + type)
                        .isBetween(200, 499);
            }
        }
    }

    /** A body in pieces of which one is no piece, and one that breaks off: refused once, and the next visitor is answered. */
    @ParameterizedTest
    @ValueSource(strings = {"ZZ\r\n", "5\r\nab", "fffffffff\r\n", ""})
    void aBrokenBodyIsRefusedOnce(String body) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.setSoTimeout(10_000);
            String head =
                    "POST /sign-in HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/x-www-form-urlencoded\r\n"
                            + "Transfer-Encoding: chunked\r\n\r\n";
            socket.getOutputStream().write((head + body).getBytes(StandardCharsets.ISO_8859_1));
            socket.shutdownOutput();
            String said = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(said.split("HTTP/1.1 ", -1).length - 1).as(said).isLessThanOrEqualTo(1);
            assertThat(said).doesNotContain("HTTP/1.1 5");
        }
        assertThat(new Visitor(port).get("/sign-in").status()).isEqualTo(200);
    }
}
