package org.umberloom.app.release;

import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks now and then whether a stage of a roll-out is due. */
@Component
class StagesInTime {
    private static final Logger LOG = LoggerFactory.getLogger(StagesInTime.class);

    private final StandingService standing;

    StagesInTime(StandingService standing) {
        this.standing = standing;
    }

    /** What fails now is tried again at the next look. */
    @Scheduled(fixedDelay = 20, initialDelay = 20, timeUnit = TimeUnit.SECONDS)
    void look() {
        try {
            standing.goOn();
        } catch (RuntimeException e) {
            LOG.warn("stages of roll-outs could not be looked at: {}", e.toString());
        }
    }
}
