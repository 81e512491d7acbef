package app.velvetcrock.jot;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What waited on a device for the network. The clock stands at 9 o'clock on Tuesday, 24 November. */
@HttpTest
class WaitingHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String nettle;

    @BeforeEach
    void aJar() {
        tove = Visitor.stocked(port, "Waiting");
        nettle = tove.post(Visitor.form(
                        tove.get("/bench?amount=10+g&start=2026-11-21").page(), "#bench", Map.of()))
                .path();
    }

    private Answer send(String line, String key, String at, String sent) {
        Map<String, String> fields = new HashMap<>(Map.of("line", line, "key", key, "at", at));
        return tove.post("/deeds", fields, "Crock-Sent", sent);
    }

    private List<String> log() {
        return tove.get(nettle).page().select(".log li").eachText();
    }

    /** It was done when it was tapped, by this house's clock: what the device's is wrong by does not matter. */
    @Test
    void itWasDoneWhenItWasTapped() {
        String key = UUID.randomUUID().toString();
        Answer done = send("1 shaken", key, "2031-01-05T03:10:00Z", "2031-01-05T05:40:00Z");
        assertThat(done.status()).isEqualTo(200);
        assertThat(done.page().text()).contains("\"done\":\"Nettle, jar 1: shaken.\"", "/jot/undo?");
        assertThat(String.join(" ", log())).contains("Shake").contains("06:30");
        assertThat(send("1 shaken", key, "2031-01-05T03:10:00Z", "2031-01-06T05:40:00Z")
                        .page()
                        .text())
                .as("sent again, it is answered as the first time")
                .contains("Nettle, jar 1: shaken.");
        assertThat(log()).hasSize(2);
        assertThat(send("1 pushed under", key, "2031-01-05T03:10:00Z", "2031-01-05T05:40:00Z")
                        .status())
                .as("another thing under its key")
                .isEqualTo(409);
        Answer back = tove.post(
                done.page().text().replaceAll(".*\"undo\":\"([^\"]*)\".*", "$1").replace("\\u0026", "&"), Map.of());
        assertThat(back.page().select(".notice").text()).contains("Taken back");
    }

    /** What is said of "yesterday" is said of the day before it was written. */
    @Test
    void itsDaysAreThoseOfTheMomentItWasWritten() {
        assertThat(send(
                                "1 smells green yesterday 18:00",
                                UUID.randomUUID().toString(),
                                "2026-11-23T08:00:00Z",
                                "2026-11-24T09:00:00Z")
                        .status())
                .isEqualTo(200);
        assertThat(String.join(" ", log())).contains("22 Nov");
    }

    /** The page's own sending arrived and only its answer was lost: nothing is done twice. */
    @Test
    void whatArrivedFromItsPageIsNotDoneAgain() {
        String key = UUID.randomUUID().toString();
        assertThat(tove.post("/jot", Map.of("line", "came in: 100 g beeswax", "key", key))
                        .status())
                .isEqualTo(200);
        assertThat(send("came in: 100 g beeswax", key, "2026-11-24T09:00:00Z", "2026-11-24T09:05:00Z")
                        .page()
                        .text())
                .contains("Came in: 100 g of beeswax");
        String round = UUID.randomUUID().toString();
        String jar = nettle.substring("/batch/".length());
        assertThat(tove.post("/round/" + jar + "/well", Map.of("key", round)).status())
                .isEqualTo(200);
        String line = "1 looks ok, shaken";
        assertThat(send(line, round, "2026-11-24T09:00:00Z", "2026-11-24T09:05:00Z")
                        .status())
                .isEqualTo(200);
        assertThat(tove.get("/stores/supplies").page().select("main").text())
                .contains("100 g")
                .doesNotContain("200 g");
        assertThat(log().stream().filter(one -> one.contains("Shake"))).hasSize(1);
    }

    /** What each jar of the round offers to keep is what its button does. */
    @Test
    void aTapOfTheRoundSaysItselfInALine() {
        String jar = nettle.substring("/batch/".length());
        String line = tove.get("/round?at=" + jar).page().select(".do.well").attr("data-line");
        assertThat(line).startsWith("nettle 1 ").contains("shaken");
        assertThat(send(line, UUID.randomUUID().toString(), "2026-11-24T08:00:00Z", "2026-11-24T09:00:00Z")
                        .status())
                .isEqualTo(200);
        assertThat(String.join(" ", log())).contains("08:00", "Shake", "under the oil");
    }

    @Test
    void whatMayNotBeIsAnsweredInWordsAndChangesNothing() {
        for (String[] bad : new String[][] {
            {"1 shaken", "", "2026-11-24T09:00:00Z", "2026-11-24T09:00:00Z"},
            {"1 shaken", "x", "2026-11-24T09:00:00Z", "2026-11-24T09:00:00Z"},
            {"1 shaken", UUID.randomUUID().toString(), "yesterday", "2026-11-24T09:00:00Z"},
            {"1 shaken", UUID.randomUUID().toString(), "2026-11-24T09:00:00Z", ""},
            {"1 shaken", UUID.randomUUID().toString(), "-999999999-01-01T00:00:00Z", "+999999999-12-31T00:00:00Z"},
            {"1 danced", UUID.randomUUID().toString(), "2026-11-24T09:00:00Z", "2026-11-24T09:00:00Z"},
            {"9 shaken", UUID.randomUUID().toString(), "2026-11-24T09:00:00Z", "2026-11-24T09:00:00Z"},
            {"", UUID.randomUUID().toString(), "2026-11-24T09:00:00Z", "2026-11-24T09:00:00Z"},
            {"1 shaken", UUID.randomUUID().toString(), "2026-09-01T09:00:00Z", "2026-11-24T09:00:00Z"},
            {"1 topped up 4 l", UUID.randomUUID().toString(), "2026-11-24T09:00:00Z", "2026-11-24T09:00:00Z"}
        }) {
            Answer answer = send(bad[0], bad[1], bad[2], bad[3]);
            assertThat(answer.status()).as(String.join("|", bad)).isIn(400, 409);
        }
        assertThat(log()).hasSize(1);
        Visitor nobody = new Visitor(port);
        assertThat(nobody.get("/deeds/token").path()).isEqualTo("/sign-in");
        assertThat(tove.get("/deeds/token").page().text()).contains("token", "header");
    }
}
