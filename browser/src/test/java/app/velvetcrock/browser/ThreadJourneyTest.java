package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The whole thread in a real browser: a household from nothing to an oil in the cupboard, by pointer and by keyboard alone. */
class ThreadJourneyTest {

    private static RunningApp app;
    private Window window;

    @BeforeAll
    static void start() {
        app = RunningApp.at(RunningApp.DEMO_LOADED);
    }

    @BeforeEach
    void open() {
        window = new Window(app);
    }

    @AfterEach
    void close() {
        window.close();
    }

    @Test
    void byTypingAndTapping() {
        window.signUp("Skerry kitchen");
        Page page = window.page();
        assertThat(window.text("h1")).isEqualTo("An empty shelf");
        stock(page);

        page.click("text=Plan a batch on the Bench");
        page.fill("#amount", "60 g");
        page.fill("#oil", "360 mL");
        waitForText(page, "#oil-mark", "360 mL");
        // 60 g cut leaf in a jar 84 mm across: pressed need 355.4 mL, so 360 covers once pushed under; 360/60 = 1 : 6
        assertThat(window.text("#verdict")).isEqualTo("Covers once the herb is pushed under");
        assertThat(window.text("#ratio")).isEqualTo("1 : 6");
        // 360 × 0.917 = 330.1 g; 360 − 1.3·60 − 5 = 277, to the nearest 5
        assertThat(window.text("#oil-weight")).isEqualTo("330 g");
        assertThat(window.text("#yield")).isEqualTo("about 275 mL");
        // air: 1 − (360 + 42.86)/500 = 19.4 %
        assertThat(window.text("#air-mark")).isEqualTo("19 %");
        assertThat(window.text("#keep")).isEqualTo("till 20 Jul 2027");

        levelFollowsTheOil(page);

        page.fill("#oil", "1:6");
        waitForText(page, "#oil-mark", "360 mL");
        page.click("text=how much covers it?");
        assertThat(window.text(".figure details[open] .sum")).contains("loose weight by volume", "0.15 g/mL", "355 mL");
        page.click("#start-batch");
        window.waitFor("/batch/.*");
        page.click("text=Label for the jar");
        assertThat(window.text(".ink-label"))
                .contains("Nettle", "Urtica dioica", "Cold-pressed rapeseed", "1 : 6", "24 Nov 2026");
        page.click("text=To the Shelf");
        assertThat(window.text(".board .jar .tag").replaceAll("\\s+", " ")).isEqualTo("Nettle day 0 of 35");

        page.click(".places >> text=Press");
        page.click("text=Strain it early");
        page.fill("#out", "250 g");
        page.click("text=Into the Cupboard");
        page.waitForSelector("h1:has-text('came out')");
        page.click(".places >> text=Cupboard");
        window.waitFor("/cupboard");
        // 250 ÷ 0.917 = 272.6 mL
        assertThat(window.text(".bottles")).contains("Nettle in cold-pressed rapeseed", "273 mL", "20 Jul");
        assertThat(window.complaints()).isEmpty();
    }

    /** Adds 55 mL and looks where the drawn oil goes: 55 mL ÷ (π·84²/4 mm²) = 9.92 mm, times the picture's scale. */
    private void levelFollowsTheOil(Page page) {
        double before = window.number("#oil-bench", "y");
        double scale = window.number("svg[data-mm-scale]", "data-mm-scale");
        page.fill("#oil", "415 mL");
        waitForText(page, "#oil-mark", "415 mL");
        assertThat(before - window.number("#oil-bench", "y")).isCloseTo(9.925 * scale, within(0.01 * scale));
        // 1 − (415 + 42.86)/500 = 8.4 %, under the 10 % to be left
        assertThat(window.text("#air-mark")).isEqualTo("8 %");
        assertThat(window.text("#verdict")).isEqualTo("Too full for this jar");
        assertThat(page.isDisabled("#start-batch")).isTrue();
    }

    @Test
    void aRemedyIsTakenByOneTap() {
        window.signUp("Remedy");
        Page page = window.page();
        stock(page);
        window.go("/bench?amount=60+g&oil=250+mL");
        assertThat(window.text("#verdict")).isEqualTo("Will not cover the herb");
        // pressed need 355.4, rounded up to 5
        page.click("text=pour 360 mL, which makes it 1 : 6");
        waitForText(page, "#verdict", "Covers once the herb is pushed under");
        assertThat(page.inputValue("#oil")).isEqualTo("360 mL");
    }

