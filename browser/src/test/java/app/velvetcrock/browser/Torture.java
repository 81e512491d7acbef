package app.velvetcrock.browser;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Two nodes on one database under a load of deeds; one node after the other is killed as by a power cut, and the database's server
 * too. Every deed is sent again under its own key until it is acknowledged; then what was acknowledged is compared with what is
 * stored. Run by {@code ./crock torture}; ends in figures and an exit code.
 */
final class Torture {

    private static final int WRITERS = 4;

    /** What stands before the nodes; empty where they are spoken to themselves. */
    private static final String FRONT = System.getProperty("crock.front", "");

    private static final Duration PATIENCE = Duration.ofSeconds(8);
    private static final Pattern FIELD =
            Pattern.compile("<(input|select)\\b([^>]*)>(.*?)(?=<input|<select|</form|<button)", Pattern.DOTALL);
    private static final Pattern OPTION = Pattern.compile("<option([^>]*)>");

    private final List<Node> nodes = new ArrayList<>();
    private final Queue<Deed> acknowledged = new ConcurrentLinkedQueue<>();
    private final AtomicInteger repeated = new AtomicInteger();
    private final Queue<Long> answered = new ConcurrentLinkedQueue<>();
    private final Pulled database;
    private volatile boolean ending;

    private Torture(Pulled database) {
        this.database = database;
    }

    /** What was acknowledged: by its key, with what it must have left behind. */
    private record Deed(String kind, UUID household, String mark) {}

    /**
     * Runs it.
     *
     * @param arguments kills of nodes, kills of the database's server, the application's folder, a first port, and the folder and
     *     port of each server: one, or a primary and its standby
     */
    public static void main(String[] arguments) throws Exception {
        int ofNodes = Integer.parseInt(arguments[0]);
        int ofDatabase = Integer.parseInt(arguments[1]);
        int port = Integer.parseInt(arguments[3]);
        Pulled database = Pulled.of(List.of(arguments).subList(4, arguments.length));
        Torture torture = new Torture(database);
        for (int i = 0; i < 2; i++) {
            torture.nodes.add(new Node(Path.of(arguments[2]), port + i, database.address()));
        }
        int code = 1;
        try {
            for (Node node : torture.nodes) {
                node.start();
                node.await();
            }
            code = torture.run(ofNodes, ofDatabase);
        } finally {
            torture.nodes.forEach(Node::kill);
        }
        System.exit(code);
    }

    private int run(int ofNodes, int ofDatabase) throws Exception {
        List<Thread> writers = new ArrayList<>();
        for (int i = 0; i < WRITERS; i++) {
            Writer writer = new Writer(i);
            writer.begin();
            writers.add(new Thread(writer, "writer-" + i));
        }
        long began = System.nanoTime();
        writers.forEach(Thread::start);
        int all = Math.max(ofNodes, ofDatabase);
        int databaseKills = 0;
        List<Double> without = new ArrayList<>();
        for (int kill = 0; kill < all; kill++) {
            Thread.sleep(ThreadLocalRandom.current().nextInt(400, 1800));
            boolean alsoNode = kill < ofNodes;
            Node node = nodes.get(kill % nodes.size());
            if (alsoNode) {
                node.kill();
            }
            if (databaseKills < ofDatabase && (kill + 1) % Math.max(1, all / ofDatabase) == 0) {
                Thread.sleep(ThreadLocalRandom.current().nextInt(100, 600));
                long before = System.nanoTime();
                database.kill();
                databaseKills++;
                without.add(untilAnswered(before));
                database.mend();
            }
            if (alsoNode) {
                node.start();
                node.await();
            }
        }
        if (!without.isEmpty()) {
            System.out.printf(
                    "seconds from a killed database to the next deed acknowledged: %.1f at the most, %.1f in the middle%n",
                    without.stream().mapToDouble(s -> s).max().orElse(0),
                    without.stream()
                            .sorted()
                            .skip(without.size() / 2)
                            .findFirst()
                            .orElse(0.0));
        }
        ending = true;
        for (Thread writer : writers) {
            writer.join();
        }
        System.out.printf(
                "%d kills of a node and %d of the database in %d s; %d deeds acknowledged, %d of them sent more than once%n",
                ofNodes,
                databaseKills,
                (System.nanoTime() - began) / 1_000_000_000,
                acknowledged.size(),
                repeated.get());
        return compare();
    }

