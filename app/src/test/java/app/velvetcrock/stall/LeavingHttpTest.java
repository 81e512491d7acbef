package app.velvetcrock.stall;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What leaves the house: to whom it may go, a list of gifts, a day at the stall, and a recall down to whoever has it. */
@HttpTest
class LeavingHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Leaving");
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "900 g", "price", "18"));
        tove.submit("/stores/supplies", "#add-container", Map.of("name", "Tin", "holds", "30 mL", "pieces", "90"));
    }

    /** So many tins of an oil's salve; tells their page. */
    private String tins(String oil, int count, String name) {
        Document empty = tove.get("/pan").page();
        Document planned = tove.get("/pan?was=salve&kind=salve&oil=%s&into=%s&much=%d"
                        .formatted(
                                empty.select("#oil option:contains(%s)".formatted(oil))
                                        .attr("value"),
                                empty.select("#into option:contains(Tin)").attr("value"),
                                count))
                .page();
        Answer begun = tove.post(Visitor.form(
                planned, "#pan", Map.of("bring", "yes", "second", "yes", "name", name, "when", "2026-11-24T08:10")));
        assertThat(begun.path()).as(begun.page().select("#refused").text()).startsWith("/pan/0");
        Map<String, String> pour = new HashMap<>(Map.of(
                "key", UUID.randomUUID().toString(),
                "when", "2026-11-24T08:50",
                "into", empty.select("#into option:contains(Tin)").attr("value"),
                "count", String.valueOf(count)));
        Answer poured = tove.post(begun.path() + "/pour", pour);
        assertThat(poured.status()).as(poured.page().select("#refused").text()).isEqualTo(200);
        return tove.get("/cupboard")
                .page()
                .select("a.goods:contains(%s)".formatted(name))
                .attr("href");
    }

    private String lot(String page) {
        return page.substring(page.lastIndexOf('/') + 1);
    }

    /** Whoever must not have bee products is not given them; what happened already can be written down, and is hers then. */
    @Test
    void somebodyIsGivenWhatSheMayHaveAndWhatSheGotIsHers() {
        String good = tins("rapeseed", 4, "Hand salve");
        tove.post("/cupboard/people", Map.of("nickname", "Ari", "avoids", "bees", "note", "likes mint"));
        assertThat(tove.post("/cupboard/people", Map.of("nickname", "ARI")).status())
                .isEqualTo(422);
        Answer refused = tove.submit(good, "#take", Map.of("count", "1", "why", "GIVEN", "who", "Ari"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.page().select("#note-g-who").text()).contains("Not for Ari: has bee products");
        assertThat(tove.get(good).page().select("#left").text()).startsWith("4 ×");
        tove.submit(good, "#take", Map.of("count", "1", "why", "GIVEN", "who", "ari", "when", "08:52"));
        tove.submit(good, "#take", Map.of("count", "2", "why", "SOLD", "who", "Fenna", "price", "13"));
        assertThat(tove.get(good).page().select("#left").text()).startsWith("1 ×");
        Document people = tove.get("/cupboard/people").page();
        assertThat(people.select("#people").text()).contains("Ari no bee products", "Fenna");
        Document ari =
                tove.get(people.select("#people a:contains(Ari)").attr("href")).page();
        assertThat(ari.select("#got").text()).contains("1 × Hand salve, given away");
        String fenna = people.select("#people a:contains(Fenna)").attr("href");
        assertThat(tove.get(fenna).page().select("#got").text()).contains("2 × Hand salve, sold", "13");
        tove.submit(good, "table form[action$=undo]", Map.of());
        assertThat(tove.get(fenna).page().select("#got li"))
                .as("taken back is not hers")
                .isEmpty();
        tove.post(fenna + "/drop", Map.of());
        assertThat(tove.get("/cupboard/people").page().select("#people").text()).doesNotContain("Fenna");
    }

    /** Seventeen, one with an allergy and one pregnant: counted from what is there, refused where it must be, ticked off once. */
    @Test
    void giftsForSeventeen() {
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "sage", "amount", "200 g"));
        charge("sage", "30 g");
        String sage =
                tove.get("/pan").page().select("#oil option:contains(Sage)").attr("value");
        String good = ofOil(sage, 5, "Winter salve");
        Answer made = tove.submit(
                "/cupboard/gifts",
                "#add",
                Map.of("said", "seventeen people, a tin each; one without honey, one pregnant"));
        String list = made.path();
        assertThat(made.page().select(".gift")).hasSize(17);
        assertThat(made.page().select("#count").text()).isEqualTo("0 of 17 given; 17 still to be found");
        Document of = tove.submit(list, "#of", Map.of("lot", lot(good))).page();
        assertThat(of.select("#count").text()).isEqualTo("0 of 17 given; 17 more to give, 5 there: 12 are missing");
        assertThat(of.select("#missing").attr("href")).contains("much=12%20tins");
        assertThat(tove.get(of.select("#missing").attr("href"))
                        .page()
                        .select("[name=much]")
                        .attr("value"))
                .isEqualTo("12 tins");
        Element honey = of.select(".gift").get(15);
        assertThat(honey.text()).contains("no bee products", "has bee products");
        assertThat(honey.select("form[action$=give]"))
                .as("not by a careless tap")
                .isEmpty();
        Element pregnant = of.select(".gift").get(16);
        assertThat(pregnant.text()).contains("somebody pregnant").containsIgnoringCase("pregnan");
        assertThat(pregnant.select(".bad-word")).isNotEmpty();
        String refused = honey.select("form[action$=drop]").attr("action").replace("/drop", "/give");
        assertThat(tove.post(refused, Map.of()).page().select("#refused").text())
                .contains("has bee products");
        tove.submit(list, ".gift form[action$=name]", Map.of("who", "Ari"));
        String give = of.select(".gift form[action$=give]").first().attr("action");
        String key = UUID.randomUUID().toString();
        tove.post(give, Map.of("key", key));
        tove.post(give, Map.of("key", key));
        tove.post(give, Map.of("key", UUID.randomUUID().toString()));
        assertThat(tove.get(list).page().select("#count").text())
                .as("two taps give it once")
                .isEqualTo("1 of 17 given; 16 more to give, 4 there: 12 are missing");
        tove.post(give.replace("/give", "/undo"), Map.of());
        assertThat(tove.get(list).page().select("#count").text()).startsWith("0 of 17");
        assertThat(tove.get(good).page().select("#left").text()).startsWith("5 ×");
        assertThat(tove.submit("/cupboard/gifts", "#add", Map.of("said", "some people, three with feelings"))
                        .page()
                        .select("#note-g-said")
                        .text())
                .contains("is not understood", "seventeen people");
    }

    private String charge(String herb, String amount) {
        String out = amount.equals("30 g") ? "150 mL" : "220 mL";
        Document bench = tove.get("/bench?amount=" + amount.replace(" ", "+")).page();
        String lot = bench.select("select[name^=herb] option:contains(%s), #herb option:contains(%1$s)"
                        .formatted(herb.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + herb.substring(1)))
                .attr("value");
        Document planned = tove.get("/bench?herb=%s&amount=%s".formatted(lot, amount.replace(" ", "+")))
                .page();
        Answer charged = tove.post(Visitor.form(planned, "#bench", Map.of()));
        assertThat(charged.path())
                .as(charged.page().select("#refused, .bad").text())
                .startsWith("/batch/");
        Answer strained =
                tove.submit(charged.path().replace("batch", "press"), "form[action*=press]", Map.of("out", out));
        assertThat(strained.status())
                .as(strained.page().select("#refused").text())
                .isEqualTo(200);
        return charged.path();
    }

    /** Twelve brought at 6.50, three for 18: sold by taps, in threes, haggled; opened, given, broken; money back; the till to the cent. */
    @Test
    void aDayAtTheStall() {
        String good = tins("rapeseed", 14, "Hand salve");
        Answer opened = tove.submit("/cupboard/stall", "#open", Map.of("name", "midwinter market", "begun", "40"));
        String stall = opened.path();
        assertThat(tove.submit(stall, "#bring", Map.of("lot", lot(good), "brought", "15", "price", "6.50"))
                        .page()
                        .select("#note-b-brought")
                        .text())
                .as("more than there is")
                .isNotBlank();
        tove.submit(
                stall,
                "#bring",
                Map.of("lot", lot(good), "brought", "12", "price", "6.50", "some", "3", "together", "18"));
        String sell = ".stall-sell";
        Document page = tove.get(stall).page();
        Map<String, String> once = Visitor.form(page, sell, Map.of("card", "")).fields();
        String out = page.select(sell).attr("action");
        tove.post(out, Map.of("key", once.get("key")));
        tove.post(out, Map.of("key", once.get("key")));
        assertThat(tove.get(stall).page().select(".takings b").text())
                .as("two taps sell one")
                .contains("6.50");
        tove.post(out, Map.of("pieces", "4", "card", "yes"));
        assertThat(tove.get(stall).page().select(".takings").text())
                .contains("31.00", "6.50 EUR cash", "24.50 EUR card");
        tove.post(out, Map.of("pieces", "2", "paid", "10"));
        tove.post(out, Map.of("what", "opened"));
        tove.post(out, Map.of("what", "given"));
        tove.post(out, Map.of("what", "broken"));
        Document then = tove.get(stall).page();
        assertThat(then.select(".stall-what").text())
                .contains("2 left", "12 brought, 7 sold, 1 given, 1 opened, 1 broken");
        assertThat(tove.post(out, Map.of("pieces", "3"))
                        .page()
                        .select("#refused")
                        .text())
                .contains("There are 2 of it left on the stall");
        assertThat(tove.get(good).page().select("#left").text())
                .as("four of fourteen")
                .startsWith("4 ×");
        String refund = then.select("form[action*=refund]").last().attr("action");
        tove.post(refund, Map.of());
        tove.post(refund + "?back=0", Map.of());
        assertThat(tove.get(stall).page().select("#outs").text()).doesNotContain("given back");
        tove.post(refund, Map.of());
        assertThat(tove.get(stall).page().select("#outs").text()).contains("6.50", "given back");
        assertThat(tove.get(good).page().select("#left").text())
                .as("a refund brings nothing back")
                .startsWith("4 ×");
        tove.post(then.select("#outs li:contains(broken) form[action$=undo]").attr("action"), Map.of());
        assertThat(tove.get(good).page().select("#left").text())
                .as("a broken one was none")
                .startsWith("5 ×");
        assertThat(tove.get(stall).page().select("#close").text()).contains("50.00 EUR has to be in the box");
        Document closed =
                tove.submit(stall, "#close", Map.of("counted", "49.50")).page();
        assertThat(closed.select(".off-true").text()).contains("0.50 EUR missing");
        assertThat(tove.post(out, Map.of()).status()).isEqualTo(409);
        Document months = tove.get("/cupboard/stall").page();
        assertThat(months.select("#months tbody tr").text()).contains("November 2026", "7", "34.50");
        String csv = tove.get("/cupboard/stall/sales.csv").raw().body();
        assertThat(csv)
                .contains("day,what,pieces", "2026-11-24,Hand salve,4,24.50,,")
                .contains(",6.50,6.50,");
        assertThat(csv.lines()).hasSize(4);
        assertThat(tove.get(stall + "/sheet").page().select(".tally").text()).contains("Hand salve", "12");
    }

    /** No cell of the table begins a formula. */
    @Test
    void whatASheetWouldReckonIsText() {
        String good = tins("rapeseed", 2, "=1+1 salve");
        Answer sold = tove.submit(good, "#take", Map.of("count", "1", "why", "SOLD", "price", "3"));
        assertThat(sold.status()).as(sold.page().select("#refused").text()).isEqualTo(200);
        assertThat(tove.get("/cupboard/stall/sales.csv").raw().body()).contains("'=1+1 salve");
    }

    /** What is on hold, past or kept back is sold at no stall. */
    @Test
    void whatIsHeldBackIsNotSold() {
        String good = tins("rapeseed", 3, "Hand salve");
        String stall = tove.submit("/cupboard/stall", "#open", Map.of("name", "market"))
                .path();
        tove.submit(stall, "#bring", Map.of("lot", lot(good), "brought", "3", "price", "5"));
        tove.submit(good, "#sniff", Map.of("smell", "OFF"));
        Answer refused = tove.post(stall + "/" + lot(good) + "/out", Map.of());
        assertThat(refused.page().select("#refused").text()).contains("smells off");
        assertThat(tove.get(good).page().select("#left").text()).startsWith("3 ×");
    }

    /** A herb lot, two oils, five makings, eleven people: all of it found, held back, told; and by the maker's number. */
    @Test
    void aRecallThroughTwoLevels() {
        String herb = tove.get("/stores").page().select("tr:contains(Nettle) a").attr("href");
        charge("nettle", "40 g");
        charge("nettle", "42 g");
        Document pan = tove.get("/pan").page();
        List<String> oils = pan.select("#oil option:contains(Nettle)").eachAttr("value");
        assertThat(oils).hasSize(2);
        List<String> goods = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            goods.add(ofOil(oils.get(i % 2), 3, "Salve " + (char) ('A' + i)));
        }
        for (int i = 0; i < 11; i++) {
            Answer given = tove.submit(
                    goods.get(i % 5),
                    "#take",
                    Map.of("count", "1", "why", "GIVEN", "who", "Friend " + (char) ('A' + i)));
            assertThat(given.status())
                    .as(given.page().select("#refused").text())
                    .isEqualTo(200);
        }
        String recall = "/cupboard/recall/" + lot(herb);
        tove.submit(recall, "#maker", Map.of("name", "Hillside Herbs", "number", "L 2214"));
        Document found = tove.get("/cupboard/recall?q=l+2214").page();
        assertThat(found.select("#found a").attr("href")).isEqualTo(recall);
        assertThat(tove.get("/cupboard/recall?q=hillside").page().select("#found a"))
                .hasSize(1);
        assertThat(tove.get("/cupboard/recall?q=%25").page().select("#found a")).isEmpty();
        Document page = tove.get(recall).page();
        assertThat(page.select("#made").text())
                .contains("Salve A", "Salve B", "Salve C", "Salve D", "Salve E", "Nettle");
        assertThat(page.select("#holders li")).hasSize(11);
        assertThat(page.select("#holders").text()).contains("Friend K 1 × Salve A, given away");
        assertThat(page.select("#send").text()).contains("Nettle was in it");
        assertThat(tove.submit(recall, "#hold", Map.of("why", "")).status()).isEqualTo(422);
        tove.submit(recall, "#hold", Map.of("why", "its seller recalls it"));
        assertThat(tove.submit(goods.get(4), "#take", Map.of("count", "1", "why", "GIVEN"))
                        .status())
                .isEqualTo(422);
        Document held = tove.get(recall).page();
        assertThat(held.select("#held").text()).contains("its seller recalls it");
        tove.post(held.select("#held a").attr("href") + "/answer", Map.of("answer", "NOT_SO", "words", "another lot"));
        assertThat(tove.get(recall).page().select("#hold")).as("released again").hasSize(1);
        assertThat(tove.submit(goods.get(4), "#take", Map.of("count", "1", "why", "GIVEN"))
                        .status())
                .isEqualTo(200);
    }

    private String ofOil(String oil, int count, String name) {
        Document empty = tove.get("/pan").page();
        String tin = empty.select("#into option:contains(Tin)").attr("value");
        Document planned = tove.get("/pan?was=salve&kind=salve&oil=%s&into=%s&much=%d".formatted(oil, tin, count))
                .page();
        Answer begun = tove.post(Visitor.form(planned, "#pan", Map.of("second", "yes", "bring", "yes", "name", name)));
        assertThat(begun.path()).as(begun.page().select("#refused").text()).startsWith("/pan/0");
        tove.post(
                begun.path() + "/pour",
                Map.of("key", UUID.randomUUID().toString(), "into", tin, "count", String.valueOf(count)));
        return tove.get("/cupboard")
                .page()
                .select("a.goods:contains(%s)".formatted(name))
                .attr("href");
    }
}
