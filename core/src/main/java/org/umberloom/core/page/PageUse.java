package org.umberloom.core.page;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;

/**
 * What pages consist of, as far as rules ask for it.
 *
 * @param needs    element names, and attributes as {@code [data-part]} and {@code [data-part=card]}
 * @param surfaces names of the surfaces that sections stand on
 */
public record PageUse(Set<String> needs, Set<String> surfaces) {
    public static PageUse of(List<String> pages) {
        Set<String> needs = new LinkedHashSet<>();
        Set<String> surfaces = new LinkedHashSet<>();
        for (String html : pages)
            for (Element element : Jsoup.parse(html).getAllElements()) {
                Spots.need(element, needs);
                if (element.hasAttr(Markup.SURFACE)) surfaces.add(element.attr(Markup.SURFACE));
            }
        return new PageUse(needs, surfaces);
    }
}
