package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Comment;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.umberloom.core.limit.Expansion;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.limit.Recent;
import org.umberloom.core.limit.Sizes;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.OwnSheet;
import org.umberloom.core.sheet.Sheet;
import org.umberloom.core.sheet.SheetReader;
import org.umberloom.core.token.Names;

/**
 * Pages from elsewhere made harmless: nothing in them runs, loads or reaches anything. What they say stays; what was taken out is
 * counted, in words.
 */
public final class PageCleaning {
    /** Every state of a site asks for its own sheet again. */
    private static final Recent<OwnSheet> SHEETS = new Recent<>();

    private static final int MOST_ELEMENTS = 50_000;
    private static final int DEEPEST = 256;
    /** Letters of a page as it comes, of which scripts and the like are taken out. */
    private static final int LARGEST = 2 * Sizes.TEXT;
    /** An element takes two; what is taken out does not count. */
    private static final int MOST_TAGS = 4 * MOST_ELEMENTS;

    /** Elements that run, load or embed something, gone with all that is in them. */
    private static final String GONE =
            "script, iframe, frame, frameset, object, embed, applet, portal, base, template, dialog[open] script, "
                    + "meta[http-equiv], link:not([rel=stylesheet]), audio, video, track, foreignObject, animate, set";

    /** Attributes whose value is an address that a page loads by itself, or that something is sent to. */
    private static final Set<String> LOADED = Set.of("src", "background");

    /** Pixels within an address; drawings could hold what is only looked through as a file. */
    private static final Pattern PIXELS = Pattern.compile(
            "data:image/(png|jpeg|jpg|gif|webp|avif|x-icon)(;[^,]*)?,.*", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);

    private static final Pattern OWN_PART =
            Pattern.compile("[^\\\\(]*url\\(\\s*[\"']?\\s*#[^)\"'\\\\]+[\"']?\\s*\\)[^\\\\(]*");
    /** What values of drawings load with. Source: CSS Images 4, CSS Values 5. */
    private static final Pattern LOADING = Pattern.compile(
            "url|src\\(|image\\(|image-set|cross-fade|element\\(|expression\\(|-binding|\\\\",
            Pattern.CASE_INSENSITIVE);

    private static final Set<String> SAFE_SCHEMES = Set.of("http", "https", "mailto", "tel");

    /**
     * A page without what could do harm.
     *
     * @param title   as it says itself; empty where it does not
     * @param styles  what its own style elements say
     * @param sheets  addresses of the style sheets that it names, in order
     * @param removed what was taken out, with how often: {@code scripts}, {@code event attributes}
     */
    public record Cleaned(
            String html, String title, String styles, List<String> sheets, Map<String, Integer> removed) {}

    private final Map<String, Integer> removed = new LinkedHashMap<>();
    private final Function<String, Optional<String>> local;

    private PageCleaning(Function<String, Optional<String>> local) {
        this.local = local;
    }

    /**
     * @param local the address that a relative one has from now on; none for what did not come along
     * @throws IllegalArgumentException for a page that is too much or too deep
     */
    public static Cleaned of(String html, Function<String, Optional<String>> local) {
        return new PageCleaning(local).clean(html);
    }

