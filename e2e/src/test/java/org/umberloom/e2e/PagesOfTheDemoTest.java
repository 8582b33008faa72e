package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.Media;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.ThemeDocument;

/** The demo's pages as a browser shows them: alike on the bench and from a kit, on narrow screens and on paper. */
class PagesOfTheDemoTest {
    private final ThemeDocument theme = Demo.theme();
    private final List<Path> pages = Demo.pages(Demo.SITES.resolve("crossings"));
    private final String kit = kit();

    private String kit() {
        PageUse use = PageUse.of(pages.stream().map(Demo::read).toList());
        return Stylesheet.compile(theme, Usage.of(use), List.of());
    }

    private static void show(Page page, Path file, String root, String css) {
        page.setContent(Demo.read(file)
                .replace("<html ", "<html " + root + " ")
                .replace("<link rel=\"stylesheet\" href=\"theme.css\">", "<style>" + css + "</style>"));
    }

    @Test
    void benchAndKitShowTheSamePixels() {
        String live = Stylesheet.compile(theme, Usage.LIVE, List.of());
        int alike = 0;
        for (int width : List.of(390, 1280))
            try (BrowserContext context = Browsers.context(ColorScheme.LIGHT)) {
                Page page = context.newPage();
                page.setViewportSize(width, 800);
                for (Path file : pages)
                    for (Combination combination : theme.combinations(4)) {
                        StringBuilder root = new StringBuilder();
                        combination.contexts().forEach((modifier, chosen) -> root.append(Stylesheet.attribute(modifier))
                                .append('=')
                                .append(chosen)
                                .append(' '));
                        StringBuilder chosen = new StringBuilder(root);
                        Choices.of(theme, combination)
                                .forEach((choice, value) -> chosen.append(Stylesheet.choiceAttribute(choice))
                                        .append('=')
                                        .append(value)
                                        .append(' '));
                        show(page, file, root.toString(), kit);
                        byte[] one = page.screenshot(new Page.ScreenshotOptions().setFullPage(true));
                        show(page, file, chosen.toString(), live);
                        assertThat(page.screenshot(new Page.ScreenshotOptions().setFullPage(true)))
                                .as("%s at %d in %s", file.getFileName(), width, combination.key())
                                .isEqualTo(one);
                        alike++;
                    }
            }
        assertThat(alike).isEqualTo(2 * pages.size() * 4);
    }

    @Test
    void nothingStandsOutOfANarrowWindow() {
        try (BrowserContext context = Browsers.context(ColorScheme.LIGHT)) {
            Page page = context.newPage();
            for (int width : List.of(320, 360, 390)) {
                page.setViewportSize(width, 800);
                for (Path file : pages) {
                    show(page, file, "", kit);
                    assertThat((int) page.evaluate("() => document.documentElement.scrollWidth"))
                            .as("%s at %d", file.getFileName(), width)
                            .isLessThanOrEqualTo(width);
                }
            }
        }
    }

    /** Dark grounds become paper: whatever a page shows on a screen, its words are black on nothing. */
    @Test
    void onPaperEveryWordIsBlackAndNothingIsCut() {
        try (BrowserContext context = Browsers.context(ColorScheme.DARK)) {
            Page page = context.newPage();
            page.setViewportSize(718, 1000);
            page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
            List<String> wrong = new ArrayList<>();
            for (Path file : pages) {
                show(page, file, "data-scheme=dark", kit);
                wrong.addAll(((List<?>)
                                page.evaluate(
                                        """
                        () => [...document.body.querySelectorAll('*')].filter((element) => {
                          const style = getComputedStyle(element);
                          return style.color !== 'rgb(0, 0, 0)' || style.backgroundColor !== 'rgba(0, 0, 0, 0)'
                            || style.backgroundImage !== 'none' || style.overflowX === 'auto' && element.localName !== 'textarea';
                        }).map((element) => element.outerHTML.slice(0, 80))"""))
                        .stream().map(String::valueOf).toList());
            }
            assertThat(wrong).isEmpty();
        }
    }
}
