package org.umberloom.app.theme;

import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.IntConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Tells watchers of a theme when it comes to a new revision: at once for edits of this process, and by looking into the
 * database every second for those of others.
 */
@Component
class ThemeWatch {
    private static final Logger LOG = LoggerFactory.getLogger(ThemeWatch.class);
    private static final long EVERY_MS = 1_000;

    private final ThemeMapper themes;
    private final Map<Long, List<IntConsumer>> watchers = new ConcurrentHashMap<>();
    private final Map<Long, Integer> told = new ConcurrentHashMap<>();
    private final ScheduledExecutorService looking = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "theme-watch");
        thread.setDaemon(true);
        return thread;
    });

    ThemeWatch(ThemeMapper themes) {
        this.themes = themes;
        looking.scheduleWithFixedDelay(() -> watchers.keySet().forEach(this::look), EVERY_MS, EVERY_MS, TimeUnit.MILLISECONDS);
    }

    /** The way to stop watching. */
    Runnable watch(long theme, IntConsumer watcher) {
        themes.revisionOf(theme).ifPresent(revision -> told.putIfAbsent(theme, revision));
        watchers.computeIfAbsent(theme, key -> new CopyOnWriteArrayList<>()).add(watcher);
        return () -> watchers.computeIfPresent(theme, (key, list) -> {
            list.remove(watcher);
            if (!list.isEmpty()) return list;
            told.remove(theme);
            return null;
        });
    }

    @TransactionalEventListener
    void changed(ThemeChanged change) {
        if (watchers.containsKey(change.theme())) looking.execute(() -> look(change.theme()));
    }

    private void look(long theme) {
        try {
            Optional<Integer> revision = themes.revisionOf(theme);
            if (revision.isEmpty() || revision.get().equals(told.put(theme, revision.get()))) return;
            watchers.getOrDefault(theme, List.of()).forEach(watcher -> watcher.accept(revision.get()));
        } catch (RuntimeException e) {
            LOG.warn("could not look for changes of theme {}: {}", theme, e.getMessage());
        }
    }

    @PreDestroy
    void stop() {
        looking.shutdownNow();
    }
}
