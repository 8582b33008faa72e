package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.limit.Patience;

/**
 * The text of a page by the style that it is set in.
 *
 * @param blocks  those that fill the text column over several lines, in their order
 * @param letters which characters each style sets, by code points; keys are paths such as {@code type.body}
 */
public record TextBlocks(List<Block> blocks, Map<String, BitSet> letters) {
    /** Shorter text hardly fills a line. */
    private static final int FEWEST_CHARACTERS = 80;

    private static final String STYLE = "type.";
    private static final String SIZE = ".size";
    private static final String FLOWING = "p, li, blockquote, dd";
    /** What has another width than the text column. */
    private static final String OTHER =
            "[data-part=card], [data-part=notice], [data-part=band], table, figure, aside, nav, header, footer, fieldset, label";

    /** Values that somebody wrote by hand, which no role tells. */
    private static final String BY_HAND = "[style*=font], [style*=width], [style*=spacing], [style*=size]";

    /**
     * @param at       where it stands in the body, as {@link Spots} counts
     * @param style    path of its style
     * @param spot     name of the narrowest spot that it is in; empty for none
     * @param language that it is written in
     * @param text     without runs of spaces
     */
    public record Block(int at, String style, String spot, Locale language, String text) {}

    /** @param chosen values of choices by their names */
    public static TextBlocks of(String html, Map<String, String> chosen) {
        Document document = Markup.read(html);
        Map<Element, Set<String>> taken = RulesOfPages.choosing(chosen).taken(document);
        List<Block> blocks = new ArrayList<>();
        Map<String, BitSet> letters = new TreeMap<>();
        int next = 0;
        for (Element element : document.body().getAllElements()) {
            Patience.ask();
            int at = next++;
            if (element.ownText().isBlank()) continue;
            String style = style(element, taken).orElse("");
            if (style.isEmpty()) continue;
            BitSet set = letters.computeIfAbsent(style, key -> new BitSet());
            element.ownText().codePoints().filter(TextBlocks::isSeen).forEach(set::set);
            String text = element.text();
            if (element.is(FLOWING)
                    && text.length() >= FEWEST_CHARACTERS
                    && element.closest("main") != null
                    && element.closest(OTHER) == null
                    && element.closest(BY_HAND) == null
                    && element.select(FLOWING + ", table, figure").size() == 1)
                blocks.add(new Block(at, style, spot(element), language(element), text));
        }
        return new TextBlocks(List.copyOf(blocks), letters);
    }

    private static boolean isSeen(int character) {
        return !Character.isWhitespace(character)
                && !Character.isSpaceChar(character)
                && !Character.isISOControl(character)
                && Character.getType(character) != Character.FORMAT;
    }

    /** That of the nearest around it whose rule says one. */
    private static Optional<String> style(Element element, Map<Element, Set<String>> taken) {
        for (Element one = element; one != null; one = one.parent())
            for (String reading : taken.getOrDefault(one, Set.of()))
                if (reading.startsWith(STYLE) && reading.endsWith(SIZE))
                    return Optional.of(reading.substring(0, reading.length() - SIZE.length()));
        return Optional.empty();
    }

    private static String spot(Element element) {
        Element named = element.closest("[" + Spots.NAME + "]");
        return named == null ? "" : named.attr(Spots.NAME);
    }

    private static Locale language(Element element) {
        Element said = element.closest("[lang]");
        return said == null ? Locale.ENGLISH : Locale.forLanguageTag(said.attr("lang"));
    }
}
