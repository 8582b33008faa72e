package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;

/**
 * Regions and parts of plain pages, recognised by their tags, their roles and the words of their classes and names, so that a
 * theme's rules reach them. Source of the roles: ARIA in HTML, section 4, landmark roles; the words are common practice.
 */
public final class Recognition {
    /**
     * A page as the theme can dress it.
     *
     * @param found   how often each region and part was recognised
     * @param missing regions that no element could be told to be
     */
    public record Recognised(String html, Map<String, Integer> found, Set<String> missing) {}

    /** A region of the frame. @param words of classes and names that say so */
    private record Region(String tag, String role, String called, Set<String> words) {}

    private static final List<Region> REGIONS = List.of(
            new Region("header", "banner", "header", Set.of("header", "masthead", "banner", "topbar", "site-header")),
            new Region(
                    "nav", "navigation", "menu", Set.of("nav", "navbar", "navigation", "menu", "navheader", "sidenav")),
            new Region(
                    "main",
                    "main",
                    "main part",
                    Set.of("main", "content", "main-content", "page-content", "body-content")),
            new Region("footer", "contentinfo", "footer", Set.of("footer", "site-footer", "navfooter", "bottombar")));

    /** Words of classes that say what a part is. */
    private static final Map<String, String> PARTS = Map.of(
            "button", "button",
            "btn", "button",
            "card", "card",
            "cards", "cards",
            "lead", "lead",
            "notice", "notice",
            "alert", "notice",
            "warning", "notice",
            "note", "notice");

    private static final Map<String, String> STATES =
            Map.of("warning", "warning", "alert", "bad", "notice", "good", "note", "good");
    private static final String PART = "data-part";

    private final Map<String, Integer> found = new LinkedHashMap<>();
    private final Document document;

    private Recognition(Document document) {
        this.document = document;
    }

    public static Recognised of(String html) {
        Document document = Markup.read(html);
        return new Recognition(document).recognise();
    }

    private Recognised recognise() {
        Element body = document.body();
        unwrap(body);
        Set<String> missing = new TreeSet<>();
        for (Region region : REGIONS) {
            boolean there = region.tag.equals("nav")
                    ? !document.select("nav").isEmpty()
                    : !document.select("body > " + region.tag).isEmpty();
            if (there || find(body, region)) count(region.called);
            else missing.add(region.called);
        }
        if (missing.contains("main part") && !body.children().isEmpty()) gather(body);
        for (Element element : body.getAllElements()) part(element);
        return new Recognised(document.outerHtml(), found, missing);
    }

    /** A wrapper around everything keeps rules for what lies in the body itself from reaching it. */
    private void unwrap(Element body) {
        for (int i = 0; i < 2; i++) {
            List<Element> children = body.children();
            if (children.size() != 1
                    || !children.get(0).normalName().equals("div")
                    || !body.ownText().isBlank()) return;
            if (is(children.get(0), REGIONS.get(2))) return;
            children.get(0).unwrap();
            count("wrapper taken off");
        }
    }

    /** Makes the first element that is said to be a region one by its tag. */
    private boolean find(Element body, Region region) {
        for (Element element : region.tag.equals("nav") ? body.getAllElements() : body.children())
            if (element.normalName().equals("div") && is(element, region)) {
                element.tagName(region.tag);
                return true;
            }
        return false;
    }

    private static boolean is(Element element, Region region) {
        return element.attr("role").equals(region.role)
                || words(element).stream().anyMatch(region.words::contains);
    }

    private static Set<String> words(Element element) {
        Set<String> words = new TreeSet<>();
        for (String word : (element.className() + " " + element.id())
                .toLowerCase(Locale.ROOT)
                .split("\\s+")) if (!word.isEmpty()) words.add(word);
        return words;
    }

    /** Everything that is no region, as the main part. */
    private void gather(Element body) {
        Element main = document.createElement("main");
        List<Node> inside = new ArrayList<>();
        for (Node node : body.childNodes()) {
            boolean region = node instanceof Element element
                    && REGIONS.stream().anyMatch(one -> one.tag.equals(element.normalName()));
            if (!region) inside.add(node);
        }
        Optional<Node> first = inside.stream()
                .filter(node -> !(node instanceof TextNode text && text.isBlank()))
                .findFirst();
        if (first.isEmpty()) return;
        first.get().before(main);
        inside.subList(inside.indexOf(first.get()), inside.size()).forEach(main::appendChild);
    }

    private void part(Element element) {
        if (element.hasAttr(PART)) return;
        for (String word : words(element)) {
            String part = PARTS.get(word);
            if (part == null || part.equals("button") && !element.normalName().equals("a")) continue;
            element.attr(PART, part);
            if (part.equals("notice")) element.attr("data-state", STATES.get(word));
            count(part);
            return;
        }
    }

    private void count(String what) {
        found.merge(what, 1, Integer::sum);
    }
}
