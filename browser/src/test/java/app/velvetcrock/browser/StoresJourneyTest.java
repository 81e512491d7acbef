package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.time.Instant;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Herb from the basket to the ground powder in its tin, and a neighbour's recipe in cups and ounces, with a clock that is moved. */
class StoresJourneyTest {

    private static RunningApp app;
    private Window window;

    @BeforeAll
    static void start() {
        app = RunningApp.at(Instant.parse("2026-07-01T08:00:00Z"));
    }

    @BeforeEach
    void open() {
        app.clock(Instant.parse("2026-07-01T08:00:00Z"));
        window = new Window(app);
        window.signUp("Stores");
    }

    @AfterEach
    void close() {
        window.close();
    }

    @Test
    void fromTheBasketToTheTin() {
        Page page = window.page();
        window.go("/stores");
        page.fill("#h-herb", "nettle");
        page.fill("#h-amount", "300 g");
        page.selectOption("#h-moisture", "FRESH");
        page.selectOption("#h-cut", "WHOLE");
        page.selectOption("#h-origin", "GATHERED");
        page.click("text=Put the herb away");
        page.waitForSelector("text=Nettle is in the stores");
        page.click("a:has-text('Nettle')");
        // 300·0.15/0.90 = 50 g
        page.waitForSelector(".went:has-text('about 50 g')");
        page.click("text=All 300 g on the rack");
        page.waitForSelector(".rack:has-text('one weight says nothing yet')");
        dried(page);
        stripped(page);
        weighedByTheCup(page);
        bottleOpened(page);
        assertThat(window.complaints()).isEmpty();
    }

    /**
     * Dry matter 45 g, settles at 49.45; weights of k = 0.5 a day: 49.45 + 250.55·e^(−k·day) = 201.4, 141.6, 105.4. Ready (51.14
     * g) after ln(250.55/1.686)/0.5 = 10.0 days:
     * 11 July. On the eleventh day it weighs 50.4 g and snaps.
     */
    private void dried(Page page) {
        String[] weights = {"201.4 g", "141.6 g", "105.4 g"};
        String[] shown = {"201 g", "142 g", "105 g"};
        for (int day = 1; day <= 3; day++) {
            app.clock(Instant.parse("2026-07-0%dT08:00:00Z".formatted(day + 1)));
            window.go("/stores/drying");
            page.fill(".weigh input[name=mass]", weights[day - 1]);
            page.click(".weigh button:text-is('Weighed')");
            page.waitForSelector(".notice:has-text('Nettle: " + shown[day - 1] + "')");
        }
        assertThat(window.text(".rack-word")).contains("dry about Sat 11 Jul", "between");
        page.click(".rack summary:has-text('how is this worked out')");
        assertThat(window.text(".rack .sum")).contains("45 g", "49.5 g", "51.1 g", "10 days");
        app.clock(Instant.parse("2026-07-12T08:00:00Z"));
        window.go("/stores/drying");
        page.fill(".weigh input[name=mass]", "50.4 g");
        page.selectOption(".weigh select[name=snap]", "SNAPS");
        page.click(".weigh button:text-is('Weighed')");
        page.waitForSelector(".rack-word:has-text('Dry. Take it down')");
        page.click("text=Take it down: 50.4 g dried");
        page.waitForSelector("#lot-left:text-is('50.4 g left')");
        assertThat(window.text(".went")).contains("dried leaf, whole", "Made from");
    }

    private void stripped(Page page) {
        page.click("summary:has-text('Strip, crush or grind')");
        page.selectOption("#p-cut", "CUT_AND_SIFTED");
        page.fill("#p-out", "42 g");
        page.click("#do-process button");
        page.waitForSelector("#lot-left:text-is('0 g left')");
        page.click("tr:has-text('Became') a");
        page.waitForSelector("#lot-left:text-is('42 g left')");
        page.click("summary:has-text('Strip, crush or grind')");
        page.fill("#p-amount", "20 g");
        page.selectOption("#p-cut", "GROUND");
        page.click("#do-process button");
        page.waitForSelector("#lot-left:text-is('22 g left')");
        assertThat(window.text("#story")).contains("+ 42 g", "− 20 g");
    }

    /** A cup of 250 mL weighed 33 g: 0.132 g/mL, so half a litre is 66 g, and it is no estimate any more. */
    private void weighedByTheCup(Page page) {
        page.click("summary:has-text('Weigh a cup of it once')");
        page.fill("#c-filled", "1 cup");
        page.waitForSelector("#note-c-filled:has-text('250 mL')");
        page.fill("#c-weight", "33 g");
        page.click("#do-cup button");
        page.waitForSelector("#bulk:has-text('33 g')");
        page.click("text=Any amount of it in other measures");
        page.fill("#v-amount", "500 mL");
        page.click("#converter button:text-is('Convert')");
        page.waitForSelector("#converted td:has-text('66')");
        assertThat(window.text("#converted")).doesNotContain("estimate");
    }

    private void bottleOpened(Page page) {
        window.go("/stores");
        page.selectOption("#c-carrier", "rapeseed");
        page.fill("#c-amount", "1 L, 917 g");
        page.click("text=Put the bottle away");
        page.waitForSelector("text=Cold-pressed rapeseed is in the stores");
        page.click("a:has-text('Cold-pressed rapeseed')");
        page.click("button:text-is('It is opened')");
        page.waitForSelector("tr:has-text('Opened'):has-text('12 Jul 2026')");
        // ten months from opening
        assertThat(window.text(".went")).contains("12 May 2027");
    }

    /** 20 fluid ounces are 2½ US cups; this household counts in US cups. */
    @Test
    void aNeighboursRecipeIsReadAndItsContradictionExplained() {
        Page page = window.page();
        window.go("/settings");
        page.selectOption("[name='house.cups']", "US");
        page.click("main button[type=submit]:has-text('Keep')");
        page.waitForSelector(".notice");
        window.go("/stores/recipes");
        page.fill("#body", "2½ cups rapeseed oil (20 oz)\n2 cups dried nettle\n1 oz beeswax pellets");
        page.click("text=Read it");
        page.waitForSelector(".reading.open:has-text('4.5 % off: worth a look')");
        page.click("[data-write]:has-text('20 fluid ounces is 2½ cups exactly')");
        page.waitForSelector(".reading:has-text('2½ cups rapeseed oil'):has-text('542 g')");
        assertThat(page.inputValue("#body")).startsWith("2½ cups rapeseed oil\n2 cups");
        // 591.5 mL to 2·236.6·0.15 = 71 g: 8.3; 100·28.35/570.8 = 5.0, below 6: thick oil
        assertThat(window.text("#recipe-ratio")).isEqualTo("1 : 8.3");
        assertThat(window.text("#recipe-firmness")).isEqualTo("firmness 5: thick oil");
        page.fill("#title", "Neighbour's");
        page.click("button:text-is('Keep it')");
        page.waitForSelector(".notice:has-text('Kept')");
        window.go("/shelf");
        page.keyboard().press("=");
        page.waitForSelector("#convert #v-amount");
        page.fill("#v-amount", "1 cup");
        page.fill("#v-of", "honey");
        page.keyboard().press("Enter");
        // 236.588·1.42 = 336
        page.waitForSelector("#convert #converted td:has-text('336')");
        assertThat(window.complaints()).isEmpty();
    }
}