    private Cleaned clean(String html) {
        // Known before it is parsed: a tree takes many times the room of its text.
        if (html.length() > LARGEST || html.chars().filter(c -> c == '<').count() > MOST_TAGS)
            throw new IllegalArgumentException("A page of " + Sizes.counted(html.length())
                    + " letters is not taken in: at most " + Sizes.counted(LARGEST) + ", with " + MOST_ELEMENTS
                    + " elements.");
        Document document = Markup.read(html);
        List<Element> all = document.getAllElements();
        if (all.size() > MOST_ELEMENTS)
            throw new IllegalArgumentException("A page of more than " + MOST_ELEMENTS + " elements is not taken in.");
        for (Element element : all) {
            Patience.ask();
            if (depth(element) > DEEPEST)
                throw new IllegalArgumentException(
                        "A page whose elements lie more than " + DEEPEST + " deep in each other is not taken in.");
        }
        document.select("noscript").unwrap();
        hints(document);
        drawings(document);
        for (Element element : document.select(GONE)) {
            count(name(element));
            element.remove();
        }
        List<String> sheets = new ArrayList<>();
        for (Element link : document.select("link[rel=stylesheet]")) {
            String href = link.attr("href");
            if (PageAddress.of(href).leadsAway()) count("style sheets from elsewhere");
            else if (!href.isBlank()) sheets.add(href);
            link.remove();
        }
        StringBuilder styles = new StringBuilder();
        for (Element style : document.select("style")) {
            styles.append(style.data()).append('\n');
            style.remove();
        }
        for (Element element : document.getAllElements()) {
            if (element != document && !KnownMarkup.isElement(element.normalName())) {
                count("<" + Names.shown(element.normalName()) + ">");
                element.unwrap();
            } else attributes(element);
        }
        comments(document);
        document.head().appendElement("link").attr("rel", "stylesheet").attr("href", "theme.css");
        return new Cleaned(document.outerHtml(), document.title(), styles.toString(), sheets, removed);
    }

    /** Takes out what only hastens what the style sheets of a kit ask for anyway; nobody misses it. */
    public static void hints(Document document) {
        for (Element link : document.select("link[rel=preload][as=font]"))
            if (!PageAddress.of(link.attr("href")).leadsAway()) link.remove();
    }

    /** Drawings that come to more than can be drawn are gone. */
    private void drawings(Document document) {
        List<Element> drawings = document.select("svg");
        if (drawings.isEmpty()) return;
        Expansion expansion = new Expansion();
        for (Element drawing : drawings) if (!drawing.parents().is("svg")) tell(drawing, expansion);
        if (expansion.drawn() <= Expansion.MOST) return;
        drawings.forEach(Element::remove);
        removed.merge("drawings that repeat themselves too often", drawings.size(), Integer::sum);
    }

    private static void tell(Element element, Expansion expansion) {
        List<String> references = new ArrayList<>();
        element.attributes()
                .forEach(one ->
                        references.addAll(Expansion.references(one.getValue().strip())));
        expansion.open(element.id(), element.classNames(), references);
        element.children().forEach(inner -> tell(inner, expansion));
        expansion.close();
    }

    private static int depth(Element element) {
        int depth = 0;
        for (Node one = element; one != null && depth <= DEEPEST; one = one.parent()) depth++;
        return depth;
    }

    private static String name(Element element) {
        return switch (element.normalName()) {
            case "script" -> "scripts";
            case "iframe", "frame", "frameset", "object", "embed", "applet", "portal" -> "embedded pages";
            case "audio", "video", "track" -> "sound and film";
            case "link" -> "links of the head";
            case "meta" -> "instructions to browsers";
            default -> "<" + element.normalName() + ">";
        };
    }

    private void attributes(Element element) {
        for (Attribute attribute : List.copyOf(element.attributes().asList())) {
            String name = attribute.getKey().toLowerCase(Locale.ROOT);
            String value = attribute.getValue();
            if (name.startsWith("on")) gone(element, attribute, "event attributes");
            else if (name.equals("srcdoc") || name.equals("srcset") || name.equals("imagesrcset"))
                gone(element, attribute, "sets of sources");
            else if (name.equals("formaction") || name.equals("ping")) gone(element, attribute, "targets of forms");
            else if (name.equals("poster") || name.equals("data") || name.equals("lowsrc") || name.equals("dynsrc"))
                gone(element, attribute, "things from elsewhere");
            else if (!KnownMarkup.isAttribute(name)) gone(element, attribute, "unknown attributes");
            else if (name.equals("style")) style(element, value);
            else if (name.equals("action")) {
                if (!value.equals("#")) {
                    element.attr(attribute.getKey(), "#");
                    count("targets of forms");
                }
            } else if (LOADED.contains(name)) load(element, attribute);
            else if (KnownMarkup.ADDRESSES.contains(name)) link(element, attribute);
            else if (KnownMarkup.paints(name) && loads(value) && isDrawn(element))
                gone(element, attribute, "things from elsewhere");
        }
    }

