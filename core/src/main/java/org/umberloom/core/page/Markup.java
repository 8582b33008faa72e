package org.umberloom.core.page;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.internal.StringUtil;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeFilter;
import org.jsoup.select.NodeTraversor;
import org.umberloom.core.theme.Surfaces;

/** Pages as documents: read so that they are written again as they were, with what every reader of them asks. */
public final class Markup {
    /** Names the surface that an element puts under itself. */
    static final String SURFACE = "data-surface";

    /** Letters that are read for each that is wanted: between words may lie many spaces. */
    private static final int READ_FOR_WORDS = 20;

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
        Element standing = around(element, SURFACE);
        return standing == null ? Surfaces.PAGE : standing.attr(SURFACE);
    }

    /** The element itself or the nearest around it that has an attribute; null for none. */
    static Element around(Element element, String attribute) {
        Element one = element;
        while (one != null && !one.hasAttr(attribute)) one = one.parent();
        return one;
    }

    /** The first words in an element, at most so many letters and an ellipsis; what follows them is not read. */
    static String words(Element element, int most) {
        StringBuilder words = new StringBuilder();
        NodeTraversor.filter(
                (node, depth) -> {
                    if (node instanceof TextNode text) {
                        String whole = text.getWholeText();
                        words.append(whole, 0, Math.min(whole.length(), READ_FOR_WORDS * most));
                    } else if (node instanceof Element inner && inner.isBlock()) words.append(' ');
                    return words.length() > READ_FOR_WORDS * most
                            ? NodeFilter.FilterResult.STOP
                            : NodeFilter.FilterResult.CONTINUE;
                },
                element);
        String said = StringUtil.normaliseWhitespace(words.toString()).strip();
        return said.length() <= most ? said : said.substring(0, most) + "…";
    }

    /** Where every element stands in the body, which itself is 0. */
    static Map<Element, Integer> places(Document document) {
        List<Element> all = document.body().getAllElements();
        Map<Element, Integer> places = new IdentityHashMap<>();
        for (int at = 0; at < all.size(); at++) places.put(all.get(at), at);
        return places;
    }
}
