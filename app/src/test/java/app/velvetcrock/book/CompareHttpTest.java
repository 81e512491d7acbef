package app.velvetcrock.book;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Batches beside each other: only what differs, and what of a difference comes of what. */
@HttpTest
class CompareHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Compared");
    }

    private String charge(String query) {
        Answer started = tove.post(Visitor.form(tove.get("/bench?" + query).page(), "#bench", Map.of()));
        assertThat(started.path()).startsWith("/batch/");
        return started.path().substring("/batch/".length());
    }

    private void strain(String batch, String out) {
        assertThat(tove.submit("/press/" + batch, "form[action*=press]", Map.of("out", out))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void onlyWhatDiffersIsShownAndWhatItComesOf() {
        String one = charge("amount=30+g");
        String other = charge("amount=40+g");
        strain(one, "140 mL");
        strain(other, "220 mL");
        Document page = tove.get("/book/compare?of=" + one + "&of=" + other).page();
        assertThat(page.select("#beside th[scope=row]").eachText().toString())
                .contains("how much herb", "came back", "stood")
                .doesNotContain("part of it", "cut");
        assertThat(page.select("#beside tr:contains(how much herb) td").eachText())
                .containsExactly("30 g", "40 g");
        // Strained the day it was charged: planned alike, done otherwise.
        assertThat(page.select("#beside tr:has(th:matchesOwn(^stood$)) td.off")
                        .eachText()
                        .toString())
                .contains("0 days planned 35 days");
        assertThat(page.select("details li").eachText()).contains("herb", "cut", "oil");
        assertThat(page.select("#courses text").text()).contains("! strained 35 days early", "nobody shook it");
        assertThat(page.select(".why tr").text()).contains("how much herb", "how much oil", "together");
        assertThat(page.select(".why h2").text()).contains("Of batch 1 140 mL came back, of batch 2 220 mL.");
        // Only oils are laid beside oils, and none twice.
        assertThat(page.select("#of option")).isEmpty();
        assertThat(tove.get("/batch/" + one)
                        .page()
                        .select("a[href$='/book/compare?of=" + one + "']")
                        .text())
                .isEqualTo("What was different?");
    }

    /** Nettle leaf pressed by hand keeps 1.3 mL/g: of 30 g in what covers them more than 140 mL should have come back. */
    @Test
    void whatCameBackIsHeldAgainstWhatWasForetold() {
        assertThat(tove.get("/book/forecasts").page().text()).contains("Nothing was strained and measured yet");
        String one = charge("amount=30+g");
        strain(one, "140 mL");
        Document page = tove.get("/book/forecasts").page();
        assertThat(page.select("#herbs tbody tr")).hasSize(1);
        assertThat(page.select("#herbs tr").text())
                .contains("Nettle", "0 of 1 inside their range: too few to say", "mL on average");
        assertThat(page.select("#herbs circle.off title").text()).contains("batch 1: 140 mL, foretold");
        assertThat(page.select("#all").text()).contains("0 of 1 inside their range: too few to say. −");
        Document book = tove.get("/book").page();
        assertThat(book.select(".questions h2")).hasSize(6);
        assertThat(book.select("#differences li")).isEmpty();
        charge("amount=30+g");
        assertThat(tove.get("/book").page().select("#differences li").text()).isEqualTo("Nettle: batch 1 and batch 2");
    }

    /** Of 30 g of nettle 150 mL came of 180: what it kept is gone by, set aside, and gone by again. */
    @Test
    void ownNumbersStandBesideTheShippedOnesAndThereIsAWayBack() {
        String shipped = foretold();
        strain(charge("amount=30+g"), "140 mL");
        String own = foretold();
        assertThat(own).isNotEqualTo(shipped);
        Document page = tove.get("/book/own-numbers").page();
        assertThat(page.select("#own tr:contains(Nettle)").text())
                .contains("(n = 1)", "comes back than shipped figures foretell");
        Answer aside = tove.post(Visitor.form(page, "#own form[action$=shipped]", Map.of()));
        assertThat(aside.page().select("#own tr:contains(Nettle)").text()).contains("no difference to speak of");
        assertThat(foretold()).isEqualTo(shipped);
        tove.post(Visitor.form(aside.page(), "#own form[action$=own]", Map.of()));
        assertThat(foretold()).isEqualTo(own);
    }

    private String foretold() {
        return tove.get("/bench?amount=30+g").page().select("#yield").text();
    }

    /** It comes back where the same herb is planned again, and in the Book; what was taken back taught nothing. */
    @Test
    void aLessonComesBackWhereTheSameHerbIsPlanned() {
        String one = charge("amount=30+g");
        tove.submit(
                "/press/" + one,
                "form[action*=press]",
                Map.of("out", "150 mL", "note", "Shake it more in the second week"));
        assertThat(tove.get("/bench").page().select("#worked .caution.NOTE").text())
                .contains("Last time: “Shake it more in the second week” batch 1");
        assertThat(tove.get("/book").page().select("#lessons li").text())
                .contains("Shake it more in the second week", "Nettle, batch 1");
        assertThat(tove.get("/wish?amount=30+g&herb=nettle&oil=rapeseed&what=a+salve")
                        .page()
                        .select(".last-time")
                        .text())
                .contains("Shake it more in the second week");
        assertThat(tove.get("/pan?much=100+g").page().select(".last-time").text())
                .as("made of the oil of that herb")
                .contains("Shake it more in the second week");
        assertThat(tove.get("/shelf").page().select(".of-book").text()).isEmpty();
        charge("amount=30+g&start=2026-10-10");
        assertThat(tove.get("/shelf").page().select(".of-book").text())
                .as("on the day the next is strained")
                .contains("Nettle, last time: “Shake it more in the second week”");
        heeded(one);
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Yarrow", "amount", "200 g"));
        String yarrow = tove.get("/bench")
                .page()
                .select("#herb option:contains(Yarrow)")
                .attr("value");
        assertThat(tove.get("/bench?amount=30+g&herb=" + yarrow)
                        .page()
                        .select("#worked")
                        .text())
                .doesNotContain("Last time");
        Document batch = tove.get("/batch/" + one).page();
        tove.post(Visitor.form(batch, "li:contains(Shake it more) form[action$=undo]", Map.of()));
        assertThat(tove.get("/bench").page().select("#worked").text()).doesNotContain("Last time");
        assertThat(tove.get("/book").page().select("#lessons")).isEmpty();
    }

    /** Where the next is strained it is said whether it was heeded; changed it is counted once, and its own batch is not asked. */
    private void heeded(String taught) {
        String next = tove.get("/press")
                .page()
                .select("a[href^=/press/]:contains(Strain)")
                .attr("href");
        Document press = tove.get(next).page();
        Answer yes = tove.post(Visitor.form(press, ".last-time form", Map.of("heeded", "false")));
        assertThat(yes.page().select(".last-time").text()).contains("heeded 0 of 1 time");
        Document again = tove.post(Visitor.form(yes.page(), ".last-time form", Map.of("heeded", "true")))
                .page();
        assertThat(again.select(".last-time").text()).contains("heeded 1 of 1 time");
        assertThat(again.select(".last-time button[aria-pressed=true]").text()).isEqualTo("Heeded this time");
        assertThat(tove.get("/bench").page().select(".last-time").text()).contains("heeded 1 of 1 time");
        assertThat(tove.get("/book").page().select("#lessons").text()).contains("heeded 1 of 1 time");
        assertThat(tove.get("/press/" + taught).page().select(".last-time")).isEmpty();
        String itself = "/lessons/%s/%s".formatted(taught, taught);
        assertThat(tove.post(itself, Map.of("heeded", "true")).status()).isEqualTo(404);
        assertThat(tove.post("/lessons/%s/%s".formatted(taught, next.substring(7)), Map.of("heeded", "perhaps"))
                        .status())
                .isLessThan(500);
        assertThat(tove.get("/book").page().select("#lessons").text()).contains("heeded 1 of 1 time");
    }

    @Test
    void anAddressThatIsNoneIsNoMistakeOfOurs() {
        String one = charge("amount=30+g");
        for (String of : List.of("", "nothing", one, one + "&of=" + one, one + "&of=%00")) {
            Answer answer = tove.get("/book/compare?of=" + of);
            assertThat(answer.status()).as(of).isEqualTo(200);
            assertThat(answer.page().select("#beside")).isEmpty();
        }
        assertThat(tove.get("/book/compare?of=" + UUID.randomUUID()).status()).isEqualTo(404);
        Visitor other = Visitor.stocked(port, "Elsewhere");
        assertThat(other.get("/book/compare?of=" + one).status()).isEqualTo(404);
        assertThat(other.get("/book/compare").page().text()).doesNotContain("Nettle,");
    }
}
