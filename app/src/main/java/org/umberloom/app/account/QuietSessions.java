package org.umberloom.app.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Probes come many times a second and change nothing, so they do not write the time of their session's last use. The
 * edit that follows does.
 */
@Configuration
class QuietSessions {
    private static final ThreadLocal<Boolean> PROBING = ThreadLocal.withInitial(() -> false);

    @Bean
    FilterRegistrationBean<OncePerRequestFilter> markProbes() {
        FilterRegistrationBean<OncePerRequestFilter> registration = new FilterRegistrationBean<>(new OncePerRequestFilter() {
            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                PROBING.set(request.getRequestURI().endsWith("/probe"));
                try {
                    chain.doFilter(request, response);
                } finally {
                    PROBING.remove();
                }
            }
        });
        registration.setOrder(Ordered.HIGHEST_PRECEDENCE);
        return registration;
    }

    @Bean
    static BeanPostProcessor quietSessionRepository() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof JdbcIndexedSessionRepository stored ? new Quiet<>(stored) : bean;
            }
        };
    }

    /** Probes find a session again for a moment without asking the database; everything else asks it every time. */
    private static final class Quiet<S extends Session> implements SessionRepository<Session> {
        private static final long MOMENT = Duration.ofSeconds(2).toNanos();
        private static final int MOST_SEEN = 1_000;

        private record Seen(Session session, long at) {
        }

        private final SessionRepository<S> stored;
        private final Map<String, Seen> seen = new ConcurrentHashMap<>();

        Quiet(SessionRepository<S> stored) {
            this.stored = stored;
        }

        @Override
        public Session createSession() {
            return stored.createSession();
        }

        @Override
        @SuppressWarnings("unchecked")
        public void save(Session session) {
            if (!PROBING.get()) stored.save((S) session);
        }

        @Override
        public Session findById(String id) {
            if (!PROBING.get()) return stored.findById(id);
            Seen known = seen.get(id);
            if (known != null && System.nanoTime() - known.at < MOMENT) return known.session;
            if (seen.size() >= MOST_SEEN) seen.clear();
            Session session = stored.findById(id);
            if (session == null) seen.remove(id);
            else seen.put(id, new Seen(session, System.nanoTime()));
            return session;
        }

        @Override
        public void deleteById(String id) {
            seen.remove(id);
            stored.deleteById(id);
        }
    }
}
