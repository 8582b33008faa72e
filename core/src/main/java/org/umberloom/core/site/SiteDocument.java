package org.umberloom.core.site;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.umberloom.core.limit.Sizes;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.page.PageCleaning;
import org.umberloom.core.page.Pieces;
import org.umberloom.core.page.Spots;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Names;

/**
 * A site as the open document it is.
 *
 * @param slug    its short name, by which its scopes name it
 * @param plate   what it shows of itself; its name is what people call it
 * @param look    contexts that it stands in, by modifier; those not named stand at the theme's default
 * @param scheme  which schemes its readers see
 * @param pages   in order
 * @param written what it writes at places of its own, each laid over the theme where it holds; never an empty tree
 * @param pieces  that its pages hold, by their names
 * @param css     its own style sheet, in a cascade layer of its own; read again and written anew, so that it loads nothing
 */
public record SiteDocument(
        String slug,
        Nameplate plate,
        Map<String, String> look,
        SchemePolicy scheme,
        List<SitePage> pages,
        SortedMap<Place.InScope, Group> written,
        SortedMap<String, SitePiece> pieces,
        String css) {
    private static final int MOST_PAGES = 500;

    /**
     * @throws IllegalArgumentException for names that are none, two pages of one address, a place of another site, or more than a site
     *     holds
     */
    public SiteDocument {
        SitePage.slug(slug);
        look = Collections.unmodifiableMap(new LinkedHashMap<>(look));
        pages = List.copyOf(pages);
        if (pages.size() > MOST_PAGES)
            throw new IllegalArgumentException("A site holds at most " + MOST_PAGES + " pages.");
        if (pages.stream().map(SitePage::slug).distinct().count() < pages.size())
            throw new IllegalArgumentException("Two pages of “" + plate.name() + "” have the same address.");
        SortedMap<Place.InScope, Group> said = new TreeMap<>();
        for (Map.Entry<Place.InScope, Group> entry : written.entrySet()) {
            if (entry.getKey().scope().ofTheme()
                    || !entry.getKey().scope().site().equals(slug))
                throw new IllegalArgumentException(
                        "“" + entry.getKey() + "” is no place of the site “" + plate.name() + "”.");
            if (!entry.getValue().equals(Group.EMPTY)) said.put(entry.getKey(), entry.getValue());
        }
        written = Collections.unmodifiableSortedMap(said);
        pieces = Collections.unmodifiableSortedMap(new TreeMap<>(pieces));
        css = Sizes.text(
                "The style sheet of “" + plate.name() + "”",
                PageCleaning.sheet(css).text());
        long letters = css.length()
                + pages.stream().mapToLong(page -> page.html().length()).sum()
                + pieces.values().stream()
                        .mapToLong(piece -> piece.html().length())
                        .sum();
        if (letters > Sizes.SITE)
            throw new IllegalArgumentException("The pages, pieces and style sheet of “" + plate.name() + "” have "
                    + Sizes.counted(letters) + " letters together; a site holds at most "
                    + Sizes.counted(Sizes.SITE) + ".");
    }

    /** A site that differs in nothing. */
    public static SiteDocument of(String slug, String name, List<SitePage> pages) {
        return new SiteDocument(
                slug,
                Nameplate.of(name),
                Map.of(),
                SchemePolicy.READER,
                pages,
                Collections.emptySortedMap(),
                Collections.emptySortedMap(),
                "");
    }

    public String name() {
        return plate.name();
    }

    /** All its parts; those that make it again. */
    public List<SitePart> parts() {
        List<SitePart> parts = new ArrayList<>();
        parts.add(new SitePart.OfPlate(plate));
        parts.add(new SitePart.Look(look, scheme));
        pages.forEach(page -> parts.add(SitePart.Page.of(page)));
        parts.add(new SitePart.Order(pages.stream().map(SitePage::slug).toList()));
        written.forEach((place, tokens) -> parts.add(new SitePart.Written(place, tokens)));
        pieces.forEach((piece, one) -> parts.add(SitePart.Piece.of(one)));
        if (!css.isEmpty()) parts.add(new SitePart.OwnCss(css));
        return parts;
    }

    public Optional<SitePage> find(String page) {
        return pages.stream().filter(one -> one.slug().equals(page)).findFirst();
    }

    /** @throws NoSuchElementException when there is no such page */
    public SitePage page(String page) {
        return find(page)
                .orElseThrow(() -> new NoSuchElementException(
                        "The site “" + name() + "” has no page “" + Names.shown(page) + "”."));
    }

    /** The places of its pages. */
    public SitePlaces places() {
        return new SitePlaces(
                slug,
                pages.stream()
                        .map(page -> Spots.of(slug, page.slug(), page.kind(), page.html()))
                        .toList());
    }

    /** @throws NoSuchElementException when there is no such piece */
    public SitePiece piece(String piece) {
        return Optional.ofNullable(pieces.get(piece))
                .orElseThrow(() -> new NoSuchElementException(
                        "The site “" + name() + "” has no piece “" + Names.shown(piece) + "”."));
    }

    /** The first page that holds a piece. */
    public Optional<SitePage> holder(String piece) {
        return pages.stream()
                .filter(page -> Pieces.of(page.html()).containsKey(piece))
                .findFirst();
    }

    /** The pages that hold a piece. */
    public List<SitePage> holding(String piece) {
        return pages.stream()
                .filter(page -> Pieces.of(page.html()).containsKey(piece))
                .toList();
    }

    /** The page that a spot is on; of one that lies in a piece, the first that holds it. */
    public Optional<SitePage> findPageOf(Scope spot) {
        return Spots.pieceIn(spot.name()).map(this::holder).orElseGet(() -> find(Spots.pageIn(spot.name())));
    }

    /** As {@link #findPageOf}. @throws NoSuchElementException when no page has it */
    public SitePage pageOf(Scope spot) {
        return findPageOf(spot)
                .orElseThrow(() -> new NoSuchElementException(
                        "The site “" + name() + "” has no place “" + Names.shown(spot.name()) + "”."));
    }

    SiteDocument withPages(List<SitePage> others) {
        return new SiteDocument(slug, plate, look, scheme, others, written, pieces, css);
    }

    /** The same with a page in place of that of its address, or at the end. */
    SiteDocument withPage(SitePage page) {
        List<SitePage> all = new ArrayList<>(pages);
        int at = pages.stream().map(SitePage::slug).toList().indexOf(page.slug());
        if (at < 0) all.add(page);
        else all.set(at, page);
        return withPages(all);
    }

    SiteDocument withWritten(Map<Place.InScope, Group> others) {
        return new SiteDocument(slug, plate, look, scheme, pages, new TreeMap<>(others), pieces, css);
    }

    SiteDocument withPieces(Map<String, SitePiece> others) {
        return new SiteDocument(slug, plate, look, scheme, pages, written, new TreeMap<>(others), css);
    }

    SiteDocument withCss(String other) {
        return new SiteDocument(slug, plate, look, scheme, pages, written, pieces, other);
    }

    /** The same site under another short name, with all its places. */
    public SiteDocument called(String otherSlug, String otherName) {
        SortedMap<Place.InScope, Group> moved = new TreeMap<>();
        written.forEach((place, tokens) -> moved.put(
                new Place.InScope(
                        new Scope(
                                place.scope().level(), otherSlug, place.scope().name()),
                        place.under()),
                tokens));
        return new SiteDocument(otherSlug, plate.called(otherName), look, scheme, pages, moved, pieces, css);
    }
}
