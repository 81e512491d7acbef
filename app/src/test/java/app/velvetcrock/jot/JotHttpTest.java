package app.velvetcrock.jot;

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

/** One line of shorthand, all of it or none. The clock stands at 9 o'clock on Tuesday, 24 November. */
@HttpTest
class JotHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String nettle;
    private String other;

    @BeforeEach
    void twoJars() {
        tove = Visitor.stocked(port, "Jot");
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "300 mL", "width", "70 mm", "pieces", "5"));
        nettle = start();
        other = start();
    }

    private String start() {
        Answer started = tove.post(
                Visitor.form(tove.get("/bench?amount=10+g&start=2026-11-21").page(), "#bench", Map.of()));
        assertThat(started.path()).startsWith("/batch/");
        return started.path();
    }

    private Answer write(String line) {
        return tove.post("/jot", Map.of("line", line, "key", UUID.randomUUID().toString()));
    }

    private Document echo(String line) {
        return tove.get("/jot/echo?line=" + java.net.URLEncoder.encode(line, java.nio.charset.StandardCharsets.UTF_8))
                .page();
    }

    private List<String> log(String batch) {
        return tove.get(batch).page().select(".log li").eachText();
    }

    /** The echo is what the notice and the log then say; taken back by one tap, all of it. */
    @Test
    void whatIsUnderstoodIsWrittenAndTakenBackAsOne() {
        Document echo = echo("nettle 1 shaken yesterday 18:30, smells green; 2 topped up 20 ml - a little dry");
        assertThat(echo.select("#jot-echo p:has(b)").eachText())
                .containsExactly(
                        "Nettle, jar 1: shaken, smells green · 23 Nov 2026, 18:30",
                        "Nettle, jar 2: topped up with 20 mL, “a little dry” · now");
        assertThat(log(nettle)).as("an echo writes nothing").hasSize(1);
        Answer done = write("nettle 1 shaken yesterday 18:30, smells green; 2 topped up 20 ml - a little dry");
        assertThat(done.status()).isEqualTo(200);
        assertThat(done.page().select(".notice").text())
                .contains("Nettle, jar 1: shaken, smells green; Nettle, jar 2: topped up with 20 mL, “a little dry”.");
        assertThat(String.join(" ", log(nettle))).contains("Shake", "herb under the oil", "18:30");
        assertThat(String.join(" ", log(other))).contains("20 mL", "a little dry");
        Answer back = tove.post(Visitor.form(done.page(), ".notice form", Map.of()));
        assertThat(back.page().select(".notice").text()).contains("Taken back");
        assertThat(back.path()).isEqualTo("/jot");
        assertThat(tove.get(other)
                                .page()
                                .select(".log del, .log s, .log .struck")
                                .text()
                        + log(other))
                .contains("20 mL");
        assertThat(tove.get("/shelf").page().select(".go-round").text()).contains("2 jars");
    }

    /** While a word is in doubt nothing is written; its choices are one tap; what was typed stays. */
    @Test
    void whatIsInDoubtIsMarkedAndNothingIsWritten() {
        for (String line : List.of(
                "nettle shaken",
                "1 danced",
                "1 shaken danced",
                "shaken",
                "thyme shaken",
                "1 46.2",
                "1 shaken; 2 topped up")) {
            Answer refused = write(line);
            assertThat(refused.status()).as(line).isEqualTo(422);
            assertThat(refused.page().select("#line").attr("value")).isEqualTo(line);
            assertThat(refused.page().select("#refused").text()).isNotEmpty();
            assertThat(refused.page().select("#jot-echo button")).isEmpty();
        }
        assertThat(log(nettle)).hasSize(1);
        Document asked = echo("nettle shaken");
        assertThat(asked.select(".jot-line mark").text()).isEqualTo("nettle");
        assertThat(asked.select("[data-jot]").eachAttr("data-jot"))
                .containsExactly("Nettle 1 shaken", "Nettle 2 shaken");
        assertThat(write(asked.select("[data-jot]").first().attr("data-jot")).status())
                .isEqualTo(200);
        assertThat(String.join(" ", log(nettle))).contains("Shake");
    }

    /** What is said of a look is one look, and what nobody spoke of stays: the herb stands out until it is pushed under. */
    @Test
    void severalSayingsAreOneLook() {
        assertThat(write("1 stands out, smells green").status()).isEqualTo(200);
        assertThat(String.join(" ", log(nettle))).contains("smells right, herb stands out of the oil");
        assertThat(write("1 smells green").status()).isEqualTo(200);
        assertThat(tove.get("/shelf").page().select(".tag:contains(Nettle 1)").text())
                .contains("standing out");
        assertThat(write("2 looks ok").status()).isEqualTo(200);
        assertThat(String.join(" ", log(other))).as("nobody smelled it").contains("not smelled, herb under the oil");
        assertThat(tove.get("/round?at=" + other.substring(7))
                        .page()
                        .select(".walk-it")
                        .text())
                .as("so it is still asked")
                .contains("open it and smell");
        Answer both = write("2 stands out, pushed under - more leaf than last year");
        assertThat(both.page().select(".notice").text()).contains("herb stands out, pushed under");
        assertThat(tove.get("/shelf").page().select(".tag:contains(Nettle 2)").text())
                .doesNotContain("standing out");
        assertThat(write("2 water under it - a finger's width").status()).isEqualTo(200);
        assertThat(log(other).stream().filter(line -> line.contains("a finger's width")))
                .as("its words stand once")
                .hasSize(1);
    }

    /** Half a line that may not be is none of it: the second jar cannot be topped up with more than there is. */
    @Test
    void allOfALineOrNone() {
        Answer refused = write("1 shaken; 2 topped up 4 l");
        assertThat(refused.status()).isGreaterThanOrEqualTo(400);
        assertThat(refused.page().select("#refused").text()).contains("the bottle holds");
        assertThat(log(nettle)).hasSize(1);
        String key = UUID.randomUUID().toString();
        for (int twice = 0; twice < 2; twice++) {
            assertThat(tove.post("/jot", Map.of("line", "1 shaken", "key", key)).status())
                    .isEqualTo(200);
        }
        assertThat(log(nettle)).hasSize(2);
        assertThat(write("1 shaken tomorrow 8:00").status()).isEqualTo(422);
        assertThat(write("1 shaken on 1 Nov 2026").status())
                .as("before it was begun")
                .isEqualTo(422);
        Answer mould = write("2 mould on top");
        assertThat(mould.page().select(".notice").text()).contains("Nettle, jar 2: mould");
        assertThat(write("2 shaken").status())
                .as("what is mouldy is not shaken")
                .isGreaterThanOrEqualTo(400);
        assertThat(write("2 thrown out, mould - the jar was wet").status()).isEqualTo(200);
        assertThat(tove.get("/press").page().text()).contains("mould: the jar was wet");
    }

    /** A straining, what is drawn of the oil, and to whom it went: each by the rules of its own page, and taken back as one. */
    @Test
    void fromTheJarToWhoeverHasIt() {
        assertThat(write("1 strained 4 l").page().select("#refused").text())
                .as("more than went in")
                .contains("went in", "Nothing was written");
        Answer strained = write("1 strained 95 ml dripped, smells green - next time longer");
        assertThat(strained.status())
                .as(strained.page().select("#refused").text())
                .isEqualTo(200);
        assertThat(String.join(" ", log(nettle))).contains("95 mL", "smells right", "next time longer");
        String bottle = tove.get("/cupboard").page().select(".bottle").attr("href");
        assertThat(tove.get(bottle).page().select("main").text()).contains("95 mL");
        assertThat(write("nettle drew 5 l").page().select("#refused").text()).contains("95 mL is left");
        Answer gone = write("nettle oil 1 drew 5 ml; gave 10 ml to Inga - for her hands");
        assertThat(gone.page().select(".notice").text())
                .as(gone.page().select("#refused").text())
                .contains("rapeseed, batch 1: drew 5 mL; Nettle in cold-pressed rapeseed, batch 1: gave 10 mL to Inga");
        assertThat(left(bottle)).contains("80 mL");
        assertThat(tove.get("/cupboard/people").page().text()).contains("Inga");
        tove.post(Visitor.form(gone.page(), ".notice form", Map.of()));
        assertThat(left(bottle)).as("both taken back").contains("95 mL");
        tove.submit(bottle, "form[action$=bottle]", Map.of("size", "30 mL", "count", "2"));
        for (String which : List.of("smells rancid", "thrown out, rancid", "mould")) {
            assertThat(write("nettle oil 1 " + which).page().select("#refused").text())
                    .as("which of three bottles: " + which)
                    .contains("There are 3 of");
        }
        assertThat(write("nettle oil 1 drew 2 ml").status()).isEqualTo(200);
    }

    @Test
    void whatSmellsOffIsGivenToNobody() {
        assertThat(write("1 strained 95 ml").status()).isEqualTo(200);
        assertThat(write("nettle oil 1 smells rancid").status()).isEqualTo(200);
        assertThat(write("nettle oil 1 gave 5 ml to Inga").status())
                .as("what smells off is given to nobody")
                .isGreaterThanOrEqualTo(400);
        assertThat(write("nettle oil 1 hardly smells").page().select("#refused").text())
                .contains("good or off");
    }

    private String left(String thing) {
        return tove.get(thing).page().select("#left, .left, main").text();
    }

    @Test
    void whatIsCountedIsTakenByThePiece() {
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
        tove.submit("/stores/supplies", "#add-container", Map.of("name", "Pot", "holds", "15 mL", "pieces", "40"));
        assertThat(write("1 strained 95 ml").status()).isEqualTo(200);
        String oil = tove.get("/cupboard").page().select(".bottle").attr("href").substring(10);
        String pot =
                tove.get("/pan").page().select("#into option:contains(Pot)").attr("value");
        String making = tove.post(Visitor.form(
                        tove.get("/pan?was=salve&kind=salve&much=2&oil=%s&into=%s".formatted(oil, pot))
                                .page(),
                        "#pan",
                        Map.of()))
                .path();
        tove.post(making + "/pour", Map.of("into", pot, "count", "2", "when", ""));
        Document page = tove.get("/cupboard").page();
        String pots = page.select("a.goods").attr("href");
        assertThat(tove.get(pots).page().select("#left").text()).contains("2 ×");
        assertThat(write("sold 3 salves").page().select("#refused").text()).contains("there are 2");
        Answer gave = write("gave a salve to Inga; 2 shaken");
        assertThat(gave.page().select(".notice").text())
                .as(gave.page().select("#refused, mark").text())
                .contains("gave 1 to Inga; Nettle, jar 2: shaken");
        assertThat(tove.get(pots).page().select("#left").text()).contains("1 ×");
        tove.post(Visitor.form(gave.page(), ".notice form", Map.of()));
        assertThat(tove.get(pots).page().select("#left").text()).contains("2 ×");
        assertThat(write("salve smells rancid - only the lid").status()).isEqualTo(200);
        assertThat(write("sold a salve").status()).as("held back").isGreaterThanOrEqualTo(400);
        assertThat(write("salve thrown out, rancid").status()).isEqualTo(200);
        assertThat(tove.get("/cupboard").page().select("a.goods")).isEmpty();
    }

    /** Written over a page it leads back to that page, and never out of the house. */
    @Test
    void itLeadsBackToThePageItWasWrittenOver() {
        for (String[] to : new String[][] {
            {"/stores?sort=name", "/stores"}, {"//elsewhere.example/x", "/jot"}, {"https://elsewhere.example", "/jot"},
            {"/\\elsewhere.example", "/jot"}, {"/stores\r\nX: y", "/jot"}, {"", "/jot"}
        }) {
            Answer done = tove.post(
                    "/jot",
                    Map.of(
                            "line",
                            "1 looks ok",
                            "back",
                            to[0],
                            "key",
                            UUID.randomUUID().toString()));
            assertThat(done.path()).as(to[0]).isEqualTo(to[1]);
            Answer back = tove.post(Visitor.form(done.page(), ".notice form", Map.of()));
            assertThat(back.path()).as(to[0]).isEqualTo(to[1]);
        }
        assertThat(tove.get("/jot?part=inner").page().select("form#jot input[name=back]"))
                .hasSize(1);
    }

    @Test
    void whatAnybodyMayTypeIsAnswered() {
        for (String line : List.of(
                "", " ", "\"", ";;;", "%", "<b>1</b> shaken", "x".repeat(501), "1 - ", "薬 shaken", "1 shaken\u0000")) {
            assertThat(write(line).status()).as(line).isIn(400, 422);
        }
        assertThat(tove.post("/jot", Map.of()).status()).isEqualTo(422);
        assertThat(tove.get("/jot").page().select("[data-jot]").text()).contains("nettle 1 shaken, smells green");
        assertThat(log(nettle)).hasSize(1);
    }
}
