package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.time.Instant;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is made of an oil, kind by kind, as somebody new to the pan would do it; from the wish back to the jar, too. */
class MakingsJourneyTest {

    private static final Instant BEGINNING = Instant.parse("2026-11-24T09:00:00Z");

    private static RunningApp app;
    private Window window;
    private Page page;
    private Larder larder;

    @BeforeAll
    static void start() {
        app = RunningApp.at(BEGINNING);
    }

    @BeforeEach
    void open() {
        app.clock(BEGINNING);
        window = new Window(app);
        page = window.page();
        window.signUp("Makings");
        larder = new Larder(window);
        larder.carrier("rapeseed", "2 L");
        larder.supply("beeswax", "100 g");
    }

    @AfterEach
    void close() {
        assertThat(window.complaints()).isEmpty();
        window.close();
    }

    private void with(int at, String of, String share) {
        page.waitForSelector("[id='with[%d].of']".formatted(at));
        page.selectOption("[id='with[%d].of']".formatted(at), of);
        page.fill("[id='with[%d].share']".formatted(at), share);
        page.waitForSelector(".pan-stage:not(.htmx-request)");
    }

    private void stirIn(String of, String share) {
        page.selectOption("[id='add[0].of']", "kind:" + of);
        page.fill("[id='add[0].share']", share);
    }

    private void shows(String selector, String words) {
        page.waitForSelector("%s:has-text(\"%s\")".formatted(selector, words));
    }

    private String begun() {
        page.click("text=Weigh it in");
        window.waitFor("/pan/0.*");
        return page.url().replaceFirst(".*(/pan/[^?]*).*", "$1");
    }

    /** Does what is to be done now, whatever it is. */
    private void onwards() {
        String head = window.text("#now h2");
        page.click(head.startsWith("Test") ? "#now button:text-is('right')" : "#now button.do");
        String further = "#now h2:not(:text-is(\"%s\"))".formatted(head);
        page.waitForSelector(further + ", #n-anyway");
        // What goes into a melt just off the heat is asked about.
        if (page.locator("#n-anyway").count() > 0) {
            window.expectsToBeAsked();
            page.check("#n-anyway");
            page.click("#now button.do");
            page.waitForSelector(further);
        }
    }

    private void done(String next) {
        page.click("#now button.do");
        shows("#now h2", next);
    }

    /** Thirds of 240 g: firmness 43.3; six moulds of 40 mL at 38.3 g, ten grams stay, are warmed again and poured as a small one. */
    @Test
    void thirdsIntoMouldsWithAHalfOneRemelted() {
        larder.carrier("cocoa-butter", "200 g");
        larder.containers("Bar mould", "40 mL", "10");
        window.go("/pan?kind=lotion-bar");
        page.fill("#much", "240 g");
        page.fill("#share", "a third");
        page.fill("[id='with[0].share']", "a third each");
        shows("#firmness", "Firmness 43.3, hard bar");
        shows("#poured", "6 × Bar mould");
        begun();
        done("Test it on a cold spoon");
        page.click("#now button:text-is('right')");
        shows("#now h2", "Take it off the heat");
        done("Pour");
        page.fill("#p-count", "6");
        page.click("#now button:text-is('Poured')");
        shows("#again h3", "stayed in the pan");
        String left = window.text("#again h3").replaceAll(" stayed.*", "");
        page.fill("#again #p-count", "1");
        page.fill("#again #p-each", left);
        page.click("#again button.do");
        shows(".making-log", "Poured: 1 × Bar mould of " + left);
        assertThat(page.locator("#again").count()).isZero();
    }

    /** 310 g at 12 % felt soft; at 16 it wants 14.8 g more, taken at once; it felt right, and the next plan begins at 16. */
    @Test
    void tooSoftIsCorrectedAndTheNextPlanStartsAtWhatFeltRight() {
        window.go("/pan");
        page.fill("#much", "310 g");
        page.fill("#share", "12 %");
        shows("#wax-figure .big", "37.2 g beeswax");
        String making = begun();
        done("Test it on a cold spoon");
        page.click("#now button:text-is('soft')");
        shows(".making-log", "Spoon test at firmness 12: soft");
        page.fill("#firm", "16");
        page.click("#fix button:has-text('Work it out')");
        shows("#fix", "14.8 g of beeswax brings it from firmness 12 to firmness 16");
        page.click("#fix button:has-text('It went')");
        shows(".making-see h2", "Firmness 16");
        page.click("#now button:text-is('right')");
        shows("#now h2", "Take it off the heat");
        window.go("/stores/supplies");
        assertThat(window.text("tr:has-text('Beeswax') td.num")).isEqualTo("48 g");
        window.go(making);
        done("Pour");
        larder.containers("Round tin", "60 mL", "12");
        window.go(making);
        page.fill("#p-count", "6");
        page.click("#now button:text-is('Poured')");
        shows(".making-log", "Poured: 6 × Round tin");
        window.go("/pan");
        shows("#firmness", "Firmness 16, salve; right for you is about 16, from 1 test");
    }