    /** Seconds from a moment to the first deed that was acknowledged after it. */
    private double untilAnswered(long moment) throws InterruptedException {
        for (int i = 0; i < 1200; i++) {
            for (long one : answered) {
                if (one > moment + 50_000_000) {
                    return (one - moment) / 1e9;
                }
            }
            answered.removeIf(one -> one <= moment);
            Thread.sleep(50);
        }
        return Double.POSITIVE_INFINITY;
    }

    /** Everything acknowledged is there once, nothing by half, every balance is the sum of its movements. */
    private int compare() throws SQLException {
        int wrong = 0;
        try (Connection sql = DriverManager.getConnection(database.address(), "crock", "");
                Statement ask = sql.createStatement()) {
            wrong += say("acknowledged and lost, or there twice", missing(ask));
            wrong += say(
                    "balances that are not the sum of their movements",
                    count(
                            ask,
                            "select count(*) from lot l where l.balance <> (select coalesce(sum(m.amount), 0) from movement m"
                                    + " where m.stillroom_id = l.stillroom_id and m.lot_id = l.id)"));
            wrong += say(
                    "halves: lots without what brought them in, starts without what they took",
                    count(
                            ask,
                            "select (select count(*) from lot l where not exists (select from movement m where m.lot_id = l.id))"
                                    + " + (select count(*) from batch b where not exists"
                                    + " (select from batch_entry e where e.batch_id = b.id)"
                                    + " or not exists (select from movement m where m.batch_id = b.id)"
                                    + " or not exists (select from batch_facts f where f.batch_id = b.id))"));
            wrong += say(
                    "lines of a key that is there twice",
                    count(
                            ask,
                            "select count(*) from (select client_key from batch_entry group by 1 having count(*) > 1) twice"));
        }
        return wrong == 0 ? 0 : 1;
    }

    private int missing(Statement ask) throws SQLException {
        Map<String, Integer> drawn = new LinkedHashMap<>();
        int wrong = 0;
        for (Deed deed : acknowledged) {
            String query =
                    switch (deed.kind()) {
                        case "note" -> "select count(*) from batch_entry where kind = 'NOTED' and typed = '"
                                + deed.mark() + "'";
                        case "herb" -> "select count(*) from lot where came_from = '" + deed.mark() + "'";
                        default -> "select count(*) from movement where note = '" + deed.mark()
                                + "' and amount = -1000";
                    };
            drawn.merge(deed.kind(), 1, Integer::sum);
            if (count(ask, query) != 1) {
                wrong++;
                System.out.println("  " + deed);
            }
        }
        System.out.println("  by kind: " + drawn);
        return wrong;
    }

    private static int say(String what, int found) {
        System.out.printf("%d %s%n", found, what);
        return found;
    }

    private static int count(Statement ask, String query) throws SQLException {
        try (ResultSet found = ask.executeQuery(query)) {
            found.next();
            return found.getInt(1);
        }
    }

    /** One application, killed without a word. */
    private static final class Node {

        private final Path home;
        private final int port;
        private final String database;
        private Process process;

        Node(Path home, int port, String database) {
            this.home = home;
            this.port = port;
            this.database = database;
        }

        void start() throws IOException {
            List<String> command =
                    new ArrayList<>(List.of("java", "-XX:TieredStopAtLevel=1", "-Xshare:auto", "-XX:+UseSerialGC"));
            if (java.nio.file.Files.exists(home.resolve("app.jsa"))) {
                command.add("-XX:SharedArchiveFile=app.jsa");
            }
            command.addAll(List.of("-jar", "velvet-crock.jar"));
            ProcessBuilder builder = new ProcessBuilder(command)
                    .directory(home.toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD);
            builder.environment()
                    .putAll(Map.of(
                            "CROCK_PORT",
                            String.valueOf(port),
                            "CROCK_DEMO",
                            "false",
                            "CROCK_PASSWORD_ROUNDS",
                            "4",
                            "CROCK_DB_URL",
                            database));
            process = builder.start();
        }

        void kill() {
            if (process != null) {
                process.destroyForcibly();
            }
        }

