package app.velvetcrock.stores;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

@HttpTest
class CatalogueHttpTest {

    @LocalServerPort
    int port;

    @Test
    void aHerbOfOnesOwnIsStoredPlannedAndCautioned() {
        Visitor tove = Visitor.stocked(port, "Own herb");
        Answer kept = tove.submit(
                "/stores/catalogue",
                "#own-herb",
                Map.of(
                        "common",
                        "Bistort",
                        "botanical",
                        "Bistorta officinalis",
                        "ratio",
                        "1:8",
                        "traits",
                        "salicylate"));
        assertThat(kept.page().select(".leaves li:contains(Bistort)").text()).contains("yours", "1 : 8");
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "bistort", "amount", "100 g"));
        String lot = tove.get("/bench")
                .page()
                .select("#herb option:contains(Bistort)")
                .attr("value");
        Document bench = tove.get("/bench?amount=40+g&herb=" + lot).page();
        // 1:8 as it comes, 1:7 once it is cut and sifted, which is more than covers it
        assertThat(bench.select("#oil-mark").text()).isEqualTo("280 mL");
        assertThat(bench.select(".caution").text()).contains("Contains salicylates");
        Answer stays = tove.submit("/stores/catalogue", "form[action*=own-bistort]", Map.of());
        assertThat(stays.page().select(".alarm[role=status]").text()).contains("stored, so it stays");
    }

    /** A herb that is not known leads to the catalogue, where its name stands already; added as resin, no cold way takes it. */
    @Test
    void anUnknownHerbBringsItsNameAlong() {
        Visitor tove = Visitor.stocked(port, "Unknown herb");
        Answer refused =
                tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Galbanum & co", "amount", "100 g"));
        String way =
                refused.page().select("a[href*=catalogue]:contains(add it)").attr("href");
        Document form = tove.get(way).page();
        assertThat(form.select("#h-common").attr("value")).isEqualTo("Galbanum & co");
        assertThat(form.select("details.own[open] #h-common")).hasSize(1);
        tove.post(Visitor.form(form, "#own-herb", Map.of("part", "RESIN")));
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "galbanum & co", "amount", "100 g"));
        String lot = tove.get("/bench")
                .page()
                .select("#herb option:contains(Galbanum)")
                .attr("value");
        assertThat(tove.get("/bench?amount=20+g&method=cold-dark&herb=" + lot)
                        .page()
                        .text())
                .contains("Galbanum & co is hard resin, which cold oil hardly takes up");
    }

    /** Rapeseed weighed by the household: 0.93 instead of 0.917; 275 mL weigh 255.8 g. The batch begun before keeps its 252 g. */
    @Test
    void aCorrectionHoldsFromThenOnAndForThisHouseholdAlone() {
        Visitor tove = Visitor.stocked(port, "Correcting");
        assertThat(tove.get("/bench?amount=40+g").page().select("#oil-weight").text())
                .isEqualTo("252 g");
        String batch = tove.post(Visitor.form(tove.get("/bench?amount=40+g").page(), "#bench", Map.of()))
                .path();
        Document form = tove.get("/stores/catalogue?correct=rapeseed").page();
        assertThat(form.select("#c-density").attr("value")).isEqualTo("0.917");
        tove.post(Visitor.form(form, "#own-carrier", Map.of("density", "0.93")));
        assertThat(tove.get("/bench?amount=40+g").page().select("#oil-weight").text())
                .isEqualTo("256 g");
        assertThat(tove.get(batch.replace("batch", "press")).page().text()).contains("275 mL went in");
        assertThat(Visitor.stocked(port, "Next door")
                        .get("/bench?amount=40+g")
                        .page()
                        .select("#oil-weight")
                        .text())
                .isEqualTo("252 g");
        tove.submit("/stores/catalogue", "form[action*='rapeseed/forget']", Map.of());
        assertThat(tove.get("/bench?amount=40+g").page().select("#oil-weight").text())
                .isEqualTo("252 g");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            own-herb    | common    | ''         | Nothing is written here yet
            own-herb    | common    | Foxglove   | names foxglove, which is poisonous
            own-herb    | botanical | Digitalis  | names foxglove
            own-herb    | ratio     | 1:100      | between 1 and 40
            own-herb    | ratio     | plenty     | not a number
            own-herb    | ratio     | -5         | not a number
            own-carrier | density   | 1.4        | between 0.84 and 0.97
            own-carrier | density   | ''         | Nothing is written here yet
            own-carrier | months    | 0          | between 1 and 36
            own-carrier | months    | ever       | not a whole number
            own-carrier | melting   | 120 C      | between 0 and 70
            own-carrier | melting   | warm       | warm
            """)
    void saysWhatIsWrongAndKeepsNothing(String form, String field, String typed, String words) {
        Visitor tove = Visitor.household(port, "Wrong");
        Map<String, String> fields = new HashMap<>(Map.of("common", "Odd one", "density", "0.92", "traits", "daisy"));
        fields.put(field, typed);
        Answer answer = tove.submit("/stores/catalogue", "#" + form, fields);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page()
                        .select("#" + form + " [id^=note-][id$=" + field + "]")
                        .text())
                .contains(words);
        assertThat(answer.page()
                        .select("#" + form + " input[name=" + field + "]")
                        .attr("value"))
                .isEqualTo(typed);
        assertThat(tove.get("/stores/catalogue").page().select("main").text()).doesNotContain("Odd one");
    }
}
