package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.InstanceOfAssertFactories;
import org.junit.jupiter.api.Test;

/** Every main view of the demo household in both sizes and both themes; writes the pictures for the README when asked. */
class LookTest {

    /** Set CROCK_SCREENSHOTS to write docs/screenshots anew. */
    private static final boolean WRITE = System.getenv("CROCK_SCREENSHOTS") != null;

    /** What is taller than its box, by more than a line's own ascenders; the one figure that is set tight on purpose aside. */
    private static final String SPILLED =
            """
            () => [...document.querySelectorAll('main *')].filter((e) => {
              const style = getComputedStyle(e);
              return !['inline', 'none'].includes(style.display) && style.overflowY === 'visible' && e.clientHeight > 0
                && e.scrollHeight - e.clientHeight > Math.max(6, parseFloat(style.fontSize) / 4)
                && !e.closest('svg, .degrees') && (e.matches('summary') || !e.closest('details:not([open])'));
            }).map((e) => e.tagName + ' ' + e.className + ': ' + e.textContent.trim().slice(0, 60))""";

    /** What stands beyond the edge where it cannot be reached by scrolling its own box. */
    private static final String OFF =
            """
            [...document.querySelectorAll('header *, nav *, main *')].filter((e) => {
              if (!e.checkVisibility() || e.closest('svg, dialog, .visually-hidden, .skip')) return false;
              if (![...e.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim())) return false;
              for (let box = e.parentElement; box && box !== document.body; box = box.parentElement) {
                const how = getComputedStyle(box).overflowX;
                if (how === 'auto' || how === 'scroll') return false;
              }
              const at = e.getBoundingClientRect();
              return at.width > 0 && (at.right > innerWidth + 1 || at.left < -1);
            }).map((e) => e.tagName + '.' + e.className + ': ' + e.textContent.trim().slice(0, 40)).slice(0, 4)""";

    /** Whose letters came, by their names. */
    private static final String LETTERS =
            """
            document.fonts.ready.then((all) => [...all].filter((face) => face.status === 'loaded')
              .map((face) => face.family.replaceAll('"', '')).sort().join())""";

    @Test
    void everyViewIsAccessibleAndFits() {
        RunningApp app = RunningApp.at(RunningApp.DEMO_LOADED);
        try (Window window = new Window(app)) {
            window.go("/sign-in");
            window.isAccessible("sign-in");
            window.page().click("text=Look round the demo household");
            window.waitFor("/shelf");
            assertThat(window.page().locator(".board .jar").count()).isGreaterThanOrEqualTo(3);
            assertThat(window.page().evaluate(LETTERS))
                    .as("the letters of the house, and no others")
                    .isEqualTo("Alegreya,Atkinson Hyperlegible Next");
            List<String> views = views(window);
            for (ColorScheme scheme : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
                look(window, views, scheme, 1280, 800);
                look(window, views, scheme, 390, 844);
            }
            assertThat(window.complaints()).isEmpty();
        }
    }

    /** With letters of twice their size and high contrast: nothing is cut, and nothing runs off sideways. */
    @Test
    void everyViewFitsWithLettersTwiceTheirSize() {
        RunningApp app = RunningApp.at(RunningApp.DEMO_LOADED);
        try (Window window = new Window(app)) {
            window.go("/sign-in");
            window.page().click("text=Look round the demo household");
            window.waitFor("/shelf");
            List<String> views = views(window);
            shown(window, "TWICE", "HIGH", "LEFT");
            List<String> wrong = new ArrayList<>();
            for (int width : List.of(390, 1280)) {
                window.open(width, width == 390 ? 844 : 800, ColorScheme.LIGHT);
                for (String view : views) {
                    window.go(view);
                    window.hasContrast(view + " in high contrast");
                    Object off = window.page().evaluate(OFF);
                    if (!(off instanceof List<?> all) || !all.isEmpty()) {
                        wrong.add(view + " " + width + ": " + off);
                    }
                }
            }
            shown(window, "USUAL", "DEVICE", "RIGHT");
            assertThat(wrong).isEmpty();
        }
    }

    private static void shown(Window window, String size, String contrast, String hand) {
        window.go("/settings");
        window.page().selectOption("#typeSize", size);
        window.page().selectOption("#contrast", contrast);
        window.page().selectOption("#hand", hand);
        window.page().click("form[action='/settings'] button.do");
        window.page().waitForSelector("html[data-size=" + size + "][data-contrast=" + contrast + "]");
    }

