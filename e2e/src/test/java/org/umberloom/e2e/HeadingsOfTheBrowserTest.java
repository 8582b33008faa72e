package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.TreeSet;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.umberloom.core.page.Headings;
import org.umberloom.core.page.PageChange;
import org.umberloom.core.page.PageChanges;

/**
 * What is said of a page's headings, against the rules page-has-heading-one, heading-order and empty-heading of axe-core (version
 * as in ui/package-lock.json): on every page of the demo as it is, and with faults planted by chance.
 */
class HeadingsOfTheBrowserTest {
    private static final int PLANTED = 120;
    private static final String RUN =
            """
            async () => {
              const result = await axe.run(document,
                { runOnly: ['page-has-heading-one', 'heading-order', 'empty-heading'], resultTypes: ['violations'] });
              return result.violations.flatMap((rule) => rule.nodes.map((node) => rule.id === 'page-has-heading-one' ? rule.id
                : rule.id + ' ' + [...document.body.querySelectorAll('*')].indexOf(document.querySelector(node.target[0])))).sort();
            }""";

    /** In axe's words. A second heading of level 1 is no fault to it. */
    private static List<String> ours(String html) {
        Headings.Order order = Headings.of(html);
        TreeSet<String> found = new TreeSet<>();
        order.missing().ifPresent(fault -> found.add("page-has-heading-one"));
        for (Headings.Heading heading : order.headings())
            heading.fault()
                    .map(fault -> switch (fault) {
                        case SKIPPED -> "heading-order ";
                        case EMPTY -> "empty-heading ";
                        default -> "";
                    })
                    .filter(words -> !words.isEmpty())
                    // The body itself is the first to be counted.
                    .ifPresent(words -> found.add(words + (heading.at() - 1)));
        return List.copyOf(found);
    }

    @SuppressWarnings("unchecked")
    private static List<String> axes(Page page, String html, String axe) {
        page.setContent(html);
        if (!(Boolean) page.evaluate("() => 'axe' in window")) page.evaluate(axe);
        return (List<String>) page.evaluate(RUN);
    }

    @Test
    void axeFindsTheSame() throws IOException {
        String axe = Files.readString(Loom.HOME.resolve("ui/node_modules/axe-core/axe.min.js"));
        List<Path> pages = Demo.pages(Demo.SITES);
        assertThat(pages.size()).isGreaterThanOrEqualTo(25);
        int faults = 0;
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            for (Path file : pages) {
                String html = Files.readString(file);
                assertThat(ours(html)).as(file.toString()).isEqualTo(axes(page, html, axe));
            }
            long seed = 20261127;
            Random random = new Random(seed);
            for (int i = 0; i < PLANTED; i++) {
                String html = planted(Files.readString(pages.get(random.nextInt(pages.size()))), random);
                List<String> ours = ours(html);
                assertThat(ours).as("seed " + seed + ", page " + i).isEqualTo(axes(page, html, axe));
                faults += ours.size();
            }
        }
        assertThat(faults).isGreaterThan(PLANTED / 2);
    }

    private static String planted(String html, Random random) {
        Document document = Jsoup.parse(html);
        List<Element> headings = new ArrayList<>(document.select("h1, h2, h3, h4, h5, h6"));
        Element one = headings.get(random.nextInt(headings.size()));
        switch (random.nextInt(7)) {
            case 0 -> one.tagName("h" + (1 + random.nextInt(6)));
            case 1 -> one.text("");
            case 2 -> one.html("<img src=\"x.png\" alt=\"" + (random.nextBoolean() ? "A boat" : "") + "\">");
            case 3 -> document.select("h1").forEach(title -> title.tagName("h2"));
            case 4 -> one.attr("hidden", "");
            case 5 -> one.attr("aria-hidden", "true");
            default -> {
                one.tagName("h" + (1 + random.nextInt(6)));
                headings.get(random.nextInt(headings.size())).tagName("h" + (1 + random.nextInt(6)));
            }
        }
        String planted = document.outerHtml();
        // A look that is borrowed is no level.
        return random.nextBoolean() || !one.tagName().matches("h[1-6]")
                ? planted
                : PageChanges.made(
                        planted,
                        new PageChange.Look(
                                document.body().getAllElements().indexOf(one),
                                Optional.of("h" + (1 + random.nextInt(6)))));
    }
}
