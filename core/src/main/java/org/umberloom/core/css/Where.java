package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.page.Spots;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;

/**
 * Where a block of properties holds: on all pages, on some by what their root says, or at a spot on one.
 *
 * @param reaching the scopes that have a say there, from wide to narrow
 * @param root     what is asked of the root; empty for nothing
 * @param kind     of the pages; empty for any
 * @param page     the one page; empty for any
 */
record Where(List<Scope> reaching, String root, String kind, String page, Optional<SitePlaces.Spot> spot) {
    static final Where EVERYWHERE = new Where(List.of(), "", "", "", Optional.empty());

    Where {
        reaching = List.copyOf(reaching);
    }

    /** Every place at which something is written for the pages of a style sheet, from wide to narrow. */
    static List<Where> of(ThemeDocument theme, Usage usage) {
        List<Where> all = new ArrayList<>(List.of(EVERYWHERE));
        if (usage.places().isEmpty()) {
            for (Scope scope : theme.scopesWritten())
                if (scope.ofTheme() && usage.hasScope(scope))
                    all.add(new Where(List.of(scope), Stylesheet.selector(scope), scope.name(), "", Optional.empty()));
            return all;
        }
        SitePlaces places = usage.places().get();
        Scope site = Scope.site(places.site());
        if (theme.writesAt(site)) all.add(new Where(List.of(site), "", "", "", Optional.empty()));
        Set<String> kinds = new LinkedHashSet<>();
        places.pages().forEach(page -> kinds.add(page.kind()));
        for (String kind : kinds) {
            Scope inSite = Scope.kindIn(places.site(), kind);
            if (theme.writesAt(Scope.kind(kind)) || theme.writesAt(inSite))
                all.add(new Where(
                        List.of(Scope.kind(kind), site, inSite),
                        Stylesheet.selector(Scope.kind(kind)),
                        kind,
                        "",
                        Optional.empty()));
        }
        for (SitePlaces.PagePlace page : places.pages()) {
            Scope own = Scope.page(places.site(), page.page());
            if (theme.writesAt(own))
                all.add(new Where(
                        places.reaching(page), Stylesheet.selector(own), page.kind(), page.page(), Optional.empty()));
        }
        // A spot of a piece stands on several pages, where what is around it can differ: it comes after all of that.
        Map<Scope, Integer> pages = new HashMap<>();
        for (SitePlaces.PagePlace page : places.pages())
            for (SitePlaces.Spot spot : page.spots()) pages.merge(spot.scope(), 1, Integer::sum);
        Set<Scope> before = new HashSet<>();
        for (boolean shared : new boolean[] {false, true})
            for (SitePlaces.PagePlace page : places.pages())
                for (SitePlaces.Spot spot : page.spots())
                    if (spot.writtenIn(theme) && pages.get(spot.scope()) > 1 == shared)
                        all.add(new Where(
                                places.reaching(page, spot),
                                before.add(spot.scope())
                                        ? ""
                                        : Stylesheet.selector(Scope.page(places.site(), page.page())),
                                page.kind(),
                                page.page(),
                                Optional.of(spot)));
        return all;
    }

    /** Whether it is about the same spot, be it on another page. */
    boolean sameSpot(Where other) {
        return spot.map(SitePlaces.Spot::scope).equals(other.spot.map(SitePlaces.Spot::scope));
    }

    /** Whether what is written there also reaches pages, or the spot, of another. */
    boolean covers(Where other) {
        if (spot.isPresent())
            return other.reaching.contains(spot.get().scope())
                    && (root.isEmpty() || page.equals(other.page))
                    && !other.apartFrom(spot.get().scope());
        return (kind.isEmpty() || kind.equals(other.kind)) && (page.isEmpty() || page.equals(other.page));
    }

    /** Whether it lies in a placement that has a name of its own, so that what is written for the whole piece is said there anew. */
    private boolean apartFrom(Scope piece) {
        int at = reaching.indexOf(piece) + 1;
        return Spots.wholePiece(piece.name()).isPresent()
                && at < reaching.size()
                && Spots.pieceIn(reaching.get(at).name()).isEmpty();
    }

    boolean everywhere() {
        return reaching.isEmpty();
    }

    /** The scopes that have a say right around it. */
    List<Scope> around() {
        int own = spot.flatMap(SitePlaces.Spot::piece).isPresent() ? 2 : 1;
        return reaching.isEmpty() ? reaching : reaching.subList(0, reaching.size() - own);
    }
}