    /** Oil 52, coconut 16, wax 11, cocoa 11, shea 10: firmness 16.8; with the household's own olive oil for a third of it still. */
    @Test
    void aPomadeOfFiveFats() {
        larder.carrier("coconut", "200 g");
        larder.carrier("cocoa-butter", "200 g");
        larder.carrier("shea", "200 g");
        larder.carrier("olive", "500 mL");
        window.go("/pan?kind=pomade");
        page.fill("#much", "200 g");
        shows("#firmness", "Firmness 16.8");
        page.waitForSelector("[id='with[3].of']");
        String olive = page.locator("[id='with[3].of'] option:has-text('Olive')")
                .first()
                .getAttribute("value");
        with(3, olive, "34 g");
        shows(".pan-melt", "17 %");
        shows("#firmness", "Firmness 16.8");
        assertThat(window.text(".pan-melt")).contains("32 g", "22 g", "20 g");
        begun();
        shows(".making-log", "Weighed in:");
        window.go("/stores");
        assertThat(window.text("tr:has-text('Shea') td.num")).contains("191 mL");
    }

    /** Two spoons of cocoa butter, one of coconut, half a teaspoon of pellets: firmness 15.5, and no essential oil, whoever asks. */
    @Test
    void aNursingBalmBySpoonfuls() {
        larder.carrier("coconut", "200 g");
        larder.carrier("cocoa-butter", "200 g");
        window.go("/pan?kind=nursing-balm&use=NURSING");
        page.fill("#much", "69.8 g");
        page.fill("#share", "½ tsp");
        page.fill("[id='with[0].share']", "2 tbsp");
        page.fill("[id='with[1].share']", "1 tbsp");
        shows("#firmness", "Firmness 15.");
        shows(".pan-melt", "28.2 g");
        stirIn("eo-lavender", "2 drops");
        shows("#over", "a nursling's mouth");
        page.click("#within");
        page.waitForSelector("#over", new Page.WaitForSelectorOptions().setState(WaitForSelectorState.DETACHED));
        begun();
        shows(".lead", "somebody nursing");
    }

    /** A cup of coconut is forty pads; dipped, chilled and stacked, and thirty days in the refrigerator. */
    @Test
    void padsFromACupOfCoconut() {
        larder.carrier("coconut", "400 g");
        larder.containers("Pad box", "250 mL", "2");
        window.go("/pan?kind=compress-pads");
        page.fill("#much", "1 cup");
        shows("#poured", "about 41 pads");
        shows("#keeps", "till 24 Dec 2026");
        page.selectOption("#into", "");
        begun();
        done("Take it off the heat");
        done("Dip the pads");
        done("Chill them until firm");
        app.clock(BEGINNING.plusSeconds(2400));
        page.reload();
        page.click("#now button.do");
        shows("#now h2", "Pour");
    }

    /** Honey to five percent: three months; a tincture shortens it to days, and what came of it is given to nobody. */
    @Test
    void honeyAndTincture() {
        larder.supply("honey", "100 g");
        larder.supply("tincture", "50 g");
        larder.containers("Round tin", "60 mL", "12");
        window.go("/pan");
        page.fill("#much", "100 g");
        String honey = page.locator("[id='add[0].of'] option:has-text('Honey')")
                .first()
                .getAttribute("value");
        page.selectOption("[id='add[0].of']", honey);
        page.fill("[id='add[0].share']", "5 g");
        shows("#keeps", "till 24 Feb 2027");
        page.waitForSelector("[id='add[1].of']");
        String tincture = page.locator("[id='add[1].of'] option:has-text('Tincture')")
                .first()
                .getAttribute("value");
        page.selectOption("[id='add[1].of']", tincture);
        page.fill("[id='add[1].share']", "15 g");
        shows("#over", "something watery");
        shows("#keeps", "Dec 2026");
        String making = begun();
        shows(".steps", "Tincture");
        while (!window.text("#now h2").contains("Stir in")) {
            onwards();
        }
        onwards();
        shows(".making-log", "stirred in");
        assertThat(window.text("#over")).contains("neither given away nor sold");
        assertThat(making).startsWith("/pan/");
    }

