package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.zip.GZIPInputStream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Dumps of the demo household as former releases made it, with what their pages said: opened by this release, every page says
 * the same. A page that is to say something else from now on has its line in the record changed by hand, with the reason in the commit.
 */
@Isolated
class OlderReleaseTest {

    /** Pages whose words a batch, an oil, a lot or a recipe decides; from these every other is found. */
    private static final String BEGIN = "/shelf";

    private static final int MOST_PAGES = 320;

    /** Set CROCK_RECORD to how a file's name begins, to write down what the pages say; a release does so once, for later ones. */
    private static final String RECORD = System.getenv("CROCK_RECORD");

    @ParameterizedTest
    @ValueSource(strings = {"2026-11-danger", "2026-11-years"})
    void everyPageReadsAsItDid(String release) throws Exception {
        Map<String, String> recorded = recorded(release);
        assertThat(recorded).hasSizeGreaterThan(40);
        String server = "jdbc:postgresql://127.0.0.1:" + System.getenv("CROCK_TEST_DB_PORT") + "/";
        String name = "crock_dump_" + UUID.randomUUID().toString().replace("-", "");
        try (Connection postgres = DriverManager.getConnection(server + "postgres", "crock", "");
                Statement sql = postgres.createStatement()) {
            sql.execute("create database " + name);
            try {
                load(server + name, release);
                linesAreOfThePublishedShape(server + name);
                System.setProperty("spring.profiles.active", "test");
                try (ConfigurableApplicationContext application = SpringApplication.run(
                        VelvetCrock.class,
                        "--server.port=0",
                        "--crock.demo=true",
                        "--spring.datasource.url=" + server + name)) {
                    int port = Integer.parseInt(application.getEnvironment().getProperty("local.server.port", "0"));
                    Map<String, String> pages = pages(port);
                    if (RECORD != null) {
                        write(release, pages);
                    }
                    recorded.forEach((page, words) ->
                            assertThat(pages.get(page)).as(page).isEqualTo(words));
                }
            } finally {
                sql.execute("drop database " + name + " with (force)");
            }
        }
    }

    private static void write(String release, Map<String, String> pages) throws IOException {
        StringBuilder text = new StringBuilder();
        pages.forEach(
                (page, words) -> text.append(page).append('\t').append(words).append('\n'));
        Files.writeString(Path.of(RECORD + "-" + release), text);
    }

    private static void load(String url, String release) throws Exception {
        try (InputStream dump = new GZIPInputStream(
                        OlderReleaseTest.class.getResourceAsStream("/dumps/" + release + ".sql.gz"));
                Connection connection = DriverManager.getConnection(url, "crock", "");
                Statement sql = connection.createStatement()) {
            sql.execute(new String(dump.readAllBytes(), StandardCharsets.UTF_8));
        }
    }

    private static void linesAreOfThePublishedShape(String url) throws Exception {
        try (Connection connection = DriverManager.getConnection(url, "crock", "");
                Statement sql = connection.createStatement();
                ResultSet line = sql.executeQuery("select kind, value from batch_entry")) {
            int seen = 0;
            while (line.next()) {
                seen++;
                assertThat(LogShape.faults(line.getString(1), line.getString(2)))
                        .as(line.getString(1) + " " + line.getString(2))
                        .isEmpty();
            }
            assertThat(seen).isGreaterThan(50);
        }
    }

    private static Map<String, String> recorded(String release) throws IOException {
        Map<String, String> recorded = new TreeMap<>();
        try (InputStream in =
                new GZIPInputStream(OlderReleaseTest.class.getResourceAsStream("/dumps/" + release + ".pages.gz"))) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                recorded.put(line.substring(0, line.indexOf('\t')), line.substring(line.indexOf('\t') + 1));
            }
        }
        return recorded;
    }

    /** What every page within reach of the Shelf says, found by its links. */
    private static Map<String, String> pages(int port) {
        Visitor runa = Visitor.demo(port);
        Map<String, String> pages = new TreeMap<>();
        Deque<String> open = new ArrayDeque<>();
        open.add(BEGIN);
        while (!open.isEmpty() && pages.size() < MOST_PAGES) {
            String path = open.remove();
            if (pages.containsKey(path)) {
                continue;
            }
            Document page = runa.get(path).page();
            pages.put(path, words(page));
            for (Element link : page.select("a[href^=/]:not([download])")) {
                String to = link.attr("href").replaceAll("[?#].*", "");
                if (!to.matches(".*/(calendar|label\\.pdf|text|json|sign-out)$")) {
                    open.add(to);
                }
            }
        }
        return pages;
    }

    private static String words(Document page) {
        Element main = page.selectFirst("main");
        // A form says what can be done; what was done and worked out stands beside it.
        page.select("main form, .correct, .correct-link, .catch-up").remove();
        return main == null ? "" : main.text().replaceAll("\\s+", " ");
    }
}
