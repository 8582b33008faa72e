package org.umberloom.app.theme;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.app.looking.Combos;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.core.font.Families;
import org.umberloom.core.theme.SitePlaces;

/**
 * The instruments of the themes that are being looked at. They depend on the document and on what is looked at, and a probe asks
 * for the same many times a second. What is known is right by the very document it was computed from, whether that was stored
 * or not, as long as the same fonts are at hand; for a later document what stayed is taken over.
 */
@Component
class ComputedViews {
    private record View(long theme, Looking looking) {}

    record Computed(int revision, Combos combos, ThemeViews.Instruments instruments) {
        private int weight() {
            return combos.live().values().stream()
                    .mapToInt(resolution -> resolution.tokens().size())
                    .sum();
        }
    }

    private final ThemeGraphs graphs;
    private final PictureStore pictures;
    private final Supplier<? extends Families> fonts;
    private final Cache<View, Computed> known = Caffeine.newBuilder()
            .maximumWeight(AtHand.viewTokens())
            .weigher((View view, Computed one) -> 100 + one.weight())
            .build();

    @Autowired
    ComputedViews(ThemeGraphs graphs, PictureStore pictures, FontShelf fonts) {
        this(graphs, pictures, fonts::atHand);
    }

    ComputedViews(ThemeGraphs graphs, PictureStore pictures, Supplier<? extends Families> fonts) {
        this.fonts = fonts;
        this.graphs = graphs;
        this.pictures = pictures;
    }

    Computed of(Draft draft, Looking wanted) {
        return of(draft, wanted, Map.of());
    }

    /** The same of a theme as sites wear it. @param places of their pages */
    Computed of(Draft draft, Looking wanted, Map<String, SitePlaces> places) {
        Looking looking = wanted.in(draft.theme());
        View view = new View(draft.id(), looking);
        Families families = fonts.get();
        Computed last = known.getIfPresent(view);
        if (last != null && last.combos.families() != families) last = null;
        if (last != null && last.combos.theme() == draft.theme()) return last;
        Combos combos = Combos.of(
                draft.theme(),
                looking.working(),
                looking.bays(),
                pictures.of(draft.theme()),
                families,
                combination -> graphs.of(draft, combination),
                places);
        ThemeViews.Instruments instruments = last == null
                ? ThemeViews.Instruments.of(combos)
                : ThemeViews.Instruments.of(combos, last.combos, last.instruments);
        Computed fresh = new Computed(draft.revision(), combos, instruments);
        if (draft.id() != 0 && (last == null || last.revision <= draft.revision())) known.put(view, fresh);
        return fresh;
    }
}
