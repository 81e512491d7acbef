package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.ElementHandle;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.ColorScheme;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where the eye is after a form: at what was refused, or where it was. */
class EyeJourneyTest {

    private static final String JUNK = "?!";

    /** A picture is refused before it is sent, beside its own form. */
    private static final String FORMS = "main form[method=post]:not(.picture-form)";

    /** Every form that takes text says why it refuses, in sight, with the focus there and what was typed kept. */
    @ParameterizedTest
    @CsvSource({"1280, 800", "390, 844"})
    void everyFormSaysInSightWhyItRefuses(int width, int height) {
        RunningApp app = RunningApp.at(RunningApp.DEMO_LOADED);
        try (Window window = new Window(app)) {
            window.go("/sign-in");
            window.page().click("text=Look round the demo household");
            window.waitFor("/shelf");
            window.open(width, height, ColorScheme.LIGHT);
            window.go("/shelf");
            String batch = window.page().getAttribute(".board .jar", "href");
            window.go("/stores");
            String lot =
                    window.page().locator("a[href*='/stores/lots/']").first().getAttribute("href");
            window.go("/cupboard");
            String oil = window.page().locator("a[href*='/cupboard/']").first().getAttribute("href");
            int refused = 0;
            for (String view : List.of(
                    batch,
                    batch.replace("/batch/", "/press/"),
                    oil,
                    lot,
                    "/stores",
                    "/stores/supplies",
                    "/stores/kit",
                    "/stores/drying",
                    "/stores/catalogue",
                    "/settings",
                    "/settings/hours",
                    "/bench/recipes")) {
                window.go(view);
                int forms = window.page().locator(FORMS).count();
                boolean stays = true;
                for (int i = 0; i < forms; i++) {
                    // A page that refuses is the same page; after anything else it is opened anew.
                    if (!stays) {
                        window.go(view);
                    }
                    stays = refuses(window, view, i);
                    refused += stays ? 1 : 0;
                }
            }
            assertThat(refused).as("forms that refused").isGreaterThan(30);
        }
    }

    private static boolean refuses(Window window, String view, int at) {
        ElementHandle form = window.page().locator(FORMS).nth(at).elementHandle();
        String what = view + " " + form.getAttribute("action");
        boolean takesText = (Boolean) form.evaluate(
                """
                (form, junk) => {
                    const fields = [...form.querySelectorAll('input[type=text], input:not([type]), textarea')];
                    fields.forEach(field => { field.value = junk; });
                    if (!fields.length) return false;
                    document.querySelectorAll('#refused, .notice').forEach(said => said.remove());
                    form.noValidate = true;
                    form.requestSubmit();
                    return true;
                }""",
                JUNK);
        if (!takesText) {
            return false;
        }
        window.page().waitForSelector("#refused, .notice");
        Locator refused = window.page().locator("#refused");
        // Words alone take any sign.
        if (refused.count() == 0) {
            return false;
        }
        Object inSight = refused.evaluate(
                "box => { const at = box.getBoundingClientRect(); return at.top >= 0 && at.top < innerHeight && "
                        + "box.contains(document.activeElement); }");
        assertThat(inSight).as(what + " says it in sight and has the focus").isEqualTo(true);
        assertThat(refused.innerText()).as(what).hasSizeGreaterThan(60);
        assertThat(window.page()
                        .evaluate(
                                "junk => [...document.querySelectorAll('main form input, main form textarea')].some(field => "
                                        + "field.value === junk)",
                                JUNK))
                .as(what + " keeps what was typed")
                .isEqualTo(true);
        return true;
    }

    /** On a phone a tap on Rounds moves nothing under the thumb, and the focus goes on to a row that is still to do. */
    @Test
    void tenTapsOnRoundsLeaveThePageWhereItIs() {
        RunningApp app = RunningApp.at(RunningApp.DEMO_LOADED.plus(Duration.ofDays(3)));
        try (Window window = new Window(app)) {
            window.go("/sign-in");
            window.page().click("text=Look round the demo household");
            window.waitFor("/shelf");
            window.open(390, 844, ColorScheme.LIGHT);
            window.go("/shelf");
            List<String> moved = new ArrayList<>();
            for (int i = 0; i < 10; i++) {
                Locator taps = window.page().locator(".rounds > ol > .round button.tap");
                assertThat(taps.count()).as("rows still to do at tap " + i).isPositive();
                Locator tap = taps.first();
                // In sight is above the bar of places, which a thumb does not tap through.
                tap.evaluate("tap => tap.scrollIntoView({ block: 'center' })");
                String row = (String) tap.evaluate("tap => tap.closest('[data-row]').dataset.row");
                double before = ((Number) window.page().evaluate("scrollY")).doubleValue();
                tap.tap();
                window.page()
                        .waitForFunction(
                                "row => !document.querySelector(`[data-row='${row}'] button.tap`) || "
                                        + "document.querySelector(`[data-row='${row}'] s`)",
                                row);
                window.page().waitForTimeout(150);
                double after = ((Number) window.page().evaluate("scrollY")).doubleValue();
                if (Math.abs(after - before) >= 40) {
                    moved.add("tap %d: %s to %s".formatted(i, before, after));
                }
                assertThat(window.page()
                                .evaluate("document.activeElement.closest('[data-row]')?.dataset.row ?? 'nowhere'"))
                        .as("focus after tap " + i)
                        .isNotEqualTo(row)
                        .isNotEqualTo("nowhere");
            }
            assertThat(moved).isEmpty();
        }
    }
}
