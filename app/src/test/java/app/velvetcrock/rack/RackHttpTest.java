package app.velvetcrock.rack;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The clock of these tests stands at 24 November 2026, 09:00. */
@HttpTest
class RackHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String lot;

    @BeforeEach
    void fresh() {
        tove = Visitor.household(port, "Rack");
        tove.submit(
                "/stores",
                "form[action$=herbs]",
                Map.of("herb", "Nettle", "amount", "300 g", "moisture", "FRESH", "cut", "WHOLE"));
        lot = tove.get("/stores").page().select("a:contains(Nettle)").attr("href");
    }

    @Test
    void freshHerbIsLaidOutWeighedAndTakenDownDry() {
        // 300·0.15/0.90 = 50
        assertThat(tove.get(lot).page().select(".went").text()).contains("about 50 g");
        Answer rack = tove.submit(lot, "#do-dry", Map.of());
        assertThat(rack.page().select(".rack").text()).contains("Nettle", "300 g", "one weight says nothing yet");
        assertThat(tove.get(lot).page().text()).contains("It lies on the drying rack");
        assertThat(tove.post(lot + "/dry", Map.of()).page().text()).contains("lies on the rack already");
        Answer wet = tove.submit("/stores/drying", "form[action$=weigh]", Map.of("mass", "150 g", "snap", "BENDS"));
        // 45 g of dry matter in 150: 70 % water
        assertThat(wet.page().select(".rack-word").text()).contains("70 % water now");
        assertThat(wet.page().select("form[action$=down]")).isEmpty();
        Answer dry = tove.submit("/stores/drying", "form[action$=weigh]", Map.of("mass", "49 g", "snap", "SNAPS"));
        assertThat(dry.page().select(".rack-word").text()).contains("Dry. Take it down");
        Answer down = tove.submit("/stores/drying", "form[action$=down]", Map.of());
        assertThat(down.page().select("#lot-left").text()).isEqualTo("49 g left");
        assertThat(down.page().select(".went").text()).contains("dried leaf, whole");
        assertThat(tove.get(lot).page().select("#story").text()).contains("dried", "− 300 g");
        assertThat(tove.get("/stores/drying").page().text())
                .contains("Nothing lies on the rack", "300 g fresh, 49 g dried");
        Answer back = tove.post(Visitor.form(down.page(), ".notice form", Map.of()));
        assertThat(back.page().select(".rack").text()).contains("Nettle");
        assertThat(tove.get(lot).page().select("#lot-left").text())
                .as("by its last weighing")
                .isEqualTo("49 g left");
    }

    /** 300 g of fresh leaf hold 45 g of dry matter; at 110 g it holds 66 g of water as wilted herb, 60 g of them free. */
    @Test
    void whatWiltedIsWeighedAndPlannedWithAsItIs() {
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "olive", "amount", "3 L"));
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "1.5 L", "width", "11 cm", "count", "1"));
        tove.submit(lot, "#do-dry", Map.of());
        Answer still = tove.submit("/stores/drying", "form[action$=weigh]", Map.of("mass", "150 g", "snap", "BENDS"));
        assertThat(still.page().select("form.wilted")).isEmpty();
        tove.submit("/stores/drying", "form[action$=weigh]", Map.of("mass", "110 g", "snap", "BENDS"));
        Answer down = tove.submit("/stores/drying", "form.wilted", Map.of());
        assertThat(down.page().select(".notice").text()).contains("It is wilted stock now");
        assertThat(down.page().select("#lot-left").text()).isEqualTo("110 g left");
        assertThat(down.page().select(".went").text()).contains("wilted leaf, whole");
        assertThat(tove.get("/stores/drying").page().text()).contains("300 g fresh, 110 g wilted");
        String wilted = down.path().replace("/stores/lots/", "");
        assertThat(tove.get("/bench?amount=110+g&method=fresh-low&herb=" + wilted)
                        .page()
                        .text())
                .contains("about 60 g of free water");
        tove.post(Visitor.form(down.page(), ".notice form", Map.of()));
        assertThat(tove.get("/stores/drying").page().select(".rack").text()).contains("Nettle");
    }

    @Test
    void whatIsNotDryStaysAndAWeighingCanBeTakenBack() {
        tove.submit(lot, "#do-dry", Map.of());
        String drying = tove.get("/stores/drying")
                .page()
                .select("form[action$=weigh]")
                .attr("action")
                .replace("/weigh", "");
        assertThat(tove.post(drying + "/down", Map.of()).page().text()).contains("is not dry yet: 85 % water");
        Answer weighed = tove.submit("/stores/drying", "form[action$=weigh]", Map.of("mass", "49 g"));
        assertThat(weighed.page().select(".rack-word").text()).contains("Dry");
        Answer undone = tove.post(Visitor.form(weighed.page(), ".notice form", Map.of()));
        assertThat(undone.page().select(".rack-word").text()).contains("one weight says nothing yet");
    }

    @Test
    void whatCannotBeIsSaidBesideTheField() {
        tove.submit(lot, "#do-dry", Map.of());
        for (Map.Entry<String, String> wrong : Map.of(
                        "400 g",
                        "must be between",
                        "",
                        "nothing is written",
                        "1,500 g",
                        "thousands or a decimal",
                        "warm",
                        "begin with a number")
                .entrySet()) {
            Answer answer = tove.submit("/stores/drying", "form[action$=weigh]", Map.of("mass", wrong.getKey()));
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.page().select(".weigh .note").text()).contains(wrong.getValue());
            assertThat(answer.page().select(".weigh input[name=mass]").attr("value"))
                    .isEqualTo(wrong.getKey());
        }
        assertThat(tove.submit(
                                "/stores/drying",
                                "form[action$=weigh]",
                                Map.of("mass", "100 g", "when", "2027-01-01T10:00"))
                        .page()
                        .select(".weigh .note")
                        .text())
                .contains("between the laying out");
        assertThat(tove.submit(lot, "#do-cup", Map.of("filled", "1 cup", "weight", "60 g"))
                        .status())
                .isEqualTo(200);
    }

    /** 60 g of fresh leaf are 10 g dried; 60 g dried were 360 g fresh. */
    @Test
    void freshAndDriedAreToldBothWays() {
        Document page = tove.get("/stores/drying?amount=60+g&part=LEAF").page();
        assertThat(page.select("#equivalent").text())
                .contains("60 g fresh is about 10 g dried", "60 g dried was about 360 g fresh");
    }
}
