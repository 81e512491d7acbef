package app.velvetcrock;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BooleanSupplier;

/** A browser's stream, line by line as it comes. */
public final class Listening implements AutoCloseable {

    private final List<String> lines = new CopyOnWriteArrayList<>();
    private final InputStream stream;
    private final HttpResponse<InputStream> answer;
    private volatile boolean ended;

    private Listening(HttpResponse<InputStream> answer) {
        this.answer = answer;
        this.stream = answer.body();
        Thread reader = new Thread(this::read);
        reader.setDaemon(true);
        reader.start();
    }

    /** Opens one as somebody signed in; {@code last} is what was heard last, empty for nothing. */
    public static Listening as(int port, Visitor who, String query, String last) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/live" + query))
                .header("Cookie", who.cookie())
                .header("Accept", "text/event-stream");
        if (!last.isEmpty()) {
            request.header("Last-Event-ID", last);
        }
        try {
            return new Listening(HttpClient.newHttpClient().send(request.build(), BodyHandlers.ofInputStream()));
        } catch (IOException e) {
            throw new AssertionError(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new AssertionError(e);
        }
    }

    private void read() {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(stream, StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                lines.add(line);
            }
        } catch (IOException closed) {
            // Ended from this side or the other.
        }
        ended = true;
    }

    public int status() {
        return answer.statusCode();
    }

    /** What was said so far. */
    public List<String> data() {
        return lines.stream()
                .filter(line -> line.startsWith("data:"))
                .map(line -> line.substring(5))
                .toList();
    }

    /** The newest revision that was heard. */
    public String last() {
        return lines.stream()
                .filter(line -> line.startsWith("id:"))
                .map(line -> line.substring(3))
                .reduce("", (first, newest) -> newest);
    }

    public boolean ended() {
        return ended;
    }

    /** Waits a little for something; tells whether it came. */
    public static boolean soon(BooleanSupplier comes) {
        for (int i = 0; i < 100 && !comes.getAsBoolean(); i++) {
            rest(50);
        }
        return comes.getAsBoolean();
    }

    public static void rest(long millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException stop) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() {
        try {
            stream.close();
        } catch (IOException closed) {
            // It was closed.
        }
    }
}
