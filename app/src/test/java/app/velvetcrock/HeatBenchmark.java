package app.velvetcrock;

import app.velvetcrock.devices.Teller;
import java.io.StringReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.sql.Connection;
import java.sql.DriverManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executors;
import java.util.concurrent.Flow;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.postgresql.PGConnection;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * What millions of readings cost: the watch of a batch with few and with many, taking them in beside the database's own way, and a
 * hundred open pages that follow one probe. Run by {@code ./crock bench heat}, never by the tests.
 */
public final class HeatBenchmark {

    private static final Instant NOW = Instant.parse("2026-11-24T09:00:00Z");
    private static final int MANY = 100_000;
    private static final int MILLION = 1_000_000;
    private static final int OTHERS = 50;
    private static final int STREAMS = 100;
    private static final int SECONDS = 30;
    private static final int ROUNDS = 150;

    private final int port;
    private final JdbcClient sql;

    private HeatBenchmark(int port, JdbcClient sql) {
        this.port = port;
        this.sql = sql;
    }

    /**
     * Prints what it measured.
     *
     * @param arguments none are read
     */
    public static void main(String[] arguments) throws Exception {
        System.setProperty("spring.profiles.active", "test");
        try (ConfigurableApplicationContext application =
                SpringApplication.run(VelvetCrock.class, "--server.port=0", "--crock.device-messages=1000000")) {
            int port = Integer.parseInt(application.getEnvironment().getProperty("local.server.port", "0"));
            new HeatBenchmark(port, application.getBean(JdbcClient.class)).run();
        }
        System.exit(0);
    }

    private void run() throws Exception {
        Heated few = heated("few");
        Heated many = heated("many");
        Heated second = heated("by the second");
        few.tell(100, 10);
        many.tell(MANY, 10);
        others();
        System.out.printf(
                "readings stored: %d%n",
                sql.sql("select count(*) from probe_reading").query(Long.class).single());
        watches(few, many);
        intake(second);
        streams(few);
    }

    /** A batch on the heat with a probe in it. */
    private final class Heated {
        final String batch;
        final Teller probe;
        final Visitor tove;

        Heated(String batch, Teller probe, Visitor tove) {
            this.batch = batch;
            this.probe = probe;
            this.tove = tove;
        }

        /** So many readings up to ten seconds ago, so many seconds apart. */
        long tell(int readings, int apart) {
            long began = System.nanoTime();
            for (int from = readings; from > 0; from -= 10_000) {
                StringBuilder lines = new StringBuilder("{\"readings\":[");
                for (int i = from; i > Math.max(0, from - 10_000); i--) {
                    lines.append(i == from ? "" : ",")
                            .append("{\"at\":\"")
                            .append(NOW.minusSeconds((long) i * apart))
                            .append("\",\"celsius\":")
                            .append(44 + i % 50 / 10.0)
                            .append('}');
                }
                String answer = probe.says("/api/readings", lines.append("]}").toString())
                        .body();
                if (!answer.contains("\"refused\":0")) {
                    throw new IllegalStateException(answer);
                }
            }
            return System.nanoTime() - began;
        }
    }

    private Heated heated(String name) {
        Visitor tove = Visitor.stocked(port, "Bench of heat, " + name);
        Teller probe = Teller.made(port, tove, "PROBE", name);
        String batch = tove.post(Visitor.form(
                        tove.get("/bench?amount=30+g&method=slow-warm&start=2026-11-12")
                                .page(),
                        "#bench",
                        Map.of()))
                .path();
        tove.submit(batch, "form[action*=heat-on]", Map.of("when", "2026-11-12T13:00"));
        String address = tove.get(batch)
                .page()
                .select("[formaction*=/probe/]:contains(" + name + ")")
                .attr("formaction");
        tove.post(address, Map.of("key", UUID.randomUUID().toString(), "when", "2026-11-12T13:00"));
        return new Heated(batch, probe, tove);
    }

    /** Five million readings of other probes of the household. */
    private void others() {
        Teller.made(port, Visitor.stocked(port, "Others"), "PROBE", "seed");
        for (int i = 0; i < OTHERS; i++) {
            UUID id = UUID.randomUUID();
            sql.sql(
                            """
                            insert into device (stillroom_id, id, kind, name, token_hash, account_id, made_at)
                            select stillroom_id, :id, 'PROBE', :name, :name, account_id, made_at from device where name = 'seed'""")
                    .param("id", id)
                    .param("name", "other " + i)
                    .update();
            sql.sql(
                            """
                            insert into probe_reading
                            select stillroom_id, id, timestamptz '2025-11-24' + n * interval '10 seconds', 40000 + n % 8000
                            from device, generate_series(1, 100000) n where id = :id""")
                    .param("id", id)
                    .update();
        }
        sql.sql("analyze").update();
    }

    private void watches(Heated few, Heated many) {
        List<Long> ofFew = new ArrayList<>();
        List<Long> ofMany = new ArrayList<>();
        for (int i = 0; i < 2 * ROUNDS; i++) {
            long a = took(few);
            long b = took(many);
            if (i >= ROUNDS) {
                ofFew.add(a);
                ofMany.add(b);
            }
        }
        String page = many.tove.get(many.batch + "/watch").raw().body();
        Matcher points = Pattern.compile("<polyline class=\"heat-line\"[^>]*points=\"([^\"]*)\"")
                .matcher(page);
        int drawn = 0;
        while (points.find()) {
            drawn += points.group(1).split(" ").length;
        }
        System.out.printf(
                "watch: %.1f ms with 100 readings, %.1f ms with %d: %.2f times; %d points drawn, %d bytes%n",
                share(ofFew, 0.5),
                share(ofMany, 0.5),
                MANY,
                share(ofMany, 0.5) / share(ofFew, 0.5),
                drawn,
                page.length());
        System.out.printf(
                "statements: %d and %d%n",
                StatementCount.during(() -> few.tove.get(few.batch + "/watch")).size(),
                StatementCount.during(() -> many.tove.get(many.batch + "/watch"))
                        .size());
    }

