package app.velvetcrock.web;

import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;
import org.thymeleaf.cache.StandardCacheManager;
import org.thymeleaf.spring6.SpringTemplateEngine;

/**
 * Keeps every expression of every template parsed. The engine's own limit of 500 is less than the templates hold, so that
 * each page threw out what the next one wanted.
 */
@Component
class TemplateCaches implements BeanPostProcessor {

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
        return bean;
    }
}
