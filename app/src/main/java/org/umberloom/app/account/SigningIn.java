package org.umberloom.app.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;

/** How passwords are hashed, and sessions kept. */
@Configuration
@EnableJdbcHttpSession(maxInactiveIntervalInSeconds = SigningIn.TWELVE_HOURS, cleanupCron = "0 */15 * * * *")
class SigningIn {
    static final int TWELVE_HOURS = 12 * 3_600;

    /** Its sessions are handed through as they are, so their very class does not matter. */
    @Bean
    @Primary
    @SuppressWarnings("unchecked")
    SessionRepository<Session> sessions(JdbcIndexedSessionRepository kept) {
        return new PatientSessions<>((SessionRepository<Session>) (SessionRepository<?>) kept);
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return new HashingLane(new BCryptPasswordEncoder());
    }
}
