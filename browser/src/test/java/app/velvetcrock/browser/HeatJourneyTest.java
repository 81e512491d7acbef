package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Heat watched: by hand and by a probe, on the phone by the stove and on every other page that is open. */
class HeatJourneyTest {

    private static final Instant NINE = RunningApp.DEMO_LOADED;

    private final HttpClient http = HttpClient.newHttpClient();
    private RunningApp app;
    private Window window;
    private Page page;
    private String batch;

    @BeforeEach
    void aCrockOnTheHeat() {
        app = RunningApp.at(NINE);
        window = new Window(app);
        window.signUp("Watched");
        page = window.page();
        TimeJourneyTest.stock(window);
        batch = warm(window);
    }

    @AfterEach
    void close() {
        assertThat(window.complaints()).isEmpty();
        window.close();
    }

    /** Eight hours on "warm", put on the heat now; leads to its watch. */
    private static String warm(Window window) {
        Page page = window.page();
        window.go("/bench?amount=30+g&method=slow-warm");
        page.click("button[formaction$='/bench/start'], #bench button.do");
        window.waitFor("/batch/[0-9a-f-]+");
        String batch = page.url().replaceFirst(".*(/batch/[0-9a-f-]+).*", "$1");
        window.go(batch + "/watch");
        page.click(".watch-keys button:has-text('heat on')");
        page.waitForSelector(".watch-last:has-text('Heat on')");
        page.click(".watch-keys button:has-text('warm')");
        page.waitForSelector(".watch-keys button[aria-pressed=true]:has-text('warm')");
        return batch;
    }

    private static String token(Window window) {
        Page page = window.page();
        window.go("/settings/probes");
        page.fill("#name", "probe");
        page.click("text=Make its token");
        page.waitForSelector("#token");
        return page.inputValue("#token");
    }

    private static void putIn(Window window, String batch) {
        window.go(batch + "/watch");
        window.page().click(".watch-keys summary:has-text('more')");
        window.page().click("button:has-text('probe: in')");
        window.page().waitForSelector(".watch-last:has-text('Probe put in')");
    }

    /**
     * "Low" is too hot, read by two taps each and written down late: 41, 47, 52 and 56 °C at quarter-hours. At 56 it is said with
     * minutes left, on the watch, the Shelf and in Rounds, which stand open elsewhere and move by themselves; where that was
     * allowed, by sound. What is taken back is gone from all of them.
     */
    @Test
    void aCookerThatRunsAwayIsSaidEverywhere() {
        try (Window shelf = new Window(app)) {
            shelf.signIn(window.email());
            window.open(390, 844, ColorScheme.LIGHT);
            page = window.page();
            window.go(batch + "/watch");
            page.click("#sound");
            app.clock(NINE.plusSeconds(3_660));
            int quarter = 1;
            for (String read : List.of("41 °C", "47 °C", "52 °C", "56 °C")) {
                page.click("#pad summary");
                if (page.locator("#pad button:text-is('" + read + "')").count() > 0) {
                    page.fill(
                            "[id='p-when']",
                            "09:%02d".formatted(quarter * 15 % 60).replace("09:00", "10:00"));
                    page.click("#pad button:text-is('" + read + "')");
                } else {
                    page.fill("[id='t-temperature']", read);
                    page.fill(
                            "[id='t-when']",
                            "09:%02d".formatted(quarter * 15 % 60).replace("09:00", "10:00"));
                    page.click("#pad button.quiet");
                }
                page.waitForSelector(".watch-last:has-text('Read " + read + "')");
                quarter++;
            }
            assertThat(window.text("#say"))
                    .containsPattern("past 60 °C in about \\d+ min: turn it to warm or lift the lid");
            assertThat(page.title()).startsWith("56 °C");
            assertThat(Integer.parseInt(String.valueOf(page.evaluate("document.body.dataset.called"))))
                    .as("called when it was allowed, and by the danger")
                    .isGreaterThanOrEqualTo(1);
            shelf.page()
                    .waitForSelector(
                            ".heat-alarm:has-text('past 60 °C')", new Page.WaitForSelectorOptions().setTimeout(3_000));
            assertThat(shelf.text(".rounds")).contains("past 60 °C");
            window.isAccessible("watch in danger");
            page.click(".watch-last button");
            page.waitForSelector("#say:has-text('too early to say when')");
            shelf.page()
                    .waitForSelector(
                            ".heat-alarm:has-text('too early')", new Page.WaitForSelectorOptions().setTimeout(3_000));
            assertThat(shelf.complaints()).isEmpty();
        }
    }

    /** What lies on the scale goes into a field by one tap, and is read as if it had been typed. */
    @Test
    void whatLiesOnTheScaleIsTakenByOneTap() throws IOException, InterruptedException {
        window.go("/settings/probes");
        page.fill("#name", "kitchen scale");
        page.selectOption("#kind", "SCALE");
        page.click("text=Make its token");
        page.waitForSelector("#token");
        say(page.inputValue("#token"), "/api/weighings", "application/json", "{\"secondsAgo\":2,\"grams\":37.5}");
        window.go("/bench");
        page.click("#amount");
        page.click(".from-scale:has-text('on the scale: 37.5 g')");
        assertThat(page.inputValue("#amount")).isEqualTo("37.5 g");
        assertThat(page.locator(".from-scale").count()).isZero();
        page.waitForSelector("#worked:has-text('37.5 g')");
    }

