package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.time.Instant;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Which ways the Bench offers and refuses, and a batch followed through two stages by hand. */
class WaysJourneyTest {

    private static RunningApp app;
    private Window window;
    private Page page;

    @BeforeAll
    static void start() {
        app = RunningApp.at(RunningApp.DEMO_LOADED);
    }

    @BeforeEach
    void stocked() {
        app.clock(Instant.parse("2026-11-24T09:00:00Z"));
        window = new Window(app);
        window.signUp("Ways");
        page = window.page();
        herb("Nettle", "400 g", "FRESH");
        herb("Calendula", "200 g", "DRIED");
        carrier("rapeseed", "Cold-pressed rapeseed");
        carrier("coconut", "Coconut");
        page.fill("#j-capacity", "500 mL");
        page.fill("#j-width", "84 mm");
        page.click("text=Put the jar away");
        page.waitForSelector("text=500 mL jar is in the stores");
    }

    @AfterEach
    void close() {
        assertThat(window.complaints()).isEmpty();
        window.close();
    }

    /** 100 g of fresh leaf under 250 mL (229.3 g): 85 − 2.05 − 0.2 = 82.7 g of free water, 36 % of the oil. */
    @Test
    void freshLeafIsOfferedLowHeatWithItsWaterAndRefusedCold() {
        window.go("/bench?amount=100+g");
        page.selectOption("#herb", new SelectOption().setLabel("Nettle (fresh leaf, cut and sifted)"));
        page.waitForSelector(
                "#note-method:has-text('Slow warm cannot make this'):has-text('Fresh, low heat stands here')");
        assertThat(page.isChecked("input[name=method][value=fresh-low]")).isTrue();
        page.click("#refused summary");
        assertThat(window.text("#refused"))
                .contains("Nettle is fresh", "24 heat-hours under cloth", "To allow it: dry it first");
        assertThat(window.text("#refused + p")).contains("dried first, leaves about 17 g: lay it out");
        // Whoever insists gives a reason, and nothing can be started before; the fittest is one tap away.
        page.check(".insist:has-text('Slow warm') input");
        page.waitForSelector("#chosen-refused");
        assertThat(page.isDisabled("#start-batch")).isTrue();
        page.check("input[name=method][value=fresh-low]");
        page.waitForSelector("#water:has-text('83 g of free water, 36 % of the oil')");
        assertThat(page.inputValue("#length")).isEqualTo("24 hours");
        assertThat(page.inputValue("#then")).isEqualTo("24 hours");
        assertThat(page.isDisabled("#start-batch")).isFalse();
    }

    /** Food of anything moist: only the pan, and four days from today. */
    @Test
    void foodOfFreshHerbGoesIntoThePanForFourDays() {
        window.go("/bench?amount=100+g&use=FOOD");
        page.selectOption("#herb", new SelectOption().setLabel("Nettle (fresh leaf, cut and sifted)"));
        page.waitForSelector("#note-method:has-text('Slow warm cannot make this'):has-text('stands here instead')");
        assertThat(page.isChecked("input[name=method][value='juicy-pan~food']")).isTrue();
        page.click(".refused-ways summary");
        assertThat(page.locator(".refused-way").allInnerTexts().toString())
                .contains("Cold and dark", "Fresh, low heat", "take the hot pan");
        page.waitForSelector("#keep:text-is('till 28 Nov 2026')");
        assertThat(window.text("#keep + p")).contains("within 2 hours").contains("within 4 days");
    }

    /**
     * Resinous flowers: warmed first. Without spirit spirit-first is refused; with 40 % it is warned of; 30 g of powder take 15 g,
     * 10 g of it water, and 225 mL of oil, 1:7.5.
     */
    @Test
    void resinousFlowersAreWarmedAndSpiritFirstWantsSpirit() {
        window.go("/bench?amount=30+g");
        page.waitForSelector("input[name=method][value=slow-warm]:checked");
        page.click(".refused-ways summary");
        assertThat(page.locator(".refused-way").allInnerTexts().toString())
                .contains("Spirit first", "no spirit is in the Stores", "75 % or more");
        spirit("40");
        window.go("/bench?amount=30+g&cut=POWDER&method=spirit-first");
        assertThat(window.text("#moisten")).contains("15 g", "of 40 % spirit; 10 g of that is water");
        assertThat(page.locator(".caution").allInnerTexts().toString())
                .contains("40 % spirit brings much water", "no flame");
        assertThat(window.text("#ratio")).isEqualTo("1 : 7.5");
        spirit("90");
        window.go("/bench?amount=30+g&cut=POWDER&method=spirit-first");
        assertThat(window.text("#moisten")).contains("of 90 % spirit");
        assertThat(page.locator(".caution").allInnerTexts().toString()).doesNotContain("brings much water");
    }

