package app.velvetcrock.cupboard;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Lists of a household that sells: gone through in parts, each once, and chosen from; no page grows without end. */
@HttpTest
class LongListsHttpTest {

    private static final int MOST_BYTES = 60_000;

    @LocalServerPort
    int port;

    @Autowired
    JdbcClient sql;

    private Visitor tove;
    private String batch;
    private String oil;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Long lists");
        batch = tove.post(Visitor.form(
                        tove.get("/bench?amount=40+g&method=cold-dark").page(), "#bench", Map.of()))
                .path();
        String press = batch.replace("/batch/", "/press/");
        tove.submit(press, "form[action$=strain], form[action*=press]", Map.of("out", "200 g"));
        oil = tove.get("/cupboard").page().select("a.bottle").attr("href");
    }

    /** 300 bottles of one oil with dates of their own: 301 lines in parts of 40, each bottle on one of them, none twice. */
    @Test
    void theCupboardIsGoneThroughInParts() {
        sql.sql(
                        """
                        insert into lot select stillroom_id, gen_random_uuid(), 0, kind, kind_key, name, unit, 9000, part, cut, moisture,
                        bulk_density, density, acquired_on, opened_on, best_before + n, typed, created_at, batch_id, 10000, 'DARK',
                        place, words, origin, came_from, kept_at, price_minor, price_for, abv
                        from lot, generate_series(1, 300) n where id = :id""")
                .param("id", java.util.UUID.fromString(oil.substring(oil.lastIndexOf('/') + 1)))
                .update();
        List<String> seen = new ArrayList<>();
        String next = "/cupboard";
        int pages = 0;
        while (next != null) {
            Answer page = tove.get(next);
            assertThat(page.raw().body().length()).isLessThan(MOST_BYTES);
            page.page().select("a.bottle").forEach(a -> seen.add(a.attr("href")));
            next = page.page().select("#rest").isEmpty()
                    ? null
                    : page.page().select("#rest").attr("href");
            pages++;
        }
        assertThat(pages).isEqualTo(8);
        assertThat(seen).hasSize(301);
        assertThat(new HashSet<>(seen)).hasSize(301);
        assertThat(tove.get("/cupboard?only=yarrow").page().select("main").text())
                .contains("No oil here is called that");
        assertThat(tove.get("/bench").raw().body().length())
                .as("with 300 oils to choose from")
                .isLessThan(80_000);
        assertThat(tove.get("/shelf").raw().body().length()).isLessThan(MOST_BYTES);
    }

    /** 130 bags and 130 bottles more: Stores show 25 of each, then the next, each once, and whatever came first otherwise. */
    @Test
    void storesAreGoneThroughInParts() {
        sql.sql(
                        """
                        insert into lot select stillroom_id, gen_random_uuid(), 0, kind, kind_key, name, unit, 900000 + n, part, cut,
                        moisture, bulk_density, density, acquired_on, opened_on, best_before, typed, created_at, batch_id, bottle_ul,
                        glass, place, words, origin, came_from, kept_at, price_minor, price_for, abv
                        from lot, generate_series(1, 130) n
                        where kind in ('HERB', 'CARRIER') and stillroom_id = (select stillroom_id from batch where id = :id)""")
                .param("id", java.util.UUID.fromString(batch.replaceAll(".*/|[?#].*", "")))
                .update();
        for (String more : List.of("#more-herbs", "#more-oils")) {
            List<String> seen = new ArrayList<>();
            String next = "/stores?sort=LEAST_LEFT";
            int pages = 0;
            while (!next.isEmpty()) {
                Answer page = tove.get(next);
                assertThat(page.raw().body().length()).isLessThan(MOST_BYTES);
                page.page()
                        .select(".forms > div")
                        .get(more.equals("#more-herbs") ? 0 : 1)
                        .select("table.rows a[href^=/stores/lots/]")
                        .forEach(a -> seen.add(a.attr("href")));
                next = page.page().select(more).attr("href");
                pages++;
            }
            assertThat(pages).as(more).isEqualTo(6);
            assertThat(seen).as(more).hasSize(131).doesNotHaveDuplicates();
        }
        assertThat(tove.get("/stores?herb=nonsense&oil=").page().select("#more-herbs"))
                .as("a key of nothing is the top")
                .hasSize(1);
    }

    /** 200 drawings: the latest sixty, then what was earlier, each once. */
    @Test
    void aLongStoryIsToldInParts() {
        String lot = tove.get("/stores")
                .page()
                .select("a[href^=/stores/lots/]")
                .first()
                .attr("href");
        sql.sql(
                        """
                        insert into movement (stillroom_id, id, lot_id, amount, cause, account_id, happened_at, recorded_at)
                        select stillroom_id, gen_random_uuid(), lot_id, case when n % 2 = 0 then 10 else -10 end, 'CORRECTED',
                        account_id, happened_at + (n || ' seconds')::interval, recorded_at + (n || ' seconds')::interval
                        from movement, generate_series(1, 200) n where lot_id = :id and cause = 'BOUGHT'""")
                .param("id", java.util.UUID.fromString(lot.substring(lot.lastIndexOf('/') + 1)))
                .update();
        List<String> seen = new ArrayList<>();
        String next = lot;
        while (!next.isEmpty()) {
            Answer page = tove.get(next);
            assertThat(page.raw().body().length()).isLessThan(MOST_BYTES);
            seen.addAll(0, page.page().select("#story tbody tr").eachText());
            next = page.page().select("#earlier").attr("href");
        }
        assertThat(seen).hasSizeBetween(201, 203);
        assertThat(seen.get(0)).contains("brought in");
    }

    @Test
    void whatIsDoneIsChosenByHerbOilYearAndEnd() {
        Document all = tove.get("/press").page();
        assertThat(all.select("#choose #herb option").eachText()).contains("Nettle");
        assertThat(all.select("#choose #year option").eachText()).contains("2026");
        assertThat(tove.get("/press?herb=nettle&oil=rapeseed&year=2026&became=STRAINED")
                        .page()
                        .select("table a[href='" + batch + "']"))
                .hasSize(1);
        for (String none : List.of("herb=yarrow", "oil=olive", "year=2019", "became=DISCARDED", "before=1")) {
            Document page = tove.get("/press?" + none).page();
            assertThat(page.select("#none").text()).as(none).contains("None that was all of this");
            assertThat(page.select("table a[href='" + batch + "']")).isEmpty();
        }
        assertThat(tove.get("/press?year=nonsense&before=99999999999999").status())
                .isEqualTo(200);
    }
}
