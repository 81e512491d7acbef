package app.velvetcrock.web;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.ResourceUrlProvider;
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
