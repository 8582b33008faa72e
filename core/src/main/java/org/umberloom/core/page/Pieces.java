package org.umberloom.core.page;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Elements;

/**
 * Pieces of markup that stand on several pages. A placement is an element that names its piece; its attributes and all that lies
 * in it are the piece's, save the name under which something is written for that placement alone, and which of its links leads to
 * the very page. Every page holds its pieces in full, so that any other reader gets a whole page.
 */
public final class Pieces {
    /** Names the piece that an element is a placement of. */
    public static final String PLACED = "data-piece";
    /** Begins the first half of the names of spots that lie in a piece: they are the same on every page. */
    public static final String MARK = "~";

    private static final String CURRENT = "aria-current";
    /** What a placement has of its own. */
    private static final List<String> OWN = List.of(Spots.NAME, PageChanges.HIDDEN);

    private static final String ENDING = ".html";

    private Pieces() {}

    /** The pieces of a page by their names, each as its first placement there holds it. */
    public static Map<String, String> of(String html) {
        Map<String, String> found = new LinkedHashMap<>();
        if (html.contains(PLACED))
            for (Element placement : Jsoup.parse(html).body().select("[" + PLACED + "]"))
                found.putIfAbsent(placement.attr(PLACED), markup(placement));
        return found;
    }

    /** A page whose placements hold what their pieces are. @param pieces markup by name; others stay as they are */
    public static String laid(String html, String page, Map<String, String> pieces) {
        if (!html.contains(PLACED)) return html;
        return changed(html, document -> {
            for (Element placement : document.body().select("[" + PLACED + "]")) {
                String piece = pieces.get(placement.attr(PLACED));
                if (piece != null && !markup(placement).equals(piece)) {
                    Element fresh = fresh(piece, page);
                    OWN.stream().filter(placement::hasAttr).forEach(own -> fresh.attr(own, placement.attr(own)));
                    placement.replaceWith(fresh);
                }
            }
        });
    }

    /** A page with an element made the first placement of a piece. @throws IllegalArgumentException where it cannot be one */
    public static String begun(String html, int at, String piece) {
        return changed(html, document -> {
            Element element = PageChanges.at(document, at);
            if (element.normalName().equals("main"))
                throw new IllegalArgumentException(
                        "The main part is what a page is; a piece is something in it or around it.");
            if (element.closest("[" + PLACED + "]") != null || element.selectFirst("[" + PLACED + "]") != null)
                throw new IllegalArgumentException("This is a piece already, lies in one, or holds one.");
            Map<String, String> names = renamed(element, piece);
            element.attr(PLACED, piece);
            for (Element one : element.getAllElements())
                if (names.containsKey(one.attr(Spots.NAME))) one.attr(Spots.NAME, names.get(one.attr(Spots.NAME)));
        });
    }

    /** The names that spots within an element get when it is made a piece: from what they were to what they are. */
    public static Map<String, String> renamed(String html, int at, String piece) {
        return renamed(PageChanges.at(Jsoup.parse(html), at), piece);
    }

    private static Map<String, String> renamed(Element element, String piece) {
        Map<String, String> names = new LinkedHashMap<>();
        Elements all = element.getAllElements();
        for (int inside = 1; inside < all.size(); inside++)
            if (all.get(inside).hasAttr(Spots.NAME))
                names.put(all.get(inside).attr(Spots.NAME), MARK + piece + "." + inside);
        return names;
    }

    /**
     * A page with a piece on it: in place of a region of its kind, else where it stands on another page; the same where it is
     * there already.
     *
     * @param model a page on which it stands
     */
    public static String placed(String html, String page, String markup, String model) {
        return changed(html, document -> {
            Element piece = fresh(markup, page);
            String name = piece.attr(PLACED);
            if (!placements(document, name).isEmpty()) return;
            Element origin = placements(Jsoup.parse(model), name).first();
            Element main = document.body().selectFirst("> main");
            boolean within = origin != null && PageChanges.isBlock(origin);
            Optional<Element> same = within ? Optional.empty() : alike(document, piece);
            if (same.isPresent()) same.get().replaceWith(piece);
            else if (main == null) document.body().appendChild(piece);
            else if (within && origin.elementSiblingIndex() == 0) main.prependChild(piece);
            else if (within) main.appendChild(piece);
            else if (origin != null && isBeforeMain(origin)) main.before(piece);
            else main.after(piece);
        });
    }

    /** A page with nothing but a piece: regions of the frame stand around the main part, all else at its end. */
    public static String alone(String markup) {
        String tag = Jsoup.parseBodyFragment(markup).body().child(0).normalName();
        return "<body>"
                + switch (tag) {
                    case "header", "nav", "aside" -> markup + "<main></main>";
                    case "footer" -> "<main></main>" + markup;
                    default -> "<main><p></p>" + markup + "</main>";
                }
                + "</body>";
    }

    /** A region of the frame that the piece would stand twice beside. */
    private static Optional<Element> alike(Document document, Element piece) {
        return document.body().children().stream()
                .filter(one -> one.normalName().equals(piece.normalName())
                        && one.attr("data-part").equals(piece.attr("data-part"))
                        && !one.hasAttr(PLACED))
                .findFirst();
    }

    private static boolean isBeforeMain(Element origin) {
        return origin.nextElementSiblings().stream()
                .anyMatch(one -> one.normalName().equals("main"));
    }

    /** A page without a piece. */
    public static String takenOff(String html, String piece) {
        return changed(html, document -> placements(document, piece).remove());
    }

    /** A page on which a piece is markup of the page's own from now on. */
    public static String dissolved(String html, String piece) {
        return changed(html, document -> {
            for (Element placement : placements(document, piece)) {
                placement.removeAttr(PLACED);
                for (Element one : placement.getAllElements())
                    if (one.attr(Spots.NAME).startsWith(MARK + piece + ".")) one.removeAttr(Spots.NAME);
            }
        });
    }

    private static Elements placements(Document document, String piece) {
        return document.body().getElementsByAttributeValue(PLACED, piece);
    }

    /** What a placement holds without what is its own. */
    private static String markup(Element placement) {
        Element bare = placement.clone();
        OWN.forEach(bare::removeAttr);
        bare.select("[" + CURRENT + "]").removeAttr(CURRENT);
        Document alone = Markup.asWritten(Document.createShell(""));
        alone.body().appendChild(bare);
        return alone.body().html();
    }

    private static Element fresh(String markup, String page) {
        Element piece = Jsoup.parseBodyFragment(markup).body().child(0);
        for (Element link : piece.select("nav a[href]"))
            if (link.attr("href").equals(page + ENDING)) link.attr(CURRENT, "page");
        return piece;
    }

    private static String changed(String html, Consumer<Document> change) {
        Document document = Markup.read(html);
        String before = document.outerHtml();
        change.accept(document);
        String after = document.outerHtml();
        return after.equals(before) ? html : after;
    }
}
