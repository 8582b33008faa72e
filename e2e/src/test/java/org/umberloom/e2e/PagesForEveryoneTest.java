package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonElement;
import com.google.gson.JsonParser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/**
 * The demo’s own pages as readers get them, by axe-core on a phone in both schemes: text can be read, targets measure 24 pixels, and
 * what scrolls is reached by keyboard. What was written by hand to show what that does is told by itself.
 */
class PagesForEveryoneTest {
    private static final Loom LOOM = Loom.withDemo();
    private static final String RUN =
            """
            async () => {
              const result = await axe.run(document, { iframes: false,
                runOnly: ['color-contrast', 'target-size', 'scrollable-region-focusable'] });
              return result.violations.flatMap((rule) => rule.nodes.map((node) => rule.id + ' ' + node.target.join(' ') + ' '
                + (document.querySelector(node.target[0])?.getAttribute('style') ?? '')));
            }""";

    @Test
    void theDemoFailsOnlyWhereItIsMeantTo() throws IOException {
        String axe = Files.readString(Loom.HOME.resolve("ui/node_modules/axe-core/axe.min.js"));
        TreeSet<String> found = new TreeSet<>();
        int pages = 0;
        for (ColorScheme scheme : List.of(ColorScheme.LIGHT, ColorScheme.DARK))
            try (BrowserContext readers = Browsers.signedIn(LOOM, scheme).context()) {
                Page page = readers.pages().get(0);
                page.setViewportSize(390, 900);
                for (JsonElement site : JsonParser.parseString(page.request()
                                .get(LOOM.address() + "/api/sites?theme=1")
                                .text())
                        .getAsJsonArray()) {
                    String slug = site.getAsJsonObject().get("slug").getAsString();
                    if (!List.of("crossings", "freight", "galley", "trust", "winter", "crew")
                            .contains(slug)) continue;
                    for (JsonElement one : site.getAsJsonObject().getAsJsonArray("pages")) {
                        String name = one.getAsJsonObject().get("slug").getAsString();
                        page.navigate(
                                LOOM.address() + "/preview/1/draft/site/" + slug + "/" + name + ".html?still=true");
                        page.evaluate(axe);
                        for (Object violation : (List<?>) page.evaluate(RUN))
                            found.add(slug + "/" + name + " " + violation);
                        pages++;
                    }
                }
            }
        assertThat(pages).isGreaterThan(50);
        assertThat(found)
                .containsExactly(
                        "crew/index color-contrast a[data-part=\"button\"] background-color: #b8541a",
                        "freight/booking color-contrast button[type=\"submit\"] background: #c9601c");
    }
}
