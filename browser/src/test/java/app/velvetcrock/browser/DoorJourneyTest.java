package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Somebody who is not signed in: the sentence at the door, live, and with it into a stillroom of their own. */
class DoorJourneyTest {

    private static RunningApp app;

    @BeforeAll
    static void start() {
        app = RunningApp.at(RunningApp.DEMO_LOADED);
    }

    @Test
    void theDoorFitsAndIsReadInEverySizeAndTheme() {
        app.clock(RunningApp.DEMO_LOADED);
        try (Window window = new Window(app)) {
            for (ColorScheme scheme : new ColorScheme[] {ColorScheme.LIGHT, ColorScheme.DARK}) {
                for (int width : new int[] {1280, 390}) {
                    window.open(width, width == 390 ? 844 : 800, scheme);
                    window.go("/");
                    window.isAccessible("door " + scheme + width);
                    assertThat(window.page().evaluate("document.documentElement.scrollWidth <= innerWidth"))
                            .isEqualTo(true);
                    assertThat(window.text("#verdict")).startsWith("Ready ");
                    if (System.getenv("CROCK_SCREENSHOTS") != null && scheme == ColorScheme.LIGHT && width == 1280) {
                        window.page()
                                .screenshot(new Page.ScreenshotOptions()
                                        .setPath(Path.of("..", "docs", "screenshots", "door.png")));
                    }
                }
            }
            assertThat(window.complaints()).isEmpty();
        }
    }

    /** Other words are answered while they are typed; what was planned is there once a stillroom is set up: sixteen taps and fields. */
    @Test
    void fromTheDoorToAStillroomWithThePlanInIt() {
        app.clock(RunningApp.DEMO_LOADED);
        try (Window window = new Window(app)) {
            Page page = window.page();
            window.go("/");
            String before = window.text("#verdict");
            page.fill("#herb", "nettle");
            page.fill("#much", "12 tins");
            page.fill("#needed", "");
            page.waitForSelector("#made:has-text('12 × Tin of 60 mL')");
            assertThat(window.text("#verdict")).isNotEqualTo(before);
            assertThat(window.text("#answer")).contains("Nettle (Urtica dioica)");
            assertThat(page.url()).as("the address holds it").contains("herb=nettle");
            page.fill("#what", "ear drops");
            page.waitForSelector("#answer:has-text('Nothing for ears')");
            assertThat(page.locator("#verdict").count()).isZero();
            page.fill("#what", "a salve");
            page.waitForSelector("#made:has-text('12 × Tin of 60 mL')");
            String made = window.text("#made");
            page.click("#keep");
            page.fill("#name", "Tove");
            page.fill("#email", window.email());
            page.fill("#password", "five jars of oil");
            page.fill("[id='house.household']", "From the door");
            page.click("text=Open the stillroom");
            window.waitFor("/wish.*");
            assertThat(page.inputValue("#herb")).isEqualTo("nettle");
            assertThat(page.inputValue("#much")).isEqualTo("12 tins");
            assertThat(window.text("#answer")).as("it has no tins yet").contains("No container for that is here");
            page.fill("#much", "");
            page.waitForSelector("#verdict");
            assertThat(window.text("#to-buy")).contains("olive", "beeswax");
            assertThat(made).contains("12");
            window.isAccessible("wish");
            assertThat(window.complaints()).isEmpty();
        }
    }
}
