package app.velvetcrock.stores;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Bad input in the stores and on the Bench: said beside the field, what was typed stays, nothing changes. */
@HttpTest
class StoresHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.household(port, "Wrong things");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            herbs    | h- | herb     | ''         | Nothing is written here
            herbs    | h- | herb     | Foxglove   | poisonous
            herbs    | h- | herb     | Nettles    | not in the catalogue
            herbs    | h- | amount   | ''         | nothing is written
            herbs    | h- | amount   | lots       | begin with a number
            herbs    | h- | amount   | -5 g       | below zero
            herbs    | h- | amount   | 0 g        | between 0.1 g and 100 kg
            herbs    | h- | amount   | 900 kg     | between 0.1 g and 100 kg
            herbs    | h- | amount   | 1,500 g    | may mark thousands or a decimal
            herbs    | h- | acquired | 2030-01-01 | still to come
            herbs    | h- | acquired | last week  | no day known here
            carriers | c- | carrier  | ''         | Nothing is chosen
            carriers | c- | amount   | 9 oz       | may be either of these
            carriers | c- | amount   | 20 °C      | measures a temperature
            carriers | c- | amount   | 1 L, 700 g | imply 0.7 g/mL; this is 0.913 g/mL, 23.3 % off: one of the two is misread
            carriers | c- | amount   | 1,5 l, 1420 g | 0.947 g/mL; this is 0.913 g/mL, 3.7 % off: worth a look
            herbs    | h- | amount   | 1 cup, 300 g | one of the two is misread
            carriers | c- | opened   | 2027-01-01 | still to come
            jars     | j- | capacity | 5 mL       | must be between 10
            jars     | j- | capacity | 500 g      | needs a volume
            jars     | j- | width    | 2 m        | not a unit
            jars     | j- | pieces   | 1.5        | not a whole number
            """)
    void saysWhatIsWrongBesideTheFieldAndKeepsTheRest(
            String form, String prefix, String field, String typed, String words) {
        Map<String, String> good = new HashMap<>(
                switch (form) {
                    case "herbs" -> Map.of("herb", "Nettle", "amount", "50 g");
                    case "carriers" -> Map.of("carrier", "olive", "amount", "1 L");
                    default -> Map.of("capacity", "500 mL", "width", "84 mm");
                });
        good.put(field, typed);
        Answer answer = tove.submit("/stores", "form[action$=" + form + "]", good);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page().getElementById("note-" + prefix + field).text())
                .contains(words);
        good.forEach((name, value) -> {
            var input = answer.page().getElementById(prefix + name);
            String kept = input.tagName().equals("select")
                    ? input.select("option[selected]").attr("value")
                    : input.attr("value");
            assertThat(kept).as(name).isEqualTo(value);
        });
        assertThat(tove.get("/stores").page().select("main table")).isEmpty();
    }

    @Test
    void eitherReadingCanBeChosen() {
        Answer asked = tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "olive", "amount", "9 oz"));
        assertThat(asked.page().select("#note-c-amount .choice").eachAttr("data-fill"))
                .containsExactly("9 fl oz", "9 oz by weight");
        tove.post(Visitor.form(asked.page(), "form[action$=carriers]", Map.of("amount", "9 oz by weight")));
        // 9 × 28.3495 ÷ 0.913 = 279.5 mL
        assertThat(tove.get("/stores").page().select("main table").text())
                .contains("Olive")
                .contains("279 mL");
    }

    @Test
    void aWeightAndAVolumeThatAgreeAreTakenTogether() {
        Answer added =
                tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "olive", "amount", "1,5 l, 1370 g"));
        // 1370 ÷ 0.913 = 1500.5 mL
        assertThat(added.page().select("main table").text()).contains("Olive").contains("1.5 L");
    }

    @Test
    void aHerbByTheCupIsWeighedByEstimateAndASynonymIsUnderstood() {
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "milfoil", "amount", "2 cups"));
        // yarrow tops cut and sifted 0.13 g/mL × 500 mL = 65 g
        assertThat(tove.get("/stores").page().select("main table").text())
                .contains("Yarrow")
                .contains("65 g");
    }

    @Test
    void bringingInCanBeTakenBackAndTheStoryTellsIt() {
        Answer added = tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "50 g"));
        String lot = added.page().select("main table a").attr("href");
        assertThat(tove.get(lot).page().select("table").text())
                .contains("brought in")
                .contains("+ 50 g");
        tove.post(Visitor.form(added.page(), ".notice form", Map.of()));
        assertThat(tove.get("/stores").page().text()).contains("Nothing here yet");
        assertThat(tove.get(lot).page().select("table").text())
                .contains("taken back")
                .contains("− 50 g");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            amount | 300 g         | only 200 g of this is left
            amount | ''            | nothing is written
            oil    | 9 oz          | may be either of these
            oil    | 1:900         | between 0.5 and 100
            oil    | 3 L           | the bottle holds 1 L
            amount | 1 cup, 200 g  | one of the two is misread
            oil    | 1 L, 600 g    | one of the two is misread
            oil    | -20 mL        | below zero
            oil    | 900 kg        | takes more than nothing and at most
            cut    | WHOLE         | cannot be made coarser
            length | 90            | between 21 and 56 days
            length | soon          | soon
            length | -5            | -5
            start  | 2027-01-01    | charged today or was charged earlier
            herb   | 00000000-0000-0000-0000-000000000000 | used up or not here
            """)
    void theBenchSaysWhatIsNotClearAndDoesNotStart(String field, String typed, String words) {
        Visitor stocked = Visitor.stocked(port, "Unclear");
        Map<String, String> sentence = new HashMap<>(Map.of("amount", "40 g"));
        sentence.put(field, typed);
        Answer answer = stocked.submit("/bench", "#bench", sentence);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page().getElementById("note-" + field).text()).contains(words);
        assertThat(stocked.get("/shelf").page().text()).contains("An empty shelf");
    }

    /** 60 g of cut leaf pressed: 287.5 − 42.9 + 110.8 = 355 mL; ground: 230 − 42.9 + 110.8 = 298 mL, so 300 mL covers it. */
    @Test
    void aFinerCutIsOfferedAndTaken() {
        Visitor stocked = Visitor.stocked(port, "Finer");
        String asked = "/bench?amount=60+g&oil=300+mL";
        Document bench = stocked.get(asked).page();
        assertThat(bench.select("#verdict").text()).isEqualTo("Will not cover the herb");
        assertThat(bench.select(".chip[data-into=cut]").attr("data-fill")).isEqualTo("GROUND");
        assertThat(stocked.get(asked + "&cut=GROUND").page().select("#verdict").text())
                .isEqualTo("Covers");
    }

    @Test
    void aPartOfTheBenchIsSmall() {
        Visitor stocked = Visitor.stocked(port, "Small");
        String fragment = stocked.get("/bench/plan?amount=40+g", "HX-Request", "true")
                .raw()
                .body();
        assertThat(fragment).contains("id=\"worked\"").doesNotContain("<html");
        assertThat(fragment.length()).isLessThan(15_000);
    }
}
