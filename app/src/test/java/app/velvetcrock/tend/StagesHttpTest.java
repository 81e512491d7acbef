package app.velvetcrock.tend;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Batches of every method, started and followed by hand. The clock of these tests stands still. */
@HttpTest
class StagesHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Stages");
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Yarrow", "amount", "300 g", "moisture", "FRESH"));
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "grain-spirit", "amount", "500 mL", "abv", "90"));
    }

    /** What stands on the Shelf when it was started, and what its page asks for first. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            cold-dark    | Nettle | 30 g | day 0 of 35       | strain
            sun-window   | Nettle | 30 g | day 0 of 21       | strain
            water-bath   | Nettle | 30 g | not on heat yet   | Heat on
            quick-bath   | Nettle | 30 g | not on heat yet   | Heat on
            slow-warm    | Nettle | 30 g | not on heat yet   | Heat on
            oven         | Nettle | 30 g | not on heat yet   | Heat on
            heat-rest    | Nettle | 30 g | not on heat yet   | Heat on
            spirit-first | Nettle | 30 g | 0 of 24 hours     | Next: on the heat
            fresh-low    | Yarrow | 60 g | 0 of 24 hours     | Next: on the heat
            juicy-pan    | Yarrow | 60 g | not on heat yet   | Heat on
            """)
    void everyMethodCanBeStarted(String method, String herb, String amount, String tag, String first) {
        Answer started = start(method, herb, amount);
        assertThat(started.path()).startsWith("/batch/");
        assertThat(tove.get("/shelf").page().select("main").text()).contains(tag);
        assertThat(started.page().select("main").text()).containsIgnoringCase(first);
    }

    @Test
    void aStageIsEndedOnceAndTakingItBackReopensIt() {
        Answer started = start("spirit-first", "Nettle", "30 g");
        Document page = started.page();
        String next = page.select("form[action*=next]").attr("action");
        assertThat(next).endsWith("/tasks/moist.next.1");
        Answer on = tove.post(Visitor.form(page, "form[action*=next]", Map.of()));
        assertThat(on.page().select(".notice").text()).contains("Next: done");
        assertThat(on.page().select("main").text()).contains("Heat on").doesNotContain("Next: on the heat");
        assertThat(tove.post(next, Map.of()).page().select(".notice").text())
                .contains("seen to already: Next stage begun");
        Answer back = tove.post(Visitor.form(on.page(), ".notice form", Map.of()));
        assertThat(back.page().select("form[action*=next]").attr("action")).isEqualTo(next);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            method=heat-rest&length=60+min&then=14+days | ''                            | ''
            method=heat-rest&length=10+min              | length                        | between 30 and 120 minutes
            method=heat-rest&then=40+days               | then                          | between 7 and 21 days
            method=heat-rest&then=soon                  | then                          | does not begin with a number
            method=water-bath&length=9+hours            | length                        | between 240 and 480 minutes
            method=water-bath&length=300                | ''                            | ''
            method=oven&length=35+days                  | ''                            | ''
            method=heat-rest&then=3+days                | then                          | between 7 and 21 days
            """)
    void lengthsAreReadForEachStage(String query, String field, String words) {
        Document page = tove.get("/bench?amount=30+g&" + query).page();
        if (field.isEmpty()) {
            assertThat(page.select(".note .bad")).isEmpty();
        } else {
            assertThat(page.getElementById("note-" + field).text()).contains(words);
        }
    }

    @Test
    void aRefusedWayCannotBeStartedByAHandMadeRequest() {
        String fresh = option("#herb", "Yarrow");
        Map<String, String> wish = new HashMap<>(Map.of("herb", fresh, "amount", "60 g", "method", "cold-dark"));
        Answer refused = tove.post(Visitor.form(tove.get("/bench").page(), "#bench", wish));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.page().select("main").text()).contains("Yarrow is fresh");
        wish.putAll(Map.of("method", "slow-warm", "use", "FOOD"));
        assertThat(tove.post(Visitor.form(tove.get("/bench").page(), "#bench", wish))
                        .status())
                .isEqualTo(422);
        assertThat(tove.get("/shelf").page().text()).contains("An empty shelf");
    }

    /** The first way there is the fittest: cold for dried nettle, low heat for fresh yarrow. */
    @Test
    void theFittestWayStandsThereUntilOneIsChosen() {
        assertThat(chosen("/bench")).isEqualTo("cold-dark");
        assertThat(chosen("/bench?herb=" + option("#herb", "Yarrow"))).isEqualTo("fresh-low");
        assertThat(chosen("/bench?method=oven")).isEqualTo("oven");
        List<String> refused = tove.get("/bench?herb=" + option("#herb", "Yarrow") + "&method=fresh-low")
                .page()
                .select(".refused-way b")
                .eachText();
        assertThat(String.join(", ", refused)).contains("Cold and dark", "Sun window", "Slow warm", "Spirit first");
    }

    /** What a dragged mark asks for: all ways with their forms, numbers, sums and cautions. */
    @ParameterizedTest
    @ValueSource(strings = {"cold-dark", "slow-warm~gentle", "heat-rest", "spirit-first", "fresh-low"})
    void aPlanOfTenWaysIsStillSmall(String method) {
        String herb = method.equals("fresh-low") ? option("#herb", "Yarrow") : option("#herb", "Nettle");
        String fragment = tove.get("/bench/plan?amount=60+g&method=" + method + "&herb=" + herb, "HX-Request", "true")
                .raw()
                .body();
        assertThat(fragment).contains("refused-way", "how is this worked out?").doesNotContain("<html");
        assertThat(fragment.getBytes(StandardCharsets.UTF_8).length).isLessThan(15_500);
    }

    /** Fresh herb that does not get warm: 250 min below 40 °C are 4.2 hours where germs grow; at 239 min it is not said yet. */
    @Test
    void wetHerbThatStaysLukewarmIsSaid() {
        String batch = tove.post(Visitor.form(
                        tove.get("/bench?amount=60+g&method=fresh-low&herb=" + option("#herb", "Yarrow"))
                                .page(),
                        "#bench",
                        Map.of("start", "22 Nov 2026")))
                .path();
        tove.submit(batch, "form[action*=next]", Map.of("when", "2026-11-23T12:00"));
        tove.submit(batch, "form[action*=heat-on]", Map.of("when", "2026-11-23T12:00"));
        read(batch, "30", "12:00");
        read(batch, "34", "14:00");
        assertThat(read(batch, "36", "15:59").page().select("#lukewarm")).isEmpty();
        assertThat(read(batch, "36", "16:10").page().select("#lukewarm").text())
                .contains("between 10 °C and 40 °C for 4.2 hours in all");
    }

    private Answer read(String batch, String celsius, String time) {
        return tove.submit(batch, "form[action$=heat]", Map.of("temperature", celsius, "when", "2026-11-23T" + time));
    }

    private Answer start(String method, String herb, String amount) {
        String wish =
                "/bench?amount=" + amount.replace(' ', '+') + "&method=" + method + "&herb=" + option("#herb", herb);
        return tove.post(Visitor.form(tove.get(wish).page(), "#bench", Map.of()));
    }

    private String chosen(String path) {
        return tove.get(path).page().select("input[name=method][checked]").attr("value");
    }

    private String option(String select, String text) {
        return tove.get("/bench")
                .page()
                .select(select + " option:contains(" + text + ")")
                .attr("value");
    }
}
