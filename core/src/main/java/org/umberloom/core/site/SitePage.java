package org.umberloom.core.site;

import java.util.List;
import java.util.regex.Pattern;
import org.umberloom.core.limit.Sizes;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.token.Names;

/**
 * A page of a site: a whole HTML document.
 *
 * @param slug  its file's name without ending, also its name within the site
 * @param title for people
 * @param kind  landing, article, listing, form and the like
 */
public record SitePage(String slug, String title, String kind, String html) {
    private static final Pattern SLUG = Pattern.compile("[a-z0-9]+(-[a-z0-9]+)*");
    private static final int LONGEST_SLUG = 80;

    /** @throws IllegalArgumentException for a name or a kind that is none, or for too much markup */
    public SitePage {
        slug(slug);
        Names.checked("A page’s title", title);
        Names.checked("A page kind", kind);
        Sizes.text("The page “" + title + "”", html);
    }

    /** @throws IllegalArgumentException for a text that cannot be a part of an address */
    static String slug(String slug) {
        if (!SLUG.matcher(slug).matches() || slug.length() > LONGEST_SLUG)
            throw new IllegalArgumentException("“" + Names.shown(slug)
                    + "” cannot be an address: write small letters, digits and single dashes, at most " + LONGEST_SLUG
                    + ".");
        return slug;
    }

    public SitePage withHtml(String other) {
        return new SitePage(slug, title, kind, other);
    }

    /** The scopes that reach the page as a whole. */
    public List<Scope> reaching(String site) {
        return SitePlaces.reaching(site, slug, kind);
    }
}
