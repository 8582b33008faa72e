package org.umberloom.app.site;

import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.theme.Scope;

/** A page of a site: a whole HTML document that names its stylesheet {@code theme.css}. */
public record Page(String slug, String title, String kind, String html) {
    /** Its document, which says on the root of which kind it is. */
    public Document document() {
        Document document = Jsoup.parse(html);
        document.outputSettings().prettyPrint(false);
        document.selectFirst("html").attr(Stylesheet.attribute(Scope.Level.KIND), kind);
        return document;
    }

    Scope scope() {
        return Scope.kind(kind);
    }
}
