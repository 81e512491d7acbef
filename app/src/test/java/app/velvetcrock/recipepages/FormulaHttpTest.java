package app.velvetcrock.recipepages;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Recipes of things made: kept from the Pan, weighed out, compared, given away and taken in. */
@HttpTest
class FormulaHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Formulas");
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "eo-lavender", "amount", "10 mL"));
        tove.submit(
                "/stores/supplies",
                "#add-container",
                Map.of("name", "Round tin 60 mL", "holds", "60 mL", "pieces", "24"));
    }

    private String keep(String name, String share) {
        Document pan = tove.get("/pan?kind=salve&was=salve&much=200+g&share=" + share
                        + "&add%5B0%5D.of=kind:eo-lavender&add%5B0%5D.share=20+drops")
                .page();
        return tove.post(Visitor.form(pan, "#pan", Map.of("name", name)).to("/pan/recipes"))
                .path();
    }

    /** 200 g at 15 % with 20 drops: for 500 g of melt 425 g of oil, 75 of wax and 50 drops; for a cup of oil (229 g) 270 g in all. */
    @Test
    void isKeptWeighedOutAndMadeAgain() {
        String kept = keep("Hand salve", "15+%25");
        assertThat(kept).startsWith("/pan/recipes/");
        Document sheet = tove.get(kept + "?grams=500+g").page();
        assertThat(sheet.select("#weigh-out td.num").eachText()).containsExactly("425 g", "75 g", "50 drops");
        assertThat(sheet.select(".lead").text()).isEqualTo("salve, firmness 15, salve, for grown-up skin");
        assertThat(tove.get(kept + "?oil=1+cup").page().select("h2").text()).contains("To weigh out, 270 g of melt");
        String tin = sheet.select("#into option").first().attr("value");
        Document counted = tove.get(kept + "?count=6&into=" + tin).page();
        Document pan = tove.get(counted.select("#make-again").attr("href")).page();
        assertThat(pan.select("#poured").text()).startsWith("6 × Round tin 60 mL");
        assertThat(pan.select("#firmness").text()).contains("Firmness 15, salve");
        assertThat(pan.select("#drops").text()).contains("31 drops of Lavender");
        assertThat(tove.get(kept + "?grams=nothing")
                        .page()
                        .select("#note-grams")
                        .text())
                .isNotEmpty();
        assertThat(tove.get(kept + "?count=6&into=none")
                        .page()
                        .select("#note-into")
                        .text())
                .contains("not said of which");
        assertThat(tove.get(kept + "?count=5000&into=" + tin)
                        .page()
                        .select("#note-count")
                        .text())
                .contains("20 kg");
    }

    @Test
    void isComparedPutAwayAndListedBesideTheOthers() {
        String one = keep("Hand salve", "15+%25");
        String other = keep("Foot salve", "20+%25");
        String differs = tove.get(one + "?with=" + other.substring("/pan/recipes/".length()))
                .page()
                .select("#differences")
                .text();
        assertThat(differs).contains("firmness 15, salve", "firmness 20, firm tin salve", "85 % 80 %", "15 % 20 %");
        assertThat(tove.get("/bench/recipes").page().select("#makings a b").eachText())
                .containsExactly("Foot salve", "Hand salve");
        tove.submit(one, "form[action$=undo]", Map.of());
        assertThat(tove.get("/bench/recipes").page().select("#makings a b").eachText())
                .containsExactly("Foot salve");
        tove.post(one + "/undo", Map.of("back", "yes"));
        assertThat(tove.get("/bench/recipes").page().select("#makings a b")).hasSize(2);
    }

    /** What was given away is taken in word for word; what is cut short or does not come to a whole is refused and stays typed. */
    @Test
    void isGivenAwayAndTakenIn() {
        String kept = keep("Hand salve", "15+%25");
        String json = tove.get(kept + "/json").raw().body();
        assertThat(json).contains("\"format\" : \"velvet-crock-making-recipe\"", "\"dropsIn100Grams\" : 10.0");
        Visitor ari = Visitor.stocked(port, "Others");
        Answer taken = ari.submit("/bench/recipes", "#take-in", Map.of("file", json));
        assertThat(taken.path()).startsWith("/pan/recipes/");
        assertThat(ari.get(taken.path() + "/json").raw().body()).isEqualTo(json);
        Answer half = ari.submit(
                "/bench/recipes",
                "#take-in",
                Map.of("file", json.replaceAll("\"percent\" : 85.0", "\"percent\" : 45.0")));
        assertThat(half.status()).isEqualTo(422);
        assertThat(half.page().select("#note-file").text()).contains("together");
        assertThat(half.page().select("#file").text()).contains("45.0");
        assertThat(ari.submit("/bench/recipes", "#take-in", Map.of("file", json.substring(0, 200)))
                        .status())
                .isEqualTo(422);
    }
}
