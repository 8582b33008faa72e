package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.contract.Member;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.limit.Recent;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.Selector;
import org.umberloom.core.sheet.SheetReader;
import org.umberloom.core.sheet.StyleRule;

/**
 * Literal values that somebody wrote at a page by hand, on properties that a role governs there: in {@code style} attributes
 * and in presentational attributes.
 */
public final class HandValues {
    private static final int MOST_WORDS = 60;
    /** Values of one style sheet on all pages together. */
    private static final int MOST_REACHED = 300_000;

    private static final String STYLE = "style";
    /** The source of values that stand in a style sheet rather than on a page. */
    public static final String SHEET = "sheet";

    /** What presentational attributes mean. Source: HTML Living Standard, section 15, Rendering. */
    private static final Map<String, String> PRESENTATIONAL = Map.of(
            "bgcolor", "background-color",
            "text", "color",
            "face", "font-family",
            "color", "color");
    /** Elements on which those attributes mean that; {@code *} for any. */
    private static final Map<String, Set<String>> ON = Map.of(
            "bgcolor", Set.of("body", "table", "thead", "tbody", "tfoot", "tr", "td", "th"),
            "text", Set.of("body"),
            "face", Set.of("font"),
            "color", Set.of("font"));

    /**
     * One value.
     *
     * @param at       where its element stands in the body, as {@link Spots} counts
     * @param tag      of the element
     * @param words    the first words in it
     * @param source   {@code style}, {@code sheet}, or the name of the presentational attribute
     * @param property that it sets
     * @param value    as CSS
     * @param reading  what would govern the property there, such as {@code surface.text} or {@code type.h1.size}
     * @param surface  that the element stands on
     * @param piece    that it lies in; empty for none
     */
    public record HandValue(
            int at,
            String tag,
            String words,
            String source,
            String property,
            String value,
            String reading,
            String surface,
            String piece) {}

    private static final Recent<List<HandValue>> KNOWN = new Recent<>();

    private HandValues() {}

    /** @throws IllegalArgumentException for markup that is too much to be looked through in time */
    public static List<HandValue> of(String html) {
        return KNOWN.get(html, HandValues::read);
    }

    private static List<HandValue> read(String html) {
        Document document = Jsoup.parse(html);
        RulesOfPages.Governing governing = new RulesOfPages.Governing(new PageElements(document));
        List<HandValue> found = new ArrayList<>();
        int at = 0;
        for (Element element : document.body().getAllElements()) {
            Patience.ask();
            if (element.hasAttr(STYLE))
                for (Declaration declaration :
                        SheetReader.readStyle(element.attr(STYLE)).declarations())
                    value(governing, element, at, STYLE, declaration.property(), declaration.value())
                            .ifPresent(found::add);
            for (Map.Entry<String, String> attribute : PRESENTATIONAL.entrySet())
                if (element.hasAttr(attribute.getKey())
                        && ON.get(attribute.getKey()).contains(element.normalName()))
                    value(
                                    governing,
                                    element,
                                    at,
                                    attribute.getKey(),
                                    attribute.getValue(),
                                    element.attr(attribute.getKey()))
                            .ifPresent(found::add);
            at++;
        }
        return List.copyOf(found);
    }

    /**
     * The values of a style sheet that hide a role, each with every element that it reaches: for each declaration, by its number in
     * the sheet, what it does on each page. Whether another rule wins over it there is not asked.
     *
     * @param pages their markup by name
     * @throws IllegalArgumentException for a sheet that reaches too much to be looked through
     */
    public static Map<Integer, Map<String, List<HandValue>>> ofSheet(String css, Map<String, String> pages) {
        Map<Integer, Map<String, List<HandValue>>> found = new LinkedHashMap<>();
        if (css.isBlank()) return found;
        Map<String, Laid> documents = new LinkedHashMap<>();
        pages.forEach((page, html) -> {
            PageElements elements = new PageElements(Jsoup.parse(html));
            documents.put(
                    page, new Laid(elements, Markup.places(elements.document()), new RulesOfPages.Governing(elements)));
        });
        int number = 0;
        int[] all = {0};
        for (StyleRule rule : SheetReader.read(css).rules())
            for (Declaration declaration : rule.declarations()) {
                Patience.ask();
                int here = number++;
                if (!isLiteral(declaration.value())) continue;
                documents.forEach((page, document) -> {
                    List<HandValue> there = reached(rule, declaration, document);
                    all[0] += there.size();
                    if (all[0] > MOST_REACHED)
                        throw new IllegalArgumentException("The style sheet writes values at more than " + MOST_REACHED
                                + " places of the pages, too many to be looked through. Write them as fewer rules, "
                                + "or take them from the theme.");
                    if (!there.isEmpty())
                        found.computeIfAbsent(here, key -> new LinkedHashMap<>())
                                .put(page, there);
                });
            }
        return found;
    }

    /** @param places where its elements stand in the body */
    private record Laid(PageElements elements, Map<Element, Integer> places, RulesOfPages.Governing governing) {}

    private static List<HandValue> reached(StyleRule rule, Declaration declaration, Laid page) {
        List<HandValue> there = new ArrayList<>();
        Set<Element> before = new HashSet<>();
        for (Selector selector : rule.selectors()) {
            if (!selector.drawn().isEmpty() || !selector.states().isEmpty()) continue;
            Optional<PageElements.Wanted> wanted = wanted(selector.resting());
            if (wanted.isEmpty()) continue;
            for (Element element : page.elements().select(wanted.get())) {
                Integer at = page.places().get(element);
                if (at == null || !before.add(element)) continue;
                value(page.governing(), element, at, SHEET, declaration.property(), declaration.value())
                        .ifPresent(there::add);
            }
        }
        return there;
    }

    /** What cannot be asked of a page that stands still matches nothing. */
    private static Optional<PageElements.Wanted> wanted(String selector) {
        try {
            return Optional.of(new PageElements.Wanted(selector));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** The page without one of its values; the same where it is not there. */
    public static String without(String html, HandValue gone) {
        Document document = Markup.read(html);
        List<Element> all = document.body().getAllElements();
        if (gone.at >= all.size()) return html;
        Element element = all.get(gone.at);
        if (!gone.source.equals(STYLE)) element.removeAttr(gone.source);
        else {
            StringBuilder left = new StringBuilder();
            for (Declaration declaration :
                    SheetReader.readStyle(element.attr(STYLE)).declarations())
                if (!declaration.property().equals(gone.property)
                        || !declaration.value().equals(gone.value))
                    left.append(left.isEmpty() ? "" : "; ").append(declaration);
            if (left.isEmpty()) element.removeAttr(STYLE);
            else element.attr(STYLE, left.toString());
        }
        if (element.normalName().equals("font") && element.attributesSize() == 0) element.unwrap();
        return document.outerHtml();
    }

    private static Optional<HandValue> value(
            RulesOfPages.Governing governing, Element element, int at, String source, String property, String value) {
        String name = property.toLowerCase(Locale.ROOT);
        if (!isLiteral(value)) return Optional.empty();
        return governing
                .reading(element, name)
                .filter(reading -> !Member.isManner(reading))
                .map(reading -> {
                    Element piece = Markup.around(element, Pieces.PLACED);
                    return new HandValue(
                            at,
                            element.normalName(),
                            Markup.words(element, MOST_WORDS),
                            source,
                            name,
                            value,
                            reading,
                            Markup.surface(element),
                            piece == null ? "" : piece.attr(Pieces.PLACED));
                });
    }

    private static boolean isLiteral(String value) {
        return !value.contains("var(")
                && !Set.of("inherit", "initial", "unset", "revert").contains(value);
    }
}