        void await() throws InterruptedException {
            HttpClient client = HttpClient.newHttpClient();
            for (int i = 0; i < 900; i++) {
                try {
                    HttpRequest health = HttpRequest.newBuilder(URI.create(base() + "/actuator/health"))
                            .timeout(Duration.ofSeconds(2))
                            .build();
                    if (client.send(health, HttpResponse.BodyHandlers.discarding())
                                    .statusCode()
                            == 200) {
                        return;
                    }
                } catch (IOException notYet) {
                    // It starts, or the database does.
                }
                Thread.sleep(100);
            }
            throw new IllegalStateException("node on port " + port + " does not come up");
        }

        String base() {
            return "http://127.0.0.1:" + port;
        }
    }

    /** A household at work, on whichever node answers. */
    private final class Writer implements Runnable {

        private final HttpClient client = HttpClient.newBuilder()
                .connectTimeout(Duration.ofSeconds(2))
                .followRedirects(HttpClient.Redirect.NEVER)
                .build();
        private final int number;
        private final UUID household = UUID.randomUUID();
        private String cookie = "";
        private String batch = "";
        private String lot = "";
        private String token = "";

        Writer(int number) {
            this.number = number;
        }

        /** Signs up, brings something in, starts a batch; before anything is killed. */
        void begin() throws IOException, InterruptedException {
            Map<String, String> entry = fields(get("/sign-up"), "/sign-up");
            entry.putAll(Map.of(
                    "name",
                    "Tove",
                    "email",
                    household + "@example.org",
                    "password",
                    "five jars of oil",
                    "house.household",
                    "Torture " + number));
            must(post("/sign-up", entry));
            String stores = get("/stores");
            token = fields(stores, "/stores/herbs").get("_csrf");
            must(send(stores, "/stores/herbs", Map.of("herb", "Nettle", "amount", "90 kg")));
            must(send(get("/stores"), "/stores/carriers", Map.of("carrier", "rapeseed", "amount", "1 L")));
            must(send(get("/stores"), "/stores/jars", Map.of("capacity", "500 mL", "width", "84 mm")));
            Matcher of = Pattern.compile("/stores/lots/([0-9a-f-]{36})\"").matcher(get("/stores"));
            of.find();
            lot = of.group(1);
            HttpResponse<String> begun = send(get("/bench?amount=40+g&method=cold-dark"), "/bench/start", Map.of());
            must(begun);
            batch = begun.headers()
                    .firstValue("Location")
                    .orElse("")
                    .replaceFirst("^.*/batch/", "")
                    .replaceFirst("[?#].*", "");
            if (batch.isEmpty()) {
                throw new IllegalStateException("no batch was begun");
            }
        }

