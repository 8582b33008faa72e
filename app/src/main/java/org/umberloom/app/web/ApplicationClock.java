package org.umberloom.app.web;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock, in UTC. */
@Configuration
class ApplicationClock {
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
