package app.velvetcrock.rounds;

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

/** The round from jar to jar. The clock stands at 9 o'clock on Tuesday, 24 November. */
@HttpTest
class RoundHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String first;
    private String second;
    private String third;

    /** Three jars of nettle, begun on Sunday, each to be shaken today. */
    @BeforeEach
    void threeJars() {
        tove = Visitor.stocked(port, "Round");
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "300 mL", "width", "70 mm", "pieces", "5"));
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "rapeseed", "amount", "2 L"));
        first = start("2026-11-22");
        second = start("2026-11-22");
        third = start("2026-11-21");
    }

    private String start(String on) {
        Answer started = tove.post(
                Visitor.form(tove.get("/bench?amount=10+g&start=" + on).page(), "#bench", Map.of()));
        assertThat(started.path())
                .as(started.page().select("#refused, .bad").text())
                .startsWith("/batch/");
        return started.path().substring("/batch/".length());
    }

    @Test
    void threeJarsInThreeTapsEachNamedByItsNumber() {
        Document page = tove.get("/round").page();
        assertThat(tove.get("/shelf").page().select(".go-round").text()).isEqualTo("Go the round: 3 jars");
        assertThat(page.select(".walk-it h1").text()).isEqualTo("Nettle 1");
        assertThat(page.select(".walk-first").text()).isEqualTo("Look through the glass first.");
        assertThat(page.select(".walk-seen summary")).hasSize(6);
        assertThat(page.select(".walk-do button").eachText())
                .containsExactly("Well, shaken and turned", "Only shaken, turned");
        Answer well = tap(page, "well");
        assertThat(well.page().select(".notice").text()).contains("Nettle, jar 1: well, and shaken");
        assertThat(well.page().select(".walk-it h1").text()).isEqualTo("Nettle 2");
        Answer shaken = tap(well.page(), "shaken");
        assertThat(shaken.page().select(".walk-it h1").text()).isEqualTo("Nettle 3");
        Answer again = tap(shaken.page(), "well");
        assertThat(again.page().select(".walk-it").text())
                .as("shaken alone, it still wants to be smelled")
                .contains("Nettle 2", "Then open it and smell.");
        assertThat(again.page().select(".walk-do button").eachText()).containsExactly("All well");
        Answer last = tap(again.page(), "well");
        assertThat(last.page().select("#walk-done h1").text()).isEqualTo("The round is done");
        assertThat(log(first)).contains("Shake", "herb under the oil, no mould");
        assertThat(tove.get("/shelf").page().select(".go-round")).isEmpty();
        // Taken back by one tap, both of it.
        Answer back = tove.post(Visitor.form(last.page(), ".notice form", Map.of()));
        assertThat(back.page().select(".notice").text()).contains("Taken back");
        assertThat(back.page().select(".walk-it h1").text()).isEqualTo("Nettle 2");
        assertThat(tove.get("/shelf").page().select(".go-round").text()).isEqualTo("Go the round: 1 jar");
    }

    /** The same tap sent twice does it once; tomorrow it cannot have been. */
    @Test
    void aTapIsDoneOnceAndNeverTomorrow() {
        Document page = tove.get("/round").page();
        tap(page, "well");
        tap(page, "well");
        assertThat(tove.get("/batch/" + first).page().select(".log li:contains(Shake)"))
                .hasSize(1);
        Document next = tove.get("/round?at=" + second).page();
        Answer tomorrow = tove.post(
                "/round/%s/well".formatted(second),
                Map.of("key", UUID.randomUUID().toString(), "when", "tomorrow 8:00"));
        assertThat(tomorrow.status()).isGreaterThanOrEqualTo(400);
        assertThat(tomorrow.page().select("#refused").text()).isNotEmpty();
        assertThat(tomorrow.page().select("input[name=when]").attr("value")).isEqualTo("tomorrow 8:00");
        assertThat(log(second)).doesNotContain("Shake");
        Map<String, String> yesterday = new HashMap<>(Map.of("when", "yesterday 19:30"));
        yesterday.put("key", next.select("#walk input[name=key]").attr("value"));
        tove.post("/round/%s/shaken".formatted(second), yesterday);
        assertThat(log(second)).contains("23 Nov");
    }

    /** With a finding there is no shaking, there or anywhere, until it is answered; suspects come last. */
    @Test
    void whatIsSeenIsNotShaken() {
        Document page = tove.get("/round").page();
        assertThat(page.select("details:has(summary:contains(fluff)) button").eachText())
                .containsExactly("It is mould", "I am not sure: keep it back");
        String water = page.select("button:contains(There is water under it)").attr("formaction");
        Answer seen = tove.post(water, once());
        assertThat(seen.page().select(".walk-do").text())
                .contains("Leave it shut")
                .doesNotContain("shaken now");
        assertThat(seen.page().select(".walk-do button")).isEmpty();
        assertThat(tove.post("/round/%s/shaken".formatted(first), once())
                        .page()
                        .select("#refused")
                        .text())
                .contains("is not to be shaken now");
        Document shelf = tove.get("/shelf").page();
        assertThat(shelf.select(".round:contains(Shake)").text()).doesNotContain("Nettle 1");
        String task = "cold.shake.1";
        for (String other :
                tove.get("/batch/" + first).page().select("form[action*=tasks]").eachAttr("action")) {
            assertThat(other).doesNotContain("shake");
        }
        Answer gate = tove.post("/batch/%s/tasks/%s".formatted(second.equals(first) ? third : first, task), once());
        assertThat(gate.status()).isGreaterThanOrEqualTo(400);
        List<String> way = tove.get("/round").page().select(".walk-way b").eachText();
        assertThat(way).containsExactly("Nettle 2", "Nettle 3", "Nettle 1");
        Answer standing = tove.post(
                tove.get("/round?at=" + second)
                        .page()
                        .select("button:contains(The herb stands out)")
                        .attr("formaction"),
                once());
        assertThat(standing.page().select(".walk-it").text()).contains("push the herb under");
        assertThat(log(second)).contains("herb stands out of the oil").doesNotContain("Shake");
    }

    @Test
    void severalAtOnceAreOnlyShaken() {
        Document page = tove.get("/round").page();
        assertThat(page.select("#many button").eachText()).containsExactly("Only shaken");
        assertThat(tove.post("/round/shaken", once()).page().select("#refused").text())
                .contains("No jar is ticked");
        Answer done = tove.post("/round/shaken?jars=%s&jars=%s".formatted(first, third), once());
        assertThat(done.page().select(".notice").text()).contains("Shaken: Nettle 1, Nettle 3.");
        assertThat(done.page().select("#many .tick").eachText()).containsExactly("Nettle 2");
        assertThat(log(third)).contains("Shake").doesNotContain("no mould");
        tove.post(Visitor.form(done.page(), ".notice form", Map.of()));
        assertThat(tove.get("/shelf").page().select(".go-round").text()).isEqualTo("Go the round: 3 jars");
        // One of them is not there: nothing of it is written.
        Answer strange = tove.post("/round/shaken?jars=%s&jars=%s".formatted(first, UUID.randomUUID()), once());
        assertThat(strange.status()).isEqualTo(404);
        assertThat(tove.get("/shelf").page().select(".go-round").text()).isEqualTo("Go the round: 3 jars");
    }

    /** Every jar once, and then it is over, though nobody asked for a look. */
    @Test
    void goneRoundAllItEnds() {
        for (int jar = 1; jar <= 3; jar++) {
            tap(tove.get("/round").page(), "well");
        }
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "rapeseed", "amount", "2 L"));
        String fresh = start("2026-11-24");
        Document page = tove.get("/round?all=true").page();
        for (int jar = 0; jar < 4 && page.select("#walk-done").isEmpty(); jar++) {
            page = tap(page, "well").page();
        }
        assertThat(page.select("#walk-done h1").text()).isEqualTo("The round is done");
        assertThat(log(fresh)).contains("not smelled");
    }

    /** A page that is older than the finding does not say that the jar is well; who smells it says nothing of the herb. */
    @Test
    void whatWasFoundSinceIsNotWell() {
        Document old = tove.get("/round?at=" + first).page();
        tove.post("/round/%s/seen/STANDS_OUT/0".formatted(second), once());
        tove.post("/round/%s/seen/SMELL/3".formatted(second), once());
        assertThat(tove.get("/round?at=" + second).page().select(".walk-it").text())
                .as("it stands out still")
                .contains("push the herb under");
        tove.post("/round/%s/seen/WATER/0".formatted(first), once());
        Answer well = tap(old, "well");
        assertThat(well.page().select("#refused").text()).contains("water under it", "not shaken");
        assertThat(log(first)).doesNotContain("no mould");
    }

    /** What may not be taken back is refused in words, and what was to be taken back with it stays. */
    @Test
    void takenBackAllOrNothing() {
        Answer done = tap(tove.get("/round").page(), "well");
        String undo = done.page().select(".notice form").attr("action");
        String back = tove.get("/press").page().text().replaceAll(".*?about (\\d+ mL).*", "$1");
        Answer out = tove.submit("/press/" + second, "form[action*=press]", Map.of("out", back));
        assertThat(out.path()).as(back + out.page().select("#refused").text()).startsWith("/press/");
        String jug = tove.get("/cupboard").page().select(".bottle").attr("href");
        tove.submit(jug, "form[action$=draw]", Map.of("amount", "20 mL", "why", "DRAWN"));
        String strained = tove.get("/batch/" + second)
                .page()
                .select(".log li:contains(Strained) form[action$=undo]")
                .attr("action");
        assertThat(strained).contains("/entries/");
        String line = second + "." + strained.replaceAll(".*/entries/(.*)/undo", "$1");
        Answer refused = tove.post(undo + "&entry=" + line, once());
        assertThat(refused.status()).isEqualTo(200);
        assertThat(refused.page().select(".notice, .alarm").text()).contains("since");
        assertThat(tove.get("/shelf").page().select(".go-round").text())
                .as("nothing of it was taken back")
                .isEqualTo("Go the round: 1 jar");
        assertThat(tove.post("/round/undo?entry=x", once()).status()).isEqualTo(404);
    }

    private Answer tap(Document page, String what) {
        Map<String, String> sent = new HashMap<>();
        page.select("#walk input[type=hidden]").forEach(input -> sent.put(input.attr("name"), input.attr("value")));
        String well = page.select("#walk").attr("action");
        return tove.post(well.replace("/well", "/" + what), sent);
    }

    private static Map<String, String> once() {
        return Map.of("key", UUID.randomUUID().toString());
    }

    private String log(String batch) {
        return tove.get("/batch/" + batch).page().select(".log").text();
    }
}
