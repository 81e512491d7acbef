package app.velvetcrock.bench;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.Visitor.Filled;
import app.velvetcrock.core.method.Method;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Blends, pots, divided charges, oils infused twice, numbers and ways of one's own, overrides: planned, started, kept. */
@HttpTest
class BenchHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private Document bench;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Bench");
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Self-heal", "amount", "100 g"));
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Mullein flower", "amount", "50 g"));
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Yarrow", "amount", "300 g", "moisture", "FRESH"));
        tove.submit(
                "/stores",
                "form[action$=carriers]",
                Map.of("carrier", "sunflower-high-oleic", "amount", "2 L", "price", "16.00"));
        bench = tove.get("/bench").page();
    }

    /**
     * 15 g of nettle (0.15 g/mL), half a part of self-heal 7.5 g, one part by volume of mullein 15 · 0.13/0.15 = 13 g. Pressed
     * (100 + 57.7 + 100)·1.15/1.6 = 185.2,
     * less 35.5/1.4 = 25.4, more 110.8 of cover: 270.6, so 275 mL.
     */
    @Test
    void aBlendIsSaidInPartsAndTakenFromEachOfItsLots() {
        Document page = plan(blend("15 g", "½ part", "1 part by volume"));
        assertThat(page.getElementById("note-more[0].amount").text()).isEqualTo("Self-heal: 7.5 g");
        assertThat(page.getElementById("note-more[1].amount").text()).isEqualTo("Mullein flower: 13 g");
        assertThat(page.select("#need").text()).isEqualTo("275 mL oil");
        assertThat(page.select("#shares tr").eachText())
                .containsExactly("Nettle 15 g 42 %", "Self-heal 7.5 g 21 %", "Mullein flower 13 g 37 %");
        Answer started = start(blend("15 g", "½ part", "1 part by volume"));
        assertThat(started.page().select("h1").text()).contains("Nettle, self-heal and mullein flower");
        assertThat(started.page().select(".went").text())
                .contains("35.5 g in all", "7.5 g Self-heal (Prunella vulgaris)", "13 g Mullein flower");
        assertThat(tove.get(started.path() + "/label")
                        .page()
                        .select(".ink-label")
                        .text())
                .contains("42 % Urtica dioica", "37 % Verbascum thapsus");
        assertThat(tove.get("/stores").page().select("main").text()).contains("185 g", "92.5 g", "37 g");
        Answer back = tove.post(Visitor.form(started.page(), "form[action*=undo]", Map.of()));
        assertThat(back.status()).isEqualTo(200);
        assertThat(tove.get("/stores").page().select("main").text()).contains("200 g", "100 g", "50 g");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            2 parts  | 1 part | 30 g     | Nettle 20 g 67 %, Self-heal 10 g 33 %  | total or parts
            20 g     | 10 g   | 15 g     | Nettle 10 g 67 %, Self-heal 5 g 33 %   | a whole makes weights proportions
            1 part   | 1 part | half jar | Nettle 17.4 g 50 %, Self-heal 17.4 g 50 % | 250 ÷ (1/0.15 + 1/0.13) = 17.41 of each
            """)
    void theWholeCanBeSaid(String first, String second, String total, String shares, String why) {
        Map<String, String> wish = wish(Map.of(
                "amount",
                first,
                "more[0].herb",
                herb("Self-heal"),
                "more[0].amount",
                second,
                "total",
                total,
                "jar",
                jar()));
        assertThat(String.join(", ", plan(wish).select("#shares tr").eachText()))
                .as(why)
                .isEqualTo(shares);
    }

    /**
     * Half of 500 mL at 0.15 is 37.5 g; 5 cm on 5541.8 mm² is 277.1 mL, 41.6 g; 450 − 37.5/1.4 = 423; nothing said: pressed under
     * it takes 250·1.15/1.6 − 26.8 + 110.8 = 264, and 280 the deeper; 250 mL of herb to 1.5 of oil 375; 20 g: 153.3 − 14.3 + 166.3
     * = 305.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            half jar    |               | 37.5 g | 265 mL | jar fill, loose   | 50 %
            5 cm deep   |               | 41.6 g | 285 mL | herb depth, loose | 50 mm
            half jar    | fill          | 37.5 g | 423 mL | jar fill, loose   | 50 %
            half jar    | 1:1.5 by volume | 37.5 g | 375 mL | cups, herb loose | 1 : 1.5
            20 g        | 3 cm above    | 20 g   | 305 mL | oil above it      | 30 mm
            """)
    void everySchoolCanBeTyped(String amount, String oil, String herb, String poured, String school, String measure) {
        Document page = plan(wish(Map.of("amount", amount, "oil", oil == null ? "" : oil, "jar", jar())));
        assertThat(page.select("#herb-mark").text()).isEqualTo(herb);
        assertThat(page.select("#oil-mark").text()).isEqualTo(poured);
        assertThat(page.select("#schools tr:has(th:containsOwn(" + school + ")) td")
                        .text())
                .isEqualTo(measure);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            amount           | 2/3 jar  | jar            | none is chosen
            amount           | 2 jars   | amount         | not a unit
            amount           | 2 parts  | total          | Parts of what?
            more[0].amount   | 1/2 jar  | jar            | none is chosen
            oil              | 1:60 by volume | oil      | between 0.5 and 50
            numbers.band     | 20 to 44 °C | numbers.band | between 30 °C and 70 °C
            numbers.band     | 45 °C    | numbers.band   | no band
            numbers.ceiling  | 95 °C    | numbers.ceiling | between 30 °C and 70 °C
            numbers.read     | often    | numbers.read   | no rhythm
            """)
    void whatIsNotClearIsSaidBesideItsField(String field, String typed, String beside, String words) {
        Map<String, String> wish = wish(Map.of("method", "slow-warm", field, typed));
        if (field.startsWith("more")) {
            wish.put("more[0].herb", herb("Self-heal"));
        }
        Answer answer = tove.post(new Filled("/bench/start", withToken(wish)));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page().getElementById("note-" + beside).text()).contains(words);
        assertThat(answer.page().getElementById(field).attr("value")).isEqualTo(typed);
    }

    /** 100 g want 590 mL of room; two jars of half a litre take 50 g each: 239.6 − 35.7 + 110.8 = 314.7, so 315 mL. */
    @Test
    void whatNoJarTakesIsDividedOverTwo() {
        Document page = plan(wish(Map.of("amount", "100 g", "jar", jar())));
        assertThat(page.select(".chip").eachAttr("data-fill")).contains("split");
        assertThat(page.select(".chip[data-fill=split]").text()).isEqualTo("divide it over 2 × 500 mL jar");
        Map<String, String> split = wish(Map.of("amount", "100 g", "jar", "split"));
        assertThat(plan(split).select("#split tr").eachText())
                .containsExactly("500 mL jar 50 g 315 mL oil", "500 mL jar 50 g 315 mL oil", "in all 100 g 630 mL oil");
        Answer started = start(split);
        assertThat(started.path()).isEqualTo("/shelf");
        assertThat(started.page().select(".board .jar .tag b").eachText())
                .containsExactlyInAnyOrder("Nettle (1 of 2)", "Nettle (2 of 2)");
        assertThat(tove.get("/stores").page().select("main").text()).contains("100 g");
        Document none = plan(wish(Map.of("amount", "100 g", "jar", "split")));
        assertThat(none.select("main").text()).contains("No jar or pot is free");
    }

    /** A pan 240 mm across: 45,239 mm², 10 mm of cover 452.4 mL; 479.2 − 71.4 + 452.4 = 860.2, so 865 mL. */
    @Test
    void aWidePanIsAVesselWithLessCoverAndIsTakenWhileItIsUsed() {
        tove.post(
                "/stores/kit",
                Map.of("kind", "POT", "name", "Wide pan", "capacity", "4 L", "width", "240 mm", "pieces", "1"));
        String pan = tove.get("/bench")
                .page()
                .select("#jar option:contains(Wide pan)")
                .attr("value");
        Map<String, String> wish = wish(Map.of("amount", "100 g", "jar", pan, "method", "slow-warm"));
        assertThat(plan(wish).select("#need").text()).isEqualTo("865 mL oil");
        Answer started = start(wish);
        assertThat(started.page().select(".went tr:contains(Pot)").text()).isEqualTo("Pot Wide pan");
        assertThat(tove.get("/bench").page().select("#jar option").eachText()).doesNotContain("Wide pan");
        // A jar on the hob stands in the pan all the same: 45,239 − 5541.8 mm², as deep as the oil.
        assertThat(plan(wish(Map.of("amount", "30 g", "method", "water-bath")))
                        .select("#bath")
                        .text())
                .contains("Standing in “Wide pan”", "of water");
    }

    /**
     * 120 g of birch buds: usual 600 mL, with 85.7 mL of bud too much for the only jar; 120/0.42·1.15 − 85.7 + 110.8 = 353.7 covers, so
     * 355 is poured, and it is said why. In the wide pan, which takes heat, the usual has room; a cold way cannot stand there.
     */
    @Test
    void whatCoversIsPouredWhereTheUsualHasNoRoomAndAnOpenPotTakesHeatOnly() {
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Birch bud", "amount", "300 g", "part", "BUD"));
        Map<String, String> wish =
                wish(Map.of("herb", herb("Birch bud"), "amount", "120 g", "method", "cold-dark", "jar", ""));
        Document tight = plan(wish);
        assertThat(tight.select("#oil-mark").text()).isEqualTo("355 mL");
        assertThat(tight.getElementById("note-oil").text())
                .isEqualTo("what covers it; no free vessel has room for the usual 1 : 5");
        tove.post(
                "/stores/kit",
                Map.of("kind", "POT", "name", "Jam pan", "capacity", "2 L", "width", "140 mm", "pieces", "1"));
        assertThat(plan(wish).select("#oil-mark").text()).isEqualTo("355 mL");
        wish.put("method", "slow-warm");
        assertThat(plan(wish).select("#oil-mark").text()).isEqualTo("600 mL");
        assertThat(plan(wish).select("main").text()).contains("Jam pan, 140 mm across");
        wish.put("method", "cold-dark");
        wish.put(
                "jar",
                tove.get("/bench")
                        .page()
                        .select("#jar option:contains(Jam pan)")
                        .attr("value"));
        Document open = plan(wish);
        assertThat(open.select(".caution.REFUSE").text()).contains("Jam pan is open", "wants glass with a lid");
        assertThat(open.select("#start-batch").hasAttr("disabled")).isTrue();
    }

    @Test
    void waterMayBeOverriddenInWritingButNeverForFood() {
        Map<String, String> wish = wish(Map.of("herb", herb("Yarrow"), "amount", "60 g", "method", "slow-warm"));
        assertThat(tove.post(new Filled("/bench/start", withToken(wish))).status())
                .isEqualTo(422);
        // What is refused stands there only for whoever insists on it, and no days are laid out for it before there is
        // a reason.
        Document offered = plan(wish);
        assertThat(offered.select("#knowingly")).isEmpty();
        assertThat(offered.select(".way:has(input[checked])").text()).startsWith("Fresh, low heat");
        assertThat(offered.select("#refused + p a").text())
                .isEqualTo("60 g of Yarrow, dried first, leaves about 10 g: lay it out");
        wish.put("method", offered.select(".insist:contains(Slow warm) input").attr("value"));
        assertThat(plan(wish).select("#knowingly")).hasSize(1);
        assertThat(plan(wish).select("#chosen-refused")).hasSize(1);
        assertThat(plan(wish).select("#time").text()).contains("The days stand here once");
        wish.put("knowingly", "I watch it all day, lid off.");
        Answer started = start(wish);
        assertThat(started.page().select("#mark").text()).contains("Made against the rule of water", "lid off");
        assertThat(tove.get(started.path() + "/label").page().text()).contains("Made against the rule of water");
        assertThat(tove.get("/shelf").page().select(".jar").attr("aria-label"))
                .contains("made against the rule of water");
        wish.put("use", "FOOD");
        assertThat(tove.post(new Filled("/bench/start", withToken(wish))).status())
                .isEqualTo(422);
        assertThat(plan(wish).select("#knowingly")).isEmpty();
        tove.submit(
                started.path().replace("batch", "press"),
                "form[action*=press]",
                Map.of("out", "200 g", "heat", "COLD"));
        String oil = tove.get("/cupboard").page().select("main .bottle").attr("href");
        assertThat(tove.get("/cupboard").page().select(".bottle").text()).contains("made against the rule of water");
        assertThat(tove.get(oil).page().text())
                .contains("Made against the rule of water", "No sniff test makes it keep longer");
    }

    @Test
    void aWayOfOnesOwnIsKeptUsedAndPutAway() {
        Map<String, String> wish = wish(Map.of(
                "method",
                "slow-warm",
                "numbers.band",
                "38 to 44 °C",
                "numbers.ceiling",
                "50",
                "numbers.read",
                "2 for 4, then 6",
                "length",
                "12 hours",
                "called",
                "Low and slow"));
        Answer kept = tove.post(new Filled("/bench/ways", withToken(wish)));
        assertThat(kept.path()).isEqualTo("/bench");
        assertThat(kept.page().select(".way:has(input[checked])").text())
                .contains("Low and slow", "12 h", "38 °C to 44 °C");
        assertThat(kept.page().select("#length").attr("value")).isEqualTo("12 hours");
        assertThat(kept.page().getElementById("numbers.read").attr("placeholder"))
                .isEqualTo("2 for 4, then 6");
        Answer started = tove.post(Visitor.form(kept.page(), "#bench", Map.of()));
        assertThat(started.page().select(".lead").text()).contains("Low and slow");
        Answer away = tove.post(kept.page().select("button[formaction*=ways/]").attr("formaction"), Map.of());
        assertThat(away.page().select(".way").text()).doesNotContain("Low and slow");
        assertThat(tove.get(started.path()).page().select(".lead").text()).contains("Low and slow");
        assertThat(tove.post(Visitor.form(away.page(), ".notice form", Map.of()))
                        .page()
                        .select(".way")
                        .text())
                .contains("Low and slow");
        assertThat(tove.post(new Filled("/bench/ways", withToken(wish(Map.of()))))
                        .page()
                        .getElementById("note-called")
                        .text())
                .contains("Nothing is written here yet");
    }

    /** The gentle form runs 1.7 times as long: 8 h become 14; numbers typed for a plan alone name it so. */
    @Test
    void formsOfAWayHaveTheirOwnNumbers() {
        assertThat(plan(wish(Map.of("method", "slow-warm~gentle")))
                        .select(".way.sub")
                        .eachText())
                .anyMatch(way -> way.contains("gentle 14 h 35 °C to 43 °C"));
        assertThat(plan(wish(Map.of("method", "cold-dark", "numbers.shake", "daily for 14, then 2")))
                        .getElementById("note-numbers.shake")
                        .text())
                .isEqualTo("every 1 up to 14 days, then every 2");
        assertThat(plan(wish(Map.of("herb", herb("Yarrow"), "amount", "60 g", "method", "water-bath~gentle!")))
                        .select(".way.refused")
                        .text())
                .contains("Yarrow is fresh");
    }

    /**
     * 30 g in 235 mL gave 180 g, 196.3 mL. 20 g more in 195 mL of it: 195 ÷ (20 + 195·30/196.3) = 3.92. The first oil's day ends it.
     */
    @Test
    void anOilIsInfusedASecondTime() {
        Answer first = start(wish(Map.of("amount", "30 g", "method", "slow-warm", "oil", "235 mL")));
        tove.submit(
                first.path().replace("batch", "press"),
                "form[action*=press]",
                Map.of("out", "180 g", "heat", "WARMED"));
        String lot =
                tove.get("/bench").page().select("#carrier optgroup option").attr("value");
        Map<String, String> again = wish(Map.of("amount", "20 g", "carrier", lot, "method", "cold-dark"));
        Document page = plan(again);
        assertThat(page.select("#double-ratio").text()).isEqualTo("1 : 3.9");
        assertThat(page.select("#keep + p").text())
                .isEqualTo("limited by the oil it is made in, which has its own date");
        Answer second = start(again);
        assertThat(second.page().select(".went tr:contains(Infused before)").text())
                .contains("Nettle in cold-pressed rapeseed, batch 1", "1 : 3.9");
        assertThat(tove.get("/cupboard/" + lot).page().select("#left").text()).isEqualTo("1.3 mL");
        assertThat(plan(wish(Map.of("amount", "60 g", "carrier", lot)))
                        .select("main")
                        .text())
                .contains("the bottle holds 1.3 mL");
    }

    /**
     * 30 g take 24 g at 0.8; of 60 % by mass 0.5209 against 0.8566 in the bottle of 90 %: 14.6 g and 9.4 g of water. 500 mL of 90
     * % weigh 414.6 g; 400 g are left.
     */
    @Test
    void spiritIsDosedThinnedAndTakenFromItsBottle() {
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "grain-spirit", "amount", "500 mL", "abv", "90"));
        Map<String, String> wish =
                wish(Map.of("amount", "30 g", "method", "spirit-first", "spirit.perGram", "0.8", "spirit.thin", "60"));
        assertThat(plan(wish).select("#moisten").text())
                .contains("24 g", "of 60 % spirit", "Thin 14.6 g from the bottle with 9.4 g of water");
        Answer started = start(wish);
        assertThat(started.page().select(".went tr:contains(Spirit)").text()).isEqualTo("Spirit 24 g of 60 %");
        assertThat(tove.get("/stores/supplies").page().select("main").text()).contains("400 g");
        assertThat(plan(wish(Map.of("method", "spirit-first", "spirit.perGram", "3")))
                        .getElementById("note-spirit.perGram")
                        .text())
                .contains("between 0.4 and 1");
        assertThat(plan(wish(Map.of("method", "spirit-first~window", "spirit.thin", "50")))
                        .select(".way.refused")
                        .text())
                .contains("leaves only in an open warm finish");
    }

    /** 225 mL of 2 L at 16.00: 1.80. */
    @Test
    void costOpensToItsLinesAndTheKitIsWeighed() {
        String sunflower = bench.select("#carrier option:contains(Sunflower)").attr("value");
        Document page =
                plan(wish(Map.of("amount", "20 g", "oil", "225 mL", "carrier", sunflower, "method", "slow-warm")));
        assertThat(page.select("#why-cost tr").text()).contains("207 g", "1.80");
        tove.post("/stores/kit", Map.of("kind", "OVEN", "name", "Oven", "pieces", "1"));
        assertThat(plan(wish(Map.of("method", "slow-warm")))
                        .select(".plan-notes")
                        .text())
                .contains("it wants a slow cooker or a dehydrator, and none is in your kit");
        assertThat(plan(wish(Map.of("method", "oven"))).select(".plan-notes").text())
                .contains("an oven is in your kit");
    }

    private Map<String, String> blend(String first, String second, String third) {
        return wish(Map.of(
                "amount",
                first,
                "method",
                "cold-dark",
                "more[0].herb",
                herb("Self-heal"),
                "more[0].amount",
                second,
                "more[1].herb",
                herb("Mullein"),
                "more[1].amount",
                third));
    }

    private Map<String, String> wish(Map<String, String> typed) {
        Map<String, String> all = new HashMap<>(Map.of(
                "herb",
                herb("Nettle"),
                "amount",
                "40 g",
                "carrier",
                bench.select("#carrier option:contains(rapeseed)").attr("value")));
        all.putAll(typed);
        return all;
    }

    private String herb(String name) {
        return bench.select("#herb option:contains(" + name + ")").attr("value");
    }

    private String jar() {
        return bench.select("#jar option:contains(500)").attr("value");
    }

    private Document plan(Map<String, String> wish) {
        List<String> query = wish.entrySet().stream()
                .map(e -> Visitor.encode(e.getKey()) + "=" + Visitor.encode(e.getValue()))
                .toList();
        return tove.get("/bench?" + String.join("&", query)).page();
    }

    private Answer start(Map<String, String> wish) {
        Answer answer = tove.post(Visitor.form(plan(wish), "#bench", wish));
        assertThat(answer.status())
                .as(answer.page().select(".beside, .note").text())
                .isEqualTo(200);
        assertThat(answer.path()).matches("/(batch/.*|shelf)");
        return answer;
    }

    private Map<String, String> withToken(Map<String, String> wish) {
        Map<String, String> all =
                new HashMap<>(Visitor.form(bench, "#bench", Map.of()).fields());
        all.putAll(wish);
        return all;
    }

    /** Reload, back and a bookmark find every field as it was said; days stand there as dates, and what is usual is not said. */
    @Test
    void theAddressKeepsTheWholeSentence() {
        Visitor tove = Visitor.stocked(port, "Address");
        Document bench = tove.get("/bench").page();
        Map<String, String> said =
                new LinkedHashMap<>(Visitor.form(bench, "#bench", Map.of()).fields());
        String plain = replaced(tove, said);
        assertThat(plain).matches("/bench\\?herb=[0-9a-f-]{36}&carrier=[0-9a-f-]{36}&method=cold-dark");
        said.putAll(Map.ofEntries(
                Map.entry("amount", "25 g"),
                Map.entry("oil", "1:8"),
                Map.entry("length", "28 days"),
                Map.entry("start", "yesterday"),
                Map.entry("use", "PREGNANCY"),
                Map.entry("pressing", "DRIP"),
                Map.entry("storage", "ROOM"),
                Map.entry("numbers.shake", "2 for 5, then 4"),
                Map.entry("time.by", "in 9 weeks"),
                Map.entry("knowingly", "as my mother does & did")));
        String address = replaced(tove, said);
        assertThat(address)
                .contains("start=23%20Nov%202026", "time.by=26%20Jan%202027")
                .doesNotContain("cut=", "total=");
        Document again = tove.get(address).page();
        Map<String, String> found = Visitor.form(again, "#bench", Map.of()).fields();
        said.put("start", "23 Nov 2026");
        said.put("time.by", "26 Jan 2027");
        said.forEach((name, value) -> {
            if (!Set.of("key", "_csrf", "by", "knowingly").contains(name)) {
                assertThat(found.get(name)).as(name).isEqualTo(value);
            }
        });
        assertThat(URLDecoder.decode(address, StandardCharsets.UTF_8)).contains("knowingly=as my mother does & did");
        // Whatever field the sentence has, the address knows it.
        for (String name : found.keySet()) {
            if (!Set.of("key", "_csrf", "by", "weighed", "poured", "called", "title")
                    .contains(name)) {
                assertThat(BenchAddress.said(BenchForm.of("", "", "", "").withDefaults(Method.COLD_AND_DARK, "", ""))
                                .keySet())
                        .anyMatch(
                                known -> known.equals(name) || name.matches("(more|mix\\.more|time\\.hold)\\[\\d+].*"));
            }
        }
    }

    private static String replaced(Visitor tove, Map<String, String> said) {
        String query = said.entrySet().stream()
                .filter(e -> !Set.of("key", "_csrf").contains(e.getKey()))
                .map(e -> Visitor.encode(e.getKey()) + "=" + Visitor.encode(e.getValue()))
                .collect(Collectors.joining("&"));
        return tove.get("/bench/plan?" + query, "HX-Request", "true")
                .raw()
                .headers()
                .firstValue("HX-Replace-Url")
                .orElseThrow();
    }

    /** Coconut stands solid in a cool pantry: a cold way cannot be had, and the page moves on to one that can, saying why. */
    @Test
    void aWayThatCannotBeGivesWayToOneThatCan() {
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "coconut", "amount", "1 L"));
        bench = tove.get("/bench").page();
        Document page = plan(wish(Map.of(
                "carrier", bench.select("#carrier option:contains(Coconut)").attr("value"), "method", "cold-dark")));
        String chosen = page.select("input[name=method][checked]").attr("value");
        assertThat(chosen).isNotEqualTo("cold-dark").isNotEmpty();
        assertThat(page.select("#chosen-refused")).isEmpty();
        assertThat(page.getElementById("note-method").text())
                .contains("Cold and dark cannot make this", "stands here instead");
    }

    /** A length in the wrong unit stops the start; what another way usually takes is left over from it, and gives way. */
    @Test
    void aLengthForAnotherWayIsAsked() {
        Document wrong = plan(wish(Map.of("method", "cold-dark", "length", "5 hours")));
        assertThat(wrong.getElementById("note-length").text()).contains("this way takes between 21 and 56 days");
        assertThat(wrong.select("#start-batch")).as("nothing to start").isEmpty();
        Document left = plan(wish(Map.of("method", "cold-dark", "length", "8 hours")));
        assertThat(left.getElementById("note-length").text()).contains("8 hours is for another way; 35 days is usual");
    }

    /** The list of ways says of the one chosen how long it is given, of the others what is usual. */
    @Test
    void theListOfWaysSaysTheLengthChosen() {
        Document page = plan(wish(Map.of("method", "cold-dark", "length", "28 days")));
        assertThat(page.select(".way:has(#way-cold-dark) .num").text()).isEqualTo("28 d");
        assertThat(page.select(".way:has(#way-sun-window) .num").text()).isEqualTo("21 d");
    }

    @Test
    void aBlendMayHaveTwelveHerbs() {
        Map<String, String> wish = new HashMap<>(wish(Map.of("amount", "2 g")));
        for (int i = 0; i < 11; i++) {
            wish.put("more[%d].herb".formatted(i), herb(i % 2 == 0 ? "Self-heal" : "Mullein flower"));
            wish.put("more[%d].amount".formatted(i), "2 g");
        }
        Document page = plan(wish);
        assertThat(page.select("#shares tr")).hasSize(12);
        assertThat(page.select(".blend-row select[name^=more]")).hasSize(11);
        assertThat(start(wish).page().select(".went").text()).contains("24 g in all");
    }

    /** What lies on the rack weighs what it weighed last, and is not to be had until it is taken down. */
    @Test
    void herbOnTheRackIsNotOfferedAndWeighsWhatItWeighs() {
        String lot = tove.get("/stores").page().select("a:contains(Yarrow)").attr("href");
        assertThat(bench.select("#herb option:contains(Yarrow)")).hasSize(1);
        tove.submit(lot, "#do-dry", Map.of());
        tove.submit("/stores/drying", "form.weigh", Map.of("mass", "120 g"));
        assertThat(tove.get("/bench").page().select("#herb option:contains(Yarrow)"))
                .isEmpty();
        assertThat(tove.get("/stores").page().select("tr:contains(Yarrow)").text())
                .contains("on the rack", "120 g")
                .doesNotContain("300 g");
        assertThat(tove.get(lot).page().select("#lot-left").text()).isEqualTo("120 g left");
    }

    /** A start has an hour, and the herb was there by then; what is still to come is not begun. */
    @ParameterizedTest
    @CsvSource({
        "yesterday 18:30, '23 Nov 2026, 18:30'",
        "2 hours ago, '24 Nov 2026, 07:00'",
        "yesterday, '23 Nov 2026, 12:00'",
        "today, '24 Nov 2026, 09:00'"
    })
    void aStartHasAnHour(String typed, String charged) {
        Visitor tove = Visitor.stocked(port, "Hour");
        Document bench = tove.get("/bench?method=cold-dark&amount=30+g&start=" + typed.replace(" ", "+"))
                .page();
        Answer begun = tove.post(Visitor.form(bench, "#bench", Map.of()));
        assertThat(begun.page().select(".went tr:contains(Charged)").text()).contains(charged);
    }

    @Test
    void nothingIsChargedTomorrowNorWithAHerbThatCameLater() {
        Visitor tove = Visitor.stocked(port, "Later");
        assertThat(tove.get("/bench?method=cold-dark&amount=30+g&start=today+23:00")
                        .page()
                        .text())
                .contains("which is still to come");
        tove.submit(
                "/stores", "form[action$=herbs]", Map.of("herb", "Yarrow", "amount", "90 g", "acquired", "2026-11-20"));
        String yarrow = tove.get("/bench")
                .page()
                .select("select[name=herb] option:contains(Yarrow)")
                .attr("value");
        String at = "/bench?method=cold-dark&amount=30+g&herb=" + yarrow + "&start=";
        Answer early = tove.post(Visitor.form(tove.get(at + "19+Nov+18:00").page(), "#bench", Map.of()));
        assertThat(early.page().select("#refused").text()).contains("“Yarrow” came in on 20 Nov 2026");
        assertThat(tove.post(Visitor.form(tove.get(at + "20+Nov+18:00").page(), "#bench", Map.of()))
                        .path())
                .startsWith("/batch/");
    }
}
