package app.velvetcrock.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Hours at home, the day something is needed, clashes, what is wanted. It is Tuesday 24 November 2026, nine in the morning, in London. */
@HttpTest
class TimeHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Time");
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Yarrow", "amount", "300 g", "moisture", "FRESH"));
        evenings();
    }

    /** Home from five to ten on weekdays, from eight at weekends. */
    private void evenings() {
        Map<String, String> week = new HashMap<>(Map.of("name", "Tove"));
        for (int day = 0; day < 7; day++) {
            week.put("day[%d]".formatted(day), day < 5 ? "17-22" : "8-22");
        }
        Answer kept = tove.submit("/settings/hours", "#new-person", week);
        assertThat(kept.page().text()).contains("The hours of Tove are kept");
    }

    /**
     * As worked by hand with the same hours: the latest start for Saturday week, eight in the morning, is Wednesday 2 December,
     * 18:30; two sessions from now.
     */
    @Test
    void aDayIsReadAndTheLatestStartIsSaid() {
        Document page = bench("method=slow-warm&amount=30+g&time.by=Saturday+week");
        assertThat(page.getElementById("note-time.by").text()).isEqualTo("needed by Sat 5 Dec, 08:00");
        assertThat(page.select("#time-verdict").text())
                .isEqualTo("In time. Begin by Wed 2 Dec 18:30 at the latest; that leaves 8 days to spare.");
        assertThat(page.select("#steps tr").eachText().get(2))
                .contains("on the heat Tue 24 Nov 17:20 – 22:00", "Wed 25 Nov 17:00 – 21:50");
        assertThat(page.select(".chip:contains(begin as late)").attr("data-fill"))
                .isEqualTo("2026-12-02T18:30");
        Document late = bench("method=slow-warm&amount=30+g&time.by=Saturday+week&time.hold[0]=2026-12-02T18:30");
        assertThat(late.select("#steps tr").last().text()).contains("Fri 4 Dec 21:05 – 21:50");
        // Bars stand where the sums say: five evenings drawn, hands dark, heat in two or three.
        assertThat(late.select(".t-bar.t-heat")).hasSize(3);
        // each session pays its 45 minutes first
        double minutes = Double.parseDouble(late.select(".time-ribbon").attr("data-minutes"));
        assertThat(late.select(".t-warming")).hasSize(3).allSatisfy(bar -> assertThat(
                        Double.parseDouble(bar.attr("width")) * minutes)
                .isCloseTo(45, within(0.5)));
    }

    /** Home on Tuesdays and Saturdays: 30 days from Tuesday 24 November end on a Thursday and wait for Saturday 26 December. */
    @Test
    void theDayOfStrainingIsOneEverywhere() {
        Visitor saturdays = Visitor.stocked(port, "Saturdays");
        Map<String, String> week = new HashMap<>(Map.of("name", "Ari"));
        for (int day = 0; day < 7; day++) {
            week.put("day[%d]".formatted(day), day == 1 || day == 5 ? "8-12" : "");
        }
        assertThat(saturdays
                        .submit("/settings/hours", "#new-person", week)
                        .page()
                        .text())
                .contains("The hours of Ari are kept");
        Document bench = saturdays
                .get("/bench?method=cold-dark&amount=30+g&start=2026-11-24&length=30+days")
                .page();
        assertThat(bench.select(".plan-notes .lead").text()).contains("strain on Sat 26 Dec");
        assertThat(bench.select("#steps tr:contains(strain and measure)").text())
                .contains("Sat 26 Dec");
        String batch = saturdays.post(Visitor.form(bench, "#bench", Map.of())).path();
        assertThat(saturdays.get(batch).page().select(".lead").text()).contains("to be strained on Sat 26 Dec");
        assertThat(saturdays.get(batch).page().select("#ahead").text()).contains("Sat 26 Dec");
        assertThat(saturdays.get(batch + "/label").page().select(".ink-label").text())
                .contains("26 Dec 2026");
        assertThat(saturdays.get("/press").page().text()).contains("Sat 26 Dec");
        assertThat(saturdays.get(batch + "/calendar").raw().body())
                .containsPattern("(?s)DTSTART[^\\r\\n]*20261226[^\\r\\n]*.{0,400}Strain: Nettle");
    }

    @Test
    void whatCannotBeMadeSaysByHowMuchAndWhichCan() {
        Document page = bench("method=cold-dark&amount=30+g&time.by=Saturday+week");
        // 35 days from today are 29 December, strained at five.
        assertThat(page.select("#time-verdict").text())
                .isEqualTo(
                        "Too late for that: begun now it is done Tue 29 Dec 17:45, 24 days late. The ways above say which can be.");
        assertThat(page.select(".way:has(input[checked]) .late").text()).isEqualTo("ready Tue 29 Dec, 24 days late");
        List<String> ways = page.select(".way > span > b").eachText();
        assertThat(ways.indexOf("Slow warm")).isLessThan(ways.indexOf("Cold and dark"));
        assertThat(page.select(".way:contains(Water bath) .late")).isEmpty();
    }

    /**
     * 24 heat-hours over evenings: more sessions than wet herb bears, and days at home of 13 hours are offered. With three days
     * off it is begun so that two sessions do.
     */
    @Test
    void freshLeafWithEveningsOnlyIsToldOfDaysAtHome() {
        tove.submit("/settings/hours", "form:has(input[name=id])", Map.of("day[5]", "17-22", "day[6]", "17-22"));
        Document page = bench("method=fresh-low&amount=60+g&herb=" + herb("Yarrow") + "&time.by=in+3+weeks");
        assertThat(page.select("#wet").text())
                .contains("sessions for wet herb", "four are the most", "two of 13 hours");
        assertThat(page.select(".way:contains(Fresh, low heat) .late").text()).contains("too many sessions");
        tove.submit(
                "/settings/hours",
                "#new-exception",
                Map.of("first", "2026-11-25", "last", "2026-11-27", "hours", "7-22", "why", "days off"));
        Document home = bench("method=fresh-low&amount=60+g&herb=" + herb("Yarrow") + "&time.by=in+3+weeks");
        assertThat(home.select("#wet").text()).contains("2 sessions", "refrigerator at once");
        assertThat(home.select("#time-verdict").text()).startsWith("In time.");
    }

    @Test
    void twoThatWantOneCrockAreToldAndMovedApart() {
        tove.post("/stores/kit", Map.of("kind", "SLOW_COOKER", "name", "The crock", "pieces", "1"));
        Answer first = tove.post(Visitor.form(bench("method=slow-warm&amount=20+g"), "#bench", Map.of()));
        assertThat(first.path()).startsWith("/batch/");
        Document page = bench("method=slow-warm&amount=20+g");
        assertThat(page.select("#time .caution").text()).contains("Two at once want the slow cooker", "Nettle, jar 1");
        String free = page.select("#solve").attr("data-fill");
        Document apart = bench("method=slow-warm&amount=20+g&time.hold[0]=" + free);
        assertThat(apart.select("#solve, #time .caution")).isEmpty();
        String heat =
                apart.select("#steps tr:contains(on the heat) td span").first().text();
        Answer second = tove.post(Visitor.form(apart, "#bench", Map.of()));
        assertThat(second.path()).startsWith("/batch/");
        assertThat(second.page().select("#ahead tr:contains(on the heat)").text())
                .as("what was planned is what is asked")
                .contains(heat);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            time.by=someday                      | time.by      | no day known here
            time.by=Saturday&time.at=noonish     | time.at      | no time of the clock
            want.amount=nothing                  | want.amount  | does not begin with a number
            want.amount=300+mL&oil=1:1           | oil          | may keep nearly all of it
            """)
    void whatIsNotClearStandsBesideItsField(String query, String field, String words) {
        Document page = bench(query);
        assertThat(page.getElementById("note-" + field).text()).contains(words);
    }

    /** A day means its morning until another time is said; a form that comes with some of its fields alone is a form all the same. */
    @Test
    void theTimeOfTheDayIsTyped() {
        assertThat(bench("time.by=Saturday+week").getElementById("time.at").attr("value"))
                .isEqualTo("08:00");
        Document later = bench("method=slow-warm&amount=30+g&time.by=Saturday+week&time.at=18:00");
        assertThat(later.getElementById("note-time.by").text()).isEqualTo("needed by Sat 5 Dec, 18:00");
        for (String alone : List.of(
                "want.container=x",
                "want.firmness=15",
                "time.at=18:00",
                "time.hold[3]=2026-12-01T08:00",
                "spirit.thin=60",
                "numbers.look=2",
                "more[2].amount=3+g")) {
            assertThat(tove.get("/bench?" + alone.replace("[", "%5B").replace("]", "%5D"))
                            .status())
                    .as(alone)
                    .isEqualTo(200);
        }
    }

    /** Checked sum 11 by the Bench: dried leaf keeps 1.3 ± 0.4, at 1:6 300 mL want 437 mL over 72.8 g. */
    @Test
    void whatIsWantedIsWorkedBack() {
        Document page = bench("want.amount=300+mL&oil=1:6&method=cold-dark");
        assertThat(page.getElementById("note-want.amount").text()).contains("pour about 435 mL over about 73 g");
        assertThat(page.select("#herb-mark").text()).isEqualTo("72.8 g");
        assertThat(page.select("#oil-mark").text()).isEqualTo("437 mL");
    }

    /**
     * 18 tins of 60 mL at firmness 15: 18·60·0.92·0.89·1.038 = 917.9 g, 137.7 of it wax; 780.2 g of oil are 850.8 mL at 0.917; no
     * half-litre jar holds that, and a third of it each covers and fits at 1:6.4: 1.22 L over 190 g.
     */
    @Test
    void eighteenTinsAreWorkedBack() {
        tove.submit(
                "/stores/supplies",
                "form[action$=containers]",
                Map.of("name", "Tin", "holds", "60 mL", "pieces", "36"));
        String tin = bench("").select("#want\\.container option:contains(Tin)").attr("value");
        Document page = bench("want.amount=18+tins&want.container=" + tin + "&method=cold-dark");
        assertThat(page.getElementById("note-want.firmness").text())
                .isEqualTo("about 920 g in all, firmness 15, about 140 g of it beeswax");
        assertThat(page.getElementById("note-want.amount").text())
                .contains("pour about 1.22 L over about 190 g, at 1 : 6.4");
        assertThat(page.select("#steps").text())
                .as("melting, pouring and setting are in the timetable")
                .containsSubsequence("strain and measure", "melt and pour", "setting before the lids");
    }

    @Test
    void hoursAreKeptChangedTakenOutAndWrongOnesSaid() {
        Answer wrong = tove.submit("/settings/hours", "#new-person", Map.of("name", "Ari", "day[2]", "22-7"));
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.page().text()).contains("runs backwards");
        assertThat(wrong.page().select("#new-person [name='day[2]']").attr("value"))
                .isEqualTo("22-7");
        assertThat(tove.submit("/settings/hours", "#new-exception", Map.of("first", "2026-12-05", "last", "2026-12-01"))
                        .page()
                        .text())
                .contains("comes before the first");
        Answer away = tove.submit(
                "/settings/hours",
                "#new-exception",
                Map.of("first", "2026-11-24", "last", "2026-11-26", "why", "away"));
        assertThat(bench("method=slow-warm&amount=30+g").select("#steps").text())
                .doesNotContain("24 Nov")
                .contains("Fri 27 Nov 17:00");
        tove.post(Visitor.form(away.page(), ".notice form", Map.of()));
        assertThat(bench("method=slow-warm&amount=30+g").select("#steps").text())
                .contains("Tue 24 Nov 17:00");
        tove.submit("/settings/hours", "#heat-alone", Map.of("may", "yes"));
        assertThat(bench("method=slow-warm&amount=30+g")
                        .select("#steps tr")
                        .get(2)
                        .text())
                .contains("Tue 24 Nov 17:20 – Wed 25 Nov 17:00");
    }

    /** Two change one person's hours: the second is told, loses nothing typed, and may keep hers after a look. */
    @Test
    void twoWhoChangeTheSameHoursLoseNothing() {
        Visitor.Filled mine =
                Visitor.form(tove.get("/settings/hours").page(), "form:has(input[name=id])", Map.of("day[0]", "6-7"));
        tove.submit("/settings/hours", "form:has(input[name=id])", Map.of("day[1]", "12-13"));
        Answer told = tove.post(mine);
        assertThat(told.status()).isEqualTo(409);
        assertThat(told.page().text()).contains("Somebody changed these hours meanwhile");
        assertThat(told.page()
                        .select("form:has(input[name=id]) [name='day[0]']")
                        .attr("value"))
                .isEqualTo("6-7");
        assertThat(tove.post(Visitor.form(told.page(), "form:has(input[name=id])", Map.of()))
                        .status())
                .isEqualTo(200);
        assertThat(tove.get("/settings/hours")
                        .page()
                        .select("form:has(input[name=id]) [name='day[0]']")
                        .attr("value"))
                .isEqualTo("6-7");
    }

    /**
     * Changed from 35 to 42 days, and not to be strained before the ninth: the batch and its rounds go by the new plan, and the
     * log says so.
     */
    @Test
    void aPlanIsChangedWithItsReason() {
        String batch = tove.post(Visitor.form(bench("method=cold-dark&amount=30+g"), "#bench", Map.of()))
                .path();
        Answer none = tove.submit(batch, "#change-plan form", Map.of("length", "70 days", "reason", "so"));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.page().text()).contains("between 21 and 56 days");
        Answer changed = tove.submit(
                batch,
                "#change-plan form",
                Map.of("length", "42 days", "strainFrom", "2027-01-09T10:00", "reason", "we are away"));
        assertThat(changed.page().select(".log").text())
                .contains("Plan changed: standing for 42 days instead of 35 days", "because we are away");
        assertThat(changed.page().select(".lead").text()).contains("day 0 of 42", "Sat 9 Jan");
        String calendar = tove.get(batch + "/calendar").raw().body();
        assertThat(calendar).contains("T100000", "Strain: Nettle");
    }

    /**
     * 30 °C ten minutes after it was put on, 50 after thirty: the band's 40 at twenty. From then on a session pays 20 minutes:
     * 4:20 this evening, 4:00 tomorrow. Taken back it is 45 again.
     */
    @Test
    void theWarmUpIsLearnedFromReadings() {
        String batch = tove.post(
                        Visitor.form(bench("method=slow-warm&amount=20+g&start=2026-11-23"), "#bench", Map.of()))
                .path();
        tove.post(batch + "/tasks/warm.heat-on.1", Map.of("when", "2026-11-23T17:00"));
        tove.post(batch + "/heat", Map.of("temperature", "30", "when", "2026-11-23T17:10"));
        Answer read = tove.post(batch + "/heat", Map.of("temperature", "50", "when", "2026-11-23T17:30"));
        assertThat(bench("method=slow-warm&amount=20+g").select("#steps").text())
                .contains("Wed 25 Nov 17:00 – 21:00");
        tove.post(Visitor.form(read.page(), ".notice form", Map.of()));
        assertThat(bench("method=slow-warm&amount=20+g").select("#steps").text())
                .contains("Wed 25 Nov 17:00 – 21:50");
    }

    @Test
    void theDaysAloneAreSmall() {
        String fragment = tove.get("/bench/time?method=heat-rest&amount=30+g&time.by=in+3+weeks", "HX-Request", "true")
                .raw()
                .body();
        assertThat(fragment).contains("t-bar").doesNotContain("<html");
        assertThat(fragment.getBytes(StandardCharsets.UTF_8).length).isLessThan(15_000);
    }

    private String herb(String name) {
        return bench("").select("#herb option:contains(" + name + ")").attr("value");
    }

    private Document bench(String query) {
        return tove.get("/bench?" + query.replace("[", "%5B").replace("]", "%5D"))
                .page();
    }
}
