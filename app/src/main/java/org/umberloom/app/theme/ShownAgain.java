package org.umberloom.app.theme;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.web.HeavyWork;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.StoredText;
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

    /** Letters of texts that are kept at hand. */
    private static final long LETTERS_AT_HAND = Runtime.getRuntime().maxMemory() / 20;

    private final Cache<Long, StoredText> stored = Caffeine.newBuilder()
            .maximumWeight(LETTERS_AT_HAND)
            .weigher((Long theme, StoredText text) -> 2 * text.text().length())
            .build();
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
        String document = readAgain(draft);
        try {
            Shown card = card(draft);
            kit(draft);
            return new Proven(document, json.writeValueAsString(card));
        } catch (HeavyWork.TooLong e) {
            throw e;
        } catch (RuntimeException e) {
            LOG.error("a theme could not be shown, so it was not stored", e);
            throw new IllegalArgumentException("The theme could not be shown any more after this." + KEPT, e);
        }
    }

    private String readAgain(Draft draft) {
        try {
            StoredText known = draft.id() == 0 ? StoredText.NONE : stored.get(draft.id(), theme -> StoredText.NONE);
            StoredText next = known.next(draft.theme());
            if (draft.id() != 0) stored.put(draft.id(), next);
            return next.text();
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(e.getMessage() + KEPT, e);
        }
    }

    /** What the library shows of a draft. */
    public Shown card(Draft draft) {
        ThemeDocument theme = draft.theme();
        ThemeViews.Instruments instruments =
                views.of(draft, Looking.atDefaults()).instruments();
        ThemeViews.StructureView.of(theme, List.of());
        return new Shown(
                theme.description(),
                ThemeViews.Weave.of(instruments.color()),
                instruments.type().families().stream()
                        .map(family -> family.value().split(",")[0])
                        .distinct()
                        .toList(),
                instruments.findings().size(),
                instruments.pairs(),
                theme.combinationCount());
    }

    private void kit(Draft draft) {
        Pictures known = pictures.of(draft.theme());
        Stylesheet.compile(draft.theme(), Usage.LIVE, List.of(), known, combination -> graphs.of(draft, combination)
                .resolution());
        ThemeJson.writeFiles(draft.theme());
    }
}
