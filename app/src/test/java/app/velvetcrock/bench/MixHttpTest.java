package app.velvetcrock.bench;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Up to four carriers: each from its own lot, one oil on every page. */
@HttpTest
class MixHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Mix");
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "olive", "amount", "1 L"));
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "sesame", "amount", "100 mL"));
    }

    /** 300 mL, half olive by volume: 150 mL of 0.913 are 136.95 g. Taken from both, named on label, oil and Press; given back. */
    @Test
    void eachOilIsTakenFromItsLotAndNamedEverywhere() {
        Map<String, String> wish = wish("half", "Olive");
        Document bench = plan(wish);
        assertThat(bench.select("#oils tr").eachText())
                .containsExactly("Cold-pressed rapeseed 150 mL, 138 g 50 %", "Olive 150 mL, 137 g 50 %");
        assertThat(bench.getElementById("note-mix.first").text()).contains("50 %", "by volume");
        String before = stores();
        Answer batch = tove.post(Visitor.form(bench, "#bench", wish));
        assertThat(batch.path()).startsWith("/batch/");
        assertThat(batch.page().select(".went").text()).contains("300 mL", "olive 50 %");
        assertThat(tove.get(batch.path() + "/label").page().select(".ink-label").text())
                .contains("olive 50 %");
        assertThat(stores()).contains("850 mL").isNotEqualTo(before);
        String again =
                Visitor.form(batch.page(), "form[action*=recipes]", Map.of()).toString();
        assertThat(again).isNotEmpty();
        assertThat(tove.post(Visitor.form(batch.page(), "form[action*=undo]", Map.of()))
                        .status())
                .isEqualTo(200);
        assertThat(stores()).isEqualTo(before);
    }

    /** What is kept as a recipe opens the Bench with both oils again, from what is in stock. */
    @Test
    void aKeptMixOpensTheBenchAgain() {
        Answer batch = tove.post(Visitor.form(plan(wish("1 part", "Olive")), "#bench", wish("1 part", "Olive")));
        Answer kept = tove.post(Visitor.form(batch.page(), "form[action*=recipe]", Map.of()));
        assertThat(kept.page().select("main").text()).contains("Olive", "Cold-pressed rapeseed");
        Document again =
                tove.get(kept.page().select("a[href^=/bench?]").attr("href")).page();
        assertThat(again.select("#oils tr").eachText()).hasSize(2).allMatch(row -> row.contains("150 mL"));
    }

    @Test
    void whatIsNotClearOrNotThereIsSaidBesideItsOil() {
        assertThat(note(plan(wish("half", "Sesame")), "mix.more[0].share"))
                .contains("150 mL of sesame", "the bottle holds 100 mL");
        assertThat(note(plan(wish("most of it", "Olive")), "mix.more[0].share")).contains("most of it");
        Map<String, String> cover = wish("100 mL", "Olive");
        cover.put("oil", "");
        assertThat(note(plan(cover), "oil")).contains("cannot be told");
        Map<String, String> alone = wish("half", "Olive");
        alone.put("mix.more[0].carrier", "");
        assertThat(note(plan(alone), "mix.more[0].carrier")).contains("without its oil");
    }

    private static String note(Document page, String field) {
        assertThat(page.select("#worked .verdict.bad, #worked [disabled], .trouble, .note")
                        .text())
                .isNotNull();
        return page.getElementById("note-" + field).text();
    }

    private String stores() {
        return tove.get("/stores").page().select("main").text();
    }

    private Map<String, String> wish(String share, String other) {
        Document bench = tove.get("/bench").page();
        return new HashMap<>(Map.of(
                "herb",
                bench.select("#herb option:contains(Nettle)").attr("value"),
                "amount",
                "30 g",
                "carrier",
                bench.select("#carrier option:contains(rapeseed)").attr("value"),
                "oil",
                "300 mL",
                "method",
                "cold-dark",
                "mix.more[0].share",
                share,
                "mix.more[0].carrier",
                bench.select("#carrier option:contains(" + other + ")").attr("value")));
    }

    private Document plan(Map<String, String> wish) {
        List<String> query = wish.entrySet().stream()
                .map(e -> Visitor.encode(e.getKey()) + "=" + Visitor.encode(e.getValue()))
                .toList();
        return tove.get("/bench?" + String.join("&", query)).page();
    }
}
