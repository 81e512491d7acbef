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
                .contains("how much herb what went in", "came back what came of it", "stood how it stood")
                .doesNotContain("part of it");
        assertThat(page.select("#beside tr:contains(how much herb) td").eachText())
                .containsExactly("30 g", "40 g");
        // Strained the day it was charged: planned alike, done otherwise.
        assertThat(page.select("#beside tr:contains(how it stood) td.off")
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
