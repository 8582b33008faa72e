package org.umberloom.core.theme;

import java.util.Comparator;
import org.umberloom.core.token.Names;

/**
 * A part of what a theme dresses that may be given values and choices of its own, laid over the theme's. Written as
 * {@code kind=article}, {@code site=crossings} or {@code page=crossings:fares}, the names by their {@link Combination#code}.
 *
 * @param level how far it reaches
 * @param site  the short name of the site it lies in; empty for what reaches through all sites
 * @param name  of the page kind, the page, or the spot on a page; empty for a whole site
 */
public record Scope(Level level, String site, String name) implements Comparable<Scope> {
    /** From wide to narrow. */
    public enum Level {
        /** All pages of a kind, in every site that wears the theme. */
        KIND("kind"),
        /** All pages of a site. */
        SITE("site"),
        /** The pages of a kind in one site. */
        SITE_KIND("site-kind"),
        PAGE("page"),
        /** A section of a page, by the name of its spot. */
        SECTION("section"),
        /** One element of a page, by the name of its spot. */
        ELEMENT("element");

        private final String id;

        Level(String id) {
            this.id = id;
        }

        public String id() {
            return id;
        }

        /** Whether it is a spot on a page rather than whole pages. */
        public boolean isSpot() {
            return this == SECTION || this == ELEMENT;
        }
    }

    private static final Comparator<Scope> ORDER =
            Comparator.comparing(Scope::level).thenComparing(Scope::site).thenComparing(Scope::name);
    private static final String WITHIN = ":";

    /** @throws IllegalArgumentException for a name that is none */
    public Scope {
        if (level != Level.KIND) Names.checked("A site", site);
        else if (!site.isEmpty()) throw new IllegalArgumentException("Pages of a kind in all sites belong to no site.");
        if (level == Level.KIND || level == Level.SITE_KIND) Names.checked("A page kind", name);
        else if (level != Level.SITE) Names.checked("A place in a site", name);
        else if (!name.isEmpty()) throw new IllegalArgumentException("A whole site has no name within itself.");
    }

    public static Scope kind(String name) {
        return new Scope(Level.KIND, "", name);
    }

    public static Scope site(String site) {
        return new Scope(Level.SITE, site, "");
    }

    public static Scope kindIn(String site, String kind) {
        return new Scope(Level.SITE_KIND, site, kind);
    }

    public static Scope page(String site, String page) {
        return new Scope(Level.PAGE, site, page);
    }

    /** A section or an element, by the name of its spot. */
    public static Scope spot(String site, String spot, boolean section) {
        return new Scope(section ? Level.SECTION : Level.ELEMENT, site, spot);
    }

    /** Whether it is written in the theme itself, rather than in a site. */
    public boolean ofTheme() {
        return level == Level.KIND;
    }

    /** Reads what {@link #toString} writes. @throws IllegalArgumentException for anything else */
    public static Scope parse(String text) {
        for (Level level : Level.values()) {
            if (!text.startsWith(level.id + "=")) continue;
            String[] names = text.substring(level.id.length() + 1).split(WITHIN, -1);
            if (names.length != (level == Level.KIND || level == Level.SITE ? 1 : 2)) break;
            String first = Combination.named(names[0]);
            return level == Level.KIND
                    ? kind(first)
                    : new Scope(level, first, names.length == 1 ? "" : Combination.named(names[1]));
        }
        throw new IllegalArgumentException("“" + Names.shown(text)
                + "” is not a scope: write kind=article, site=NAME, site-kind=NAME:article or page=NAME:PAGE.");
    }

    /** For people: {@code article pages}. */
    public String words() {
        return switch (level) {
            case KIND -> name + " pages";
            case SITE -> "the site " + site;
            case SITE_KIND -> name + " pages of " + site;
            case PAGE -> "the page " + name + " of " + site;
            case SECTION -> "a section in " + site;
            case ELEMENT -> "one element in " + site;
        };
    }

    @Override
    public int compareTo(Scope other) {
        return ORDER.compare(this, other);
    }

    @Override
    public String toString() {
        String names = level == Level.KIND
                ? Combination.code(name)
                : Combination.code(site) + (level == Level.SITE ? "" : WITHIN + Combination.code(name));
        return level.id + "=" + names;
    }
}
