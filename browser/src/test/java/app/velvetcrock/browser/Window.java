package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** One browser window; what its console complains of is kept. */
final class Window implements AutoCloseable {

    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-dev-shm-usage",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    private static final String AXE = AxeBuilder.getAxeScript();

    /** One for all journeys; each window is a profile of its own in it. */
    private static final Browser BROWSER = browser();

    private final List<String> complaints = new ArrayList<>();
    private final RunningApp app;
    private BrowserContext context;
    private Page page;
    private String email = UUID.randomUUID() + "@example.org";

    Window(RunningApp app) {
        this.app = app;
        open(1280, 800, ColorScheme.LIGHT);
    }

    /** Opens anew at a size and in a theme, still signed in. */
    void open(int width, int height, ColorScheme scheme) {
        String state = context == null ? null : context.storageState();
        if (context != null) {
            context.close();
        }
        context = BROWSER.newContext(new Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setColorScheme(scheme)
                .setHasTouch(width < 500)
                .setLocale("en-IE")
                .setTimezoneId("Europe/London")
                .setStorageState(state));
        page = context.newPage();
        page.onConsoleMessage(message -> {
            if (message.type().equals("error")
                    && !isSuperseded(message.text())
                    && !message.location().contains("/live")) {
                complaints.add(message.text());
            }
        });
        page.onPageError(complaints::add);
    }

    /**
     * An answer that is no longer wanted is aborted, the newest wins; htmx writes that down as an error. One that failed says more
     * than this.
     */
    private static boolean isSuperseded(String message) {
        return message.startsWith("htmx:sendAbort") || message.startsWith("htmx:afterRequest");
    }

    Page page() {
        return page;
    }

    void go(String path) {
        page.navigate(app.url(path));
    }

    void waitFor(String path) {
        page.waitForURL(url -> url.substring(url.indexOf('/', 8)).matches(path));
    }

    void signUp(String household) {
        go("/sign-up");
        page.fill("#name", "Tove");
        page.fill("#email", email);
        page.fill("#password", "five jars of oil");
        page.fill("[id='house.household']", household);
        page.click("text=Open the stillroom");
        waitFor("/shelf");
    }

    String email() {
        return email;
    }

    /** Signs in as somebody who signed up in another window. */
    void signIn(String as) {
        email = as;
        go("/sign-in");
        page.fill("#email", as);
        page.fill("#password", "five jars of oil");
        page.keyboard().press("Enter");
        waitFor("/shelf");
    }

    String text(String selector) {
        return String.valueOf(page.locator(selector).first().evaluate("e => e.innerText ?? e.textContent"))
                .strip();
    }

    double number(String selector, String attribute) {
        return Double.parseDouble(page.getAttribute(selector, attribute));
    }

    List<String> complaints() {
        return complaints;
    }

    /** A form that is asked about comes back as it was typed, which the browser writes down as an error. */
    void expectsToBeAsked() {
        complaints.removeIf(complaint -> complaint.contains("status of 422"));
    }

    /** Fails with what the accessibility rules found on the page as it stands. */
    void isAccessible(String what) {
        isAccessible(what, "");
    }

    /** The same of colours alone, which is all that differs from one theme to the other. */
    void hasContrast(String what) {
        isAccessible(what, ", runOnly: ['color-contrast']");
    }

    /** All rules run; only what they found wrong comes back, since the long list of what is right takes longer than the rules. */
    private void isAccessible(String what, String only) {
        page.evaluate(AXE);
        Object found = page.evaluate("async () => (await axe.run(document, {resultTypes: ['violations']" + only
                + "})).violations.map(rule => rule.id + ' ' + rule.nodes.map(node => node.html).join(' '))");
        assertThat((List<?>) found).as(what).isEmpty();
    }

    private static Browser browser() {
        Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(ARGUMENTS));
    }

    @Override
    public void close() {
        context.close();
    }
}
