package org.umberloom.core.site;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.page.PageCleaning;
import org.umberloom.core.page.Pieces;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SharedPiece;
import org.umberloom.core.token.Group;

/** What people do to the pieces of a site, and what follows from it on its pages. */
public final class SitePieces {
    private SitePieces() {}

    /**
     * An element of a page made a piece, and put where it belongs.
     *
     * @param at         where it stands in the page's body, as {@link org.umberloom.core.page.Spots} counts
     * @param everywhere whether all pages have it
     * @param kinds      of pages that have it
     * @throws IllegalArgumentException where it cannot be one
     */
    public static SiteEdit begin(
            SiteDocument site, String page, int at, String title, boolean everywhere, Set<String> kinds) {
        SitePage from = site.page(page);
        String name = SiteEdits.slug(title, site.pieces().keySet());
        SitePage begun = from.withHtml(Pieces.begun(from.html(), at, name));
        SitePiece piece = new SitePiece(
                name,
                title.trim(),
                everywhere,
                kinds,
                false,
                Pieces.of(begun.html()).get(name));
        List<SitePart> parts = new ArrayList<>();
        Map<String, String> names = Pieces.renamed(from.html(), at, name);
        site.written().forEach((place, tokens) -> {
            String other = names.get(place.scope().name());
            if (!place.scope().level().isSpot() || other == null) return;
            Scope scope = new Scope(place.scope().level(), site.slug(), other);
            parts.add(new SitePart.Written(place, Group.EMPTY));
            parts.add(new SitePart.Written(new Place.InScope(scope, place.under()), tokens));
        });
        parts.add(SitePart.Piece.of(piece));
        parts.add(SitePart.Page.of(begun));
        for (SitePage other : site.pages())
            if (!other.slug().equals(page) && piece.belongsOn(other)) parts.addAll(put(other, piece, begun));
        return new SiteEdit("piece “" + piece.title() + "”", parts);
    }

    /**
     * Where a piece stands from now on. Without a rule it stays where it is, and is put on pages one by one.
     *
     * @throws IllegalArgumentException when it would stand nowhere
     */
    public static SiteEdit spread(SiteDocument site, String name, boolean everywhere, Set<String> kinds) {
        SitePiece old = site.piece(name);
        SitePiece now = new SitePiece(name, old.title(), everywhere, kinds, old.ofTheme(), old.html());
        List<SitePart> parts = new ArrayList<>(List.of(SitePart.Piece.of(now)));
        if (everywhere || !kinds.isEmpty()) {
            if (site.pages().stream().noneMatch(now::belongsOn))
                throw new IllegalArgumentException(
                        "“" + old.title() + "” would stand on no page: none is of such a kind.");
            SitePage model = site.holder(name).orElseGet(() -> site.pages().get(0));
            for (SitePage page : site.pages())
                parts.addAll(
                        now.belongsOn(page)
                                ? put(page, now, model)
                                : changed(page, Pieces.takenOff(page.html(), name)));
        }
        return new SiteEdit("where “" + now.title() + "” stands", parts);
    }

    /** A piece on one page, or off it. */
    public static SiteEdit place(SiteDocument site, String name, String page, boolean there) {
        SitePiece piece = site.piece(name);
        SitePage to = site.page(page);
        List<SitePage> holding = site.holding(name);
        if (!there && holding.size() == 1 && holding.get(0).slug().equals(page))
            throw new IllegalArgumentException("“" + to.title() + "” is the last page with “" + piece.title()
                    + "”. Put it on another page first, or let it be markup of this page alone.");
        return new SiteEdit(
                "“" + piece.title() + "” " + (there ? "on" : "off") + " “" + to.title() + "”",
                there
                        ? put(to, piece, holding.isEmpty() ? to : holding.get(0))
                        : changed(to, Pieces.takenOff(to.html(), name)));
    }

    public static SiteEdit rename(SiteDocument site, String name, String title) {
        SitePiece old = site.piece(name);
        return new SiteEdit(
                "“" + old.title() + "” is called “" + title.trim() + "”",
                List.of(SitePart.Piece.of(
                        new SitePiece(name, title.trim(), old.everywhere(), old.kinds(), old.ofTheme(), old.html()))));
    }

    /** No piece any more: on every page what it was is markup of that page's own. */
    public static SiteEdit dissolve(SiteDocument site, String name) {
        SitePiece old = site.piece(name);
        List<SitePart> parts = new ArrayList<>(List.of(new SitePart.Piece(name, Optional.empty())));
        for (SitePage page : site.holding(name)) parts.addAll(changed(page, Pieces.dissolved(page.html(), name)));
        return new SiteEdit("“" + old.title() + "” is no piece any more", parts);
    }

