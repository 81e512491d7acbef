package app.velvetcrock.standin;

import app.velvetcrock.core.text.Linear;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** A small page, for this machine alone, where a simulated device is turned. */
final class Knob {

    private static final int SEE_OTHER = 303;

    private Knob() {}

    /** What can be turned: what is sent and what is read. */
    record Turn(String what, String words) {}

    /**
     * What the page shows and does.
     *
     * @param field name of a field that is asked for as well; empty for none
     */
    record Page(String head, List<Turn> turns, String field, Supplier<String> state, Consumer<String> does) {}

    /** Serves the page. */
    static HttpServer serve(int port, Page page) throws IOException {
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        server.createContext("/", exchange -> {
            try (exchange) {
                if ("POST".equals(exchange.getRequestMethod())) {
                    String sent = new String(exchange.getRequestBody().readNBytes(1000), StandardCharsets.UTF_8);
                    page.does().accept(URLDecoder.decode(Linear.first(sent, "^[a-z]+=", ""), StandardCharsets.UTF_8));
                    exchange.getResponseHeaders().set("Location", "/");
                    exchange.sendResponseHeaders(SEE_OTHER, -1);
                } else {
                    show(exchange, page);
                }
            }
        });
        server.start();
        return server;
    }

    private static void show(HttpExchange exchange, Page page) throws IOException {
        String buttons = page.turns().stream()
                .map(turn -> "<button name=\"turn\" value=\"%s\">%s</button>".formatted(turn.what(), turn.words()))
                .collect(Collectors.joining(" "));
        String asked = page.field().isEmpty()
                ? ""
                : "<form method=\"post\"><label>%s <input name=\"turn\" inputmode=\"decimal\"></label> <button>Put it on</button></form>"
                        .formatted(page.field());
        byte[] html =
                """
                <!DOCTYPE html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
                <title>%1$s</title><style>body{font:1.1rem/1.6 sans-serif;max-width:34rem;margin:2rem auto;padding:0 1rem;
                color:#291a34;background:#e9e6ef}button,input{font:inherit;min-height:44px;padding:.3rem .9rem;margin:.2rem 0}</style>
                <h1>%1$s</h1><p role="status">%2$s</p><form method="post">%3$s</form>%4$s"""
                        .formatted(page.head(), page.state().get(), buttons, asked)
                        .getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "text/html; charset=utf-8");
        exchange.getResponseHeaders()
                .set("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'");
        exchange.sendResponseHeaders(200, html.length);
        exchange.getResponseBody().write(html);
    }
}
