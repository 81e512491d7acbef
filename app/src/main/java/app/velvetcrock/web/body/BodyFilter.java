package app.velvetcrock.web.body;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Reads a body whole before session, sign-in and form token are asked for, and lets no thread wait for it: whoever sends half of
 * one keeps nobody else from being answered. What is whole goes through the filters as if it had just come.
 *
 * <p>A body has a few seconds in all, however many bytes trickle in meanwhile. Beyond a number of unfinished ones of one address,
 * or of everybody, it has a moment only: one that is sent in one go needs no more, and is never refused for what others do.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyFilter extends OncePerRequestFilter {

    /** A form of somebody who is not signed in: an address, a password, a name, how a household measures. */
    private static final int MOST_UNSIGNED = 16_384;

    /** A form; far more than the longest of them says. */
    private static final int MOST_SIGNED = 65_536;

    /** A file pasted into its form, and what a device gathered. */
    private static final int MOST_UPLOADED = 262_144;

    /** A picture, which the device made small before. */
    private static final int MOST_OF_PICTURE = 4_194_304;

    private static final String SESSION = "CROCK";
    private static final List<String> UPLOADS =
            List.of("/bench/recipes/import", "/settings/probes/file", "/labels/look/picture");

    /** Of people who are not signed in, as far as anybody can tell who has not asked; five seconds in all. */
    private final Unfinished unsigned = new Unfinished(8, 40, Duration.ofSeconds(4));

    /** Of the others; a file over a thin line takes its time. */
    private final Unfinished signed = new Unfinished(32, 400, Duration.ofSeconds(30));

    /** Of pictures, each of which may be large: a phone at the end of a thin line takes its time, many at once do not. */
    private final Unfinished pictures = new Unfinished(4, 12, Duration.ofSeconds(60));

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getAttribute(Incoming.WHOLE) instanceof byte[] body) {
            chain.doFilter(new WholeRequest(request, body), response);
        } else if (request.getDispatcherType() != DispatcherType.REQUEST || !hasBody(request)) {
            chain.doFilter(request, response);
        } else {
            read(request, response);
        }
    }

    /** Once a body is whole its request comes by a second time. */
    @Override
    protected boolean shouldNotFilterAsyncDispatch() {
        return false;
    }

    private void read(HttpServletRequest request, HttpServletResponse response) throws IOException {
        boolean isSigned = isSigned(request);
        int most = most(request, isSigned);
        if (request.getContentLengthLong() > most) {
            Incoming.refuse(request, response, HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
            return;
        }
        Unfinished.Place place =
                (!isSigned ? unsigned : Bodies.isForPictures(request) ? pictures : signed).of(request.getRemoteAddr());
        AsyncContext later = request.startAsync(request, response);
        later.setTimeout(place.patience().toMillis());
        Incoming incoming = new Incoming(later, most, place);
        later.addListener(incoming);
        request.getInputStream().setReadListener(incoming);
    }

    private static boolean hasBody(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
    }

    private static int most(HttpServletRequest request, boolean signed) {
        return !signed
                ? MOST_UNSIGNED
                : Bodies.isForPictures(request)
                        ? MOST_OF_PICTURE
                        : isDevices(request) || UPLOADS.stream().anyMatch(request.getRequestURI()::endsWith)
                                ? MOST_UPLOADED
                                : MOST_SIGNED;
    }

    /** Whether it carries what somebody signed in carries; that it is right is asked once the body is there. */
    private static boolean isSigned(HttpServletRequest request) {
        Cookie[] cookies = request.getCookies();
        return isDevices(request)
                ? request.getHeader("Authorization") != null
                : cookies != null
                        && Arrays.stream(cookies)
                                .anyMatch(cookie -> cookie.getName().equals(SESSION));
    }

    static boolean isDevices(HttpServletRequest request) {
        return request.getRequestURI().startsWith(request.getContextPath() + "/api/");
    }
}
