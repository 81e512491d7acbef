package app.velvetcrock.arrivals;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

@HttpTest
class ArrivalsHttpTest {

    private static final String LIST =
            "45 g dried calendula heads, 1 L olive oil opened in May, 24 tins of 60 mL, 100 g beeswax\n2 jars of 500 mL\n12 bottles";

    @LocalServerPort
    int port;

    @Test
    void whatIsThereIsToldInOneListLookedAtAndPutAwayWithOneTap() {
        Visitor tove = Visitor.household(port, "By a list");
        Answer looked = tove.submit("/stores/list", "#list", Map.of("text", LIST));
        assertThat(looked.status()).isEqualTo(200);
        assertThat(looked.page().select("#read").text())
                .contains(
                        "45 g of calendula, dried flowers, whole; bought",
                        "1 L of olive, opened 1 May 2026",
                        "24 × Tin, 60 mL, to fill",
                        "100 g of beeswax",
                        "2 × Jar, 500 mL",
                        "What does one of them hold?");
        assertThat(looked.page().select("button[name=away]").text()).isEqualTo("Put these 5 away; one stays here");
        assertThat(tove.get("/stores").page().text())
                .as("nothing is put away by looking")
                .contains("No bottle yet");
        Visitor.Filled tap = Visitor.form(looked.page(), "#list", Map.of("text", LIST, "away", "yes"));
        Answer away = tove.post(tap);
        assertThat(away.page().select(".notice").text()).contains("5 put away");
        assertThat(away.page().select("textarea").text())
                .as("what is in doubt is not lost")
                .isEqualTo("12 bottles");
        assertThat(away.page().select("#read").text()).contains("What does one of them hold?");
        assertThat(tove.get("/stores").page().text()).contains("Calendula", "Olive", "Jar, 500 mL");
        tove.post(tap);
        assertThat(tove.get("/stores").page().select("a:contains(Calendula)"))
                .as("two taps put it away once")
                .hasSize(1);
        assertThat(tove.get("/bench").page().select("#herb option")).hasSize(1);
        Answer back = tove.post(Visitor.form(away.page(), ".notice form", Map.of()));
        assertThat(back.page().select(".notice").text()).contains("taken out again");
        assertThat(tove.get("/stores").page().text()).contains("No bottle yet", "No jar yet");
    }

    @Test
    void whatWasUsedSinceIsNotTakenOut() {
        Visitor tove = Visitor.household(port, "Used since");
        Answer away = tove.post(Visitor.form(
                tove.get("/stores/list").page(),
                "#list",
                Map.of("text", "200 g nettle leaf\n2 L rapeseed oil\n3 jars of 1000 mL", "away", "yes")));
        Answer charge = tove.get("/wish/charge?amount=40+g&herb=nettle&cut=CUT_AND_SIFTED&oil=rapeseed&what=oil");
        tove.post(Visitor.form(charge.page(), "#charge", Map.of("dry", "yes")));
        Answer back = tove.post(Visitor.form(away.page(), ".notice form", Map.of()));
        assertThat(back.page().select(".notice").text()).doesNotContain("taken out again");
        assertThat(tove.get("/stores").page().text()).contains("160 g");
    }

    @Test
    void nothingIsPutAwayOfAnEmptyOrAnEndlessList() {
        Visitor tove = Visitor.household(port, "Endless");
        assertThat(tove.submit("/stores/list", "#list", Map.of("text", "")).status())
                .isEqualTo(422);
        assertThat(tove.submit("/stores/list", "#list", Map.of("text", "x".repeat(7_000)))
                        .status())
                .isEqualTo(422);
        Answer doubted = tove.submit("/stores/list", "#list", Map.of("text", "some things", "away", "yes"));
        assertThat(doubted.status()).isEqualTo(200);
        assertThat(doubted.page().select("#read .bad-word")).hasSize(1);
        assertThat(doubted.page().select("textarea").text()).isEqualTo("some things");
    }
}
