package org.goldthistle.platform;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.lang.Nullable;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Every page of the front end is the same document; it reads the address itself, and says so where there is none. */
@Configuration
class FrontEndPages implements WebMvcConfigurer {
    private static final String STATIC = "classpath:/static/";

    /** Addresses of the server's own; what is not there is told by a problem detail. */
    private static final List<String> NOT_PAGES = List.of("api/", "actuator/", "assets/");

    @Override
    public void addViewControllers(ViewControllerRegistry registry) {
        registry.addViewController("/").setViewName("forward:/index.html");
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        // names of built files hold a print of their content, so they never change
        registry.addResourceHandler("/assets/**")
                .addResourceLocations(STATIC + "assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations(STATIC)
                .setCacheControl(CacheControl.noCache())
                .resourceChain(true)
                .addResolver(new FileOrPage());
    }

    /** A file where there is one, else the one page. */
    private static final class FileOrPage extends PathResourceResolver {
        @Override
        protected @Nullable Resource getResource(String path, Resource location) throws IOException {
            Resource file = super.getResource(path, location);
            boolean isPage = !path.contains(".") && NOT_PAGES.stream().noneMatch(path::startsWith);
            return file == null && isPage ? super.getResource("index.html", location) : file;
        }
    }
}
