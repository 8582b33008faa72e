package org.umberloom.core.page;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;

/**
 * What pages consist of, as far as rules ask for it.
 *
 * @param needs    element names, and attributes as {@code [data-part]} and {@code [data-part=card]}
 * @param surfaces names of the surfaces that sections stand on
 * @param standing the same of what a theme can put on other surfaces, by the names of the choices
 */
public record PageUse(Set<String> needs, Set<String> surfaces, Map<String, Standing> standing) {
    /**
     * Elements that a choice of a surface is about.
     *
     * @param needs    of them, of what lies in them and of what they lie in
     * @param surfaces named by what lies in them
     * @param markedUp the surfaces that they stand on by their markup
     */
    public record Standing(Set<String> needs, Set<String> surfaces, Set<String> markedUp) {
        Standing() {
            this(new LinkedHashSet<>(), new LinkedHashSet<>(), new LinkedHashSet<>());
        }

        private void add(Element element) {
            markedUp.add(Markup.surface(element));
            for (Element around : element.parents()) Spots.need(around, needs);
            for (Element inner : element.getAllElements()) {
                Spots.need(inner, needs);
                if (inner != element && inner.hasAttr(Markup.SURFACE)) surfaces.add(inner.attr(Markup.SURFACE));
            }
        }
    }

    public static PageUse of(List<String> pages) {
        PageUse use = new PageUse(new LinkedHashSet<>(), new LinkedHashSet<>(), new LinkedHashMap<>());
        for (String html : pages)
            for (Element element : Jsoup.parse(html).getAllElements()) {
                Spots.need(element, use.needs);
                if (element.hasAttr(Markup.SURFACE)) use.surfaces.add(element.attr(Markup.SURFACE));
                StandsOn.choosing(element).ifPresent(choice -> use.standing
                        .computeIfAbsent(choice, key -> new Standing())
                        .add(element));
            }
        return use;
    }
}