    /** What is read at one node shows on the pages that are open at the other. */
    @Test
    void whatIsReadAtOneNodeShowsAtTheOther() throws IOException, InterruptedException {
        Node other = app.second();
        other.start();
        try {
            other.await();
            // A session is of the household's database, and cookies know no ports: whoever is signed in here is there.
            Page there = page.context().newPage();
            there.navigate(other.base() + batch + "/watch");
            there.waitForSelector(".degrees:has-text('—')");
            Thread.sleep(1_500);
            window.go(batch + "/watch");
            page.click("#pad summary");
            page.fill("[id='t-temperature']", "43.4");
            page.click("#pad button.quiet");
            page.waitForSelector(".degrees:has-text('43.4')");
            there.waitForSelector(".degrees:has-text('43.4')", new Page.WaitForSelectorOptions().setTimeout(3_000));
            other.kill();
            there.waitForSelector("#lost.blind:has-text('Blind since')");
            assertThat(there.textContent(".degrees")).contains("43.4");
            there.close();
        } finally {
            other.kill();
        }
    }

    /**
     * A whole slow-warm day of the probe that ships with it, 600 times as fast, its network away for five minutes: the watch moves
     * by itself till the heat-hours are had, and the course is that of every reading that was sent, each once.
     */
    @Test
    void aWholeDayOfAProbe() throws IOException, InterruptedException {
        String token = token(window);
        putIn(window, batch);
        Path told = Files.createTempFile("told", ".txt");
        int knob = free();
        Process probe = app.beside(
                "app.velvetcrock.standin.StandIns",
                "probe",
                Map.of(
                        "CROCK_URL", app.url(""),
                        "CROCK_TOKEN", token,
                        "CROCK_KNOB", String.valueOf(knob),
                        "CROCK_CLOCK", app.clockFile().toString(),
                        "CROCK_TOLD", told.toString()));
        try {
            RunningApp.await(() -> turns(knob, "warm"));
            List<String> seen = new ArrayList<>();
            Instant end = NINE.plusSeconds(9 * 3600);
            for (Instant now = NINE; now.isBefore(end); now = now.plusSeconds(30)) {
                app.clock(now);
                if (now.equals(NINE.plusSeconds(3 * 3600))) {
                    turns(knob, "cut");
                } else if (now.equals(NINE.plusSeconds(3 * 3600 + 300))) {
                    turns(knob, "back");
                }
                Thread.sleep(50);
                if (now.getEpochSecond() % 1800 == 0) {
                    seen.add(window.text(".degrees b"));
                }
            }
            assertThat(seen.stream().distinct().count())
                    .as("temperatures seen without a reload: %s", seen)
                    .isGreaterThan(5);
            page.waitForSelector("#say:has-text('It has had its heat-hours: take it off the heat')");
        } finally {
            probe.destroy();
            probe.waitFor();
        }
        String byProbe = had();
        Window other = new Window(app);
        app.clock(NINE);
        other.signUp("Told at once");
        TimeJourneyTest.stock(other);
        String second = warm(other);
        String otherToken = token(other);
        putIn(other, second);
        app.clock(NINE.plusSeconds(9 * 3600 - 30));
        send(otherToken, Files.readAllLines(told));
        other.go(second);
        assertThat(other.page()
                        .locator("p:has-text('heat-hours')")
                        .first()
                        .innerText()
                        .replaceFirst(";.*", ""))
                .isEqualTo(byProbe);
        assertThat(byProbe).startsWith("8.").doesNotContain("not watched");
        other.close();
    }

    private String had() {
        window.go(batch);
        return page.locator("p:has-text('heat-hours')").first().innerText().replaceFirst(";.*", "");
    }

    private static int free() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private boolean turns(int knob, String what) {
        try {
            return http.send(
                                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + knob + "/"))
                                            .POST(HttpRequest.BodyPublishers.ofString("turn=" + what))
                                            .build(),
                                    BodyHandlers.discarding())
                            .statusCode()
                    == 303;
        } catch (IOException notYet) {
            return false;
        } catch (InterruptedException stop) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private void send(String token, List<String> told) throws IOException, InterruptedException {
        StringBuilder csv = new StringBuilder("at,celsius\n");
        told.forEach(line -> csv.append(line.replace(' ', ',')).append('\n'));
        say(token, "/api/readings", "text/csv", csv.toString());
    }

    private void say(String token, String path, String type, String body) throws IOException, InterruptedException {
        int status = http.send(
                        HttpRequest.newBuilder(URI.create(app.url(path)))
                                .header("Authorization", "Bearer " + token)
                                .header("Content-Type", type)
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        BodyHandlers.discarding())
                .statusCode();
        assertThat(status).isEqualTo(200);
    }
}
