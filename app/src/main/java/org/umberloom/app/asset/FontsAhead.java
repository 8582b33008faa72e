package org.umberloom.app.asset;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Reads the fonts when the application has started, so that nobody waits for that. */
@Component
class FontsAhead {
    private final FontShelf shelf;

    FontsAhead(FontShelf shelf) {
        this.shelf = shelf;
    }

    @EventListener(ApplicationReadyEvent.class)
    void read() {
        Thread ahead = new Thread(() -> shelf.atHand().facts(), "fonts");
        ahead.setDaemon(true);
        ahead.setPriority(Thread.MIN_PRIORITY);
        ahead.start();
    }
}
