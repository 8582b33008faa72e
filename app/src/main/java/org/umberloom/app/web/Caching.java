package org.umberloom.app.web;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The files of the front end whose names change with what is in them are kept by a browser for good; it asks after all
 * others, and is told when they are what it has. Source: RFC 8246, immutable; RFC 9111, section 5.2.2.
 */
@Configuration
class Caching implements WebMvcConfigurer {
    private static final CacheControl FOR_GOOD =
            CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable();

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/_app/immutable/**")
                .addResourceLocations("classpath:/static/_app/immutable/")
                .setCacheControl(FOR_GOOD);
    }
}
