package app.velvetcrock.recipepages;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Recipes kept from the Bench and from batches, scaled, compared, given to another household and made there. */
@HttpTest
class RecipesHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Recipes");
    }

    /**
     * 24 g in 188 mL, scaled by 1.7: 40.8 g in 320 mL. Given as a file, taken in elsewhere and started there from that household's
     * own lots.
     */
    @Test
    void keptScaledGivenAwayAndMadeElsewhere() {
        Answer kept = keep("method=slow-warm~gentle&amount=24+g&oil=188+mL&length=16+hours", "Nettle as we like it");
        String recipe = kept.path();
        Document scaled = tove.get(recipe + "?factor=1.7").page();
        assertThat(scaled.select("#weigh-out tr").eachText())
                .anyMatch(line -> line.startsWith("40.8 g Nettle dried leaf, cut and sifted; Urtica dioica"))
                .anyMatch(line -> line.startsWith("320 mL Cold-pressed rapeseed"));
        // 24 g keep at most 1.813 each, 43.5 mL: 300 mL want (300 + 5)/(188 − 43.5) = 2.11 times as much, 50.7 g
        assertThat(tove.get(recipe + "?oil=300+mL").page().select("#weigh-out").text())
                .contains("50.7 g", "397 mL");
        assertThat(tove.get(recipe + "?factor=900")
                        .page()
                        .getElementById("note-factor")
                        .text())
                .contains("between 0.1 and 50");
        assertThat(scaled.text()).contains("On the heat for 16 hours, 35 °C to 43 °C, never above 43 °C");
        assertThat(tove.get(recipe + "/text?factor=1.7").raw().body())
                .contains("Nettle as we like it", "40.8 g  Nettle", "Strain, pressed by hand in cloth");
        Answer file = tove.get(recipe + "/json?factor=1.7");
        assertThat(file.raw().headers().firstValue("Content-Disposition").orElse(""))
                .contains("recipe.json");
        Visitor other = Visitor.stocked(port, "Friends");
        Answer taken = other.submit(
                "/bench/recipes", "#take-in", Map.of("file", file.raw().body()));
        assertThat(taken.path()).startsWith("/bench/recipes/");
        Document bench =
                other.get(taken.page().select("#make-again").attr("href")).page();
        assertThat(bench.select("#herb-mark").text()).isEqualTo("40.8 g");
        assertThat(bench.select(".way:has(input[checked]) b").text()).isEqualTo("Slow warm, gentle");
        assertThat(bench.select("#length").attr("value")).isEqualTo("16 hours");
        assertThat(other.post(Visitor.form(bench, "#bench", Map.of())).path()).startsWith("/batch/");
        assertThat(tove.get("/bench/recipes").page().select("#plans li"))
                .as("the giver's are as they were")
                .hasSize(1);
    }

    /** A batch's own amounts and what was to be changed stand in what is made of it; a way with numbers of its own comes back with them. */
    @Test
    void aBatchIsMadeAgainWithItsNotesFirst() {
        String batch = tove.post(Visitor.form(
                        tove.get("/bench?method=slow-warm&amount=30+g&numbers.band=41+to+46&numbers.read=2")
                                .page(),
                        "#bench",
                        Map.of("weighed", "31 g", "poured", "240 mL")))
                .path();
        tove.submit(
                batch.replace("batch", "press"),
                "form[action*=press]",
                Map.of("out", "180 g", "note", "a finer cut", "heat", "WARMED"));
        Answer again = tove.submit(batch, "form[action*=recipes/from]", Map.of());
        assertThat(again.page().select(".caution").first().text()).isEqualTo("Next time a finer cut");
        assertThat(again.page().select("#weigh-out").text()).contains("31 g", "240 mL");
        Document bench =
                tove.get(again.page().select("#make-again").attr("href")).page();
        assertThat(bench.getElementById("numbers.band").attr("value")).isEqualTo("41 to 46 °C");
        assertThat(bench.getElementById("numbers.read").attr("value")).isEqualTo("2");
        assertThat(bench.select(".note .bad")).isEmpty();
    }

    @Test
    void twoAreComparedByWhatDiffersAlone() {
        String one = keep("method=cold-dark&amount=30+g&oil=235+mL", "Cold").path();
        String two = keep("method=slow-warm&amount=60+g&oil=470+mL&pressing=DRIP", "Warm")
                .path();
        Document page = tove.get(one + "?with=" + two.substring("/bench/recipes/".length()))
                .page();
        assertThat(page.select("#differences tr").eachText())
                .containsExactly(
                        "This Warm",
                        "way Cold and dark Slow warm",
                        "time 35 days 8 hours",
                        "heat 15 to 22 °C 40 to 52 °C",
                        "pressed pressed by hand in cloth left to drip");
        Answer away = tove.post(two + "/undo", Map.of());
        assertThat(away.page().select("#plans").text()).doesNotContain("Warm");
        assertThat(tove.post(Visitor.form(away.page(), ".notice form", Map.of()))
                        .page()
                        .select("#plans")
                        .text())
                .contains("Warm");
    }

    /** Each is refused in words and nothing is kept. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            cut short        | ^(.{300}).*$                     | $1                                   | perhaps it was cut short
            empty            | ^.*$                             | ''                                   | not in the form of a recipe
            another schema   | velvet-crock-recipe              | another-recipe                       | not in the form of a recipe
            another version  | "version" : 1                    | "version" : 2                        | not in the form of a recipe
            no such way      | cold-dark                        | sunbeam                              | not in the form of a recipe
            a hostile key    | "key" : "nettle"                 | "key" : "../../etc"                  | not in the form of a recipe
            too much         | "grams" : 30.0                   | "grams" : 1e9                        | not in the form of a recipe
            too long a stand | "length" : 35                    | "length" : 500                       | takes 21 to 56 days
            too hot a stand  | "highCelsius" : 22.0             | "highCelsius" : 95.0                 | band is 95
            more inside      | "title" :                        | "nasty" : {"a": [[[[]]]]}, "title" : | not in the form of a recipe
            """)
    void badFilesChangeNothing(String name, String search, String replace, String words) {
        String good = tove.get(
                        keep("method=cold-dark&amount=30+g&oil=235+mL", "Good").path() + "/json")
                .raw()
                .body();
        String bad = good.replaceFirst("(?s)" + search, replace == null ? "" : replace);
        assertThat(bad).isNotEqualTo(good);
        Answer answer = tove.submit("/bench/recipes", "#take-in", Map.of("file", bad));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page().getElementById("note-file").text()).contains(words);
        assertThat(tove.get("/bench/recipes").page().select("#plans li")).hasSize(1);
    }

    @Test
    void hugeAndDeepFilesAreRefusedAndAScriptInANameIsText() {
        Answer huge = tove.submit(
                "/bench/recipes", "#take-in", Map.of("file", "{\"title\": \"" + "x".repeat(70_000) + "\"}"));
        assertThat(huge.page().getElementById("note-file").text()).contains("letters long");
        Answer deep = tove.submit("/bench/recipes", "#take-in", Map.of("file", "[".repeat(20_000)));
        assertThat(deep.page().getElementById("note-file").text()).contains("cannot be read");
        String good = tove.get(
                        keep("method=cold-dark&amount=30+g&oil=235+mL", "Good").path() + "/json")
                .raw()
                .body();
        Answer scripted = tove.submit(
                "/bench/recipes",
                "#take-in",
                Map.of("file", good.replace("\"Good\"", "\"<script>alert(1)</script>\"")));
        assertThat(scripted.page().select("h1").text()).isEqualTo("<script>alert(1)</script>");
        assertThat(scripted.page().select("h1 script")).isEmpty();
    }

    private Answer keep(String query, String title) {
        Answer kept = tove.post(Visitor.form(tove.get("/bench?" + query).page(), "#bench", Map.of("title", title))
                .to("/bench/recipes"));
        assertThat(kept.page().text()).contains("“%s” is kept".formatted(title));
        return kept;
    }
}
