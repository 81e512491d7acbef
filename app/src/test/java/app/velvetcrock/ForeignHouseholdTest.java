package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.devices.Teller;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every mapped route has a case in which another household tries it; a new route without one fails here. */
@HttpTest
class ForeignHouseholdTest {

    private static final String SECRET = "Fulmar cellar";

    /** Sixteen by sixteen points, black. */
    private static final String PICTURE =
            "iVBORw0KGgoAAAANSUhEUgAAABAAAAAQCAIAAACQkWg2AAAAEElEQVR4nGNgGAWjYBTAAAADEAABPywr" + "7AAAAABJRU5ErkJggg==";

    @LocalServerPort
    int port;

    @Autowired
    JdbcClient sql;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    RequestMappingHandlerMapping mappings;

    private Visitor owner;
    private Visitor stranger;
    private String batch;
    private String herbLot;
    private String carrierLot;
    private String jar;
    private String entry;
    private String strained;
    private String oil;
    private String drawing;
    private String deed;
    private String drying;
    private String weighing;
    private String kit;
    private String recipe;
    private String way;
    private String keptRecipe;
    private String resident;
    private String absence;
    private String feed;
    private String condition;
    private String asked;
    private String making;
    private String errand;
    private String keptFormula;
    private String step;
    private String good;
    private String taken;
    private String printing;
    private String code;
    private String person;
    private String gifts;
    private String gift;
    private String stall;
    private String twins;
    private String reaction;
    private final UUID gathering = UUID.randomUUID();

