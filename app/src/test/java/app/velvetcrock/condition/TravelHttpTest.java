package app.velvetcrock.condition;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.DangerTable;
import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.io.IOException;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * What is wrong travels, by the table of situations: a bottle of oil and a bag of herb went into a jar, its oil into eleven pots of salve,
 * of which one was given away, one taken back and two melted again; some of the bottle went into a blend.
 */
@HttpTest
class TravelHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String herb;
    private String bottle;
    private String blend;
    private String batch;
    private String jug;
    private String making;
    private String tins;
    private String remelt;
    private String condition;

    @TestFactory
    Stream<DynamicTest> eachPageSaysWhatTheTableSays() throws IOException {
        return DangerTable.read("dangers-travel.txt").tests(this::comes, this::page);
    }

    /** The household, and then what happens in it. */
    private void comes(String situation) {
        house();
        switch (situation) {
            case "bottle off" -> wrong(bottle, "OFF", "like crayons");
            case "recalled herb" -> wrong(herb, "ON_HOLD", "recalled by its seller");
            case "jug off" -> smellsOff(jug);
            case "tins off" -> smellsOff(tins);
            case "water in the jug" -> wrong(jug, "WATER", "");
            case "never so" -> {
                wrong(bottle, "OFF", "");
                answer(bottle, "NOT_SO");
            }
            case "jug thrown out rancid" -> throwOut(jug, "RANCID");
            case "thrown out, tins well" -> {
                throwOut(jug, "RANCID");
                answer(tins, "DEALT_WITH");
            }
            case "thrown out and taken back" -> {
                throwOut(jug, "RANCID");
                tove.submit(batch, ".log li:contains(Thrown out) form", Map.of());
            }
            case "bottle thrown out rancid" -> tove.submit(
                    bottle, "#do-discard", Map.of("note", "like crayons", "ruin", "RANCID"));
            case "bottle thrown out spilled" -> tove.submit(
                    bottle, "#do-discard", Map.of("note", "it fell", "ruin", "SPILLED"));
            case "draw cut off" -> {
                tove.post(remelt + "/lines/" + line(remelt) + "/undo", Map.of());
                wrong(bottle, "OFF", "");
            }
            case "all used up" -> {
                wrong(herb, "ON_HOLD", "recalled");
                tove.submit(herb, "form[action$=draw]", Map.of("amount", "160 g", "why", "DRAWN"));
            }
            default -> throw new IllegalArgumentException("no such situation: " + situation);
        }
    }

    private void house() {
        tove = Visitor.stocked(port, "Travels");
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
        tove.submit("/stores/supplies", "#add-container", Map.of("name", "Pot", "holds", "15 mL", "pieces", "40"));
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "jojoba", "amount", "500 mL"));
        herb = tove.get("/stores").page().select("tr:contains(Nettle) a").attr("href");
        bottle = tove.get("/stores").page().select("tr:contains(Rapeseed) a").attr("href");
        Document supplies = tove.get("/stores/supplies").page();
        blend = tove.submit(
                        "/stores/supplies",
                        "#add-blend",
                        Map.of(
                                "blend",
                                "Light blend",
                                "from1",
                                supplies.select("#b-from1 option:contains(rapeseed)")
                                        .attr("value"),
                                "amount1",
                                "100 mL",
                                "from2",
                                supplies.select("#b-from1 option:contains(Jojoba)")
                                        .attr("value"),
                                "amount2",
                                "100 mL"))
                .page()
                .select("a:contains(Light blend)")
                .attr("href");
        String rapeseed = tove.get("/bench")
                .page()
                .select("#carrier option:contains(Rapeseed)")
                .attr("value");
        batch = tove.post(Visitor.form(
                        tove.get("/bench?amount=40+g&start=2026-11-20&carrier=" + rapeseed)
                                .page(),
                        "#bench",
                        Map.of()))
                .path();
        tove.submit(
                batch.replace("batch", "press"),
                "form[action*=press]",
                Map.of("out", "200 g", "on", "2026-11-22 10:00"));
        jug = tove.get("/cupboard").page().select(".bottle").attr("href");
        String pot =
                tove.get("/pan").page().select("#into option:contains(Pot)").attr("value");
        making = tove.post(Visitor.form(
                        tove.get("/pan?was=salve&kind=salve&much=11&oil=" + jug.substring(10) + "&into=" + pot)
                                .page(),
                        "#pan",
                        Map.of("when", "2026-11-23T08:00")))
                .path();
        Answer poured = tove.post(making + "/pour", Map.of("into", pot, "count", "11", "when", "2026-11-23T09:00"));
        assertThat(poured.status())
                .as(poured.page().select("#refused, .bad").text()
                        + poured.page().select("#into").text())
                .isEqualTo(200);
        tins = tove.get("/cupboard").page().select("a.goods").attr("href");
        take("GIVEN", "2026-11-23 12:00");
        remelt = tove.submit(tins, "#remelt form", Map.of("count", "2")).path();
    }

    private String take(String why, String when) {
        return tove.post(tins + "/take", Map.of("count", "1", "why", why, "when", when, "key", UUID.randomUUID() + ""))
                .page()
                .select("main")
                .text();
    }

    private void wrong(String page, String what, String words) {
        Answer said = tove.submit(page, "form[action$=wrong]", Map.of("what", what, "words", words));
        assertThat(said.status()).as(said.page().select(".refused").text()).isEqualTo(200);
    }

    private void smellsOff(String page) {
        tove.submit(page, "form[action$=sniff]", Map.of("smell", "OFF"));
    }

    private void throwOut(String page, String ruin) {
        tove.submit(page, "form[action$=discard]", Map.of("ruin", ruin, "lesson", "It stood warm."));
    }

    private void answer(String page, String how) {
        condition = tove.get(page).page().select("a[href*=conditions]").attr("href");
        Answer answered = tove.post(condition + "/answer", Map.of("answer", how, "words", "smelled it twice"));
        assertThat(answered.status()).isEqualTo(200);
    }

    private String line(String of) {
        return tove.get(of)
                .page()
                .select(".making-log form[action*=lines]")
                .attr("action")
                .replaceAll(".*lines/(.*)/undo", "$1");
    }

    private String page(String name) {
        return switch (name) {
            case "banner" -> text("/stores/convert", ".wrongs");
            case "rounds" -> text("/shelf", ".rounds");
            case "stores" -> text("/stores", "table");
            case "herb" -> text(herb, "main");
            case "bottle" -> text(bottle, ".wrong");
            case "blend" -> text(blend, ".wrong");
            case "batch" -> text(batch, ".wrong");
            case "batch label" -> text(batch + "/label", ".ink-label");
            case "jug" -> text(jug, ".wrong, main form");
            case "jug label" -> text(jug + "/label", ".ink-label");
            case "cupboard shelf" -> text("/cupboard", ".bottles");
            case "cupboard rows" -> text("/cupboard", ".bottle .bad-word");
            case "tins" -> text(tins, ".wrong, #take");
            case "tins label" -> text(tins + "/label", ".ink-label");
            case "making" -> text(making, ".wrong");
            case "remelt" -> text(remelt, ".wrong");
            case "pan" -> text("/pan", "main");
            case "pan oils" -> text("/pan", "select[name=oil] option[value~=^0]");
            case "bench oils" -> text("/bench", "#carrier");
            case "answer tins" -> text(
                    tove.get(tins).page().select("a[href*=conditions]").attr("href"), "main");
            case "feed" -> feed();
            case "gate give tins" -> take("GIVEN", "");
            case "gate sell tins" -> take("SOLD", "");
            case "gate use tins" -> take("DRAWN", "");
            case "gate give tins yesterday" -> take("GIVEN", "2026-11-23 18:00");
            case "gate remelt tins" -> gate("/pan/remelt/" + tins.substring(16), Map.of("count", "1"));
            case "gate give jug" -> gate(jug + "/draw", Map.of("amount", "5 mL", "why", "GIVEN"));
            case "gate sell jug" -> gate(jug + "/draw", Map.of("amount", "5 mL", "why", "SOLD"));
            case "gate bottle jug" -> gate(
                    jug + "/bottle", Map.of("count", "1", "size", "50 mL", "glass", "DARK", "place", "COOL_DARK"));
            case "gate draw bottle" -> gate(bottle + "/draw", Map.of("amount", "5 mL", "why", "DRAWN"));
            case "gate draw blend" -> gate(blend + "/draw", Map.of("amount", "5 mL", "why", "DRAWN"));
            default -> throw new IllegalArgumentException("no such page: " + name);
        };
    }

    private String text(String path, String what) {
        Answer there = tove.get(path);
        assertThat(there.status()).as(path).isEqualTo(200);
        return there.page().select(what).text();
    }

    private String gate(String path, Map<String, String> fields) {
        return tove.post(path, fields).page().body().text();
    }

    private String feed() {
        String address = tove.post("/settings/calendar", Map.of())
                .page()
                .getElementById("address")
                .attr("value");
        return tove.get(address.replaceAll("https?://[^/]*", "")).raw().body().replaceAll("\r?\n ", "");
    }
}
