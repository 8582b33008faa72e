package org.umberloom.core.page;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Part;
import org.umberloom.core.token.Names;

/** Changes of a page, made. What is written in attributes is what the rules of the parts ask for. */
public final class PageChanges {
    static final String WIDTH = "data-width";
    static final String AIR = "data-air";
    /** The level whose look a heading wears. */
    static final String LOOK = "data-as";
    /** A title that is not seen. */
    static final String TITLE = "data-title";

    static final String HIDDEN = "hidden";
    private static final Set<String> REGIONS = Set.of("header", "nav", "footer", "aside");
    private static final int MOST_WORDS = 2000;

    private PageChanges() {}

    /** @throws IllegalArgumentException with a sentence for people when it cannot be done there */
    public static String made(String html, PageChange change) {
        Document document = Markup.read(html);
        if (change instanceof PageChange.Insert insert) insert(document, insert);
        else {
            Element element = at(document, change.at());
            if (change instanceof PageChange.Ground ground) put(element, Markup.SURFACE, ground.surface());
            else if (change instanceof PageChange.Extent extent)
                put(block(element), WIDTH, word(extent.reach(), PageChange.Reach.CONTENT));
            else if (change instanceof PageChange.Air air)
                put(block(element), AIR, word(air.room(), PageChange.Room.STANDARD));
            else if (change instanceof PageChange.Shift shift) shift(block(element), shift.by());
            else if (change instanceof PageChange.Double) twice(block(element));
            else if (change instanceof PageChange.Drop) drop(element);
            else if (change instanceof PageChange.Look look)
                look(element, look.level().orElse(""));
            else if (change instanceof PageChange.Words words) words(element, words.text());
            else if (change instanceof PageChange.Picture picture) picture(element, picture);
            else if (change instanceof PageChange.Shown shown) shown(element, shown.shown());
        }
        return document.outerHtml();
    }

    /** What a change does, for people, before it is made: {@code the section “The blue card” on deep}. */
    public static String words(String html, PageChange change) {
        if (change instanceof PageChange.Insert insert)
            return Contract.standard().parts().stream()
                    .filter(part -> part.name().equals(insert.part()))
                    .map(part -> part.title().toLowerCase(Locale.ROOT) + " added")
                    .findFirst()
                    .orElse("a part added");
        String what = Spots.said(at(Jsoup.parse(html), change.at()));
        if (change instanceof PageChange.Ground ground)
            return what + (ground.surface().isEmpty() ? " on what is around it" : " on " + ground.surface());
        if (change instanceof PageChange.Extent extent)
            return what + " as wide as " + extent.reach().name().toLowerCase(Locale.ROOT);
        if (change instanceof PageChange.Air air)
            return what + " with " + air.room().name().toLowerCase(Locale.ROOT) + " room around it";
        if (change instanceof PageChange.Shift) return what + " moved";
        if (change instanceof PageChange.Double) return what + " copied";
        if (change instanceof PageChange.Drop) return what + " removed";
        if (change instanceof PageChange.Look look)
            return what + look.level().map(level -> " in the look of " + level).orElse(" in its own look");
        if (change instanceof PageChange.Shown shown) return what + (shown.shown() ? " shown" : " left out");
        return what + " in other words";
    }

    /** The surfaces that elements of a page name, each as often as it is named. */
    public static List<String> surfaces(String html) {
        return Jsoup.parse(html).body().select("[" + Markup.SURFACE + "]").eachAttr(Markup.SURFACE);
    }

    /** A page on which everything that stood on a surface stands on another. */
    public static String restood(String html, String surface, String other) {
        Document document = Markup.read(html);
        if (document.body().getElementsByAttributeValue(Markup.SURFACE, surface).isEmpty()) return html;
        document.body()
                .getElementsByAttributeValue(Markup.SURFACE, surface)
                .forEach(element -> put(element, Markup.SURFACE, other));
        return document.outerHtml();
    }

    static Element at(Document document, int at) {
        List<Element> all = document.body().getAllElements();
        if (at < 1 || at >= all.size()) throw new IllegalArgumentException("The page has no element " + at + ".");
        return all.get(at);
    }

    private static void put(Element element, String attribute, String value) {
        if (value.isEmpty()) element.removeAttr(attribute);
        else element.attr(attribute, Names.checked("A surface", value));
    }

    private static String word(Enum<?> one, Enum<?> standard) {
        return one == standard ? "" : one.name().toLowerCase(Locale.ROOT);
    }

