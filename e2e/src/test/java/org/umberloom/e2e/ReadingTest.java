package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.umberloom.core.json.Json;

/** What lines of the demo's pages hold, against what Chromium sets on them. */
class ReadingTest {
    private static final List<String> SITES = List.of("crossings", "freight", "galley", "trust", "winter", "crew");
    private static final int WINDOW = 1280;

    /** Characters per line of a paragraph that is nothing but text: lines are told by words that stand lower than those before. */
    private static final String LINES =
            """
            (begin) => {
              const p = [...document.querySelectorAll('main p, main li, main dd, main blockquote')].find((one) =>
                one.childNodes.length === 1 && one.firstChild.nodeType === 3
                && one.textContent.trim().replace(/\\s+/g, ' ').startsWith(begin));
              if (!p) return 0;
              // Lines as full as they can be: where browsers break earlier so that the last is not too short, fewer is not less room.
              p.style.textWrap = 'wrap';
              p.textContent = p.textContent.trim().replace(/\\s+/g, ' ');
              const node = p.firstChild, range = document.createRange();
              let lines = 0, top = null, first = 0;
              for (const word of node.data.matchAll(/\\S+/g)) {
                range.setStart(node, word.index);
                range.setEnd(node, word.index + 1);
                const at = range.getBoundingClientRect().top;
                if (top !== null && at > top + 2) { lines++; first = word.index; }
                top = at;
              }
              if (lines === 0) return node.data.length;
              range.setStart(node, first);
              range.setEnd(node, node.data.length);
              return node.data.length / (lines + range.getBoundingClientRect().width / p.clientWidth);
            }""";

    private final Loom loom = Loom.withDemo();
    private Page page;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    @Test
    void linesHoldWhatTheyAreSaidToHold() {
        List<String> off = new ArrayList<>();
        int compared = 0;
        page.setViewportSize(WINDOW, 800);
        for (String site : SITES) {
            Map<String, Object> reading = Json.readObject(
                    site,
                    page.request()
                            .get(loom.address() + "/api/sites/" + site + "/reading")
                            .text());
            int at = Json.list("windows", reading.get("windows")).stream()
                    .map(window -> ((Number) window).intValue())
                    .toList()
                    .indexOf(WINDOW);
            String shown = "";
            for (Object one : Json.list("blocks", reading.get("blocks"))) {
                Map<String, Object> block = Json.object("block", one);
                String address = loom.address() + "/preview/1/draft/site/" + site + "/" + block.get("page")
                        + ".html?still=true&bare=true";
                if (!address.equals(shown)) {
                    page.navigate(address);
                    page.evaluate("() => document.fonts.ready.then(() => true)");
                    shown = address;
                }
                double set = ((Number) page.evaluate(LINES, block.get("words"))).doubleValue();
                if (set == 0) continue;
                double said = ((Number)
                                Json.list("characters", block.get("characters")).get(at))
                        .doubleValue();
                compared++;
                if (Math.abs(said - set) > 0.02 * set) off.add(block.get("words") + ": said " + said + ", set " + set);
            }
        }
        assertThat(compared).isGreaterThan(30);
        // A word that just fits, or just does not, is a twentieth of a paragraph of two lines.
        assertThat(off.size()).as("%s", off).isLessThanOrEqualTo(compared / 20);
    }

    @Test
    void aBlockWithLongLinesLeadsToTheBench() {
        page.navigate(loom.address() + "/sites/trust");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Reading")))
                .isVisible();
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("1280 px:")))
                .isVisible();
    }
}
