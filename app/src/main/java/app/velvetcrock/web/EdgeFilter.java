package app.velvetcrock.web;

import app.velvetcrock.web.body.Bodies;
import app.velvetcrock.web.markup.PlainPage;
import com.google.re2j.Pattern;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Turns away what no page here ever sends: bodies that are no form, text that cannot be decoded, and fields named as no field
 * is.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class EdgeFilter extends OncePerRequestFilter {

    /** A word, dotted words, or one of at most a hundred rows of them. */
    private static final Pattern NAME = Pattern.compile(
            "[A-Za-z_][A-Za-z0-9_-]{0,39}(?:\\[\\d{1,2}\\])?(?:\\.[A-Za-z][A-Za-z0-9]{0,29}(?:\\[\\d{1,2}\\])?){0,2}");

    private static final String SESSION = "CROCK";
    private static final Pattern SESSION_ID = Pattern.compile("[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (isDevices(request)) {
            chain.doFilter(request, response);
            return;
        }
        if (!isOfAForm(request) && !Bodies.bringsPicture(request)) {
            refuse(request, response, HttpServletResponse.SC_UNSUPPORTED_MEDIA_TYPE);
        } else if (!isReadable(request)) {
            refuse(request, response, HttpServletResponse.SC_BAD_REQUEST);
        } else {
            chain.doFilter(new OwnCookies(request), response);
        }
    }

    /** A body that cannot be read is not read once more for the page that says so. */
    private static void refuse(HttpServletRequest request, HttpServletResponse response, int status)
            throws IOException {
        if (request.getMethod().equals("GET")) {
            response.sendError(status);
        } else {
            PlainPage.write(response, status, "unread");
        }
    }

    /** A body is a form's, of one part; no page here sends another. */
    private static boolean isOfAForm(HttpServletRequest request) {
        String type = request.getContentType();
        return type == null || type.toLowerCase(Locale.ROOT).startsWith("application/x-www-form-urlencoded");
    }

    /** What devices send is no form; how much of it is read is limited where that is done. */
    static boolean isDevices(HttpServletRequest request) {
        return request.getRequestURI().startsWith(request.getContextPath() + "/api/");
    }

    /**
     * A request without session cookies that cannot be the id of a session: a made-up one is no one's, and no question for the
     * database.
     */
    private static final class OwnCookies extends HttpServletRequestWrapper {

        OwnCookies(HttpServletRequest request) {
            super(request);
        }

        @Override
        public Cookie @Nullable [] getCookies() {
            Cookie[] all = super.getCookies();
            return all == null
                    ? null
                    : Arrays.stream(all)
                            .filter(cookie -> !cookie.getName().equals(SESSION) || isId(cookie.getValue()))
                            .toArray(Cookie[]::new);
        }

        private static boolean isId(String value) {
            try {
                return SESSION_ID
                        .matcher(new String(Base64.getDecoder().decode(value), StandardCharsets.UTF_8))
                        .matches();
            } catch (IllegalArgumentException notBase64) {
                return false;
            }
        }
    }

    private static boolean isReadable(HttpServletRequest request) {
        try {
            return request.getParameterMap().keySet().stream()
                    .allMatch(name -> NAME.matcher(name).matches());
        } catch (IllegalStateException | IllegalArgumentException undecodable) {
            return false;
        }
    }
}
