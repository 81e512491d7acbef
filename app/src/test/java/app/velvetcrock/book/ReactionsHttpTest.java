package app.velvetcrock.book;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What she reacted to: walked down to kinds and lots, held back across both levels, and known of her from then on. */
@HttpTest
class ReactionsHttpTest {

    private static final String PLACE = "/book/reactions";

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Careful");
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Yarrow", "amount", "200 g"));
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Dandelion", "amount", "200 g"));
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "500 mL", "width", "84 mm", "pieces", "6"));
    }

    private void oil(String herb) {
        Document bench = tove.get("/bench?amount=30+g").page();
        String lot = bench.select("#herb option:contains(" + herb + ")").attr("value");
        Answer started = tove.post(
                Visitor.form(tove.get("/bench?amount=30+g&herb=" + lot).page(), "#bench", Map.of()));
        assertThat(started.path()).as(started.page().select("#refused").text()).startsWith("/batch/");
        tove.submit(started.path().replace("batch", "press"), "form[action*=press]", Map.of("out", "150 mL"));
    }

    private Answer used(String what, String strength, Map<String, String> also) {
        Document page = tove.get(PLACE).page();
        Map<String, String> fields = new HashMap<>(also);
        fields.putIfAbsent("nickname", "Inga");
        fields.put("strength", strength);
        fields.putIfAbsent("spreading", "");
        fields.put("patch", "");
        String lot = page.select("#r-lot option:contains(" + what + ")").attr("value");
        fields.put(lot.isEmpty() ? "other" : "lot", lot.isEmpty() ? what : lot);
        return tove.post(Visitor.form(page, "#used", fields));
    }

    private static String line(Document page, String name) {
        return page.select("#suspects details:has(summary b:matchesOwn(^" + name + "$)) summary")
                .text();
    }

    @Test
    void twoOfThreeOilsNarrowItToTheHerbHoldItBackAndWarnByItsRelatives() {
        oil("Yarrow");
        oil("Nettle");
        oil("Dandelion");
        Answer first = used("Yarrow", "CLEAR", Map.of("place", "forearm", "lasted", "two days", "on", "9 Nov 2026"));
        assertThat(first.status()).isEqualTo(200);
        used("Nettle", "NONE", Map.of("on", "12 Nov 2026"));
        Document page = used("the sun", "NONE", Map.of("on", "12 Nov 2026")).page();
        assertThat(line(page, "yarrow")).contains("most likely");
        assertThat(line(page, "the sun")).contains("hardly");
        assertThat(page.select("#suspects details:has(summary b:matchesOwn(^yarrow$)) li")
                        .eachText()
                        .toString())
                .contains("holds it: clear", "Nettle", "does not: nothing");
        assertThat(page.select("#relatives").text()).contains("the daisy family");
        assertThat(page.select("#free").text()).contains("Nettle").doesNotContain("Yarrow", "Dandelion");
        assertThat(page.select("#step").text()).contains("Skin is calm");
        assertThat(page.text()).doesNotContain("is safe");
        List<String> batches = tove.get("/press").page().select("a[href^=/batch/]").eachAttr("href").stream()
                .map(href -> href.substring("/batch/".length()))
                .distinct()
                .toList();
        assertThat(tove.get("/book/compare?of=" + String.join("&of=", batches))
                        .page()
                        .select("#beside tr:has(th:containsOwn(on the skin)) td")
                        .eachText())
                .as("an outcome, beside the others")
                .contains("clear 1");
        // A bag nobody opened, and a jar that stands: they hold it as well.
        tove.submit(
                "/stores", "form[action$=herbs]", Map.of("herb", "Yarrow", "amount", "90 g", "name", "Yarrow of June"));
        String bag =
                tove.get("/bench").page().select("#herb option:contains(90 g)").attr("value");
        assertThat(bag).isNotEmpty();
        Answer stands = tove.post(
                Visitor.form(tove.get("/bench?amount=25+g&herb=" + bag).page(), "#bench", Map.of()));
        page = tove.get(PLACE + "?who=" + who(page)).page();
        // Held back: the bag, and the oil made of it.
        Document held = tove.post(Visitor.form(
                        page, "#suspects details:has(summary b:matchesOwn(^yarrow$)) form[action$=hold]", Map.of()))
                .page();
        assertThat(held.select(".notice").text()).contains("On hold, with all that was made of it: Yarrow");
        assertThat(tove.get("/cupboard")
                        .page()
                        .select(".bottle:contains(Yarrow)")
                        .text())
                .containsIgnoringCase("hold");
        assertThat(tove.get("/cupboard")
                        .page()
                        .select(".bottle:contains(Nettle)")
                        .text())
                .doesNotContainIgnoringCase("on hold");
        assertThat(tove.post(Visitor.form(
                                held,
                                "#suspects details:has(summary b:matchesOwn(^yarrow$)) form[action$=hold]",
                                Map.of()))
                        .page()
                        .select(".notice")
                        .text())
                .isEqualTo("All of it is on hold already.");
        // Known of her: refused, its relative asked about, what holds neither given.
        Document known = tove.post(Visitor.form(
                        page, "#suspects details:has(summary b:matchesOwn(^yarrow$)) form[action$=known]", Map.of()))
                .page();
        assertThat(known.select(".lead").text()).contains("reacts to yarrow");
        String calendula = tove.get("/cupboard")
                .page()
                .select(".bottle:contains(Dandelion)")
                .attr("href");
        assertThat(tove.post(PLACE + "/known", Map.of("who", who(known), "key", "nothing"))
                        .page()
                        .text())
                .contains("That is suspected of nothing here any more");
        assertThat(tove.submit(
                                calendula,
                                "form[action$=draw]",
                                Map.of("amount", "10 mL", "why", "GIVEN", "who", "Inga"))
                        .status())
                .isEqualTo(200);
        // And warned of wherever something of it is planned.
        assertThat(tove.get("/wish?amount=20+g&herb=yarrow&oil=rapeseed&what=a+salve")
                        .page()
                        .select(".who-reacts")
                        .text())
                .contains("Inga reacts to yarrow");
        assertThat(tove.get("/wish?amount=20+g&herb=nettle&oil=rapeseed&what=a+salve")
                        .page()
                        .select(".who-reacts"))
                .isEmpty();
        assertThat(tove.get("/wish?amount=20+g&herb=dandelion&oil=rapeseed&what=a+salve")
                        .page()
                        .select(".who-reacts")
                        .text())
                .as("a relative is named too")
                .contains("Inga reacts to yarrow", "A relative of that is in this: ask her first.");
        String yarrow =
                tove.get("/cupboard").page().select(".bottle:contains(Yarrow)").attr("href");
        assertThat(tove.get("/labels?of=lot." + yarrow.substring(yarrow.lastIndexOf('/') + 1) + ".1")
                        .page()
                        .select(".who-reacts.REFUSE")
                        .text())
                .contains("Inga reacts to yarrow", "Nothing of this is for her skin.");
        Document not = tove.post(PLACE + "/known", Map.of("who", who(known), "key", "yarrow", "not", "yes"))
                .page();
        assertThat(not.select(".lead").text()).doesNotContain("yarrow");
    }

    private static String who(Document page) {
        return page.select("#suspects input[name=who]").first().attr("value");
    }

    /** "Nothing" is believed only once the skin was looked at again; a strong one asks for help and for no test. */
    @Test
    void nothingIsBelievedAfterASecondLook() {
        oil("Yarrow");
        oil("Nettle");
        used("Yarrow", "CLEAR", Map.of("on", "23 Nov 2026"));
        Document waiting = used("Nettle", "NONE", Map.of()).page();
        assertThat(waiting.select("#suspects details li").text()).doesNotContain("nothing");
        assertThat(waiting.select("#rows li:contains(Nettle)").text()).contains("to be looked at again 27 Nov 2026");
        assertThat(waiting.select("#step").text()).contains("Nothing new on the skin");
        assertThat(tove.get("/shelf").page().select(".of-book")).isEmpty();
        Document back =
                used("the wool hat", "NONE", Map.of("on", "20 Nov 2026")).page();
        assertThat(back.select("#rows li:contains(hat)").text()).doesNotContain("to be looked at again");
        Document again = used("a scarf", "SLIGHT", Map.of("on", "20 Nov 2026")).page();
        assertThat(tove.get("/shelf").page().select(".of-book").text()).isEqualTo("Look at the skin again: a scarf");
        Document looked = tove.post(
                        Visitor.form(again, "#rows li:contains(scarf) .again form:contains(clear)", Map.of()))
                .page();
        assertThat(looked.select("#rows li:contains(scarf)").text())
                .contains("clear")
                .doesNotContain("again");
        assertThat(tove.get("/shelf").page().select(".of-book")).isEmpty();
        Document strong = used("Nettle", "STRONG", Map.of("spreading", "yes")).page();
        assertThat(strong.select("#urgent").text()).isEqualTo("! Get medical help now.");
        assertThat(strong.select("#step").text()).contains("No test after a strong or spreading reaction");
        String drop =
                strong.select("#rows li:contains(scarf) form[action$=drop]").attr("action");
        tove.post(drop, Map.of());
        assertThat(tove.get(PLACE + "?who=" + who(strong))
                        .page()
                        .select("#rows")
                        .text())
                .doesNotContain("scarf");
        tove.post(drop + "?back=yes", Map.of());
        assertThat(tove.get(PLACE + "?who=" + who(strong))
                        .page()
                        .select("#rows")
                        .text())
                .contains("scarf");
    }

    @Test
    void whatCannotBeReadIsSaidAndChangesNothing() {
        Document page = tove.get(PLACE).page();
        Answer empty = tove.post(Visitor.form(page, "#used", Map.of()));
        assertThat(empty.status()).isEqualTo(422);
        assertThat(empty.page().select("#refused li").eachText().toString()).contains("Say what was used");
        Answer tomorrow = tove.post(Visitor.form(
                page, "#used", Map.of("nickname", "Ari", "other", "soap", "strength", "CLEAR", "on", "3 Dec 2026")));
        assertThat(tomorrow.status()).isEqualTo(422);
        assertThat(tomorrow.page().select("#r-other").attr("value")).isEqualTo("soap");
        Answer code = tove.post(
                Visitor.form(page, "#used", Map.of("nickname", "Ari", "code", "K7QM2RTX", "strength", "CLEAR")));
        assertThat(code.page().select("#refused").text()).contains("is on no label of a tin or a bottle here");
        assertThat(tove.get(PLACE).page().select(".chip")).isEmpty();
        Map<String, String> twice = Visitor.form(
                        page, "#used", Map.of("nickname", "Ari", "other", "soap", "strength", "CLEAR"))
                .fields();
        String who = tove.post(PLACE, twice).page().select("#rows li").text();
        tove.post(PLACE, twice);
        assertThat(who).contains("soap");
        assertThat(tove.get(tove.get(PLACE).page().select(".chip").attr("href"))
                        .page()
                        .select("#rows li"))
                .hasSize(1);
        assertThat(tove.get(PLACE + "?who=" + UUID.randomUUID()).status()).isEqualTo(404);
    }
}
