package org.umberloom.app.theme;

import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.looking.Combos;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.theme.Asked;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.wish.ValueWish;

/** The bench: a theme as its instruments show it, probes and edits. */
@Service
public class ThemeService {

    private final ThemeMapper themes;
    private final DraftService drafts;
    private final ThemeGraphs graphs;
    private final PictureStore pictures;
    private final ComputedViews views;
    private final PageKinds kinds;

    ThemeService(
            ThemeMapper themes,
            DraftService drafts,
            ThemeGraphs graphs,
            PictureStore pictures,
            ComputedViews views,
            PageKinds kinds) {
        this.kinds = kinds;
        this.views = views;
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
        Starter starter = Starter.ALL.stream()
                .filter(one -> one.id().equals(starterId))
                .findFirst()
                .orElseThrow(
                        () -> new IllegalArgumentException("There is no starter “" + Names.shown(starterId) + "”."));
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
        Asked asked = request.asked();
        return drafts.edit(
                id,
                request.base(),
                newest ->
                        asked.in(seen(newest.theme(), views.of(newest, looking).combos())),
                next -> view(next, looking),
                by);
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
        ComputedViews.Computed base = views.of(draft, looking);
        Asked asked = request.asked();
        ThemeDocument probed = asked.in(seen(draft.theme(), base.combos()))
                .applyTo(draft.theme())
                .theme();
        Combos combos = Combos.of(
                probed, looking.working(), looking.bays(), pictures.of(probed), graphs.probing(draft, probed));
        ThemeViews.Instruments probedInstruments = Boolean.TRUE.equals(request.lean())
                ? ThemeViews.Instruments.lean(combos, base.combos(), base.instruments())
                : ThemeViews.Instruments.of(combos, base.combos(), base.instruments());
        return ThemeViews.Probe.between(base.instruments(), probedInstruments, result(combos, asked));
    }

    private static Seen seen(ThemeDocument theme, Combos combos) {
        return new Seen(theme, combos.standard());
    }

    /** What the token that an edit names comes to: in the scheme whose context it is written into, if it is one. */
    private static String result(Combos combos, Asked asked) {
        if (!(asked instanceof ValueWish.Value wish)) return "";
        String path = wish.path().dotted();
        return combos.byScheme().values().stream()
                .filter(resolution ->
                        resolution.find(path).map(Resolved::winner).equals(wish.place()))
                .findFirst()
                .or(() -> Optional.of(combos.standard()))
                .flatMap(resolution -> resolution.find(path))
                .map(Resolved::value)
                .filter(value -> !(value instanceof TypographyValue))
                .map(CustomProperties::text)
                .orElse("");
    }

    /** Everything is computed at once; what the log says is read when it is asked for. */
    private Supplier<ThemeViews.Bench> view(Draft draft, Looking looking) {
        ComputedViews.Computed known = views.of(draft, looking);
        ThemeViews.StructureView structure = ThemeViews.StructureView.of(draft.theme(), kinds.of(draft.id()));
        return () -> new ThemeViews.Bench(
                draft.id(),
                draft.theme().name(),
                draft.theme().description(),
                draft.revision(),
                known.combos().working().key(),
                drafts.rail(draft.id(), draft.revision()),
                structure,
                known.instruments());
    }
}
