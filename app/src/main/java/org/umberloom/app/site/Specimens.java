package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import org.umberloom.core.page.Specimen;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Names;

/** The built-in pages that show every part on each surface of a theme, as a site that every theme has. */
public final class Specimens {
    /** Begins the names of built-in sites: it stands in no slug. */
    private static final String BUILT_IN = "~";

    public static final String SLUG = BUILT_IN + "specimen";
    /** Pages that show one part alone. */
    static final String PARTS = BUILT_IN + "part";

    static final String NAME = "Specimen";
    private static final String KIND = "specimen";

    private Specimens() {}

    /** Whether a name is that of built-in pages, rather than of a site. */
    static boolean isOne(String site) {
        return site.startsWith(BUILT_IN);
    }

    /** One page for each surface, the page's own first. */
    public static List<Page> of(ThemeDocument theme) {
        List<String> surfaces = surfaces(theme);
        Map<String, String> links = new LinkedHashMap<>();
        surfaces.forEach(surface -> links.put(surface, Combination.code(surface) + ".html"));
        return surfaces.stream()
                .map(surface -> new Page(
                        Combination.code(surface), "Everything on " + surface, KIND, Specimen.page(surface, links)))
                .toList();
    }

    /** One part alone. @throws NoSuchElementException when there is no such part */
    static Page part(String name, String surface) {
        return new Page(name, name, KIND, Specimen.part(name, surface));
    }

    /** @throws NoSuchElementException when the theme has no such surface */
    static Page page(ThemeDocument theme, String slug) {
        return of(theme).stream()
                .filter(page -> page.slug().equals(slug))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("The theme has no surface “" + Names.shown(slug) + "”."));
    }

    private static List<String> surfaces(ThemeDocument theme) {
        List<String> surfaces = new ArrayList<>(List.of(Surfaces.PAGE));
        for (String name : Surfaces.names(theme)) if (!surfaces.contains(name)) surfaces.add(name);
        return surfaces;
    }
}
