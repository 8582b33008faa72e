package org.umberloom.core.css;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.sheet.Selector;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;

/**
 * What the pages of a stylesheet contain. Only what is used is written.
 *
 * @param everything whether to write all rules, and what every role comes to
 * @param live       whether the rules of every value of every choice are written, for a page that says on its root what is chosen
 * @param needs      element names, and attributes as {@code [data-part]} and {@code [data-part=card]}
 * @param surfaces   names of the surfaces that sections stand on
 * @param standing   what is known of elements that a theme can put on other surfaces, by the names of the choices; nothing where
 *                   pages are not known
 * @param places     of the site that the pages are of; none for pages of any
 */
public record Usage(
        boolean everything,
        boolean live,
        Set<String> needs,
        Set<String> surfaces,
        Map<String, PageUse.Standing> standing,
        Optional<SitePlaces> places) {
    public static final Usage ALL = new Usage(true, false, Set.of(), Set.of(), Map.of(), Optional.empty());
    /** What a page is given that shows edits as they are made. */
    public static final Usage LIVE = new Usage(true, true, Set.of(), Set.of(), Map.of(), Optional.empty());

    public static Usage of(Set<String> needs, Set<String> surfaces) {
        return new Usage(false, false, Set.copyOf(needs), Set.copyOf(surfaces), Map.of(), Optional.empty());
    }

    public static Usage of(PageUse pages) {
        return new Usage(
                false,
                false,
                Set.copyOf(pages.needs()),
                Set.copyOf(pages.surfaces()),
                Map.copyOf(pages.standing()),
                Optional.empty());
    }

    /** The same for the pages of a site, with what is written at its places. */
    public Usage in(SitePlaces site) {
        return new Usage(everything, live, needs, surfaces, standing, Optional.of(site));
    }

    boolean matches(Selector selector) {
        return everything || needs.containsAll(selector.needs());
    }

    /** Whether a page stands at that scope. */
    boolean hasScope(Scope scope) {
        return everything || needs.contains(Stylesheet.need(scope));
    }

    boolean hasSurface(String surface) {
        return everything || surfaces.contains(surface);
    }
}
