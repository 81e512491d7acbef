package app.velvetcrock.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.stillroom.TestHouse;
import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What is past its time is cleared away and nothing else; what the application does is told to this machine alone. */
@HttpTest
class UpkeepTest {

    @LocalServerPort
    int port;

    @Autowired
    Clearing clearing;

    @Autowired
    PrometheusMeterRegistry registry;

    @Autowired
    JdbcClient sql;

    @Test
    void oldKeysAndAttemptsAreClearedAndYoungOnesStay() {
        UUID stillroom = TestHouse.at(port).person("Old keys").stillroom();
        for (int days : new int[] {1, 89, 91, 400}) {
            sql.sql("insert into form_key (stillroom_id, key, leads_to, sent_at) values (:s, :k, '/shelf', "
                            + "timestamptz '2026-11-24 09:00Z' - (:days || ' days')::interval)")
                    .param("s", stillroom)
                    .param("k", UUID.randomUUID())
                    .param("days", days)
                    .update();
        }
        String who = "upkeep " + stillroom;
        for (int minutes : new int[] {5, 130}) {
            sql.sql("insert into sign_in_attempt (who, at) values (:w, "
                            + "timestamptz '2026-11-24 09:00Z' - (:m || ' minutes')::interval)")
                    .param("w", who)
                    .param("m", minutes)
                    .update();
        }
        assertThat(clearing.now()).isGreaterThanOrEqualTo(3);
        assertThat(sql.sql("select count(*) from form_key where stillroom_id = :s")
                        .param("s", stillroom)
                        .query(Integer.class)
                        .single())
                .isEqualTo(2);
        assertThat(sql.sql("select count(*) from sign_in_attempt where who = :w")
                        .param("w", who)
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
    }

    /** On a port of its own, for loopback; the pages' port tells nothing but whether it lives and can answer. */
    @Test
    void figuresAreToldOnAPortOfTheirOwn() throws IOException, InterruptedException {
        int free;
        try (ServerSocket socket = new ServerSocket(0)) {
            free = socket.getLocalPort();
        }
        Visitor tove = Visitor.household(port, "Upkeep");
        tove.get("/shelf");
        Metrics metrics = new Metrics(registry, free);
        metrics.start();
        try {
            String told = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + free + "/metrics"))
                                    .build(),
                            BodyHandlers.ofString())
                    .body();
            assertThat(told)
                    .contains("http_server_requests_seconds_count", "hikaricp_connections", "jvm_memory_used_bytes");
        } finally {
            metrics.stop();
        }
        assertThat(tove.get("/actuator/health/liveness").status()).isEqualTo(200);
        assertThat(tove.get("/actuator/health/readiness").status()).isEqualTo(200);
        assertThat(tove.get("/actuator/prometheus").status()).isNotEqualTo(200);
        assertThat(tove.get("/actuator/metrics").status()).isNotEqualTo(200);
    }
}
