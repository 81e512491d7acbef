package app.velvetcrock.upkeep;

import com.sun.net.httpserver.HttpServer;
import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Tells what the application does in figures, in the form Prometheus reads, on a port of its own that only this machine reaches;
 * never on the port of the pages. Off unless a port is set.
 */
@Component
class Metrics implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(Metrics.class);
    private static final String FORM = "text/plain; version=0.0.4; charset=utf-8";
    private static final int OK = 200;

    private final PrometheusMeterRegistry registry;
    private final int port;
    private HttpServer server;

    @SuppressWarnings("NullAway.Init") // there from the start of the lifecycle on
    Metrics(PrometheusMeterRegistry registry, @Value("${crock.metrics-port}") int port) {
        this.registry = registry;
        this.port = port;
    }

    @Override
    public void start() {
        if (port == 0) {
            return;
        }
        try {
            server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        } catch (IOException taken) {
            LOG.error("No metrics: port {} cannot be used: {}", port, taken.getMessage());
            return;
        }
        server.createContext("/metrics", exchange -> {
            byte[] told = registry.scrape().getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("Content-Type", FORM);
            exchange.sendResponseHeaders(OK, told.length);
            try (var body = exchange.getResponseBody()) {
                body.write(told);
            }
        });
        server.start();
    }

    @Override
    public void stop() {
        if (server != null) {
            server.stop(0);
        }
    }

    @Override
    public boolean isRunning() {
        return server != null;
    }
}
