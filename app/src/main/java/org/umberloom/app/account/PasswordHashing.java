package org.umberloom.app.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** How passwords are hashed. */
@Configuration
class PasswordHashing {
    @Bean
    PasswordEncoder passwordEncoder() {
        return new HashingLane(new BCryptPasswordEncoder());
    }
}