    /**
     * A site with the pieces of its theme as the theme holds them: new ones put where they belong, changed ones changed, and those
     * that the theme gave up kept as the site's own. The markup is looked through first, for themes come from elsewhere too.
     */
    public static SiteEdit following(SiteDocument site, Map<String, SharedPiece> pieces) {
        List<SitePart> parts = new ArrayList<>();
        SiteDocument changed = site;
        for (Map.Entry<String, SharedPiece> entry : pieces.entrySet()) {
            Optional<SitePiece> wanted = piece(entry.getKey(), entry.getValue());
            SitePiece own = site.pieces().get(entry.getKey());
            if (wanted.isEmpty() || wanted.get().equals(own)) continue;
            SitePiece piece = wanted.get();
            // A piece of the site's own that happens to have that name is not lost for it.
            if (own != null && !own.ofTheme() && !own.html().equals(piece.html())) continue;
            parts.add(SitePart.Piece.of(piece));
            SitePage model = site.holder(piece.name()).orElseGet(() -> model(piece));
            for (SitePage page : changed.pages()) {
                boolean there = Pieces.of(page.html()).containsKey(piece.name());
                List<SitePart> one = piece.belongsOn(page)
                        ? put(page, piece, model)
                        : there && (piece.everywhere() || !piece.kinds().isEmpty())
                                ? changed(page, Pieces.takenOff(page.html(), piece.name()))
                                : List.of();
                parts.addAll(one);
                for (SitePart part : one) changed = part.in(changed);
            }
        }
        site.pieces().forEach((name, piece) -> {
            if (piece.ofTheme() && !pieces.containsKey(name)) parts.add(SitePart.Piece.of(piece.ofTheme(false)));
        });
        return new SiteEdit("pieces of the theme", parts);
    }

    /** A page on which a piece stands that none has yet. */
    private static SitePage model(SitePiece piece) {
        return new SitePage("model", "Model", "model", Pieces.alone(piece.html()));
    }

    /** A site as it is stored first: with the pieces of its theme. */
    public static SiteDocument wearing(SiteDocument site, Map<String, SharedPiece> pieces) {
        return following(site, pieces).applyTo(site).site();
    }

    private static Optional<SitePiece> piece(String name, SharedPiece shared) {
        String clean = Pieces.of(PageCleaning.of("<body>" + shared.html() + "</body>", Optional::of)
                        .html())
                .get(name);
        try {
            return clean == null
                    ? Optional.empty()
                    : Optional.of(new SitePiece(
                            name, shared.title(), shared.everywhere(), Set.copyOf(shared.kinds()), true, clean));
        } catch (IllegalArgumentException notOne) {
            return Optional.empty();
        }
    }

    private static List<SitePart> put(SitePage page, SitePiece piece, SitePage model) {
        return changed(page, Pieces.placed(page.html(), page.slug(), piece.html(), model.html()));
    }

    private static List<SitePart> changed(SitePage page, String html) {
        return html.equals(page.html()) ? List.of() : List.of(SitePart.Page.of(page.withHtml(html)));
    }

    /** A page with the pieces that belong on its kind. */
    static SitePage belonging(SiteDocument site, SitePage page) {
        SitePage whole = page;
        for (SitePiece piece : site.pieces().values())
            if (piece.belongsOn(page)) {
                String model = site.holder(piece.name()).map(SitePage::html).orElse(page.html());
                whole = whole.withHtml(Pieces.placed(whole.html(), page.slug(), piece.html(), model));
            }
        return whole;
    }

    /** An edit with what it changes in a piece changed on every page that holds it. */
    static SiteEdit everywhere(SiteDocument site, SiteEdit edit) {
        SiteDocument after = edit.applyTo(site).site();
        if (after.pieces().isEmpty()) return edit;
        Map<String, String> markup = new LinkedHashMap<>();
        after.pieces().forEach((name, piece) -> markup.put(name, piece.html()));
        List<SitePart> parts = new ArrayList<>(edit.parts());
        Set<String> said = new HashSet<>();
        for (SitePart part : edit.parts()) if (part instanceof SitePart.Piece piece) said.add(piece.name());
        for (SitePart part : edit.parts())
            if (part instanceof SitePart.Page page && page.page().isPresent())
                Pieces.of(page.page().get().html()).forEach((name, html) -> {
                    String known = markup.get(name);
                    if (known == null || known.equals(html) || !said.add(name)) return;
                    markup.put(name, html);
                    parts.add(SitePart.Piece.of(after.piece(name).withHtml(html)));
                });
        for (SitePage page : after.pages()) parts.addAll(changed(page, Pieces.laid(page.html(), page.slug(), markup)));
        return new SiteEdit(edit.label(), parts);
    }
}
