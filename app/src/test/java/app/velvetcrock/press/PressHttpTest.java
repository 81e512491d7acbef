package app.velvetcrock.press;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** 40 g of nettle in 275 mL, charged on 1 October and measured on 24 November 2026. */
@HttpTest
class PressHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String press;

    @BeforeEach
    void standing() {
        tove = Visitor.stocked(port, "Press");
        Answer started = tove.post(Visitor.form(tove.get("/bench?amount=40+g&start=2026-10-01").page(), "#bench", Map.of()));
        press = "/press/" + started.path().substring(7);
    }

    @Test
    void anOverdueJarIsSaidOnShelfAndPress() {
        // 1 October + 35 days = 5 November; on the 24th 19 days over
        assertThat(tove.get("/shelf").page().text()).contains("One jar is ready to strain").contains("strain: 19 d over");
        assertThat(tove.get("/press").page().select("tbody").text()).contains("Thu 5 Nov").contains("about 220 mL").contains("Strain it");
        assertThat(tove.get(press).page().select("svg").attr("aria-label")).isEqualTo("275 mL went in, about 220 mL expected back");
    }

    @Test
    void aWarmVolumeIsCorrected() {
        submit(Map.of("out", "220 mL", "warm", "45 °C"));
        // 220 × (0.917 − 0.00067·25) = 198.06 g; ÷ 0.917 = 215.98 mL
        assertThat(tove.get("/cupboard").page().select("table").text()).contains("216 mL");
    }

    @Test
    void theDayItWasStrainedDatesTheOil() {
        submit(Map.of("out", "200 g", "on", "2026-11-06"));
        assertThat(tove.get("/cupboard").page().select("table .sum").text()).contains("strained 6 Nov 2026");
        assertThat(tove.get(press).path()).as("a strained jar is not strained again").startsWith("/batch/");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            out      | ''           | nothing is written
            out      | a lot        | is not a unit known
            out      | 0 mL         | more than nothing
            out      | 400 mL       | not more than the 275 mL that went in
            out      | 9 oz         | may be either of these
            warm     | 20 g         | measures a weight
            warm     | 900 °C       | outside anything
            on       | 2026-09-30   | between the day it was charged
            on       | 2026-11-25   | and today
            on       | yesterday    | that is not a date
            pressing | feet         | Nothing is chosen
            """)
    void saysWhatIsWrongAndWritesNothing(String field, String typed, String words) {
        Map<String, String> fields = new HashMap<>(Map.of("out", "200 g"));
        fields.put(field, typed);
        Answer answer = submit(fields);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page().getElementById("note-" + field).text()).contains(words);
        if (!field.equals("pressing")) {
            assertThat(answer.page().getElementById(field).attr("value")).isEqualTo(typed);
        }
        assertThat(tove.get("/cupboard").page().text()).contains("No oil yet");
    }

    @Test
    void signsThatCannotBeWrittenAreRefused() {
        Answer answer = submit(Map.of("out", "200 g", "note", "be\0ll"));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page().getElementById("note-note").text()).contains("cannot be written down");
    }

    private Answer submit(Map<String, String> fields) {
        return tove.submit(press, "form[action*=press]", fields);
    }
}
