package org.umberloom.core.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.page.PageChange;
import org.umberloom.core.page.PageChanges;
import org.umberloom.core.page.PageMarkup;
import org.umberloom.core.page.Pieces;
import org.umberloom.core.page.Spots;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.TokenPath;

/** The edits of a site that people ask for by name. */
public final class SiteEdits {
    private SiteEdits() {}

    /** What the site shows of itself, on all its pages; in pieces of the theme it stays as the theme says. */
    public static SiteEdit nameplate(SiteDocument site, Nameplate plate) {
        List<SitePart> parts = new ArrayList<>(List.of(new SitePart.OfPlate(plate)));
        Set<String> ofTheme = site.pieces().values().stream()
                .filter(SitePiece::ofTheme)
                .map(SitePiece::name)
                .collect(Collectors.toSet());
        for (SitePage page : site.pages()) {
            String html = plate.on(page.html(), ofTheme);
            if (!html.equals(page.html())) parts.add(SitePart.Page.of(page.withHtml(html)));
        }
        return new SiteEdit("nameplate", parts);
    }

    public static SiteEdit look(Map<String, String> contexts, SchemePolicy scheme) {
        return new SiteEdit("what it stands in", List.of(new SitePart.Look(contexts, scheme)));
    }

    public static SiteEdit css(String css) {
        return new SiteEdit("own style sheet", List.of(new SitePart.OwnCss(css)));
    }

    public static SiteEdit order(List<String> pages) {
        return new SiteEdit("order of the pages", List.of(new SitePart.Order(pages)));
    }

    /** A new page of a kind, in the frame of the site's first. */
    public static SiteEdit addPage(SiteDocument site, String kind, String title) {
        String slug = free(site, title);
        String html = site.pages().isEmpty()
                ? PageMarkup.first(site.name(), kind, title.trim())
                : PageMarkup.like(site.pages().get(0).html(), kind, title.trim());
        SitePage page = SitePieces.belonging(site, new SitePage(slug, title.trim(), kind, html));
        return new SiteEdit("new page “" + title.trim() + "”", List.of(SitePart.Page.of(page)));
    }

    /** @throws java.util.NoSuchElementException when there is no such page */
    public static SiteEdit copyPage(SiteDocument site, String page) {
        SitePage from = site.page(page);
        String title = from.title() + ", copy";
        return new SiteEdit(
                "copy of “" + from.title() + "”",
                List.of(SitePart.Page.of(
                        new SitePage(free(site, title), title, from.kind(), PageMarkup.copied(from.html())))));
    }

    /** Another title or kind; the address stays, so that links to it hold. */
    public static SiteEdit describePage(SiteDocument site, String page, String title, String kind) {
        SitePage from = site.page(page);
        return new SiteEdit(
                "“" + from.title() + "” described otherwise",
                List.of(SitePart.Page.of(SitePieces.belonging(
                        site, new SitePage(from.slug(), title.trim(), kind.trim(), from.html())))));
    }

    /** A page changed so that its looks can be tried. @throws IllegalArgumentException when it cannot be done there */
    public static SiteEdit change(SiteDocument site, String page, PageChange change) {
        SitePage from = site.page(page);
        return new SiteEdit(
                PageChanges.words(from.html(), change) + ", on “" + from.title() + "”",
                List.of(SitePart.Page.of(from.withHtml(PageChanges.made(from.html(), change)))));
    }

    /**
     * An edit with all that follows from it: a piece that was changed on one page changes on all, and what was written for spots
     * that are gone goes with them.
     */
    public static SiteEdit settled(SiteDocument site, SiteEdit edit) {
        SiteEdit whole = SitePieces.everywhere(site, edit);
        SiteDocument after = whole.applyTo(site).site();
        List<SitePart> parts = new ArrayList<>(whole.parts());
        for (Place.InScope place : after.written().keySet()) {
            if (!place.scope().level().isSpot()) continue;
            String named = Spots.wholePiece(place.scope().name())
                    .map(piece -> Pieces.PLACED + "=\"" + piece + "\"")
                    .orElse(Spots.NAME + "=\"" + place.scope().name() + "\"");
            if (after.pages().stream().noneMatch(page -> page.html().contains(named)))
                parts.add(new SitePart.Written(place, Group.EMPTY));
        }
        return new SiteEdit(edit.label(), parts);
    }

    /**
     * A page gone, with everything that is written for it.
     *
     * @throws IllegalArgumentException for the last page of a site
     */
    public static SiteEdit removePage(SiteDocument site, String page) {
        SitePage gone = site.page(page);
        if (site.pages().size() == 1)
            throw new IllegalArgumentException(
                    "“" + gone.title() + "” is the last page of “" + site.name() + "”. Add another before it goes.");
        List<SitePart> parts = new ArrayList<>();
        for (Place.InScope place : site.written().keySet())
            if (place.scope().level() == Scope.Level.PAGE
                            && place.scope().name().equals(page)
                    || place.scope().level().isSpot()
                            && Spots.pageIn(place.scope().name()).equals(page))
                parts.add(new SitePart.Written(place, Group.EMPTY));
        parts.add(new SitePart.Page(page, Optional.empty()));
        return new SiteEdit("page “" + gone.title() + "” removed", parts);
    }

    /** What is written at a place gone: at one path, or everything where none is given. */
    public static SiteEdit follow(SiteDocument site, Place.InScope place, Optional<TokenPath> path) {
        Group tokens = site.written().getOrDefault(place, Group.EMPTY);
        Group left = path.map(one -> tokens.without(tokens.highestAlone(Recipes.whole(tokens, one))))
                .orElse(Group.EMPTY);
        return new SiteEdit(
                path.map(one -> one + " follows again").orElse("everything at a place follows again"),
                List.of(new SitePart.Written(place, left)));
    }

    /** An address that no page has yet, from words. */
    private static String free(SiteDocument site, String title) {
        TreeSet<String> taken = new TreeSet<>();
        site.pages().forEach(page -> taken.add(page.slug()));
        return slug(title, taken);
    }

    /** An address from words that is none of those taken. */
    public static String slug(String words, java.util.Set<String> taken) {
        String plain = java.text.Normalizer.normalize(words, java.text.Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(java.util.Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        if (plain.length() > 60) plain = plain.substring(0, 60).replaceAll("-$", "");
        if (plain.isEmpty()) plain = "page";
        Names.safe("An address", plain);
        String slug = plain;
        for (int i = 2; taken.contains(slug); i++) slug = plain + "-" + i;
        return slug;
    }
}
