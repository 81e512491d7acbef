package app.velvetcrock.browser;

import com.microsoft.playwright.Page;

/** Fills the stores of a new household for the pan, by the forms anybody uses. */
final class Larder {

    private final Window window;
    private final Page page;

    Larder(Window window) {
        this.window = window;
        this.page = window.page();
    }

    void carrier(String kind, String amount) {
        window.go("/stores");
        page.selectOption("#c-carrier", kind);
        page.fill("#c-amount", amount);
        page.click("form[action$='/stores/carriers'] button.do");
        page.waitForSelector(".notice:has-text('is in the stores')");
    }

    void herb(String kind, String amount) {
        window.go("/stores");
        page.fill("#h-herb", kind);
        page.fill("#h-amount", amount);
        page.click("form[action$='/stores/herbs'] button.do");
        page.waitForSelector(".notice:has-text('is in the stores')");
    }

    void jar(String name, String holds, String pieces) {
        window.go("/stores");
        page.fill("#j-name", name);
        page.fill("#j-capacity", holds);
        page.fill("#j-width", "150 mm");
        page.fill("#j-pieces", pieces);
        page.click("form[action$='/stores/jars'] button.do");
        page.waitForSelector(".notice:has-text('is in the stores')");
    }

    void supply(String kind, String amount) {
        window.go("/stores/supplies");
        page.selectOption("#s-kind", kind);
        page.fill("#s-amount", amount);
        page.click("#add-supply button.do");
        page.waitForSelector(".notice:has-text('is in the stores')");
    }

    void containers(String name, String holds, String pieces) {
        window.go("/stores/supplies");
        page.fill("#k-name", name);
        page.fill("#k-holds", holds);
        page.fill("#k-pieces", pieces);
        page.click("#add-container button.do");
        page.waitForSelector(".notice:has-text('is in the stores')");
    }
}