    @BeforeEach
    void twoHouseholds() {
        owner = Visitor.stocked(port, SECRET);
        batch = owner.post(Visitor.form(owner.get("/bench?amount=40+g").page(), "#bench", Map.of()))
                .path()
                .substring(7);
        owner.post("/batch/" + batch + "/note", Map.of("key", UUID.randomUUID().toString(), "words", SECRET));
        Document bench = owner.get("/bench").page();
        herbLot = bench.select("#herb option").first().attr("value");
        carrierLot = bench.select("#carrier option").first().attr("value");
        jar = bench.select("#jar option").last().attr("value");
        entry = owner.get("/batch/" + batch)
                .page()
                .select("form[action*=entries]")
                .first()
                .attr("action")
                .replaceAll(".*/entries/(.*)/undo", "$1");
        strained = owner.post(Visitor.form(owner.get("/bench?amount=30+g").page(), "#bench", Map.of()))
                .path()
                .substring(7);
        owner.submit("/press/" + strained, "form[action*=press]", Map.of("out", "150 g"));
        oil = owner.get("/cupboard").page().select("main .bottle").attr("href").substring(10);
        owner.submit("/cupboard/" + oil, "form[action$=draw]", Map.of("amount", "20 mL"));
        drawing = owner.get("/cupboard/" + oil)
                .page()
                .select("form[action*=movements]")
                .attr("action")
                .replaceAll(".*movements/(.*)/undo", "$1");
        owner.post("/stores/catalogue/herbs", Map.of("common", SECRET, "part", "LEAF", "ratio", "1:5"));
        owner.post("/stores/lots/" + herbLot + "/draw", Map.of("amount", "7 g", "why", "DRAWN"));
        deed = owner.get("/stores/lots/" + herbLot)
                .page()
                .select("form[action*=deeds]")
                .attr("action")
                .replaceAll(".*deeds/(.*)/undo", "$1");
        owner.submit(
                "/stores", "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "300 g", "moisture", "FRESH"));
        String wet = owner.get("/stores").page().select("tr:contains(fresh) a").attr("href");
        owner.post(wet + "/dry", Map.of());
        drying = owner.get("/stores/drying")
                .page()
                .select("form[action$=weigh]")
                .attr("action")
                .replaceAll(".*drying/(.*)/weigh", "$1");
        owner.post("/stores/drying/" + drying + "/weigh", Map.of("mass", "250 g"));
        weighing = owner.get("/stores/drying")
                .page()
                .select("form[action*=weighings]")
                .attr("action")
                .replaceAll(".*weighings/(.*)/undo", "$1");
        owner.post("/stores/kit", Map.of("kind", "POT", "name", SECRET, "pieces", "1"));
        kit = owner.get("/stores/kit")
                .page()
                .select("form[action*=undo]")
                .attr("action")
                .replaceAll(".*kit/(.*)/undo", "$1");
        recipe = owner.post("/stores/recipes", Map.of("title", SECRET, "body", "1 cup olive oil", "act", "keep"))
                .path()
                .substring("/stores/recipes/".length());
        owner.post(Visitor.form(owner.get("/bench").page(), "#bench", Map.of("called", SECRET))
                .to("/bench/ways"));
        way = owner.get("/bench")
                .page()
                .select("button[formaction*=ways/]")
                .attr("formaction")
                .replaceAll(".*ways/(.*)/undo", "$1");
        keptRecipe = owner.post("/bench/recipes/from/" + batch, Map.of()).path().substring("/bench/recipes/".length());
        owner.submit("/settings/hours", "#new-person", Map.of("name", SECRET));
        resident = owner.get("/settings/hours").page().select("input[name=id]").attr("value");
        absence = owner.submit("/settings/hours", "#new-exception", Map.of("first", "2026-12-01"))
                .page()
                .select("form[action*=exceptions/]")
                .attr("action")
                .replaceAll(".*exceptions/(.*)/undo.*", "$1");
        feed = owner.post("/settings/calendar", Map.of())
                .page()
                .getElementById("address")
                .attr("value")
                .replaceAll("https?://[^/]*", "");
        owner.post("/cupboard/" + oil + "/draw", Map.of("amount", "1 mL", "why", "GIVEN"));
        owner.post("/cupboard/" + oil + "/wrong", Map.of("what", "ON_HOLD"));
        asked = owner.get("/shelf")
                .page()
                .select("form[action*=conditions/asked]")
                .attr("action")
                .replace("/conditions/asked/", "");
        condition = owner.get("/cupboard/" + oil)
                .page()
                .select("a[href*=conditions]")
                .attr("href")
                .replace("/conditions/", "");
        owner.submit(
                "/stores/supplies", "#add-container", Map.of("name", SECRET + " tin", "holds", "60 mL", "pieces", "9"));
        owner.submit("/stores/to-buy", "form[action$=to-buy]", Map.of("words", SECRET + " tin"));
        errand = owner.get("/stores/to-buy")
                .page()
                .select("form[action$=got]")
                .attr("action")
                .replaceAll(".*to-buy/(.*)/got", "$1");
        making = owner.post(Visitor.form(
                        owner.get("/pan?kind=salve&was=salve&much=100+g&oil=" + carrierLot)
                                .page(),
                        "#pan",
                        Map.of("bring", "yes")))
                .path()
                .substring(5);
        keptFormula = owner.post("/pan/" + making + "/recipe", Map.of()).path().substring("/pan/recipes/".length());
        String tin = owner.get("/pan").page().select("#into option").last().attr("value");
        owner.post("/pan/" + making + "/pour", Map.of("into", tin, "count", "1"));
        step = owner.get("/pan/" + making)
                .page()
                .select(".making-log form[action*=lines]")
                .attr("action")
                .replaceAll(".*lines/(.*)/undo", "$1");
        good = owner.get("/cupboard").page().select("a.goods").attr("href").substring("/cupboard/goods/".length());
        owner.post("/cupboard/goods/" + good + "/take", Map.of("count", "1", "why", "DISCARDED"));
        Answer printed = owner.post("/labels/print?of=lot." + good + ".2", Map.of());
        printing = printed.path().replace("/labels/jobs/", "");
        owner.post("/cupboard/people", Map.of("nickname", SECRET));
        String longer = owner.post(
                        Visitor.form(owner.get("/bench?amount=20+g&length=42").page(), "#bench", Map.of()))
                .path()
                .substring(7);
        twins = owner.post("/book/twins", Map.of("one", longer, "other", batch)).path();
        person = owner.get("/cupboard/people").page().select("#people a").attr("href");
        gifts = owner.post("/cupboard/gifts", Map.of("said", "2 people")).path();
        gift = owner.get(gifts)
                .page()
                .select("form[action$=drop]")
                .attr("action")
                .replace("/drop", "");
        owner.post("/book/reactions", Map.of("nickname", SECRET, "lot", oil, "strength", "CLEAR", "on", "yesterday"));
        reaction = owner.get("/book").page().select("#reacted .chip").attr("href");
        sql.sql("insert into gathering_ahead (stillroom_id, id, kind_key, name, year, day, words, planned_at) "
                        + "select stillroom_id, :id, 'nettle', :name, 2027, '2027-06-01', '90 g', now() "
                        + "from batch where id = :batch")
                .param("id", gathering)
                .param("name", SECRET)
                .param("batch", UUID.fromString(batch))
                .update();
        stall = owner.post("/cupboard/stall", Map.of("name", SECRET)).path();
        code = printed.page().select("a[href^=/q/]").text();
        taken = owner.get("/cupboard/goods/" + good)
                .page()
                .select("form[action*=movements]")
                .attr("action")
                .replaceAll(".*movements/(.*)/undo", "$1");
        stranger = Visitor.stocked(port, "Another kitchen");
    }

    @Test
    void everyRouteIsTriedByAStranger() {
        Map<String, Consumer<String>> cases = cases();
        Set<String> routes = routes();
        assertThat(cases.keySet())
                .as("a route without a foreign-household case, or a case without a route")
                .isEqualTo(routes);
        String before = owner.get("/batch/" + batch).page().select("section").text()
                + owner.get("/stores").page().select("table").text()
                + owner.get("/cupboard/" + oil).page().select("section").text();
        cases.forEach((route, attempt) -> attempt.accept(route));
        String after = owner.get("/batch/" + batch).page().select("section").text()
                + owner.get("/stores").page().select("table").text()
                + owner.get("/cupboard/" + oil).page().select("section").text();
        assertThat(after).isEqualTo(before);
        // What was not there for the stranger is there, and can be taken back, for its owner.
        for (String undo : List.of(
                "/conditions/" + condition,
                "/cupboard/" + oil + "/movements/" + drawing,
                "/stores/deeds/" + deed,
                "/stores/drying/" + drying + "/weighings/" + weighing,
                "/stores/kit/" + kit,
                "/bench/recipes/" + keptRecipe,
                "/bench/ways/" + way,
                "/settings/hours/exceptions/" + absence,
                "/settings/hours/" + resident,
                "/batch/" + batch + "/entries/" + entry)) {
            assertThat(owner.post(undo + "/undo", Map.of()).status()).as(undo).isEqualTo(200);
        }
    }

    private void bookCases(Map<String, Consumer<String>> cases) {
        for (String page : List.of(
                "", "/compare", "/twins", "/reactions", "/forecasts", "/next-year", "/seasons", "/own-numbers")) {
            cases.put("GET /book" + page, route -> showsNothing(stranger.get("/book" + page)));
        }
        cases.put(
                "POST /book/twins",
                route -> isNotHere(stranger.post("/book/twins", Map.of("one", batch, "other", strained))));
        cases.put("GET /book/search", route -> showsNothing(stranger.get("/book/search?q=Fulmar")));
        for (String deed : List.of("shipped", "own")) {
            cases.put(
                    "POST /book/own-numbers/" + deed,
                    route -> isNotHere(stranger.post(
                            "/book/own-numbers/" + deed,
                            Map.of(
                                    "herb",
                                    "nettle",
                                    "part",
                                    "LEAF",
                                    "cut",
                                    "CUT_AND_SIFTED",
                                    "moisture",
                                    "DRIED",
                                    "pressing",
                                    "HAND"))));
        }
        cases.put(
                "POST /book/next-year/gather",
                route -> isNotHere(stranger.post("/book/next-year/gather", Map.of("key", "yarrow"))));
        cases.put(
                "POST /book/next-year/buy",
                route -> isNotHere(stranger.post("/book/next-year/buy", Map.of("kind", "CARRIER", "key", "olive"))));
        cases.put("POST /book/next-year/{id}/drop", route -> {
            isNotHere(stranger.post("/book/next-year/" + gathering + "/drop", Map.of()));
            assertThat(owner.post("/book/next-year/" + gathering + "/drop", Map.of())
                            .status())
                    .isEqualTo(200);
        });
        cases.put("GET /book/twins/{twin}", route -> isNotHere(stranger.get(twins)));
        for (String deed : List.of("judge", "open", "forget", "drop")) {
            cases.put(
                    "POST /book/twins/{twin}/" + deed,
                    route -> isNotHere(stranger.post(twins + "/" + deed, everything())));
        }
        cases.put("POST /book/reactions", route -> {
            isNotHere(stranger.post("/book/reactions", Map.of("nickname", "x", "lot", oil, "strength", "CLEAR")));
            isNotHere(stranger.get("/book/reactions?who=" + reaction.replaceAll(".*who=", "")));
        });
        String noted = owner.get(reaction)
                .page()
                .select("#rows form[action$=drop]")
                .attr("action")
                .replaceAll("/drop$", "");
        for (String deed : List.of("again", "drop")) {
            cases.put(
                    "POST /book/reactions/{reaction}/" + deed,
                    route -> isNotHere(stranger.post(noted + "/" + deed, Map.of("strength", "NONE"))));
        }
        for (String deed : List.of("hold", "known")) {
            cases.put(
                    "POST /book/reactions/" + deed,
                    route -> isNotHere(stranger.post(
                            "/book/reactions/" + deed,
                            Map.of("who", reaction.replaceAll(".*who=", ""), "what", "KIND", "key", "nettle"))));
        }
    }

    /** A picture of another household's is not here, in whichever size, and none is put to what is theirs. */
    private void pictureCases(Map<String, Consumer<String>> cases) {
        byte[] seen = Base64.getDecoder().decode(PICTURE);
        String jar = "/pictures/of/BATCH/" + batch.replace("/batch/", "");
        String id = owner.picture(jar + "?what=LOOK&words=" + Visitor.encode(SECRET), "image/png", seen)
                .page()
                .text()
                .replaceAll(".*/pictures/([0-9a-f-]+)/.*", "$1");
        for (String size : List.of("", "/small.jpg", "/whole.jpg")) {
            cases.put("GET /pictures/{id}" + size, route -> isNotHere(stranger.get("/pictures/" + id + size)));
        }
        for (String deed : List.of("words", "drop", "back", "delete")) {
            cases.put(
                    "POST /pictures/{id}/" + deed,
                    route -> isNotHere(stranger.post("/pictures/" + id + "/" + deed, everything())));
        }
        cases.put("GET /pictures/of/{of}/{about}", route -> isNotHere(stranger.get(jar)));
        cases.put("POST /pictures/of/{of}/{about}", route -> {
            isNotHere(stranger.picture(jar + "?what=LOOK", "image/png", seen));
            assertThat(owner.get("/pictures/" + id).page().select("main img").attr("alt"))
                    .contains(SECRET);
        });
    }

    /** What devices say and what streams tell is of one household; its tests say more of both. */
    private void devices(Map<String, Consumer<String>> cases) {
        Document made = owner.submit("/settings/probes", "#make", Map.of("name", SECRET, "kind", "PROBE"))
                .page();
        String device = made.select("form[action$=revoke]").attr("action").replaceAll(".*probes/(.*)/revoke", "$1");
        cases.put("GET /settings/probes", route -> showsNothing(stranger.get("/settings/probes")));
        cases.put(
                "POST /settings/probes",
                route -> showsNothing(stranger.post("/settings/probes", Map.of("name", "probe", "kind", "PROBE"))));
        cases.put(
                "POST /settings/probes/file",
                route -> isNotHere(stranger.post(
                        "/settings/probes/file", Map.of("probe", device, "file", "2026-11-24 08:00;45"))));
        cases.put(
                "POST /settings/probes/{id}/revoke",
                route -> isNotHere(stranger.post("/settings/probes/" + device + "/revoke", Map.of())));
        cases.put(
                "POST /batch/{id}/probe/{device}/{where}",
                route -> isNotHere(stranger.post("/batch/" + batch + "/probe/" + device + "/in", everything())));
        for (String api : new String[] {"POST /api/readings", "POST /api/weighings", "ANY /api/**"}) {
            cases.put(api, route -> assertThat(
                            stranger.post("/api/readings", Map.of()).status())
                    .as("a session opens nothing here")
                    .isEqualTo(401));
        }
        cases.put("GET /scale", route -> {
            Teller.made(port, owner, "SCALE", "scale").says("/api/weighings", "{\"secondsAgo\":1,\"grams\":731}");
            assertThat(owner.get("/scale").raw().body()).contains("731 g");
            assertThat(stranger.get("/scale").status()).isEqualTo(204);
        });
        cases.put("GET /live", route -> {
            try (Listening theirs = Listening.as(port, stranger, "", "")) {
                Listening.rest(300);
                assertThat(theirs.data()).isEmpty();
            }
        });
    }

    private void panCases(Map<String, Consumer<String>> cases) {
        cases.put("POST /pan/begin", route -> {
            Answer answer = stranger.post("/pan/begin", Map.of("oil", carrierLot, "much", "all", "was", "salve"));
            showsNothing(answer);
        });
        for (String deed : new String[] {"sniff", "words"}) {
            cases.put(
                    "POST /cupboard/goods/{lot}/" + deed,
                    route -> isNotHere(stranger.post(
                            "/cupboard/goods/" + good + "/" + deed, Map.of("smell", "OFF", "stem", "x"))));
        }
        cases.put("POST /pan/to-buy", route -> {
            stranger.post("/pan/to-buy", Map.of("oil", carrierLot, "much", "5 kg", "was", "salve"));
            assertThat(owner.get("/stores/to-buy").page().select("#to-buy li")).hasSize(1);
        });
        cases.put("POST /bench/to-buy", route -> {
            stranger.post("/bench/to-buy", Map.of("herb", herbLot, "carrier", carrierLot, "amount", "9 kg"));
            assertThat(owner.get("/stores/to-buy").page().select("#to-buy li")).hasSize(1);
        });
        cases.put("GET /pan/waiting/{batch}", route -> isNotHere(stranger.get("/pan/waiting/" + batch)));
        cases.put(
                "POST /pan/waiting/{batch}/drop",
                route -> isNotHere(stranger.post("/pan/waiting/" + batch + "/drop", Map.of())));
        cases.put(
                "POST /pan/recipes",
                route -> showsNothing(stranger.post("/pan/recipes", Map.of("oil", carrierLot, "much", "1 kg"))));
        for (String part : new String[] {"", "/json"}) {
            cases.put(
                    "GET /pan/recipes/{id}" + part,
                    route -> isNotHere(stranger.get("/pan/recipes/" + keptFormula + part)));
        }
        cases.put(
                "POST /pan/recipes/{id}/undo",
                route -> isNotHere(stranger.post("/pan/recipes/" + keptFormula + "/undo", Map.of())));
        cases.put("POST /stores/catalogue/ceilings", route -> {
            stranger.post(
                    "/stores/catalogue/ceilings", Map.of("oil", "eo-tea-tree", "percent", "1", "source", "theirs"));
            assertThat(owner.get("/stores/catalogue").page().text()).doesNotContain("theirs");
        });
        cases.put("GET /stores/to-buy", route -> showsNothing(stranger.get("/stores/to-buy")));
        cases.put("POST /stores/to-buy", route -> {
            stranger.post("/stores/to-buy", Map.of("words", "theirs"));
            assertThat(owner.get("/stores/to-buy").page().text()).doesNotContain("theirs");
        });
        for (String deed : new String[] {"got", "not-got"}) {
            cases.put(
                    "POST /stores/to-buy/{id}/" + deed,
                    route -> isNotHere(stranger.post("/stores/to-buy/" + errand + "/" + deed, Map.of())));
        }
        cases.put("POST /stores/to-buy/undo", route -> {
            stranger.post("/stores/to-buy/undo", Map.of("id", errand));
            assertThat(owner.get("/stores/to-buy").page().text()).contains(SECRET + " tin");
        });
        cases.put("POST /pan/remelt/{lot}", route -> isNotHere(stranger.post("/pan/remelt/" + good, everything())));
        cases.put("GET /pan/swaps", route -> showsNothing(stranger.get("/pan/swaps?oil=" + carrierLot + "&was=salve")));
        cases.put("GET /pan/{id}/again", route -> isNotHere(stranger.get("/pan/" + making + "/again")));
        cases.put("GET /pan/{id}", route -> isNotHere(stranger.get("/pan/" + making)));
        for (String deed : new String[] {
            "recipe", "test", "correct", "off-heat", "read", "haze", "add", "pour", "turned-out", "note", "back"
        }) {
            cases.put(
                    "POST /pan/{id}/" + deed,
                    route -> isNotHere(stranger.post("/pan/" + making + "/" + deed, everything())));
        }
        for (String deed : new String[] {"did", "skip"}) {
            cases.put(
                    "POST /pan/{id}/" + deed + "/{step}",
                    route -> isNotHere(stranger.post("/pan/" + making + "/" + deed + "/MELT", everything())));
        }
        cases.put(
                "POST /pan/{id}/lines/{entry}/undo",
                route -> isNotHere(stranger.post("/pan/" + making + "/lines/" + step + "/undo", Map.of())));
        for (String page : new String[] {"", "/label"}) {
            cases.put(
                    "GET /cupboard/goods/{lot}" + page,
                    route -> isNotHere(stranger.get("/cupboard/goods/" + good + page)));
        }
        cases.put(
                "POST /cupboard/goods/{lot}/take",
                route -> isNotHere(stranger.post("/cupboard/goods/" + good + "/take", everything())));
        cases.put(
                "POST /cupboard/goods/{lot}/movements/{movement}/undo",
                route -> isNotHere(
                        stranger.post("/cupboard/goods/" + good + "/movements/" + taken + "/undo", Map.of())));
    }

    private void putLeaving(Map<String, Consumer<String>> cases) {
        for (String own : List.of("people", "gifts", "stall", "recall")) {
            cases.put("GET /cupboard/" + own, route -> showsNothing(stranger.get("/cupboard/" + own)));
        }
        for (String own : List.of("people", "gifts", "stall")) {
            cases.put("POST /cupboard/" + own, route -> showsNothing(stranger.post("/cupboard/" + own, everything())));
        }
        cases.put("GET /cupboard/stall/sales.csv", route -> assertThat(
                        stranger.get("/cupboard/stall/sales.csv").raw().body())
                .doesNotContain(SECRET));
        cases.put("GET /cupboard/people/{person}", route -> isNotHere(stranger.get(person)));
        for (String deed : List.of("", "/drop")) {
            cases.put(
                    "POST /cupboard/people/{person}" + deed,
                    route -> isNotHere(stranger.post(person + deed, everything())));
        }
        cases.put("GET /cupboard/gifts/{list}", route -> isNotHere(stranger.get(gifts)));
        for (String deed : List.of("/of", "/drop")) {
            cases.put(
                    "POST /cupboard/gifts/{list}" + deed,
                    route -> isNotHere(stranger.post(gifts + deed, everything())));
        }
        for (String deed : List.of("name", "give", "undo", "drop")) {
            cases.put(
                    "POST /cupboard/gifts/{list}/{gift}/" + deed,
                    route -> isNotHere(stranger.post(gift + "/" + deed, everything())));
        }
        for (String page : List.of("", "/sheet")) {
            cases.put("GET /cupboard/stall/{stall}" + page, route -> isNotHere(stranger.get(stall + page)));
        }
        for (String deed : List.of("/bring", "/close", "/reopen")) {
            cases.put(
                    "POST /cupboard/stall/{stall}" + deed,
                    route -> isNotHere(stranger.post(stall + deed, everything())));
        }
        cases.put(
                "POST /cupboard/stall/{stall}/{lot}/out",
                route -> isNotHere(stranger.post(stall + "/" + good + "/out", everything())));
        cases.put(
                "POST /cupboard/stall/{stall}/{lot}/out/{movement}/undo",
                route -> isNotHere(stranger.post(stall + "/" + good + "/out/" + taken + "/undo", everything())));
        cases.put(
                "POST /cupboard/stall/{stall}/refund/{movement}",
                route -> isNotHere(stranger.post(stall + "/refund/" + taken, everything())));
        cases.put("GET /cupboard/recall/{lot}", route -> isNotHere(stranger.get("/cupboard/recall/" + herbLot)));
        for (String deed : List.of("hold", "maker")) {
            cases.put(
                    "POST /cupboard/recall/{lot}/" + deed,
                    route -> isNotHere(stranger.post("/cupboard/recall/" + herbLot + "/" + deed, everything())));
        }
    }

    private void putLabels(Map<String, Consumer<String>> cases) {
        List<String> theirs =
                List.of("batch." + batch, "dot." + batch, "sheet." + batch, "lot." + oil, "lot." + good, "lid." + oil);
        for (String page : List.of("", "/by-hand")) {
            cases.put(
                    "GET /labels" + page,
                    route -> theirs.forEach(of -> isNotHere(stranger.get("/labels%s?of=%s.1".formatted(page, of)))));
        }
        for (String page : List.of("/print", "/by-hand")) {
            cases.put(
                    "POST /labels" + page,
                    route -> theirs.forEach(
                            of -> isNotHere(stranger.post("/labels%s?of=%s.1".formatted(page, of), Map.of()))));
        }
        for (String page : List.of("", "/0/sheets.pdf", "/0/progress", "/0/paper", "/0/paper.css")) {
            cases.put(
                    "GET /labels/jobs/{job}" + page.replace("/0/", "/{at}/"),
                    route -> isNotHere(stranger.get("/labels/jobs/" + printing + page)));
        }
        cases.put(
                "POST /labels/jobs/{job}/undo",
                route -> isNotHere(stranger.post("/labels/jobs/" + printing + "/undo", Map.of())));
        cases.put("GET /q/{code}", route -> isNotHere(stranger.get("/q/" + code)));
        cases.put("GET /q", route -> isNotHere(stranger.get("/q?code=" + code)));
        for (String deed : List.of("", "/allow")) {
            cases.put(
                    "POST /labels/words/{lot}" + deed,
                    route -> isNotHere(stranger.post("/labels/words/" + good + deed, everything())));
        }
        cases.put("GET /labels/printed", route -> showsNothing(stranger.get("/labels/printed")));
        cases.put("GET /labels/look", route -> showsNothing(stranger.get("/labels/look")));
        cases.put("POST /labels/look", route -> showsNothing(stranger.post("/labels/look", everything())));
        cases.put(
                "POST /labels/look/papers", route -> showsNothing(stranger.post("/labels/look/papers", everything())));
        cases.put(
                "POST /labels/look/picture",
                route -> showsNothing(stranger.post("/labels/look/picture", everything())));
        cases.put(
                "POST /labels/look/picture/drop",
                route -> showsNothing(stranger.post("/labels/look/picture/drop", Map.of())));
        cases.put("GET /labels/picture.png", route -> isNotHere(stranger.get("/labels/picture.png")));
        cases.put(
                "POST /labels/papers/{paper}/drop",
                route -> isNotHere(stranger.post("/labels/papers/" + herbLot + "/drop", Map.of())));
        cases.put(
                "GET /labels/ruler.pdf",
                route -> assertThat(stranger.get("/labels/ruler.pdf").status()).isEqualTo(200));
        putLeaving(cases);
        cases.put(
                "POST /cupboard/goods/{lot}/label",
                route -> isNotHere(stranger.post("/cupboard/goods/" + good + "/label", everything())));
    }

    private Map<String, Consumer<String>> cases() {
        Map<String, Consumer<String>> cases = new LinkedHashMap<>();
        cases.put("POST /stores/list", route -> showsNothing(stranger.post("/stores/list", everything())));
        cases.put(
                "POST /stores/list/undo",
                route -> isNotHere(stranger.post("/stores/list/undo?lot=" + herbLot, Map.of())));
        putLabels(cases);
        cases.put("POST /wish/charge", route -> showsNothing(stranger.post("/wish/charge", everything())));
        cases.put(
                "POST /wish/charge/undo",
                route -> isNotHere(
                        stranger.post("/wish/charge/undo?batch=%s&lot=%s".formatted(batch, herbLot), Map.of())));
        for (String own : new String[] {
            "/shelf",
            "/wish",
            "/wish/charge",
            "/stores/list",
            "/",
            "/stores",
            "/press",
            "/cupboard",
            "/pan",
            "/settings",
            "/settings/hours",
            "/settings/calendar",
            "/bench/recipes"
        }) {
            cases.put("GET " + own, route -> showsNothing(stranger.get(own)));
        }
        cases.put(
                "GET /bench", route -> showsNothing(stranger.get("/bench?herb=" + herbLot + "&carrier=" + carrierLot)));
        cases.put(
                "GET /bench/plan", route -> showsNothing(stranger.get("/bench/plan?herb=" + herbLot + "&jar=" + jar)));
        cases.put("POST /bench/start", route -> {
            Answer answer = stranger.post(
                    "/bench/start", Map.of("herb", herbLot, "carrier", carrierLot, "jar", jar, "amount", "30 g"));
            assertThat(answer.status()).isEqualTo(422);
            showsNothing(answer);
        });
        cases.put(
                "GET /bench/time", route -> showsNothing(stranger.get("/bench/time?herb=" + herbLot + "&jar=" + jar)));
        cases.put(
                "POST /bench/recipes",
                route -> showsNothing(stranger.post(
                        "/bench/recipes",
                        Map.of("herb", herbLot, "carrier", carrierLot, "title", "Mine", "amount", "30 g"))));
        cases.put(
                "POST /bench/recipes/from/{batch}",
                route -> isNotHere(stranger.post("/bench/recipes/from/" + batch, Map.of())));
        cases.put(
                "POST /bench/recipes/import",
                route -> showsNothing(stranger.post("/bench/recipes/import", Map.of("file", "{}"))));
        for (String part : new String[] {"", "/json", "/text"}) {
            cases.put(
                    "GET /bench/recipes/{id}" + part,
                    route -> isNotHere(stranger.get("/bench/recipes/" + keptRecipe + part)));
        }
        cases.put(
                "POST /bench/recipes/{id}/undo",
                route -> isNotHere(stranger.post("/bench/recipes/" + keptRecipe + "/undo", Map.of())));
        cases.put(
                "GET /feed/{secret}",
                route -> isNotHere(stranger.get("/feed/AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA")));
        cases.put("GET /join/{secret}", route -> isNotHere(stranger.get("/join/AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA")));
        cases.put(
                "POST /join/{secret}",
                route -> isNotHere(
                        stranger.post("/join/AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA", Map.of("email", "a@example.org"))));
        cases.put("GET /settings/people", route -> showsNothing(stranger.get("/settings/people")));
        cases.put(
                "POST /settings/people/invite",
                route -> showsNothing(stranger.post("/settings/people/invite", Map.of())));
        String link = owner.submit("/settings/people", "form[action$=invite]", Map.of())
                .page()
                .select("#links form")
                .attr("action");
        cases.put("POST /settings/people/invitations/{id}/undo", route -> isNotHere(stranger.post(link, Map.of())));
        cases.put(
                "POST /settings/people/{account}/undo",
                route -> isNotHere(stranger.post("/settings/people/" + UUID.randomUUID() + "/undo", Map.of())));
        String member = owner.get("/settings/people")
                .page()
                .select("#members tr")
                .first()
                .text();
        assertThat(member).contains("@");
        cases.put(
                "POST /settings/people/{account}/remove",
                route -> isNotHere(stranger.post("/settings/people/" + UUID.randomUUID() + "/remove", Map.of())));
        cases.put(
                "POST /settings/devices/{device}/out",
                route -> isNotHere(stranger.post("/settings/devices/" + "a".repeat(64) + "/out", Map.of())));
        cases.put("GET /batch/{id}/calendar", route -> isNotHere(stranger.get("/batch/" + batch + "/calendar")));
        cases.put("POST /settings/calendar", route -> {
            showsNothing(stranger.post("/settings/calendar", Map.of()));
            assertThat(owner.get(feed).raw().body())
                    .as("a stranger's new address puts out nobody else's")
                    .contains("BEGIN:VCALENDAR");
        });
        cases.put("POST /settings/calendar/revoke", route -> {
            showsNothing(stranger.post("/settings/calendar/revoke", Map.of()));
            assertThat(owner.get(feed).raw().body()).contains("BEGIN:VCALENDAR");
        });
        cases.put(
                "POST /settings/hours",
                route -> isNotHere(
                        stranger.post("/settings/hours", Map.of("id", resident, "version", "0", "name", "X"))));
        cases.put(
                "POST /settings/hours/{id}/undo",
                route -> isNotHere(stranger.post("/settings/hours/" + resident + "/undo", Map.of())));
        cases.put(
                "POST /settings/hours/exceptions",
                route -> isNotHere(stranger.post(
                        "/settings/hours/exceptions", Map.of("person", resident, "first", "2026-12-01"))));
        cases.put(
                "POST /settings/hours/exceptions/{id}/undo",
                route -> isNotHere(stranger.post("/settings/hours/exceptions/" + absence + "/undo", Map.of())));
        cases.put("POST /settings/hours/alone", route -> {
            stranger.post("/settings/hours/alone", Map.of("may", "yes"));
            assertThat(owner.get("/settings/hours").page().select("#heat-alone input[checked]"))
                    .isEmpty();
        });
        cases.put(
                "POST /batch/{id}/plan",
                route -> isNotHere(
                        stranger.post("/batch/" + batch + "/plan", Map.of("length", "40 days", "reason", "x"))));
        cases.put("POST /bench/ways", route -> {
            Answer answer = stranger.post(
                    "/bench/ways",
                    Map.of("herb", herbLot, "carrier", carrierLot, "jar", jar, "amount", "30 g", "called", "Mine"));
            assertThat(answer.status()).isEqualTo(422);
            showsNothing(answer);
        });
        cases.put(
                "POST /bench/ways/{id}/undo",
                route -> isNotHere(stranger.post("/bench/ways/" + way + "/undo", Map.of())));
        cases.put("GET /batch/{id}", route -> isNotHere(stranger.get("/batch/" + batch)));
        cases.put("GET /batch/{id}/label", route -> isNotHere(stranger.get("/batch/" + batch + "/label")));
        cases.put("POST /batch/{id}/note", route -> isNotHere(stranger.post("/batch/" + batch + "/note", note())));
        cases.put(
                "POST /batch/{id}/entries/{entry}/correct",
                route -> isNotHere(stranger.post("/batch/" + batch + "/entries/" + entry + "/correct", Map.of())));
        cases.put(
                "POST /batch/{id}/entries/{entry}/undo",
                route -> isNotHere(stranger.post("/batch/" + batch + "/entries/" + entry + "/undo", Map.of())));
        cases.put("GET /press/{id}", route -> isNotHere(stranger.get("/press/" + batch)));
        cases.put(
                "POST /press/{id}",
                route -> isNotHere(stranger.post("/press/" + batch, Map.of("out", "200 g", "pressing", "HAND"))));
        for (String form : new String[] {"look", "heat", "top-up", "wrong", "discard"}) {
            cases.put(
                    "POST /batch/{id}/" + form,
                    route -> isNotHere(stranger.post("/batch/" + batch + "/" + form, everything())));
        }
        cases.put("GET /stores/kit/trial", route -> showsNothing(stranger.get("/stores/kit/trial")));
        cases.put("POST /stores/kit/trial", route -> {
            Answer refused =
                    stranger.post("/stores/kit/trial", Map.of("piece", kit, "water", "500 mL", "read", "0 20"));
            assertThat(refused.status()).isEqualTo(422);
            showsNothing(refused);
        });
        cases.put(
                "POST /stores/kit/trial/{id}/undo",
                route -> isNotHere(stranger.post("/stores/kit/trial/" + UUID.randomUUID() + "/undo", Map.of())));
        cases.put(
                "POST /batch/{id}/source/{piece}",
                route -> isNotHere(stranger.post("/batch/" + batch + "/source/" + kit, everything())));
        cases.put("GET /batch/{id}/watch", route -> isNotHere(stranger.get("/batch/" + batch + "/watch")));
        devices(cases);
        cases.put(
                "POST /batch/{id}/turn/{what}",
                route -> isNotHere(stranger.post("/batch/" + batch + "/turn/WARM", everything())));
        cases.put(
                "POST /batch/{id}/tasks/{task}",
                route -> isNotHere(stranger.post("/batch/" + batch + "/tasks/stand.shake.1", everything())));
        cases.put(
                "POST /press/{id}/settle",
                route -> isNotHere(stranger.post("/press/" + strained + "/settle", Map.of("left", "100 g"))));
        panCases(cases);
        bookCases(cases);
        pictureCases(cases);
        cases.put("GET /cupboard/{lot}", route -> isNotHere(stranger.get("/cupboard/" + oil)));
        cases.put("GET /cupboard/{lot}/label", route -> isNotHere(stranger.get("/cupboard/" + oil + "/label")));
        for (String form : new String[] {"bottle", "draw", "sniff", "wrong", "discard"}) {
            cases.put(
                    "POST /cupboard/{lot}/" + form,
                    route -> isNotHere(stranger.post("/cupboard/" + oil + "/" + form, everything())));
        }
        cases.put(
                "POST /cupboard/{lot}/movements/{movement}/undo",
                route -> isNotHere(stranger.post("/cupboard/" + oil + "/movements/" + drawing + "/undo", Map.of())));
        cases.put("GET /stores/lots/{id}", route -> isNotHere(stranger.get("/stores/lots/" + herbLot)));
        cases.put(
                "POST /stores/lots/{id}/undo",
                route -> isNotHere(stranger.post("/stores/lots/" + carrierLot + "/undo", Map.of())));
        cases.put(
                "POST /stores/jars/{id}/undo",
                route -> isNotHere(stranger.post("/stores/jars/" + jar + "/undo", Map.of())));
        cases.put(
                "POST /stores/jars/{id}/width",
                route -> isNotHere(stranger.post("/stores/jars/" + jar + "/width", Map.of("measured", "90 mm"))));
        for (String what : List.of(
                "split",
                "process",
                "merge",
                "draw",
                "discard",
                "correct",
                "cup",
                "drops",
                "strength",
                "open",
                "dry",
                "wrong")) {
            cases.put(
                    "POST /stores/lots/{id}/" + what,
                    route -> isNotHere(stranger.post(
                            "/stores/lots/" + herbLot + "/" + what,
                            Map.of("amount", "10 g", "note", "x", "other", herbLot))));
        }
        cases.put(
                "POST /lessons/{taughtBy}/{batch}",
                route -> isNotHere(
                        stranger.post("/lessons/%s/%s".formatted(batch, strained), Map.of("heeded", "true"))));
        cases.put("GET /jot", route -> showsNothing(stranger.get("/jot?line=nettle+shaken")));
        cases.put("GET /jot/echo", route -> showsNothing(stranger.get("/jot/echo?line=nettle+shaken")));
        cases.put("POST /jot", route -> assertThat(
                        stranger.post("/jot", Map.of("line", "1 shaken")).status())
                .isEqualTo(422));
        cases.put("GET /round", route -> showsNothing(stranger.get("/round?all=true")));
        for (String what : new String[] {"well", "shaken"}) {
            cases.put(
                    "POST /round/{batch}/" + what,
                    route -> isNotHere(stranger.post("/round/%s/%s".formatted(batch, what), Map.of())));
        }
        cases.put(
                "POST /round/{batch}/seen/{glimpse}/{which}",
                route -> isNotHere(stranger.post("/round/%s/seen/WATER/0".formatted(batch), Map.of())));
        cases.put("POST /round/shaken", route -> isNotHere(stranger.post("/round/shaken", Map.of("jars", batch))));
        cases.put(
                "POST /round/undo",
                route -> isNotHere(stranger.post("/round/undo", Map.of("entry", batch + "." + entry))));
        cases.put(
                "POST /jot/undo",
                route -> isNotHere(stranger.post("/jot/undo", Map.of("did", "entry." + batch + "." + entry))));
        cases.put("GET /conditions/{id}", route -> isNotHere(stranger.get("/conditions/" + condition)));
        cases.put(
                "POST /conditions/{id}/answer",
                route -> isNotHere(stranger.post(
                        "/conditions/" + condition + "/answer", Map.of("answer", "NOT_SO", "words", "x"))));
        cases.put(
                "POST /conditions/asked/{id}",
                route -> isNotHere(stranger.post("/conditions/asked/" + asked, Map.of())));
        cases.put(
                "POST /conditions/asked/{id}/undo",
                route -> isNotHere(stranger.post("/conditions/asked/" + asked + "/undo", Map.of())));
        cases.put("POST /conditions/{id}/undo", route -> {
            isNotHere(stranger.post("/conditions/" + condition + "/undo", Map.of()));
            assertThat(owner.get("/conditions/" + condition).page().text())
                    .as("a stranger opens nothing again")
                    .contains("It was not so")
                    .doesNotContain("Answered");
        });
        cases.put(
                "POST /stores/deeds/{deed}/undo",
                route -> isNotHere(stranger.post("/stores/deeds/" + deed + "/undo", Map.of())));
        cases.put("GET /stores/drying", route -> showsNothing(stranger.get("/stores/drying")));
        cases.put(
                "POST /stores/drying/{id}/weigh",
                route -> isNotHere(stranger.post("/stores/drying/" + drying + "/weigh", Map.of("mass", "100 g"))));
        cases.put(
                "POST /stores/drying/{id}/weighings/{weighing}/undo",
                route -> isNotHere(
                        stranger.post("/stores/drying/" + drying + "/weighings/" + weighing + "/undo", Map.of())));
        cases.put(
                "POST /stores/drying/{id}/down",
                route -> isNotHere(stranger.post("/stores/drying/" + drying + "/down", Map.of())));
        cases.put(
                "POST /stores/drying/{id}/back",
                route -> isNotHere(stranger.post("/stores/drying/" + drying + "/back", Map.of())));
        cases.put("GET /stores/supplies", route -> showsNothing(stranger.get("/stores/supplies")));
        cases.put(
                "POST /stores/supplies",
                route -> showsNothing(stranger.post("/stores/supplies", Map.of("kind", "none"))));
        cases.put(
                "POST /stores/containers",
                route -> showsNothing(stranger.post("/stores/containers", Map.of("name", ""))));
        cases.put("POST /stores/blend", route -> assertThat(
                        stranger.post("/stores/blend", Map.of("blend", "x", "from1", carrierLot, "amount1", "10 mL"))
                                .page()
                                .text())
                .contains("not here any more"));
        cases.put("GET /stores/kit", route -> showsNothing(stranger.get("/stores/kit")));
        cases.put("POST /stores/kit", route -> showsNothing(stranger.post("/stores/kit", Map.of("name", ""))));
        cases.put(
                "POST /stores/kit/{id}/undo",
                route -> isNotHere(stranger.post("/stores/kit/" + kit + "/undo", Map.of())));
        cases.put("GET /stores/recipes", route -> showsNothing(stranger.get("/stores/recipes")));
        cases.put(
                "POST /stores/recipes",
                route -> showsNothing(stranger.post("/stores/recipes", Map.of("body", "1 cup olive oil"))));
        cases.put("GET /stores/recipes/{id}", route -> isNotHere(stranger.get("/stores/recipes/" + recipe)));
        cases.put(
                "POST /stores/recipes/{id}/remove",
                route -> isNotHere(stranger.post("/stores/recipes/" + recipe + "/remove", Map.of())));
        cases.put("GET /stores/search", route -> assertThat(stranger.get("/stores/search?q=" + SECRET.replace(' ', '+'))
                        .page()
                        .select(".found")
                        .text())
                .doesNotContain(SECRET));
        cases.put("GET /stores/convert", route -> isNotHere(stranger.get("/stores/convert?amount=10+g&of=" + herbLot)));
        cases.put(
                "GET /stores/catalogue",
                route -> showsNothing(stranger.get(
                        "/stores/catalogue?correct=own-" + SECRET.toLowerCase().replace(' ', '-'))));
        cases.put(
                "POST /stores/catalogue/herbs",
                route -> showsNothing(stranger.post("/stores/catalogue/herbs", Map.of("common", "none"))));
        cases.put(
                "POST /stores/catalogue/carriers",
                route -> showsNothing(stranger.post("/stores/catalogue/carriers", Map.of("common", "none"))));
        cases.put(
                "POST /stores/catalogue/{kind}/forget",
                route -> isNotHere(stranger.post(
                        "/stores/catalogue/own-" + SECRET.toLowerCase().replace(' ', '-') + "/forget", Map.of())));
        cases.put(
                "GET /stores/echo",
                route -> showsNothing(stranger.get("/stores/echo?field=amount&prefix=h-&expect=SOLID&amount=3+g")));
        cases.put("POST /stores/herbs", route -> showsNothing(stranger.post("/stores/herbs", Map.of("herb", SECRET))));
        cases.put(
                "POST /stores/carriers",
                route -> showsNothing(stranger.post("/stores/carriers", Map.of("carrier", "none"))));
        cases.put(
                "POST /stores/jars", route -> showsNothing(stranger.post("/stores/jars", Map.of("capacity", "none"))));
        cases.put("POST /settings", route -> assertThat(stranger.post(
                                "/settings",
                                Map.of(
                                        "version",
                                        "0",
                                        "theme",
                                        "DARK",
                                        "house.household",
                                        "Taken over",
                                        "house.system",
                                        "US",
                                        "house.cups",
                                        "US",
                                        "house.scale",
                                        "CELSIUS",
                                        "house.currency",
                                        "EUR",
                                        "house.zone",
                                        "UTC",
                                        "house.pantry",
                                        "10 C",
                                        "house.room",
                                        "20 C"))
                        .page()
                        .text())
                .doesNotContain(SECRET));
        cases.put(
                "POST /settings/password",
                route -> showsNothing(
                        stranger.post("/settings/password", Map.of("oldPassword", "x", "newPassword", "y"))));
        // Open to everybody, and about no household at all: each answers by itself, and tells nothing.
        cases.put("ANY /kept", route -> isNotHere(stranger.get("/kept")));
        cases.put("POST /sign-in/kept", route -> {
            Answer shown = stranger.post(
                    "/sign-in/kept",
                    Map.of(
                            "to",
                            "/batch/" + batch + "/note",
                            "email",
                            "x@example.org",
                            "password",
                            "guess",
                            "kept_by",
                            "guess"));
            showsNothing(shown);
            assertThat(shown.page().select("[data-send-on]")).isEmpty();
        });
        cases.put("GET /sign-in", route -> isOpen(new Visitor(port).get("/sign-in"), 200));
        cases.put("GET /set-up", route -> isOpen(new Visitor(port).get("/set-up"), 200));
        cases.put("POST /set-up", route -> isNotHere(stranger.post("/set-up", Map.of("house.household", "x"))));
        cases.put(
                "POST /settings/calendar/alarm",
                route -> isOpen(stranger.post("/settings/calendar/alarm", Map.of("rings", "HOUR")), 200));
        cases.put("GET /deeds/token", route -> isOpen(stranger.get("/deeds/token"), 200));
        cases.put("POST /deeds", route -> isOpen(stranger.post("/deeds", Map.of("line", "1 shaken")), 400));
        cases.put("GET /sw.js", route -> isOpen(new Visitor(port).get("/sw.js"), 200));
        cases.put("GET /trust", route -> isOpen(new Visitor(port).get("/trust"), 200));
        cases.put("GET /trust/authority.crt", route -> isOpen(new Visitor(port).get("/trust/authority.crt"), 404));
        cases.put("GET /sign-up", route -> isOpen(new Visitor(port).get("/sign-up"), 200));
        cases.put("POST /sign-up", route -> isOpen(new Visitor(port).submit("/sign-up", "form", Map.of()), 422));
        cases.put(
                "POST /demo-entry",
                route ->
                        isOpen(new Visitor(port).post("/demo-entry", Map.of(), "X-Forwarded-For", "203.0.113.9"), 404));
        cases.put("ANY /error", route -> isOpen(new Visitor(port).get("/error"), 404));
        return cases;
    }

    private Set<String> routes() {
        Set<String> routes = new TreeSet<>();
        for (RequestMappingInfo info : mappings.getHandlerMethods().keySet()) {
            for (String pattern : info.getPatternValues()) {
                Set<RequestMethod> methods = info.getMethodsCondition().getMethods();
                routes.add(
                        (methods.isEmpty() ? "ANY" : methods.iterator().next().name()) + " " + pattern);
            }
        }
        return routes;
    }

    /** Every field of every small form, each readable, so that only the household stands in the way. */
    private Map<String, String> everything() {
        Map<String, String> fields = new LinkedHashMap<>(Map.of(
                "key",
                UUID.randomUUID().toString(),
                "smell",
                "RIGHT",
                "temperature",
                "45 C",
                "amount",
                "20 mL",
                "from",
                carrierLot,
                "ruin",
                "MOULD",
                "lesson",
                "none",
                "count",
                "1",
                "size",
                "50 mL",
                "glass",
                "DARK"));
        fields.putAll(Map.of("place", "ROOM", "why", "DRAWN"));
        return fields;
    }

    private static Map<String, String> note() {
        return Map.of("key", UUID.randomUUID().toString(), "words", "I was here");
    }

    /** Nothing is shown, and nothing done, at an address that names what nobody has. */
    @Test
    void whatNobodyHasIsNotFound() {
        Visitor tove = Visitor.stocked(port, "Nobody's");
        List<String> found = new ArrayList<>();
        for (String route : routes()) {
            String path = route.substring(route.indexOf(' ') + 1);
            if (!path.contains("{") || path.matches("/(join|feed)/.*|.*\\{(kind|part|step)}.*")) {
                continue;
            }
            String nobodys = Pattern.compile("\\{[^}]+}").matcher(path).replaceAll(match -> UUID.randomUUID()
                    .toString());
            Answer answer = route.startsWith("GET ")
                    ? tove.get(nobodys)
                    : tove.post(nobodys, Map.of("key", UUID.randomUUID().toString()));
            if (answer.status() != 404) {
                found.add(route + " is " + answer.status() + " at " + answer.path());
            }
        }
        assertThat(found).isEmpty();
    }

    private static void isOpen(Answer answer, int status) {
        assertThat(answer.status()).as(answer.path()).isEqualTo(status);
        assertThat(answer.page().html()).doesNotContain(SECRET);
    }

    private static void isNotHere(Answer answer) {
        assertThat(answer.status()).as(answer.path()).isEqualTo(404);
        showsNothing(answer);
    }

    private static void showsNothing(Answer answer) {
        assertThat(answer.status()).as(answer.path()).isLessThan(500);
        // what the stranger typed may come back in a field or an error; the owner's name never as a household's
        assertThat(answer.page().select(".me, .lead, table, .board").text()).doesNotContain(SECRET);
        assertThat(answer.page().html()).doesNotContain("200 g left");
    }

    @Test
    void nothingIsSeenWithoutSigningIn() {
        for (String route : routes()) {
            if (route.startsWith("GET ") && !route.matches("GET /(sign-(in|up)|sw[.]js|trust.*)?")) {
                Answer answer = new Visitor(port).get(route.substring(4).replaceAll("\\{[^}]+}", batch));
                if (route.matches("GET /(feed|join)/.*")) {
                    assertThat(answer.status())
                            .as("it opens by its secret alone")
                            .isEqualTo(404);
                } else {
                    assertThat(answer.path()).as(route).isEqualTo("/sign-in");
                }
            }
        }
    }
}
