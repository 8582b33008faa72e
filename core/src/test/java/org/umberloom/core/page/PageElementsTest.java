package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.PartRule;
import org.umberloom.core.sheet.Selector;

/** Elements that are found by the end of a selector are those that jsoup finds by asking all of them. */
class PageElementsTest {
    private static final List<String> TAGS = List.of("p", "a", "h1", "h2", "div", "section", "button", "li", "img");
    private static final List<String> MARKS = List.of(
            "",
            " class=\"Note first\"",
            " class=\"note\"",
            " id=\"Top\"",
            " data-part=\"card\"",
            " data-part=\"hero\" data-surface=\"sea\"",
            " href=\"#x\"",
            " hidden",
            " aria-current=\"page\"");

    /** A page of random elements in each other. */
    private static Document page(long seed) {
        Random random = new Random(seed);
        StringBuilder html = new StringBuilder("<html><head></head><body><header></header><main>");
        for (int i = 0; i < 120; i++)
            if (random.nextInt(3) == 0) html.append("</div>");
            else
                html.append("<")
                        .append(TAGS.get(random.nextInt(TAGS.size())))
                        .append(MARKS.get(random.nextInt(MARKS.size())))
                        .append(">");
        return Jsoup.parse(html.toString());
    }

    @Test
    void everySelectorOfTheContractFindsTheSame() {
        TreeSet<String> selectors = new TreeSet<>();
        for (PartRule rule : Contract.standard().rules())
            for (Selector selector : rule.rule().selectors()) selectors.add(selector.resting());
        assertThat(selectors).hasSizeGreaterThan(200);
        for (long seed = 0; seed < 5; seed++) sameAsAskingAll(page(seed), selectors);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "*",
                "p",
                "P",
                ".note",
                ".NOTE",
                ".note.first",
                "#Top",
                "a[href]",
                "[data-part=card]",
                "div > p, li",
                "main p",
                "main > *",
                "p + a",
                "h1 ~ p",
                ":is(h1, h2)",
                "a:not(.note)",
                "section:has(> p)",
                "[class~=note]",
                "li:first-child",
                ":root",
                "body",
                "[hidden]",
                "div:not(:has(p, a)) > img",
            })
    void selectorsOfPeopleFindTheSame(String selector) {
        for (long seed = 5; seed < 10; seed++) sameAsAskingAll(page(seed), List.of(selector));
    }

    private static void sameAsAskingAll(Document page, Iterable<String> selectors) {
        PageElements elements = new PageElements(page);
        for (String selector : selectors) {
            PageElements.Wanted wanted = new PageElements.Wanted(selector);
            assertThat(elements.select(wanted))
                    .as(selector)
                    .usingElementComparator((one, other) -> one == other ? 0 : 1)
                    .containsExactlyElementsOf(page.select(selector));
        }
    }

    @Test
    void whatCannotBeAskedIsRefused() {
        assertThatThrownBy(() -> new PageElements.Wanted("p:nonsense(")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new PageElements.Wanted(":is(".repeat(20_000) + "p" + ")".repeat(20_000)))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
