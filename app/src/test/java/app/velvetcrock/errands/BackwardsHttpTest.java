package app.velvetcrock.errands;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** From so many tins wanted back to a list to buy by, a start, and a making that waits for its oil. It is 24 November 2026. */
@HttpTest
class BackwardsHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String tin;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Backwards");
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "20 g"));
        tove.submit(
                "/stores/supplies",
                "#add-container",
                Map.of("name", "Round tin 60 mL", "holds", "60 mL", "pieces", "4"));
        tin = bench("").select("#want\\.container option:contains(Round tin)").attr("value");
    }

    private Document bench(String query) {
        return tove.get("/bench?" + query).page();
    }

    private String wanted(String tins) {
        return "want.amount=" + tins + "&want.kind=firm-salve&want.container=" + tin + "&method=cold-dark";
    }

    private Answer post(Document page, String to, Map<String, String> more) {
        Map<String, String> typed = new HashMap<>(more);
        typed.put("key", UUID.randomUUID().toString());
        return tove.post(Visitor.form(page, "#bench", typed).to(to));
    }

    /**
     * 6·60·0.92·0.89·(1 + 0.02 + 0.12·0.19) = 307.4 g, at 19 that is 58.4 g of wax and 249.0 of oil, 271.5 mL. There are 20 g of wax
     * and four tins: 39 g and two more are bought. On the list they stand once, however often they are put there.
     */
    @Test
    void whatIsNotHereComesOnTheListToBuy() {
        Document page = bench(wanted("6+tins"));
        assertThat(page.getElementById("note-want.firmness").text())
                .isEqualTo("about 305 g in all, firmness 19, about 58 g of it beeswax");
        assertThat(page.select("#to-buy li").eachText()).containsExactly("39 g of beeswax", "2 × Round tin 60 mL");
        assertThat(page.select(".do[type=submit]").isEmpty()).isFalse();
        post(page, "/bench/to-buy", Map.of());
        post(page, "/bench/to-buy", Map.of());
        Document list = tove.get("/stores/to-buy").page();
        assertThat(list.select("#to-buy li b").eachText())
                .containsExactlyInAnyOrder("39 g of beeswax", "2 × Round tin 60 mL");
        assertThat(list.select("#to-buy").text()).contains("For 6 × Round tin 60 mL of firm tin salve");
        tove.submit("/stores/to-buy", "form[action$=got]", Map.of());
        assertThat(tove.get("/stores/to-buy").page().text()).contains("Got lately", "Not after all");
        tove.submit("/stores/to-buy", "form[action$=not-got]", Map.of());
        assertThat(tove.get("/stores/to-buy").page().text()).doesNotContain("Got lately");
        assertThat(tove.submit("/stores/to-buy", "form[action$=to-buy]", Map.of("words", ""))
                        .status())
                .isEqualTo(422);
    }

    /** Seventeen people, a tin each: the same as seventeen tins. */
    @Test
    void enoughForSeventeenPeople() {
        assertThat(bench(wanted("17+people")).select("#to-buy li").eachText()).contains("13 × Round tin 60 mL");
        assertThat(bench("want.amount=6+tins&want.kind=firm-salve&method=cold-dark")
                        .getElementById("note-want.container")
                        .text())
                .as("the tins there are, where none are named")
                .isEqualTo("in: Round tin 60 mL");
        assertThat(bench(wanted("17+herons")).getElementById("note-want.amount").text())
                .contains("no number of containers");
    }

    /** Started, strained, and with the measured oil in the Pan: as many as were wanted where it is enough, else all of it. */
    @Test
    void whatWasWantedWaitsForItsOilAndIsBegunWithIt() {
        Document page = bench(wanted("3+tins") + "&start=2026-10-01");
        assertThat(page.select("#to-buy li").eachText()).containsExactly("10 g of beeswax");
        String batch = post(page, "/bench/start", Map.of()).path().substring("/batch/".length());
        assertThat(tove.get("/pan").page().select("#waiting").text())
                .contains("3 × Round tin 60 mL of firm tin salve", "is strained");
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "60 g"));
        String yield =
                bench(wanted("3+tins")).getElementById("note-want.amount").text();
        assertThat(yield).contains("enough nine times in ten");
        tove.submit("/press/" + batch, "form", Map.of("out", "150 mL"));
        assertThat(tove.get("/press/" + batch).page().select("#awaited").attr("href"))
                .isEqualTo("/pan/waiting/" + batch);
        assertThat(tove.get("/shelf").page().text()).contains("Make 3 × Round tin 60 mL of firm tin salve");
        Answer waits = tove.get("/pan/waiting/" + batch);
        assertThat(waits.page().select("#much").attr("value")).isEqualTo("3");
        assertThat(waits.page().select("#firm").attr("value")).isEqualTo("19");
        assertThat(waits.page().select("#poured").text()).startsWith("3 × Round tin 60 mL");
        assertThat(waits.page().select("#missing")).isEmpty();
        String making = tove.post(Visitor.form(waits.page(), "#pan", Map.of())).path();
        assertThat(making).startsWith("/pan/0");
        assertThat(tove.get("/pan").page().select("#waiting")).isEmpty();
        tove.post(making + "/back", Map.of());
        assertThat(tove.get("/pan").page().select("#waiting").text()).contains("its oil is strained: 150 mL");
        tove.submit("/pan", "form[action$=drop]", Map.of());
        assertThat(tove.get("/pan").page().select("#waiting")).isEmpty();
    }

    /** Eight tins want more than a half-litre jar holds: it is divided over two, each with its share of the tins. */
    @Test
    void whatNoJarHoldsIsDivided() {
        Document page = bench(wanted("8+tins") + "&start=2026-10-01");
        assertThat(page.getElementById("note-jar").text())
                .as(page.select("#split, #oil-mark, .verdict, .beside").text())
                .contains("no jar holds it all: divided over 2");
        assertThat(page.select("#split tr")).hasSizeGreaterThan(1);
        assertThat(post(page, "/bench/start", Map.of()).path()).isEqualTo("/shelf");
        assertThat(tove.get("/pan").page().select("#waiting tr b").eachText())
                .extracting(words -> Integer.parseInt(words.replaceAll(" .*", "")))
                .satisfies(counts -> assertThat(
                                counts.stream().mapToInt(Integer::intValue).sum())
                        .isEqualTo(8))
                .hasSize(2);
    }

    /** A hundred and twenty millilitres are too little for three tins of 45.2 mL each: all of it is taken, and fills two. */
    @Test
    void tooLittleOilIsTakenWhole() {
        String batch = post(bench(wanted("3+tins") + "&start=2026-10-01"), "/bench/start", Map.of())
                .path()
                .substring("/batch/".length());
        Answer strained = tove.submit("/press/" + batch, "form", Map.of("out", "120 mL"));
        assertThat(strained.status())
                .as(strained.page().select("#refused").text())
                .isEqualTo(200);
        Document waits = tove.get("/pan/waiting/" + batch).page();
        assertThat(waits.select("#much").attr("value")).isEmpty();
        assertThat(waits.select("#poured").text()).startsWith("2 × Round tin 60 mL");
    }

    /** What the Pan has not got comes on the same list. */
    @Test
    void thePanPutsWhatItLacksOnTheList() {
        Document pan = tove.get("/pan?kind=lip-balm&was=salve&much=100+g").page();
        Answer on = tove.post(Visitor.form(pan, "#pan", Map.of()).to("/pan/to-buy"));
        assertThat(on.path()).isEqualTo("/pan");
        assertThat(tove.get("/stores/to-buy").page().select("#to-buy").text())
                .contains("1 g of beeswax", "16 g of cocoa butter", "15 g of coconut");
    }
}
