package app.velvetcrock.devices;

import app.velvetcrock.Visitor;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.Map;
import java.util.zip.GZIPOutputStream;

/** A device that speaks the open interface and nothing else. */
public final class Teller {

    private final HttpClient client = HttpClient.newHttpClient();
    private final int port;
    private final String token;

    Teller(int port, String token) {
        this.port = port;
        this.token = token;
    }

    /** A device made on the page as its household would. */
    public static Teller made(int port, Visitor by, String kind, String name) {
        return new Teller(
                port,
                by.submit("/settings/probes", "#make", Map.of("name", name, "kind", kind))
                        .page()
                        .getElementById("token")
                        .attr("value"));
    }

    String token() {
        return token;
    }

    public HttpResponse<String> says(String path, String body) {
        return says(path, body.getBytes(java.nio.charset.StandardCharsets.UTF_8), "application/json", "");
    }

    HttpResponse<String> says(String path, byte[] body, String type, String packed) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .header("Content-Type", type)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body));
        if (!token.isEmpty()) {
            request.header("Authorization", "Bearer " + token);
        }
        if (!packed.isEmpty()) {
            request.header("Content-Encoding", packed);
        }
        try {
            return client.send(request.build(), BodyHandlers.ofString());
        } catch (IOException e) {
            throw new AssertionError(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new AssertionError(e);
        }
    }

    static byte[] packed(String body) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(bytes)) {
            out.write(body.getBytes(java.nio.charset.StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new AssertionError(e);
        }
        return bytes.toByteArray();
    }
}
