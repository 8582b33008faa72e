package org.umberloom.core.site;

import java.util.Collections;
import java.util.Set;
import java.util.TreeSet;
import org.umberloom.core.page.Pieces;
import org.umberloom.core.token.Names;

/**
 * A piece of markup that stands on several pages of a site.
 *
 * @param name       its short name, by which placements name it
 * @param title      for people
 * @param everywhere whether every page has it, also one that is still to come
 * @param kinds      of pages that have it
 * @param html       one element, which names the piece itself
 */
public record SitePiece(String name, String title, boolean everywhere, Set<String> kinds, String html) {
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
        return new SitePiece(name, title, everywhere, kinds, other);
    }

    /** Whether it belongs on a page without anybody having put it there. */
    boolean belongsOn(SitePage page) {
        return everywhere || kinds.contains(page.kind());
    }
}
