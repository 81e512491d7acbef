package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.Visitor.Filled;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** What no page ever sends is answered in words: no page breaks, nothing is written, and no length of text costs more than its reading. */
@HttpTest
@Isolated
class MalformedHttpTest {

    /** Five thousand with -Dcrock.malformed=5000; a short form is enough to hold what was mended. */
    private static final int REQUESTS = Integer.getInteger("crock.malformed", 500);

    /** As much as a form may hold, less what its other fields take. */
    private static final int LONGEST = 60_000;

    @LocalServerPort
    int port;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    RequestMappingHandlerMapping mappings;

    @Autowired
    JdbcClient sql;

    private Visitor tove;
    private String batch;
    private String oil;
    private String lot;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Malformed");
        batch = tove.post(Visitor.form(tove.get("/bench?amount=40+g").page(), "#bench", Map.of()))
                .path();
        String other = tove.post(Visitor.form(tove.get("/bench?amount=30+g").page(), "#bench", Map.of()))
                .path();
        tove.submit(other.replace("batch", "press"), "form[action*=press]", Map.of("out", "150 g"));
        oil = tove.get("/cupboard").page().select("main .bottle").attr("href");
        lot = tove.get("/stores").page().select("tr:contains(Nettle) a").attr("href");
    }

    @Test
    void noRequestBreaksAPageAndNoRefusalWritesAnything() {
        Random random = new Random(20261125);
        List<String> routes = routes();
        Set<String> names = names();
        String token =
                tove.get("/settings").page().selectFirst("input[name=_csrf]").attr("value");
        List<String> broken = new ArrayList<>();
        long slowest = 0;
        for (int i = 0; i < REQUESTS; i++) {
            String[] route = routes.get(random.nextInt(routes.size())).split(" ");
            String path = route[1].replaceAll("\\{[^}]+}", junk(random, true));
            Map<String, String> fields = new LinkedHashMap<>();
            for (int n = random.nextInt(6); n > 0; n--) {
                fields.put(
                        random.nextInt(4) == 0
                                ? junk(random, false)
                                : List.copyOf(names).get(random.nextInt(names.size())),
                        junk(random, false));
            }
            String before = written();
            long began = System.nanoTime();
            Answer answer;
            if (route[0].equals("GET")) {
                String query = fields.entrySet().stream()
                        .map(e -> Visitor.encode(e.getKey()) + "=" + Visitor.encode(e.getValue()))
                        .reduce((a, b) -> a + "&" + b)
                        .orElse("");
                answer = tove.get(path + "?" + query + (random.nextInt(10) == 0 ? "&q=%ff%fe" : ""));
            } else {
                fields.put("_csrf", token);
                answer = tove.post(new Filled(path, fields));
            }
            slowest = Math.max(slowest, System.nanoTime() - began);
            boolean wrote = answer.status() >= 400 && !written().equals(before);
            if (answer.status() >= 500 || wrote) {
                broken.add("%d %s %s %s%s"
                        .formatted(answer.status(), route[0], path, fields, wrote ? " wrote all the same" : ""));
            }
        }
        System.out.println(REQUESTS + " malformed requests, the slowest took " + slowest / 1_000_000 + " ms");
        assertThat(broken).isEmpty();
    }

    /**
     * Filled to the brim with blanks, digits or dashes, every field of every form is refused or read; one that went back and forth
     * over it would take minutes.
     */
    @ParameterizedTest
    @ValueSource(strings = {" ", "1", "-"})
    @Timeout(240)
    void everyFieldOfEveryFormTakesTextOfAnyLength(String sign) {
        String text = "1" + sign.repeat(LONGEST) + "1";
        for (String page : List.of(
                "/stores",
                "/stores/supplies",
                "/stores/kit",
                "/stores/recipes",
                "/stores/catalogue",
                "/bench",
                "/settings",
                "/settings/hours",
                batch,
                oil,
                lot,
                batch.replace("batch", "press"))) {
            Document document = tove.get(page).page();
            for (Element form : document.select("main form[method=post]")) {
                for (Element field : form.select(
                        "input:not([type]), input[type=text], textarea, input[type=date], input[type=datetime-local]")) {
                    Map<String, String> fields = new LinkedHashMap<>(
                            Visitor.form(document, cssOf(form), Map.of()).fields());
                    fields.put(field.attr("name"), text);
                    Answer answer = tove.post(new Filled(form.attr("action"), fields));
                    assertThat(answer.status())
                            .as(page + " " + field.attr("name"))
                            .isLessThan(500);
                }
            }
        }
        for (String query : List.of(
                "/stores/search?q=",
                "/stores/echo?field=amount&prefix=h-&expect=SOLID&amount=",
                "/stores/convert?of=olive+oil&amount=")) {
            assertThat(tove.get(query + Visitor.encode(text.substring(0, 6000))).status())
                    .as(query)
                    .isLessThan(500);
        }
    }

    private static String cssOf(Element form) {
        return "form[action=" + form.attr("action") + "]" + (form.id().isEmpty() ? "" : "#" + form.id());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/shelf?a=%ff",
                "/bench?more[256].amount=1",
                "/bench?more[-1].amount=1",
                "/bench?more[x].amount=1",
                "/bench?time[by]=1",
                "/bench?time.hold[100000]=1",
                "/bench?start=0000-01-01",
                "/bench?start=%2B999999999-01-01",
                "/stores/catalogue?corrects=NaN",
                "/sign-in?%ff=1"
            })
    void whatNoFormSendsIsNoMistakeOfOurs(String address) {
        for (Visitor visitor : List.of(tove, new Visitor(port))) {
            assertThat(visitor.get(address).status()).as(address).isLessThan(500);
        }
    }

    @Test
    void aBodyLongerThanAFormIsTurnedAwayUnread() {
        Answer answer = tove.post(batch + "/note", Map.of("words", "x".repeat(70_000)));
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.page().text()).contains("more than a form holds");
        Answer late = tove.submit(
                "/stores",
                "form[action$=carriers]",
                Map.of("carrier", "olive", "amount", "1 L", "opened", "1066-10-14"));
        assertThat(late.page().text()).contains("The year 1066 is not one of a stillroom's");
    }

    /** The same deed from many hands at once is done once; nobody sees a page that broke. */
    @Test
    void whatManyDoAtOnceIsDoneOnce() {
        atOnce(i -> tove.post("/settings/calendar", Map.of()));
        Filled undo = Visitor.form(tove.get(batch).page(), ".log li:contains(Charged) form", Map.of());
        atOnce(i -> tove.post(undo));
        assertThat(tove.get(batch).page().text()).contains("Taken back: nothing stands in a jar");
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "50 g"));
        List<String> lots = tove.get("/stores").page().select("tr:contains(Nettle) a").eachAttr("href").stream()
                .distinct()
                .toList();
        atOnce(i -> tove.post(
                lots.get(i % 2) + "/merge",
                Map.of("other", lots.get((i + 1) % 2).replaceAll(".*/", ""))));
        assertThat(tove.get("/stores").page().select("tr:contains(Nettle)")).hasSize(1);
        assertThat(tove.get("/stores").page().select("tr:contains(Nettle)").text())
                .contains("220 g");
    }

    /** A repeat gets the first answer though the stock has gone since; another body under the key is refused, and nothing is written. */
    @Test
    void aRepeatIsAnsweredAsTheFirstTimeAndAnotherBodyIsRefused() {
        Filled draw = Visitor.form(tove.get(lot).page(), "#do-draw", Map.of("amount", "100 g"));
        Answer first = tove.post(draw);
        tove.submit(lot, "#do-draw", Map.of("amount", "30 g"));
        Answer again = tove.post(draw);
        assertThat(again.path()).isEqualTo(first.path());
        assertThat(again.page().select(".notice").text())
                .isEqualTo(first.page().select(".notice").text());
        Map<String, String> other = new LinkedHashMap<>(draw.fields());
        other.put("amount", "20 g");
        String before = written();
        Answer refused = tove.post(new Filled(draw.action(), other));
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.page().text()).contains("sent before, and something in it has been changed");
        assertThat(written()).isEqualTo(before);
    }

    /** Sixteen taps at once draw once, and each is told what the one did, though there is too little left for another. */
    @Test
    void manyTapsAtOnceAreAllToldTheSame() {
        Filled draw = Visitor.form(tove.get(lot).page(), "#do-draw", Map.of("amount", "100 g"));
        List<CompletableFuture<Answer>> all = IntStream.range(0, 16)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> tove.post(draw)))
                .toList();
        assertThat(all.stream().map(CompletableFuture::join)).allSatisfy(answer -> {
            assertThat(answer.status()).isEqualTo(200);
            assertThat(answer.path()).isEqualTo(lot);
            assertThat(answer.page().select("#refused")).isEmpty();
        });
        assertThat(tove.get("/stores").page().select("tr:contains(Nettle)").text())
                .contains("30 g");
    }

    private static void atOnce(java.util.function.IntFunction<Answer> deed) {
        List<CompletableFuture<Answer>> all = IntStream.range(0, 6)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> deed.apply(i)))
                .toList();
        assertThat(all.stream().map(CompletableFuture::join))
                .extracting(Answer::status)
                .allSatisfy(status -> assertThat(status).isLessThan(500));
    }

    /** How much has been written, by whomever. */
    private String written() {
        return sql.sql("select (select count(*) from movement) || ' ' || (select count(*) from batch_entry) || ' ' || "
                        + "(select count(*) from lot) || ' ' || (select count(*) from batch)"
                        + " || ' ' || (select count(*) from condition) || ' ' || (select count(*) from form_key) || ' ' "
                        + "|| (select coalesce(sum(balance), 0) from lot)")
                .query(String.class)
                .single();
    }

    private List<String> routes() {
        List<String> routes = new ArrayList<>();
        for (RequestMappingInfo info : mappings.getHandlerMethods().keySet()) {
            Set<RequestMethod> methods = info.getMethodsCondition().getMethods();
            info.getPatternValues()
                    .forEach(pattern -> routes.add((methods.isEmpty()
                                    ? "GET"
                                    : methods.iterator().next().name()) + " " + pattern));
        }
        // A stream does not end by itself; what is asked of it is tried where it is tested.
        routes.remove("GET /live");
        routes.removeIf(route -> route.contains("sign-") || route.contains("demo-entry") || route.contains("/error"));
        routes.sort(null);
        return routes;
    }

    /** Every name a field of a page has. */
    private Set<String> names() {
        Set<String> names = new LinkedHashSet<>();
        for (String page : List.of(
                "/stores",
                "/bench",
                "/settings",
                "/settings/hours",
                batch,
                oil,
                lot,
                "/shelf",
                "/stores/supplies",
                "/stores/kit")) {
            tove.get(page).page().select("main [name]").forEach(field -> names.add(field.attr("name")));
        }
        names.remove("_csrf");
        return names;
    }

    private String junk(Random random, boolean inPath) {
        List<String> bits = List.of(
                "",
                "x",
                "-1",
                "NaN",
                "Infinity",
                "1e999",
                "9".repeat(30),
                "2026-13-45",
                "+999999999-12-31",
                "12:99",
                "null",
                "RIGHT",
                "MOULD",
                "YES",
                "00000000-0000-0000-0000-000000000000",
                UUID.nameUUIDFromBytes(new byte[] {(byte) random.nextInt(250)}).toString(),
                lot.replaceAll(".*/", ""),
                oil.replaceAll(".*/", ""),
                batch.replaceAll(".*/", ""),
                "15 kg",
                "2 g, 1 cup",
                "an half cup",
                "é",
                "'; drop table lot; --",
                "<script>",
                "more[99].amount",
                "a.b.c.d",
                "stand.shake.1",
                "stand.shake.99999",
                "${7*7}",
                "{}",
                "[1]",
                "60 g",
                "yes");
        String bit = bits.get(random.nextInt(bits.size()));
        return inPath
                ? Visitor.encode(
                        bit.isEmpty() || bit.contains(";") || bit.contains("/") || bit.contains("%") ? "x" : bit)
                : random.nextInt(12) == 0 ? bit + "\u0000" : bit;
    }
}
