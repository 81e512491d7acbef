package app.velvetcrock.condition;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What was hot enough to scorch is never sold, and neither is anything made of it, whatever was answered since; given it may be. */
@HttpTest
class ScorchedHttpTest {

    @LocalServerPort
    int port;

    @Test
    void whatIsMadeOfScorchedOilIsNeverSold() {
        Visitor tove = Visitor.stocked(port, "Scorched");
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
        tove.submit("/stores/supplies", "#add-container", Map.of("name", "Pot", "holds", "15 mL", "pieces", "40"));
        String batch = begin(tove, "method=slow-warm&start=2026-11-20&amount=40+g");
        tove.submit(batch, "form[action*=heat-on]", Map.of("when", "2026-11-21 08:00"));
        tove.submit(batch, "form[action$=heat]", Map.of("temperature", "115 °C", "when", "2026-11-21 09:00"));
        tove.submit(batch, "form[action*=heat-off]", Map.of("when", "2026-11-21 10:00"));
        String found = tove.get(batch)
                .page()
                .select(".wrong a[href*=conditions]:contains(scorched), .wrong:contains(scorched) a[href*=conditions]")
                .attr("href");
        assertThat(found).as("the heat is found").startsWith("/conditions/");
        strain(tove, batch, Map.of("out", "180 g", "heat", "WARMED", "on", "2026-11-22 10:00"));
        for (String one : tove.get(batch).page().select("a[href*=conditions]").eachAttr("href")) {
            tove.post(one + "/answer", Map.of("answer", "DEALT_WITH", "words", "it smells well"));
        }
        String jug = tove.get("/cupboard").page().select(".bottle").attr("href");
        String pot =
                tove.get("/pan").page().select("#into option:contains(Pot)").attr("value");
        String making = tove.post(Visitor.form(
                        tove.get("/pan?was=salve&kind=salve&much=4&oil=" + jug.substring(10) + "&into=" + pot)
                                .page(),
                        "#pan",
                        Map.of("when", "2026-11-23T08:00")))
                .path();
        tove.post(making + "/pour", Map.of("into", pot, "count", "4", "when", "2026-11-23T09:00"));
        String pots = tove.get("/cupboard").page().select("a.goods").attr("href");
        String again = begin(tove, "amount=5+g&start=2026-11-22&carrier=" + jug.substring(10));
        strain(tove, again, Map.of("out", "118 mL", "on", "2026-11-23 12:00"));
        String second = tove.get("/cupboard").page().select(".bottle:not(.goods)").eachAttr("href").stream()
                .filter(one -> !one.equals(jug))
                .findFirst()
                .orElseThrow();
        assertThat(words(
                        tove,
                        "/pan?was=salve&kind=salve&much=1&oil=" + jug.substring(10) + "&into=" + pot,
                        "#never-sold"))
                .as("said before it is made")
                .contains("never sold", "hot enough to scorch");
        assertThat(words(tove, making, "#never-sold")).contains("never sold: in it is");
        assertThat(words(tove, pots, "#never-sold")).contains("in it is", "hot enough to scorch");
        assertThat(words(tove, jug, "#never-sold")).contains("It is never sold: it was hot enough to scorch");
        assertThat(words(tove, second, "#never-sold")).contains("in it is", "hot enough to scorch");
        for (String thing : new String[] {pots, second}) {
            String lot = thing.substring(thing.lastIndexOf('/') + 1);
            assertThat(words(tove, "/labels?of=lot." + lot + ".1.sale", "main")).contains("never sold");
            assertThat(words(tove, "/labels?of=lot." + lot + ".1", "main")).doesNotContain("never sold");
        }
        assertThat(take(tove, pots, "SOLD").page().select("main").text()).contains("sold: in it is");
        assertThat(words(tove, pots, "#left")).as("nothing was sold").contains("4 ×");
        take(tove, pots, "GIVEN");
        assertThat(words(tove, pots, "#left")).as("one was given").contains("3 ×");
        Answer oil = tove.submit(second, "form[action$=draw]", Map.of("amount", "5 mL", "why", "SOLD"));
        assertThat(oil.page().select("main").text()).contains("in it is", "hot enough to scorch");
    }

    private static String begin(Visitor tove, String asked) {
        Document bench = tove.get("/bench?" + asked).page();
        Answer begun = tove.post(Visitor.form(bench, "#bench", Map.of()));
        assertThat(begun.path())
                .as(begun.page().select(".bad, .REFUSE, #refused").text())
                .startsWith("/batch/");
        return begun.path();
    }

    private static void strain(Visitor tove, String batch, Map<String, String> out) {
        Answer strained = tove.submit(batch.replace("batch", "press"), "form[action*=press]", out);
        assertThat(strained.status())
                .as(strained.page().select("#refused, .bad").text())
                .isEqualTo(200);
    }

    private static Answer take(Visitor tove, String pots, String why) {
        Map<String, String> taken = new HashMap<>(Map.of("count", "1", "why", why, "when", ""));
        taken.put("key", UUID.randomUUID().toString());
        return tove.post(pots + "/take", taken);
    }

    private static String words(Visitor tove, String page, String part) {
        return tove.get(page).page().select(part).text();
    }
}
