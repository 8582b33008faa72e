package org.umberloom.core.page;

import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * Pictures of a page that nothing is said for in words. Source: WCAG 2.2, 1.1.1 with technique H37 and failure F65. One with an
 * empty alternative is meant to be passed over (H67).
 */
public final class Alternatives {
    /** A picture without words. @param at where it stands in the body, as {@link Spots} counts */
    public record Silent(int at, String address) {}

    private Alternatives() {}

    /** Those of a page, in its order. */
    public static List<Silent> missing(String html) {
        Document document = Markup.read(html);
        Map<Element, Integer> places = Markup.places(document);
        return document.body().select("img:not([alt]), input[type=image]:not([alt])").stream()
                .filter(picture -> !named(picture))
                .map(picture -> new Silent(places.get(picture), picture.attr("src")))
                .toList();
    }

    private static boolean named(Element picture) {
        return picture.hasAttr("aria-label") || picture.hasAttr("aria-labelledby") || picture.hasAttr("title");
    }
}
