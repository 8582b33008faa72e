package org.umberloom.app.theme;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * When the application has started, asks for probes that nobody sees, of the theme that was changed last. Their code is
 * then loaded and compiled before a pointer first moves, which would wait half a second for it. Nothing is stored.
 */
@Component
class FirstProbes {
    private static final Logger LOG = LoggerFactory.getLogger(FirstProbes.class);
    /** After so many the compiler has seen enough of them. */
    private static final int PROBES = 300;

    private final ThemeService themes;
    private final LiveProbes line;
    private final JsonMapper json;
    private volatile boolean closed;

    FirstProbes(ThemeService themes, LiveProbes line, JsonMapper json) {
        this.themes = themes;
        this.line = line;
        this.json = json;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        Thread thread = new Thread(this::ask, "first-probes");
        thread.setDaemon(true);
        thread.start();
    }

    @EventListener(ContextClosedEvent.class)
    void end() {
        closed = true;
    }

    /** Nobody waits for it, so nothing that goes wrong in it may show; who drags will meet it and be told. */
    void ask() {
        try {
            themes.lastChanged().ifPresent(this::askOf);
        } catch (RuntimeException e) {
            LOG.debug("the first probes were not all answered", e);
        }
    }

    private void askOf(long theme) {
        ThemeViews.Bench bench = themes.bench(theme, Looking.at("", List.of()));
        bench.instruments().color().hues().stream().findFirst().ifPresent(hue -> {
            for (int i = 0; i < PROBES && !closed; i++) {
                String color = String.format(
                        Locale.ROOT,
                        "oklch(%.3f %.3f %.1f)",
                        hue.seed().lightness(),
                        hue.seed().chroma(),
                        i * 360.0 / PROBES);
                Map<String, Object> edit = Map.of(
                        "op", "value", "place", hue.place(), "path", hue.seed().path(), "text", color);
                json.writeValueAsBytes(line.probe(
                        theme, json.writeValueAsString(Map.of("base", bench.revision(), "lean", true, "edit", edit))));
            }
        });
    }
}
