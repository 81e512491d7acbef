package app.velvetcrock.phone;

import app.velvetcrock.stillroom.Current;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Says of each page whose it is: of which person in which household, as a sign that says neither. The worker keeps one person's pages at a
 * time; nobody's page makes it forget them all.
 */
@Configuration
@Order(Ordered.HIGHEST_PRECEDENCE)
class WhosePage implements WebMvcConfigurer, HandlerInterceptor {

    private static final String HEADER = "Crock-Who";
    private static final String NOBODY = "nobody";

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        response.setHeader(HEADER, who());
        return true;
    }

    static String who() {
        return Current.signedIn()
                .map(person -> UUID.nameUUIDFromBytes("%s/%s"
                                .formatted(person.stillroom(), person.account())
                                .getBytes(StandardCharsets.UTF_8))
                        .toString())
                .orElse(NOBODY);
    }
}