    /** Oregano for a baby: none; lemon on a grown-up: of 90 drops in 150 g 68 are within, and one tap takes them. */
    @Test
    void dropsForABabyAndLemonByDay() {
        window.go("/pan?use=BABY");
        page.fill("#much", "150 g");
        stirIn("eo-oregano", "3 drops");
        shows("#over", "than is held safe for a baby");
        shows("#drops", "none for a baby");
        page.selectOption("#use", "ADULT_SKIN");
        stirIn("eo-lemon", "90 drops");
        shows("#drops", "90 drops of Lemon");
        page.click("#within");
        shows("#drops", "68 drops of Lemon");
        assertThat(page.locator("#over").count()).isZero();
        assertThat(window.text("#drops")).contains("of what skin bears");
        page.click("#users summary");
        assertThat(window.text("#users li:has-text('a baby')")).contains("over");
    }

    /** Eighteen ounces, read in each way they may be meant: the likely one goes into the Pan with one tap. */
    @Test
    void anEighteenOunceRecipeInItsReadings() {
        window.go("/stores/recipes");
        page.fill("#body", "18 oz rapeseed oil\n3 oz beeswax\n10 drops lavender essential oil");
        page.click("button[value=read]");
        shows("#landings", "Firmness 14.8, salve");
        assertThat(page.locator("#landings li b").allInnerTexts())
                .containsExactly("Firmness 14.8, salve", "Firmness 14.3, salve", "Firmness 9.1, soft ointment");
        page.click("#landings a >> nth=0");
        shows("#firmness", "Firmness 14.8, salve");
        shows("#wax-figure .big", "85 g beeswax");
        page.click("text=Keep it as a recipe");
        shows("#weigh-out", "Lavender");
        page.fill("#oil", "1 cup");
        page.click("#scale button");
        shows("#weigh-out", "Cold-pressed rapeseed");
        page.click("#make-again");
        shows("#firmness", "Firmness 14.8, salve");
    }

    /**
     * Twenty-four tins by the 20th of December, of which nothing is begun: herb, oil, wax and jar are said, the last day to begin, and
     * what is to be bought; it is started, strained, and waits in the Pan with its own oil.
     */
    @Test
    void twentyFourTinsBackwardsFromNothingToAStart() {
        larder.herb("nettle", "400 g");
        larder.jar("Three-litre jar", "3 L", "1");
        larder.containers("Round tin 60 mL", "60 mL", "20");
        window.go("/bench");
        page.click("#wanted summary");
        page.fill("[id='want.amount']", "24 tins");
        page.selectOption("[id='want.kind']", "firm-salve");
        page.fill("[id='time.by']", "20 Dec");
        page.click("label:has(#way-sun-window)");
        shows("[id='note-want.firmness']", "about 1.23 kg in all, firmness 19");
        shows("#to-buy", "134 g of beeswax");
        shows("#to-buy", "4 × Round tin 60 mL");
        shows("#time-verdict", "In time. Begin by");
        shows("#steps", "setting before the lids");
        page.click("#to-buy button");
        shows(".notice", "On the list to buy");
        assertThat(page.inputValue("[id='want.amount']")).isEqualTo("24 tins");
        page.click("text=Weigh it out and start");
        window.waitFor("/(batch|shelf).*");
        shows(".notice", "waits in the Pan for its oil");
        String batch = page.url().replaceFirst(".*/batch/([^?]*).*", "$1");
        window.go("/stores/to-buy");
        assertThat(window.text("#to-buy")).contains("134 g of beeswax", "4 × Round tin 60 mL");
        page.click("li:has-text('beeswax') button");
        shows(".notice", "Got");
        larder.supply("beeswax", "150 g");
        app.clock(Instant.parse("2026-12-16T09:00:00Z"));
        window.go("/pan");
        shows("#waiting", "24 × Round tin 60 mL of firm tin salve");
        window.go("/press/" + batch);
        page.fill("#out", "1.1 L");
        page.click("main form button.do");
        page.waitForSelector("#awaited");
        page.click("#awaited");
        shows("#poured", "24 × Round tin 60 mL");
        assertThat(page.inputValue("#much")).isEqualTo("24");
        shows("#missing", "4 more of Round tin 60 mL: 20 are here");
        begun();
        shows(".lead", "1.23 kg in the pan");
        window.go("/pan");
        assertThat(page.locator("#waiting").count()).isZero();
    }
}
