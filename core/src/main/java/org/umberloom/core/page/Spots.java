package org.umberloom.core.page;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;

/**
 * Sections and elements that something is written for. Each has a name in an attribute of its own, given when something is
 * first written for it: the page, and where in the page it stood then, as {@code fares.17}. The name stays when it moves.
 */
public final class Spots {
    /** Names a section or an element. */
    public static final String NAME = "data-spot";
    /** On a page that is looked at: the scope that each element is, or would be. */
    public static final String AT = "data-at";
    /** On a page that is looked at: the scope of the piece that an element is a placement of. */
    public static final String PIECE_AT = "data-at-piece";
    /** On a page that is looked at: the name that each element has or would be given. */
    public static final String NAME_AT = "data-at-name";
    /** On a page that is looked at: the name of the piece as a whole that an element is a placement of. */
    public static final String WHOLE_AT = "data-at-whole";
    /** On a page that is looked at: where each element stands in the body. */
    public static final String NTH = "data-nth";

    private static final Set<String> SECTIONS =
            Set.of("section", "header", "footer", "main", "article", "aside", "nav", "figure", "form", "table");
    /** What people call elements; others are called sections or elements. */
    private static final Map<String, String> CALLED = Map.ofEntries(
            Map.entry("h1", "heading"),
            Map.entry("h2", "heading"),
            Map.entry("h3", "heading"),
            Map.entry("h4", "heading"),
            Map.entry("h5", "heading"),
            Map.entry("h6", "heading"),
            Map.entry("p", "paragraph"),
            Map.entry("a", "link"),
            Map.entry("button", "button"),
            Map.entry("header", "header"),
            Map.entry("footer", "footer"),
            Map.entry("main", "main part"),
            Map.entry("nav", "menu"),
            Map.entry("table", "table"),
            Map.entry("ul", "list"),
            Map.entry("ol", "list"),
            Map.entry("form", "form"),
            Map.entry("img", "picture"),
            Map.entry("figure", "figure"),
            Map.entry("blockquote", "quote"));

    /** Ends the name of a piece as a whole: its own element is the first in it. */
    private static final String WHOLE = ".0";

    private static final int LONGEST = 100;
    private static final int MOST_WORDS = 40;

    private Spots() {}

    /** The spots of a page that have names. */
    public static SitePlaces.PagePlace of(String site, String page, String kind, String html) {
        return of(site, page, kind, Jsoup.parse(html));
    }

    static SitePlaces.PagePlace of(String site, String page, String kind, Document document) {
        return new SitePlaces.PagePlace(
                page,
                kind,
                document.body().select("[" + NAME + "], [" + Pieces.PLACED + "]").stream()
                        .map(element -> spot(site, element))
                        .toList());
    }

    /** The page that is spoken of in a spot's name; of a spot that lies in a piece, the piece with its mark. */
    public static String pageIn(String spot) {
        int dot = spot.lastIndexOf('.');
        return dot < 0 ? "" : spot.substring(0, dot);
    }

    /** The piece that a spot lies in, by its name; none for one that is a page's alone. */
    public static Optional<String> pieceIn(String spot) {
        return Optional.of(pageIn(spot))
                .filter(home -> home.startsWith(Pieces.MARK))
                .map(home -> home.substring(Pieces.MARK.length()));
    }

    /** The name of a piece as a whole, wherever it stands: of all its placements that have no name of their own. */
    public static String ofPiece(String piece) {
        return Pieces.MARK + piece + WHOLE;
    }

    /** The piece that a spot's name means as a whole. */
    public static Optional<String> wholePiece(String spot) {
        return spot.endsWith(WHOLE) ? pieceIn(spot) : Optional.empty();
    }

    /** What a name would mean that no element of a page has yet. */
    public static Optional<SitePlaces.Spot> unnamed(String site, String html, String name) {
        Document document = Jsoup.parse(html);
        Optional<Element> element = meant(document, name);
        if (wholePiece(name).isPresent()) element.ifPresent(one -> one.removeAttr(NAME));
        else element.ifPresent(one -> one.attr(NAME, name));
        return element.map(one -> spot(site, one));
    }

    /** What a spot is and how it begins, for people: {@code the section “The blue card”}. */
    public static Optional<String> words(String html, String name) {
        return meant(Jsoup.parse(html), name).map(Spots::said);
    }

    static String said(Element element) {
        Element heading = element.selectFirst("h1, h2, h3, h4, h5, h6");
        String text = heading != null ? heading.text() : element.text();
        String said = text.length() <= MOST_WORDS ? text : text.substring(0, MOST_WORDS) + "…";
        return "the " + CALLED.getOrDefault(element.normalName(), isSection(element) ? "section" : "element")
                + (said.isEmpty() ? "" : " “" + said + "”");
    }

    /** The name of the element that stands somewhere in a page's body: its own, or the one it would be given. */
    public static String nameAt(String html, String page, int at) {
        Document document = Jsoup.parse(html);
        List<Element> all = document.body().getAllElements();
        if (at < 1 || at >= all.size())
            throw new IllegalArgumentException("The page “" + page + "” has no element " + at + ".");
        String own = all.get(at).attr(NAME);
        if (!own.isEmpty()) return own;
        String first = nameOf(all.get(at), page, at);
        String name = first;
        // Another may have been given that name where it stood before.
        for (int more = 2; !document.getElementsByAttributeValue(NAME, name).isEmpty(); more++)
            name = first + "-" + more;
        return name;
    }