    private static long took(Heated one) {
        long began = System.nanoTime();
        if (one.tove.get(one.batch + "/watch").status() != 200) {
            throw new IllegalStateException(one.batch);
        }
        return System.nanoTime() - began;
    }

    /** A million by messages of ten thousand, into a batch, beside a million by the database's own copying, in turn. */
    private void intake(Heated second) throws Exception {
        long copied = copy();
        long told = second.tell(MILLION, 1);
        Heated none = new Heated(
                "", Teller.made(port, Visitor.stocked(port, "In nothing"), "PROBE", "in nothing"), second.tove);
        long alone = none.tell(MILLION, 1);
        long again = copy();
        double base = (copied + again) / 2.0;
        System.out.printf(
                "a million readings: copied in %.1f s and %.1f s; told in %.1f s into a batch, %.2f times; %.1f s into none, %.2f times%n",
                copied / 1e9, again / 1e9, told / 1e9, told / base, alone / 1e9, alone / base);
    }

    private long copy() throws Exception {
        UUID probe = UUID.randomUUID();
        sql.sql(
                        """
                        insert into device (stillroom_id, id, kind, name, token_hash, account_id, made_at)
                        select stillroom_id, :id, 'PROBE', :name, :name, account_id, made_at from device where name = 'seed'""")
                .param("id", probe)
                .param("name", "copied " + probe)
                .update();
        String stillroom = sql.sql("select stillroom_id::text from device where id = :id")
                .param("id", probe)
                .query(String.class)
                .single();
        StringBuilder rows = new StringBuilder();
        for (int i = MILLION; i > 0; i--) {
            rows.append(stillroom)
                    .append(',')
                    .append(probe)
                    .append(',')
                    .append(NOW.minusSeconds(i))
                    .append(',')
                    .append(44_000 + i % 5000)
                    .append('\n');
        }
        try (Connection connection = DriverManager.getConnection(
                "jdbc:postgresql://127.0.0.1:" + System.getenv("CROCK_TEST_DB_PORT") + "/crock", "crock", "")) {
            long began = System.nanoTime();
            connection
                    .unwrap(PGConnection.class)
                    .getCopyAPI()
                    .copyIn("copy probe_reading from stdin with (format csv)", new StringReader(rows.toString()));
            return System.nanoTime() - began;
        }
    }

    /** A hundred pages follow one probe that speaks every second: how long from what it says to each page that shows it. */
    private void streams(Heated followed) throws Exception {
        long before = memory();
        HttpClient client = HttpClient.newBuilder()
                .executor(Executors.newFixedThreadPool(32))
                .build();
        AtomicLong said = new AtomicLong();
        List<Long> times = Collections.synchronizedList(new ArrayList<>());
        for (int i = 0; i < STREAMS; i++) {
            // Each of another browser, so of another session.
            HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/live"))
                    .header("Cookie", followed.tove.cookie())
                    .build();
            client.sendAsync(request, BodyHandlers.fromLineSubscriber(new Lines(line -> {
                if (line.startsWith("data:")) {
                    long at = said.get();
                    fetch(client, followed).thenRun(() -> times.add(System.nanoTime() - at));
                }
            })));
        }
        Thread.sleep(3_000);
        long during = memory();
        for (int i = 0; i < SECONDS; i++) {
            long began = System.nanoTime();
            said.set(began);
            followed.probe.says(
                    "/api/readings", "{\"at\":\"%s\",\"celsius\":%s}".formatted(NOW.plusSeconds(i), 45 + i / 10.0));
            Thread.sleep(Math.max(1, 1_000 - (System.nanoTime() - began) / 1_000_000));
        }
        Thread.sleep(2_000);
        System.out.printf(
                "%d streams, %d readings a second apart: %d pages fetched, median %.0f ms, p95 %.0f ms from what was said; "
                        + "memory %d MB before, %d MB with the streams open%n",
                STREAMS, SECONDS, times.size(), share(times, 0.5), share(times, 0.95), before, during);
    }

    private CompletableFuture<Integer> fetch(HttpClient client, Heated followed) {
        return client.sendAsync(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + followed.batch + "/watch"))
                                .header("Cookie", followed.tove.cookie())
                                .build(),
                        BodyHandlers.ofString())
                .thenApply(answer -> answer.body().length());
    }

    private static long memory() {
        Runtime runtime = Runtime.getRuntime();
        runtime.gc();
        return (runtime.totalMemory() - runtime.freeMemory()) >> 20;
    }

    private static double share(List<Long> times, double share) {
        List<Long> sorted = new ArrayList<>(times);
        Collections.sort(sorted);
        return sorted.get((int) Math.min(sorted.size() - 1, Math.floor(sorted.size() * share))) / 1e6;
    }

    /** Lines of a stream as they come. */
    private record Lines(Consumer<String> each) implements Flow.Subscriber<String> {
        @Override
        public void onSubscribe(Flow.Subscription subscription) {
            subscription.request(Long.MAX_VALUE);
        }

        @Override
        public void onNext(String line) {
            each.accept(line);
        }

        @Override
        public void onError(Throwable thrown) {
            // The run is over.
        }

        @Override
        public void onComplete() {
            // The run is over.
        }
    }
}
