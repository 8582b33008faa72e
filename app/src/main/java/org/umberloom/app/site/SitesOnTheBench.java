package org.umberloom.app.site;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.Looking;
import org.umberloom.app.theme.ThemeViews;
import org.umberloom.app.theme.WornSites;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.page.Spots;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdit;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.SitePart;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/** Sites laid over the theme that they wear, as a bench looks at them. */
@Component
class SitesOnTheBench implements WornSites {
    private static final int MOST_AT_HAND = 64;

    private record Key(long theme, int revision, Map<String, Integer> sites, Set<Scope> unnamed) {}

    /** A worn theme, right by the very document it was laid over. */
    private record Kept(ThemeDocument over, Worn worn) {}

    private final SiteDrafts drafts;
    private final SiteMapper mapper;
    private final WornBySites worn;
    private final Cache<Key, Kept> laid =
            Caffeine.newBuilder().maximumSize(MOST_AT_HAND).build();

    SitesOnTheBench(SiteDrafts drafts, SiteMapper mapper, WornBySites worn) {
        this.worn = worn;
        this.mapper = mapper;
        this.drafts = drafts;
    }

    @Override
    public Worn lay(Draft draft, Looking looking) {
        return lay(draft, looking, drafts(looking.sites(), drafts::newest));
    }

    @Override
    public Worn layKnown(Draft draft, Looking looking) {
        return lay(draft, looking, drafts(looking.sites(), drafts::known));
    }

    private Worn lay(Draft draft, Looking looking, Map<String, SiteDraft> sites) {
        if (sites.isEmpty()) return new Worn(draft.theme(), Map.of());
        Map<String, Integer> revisions = new TreeMap<>();
        sites.forEach((slug, site) -> revisions.put(slug, site.revision()));
        Set<Scope> unnamed = new LinkedHashSet<>();
        for (Scope scope : looking.scopes())
            if (scope.level().isSpot() && sites.containsKey(scope.site()) && !named(sites.get(scope.site()), scope))
                unnamed.add(scope);
        Key key = new Key(draft.id(), draft.revision(), revisions, unnamed);
        Kept known = laid.getIfPresent(key);
        if (known != null && known.over == draft.theme()) return known.worn;
        Map<Place.InScope, Group> written = new TreeMap<>();
        Map<String, SitePlaces> places = new LinkedHashMap<>();
        sites.forEach((slug, site) -> {
            written.putAll(site.site().written());
            places.put(slug, with(site, unnamed));
        });
        Worn dressed = new Worn(worn.of(draft.theme(), written), places);
        laid.put(key, new Kept(draft.theme(), dressed));
        return dressed;
    }

    /** Sites that are gone meanwhile have nothing to say. */
    private static Map<String, SiteDraft> drafts(Set<String> slugs, Function<String, SiteDraft> read) {
        Map<String, SiteDraft> sites = new LinkedHashMap<>();
        for (String slug : slugs)
            try {
                sites.put(slug, read.apply(slug));
            } catch (NoSuchElementException gone) {
                continue;
            }
        return sites;
    }

    private static boolean named(SiteDraft site, Scope scope) {
        return site.places().pages().stream()
                .flatMap(page -> page.spots().stream())
                .anyMatch(spot -> spot.scope().equals(scope));
    }

    /** The places of a site, with spots that are looked at before something was written for them. */
    private static SitePlaces with(SiteDraft draft, Set<Scope> unnamed) {
        SitePlaces places = draft.places();
        for (Scope scope : unnamed) {
            if (!scope.level().isSpot() || !scope.site().equals(places.site()) || named(draft, scope)) continue;
            List<SitePlaces.PagePlace> pages = new ArrayList<>();
            for (SitePlaces.PagePlace page : places.pages()) {
                List<SitePlaces.Spot> spots = new ArrayList<>(page.spots());
                // One that lies in a piece is on every page that holds the piece.
                if (Spots.pieceIn(scope.name()).isPresent() || page.page().equals(Spots.pageIn(scope.name())))
                    Spots.unnamed(scope.site(), draft.site().page(page.page()).html(), scope.name())
                            .ifPresent(spots::add);
                pages.add(new SitePlaces.PagePlace(page.page(), page.kind(), spots));
            }
            places = new SitePlaces(places.site(), pages);
        }
        return places;
    }

    @Override
    public List<Named> places(Looking looking) {
        List<Named> all = new ArrayList<>();
        drafts(looking.sites(), drafts::newest).forEach((slug, draft) -> {
            SiteDocument site = draft.site();
            all.add(new Named(Scope.site(slug), "all of " + site.name(), List.of(Scope.site(slug))));
            site.pages().stream().map(SitePage::kind).distinct().forEach(kind -> {
                Scope scope = Scope.kindIn(slug, kind);
                all.add(new Named(
                        scope, kind + " pages of " + site.name(), List.of(Scope.kind(kind), Scope.site(slug), scope)));
            });
            for (SitePage page : site.pages())
                all.add(new Named(
                        Scope.page(slug, page.slug()),
                        "“" + page.title() + "” of " + site.name(),
                        page.reaching(slug)));
            SitePlaces places = with(draft, looking.scopes());
            for (SitePlaces.PagePlace page : places.pages())
                for (SitePlaces.Spot spot : page.spots()) {
                    boolean written = site.written().keySet().stream()
                            .anyMatch(place -> place.scope().equals(spot.scope()));
                    if (written || looking.scopes().contains(spot.scope()))
                        all.add(new Named(spot.scope(), words(site, spot.scope()), places.reaching(page, spot)));
                }
        });
        return all;
    }

