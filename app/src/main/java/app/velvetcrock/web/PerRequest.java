package app.velvetcrock.web;

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

    /**
     * What was read for this page before, else what is read now.
     *
     * @param key says what it is, and whose
     */
    @SuppressWarnings("unchecked")
    public static <T> T of(String key, Supplier<T> read) {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now)
                || !"GET".equals(now.getRequest().getMethod())) {
            return read.get();
        }
        String name = PerRequest.class.getName() + " " + key;
        Object kept = now.getAttribute(name, RequestAttributes.SCOPE_REQUEST);
        if (kept == null) {
            kept = read.get();
            now.setAttribute(name, kept, RequestAttributes.SCOPE_REQUEST);
        }
        return (T) kept;
    }
}
