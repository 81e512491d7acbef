package app.velvetcrock.stores;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Supplies, containers, blends, kit, the converter, the recipe reader and the search. */
@HttpTest
class SuppliesHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Supplies");
    }

    /** Half a litre of 40 %: 500·0.9481 = 474 g. Three tablespoons of pellets: 45·0.55 = 24.8 g. */
    @Test
    void spiritIsWeighedByItsStrengthAndPelletsByTheirHeap() {
        tove.submit(
                "/stores/supplies", "#add-supply", Map.of("kind", "grain-spirit", "amount", "500 mL", "abv", "40 %"));
        Answer wax = tove.submit(
                "/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "3 tbsp", "price", "2.50"));
        assertThat(wax.page().select("main table").text())
                .contains("Grain spirit", "40 % vol", "474 g", "Beeswax", "24.8 g");
        String spirit = wax.page().select("a:contains(Grain spirit)").attr("href");
        assertThat(tove.get(spirit).page().select(".went").text()).contains("Strength 40 % vol");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            add-supply    | s-kind   | kind   | ''            | Nothing is chosen
            add-supply    | s-abv    | abv    | strong        | not a number
            add-supply    | s-abv    | abv    | 140           | between 0 and 100
            add-supply    | s-amount | amount | 9 oz          | may be either of these
            add-supply    | s-amount | amount | 1 L, 400 g    | one of the two is misread
            add-supply    | s-price  | price  | cheap         | not a price
            add-supply    | s-price  | price  | -3            | not a price
            add-container | k-pieces | pieces | some          | not a whole number
            add-container | k-holds  | holds  | 60 g          | needs a volume
            """)
    void saysWhatIsWrongBesideTheField(String form, String note, String field, String typed, String words) {
        Map<String, String> good = new HashMap<>(Map.of(
                "kind",
                "grain-spirit",
                "amount",
                "500 mL",
                "abv",
                "40",
                "name",
                "tin",
                "holds",
                "60 mL",
                "pieces",
                "12"));
        good.put(field, typed);
        Answer answer = tove.submit("/stores/supplies", "#" + form, good);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page().getElementById("note-" + note).text()).contains(words);
        assertThat(tove.get("/stores/supplies").page().select("main table")).isEmpty();
    }

    @Test
    void containersAreCountedInPieces() {
        tove.submit(
                "/stores/supplies",
                "#add-container",
                Map.of("name", "Round tin", "holds", "60 mL", "pieces", "24", "price", "12"));
        String tin = tove.get("/stores/supplies")
                .page()
                .select("a:contains(Round tin)")
                .attr("href");
        assertThat(tove.submit(tin, "#do-draw", Map.of("amount", "30"))
                        .page()
                        .getElementById("note-d-amount")
                        .text())
                .contains("between 1 and 24");
        assertThat(tove.submit(tin, "#do-draw", Map.of("amount", "5", "why", "GIVEN"))
                        .page()
                        .select("#lot-left")
                        .text())
                .isEqualTo("19 left");
        assertThat(tove.submit(tin, "#do-correct", Map.of("amount", "17", "note", "two were dented"))
                        .page()
                        .select("#lot-left")
                        .text())
                .isEqualTo("17 left");
    }

    /**
     * 200 mL rapeseed (183.4 g) with 100 mL jojoba (86.5 g): 269.9 g in 300 mL, 0.8997 g/mL; it ends with the rapeseed, ten months
     * from 20 September.
     */
    @Test
    void aBlendIsWeightedByVolumeAndEndsWithItsShortestPart() {
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "jojoba", "amount", "500 mL"));
        Document page = tove.get("/stores/supplies").page();
        String rapeseed = page.select("#b-from1 option:contains(rapeseed)").attr("value");
        String jojoba = page.select("#b-from1 option:contains(Jojoba)").attr("value");
        Map<String, String> parts = Map.of(
                "blend", "Light blend", "from1", rapeseed, "amount1", "200 mL", "from2", jojoba, "amount2", "100 mL");
        Answer blended = tove.submit("/stores/supplies", "#add-blend", parts);
        Document blend = tove.get(
                        blended.page().select("a:contains(Light blend)").attr("href"))
                .page();
        assertThat(blend.select("#lot-left").text()).isEqualTo("270 g left");
        assertThat(blend.select(".went").text()).contains("20 Jul 2027", "Made from", "Jojoba");
        assertThat(tove.get("/stores/catalogue?q=light")
                        .page()
                        .select("tr:contains(Light blend)")
                        .text())
                .contains("0.900");
        tove.post(Visitor.form(blended.page(), ".notice form", Map.of()));
        assertThat(tove.get("/stores").page().select("tr:contains(Jojoba)").text())
                .contains("500 mL");
        assertThat(tove.submit(
                                "/stores/supplies",
                                "#add-blend",
                                Map.of("blend", "One", "from1", rapeseed, "amount1", "10 mL"))
                        .page()
                        .select("#note-b-blend")
                        .text())
                .contains("two bottles");
    }

    /** 3.5 L in 220 mm: 3500000/38013 = 92 mm high. */
    @Test
    void kitIsKeptWithItsSizeAndSettings() {
        Answer added = tove.submit(
                "/stores/kit",
                "#add-kit",
                Map.of(
                        "kind",
                        "SLOW_COOKER",
                        "name",
                        "The old cooker",
                        "capacity",
                        "3.5 L",
                        "width",
                        "220 mm",
                        "settings",
                        "warm, low"));
        assertThat(added.page().select("main table").text())
                .contains("The old cooker", "slow cooker", "3.5 L, 220 mm × 92 mm", "warm, low");
        assertThat(tove.submit("/stores/kit", "#add-kit", Map.of("name", "")).status())
                .isEqualTo(422);
        Answer out = tove.post(Visitor.form(added.page(), ".notice form", Map.of()));
        assertThat(out.page().text()).contains("Nothing yet: pots");
        assertThat(tove.post(Visitor.form(out.page(), ".notice form", Map.of()))
                        .page()
                        .select("main table")
                        .text())
                .contains("The old cooker");
    }

    /** Household of metric cups: 2 cups of rapeseed 500·0.917 = 458.5 g; a cup of this nettle as weighed, 31 g. */
    @Test
    void anyAmountOfAnythingIsToldInEveryMeasure() {
        Document oil = tove.get("/stores/convert?amount=2+cups&of=rapeseed+oil").page();
        assertThat(oil.select("#converted").text())
                .contains("459 g", "16.2 oz by weight", "500 mL", "2 cups, metric", "33.3 tbsp", "at 0.917 g/mL");
        String nettle = tove.get("/stores").page().select("a:contains(Nettle)").attr("href");
        tove.submit(nettle, "#do-cup", Map.of("filled", "1 cup", "weight", "31 g"));
        Document own = tove.get("/stores/convert?amount=1+cup&of=" + nettle.substring("/stores/lots/".length()))
                .page();
        assertThat(own.select("#converted").text()).contains("31 g", "1 cups");
        assertThat(tove.get("/stores/convert?amount=2+cups&of=unobtainium")
                        .page()
                        .select("#note-v-of")
                        .text())
                .contains("neither stored nor in the catalogue");
        assertThat(tove.get("/stores/convert?amount=2+cups+(20+oz)&of=rapeseed")
                        .page()
                        .select("#note-v-amount")
                        .text())
                .contains("imply 1.134 g/mL", "misread");
        Answer inner = tove.get("/stores/convert?amount=1+cup&of=honey&part=inner");
        assertThat(inner.page().select("#converted").text()).contains("355 g");
        assertThat(inner.raw().body()).doesNotContain("<html");
    }

    @Test
    void aRecipeIsReadLineByLineKeptAndTakenToTheBench() {
        Map<String, String> typed = Map.of(
                "body", "2 cups rapeseed oil (20 oz)\n40 g dried nettle\n30 g beeswax\nstir well", "act", "read");
        Answer read = tove.submit("/stores/recipes", "#recipe", typed);
        assertThat(read.status()).isEqualTo(200);
        assertThat(read.page().select(".reading.open").text())
                .contains("imply 1.134 g/mL", "No amount and no ingredient");
        assertThat(read.page().select("#whole").text()).contains("70 g", "2 lines are not counted in yet");
        String answer =
                read.page().select("[data-write]:contains(the volume alone)").attr("data-write");
        assertThat(answer).isEqualTo("2 cups rapeseed oil");
        Answer clear = tove.submit(
                "/stores/recipes",
                "#recipe",
                Map.of("body", answer + "\n40 g dried nettle\n30 g beeswax", "act", "read"));
        // 458.5 + 40 + 30; 500/40 = 12.5; 100·30/488.5 = 6.1: soft ointment
        assertThat(clear.page().select("#whole").text()).contains("529 g", "1 : 12.5", "firmness 6: soft ointment");
        assertThat(clear.page().select("#whole a").attr("href"))
                .contains("/bench?herb=", "amount=40.0+g", "oil=500+mL");
        assertThat(tove.get(clear.page().select("#whole a").attr("href"))
                        .page()
                        .select("#oil-mark")
                        .text())
                .isEqualTo("500 mL");
        assertThat(tove.submit(
                                "/stores/recipes",
                                "#recipe",
                                Map.of("body", "1 cup olive oil", "act", "keep", "title", ""))
                        .page()
                        .select("#note-title")
                        .text())
                .contains("Nothing is written");
        Answer kept = tove.submit(
                "/stores/recipes", "#recipe", Map.of("body", "1 cup olive oil", "act", "keep", "title", "Plain"));
        assertThat(kept.path()).startsWith("/stores/recipes/");
        assertThat(kept.page().select(".reading").text()).contains("1 cup olive oil", "228 g");
        Answer away = tove.post(Visitor.form(kept.page(), ".notice form", Map.of()));
        assertThat(away.page().select("main").text()).doesNotContain("Plain");
        assertThat(tove.post(Visitor.form(away.page(), ".notice form", Map.of()))
                        .page()
                        .select("main")
                        .text())
                .contains("Plain");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            nettle            | Nettle
            netle             | Nettle
            urtica            | Nettle
            stinging          | Nettle
            rapseed           | Cold-pressed rapeseed
            achillea millef   | Yarrow
            lavander          | Lavender
            beesewax          | Beeswax
            """)
    void whatIsStoredOrKnownIsFoundBySlipsAndSynonyms(String typed, String name) {
        Document found = tove.get("/stores/search?q=" + typed.replace(' ', '+')).page();
        assertThat(found.select(".found b").eachText()).contains(name);
    }

    @Test
    void whatIsNearNothingIsSaidSo() {
        assertThat(tove.get("/stores/search?q=xyzzy").page().text()).contains("Nothing goes by “xyzzy”");
        assertThat(tove.get("/stores/search?q=" + "a".repeat(500)).status()).isEqualTo(200);
        assertThat(tove.get("/stores/search?q=%25%27%3B+drop").status()).isEqualTo(200);
        String nettle = tove.get("/stores").page().select("a:contains(Nettle)").attr("href");
        assertThat(tove.get("/stores/search?q=nettle")
                        .page()
                        .select(".found a")
                        .first()
                        .attr("href"))
                .as("stock goes first")
                .isEqualTo(nettle);
    }
}
