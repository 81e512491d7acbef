package app.velvetcrock.trust;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.apache.catalina.connector.Connector;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.ConfigurableTomcatWebServerFactory;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Where this machine is served by its own certificate: one more port, in the clear, by which a phone that does not trust it yet gets the
 * authority, and whoever asks is told that the application runs. Everything else asked there is led to the other port, and nothing that
 * is sent there is taken.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class PlainDoor extends OncePerRequestFilter implements WebServerFactoryCustomizer<ConfigurableTomcatWebServerFactory> {

    private static final int FURTHEST = 65_535;
    private static final Set<String> HANDED = Set.of("/trust", "/trust/authority.crt", "/favicon.svg");
    private static final Set<String> TOLD =
            Set.of("/actuator/health", "/actuator/health/liveness", "/actuator/health/readiness");
    private static final Set<String> DRESSED = Set.of("/css/", "/fonts/", "/js/", "/vendor/");

    private final int plain;
    private final int port;
    private final String bind;

    /** @param plain the port; 0 for none */
    PlainDoor(
            @Value("${crock.plain-port}") int plain,
            @Value("${server.port}") int port,
            @Value("${server.address}") String bind) {
        if (plain < 0 || plain > FURTHEST) {
            throw new IllegalStateException("CROCK_PLAIN_PORT is %d; a port lies from 1 to 65535".formatted(plain));
        }
        this.plain = plain;
        this.port = port;
        this.bind = bind;
    }

    @Override
    public void customize(ConfigurableTomcatWebServerFactory container) {
        if (plain > 0 && container instanceof TomcatServletWebServerFactory tomcat) {
            Connector connector = new Connector();
            connector.setPort(plain);
            connector.setProperty("address", bind);
            connector.setProperty("connectionTimeout", "10000");
            connector.setProperty("maxConnections", "200");
            tomcat.addAdditionalConnectors(connector);
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (plain == 0 || request.getLocalPort() != plain || isServed(request)) {
            chain.doFilter(request, response);
        } else if (request.getMethod().equals("GET") || request.getMethod().equals("HEAD")) {
            // To the same page where it can be trusted; what was sent is not, since it went in the clear.
            response.setStatus(HttpServletResponse.SC_TEMPORARY_REDIRECT);
            response.setHeader("Location", "https://%s:%d/".formatted(host(request), port));
        } else {
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
        }
    }

    private static boolean isServed(HttpServletRequest request) {
        String path = request.getRequestURI();
        boolean asks = request.getMethod().equals("GET") || request.getMethod().equals("HEAD");
        return asks
                && (HANDED.contains(path)
                        || TOLD.contains(path)
                        || DRESSED.stream().anyMatch(path::startsWith) && !path.contains(".."));
    }

    /** By which it was asked, where that can be a name at all. */
    private static String host(HttpServletRequest request) {
        String name = String.valueOf(request.getServerName());
        boolean isName =
                !name.isEmpty() && name.chars().allMatch(c -> Character.isLetterOrDigit(c) || ".-:[]".indexOf(c) >= 0);
        return isName ? name : request.getLocalAddr();
    }
}
