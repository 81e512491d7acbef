package app.velvetcrock.stillroom;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Limits guessing at passwords: attempts are counted in the database before the password is looked at, so that neither
 * several instances nor many guesses at once get round it.
 */
class SignInLimit extends OncePerRequestFilter {

    static final int PER_EMAIL = 8;
    private static final int PER_ADDRESS = 60;
    private static final Duration WINDOW = Duration.ofMinutes(15);

    private final JdbcClient sql;
    private final Clock clock;

    SignInLimit(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !("POST".equals(request.getMethod()) && request.getServletPath().equals("/sign-in"));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (attempt("at " + request.getRemoteAddr()) > PER_ADDRESS | attempt(byEmail(request)) > PER_EMAIL) {
            response.sendRedirect(request.getContextPath() + "/sign-in?wait");
            return;
        }
        chain.doFilter(request, response);
    }

    /** Forgets the attempts of somebody who got in. */
    void forget(HttpServletRequest request) {
        sql.sql("delete from sign_in_attempt where who = :who").param("who", byEmail(request)).update();
    }

    private int attempt(String who) {
        Instant now = clock.instant();
        Timestamp since = Timestamp.from(now.minus(WINDOW));
        sql.sql("delete from sign_in_attempt where who = :who and at < :since").param("who", who).param("since", since).update();
        sql.sql("insert into sign_in_attempt (who, at) values (:who, :at)").param("who", who).param("at", Timestamp.from(now)).update();
        return sql.sql("select count(*) from sign_in_attempt where who = :who").param("who", who).query(Integer.class).single();
    }

    private static String byEmail(HttpServletRequest request) {
        String email = request.getParameter("email");
        return "as " + (email == null ? "" : email.strip().toLowerCase(Locale.ROOT).replaceAll("\\p{Cntrl}", ""));
    }
}
