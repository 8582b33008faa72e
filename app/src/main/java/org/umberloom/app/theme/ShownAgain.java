package org.umberloom.app.theme;

import java.nio.charset.StandardCharsets;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Limits;
import org.umberloom.core.theme.ThemeDocument;
import tools.jackson.databind.json.JsonMapper;

/** Proves it by doing it: the bytes are read again, and the views of library, bench and kit are computed. */
@Component
public class ShownAgain implements Proof {
    private static final Logger LOG = LoggerFactory.getLogger(ShownAgain.class);
    private static final String KEPT = " It was not stored, and nothing was changed.";

    private final ThemeGraphs graphs;
    private final PictureStore pictures;
    private final ComputedViews views;
    private final JsonMapper json;

    ShownAgain(ThemeGraphs graphs, PictureStore pictures, ComputedViews views, JsonMapper json) {
        this.views = views;
        this.graphs = graphs;
        this.pictures = pictures;
        this.json = json;
    }

    @Override
    public Proven of(Draft draft) {
        Limits.checked(draft.theme());
        String document = readAgain(draft.theme());
        try {
            Shown card = card(draft);
            kit(draft);
            return new Proven(document, json.writeValueAsString(card));
        } catch (RuntimeException e) {
            LOG.error("a theme could not be shown, so it was not stored", e);
            throw new IllegalArgumentException("The theme could not be shown any more after this." + KEPT, e);
        }
    }

    private static String readAgain(ThemeDocument theme) {
        String document = ThemeJson.writeInline(theme);
        String stored = new String(document.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8);
        ThemeDocument again;
        try {
            again = ThemeJson.readInline(stored);
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("The theme could not be read any more after this: " + e.getMessage() + KEPT, e);
        }
        if (!again.equals(theme))
            throw new IllegalArgumentException("The theme would not be the same when it is read again." + KEPT);
        return document;
    }

    /** What the library shows of a draft. */
    public Shown card(Draft draft) {
        ThemeDocument theme = draft.theme();
        ThemeViews.Instruments instruments = views.of(draft, Looking.atDefaults()).instruments();
        ThemeViews.StructureView.of(theme);
        return new Shown(theme.description(), ThemeViews.Weave.of(instruments.color()),
                instruments.type().families().stream().map(family -> family.written().split(",")[0]).distinct().toList(),
                instruments.findings().size(), theme.combinationCount());
    }

    private void kit(Draft draft) {
        Pictures known = pictures.of(draft.theme());
        Stylesheet.compile(draft.theme(), Usage.ALL, java.util.List.of(), known, combination -> graphs.of(draft, combination).resolution());
        ThemeJson.writeFiles(draft.theme());
    }
}
