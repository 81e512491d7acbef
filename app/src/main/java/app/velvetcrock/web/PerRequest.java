package app.velvetcrock.web;

import java.util.HashMap;
import java.util.Map;
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
    @SuppressWarnings("unchecked")
    public static <T> T of(String what, Object whose, Supplier<T> read) {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now)
                || !"GET".equals(now.getRequest().getMethod())) {
            return read.get();
        }
        Map<Key, Object> page =
                (Map<Key, Object>) now.getAttribute(PerRequest.class.getName(), RequestAttributes.SCOPE_REQUEST);
        if (page == null) {
            page = new HashMap<>();
            now.setAttribute(PerRequest.class.getName(), page, RequestAttributes.SCOPE_REQUEST);
        }
        Key key = new Key(what, whose);
        Object kept = page.get(key);
        if (kept == null) {
            kept = read.get();
            page.put(key, kept);
        }
        return (T) kept;
    }
}
