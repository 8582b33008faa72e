package org.umberloom.app.site;

import java.util.List;
import org.jsoup.nodes.Document;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.kit.ShownPage;

/** A page that is shown: a whole HTML document that names its stylesheet {@code theme.css}. */
public record Page(String slug, String title, String kind, String html) {
    static Page of(SitePage page) {
        return new Page(page.slug(), page.title(), page.kind(), page.html());
    }

    /** Its document, which says on the root of which kind it is and which page. */
    public Document document() {
        return ShownPage.of(kind, slug, html);
    }

    /** The scopes that reach it as a page of a site, from wide to narrow; a built-in page is of none. */
    public List<Scope> scopes(String site) {
        return Specimens.isOne(site) ? List.of(Scope.kind(kind)) : SitePlaces.reaching(site, slug, kind);
    }
}
