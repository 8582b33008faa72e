package org.umberloom.core.page;

import java.util.List;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * Pictures of a page that nothing is said for in words. Source: WCAG 2.2, 1.1.1 with technique H37 and failure F65. One with an
 * empty alternative is meant to be passed over (H67).
 */
public final class Alternatives {
    private Alternatives() {}

    /** Addresses of the pictures without one, in the order of the page. */
    public static List<String> missing(String html) {
        Document document = Markup.read(html);
        return document.body().select("img:not([alt]), input[type=image]:not([alt])").stream()
                .filter(picture -> !named(picture))
                .map(picture -> picture.attr("src"))
                .toList();
    }

    private static boolean named(Element picture) {
        return picture.hasAttr("aria-label") || picture.hasAttr("aria-labelledby") || picture.hasAttr("title");
    }
}
