package app.velvetcrock.pan;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.upkeep.Rebuild;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.util.UriUtils;

/** A making from its sentence to the jars, over HTTP. The clock stands at 9 o'clock. */
@HttpTest
class PanHttpTest {

    @LocalServerPort
    int port;

    @Autowired
    Rebuild rebuild;

    @Autowired
    JdbcClient sql;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Pan");
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g", "price", "8"));
        tove.submit(
                "/stores/supplies",
                "#add-container",
                Map.of("name", "Round tin 60 mL", "holds", "60 mL", "pieces", "24", "price", "12"));
        tove.submit(
                "/stores/supplies", "#add-container", Map.of("name", "Bar mould", "holds", "40 mL", "pieces", "10"));
    }

    private Document pan(String query) {
        return tove.get("/pan" + query).page();
    }

    private Document salve(String more) {
        return pan("?was=salve&kind=salve&oil=" + option("oil", "rapeseed") + "&into=" + option("into", "Round tin")
                + more);
    }

    private String option(String field, String word) {
        return pan("").select("select[name=\"" + field + "\"] option:contains(" + word + ")")
                .first()
                .attr("value");
    }

    private String begin(Document planned, Map<String, String> more) {
        Map<String, String> fields = new HashMap<>(more);
        fields.put("bring", "yes");
        fields.put("second", "yes");
        Answer begun = tove.post(Visitor.form(planned, "#pan", fields));
        assertThat(begun.path()).as(begun.page().select("#refused").text()).startsWith("/pan/0");
        return begun.path();
    }

    private Map<String, String> deed(String making, String time, String... pairs) {
        Map<String, String> fields = new HashMap<>(Map.of(
                "key",
                UUID.randomUUID().toString(),
                "when",
                time.isEmpty() ? "" : "2026-11-24T" + time,
                "_csrf",
                tove.get(making).page().select("input[name=_csrf]").attr("value")));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return fields;
    }

    private Answer does(String making, String what, String time, String... pairs) {
        Answer done = tove.post(making + what, deed(making, time, pairs));
        assertThat(done.status())
                .as(what + ": " + done.page().select("#refused, .note .bad").text())
                .isEqualTo(200);
        return done;
    }

    /** What is left of every lot, by its name. */
    private Map<String, String> stock() {
        Map<String, String> left = new LinkedHashMap<>();
        Document supplies = tove.get("/stores/supplies").page();
        Document stores = tove.get("/stores").page();
        supplies.select("main table tr:has(a)")
                .forEach(row -> left.put(row.select("a").first().text(), row.text()));
        stores.select("main tr:has(a)")
                .forEach(row -> left.put(row.select("a").first().text(), row.text()));
        return left;
    }

    /**
     * Shea is not here: nothing is weighed in of it before it is brought in, which one tap does with the weighing in; 20 g of candelilla
     * that nobody wrote down likewise. Sent anew from the sentence the same is asked about; once it is poured it is a new one.
     */
    @Test
    void nothingComesFromNowhere() {
        Document planned = salve("&much=100+g&with%5B0%5D.of=kind:shea&with%5B0%5D.share=10+%25");
        assertThat(planned.select("#missing").text()).contains("10 g of Shea butter", "Bring it in and weigh it in");
        Answer refused = tove.post(Visitor.form(planned, "#pan", Map.of()));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.page().select("#refused").text()).contains("nothing is taken from nowhere");
        assertThat(stock()).doesNotContainKey("Shea butter");
        Answer begun = tove.post(Visitor.form(planned, "#pan", Map.of("bring", "yes")));
        assertThat(begun.path()).startsWith("/pan/0");
        String making = begun.path();
        assertThat(tove.get(making).page().select(".making-log").text()).contains("10 g Shea butter");
        Document again = salve("&much=100+g&with%5B0%5D.of=kind:shea&with%5B0%5D.share=10+%25");
        Answer second = tove.post(Visitor.form(again, "#pan", Map.of("bring", "yes")));
        assertThat(second.status()).isEqualTo(422);
        assertThat(second.page().select("#note-second").text()).contains("Just this was weighed in already");
        assertThat(tove.post(Visitor.form(again, "#pan", Map.of("bring", "yes", "second", "yes")))
                        .path())
                .isNotEqualTo(making)
                .startsWith("/pan/0");
        does(making, "/did/MELT", "");
        // All of the wax is thrown away: what goes in beyond it is asked about, then brought in with it.
        String wax = tove.get("/stores/supplies")
                .page()
                .select("main a:contains(Beeswax)")
                .attr("href");
        tove.submit(wax, "#do-discard", Map.of("note", "dusty"));
        Answer asked = tove.post(making + "/correct", deed(making, "", "of", "beeswax", "amount", "3 g"));
        assertThat(asked.status()).isEqualTo(422);
        assertThat(asked.page().select("#fix").text()).contains("not in the stores", "bring it in with this");
        does(making, "/correct", "", "of", "beeswax", "amount", "3 g", "bring", "yes");
        assertThat(tove.get(making).page().select(".making-log").text()).contains("3 g of Beeswax went in");
    }

    /** What came out grainy leads to its remedy, step by step, and to where it is melted again. */
    @Test
    void whatCameOutWrongLeadsToItsRemedy() {
        String making = begin(salve("&much=2"), Map.of());
        for (String step : List.of("/did/MELT", "/test", "/off-heat", "/pour", "/did/SET")) {
            does(
                    making,
                    step,
                    "",
                    step.equals("/pour") ? "into" : "felt",
                    step.equals("/pour") ? option("into", "Round tin") : "RIGHT",
                    "where",
                    "IN_AIR",
                    "count",
                    "2");
        }
        assertThat(tove.get(making).page().select("#remedies")).isEmpty();
        does(making, "/turned-out", "", "felt", "RIGHT", "faults", "GRAINY");
        Document page = tove.get(making).page();
        assertThat(page.select("#remedies li").eachText())
                .contains("keep it at 65 to 75 °C for 15 minutes", "pour it, and cool it fast");
        assertThat(page.select("#remedies a").attr("href")).contains("/cupboard/goods/", "#remelt");
        assertThat(page.select("h1 + div + .lead, .lead").text()).doesNotContain("in the pan,");
    }

    /** 310 g at 12 % are 37.2 g of wax and 272.8 of oil. Too soft; wanted firmness 16: 14.8 g; felt right: the next plan starts at 16. */
    @Test
    void tooSoftCorrectedFeltRightAndTheNextPlanStartsThere() {
        Document planned = salve("&much=310+g&share=12+%25");
        assertThat(planned.select("#wax-figure .big").text()).isEqualTo("37.2 g beeswax");
        assertThat(planned.select(".pan-melt text").text()).contains("273 g");
        Map<String, String> before = stock();
        String making = begin(planned, Map.of("when", "2026-11-24T08:10"));
        assertThat(stock().get("Beeswax")).contains("363 g");
        does(making, "/did/MELT", "08:20");
        does(making, "/test", "08:25", "felt", "SOFT");
        Document soft = tove.get(making + "?firm=16").page();
        assertThat(soft.select("#fix").text()).contains("14.8 g of beeswax brings it from firmness 12 to firmness 16");
        does(making, "/correct", "08:28", "of", "beeswax", "amount", "14.8 g");
        assertThat(stock().get("Beeswax")).contains("348 g");
        does(making, "/test", "08:32", "felt", "RIGHT");
        does(making, "/off-heat", "08:35", "temperature", "75", "where", "IN_AIR");
        Document cooling = tove.get(making).page();
        // 324.8 g, τ 40·1.624^⅓ = 47.0 min; 16 % congeals at 46.7, so from 54.7 (47.0·ln(55/34.7) = 21.6 min) to 49.7
        // (28.9): 08:56 till 09:03
        assertThat(cooling.select("#now .timing").text()).contains("now, till 09:03");
        assertThat(cooling.select("#degrees").text()).contains("about 52 °C");
        does(making, "/pour", "08:59", "into", option("into", "Round tin"), "count", "6");
        Document poured = tove.get(making).page();
        assertThat(poured.select(".making-log").text()).contains("Poured: 6 × Round tin 60 mL of");
        assertThat(poured.select("#again").text()).contains("stayed in the pan");
        assertThat(stock().get("Round tin 60 mL")).contains("18");
        does(making, "/did/SET", "");
        does(making, "/turned-out", "", "felt", "RIGHT", "words", "spreads well");
        assertThat(pan("?kind=salve&was=salve&much=300+g").select("#firmness").text())
                .contains("Firmness 16, salve; right for you is about 16, from 1 test");
        // undone step by step, the newest first, everything is where it was
        for (int i = 0; i < 9; i++) {
            String undo = tove.get(making)
                    .page()
                    .select(".making-log form[action$=undo]")
                    .attr("action");
            assertThat(tove.post(undo, deed(making, "")).status()).isEqualTo(200);
        }
        assertThat(tove.get(making).page().select(".making-log form[action$=undo]"))
                .isEmpty();
        assertThat(stock()).isEqualTo(before);
    }

    /** Thirds of 240 g into six moulds of 40 mL, 38.3 g each; the ten grams left are warmed again for half a one. */
    @Test
    void thirdsIntoMouldsWithAHalfOneRemelted() {
        tove.submit("/stores", "form[action$=stores/carriers]", Map.of("carrier", "cocoa-butter", "amount", "200 g"));
        Document planned = pan("?was=lotion-bar&kind=lotion-bar&oil=" + option("oil", "rapeseed") + "&into="
                + option("into", "Bar mould") + "&much=240+g&share=a+third&with%5B0%5D.of="
                + option("with[0].of", "Cocoa butter")
                + "&with%5B0%5D.share=a+third+each");
        assertThat(planned.select("#firmness").text()).contains("Firmness 43.3, hard bar");
        assertThat(planned.select("#poured").text()).contains("6 × Bar mould");
        assertThat(planned.select("#rest").text()).contains("stays in the pan");
        String making = begin(planned, Map.of());
        does(making, "/pour", "", "into", option("into", "Bar mould"), "count", "6");
        assertThat(tove.get(making).page().select("#again h3").text())
                .matches("(9\\.9|10(\\.\\d)?) g stayed in the pan");
        does(making, "/pour", "", "into", option("into", "Bar mould"), "count", "1", "each", "9.9 g");
        assertThat(tove.get(making).page().select("#again"))
                .as("nothing worth naming stays")
                .isEmpty();
        String log = tove.get(making).page().select(".making-log").text();
        assertThat(log).contains("Poured: 1 × Bar mould of 9.9 g");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            much=12                            | much      | 12 of what
            much=nine                          | much      | 9 of what
            much=300+g&share=120+%25           | share     | more than nothing and at most 100
            much=300+g&share=lots              | share     | lots
            much=300+g&room=90                 | room      | No room is so warm
            much=300+g&firm=80                 | firm      | between 0 and 50
            much=30+kg                         | much      | at most 20 kg
            much=300+g&with%5B0%5D.of=kind:shea    | with[0].share | how much
            """)
    void whatIsWrongStandsBesideItsField(String query, String field, String words) {
        Document page = pan("?was=salve&kind=salve&into=&oil=" + option("oil", "rapeseed") + "&" + query);
        assertThat(page.getElementById("note-" + field))
                .as(page.select(".beside").text())
                .isNotNull();
        assertThat(page.getElementById("note-" + field).text() + page.getElementById("note-into"))
                .contains(words);
    }

    /** Where no container is chosen, the one of that word is meant. */
    @ParameterizedTest
    @CsvSource({
        "a dozen tins, salve, 12 × Round tin",
        "enough for 17 people, salve, 17 × Round tin",
        "two tins, salve, 2 × Round tin",
        "half a dozen bars, lotion-bar, 6 × Bar mould"
    })
    void soManyAreReadAsPeopleSayThem(String much, String kind, String poured) {
        Document page = pan("?was=%s&kind=%s&into=&oil=%s&much=%s"
                .formatted(kind, kind, option("oil", "rapeseed"), much.replace(" ", "+")));
        assertThat(page.select("#poured").text()).startsWith(poured);
        assertThat(page.select("#note-into").text()).contains("into: ");
    }

    /** 1 of 6 is 16.7 %; half is half; 85 g to a cup of 229; 1 of 9; a range by its middle; never 100 % or the middle of "1 oz to 8 oz". */
    @ParameterizedTest
    @CsvSource({
        "1:5, Firmness 16.7",
        "50/50, Firmness 50",
        "3 oz/cup, Firmness 27",
        "1 oz to 8 oz, Firmness 11.1",
        "1 ounce to 1 cup of oil, Firmness 11",
        "45 grams of beeswax, Firmness 15",
        "2 tbsp pellets, Firmness 5.5",
        "½ cup of wax pellets, Firmness 2",
        "15 percent, Firmness 15",
        "20 g to 25 g, Firmness 7.5"
    })
    void waxAsRecipesSayIt(String share, String firm) {
        Document page = salve("&much=300+g&share=" + UriUtils.encode(share, StandardCharsets.UTF_8));
        assertThat(page.select("#firmness").text())
                .as(page.select("#note-share").text())
                .startsWith(firm);
    }

    /** What cannot be stirred in is said beside its field; nothing is too much for the page. */
    @ParameterizedTest
    @CsvSource({
        "99999 drops, more than the melt itself",
        "19 kg, more than the melt itself",
        "0 drops, more than nothing",
        "a few drops, few drops",
        "half a percent, 1.5 g",
        "10-12 drops, 0.55 mL",
        "ten drops each, 0.5 mL"
    })
    void dropsAsTheyAreSaid(String share, String words) {
        Document page = salve("&much=300+g&add%5B0%5D.of=kind:eo-lavender&add%5B0%5D.share="
                + UriUtils.encode(share, StandardCharsets.UTF_8));
        assertThat(page.getElementById("note-add[0].share").text()).contains(words);
    }

    /** Lemon on a grown-up: 2 % at most, so 68 drops in 150 g; oregano for a baby none at all. One tap takes the most within. */
    @Test
    void dropsOverTheirCeilingAreSaidAndCutDown() {
        Document lemon = salve("&much=150+g&add%5B0%5D.of=kind:eo-lemon&add%5B0%5D.share=90+drops");
        assertThat(lemon.select("#over").text()).contains("neither given away nor sold");
        assertThat(lemon.select("#drops > ul li.over").text()).contains("90 drops of Lemon");
        Document within = tove.get(lemon.select("#within").attr("href")).page();
        assertThat(within.select("#over")).isEmpty();
        assertThat(within.select("#drops").text()).contains("68 drops");
        Document baby = salve("&much=150+g&use=BABY&add%5B0%5D.of=kind:eo-oregano&add%5B0%5D.share=3+drops");
        assertThat(baby.select("#drops").text()).contains("none for a baby");
        Document none = tove.get(baby.select("#within").attr("href")).page();
        assertThat(none.select("#drops")).isEmpty();
    }

    /** Two at one pan: both corrections hold, neither is lost; a form sent twice counts once. */
    @Test
    void twoAtOnePanLoseNothing() {
        String making = begin(salve("&much=200+g&share=10+%25"), Map.of());
        Map<String, String> once = deed(making, "", "of", "beeswax", "amount", "5 g");
        tove.post(making + "/correct", once);
        tove.post(making + "/correct", once);
        does(making, "/correct", "", "of", "beeswax", "amount", "3 g");
        // 20 + 5 + 3 of 208
        assertThat(tove.get(making).page().select(".making-see h2").text()).contains("Firmness 13.5");
        assertThat(stock().get("Beeswax")).contains("372 g");
    }

    /** Six tins in the Cupboard: two used, one given, one thrown out and taken back; its label says what is in it. */
    @Test
    void whatWasMadeIsDrawnGivenAndThrownOutByThePiece() {
        String making = begin(salve("&much=6"), Map.of());
        does(making, "/pour", "", "into", option("into", "Round tin"), "count", "6");
        Document cupboard = tove.get("/cupboard").page();
        assertThat(cupboard.select("a.goods").text()).contains("6 × 51 g", "till ");
        String good = cupboard.select("a.goods").first().attr("href");
        for (String[] taken : new String[][] {{"2", "DRAWN"}, {"1", "GIVEN"}, {"1", "DISCARDED"}}) {
            tove.submit(good, "#take", Map.of("count", taken[0], "why", taken[1]));
        }
        Document left = tove.get(good).page();
        assertThat(left.select("#left").text()).startsWith("2 ×");
        assertThat(left.text()).containsPattern("thrown out|discarded, which cost \\S*[0-9]");
        tove.post(Visitor.form(left, "form[action$=undo]", Map.of()));
        assertThat(tove.get(good).page().select("#left").text()).startsWith("3 ×");
        assertThat(tove.submit(good, "#take", Map.of("count", "4"))
                        .page()
                        .select("#note-g-count")
                        .text())
                .contains("between 1 and 3");
        // not quite 51 g, 1.798 oz: rounded down both
        assertThat(tove.get(good + "/label").page().select(".ink-label").text())
                .contains(
                        "seed oil (cold-pressed rapeseed), Cera alba (beeswax)",
                        "Net 50 g (1.79 oz)",
                        "Contains beeswax",
                        "Batch 1");
        // the pouring can be taken back no more: some of it is gone
        String undo =
                tove.get(making).page().select(".making-log form[action$=undo]").attr("action");
        assertThat(tove.post(undo, deed(making, "")).page().text()).contains("Take that back first");
    }

    /** A melt read at 60 °C after ten minutes; the next is foreseen by that. A bought one at 9.50 is remembered for the kind. */
    @Test
    void coolingAndThePriceOfABoughtOneAreRememberedForTheNext() {
        String making = begin(salve("&much=210+g&bought=9.50"), Map.of("when", "2026-11-24T08:10"));
        assertThat(salve("&much=4").select("#cost").text()).contains("a bought one is 9.50", "38.00");
        does(making, "/did/MELT", "08:20");
        does(making, "/test", "08:22", "felt", "RIGHT");
        String before = salve("&much=210+g").select("#window").text();
        does(making, "/off-heat", "08:30", "temperature", "75", "where", "IN_AIR");
        does(making, "/read", "08:40", "temperature", "60");
        does(making, "/pour", "08:44", "into", option("into", "Round tin"), "count", "4");
        String after = salve("&much=210+g").select("#window").text();
        assertThat(before).contains("from 19 to 26").doesNotContain("Yours cool");
        assertThat(after).contains("from 15 to 20").contains("Yours cool 1.3 times as fast as their weight foretells.");
        assertThat(salve("&much=210+g&bought=much").select("#note-bought").text())
                .isNotEmpty();
    }

    /** The household holds tea tree to be 1 % at most, by its maker: so it is reckoned with, till the shipped figure holds again. */
    @Test
    void aCeilingOfTheHouseholdsOwn() {
        String drops = "&much=100+g&add%5B0%5D.of=kind:eo-tea-tree&add%5B0%5D.share=1.5+g";
        assertThat(salve(drops).select("#drops > ul li.over")).isEmpty();
        assertThat(salve(drops).select("#users li.over").text())
                .contains("face", "a baby")
                .doesNotContain("massage");
        assertThat(tove.submit("/stores/catalogue", "#ceiling", Map.of("oil", "eo-tea-tree", "percent", "1"))
                        .status())
                .as("by whom is not said")
                .isEqualTo(422);
        tove.submit(
                "/stores/catalogue", "#ceiling", Map.of("oil", "eo-tea-tree", "percent", "1 %", "source", "the maker"));
        assertThat(tove.get("/stores/catalogue").page().text()).contains("1 % yours, by the maker");
        assertThat(salve(drops).select("#drops > ul li.over").text()).contains("at most 1 %");
        tove.submit("/stores/catalogue", "#ceiling", Map.of("oil", "eo-tea-tree", "percent", ""));
        assertThat(salve(drops).select("#drops > ul li.over")).isEmpty();
    }

    /** Wax of 31.5 g where 30 were planned: that is what the melt has, its firmness is by it, and so much is taken. */
    @Test
    void whatTheScaleSaidIsWhatWentIn() {
        Document planned = salve("&much=200+g&share=15+%25");
        assertThat(planned.select("#really label").eachText())
                .containsExactly("Cold-pressed rapeseed, planned 170 g", "Beeswax, planned 30 g");
        Answer refused = tove.post(Visitor.form(planned, "#pan", Map.of("really[1]", "a lump")));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.page().select("[id='really[1]']").attr("value")).isEqualTo("a lump");
        String making = begin(planned, Map.of("really[1]", "31.5 g"));
        assertThat(stock().get("Beeswax")).contains("369 g");
        assertThat(tove.get(making).page().select(".making-see h2").first().text())
                .isEqualTo("Firmness 15.6, salve");
        assertThat(tove.get(making).page().select("#watch").attr("data-title")).contains("batch 1");
    }

    /** Nettle infused in half shea, half coconut: the strained fat sets like 0.10 by itself, and the wax is reckoned on that. */
    @Test
    void aButterInfusedInItsOwnFatsIsFinishedOnItsStrainedWeight() {
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "shea", "amount", "300 g"));
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "coconut", "amount", "300 g"));
        Document stores = tove.get("/bench").page();
        String shea = stores.select("#carrier option:contains(Shea)").attr("value");
        String coconut = stores.select("#carrier option:contains(Coconut)").attr("value");
        Document bench = tove.get("/bench?amount=20+g&carrier=" + shea + "&oil=200+mL&mix.more%5B0%5D.carrier="
                        + coconut + "&mix.more%5B0%5D.share=50+%25&method=slow-warm&start=2026-11-20")
                .page();
        String batch = tove.post(Visitor.form(bench, "#bench", Map.of())).path();
        String infuse = tove.get("/pan?was=salve&kind=salve&much=200+g&oil=" + option("oil", "rapeseed")
                        + "&with%5B0%5D.of=kind:shea&with%5B0%5D.share=40+%25")
                .page()
                .select("#infuse")
                .attr("href");
        Document first = tove.get(infuse).page();
        assertThat(first.select("#oils").text()).contains("Cold-pressed rapeseed", "Shea butter");
        assertThat(batch).as(bench.select("#worked").text()).startsWith("/batch/");
        Answer strained = tove.submit("/press/" + batch.substring(7), "form", Map.of("out", "150 g", "heat", "COLD"));
        assertThat(strained.status())
                .as(strained.page().select("#refused").text())
                .isEqualTo(200);
        String pan = tove.get("/press/" + batch.substring(7))
                .page()
                .select("a[href*=oil=]")
                .attr("href");
        Document planned = tove.get(pan + "&was=salve&kind=salve&into=").page();
        assertThat(planned.select("#firmness").text()).contains("Firmness 15");
        assertThat(tove.get(pan + "&kind=whipped-butter")
                        .page()
                        .select("#firmness")
                        .text())
                .as("its butters are in it: none stands in the rows again")
                .contains("Firmness 10");
        // 150/(1 − a) with a = 0.05/0.90: 8.8 g of wax on the strained weight
        assertThat(planned.select("#wax-figure .big").text()).isEqualTo("8.8 g beeswax");
    }

    /** What is kept of makings beside their logs is compared like that of other batches, and mended by the same command. */
    @Test
    void whatIsKeptOfAMakingIsFoundOtherwiseAndMended() {
        String making = begin(salve("&much=3"), Map.of("when", "2026-11-24T08:10"));
        does(making, "/pour", "08:59", "into", option("into", "Round tin"), "count", "3");
        String stillroom = sql.sql("select stillroom_id::text from batch where id = cast(:id as uuid)")
                .param("id", making.substring(5))
                .query(String.class)
                .single();
        assertThat(rebuild.everywhere(false).otherwise()).noneMatch(words -> words.startsWith(stillroom));
        sql.sql("update batch_facts set state = 'STANDING', ended_on = null where batch_id = cast(:id as uuid)")
                .param("id", making.substring(5))
                .update();
        assertThat(tove.get("/pan").page().select("#makings").text()).contains("In the pan now");
        assertThat(rebuild.everywhere(true).otherwise()).contains(stillroom + ": 1");
        assertThat(tove.get("/pan").page().select("#makings").text()).doesNotContain("In the pan now");
    }

    /** Left to what there is: of 130 g two tins of 51 g and two pots of 12.7, the least over, each kind in the cost. */
    @Test
    void whateverHoldsItLeavesTheLeast() {
        tove.submit(
                "/stores/supplies", "#add-container", Map.of("name", "Lip pot 15 mL", "holds", "15 mL", "pieces", "9"));
        Document planned = pan("?was=salve&kind=salve&much=130+g&into=&oil=" + option("oil", "rapeseed"));
        assertThat(planned.select("#poured").text())
                .startsWith("2 × Round tin 60 mL, 51 g each; 2 × Lip pot 15 mL, 12.7 g each");
        String making = begin(planned, Map.of());
        does(
                making,
                "/pour",
                "",
                "into",
                option("into", "Round tin"),
                "count",
                "2",
                "andInto",
                option("into", "Lip pot"),
                "andCount",
                "2");
        assertThat(tove.get(making).page().select(".making-log").text())
                .contains("Poured: 2 × Round tin 60 mL of 51 g, 2 × Lip pot 15 mL of 12.7 g");
    }

    /** What smells off is neither given nor sold till that is answered; what claims too much is marked; the label names all by INCI. */
    @Test
    void whatWasMadeIsSmelledAndItsWordsAreWeighed() {
        String making = begin(salve("&much=3"), Map.of("when", "2026-11-24T08:10", "name", "Healing salve"));
        does(making, "/pour", "08:59", "into", option("into", "Round tin"), "count", "3");
        String good = tove.get("/cupboard").page().select("a.goods").first().attr("href");
        Document label = tove.submit(good + "/label", "#words-on-it", Map.of("words", "for eczema, not a cure"))
                .page();
        assertThat(label.select(".ink-label").text())
                .contains("Ingredients: Brassica campestris seed oil (cold-pressed rapeseed), Cera alba (beeswax)")
                .contains("Contains: bee products", "for eczema, not a cure");
        assertThat(tove.get(label.select("#for-each").attr("href")).page().select(".ink-label"))
                .as("a label for each of three")
                .hasSize(3);
        assertThat(label.select("#claims li b").eachText()).containsExactly("“Healing”", "“eczema”", "“cure”");
        assertThat(label.select("#claims form"))
                .as("to heal, to cure, an illness by name: answered by nobody's rules")
                .isEmpty();
        assertThat(label.select("[data-print]"))
                .as("for oneself paper is never refused")
                .hasSize(1);
        String queue = label.select("#on-a-sheet").attr("href");
        assertThat(tove.get(queue).page().select("#print")).hasSize(1);
        Document sale = tove.get(queue + ".sale").page();
        assertThat(sale.select("#print")).as("for sale it is").isEmpty();
        assertThat(sale.select(".caution.REFUSE").text()).contains("“Healing”, a claim to heal");
        Document plain = tove.submit(
                        good + "/label", "#words-on-it", Map.of("title", "Hand salve", "words", "for dry hands"))
                .page();
        assertThat(plain.select("[data-print]")).hasSize(1);
        assertThat(plain.select(".ink-label h2").text()).isEqualTo("Hand salve");
        assertThat(plain.select("#claims")).isEmpty();
        for (String stem : List.of("eczema", "heal", "pain", "cure-all")) {
            tove.post(good + "/words", Map.of("stem", stem));
        }
        assertThat(tove.submit(
                                good + "/label",
                                "#words-on-it",
                                Map.of("title", "Healing salve", "words", "for pain and eczema, not a cure"))
                        .page()
                        .select("#claims li b")
                        .eachText())
                .containsExactly("“Healing”", "“eczema”", "“cure”");
        assertThat(tove.submit(good, "#sniff", Map.of("when", "yesterday")).status())
                .isEqualTo(422);
        tove.submit(good, "#sniff", Map.of("smell", "OFF"));
        Document off = tove.get(good).page();
        assertThat(off.text()).contains("smells off");
        assertThat(tove.get(making).page().select(".making-log").text()).contains("Smelled: off");
        assertThat(tove.submit(good, "#take", Map.of("count", "1", "why", "GIVEN"))
                        .status())
                .isEqualTo(422);
        assertThat(tove.get("/shelf").page().select(".wrongs").text()).contains("smells off");
        String told = tove.get("/shelf").page().select(".wrongs a").first().attr("href");
        assertThat(tove.get(told).status()).isEqualTo(200);
        does(
                making,
                off.select("form[action*=undo]").isEmpty()
                        ? tove.get(making)
                                .page()
                                .select("form[action*=lines]")
                                .first()
                                .attr("action")
                                .substring(making.length())
                        : off.select("form[action*=undo]")
                                .first()
                                .attr("action")
                                .substring(making.length()),
                "");
        assertThat(tove.get("/shelf").page().select(".wrongs")).isEmpty();
        assertThat(tove.submit(good, "#take", Map.of("count", "1", "why", "GIVEN"))
                        .status())
                .isEqualTo(200);
    }

    /** Four tins of 51 g that turned out soft go back into the pan: 204 g at 13; to 16 it takes (0.16·203.9 − 26.5)/0.84 = 7.3 g. */
    @Test
    void whatTurnedOutSoftIsRemeltedAsAMakingOfItsOwn() {
        String making =
                begin(salve("&much=6&firm=13&add%5B0%5D.of=kind:eo-lavender&add%5B0%5D.share=20+drops"), Map.of());
        does(making, "/add", "", "of", "0");
        does(making, "/pour", "", "into", option("into", "Round tin"), "count", "6");
        String good = tove.get("/cupboard").page().select("a.goods").first().attr("href");
        assertThat(tove.submit(good, "#remelt form", Map.of("count", "9"))
                        .page()
                        .text())
                .contains("It is not said how many are melted again: from 1 to 6");
        Answer again = tove.submit(good, "#remelt form", Map.of("count", "4"));
        assertThat(again.page().select("h1").text()).contains("remelted, batch 2");
        assertThat(again.page().select(".making-see h2").text()).contains("Firmness 13");
        assertThat(tove.get(again.path() + "?firm=16").page().select("#fix").text())
                .contains("7.2 g of beeswax brings it from firmness 13 to firmness 16");
        assertThat(tove.get(good).page().select("#left").text()).startsWith("2 ×");
        // What was stirred in before is in it still: on its label, and where it is made again.
        assertThat(again.page().select(".lead").text()).startsWith("203 g in the pan");
        does(again.path(), "/pour", "", "into", option("into", "Round tin"), "count", "4");
        String remelted = tove.get("/cupboard").page().select("a.goods").eachAttr("href").stream()
                .filter(one -> !one.equals(good))
                .findFirst()
                .orElseThrow();
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "eo-lavender", "amount", "5 mL"));
        String lavender = tove.get("/stores/supplies")
                .page()
                .select("main a:contains(Lavender)")
                .attr("href");
        tove.submit(
                lavender.replace("/stores/lots/", "/cupboard/recall/"),
                "#maker",
                Map.of("declared", "linalool, limonene"));
        assertThat(tove.get(remelted + "/label").page().select(".ink-label").text())
                .as("its bottle is not known any more: all count that are of its kind")
                .contains("Lavandula")
                .contains("Contains: bee products, linalool, limonene");
        assertThat(tove.get(good + "/label").page().select(".ink-label").text())
                .as("here it is known, and it was another")
                .doesNotContain("linalool");
        assertThat(tove.get(again.path() + "/again")
                        .page()
                        .select("[id='add[0].share']")
                        .attr("value"))
                .isEqualTo("13 drops");
        tove.post(
                tove.get(again.path())
                        .page()
                        .select(".making-log form[action$=undo]")
                        .first()
                        .attr("action"),
                deed(again.path(), ""));
        String undo = again.page().select(".making-log form[action$=undo]").attr("action");
        tove.post(undo, deed(again.path(), ""));
        assertThat(tove.get(good).page().select("#left").text()).startsWith("6 ×");
    }

    /** Five grams of honey in a hundred are little enough for three months; aloe makes it a week, and neither given nor sold. */
    @Test
    void whatIsWateryShortensItAndIsKeptBack() {
        Document honey = salve("&much=100+g&add%5B0%5D.of=kind:honey&add%5B0%5D.share=5+g");
        assertThat(honey.select("#keeps").text())
                .contains("till 24 Feb 2027", "limited by the honey: three months, cool");
        assertThat(honey.select("#over")).isEmpty();
        Document aloe = salve("&much=100+g&add%5B0%5D.of=kind:aloe&add%5B0%5D.share=5+g");
        assertThat(aloe.select("#keeps").text()).contains("till 1 Dec 2026");
        String making = begin(aloe, Map.of());
        does(making, "/add", "", "of", "aloe");
        does(making, "/pour", "", "into", option("into", "Round tin"), "count", "2");
        String good = tove.get("/cupboard").page().select("a.goods").first().attr("href");
        Document kept = tove.get(good).page();
        assertThat(kept.select("#kept-back").text()).contains("something watery");
        assertThat(kept.select("#g-why option").eachAttr("value"))
                .containsExactly("DRAWN", "GIVEN", "SOLD", "DISCARDED");
        Answer given = tove.submit(good, "#take", Map.of("count", "1", "why", "GIVEN"));
        assertThat(given.status()).isEqualTo(422);
        assertThat(given.page().select("#refused").text()).contains("is not given away: it has something watery in it");
        // Left out, it holds nothing back and shortens nothing: 24 months are the longest, less what the oil has.
        String without = begin(salve("&much=100+g&add%5B0%5D.of=kind:aloe&add%5B0%5D.share=5+g"), Map.of());
        assertThat(tove.get(without).page().select("#over").text()).contains("something watery");
        does(without, "/skip/STIR_IN", "", "of", "0", "words", "it had gone off");
        Document plain = tove.get(without).page();
        assertThat(plain.select("#over"))
                .as(plain.select(".steps, .making-log").text())
                .isEmpty();
        assertThat(salve("&much=100+g").select("#keeps").text())
                .contains(plain.select("#keeps").text().replaceAll(", limited.*|, the longest.*", ""));
        does(without, "/pour", "", "into", option("into", "Round tin"), "count", "1");
        String other = tove.get("/cupboard").page().select("a.goods").eachAttr("href").stream()
                .filter(one -> tove.get(one).page().select("#kept-back").isEmpty())
                .findFirst()
                .orElseThrow();
        assertThat(tove.submit(other, "#take", Map.of("count", "1", "why", "GIVEN"))
                        .status())
                .isEqualTo(200);
    }

    /**
     * Eighteen ounces of oil and three of wax: by the fluid ounce 532.3 mL, 488.1 g of rapeseed, with 85.05 g firmness 14.8; all by weight
     * 510.3 g: firmness 14.3; pellets by the fluid ounce 88.7 mL, 48.8 g: firmness 9.1. Each goes into the Pan as it was read.
     */
    @Test
    void anEighteenOunceRecipeInItsReadings() {
        Document read = tove.submit(
                        "/stores/recipes",
                        "form[action$=recipes]",
                        Map.of(
                                "body",
                                "18 oz rapeseed oil\n3 oz beeswax\n10 drops lavender essential oil",
                                "act",
                                "read"))
                .page();
        assertThat(read.select("#landings li b").eachText())
                .containsExactly("Firmness 14.8, salve", "Firmness 14.3, salve", "Firmness 9.1, soft ointment");
        assertThat(read.select("#landings li").first().text()).contains("oil by the fluid ounce, wax by weight likely");
        Document pan = tove.get(read.select("#landings a").first().attr("href")).page();
        assertThat(pan.select("#firmness").text()).contains("Firmness 14.8, salve");
        assertThat(pan.select("#wax-figure .big").text()).isEqualTo("85 g beeswax");
        assertThat(pan.select("#oil option[selected]").text()).contains("rapeseed");
        assertThat(pan.select("#drops").text()).contains("10 drops of Lavender");
    }

    /** 300 g at firmness 15 take 45 g of beeswax; of candelilla 45/1.9 = 23.7, of soy wax 81.8. The firmness stays. */
    @Test
    void waxIsSwappedKeepingFirmness() {
        Document swaps =
                tove.get(salve("&much=300+g").select("#swaps").attr("href")).page();
        assertThat(swaps.select("#swapped tbody tr").eachText())
                .anyMatch(row -> row.startsWith("As it is Firmness 15 45 g Beeswax"))
                .anyMatch(row -> row.startsWith("Candelilla wax for Beeswax Firmness 15 23.7 g Candelilla wax"))
                .anyMatch(row -> row.startsWith("Soy wax for Beeswax Firmness 15 81.8 g Soy wax"));
        Document soy = tove.get(swaps.select("a[aria-label*=Soy]").attr("href")).page();
        assertThat(soy.select("#wax-figure .big").text()).isEqualTo("81.8 g soy wax");
        assertThat(soy.select("#firmness").text()).contains("Firmness 15");
    }

    /** Made again from today's stock: the same count, shares and drops; of a lot that is gone it is said. */
    @Test
    void theSameAgainFromWhatIsHereToday() {
        String making =
                begin(salve("&much=6&share=17+%25&add%5B0%5D.of=kind:eo-lavender&add%5B0%5D.share=10+drops"), Map.of());
        Answer again = tove.get(making + "/again");
        assertThat(again.page().select(".notice").text()).contains("As batch 1 was made, from the same lots");
        assertThat(again.page().select("#firmness").text()).contains("Firmness 17");
        assertThat(again.page().select("#poured").text()).startsWith("6 × Round tin");
        assertThat(again.page().select("#drops").text()).contains("10 drops of Lavender");
        Document kept = does(making, "/recipe", "").page();
        assertThat(kept.select("#weigh-out").text()).contains("83 g Cold-pressed rapeseed", "17 g Beeswax", "Lavender");
        assertThat(kept.select(".lead").text()).startsWith("salve, firmness 17, firm tin salve");
        does(making, "/did/MELT", "");
        does(making, "/skip/TEST", "", "words", "no freezer");
        does(making, "/off-heat", "", "where", "IN_AIR");
        assertThat(tove.get(making).page().select("#now h2").text()).contains("Stir in 10 drops");
        does(making, "/skip/STIR_IN", "", "of", "eo-lavender");
        assertThat(tove.get(making).page().select("#now h2").text()).isEqualTo("Pour");
    }

    /** A cup of coconut, 230 g by the 0.92 of any oil, is 249.7 mL at 0.921: 41 pads of 6 mL. 200 g of rapeseed: 7 to 21 sessions. */
    @Test
    void padsAreCountedAndSessionsToo() {
        assertThat(pan("?kind=compress-pads&into=&much=1+cup").select("#poured").text())
                .matches("about (41|38) pads of 5 by 5 cm, 6 mL each");
        assertThat(pan("?kind=compress-pads&into=&much=1+cup").select("#keeps").text())
                .contains("till 24 Dec 2026", "limited by the 30 days such pads keep in the refrigerator");
        Document blend = pan("?kind=massage-blend&into=&much=200+g&oil=kind:rapeseed");
        assertThat(blend.select("#poured").text()).isEqualTo("7 to 21 sessions of 10 to 30 mL");
        assertThat(blend.select("#window").text()).isEqualTo("It does not set: pour when it pleases.");
    }

    /** Spoonfuls: 2 tbsp of cocoa butter 27.7 g, 2 of oil 27.1, 1 of coconut 13.6, ½ tsp of pellets 1.36: 15.5. No drop goes into it. */
    @Test
    void aNursingBalmBySpoonfuls() {
        String spoons =
                "?was=nursing-balm&kind=nursing-balm&into=&use=NURSING&much=69.8+g&oil=kind:rapeseed&share=%C2%BD+tsp"
                        + "&with%5B0%5D.of=kind:cocoa-butter&with%5B0%5D.share=2+tbsp&with%5B1%5D.of=kind:coconut&with%5B1%5D.share=1+tbsp";
        Document balm = pan(spoons);
        assertThat(balm.select("#firmness").text()).matches("Firmness 15\\.[4-9].*salve");
        assertThat(pan(spoons + "&add%5B0%5D.of=kind:eo-lavender&add%5B0%5D.share=2+drops")
                        .select("#over")
                        .text())
                .contains("more essential oil than is held safe for what a nursling's mouth meets");
        assertThat(pan(spoons + "&add%5B0%5D.of=kind:honey&add%5B0%5D.share=1+g")
                        .select("#over")
                        .text())
                .contains("no honey for what a nursling's mouth meets");
        assertThat(pan(spoons + "&with%5B2%5D.of=kind:neem&with%5B2%5D.share=0.2+g")
                        .select("#over")
                        .text())
                .contains("neem is at most 1 %");
    }

    /** A gram of vitamin E in 200 g is 0.5 %, right; two are not. */
    /** 30 drops at 20 to the mL are 1.5 mL, 1.35 g; at 37 they are 0.81 mL, 0.73 g. As many grams again are 30 drops again. */
    @Test
    void theDropsOfABottleAreCountedOnce() {
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "eo-peppermint", "amount", "10 mL"));
        String bottle = option("add[0].of", "Peppermint");
        String sentence = "&much=150+g&add%5B0%5D.of=" + bottle + "&add%5B0%5D.share=";
        assertThat(salve(sentence + "30+drops").text()).contains("1.5 mL, 1.4 g");
        String lot = "/stores/lots/" + bottle;
        Answer wrong = tove.submit(lot, "#do-drops", Map.of("drops", "370", "filled", "1 mL"));
        assertThat(wrong.page().select("#note-k-drops").text())
                .contains("370 to a millilitre; droppers give from 5 to 60");
        tove.submit(lot, "#do-drops", Map.of("drops", "37 drops", "filled", "1 mL"));
        assertThat(tove.get(lot).page().select("#drop").text()).contains("37 to the millilitre, 24 mg each");
        Document planned = salve(sentence + "30+drops");
        assertThat(planned.text()).contains("0.81 mL, 0.7 g: 37 of this bottle's fill a millilitre");
        String making = begin(planned, Map.of());
        does(making, "/add", "", "of", "eo-peppermint");
        assertThat(tove.get(lot).page().select("#story tbody tr").last().text()).contains("− 0.7 g");
        assertThat(tove.get(making + "/again")
                        .page()
                        .select("[id='add[0].share']")
                        .attr("value"))
                .isEqualTo("30 drops");
        // Another dropper: as much of it, in its own drops. Drawn by drops, it is these that are gone.
        tove.submit(lot, "#do-drops", Map.of("drops", "20", "filled", "1 mL"));
        assertThat(tove.get(making + "/again")
                        .page()
                        .select("[id='add[0].share']")
                        .attr("value"))
                .isEqualTo("16 drops");
        tove.submit(lot, "#do-drops", Map.of("drops", "45", "filled", "1 mL"));
        Document counted = tove.get(lot).page();
        assertThat(counted.select("#do-draw").parents().select("[hx-vals]").attr("hx-vals"))
                .isEqualTo("{\"perMillilitre\": 45.0}");
        assertThat(tove.get("/stores/echo?field=amount&prefix=d-&expect=LIQUID&perMillilitre=45&amount=50+drops")
                        .page()
                        .text())
                .contains("1.1 mL, by this bottle's drops");
        tove.submit(lot, "#do-draw", Map.of("amount", "50 drops"));
        assertThat(tove.get(lot).page().select("#story tbody tr").last().text()).contains("− 1 g");
        assertThat(tove.get("/stores/lots/" + option("wax", "Beeswax")).page().select("#do-drops, #do-strength"))
                .isEmpty();
    }

    /**
     * Two bottles of lavender, lemon left out, wax put in after the test: stirred in one by one, and what is kept as a recipe, stands on
     * the label and is made again is what really went in.
     */
    @Test
    void asItWasReallyMade() {
        for (int i = 0; i < 2; i++) {
            tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "eo-lavender", "amount", "5 mL"));
        }
        Document shelves = pan("");
        var bottles = shelves.select("select[name='add[0].of'] option[value~=^0]:contains(Lavender)")
                .eachAttr("value");
        tove.submit("/cupboard/recall/" + bottles.get(0), "#maker", Map.of("declared", "linalool"));
        Document twice = salve("&much=3&add%5B0%5D.of=" + bottles.get(0) + "&add%5B0%5D.share=5+drops&add%5B1%5D.of="
                + bottles.get(0) + "&add%5B1%5D.share=5+drops");
        assertThat(twice.select("[id='note-add[1].of']").text()).contains("stands here already");
        String making = begin(
                salve("&much=3&share=12+%25&add%5B0%5D.of=" + bottles.get(0)
                        + "&add%5B0%5D.share=5+drops&add%5B1%5D.of=kind:eo-lemon&add%5B1%5D.share=3+drops&add%5B2%5D.of="
                        + bottles.get(1) + "&add%5B2%5D.share=6+drops"),
                Map.of("when", "2026-11-24T08:10"));
        does(making, "/did/MELT", "08:12");
        assertThat(does(making, "/did/MELT", "08:13").page().select(".notice").text())
                .as("another at the same pan says so too")
                .contains("done already");
        does(making, "/test", "08:14", "felt", "SOFT");
        does(making, "/correct", "08:15", "of", "beeswax", "amount", "8 g");
        does(making, "/test", "08:16", "felt", "RIGHT");
        does(making, "/off-heat", "08:17", "where", "IN_AIR");
        for (String step : new String[] {"add", "skip/STIR_IN", "add"}) {
            Document now = tove.get(making).page();
            does(
                    making,
                    "/" + step,
                    "08:34",
                    "of",
                    now.select("#now form[action$='" + step + "'] input[name=of]")
                            .attr("value"));
        }
        bottles.forEach(
                bottle -> assertThat(tove.get("/stores/lots/" + bottle).page().select("#story tbody tr"))
                        .hasSize(2));
        does(making, "/pour", "08:40", "into", option("into", "Round tin"), "count", "3");
        Document again = tove.get(making + "/again").page();
        // 12 % of 153 g are 18.4 of wax; 8 more make 26.4 of 161
        assertThat(again.select("#firmness").text()).contains("Firmness 16.4");
        assertThat(again.select("#drops").text()).contains("Lavender").doesNotContain("Lemon");
        String good = tove.get("/cupboard").page().select("a.goods").first().attr("href");
        assertThat(tove.get(good + "/label").page().select(".ink-label").text())
                .contains("Lavandula")
                .contains("Contains: bee products, linalool")
                .doesNotContain("Citrus");
        assertThat(does(making, "/recipe", "").page().select("#weigh-out").text())
                .contains("Lavender")
                .doesNotContain("Lemon");
    }

    /** What is found wrong is not offered, or holds back what comes of it; what is past its own date is told, and holds it back. */
    @Test
    void whatIsOffOrPastIsToldBeforeItIsWeighed() {
        tove.submit(
                "/stores",
                "form[action$=carriers]",
                Map.of("carrier", "sunflower", "amount", "1 l", "bestBefore", "1 Oct 2026"));
        String sunflower = option("oil", "Sunflower, 1");
        Document past = pan("?was=salve&kind=salve&much=100+g&oil=" + sunflower);
        assertThat(past.select("#keeps").text())
                .contains("till 1 Oct 2026", "! past its date: limited by the sunflower");
        assertThat(past.select("#over").text()).contains("something in it is past its own date");
        String lot = "/stores/lots/" + sunflower;
        tove.submit(lot, "form[action$=wrong]", Map.of("what", "WATER"));
        assertThat(pan("?was=salve&kind=salve&much=100+g&oil=" + sunflower)
                        .select("#over")
                        .text())
                .contains("Sunflower: water under it, which is not answered yet");
        tove.submit(lot, "form[action$=wrong]", Map.of("what", "MOULD"));
        Document mouldy = pan("");
        assertThat(mouldy.select("#held-back").text()).contains("Sunflower: mould");
        assertThat(mouldy.select("select[name=oil] option:contains(Sunflower, 1)"))
                .as("never offered")
                .isEmpty();
    }

    /** Two percent of tincture: without its strength it counts as water; at 45 % it keeps three months. */
    @Test
    void aTinctureKeepsByItsStrength() {
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "tincture", "amount", "50 g"));
        String bottle = option("add[0].of", "Tincture");
        String sentence = "&much=100+g&add%5B0%5D.of=" + bottle + "&add%5B0%5D.share=2+g";
        Document untold = salve(sentence);
        assertThat(untold.select("#keeps").text()).contains("till 1 Dec 2026", "strength not told");
        assertThat(untold.select("#over").text()).contains("something watery");
        String lot = "/stores/lots/" + bottle;
        assertThat(tove.submit(lot, "#do-strength", Map.of("strength", "140"))
                        .page()
                        .select("#note-v-strength")
                        .text())
                .contains("100");
        tove.submit(lot, "#do-strength", Map.of("strength", "45 %"));
        assertThat(tove.get(lot).page().text()).contains("45 % vol");
        Document told = salve(sentence);
        assertThat(told.select("#keeps").text()).contains("till 24 Feb 2027");
        assertThat(told.select("#over")).isEmpty();
        Answer wax = tove.submit(
                "/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "10 g", "abv", "40"));
        assertThat(wax.page().select("#note-s-abv").text()).contains("Beeswax has no strength");
    }

    @Test
    void vitaminEHasItsDose() {
        String right = "&much=200+g&add%5B0%5D.of=kind:vitamin-e&add%5B0%5D.share=";
        assertThat(salve(right + "1+g").select("#drops li").attr("class")).isEmpty();
        assertThat(salve(right + "2+g").select("#drops > ul li.over").text())
                .contains("Vitamin E 0.99 %", "right from 0.1 % to 0.5 %");
    }

    @Test
    void anEmptyHouseholdIsToldWhatToDoFirst() {
        Visitor fresh = Visitor.household(port, "Nothing yet");
        Document page = fresh.get("/pan").page();
        assertThat(page.select("#no-oil").text()).contains("No oil is here yet");
        assertThat(page.select(".pan-begin")).isEmpty();
        assertThat(fresh.get("/pan?much=300+g&was=salve&kind=salve")
                        .page()
                        .select("#wax-figure .big")
                        .text())
                .isEqualTo("45 g beeswax");
    }

    @Test
    void whatIsNotThereIsSaidBeforeItIsRefused() {
        Document planned = salve("&much=3+kg");
        assertThat(planned.select("#missing").text()).contains("more of Beeswax: 400 g is here", "more of");
        Answer refused = tove.post(Visitor.form(planned, "#pan", Map.of()));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.page().select("#refused").text()).contains("Not all of it is here");
        assertThat(refused.page().select("#much").attr("value")).isEqualTo("3 kg");
    }

    /** The middle of "firm tin" is 19. A spoon proposes; felt hard, nothing is to be added against what was asked, but what is said is. */
    @Test
    void theTargetIsWhatWasAskedFor() {
        String making = begin(salve("&much=300+g&firm=firm+tin"), Map.of());
        assertThat(tove.get(making).page().select(".making-see h2").text()).contains("Firmness 19, firm tin salve");
        does(making, "/test", "", "felt", "HARD");
        assertThat(tove.get(making).page().select("#fix b")).isEmpty();
        assertThat(tove.get(making + "?firm=a+little+softer")
                        .page()
                        .select("#fix")
                        .text())
                .contains("from firmness 19 to firmness 17");
        assertThat(tove.get(making + "?firm=wobbly").page().select("#fix").text())
                .contains("that is no firmness known here");
    }

    /** Off the heat at half past seven it has set in the pan by nine: it is warmed again, and has a curve of its own from then. */
    @Test
    void whatSetInThePanIsWarmedAgainAndNoVerdictIsChosenBeforehand() {
        String making = begin(salve("&much=300+g"), Map.of("when", "2026-11-24T07:00"));
        does(making, "/did/MELT", "07:20");
        does(making, "/test", "07:25", "felt", "RIGHT");
        does(making, "/off-heat", "07:30", "where", "IN_AIR");
        Document late = tove.get(making).page();
        assertThat(late.select("#now").text()).contains("It should have set in the pan since");
        assertThat(late.select("#warm-again button").text()).isEqualTo("Warmed again, and off the heat");
        does(making, "/off-heat", "08:58", "where", "IN_AIR", "temperature", "66 °C");
        Document again = tove.get(making).page();
        assertThat(again.select("#warm-again")).isEmpty();
        assertThat(again.select("#now .timing").text()).doesNotContain("since");
        does(making, "/pour", "", "into", option("into", "Round tin"), "count", "5");
        does(making, "/did/SET", "");
        assertThat(tove.get(making).page().select("#u-felt option[selected]").text())
                .doesNotContain("runny");
        assertThat(tove.submit(making, "form[action$=turned-out]", Map.of()).status())
                .isEqualTo(422);
    }

    /** Poured on the 20th, its date set to the 22nd: given on the 21st it was in time, on the 23rd it is told; never before or tomorrow. */
    @Test
    void whatIsGivenWasPouredAndIsJudgedAsOfThen() {
        String making = begin(salve("&much=300+g"), Map.of("when", "2026-11-20T08:00"));
        does(making, "/pour", "", "into", option("into", "Round tin"), "count", "5", "when", "2026-11-20T09:00");
        sql.sql("update lot set best_before = '2026-11-22' where batch_id = :batch and unit = 'PIECE'")
                .param("batch", UUID.fromString(making.substring("/pan/".length())))
                .update();
        String good = tove.get("/cupboard").page().select("a.goods").first().attr("href");
        assertThat(given(good, "2026-11-20T08:59").page().select("#refused").text())
                .contains("was poured at 20 Nov 2026, 09:00, so nothing of it was taken before");
        assertThat(given(good, "2026-11-25T09:00").page().select("#refused").text())
                .contains("what was done lies before now");
        assertThat(tove.submit(good, "#sniff", Map.of("smell", "OFF", "when", "2026-11-20T08:59"))
                        .status())
                .isEqualTo(422);
        assertThat(tove.get(good).page().select("#left").text()).startsWith("5 ×");
        given(good, "2026-11-21T10:00");
        assertThat(tove.get("/shelf").page().select(".round.asked").text()).isEmpty();
        given(good, "2026-11-23T10:00");
        assertThat(tove.get("/shelf").page().select(".round.asked").text()).contains("it is past its date");
    }

    private Answer given(String good, String when) {
        return tove.submit(good, "#take", Map.of("count", "1", "why", "GIVEN", "when", when));
    }

    /** Forgotten till it was poured: what went in is said with its hour, taken from its lot, and judges what was poured. */
    @Test
    void whatWentInBeforeIsSaidAfterwards() {
        String making = begin(
                salve("&much=300+g&add%5B0%5D.of=kind:aloe&add%5B0%5D.share=5+g"), Map.of("when", "2026-11-24T07:00"));
        does(making, "/pour", "08:00", "into", option("into", "Round tin"), "count", "5");
        Answer now = tove.post(making + "/add", deed(making, "", "of", "aloe"));
        assertThat(now.page().select("#refused").text()).contains("It was poured at 24 Nov 2026, 08:00");
        does(making, "/add", "07:40", "of", "aloe", "anyway", "yes");
        String good = tove.get("/cupboard").page().select("a.goods").first().attr("href");
        assertThat(tove.get(good).page().select("#kept-back").text()).contains("something watery");
    }
}
