package app.velvetcrock.condition;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What is wrong stays open on every page until it is answered, and holds back what it must. */
@HttpTest
class ConditionsHttpTest {

    private static final Map<String, String> MOULD = Map.of("smell", "RIGHT", "cover", "UNDER", "mould", "YES");

    @LocalServerPort
    int port;

    private Visitor tove;
    private String batch;

    @BeforeEach
    void standing() {
        tove = Visitor.stocked(port, "Conditions");
        batch = tove.post(Visitor.form(
                        tove.get("/bench?amount=40+g&start=2026-11-20").page(), "#bench", Map.of()))
                .path();
    }

    @Test
    void mouldIsOnEveryPageHoldsTheStrainingAndEndsWithThrowingOutUntilThatIsTakenBack() {
        tove.submit(batch, "form[action$=look]", MOULD);
        isOpenEverywhere();
        assertThat(tove.post(
                                batch.replace("batch", "press"),
                                Map.of(
                                        "out",
                                        "200 g",
                                        "pressing",
                                        "HAND",
                                        "on",
                                        "2026-11-24",
                                        "clarity",
                                        "CLEAR",
                                        "smell",
                                        "RIGHT"))
                        .page()
                        .text())
                .contains("Nettle, jar 1: mould, so it is not strained");

        assertThat(tove.get(batch).page().select("#x-ruin option[selected]").attr("value"))
                .as("its cause is filled in")
                .isEqualTo("MOULD");
        tove.submit(batch, "form[action$=discard]", Map.of("lesson", "The herb was damp."));
        for (String page : new String[] {"/shelf", "/press", "/stores", batch}) {
            assertThat(tove.get(page).page().select(".wrongs")).as(page).isEmpty();
        }
        assertThat(tove.get(batch).page().text()).contains("thrown out, 24 Nov 2026");

        tove.submit(batch, ".log li:contains(Thrown out) form", Map.of());
        isOpenEverywhere();
    }

    private void isOpenEverywhere() {
        for (String page : new String[] {
            "/shelf", "/press", "/cupboard", "/stores", "/bench", "/settings", batch, batch.replace("batch", "press")
        }) {
            assertThat(tove.get(page).page().select(".wrongs a, .wrong h2").eachText())
                    .as(page)
                    .containsExactly("! Nettle, jar 1: mould");
        }
        assertThat(tove.get("/shelf").page().select(".tag.due .word").text()).isEqualTo("mould");
        assertThat(tove.get("/shelf").page().select(".rounds").text())
                .contains("! mould Nettle, jar 1")
                .doesNotContain("Shake");
        assertThat(tove.get("/press").page().select("tr:contains(Nettle)").text())
                .contains("mould")
                .contains("Answer it")
                .doesNotContain("Strain it");
        assertThat(tove.get(batch + "/label").page().select(".ink-label").text())
                .startsWith("! mould: keep back");
        assertThat(tove.get(batch + "/calendar").raw().body())
                .contains("! Nettle\\, jar 1: mould")
                .contains("STATUS:CANCELLED");
        assertThat(tove.get(batch.replace("batch", "press"))
                        .page()
                        .select("form[action*=press]")
                        .text())
                .contains("It is not strained while that is open.");
    }

    /** A look taken back never was; one of two looks taken back leaves the other's finding. */
    @Test
    void aLookTakenBackTakesWhatItFoundAlong() {
        tove.submit(batch, "form[action$=look]", MOULD);
        assertThat(tove.get(batch).page().select("form[action$=look]"))
                .as("the page asks for no other look")
                .isEmpty();
        tove.post(batch + "/look", MOULD);
        tove.submit(batch, ".log li:has(span:contains(Looked)):not(:has(.struck)) form[action$=undo]", Map.of());
        assertThat(tove.get("/shelf").page().select(".wrongs li")).hasSize(1);
        tove.submit(batch, ".log li:has(span:contains(Looked)):not(:has(.struck)) form[action$=undo]", Map.of());
        assertThat(tove.get("/shelf").page().select(".wrongs")).isEmpty();
    }

