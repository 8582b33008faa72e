package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The places of one site's pages, as far as whoever lays values over them has to know.
 *
 * @param site its short name
 */
public record SitePlaces(String site, List<PagePlace> pages) {
    /** A page, with the spots on it that have names, each after those it lies in. */
    public record PagePlace(String page, String kind, List<Spot> spots) {
        public PagePlace {
            spots = List.copyOf(spots);
        }
    }

    /**
     * A section or an element with a name.
     *
     * @param scope    its own
     * @param piece    the piece as a whole, where it is a placement of one with a name of its own
     * @param within   the spots it lies in, from wide to narrow
     * @param surface  the surface it stands on by its markup
     * @param names    whether it names that surface itself
     * @param stands   the choice by which a theme puts it on another; empty where none does
     * @param itself   whether it is what that choice is about, rather than something in it
     * @param surfaces named by what lies in it
     * @param standing the choices by which a theme puts what lies in it on others
     * @param needs    what its elements ask of rules, as in {@code PageUse}
     * @param handed   what it takes from around it without a rule of its own: readings by the CSS properties that take them. A
     *                 value written for the spot is taken there only if that is said anew
     */
    public record Spot(
            Scope scope,
            Optional<Scope> piece,
            List<Scope> within,
            String surface,
            boolean names,
            String stands,
            boolean itself,
            Set<String> surfaces,
            Set<String> standing,
            Set<String> needs,
            Map<String, String> handed) {
        /** Whether a theme writes something for it, or for the piece that it is a placement of. */
        public boolean writtenIn(ThemeDocument theme) {
            return theme.writesAt(scope) || piece.filter(theme::writesAt).isPresent();
        }

        public Spot {
            within = List.copyOf(within);
            surfaces = Set.copyOf(surfaces);
            standing = Set.copyOf(standing);
            needs = Set.copyOf(needs);
            handed = Map.copyOf(handed);
        }
    }

    public SitePlaces {
        pages = List.copyOf(pages);
    }

    /** The scopes that reach a page as a whole, from wide to narrow. */
    public List<Scope> reaching(PagePlace page) {
        return reaching(site, page.page, page.kind);
    }

    /** The scopes that reach a page of a site as a whole, from wide to narrow. */
    public static List<Scope> reaching(String site, String page, String kind) {
        return List.of(Scope.kind(kind), Scope.site(site), Scope.kindIn(site, kind), Scope.page(site, page));
    }

    /** The scopes that reach a spot, from wide to narrow. */
    public List<Scope> reaching(PagePlace page, Spot spot) {
        List<Scope> chain = around(page, spot);
        spot.piece.ifPresent(chain::add);
        chain.add(spot.scope);
        return chain;
    }

    /** The scopes that reach what a spot lies in, from wide to narrow. */
    public List<Scope> around(PagePlace page, Spot spot) {
        List<Scope> chain = new ArrayList<>(reaching(page));
        chain.addAll(spot.within);
        return chain;
    }
}
