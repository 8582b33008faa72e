package org.umberloom.app.site;

import java.util.List;
import java.util.Map;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.Strays;

/** What is counted of a site when it is stored; what its own style sheet reaches is worked out once for both. */
record SiteCounts(SiteFacts facts, SiteUses uses) {
    static SiteCounts of(SiteDocument site) {
        Map<Integer, List<Strays.Stray>> sheet = Strays.ofSheet(site);
        return new SiteCounts(SiteFacts.of(site, Strays.in(site, sheet)), SiteUses.of(site, sheet));
    }
}
