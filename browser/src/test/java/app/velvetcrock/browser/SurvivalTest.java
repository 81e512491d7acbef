package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import java.io.IOException;
import org.junit.jupiter.api.Test;

/** Nothing acknowledged is lost when the application or the database is killed, and what was typed stays in its form. */
class SurvivalTest {

    /** Milliseconds within which whoever taps hears of it. */
    private static final double AN_ANSWER = 12_000;

    @Test
    void aKilledApplicationAndACrashedDatabaseLoseNothing() throws IOException {
        RunningApp app = RunningApp.at(RunningApp.DEMO_LOADED);
        try (Window window = new Window(app)) {
            window.signUp("Power cut");
            Page page = window.page();
            herb(window, "Nettle");

            app.kill();
            page.fill("#h-herb", "Yarrow");
            page.fill("#h-amount", "80 g");
            page.click("text=Put the herb away");
            page.waitForSelector("#not-sent:has-text('waits on this device')");
            page.waitForSelector("#unsent summary:has-text('1 not sent yet')");
            assertThat(page.inputValue("#h-herb")).as("it is kept already").isEmpty();
            app.startProcess();
            page.waitForSelector(".notice:has-text('Sent:'):has-text('Yarrow is in the stores')");
            window.go("/stores");
            assertThat(window.text("table")).contains("Nettle", "Yarrow");

            TestDatabase.crash();
            try {
                page.fill("#h-herb", "Self-heal");
                page.fill("#h-amount", "30 g");
                page.click("text=Put the herb away");
                page.waitForSelector("#not-sent:has-text('the database is away')");
                assertThat(page.inputValue("#h-herb")).isEqualTo("Self-heal");
                assertThat(window.page()
                                .context()
                                .request()
                                .get(app.url("/shelf"))
                                .status())
                        .isEqualTo(503);
            } finally {
                TestDatabase.start();
            }
            // Pages and sessions have connections of their own to the database: both are back once a page is shown.
            RunningApp.await(() -> app.isUp()
                    && window.page()
                            .context()
                            .request()
                            .get(app.url("/shelf"))
                            .url()
                            .endsWith("/shelf")
                    && window.page().context().request().get(app.url("/shelf")).status() == 200);
            untilSaid(page, "Self-heal is in the stores");
            assertThat(window.text("table")).contains("Nettle", "Yarrow", "Self-heal");
            assertThat(page.locator("main table tr").count()).isEqualTo(3);
        }
    }

    /**
     * Sends again, as the page asks for, while a connection of the pool is still to be found lost, and where nothing is said for
     * long; the key counts once.
     */
    private static void untilSaid(Page page, String words) {
        RunningApp.await(() -> {
            page.evaluate("document.getElementById('not-sent').hidden = true");
            page.click("text=Put the herb away");
            try {
                page.waitForSelector(
                        ":text('%s'), #not-sent:not([hidden])".formatted(words),
                        new Page.WaitForSelectorOptions().setTimeout(AN_ANSWER));
            } catch (TimeoutError unsaid) {
                System.out.println("nothing was said at " + page.url() + ": "
                        + page.locator("main").innerText());
            }
            return page.locator(":text('%s')".formatted(words)).count() > 0;
        });
    }

    private static void herb(Window window, String name) {
        window.go("/stores");
        window.page().fill("#h-herb", name);
        window.page().fill("#h-amount", "120 g");
        window.page().click("text=Put the herb away");
        window.page().waitForSelector("text=" + name + " is in the stores");
    }
}
