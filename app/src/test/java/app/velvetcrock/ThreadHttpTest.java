package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.Visitor.Filled;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The whole thread over HTTP: stores, plan, start, strain, cupboard, and taking back. */
@HttpTest
class ThreadHttpTest {

    @LocalServerPort
    int port;

    @Test
    void fromStoresToCupboardAndBack() {
        Visitor tove = Visitor.stocked(port, "Skerry kitchen");
        // 40 g of cut leaf: pressed need 40/0.15·1.15/1.6 − 28.57 + 110.84 = 273.9, poured 275 mL, 1 : 6.9, 252 g
        Document bench = tove.get("/bench?amount=40+g").page();
        assertThat(bench.select("#need").text()).isEqualTo("275 mL oil");
        assertThat(bench.select("#ratio").text()).isEqualTo("1 : 6.9");
        assertThat(bench.select("#oil-weight").text()).isEqualTo("252 g");
        // 275 − 1.3·40 − 5 = 218, to the nearest 5: 220
        assertThat(bench.select("#yield").text()).isEqualTo("about 220 mL");
        // opened 20 Sep 2026 + 10 months
        assertThat(bench.select("#keep").text()).isEqualTo("till 20 Jul 2027");

        Answer started = tove.post(Visitor.form(bench, "#bench", Map.of()));
        assertThat(started.path()).startsWith("/batch/");
        assertThat(tove.get("/shelf").page().select(".board .jar .tag").text()).isEqualTo("Nettle day 0 of 35");
        assertThat(tove.get("/stores").page().text()).contains("160 g").contains("725 mL");
        assertThat(tove.get(started.path() + "/label")
                        .page()
                        .select(".ink-label")
                        .text())
                .contains("Nettle", "Urtica dioica", "dried leaf", "Cold-pressed rapeseed", "1 : 6.9", "24 Nov 2026");

        // 200 g out ÷ 0.917 = 218.1 mL
        Answer strained = tove.submit(
                "/press/" + started.path().substring(7),
                "form[action*=press]",
                Map.of("out", "200 g", "note", "Green and grassy."));
        assertThat(strained.path()).isEqualTo(started.path().replace("batch", "press"));
        assertThat(strained.page().select("section").text())
                .contains("218 mL came out", "20 Jul 2027", "when the bottle was opened");
        assertThat(tove.get("/cupboard").page().select(".bottle").text())
                .contains("Nettle in cold-pressed rapeseed", "218 mL", "20 Jul");
        assertThat(tove.get("/shelf").page().text()).contains("An empty shelf");

        Document sheet = tove.get(started.path()).page();
        assertThat(sheet.text()).contains("218 mL came out", "Next time: Green and grassy.");
        assertThat(sheet.select("form[action*=undo]"))
                .as("the start cannot be taken back under a straining")
                .hasSize(2);
        Filled takeBack = Visitor.form(sheet, "li:contains(came out) form", Map.of());
        assertThat(tove.post(takeBack).status()).isEqualTo(200);
        assertThat(tove.post(takeBack).status()).as("a second tap").isEqualTo(200);
        assertThat(tove.get("/cupboard").page().text()).contains("No oil yet");
        tove.submit(started.path(), "li:contains(Charged) form", Map.of());
        assertThat(tove.get("/stores").page().text()).contains("200 g").contains("1 L");
        assertThat(tove.get("/shelf").page().text()).contains("An empty shelf");
        assertThat(tove.get(started.path()).page().select("li").eachText())
                .filteredOn(line -> line.contains("(taken back)"))
                .hasSize(2);
    }

    @Test
    void manyTapsAtOnceStartOneBatch() {
        Visitor tove = Visitor.stocked(port, "Double tap");
        Filled form = Visitor.form(tove.get("/bench?amount=30+g").page(), "#bench", Map.of());
        List<CompletableFuture<Answer>> taps = IntStream.range(0, 4)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> tove.post(form)))
                .toList();
        List<String> paths = taps.stream()
                .map(CompletableFuture::join)
                .map(Answer::path)
                .distinct()
                .toList();
        assertThat(paths).singleElement().asString().startsWith("/batch/");
        assertThat(tove.get("/shelf").page().select(".board .jar")).hasSize(1);
        assertThat(tove.get("/stores").page().text()).contains("170 g");
    }

    @Test
    void theSecondToStrainIsToldInWords() {
        Visitor tove = Visitor.stocked(port, "Two at once");
        String batch = tove.post(Visitor.form(tove.get("/bench?amount=30+g").page(), "#bench", Map.of()))
                .path()
                .substring(7);
        Filled first = Visitor.form(tove.get("/press/" + batch).page(), "form[action*=press]", Map.of("out", "150 g"));
        Filled second = Visitor.form(tove.get("/press/" + batch).page(), "form[action*=press]", Map.of("out", "151 g"));
        tove.post(first);
        Answer told = tove.post(second);
        assertThat(told.status()).isEqualTo(409);
        // 150 ÷ 0.917 = 163.6
        assertThat(told.page().text()).contains("strained already: 164 mL came out");
        assertThat(tove.get("/cupboard").page().select(".bottle")).hasSize(1);
    }

    @Test
    void aFullHouseOfJarsIsSaid() {
        Visitor tove = Visitor.stocked(port, "Two jars");
        Filled open = Visitor.form(tove.get("/bench?amount=20+g").page(), "#bench", Map.of());
        for (int i = 0; i < 2; i++) {
            assertThat(tove.post(Visitor.form(tove.get("/bench?amount=20+g").page(), "#bench", Map.of()))
                            .path())
                    .startsWith("/batch/");
        }
        assertThat(tove.get("/bench").page().text()).contains("No jar or pot is free");
        assertThat(tove.post(open).page().select(".board .jar, #start-batch")).isEmpty();
        assertThat(tove.get("/shelf").page().select(".board .jar")).hasSize(2);
    }
}
