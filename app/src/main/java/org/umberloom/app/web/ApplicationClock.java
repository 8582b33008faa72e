package org.umberloom.app.web;

import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock, in UTC. */
@Configuration
public class ApplicationClock {
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    /** What it shows, as exactly as the database keeps it: in milliseconds. */
    public static LocalDateTime now(Clock clock) {
        return LocalDateTime.now(clock).truncatedTo(ChronoUnit.MILLIS);
    }
}
