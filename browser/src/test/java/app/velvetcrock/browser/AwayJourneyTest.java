package app.velvetcrock.browser;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A phone in the cellar, the shed and at the stall, where the house does not answer. */
class AwayJourneyTest {

    @TempDir
    static Path folder;

    private static TrustedHouse house;

    @BeforeAll
    static void servedByItsOwnCertificate() throws Exception {
        house = new TrustedHouse(folder);
    }

    @AfterAll
    static void stopped() {
        house.close();
    }

    private static String at(String path) {
        return house.at(path);
    }

    private static void comeIn(Page page, String name) {
        page.navigate(at("/sign-up"));
        TrustedHouse.signUp(page, name);
    }

    /** The server is away: what was seen is there and dated, what was not is said, and nobody else sees it. */
    @Test
    void whatWasSeenIsThereWithoutANetwork() throws Exception {
        try (Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(house.phone("cellar"))) {
            Page page = phone.newPage(new Browser.NewPageOptions()
                    .setViewportSize(390, 844)
                    .setHasTouch(true)
                    .setLocale("en-IE"));
            comeIn(page, "Tove");
            TrustedHouse.awaitWorker(page);
            page.navigate(at("/stores/convert"));
            page.navigate(at("/shelf"));
            page.navigate(at("/settings"));
            house.node().kill();
            page.navigate(at("/shelf"));
            assertThat(page.locator("#seen").innerText()).contains("The network is away. This is how it stood at");
            assertThat(page.locator("h1").innerText()).isEqualTo("An empty shelf");
            assertThat((String) page.evaluate("getComputedStyle(document.querySelector('header.top')).backgroundColor"))
                    .as("dressed")
                    .isNotEqualTo("rgba(0, 0, 0, 0)");
            page.navigate(at("/settings"));
            assertThat(page.locator("main").innerText())
                    .as("not kept on a device")
                    .contains("The network is away", "was not seen", "Shelf")
                    .doesNotContain("Tove");
            page.navigate(at("/stores/convert?amount=1+cup"));
            assertThat(page.locator("main").innerText())
                    .as("another sentence is another page")
                    .contains("was not seen");
            page.click("main a:has-text('Convert')");
            assertThat(page.locator("#seen").innerText()).contains("stood at");
            house.node().start();
            house.node().await();
            page.waitForSelector("#seen a");
            page.click("#seen a");
            page.waitForCondition(() -> page.locator("#seen").count() == 0);
            // Signed out: whoever takes the phone next sees nothing of it.
            page.navigate(at("/shelf"));
            page.evaluate("document.querySelector('form[action$=\"sign-out\"]').requestSubmit()");
            page.waitForURL("**/sign-in?out");
            house.node().kill();
            page.navigate(at("/shelf"));
            assertThat(page.locator("main").innerText())
                    .contains("was not seen on this device")
                    .doesNotContain("These were seen");
            house.node().start();
            house.node().await();
        }
    }

