package app.velvetcrock.browser;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The release before and this one on one database, in the middle of a day's deeds: the old node writes, the new one comes up beside
 * it, both are walked through and both write, the old one is killed. What was acknowledged is compared with what is stored.
 */
final class Upgrade {

    private static final int WRITERS = 4;
    private static final int MOST_PAGES = 60;
    private static final Pattern LINK = Pattern.compile("<a [^>]*href=\"(/[^\"?#]*)");
    private static final Pattern NO_PAGE =
            Pattern.compile(".*/(calendar|label\\.pdf|text|json|sign-out)|/(css|js|fonts|vendor)/.*");

    private final HttpClient client =
            HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NORMAL).build();
    private final List<Node> nodes = new CopyOnWriteArrayList<>();
    private final Load load = new Load(nodes, "");

    private Upgrade() {}

    /**
     * Runs it.
     *
     * @param arguments the folder of the release before, that of this one, a first port, the database's port, and for how many seconds
     *     each of the three times lasts
     */
    public static void main(String[] arguments) throws Exception {
        String database = "jdbc:postgresql://127.0.0.1:%s/crock".formatted(arguments[3]);
        int port = Integer.parseInt(arguments[2]);
        Map<String, String> where = Map.of("CROCK_DB_URL", database);
        Node before = new Node(Path.of(arguments[0]), port, where);
        Node now = new Node(Path.of(arguments[1]), port + 1, where);
        int code = 1;
        try {
            code = new Upgrade().run(before, now, Duration.ofSeconds(Integer.parseInt(arguments[4])), database);
        } finally {
            before.kill();
            now.kill();
        }
        System.exit(code);
    }

    private int run(Node before, Node now, Duration each, String database) throws Exception {
        before.start();
        before.await();
        nodes.add(before);
        load.begin(WRITERS);
        Thread.sleep(each.toMillis());
        int alone = load.acknowledged().size();
        now.start();
        now.await();
        nodes.add(now);
        int broken = walk(before) + walk(now);
        Thread.sleep(each.toMillis());
        int together = load.acknowledged().size();
        nodes.remove(before);
        before.kill();
        Thread.sleep(each.toMillis());
        load.end();
        System.out.printf(
                "deeds acknowledged: %d by the release before, %d more until it was gone, %d by this one alone; %d sent more than once%n",
                alone, together - alone, load.acknowledged().size() - together, load.repeated());
        System.out.printf("%d pages that broke on either%n", broken);
        return broken == 0 && new Stored(database, load.acknowledged()).compare() == 0 ? 0 : 1;
    }

    /** Every page within reach of the Shelf, as a household sees it that writes meanwhile; how many broke. */
    private int walk(Node node) throws IOException, InterruptedException {
        Set<String> seen = new TreeSet<>();
        Deque<String> open = new ArrayDeque<>(List.of("/shelf"));
        List<String> broken = new ArrayList<>();
        while (!open.isEmpty() && seen.size() < MOST_PAGES) {
            String path = open.remove();
            if (!seen.add(path)) {
                continue;
            }
            HttpResponse<String> answer = client.send(
                    HttpRequest.newBuilder(URI.create(node.base() + path))
                            .header("Cookie", load.cookie())
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() != 200 || answer.uri().getPath().equals("/sign-in")) {
                broken.add(answer.statusCode() + " " + path);
            }
            Matcher link = LINK.matcher(answer.body());
            while (link.find()) {
                if (!NO_PAGE.matcher(link.group(1)).matches()) {
                    open.add(link.group(1));
                }
            }
        }
        System.out.printf("%s: %d pages walked %s%n", node.base(), seen.size(), broken);
        return broken.size();
    }
}
