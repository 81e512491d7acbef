package app.velvetcrock;

import app.velvetcrock.stillroom.TestHouse;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** Somebody with a browser of their own: cookies kept, redirects followed, forms sent with their hidden fields. */
public final class Visitor {

    private final String base;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();

    public Visitor(int port) {
        base = "http://127.0.0.1:" + port;
    }

    /** A new household, signed in. */
    public static Visitor household(int port, String name) {
        return house(port, name, false);
    }

    /** A household with 200 g of dried nettle, a litre of rapeseed opened on 20 September and two half-litre jars. */
    public static Visitor stocked(int port, String name) {
        return house(port, name, true);
    }

    /** Whoever keeps the demo household, signed in. */
    static Visitor demo(int port) {
        Visitor visitor = new Visitor(port);
        visitor.submit("/sign-in", "form[action$=demo-entry]", Map.of());
        return visitor;
    }

    /** Its session, as a header says it. */
    public String cookie() {
        return cookies.getCookieStore().getCookies().stream()
                .map(cookie -> cookie.getName() + "=" + cookie.getValue())
                .collect(Collectors.joining("; "));
    }

    private static Visitor house(int port, String name, boolean stocked) {
        Visitor visitor = new Visitor(port);
        HttpCookie cookie = new HttpCookie("CROCK", TestHouse.at(port).household(name, stocked));
        cookie.setPath("/");
        cookie.setVersion(0);
        visitor.cookies.getCookieStore().add(URI.create(visitor.base), cookie);
        return visitor;
    }

    /** What came back in the end. */
    public record Answer(int status, String path, Document page, HttpResponse<String> raw) {}

    public Answer get(String path) {
        return send(HttpRequest.newBuilder(URI.create(base + path)).GET());
    }

    public Answer get(String path, String header, String value) {
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header(header, value)
                .GET());
    }

    /** Opens a page and sends one of its forms with some fields changed. */
    public Answer submit(String path, String form, Map<String, String> changed) {
        return post(form(get(path).page(), form, changed));
    }

    /** A form as it would be sent: address and fields. */
    public record Filled(String action, Map<String, String> fields) {

        /** The same sent by another of the form's buttons. */
        public Filled to(String other) {
            return new Filled(other, fields);
        }
    }

    public static Filled form(Document page, String selector, Map<String, String> changed) {
        Element form = page.selectFirst("main " + selector);
        if (form == null) {
            throw new AssertionError("no " + selector + " on " + page.title() + ": " + page.text());
        }
        Map<String, String> fields = new LinkedHashMap<>();
        for (Element field : form.select("input[name], select[name], textarea[name]")) {
            if (field.attr("type").equals("radio") && !field.hasAttr("checked")) {
                continue;
            }
            Element chosen = field.tagName().equals("select") ? field.selectFirst("option[selected]") : field;
            Element first = chosen == null ? field.selectFirst("option") : chosen;
            fields.put(field.attr("name"), field.tagName().equals("textarea") ? field.text() : first.attr("value"));
        }
        fields.putAll(changed);
        return new Filled(form.attr("action"), fields);
    }

    public Answer post(Filled form) {
        return send(request(form, ""));
    }

    /** The same with more behind it, as it stands: a field for the second time, or one of another form. */
    public Answer post(Filled form, String more) {
        return send(request(form, more));
    }

    private HttpRequest.Builder request(Filled form, String more) {
        String body = form.fields().entrySet().stream()
                .map(e -> encode(e.getKey()) + "=" + encode(e.getValue()))
                .collect(Collectors.joining("&"));
        return HttpRequest.newBuilder(URI.create(base + form.action()))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body + more));
    }

    /** Posts a body that says it is of some kind, with this visitor's token; the status. */
    public int postAs(String path, String type, String body) {
        String token = get("/settings").page().selectFirst("input[name=_csrf]").attr("value");
        return send(HttpRequest.newBuilder(URI.create(base + path + "?_csrf=" + encode(token)))
                        .header("Content-Type", type)
                        .POST(HttpRequest.BodyPublishers.ofString(body)))
                .status();
    }

    /** Posts some fields to an address with this visitor's own token, as a hand-made request would. */
    public Answer post(String path, Map<String, String> fields) {
        Map<String, String> all = new LinkedHashMap<>(fields);
        all.put(
                "_csrf",
                get("/settings").page().selectFirst("input[name=_csrf]").attr("value"));
        return post(new Filled(path, all));
    }

    /** The same with a header, as something between might add one. */
    public Answer post(String path, Map<String, String> fields, String header, String value) {
        Map<String, String> all = new LinkedHashMap<>(fields);
        all.put("_csrf", get("/sign-in").page().selectFirst("input[name=_csrf]").attr("value"));
        return send(request(new Filled(path, all), "").header(header, value));
    }

    /** The same as a device sends what waited on it: with the moment of the tap and that of now, both by its own clock. */
    public Answer waited(Filled form, String at, String sent) {
        return send(request(form, "").header("Crock-Waited", at).header("Crock-Sent", sent));
    }

    /** Sends a picture as the page does: its body alone, the rest in the address. */
    public Answer picture(String path, String type, byte[] body) {
        String token = get("/settings").page().selectFirst("input[name=_csrf]").attr("value");
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", type)
                .header("X-CSRF-TOKEN", token)
                .header("Crock-Waited", "2026-11-24T09:00:00Z")
                .header("Crock-Sent", "2026-11-24T09:00:00Z")
                .POST(HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    /** What lies at an address, as it is. */
    public byte[] bytes(String path) {
        try {
            return client.send(HttpRequest.newBuilder(URI.create(base + path)).build(), BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException e) {
            throw new AssertionError(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new AssertionError(e);
        }
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> response = client.send(request.build(), BodyHandlers.ofString());
            return new Answer(response.statusCode(), response.uri().getPath(), Jsoup.parse(response.body()), response);
        } catch (IOException e) {
            throw new AssertionError(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new AssertionError(e);
        }
    }

    public static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
