package org.umberloom.app.theme;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.app.account.Account;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;

/** What sites write at their own places, for a bench that looks at their pages. */
public interface WornSites {
    /**
     * A theme as some sites wear it.
     *
     * @param theme  with what is written in those sites laid over
     * @param places of their pages, by the site; a spot that is looked at is among them, also before it has its name
     */
    record Worn(ThemeDocument theme, Map<String, SitePlaces> places) {}

    /**
     * A scope that something can be written at, with what people call it.
     *
     * @param reaching all that have a say there, from wide to narrow
     */
    record Named(Scope scope, String words, List<Scope> reaching) {}

    /** What undo and redo would do in a site; empty where there is nothing; and its own style sheet. */
    record SiteRail(String site, String name, int revision, String undo, String redo, ThemeViews.OwnStyleView own) {}

    /** The theme as the sites that are looked at wear it: the very same document as long as neither changed. */
    Worn lay(Draft draft, Looking looking);

    /** The same with what is at hand of the sites, for a pointer that moves. */
    Worn layKnown(Draft draft, Looking looking);

    /** Of the sites that are looked at: each as a whole, its page kinds, its pages, and the spots that have something of their own. */
    List<Named> places(Looking looking);

    List<SiteRail> rails(Set<String> sites);

    /** A number for each theme that some site wears: another one whenever something was done to one of its sites. */
    Map<Long, Long> stamps(Collection<Long> themes);

    /**
     * What an edit of a worn theme does to a site.
     *
     * @param base   the revision of the site that was seen; none where that is not known
     * @param before the theme as it was worn
     * @param after  as it is then
     */
    record Change(String site, Optional<Integer> base, ThemeDocument before, ThemeDocument after, String label) {}

    /**
     * Stores what an edit of the worn theme changed in a site.
     *
     * @throws org.umberloom.app.web.Conflict when a value that it changes was changed since it was seen
     */
    void store(Change change, Account by);
}
