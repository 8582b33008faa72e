package org.umberloom.app.asset;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Reads the shipped fonts when the application has started, so that nobody waits for that. */
@Component
class FontsAhead {
    @EventListener(ApplicationReadyEvent.class)
    void read() {
        Thread ahead = new Thread(FontFiles.shipped()::facts, "fonts");
        ahead.setDaemon(true);
        ahead.setPriority(Thread.MIN_PRIORITY);
        ahead.start();
    }
}
