package org.umberloom.core.page;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.theme.Surfaces;

/** Pages as documents: read so that they are written again as they were, with what every reader of them asks. */
public final class Markup {
    /** Names the surface that an element puts under itself. */
    static final String SURFACE = "data-surface";

    private Markup() {}

    /** A page that is written again without other spaces and lines than it has. */
    public static Document read(String html) {
        return asWritten(Jsoup.parse(html));
    }

    static Document asWritten(Document document) {
        document.outputSettings().prettyPrint(false);
        return document;
    }

    /** The surface that an element stands on: that of the nearest around it that names one, or its own. */
    static String surface(Element element) {
        Element standing = element.closest("[" + SURFACE + "]");
        return standing == null ? Surfaces.PAGE : standing.attr(SURFACE);
    }

    /** Where every element stands in the body, which itself is 0. */
    static Map<Element, Integer> places(Document document) {
        List<Element> all = document.body().getAllElements();
        Map<Element, Integer> places = new IdentityHashMap<>();
        for (int at = 0; at < all.size(); at++) places.put(all.get(at), at);
        return places;
    }
}
