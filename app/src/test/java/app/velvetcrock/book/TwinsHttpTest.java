package app.velvetcrock.book;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Twins: kept by the one thing they differ in, judged without knowing, opened once. */
@HttpTest
class TwinsHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Twinned");
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "500 mL", "width", "84 mm", "pieces", "4"));
    }

    private String charge(String query, Map<String, String> also) {
        Map<String, String> fields = new HashMap<>(also);
        Answer started = tove.post(Visitor.form(tove.get("/bench?" + query).page(), "#bench", fields));
        assertThat(started.path()).as(started.page().select("#refused").text()).startsWith("/batch/");
        return started.path().substring("/batch/".length());
    }

    private void strain(String batch) {
        assertThat(tove.submit("/press/" + batch, "form[action*=press]", Map.of("out", "150 mL"))
                        .status())
                .isEqualTo(200);
    }

    private Answer twins(String one, String other) {
        return tove.post("/book/twins", Map.of("key", UUID.randomUUID().toString(), "one", one, "other", other));
    }

    @Test
    void twinsAreKeptJudgedBlindAndOpened() {
        String shorter = charge("amount=30+g&length=30", Map.of());
        String longer = charge("amount=30+g&length=35", Map.of());
        Document offers = tove.get("/book/twins").page();
        assertThat(offers.select("#offers li").text()).contains("Does standing longer do more?");
        Answer kept = tove.post(Visitor.form(offers, "#offers form", Map.of()));
        assertThat(kept.status()).isEqualTo(200);
        assertThat(kept.page().select(".jar").eachText().toString()).contains("the shorter", "the longer");
        // The longer is the first of its question, whichever was charged first.
        assertThat(kept.page().select(".lead").text()).contains("batch 2 stands longer");
        assertThat(kept.page().select("#judge")).isEmpty();
        assertThat(kept.page().select("#hindrance").text()).contains("is not strained yet");
        assertThat(tove.get("/shelf").page().select(".tag").text()).contains("twin: the longer", "twin: the shorter");
        assertThat(tove.get("/book/twins").page().select("#offers li")).isEmpty();
        String pair = kept.path();
        assertThat(tove.post(pair + "/judge", cups("LEFT")).status()).isEqualTo(409);
        strain(shorter);
        assertThat(tove.get("/shelf").page().select(".of-book")).isEmpty();
        strain(longer);
        assertThat(tove.get("/shelf").page().select(".of-book").text())
                .isEqualTo("Judge the twins: Nettle, batches 2 and 1");
        Document judging = tove.get(pair).page();
        Answer half = tove.post(Visitor.form(judging, "#judge", Map.of("smell", "LEFT")));
        assertThat(half.status()).isEqualTo(422);
        Answer judged = tove.post(
                Visitor.form(half.page(), "#judge", Map.of("smell", "LEFT", "colour", "RIGHT", "feel", "NEITHER")));
        assertThat(judged.page().select("#open").text()).contains("Which number was under the left one?");
        assertThat(judged.page().select("#told")).isEmpty();
        assertThat(tove.post(pair + "/judge", cups("RIGHT")).status()).isEqualTo(409);
        assertThat(tove.post(pair + "/open", Map.of("left", UUID.randomUUID().toString()))
                        .page()
                        .text())
                .contains("Say which of the two stood on the left");
        Document told = tove.post(pair + "/open", Map.of("left", shorter)).page();
        assertThat(told.select("#told tr").eachText())
                .containsExactly(
                        "Which smells more of the plant? the shorter",
                        "Which has the deeper colour? the longer",
                        "Which feels better on the skin? no difference");
        tove.post(pair + "/open", Map.of("left", longer));
        assertThat(tove.get(pair).page().select("#told tr").first().text()).endsWith("the shorter");
        assertThat(tove.get("/book/twins").page().select("#together").text())
                .isEqualTo(
                        "Does standing longer do more? 1 pair so far, 0 for the longer, 1 for the shorter: too few to say.");
        assertThat(tove.get("/shelf").page().select(".of-book")).isEmpty();
        tove.post(pair + "/forget", Map.of());
        assertThat(tove.get(pair).page().select("#judge")).hasSize(1);
        tove.post(pair + "/drop", Map.of());
        assertThat(tove.get("/book/twins").page().select("#pairs li")).isEmpty();
        assertThat(tove.get(pair).status()).isEqualTo(404);
        tove.post(pair + "/drop?back=yes", Map.of());
        assertThat(tove.get(pair).status()).isEqualTo(200);
    }

    private static Map<String, String> cups(String cup) {
        return Map.of("key", UUID.randomUUID().toString(), "smell", cup, "colour", cup, "feel", cup);
    }

    @Test
    void whatDiffersInNothingOrIsUnwellMakesNoTwins() {
        String one = charge("amount=30+g", Map.of());
        String other = charge("amount=30+g", Map.of());
        Answer alike = twins(one, other);
        assertThat(alike.status()).isEqualTo(409);
        assertThat(alike.page().select("#refused").text()).contains("they do not differ yet");
        assertThat(tove.get("/book/twins").page().select("#offers li").text())
                .contains("No twins: they do not differ yet");
        assertThat(twins(one, one).status()).isEqualTo(409);
        assertThat(tove.post("/book/twins", Map.of("key", UUID.randomUUID().toString()))
                        .status())
                .isEqualTo(404);
        String longer = charge("amount=30+g&length=42", Map.of());
        String pair = twins(longer, one).path();
        assertThat(twins(one, longer).status()).as("once").isEqualTo(409);
        tove.post("/batch/" + one + "/look", Map.of("smell", "RIGHT", "cover", "UNDER", "mould", "YES"));
        assertThat(tove.get(pair).page().select("#hindrance").text()).contains("Something is wrong with batch 1");
        assertThat(tove.post(pair + "/judge", cups("LEFT"))
                        .page()
                        .select("#refused")
                        .text())
                .contains("Something is wrong");
    }
}