    @Test
    void byKeyboardAlone() {
        window.go("/sign-up");
        Page page = window.page();
        tabTo(page, "name");
        type(page, "Tove", "keys-" + System.nanoTime() + "@example.org", "five jars of oil", "Keys only");
        page.keyboard().press("Enter");
        window.waitFor("/shelf");
        page.keyboard().press("t");
        window.waitFor("/stores");
        tabTo(page, "h-herb");
        type(page, "Nettle", "200 g");
        page.keyboard().press("Enter");
        page.waitForSelector("text=Nettle is in the stores");
        tabTo(page, "c-carrier");
        page.keyboard().type("Cold-pressed");
        tabTo(page, "c-amount");
        page.keyboard().type("1 L");
        page.keyboard().press("Enter");
        page.waitForSelector("text=Cold-pressed rapeseed is in the stores");
        tabTo(page, "j-capacity");
        type(page, "500 mL", "84 mm");
        page.keyboard().press("Enter");
        page.waitForSelector("text=500 mL jar is in the stores");
        page.keyboard().press("Escape");
        tabTo(page, "h-herb");
        page.keyboard().press("Shift+Tab");
        page.keyboard().press("b");
        window.waitFor("/bench");
        tabTo(page, "amount");
        page.keyboard().press("Control+a");
        page.keyboard().type("40 g");
        waitForText(page, "#need", "275 mL oil");
        tabTo(page, "start-batch");
        page.keyboard().press("Enter");
        window.waitFor("/batch/.*");
        page.keyboard().press("p");
        window.waitFor("/press");
        tabUntil(page, "document.activeElement?.ariaLabel?.startsWith('Strain Nettle')");
        page.keyboard().press("Enter");
        window.waitFor("/press/.*");
        tabTo(page, "out");
        page.keyboard().type("200 g");
        page.keyboard().press("Enter");
        page.waitForSelector("h1:has-text('came out')");
        tabTo(page, "left");
        page.keyboard().press("Shift+Tab");
        page.keyboard().press("c");
        window.waitFor("/cupboard");
        // 200 ÷ 0.917 = 218.1 mL; a sealed bottle keeps 10 months from today's pouring
        assertThat(window.text(".bottles")).contains("218 mL", "24 Sep");
        page.keyboard().press("?");
        assertThat(page.isVisible("#keys")).isTrue();
        assertThat(window.complaints()).isEmpty();
    }

    private static void stock(Page page) {
        page.click(".places >> text=Stores");
        page.fill("#h-herb", "Nettle");
        page.fill("#h-amount", "7 oz");
        page.waitForSelector("#note-h-amount:has-text('7 oz → 198 g')");
        page.fill("#h-amount", "200 g");
        page.click("text=Put the herb away");
        page.waitForSelector("text=Nettle is in the stores");
        page.selectOption("#c-carrier", "rapeseed");
        page.fill("#c-amount", "9 oz");
        page.click("#note-c-amount .choice >> text=9 fl oz");
        assertThat(page.inputValue("#c-amount")).isEqualTo("9 fl oz");
        page.fill("#c-amount", "1 L");
        page.fill("#c-opened", "2026-09-20");
        page.click("text=Put the bottle away");
        page.waitForSelector("text=Cold-pressed rapeseed is in the stores");
        page.fill("#j-capacity", "500 mL");
        page.fill("#j-width", "84 mm");
        page.click("text=Put the jar away");
        page.waitForSelector("text=500 mL jar is in the stores");
    }

    private static void waitForText(Page page, String selector, String text) {
        page.waitForSelector(selector + ":text-is('" + text + "')");
    }

    /** Types into this field and the next ones, a Tab between. */
    private static void type(Page page, String... texts) {
        for (int i = 0; i < texts.length; i++) {
            page.keyboard().type(texts[i]);
            if (i < texts.length - 1) {
                page.keyboard().press("Tab");
            }
        }
    }

    /** Presses Tab until the element has the focus, as somebody without a pointer must. */
    private static void tabTo(Page page, String id) {
        tabUntil(page, "document.activeElement?.id === '" + id + "'");
    }

    private static void tabUntil(Page page, String reached) {
        for (int i = 0; i < 60; i++) {
            if (Boolean.TRUE.equals(page.evaluate(reached))) {
                return;
            }
            page.keyboard().press("Tab");
        }
        throw new AssertionError("cannot be reached by Tab: " + reached);
    }
}
