package org.umberloom.app.theme;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.TypographyValue;

/** The bench: a theme as its instruments show it, probes and edits. */
@Service
public class ThemeService {
    private static final int MOST_BAYS = 8;
    /** Tokens of all views that are kept at hand, each counted for every combination. */
    private static final long TOKENS_AT_HAND = 400_000;

    private final ThemeMapper themes;
    private final DraftService drafts;
    private final ThemeGraphs graphs;
    private final PictureStore pictures;
    private final Cache<View, Computed> computed = Caffeine.newBuilder().maximumWeight(TOKENS_AT_HAND)
            .weigher((View view, Computed known) -> 100 + known.weight()).build();

    /** What a bench looks at: its working combination and those of its bays. */
    record Looking(Combination working, List<Combination> bays) {
        /** @throws IllegalArgumentException when one of the keys is none */
        static Looking at(String combo, List<String> bays) {
            return new Looking(Combination.parse(combo), bays.stream().limit(MOST_BAYS).map(Combination::parse).toList());
        }

        static Looking at(EditRequest request) {
            return at(request.comboOrDefault(), request.baysOrNone());
        }
    }

    private record View(long theme, Looking looking) {
    }

    private record Computed(int revision, Combos combos, ThemeViews.Instruments instruments) {
        int weight() {
            return combos.live().values().stream().mapToInt(resolution -> resolution.tokens().size()).sum();
        }
    }

    ThemeService(ThemeMapper themes, DraftService drafts, ThemeGraphs graphs, PictureStore pictures) {
        this.pictures = pictures;
        this.themes = themes;
        this.drafts = drafts;
        this.graphs = graphs;
    }

    /** The theme that was changed last, by its number. */
    Optional<Long> lastChanged() {
        return themes.lastChanged();
    }

    boolean exists(long id) {
        return themes.revisionOf(id).isPresent();
    }

    /** A new theme from a starter, in its own seed color or in another. */
    long create(String name, String starterId, String seed, Account by) {
        Starter starter = Starter.ALL.stream().filter(one -> one.id().equals(starterId)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no starter “" + Names.shown(starterId) + "”."));
        if (seed != null && !seed.isBlank()) {
            Color color = CssColor.parse(seed);
            if (color.alpha() < 1) throw new IllegalArgumentException("A seed color must be opaque.");
            starter = starter.withSeed(color);
        }
        return drafts.create(starter.theme(name.trim()), "started from " + starter.name(), by);
    }

    ThemeViews.Bench bench(long id, Looking looking) {
        return view(drafts.newest(id), looking).get();
    }

    ThemeViews.Bench edit(long id, EditRequest request, Account by) {
        Looking looking = Looking.at(request);
        return drafts.edit(id, request.base(), newest -> request.toEdit(newest.theme(), computed(newest, looking).combos.standard()),
                next -> view(next, looking), by);
    }

    ThemeViews.Bench undo(long id, int base, Looking looking, Account by) {
        return drafts.undo(id, base, next -> view(next, looking), by);
    }

    ThemeViews.Bench redo(long id, int base, Looking looking, Account by) {
        return drafts.redo(id, base, next -> view(next, looking), by);
    }

    /** What an edit would do; nothing is stored. */
    ThemeViews.Probe probe(long id, EditRequest request) {
        Draft draft = drafts.seen(id, request.base());
        Looking looking = Looking.at(request);
        Computed base = computed(draft, looking);
        ThemeDocument probed = request.toEdit(draft.theme(), base.combos.standard()).applyTo(draft.theme()).theme();
        Combos combos = Combos.of(probed, looking.working(), looking.bays(), pictures.of(probed), graphs.probing(draft, probed));
        ThemeViews.Instruments probedInstruments = Boolean.TRUE.equals(request.lean())
                ? ThemeViews.Instruments.lean(combos, base.combos, base.instruments)
                : ThemeViews.Instruments.of(combos, base.combos, base.instruments);
        return ThemeViews.Probe.between(base.instruments, probedInstruments, result(combos, request));
    }

    /** What the token that an edit names comes to: in the scheme whose context it is written into, if it is one. */
    private static String result(Combos combos, EditRequest request) {
        if (request.path() == null || !request.op().equals("value")) return "";
        return combos.byScheme().values().stream()
                .filter(resolution -> resolution.find(request.path()).filter(token -> token.winner().toString().equals(request.place())).isPresent())
                .findFirst().or(() -> Optional.of(combos.standard())).flatMap(resolution -> resolution.find(request.path()))
                .map(Resolved::value).filter(value -> !(value instanceof TypographyValue)).map(CustomProperties::text).orElse("");
    }

    /** Everything is computed at once; what the log says is read when it is asked for. */
    private Supplier<ThemeViews.Bench> view(Draft draft, Looking looking) {
        Computed known = computed(draft, looking);
        ThemeViews.StructureView structure = ThemeViews.StructureView.of(draft.theme());
        return () -> new ThemeViews.Bench(draft.id(), draft.theme().name(), draft.theme().description(), draft.revision(),
                known.combos.working().key(), drafts.rail(draft.id(), draft.revision()), structure, known.instruments);
    }

    /**
     * Instruments depend on the document and what is looked at, and a probe asks for the same many times a second. What is
     * known is right by the very document it was computed from, whether that was stored or not.
     */
    private Computed computed(Draft draft, Looking looking) {
        View view = new View(draft.id(), looking);
        Computed last = computed.getIfPresent(view);
        if (last != null && last.combos.theme() == draft.theme()) return last;
        Combos combos = Combos.of(draft.theme(), looking.working(), looking.bays(), pictures.of(draft.theme()),
                combination -> graphs.of(draft, combination));
        ThemeViews.Instruments instruments = last == null ? ThemeViews.Instruments.of(combos)
                : ThemeViews.Instruments.of(combos, last.combos, last.instruments);
        Computed fresh = new Computed(draft.revision(), combos, instruments);
        if (last == null || last.revision <= draft.revision()) computed.put(view, fresh);
        return fresh;
    }
}