    /** What can only be thrown out is not dealt with; that it was never so wants a word, and opens again. */
    @Test
    void whatWasNotSoIsSaidInWordsAndCanBeOpenedAgain() {
        tove.submit(batch, "form[action$=look]", MOULD);
        String condition = tove.get(batch).page().select("a[href*=conditions]").attr("href");
        assertThat(tove.get(condition).page().select("button[value=DEALT_WITH]"))
                .isEmpty();
        assertThat(tove.post(condition + "/answer", Map.of("answer", "DEALT_WITH", "words", "wiped"))
                        .page()
                        .text())
                .contains("not dealt with but by throwing it out");
        assertThat(tove.post(condition + "/answer", Map.of("answer", "NOT_SO", "words", ""))
                        .page()
                        .text())
                .contains("Nothing is written here yet");
        Answer answered = tove.post(
                condition + "/answer", Map.of("answer", "NOT_SO", "words", "a petal, seen through the glass"));
        assertThat(answered.path()).isEqualTo(batch);
        assertThat(answered.page().select(".wrongs")).isEmpty();
        assertThat(answered.page().text()).contains("it was not so: a petal, seen through the glass");
        assertThat(answered.page().select(".log li:contains(Answered)").text())
                .as("the answer is a line of the log")
                .contains("Answered: mould, it was not so. a petal");
        tove.post(Visitor.form(answered.page(), ".notice form", Map.of()));
        assertThat(tove.get(batch).page().select(".log .struck").text()).contains("Answered: mould");
        assertThat(tove.get("/shelf").page().select(".wrongs").text()).contains("mould");
    }

    /** A jug smells off: it is held with the bottles filled from it; thrown out, each of those is asked about. */
    @Test
    void aJugThatSmellsOffIsHeldWithWhatWasFilledFromIt() {
        tove.submit(batch.replace("batch", "press"), "form[action*=press]", Map.of("out", "200 g"));
        String jug = tove.get("/cupboard").page().select(".bottle").attr("href");
        tove.submit(jug, "form[action$=bottle]", Map.of("count", "2", "size", "50 mL"));
        tove.submit(jug, "form[action$=sniff]", Map.of("smell", "OFF"));
        Answer held = tove.get(jug);
        assertThat(held.page().select(".wrong").text()).contains("smells off").contains("Discard it: not on skin");
        assertThat(held.page().select("form[action$=sniff]")).isEmpty();
        assertThat(held.page()
                        .select("form[action$=draw], form[action$=bottle]")
                        .text())
                .contains("Held back. What happened already can be written down");
        assertThat(tove.post(jug + "/draw", Map.of("amount", "5 mL", "why", "GIVEN"))
                        .page()
                        .text())
                .contains("smells off, so it is not given away");
        assertThat(tove.get("/cupboard").page().select(".bottle").text()).contains("! smells off");
        assertThat(tove.get(jug + "/label").page().select(".ink-label").text()).startsWith("! smells off: keep back");
        assertThat(tove.get("/bench").page().select("#carrier option[value=" + jug.substring(10) + "]"))
                .as("nothing is made with it")
                .isEmpty();
        String bottle = tove.get("/cupboard")
                .page()
                .select(".bottle[href]:not([href=" + jug + "])")
                .attr("href");
        assertThat(tove.get(bottle).page().select(".wrong").text())
                .as("it was filled from that jug")
                .contains("In it: Nettle in cold-pressed rapeseed, batch 1: smells off");
        tove.submit(jug, "form[action$=discard]", Map.of("lesson", "It stood warm."));
        assertThat(tove.get("/cupboard").page().select(".wrongs").text())
                .as("each bottle filled from it is asked about")
                .contains("in doubt")
                .doesNotContain("smells off");
        tove.submit(batch, ".log li:contains(Thrown out) form", Map.of());
        assertThat(tove.get("/cupboard").page().select(".wrongs").text()).contains("smells off");
    }

