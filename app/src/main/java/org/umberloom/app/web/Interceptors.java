package org.umberloom.app.web;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What looks at every request before its controller does. */
@Configuration
class Interceptors implements WebMvcConfigurer {
    private final RequestsDone done;

    Interceptors(RequestsDone done) {
        this.done = done;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(done).addPathPatterns("/api/**");
    }
}
