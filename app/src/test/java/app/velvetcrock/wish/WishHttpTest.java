package app.velvetcrock.wish;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.temporal.ChronoField;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A wish in a household: its two halves are places that say the same, carry it along, and lead back to it. */
@HttpTest
class WishHttpTest {

    private static final int MANY = Integer.getInteger("crock.wishes", 20);
    private static final String NETTLE = "/wish?amount=40+g&herb=nettle&state=DRIED&cut=CUT_AND_SIFTED&oil=rapeseed";

    @LocalServerPort
    int port;

    private static Map<String, String> charged() {
        return Map.of("weighed", "", "poured", "", "byHand", "", "dry", "yes", "sure", "yes");
    }

    /** Whatever is wished for of what is here: wish, Bench, Pan, batch and what waits for its oil say one thing. */
    @Test
    void theSameFiguresStandInEveryPlace() {
        Visitor tove = Visitor.stocked(port, "One figure");
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "yarrow", "amount", "900 g", "cut", "WHOLE"));
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "jojoba", "amount", "9 L"));
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "1 L", "width", "100 mm", "pieces", "90"));
        tove.submit(
                "/stores/supplies",
                "form[action$=containers]",
                Map.of("name", "Tin", "holds", "60 mL", "pieces", "400"));
        Random random = new Random(20261201);
        List<String> kinds = List.of("a salve", "a firm tin salve", "a lotion bar", "the oil itself");
        int begun = 0;
        int divided = 0;
        for (int i = 0; i < MANY; i++) {
            String kind = kinds.get(random.nextInt(kinds.size()));
            String wished = "/wish?herb=yarrow&state=DRIED&cut=WHOLE&oil=jojoba&use=HANDS&amount=%d+g&what=%s&much=%s"
                    .formatted(
                            i % 5 == 0 ? 150 + random.nextInt(200) : 8 + random.nextInt(30),
                            kind.replace(' ', '+'),
                            kind.equals("the oil itself") || random.nextBoolean()
                                    ? ""
                                    : (40 + random.nextInt(200)) + "+g");
            Document wish = tove.get(wished).page();
            String charge = wish.select("#charge-it").attr("href");
            if (charge.isEmpty()) {
                assertThat(wish.select("#answer").text()).as(wished).isNotBlank();
                continue;
            }
            begun++;
            String[] covers = wish.select(".wish-jar b").text().split(" of oil over ");
            Document bench = tove.get(wish.select("#on-the-bench").attr("href")).page();
            assertThat(bench.select("#amount").attr("value")).as(wished).isEqualTo(covers[1]);
            assertThat(bench.select("#oil").attr("value")).as(wished).isEqualTo(covers[0]);
            boolean made = !kind.equals("the oil itself");
            if (made) {
                Document pan = tove.get(wish.select("#at-the-pan").attr("href")).page();
                assertThat(pan.select("#drops, .pan-c").text())
                        .as(wished)
                        .contains(wish.select("#keeps").text().replace("keeps till ", ""));
                for (String part :
                        wish.select("#made + p").text().replaceAll(";.*", "").split(", ")) {
                    assertThat(pan.select(".pan-a").text()).as(wished).contains(part.split(" of ")[0]);
                }
            }
            Document asked = tove.get(charge).page();
            Answer stands = tove.post(Visitor.form(asked, "#charge", charged()));
            assertThat(stands.status()).as(wished + asked.text()).isEqualTo(200);
            if (stands.path().startsWith("/batch/")) {
                assertThat(stands.page().text()).as(wished).contains(covers[0], covers[1]);
                assertThat(tove.get(stands.path() + "/label")
                                .page()
                                .select(".ink-label")
                                .text())
                        .as(wished)
                        .contains(covers[0], covers[1]);
                assertThat(stands.page()
                                .select("#ahead tr:contains(strain) time")
                                .first()
                                .text())
                        .as(wished)
                        .isEqualTo(wish.select("#steps tr:contains(strain) th")
                                .text()
                                .split(" – ")[0]);
            } else {
                divided++;
                assertThat(stands.page().select(".board .jar")).as(wished).hasSizeGreaterThan(1);
            }
            assertThat(tove.get("/pan").page().select("#waiting").text().contains("of " + kind.replaceFirst("^a ", "")))
                    .as(wished + " waits")
                    .isEqualTo(made);
            tove.post(Visitor.form(stands.page(), ".notice form", Map.of()));
            assertThat(tove.get("/pan").page().select("#waiting"))
                    .as("taken back")
                    .isEmpty();
        }
        assertThat(begun).isGreaterThan(MANY / 2);
        assertThat(divided).as("what no jar holds is divided").isPositive();
    }

    @Test
    void whereNoTinIsHereTheyAreToBuyAndTheMakingWaitsByItsWeight() {
        Visitor tove = Visitor.stocked(port, "No tins");
        Document wish = tove.get(NETTLE + "&what=a+salve&much=6+tins&use=HANDS").page();
        assertThat(wish.select("#made").text()).isEqualTo("6 × Tin of 60 mL");
        assertThat(wish.select("#to-buy").text()).contains("6 × Tin of 60 mL");
        Document asked = tove.get(wish.select("#charge-it").attr("href")).page();
        assertThat(tove.post(Visitor.form(asked, "#charge", charged())).path()).startsWith("/batch/");
        assertThat(tove.get("/pan").page().select("#waiting").text()).containsPattern("about \\d+ g of salve");
        assertThat(tove.get("/stores/to-buy").page().text()).contains("For salve", "6 × Tin of 60 mL");
    }

    /** The Bench plans from what is here: what is not is put there first, by a list that is filled in and read without a doubt. */
    @Test
    void whatIsNotHereIsPutIntoTheStoresByAListFilledIn() {
        Visitor tove = Visitor.household(port, "Filled in");
        for (String herb : List.of("calendula", "spruce tip", "St John's wort")) {
            Document wish = tove.get("/wish?amount=30+g&state=FRESH&cut=WHOLE&oil=olive&what=a+salve&use=HANDS&herb="
                            + herb.replace(' ', '+'))
                    .page();
            Document list = tove.get(wish.select("#bring").attr("href")).page();
            assertThat(list.select(".bad-word, .REFUSE").eachText()).as(herb).isEmpty();
            assertThat(list.select("textarea").text()).as(herb).contains("30 g fresh whole");
        }
    }

    /** Strained with as much as was foreseen, what waited is the making that was wished for, gram by gram; and the feed has its day. */
    @Test
    void onceItIsStrainedTheMakingIsTheOneThatWasWished() {
        Visitor tove = Visitor.stocked(port, "Wished and made");
        tove.submit(
                "/stores/supplies",
                "form[action$=containers]",
                Map.of("name", "Tin", "holds", "60 mL", "pieces", "40"));
        tove.submit("/stores/supplies", "form[action$=supplies]", Map.of("kind", "beeswax", "amount", "200 g"));
        Document wish = tove.get(NETTLE + "&what=a+salve&much=3+tins&use=HANDS").page();
        String[] parts = wish.select("#made + p").text().split(" of your oil, ");
        String strained = wish.select("#steps tr:contains(strain) th").text().split(" – ")[0];
        Document asked = tove.get(wish.select("#charge-it").attr("href")).page();
        Answer stands = tove.post(Visitor.form(asked, "#charge", charged()));
        String feed = tove.post("/settings/calendar", Map.of())
                .page()
                .getElementById("address")
                .attr("value");
        // "Sat 5 Dec 08:00" stands in the feed as 20261205T080000.
        DateTimeFormatter said = new DateTimeFormatterBuilder()
                .appendPattern("EEE d MMM HH:mm")
                .parseDefaulting(ChronoField.YEAR, strained.contains("Jan") ? 2027 : 2026)
                .toFormatter(Locale.UK);
        assertThat(tove.get(feed.substring(feed.indexOf("/feed/"))).raw().body())
                .contains(LocalDateTime.parse(strained, said).format(DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss")));
        tove.submit(
                stands.path().replace("batch", "press"),
                "form[action*=press]",
                Map.of("out", (1 + Double.parseDouble(parts[0].replace(" g", ""))) + " g"));
        String waits = tove.get("/pan").page().select("#waiting a").attr("href");
        Document pan = tove.get(waits).page();
        assertThat(pan.select("#much").attr("value")).isEqualTo("3");
        assertThat(pan.select(".pan-a").text()).contains(parts[0], parts[1].split(" of ")[0]);
        assertThat(pan.select("#poured").text()).startsWith("3 × Tin");
        Answer begun = tove.post(Visitor.form(pan, "#pan", Map.of()));
        assertThat(begun.path()).startsWith("/pan/");
        assertThat(begun.page().text()).contains(parts[1].split(" of ")[0]);
        assertThat(tove.get("/pan").page().select("#waiting"))
                .as("it waits no more")
                .isEmpty();
    }

    /** Without a scale: it says so ever after, is a wide guess, teaches nothing, and is neither for food nor for sale. */
    @Test
    void byTheHandful() {
        Visitor tove = Visitor.stocked(port, "By the handful");
        Document asked = tove.get(NETTLE.replace("/wish", "/wish/charge") + "&what=oil&use=HANDS")
                .page();
        Answer both =
                tove.post(Visitor.form(asked, "#charge", Map.of("byHand", "yes", "weighed", "38 g", "dry", "yes")));
        assertThat(both.status()).isEqualTo(422);
        assertThat(both.page().select("#note-byHand").text()).contains("was it weighed or not?");
        Answer stands = tove.post(Visitor.form(asked, "#charge", Map.of("byHand", "yes", "dry", "yes")));
        assertThat(stands.page().select("#by-hand").text()).contains("Nothing was weighed");
        assertThat(stands.page().select(".log").text()).contains("Charged by the handful: about 40 g of herb");
        assertThat(stands.page().select(".went tr:contains(Expected back)").text())
                .as("275 mL poured: 80 % of it within √(12.4² + 68.75²)·1.28 = 89.5 of 218")
                .contains("125 mL to 275 mL");
        assertThat(tove.get(stands.path() + "/label")
                        .page()
                        .select(".ink-label")
                        .text())
                .contains("By the handful: not for food, not for sale.");
        tove.submit(stands.path().replace("batch", "press"), "form[action*=press]", Map.of("out", "150 g"));
        String oil = tove.get("/cupboard").page().select(".bottle").attr("href");
        assertThat(tove.get(oil + "/label").page().select(".ink-label").text()).contains("not for sale");
        assertThat(tove.submit(oil, "form[action$=draw]", Map.of("amount", "20 mL", "why", "SOLD"))
                        .page()
                        .text())
                .contains("charged by the handful", "so it is not sold");
        assertThat(tove.submit(oil, "form[action$=draw]", Map.of("amount", "20 mL", "why", "GIVEN"))
                        .page()
                        .select("#left")
                        .text())
                .isEqualTo("144 mL");
        assertThat(tove.get("/pan?kind=salve&oil=" + oil.substring(10))
                        .page()
                        .select("#over")
                        .text())
                .contains("charged by the handful");
        Answer second = tove.post(Visitor.form(
                tove.get("/bench?amount=4+g&carrier=" + oil.substring(10)).page(), "#bench", Map.of()));
        assertThat(second.page().select("#by-hand"))
                .as("infused a second time it is by the handful too")
                .hasSize(1);
        assertThat(tove.get("/bench?amount=40+g").page().select("#yield").text())
                .as("it taught nothing")
                .isEqualTo("about 220 mL");
        Document food = tove.get(NETTLE.replace("/wish", "/wish/charge") + "&what=oil&use=FOOD")
                .page();
        if (!food.select("#charge").isEmpty()) {
            Answer refused = tove.post(Visitor.form(food, "#charge", Map.of("byHand", "yes", "dry", "yes")));
            assertThat(refused.status()).isEqualTo(422);
            assertThat(refused.page().select("#note-byHand").text()).contains("never charged by the handful");
        }
    }

    /** A bag that holds less than it takes is not planned from as if it were enough: that is said before anything is charged. */
    @Test
    void whatIsNotEnoughIsSaidAndComesInAnew() {
        Visitor tove = Visitor.stocked(port, "Not enough");
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "2 L", "width", "120 mm", "pieces", "9"));
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "rapeseed", "amount", "8 L"));
        Document wish = tove.get(NETTLE.replace("40+g", "350+g") + "&what=oil&use=HANDS")
                .page();
        assertThat(wish.select("#to-buy").text()).contains("200 g of Nettle is here, not enough of it by itself");
        Document asked = tove.get(wish.select("#charge-it").attr("href")).page();
        assertThat(asked.select("#brought").text())
                .as(wish.select("#answer").text())
                .contains("Nettle");
        tove.post(Visitor.form(asked, "#charge", charged()));
        assertThat(tove.get("/stores").page().text())
                .as("the bag that was here is whole")
                .contains("200 g");
    }

    @Test
    void benchAndPanCarryTheWishAndLeadBackToItAsItStandsThere() {
        Visitor tove = Visitor.stocked(port, "There and back");
        tove.submit(
                "/stores/supplies",
                "form[action$=supplies]",
                Map.of("kind", "beeswax", "amount", "200 g", "price", "6.00"));
        Document wish = tove.get(NETTLE + "&what=a+salve+for+chapped+hands&use=FACE&needed=in+6+weeks")
                .page();
        String there = wish.select("#on-the-bench").attr("href");
        String back = tove.get(there.replace("amount=40", "amount=50"))
                .page()
                .select("#whole")
                .attr("href");
        Document again = tove.get(back).page();
        assertThat(again.select("#what").attr("value")).isEqualTo("a salve for chapped hands");
        assertThat(again.select("#amount").attr("value")).startsWith("50");
        assertThat(again.select("#use option[selected]").attr("value")).isEqualTo("FACE");
        assertThat(again.select("#needed").attr("value")).isEqualTo("in 6 weeks");
        Document pan = tove.get(wish.select("#at-the-pan").attr("href")).page();
        assertThat(pan.select("#oil option[selected]").text()).isEqualTo("Nettle in cold-pressed rapeseed");
        Document fromPan = tove.get(tove.get(wish.select("#at-the-pan")
                                .attr("href")
                                .replace("kind=salve", "kind=firm-salve")
                                .replace("was=salve", "was=firm-salve"))
                        .page()
                        .select("#whole")
                        .attr("href"))
                .page();
        assertThat(fromPan.select("#herb").attr("value")).isEqualTo("nettle");
        assertThat(fromPan.select("#what").attr("value")).contains("firm");
        assertThat(fromPan.select("#amount").attr("value")).isEqualTo("40 g");
        assertThat(pan.select(".pan-c").text()).contains("; without Nettle in cold-pressed rapeseed");
        String sentence = wish.select("#at-the-pan").attr("href");
        Answer recipe = tove.post(
                Visitor.form(tove.get(sentence).page(), "#pan", Map.of()).to("/pan/recipes"));
        assertThat(recipe.page().text()).contains("Its oil is still to come");
        Answer weighed = tove.post(Visitor.form(pan, "#pan", Map.of()));
        assertThat(weighed.status()).isEqualTo(422);
        assertThat(weighed.page().text()).contains("is still to come: its jar is not charged yet");
    }

    /** Started from the Bench instead, the making is not forgotten. */
    @Test
    void startedFromTheBenchTheMakingWaitsToo() {
        Visitor tove = Visitor.stocked(port, "By the Bench");
        Document wish = tove.get(NETTLE + "&what=a+salve&use=HANDS").page();
        Document bench = tove.get(wish.select("#on-the-bench").attr("href")).page();
        assertThat(tove.post(Visitor.form(bench, "#bench", Map.of())).path()).startsWith("/batch/");
        assertThat(tove.get("/pan").page().select("#waiting").text()).contains("of salve");
    }

    @Test
    void hoursAreAskedWhereTheyFirstMatterAndLeadBack() {
        Visitor tove = Visitor.stocked(port, "Hours asked");
        Document wish = tove.get(NETTLE + "&what=oil&needed=in+6+weeks").page();
        String hours = wish.select("#whose-hours a").attr("href");
        Answer kept = tove.submit(hours, "#new-person", Map.of("name", "Tove", "day[0]", "18-22"));
        assertThat(kept.path()).startsWith("/wish");
        assertThat(kept.page().select("#herb").attr("value")).isEqualTo("nettle");
        assertThat(kept.page().select("#whose-hours")).isEmpty();
        assertThat(tove.submit("/settings/hours?wish=//elsewhere.example", "#new-person", Map.of("name", "Ari"))
                        .path())
                .isEqualTo("/settings/hours");
    }

    /** Undoing a charge takes off the list what it put there, and nothing that stood on it before. */
    @Test
    void whatStoodOnTheListBeforeStaysThere() {
        Visitor tove = Visitor.household(port, "List before");
        String wished = "/wish?amount=30+g&herb=nettle&state=DRIED&cut=WHOLE&oil=olive&what=a+salve&use=HANDS";
        Answer first = charge(tove, wished);
        String list = tove.get("/stores/to-buy").page().select("#to-buy").text();
        assertThat(list).contains("beeswax");
        Answer second = charge(tove, wished);
        assertThat(second.path()).isNotEqualTo(first.path());
        assertThat(tove.get("/stores/to-buy").page().select("#to-buy").text()).isEqualTo(list);
        tove.post(Visitor.form(second.page(), ".notice form", Map.of()));
        assertThat(tove.get("/stores/to-buy").page().select("#to-buy").text()).isEqualTo(list);
    }

    private static Answer charge(Visitor who, String wished) {
        Document wish = who.get(wished).page();
        Document asked = who.get(wish.select("#charge-it").attr("href")).page();
        return who.post(Visitor.form(asked, "#charge", charged()));
    }
}
