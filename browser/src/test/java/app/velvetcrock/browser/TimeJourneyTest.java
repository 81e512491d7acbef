package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.nio.file.Files;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * The day something is needed, hours at home, clashes, what is wanted, and a recipe that goes to friends. It is Tuesday 24
 * November 2026, nine in the morning.
 */
class TimeJourneyTest {

    private static RunningApp app;
    private Window window;
    private Page page;

    @BeforeAll
    static void start() {
        app = RunningApp.at(RunningApp.DEMO_LOADED);
    }

    @BeforeEach
    void stocked() {
        window = new Window(app);
        window.signUp("Evenings");
        page = window.page();
        stock(window);
        hours("17-22", "8-22");
    }

    @AfterEach
    void close() {
        assertThat(window.complaints()).isEmpty();
        window.close();
    }

    /**
     * Cold cannot be made by then, and says by how much; what can goes first. Eight hours of heat fall on two evenings; dragged a
     * day on they follow.
     */
    @Test
    void bySaturdayWeek() {
        window.go("/bench?amount=30+g&method=cold-dark");
        page.fill("[id='time.by']", "Saturday week");
        page.waitForSelector(
                "#time-verdict:has-text('Too late for that: begun now it is done Tue 29 Dec 17:45, 24 days late')");
        page.waitForSelector(".way:has-text('Cold and dark'):has-text('24 days late')");
        page.waitForSelector(".way:has-text('Sun window'):has-text('10 days late')");
        for (String way : new String[] {"water-bath", "quick-bath", "oven", "slow-warm"}) {
            page.check("input[name=method][value=" + way + "]");
            page.waitForSelector("#way-" + way + ":checked");
            page.waitForSelector("#time-verdict:has-text('In time.')");
        }
        page.waitForSelector(
                "#steps tr:has-text('on the heat'):has-text('Tue 24 Nov 17:20 – 22:00'):has-text('Wed 25 Nov 17:00 – 21:50')");
        assertThat(page.locator(".t-bar.t-heat").count()).isEqualTo(2);
        Locator bar = page.locator(".t-bar.t-hands").first();
        bar.scrollIntoViewIfNeeded();
        BoundingBox box = bar.boundingBox();
        double minutes = window.number(".time-ribbon", "data-minutes")
                * window.number(".time-ribbon", "width")
                / page.locator(".time-ribbon").boundingBox().width;
        page.mouse().move(box.x + 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + 2 + 1440 / minutes, box.y + box.height / 2);
        page.mouse().up();
        page.waitForSelector("#steps tr:has-text('chop'):has-text('Wed 25 Nov 17:00 – 17:20')");
        page.waitForSelector("#steps tr:has-text('on the heat'):has-text('Thu 26 Nov 17:00 – 21:50')");
        page.click(".chip:has-text('begin as late as may be')");
        page.waitForSelector("#steps tr:has-text('strain'):has-text('Fri 4 Dec 21:05 – 21:50')");
        window.isAccessible("bench with days");
    }

    @Test
    void freshLeafWithEveningsOnlyIsOfferedDaysAtHome() {
        hours("17-22", "17-22");
        window.go("/bench?amount=80+g");
        page.selectOption("#herb", new SelectOption().setLabel("Yarrow (fresh tops, cut and sifted)"));
        page.check("input[name=method][value=fresh-low]");
        page.waitForSelector(
                "#wet:has-text('sessions for wet herb'):has-text('four are the most'):has-text('two of 13 hours')");
        window.go("/settings/hours");
        page.fill("#first", "2026-11-26");
        page.fill("#last", "2026-11-28");
        page.fill("#hours", "7-22");
        page.fill("#why", "days off");
        page.click("text=Keep these days");
        page.waitForSelector(".notice:has-text('Those days are otherwise now')");
        window.isAccessible("hours at home");
        window.go("/bench?amount=80+g");
        page.selectOption("#herb", new SelectOption().setLabel("Yarrow (fresh tops, cut and sifted)"));
        page.check("input[name=method][value=fresh-low]");
        page.waitForSelector("#wet:has-text('2 sessions for wet herb'):has-text('Into the refrigerator at once')");
    }

    @Test
    void twoThatWantOneCrockAreMovedApartByOneTap() {
        window.go("/stores/kit");
        page.selectOption("#i-kind", "SLOW_COOKER");
        page.fill("#i-name", "The crock");
        page.click("#add-kit button.do");
        page.waitForSelector(".notice:has-text('The crock is in the stores')");
        window.go("/bench?amount=20+g&method=slow-warm");
        page.click("#start-batch");
        window.waitFor("/batch/.*");
        window.go("/bench?amount=20+g&method=slow-warm");
        page.waitForSelector("#time .caution:has-text('Two at once want the slow cooker')");
        page.click("#solve");
        page.waitForFunction("() => !document.querySelector('#time .caution')");
        page.click("#start-batch");
        window.waitFor("/batch/.*");
        assertThat(window.text("#ahead")).contains("on the heat", "strain and measure");
    }

