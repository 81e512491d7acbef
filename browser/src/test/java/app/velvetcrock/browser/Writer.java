package app.velvetcrock.browser;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A household at work, on whichever node answers. */
final class Writer implements Runnable {

    private static final Duration PATIENCE = Duration.ofSeconds(8);
    private static final Pattern FIELD =
            Pattern.compile("<(input|select)\\b([^>]*)>(.*?)(?=<input|<select|</form|<button)", Pattern.DOTALL);
    private static final Pattern OPTION = Pattern.compile("<option([^>]*)>");

    private final HttpClient client = HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(2))
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();
    private final Load load;
    private final int number;
    private final UUID household = UUID.randomUUID();
    private String cookie = "";
    private String batch = "";
    private String lot = "";
    private String token = "";

    Writer(Load load, int number) {
        this.load = load;
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

    String cookie() {
        return cookie;
    }

    @Override
    public void run() {
        try {
            for (int i = 0; !load.isEnding(); i++) {
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
    private void doing(String kind, String mark, String path, Map<String, String> fields) throws InterruptedException {
        Map<String, String> all = new LinkedHashMap<>(fields);
        all.put("_csrf", token);
        all.put("key", UUID.randomUUID().toString());
        for (int attempt = 0; attempt < 400; attempt++) {
            try {
                HttpResponse<String> answer = post(path, all);
                if (answer.statusCode() == 302 || answer.statusCode() == 303) {
                    load.acknowledged(new Load.Deed(kind, household, mark), attempt > 0);
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
                HttpRequest.newBuilder(URI.create(load.base() + path))
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
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create(load.base() + path))
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
                    + page.replaceAll("(?s)<head.*?</head>|<[^>]*>|\\s+", " ").strip());
        }
        int end = page.indexOf("</form>", begin);
        String form = page.substring(page.lastIndexOf("<form", begin), end + 7);
        Map<String, String> fields = new LinkedHashMap<>();
        Matcher field = FIELD.matcher(form);
        while (field.find()) {
            String name = attribute(field.group(2), "name");
            boolean unchosen =
                    field.group(2).contains("type=\"radio\"") && !field.group(2).contains("checked");
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
