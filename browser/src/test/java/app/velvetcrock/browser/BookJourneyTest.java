package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What was learned, as somebody asks it: two batches beside each other, a reaction narrowed and held back, its relative named. */
class BookJourneyTest {

    private Window window;
    private Page page;

    @BeforeEach
    void open() {
        window = new Window(RunningApp.at(RunningApp.DEMO_LOADED));
        page = window.page();
        window.go("/sign-in");
        page.click("text=Look round the demo household");
        window.waitFor("/shelf");
    }

    @AfterEach
    void close() {
        assertThat(window.complaints()).isEmpty();
        window.close();
    }

    /** Both were done alike, but for the bottle: fifty days older it was, fifty days less the oil keeps. */
    @Test
    void springAndSummerWithTheOneRealCause() {
        page.click(".places >> text=Book");
        page.click("text=What was different?");
        page.selectOption("#of", new SelectOption().setLabel(label("1: Yarrow")));
        page.click("text=Lay it beside");
        page.selectOption("#of", new SelectOption().setLabel(label("2: Yarrow")));
        page.click("text=Lay it beside");
        assertThat(window.text("h1")).isEqualTo("Why does Yarrow, batch 1, keep longer?");
        assertThat(window.text("#beside tr:has-text(\"oil's bottle\")"))
                .contains("opened 10 days before", "opened 60 days before");
        assertThat(page.locator(".why").first().innerText()).contains("the oil's bottle", "−50 days");
        assertThat(page.locator(".why").first().locator("tr").count())
                .as("one cause, and the whole")
                .isEqualTo(2);
    }

    private String label(String begins) {
        return page.locator("#of option").allInnerTexts().stream()
                .filter(words -> words.startsWith(begins))
                .findFirst()
                .orElseThrow();
    }

    /** Of three things she used one held yarrow: it is most likely, held back down to its oil, and the daisy family is named. */
    @Test
    void aReactionNarrowedAndHeldBack() {
        window.go("/book");
        page.click("#reacted .chip:has-text('Inga')");
        assertThat(window.text("#help")).contains("Wipe it off with a dry cloth");
        assertThat(window.text("#suspects details >> nth=0")).contains("yarrow", "most likely");
        assertThat(window.text("#relatives")).contains("the daisy family");
        page.click("#suspects details >> nth=0 >> summary");
        page.click("#suspects details >> nth=0 >> text=Hold them back");
        page.waitForSelector("text=On hold, with all that was made of it");
        page.click("#suspects details >> nth=0 >> summary");
        page.click("#suspects details >> nth=0 >> a >> nth=0");
        assertThat(page.locator("#made li").count())
                .as("the bag, its oils, what is made of them")
                .isGreaterThan(1);
        assertThat(window.text("#held")).contains("Inga may react to it");
        window.go("/cupboard");
        List<String> held = page.locator("main .bottle").allInnerTexts().stream()
                .filter(words -> words.contains("hold"))
                .toList();
        assertThat(held).isNotEmpty().allMatch(words -> words.contains("Yarrow") || !words.contains("Nettle"));
        window.go("/book");
        page.click("#reacted .chip:has-text('Inga')");
        page.click("#suspects details >> nth=0 >> summary");
        page.click("text=Keep that she reacts to it");
        page.waitForSelector("text=What is given to her is held against it");
        assertThat(window.text(".lead")).contains("reacts to yarrow");
    }

    /** Cups that somebody else mixed, judged by smell, colour and feel, and turned over once. */
    @Test
    void twinsJudgedBlindAndOpened() {
        page.click(".of-book >> text=Judge the twins: Nettle");
        assertThat(window.text(".lead")).contains("stands longer");
        assertThat(page.locator("#told").count()).isZero();
        for (String sense : List.of("smell", "colour", "feel")) {
            page.selectOption("#judge [name=" + sense + "]", "LEFT");
        }
        page.click("text=That is what I say");
        page.waitForSelector("text=Now turn the cups over");
        page.click("#open button >> nth=0");
        assertThat(window.text("#told")).contains("Which smells more of the plant?", "the longer");
        page.click("text=All twins");
        assertThat(window.text("#together")).contains("too few to say");
    }

    /** Nettle went for tea and into oil; it was gathered in May, two years: next May's is put into the calendar. */
    @Test
    void whatNextYearNeedsIsInTheCalendar() {
        page.click(".places >> text=Book");
        page.click("text=What does next year need?");
        Locator nettle = page.locator("#herbs .thing:has(summary b:text-is('Nettle'))");
        assertThat(nettle.locator("summary").innerText()).containsPattern("from \\d+ May \\d+ gather about");
        nettle.locator("summary").click();
        assertThat(nettle.locator("ul").innerText()).contains("drawn, given and sold as it is", "first gathered here");
        nettle.locator("text=Into the calendar").click();
        page.waitForSelector("text=Gathering Nettle is in the calendar for");
        window.go("/settings/calendar");
        page.click("text=Make an address");
        page.waitForSelector("#address");
        String feed = page.locator("#address").inputValue();
        assertThat(page.request().get(feed).text().replace("\r\n ", "")).contains("SUMMARY:Gather Nettle: about");
    }

    @Test
    void whatWasWrittenIsFound() {
        page.click(".places >> text=Book");
        page.fill("#q", "wet drainer");
        page.click("#search button");
        page.click("#found a");
        assertThat(window.text("h1")).contains("Meadowsweet");
    }
}
