package org.umberloom.app.theme;

import jakarta.annotation.PreDestroy;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import org.umberloom.app.account.LiveSessions;
import org.umberloom.app.account.SignedOut;

/**
 * Tells whoever has a theme open when it comes to a new revision: at once for edits of this process, and by one look into the
 * database every second for those of others, and for what is done to its sites. Each listener is compared with the newest
 * revision at every look, so nothing can be missed for longer than that. A session that ends, ends what was opened with it.
 */
@Component
class ThemeWatch {
    private static final Logger LOG = LoggerFactory.getLogger(ThemeWatch.class);
    private static final long EVERY_MS = 1_000;
    private static final int SESSIONS_EVERY = 2;
    private static final int PING_EVERY = 30;
    private static final int MOST_ASKED = 500;

    /** Somebody who has a theme open. None of its methods waits. */
    interface Listener {
        long theme();

        String session();

        /** @param revision the newest; it may be told more than once */
        void tell(int revision);

        /** @param stamp another one whenever something was done to a site that wears the theme; it may be told more than once */
        void tellSites(long stamp);

        /** Asks whether anybody is still there. */
        void ping();

        void signedOut();
    }

    private final ThemeMapper themes;
    private final WornSites sites;
    private final LiveSessions sessions;
    private final Set<Listener> listeners = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService looking = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "theme-watch");
        thread.setDaemon(true);
        return thread;
    });
    private long looks;

    @Autowired
    ThemeWatch(ThemeMapper themes, WornSites sites, LiveSessions sessions) {
        this(themes, sites, sessions, EVERY_MS);
    }

    ThemeWatch(ThemeMapper themes, WornSites sites, LiveSessions sessions, long everyMs) {
        this.themes = themes;
        this.sites = sites;
        this.sessions = sessions;
        looking.scheduleWithFixedDelay(this::look, everyMs, everyMs, TimeUnit.MILLISECONDS);
    }

    /** From now on; the newest revision is told soon, so that what was stored meanwhile is not missed. */
    void add(Listener listener) {
        listeners.add(listener);
        looking.execute(() -> tellNewest(List.of(listener)));
    }

    void remove(Listener listener) {
        listeners.remove(listener);
    }

    /** How many listen. */
    int size() {
        return listeners.size();
    }

    @TransactionalEventListener
    void changed(ThemeChanged change) {
        looking.execute(() -> listeners.stream()
                .filter(listener -> listener.theme() == change.theme())
                .forEach(listener -> listener.tell(change.revision())));
    }

    @EventListener
    void signedOut(SignedOut event) {
        looking.execute(() -> listeners.stream()
                .filter(listener -> listener.session().equals(event.session()))
                .forEach(Listener::signedOut));
    }

    private void look() {
        try {
            looks++;
            if (listeners.isEmpty()) return;
            if (looks % SESSIONS_EVERY == 0) endWithSessions();
            if (looks % PING_EVERY == 0) listeners.forEach(Listener::ping);
            tellNewest(listeners);
        } catch (RuntimeException e) {
            LOG.warn("could not look for changes of themes: {}", e.getMessage());
        }
    }

    private void tellNewest(Collection<Listener> asking) {
        List<Long> ids = asking.stream().map(Listener::theme).distinct().toList();
        Map<Long, Integer> newest = new HashMap<>();
        Map<Long, Long> stamps = new HashMap<>();
        for (int from = 0; from < ids.size(); from += MOST_ASKED) {
            List<Long> asked = ids.subList(from, Math.min(ids.size(), from + MOST_ASKED));
            themes.revisionsOf(asked).forEach(at -> newest.put(at.id(), at.revision()));
            stamps.putAll(sites.stamps(asked));
        }
        for (Listener listener : asking) {
            Integer revision = newest.get(listener.theme());
            if (revision != null) listener.tell(revision);
            listener.tellSites(stamps.getOrDefault(listener.theme(), 0L));
        }
    }

    private void endWithSessions() {
        // Who comes while the database is asked is not among those that were asked about.
        List<Listener> asked = List.copyOf(listeners);
        Set<String> holding =
                sessions.holding(asked.stream().map(Listener::session).collect(Collectors.toSet()));
        asked.stream().filter(listener -> !holding.contains(listener.session())).forEach(Listener::signedOut);
    }

    @PreDestroy
    void stop() {
        looking.shutdownNow();
    }
}
