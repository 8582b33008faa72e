package org.umberloom.app.account;

import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.session.SessionRepository;
import org.springframework.stereotype.Component;

/**
 * Whether somebody who once showed a session is still signed in, for what stays connected longer than one request. It is
 * asked many times a second while a pointer moves, so an answer of the database holds for a moment.
 */
@Component
public class LiveSessions {
    private static final long MOMENT = Duration.ofSeconds(2).toNanos();
    private static final int MOST_KNOWN = 1_000;

    private final SessionRepository<?> sessions;
    private final Map<String, Long> seenAt = new ConcurrentHashMap<>();

    LiveSessions(SessionRepository<?> sessions) {
        this.sessions = sessions;
    }

    /** @param session its number, as the cookie's session has it */
    public boolean holds(String session) {
        long now = System.nanoTime();
        Long seen = seenAt.get(session);
        if (seen != null && now - seen < MOMENT) return true;
        if (seenAt.size() >= MOST_KNOWN) seenAt.clear();
        boolean here = sessions.findById(session) != null;
        if (here) seenAt.put(session, now);
        else seenAt.remove(session);
        return here;
    }
}
