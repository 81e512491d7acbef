package app.velvetcrock.jot;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.Map;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What one line says of the rack, the stores, the pan and of skin. The clock stands at 9 o'clock on Tuesday, 24 November. */
@HttpTest
class JotStoresHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void stocked() {
        tove = Visitor.stocked(port, "Jot");
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
    }

    private Answer write(String line) {
        return tove.post("/jot", Map.of("line", line, "key", UUID.randomUUID().toString()));
    }

    private static String said(Answer answer) {
        return answer.page()
                .select(".notice, #refused, #jot-echo mark, #jot-echo .bad-word")
                .text();
    }

    private Answer takenBack(Answer done) {
        Answer back = tove.post(Visitor.form(done.page(), ".notice form", Map.of()));
        assertThat(said(back)).contains("Taken back");
        return back;
    }

    private String stores() {
        return tove.get("/stores").page().select("main").text()
                + tove.get("/stores/supplies").page().select("main").text();
    }

    @Test
    void theRackIsWeighedByALine() {
        tove.submit(
                "/stores",
                "form[action$=herbs]",
                Map.of("herb", "Yarrow", "amount", "200 g", "moisture", "FRESH", "cut", "WHOLE"));
        String lot = tove.get("/stores").page().select("a:contains(Yarrow)").attr("href");
        assertThat(tove.submit(lot, "#do-dry", Map.of()).status()).isEqualTo(200);
        Answer weighed = write("yarrow weighs 60 g, bends");
        assertThat(said(weighed)).contains("Yarrow, on the rack: weighs 60 g, still bends");
        assertThat(tove.get("/stores/drying").page().text()).contains("60 g");
        takenBack(weighed);
        assertThat(said(write("yarrow 900 g"))).as("more than was laid out").contains("Nothing was written");
        assertThat(said(write("yarrow weighs 60 g tomorrow"))).isNotEmpty();
        assertThat(said(write("yarrow weighs 60 g - damp yet")))
                .as("words nobody keeps are not dropped")
                .contains("damp yet", "Nothing was written");
        Answer down = write("yarrow 34 g, snaps, taken down");
        assertThat(said(down)).contains("weighs 34 g, snaps, taken down, dried");
        assertThat(stores()).contains("34 g");
        takenBack(down);
        assertThat(tove.get("/stores/drying").page().select("main").text())
                .contains("Yarrow")
                .doesNotContain("34 g");
    }

    @Test
    void theStoresAreDrawnFromAndCountedByALine() {
        Answer used = write("rapeseed used 100 ml; beeswax 350 g left - weighed anew");
        assertThat(said(used)).contains("drew 100 mL", "350 g left");
        assertThat(stores()).contains("900 mL", "350 g");
        takenBack(used);
        assertThat(stores()).contains("1 L", "400 g");
        assertThat(said(write("rapeseed used 3 l"))).contains("is left", "Nothing was written");
        assertThat(said(write("beeswax used 20 g tomorrow"))).isNotEmpty();
        Answer came = write("came in: 2 l rapeseed 14.90; beeswax used 50 g");
        assertThat(said(came)).contains("Came in: 2 L of cold-pressed rapeseed, sealed, for 14.90 EUR");
        assertThat(stores()).contains("350 g");
        takenBack(came);
        assertThat(stores()).contains("400 g");
        assertThat(said(write("came in: 2 l rapeseed; beeswax used 5 kg"))).contains("Nothing was written");
        assertThat(tove.get("/stores").page().select("a:contains(rapeseed)"))
                .as("none of it")
                .hasSize(1);
        Answer out = write("beeswax thrown out, spilled - the cat");
        assertThat(said(out)).contains("thrown out");
        assertThat(stores()).doesNotContain("400 g");
        takenBack(out);
    }

    /** What is bought is put away with its price; coins that are none are refused. */
    @Test
    void whatCameInHasItsPrice() {
        Answer came = write("bought 100 g shea butter for 6.50");
        assertThat(said(came)).contains("100 g of shea butter, sealed, for 6.50 EUR");
        String lot = tove.get("/stores").page().select("a:contains(Shea)").attr("href");
        assertThat(tove.get(lot).page().select("main").text()).contains("6.50");
        assertThat(said(write("came in: a good mood"))).isNotEmpty();
    }

    @Test
    void whatIsBeingTypedIsOffered() {
        Document page = tove.get("/jot/echo?line=rapes").page();
        assertThat(page.select(".jot-ahead [data-jot]").eachAttr("data-jot")).allMatch(one -> one.contains("apeseed"));
        assertThat(page.select(".jot-ahead [data-jot]")).isNotEmpty();
        String named = page.select(".jot-ahead [data-jot]").first().attr("data-jot");
        Document next = tove.get("/jot/echo?line=" + named.replace(" ", "+")).page();
        assertThat(next.select(".jot-ahead [data-jot]").eachAttr("data-jot")).contains(named + " opened");
    }

    @Test
    void aMeltAndWhatCameOfItByALine() {
        tove.submit("/stores/supplies", "#add-container", Map.of("name", "Pot", "holds", "15 mL", "pieces", "40"));
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "300 mL", "width", "70 mm", "pieces", "5"));
        tove.post(Visitor.form(tove.get("/bench?amount=10+g&start=2026-11-21").page(), "#bench", Map.of()));
        assertThat(said(write("nettle strained 95 ml"))).contains("strained");
        Answer settled = write("nettle oil settled 80 g, no water");
        assertThat(said(settled)).contains("settled, 80 g clear, no water");
        takenBack(settled);
        Answer bottled = write("nettle oil bottled 1x30 in clear glass");
        assertThat(said(bottled)).contains("bottled 1 × 30 mL, clear glass");
        takenBack(bottled);
        String oil = tove.get("/cupboard").page().select(".bottle").attr("href").substring(10);
        String pot =
                tove.get("/pan").page().select("#into option:contains(Pot)").attr("value");
        String making = tove.post(Visitor.form(
                        tove.get("/pan?was=salve&kind=salve&much=2&oil=%s&into=%s".formatted(oil, pot))
                                .page(),
                        "#pan",
                        Map.of()))
                .path();
        assertThat(making).startsWith("/pan/");
        Answer fixed = write("melt melted; melt spoon soft, +4 g wax");
        assertThat(said(fixed)).contains("melted clear", "tested soft", "+ 4 g beeswax");
        assertThat(tove.get(making).page().select("main").text()).contains("4 g");
        takenBack(fixed);
        assertThat(said(write("melt +4 kg wax"))).contains("not in the stores");
        assertThat(said(write("melt poured 41"))).contains("Only 40", "Nothing was written");
        Answer poured = write("melt off the heat at 70; melt poured 2");
        assertThat(said(poured)).contains("off the heat, on the table, 70 °C", "poured 2");
        assertThat(tove.get("/cupboard").page().select("a.goods")).isNotEmpty();
        Answer skin = write("Inga reacted to the salve: slight, arm");
        assertThat(said(skin)).contains("Inga reacted, slight, arm");
        assertThat(tove.get("/book/reactions").page().text()).contains("Inga");
        takenBack(skin);
        Document grave = tove.get("/jot/echo?line=Inga+reacted+to+the+salve:+slight,+face")
                .page();
        assertThat(grave.select("#jot-echo .alarm").text())
                .as("before it is written")
                .contains("Get medical help now");
        assertThat(tove.get("/jot/echo?line=Inga+reacted+to+the+salve:+slight,+arm")
                        .page()
                        .select(".alarm"))
                .isEmpty();
        Answer urgent = write("Inga reacted to the salve: strong, arm");
        assertThat(urgent.path()).startsWith("/book/reactions");
        assertThat(urgent.page().select("#urgent").text()).as("and it stays").contains("Get medical help now");
        assertThat(said(urgent)).startsWith("Get medical help now.");
        takenBack(urgent);
        assertThat(said(write("salve 2 - not for her; Inga reacted to the salve: slight - by the fire")))
                .as("half of it is none of it")
                .isNotEmpty();
    }

    /** A way back that was made up leads nowhere. */
    @Test
    void noWayBackIsMadeUp() {
        for (String did : new String[] {"", "x", "entry", "entry.a.b", "lot.." + UUID.randomUUID(), "deed.1.2.3"}) {
            assertThat(tove.post("/jot/undo", Map.of("did", did)).status())
                    .as(did)
                    .isEqualTo(404);
        }
        for (String kind :
                new String[] {"lot", "jar", "skin", "deed", "opened", "down", "weighed", "entry", "pan", "moved"}) {
            String did = "%s.%s.%s".formatted(kind, UUID.randomUUID(), UUID.randomUUID());
            assertThat(tove.post("/jot/undo", Map.of("did", did)).status())
                    .as(did)
                    .isGreaterThanOrEqualTo(400);
        }
    }
}