    private static List<String> views(Window window) {
        String batch = window.page().getAttribute(".board .jar", "href");
        String toWatch = window.page().locator(".trace a[href$=watch]").first().getAttribute("href");
        window.go("/bench/recipes");
        String recipe = window.page().locator("#cards a").last().getAttribute("href");
        String kept = window.page().locator("#plans a").first().getAttribute("href");
        String formula = window.page().locator("#makings a").first().getAttribute("href");
        window.go("/stores");
        String lot = window.page().locator("a[href*='/stores/lots/']").first().getAttribute("href");
        window.go("/pan");
        String making = window.page().locator("#makings a").first().getAttribute("href");
        window.go("/cupboard");
        String good = window.page().locator("a.goods").first().getAttribute("href");
        window.go("/cupboard/stall");
        String stall = window.page().locator("#days a").first().getAttribute("href");
        window.go("/cupboard/gifts");
        String gifts = window.page().locator("#lists a").first().getAttribute("href");
        window.go("/book");
        String compared = window.page()
                .locator("#differences li a:has-text('Yarrow')")
                .first()
                .getAttribute("href");
        String reacted =
                window.page().locator("#reacted .chip:has-text('Inga')").getAttribute("href");
        return List.of(
                "/book",
                "/book/twins",
                "/book/forecasts",
                "/book/next-year",
                "/book/seasons",
                "/book/own-numbers",
                "/round?all=true",
                "/jot?line=yarrow+shakn%2C+crock+46.2",
                "/book/search?q=dry+jars",
                compared,
                reacted,
                stall,
                gifts,
                toWatch,
                "/pan",
                "/pan?kind=pomade&was=pomade&much=4+tins&add%5B0%5D.of=kind:eo-lemon&add%5B0%5D.share=ninety+drops"
                        + "&add%5B1%5D.of=kind:vitamin-e&add%5B1%5D.share=0.2+%25",
                making,
                good,
                good + "/label",
                "/settings/probes",
                "/shelf",
                "/stores",
                "/bench",
                "/press",
                batch.replace("/batch/", "/press/"),
                "/cupboard",
                batch,
                batch + "/label",
                batch.replace("/batch/", "/labels?of=batch.") + ".6&from=5",
                good.replace("/cupboard/goods/", "/labels?of=lot.") + ".2.sale",
                "/labels/look",
                "/labels/printed",
                "/cupboard/people",
                "/cupboard/gifts",
                "/cupboard/stall",
                lot.replace("/stores/lots/", "/cupboard/recall/"),
                batch.replace("/batch/", "/labels/by-hand?of=batch."),
                "/settings",
                "/sign-up",
                "/stores/drying",
                "/stores/supplies",
                "/stores/kit",
                "/stores/to-buy",
                recipe,
                "/stores/catalogue",
                "/stores/search?q=netle",
                "/stores/convert?amount=2+cups&of=rapeseed",
                lot,
                "/bench/recipes",
                kept,
                formula,
                "/settings/hours",
                "/settings/calendar",
                "/bench?method=slow-warm&time.by=Saturday+week&amount=30+g");
    }

    private static void look(Window window, List<String> views, ColorScheme scheme, int width, int height) {
        window.open(width, height, scheme);
        for (String view : views) {
            window.go(view);
            String what = view + " " + scheme + " " + width;
            if (scheme == ColorScheme.LIGHT) {
                window.isAccessible(what);
            } else {
                window.hasContrast(what);
            }
            assertThat(window.page().evaluate("document.documentElement.scrollWidth <= innerWidth"))
                    .as(what + " scrolls sideways")
                    .isEqualTo(true);
            assertThat(window.page().evaluate(SPILLED))
                    .as(what + ": words that run out of their box, over what stands below")
                    .asInstanceOf(InstanceOfAssertFactories.LIST)
                    .isEmpty();
            if (WRITE) {
                write(window.page(), view, scheme, width);
            }
        }
    }

    private static String name(String view) {
        if (view.contains("time.by")) {
            return "time";
        }
        String plain = view.replaceFirst("\\?.*", "");
        if (view.startsWith("/pan/recipes")) {
            return "formula";
        }
        if (view.startsWith("/pan")) {
            return view.contains("?") ? "pomade" : view.equals("/pan") ? "pan" : "making";
        }
        if (view.endsWith(".sale")) {
            return "labels-sale";
        }
        if (plain.startsWith("/cupboard/stall/")) {
            return "stall";
        }
        if (plain.startsWith("/cupboard/")) {
            return plain.endsWith("label") ? "good-label" : "good";
        }
        if (plain.startsWith("/bench/recipes")) {
            return plain.equals("/bench/recipes") ? "recipes-kept" : "kept";
        }
        if (plain.startsWith("/batch/")) {
            return plain.endsWith("label") ? "label" : plain.endsWith("watch") ? "watch" : "batch";
        }
        return plain.startsWith("/press/")
                ? "strain"
                : plain.startsWith("/stores/lots")
                        ? "lot"
                        : plain.startsWith("/stores/recipes") ? "recipe" : plain.substring(plain.lastIndexOf('/') + 1);
    }

    /** One picture of each main view, two more to show the phone, and one the dark theme. */
    private static void write(Page page, String view, ColorScheme scheme, int width) {
        String name = name(view);
        boolean wide = width == 1280
                && scheme == ColorScheme.LIGHT
                && !List.of(
                                "settings",
                                "pomade",
                                "good",
                                "good-label",
                                "label",
                                "formula",
                                "to-buy",
                                "stores-to-buy",
                                "lot",
                                "press",
                                "kept",
                                "sign-up",
                                "kit",
                                "catalogue",
                                "search",
                                "convert",
                                "supplies",
                                "recipes-kept",
                                "recipe",
                                "calendar",
                                "probes",
                                "watch",
                                "hours",
                                "labels-sale",
                                "stall",
                                "book",
                                "twins",
                                "forecasts",
                                "seasons",
                                "own-numbers",
                                "reactions",
                                "look",
                                "printed",
                                "by-hand",
                                "jot",
                                "time",
                                "round")
                        .contains(name);
        boolean phone = width == 390
                && scheme == ColorScheme.LIGHT
                && List.of("shelf", "reactions", "stall", "watch", "round").contains(name);
        boolean dark = width == 1280 && scheme == ColorScheme.DARK && name.equals("shelf");
        if (wide || phone || dark) {
            String suffix = wide ? "" : phone ? "-phone" : "-dark";
            if (name.equals("time")) {
                page.locator("#time").scrollIntoViewIfNeeded();
                page.evaluate("document.getElementById('time').scrollIntoView()");
            }
            page.screenshot(
                    new Page.ScreenshotOptions().setPath(Path.of("..", "docs", "screenshots", name + suffix + ".png")));
        }
    }
}