    /** The name that an element is given; one within a piece is named by where it stands there. */
    private static String nameOf(Element element, String page, int at) {
        Element placement = element.closest("[" + Pieces.PLACED + "]");
        return placement == null || placement == element
                ? page + "." + at
                : Pieces.MARK + placement.attr(Pieces.PLACED) + "."
                        + placement.getAllElements().indexOf(element);
    }

    /** A page with a name at the spot it means; the same where it has it already. */
    public static String named(String html, String name) {
        Document document = Markup.read(html);
        Optional<Element> element = meant(document, name);
        if (element.isEmpty()
                || wholePiece(name).isPresent()
                || element.get().attr(NAME).equals(name)) return html;
        element.get().attr(NAME, name);
        return document.outerHtml();
    }

    /** A page whose elements say which scopes they are or would be, to be looked at. */
    public static void number(Document document, String site, String page) {
        int at = 0;
        for (Element element : document.body().getAllElements()) {
            String name = element.hasAttr(NAME) ? element.attr(NAME) : nameOf(element, page, at);
            if (at > 0) {
                element.attr(AT, Scope.spot(site, name, isSection(element)).toString());
                element.attr(NAME_AT, name);
                if (element.hasAttr(Pieces.PLACED)) {
                    Scope piece = pieceScope(site, element);
                    element.attr(PIECE_AT, piece.toString()).attr(WHOLE_AT, piece.name());
                }
                element.attr(NTH, String.valueOf(at));
            }
            at++;
        }
    }

    /** The element of that name, else the one that stands where the name says and has no other. */
    private static Optional<Element> meant(Document document, String name) {
        Optional<Element> named =
                document.body().getElementsByAttributeValue(NAME, name).stream().findFirst();
        if (named.isPresent()) return named;
        try {
            String place = name.substring(name.lastIndexOf('.') + 1);
            int more = place.indexOf('-');
            int at = Integer.parseInt(more < 0 ? place : place.substring(0, more));
            Element around = pieceIn(name)
                    .map(piece -> document.body()
                            .getElementsByAttributeValue(Pieces.PLACED, piece)
                            .first())
                    .orElse(null);
            if (around == null && pieceIn(name).isPresent()) return Optional.empty();
            if (wholePiece(name).isPresent()) return Optional.ofNullable(around);
            List<Element> all = (around == null ? document.body() : around).getAllElements();
            return at > 0 && at < all.size() && !all.get(at).hasAttr(NAME)
                    ? Optional.of(all.get(at))
                    : Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private static boolean isSection(Element element) {
        return SECTIONS.contains(element.normalName()) || element.hasAttr(Markup.SURFACE);
    }

    private static SitePlaces.Spot spot(String site, Element element) {
        Deque<Scope> within = new ArrayDeque<>();
        for (Element around : element.parents()) {
            if (around.hasAttr(NAME)) within.addFirst(scope(site, around));
            if (around.hasAttr(Pieces.PLACED)) within.addFirst(pieceScope(site, around));
        }
        boolean placed = element.hasAttr(Pieces.PLACED);
        Set<String> surfaces = element.select("[" + Markup.SURFACE + "]").stream()
                .filter(inner -> inner != element)
                .map(inner -> inner.attr(Markup.SURFACE))
                .collect(Collectors.toSet());
        Set<String> standing = element.getAllElements().stream()
                .filter(inner -> inner != element)
                .flatMap(inner -> StandsOn.choosing(inner).stream())
                .collect(Collectors.toSet());
        Set<String> needs = new LinkedHashSet<>();
        List<Element> all = new ArrayList<>(element.getAllElements());
        all.addAll(element.parents());
        for (Element one : all) need(one, needs);
        return new SitePlaces.Spot(
                element.hasAttr(NAME) ? scope(site, element) : pieceScope(site, element),
                placed && element.hasAttr(NAME) ? Optional.of(pieceScope(site, element)) : Optional.empty(),
                List.copyOf(within),
                Markup.surface(element),
                element.hasAttr(Markup.SURFACE),
                StandsOn.by(element).orElse(""),
                StandsOn.choosing(element).isPresent(),
                surfaces,
                standing,
                needs,
                RulesOfPages.handedDown(element));
    }

    private static Scope pieceScope(String site, Element placement) {
        return Scope.spot(site, ofPiece(placement.attr(Pieces.PLACED)), isSection(placement));
    }

    private static Scope scope(String site, Element element) {
        return Scope.spot(site, element.attr(NAME), isSection(element));
    }

    static void need(Element element, Set<String> needs) {
        needs.add(element.normalName());
        for (Attribute attribute : element.attributes()) {
            needs.add("[" + attribute.getKey() + "]");
            if (attribute.getValue().length() <= LONGEST)
                needs.add("[" + attribute.getKey() + "=" + attribute.getValue() + "]");
        }
    }
}
