package org.umberloom.app.theme;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.umberloom.app.looking.Combos;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;

/**
 * Graphs of the themes that are being worked on, each carried along from one revision to the next, so that only what an
 * edit reaches is computed. A process that has none at hand makes it anew.
 */
@Component
class ThemeGraphs {
    private record Key(long theme, Combination combination) {}

    private record Kept(int revision, ThemeDocument theme, ThemeGraph graph) {}

    private final Cache<Key, Kept> kept = Caffeine.newBuilder()
            .maximumWeight(AtHand.graphRows())
            .weigher((Key key, Kept one) -> 50 + one.graph.size())
            .build();

    /** The graph of a draft in a combination that names every modifier. */
    ThemeGraph of(Draft draft, Combination combination) {
        Key key = new Key(draft.id(), combination);
        Kept known = draft.id() == 0 ? null : kept.getIfPresent(key);
        if (known != null && known.theme == draft.theme()) return known.graph;
        ThemeGraph graph = known == null ? ThemeGraph.of(draft.theme(), combination) : known.graph.after(draft.theme());
        if (draft.id() == 0) return graph;
        Kept newest = kept.getIfPresent(key);
        if (newest == null || newest.revision <= draft.revision())
            kept.put(key, new Kept(draft.revision(), draft.theme(), graph));
        return graph;
    }

    /** For {@link Combos}: graphs of an edit that is only tried, computed from those of the draft it is tried on. */
    Function<Combination, ThemeGraph> probing(Draft draft, ThemeDocument probed) {
        return combination -> of(draft, combination).after(probed);
    }
}
