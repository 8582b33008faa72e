package org.umberloom.kit;

import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.page.Markup;
import org.umberloom.core.theme.Scope;

/** Pages as they are shown or go out. */
public final class ShownPage {
    private ShownPage() {}

    /** The document of a page, which says on the root of which kind it is and which page. */
    public static Document of(String kind, String slug, String html) {
        Document document = Markup.read(html);
        Element root = document.selectFirst("html");
        root.attr(Stylesheet.attribute(Scope.Level.KIND), kind);
        root.attr(Stylesheet.attribute(Scope.Level.PAGE), slug);
        return document;
    }
}
