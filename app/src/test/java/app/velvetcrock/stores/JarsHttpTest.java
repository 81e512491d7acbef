package app.velvetcrock.stores;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Jars nobody has a rule for at hand, and jars with lines of their own on the glass. */
@HttpTest
class JarsHttpTest {

    @LocalServerPort
    int port;

    /** The usual width is offered, stands marked as usual, and is measured later; another household's jar is out of reach. */
    @Test
    void aUsualWidthStandsUntilSomebodyMeasures() {
        Visitor tove = Visitor.stocked(port, "Usual");
        Answer asked = tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "900 mL", "width", ""));
        assertThat(asked.status()).isEqualTo(422);
        String offered = asked.page().select("#note-j-width .choice").attr("data-fill");
        assertThat(offered).isEqualTo("100 mm, usual");
        Answer kept = tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "900 mL", "width", offered));
        assertThat(kept.page().select("main").text()).contains("100 mm across (usual for its size, not measured)");
        Answer unclear = tove.post(Visitor.form(kept.page(), "form[action$=width]", Map.of("measured", "wide")));
        assertThat(unclear.status()).isEqualTo(422);
        assertThat(unclear.page().select("details[open] input[value=wide]")).hasSize(1);
        Answer measured = tove.post(Visitor.form(unclear.page(), "form[action$=width]", Map.of("measured", "104 mm")));
        assertThat(measured.page().select("main").text())
                .contains("104 mm across, ")
                .doesNotContain("not measured");
    }

    /** 84 mm wide, 5541.8 mm²: 480 mL of water stand 86.6 mm high, half as high as 240. Each mark is drawn in the Bench's jar. */
    @Test
    void ownMarksAreKeptAndDrawn() {
        Visitor tove = Visitor.stocked(port, "Marks");
        Answer unclear = tove.submit(
                "/stores",
                "form[action$=jars]",
                Map.of("capacity", "500 mL", "width", "84 mm", "marks", "one cup = 240 mL, three cups = 720 mL"));
        assertThat(unclear.page().getElementById("note-j-marks").text()).contains("720", "500");
        Answer kept = tove.submit(
                "/stores",
                "form[action$=jars]",
                Map.of(
                        "capacity",
                        "500 mL",
                        "width",
                        "84 mm",
                        "name",
                        "the old jar",
                        "marks",
                        "two cups = 480 mL, one cup = 240 mL"));
        assertThat(kept.page().select("main").text()).contains("Marks: one cup at 240 mL, two cups at 480 mL");
        Document bench = tove.get("/bench").page();
        String jar = bench.select("#jar option:contains(the old jar)").attr("value");
        Document drawn = tove.get("/bench?jar=" + jar).page();
        double floor = Double.parseDouble(drawn.getElementById("bench-picture").attr("data-floor"));
        double one = Double.parseDouble(drawn.select(".own-mark line").get(0).attr("y1"));
        double two = Double.parseDouble(drawn.select(".own-mark line").get(1).attr("y1"));
        assertThat(drawn.select(".own-mark text").eachText()).containsExactly("one cup", "two cups");
        assertThat((floor - two) / (floor - one)).isCloseTo(2.0, org.assertj.core.api.Assertions.within(1e-6));
    }
}
