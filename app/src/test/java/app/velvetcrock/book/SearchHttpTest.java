package app.velvetcrock.book;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.SignedIn;
import app.velvetcrock.stillroom.TestHouse;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** All that was written down is found, from the moment it is written until it is taken back. */
@HttpTest
class SearchHttpTest {

    @LocalServerPort
    int port;

    @Autowired
    Written written;

    @Autowired
    JdbcClient sql;

    private Visitor tove;
    private String batch;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Search");
        Answer started = tove.post(Visitor.form(tove.get("/bench?amount=30+g").page(), "#bench", Map.of()));
        batch = started.path();
    }

    private Document search(String typed) {
        Answer answer = tove.get("/book/search?q=" + Visitor.encode(typed));
        assertThat(answer.status()).isEqualTo(200);
        return answer.page();
    }

    private List<String> found(String typed) {
        return search(typed).select("#found li").eachText();
    }

    @Test
    void aNoteIsFoundByItsWordsTheirBeginningsAndASlipOfThePen() {
        Answer noted = tove.submit(batch, "form[action$=note]", Map.of("words", "Smells of wet hay; the lid sweated."));
        assertThat(noted.status()).isEqualTo(200);
        Document page = search("sweat HAY");
        assertThat(page.select("#found li").eachText())
                .hasSize(1)
                .first()
                .asString()
                .startsWith("Nettle, batch 1 written in its log");
        assertThat(page.select("#found mark").eachText()).containsExactly("hay", "sweated");
        assertThat(page.select("#found a").attr("href")).isEqualTo(batch);
        assertThat(found("sweeted")).as("a slip of the pen").hasSize(1);
        assertThat(found("hay barn")).as("all of the words").isEmpty();
        assertThat(search("hay barn").select(".lead").text())
                .contains("Nothing that was written down holds “hay barn”");
        tove.post(Visitor.form(noted.page(), ".notice form", Map.of()));
        assertThat(found("hay")).as("taken back").isEmpty();
    }

    /** Of a line that was corrected what it says now is found; with the correction taken back, what it said before. */
    @Test
    void aCorrectedNoteIsFoundByWhatItSaysNow() {
        tove.submit(batch, "form[action$=note]", Map.of("words", "smells of walnuts"));
        String link = tove.get(batch)
                .page()
                .select(".log li:contains(walnuts) a.correct-link")
                .attr("href");
        Answer corrected = tove.post(Visitor.form(
                tove.get(link.replaceFirst("#.*", "")).page(),
                "form[action$=correct]",
                Map.of("words", "smells of hazel")));
        assertThat(corrected.page().select(".notice").text()).contains("corrected");
        assertThat(found("hazel")).hasSize(1);
        assertThat(found("walnuts")).isEmpty();
        tove.post(Visitor.form(tove.get(batch).page(), ".log li:contains(hazel) form[action$=undo]", Map.of()));
        assertThat(found("hazel")).isEmpty();
        assertThat(found("walnuts")).hasSize(1);
    }

    /** One of each place in which something is written. */
    @Test
    void itIsFoundWhereverItWasWritten() {
        tove.submit(
                "/stores",
                "form[action$=herbs]",
                Map.of("herb", "Yarrow", "amount", "90 g", "cameFrom", "behind the boathouse"));
        tove.submit(
                "/cupboard/people", "form[action$=people]", Map.of("nickname", "Boatswain", "note", "rows in winter"));
        tove.submit("/stores/to-buy", "form[action$=to-buy]", Map.of("words", "boat varnish"));
        tove.post(
                "/book/reactions",
                Map.of(
                        "nickname",
                        "Boatswain",
                        "other",
                        "sun",
                        "strength",
                        "SLIGHT",
                        "place",
                        "boat hand",
                        "on",
                        "today"));
        tove.post("/cupboard/stall", Map.of("name", "Boat fair"));
        assertThat(found("boat").toString())
                .contains("in the stores", "a person", "to be bought", "how a skin took it", "a day at the stall");
        for (String href : search("boat").select("#found a").eachAttr("href")) {
            assertThat(tove.get(href).status()).as(href).isEqualTo(200);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"'", "a & | b", "!:*", "((", "\\", "<script>", "%_", "🌿", "yarrow:*|!x", ""})
    void signsAreNoneOfIt(String typed) {
        assertThat(search(typed).select("h1").text()).isEqualTo("Where was that?");
        assertThat(search(typed).select("script:not([src])")).isEmpty();
    }

    @Test
    void whatIsMissingOrTooManyIsSeenAndMended() {
        SignedIn person = TestHouse.at(port).person("Search that was lost");
        assertThat(Current.as(person, () -> written.compare(false))).isEmpty();
        int gone = sql.sql("delete from written where stillroom_id = :s and source = 'LOT' and head = 'Nettle'")
                .param("s", person.stillroom())
                .update();
        sql.sql("insert into written (stillroom_id, source, id, about, sort, head, words, happened_at) "
                        + "values (:s, 'NOTE', gen_random_uuid(), gen_random_uuid(), '', 'never', 'said', now())")
                .param("s", person.stillroom())
                .update();
        assertThat(gone).isOne();
        assertThat(Current.as(person, () -> written.compare(true))).hasSize(2);
        assertThat(Current.as(person, () -> written.compare(false))).isEmpty();
        assertThat(Current.as(person, () -> written.find("nettle"))).isNotEmpty();
        assertThat(Current.as(person, () -> written.find("never"))).isEmpty();
    }
}
