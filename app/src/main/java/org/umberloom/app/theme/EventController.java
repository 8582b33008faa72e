package org.umberloom.app.theme;

import java.io.IOException;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Announces every new revision of a theme, by its number, to everybody who has it on the bench, as server-sent events. */
@RestController
@RequestMapping("/api/themes/{id}")
class EventController {
    /** After so long the browser connects again, so that a session that ended is noticed. */
    private static final long LONGEST_MS = 10 * 60_000L;

    private final ThemeWatch watch;
    private final Set<SseEmitter> open = ConcurrentHashMap.newKeySet();

    EventController(ThemeWatch watch) {
        this.watch = watch;
    }

    @GetMapping(value = "/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(@PathVariable long id) throws IOException {
        SseEmitter emitter = new SseEmitter(LONGEST_MS);
        Runnable stop = watch.watch(id, revision -> send(emitter, revision));
        open.add(emitter);
        emitter.onCompletion(() -> {
            open.remove(emitter);
            stop.run();
        });
        emitter.onTimeout(emitter::complete);
        emitter.send(SseEmitter.event().comment("watching"));
        return emitter;
    }

    private static void send(SseEmitter emitter, int revision) {
        try {
            emitter.send(SseEmitter.event().name("revision").data(Integer.toString(revision)));
        } catch (IOException | IllegalStateException gone) {
            emitter.completeWithError(gone);
        }
    }

    /** Open answers would hold up the end of the application. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        open.forEach(SseEmitter::complete);
    }
}
