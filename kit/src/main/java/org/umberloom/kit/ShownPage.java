package org.umberloom.kit;

import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.page.Markup;
import org.umberloom.core.page.WideTables;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;

/** Pages as they are shown or go out. */
public final class ShownPage {
    private ShownPage() {}

    /** The document of a page, which says on the root of which kind it is and which page. */
    public static Document of(String kind, String slug, String html) {
        Document document = Markup.read(html);
        Element root = document.selectFirst("html");
        root.attr(Stylesheet.attribute(Scope.Level.KIND), kind);
        root.attr(Stylesheet.attribute(Scope.Level.PAGE), slug);
        WideTables.on(document);
        return document;
    }

    /**
     * The same of a site's page as readers see it: in the look, density and scheme that the site chose.
     *
     * @param theme as the site uses it
     */
    public static Document of(SitePage page, SiteDocument site, ThemeDocument theme) {
        Document document = of(page.kind(), page.slug(), page.html());
        SiteLook.onPages(theme, site).forEach((modifier, context) -> document.selectFirst("html")
                .attr(Stylesheet.attribute(modifier), context));
        return document;
    }
}
