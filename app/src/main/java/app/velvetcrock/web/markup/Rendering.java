package app.velvetcrock.web.markup;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Collections;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;
import org.thymeleaf.cache.StandardCacheManager;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.spring6.view.ThymeleafView;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/**
 * Keeps every expression of every template parsed, and the variables of a page at hand. The engine's own limit of 500 is less
 * than the templates hold, so that each page threw out what the next one wanted; and each variable of a page was looked for
 * through every wrapper of the request, thousands of times.
 */
@Component
class Rendering implements BeanPostProcessor {

    private static final int EXPRESSIONS = 8000;
    private static final int TEMPLATES = 500;

    @Override
    public Object postProcessBeforeInitialization(Object bean, String name) {
        if (bean instanceof SpringTemplateEngine engine) {
            StandardCacheManager caches = new StandardCacheManager();
            caches.setExpressionCacheMaxSize(EXPRESSIONS);
            caches.setTemplateCacheMaxSize(TEMPLATES);
            engine.setCacheManager(caches);
        }
        if (bean instanceof ThymeleafViewResolver pages) {
            pages.setViewClass(Page.class);
        }
        return bean;
    }

    /** A page whose variables lie beside the request while it is drawn. */
    static class Page extends ThymeleafView {

        @Override
        public void render(@Nullable Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
                throws Exception {
            super.render(model, new AtHand(request), response);
        }
    }

    private static final class AtHand extends HttpServletRequestWrapper {

        private final Map<String, Object> attributes = new HashMap<>();

        AtHand(HttpServletRequest request) {
            super(request);
            Collections.list(request.getAttributeNames())
                    .forEach(name -> attributes.put(name, request.getAttribute(name)));
        }

        @Override
        public @Nullable Object getAttribute(String name) {
            return attributes.get(name);
        }

        @Override
        public Enumeration<String> getAttributeNames() {
            return Collections.enumeration(attributes.keySet());
        }

        @Override
        public void setAttribute(String name, @Nullable Object value) {
            attributes.put(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            attributes.remove(name);
        }
    }
}
