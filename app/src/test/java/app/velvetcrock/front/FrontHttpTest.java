package app.velvetcrock.front;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The sentence at the door, and the same in a household. */
@HttpTest
@Isolated
class FrontHttpTest {

    private static final List<String> FIELDS =
            List.of("amount", "herb", "state", "cut", "oil", "what", "much", "use", "needed");
    private static final int MALFORMED = Integer.getInteger("crock.malformed", 500) / 10;

    @LocalServerPort
    int port;

    @Autowired
    JdbcClient sql;

    private static String address(String place, Map<String, String> said) {
        return place + "?"
                + said.entrySet().stream()
                        .map(one -> one.getKey() + "=" + Visitor.encode(one.getValue()))
                        .collect(Collectors.joining("&"));
    }

    private static Map<String, String> said(String line) {
        String[] values = line.split("\\|", -1);
        Map<String, String> said = new LinkedHashMap<>();
        for (int i = 0; i < FIELDS.size(); i++) {
            said.put(FIELDS.get(i), values[i].strip());
        }
        return said;
    }

    private Map<String, Long> rows() {
        Map<String, Long> rows = new LinkedHashMap<>();
        sql.sql("select table_name from information_schema.tables where table_schema = 'public' order by 1")
                .query(String.class)
                .list()
                .forEach(table -> rows.put(
                        table,
                        sql.sql("select count(*) from " + table)
                                .query(Long.class)
                                .single()));
        return rows;
    }

    @Test
    void whoeverIsNotSignedInSeesAPlanAndLeavesNothingBehind() {
        Map<String, Long> before = rows();
        assertThat(before).containsKeys("spring_session", "batch", "lot");
        Answer door = new Visitor(port).get("/");
        assertThat(door.status()).isEqualTo(200);
        assertThat(door.raw().headers().firstValue("set-cookie")).isEmpty();
        Document page = door.page();
        assertThat(page.select("form").eachAttr("method"))
                .as("asks, and sends nothing")
                .containsOnly("get");
        assertThat(page.select("#herb").attr("value")).isEqualTo("calendula");
        assertThat(page.select("#amount").attr("value")).isEqualTo("30 g");
        assertThat(page.select("#verdict").text()).startsWith("Ready ");
        assertThat(page.select("#steps tr")).hasSizeGreaterThan(4);
        assertThat(page.select("#made").text()).contains("× Tin of");
        assertThat(page.select("#keeps").text()).startsWith("keeps till ");
        assertThat(page.select("svg[aria-label*=of oil over 30 g of herb]")).hasSize(1);
        assertThat(page.select(".caution").text()).contains("Daisy family");
        assertThat(page.text()).contains("usual kitchen");
        new Visitor(port).get("/?herb=nettle&oil=olive&what=salve");
        new Visitor(port).get("/?herb=nettle&oil=olive&what=salve&needed=never");
        assertThat(rows()).isEqualTo(before);
    }

