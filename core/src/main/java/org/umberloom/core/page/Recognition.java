package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
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

    private static final Region HEADER = new Region(
            "header",
            "banner",
            "header",
            Set.of("header", "masthead", "banner", "topbar", "site-header", "page-header"));
    private static final Region MAIN = new Region(
            "main", "main", "main part", Set.of("main", "content", "main-content", "page-content", "body-content"));
    private static final Region FOOTER = new Region(
            "footer",
            "contentinfo",
            "footer",
            Set.of("footer", "site-footer", "navfooter", "bottombar", "page-footer"));
    private static final List<Region> REGIONS = List.of(
            HEADER,
            new Region(
                    "nav", "navigation", "menu", Set.of("nav", "navbar", "navigation", "menu", "navheader", "sidenav")),
            MAIN,
            FOOTER);

    private static final String SIDEBAR = "sidebar";
    private static final Set<String> SIDEBARS =
            Set.of("sidebar", "side", "sidenav", "side-nav", "toc", "table-of-contents", "tableofcontents", "localtoc");
    /** A list of links with fewer entries is a menu. */
    private static final int FEWEST_LINKS = 3;

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
        Optional<Element> main = main(body);
        List<Element> sidebars = main.map(one -> sidebars(body, one)).orElse(List.of());
        main.ifPresent(one -> {
            raise(body, one, "main");
            for (Region region : List.of(HEADER, FOOTER))
                outside(body, one, region).ifPresent(el -> raise(body, el, region.tag));
            sidebars.forEach(sidebar -> {
                raise(body, sidebar, sidebar.normalName().equals("nav") ? "nav" : "aside");
                sidebar.attr(PART, SIDEBAR);
                count(SIDEBAR);
            });
        });
        if (main.isEmpty()) unwrap(body);
        Set<String> missing = new TreeSet<>();
        for (Region region : REGIONS) {
            boolean there = region.tag.equals("nav")
                    ? document.select("nav").stream()
                            .anyMatch(nav -> !nav.attr(PART).equals(SIDEBAR))
                    : !document.select("body > " + region.tag).isEmpty();
            if (there || find(body, region)) count(region.called);
            else missing.add(region.called);
        }
        if (missing.contains("main part") && !body.children().isEmpty()) gather(body);
        else if (main.isPresent()) gatherInto(body, main.get());
        for (Element element : body.getAllElements()) part(element);
        return new Recognised(document.outerHtml(), found, missing);
    }

    /** The main part, however deep: by its tag, by its role, else the shallowest element whose words say so. */
    private static Optional<Element> main(Element body) {
        for (String selector : List.of("main", "[role=main]"))
            for (Element element : body.select(selector)) return Optional.of(element);
        return body.select("div, section, article").stream()
                .filter(element -> words(element).stream().anyMatch(MAIN.words::contains))
                .min(Comparator.comparingInt(element -> element.parents().size()));
    }

    /** A header or footer of the page: the first outside of the main part and of articles, by tag, role or words. */
    private static Optional<Element> outside(Element body, Element main, Region region) {
        Predicate<Element> ofPage = element -> !element.equals(main)
                && !element.parents().contains(main)
                && !main.parents().contains(element)
                && element.parents().stream()
                        .noneMatch(one -> Set.of("article", "aside", "figure").contains(one.normalName()));
        List<Element> all = body.getAllElements();
        return all.stream()
                .filter(ofPage)
                .filter(element -> element.attr("role").equals(region.role)
                        || element.normalName().equals(region.tag))
                .findFirst()
                .or(() -> all.stream()
                        .filter(ofPage)
                        .filter(element -> element.normalName().equals("div") && is(element, region))
                        .findFirst());
    }

    /** What stands beside the main part: asides, complementary regions, tables of contents, and lists of links. */
    private static List<Element> sidebars(Element body, Element main) {
        List<Element> found = new ArrayList<>();
        for (Element element : body.getAllElements()) {
            boolean apart = !element.equals(main) && !main.parents().contains(element);
            if (!apart || found.stream().anyMatch(one -> element.parents().contains(one))) continue;
            boolean within = element.parents().contains(main);
            boolean aside =
                    element.normalName().equals("aside") || element.attr("role").equals("complementary");
            boolean called = Set.of("div", "nav", "section").contains(element.normalName())
                    && words(element).stream().anyMatch(SIDEBARS::contains);
            boolean links = element.normalName().equals("nav")
                    && element.parent() != null
                    && !element.parent().normalName().equals("body")
                    && main.parents().contains(element.parent())
                    && element.select("li").size() >= FEWEST_LINKS;
            if (!within && (aside || called || links)) found.add(element);
        }
        return found;
    }

    /** Takes off the wrappers around an element, so that it lies in the body itself, as the frame's rules need it. */
    private void raise(Element body, Element element, String tag) {
        for (Element parent = element.parent(); parent != null && !parent.equals(body); parent = element.parent()) {
            parent.unwrap();
            count("wrapper taken off");
        }
        if (!element.normalName().equals(tag)) element.tagName(tag);
    }

    /** What was in a wrapper beside the main part belongs to it: before it what came before, and after it what came after. */
    private static void gatherInto(Element body, Element main) {
        List<Node> before = new ArrayList<>();
        List<Node> after = new ArrayList<>();
        boolean passed = false;
        for (Node node : body.childNodes()) {
            if (node.equals(main)) {
                passed = true;
                continue;
            }
            boolean words = node instanceof TextNode text && !text.isBlank();
            boolean content = node instanceof Element element
                    && !element.hasAttr(PART)
                    && !Set.of("header", "nav", "footer", "aside", "script", "template", "a")
                            .contains(element.normalName());
            if (words || content) (passed ? after : before).add(node);
        }
        for (int i = before.size() - 1; i >= 0; i--) main.prependChild(before.get(i));
        after.forEach(main::appendChild);
    }

    /** A wrapper around everything keeps rules for what lies in the body itself from reaching it. */
    private void unwrap(Element body) {
        for (int i = 0; i < 2; i++) {
            List<Element> children = body.children();
            if (children.size() != 1
                    || !children.get(0).normalName().equals("div")
                    || !body.ownText().isBlank()) return;
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
