package app.velvetcrock.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says in words that the database is away. Stands outside the session filter, which is the first to fail then; its page
 * needs neither session nor database.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class DatabaseAwayFilter extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAwayFilter.class);

    /** SQLSTATE classes 08 (connection) and 57 (operator intervention, such as a shutdown). */
    private static final String LOST = "08|57";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException e) {
            if (!isDatabaseAway(e) || response.isCommitted()) {
                throw e;
            }
            LOG.warn("The database is away: {}", rootMessage(e));
            response.reset();
            response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
            response.setHeader("Retry-After", "5");
            response.setHeader("Content-Security-Policy", "default-src 'none'; style-src 'self'; base-uri 'none'; frame-ancestors 'none'");
            response.setContentType("text/html;charset=UTF-8");
            response.getOutputStream().write(new ClassPathResource("templates/web/away.html").getContentAsString(StandardCharsets.UTF_8)
                    .getBytes(StandardCharsets.UTF_8));
        }
    }

    /** Tells by the cause: lost connections, and pools that have none to give. */
    static boolean isDatabaseAway(@Nullable Throwable e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof java.sql.SQLTransientConnectionException) {
                return true;
            }
            if (cause instanceof SQLException sql && sql.getSQLState() != null && sql.getSQLState().substring(0, 2).matches(LOST)) {
                return true;
            }
        }
        return false;
    }

    private static @Nullable String rootMessage(Throwable e) {
        Throwable root = e;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        return root.getMessage();
    }
}
