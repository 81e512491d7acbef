package app.velvetcrock.standin;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Sends what a device has to say, and keeps it while the network is away: a line is let go of once it was accepted. Now and then
 * one is lost on the way, or sent twice, as radios do. Not for several threads.
 */
final class Speaker {

    private static final int MOST_AT_ONCE = 1_000;
    private static final int MOST_KEPT = 200_000;

    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(3)).build();
    private final URI to;
    private final String token;
    private final String list;
    private final Random random;
    private final double lost;
    private final List<String> waiting = new ArrayList<>();
    private boolean away;

    /**
     * A speaker.
     *
     * @param list the name under which the lines stand in a message
     * @param lost how often a line is lost for good, and how often one is sent twice, of 1
     */
    Speaker(URI to, String token, String list, double lost, long seed) {
        this.to = to;
        this.token = token;
        this.list = list;
        this.lost = lost;
        this.random = new Random(seed);
    }

    void away(boolean is) {
        away = is;
    }

    /** Takes a line to say; it may be lost. Tells whether it was not. */
    boolean say(String line) {
        double luck = random.nextDouble();
        if (luck >= lost) {
            waiting.add(line);
            if (luck > 1 - lost) {
                waiting.add(line);
            }
            if (waiting.size() > MOST_KEPT) {
                waiting.remove(0);
            }
        }
        return luck >= lost;
    }

    /** Sends what waits; what is not accepted waits on. Tells what became of it. */
    String send() {
        if (away || waiting.isEmpty()) {
            return away ? "the network is away, %d wait".formatted(waiting.size()) : "";
        }
        List<String> now = List.copyOf(waiting.subList(0, Math.min(MOST_AT_ONCE, waiting.size())));
        HttpRequest request = HttpRequest.newBuilder(to)
                .timeout(Duration.ofSeconds(10))
                .header("Authorization", "Bearer " + token)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString("{\"%s\":[%s]}".formatted(list, String.join(",", now))))
                .build();
        try {
            int status = client.send(request, BodyHandlers.ofString()).statusCode();
            if (status == 200) {
                waiting.subList(0, now.size()).clear();
                return "";
            }
            return "not accepted (%d), %d wait".formatted(status, waiting.size());
        } catch (IOException unreachable) {
            return "not reached, %d wait".formatted(waiting.size());
        } catch (InterruptedException stop) {
            Thread.currentThread().interrupt();
            return "stopped";
        }
    }
}
