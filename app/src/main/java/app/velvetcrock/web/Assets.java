package app.velvetcrock.web;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.EncodedResourceResolver;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.ResourceUrlProvider;
import org.springframework.web.servlet.resource.VersionResourceResolver;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/** The addresses of styles and scripts, each with a hash of what is in it; pages name them by this and leave every other link as it is. */
@Component
public class Assets {

    private final ResourceUrlProvider urls;
    private final Map<String, String> found = new ConcurrentHashMap<>();

    Assets(ResourceUrlProvider urls) {
        this.urls = urls;
    }

    /** The address a browser may keep for good, since it changes with what is there. */
    public String at(String path) {
        return found.computeIfAbsent(
                path, plain -> Optional.ofNullable(urls.getForLookupPath(plain)).orElse(plain));
    }

    /**
     * What carries a hash of itself in its address is kept for good; asked for by another hash than its own it is not there, so that
     * a page of one release never runs with the scripts of another.
     */
    @Configuration
    static class ForGood implements WebMvcConfigurer {

        private static final Duration A_YEAR = Duration.ofDays(365);

        @Override
        public void addResourceHandlers(ResourceHandlerRegistry registry) {
            for (String kind : List.of("css", "js")) {
                registry.addResourceHandler("/%s/{file:.+-[0-9a-f]{32}[.][a-z]+}".formatted(kind))
                        .addResourceLocations("classpath:/static/%s/".formatted(kind))
                        .setCacheControl(
                                CacheControl.maxAge(A_YEAR).cachePublic().immutable())
                        .resourceChain(true)
                        .addResolver(new EncodedResourceResolver())
                        .addResolver(new VersionResourceResolver().addContentVersionStrategy("/**"));
            }
        }
    }

    /** Looks up no link among the resources: one in five of a page's milliseconds went into looking for pages there. */
    @Configuration
    static class Links {

        /** Every template knows them, that of an error page too, which is given no model. */
        Links(ThymeleafViewResolver pages, Assets assets) {
            pages.addStaticVariable("assets", assets);
        }

        @Bean
        static FilterRegistrationBean<ResourceUrlEncodingFilter> linksStayAsTheyAre() {
            FilterRegistrationBean<ResourceUrlEncodingFilter> filter =
                    new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
            filter.setEnabled(false);
            return filter;
        }
    }
}