    /** 18 tins of 60 mL of a salve of 15: 917.9 g, 780.2 g of oil, 850.8 mL; what three half-litre jars hold and cover: 1.22 L at 1:6.4. */
    @Test
    void fromEighteenTinsBackToACharge() {
        window.go("/stores/supplies");
        page.fill("#k-name", "Round tin");
        page.fill("#k-holds", "60 mL");
        page.fill("#k-pieces", "36");
        page.click("#add-container button.do");
        page.waitForSelector(".notice:has-text('in the stores')");
        window.go("/bench?method=cold-dark");
        page.click("#wanted summary");
        page.selectOption("[id='want.container']", new SelectOption().setLabel("in: Round tin"));
        page.fill("[id='want.amount']", "18 tins");
        page.waitForSelector("#split:has-text('in all')");
        assertThat(window.text("#wanted"))
                .contains("about 140 g of it beeswax", "over about 190 g, at 1 : 6.4; enough nine times in ten");
        assertThat(window.text("#split")).contains("189 g", "1.21 L oil");
        assertThat(window.text("#oil-mark")).as("into each of three jars").isEqualTo("405 mL");
        page.fill("#amount", "40 g");
        page.waitForSelector("#herb-mark:text-is('40 g')");
        assertThat(page.inputValue("[id='want.amount']"))
                .as("what was typed last holds")
                .isEmpty();
    }

    /** Kept, scaled by 1.7 to 40.8 g, written to a file, taken in by friends, started there. */
    @Test
    void aRecipeGoesToFriendsAndIsMadeThere() throws IOException {
        window.go("/bench?amount=24+g&oil=188+mL&method=slow-warm");
        page.click("#keep-recipe summary");
        page.fill("#title", "Nettle for the quay");
        page.click("text=Keep this recipe");
        page.waitForSelector("h1:has-text('Nettle for the quay')");
        page.fill("#factor", "1.7");
        page.click("text=Work it out");
        page.waitForSelector("#weigh-out tr:has-text('40.8 g'):has-text('Nettle')");
        window.isAccessible("a recipe");
        Download download = page.waitForDownload(() -> page.click("#as-json"));
        String file = Files.readString(download.path());
        try (Window friends = new Window(app)) {
            friends.signUp("Friends");
            Page there = friends.page();
            stock(friends);
            friends.go("/bench/recipes");
            there.click("text=Take one in from a file");
            there.fill("#file", file);
            there.click("text=Take it in");
            there.waitForSelector("h1:has-text('Nettle for the quay')");
            there.click("#make-again");
            there.waitForSelector("#herb-mark:text-is('40.8 g')");
            there.click("#start-batch");
            friends.waitFor("/batch/.*");
            assertThat(friends.text("h1")).contains("Nettle");
            assertThat(friends.complaints()).isEmpty();
        }
    }

    static void stock(Window window) {
        herb(window, "Nettle", "400 g", "DRIED");
        herb(window, "Yarrow", "300 g", "FRESH");
        Page page = window.page();
        page.selectOption("#c-carrier", "rapeseed");
        page.fill("#c-amount", "3 L");
        page.click("text=Put the bottle away");
        page.waitForSelector("text=Cold-pressed rapeseed is in the stores");
        page.fill("#j-capacity", "500 mL");
        page.fill("#j-width", "84 mm");
        page.fill("#j-pieces", "4");
        page.click("text=Put the jar away");
        page.waitForSelector("text=500 mL jar is in the stores");
    }

    private static void herb(Window window, String name, String amount, String moisture) {
        Page page = window.page();
        window.go("/stores");
        page.fill("#h-herb", name);
        page.fill("#h-amount", amount);
        page.selectOption("#h-moisture", moisture);
        page.click("text=Put the herb away");
        page.waitForSelector("text=" + name + " is in the stores");
    }

    private void hours(String weekdays, String weekends) {
        window.go("/settings/hours");
        boolean first = page.locator("form:has(input[name=id])").count() == 0;
        String form = first ? "#new-person" : "form:has(input[name=id])";
        page.fill(form + " input[name=name]", "Tove");
        for (int day = 0; day < 7; day++) {
            page.fill(form + " input[name='day[" + day + "]']", day < 5 ? weekdays : weekends);
        }
        page.click(form + " button.do");
        page.waitForSelector(".notice:has-text('The hours of Tove are kept')");
    }
}