    @Test
    void solidFatInAColdPantryIsRefusedWithTheWarmthThatWouldAllowIt() {
        window.go("/bench?amount=30+g&method=cold-dark");
        page.selectOption("#carrier", new SelectOption().setLabel("Coconut, sealed"));
        page.waitForSelector("#note-method:has-text('Cold and dark cannot make this'):has-text('stands here instead')");
        page.click(".refused-ways summary");
        assertThat(page.locator(".refused-way").allInnerTexts().toString())
                .contains("Coconut is solid below 26 °C and the pantry is 14 °C", "stand it at 26 °C");
        page.check("input[name=method][value=slow-warm]");
        page.waitForFunction("() => !document.querySelector('#start-batch').disabled");
    }

    /** An hour's heat with readings at 45 °C, then the rest begun by a tap: 14 days in the dark, strained on 8 December. */
    @Test
    void heatThenRestIsFollowedByHand() {
        window.go("/bench?amount=30+g&method=heat-rest");
        assertThat(page.inputValue("#then")).isEqualTo("14 days");
        page.click("#start-batch");
        window.waitFor("/batch/.*");
        window.go("/shelf");
        page.click("button[aria-label^='Heat on Calendula']");
        page.waitForSelector(".notice:has-text('Heat on: done')");
        for (String time : new String[] {"09:00", "09:30", "10:00"}) {
            app.clock(Instant.parse("2026-11-24T" + time + ":00Z"));
            window.go("/shelf");
            page.fill(".number input[name=temperature]", "45");
            page.keyboard().press("Enter");
            page.waitForSelector(".notice:has-text('Read 45')");
        }
        page.click("button[aria-label^='Off the heat Calendula']");
        page.waitForSelector(".notice:has-text('Off the heat: done')");
        page.click("button[aria-label^='Next: resting in the dark Calendula']");
        page.waitForSelector(".board .jar .word:has-text('day 0 of 14')");
        app.clock(Instant.parse("2026-11-25T09:00:00Z"));
        window.go("/shelf");
        page.click("button[aria-label^='Shake']");
        page.waitForSelector(".notice:has-text('Shake: done')");
        app.clock(Instant.parse("2026-12-08T09:00:00Z"));
        window.go("/shelf");
        page.click(".round a.tap:has-text('Strain Calendula')");
        window.waitFor("/press/.*");
        page.fill("#out", "195 g");
        page.click("text=Into the Cupboard");
        page.waitForSelector("h1:has-text('came out')");
    }

    /**
     * 120 g of calendula, half a part of self-heal, 60 g of yarrow: 1846 mL of loose herb, 1327 mL pressed. Two litres take 120 g
     * each: 663.5 − 85.7 + 157.1 = 734.9, so 735 mL.
     */
    @Test
    void aBlendOfThreeThatFitsNoJarIsDivided() {
        herb("Self-heal", "200 g", "DRIED");
        herb("Yarrow", "200 g", "DRIED");
        carrier("sunflower-high-oleic", "High-oleic sunflower", "4 L");
        jars("1 L", "100 mm", "4");
        window.go("/bench?method=cold-dark");
        page.selectOption("#herb", new SelectOption().setLabel("Calendula (dried flowers, cut and sifted)"));
        page.selectOption("#carrier", new SelectOption().setLabel("High-oleic sunflower, sealed"));
        page.fill("#amount", "120 g");
        page.click("#blend summary");
        page.fill("[id='more[0].amount']", "½ part");
        page.selectOption("[id='more[0].herb']", new SelectOption().setLabel("Self-heal (dried tops, cut and sifted)"));
        page.fill("[id='more[1].amount']", "60 g");
        page.selectOption("[id='more[1].herb']", new SelectOption().setLabel("Yarrow (dried tops, cut and sifted)"));
        page.waitForSelector("#shares tr:has-text('Yarrow'):has-text('25 %')");
        assertThat(window.text("[id='note-more[0].amount']")).contains("Self-heal: 60 g");
        assertThat(page.isDisabled("#start-batch")).isTrue();
        page.click(".chip:has-text('divide it over')");
        page.waitForSelector("#split tr:has-text('in all'):has-text('240 g'):has-text('1.47 L')");
        int parts = page.locator("#split tr").count() - 1;
        assertThat(parts).isEqualTo(2);
        page.click("#start-batch");
        page.waitForSelector(".notice:has-text('All of them stand on the Shelf')");
        assertThat(page.locator(".board .jar:has-text('of " + parts + ")')").count())
                .isEqualTo(parts);
        window.go("/stores");
        assertThat(window.text("main")).contains("80 g", "140 g");
    }

