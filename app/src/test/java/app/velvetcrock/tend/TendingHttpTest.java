package app.velvetcrock.tend;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.Visitor.Filled;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A jar charged on 20 November, four days ago, tended over HTTP. */
@HttpTest
class TendingHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String batch;

    @BeforeEach
    void standing() {
        tove = Visitor.stocked(port, "Tending");
        batch = start("/bench?amount=40+g&start=2026-11-20");
    }

    @Test
    void aShakeIsOneTapAndItsUndoOpensItAgain() {
        Document shelf = tove.get("/shelf").page();
        assertThat(shelf.select(".round button.tap").first().attr("aria-label"))
                .isEqualTo("Shake, turn under Nettle, day 4 of 35: done");
        Answer done = tove.submit("/shelf", "form[action*=stand.shake]", Map.of());
        assertThat(done.path()).isEqualTo("/shelf");
        assertThat(done.page().select(".notice").text()).contains("Nettle, jar 1: Shake: done.");
        assertThat(done.page().select("form[action*=stand.shake]")).isEmpty();
        assertThat(done.page().select(".round.DONE").text()).contains("Shake").contains("undo");
        Answer undone = tove.post(Visitor.form(done.page(), ".notice form", Map.of()));
        assertThat(undone.path()).isEqualTo("/shelf");
        assertThat(undone.page().select("form[action*=stand.shake]")).hasSize(1);
        assertThat(tove.get(batch).page().select(".log .struck").text()).isEqualTo("Shaken");
    }

    @Test
    void theSecondToShakeIsToldWhoDidIt() {
        Filled first = Visitor.form(tove.get("/shelf").page(), "form[action*=stand.shake]", Map.of());
        Filled second = Visitor.form(tove.get("/shelf").page(), "form[action*=stand.shake]", Map.of());
        tove.post(first);
        Answer told = tove.post(second);
        assertThat(told.status()).isEqualTo(200);
        assertThat(told.page().select(".notice").text())
                .contains("seen to already: Shaken, by Tove, 24 Nov 2026, 09:00")
                .contains("Nothing was written twice");
        assertThat(tove.post(first).page().select(".notice").text())
                .as("the first sent again is only answered again")
                .contains("Shake: done");
        assertThat(tove.get(batch).page().select(".log li:contains(Shaken)")).hasSize(1);
    }

    @Test
    void manyTapsAtOnceShakeOnce() {
        List<Filled> taps = IntStream.range(0, 5)
                .mapToObj(i -> Visitor.form(tove.get("/shelf").page(), "form[action*=stand.shake]", Map.of()))
                .toList();
        List<Answer> answers =
                taps.stream().map(tap -> CompletableFuture.supplyAsync(() -> tove.post(tap))).toList().stream()
                        .map(CompletableFuture::join)
                        .toList();
        assertThat(answers).extracting(Answer::status).containsOnly(200);
        assertThat(tove.get(batch).page().select(".log li:contains(Shaken)")).hasSize(1);
    }

    /** 275 mL over 40 g: 275 − 52 − 5 = 218. Topped up by 40: 315 − 52 − 5 = 258, to the nearest 5; 315/40 = 1 : 7.9. */
    @Test
    void herbStandingOutIsToppedUpAndTheYieldCountsIt() {
        Answer seen = tove.submit(batch, "form[action$=look]", Map.of("smell", "RIGHT", "cover", "OUT", "mould", "NO"));
        assertThat(seen.page().select(".notice").text()).contains("herb above the oil. Push it under");
        assertThat(tove.get("/shelf").page().select(".tag.due .word").text()).isEqualTo("standing out");
        assertThat(tove.get("/shelf").page().select(".rounds").text()).contains("Push under, top up Nettle");
        assertThat(seen.page().select("rect.out")).as("drawn standing out").isNotEmpty();

        Answer topped = tove.submit(batch, "form[action$=top-up]", Map.of("amount", "40 mL"));
        assertThat(topped.page().select(".went").text())
                .contains("315 mL Cold-pressed rapeseed planned 275 mL")
                .contains("1 : 7.9")
                .contains("about 260 mL");
        assertThat(tove.get("/shelf").page().select(".tag .word").text()).isEqualTo("day 4 of 35");
        // 1000 − 275 − 40
        assertThat(tove.get("/stores").page().text()).contains("685 mL");
        tove.post(Visitor.form(topped.page(), ".notice form", Map.of()));
        assertThat(tove.get("/stores").page().text()).contains("725 mL");
        assertThat(tove.get(batch).page().select(".went").text()).doesNotContain("315 mL");
    }

    @Test
    void theStartCannotBeTakenBackUnderATopUp() {
        tove.submit(batch, "form[action$=top-up]", Map.of("amount", "40 mL"));
        assertThat(tove.get(batch).page().select(".log li:contains(Charged) form"))
                .isEmpty();
        assertThat(tove.get(batch).page().select(".log li:contains(Topped up) form"))
                .hasSize(1);
    }

    @Test
    void aThrownOutJarIsFreeAndItsLessonStays() {
        start("/bench?amount=20+g");
        assertThat(tove.get("/bench").page().text()).contains("No jar or pot is free");
        Answer out = tove.submit(batch, "form[action$=discard]", Map.of("ruin", "MOULD", "lesson", "The lid was wet."));
        assertThat(out.page().text()).contains("Thrown out. mould: The lid was wet.");
        assertThat(out.page().select("form[action$=look], form[action$=top-up]"))
                .isEmpty();
        assertThat(tove.get("/press").page().select("main table").last().text()).contains("mould: The lid was wet.");
        start("/bench?amount=20+g");
        // its jar is taken again, so it cannot be put back
        Answer back = tove.submit(batch, ".log li:contains(Thrown out) form", Map.of());
        assertThat(back.page().select(".alarm[role=status]").text()).contains("is in use (2 of 2)");
        assertThat(tove.post(batch + "/look", Map.of("well", "yes")).page().text())
                .contains("does not stand any more: it was thrown out");
    }

    /** 41.5 g and 290 mL instead of 40 and 275: stock falls by what was really taken; 290 − 1.3·41.5 − 5 = 231. */
    @Test
    void whatWasReallyWeighedCounts() {
        String other = start("/bench?amount=40+g&weighed=41.5+g&poured=290+mL");
        Document page = tove.get(other).page();
        assertThat(page.select(".went").text())
                .contains("41.5 g Nettle", "planned 40 g", "290 mL", "planned 275 mL", "about 230 mL");
        assertThat(tove.get("/stores").page().text()).contains("119 g").contains("435 mL");
        assertThat(tove.get(other + "/label").page().text()).contains("41.5 g herb, 290 mL oil");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            look        | when        | 2026-11-19T08:00 | between the charging
            look        | when        | 2027-01-01T08:00 | and now
            look        | when        | early            | no day and time known
            look        | smell       | bad              | Nothing is chosen
            top-up      | amount      | ''               | nothing is written
            top-up      | amount      | plenty           | plenty
            top-up      | amount      | -20 mL           | -20
            top-up      | amount      | 900 L            | the bottle holds 725 mL
            top-up      | amount      | 9 oz             | may be either of these
            top-up      | amount      | 1,500 mL         | may mark thousands or a decimal
            top-up      | amount      | 1,5 l            | the bottle holds 725 mL
            top-up      | from        | 00000000-0000-0000-0000-000000000000 | No bottle of this oil
            discard     | lesson      | ''               | Nothing is written here yet
            discard     | ruin        | WIND             | Nothing is chosen
            note        | words       | ' '              | Nothing is written here yet
            """)
    void saysWhatIsWrongAndWritesNothing(String form, String field, String typed, String words) {
        String before = tove.get(batch).page().select(".log").text();
        Map<String, String> fields = new HashMap<>(Map.of("amount", "20 mL", "lesson", "none", "words", "seen"));
        fields.put(field, typed);
        Answer answer = tove.submit(batch, "form[action$=" + form + "]", fields);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page()
                        .select("form[action$=" + form + "] [id^=note-][id$=" + field + "]")
                        .text())
                .contains(words);
        String kept = answer.page()
                .select("form[action$=" + form + "] input[name=" + field + "]")
                .attr("value");
        assertThat(List.of("look smell", "top-up from", "discard ruin", "note words")
                                .contains(form + " " + field)
                        || kept.equals(typed))
                .as("kept: " + kept)
                .isTrue();
        assertThat(tove.get(batch).page().select(".log").text()).isEqualTo(before);
    }

    @Test
    void aTaskThatIsNoneIsNotHere() {
        assertThat(tove.post(
                                batch + "/tasks/stand.dance.1",
                                Map.of("key", UUID.randomUUID().toString()))
                        .status())
                .isEqualTo(404);
    }

    private String start(String bench) {
        String path = tove.post(Visitor.form(tove.get(bench).page(), "#bench", Map.of()))
                .path();
        assertThat(path).startsWith("/batch/");
        return path;
    }

    /** Tapped now for yesterday evening, and Rounds stays there for the next tap. */
    @Test
    void roundsCatchesUpWithYesterday() {
        Document then = tove.get("/shelf?when=yesterday+19:30").page();
        assertThat(then.select(".catch-note").text()).contains("23 Nov 2026, 19:30");
        Answer done = tove.post(Visitor.form(then, "form[action*=stand.shake]", Map.of()));
        assertThat(done.page().select(".catch-note").text()).as("it stays").contains("23 Nov 2026, 19:30");
        assertThat(tove.get(batch).page().select(".log li:contains(Shaken)").text())
                .contains("23 Nov 2026, 19:30");
        Document ahead = tove.get("/shelf?when=" + "Tuesday+week").page();
        assertThat(ahead.select("#note-c-when").text()).isNotEmpty();
        assertThat(ahead.select(".catch-note")).isEmpty();
    }

    /** The line as it was stays, struck through; the one in its place says what and when, and can be corrected again. */
    @Test
    void aLineIsCorrectedInItsPlace() {
        tove.submit(batch, "form[action$=note]", Map.of("words", "turned it", "when", "yesterday 8:00"));
        Answer corrected =
                tove.post(correcting("turned it", Map.of("words", "turned it twice", "when", "22 Nov, 18:00")));
        assertThat(corrected.page().select(".notice").text()).contains("corrected");
        Document page = tove.get(batch).page();
        assertThat(page.select(".log .struck").text()).isEqualTo("turned it");
        assertThat(page.select(".log li:contains(turned it twice)").text()).contains("22 Nov 2026, 18:00");
        assertThat(page.select(".log li:has(.struck)").text()).contains("(corrected)");
        Answer ahead = tove.post(correcting("turned it twice", Map.of("when", "2019-05-05 10:00")));
        assertThat(ahead.status()).isEqualTo(422);
        assertThat(ahead.page().select("#refused").text()).contains("between the charging");
        tove.submit(batch, ".log li:contains(turned it twice) form[action$=undo]", Map.of());
        assertThat(tove.get(batch).page().select(".log li:contains(turned it):not(:has(.struck))"))
                .as("the first holds again")
                .hasSize(1);
    }

    /** A look that saw mould by mistake: its condition goes with the line that is corrected. */
    @Test
    void aWrongLookIsCorrectedAndWhatItFoundGoesWithIt() {
        tove.submit(batch, "form[action$=look]", Map.of("smell", "RIGHT", "cover", "UNDER", "mould", "YES"));
        assertThat(tove.get("/shelf").page().select(".alarm").text()).contains("mould");
        Filled wrong = correcting("Looked", Map.of());
        assertThat(wrong.fields().get("mould")).as("as it was said").isEqualTo("YES");
        tove.post(correcting("Looked", Map.of("mould", "NO")));
        assertThat(tove.get("/shelf").page().select(".alarm").text()).doesNotContain("mould");
    }

    /** The form in which a line of the log is corrected, asked for by its link. */
    private Filled correcting(String line, Map<String, String> changed) {
        String link = tove.get(batch)
                .page()
                .select(".log li:contains(" + line + ") a.correct-link")
                .attr("href");
        return Visitor.form(tove.get(link.replaceFirst("#.*", "")).page(), "form[action$=correct]", changed);
    }
}
