package app.velvetcrock.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The Shelf with many jars: the eight most urgent in front, the rest behind, none lost. */
@HttpTest
class ManyJarsHttpTest {

    private static final int FRONT = 8;

    @LocalServerPort
    int port;

    @ParameterizedTest
    @ValueSource(ints = {1, 8, 30})
    void everyJarStandsOnce(int count) {
        Visitor tove = Visitor.household(port, "Many");
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "2 kg"));
        tove.submit(
                "/stores",
                "form[action$=carriers]",
                Map.of("carrier", "rapeseed", "amount", "30 L", "opened", "2026-09-20"));
        String longest = "The tall preserving jar with a blue lid 1";
        tove.submit(
                "/stores",
                "form[action$=jars]",
                Map.of("capacity", "500 mL", "width", "84 mm", "pieces", "200", "name", longest));
        for (int i = 0; i < count; i++) {
            String start = LocalDate.of(2026, 11, 24).minusDays(i * 7L % 50).toString();
            assertThat(tove.post(Visitor.form(
                                    tove.get("/bench?amount=20+g&start=" + start)
                                            .page(),
                                    "#bench",
                                    Map.of()))
                            .path())
                    .startsWith("/batch/");
        }
        Document shelf = tove.get("/shelf").page();
        assertThat(shelf.select(".board:not(.back) .jar")).hasSize(Math.min(FRONT, count));
        assertThat(shelf.select(".board.back .jar")).hasSize(Math.max(0, count - FRONT));
        assertThat(shelf.select(".jar").eachAttr("href"))
                .doesNotHaveDuplicates()
                .hasSize(count);
        assertThat(pressing(shelf))
                .as("what is due stands before what is not")
                .isSortedAccordingTo(Comparator.reverseOrder());
        assertThat(shelf.select("h1").text())
                .isEqualTo(count == 1 ? "One jar standing" : count == 8 ? "Eight jars standing" : "30 jars standing");
        assertThat(idsOf(shelf)).doesNotHaveDuplicates();
    }

    @Test
    void anEmptyShelfTeachesTheFirstStep() {
        Document shelf = Visitor.household(port, "Empty").get("/shelf").page();
        assertThat(shelf.select("#first-step").text()).startsWith("Nothing is in the Stores yet.");
        assertThat(shelf.select("main a.do").attr("href")).isEqualTo("/wish");
    }

    private static List<Boolean> pressing(Document shelf) {
        return shelf.select(".tag").stream().map(tag -> tag.hasClass("due")).toList();
    }

    private static List<String> idsOf(Document page) {
        return page.select("[id]").eachAttr("id");
    }
}
