package app.velvetcrock.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Objects;
import org.springframework.web.filter.OncePerRequestFilter;

/** Puts the limit before the sign-in, so that no password is looked at beyond it. */
class SignInFilter extends OncePerRequestFilter {

    private final SignInLimit limit;

    SignInFilter(SignInLimit limit) {
        this.limit = limit;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !("POST".equals(request.getMethod()) && request.getServletPath().equals("/sign-in"));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!limit.mayTry(email(request), request.getRemoteAddr())) {
            response.sendRedirect(request.getContextPath() + "/sign-in?wait");
            return;
        }
        chain.doFilter(request, response);
    }

    static String email(HttpServletRequest request) {
        return Objects.requireNonNullElse(request.getParameter("email"), "");
    }
}
