package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Comment;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.OwnSheet;
import org.umberloom.core.sheet.Sheet;
import org.umberloom.core.sheet.SheetReader;

/**
 * Pages from elsewhere made harmless: nothing in them runs, loads or reaches anything. What they say stays; what was taken out is
 * counted, in words.
 */
public final class PageCleaning {
    private static final int MOST_ELEMENTS = 50_000;
    private static final int DEEPEST = 256;
    /** Elements that run, load or embed something, gone with all that is in them. */
    private static final String GONE =
            "script, iframe, frame, frameset, object, embed, applet, portal, base, template, dialog[open] script, "
                    + "meta[http-equiv], link:not([rel=stylesheet]), audio, video, track, foreignObject, animate, set";

    /** Attributes whose value is an address that a page loads by itself, or that something is sent to. */
    private static final Set<String> LOADED = Set.of("src", "poster", "background", "data", "lowsrc", "dynsrc");

    private static final Set<String> SENT = Set.of("action", "formaction", "ping");
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
        for (Element element : document.select(GONE)) {
            count(name(element));
            element.remove();
        }
        List<String> sheets = new ArrayList<>();
        for (Element link : document.select("link[rel=stylesheet]")) {
            String href = link.attr("href");
            if (isRemote(href)) count("style sheets from elsewhere");
            else if (!href.isBlank()) sheets.add(href);
            link.remove();
        }
        StringBuilder styles = new StringBuilder();
        for (Element style : document.select("style")) {
            styles.append(style.data()).append('\n');
            style.remove();
        }
        for (Element element : document.getAllElements()) attributes(element);
        comments(document);
        document.head().appendElement("link").attr("rel", "stylesheet").attr("href", "theme.css");
        return new Cleaned(document.outerHtml(), document.title(), styles.toString(), sheets, removed);
    }

    /** Takes out what only hastens what style sheets ask for anyway; nobody misses it. */
    public static void hints(Document document) {
        document.select("link[rel=preload][as=font]").remove();
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
            else if (name.equals("style")) style(element, value);
            else if (SENT.contains(name)) {
                if (!value.equals("#")) {
                    if (name.equals("action")) {
                        element.attr(attribute.getKey(), "#");
                        count("targets of forms");
                    } else gone(element, attribute, "targets of forms");
                }
            } else if (LOADED.contains(name)) load(element, attribute);
            else if (name.equals("href") || name.endsWith(":href")) link(element, attribute);
        }
    }

    private void load(Element element, Attribute attribute) {
        String value = attribute.getValue().strip();
        if (value.toLowerCase(Locale.ROOT).startsWith("data:image/")) return;
        if (isRemote(value)) {
            gone(element, attribute, "things from elsewhere");
            return;
        }
        local.apply(value)
                .ifPresentOrElse(
                        here -> element.attr(attribute.getKey(), here),
                        () -> gone(element, attribute, "files that did not come along"));
    }

    /** Links lead where they led: to a page that came along, to somewhere else, or nowhere. */
    private void link(Element element, Attribute attribute) {
        String value = attribute.getValue().strip();
        if (value.startsWith("#")) return;
        if (!element.normalName().equals("a") && !element.normalName().equals("area")) {
            // Drawings refer to parts of themselves only.
            gone(element, attribute, "things from elsewhere");
            return;
        }
        String scheme = scheme(value);
        if (!scheme.isEmpty()) {
            if (!SAFE_SCHEMES.contains(scheme)) gone(element, attribute, "links that run something");
        } else if (!value.startsWith("//"))
            local.apply(value).ifPresent(here -> element.attr(attribute.getKey(), here));
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
        return OwnSheet.of(css, PageCleaning::reaches);
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
        return !address.isBlank() && !isRemote(address) && !address.startsWith("/") && !address.contains("..");
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

    private static boolean isRemote(String address) {
        return address.strip().startsWith("//")
                || address.strip().startsWith("\\")
                || !scheme(address).isEmpty();
    }

    /** In small letters; what browsers pass over in addresses does not hide it. Empty for a relative one. */
    private static String scheme(String address) {
        String plain = address.replaceAll("[\\p{Cntrl}\\s]", "");
        int colon = plain.indexOf(':');
        int other = plain.replaceAll("[/?#]", "\0").indexOf('\0');
        return colon < 0 || other >= 0 && other < colon
                ? ""
                : plain.substring(0, colon).toLowerCase(Locale.ROOT);
    }
}