    static Stream<String> wishes() {
        try (var in = Objects.requireNonNull(FrontHttpTest.class.getResourceAsStream("wishes.txt"))) {
            return Arrays.stream(new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n\n"))
                    .filter(wish -> !wish.startsWith("#") && !wish.isBlank());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Wish by wish what it is answered with: each line below it stands there, after a minus it does not. */
    @ParameterizedTest
    @MethodSource("wishes")
    void aWishIsAnswered(String wish) {
        List<String> lines = wish.strip().lines().toList();
        Answer answer = new Visitor(port).get(address("/", said(lines.get(0))));
        assertThat(answer.status()).isEqualTo(200);
        String text = answer.page().select("#answer").text();
        if (Boolean.getBoolean("crock.wishes")) {
            System.out.println("WISH " + lines.get(0) + "\nSAYS " + text);
        }
        assertThat(lines.size()).as(wish).isGreaterThan(1);
        for (String expected : lines.subList(1, lines.size())) {
            if (expected.startsWith("- ")) {
                assertThat(text).as(wish).doesNotContain(expected.substring(2));
            } else {
                assertThat(text).as(wish).contains(expected);
            }
        }
    }

    @Test
    void whateverIsSaidIsAnsweredInWords() {
        Random random = new Random(7);
        List<String> bits = List.of(
                "",
                "30 g",
                "calendula",
                "'; drop table lot; --",
                "<script>",
                "%00",
                "\u202E",
                "薬",
                "9".repeat(200),
                "1e999",
                "-5 g",
                "DRIED",
                "null",
                "Saturday",
                "${7*7}",
                "tomorrow 25:00",
                "a".repeat(3_000),
                "oil",
                "24 tins",
                "0 tins",
                "🌿");
        for (int i = 0; i < MALFORMED; i++) {
            Map<String, String> said = new LinkedHashMap<>();
            FIELDS.forEach(field -> said.put(field, bits.get(random.nextInt(bits.size()))));
            Answer answer = new Visitor(port).get(address("/", said));
            assertThat(answer.status()).as(said.toString()).isLessThan(500);
        }
    }

    @Test
    void whatWasPlannedAtTheDoorIsThereOnceAStillroomIsSetUp() {
        Visitor tove = new Visitor(port);
        Document door = tove.get("/").page();
        String keep = door.select("#keep").attr("href");
        assertThat(keep).startsWith("/sign-up?");
        Answer opened = tove.post(Visitor.form(
                tove.get(keep).page(),
                "form[action$=sign-up]",
                Map.of(
                        "name", "Tove",
                        "email", UUID.randomUUID() + "@example.org",
                        "password", "nine jars of yarrow",
                        "house.household", "Wished")));
        assertThat(opened.path()).startsWith("/wish");
        assertThat(opened.page().select("#herb").attr("value")).isEqualTo("calendula");
        assertThat(opened.page().select("#verdict").text()).startsWith("Ready ");
        assertThat(opened.page().select("#to-buy").text()).contains("olive", "beeswax", "a jar that holds");
        assertThat(opened.page().select("#on-the-bench"))
                .as("nothing of it is here yet")
                .isEmpty();
        assertThat(tove.get("/").path()).isEqualTo("/shelf");
    }

    @Test
    void nowhereElseIsLedToFromSigningUp() {
        for (String bad : List.of("//evil.example", "https://evil.example/", "a=%0d%0ab&\r\nx", "<b>")) {
            Visitor tove = new Visitor(port);
            Answer opened = tove.post(Visitor.form(
                    tove.get("/sign-up").page(),
                    "form[action$=sign-up]",
                    Map.of(
                            "name", "Tove",
                            "email", UUID.randomUUID() + "@example.org",
                            "password", "nine jars of yarrow",
                            "house.household", "Wished",
                            "wish", bad)));
            assertThat(opened.path()).as(bad).isIn("/shelf", "/sign-up", "/wish");
        }
    }

    /** What is here is planned with, and the Bench says the same of it. */
    @Test
    void inAHouseholdTheBenchIsReachedWithAllOfItFilledIn() {
        Visitor tove = Visitor.stocked(port, "Wishing");
        Document wish = tove.get(
                        "/wish?amount=40+g&herb=nettle&state=DRIED&cut=CUT_AND_SIFTED&oil=rapeseed&what=the+oil+itself&use=HANDS")
                .page();
        assertThat(wish.select("#verdict").text()).startsWith("Ready ");
        String bench = wish.select("#on-the-bench").attr("href");
        List<String> figures =
                new ArrayList<>(List.of(wish.select(".wish-jar b").text().split(" of oil over ")));
        assertThat(bench).as(wish.select("#answer").text()).contains("amount=40");
        Document there = tove.get(bench).page();
        assertThat(there.select("#amount").attr("value")).isEqualTo(figures.get(1));
        assertThat(there.select("#oil").attr("value")).isEqualTo(figures.get(0));
        assertThat(there.select("#worked").text())
                .contains(wish.select("#keeps").text().replace("keeps ", ""));
    }

    /** From nothing at all: what the scale said is asked, all of it comes in with the charge, and is taken back as one. */
    @Test
    void aWishIsBegunWhenItIsChargedAndTakenBackAsOne() {
        Visitor tove = Visitor.household(port, "Charged");
        Document wish = tove.get("/wish?amount=30+g&herb=yarrow&state=DRIED&cut=WHOLE&oil=olive&what=a+salve&use=HANDS")
                .page();
        String charge = wish.select("#charge-it").attr("href");
        Document asked = tove.get(charge).page();
        assertThat(asked.select("#brought").text()).contains("Yarrow, Olive, a jar of that size");
        Map<String, String> said = Map.of("weighed", "28 g", "from", "GATHERED", "dry", "", "sure", "", "byHand", "");
        Answer refused = tove.post(Visitor.form(asked, "#charge", said));
        assertThat(refused.status()).isEqualTo(422);

        assertThat(refused.page().select("#refused").text()).contains("Water in the jar would spoil", "no look-alike");
        assertThat(refused.page().select("#weighed").attr("value")).isEqualTo("28 g");
        assertThat(tove.get("/stores").page().text()).contains("No bottle yet");
        Visitor.Filled done = Visitor.form(
                refused.page(),
                "#charge",
                Map.of("weighed", "28 g", "from", "GATHERED", "dry", "yes", "sure", "yes", "byHand", ""));
        Answer stands = tove.post(done);
        assertThat(stands.path()).startsWith("/batch/");
        assertThat(stands.page().text()).contains("Yarrow", "28 g");
        assertThat(tove.get("/stores/to-buy").page().text()).contains("beeswax");
        Answer again = tove.post(done);
        assertThat(again.path()).as("a second tap is the first").isEqualTo(stands.path());
        assertThat(tove.get("/shelf").page().select(".board .jar")).hasSize(1);
        Answer back = tove.post(Visitor.form(stands.page(), ".notice form", Map.of()));
        assertThat(back.page().select(".notice").text()).contains("taken back");
        assertThat(tove.get("/shelf").page().select(".board .jar")).isEmpty();
        assertThat(tove.get("/stores/to-buy").page().text()).doesNotContain("beeswax");
        assertThat(tove.get("/bench").page().text()).contains("No herb is stored", "No carrier oil is stored");
    }

    @Test
    void whatIsHereIsWeighedOutOfIt() {
        Visitor tove = Visitor.stocked(port, "Weighed");
        String charge = tove.get("/wish").page().select("#charge-it").attr("href");
        assertThat(charge).as("what is here stands there first").contains("herb=Nettle");
        Document asked = tove.get("/wish/charge?amount=40+g&herb=nettle&cut=CUT_AND_SIFTED&oil=rapeseed&what=oil")
                .page();
        assertThat(asked.select("#brought")).isEmpty();
        Answer stands =
                tove.post(Visitor.form(asked, "#charge", Map.of("weighed", "41 g", "dry", "yes", "byHand", "")));
        assertThat(stands.path()).startsWith("/batch/");
        assertThat(tove.get("/stores").page().text()).contains("159 g");
        Answer slip = tove.post(Visitor.form(
                asked,
                "#charge",
                Map.of(
                        "weighed",
                        "410 g",
                        "dry",
                        "yes",
                        "byHand",
                        "",
                        "key",
                        UUID.randomUUID().toString())));
        assertThat(slip.status()).isEqualTo(422);
    }

    /** What is here and not to be used never comes in a second time as if it were good. */
    @Test
    void whatIsHeldBackOrPastItsDateIsNotBroughtInAnew() {
        Visitor tove = Visitor.household(port, "Held back");
        tove.submit(
                "/stores",
                "form[action$=carriers]",
                Map.of("carrier", "olive", "amount", "1 L", "opened", "2023-01-05", "bestBefore", "2024-05-01"));
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "200 g", "cut", "WHOLE"));
        String address = "/wish?amount=30+g&herb=nettle&state=DRIED&cut=WHOLE&what=a+salve&use=HANDS&oil=";
        Document past = tove.get(address + "olive").page();
        assertThat(past.select("#answer").text()).contains("Olive is here, and not to be used: it is past its date");
        assertThat(past.select("#charge-it")).isEmpty();
        assertThat(tove.get(address + "jojoba").page().select("#charge-it")).hasSize(1);
        String lot = tove.get("/stores").page().select("a:contains(Nettle)").attr("href");
        tove.submit(lot, "form[action$=wrong]", Map.of("what", "MOULD", "words", "a grey fur"));
        Document held = tove.get(address + "jojoba").page();
        assertThat(held.select("#answer").text()).contains("Nettle is here, and not to be used: mould");
        assertThat(held.select("#charge-it")).isEmpty();
        assertThat(tove.get(address.replace("/wish", "/wish/charge") + "jojoba").path())
                .isEqualTo("/wish");
    }
}
