package app.velvetcrock.book;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What next year needs: by what was taken of it, and by its own first days. */
@HttpTest
class NextYearHttpTest {

    private static final String PLACE = "/book/next-year";

    @LocalServerPort
    int port;

    @Autowired
    JdbcClient sql;

    private Visitor tove;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Next year");
    }

    private String mullein(String amount, String acquired) {
        Answer there = tove.submit(
                "/stores",
                "form[action$=herbs]",
                Map.of(
                        "herb",
                        "Mullein flower",
                        "amount",
                        amount,
                        "origin",
                        "GATHERED",
                        "acquired",
                        acquired,
                        "sure",
                        "yes"));
        assertThat(there.status()).isEqualTo(200);
        return sql.sql(
                        "select id from lot where kind_key = 'mullein' and acquired_on = :day::date order by id desc limit 1")
                .param("day", acquired)
                .query(UUID.class)
                .single()
                .toString();
    }

    private void draw(String lot, String amount, String when) {
        assertThat(tove.submit(
                                "/stores/lots/" + lot,
                                "#do-draw",
                                Map.of("amount", amount, "why", "DRAWN", "when", when))
                        .status())
                .isEqualTo(200);
    }

    private static Element row(Document page, String name) {
        return Objects.requireNonNull(page.select("#herbs .thing:has(summary b:containsOwn(%s))".formatted(name))
                .first());
    }

    /**
     * By hand: five times 50 g in a year are 250 g a year; of 320 g gathered 70 g are left, 102 days at that pace. Gathered first on
     * 12 June and 20 June; the earlier of two is its day. Nothing is left then: 250 g dried, at 85 % of water six times that fresh.
     */
    @Test
    void aHerbIsGatheredOnItsOwnFirstDayForAYearAtThePaceOfTheLast() {
        String old = mullein("300 g", "2025-06-12");
        mullein("20 g", "2026-06-20");
        draw(old, "50 g", "1 Dec 2025 10:00");
        draw(old, "50 g", "1 Feb 2026 10:00");
        draw(old, "50 g", "1 Apr 2026 10:00");
        draw(old, "50 g", "1 Jun 2026 10:00");
        Document four = tove.get(PLACE).page();
        assertThat(four.select("#few").text()).contains("Too few to say", "Mullein flower (taken 4 times in 365 days)");
        assertThat(four.select("#herbs .thing").text()).doesNotContain("Mullein");
        draw(old, "50 g", "1 Sep 2026 10:00");
        Element mullein = row(tove.get(PLACE).page(), "Mullein");
        assertThat(mullein.select("summary .off").text()).isEqualTo("lasts until 6 Mar 2027");
        assertThat(mullein.select("summary").text())
                .contains("from 12 Jun 2027 gather about 250 g dried, about 1.5 kg fresh");
        assertThat(mullein.select("li").eachText().toString())
                .contains(
                        "drawn, given and sold as it is: about 21 g a month (n = 5)",
                        "there is about 70 g",
                        "first gathered here 12 Jun 2025, 20 Jun 2026 (n = 2)",
                        "a year from 12 Jun 2027 takes about 250 g; of what is there nothing serves it");

        Answer planned = tove.post(Visitor.form(tove.get(PLACE).page(), "#herbs form[action$=gather]", Map.of()));
        assertThat(planned.page().select(".notice").text())
                .contains("Gathering Mullein flower is in the calendar for 12 Jun 2027");
        // Twice is once.
        tove.post(Visitor.form(planned.page(), "#herbs form[action$=gather]", Map.of()));
        assertThat(calendar())
                .containsOnlyOnce("SUMMARY:Gather Mullein flower: about 250 g dried")
                .contains("DTSTART;VALUE=DATE:20270612");
        tove.post(Visitor.form(tove.get(PLACE).page(), "#herbs form[action$=drop]", Map.of()));
        assertThat(calendar()).doesNotContain("Mullein");
    }

    private String calendar() {
        String address = Objects.requireNonNull(
                        tove.post("/settings/calendar", Map.of()).page().getElementById("address"))
                .attr("value")
                .replaceAll("https?://[^/]*", "");
        return tove.get(address).raw().body().replace("\r\n ", "").replace("\\,", ",");
    }

    @Test
    void inTheWeekBeforeItRoundsSayItUntilItWasGathered() {
        String old = mullein("300 g", "2025-12-01");
        for (String when : new String[] {
            "5 Dec 2025 10:00", "1 Feb 2026 10:00", "1 Apr 2026 10:00", "1 Jun 2026 10:00", "1 Sep 2026 10:00"
        }) {
            draw(old, "50 g", when);
        }
        tove.post(Visitor.form(tove.get(PLACE).page(), "#herbs form[action$=gather]", Map.of()));
        // In seven days; its first day was 1 December.
        assertThat(tove.get("/shelf").page().select(".of-book").text()).contains("Gather Mullein flower: about");
        mullein("90 g", "2026-11-23");
        assertThat(tove.get("/shelf").page().select(".of-book").text()).doesNotContain("Mullein");
    }

    /** Olive oil was poured five times within the year: it is bought, and stands on the list once. */
    @Test
    void whatIsBoughtGoesOntoTheList() {
        String olive = Objects.requireNonNull(tove.get("/stores")
                        .page()
                        .select("a[href*=/stores/lots/]:contains(Rapeseed)")
                        .first())
                .attr("href")
                .substring("/stores/lots/".length());

        sql.sql(
                        "update lot set created_at = timestamptz '2026-01-01 10:00Z', acquired_on = '2026-01-01' where id = :id")
                .param("id", UUID.fromString(olive))
                .update();
        for (int month = 2; month < 7; month++) {
            draw(olive, "180 g", "1." + month + ".2026 10:00");
        }
        Document page = tove.get(PLACE).page();
        Answer listed = tove.post(Visitor.form(page, "#bought form[action$=buy]", Map.of()));
        assertThat(listed.page().select(".notice").text()).contains("is on the list to buy");
        tove.post(Visitor.form(page, "#bought form[action$=buy]", Map.of()));
        assertThat(tove.get("/stores/to-buy").page().select("main").text()).containsOnlyOnce("For next year");
        String before = tove.get("/stores/to-buy").page().select("main li").text();
        assertThat(before).contains("by ");
        // Later it is needed sooner: what stands on the list says so, once.
        draw(olive, "10 g", "1.7.2026 10:00");
        tove.post(Visitor.form(tove.get(PLACE).page(), "#bought form[action$=buy]", Map.of()));
        assertThat(tove.get("/stores/to-buy").page().select("main").text()).containsOnlyOnce("For next year");
        assertThat(tove.get("/stores/to-buy").page().select("main li").text())
                .containsOnlyOnce("by ")
                .isNotEqualTo(before);
    }

    @Test
    void whatIsNotKnownIsRefusedAndChangesNothing() {
        assertThat(tove.post(PLACE + "/gather", Map.of("key", "mullein")).status())
                .isEqualTo(404);
        assertThat(tove.post(PLACE + "/gather", Map.of()).status()).isBetween(400, 499);
        assertThat(tove.post(PLACE + "/buy", Map.of("kind", "NOTHING", "key", "x"))
                        .status())
                .isBetween(400, 499);
    }
}
