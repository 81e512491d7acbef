package app.velvetcrock.book;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** How a year went: what came in, became something and left, each in its month. */
@HttpTest
class SeasonsHttpTest {

    private static final String PLACE = "/book/seasons";

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Seasons");
    }

    private static String cell(Document page, String table, String name, String column) {
        int at = page.select(table + " thead th").eachText().indexOf(column);
        assertThat(at).as(column).isPositive();
        return Objects.requireNonNull(page.select(table + " tbody tr:has(th:containsOwn(%s))".formatted(name))
                        .first())
                .child(at)
                .text();
    }

    private static String monthly(Document page, String month) {
        return page.select("details tr:has(th:containsOwn(%s)) td".formatted(month))
                .text();
    }

    /** 60 g fresh at 85 % of water are 10 g dried; 100 g bought at 5.00 make a gram 5 cents, so what was gathered is worth 0.50. */
    @Test
    void aYearIsToldHerbByHerbFromWhatWasWrittenDown() {
        Answer started = tove.post(Visitor.form(tove.get("/bench?amount=30+g").page(), "#bench", Map.of()));
        String batch = started.path().substring("/batch/".length());
        tove.submit("/press/" + batch, "form[action*=press]", Map.of("out", "140 mL"));
        herb("Yarrow", "60 g", Map.of("origin", "GATHERED", "moisture", "FRESH", "acquired", "2026-07-10"));
        herb("Yarrow", "100 g", Map.of("origin", "BOUGHT", "price", "5.00", "acquired", "2026-03-02"));
        herb("Heather", "40 g", Map.of("origin", "GATHERED", "acquired", "2025-08-20"));
        Document page = tove.get(PLACE).page();
        assertThat(page.select("h1").text()).isEqualTo("How did 2026 go?");
        assertThat(cell(page, "#herbs", "Yarrow", "gathered")).contains("10 g", "10 Jul");
        assertThat(cell(page, "#herbs", "Yarrow", "bought")).isEqualTo("100 g");
        assertThat(cell(page, "#herbs", "Nettle", "into batches")).isEqualTo("30 g");
        assertThat(cell(page, "#herbs", "Nettle", "oil made")).isEqualTo("140 mL");
        assertThat(page.select("#herbs").text()).as("of the year before").doesNotContain("Heather");
        assertThat(monthly(page, "July")).isEqualTo("1 0 0 0");
        assertThat(monthly(page, "November")).isEqualTo("0 0 1 0");
        assertThat(page.select("#money").text()).contains("5.00 EUR was paid", "would have cost 0.50 EUR");
        assertThat(page.select("#firsts").text()).contains("Heather", "20 Aug 2025", "10 Jul 2026");
        Document before = tove.get(PLACE + "?year=2025").page();
        assertThat(cell(before, "#herbs", "Heather", "gathered")).startsWith("40 g");
        assertThat(before.select("#money").text()).contains("no price is known: Heather");
    }

    @Test
    void whatWasTakenBackNeverHappenedAndAStrangeYearIsThisOne() {
        Answer mistake = herb("Yarrow", "60 g", Map.of("origin", "GATHERED", "acquired", "2026-07-10"));
        tove.post(Visitor.form(mistake.page(), ".notice form", Map.of()));
        Document page = tove.get(PLACE).page();
        assertThat(page.select("#herbs, #firsts").text()).doesNotContain("Yarrow");
        assertThat(monthly(page, "July")).isEqualTo("0 0 0 0");
        for (String year : new String[] {"2031", "-4", "0"}) {
            assertThat(tove.get(PLACE + "?year=" + year).page().select("h1").text())
                    .isEqualTo("How did 2026 go?");
        }
        assertThat(tove.get(PLACE + "?year=soon").status()).isBetween(400, 499);
    }

    @Test
    void whatWasMadeStandsBesideWhatABoughtOneCosts() {
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
        tove.submit("/stores/supplies", "#add-container", Map.of("name", "Pot", "holds", "15 mL", "pieces", "40"));
        String batch = tove.post(Visitor.form(tove.get("/bench?amount=30+g").page(), "#bench", Map.of()))
                .path();
        tove.submit(batch.replace("batch", "press"), "form[action*=press]", Map.of("out", "140 mL"));
        String oil = tove.get("/cupboard").page().select(".bottle").attr("href").substring(10);
        String pot =
                tove.get("/pan").page().select("#into option:contains(Pot)").attr("value");
        Document pan = tove.get("/pan?was=salve&kind=salve&much=3&oil=%s&into=%s".formatted(oil, pot))
                .page();
        String making =
                tove.post(Visitor.form(pan, "#pan", Map.of("bought", "9.50"))).path();
        tove.post(making + "/pour", Map.of("into", pot, "count", "3", "when", ""));
        assertThat(tove.get(PLACE).page().select("#money").text())
                .contains("what was made would have cost 28.50 EUR, bought: 3 ×", "at 9.50 EUR");
    }

    private Answer herb(String name, String amount, Map<String, String> more) {
        Map<String, String> all = new HashMap<>(more);
        all.putAll(Map.of("herb", name, "amount", amount, "sure", "yes"));
        Answer there = tove.submit("/stores", "form[action$=herbs]", all);
        assertThat(there.status()).isEqualTo(200);
        return there;
    }
}
