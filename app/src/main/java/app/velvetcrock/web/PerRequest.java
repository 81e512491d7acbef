package app.velvetcrock.web;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Keeps what a page asks again and again for as long as that page is being made. A form reads everything anew: it locks,
 * and what it reads after the lock must be what holds then.
 */
public final class PerRequest {

    private PerRequest() {}

    private record Key(String what, Object whose) {}

    /** What was read of somebody's for this page before, else what is read now. */
    public static <T> T of(String what, Object whose, Supplier<T> read) {
        return PerRequest.<T>kept(what, whose).orElseGet(() -> {
            T now = read.get();
            keep(what, whose, now);
            return now;
        });
    }

    /** What was read of somebody's for this page before. */
    @SuppressWarnings("unchecked")
    public static <T> Optional<T> kept(String what, Object whose) {
        return page().map(page -> (T) page.get(new Key(what, whose)));
    }

    /** Keeps what was read together with others, for whoever asks for it alone. */
    public static void keep(String what, Object whose, Object read) {
        page().ifPresent(page -> page.put(new Key(what, whose), read));
    }

    /** Tells whether anything is kept: while a page is made. */
    public static boolean keeps() {
        return page().isPresent();
    }

    @SuppressWarnings("unchecked")
    private static Optional<Map<Key, Object>> page() {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now)
                || !"GET".equals(now.getRequest().getMethod())) {
            return Optional.empty();
        }
        Map<Key, Object> page =
                (Map<Key, Object>) now.getAttribute(PerRequest.class.getName(), RequestAttributes.SCOPE_REQUEST);
        if (page == null) {
            page = new HashMap<>();
            now.setAttribute(PerRequest.class.getName(), page, RequestAttributes.SCOPE_REQUEST);
        }
        return Optional.of(page);
    }
}
