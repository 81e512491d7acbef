package app.velvetcrock.condition;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.DangerTable;
import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.io.IOException;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Fire, cold, heat nobody looks at, and what was really made and for whom, by the table of situations. The clock stands at 9 o'clock. */
@HttpTest
class DangersHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String batch;
    private String making;
    private String good;
    private Document bench;
    private Document pan;
    private Answer last;

    @TestFactory
    Stream<DynamicTest> eachPageSaysWhatTheTableSays() throws IOException {
        return DangerTable.read("dangers-made.txt").tests(this::comes, this::page);
    }

    private void comes(String situation) {
        tove = Visitor.stocked(port, "Dangers");
        batch = making = good = null;
        bench = pan = null;
        last = null;
        switch (situation) {
            case "spirit stands" -> spirit();
            case "spirit gone" -> {
                spirit();
                tove.post(batch + "/tasks/spirit.spirit-gone.1", once());
            }
            case "spirit gone, taken back" -> {
                spirit();
                Answer gone = tove.post(batch + "/tasks/spirit.spirit-gone.1", once());
                tove.post(Visitor.form(gone.page(), ".notice form", Map.of()));
            }
            case "fresh between evenings" -> fresh();
            case "fresh put cold" -> {
                fresh();
                tove.post(
                        tove.get(batch).page().select("form[action*=fridge-in]").attr("action"), once());
            }
            case "dried between evenings" -> {
                warm("40 g");
                on("2026-11-23 18:00");
                read("45", "2026-11-23 19:00");
                tove.submit(batch, "form[action*=heat-off]", Map.of("when", "2026-11-23 22:00"));
            }
            case "nobody looked" -> {
                warm("40 g");
                on("2026-11-23 20:00");
                read("46", "2026-11-23 22:00");
            }
            case "read again late" -> {
                warm("40 g");
                on("2026-11-24 06:00");
                read("46", "2026-11-24 07:20");
            }
            case "115 typed" -> heatTyped("115");
            case "115 °F typed" -> heatTyped("115 °F");
            case "115 °C typed" -> heatTyped("115 °C");
            case "snaps at half its water" -> rack();
            case "past its date" -> {
                tove.submit(
                        "/stores",
                        "form[action$=carriers]",
                        Map.of("carrier", "sunflower", "amount", "1 l", "bestBefore", "1 Oct 2026"));
                tove.submit(
                        "/stores",
                        "form[action$=carriers]",
                        Map.of("carrier", "sunflower-high-oleic", "amount", "1 l", "bestBefore", "1 Oct 2027"));
                bench("amount=30+g&carrier=" + lot("/stores", "Sunflower"));
            }
            case "less weighed in" -> {
                lessWeighedIn();
                poured();
            }
            case "less weighed in, one taken back" -> {
                lessWeighedIn();
                String added = tove.get(making)
                        .page()
                        .select(".making-log tr:contains(Lavender) form[action*=undo]")
                        .attr("action");
                assertThat(tove.post(added, once()).status()).isEqualTo(200);
                Map<String, String> out = once();
                out.putAll(Map.of("of", "0", "words", "too strong", "when", "2026-11-24T08:15"));
                assertThat(tove.post(making + "/skip/STIR_IN", out).status()).isEqualTo(200);
                poured();
            }
            case "drops too hot" -> tooHot();
            case "drops too hot, all the same" -> {
                tooHot();
                Map<String, String> add = once();
                add.putAll(Map.of("of", "0", "anyway", "yes", "when", "2026-11-24T08:18"));
                assertThat(tove.post(making + "/add", add).status()).isEqualTo(200);
            }
            case "oregano for a baby" -> pan("BABY", "kind:eo-oregano", "2 drops");
            case "clove for a toddler" -> pan("CHILD_2_5", "kind:eo-clove-bud", "1 drop");
            case "honey for a baby" -> pan("BABY", "kind:honey", "3 g");
            case "wintergreen in pregnancy" -> pan("PREGNANCY", "kind:eo-wintergreen", "2 drops");
            case "lemon for a child" -> pan("CHILD_6_14", "kind:eo-lemon", "4 drops");
            case "tincture for a nursling" -> pan("NURSLING", "kind:tincture", "2 g");
            case "tansy for a nursling" -> pan("NURSLING", "kind:eo-tansy", "1 drop");
            case "honey in a nursing balm" -> pan("ADULT_SKIN", "kind:honey", "3 g", "nursing-balm");
            case "lavender over for grown-ups" -> pan("ADULT_SKIN", "kind:eo-lavender", "90 drops");
            case "tansy as food" -> herb("Tansy", "FOOD");
            case "wormwood for a baby" -> herb("Wormwood", "BABY");
            case "yarrow as food" -> herb("Yarrow", "FOOD");
            case "nettle as food" -> {
                bench("amount=40+g&use=FOOD&start=2026-11-20");
                batch = tove.post(Visitor.form(bench, "#bench", Map.of())).path();
            }
            case "a herb of one's own for a child" -> {
                own();
                herb("Moor wort", "CHILD_6_14");
            }
            case "a herb of one's own on skin" -> {
                own();
                herb("Moor wort", "ADULT_SKIN");
            }
            default -> throw new IllegalArgumentException("no such situation: " + situation);
        }
    }

    private static Map<String, String> once() {
        return new HashMap<>(Map.of("key", UUID.randomUUID().toString()));
    }

    private void bench(String query) {
        bench = tove.get("/bench?" + query).page();
    }

    private String begun() {
        last = tove.post(Visitor.form(bench, "#bench", Map.of()));
        assertThat(last.path()).as("nothing was started").doesNotContain("/batch/0");
        return last.page().body().text();
    }

    private String lot(String page, String name) {
        return tove.get(page).page().select("table a:contains(" + name + ")").stream()
                .min(Comparator.comparing(link -> link.text().length()))
                .orElseThrow()
                .attr("href")
                .replace("/stores/lots/", "");
    }

    private void spirit() {
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "grain-spirit", "amount", "500 mL", "abv", "90"));
        bench("amount=30+g&method=spirit-first&start=2026-11-23");
        batch = tove.post(Visitor.form(bench, "#bench", Map.of())).path();
        tove.post(batch + "/tasks/moist.next.1", once());
    }

    private void fresh() {
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "300 g", "moisture", "FRESH"));
        String fresh =
                tove.get("/bench").page().select("#herb option:contains(fresh)").attr("value");
        bench("amount=60+g&method=fresh-low&start=2026-11-22&herb=" + fresh);
        batch = tove.post(Visitor.form(bench, "#bench", Map.of())).path();
        Map<String, String> next = once();
        next.put("when", "2026-11-23 17:00");
        tove.post(tove.get(batch).page().select("form[action*=next]").attr("action"), next);
        on("2026-11-23 18:00");
        read("46", "2026-11-23 19:00");
        tove.submit(batch, "form[action*=heat-off]", Map.of("when", "2026-11-23 22:00"));
    }

    private void warm(String amount) {
        bench("method=slow-warm&start=2026-11-22&amount=" + amount.replace(' ', '+'));
        batch = tove.post(Visitor.form(bench, "#bench", Map.of())).path();
        assertThat(batch).startsWith("/batch/");
    }

    private void on(String when) {
        tove.submit(batch, "form[action*=heat-on]", Map.of("when", when));
    }

    private void read(String temperature, String when) {
        last = tove.submit(batch, "form[action$=heat]", Map.of("temperature", temperature, "when", when));
    }

    private void heatTyped(String typed) {
        warm("40 g");
        on("2026-11-24 08:00");
        read(typed, "2026-11-24 08:50");
    }

    /** 300 g of fresh nettle, 85 % water, weighs 90 g after four days, half of it water, and is said to snap. */
    private void rack() {
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "300 g", "moisture", "FRESH"));
        String fresh = "/stores/lots/"
                + tove.get("/stores")
                        .page()
                        .select("tr:contains(fresh) a")
                        .attr("href")
                        .replace("/stores/lots/", "");
        tove.submit(fresh, "form[action$=dry]", Map.of("when", "2026-11-20 09:00"));
        last = tove.submit(
                "/stores/drying",
                "form[action$=weigh]",
                Map.of("mass", "90 g", "snap", "SNAPS", "when", "2026-11-24 08:00"));
    }

    private String takenDown() {
        String weigh =
                tove.get("/stores/drying").page().select("form[action$=weigh]").attr("action");
        Answer down = tove.post(weigh.replace("/weigh", "/down"), once());
        return down.page().body().text();
    }

    private void supplies() {
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "eo-lavender", "amount", "10 mL"));
        tove.submit(
                "/stores/supplies",
                "#add-container",
                Map.of("name", "Round tin 60 mL", "holds", "60 mL", "pieces", "24"));
    }

    private void pan(String use, String add, String share, String... kind) {
        supplies();
        String made = kind.length == 0 ? "salve" : kind[0];
        pan = tove.get("/pan?kind=%s&was=%s&much=100+g&use=%s&oil=%s&add%%5B0%%5D.of=%s&add%%5B0%%5D.share=%s"
                        .formatted(made, made, use, lot("/stores", "rapeseed"), add, share.replace(' ', '+')))
                .page();
    }

    /** 60 drops of lavender, 2.7 g, are 1.8 % of 150 g; of the 40 g that were weighed in they are 6.3 %. */
    private void lessWeighedIn() {
        supplies();
        pan = tove.get("/pan?kind=salve&was=salve&much=150+g&oil=" + lot("/stores", "rapeseed") + "&add%5B0%5D.of="
                        + lot("/stores/supplies", "Lavender") + "&add%5B0%5D.share=60+drops")
                .page();
        assertThat(pan.select("#over")).as("as planned it is within").isEmpty();
        Document form = pan;
        Map<String, String> weighed = new HashMap<>(Map.of("when", "2026-11-24T08:00"));
        weighed.put("really[0]", "34 g");
        weighed.put("really[1]", "6 g");
        making = tove.post(Visitor.form(form, "#pan", weighed)).path();
        assertThat(making).startsWith("/pan/0");
        Map<String, String> add = once();
        add.putAll(Map.of("of", "0", "when", "2026-11-24T08:10"));
        assertThat(tove.post(making + "/add", add).status()).isEqualTo(200);
    }

    private void poured() {
        Map<String, String> pour = once();
        pour.putAll(Map.of(
                "into",
                lot("/stores/supplies", "Round tin"),
                "count",
                "1",
                "each",
                "40 g",
                "when",
                "2026-11-24T08:20"));
        last = tove.post(making + "/pour", pour);
        assertThat(last.status())
                .as(last.page().select("#refused, .bad").text())
                .isEqualTo(200);
        good = tove.get("/cupboard").page().select("a.goods").attr("href");
    }

    private void tooHot() {
        supplies();
        pan = tove.get("/pan?kind=salve&was=salve&much=150+g&oil=" + lot("/stores", "rapeseed") + "&add%5B0%5D.of="
                        + lot("/stores/supplies", "Lavender") + "&add%5B0%5D.share=10+drops")
                .page();
        making = tove.post(Visitor.form(pan, "#pan", Map.of("when", "2026-11-24T08:00")))
                .path();
        tove.post(making + "/did/MELT", once());
        Map<String, String> felt = once();
        felt.putAll(Map.of("felt", "RIGHT", "when", "2026-11-24T08:15"));
        tove.post(making + "/test", felt);
        Map<String, String> off = once();
        off.putAll(Map.of("where", "IN_AIR", "temperature", "80", "when", "2026-11-24T08:17"));
        tove.post(making + "/off-heat", off);
        Map<String, String> add = once();
        add.putAll(Map.of("of", "0", "when", "2026-11-24T08:18"));
        last = tove.post(making + "/add", add);
    }

    private void own() {
        Answer kept = tove.submit(
                "/stores/catalogue?add=Moor+wort",
                "form[action$=herbs]",
                Map.of("common", "Moor wort", "botanical", "Inventa palustris"));
        assertThat(kept.status())
                .as(kept.page().select("#refused, .bad").text())
                .isEqualTo(200);
    }

    private void herb(String name, String use) {
        Answer stored = tove.submit(
                "/stores", "form[action$=herbs]", Map.of("herb", name, "amount", "100 g", "moisture", "DRIED"));
        assertThat(stored.status())
                .as(stored.page().select("#refused, .bad").text())
                .isEqualTo(200);
        String lot = lot("/stores", name);
        bench("amount=30+g&use=" + use + "&herb=" + lot);
    }

    private String page(String name) {
        return switch (name) {
            case "batch", "log" -> tove.get(batch == null ? making : batch)
                    .page()
                    .select("main")
                    .text();
            case "label" -> tove.get(batch + "/label")
                    .page()
                    .select(".ink-label")
                    .text();
            case "watch" -> tove.get(batch + "/watch").page().select("#watch").text();
            case "press" -> tove.get(batch.replace("batch", "press"))
                    .page()
                    .select("main")
                    .text();
            case "rounds" -> tove.get("/shelf").page().select(".rounds").text();
            case "shelf" -> tove.get("/shelf").page().select(".heat-alarm").text();
            case "tag" -> tove.get("/shelf").page().select(".crock-words").text();
            case "feed" -> tove.get(batch + "/calendar").raw().body().replaceAll("\r?\n ", "");
            case "refused", "asked" -> last.page().body().text();
            case "rack" -> tove.get("/stores/drying").page().select("main").text();
            case "taken down" -> takenDown();
            case "bench" -> bench.select("main").text();
            case "last bottle" -> tove.get("/bench")
                    .page()
                    .select("#carrier option")
                    .last()
                    .text();
            case "begun all the same", "begun" -> pan == null ? begun() : panBegun();
            case "pan" -> pan.select("main").text();
            case "making" -> tove.get(making).page().select("#over").text();
            case "goods" -> tove.get(good).page().select("#kept-back").text();
            case "give" -> tove.submit(good, "#take", Map.of("count", "1", "why", "GIVEN"))
                    .page()
                    .body()
                    .text();
            case "oil label" -> oilLabel();
            default -> throw new IllegalArgumentException("no such page: " + name);
        };
    }

    private String panBegun() {
        last = tove.post(Visitor.form(pan, "#pan", Map.of()));
        assertThat(last.path()).as("nothing was weighed in").doesNotStartWith("/pan/0");
        return last.page().body().text();
    }

    private String oilLabel() {
        tove.submit(batch.replace("batch", "press"), "form[action*=press]", Map.of("out", "200 g"));
        String oil = tove.get("/cupboard").page().select(".bottle").attr("href");
        return tove.get(oil + "/label").page().select(".ink-label").text();
    }
}
