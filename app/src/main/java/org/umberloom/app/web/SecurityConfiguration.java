package org.umberloom.app.web;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.config.annotation.authentication.configuration.AuthenticationConfiguration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer.FrameOptionsConfig;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.umberloom.core.page.PagePolicy;

/** Who may ask for what, and the headers every answer carries. */
@Configuration
class SecurityConfiguration {
    private static final String POLICY = "Content-Security-Policy";
    /** Hash of the one style attribute the front end's framework writes itself: it hides its page announcer. */
    private static final String ANNOUNCER_STYLE =
            "'unsafe-hashes' 'sha256-S8qMpvofolR8Mpjy4kQvEm7m1q8clzU4dfDH0AmvZjo='";

    @Bean
    SecurityFilterChain filters(
            HttpSecurity http, SecurityContextRepository contexts, StartScripts startScripts, ProblemWriter problems)
            throws Exception {
        String applicationPolicy = "default-src 'self'; script-src 'self'" + startScripts.sources()
                + "; style-src 'self' " + ANNOUNCER_STYLE
                + "; img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; frame-src 'self'; "
                + "object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'self'";
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(HttpMethod.POST, "/api/session")
                        .permitAll()
                        .requestMatchers("/api/invitation/*", "/api/builds/**")
                        .permitAll()
                        .requestMatchers("/api/people/**")
                        .hasRole("LEAD")
                        .requestMatchers("/api/**", "/preview/**", "/fonts/own/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .securityContext(context -> context.securityContextRepository(contexts))
                .csrf(csrf -> csrf.spa())
                .exceptionHandling(errors -> errors.authenticationEntryPoint(
                                (request, response, e) -> problems.write(response, Problems.plain(401)))
                        .accessDeniedHandler((request, response, e) -> problems.write(response, Problems.plain(403))))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .headers(headers -> headers.frameOptions(FrameOptionsConfig::sameOrigin)
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(
                                policy -> policy.policy("camera=(), microphone=(), geolocation=(), payment=()"))
                        .addHeaderWriter((request, response) -> {
                            // Pictures bring a stricter one of their own.
                            if (!response.containsHeader(POLICY))
                                response.setHeader(
                                        POLICY,
                                        request.getRequestURI().startsWith("/preview/")
                                                        || request.getRequestURI()
                                                                .startsWith("/builds/")
                                                ? PagePolicy.SENT
                                                : applicationPolicy);
                        }))
                .build();
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    AuthenticationManager authenticationManager(AuthenticationConfiguration configuration) throws Exception {
        return configuration.getAuthenticationManager();
    }
}
