package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * The headings of a page in order, and what is wrong with them. Sources: WCAG 2.2, success criterion 1.3.1 with technique G141
 * (organizing a page using headings) and H42; that a level is not skipped and that a page has one title is common practice.
 */
public final class Headings {
    private static final String ALL = "h1, h2, h3, h4, h5, h6";

    /** What can be wrong. */
    public enum Fault {
        /** A page without a heading of level 1. */
        NO_TITLE,
        /** A second heading of level 1. */
        SECOND_TITLE,
        /** A level that was left out on the way down. */
        SKIPPED,
        /** A heading without words. */
        EMPTY
    }

    /**
     * One heading.
     *
     * @param at    where it stands in the body, as {@link Spots} counts
     * @param level of its tag, 1 to 6
     * @param look  the level whose look it wears
     * @param shown whether it is seen
     * @param fault what is wrong with it
     */
    public record Heading(int at, int level, int look, String words, boolean shown, Optional<Fault> fault) {}

    /** @param missing what the page lacks as a whole */
    public record Order(List<Heading> headings, Optional<Fault> missing) {}

    private Headings() {}

    public static Order of(String html) {
        return of(Jsoup.parse(html));
    }

    static Order of(Document document) {
        List<Heading> headings = new ArrayList<>();
        int at = 0;
        int before = 0;
        boolean title = false;
        for (Element element : document.body().getAllElements()) {
            int here = at++;
            // Neither seen nor heard.
            if (!element.is(ALL) || element.closest("[hidden], [aria-hidden=true]") != null) continue;
            int level = level(element.normalName());
            Optional<Fault> fault = Optional.empty();
            if (words(element).isBlank()) fault = Optional.of(Fault.EMPTY);
            else if (level == 1 && title) fault = Optional.of(Fault.SECOND_TITLE);
            else if (before > 0 && level > before + 1) fault = Optional.of(Fault.SKIPPED);
            title |= level == 1;
            headings.add(new Heading(
                    here,
                    level,
                    PageChange.LEVELS.contains(element.attr(PageChanges.LOOK))
                            ? level(element.attr(PageChanges.LOOK))
                            : level,
                    words(element),
                    !element.hasAttr(PageChanges.TITLE),
                    fault));
            before = level;
        }
        return new Order(headings, title ? Optional.empty() : Optional.of(Fault.NO_TITLE));
    }

    /** What is heard of it: its label, its text, and the alternative texts of pictures in it. */
    private static String words(Element heading) {
        StringBuilder words = new StringBuilder(heading.attr("aria-label")).append(heading.text());
        heading.select("img[alt]").forEach(picture -> words.append(picture.attr("alt")));
        return words.toString().strip();
    }

    private static int level(String tag) {
        return tag.charAt(1) - '0';
    }
}
