package app.velvetcrock.web;

import app.velvetcrock.web.markup.PlainPage;
import com.google.re2j.Pattern;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says in words that the database is away. Stands outside the session filter, which is the first to fail then; its page
 * needs neither session nor database.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class DatabaseAwayFilter extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAwayFilter.class);

    /** SQLSTATE classes 08 (connection) and 57 (operator intervention, such as a shutdown), and no room for one more connection. */
    private static final Pattern LOST = Pattern.compile("08.{3}|57.{3}|53[023]00");

    /** No room on the disk, and a disk that fails. */
    private static final Pattern FULL = Pattern.compile("53100|58030");

    /** So many lines of where something broke. */
    private static final int FRAMES = 12;

    private final LastWrite wrote;

    DatabaseAwayFilter(LastWrite wrote) {
        this.wrote = wrote;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException e) {
            boolean full = isFull(e);
            if (response.isCommitted()) {
                throw e;
            }
            if (full) {
                wrote.failed();
                LOG.error("Nothing can be written: {}", rootMessage(e));
            } else if (isDatabaseAway(e)) {
                LOG.warn("The database is away: {}", rootMessage(e));
            } else {
                LOG.error("Not answered: {}", where(e));
            }
            if (EdgeFilter.isDevices(request)) {
                answerDevice(response, isDatabaseAway(e) || full);
                return;
            }
            answer(response, full ? "full" : isDatabaseAway(e) ? "away" : "broken");
        }
    }

    /** Errors are answered within another pass of the request, in which the database may be away as well. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    private static void answer(HttpServletResponse response, String page) throws IOException {
        response.reset();
        response.setHeader("Retry-After", "5");
        int status = page.equals("broken")
                ? HttpServletResponse.SC_INTERNAL_SERVER_ERROR
                : HttpServletResponse.SC_SERVICE_UNAVAILABLE;
        PlainPage.write(response, status, page);
    }

    /** A device reads no page: the same as a problem (RFC 9457). */
    private static void answerDevice(HttpServletResponse response, boolean passes) throws IOException {
        response.reset();
        response.setStatus(
                passes ? HttpServletResponse.SC_SERVICE_UNAVAILABLE : HttpServletResponse.SC_INTERNAL_SERVER_ERROR);
        response.setHeader("Retry-After", "5");
        response.setContentType("application/problem+json");
        response.getOutputStream()
                .write(
                        "{\"type\":\"about:blank\",\"status\":%d,\"detail\":\"Nothing was kept: send it again in a while.\"}"
                                .formatted(response.getStatus())
                                .getBytes(StandardCharsets.UTF_8));
    }

    /** What broke and where, without what it said: that may be what somebody typed. */
    private static String where(Throwable e) {
        StringBuilder where = new StringBuilder();
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            where.append(where.length() == 0 ? "" : "; by ")
                    .append(cause.getClass().getName());
            Arrays.stream(cause.getStackTrace()).limit(FRAMES).forEach(frame -> where.append(" < ")
                    .append(frame));
        }
        return where.toString();
    }

    static boolean isFull(@Nullable Throwable e) {
        return hasState(e, FULL);
    }

    private static boolean hasState(@Nullable Throwable e, Pattern states) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql
                    && sql.getSQLState() != null
                    && states.matcher(sql.getSQLState()).matches()) {
                return true;
            }
        }
        return false;
    }

    /** Tells by the cause: lost connections, and pools that have none to give. */
    static boolean isDatabaseAway(@Nullable Throwable e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof java.sql.SQLTransientConnectionException) {
                return true;
            }
            // A connection that breaks in mid-deed cannot even be rolled back; what it says of that has no state of its
            // own.
            if (cause instanceof CannotCreateTransactionException
                    || cause instanceof TransactionSystemException && hasState(cause, LOST)
                    || isClosed(cause)) {
                return true;
            }
        }
        return hasState(e, LOST);
    }

    private static boolean isClosed(Throwable cause) {
        return cause instanceof SQLException
                && cause.getMessage() != null
                && cause.getMessage().contains("onnection")
                && cause.getMessage().contains("closed");
    }

    private static @Nullable String rootMessage(Throwable e) {
        Throwable root = e;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        return root.getMessage();
    }
}
