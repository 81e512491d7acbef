package app.velvetcrock.standin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class StandInsTest {

    private static final Instant START = Instant.parse("2026-11-24T08:00:00Z");

    private final List<String> heard = new CopyOnWriteArrayList<>();
    private final AtomicInteger status = new AtomicInteger(200);
    private HttpServer server;

    @BeforeEach
    void listens() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/api/readings", exchange -> {
            try (exchange) {
                String body = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
                if (status.get() == 200) {
                    heard.add(body);
                }
                exchange.sendResponseHeaders(status.get(), -1);
            }
        });
        server.start();
    }

    @AfterEach
    void stops() {
        server.stop(0);
    }

    private Speaker speaker(double lost) {
        return new Speaker(
                URI.create("http://127.0.0.1:" + server.getAddress().getPort() + "/api/readings"),
                "t",
                "readings",
                lost,
                16);
    }

    /** From 20 °C on low, which ends at 66: after 70 min 66 − 46/e = 49.1 °C, after a day 66; with the lid off 20 + 46 · ¾ = 54.5. */
    @Test
    void aPotFollowsItsLaw() {
        Pot pot = new Pot(20, Pot.Setting.LOW, false, 16);
        for (int i = 0; i < 420; i++) {
            pot.pass(10);
        }
        assertThat(pot.read()).isCloseTo(49.1, within(0.3));
        pot.pass(86_400);
        assertThat(pot.read()).isCloseTo(66, within(0.3));
        pot.lid(true);
        pot.pass(86_400);
        assertThat(pot.read()).isCloseTo(54.5, within(0.3));
        pot.lid(false);
        pot.turn(Pot.Setting.WARM);
        pot.pass(86_400);
        pot.topUp();
        assertThat(pot.read()).isCloseTo(44, within(0.3));
        pot.probe(true);
        assertThat(pot.read()).isCloseTo(22, within(0.3));
        assertThat(new Pot(20, Pot.Setting.WARM, true, 16)).hasToString("20.0 °C, warm");
    }

    /** What is said while the network is away, or not accepted, is sent later; some is lost for good and some said twice. */
    @Test
    void whatWaitsIsSentLater() {
        ProbeStandIn probe =
                new ProbeStandIn(new Pot(20, Pot.Setting.WARM, false, 16), speaker(0.1), Duration.ofSeconds(10), START);
        List<Instant> kept = new ArrayList<>();
        probe.turn("cut");
        for (int i = 0; i < 300; i++) {
            probe.step().ifPresent(told -> kept.add(told.at()));
            probe.send();
        }
        assertThat(heard).isEmpty();
        assertThat(probe.state()).contains("the network is away");
        probe.turn("back");
        status.set(503);
        probe.send();
        assertThat(heard).isEmpty();
        assertThat(probe.state()).contains("not accepted (503)");
        status.set(200);
        probe.send();
        String said = String.join("", heard);
        TreeSet<Instant> moments = new TreeSet<>();
        long lines = java.util.regex.Pattern.compile("\"at\":\"([^\"]+)\"")
                .matcher(said)
                .results()
                .peek(one -> moments.add(Instant.parse(one.group(1))))
                .count();
        assertThat(moments).containsExactlyElementsOf(kept).hasSizeBetween(240, 295);
        assertThat(lines).as("some were said twice").isGreaterThan(moments.size());
    }

    /** The knob turns what it says, and shows how it stands. */
    @Test
    void theKnobTurns() throws IOException, InterruptedException {
        List<String> turned = new CopyOnWriteArrayList<>();
        HttpServer knob = Knob.serve(
                0,
                new Knob.Page(
                        "A pot", List.of(new Knob.Turn("low", "low")), "Grams", () -> "46 °C, warm", turned::add));
        try {
            URI page = URI.create("http://127.0.0.1:" + knob.getAddress().getPort() + "/");
            HttpClient client = HttpClient.newHttpClient();
            assertThat(client.send(HttpRequest.newBuilder(page).build(), BodyHandlers.ofString())
                            .body())
                    .contains("46 °C, warm", "value=\"low\"", "Grams");
            client.send(
                    HttpRequest.newBuilder(page)
                            .POST(HttpRequest.BodyPublishers.ofString("turn=lid-off"))
                            .build(),
                    BodyHandlers.discarding());
            assertThat(turned).containsExactly("lid-off");
        } finally {
            knob.stop(0);
        }
    }
}
