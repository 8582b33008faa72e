package org.umberloom.app.theme;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.app.looking.Combos;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.theme.Asked;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.wish.EditWords;
import org.umberloom.core.wish.Following;
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
    private final WornSites sites;
    private final FontShelf fonts;

    ThemeService(
            ThemeMapper themes,
            DraftService drafts,
            ThemeGraphs graphs,
            PictureStore pictures,
            ComputedViews views,
            PageKinds kinds,
            WornSites sites,
            FontShelf fonts) {
        this.fonts = fonts;
        this.sites = sites;
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

    /** Stores an edit in the theme's log, or in that of the site at whose places it writes. */
    ThemeViews.Bench edit(long id, EditRequest request, Account by) {
        Looking looking = Looking.at(request);
        Asked asked = following(request.asked());
        if (!looking.sites().isEmpty() && editSite(id, request, looking, asked, by)) return bench(id, looking);
        return drafts.edit(
                id,
                request.base(),
                newest ->
                        asked.in(seen(newest.theme(), views.of(newest, looking).combos())),
                next -> view(next, looking),
                by);
    }

    /** @return whether it was one that writes in a site, and is stored there */
    private boolean editSite(long id, EditRequest request, Looking looking, Asked asked, Account by) {
        Draft draft = drafts.newest(id);
        WornSites.Worn worn = sites.lay(draft, looking);
        Edit edit = asked.in(seen(
                worn.theme(),
                views.of(laid(draft, worn), looking, worn.places()).combos()));
        ThemeDocument after = edit.applyTo(worn.theme()).theme();
        if (after.ofSites().equals(worn.theme().ofSites())) return false;
        if (!after.unworn().equals(worn.theme().unworn()))
            throw new IllegalArgumentException(
                    "This would change the theme and a site at once. Nothing was changed; do one after the other.");
        Set<String> changed = new TreeSet<>();
        Map<Place.InScope, Group> before = worn.theme().ofSites();
        after.ofSites().forEach((place, tokens) -> {
            if (!tokens.equals(before.get(place))) changed.add(place.scope().site());
        });
        before.keySet().forEach(place -> {
            if (!after.ofSites().containsKey(place)) changed.add(place.scope().site());
        });
        if (changed.size() != 1)
            throw new IllegalArgumentException(
                    "This would change several sites at once. Nothing was changed; do one after the other.");
        // What is stored can be shown: its views are computed first, by a draft that is kept nowhere.
        views.of(new Draft(0, draft.revision(), after), looking, worn.places());
        String site = changed.iterator().next();
        sites.store(
                new WornSites.Change(site, request.seen(site), worn.theme(), after, EditWords.of(edit, worn.theme())),
                by);
        return true;
    }

    private static Draft laid(Draft draft, WornSites.Worn worn) {
        return new Draft(draft.id(), draft.revision(), worn.theme());
    }

    ThemeViews.Bench undo(long id, int base, Looking looking, Account by) {
        return drafts.undo(id, base, next -> view(next, looking), by);
    }

    ThemeViews.Bench redo(long id, int base, Looking looking, Account by) {
        return drafts.redo(id, base, next -> view(next, looking), by);
    }

    /** What an edit would do; nothing is stored. */
    ThemeViews.Probe probe(long id, EditRequest request) {
        Looking looking = Looking.at(request);
        Draft stored = drafts.seen(id, request.base());
        WornSites.Worn worn = sites.layKnown(stored, looking);
        Draft draft = laid(stored, worn);
        ComputedViews.Computed base = views.of(draft, looking, worn.places());
        Asked asked = request.asked();
        ThemeDocument probed = following(asked)
                .in(seen(draft.theme(), base.combos()))
                .applyTo(draft.theme())
                .theme();
        Combos combos = Combos.of(
                probed,
                looking.working(),
                looking.bays(),
                pictures.of(probed),
                base.combos().families(),
                graphs.probing(draft, probed),
                worn.places());
        ThemeViews.Instruments probedInstruments = Boolean.TRUE.equals(request.lean())
                ? ThemeViews.Instruments.lean(combos, base.combos(), base.instruments())
                : ThemeViews.Instruments.of(combos, base.combos(), base.instruments());
        return ThemeViews.Probe.between(base.instruments(), probedInstruments, result(combos, asked));
    }

    private Asked following(Asked asked) {
        return Following.of(asked, fonts.atHand());
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
        WornSites.Worn worn = sites.lay(draft, looking);
        ComputedViews.Computed known = views.of(laid(draft, worn), looking, worn.places());
        ThemeViews.StructureView structure = ThemeViews.StructureView.of(worn.theme(), scopes(draft, looking));
        return () -> new ThemeViews.Bench(
                draft.id(),
                draft.theme().name(),
                draft.theme().description(),
                draft.revision(),
                known.combos().working().key(),
                drafts.rail(draft.id(), draft.revision()),
                sites.rails(looking.sites()),
                structure,
                ThemeViews.OwnStyleView.of(draft.theme()),
                known.instruments());
    }

    /** The scopes that can be written at while that is looked at. */
    private List<WornSites.Named> scopes(Draft draft, Looking looking) {
        List<WornSites.Named> scopes = new ArrayList<>();
        for (String kind : kinds.of(draft.id())) {
            Scope scope = Scope.kind(kind);
            scopes.add(new WornSites.Named(scope, scope.words(), List.of(scope)));
        }
        scopes.addAll(sites.places(looking));
        return scopes;
    }
}
