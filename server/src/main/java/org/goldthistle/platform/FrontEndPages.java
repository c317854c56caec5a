package org.goldthistle.platform;

import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Every page of the front end is the same document; it reads the address itself. */
@Configuration
class FrontEndPages implements WebMvcConfigurer {

    @Override
    public void addViewControllers(ViewControllerRegistry registry) {
        registry.addViewController("/").setViewName("forward:/index.html");
        for (String page : new String[] {
            "/today",
            "/plots",
            "/review",
            "/quality",
            "/people",
            "/sign-in",
            "/welcome",
            "/drawings",
            "/drafts/**",
            "/groups/**",
            "/surveys/**"
        }) {
            registry.addViewController(page).setViewName("forward:/index.html");
        }
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        // names of built files hold a print of their content, so they never change
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(java.time.Duration.ofDays(365))
                        .cachePublic()
                        .immutable());
    }
}