    /** Water under it holds the bottling until it is decanted; a spoilt smell then opens anew. */
    @Test
    void aSpoiltSettlingStaysOpen() {
        tove.submit(batch.replace("batch", "press"), "form[action*=press]", Map.of("out", "200 g", "water", "6 mL"));
        assertThat(tove.get("/shelf").page().select(".wrongs").text()).contains("water under it");
        String jug = tove.get("/cupboard").page().select(".bottle").attr("href");
        assertThat(tove.post(
                                jug + "/bottle",
                                Map.of("count", "1", "size", "50 mL", "glass", "DARK", "place", "COOL_DARK"))
                        .page()
                        .text())
                .contains("water under it, so it is not bottled");
        tove.submit(
                batch.replace("batch", "press"),
                "form[action$=settle]",
                Map.of("left", "190 g", "water", "6 mL", "smell", "SOUR"));
        assertThat(tove.get("/shelf").page().select(".wrongs").text())
                .contains("fermenting")
                .doesNotContain("water under it");
    }

    /** A herb on hold goes into nothing, and a mouldy one can only be thrown out; that taken back, it is open again. */
    @Test
    void aLotOfTheStoresIsHeldTheSameWay() {
        String lot = tove.get("/stores").page().select("tr:contains(Nettle) a").attr("href");
        assertThat(tove.submit(lot, "form[action$=wrong]", Map.of()).page().text())
                .as("nothing is preset")
                .contains("Nothing is chosen here yet");
        tove.submit(lot, "form[action$=wrong]", Map.of("what", "MOULD", "words", "grey at the bottom of the bag"));
        assertThat(tove.get("/shelf").page().select(".wrongs").text())
                .isEqualTo("! Nettle: mould, also in Nettle, batch 1");
        assertThat(tove.get(lot).page().select(".wrong").text())
                .contains("grey at the bottom of the bag")
                .contains("by Tove");
        assertThat(tove.get("/bench").page().text()).contains("No herb is stored");
        assertThat(tove.post(lot + "/draw", Map.of("amount", "5 g", "why", "DRAWN"))
                        .page()
                        .text())
                .contains("mould, so it is not drawn from");
        Answer out = tove.submit(lot, "#do-discard", Map.of("note", "mould"));
        assertThat(out.page().select(".wrongs").text())
                .as("the jar that holds some of it is asked about")
                .isEqualTo("! Nettle, batch 1: in doubt");
        tove.post(Visitor.form(out.page(), ".notice form", Map.of()));
        assertThat(tove.get("/shelf").page().select(".wrongs").text())
                .isEqualTo("! Nettle: mould, also in Nettle, batch 1");
    }

    /** A start taken back takes what was found along. */
    @Test
    void whatNeverStoodHasNothingWrong() {
        tove.submit(batch, "form[action$=look]", MOULD);
        tove.submit(batch, ".log li:contains(Charged) form", Map.of());
        assertThat(tove.get("/shelf").page().select(".wrongs")).isEmpty();
    }

    @Test
    void notWellHasNothingPreset() {
        for (String page : new String[] {"/shelf", batch}) {
            assertThat(tove.get(page).page().select("select[name=smell], select[name=cover], select[name=mould]"))
                    .as(page)
                    .isNotEmpty()
                    .allSatisfy(select -> {
                        assertThat(select.select("option[selected]")).isEmpty();
                        assertThat(select.select("option").first().attr("value"))
                                .isEmpty();
                    });
        }
        Answer unchanged = tove.submit(batch, "form[action$=look]", Map.of());
        assertThat(unchanged.status()).isEqualTo(422);
        assertThat(tove.get(batch).page().select(".log li:contains(Looked)")).isEmpty();
    }
}
