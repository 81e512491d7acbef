package app.velvetcrock.phone;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.Visitor.Filled;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Forms that waited on a device for the network. The clock stands at 9 o'clock on Tuesday, 24 November. */
@HttpTest
class WaitedFormsHttpTest {

    private static final String TAPPED = "2031-01-05T03:10:00Z";
    private static final String SENT = "2031-01-05T05:40:00Z";

    @LocalServerPort
    int port;

    private Visitor tove;
    private String nettle;

    @BeforeEach
    void aJar() {
        tove = Visitor.stocked(port, "Forms");
        nettle = tove.post(Visitor.form(
                        tove.get("/bench?amount=10+g&start=2026-11-21").page(), "#bench", Map.of()))
                .path();
    }

    private Filled note(String words) {
        return Visitor.form(tove.get(nettle).page(), "form[action$=/note]", Map.of("words", words));
    }

    private List<String> log() {
        return tove.get(nettle).page().select(".log li").eachText();
    }

    private static String said(Answer answer) {
        return answer.page().text();
    }

    /** It was done when it was tapped, by this house's clock: what the device's is wrong by does not matter. */
    @Test
    void aFormIsDoneWhenItWasTapped() {
        Filled note = note("moved to the sill");
        Answer done = tove.waited(note, TAPPED, SENT);
        assertThat(done.status()).as(said(done)).isEqualTo(200);
        assertThat(said(done)).startsWith("{\"done\":").contains("\"undo\":\"/batch/");
        assertThat(log()).filteredOn(line -> line.contains("moved to the sill")).hasSize(1);
        assertThat(log()).anyMatch(line -> line.contains("06:30") && line.contains("moved to the sill"));
        assertThat(said(tove.waited(note, TAPPED, "2031-01-06T05:40:00Z")))
                .as("sent again, it is answered as the first time")
                .isEqualTo(said(done));
        assertThat(log()).filteredOn(line -> line.contains("moved to the sill")).hasSize(1);
        assertThat(tove.get("/shelf").page().select(".notice"))
                .as("said to the device, not on the next page")
                .isEmpty();
    }

    /** A moment that was typed is what was typed. */
    @Test
    void whatWasTypedOfItsMomentHolds() {
        Map<String, String> all = new HashMap<>(note("turned").fields());
        all.put("when", "yesterday 18:00");
        assertThat(tove.waited(new Filled(nettle + "/note", all), "2026-11-23T08:00:00Z", "2026-11-24T09:00:00Z")
                        .status())
                .isEqualTo(200);
        assertThat(log())
                .as("yesterday of the day it was tapped")
                .anyMatch(line -> line.contains("22 Nov") && line.contains("turned"));
        all.put("when", "08:30");
        all.put("key", UUID.randomUUID().toString());
        Answer later = tove.waited(new Filled(nettle + "/note", all), "2026-11-24T08:00:00Z", "2026-11-24T09:00:00Z");
        assertThat(later.status()).as("after the tap, so it cannot have been").isEqualTo(422);
        assertThat(said(later)).startsWith("{\"refused\":");
    }

    /** The page's own sending arrived and only its answer was lost: nothing is done twice. */
    @Test
    void whatArrivedFromItsPageIsNotDoneAgain() {
        Filled note = note("smells of hay");
        assertThat(tove.post(note).path()).isEqualTo(nettle);
        Answer again = tove.waited(note, TAPPED, SENT);
        assertThat(again.status()).isEqualTo(200);
        assertThat(said(again)).contains("\"done\":");
        assertThat(log()).filteredOn(line -> line.contains("smells of hay")).hasSize(1);
        Map<String, String> other = new HashMap<>(note.fields());
        other.put("words", "smells of straw");
        Answer changed = tove.waited(new Filled(note.action(), other), TAPPED, SENT);
        assertThat(changed.status()).as("another thing under its key").isEqualTo(409);
        assertThat(said(changed)).contains("sent before, and something in it has been changed");
    }

    /** What may not be as things stand now is refused in the words its page would say, with what to type. */
    @Test
    void whatMayNotBeIsRefusedInTheWordsOfItsPage() {
        Map<String, String> top =
                new HashMap<>(Visitor.form(tove.get(nettle).page(), "form[action$=/top-up]", Map.of("amount", "a glug"))
                        .fields());
        Answer unread = tove.waited(new Filled(nettle + "/top-up", top), TAPPED, SENT);
        assertThat(unread.status()).isEqualTo(422);
        assertThat(said(unread)).contains("a glug", "Type ");
        int before = log().size();
        // Thrown out meanwhile: what was tapped before cannot be done any more.
        Answer out = tove.post(Visitor.form(
                tove.get(nettle).page(),
                "form[action$=/discard]",
                Map.of("ruin", "MOULD", "lesson", "dry it", "when", "08:00")));
        assertThat(out.page().select("#refused, .notice").text()).contains("hrown out");
        top.put("amount", "20 ml");
        top.put("key", UUID.randomUUID().toString());
        Answer gone = tove.waited(new Filled(nettle + "/top-up", top), "2026-11-24T08:59:00Z", "2026-11-24T09:00:00Z");
        assertThat(gone.status()).as(said(gone)).isEqualTo(409);
        assertThat(log()).hasSizeLessThanOrEqualTo(before + 1);
        Answer nowhere = tove.waited(
                new Filled("/batch/" + UUID.randomUUID() + "/note", note("x").fields()), TAPPED, SENT);
        assertThat(nowhere.status()).isEqualTo(404);
        assertThat(said(nowhere)).contains("\"refused\":\"That is not in this stillroom.");
    }

    /** What is planned, set or printed does not wait; nor does what is too old, or of no moment. */
    @Test
    void onlyWhatIsDoneStandingWaits() {
        String key = UUID.randomUUID().toString();
        for (String path : List.of(
                "/settings", "/bench/start", "/pan/begin", "/cupboard/people", "/labels/print", nettle + "/plan")) {
            Answer answer = tove.waited(
                    new Filled(
                            path, Map.of("key", key, "_csrf", note("x").fields().get("_csrf"))),
                    TAPPED,
                    SENT);
            assertThat(answer.status()).as(path).isEqualTo(400);
            assertThat(said(answer)).as(path).contains("do not wait");
        }
        for (String at : List.of("yesterday", "", "-999999999-01-01T00:00:00Z")) {
            assertThat(tove.waited(note("x"), at, SENT).status()).as(at).isEqualTo(400);
        }
        Answer old = tove.waited(note("x"), "2026-09-01T09:00:00Z", "2026-11-24T09:00:00Z");
        assertThat(old.status()).isEqualTo(409);
        assertThat(said(old)).contains("longer ago than 60 days");
        assertThat(log()).noneMatch(line -> line.endsWith("x"));
        // By a device whose clock went back meanwhile it was now.
        assertThat(tove.waited(note("by a clock set back"), SENT, TAPPED).status())
                .isEqualTo(200);
        assertThat(log()).anyMatch(line -> line.contains("09:00") && line.contains("by a clock set back"));
    }
}
