package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The daily round, from jar to jar: with one thumb on a phone, and from the desk's keyboard. */
class RoundJourneyTest {

    private static final int JARS = 4;

    private Window window;
    private Page page;

    @BeforeEach
    void fourJars() {
        window = new Window(RunningApp.at(RunningApp.DEMO_LOADED));
        window.signUp("Round kitchen");
        page = window.page();
        Larder larder = new Larder(window);
        larder.herb("Nettle", "400 g");
        larder.carrier("rapeseed", "4 L");
        larder.jar("Half litre", "500 mL", "6");
        for (int jar = 0; jar < JARS; jar++) {
            window.go("/bench?amount=20+g&start=2026-11-21");
            page.click("#start-batch");
            window.waitFor("/batch/.*");
        }
    }

    @AfterEach
    void close() {
        assertThat(window.complaints()).isEmpty();
        window.close();
    }

    /** Three jars in three taps, the button under the thumb staying where it is; the fourth has water under it and is not shaken. */
    @Test
    void withOneThumb() {
        window.open(390, 844, ColorScheme.LIGHT);
        page = window.page();
        window.go("/shelf");
        page.tap("text=Go the round: 4 jars");
        page.waitForSelector("h1:has-text('Nettle 1')");
        double y = page.locator(".walk-do .well").boundingBox().y;
        for (int jar = 1; jar < JARS; jar++) {
            assertThat(page.locator(".walk-do .well").boundingBox().y).isEqualTo(y);
            assertThat(page.evaluate("scrollY")).isEqualTo(0);
            page.tap(".walk-do .well");
            page.waitForSelector("h1:has-text('Nettle " + (jar + 1) + "')");
        }
        assertThat(page.locator(".walk-do .well").boundingBox().height).isGreaterThanOrEqualTo(44);
        page.tap("summary:has-text('water under it')");
        page.tap("text=There is water under it");
        page.waitForSelector(".walk-do .shut");
        assertThat(window.text(".walk-do")).contains("Leave it shut");
        swipe("right");
        page.waitForSelector("h1:has-text('Nettle 3')");
        swipe("left");
        page.waitForSelector("h1:has-text('Nettle 4')");
        window.go("/shelf");
        assertThat(page.locator(".round:has-text('Shake'):not(.DONE):not(.COMING)")
                        .count())
                .isEqualTo(0);
        assertThat(page.locator(".go-round").count()).isEqualTo(0);
    }

    private void swipe(String to) {
        page.evaluate(
                """
                (to) => {
                  const walk = document.getElementById('walk');
                  const touch = (x) => new Touch({ identifier: 1, target: walk, clientX: x, clientY: 300 });
                  const from = to === 'right' ? 80 : 300;
                  const end = to === 'right' ? 300 : 80;
                  const tell = (type, at, touches) => walk.dispatchEvent(
                    new TouchEvent(type, { bubbles: true, touches, changedTouches: [touch(at)] }));
                  tell('touchstart', from, [touch(from)]);
                  tell('touchend', end, []);
                }""",
                to);
    }

    /** Arrows lead on, w and x press the buttons, a figure opens what was seen; what was typed by mistake is taken back. */
    @Test
    void fromTheKeyboard() {
        window.go("/round");
        page.keyboard().press("ArrowRight");
        page.waitForSelector("h1:has-text('Nettle 2')");
        page.keyboard().press("ArrowLeft");
        page.waitForSelector("h1:has-text('Nettle 1')");
        page.keyboard().press("w");
        page.waitForSelector("h1:has-text('Nettle 2')");
        page.keyboard().press("x");
        page.waitForSelector("h1:has-text('Nettle 3')");
        page.keyboard().press("1");
        page.waitForSelector(".walk-comes >> text=The herb stands out");
        page.keyboard().press("Tab");
        page.keyboard().press("Enter");
        page.waitForSelector(".walk-it:has-text('push the herb under')");
        page.click(".notice >> text=Take it back");
        page.waitForSelector(".notice:has-text('Taken back')");
        assertThat(window.text(".walk-it")).contains("Nettle 3").doesNotContain("push the herb under");
        page.click("text=Several were only shaken");
        assertThat(page.locator("#many .tick").allInnerTexts()).containsExactly("Nettle 3", "Nettle 4");
        window.isAccessible("the round");
    }

    /** One line over whatever page: / opens it, the echo asks which of four, a choice settles it, Enter writes, arrow up brings it back. */
    @Test
    void oneLine() {
        window.go("/stores");
        page.keyboard().press("/");
        page.waitForSelector("#jot-over[open] #line");
        page.fill("#line", "nettle shaken, smells green");
        page.waitForSelector(".jot-line mark:has-text('nettle')");
        window.isAccessible("jot over the stores");
        page.keyboard().press("Escape");
        page.waitForCondition(() -> page.locator("#jot-over[open]").count() == 0);
        page.keyboard().press("/");
        page.waitForSelector("#jot-over[open] #line");
        assertThat(page.inputValue("#line")).as("typed and not sent").isEqualTo("nettle shaken, smells green");
        page.click("#jot-echo >> text=Nettle 2");
        page.waitForSelector("#jot-echo:has-text('Nettle, jar 2: shaken, smells green')");
        page.press("#line", "Enter");
        page.waitForSelector(".notice:has-text('Nettle, jar 2: shaken, smells green')");
        assertThat(page.url()).as("where it was written").endsWith("/stores");
        page.click(".me [data-jot-open]");
        page.waitForSelector("#jot-over[open] #line");
        assertThat(page.inputValue("#line")).isEmpty();
        page.press("#line", "ArrowUp");
        assertThat(page.inputValue("#line")).isEqualTo("Nettle 2 shaken, smells green");
        page.keyboard().press("Escape");
        page.click(".notice >> text=Take it back");
        page.waitForSelector(".notice:has-text('Taken back')");
        assertThat(page.url()).endsWith("/stores");
    }
}