    private static boolean isDrawn(Element element) {
        for (Element one = element; one != null; one = one.parent())
            if (one.normalName().equals("svg")) return true;
        return KnownMarkup.isDrawn(element.normalName());
    }

    /** Whether a value of a drawing's attribute asks for something that does not lie in the page. */
    private static boolean loads(String value) {
        return LOADING.matcher(value).find() && !OWN_PART.matcher(value).matches();
    }

    private void load(Element element, Attribute attribute) {
        PageAddress address = PageAddress.of(attribute.getValue());
        if (PIXELS.matcher(address.text()).matches()) return;
        if (address.leadsAway()) {
            gone(element, attribute, "things from elsewhere");
            return;
        }
        local.apply(address.text())
                .ifPresentOrElse(
                        here -> element.attr(attribute.getKey(), here),
                        () -> gone(element, attribute, "files that did not come along"));
    }

    /** Links lead where they led: to a page that came along, to somewhere else, or nowhere. */
    private void link(Element element, Attribute attribute) {
        PageAddress address = PageAddress.of(attribute.getValue());
        if (address.inPage()) return;
        if (attribute.getKey().equals("href")
                && element.normalName().equals("image")
                && PIXELS.matcher(address.text()).matches()) return;
        // What only says where something was said loads nothing.
        if (attribute.getKey().equals("cite") && !isDrawn(element)) return;
        if (!element.normalName().equals("a") && !element.normalName().equals("area")) {
            // Drawings refer to parts of themselves only.
            gone(element, attribute, "things from elsewhere");
            return;
        }
        if (!address.scheme().isEmpty()) {
            if (!SAFE_SCHEMES.contains(address.scheme())) gone(element, attribute, "links that run something");
            else if (!address.text().equals(attribute.getValue())) element.attr(attribute.getKey(), address.text());
        } else if (!address.toHost())
            local.apply(address.text()).ifPresent(here -> element.attr(attribute.getKey(), here));
    }

    private void style(Element element, String value) {
        StringBuilder kept = new StringBuilder();
        Sheet sheet = SheetReader.readStyle(value);
        if (!sheet.faults().isEmpty()) count("declarations that cannot be read");
        for (Declaration declaration : sheet.declarations())
            if (reaches(declaration.value())) count("things from elsewhere");
            else kept.append(kept.isEmpty() ? "" : "; ").append(declaration);
        if (kept.isEmpty()) element.removeAttr("style");
        else element.attr("style", kept.toString());
    }

    /**
     * A style sheet of somebody's own, so that nothing in it loads anything.
     *
     * @throws IllegalArgumentException for a text that is too large, or no style sheet at all
     */
    public static OwnSheet sheet(String css) {
        return SHEETS.get(css, text -> OwnSheet.of(text, PageCleaning::reaches));
    }

    /** Whether a value of CSS loads something. */
    public static boolean reaches(String value) {
        String lower = value.toLowerCase(Locale.ROOT);
        return lower.contains("url(")
                || lower.contains("image-set(")
                || lower.contains("expression(")
                || lower.contains("src(")
                || lower.contains("\\");
    }

    /** Whether an address is a file that lies beside the page, and neither reaches out nor up. */
    static boolean isOwnFile(String address) {
        return PageAddress.of(address).isBeside();
    }

    private void comments(Node node) {
        for (Node child : new ArrayList<>(node.childNodes()))
            if (child instanceof Comment comment) {
                comment.remove();
                count("comments");
            } else comments(child);
    }

    private void gone(Element element, Attribute attribute, String what) {
        element.removeAttr(attribute.getKey());
        count(what);
    }

    private void count(String what) {
        removed.merge(what, 1, Integer::sum);
    }
}
