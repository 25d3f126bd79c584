package org.squallnote.server.page;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Serves the built page: its files for good, since their names change with their content, and the page itself afresh. */
@Configuration(proxyBeanMethods = false)
public class PageConfiguration implements WebMvcConfigurer {

    /** Any address of the page is a view, or leads to the first one; which there are the page knows. */
    private static final String VIEW = "/{view:(?!(?:api|assets|error)$)[a-z][a-z-]*}";

    @Override
    public void addViewControllers(ViewControllerRegistry registry) {
        for (String path : new String[] {VIEW, VIEW + "/{*rest}"}) {
            registry.addViewController(path).setViewName("forward:/index.html");
        }
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable());
    }
}
