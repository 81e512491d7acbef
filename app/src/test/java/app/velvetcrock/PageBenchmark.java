package app.velvetcrock;

import app.velvetcrock.stock.flows.Adding;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Profile;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/**
 * What a page takes, beside a plain page of the same stack: signed in, the same sessions, the same size of answer. Run by
 * {@code ./crock bench}, never by the tests; read as ratios, since all pages take turns in one run.
 */
public final class PageBenchmark {

    private static final int WARM_UPS = Integer.getInteger("crock.bench.warm", 500);
    private static final int ROUNDS = Integer.getInteger("crock.bench.rounds", 200);
    private static final String PLAIN = "/bench-plain";

    private final HttpClient client = HttpClient.newHttpClient();
    private final String base;
    private final String cookie;

    private PageBenchmark(String base, String cookie) {
        this.base = base;
        this.cookie = cookie;
    }

    /** Signed in, the household looked up and the layout drawn, as every page has it; then only rows. Not part of the product. */
    @Controller
    @Profile("bench")
    static class Plain {

        @GetMapping(PLAIN)
        String plain() {
            return "bench/plain";
        }
    }

    /**
     * Prints a table in Markdown.
     *
     * @param arguments none are read
     */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        System.setProperty("spring.profiles.active", "test,bench");
        try (ConfigurableApplicationContext application = SpringApplication.run(
                VelvetCrock.class,
                "--server.port=0",
                "--crock.demo=true",
                // Ten years are grown in long statements.
                "--spring.datasource.hikari.data-source-properties.socketTimeout=600")) {
            int port = Integer.parseInt(application.getEnvironment().getProperty("local.server.port", "0"));
            Visitor runa = Visitor.demo(port);
            PageBenchmark benchmark = new PageBenchmark("http://127.0.0.1:" + port, runa.cookie());
            Map<String, String> pages = pages(runa);
            DeedBenchmark deeds = new DeedBenchmark(runa);
            Map<String, Double> month = new LinkedHashMap<>();
            // Deeds first: the oils they leave in stock then stand in both columns.
            if (Boolean.getBoolean("crock.bench.years")) {
                deeds.stock();
                month.putAll(deeds.run());
            }
            month.putAll(benchmark.run(pages));
            if (Boolean.getBoolean("crock.bench.years")) {
                JdbcClient sql = application.getBean(JdbcClient.class);
                long began = System.nanoTime();
                new TenYears(
                                sql,
                                application.getBean(Adding.class),
                                sql.sql("select id from stillroom where demo")
                                        .query(UUID.class)
                                        .single())
                        .grow();
                System.out.printf("%nGrown to ten years in %d s%n%n", (System.nanoTime() - began) / 1_000_000_000);
                Map<String, Double> years = benchmark.run(pages);
                years.putAll(deeds.run());
                Runtime memory = Runtime.getRuntime();
                memory.gc();
                System.out.printf(
                        "%nmemory in use %d MB; database %s%n",
                        (memory.totalMemory() - memory.freeMemory()) >> 20,
                        sql.sql("select pg_size_pretty(pg_database_size(current_database()))")
                                .query(String.class)
                                .single());
                System.out.println("\n| page or deed | one month | ten years | times |\n|---|---|---|---|");
                years.forEach((name, time) -> System.out.printf(
                        "| %s | %.1f ms | %.1f ms | %.2f |%n", name, month.get(name), time, time / month.get(name)));
                recalled(benchmark, pages, runa, sql);
            }
        }
    }

    /** The same pages while what most was made of is recalled, and every page walks down from it. */
    private static void recalled(PageBenchmark benchmark, Map<String, String> pages, Visitor runa, JdbcClient sql)
            throws IOException, InterruptedException {
        UUID most = sql.sql(
                        """
                        select m.lot_id from movement m join lot l on l.stillroom_id = m.stillroom_id and l.id = m.lot_id
                        join stillroom s on s.id = m.stillroom_id and s.demo
                        where m.batch_id is not null and l.batch_id is null group by m.lot_id order by count(*) desc limit 1""")
                .query(UUID.class)
                .single();
        runa.submit("/stores/lots/" + most, "form[action$=wrong]", Map.of("what", "ON_HOLD", "words", "recalled"));
        System.out.println("\nrecalled: "
                + runa.get("/shelf").page().select("#conditions, .alarm").text());
        benchmark.run(pages).forEach((name, time) -> System.out.printf("| %s | %.1f ms |%n", name, time));
    }

    private static Map<String, String> pages(Visitor runa) {
        Map<String, String> pages = new LinkedHashMap<>();
        String batch = runa.get("/shelf").page().select("a.jar[href]").attr("href");
        pages.put("plain", PLAIN);
        pages.put("Shelf", "/shelf");
        pages.put("Round", "/round");
        pages.put("Stores", "/stores");
        pages.put("Press", "/press");
        pages.put("Cupboard", "/cupboard");
        pages.put("Batch", batch);
        pages.put("Bench", "/bench");
        pages.put("Pan", "/pan");
        pages.put("Labels", "/labels?of=" + batch.replace("/batch/", "batch.") + ".3");
        pages.put("Book", "/book");
        pages.put(
                "Book, beside each other",
                runa.get("/book").page().select("#differences li a").attr("href"));
        pages.put(
                "Book, reacted",
                runa.get("/book").page().select("#reacted .chip:contains(Inga)").attr("href"));
        pages.put("Book, forecasts", "/book/forecasts");
        pages.put("Book, next year", "/book/next-year");
        pages.put("Book, seasons", "/book/seasons");
        pages.put("Book, search", "/book/search?q=yarrow");
        pages.put("Stall", "/cupboard/stall");
        pages.put(
                "Stall, a day",
                runa.get("/cupboard/stall").page().select("#days a").attr("href"));
        pages.put("Gifts", runa.get("/cupboard/gifts").page().select("#lists a").attr("href"));
        pages.put(
                "Recall",
                "/cupboard/recall/"
                        + runa.get("/stores")
                                .page()
                                .select("a[href*=lots]")
                                .attr("href")
                                .replaceAll(".*/", ""));
        pages.keySet()
                .removeIf(
                        page -> !page.equals("plain") && !page.matches(System.getProperty("crock.bench.pages", ".*")));
        return pages;
    }

    private Map<String, Double> run(Map<String, String> pages) throws IOException, InterruptedException {
        for (int i = 0; i < WARM_UPS; i++) {
            for (String path : pages.values()) {
                send(path);
            }
        }
        Map<String, List<Long>> times = new LinkedHashMap<>();
        for (int i = 0; i < ROUNDS; i++) {
            for (Map.Entry<String, String> page : pages.entrySet()) {
                long began = System.nanoTime();
                send(page.getValue());
                times.computeIfAbsent(page.getKey(), first -> new ArrayList<>()).add(System.nanoTime() - began);
            }
        }
        print(pages, times);
        Map<String, Double> medians = new LinkedHashMap<>();
        times.forEach((page, all) -> medians.put(page, share(all, 0.5)));
        return medians;
    }

    private void print(Map<String, String> pages, Map<String, List<Long>> times)
            throws IOException, InterruptedException {
        double plain = share(times.get("plain"), 0.5);
        System.out.println("| page | median | of the plain page | p95 | statements | bytes |");
        System.out.println("|---|---|---|---|---|---|");
        for (Map.Entry<String, String> page : pages.entrySet()) {
            int[] bytes = new int[1];
            int statements = StatementCount.during(() -> bytes[0] = length(page.getValue()))
                    .size();
            double median = share(times.get(page.getKey()), 0.5);
            System.out.printf(
                    "| %s | %.1f ms | %.2f | %.1f ms | %d | %d |%n",
                    page.getKey(), median, median / plain, share(times.get(page.getKey()), 0.95), statements, bytes[0]);
        }
    }

    private int length(String path) {
        try {
            return send(path).body().length();
        } catch (IOException | InterruptedException broken) {
            throw new IllegalStateException(broken);
        }
    }

    private static double share(List<Long> times, double share) {
        long[] sorted = times.stream().mapToLong(Long::longValue).toArray();
        Arrays.sort(sorted);
        return sorted[(int) Math.min(sorted.length - 1, Math.floor(sorted.length * share))] / 1e6;
    }

    private HttpResponse<String> send(String path) throws IOException, InterruptedException {
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create(base + path))
                        .header("Cookie", cookie)
                        .build(),
                BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IOException(path + " answered " + answer.statusCode());
        }
        return answer;
    }
}
