package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A page asks the database a few things, and no more of them the more batches there are. */
@HttpTest
@Isolated
class StatementsHttpTest {

    private static final int MOST = 13;
    private static final int MOST_ON_LABELS = 10;
    private static final int MOST_ON_THE_BENCH = 21;
    private static final int MANY = Integer.getInteger("crock.batches", 30);

    @LocalServerPort
    int port;

    @Test
    void aPageAsksTheSameOfOneBatchAndOfMany() {
        Visitor tove = Visitor.stocked(port, "Counted");
        Visitor.Answer lots = tove.get("/stores");
        assertThat(lots.status()).isEqualTo(200);
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "100 mL", "width", "50 mm", "pieces", "400"));
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "jojoba", "amount", "40 L"));
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "yarrow", "amount", "2 kg"));
        String standing = start(tove);
        String strained = start(tove);
        strain(tove, strained);
        String bottle = tove.get("/cupboard").page().select(".bottle").attr("href");
        String queue = "/labels?of=batch.%s.1&of=dot.%s.1&of=batch.%s.1&of=lot.%s.1&of=lot.%s.2"
                .formatted(
                        last(standing),
                        last(standing),
                        last(strained),
                        last(bottle),
                        last(tove.get("/stores").page().select("a[href*=lots]").attr("href")));
        List<String> pages = List.of(
                "/shelf",
                "/round",
                "/stores",
                "/press",
                "/cupboard",
                standing,
                strained,
                bottle,
                standing.replace("batch", "press"),
                "/book",
                "/book/twins",
                "/book/forecasts",
                "/book/next-year",
                "/book/seasons",
                "/book/own-numbers",
                "/book/search?q=nettle",
                "/book/reactions",
                "/book/compare?of=%s&of=%s".formatted(last(standing), last(strained)),
                "/labels",
                queue,
                "/cupboard/stall",
                "/cupboard/gifts",
                "/cupboard/people",
                "/cupboard/recall/"
                        + last(tove.get("/stores")
                                .page()
                                .select("a[href*=lots]")
                                .attr("href")),
                "/stores/kit",
                "/stores/catalogue",
                "/stores/convert",
                "/stores/to-buy",
                "/wish?amount=30+g&herb=yarrow&state=DRIED&cut=WHOLE&oil=jojoba&what=a+salve&use=HANDS",
                "/bench");
        Map<String, Integer> one = pages.stream().collect(Collectors.toMap(page -> page, page -> count(tove, page)));
        for (int i = 0; i < MANY; i++) {
            String more = start(tove);
            if (i % 2 == 0) {
                strain(tove, more);
            }
        }
        for (String page : pages) {
            int many = count(tove, page);
            assertThat(many).as(page + " of many").isLessThanOrEqualTo(one.get(page));
            assertThat(many).as(page).isLessThanOrEqualTo(most(page));
        }
    }

    /** Cold jars, one on heat, oils and what was made of them, for the shelf and for sale. */
    @Test
    void aQueueOfAllSortsAsksNoMore() {
        Visitor tove = Visitor.stocked(port, "All sorts");
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "100 mL", "width", "50 mm", "pieces", "9"));
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "jojoba", "amount", "4 L"));
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
        tove.submit("/stores/supplies", "#add-container", Map.of("name", "Pot", "holds", "15 mL", "pieces", "40"));
        String hot = tove.post(Visitor.form(
                        tove.get("/bench?method=slow-warm&start=2026-11-20&amount=40+g")
                                .page(),
                        "#bench",
                        Map.of()))
                .path();
        tove.submit(hot, "form[action*=heat-on]", Map.of("when", "2026-11-21 08:00"));
        tove.submit(hot, "form[action$=heat]", Map.of("temperature", "55 °C", "when", "2026-11-21 09:00"));
        String cold = start(tove);
        String strained = start(tove);
        strain(tove, strained);
        String oil = last(tove.get("/cupboard").page().select(".bottle").attr("href"));
        String pot =
                tove.get("/pan").page().select("#into option:contains(Pot)").attr("value");
        String making = tove.post(Visitor.form(
                        tove.get("/pan?was=salve&kind=salve&much=2&oil=%s&into=%s".formatted(oil, pot))
                                .page(),
                        "#pan",
                        Map.of()))
                .path();
        tove.post(making + "/pour", Map.of("into", pot, "count", "2", "when", ""));
        String pots = last(tove.get("/cupboard").page().select("a.goods").attr("href"));
        assertThat(pots).as("it was poured").hasSize(36);
        String queue = "/labels?"
                + Stream.of(
                                "batch." + last(hot),
                                "sheet." + last(hot),
                                "dot." + last(cold),
                                "batch." + last(cold),
                                "lot." + oil,
                                "lid." + oil,
                                "lot." + pots)
                        .map("of=%s.1"::formatted)
                        .collect(Collectors.joining("&"))
                + "&of=lot." + pots + ".2.sale";
        assertThat(count(tove, queue)).isLessThanOrEqualTo(MOST_ON_LABELS);
        Visitor.Answer reacted = tove.submit(
                "/book/reactions",
                "#used",
                Map.of("nickname", "Inga", "lot", pots, "strength", "CLEAR", "on", "today"));
        assertThat(reacted.page().select("#suspects, main").text()).contains("Inga");
        assertThat(count(tove, "/book/reactions?" + reacted.raw().uri().getQuery()))
                .isLessThanOrEqualTo(MOST_ON_LABELS);
    }

    private static int most(String page) {
        return page.startsWith("/labels")
                ? MOST_ON_LABELS
                : page.equals("/bench") || page.startsWith("/wish") ? MOST_ON_THE_BENCH : MOST;
    }

    private static String last(String path) {
        return path.substring(path.lastIndexOf('/') + 1);
    }

    private static int count(Visitor tove, String page) {
        List<String> asked =
                StatementCount.during(() -> assertThat(tove.get(page).status()).isEqualTo(200));
        if (Boolean.getBoolean("crock.statements")) {
            System.out.println("== " + page + ": " + asked.size());
            asked.forEach(statement -> System.out.println(
                    "   " + statement.replaceAll("\\s+", " ").replaceFirst("select .{60,}? from", "select … from")));
        }
        return asked.size();
    }

    private static String start(Visitor tove) {
        Document bench = tove.get("/bench?amount=2+g").page();
        String enough = bench.select("#carrier option:contains(jojoba)").attr("value");
        Visitor.Answer started = tove.post(Visitor.form(bench, "#bench", Map.of("carrier", enough)));
        assertThat(started.path())
                .as(started.page().select(".bad, .REFUSE, .bad-word").eachText().toString())
                .startsWith("/batch/");
        return started.path();
    }

    private static void strain(Visitor tove, String batch) {
        Visitor.Answer strained =
                tove.submit(batch.replace("batch", "press"), "form[action*=press]", Map.of("out", "42 mL"));
        assertThat(strained.status())
                .as(strained.page().select(".bad, #refused").text())
                .isEqualTo(200);
    }
}