    /** Whether an element is one of those that a page is laid out of: children of its main part. */
    static boolean isBlock(Element element) {
        return element.parent() != null && element.parent().normalName().equals("main");
    }

    private static Element block(Element element) {
        if (isBlock(element)) return element;
        throw new IllegalArgumentException("Only what stands in the main part by itself can be laid out: "
                + said(element) + " lies within something else, or is a part of the frame.");
    }

    private static void shift(Element block, int by) {
        List<Element> siblings = block.parent().children();
        int to = Math.max(0, Math.min(siblings.size() - 1, block.elementSiblingIndex() + by));
        Element other = siblings.get(to);
        if (other == block) return;
        Node space = block.nextSibling() instanceof TextNode text && text.isBlank() ? text : null;
        if (by > 0) other.after(block);
        else other.before(block);
        if (space != null) block.after(space);
    }

    private static void twice(Element block) {
        Element copy = block.clone();
        for (Element one : copy.getAllElements()) {
            one.removeAttr(Spots.NAME);
            one.removeAttr("id");
        }
        block.after(copy).after("\n");
    }

    private static void drop(Element element) {
        if (element.normalName().equals("main"))
            throw new IllegalArgumentException("A page needs its main part: take out what stands in it.");
        if (element.nextSibling() instanceof TextNode text && text.isBlank()) text.remove();
        element.remove();
    }

    /** Whether a part has a sample that can stand among what a page says: what is a region of the frame cannot. */
    public static boolean canBeAdded(Part part) {
        Element first = Jsoup.parseBodyFragment(part.sample()).body().firstElementChild();
        return first != null && part.shown() > 0 && !REGIONS.contains(first.normalName());
    }

    private static void insert(Document document, PageChange.Insert insert) {
        Part part = Contract.standard().parts().stream()
                .filter(one -> one.name().equals(insert.part()) && canBeAdded(one))
                .findFirst()
                .orElseThrow(() ->
                        new IllegalArgumentException("There is no part “" + Names.shown(insert.part()) + "” to add."));
        String sample = "\n" + part.sample().strip();
        if (insert.at() > 0) block(at(document, insert.at())).after(sample);
        else {
            Element main = document.selectFirst("main");
            if (main == null) throw new IllegalArgumentException("The page has no main part that it could stand in.");
            main.append(sample + "\n");
        }
    }

    private static void look(Element element, String level) {
        if (!PageChange.LEVELS.contains(element.normalName()))
            throw new IllegalArgumentException("Only a heading can wear the look of another level.");
        if (!level.isEmpty() && !PageChange.LEVELS.contains(level))
            throw new IllegalArgumentException(
                    "There is no heading “" + Names.shown(level) + "”: it is one of h1 to h6.");
        if (level.isEmpty() || level.equals(element.normalName())) element.removeAttr(LOOK);
        else element.attr(LOOK, level);
    }

    /** Whether an element holds nothing but words. */
    static boolean isWords(Element element) {
        return element.children().isEmpty() && !element.ownText().isBlank();
    }

    private static void words(Element element, String text) {
        if (!isWords(element))
            throw new IllegalArgumentException(said(element) + " holds more than words; change what lies in it.");
        String said = text.replaceAll("\\s+", " ").strip();
        if (said.isEmpty())
            throw new IllegalArgumentException("Write at least a word; what is not needed can be removed.");
        if (said.length() > MOST_WORDS)
            throw new IllegalArgumentException("That is more than " + MOST_WORDS + " letters.");
        element.text(said);
    }

    private static void picture(Element element, PageChange.Picture picture) {
        if (!element.normalName().equals("img")) throw new IllegalArgumentException(said(element) + " is no picture.");
        if (!PageCleaning.isOwnFile(picture.source()))
            throw new IllegalArgumentException(
                    "“" + Names.shown(picture.source()) + "” is no picture of the site; choose one of its own.");
        element.attr("src", picture.source());
        element.attr("alt", picture.alternative());
        element.removeAttr("srcset");
        element.removeAttr("width");
        element.removeAttr("height");
    }

    private static void shown(Element element, boolean shown) {
        boolean title = element.normalName().equals("h1");
        if (!title
                && !(REGIONS.contains(element.normalName())
                        && element.parent() == element.ownerDocument().body()))
            throw new IllegalArgumentException(
                    "Only a title and the regions of the frame can be hidden; remove the rest.");
        String attribute = title ? TITLE : HIDDEN;
        if (shown) element.removeAttr(attribute);
        else element.attr(attribute, title ? HIDDEN : "");
    }

    private static String said(Element element) {
        return "<" + element.normalName() + ">";
    }
}
