package app.velvetcrock.stores;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Kit, catalogue, converter, list to buy and settings, drawn from what is stored; and what a newcomer is asked. */
@HttpTest
class SidePlacesHttpTest {

    @LocalServerPort
    int port;

    /** Two half-litre jars: one holds the batch, one is free; both are drawn to one scale with a litre. */
    @Test
    void theKitShowsWhatStandsInItsVessels() {
        Visitor tove = Visitor.stocked(port, "Board");
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "1 L", "width", "100 mm"));
        assertThat(tove.get("/stores/kit").page().select("#vessels li").first().text())
                .contains("500 mL, 84 mm across, 90 mm high", "all 2 free");
        String batch = tove.post(Visitor.form(tove.get("/bench?amount=40+g").page(), "#bench", Map.of()))
                .path();
        Document kit = tove.get("/stores/kit").page();
        assertThat(kit.select("#vessels li").first().text()).contains("1 of 2 free", "Nettle, day 0");
        assertThat(kit.select("#vessels .inside-it").attr("href")).isEqualTo(batch);
        assertThat(kit.select("#vessels li").first().select(".glass")).hasSize(2);
        double half = height(kit.select("#vessels li").first());
        double litre = height(kit.select("#vessels li").last());
        assertThat(litre / half).as("127.3 mm high beside 90.2, lids and all").isBetween(1.2, 1.42);
    }

    private static double height(org.jsoup.nodes.Element vessel) {
        return Double.parseDouble(vessel.select("svg").last().attr("height"));
    }

    @Test
    void theCatalogueIsLookedThroughByWhomItIsForAndByWhenItWasGathered() {
        Visitor tove = Visitor.stocked(port, "Leaves");
        Answer mistake = tove.submit(
                "/stores",
                "form[action$=herbs]",
                Map.of(
                        "herb",
                        "nettle",
                        "amount",
                        "8 g",
                        "origin",
                        "GATHERED",
                        "sure",
                        "yes",
                        "acquired",
                        "2026-06-10"));
        assertThat(names(tove, "?month=JUNE")).containsExactly("Nettle");
        tove.post(Visitor.form(mistake.page(), ".notice form", Map.of()));
        tove.submit(
                "/stores",
                "form[action$=herbs]",
                Map.of(
                        "herb",
                        "yarrow",
                        "amount",
                        "80 g",
                        "origin",
                        "GATHERED",
                        "sure",
                        "yes",
                        "acquired",
                        "2026-07-10"));
        List<String> all = names(tove, "");
        assertThat(all).contains("Comfrey", "Nettle", "Yarrow");
        assertThat(names(tove, "?use=BABY")).doesNotContain("Comfrey").contains("Nettle");
        assertThat(names(tove, "?use=BABY&calm=yes"))
                .hasSizeLessThan(names(tove, "?use=BABY").size());
        assertThat(names(tove, "?month=JULY")).containsExactly("Yarrow");
        assertThat(names(tove, "?month=JUNE")).isEmpty();
        assertThat(names(tove, "?q=urtica")).containsExactly("Nettle");
        assertThat(tove.get("/stores/catalogue?use=PREGNANCY&q=yarrow")
                        .page()
                        .select(".told")
                        .text())
                .isNotBlank();
        assertThat(tove.get("/stores/catalogue?q=yarrow")
                        .page()
                        .select(".months")
                        .attr("aria-label"))
                .isEqualTo("gathered here in July");
        assertThat(Visitor.household(port, "Stranger to it")
                        .get("/stores/catalogue")
                        .page()
                        .select(".months"))
                .as("another household's seasons are its own")
                .isEmpty();
    }

    private static List<String> names(Visitor who, String looking) {
        return who.get("/stores/catalogue" + looking)
                .page()
                .select(".leaves > li > div > b")
                .eachText();
    }

    @Test
    void whatACupOfEachThingHereWeighsStandsBesideTheConverter() {
        Visitor tove = Visitor.stocked(port, "Heaps");
        Document page = tove.get("/stores/convert").page();
        // 250 mL of rapeseed at 0.917 g/mL are 229 g.
        assertThat(page.select(".heaps li:contains(rapeseed)").text()).contains("229 g");
        Document one = tove.get(page.select(".heaps a:contains(rapeseed)").attr("href"))
                .page();
        assertThat(one.select("#converted").text()).contains("229 g");
        assertThat(tove.get("/stores/convert?part=inner").page().select(".heaps"))
                .isEmpty();
    }

    @Test
    void theListIsTornByWhatItIsForAndWhatWasGotIsPutAwayByOneList() {
        Visitor tove = Visitor.stocked(port, "Slips");
        tove.submit("/stores/to-buy", "form[action$=to-buy]", Map.of("words", "100 g beeswax"));
        Document list = tove.get("/stores/to-buy").page();
        assertThat(list.select("#to-buy h2").eachText()).containsExactly("Besides");
        Answer got = tove.post(Visitor.form(list, "form[action$=got]", Map.of()));
        assertThat(tove.get(got.page().select("#got a").attr("href"))
                        .page()
                        .select("textarea")
                        .text())
                .isEqualTo("100 g beeswax");
    }

    @Test
    void anEmptyHouseholdIsLedByWhatIsMissingNext() {
        Visitor tove = Visitor.household(port, "Next");
        assertThat(tove.get("/shelf").page().select("#first-step").text()).startsWith("Nothing is in the Stores yet.");
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "200 g", "cut", "WHOLE"));
        assertThat(tove.get("/shelf").page().select("#first-step").text())
                .contains("an oil to cover it is missing next");
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "olive", "amount", "1 L"));
        assertThat(tove.get("/shelf").page().select("#first-step").text()).contains("a jar is missing next");
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "1 L", "width", "100 mm"));
        assertThat(tove.get("/shelf").page().select("#first-step a").attr("href"))
                .isEqualTo("/bench");
    }

    /** Asked, with what the browser says ticked; without a word of it, as most have it. */
    @Test
    void aNewcomerIsAskedWithTheBrowsersGuessTicked() {
        assertThat(ticked("en-US,en;q=0.9")).containsExactly("US", "FAHRENHEIT", "US", "USD");
        assertThat(ticked("en-AU")).containsExactly("METRIC", "CELSIUS", "AUSTRALIAN", "AUD");
        assertThat(ticked("de-CH")).containsExactly("METRIC", "CELSIUS", "METRIC", "CHF");
        assertThat(ticked("xx-ZZ")).containsExactly("METRIC", "CELSIUS", "METRIC", "EUR");
        assertThat(ticked("fr")).containsExactly("METRIC", "CELSIUS", "METRIC", "EUR");
    }

    private List<String> ticked(String language) {
        Document page =
                new Visitor(port).get("/sign-up", "Accept-Language", language).page();
        return List.of(
                page.select("[name='house.system'][checked]").attr("value"),
                page.select("[name='house.scale'][checked]").attr("value"),
                page.select("[name='house.cups'] option[selected]").attr("value"),
                page.select("[name='house.currency']").attr("value"));
    }

    @Test
    void theSettingsShowHowThisHouseholdWrites() {
        Visitor tove = Visitor.household(port, "Written");
        assertThat(tove.get("/settings").page().select("#written-so").text())
                .contains("45 g of herb", "250 mL", "45 °C");
        tove.submit("/settings", "form[action$=settings]", Map.of("house.system", "US", "house.scale", "FAHRENHEIT"));
        assertThat(tove.get("/settings").page().select("#written-so").text()).contains("1.59 oz", "113 °F");
    }
}