    /** What people call a spot: what it is and the first words in it. */
    static String words(SiteDocument site, Scope spot) {
        Optional<String> whole = Spots.wholePiece(spot.name())
                .flatMap(name -> Optional.ofNullable(site.pieces().get(name)))
                .map(one -> "the piece “" + one.title() + "”, wherever it stands");
        if (whole.isPresent()) return whole.get();
        Optional<String> piece = Spots.pieceIn(spot.name())
                .flatMap(name -> Optional.ofNullable(site.pieces().get(name)))
                .map(one -> " in the piece “" + one.title() + "”");
        return site.findPageOf(spot)
                .flatMap(page -> Spots.words(page.html(), spot.name())
                        .map(said -> said + piece.orElse(" on “" + page.title() + "”")))
                .orElse(spot.words());
    }

    @Override
    public Map<Long, Long> stamps(Collection<Long> themes) {
        Map<Long, Long> stamps = new LinkedHashMap<>();
        if (!themes.isEmpty()) mapper.stamps(themes).forEach(one -> stamps.put(one.id(), one.stamp()));
        return stamps;
    }

    @Override
    public List<SiteRail> rails(Set<String> sites) {
        List<SiteRail> rails = new ArrayList<>();
        drafts(sites, drafts::newest).forEach((slug, draft) -> {
            SiteDrafts.Stacks rail = drafts.rail(draft);
            String css = draft.site().css();
            rails.add(new SiteRail(
                    slug,
                    draft.site().name(),
                    rail.revision(),
                    rail.undo(),
                    rail.redo(),
                    new ThemeViews.OwnStyleView(css, Stylesheet.own(css))));
        });
        return rails;
    }

    /** Spots that something is written for get their names in the markup with the same edit. */
    @Override
    public void store(Change change, Account by) {
        String label = change.label();
        drafts.edit(
                change.site(),
                Optional.empty(),
                draft -> {
                    change.base().ifPresent(base -> refuseOverlap(draft, base, change));
                    SiteEdit edit = SiteEdit.between(label, draft.site(), change.after());
                    Map<String, SitePage> named = new LinkedHashMap<>();
                    for (SitePart part : edit.parts())
                        if (part instanceof SitePart.Written written
                                && written.place().scope().level().isSpot()
                                && !written.tokens().equals(Group.EMPTY)) {
                            SitePage page = draft.site().pageOf(written.place().scope());
                            SitePage last = named.getOrDefault(page.slug(), page);
                            named.put(
                                    page.slug(),
                                    last.withHtml(Spots.named(
                                            last.html(), written.place().scope().name())));
                        }
                    List<SitePart> parts = new ArrayList<>();
                    named.forEach((slug, page) -> {
                        if (!page.equals(draft.site().page(slug))) parts.add(SitePart.Page.of(page));
                    });
                    parts.addAll(edit.parts());
                    return new SiteEdit(label, parts);
                },
                by);
    }

    /** The edit was made on a state of the site that was seen; what it changes must not have been changed since. */
    private void refuseOverlap(SiteDraft draft, int base, Change change) {
        if (base >= draft.revision()) return;
        SiteDocument seen = drafts.before(draft, base);
        Map<Place.InScope, Group> before = change.before().ofSites();
        Map<Place.InScope, Group> after = change.after().ofSites();
        Set<Place.InScope> places = new LinkedHashSet<>(before.keySet());
        places.addAll(after.keySet());
        places.forEach(place -> {
            if (!place.scope().site().equals(change.site())) return;
            Group tokens = after.getOrDefault(place, Group.EMPTY);
            Group was = before.getOrDefault(place, Group.EMPTY);
            Set<TokenPath> paths = new LinkedHashSet<>(tokens.paths());
            paths.addAll(was.paths());
            for (TokenPath path : paths) {
                if (tokens.token(path).equals(was.token(path))) continue;
                Optional<Token> then =
                        seen.written().getOrDefault(place, Group.EMPTY).token(path);
                Optional<Token> now =
                        draft.site().written().getOrDefault(place, Group.EMPTY).token(path);
                if (!then.equals(now))
                    throw new Conflict(path + " at " + SiteViews.words(draft.site(), place.scope())
                            + " was changed since you read it. Your change was not saved;"
                            + " look at what is there now and decide again.");
            }
        });
    }
}