    /** Words stand beside the blank they are about, and go with what they were about. */
    @Test
    void wordsStandBesideTheirBlankAndGo() {
        window.go("/bench?amount=30+g");
        page.waitForSelector("#jar + .beside:has-text('smallest of yours')");
        page.fill("#amount", "30 gg");
        page.waitForSelector("#amount + .beside:has-text('is not a unit')");
        page.fill("#amount", "30 g");
        page.waitForSelector(
                "#amount + .beside:empty", new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
        page.waitForSelector("#jar + .beside:has-text('smallest of yours')");
        // The next row of a blend comes when the last has its herb.
        page.click("#blend summary");
        assertThat(page.locator("[id='more[4].herb']").count()).isZero();
        page.selectOption("[id='more[3].herb']", new SelectOption().setIndex(1));
        assertThat(page.getAttribute("[id='more[4].herb']", "name")).isEqualTo("more[4].herb");
        assertThat(page.inputValue("[id='more[4].amount']")).isEmpty();
    }

    /** Dragging or typing keeps what is opened and what is being typed elsewhere: the sums stay open. */
    @Test
    void whatIsOpenedStaysOpenWhileItIsWorkedOutAnew() {
        window.go("/bench?amount=30+g");
        page.click("#yield ~ details summary");
        assertThat(page.isVisible("#yield ~ details .sum")).isTrue();
        page.fill("#amount", "40 g");
        page.waitForSelector("#herb-mark:text-is('40 g')");
        assertThat(page.isVisible("#yield ~ details .sum")).isTrue();
        page.click("#numbers summary");
        page.focus("[id='numbers.ceiling']");
        answered(() -> page.keyboard().type("55"));
        answered(() -> page.keyboard().type(" °C"));
        assertThat(page.inputValue("[id='numbers.ceiling']")).isEqualTo("55 °C");
    }

    /** Types, and waits until the plan worked out for it stands on the page. */
    private void answered(Runnable typing) {
        page.waitForResponse(response -> response.url().contains("/bench/plan"), typing);
        page.waitForFunction(
                "() => document.querySelectorAll('.htmx-request, .htmx-swapping, .htmx-settling').length === 0");
    }

    private void jars(String capacity, String width, String pieces) {
        window.go("/stores");
        page.fill("#j-capacity", capacity);
        page.fill("#j-width", width);
        page.fill("#j-pieces", pieces);
        page.click("text=Put the jar away");
        page.waitForSelector("text=is in the stores");
    }

    private void herb(String name, String amount, String moisture) {
        window.go("/stores");
        page.fill("#h-herb", name);
        page.fill("#h-amount", amount);
        page.selectOption("#h-moisture", moisture);
        page.click("text=Put the herb away");
        page.waitForSelector("text=" + name + " is in the stores");
    }

    private void carrier(String key, String name) {
        carrier(key, name, "2 L");
    }

    private void carrier(String key, String name, String amount) {
        page.selectOption("#c-carrier", key);
        page.fill("#c-amount", amount);
        page.click("text=Put the bottle away");
        page.waitForSelector("text=" + name + " is in the stores");
    }

    private void spirit(String percent) {
        window.go("/stores/supplies");
        page.selectOption("#s-kind", "grain-spirit");
        page.fill("#s-amount", "500 mL");
        page.fill("#s-abv", percent);
        page.click("#add-supply button.do");
        page.waitForSelector(".notice:has-text('Grain spirit is in the stores')");
    }
}
