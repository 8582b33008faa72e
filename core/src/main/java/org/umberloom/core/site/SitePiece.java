package org.umberloom.core.site;

import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.umberloom.core.page.Pieces;
import org.umberloom.core.theme.SharedPiece;
import org.umberloom.core.token.Names;

/**
 * A piece of markup that stands on several pages of a site.
 *
 * @param name       its short name, by which placements name it
 * @param title      for people
 * @param everywhere whether every page has it, also one that is still to come
 * @param kinds      of pages that have it
 * @param ofTheme    whether it is the theme's, and so one for all sites that wear it
 * @param html       one element, which names the piece itself
 */
public record SitePiece(
        String name, String title, boolean everywhere, Set<String> kinds, boolean ofTheme, String html) {
    /** @throws IllegalArgumentException for names that are none, or markup that is no placement of this piece */
    public SitePiece {
        SitePage.slug(name);
        Names.checked("A piece", title);
        kinds = Collections.unmodifiableSet(new TreeSet<>(kinds));
        kinds.forEach(kind -> Names.checked("A page kind", kind));
        if (!html.equals(Pieces.of(html).get(name)))
            throw new IllegalArgumentException(
                    "The markup of the piece “" + title + "” is not one element of that name.");
    }

    SitePiece withHtml(String other) {
        return new SitePiece(name, title, everywhere, kinds, ofTheme, other);
    }

    SitePiece ofTheme(boolean other) {
        return new SitePiece(name, title, everywhere, kinds, other, html);
    }

    /** As the theme holds it. */
    public SharedPiece shared() {
        return new SharedPiece(title, everywhere, List.copyOf(kinds), html);
    }

    /** Whether it belongs on a page without anybody having put it there. */
    boolean belongsOn(SitePage page) {
        return everywhere || kinds.contains(page.kind());
    }
}
