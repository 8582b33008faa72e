package org.umberloom.app.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Whether somebody who once showed a session is still signed in, for what stays connected longer than one request. It is
 * asked many times a second while a pointer moves, so an answer of the database holds for a moment.
 */
@Component
public class LiveSessions {
    private static final Duration MOMENT = Duration.ofSeconds(3);
    private static final int MOST_KNOWN = 10_000;
    private static final int MOST_ASKED = 500;

    private final SessionMapper sessions;
    private final Clock clock;
    private final Cache<String, Boolean> seen = Caffeine.newBuilder()
            .expireAfterWrite(MOMENT)
            .maximumSize(MOST_KNOWN)
            .build();

    LiveSessions(SessionMapper sessions, Clock clock) {
        this.sessions = sessions;
        this.clock = clock;
    }

    /** @param session its number, as the cookie's session has it */
    public boolean holds(String session) {
        return seen.getIfPresent(session) != null || holding(Set.of(session)).contains(session);
    }

    /** Those of them that hold, asked of the database anew. */
    public Set<String> holding(Collection<String> asked) {
        List<String> ids = List.copyOf(asked);
        Set<String> holding = new HashSet<>();
        for (int from = 0; from < ids.size(); from += MOST_ASKED)
            holding.addAll(
                    sessions.holding(ids.subList(from, Math.min(ids.size(), from + MOST_ASKED)), clock.millis()));
        ids.forEach(id -> {
            if (holding.contains(id)) seen.put(id, true);
            else seen.invalidate(id);
        });
        return holding;
    }

    @EventListener
    void forget(SignedOut event) {
        seen.invalidate(event.session());
    }
}
