package org.umberloom.app.site;

import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.theme.SitePlaces;

/**
 * A site's document at a revision.
 *
 * @param places of its pages, read once
 */
public record SiteDraft(long id, long themeId, int revision, SiteDocument site, SitePlaces places) {
    SiteDraft(long id, long themeId, int revision, SiteDocument site) {
        this(id, themeId, revision, site, site.places());
    }

    /** About how many letters it holds. */
    int weight() {
        int tokens = site.written().values().stream()
                .mapToInt(tree -> tree.tokenCount())
                .sum();
        return 500
                + 500 * tokens
                + 2
                        * site.pages().stream()
                                .mapToInt(page -> page.html().length())
                                .sum();
    }
}