    /** Another person on the same phone: what the one before saw is gone with the first page that is another's. */
    @Test
    void anotherPersonSeesNothingOfTheOneBefore() throws Exception {
        try (Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(house.phone("shared"))) {
            Page page = phone.newPage();
            comeIn(page, "Tove");
            TrustedHouse.awaitWorker(page);
            page.navigate(at("/pan"));
            page.navigate(at("/shelf"));
            page.waitForSelector("#unsent", new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
            page.evaluate(
                    """
                    () => new Promise((done) => {
                      const opened = indexedDB.open('crock', 1);
                      opened.onsuccess = () => {
                        const store = opened.result.transaction('waiting', 'readwrite').objectStore('waiting');
                        const who = document.getElementById('unsent').dataset.who;
                        // Refused before: it waits for her alone, to be mended or dropped.
                        const at = new Date().toISOString();
                        store.add({ key: crypto.randomUUID(), line: 'tove alone', at, who, refused: 'so' });
                        store.transaction.oncomplete = () => done(true);
                      };
                    })""");
            page.reload();
            assertThat(page.locator("#unsent").innerText()).contains("1 not sent yet");
            // The session ends elsewhere, when nothing of the page is on its way any more, and somebody else comes in.
            page.waitForTimeout(1_500);
            page.navigate("about:blank");
            page.context().clearCookies();
            comeIn(page, "Runa");
            page.navigate(at("/shelf"));
            page.waitForTimeout(1_000);
            assertThat(page.locator("#unsent").isVisible())
                    .as("what waits of another's")
                    .isFalse();
            house.node().kill();
            page.navigate(at("/pan"));
            assertThat(page.locator("main").innerText()).contains("was not seen on this device", "Shelf");
            house.node().start();
            house.node().await();
        }
    }

    /**
     * A round in the cellar: what is tapped and written there waits, across a reload and with the house away, and is written once, in
     * order, when it is back.
     */
    @Test
    void whatIsTappedInTheCellarIsSentWhenTheHouseIsBack() throws Exception {
        try (Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(house.phone("round"))) {
            Page page = phone.newPage(new Browser.NewPageOptions()
                    .setViewportSize(390, 844)
                    .setHasTouch(true)
                    .setLocale("en-IE"));
            comeIn(page, "Tove");
            TrustedHouse.awaitWorker(page);
            line(page, "came in: 200 g dried nettle");
            line(page, "came in: 1 l rapeseed");
            line(page, "came in: 5 jars of 500 ml");
            page.navigate(at("/bench?amount=20+g&start=yesterday"));
            page.click("#start-batch");
            page.waitForURL("**/batch/**");
            String batch = page.url();
            page.navigate(at("/round"));
            page.waitForFunction("caches.keys().then(all => all.some(one => one.startsWith('seen-')))");
            page.waitForTimeout(1500);
            house.node().kill();
            page.click(".do.well");
            page.waitForSelector("#unsent summary");
            assertThat(page.locator("#not-sent").innerText()).contains("It waits on this device");
            page.navigate(at("/round"));
            assertThat(page.locator("#seen").innerText()).contains("waits here until it is back");
            assertThat(page.locator("#unsent").innerText()).contains("1 not sent yet");
            assertThat(page.locator(".do.well").isDisabled())
                    .as("done, as far as she is concerned")
                    .isTrue();
            page.click("#unsent summary");
            assertThat(page.locator("#unsent").innerText()).contains("nettle 1");
            for (String more : List.of("came in: 100 g beeswax", "beeswax used 30 g", "9 shaken")) {
                page.keyboard().press("/");
                page.waitForSelector("#jot-over[open] #line");
                page.fill("#line", more);
                page.keyboard().press("Enter");
                page.waitForSelector(
                        "#unsent li:has-text('" + more + "')",
                        new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
            }
            page.reload();
            assertThat(page.locator("#unsent summary").innerText()).isEqualTo("4 not sent yet");
            house.node().start();
            house.node().await();
            page.waitForSelector(".notice:has-text('Sent:')");
            assertThat(page.locator(".notice:has-text('Sent:')").innerText())
                    .containsSubsequence("shaken", "100 g of beeswax", "drew 30 g");
            assertThat(page.locator("#unsent").innerText()).contains("1 not sent yet, 1 of them refused", "9 shaken");
            page.navigate(at("/stores/supplies"));
            assertThat(page.locator("main").innerText()).contains("70 g");
            page.navigate(batch);
            assertThat(page.locator(".log li:has-text('Shake')").count())
                    .as("once")
                    .isEqualTo(1);
            // Dropped by a tap, it is gone for good.
            page.click("#unsent button:has-text('Drop it')");
            page.waitForSelector("#unsent button:has-text('Put it back')");
            page.reload();
            assertThat(page.locator("#unsent").isVisible()).isFalse();
        }
    }

    /** So many at once, and half of them by a second window of the same phone: each once, none lost, in the order they were tapped. */
    @Test
    void twoHundredGoInOrderAndOnce() throws Exception {
        try (Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(house.phone("many"))) {
            BrowserContext pocket = phone.newContext(new Browser.NewContextOptions().setLocale("en-IE"));
            Page page = pocket.newPage();
            comeIn(page, "Tove");
            TrustedHouse.awaitWorker(page);
            line(page, "came in: 1 kg beeswax");
            page.navigate(at("/shelf"));
            page.waitForSelector("#unsent", new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
            page.evaluate(
                    """
                    () => new Promise((done) => {
                      const opened = indexedDB.open('crock', 1);
                      opened.onsuccess = () => {
                        const store = opened.result.transaction('waiting', 'readwrite').objectStore('waiting');
                        const who = document.getElementById('unsent').dataset.who;
                        for (let n = 1; n <= 200; n++) {
                          const line = `beeswax ${1000 - n} g left - ${n}`;
                          store.add({ key: crypto.randomUUID(), line, at: new Date().toISOString(), who });
                        }
                        store.transaction.oncomplete = () => done(true);
                      };
                    })""");
            Page second = pocket.newPage();
            second.navigate(at("/shelf"));
            page.reload();
            page.waitForCondition(
                    () -> page.locator(".notice:has-text('Sent:')").count()
                                    + second.locator(".notice:has-text('Sent:')")
                                            .count()
                            > 0,
                    new Page.WaitForConditionOptions().setTimeout(90_000));
            page.waitForFunction(
                    """
                    () => new Promise((done) => {
                      const opened = indexedDB.open('crock', 1);
                      opened.onsuccess = () => {
                        const asked = opened.result.transaction('waiting').objectStore('waiting').count();
                        asked.onsuccess = () => done(asked.result === 0);
                      };
                    })""",
                    null,
                    new Page.WaitForFunctionOptions().setTimeout(90_000));
            page.navigate(at("/stores/supplies"));
            assertThat(page.locator("main").innerText())
                    .as("the last of them last")
                    .contains("800 g");
        }
    }

    private static Browser.NewPageOptions pocket() {
        return new Browser.NewPageOptions()
                .setViewportSize(390, 844)
                .setHasTouch(true)
                .setLocale("en-IE");
    }

    /** A household of her own with a jar of nettle that stands; the page is that jar's. */
    private static void withAJar(Page page, String base, int grams, LocalDate begun, String... more) {
        page.navigate(base + "/sign-up");
        TrustedHouse.signUp(page, "Tove");
        TrustedHouse.awaitWorker(page);
        Stream.concat(
                        Stream.of("came in: 200 g dried nettle", "came in: 1 l rapeseed", "came in: 5 jars of 500 ml"),
                        Stream.of(more))
                .forEach(one -> line(page, base, one));
        page.navigate(base + "/bench?amount=%d+g&start=%s".formatted(grams, begun));
        page.click("#start-batch");
        page.waitForURL("**/batch/**");
    }

    /** Does one thing with the line cut, sees that it waits, joins it and sees that it went; then looks at the page as it is now. */
    private static void away(Page page, Cable cable, Runnable does) {
        cable.cut();
        does.run();
        page.waitForSelector("#unsent summary:has-text('1 not sent yet')");
        cable.join();
        page.waitForSelector(".notice:has-text('Sent:')");
        assertThat(page.locator("#unsent").isVisible()).isFalse();
        page.reload();
    }

    private static String button(String words) {
        return "main button:has-text('" + words + "')";
    }

    /** From the jar to the stall with the line cut at every step: each is done once, in the words it would have been said in. */
    @Test
    void fromTheJarToTheStallWithTheLineCutAtEveryStep() throws Exception {
        try (Cable cable = new Cable(house.port());
                Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(house.phone("steps"))) {
            Page page = phone.newPage(pocket());
            String base = "https://localhost:" + cable.port();
            withAJar(
                    page,
                    base,
                    40,
                    LocalDate.now().minusDays(45),
                    "came in: 100 g beeswax",
                    "came in: 12 tins of 60 ml");
            String batch = page.url().replaceFirst("[?].*", "");

            page.navigate(base + "/round?all=true");
            away(page, cable, () -> {
                page.click(".walk-seen summary[data-at='1']");
                page.locator(".walk-comes button:visible").first().click();
            });
            page.navigate(batch);
            assertThat(page.locator(".log").innerText()).contains("out of the oil");
            away(page, cable, () -> {
                page.fill("#n-words", "moved to the sill");
                page.click(button("Write it down"));
            });
            assertThat(page.locator(".log li:has-text('moved to the sill')").count())
                    .isEqualTo(1);

            page.navigate(batch.replace("/batch/", "/press/"));
            away(page, cable, () -> {
                page.fill("#out", "190 g");
                page.click(button("Into the Cupboard"));
            });
            page.navigate(base + "/cupboard");
            page.click("main a:has-text('ettle')");
            page.waitForURL("**/cupboard/*");
            String oil = page.url();
            away(page, cable, () -> {
                page.fill("#d-amount", "10 g");
                page.click("form[action$='/draw'] button");
            });
            assertThat(page.url()).isEqualTo(oil);
            assertThat(page.locator("main").innerText()).contains("196 mL");

            page.navigate(base + "/pan?much=120+g");
            page.click("text=Weigh it in");
            page.waitForURL("**/pan/0*");
            melt(page, cable);
            stall(page, cable, base);
        }
    }

    /** A picture taken where the network does not reach waits as it was made small, and is shown when it is back. */
    @Test
    void aPictureWaitsToo() throws Exception {
        try (Cable cable = new Cable(house.port());
                Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(house.phone("pictures"))) {
            Page page = phone.newPage(pocket());
            String base = "https://localhost:" + cable.port();
            withAJar(page, base, 20, LocalDate.now().minusDays(1));
            page.click("#pictures summary");
            page.click(".picture-form button");
            assertThat(page.locator("#pic-wrong").innerText()).contains("No picture is chosen");
            page.setInputFiles("#pic-file", new FilePayload("jar.jpg", "image/jpeg", "no picture".getBytes(UTF_8)));
            page.click(".picture-form button");
            page.waitForSelector("#pic-wrong:has-text('cannot be read as a picture')");
            BufferedImage large = new BufferedImage(3200, 2400, BufferedImage.TYPE_INT_RGB);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(large, "png", out);
            away(page, cable, () -> {
                page.setInputFiles("#pic-file", new FilePayload("jar.png", "image/png", out.toByteArray()));
                page.fill("#pic-words", "dark as the cellar");
                page.click(".picture-form button");
            });
            Locator shown = page.locator("#pictures img");
            assertThat(shown.getAttribute("alt")).isEqualTo("dark as the cellar");
            page.click("#pictures img");
            page.waitForSelector("#spots-on img");
            page.waitForFunction("() => document.querySelector('#spots-on img').complete");
            assertThat(page.evaluate("document.querySelector('#spots-on img').naturalWidth"))
                    .as("made small where it was taken")
                    .isEqualTo(1600);
            page.locator("#spots-on img").click(new Locator.ClickOptions().setPosition(10, 10));
            page.locator("#spots-on img").click(new Locator.ClickOptions().setPosition(60, 60));
            page.waitForSelector("#beside:has-text('no difference to be seen')");
        }
    }

    private static void melt(Page page, Cable cable) {
        String head = page.locator("#now h2").innerText();
        for (int step = 0; step < 12 && !head.startsWith("Let it set"); step++) {
            String before = head;
            away(page, cable, () -> {
                if (before.startsWith("Test it")) {
                    page.click("#now button:text-is('right')");
                } else if (before.startsWith("Pour")) {
                    page.fill("#p-count", "2");
                    page.click("#now button:text-is('Poured')");
                } else {
                    page.click("#now button.do");
                }
            });
            head = page.locator("#now h2").innerText();
            assertThat(head).as("after " + before).isNotEqualTo(before);
        }
        assertThat(head).startsWith("Let it set");
    }

    private static void stall(Page page, Cable cable, String base) {
        page.navigate(base + "/cupboard/stall");
        page.fill("#n-name", "under the lime");
        page.click(button("Pack for it"));
        page.waitForURL("**/cupboard/stall/*");
        away(page, cable, () -> {
            page.locator("#b-lot").selectOption(new SelectOption().setIndex(1));
            page.fill("#b-brought", "2");
            page.fill("#b-price", "6.50");
            page.click(button("Put it on the stall"));
        });
        away(page, cable, () -> page.click(".stall-sell .sell"));
        assertThat(page.locator(".takings").innerText()).contains("6.50");
        away(page, cable, () -> page.locator("#outs form[action$=undo] button")
                .first()
                .click());
        assertThat(page.locator(".takings").innerText()).contains("0.00");
    }

    /** The browser is closed with a deed waiting, hours pass for it, and its clock is wrong by one: it is sent by the next start, once. */
    @Test
    void aBrowserThatIsClosedSendsWhatWaitedWhenItIsOpenedAgain() throws Exception {
        BrowserType.LaunchOptions trusts = house.phone("closed");
        BrowserType.LaunchPersistentContextOptions kept = new BrowserType.LaunchPersistentContextOptions()
                .setExecutablePath(trusts.executablePath)
                .setArgs(trusts.args)
                .setEnv(trusts.env)
                .setLocale("en-IE")
                .setViewportSize(390, 844);
        Path pocket = folder.resolve("pocket");
        try (Cable cable = new Cable(house.port());
                Playwright playwright = Playwright.create()) {
            String base = "https://localhost:" + cable.port();
            String batch;
            try (BrowserContext phone = playwright.chromium().launchPersistentContext(pocket, kept)) {
                Page page = phone.newPage();
                withAJar(page, base, 20, LocalDate.now().minusDays(1));
                batch = page.url().replaceFirst("[?].*", "");
                page.clock().install(new Clock.InstallOptions().setTime(System.currentTimeMillis() + 3_600_000));
                page.navigate(batch);
                page.waitForTimeout(1_000);
                cable.cut();
                page.fill("#n-words", "smelled of hay");
                page.click(button("Write it down"));
                page.waitForSelector("#unsent summary:has-text('1 not sent yet')");
                assertThat(page.inputValue("#n-words")).as("it is kept already").isEmpty();
            }
            try (BrowserContext phone = playwright.chromium().launchPersistentContext(pocket, kept)) {
                Page page = phone.newPage();
                page.clock().install(new Clock.InstallOptions().setTime(System.currentTimeMillis() + 3_600_000));
                page.navigate(batch);
                assertThat(page.locator("#seen").innerText()).contains("The network is away");
                assertThat(page.locator("#unsent summary").innerText()).isEqualTo("1 not sent yet");
                page.click("#unsent summary");
                assertThat(page.locator("#unsent li").innerText())
                        .contains("Write it down", "A note: what you saw, smelled or changed: smelled of hay");
                // Whoever signs out is asked, for nobody else is to send it.
                page.onceDialog(asked -> {
                    assertThat(asked.message()).contains("1 not sent yet. Sign out all the same");
                    asked.dismiss();
                });
                page.evaluate("document.querySelector('form[action$=\"sign-out\"]').requestSubmit()");
                page.waitForTimeout(500);
                assertThat(page.locator("#unsent summary").innerText()).isEqualTo("1 not sent yet");
                cable.join();
                page.clock().runFor(10_000);
                page.waitForSelector(".notice:has-text('Sent:')");
                page.clock().setSystemTime(System.currentTimeMillis());
                page.navigate(batch);
                String noted =
                        page.locator(".log li:has-text('smelled of hay')").innerText();
                assertThat(page.locator(".log li:has-text('smelled of hay')").count())
                        .isEqualTo(1);
                LocalTime at = LocalTime.parse(noted.replaceFirst("(?s).*?(\\d\\d:\\d\\d).*", "$1"));
                assertThat(Duration.between(at, LocalTime.now(ZoneOffset.UTC)).abs())
                        .as("by the house's clock")
                        .isLessThan(Duration.ofMinutes(5));
            }
        }
    }

    /** What was refused stays with its reason, and is mended where it was typed, with all that was typed. */
    @Test
    void whatWasRefusedIsMendedWhereItWasTyped() throws Exception {
        try (Cable cable = new Cable(house.port());
                Playwright playwright = Playwright.create();
                Browser phone = playwright.chromium().launch(house.phone("mended"))) {
            Page page = phone.newPage(pocket());
            String base = "https://localhost:" + cable.port();
            page.navigate(base + "/sign-up");
            TrustedHouse.signUp(page, "Tove");
            TrustedHouse.awaitWorker(page);
            page.navigate(base + "/stores");
            page.waitForTimeout(500);
            cable.cut();
            page.selectOption("#c-carrier", "rapeseed");
            page.fill("#c-amount", "a good glug");
            page.click("form[action$='/stores/carriers'] button.do");
            page.waitForSelector("#unsent summary:has-text('1 not sent yet')");
            cable.join();
            page.waitForSelector("#unsent .bad-word");
            assertThat(page.locator("#unsent li").innerText()).contains("a good glug");
            page.click("#unsent a:has-text('Mend it')");
            page.waitForCondition(() -> page.inputValue("#c-amount").equals("a good glug"));
            assertThat(page.locator("#c-carrier").inputValue()).isEqualTo("rapeseed");
            page.fill("#c-amount", "1 L");
            page.click("form[action$='/stores/carriers'] button.do");
            page.waitForSelector(".notice:has-text('is in the stores')");
            page.waitForCondition(() -> !page.locator("#unsent").isVisible());
            page.reload();
            assertThat(page.locator("#unsent").isVisible()).isFalse();
        }
    }

    private static void line(Page page, String words) {
        line(page, at(""), words);
    }

    private static void line(Page page, String base, String words) {
        page.navigate(base + "/jot");
        page.fill("#line", words);
        page.keyboard().press("Enter");
        page.waitForSelector(".notice");
    }
}