        @Override
        public void run() {
            try {
                for (int i = 0; !ending; i++) {
                    String mark = "t-" + UUID.randomUUID();
                    switch (i % 3) {
                        case 0 -> doing("note", mark, "/batch/" + batch + "/note", Map.of("words", mark));
                        case 1 -> doing(
                                "herb",
                                mark,
                                "/stores/herbs",
                                Map.of(
                                        "herb",
                                        "Yarrow",
                                        "amount",
                                        "50 g",
                                        "moisture",
                                        "DRIED",
                                        "cut",
                                        "CUT_AND_SIFTED",
                                        "part",
                                        "",
                                        "origin",
                                        "BOUGHT",
                                        "cameFrom",
                                        mark,
                                        "pieces",
                                        "1"));
                        default -> doing(
                                "draw",
                                mark,
                                "/stores/lots/" + lot + "/draw",
                                Map.of("amount", "1 g", "why", "DRAWN", "note", mark));
                    }
                }
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }

        /** Sends one deed under its key until it is acknowledged; unacknowledged it counts for nothing. */
        private void doing(String kind, String mark, String path, Map<String, String> fields)
                throws InterruptedException {
            Map<String, String> all = new LinkedHashMap<>(fields);
            all.put("_csrf", token);
            all.put("key", UUID.randomUUID().toString());
            for (int attempt = 0; attempt < 400; attempt++) {
                try {
                    HttpResponse<String> answer = post(path, all);
                    if (answer.statusCode() == 302 || answer.statusCode() == 303) {
                        acknowledged.add(new Deed(kind, household, mark));
                        answered.add(System.nanoTime());
                        repeated.addAndGet(attempt > 0 ? 1 : 0);
                        return;
                    }
                    if (answer.statusCode() == 422 || answer.statusCode() == 403) {
                        throw new IllegalStateException(path + " answers " + answer.statusCode());
                    }
                } catch (IOException broken) {
                    // Killed in mid-answer: nobody knows, so it is asked again under the same key.
                }
                Thread.sleep(120);
            }
            throw new IllegalStateException("never acknowledged: " + path);
        }

        private HttpResponse<String> send(String page, String action, Map<String, String> changed)
                throws IOException, InterruptedException {
            Map<String, String> all = fields(page, action);
            all.putAll(changed);
            return post(action, all);
        }

        private void must(HttpResponse<String> answer) {
            if (answer.statusCode() != 302 && answer.statusCode() != 303) {
                throw new IllegalStateException(answer.uri() + " answers " + answer.statusCode());
            }
        }

        private String get(String path) throws IOException, InterruptedException {
            HttpResponse<String> answer = client.send(
                    HttpRequest.newBuilder(
                                    URI.create((FRONT.isEmpty() ? nodes.get(0).base() : FRONT) + path))
                            .header("Cookie", cookie)
                            .timeout(PATIENCE)
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            keep(answer);
            return answer.body();
        }

        private HttpResponse<String> post(String path, Map<String, String> fields)
                throws IOException, InterruptedException {
            StringBuilder body = new StringBuilder();
            fields.forEach((name, value) -> body.append(body.length() == 0 ? "" : "&")
                    .append(URLEncoder.encode(name, StandardCharsets.UTF_8))
                    .append('=')
                    .append(URLEncoder.encode(value, StandardCharsets.UTF_8)));
            String base = FRONT.isEmpty()
                    ? nodes.get(ThreadLocalRandom.current().nextInt(nodes.size()))
                            .base()
                    : FRONT;
            HttpResponse<String> answer = client.send(
                    HttpRequest.newBuilder(URI.create(base + path))
                            .header("Cookie", cookie)
                            .header("Content-Type", "application/x-www-form-urlencoded")
                            .timeout(PATIENCE)
                            .POST(HttpRequest.BodyPublishers.ofString(body.toString()))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            keep(answer);
            return answer;
        }

        private void keep(HttpResponse<String> answer) {
            answer.headers().allValues("Set-Cookie").stream()
                    .filter(one -> one.startsWith("CROCK="))
                    .forEach(one -> cookie = one.replaceFirst(";.*", ""));
        }

        /** The fields of a form as the page filled them. */
        private static Map<String, String> fields(String page, String action) {
            int begin = page.indexOf("action=\"" + action + "\"");
            if (begin < 0) {
                throw new IllegalStateException("no form for " + action + " on "
                        + page.replaceAll("(?s)<head.*?</head>|<[^>]*>|\\s+", " ")
                                .strip());
            }
            int end = page.indexOf("</form>", begin);
            String form = page.substring(page.lastIndexOf("<form", begin), end + 7);
            Map<String, String> fields = new LinkedHashMap<>();
            Matcher field = FIELD.matcher(form);
            while (field.find()) {
                String name = attribute(field.group(2), "name");
                boolean unchosen = field.group(2).contains("type=\"radio\"")
                        && !field.group(2).contains("checked");
                if (name.isEmpty() || unchosen || field.group(2).contains("type=\"checkbox\"")) {
                    continue;
                }
                String value = attribute(field.group(2), "value");
                if (field.group(1).equals("select")) {
                    Matcher option = OPTION.matcher(field.group(3));
                    value = null;
                    while (option.find()) {
                        if (value == null || option.group(1).contains("selected")) {
                            value = attribute(option.group(1), "value");
                        }
                    }
                }
                fields.put(name, value == null ? "" : value);
            }
            return fields;
        }

        private static String attribute(String tag, String name) {
            Matcher found = Pattern.compile("\\b" + name + "=\"([^\"]*)\"").matcher(tag);
            return found.find() ? found.group(1).replace("&amp;", "&").replace("&quot;", "\"") : "";
        }
    }
}
